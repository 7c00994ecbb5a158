import { createHash } from 'node:crypto';
import type { RowFilter } from '@/core/openings/paper-list';
import type { Creation, DecidedRow, Plan } from '@/core/openings/takeover';
import type { Likeness } from '@/core/papers/alike';
import type { PaperRow } from '@/core/papers/paper-row';
import type { MatchedSheet } from '@/workers/reading/sent';
import type { Result } from '@/core/base/result';

/** The rows of a paper, matched and decided. */
export interface Planned {
  readonly plan: Plan;
  /** What becomes of a row; undefined for one that is not read as an account. */
  readonly decided: (row: number) => DecidedRow | undefined;
  /** The account that each undecided row would get if one were made for it. */
  readonly proposals: () => ReadonlyMap<number, Creation>;
  /** How many rows are like a row. */
  readonly alike: (row: PaperRow) => Readonly<Record<Likeness, number>>;
  /** The rows under a filter, in the order of the paper. */
  readonly listed: (filter: RowFilter) => readonly PaperRow[];
}

/** Holds the last few values, and makes one anew when what it is made from (its key) is another. */
const slots = <T>(most: number) => {
  const held = new Map<string, T>();
  return {
    get: (key: string): T | undefined => held.get(key),
    set: (key: string, value: T): T => {
      held.delete(key);
      held.set(key, value);
      for (const [oldest] of held) {
        if (held.size <= most) break;
        held.delete(oldest);
      }
      return value;
    },
    make(key: string, make: () => T): T {
      return this.get(key) ?? this.set(key, make());
    },
  };
};

/** A paper is at most held as its cells suggest and as somebody said. */
const READINGS = 2;

/**
 * What was made of a paper, each step under a key of all that it is made from. A page of a large paper asks for one window
 * of rows after the other, and the take-over for the plan that the page has shown.
 */
const emptyHold = () => ({
  weight: 0,
  sheets: slots<Result<MatchedSheet>>(READINGS),
  planned: slots<Planned>(1),
});

const papers = new Map<string, ReturnType<typeof emptyHold>>();
/** So many bytes of papers are held at most, the last ones looked at; the one at hand always is. */
const MOST_HELD = 32 * 1024 * 1024;
/** What is made of a row, read as, matched and decided: about so many bytes besides its text. */
const ROW_WEIGHT = 500;

export const holdOf = (booksId: number, paper: number): ReturnType<typeof emptyHold> => {
  const key = `${String(booksId)}/${String(paper)}`;
  const hold = papers.get(key) ?? emptyHold();
  papers.delete(key);
  papers.set(key, hold);
  return hold;
};

/** Keeps a reading of a paper, in the place of what was looked at longest ago. */
export const keep = (booksId: number, paper: number, key: string, sheet: Result<MatchedSheet>): void => {
  const hold = holdOf(booksId, paper);
  hold.sheets.set(key, sheet);
  if (sheet.ok) hold.weight = sheet.value.recognition.rows.reduce((all, row) => all + ROW_WEIGHT + row.text.length, 0);
  let held = [...papers.values()].reduce((all, one) => all + one.weight, 0);
  for (const [oldest, one] of papers) {
    if (held <= MOST_HELD || one === hold) break;
    papers.delete(oldest);
    held -= one.weight;
  }
};

/** The key of a value that is made from these. */
export const keyed = (...parts: readonly unknown[]): string =>
  createHash('sha256')
    .update(JSON.stringify(parts, (_, value: unknown) => (typeof value === 'bigint' ? String(value) : value)))
    .digest('base64');
