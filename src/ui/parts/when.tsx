'use client';

import { useCallback, useSyncExternalStore } from 'react';
import { moment } from './names';

const never = () => () => undefined;
const here = (): string => Intl.DateTimeFormat().resolvedOptions().timeZone;
const onServer = (): string => 'UTC';

/** Where the reader is; UTC until the page is theirs, since the server does not know. */
export const useZone = (): string => useSyncExternalStore(never, here, onServer);

/** Writes an ISO instant in the reader's own time, with the zone. */
export const useMoment = (): ((instant: string) => string) => {
  const zone = useZone();
  return useCallback((instant) => moment(instant, zone), [zone]);
};

/** An ISO instant in the reader's own time, with the zone; UTC on top. */
export const When = ({ at }: { readonly at: string }) => (
  <time dateTime={at} title={moment(at)}>
    {useMoment()(at)}
  </time>
);
