import { useRouter } from 'next/navigation';
import { useCallback } from 'react';
import { isSignedOut } from './send';

/**
 * Asks the server for this page as it is now. While the session has ended that would lead away to where one signs in, and what was
 * typed and could not be saved would be gone; so the page stays as it is until something is saved again.
 */
export const useRefresh = (): (() => void) => {
  const router = useRouter();
  return useCallback(() => {
    if (!isSignedOut()) router.refresh();
  }, [router]);
};
