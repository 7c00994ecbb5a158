'use client';

import { useEffect, useRef, useState } from 'react';
import type { Hypothesis, SearchInput } from '@/core/openings/search/types';
import type { FromSearch, ToSearch } from '@/workers/search';

export interface Searched {
  readonly found: readonly Hypothesis[];
  readonly state: 'looking' | 'pairs' | 'done' | 'failed';
}

/** What the search worker finds for the figures as they stand; a newer question replaces an older one. */
export const useSearch = (input: SearchInput): Searched => {
  const [searched, setSearched] = useState<Searched>({ found: [], state: 'looking' });
  const worker = useRef<Worker | undefined>(undefined);
  const turn = useRef(0);
  useEffect(() => {
    // A question that is no longer asked is not worked out to its end.
    worker.current?.terminate();
    const made = new Worker(new URL('../../workers/search.ts', import.meta.url), { type: 'module' });
    worker.current = made;
    turn.current += 1;
    const own = turn.current;
    made.addEventListener('message', ({ data }: MessageEvent<FromSearch>) => {
      if (data.turn === own) setSearched({ found: data.found, state: data.whole ? 'done' : 'pairs' });
    });
    made.addEventListener('error', () => setSearched({ found: [], state: 'failed' }));
    made.postMessage({ turn: own, input } satisfies ToSearch);
    return () => made.terminate();
  }, [input]);
  return searched;
};
