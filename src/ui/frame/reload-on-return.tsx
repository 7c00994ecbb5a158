'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

/** Going back shows the page as it was kept in the browser; ask for the books as they are now, since work went on meanwhile. */
export const ReloadOnReturn = () => {
  const router = useRouter();
  useEffect(() => {
    const reload = (): void => router.refresh();
    addEventListener('popstate', reload);
    return () => removeEventListener('popstate', reload);
  }, [router]);
  return null;
};
