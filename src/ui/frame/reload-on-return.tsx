'use client';

import { useEffect } from 'react';
import { useRefresh } from '../parts/use-refresh';

/** Going back shows the page as it was kept in the browser; ask for the books as they are now, since work went on meanwhile. */
export const ReloadOnReturn = () => {
  const refresh = useRefresh();
  useEffect(() => {
    const reload = (): void => refresh();
    addEventListener('popstate', reload);
    return () => removeEventListener('popstate', reload);
  }, [refresh]);
  return null;
};
