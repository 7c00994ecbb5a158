import type { Skeleton } from './skeleton';
import type { Values } from './values';

/** What a row is taken for once its amounts are known. */
export const MARK = { none: 0, account: 1, heading: 2, total: 3, open: 4, unreadable: 5 } as const;

/** Why a row is no account, by number: a paper may have a million rows. */
export const WHY = {
  none: 0,
  words: 1,
  under: 2,
  above: 3,
  wordsAndSum: 4,
  unnamed: 5,
  breakdown: 6,
  nil: 7,
  level: 9,
  sides: 10,
  left: 11,
  remark: 12,
  byHand: 13,
  result: 14,
  form: 15,
  kind: 16,
} as const;

export interface Marks {
  readonly mark: Uint8Array;
  readonly why: Uint8Array;
  /** Totals whose amount the rows come to. */
  confirmed: number;
  /** Rows that are called totals, or stand a level higher, and whose amount the rows do not come to. */
  readonly unconfirmed: Set<number>;
}

/** Rows of an unfinished reading: those of the list, from top to bottom. */
export interface Work {
  readonly skeleton: Skeleton;
  readonly values: Values;
  readonly marks: Marks;
  /** Rows about which a person decided. */
  readonly decided: ReadonlySet<number>;
}

export const isFree = ({ marks, decided }: Work, at: number): boolean =>
  (marks.mark[at] === MARK.account || marks.mark[at] === MARK.open) && !decided.has(at);

export const settle = ({ marks }: Work, at: number, why: number): void => {
  marks.mark[at] = MARK.total;
  marks.why[at] = why;
};

/** The rows of the list that may be accounts, from top to bottom. */
export const listed = ({ skeleton, marks }: Work, more: (at: number) => boolean): readonly number[] => {
  const rows: number[] = [];
  for (let at = 0; at < skeleton.size; at += 1)
    if ((marks.mark[at] === MARK.account || marks.mark[at] === MARK.open) && more(at)) rows.push(at);
  return rows;
};
