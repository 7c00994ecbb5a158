import { search } from '@/core/openings/search/search';
import type { Hypothesis, SearchInput } from '@/core/openings/search/types';

/** Looks for what would explain the difference, away from the page: first single errors, then pairs as well. */
export interface ToSearch {
  readonly turn: number;
  readonly input: SearchInput;
}

export interface FromSearch {
  readonly turn: number;
  readonly found: readonly Hypothesis[];
  /** Whether pairs were looked at too. */
  readonly whole: boolean;
}

const MOST = 12;

addEventListener('message', ({ data }: MessageEvent<ToSearch>) => {
  const answer = (pairs: boolean): void => {
    const message: FromSearch = { turn: data.turn, found: search(data.input, { pairs, most: MOST }), whole: pairs };
    postMessage(message);
  };
  answer(false);
  answer(true);
});
