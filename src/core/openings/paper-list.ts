import type { PaperRow } from '../papers/paper-row';
import type { Plan } from './takeover';

/** Which rows of a paper are shown together. */
export const ROW_FILTERS = ['accounts', 'to decide', 'set aside', 'all rows'] as const;
export type RowFilter = (typeof ROW_FILTERS)[number];

/** Rows go to the screen in pages of so many: a paper may have a million, and a screen shows thirty. */
export const PAGE_ROWS = 200;

/** The rows under a filter, in the order of the paper. */
export const rowsUnder = (
  filter: RowFilter,
  rows: readonly PaperRow[],
  { undecided, leftOut }: Pick<Plan, 'undecided' | 'leftOut'>,
): readonly PaperRow[] => {
  switch (filter) {
    case 'all rows':
      return rows.filter(({ kind }) => kind !== 'blank');
    case 'accounts':
      return rows.filter(({ kind }) => kind === 'account' || kind === 'unreadable');
    case 'to decide': {
      const waiting = new Set(undecided.map(({ row }) => row.row));
      return rows.filter(({ row, kind }) => kind === 'unreadable' || waiting.has(row));
    }
    case 'set aside': {
      const out = new Set(leftOut.map(({ row }) => row.row));
      return rows.filter(({ row, kind }) => ['heading', 'total', 'title', 'header'].includes(kind) || out.has(row));
    }
  }
};

/** The page on which a row is, or the next one after it that is listed. */
export const pageWith = (listed: readonly Pick<PaperRow, 'row'>[], row: number): number => {
  let [low, high] = [0, listed.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((listed[middle]?.row ?? 0) < row) low = middle + 1;
    else high = middle;
  }
  return Math.floor(Math.min(low, Math.max(0, listed.length - 1)) / PAGE_ROWS);
};
