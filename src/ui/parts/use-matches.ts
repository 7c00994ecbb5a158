'use client';

import { useCallback, useSyncExternalStore } from 'react';

/** Whether the window is as a media query says; not so on the server, where nobody knows. */
export const useMatches = (query: string): boolean => {
  const subscribe = useCallback(
    (changed: () => void) => {
      const media = matchMedia(query);
      media.addEventListener('change', changed);
      return () => media.removeEventListener('change', changed);
    },
    [query],
  );
  return useSyncExternalStore(
    subscribe,
    () => matchMedia(query).matches,
    () => false,
  );
};
