import { codeStem } from '../chart/codes';
import type { PaperRow } from './paper-row';

interface Marking {
  /** Whether the paper has codes, so that a row without one is suspicious. */
  readonly coded: boolean;
  /** Rows (by index) about which a person decided; they stay as they are. */
  readonly decided: Readonly<Record<string, boolean>>;
  readonly worded: (row: PaperRow) => boolean;
}

/** Said of a total that stands above its rows. */
export const SUM_OF_THOSE_UNDER = 'the sum of the rows under it';

/** Boundaries looked back to: headings and totals between which a subtotal may add up. */
const MOST_BACK = 60;
/** Rows under a heading that are looked at for coming to its amount. */
const MOST_UNDER = 5000;

/**
 * Turns account rows into totals where the figures show it. A row *above which* the rows since some heading or total, or
 * all, come to exactly its amount is a total when it has no code (where others have one) or is called one. A row *under
 * which* deeper rows (by indentation, or by codes that its own begins) come to exactly its amount is the total of those,
 * whatever it is called; so a parent with its own balance stays an account.
 */
export const markTotals = (rows: readonly PaperRow[], marking: Marking): readonly PaperRow[] => {
  const marked = [...rows];
  sumsOfRowsUnder(marked, marking);
  sumsOfRowsAbove(marked, marking);
  return marked;
};

const free = (row: PaperRow, { decided }: Marking): boolean =>
  row.kind === 'account' && row.amount !== 0n && decided[String(row.row - 1)] === undefined;

const sumsOfRowsAbove = (rows: PaperRow[], marking: Marking): void => {
  const sums: bigint[] = [0n];
  let boundaries = [0];
  rows.forEach((row, at) => {
    const total = sums.at(-1) ?? 0n;
    if (row.kind === 'heading' || row.kind === 'total') {
      boundaries = [...boundaries.slice(-MOST_BACK), sums.length - 1];
      return;
    }
    if (row.kind !== 'account') return;
    const suspect = (marking.coded && row.code === '') || marking.worded(row);
    const least = marking.worded(row) ? 1 : 2;
    if (suspect && free(row, marking) && sums.length > least && isSum(row.amount, total, sums, boundaries, least)) {
      rows[at] = {
        ...row,
        kind: 'total',
        note: marking.worded(row) ? 'a total, by its words and its sum' : 'the sum of the rows above',
      };
      boundaries = [...boundaries.slice(-MOST_BACK), sums.length - 1];
      return;
    }
    sums.push(total + row.amount);
  });
};

/** Whether the accounts since one of the boundaries, at least so many of them, come to the amount, or to it on the other side. */
const isSum = (
  amount: bigint,
  total: bigint,
  sums: readonly bigint[],
  boundaries: readonly number[],
  least: number,
): boolean =>
  [0, ...boundaries].some((from) => {
    const run = total - (sums[from] ?? 0n);
    return sums.length - 1 - from >= least && (run === amount || run === -amount);
  });

const isDeeper = (other: PaperRow, row: PaperRow, stem: string): boolean =>
  other.indent > row.indent ||
  (row.code !== '' && other.code.length >= row.code.length && other.code !== row.code && other.code.startsWith(stem));

const sumsOfRowsUnder = (rows: PaperRow[], marking: Marking): void => {
  const others = rows.filter(({ kind }) => kind === 'account').length - 1;
  // From the last row up, so that the totals inside a group are known before the group is added up.
  for (let at = rows.length - 2; at >= 0; at -= 1) {
    const row = rows[at];
    if (row === undefined || !free(row, marking)) continue;
    const stem = codeStem(row.code);
    let run = 0n;
    let parts = 0;
    for (let under = at + 1; under < rows.length && under <= at + MOST_UNDER; under += 1) {
      const other = rows[under];
      if (other === undefined || other.kind === 'blank') continue;
      if (other.kind !== 'account' && other.kind !== 'total' && other.kind !== 'heading') break;
      if (!isDeeper(other, row, stem)) break;
      if (other.kind !== 'account') continue;
      run += other.amount;
      parts += 1;
    }
    // All others together come to an account's amount on the other side wherever the paper nets to zero: that shows nothing.
    const sums = run === row.amount || (run === -row.amount && parts < others);
    if (parts > (rows[at + 1]?.indent === row.indent ? 1 : 0) && sums)
      rows[at] = { ...row, kind: 'total', note: SUM_OF_THOSE_UNDER };
  }
};
