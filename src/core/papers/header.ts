import { isCurrency } from '../money/currency';
import { type Row, type Table, textOf } from '../base/table';
import { folded } from '../base/folded';
import { PRINTED } from '../words/paper-words';
import { lookOf } from './survey';
import { type Title, isAmountTitle, isTelling, titleOf } from './titles';
import { isUnitRow } from './units';

export const COLUMN_ROLES = [
  'code',
  'name',
  'code-name',
  'debit',
  'credit',
  'balance',
  'side',
  'currency',
  'foreign',
  'ignore',
] as const;
export type ColumnRole = (typeof COLUMN_ROLES)[number];

export const AMOUNT_ROLES: ReadonlySet<ColumnRole> = new Set(['debit', 'credit', 'balance']);

const MOST_TITLE_ROWS = 60;
/** A longer text is no column's title. */
const MOST_TITLE = 60;

/** The header's text per column. In a header two rows high the upper text stands over all columns up to the next one. */
export const headerTexts = (rows: readonly Row[], header: number, height: number, width: number): readonly string[] => {
  if (header < 0) return Array.from({ length: width }, () => '');
  const lower = rows[header];
  const upper = height > 1 ? rows[header - 1] : undefined;
  let over = '';
  return Array.from({ length: width }, (_, column) => {
    const above = textOf(upper?.[column]);
    if (above !== '') over = above;
    const own = textOf(lower?.[column]);
    return (upper === undefined ? own : own === '' ? above : `${over} ${own}`.trim()).replace(/\s+/g, ' ');
  });
};

export interface FoundHeader {
  /** Index of the (lower) header row, or -1. */
  readonly at: number;
  readonly height: 1 | 2;
}

/** A year, which a mark for money may stand beside: "2025", "2025 £", "EUR 2025". */
const isYear = (text: string): boolean =>
  /^(?:\p{Sc}|[A-Z]{3})?\s?(?:19|20)\d\d\s?(?:\p{Sc}|[A-Z]{3})?$/u.test(text.trim());

/** A part of a year, or a year behind its letters: "Q1", "P12", "FY2025". */
const isPeriod = (text: string): boolean => /^\p{L}{1,2}\.?\s?(?:\d{1,2}|(?:19|20)\d\d)$/u.test(text.trim());

/** Cells of a row that are amounts: a header has none, but for years and their parts. */
const holdsAmounts = (row: Row): boolean =>
  row.some((cell) => {
    const look = lookOf(cell);
    const text = textOf(cell);
    return (look === 'amount' || look === 'plain' || look === 'percent') && !isYear(text) && !isPeriod(text);
  });

const titlesOf = (row: Row): readonly Title[] => row.map((cell) => titleOf(textOf(cell)));

/** How many columns a row names, amounts among them; nought where it cannot be a header. */
export const headerScore = (row: Row): number => {
  const filled = row.filter((cell) => textOf(cell) !== '');
  if (filled.length < 2 || holdsAmounts(row) || filled.some((cell) => textOf(cell).length > 4 * MOST_TITLE)) return 0;
  const titles = titlesOf(row);
  if (!titles.some(isAmountTitle)) return 0;
  const telling = titles.filter(isTelling).length;
  return telling < 2 ? 0 : telling * 2 - (filled.length - telling) * 0.5;
};

/** Whether the row above groups the columns of the header: fewer texts, each over several columns. */
const isUpper = (above: Row, lower: Row): boolean => {
  const upper = above.map(textOf);
  const own = lower.map(textOf).filter((text) => text !== '');
  const groups = upper.filter((text) => text !== '').length;
  if (groups < 1 || upper.some((text) => text.length > MOST_TITLE) || holdsAmounts(above)) return false;
  // What says when the list was printed groups nothing.
  if (upper.some((text) => PRINTED.in(folded(text)) !== undefined)) return false;
  const repeats = new Set(own).size < own.length;
  const titles = upper.map(titleOf);
  // What stands over codes and names and is no word for them is the list's own title, where no columns below are alike.
  const [corner, under] = [titles[0], titleOf(textOf(lower[0]))];
  const isTitle = corner !== undefined && corner.text !== '' && !isTelling(corner);
  if (isTitle && !repeats && (under.code || under.name)) return false;
  const first = upper.findIndex((text) => text !== '');
  // One text alone over names or codes is the paper's title, wherever its line begins.
  const below = titleOf(textOf(lower[first]));
  if (groups === 1 && (below.name || below.code)) return false;
  const told = titles.some((title, at) => (at > 0 || lower.length > 1) && isAmountTitle(title));
  return (groups > 1 || first > 0) && (repeats || told);
};

/**
 * The row near the top that names the most columns, amounts among them; two rows where the upper one groups the lower. Where no
 * word is known, the last row of texts before the first of the rows with amounts.
 */
export const headerOf = (rows: readonly Row[]): FoundHeader => {
  let best = { at: -1, score: 0 };
  const top = rows.slice(0, MOST_TITLE_ROWS);
  top.forEach((row, at) => {
    const score = headerScore(row);
    if (score > best.score) best = { at, score };
  });
  if (best.at < 0) best = { at: structuralHeader(top), score: 0 };
  // The row that names the most columns may be the upper one, which groups those of the next.
  const next = rows[best.at + 1];
  const own = rows[best.at];
  if (best.at >= 0 && own !== undefined && next !== undefined && headerScore(next) > 0 && isUpper(own, next))
    return { at: best.at + 1, height: 2 };
  const lower = rows[best.at];
  const above = rows[best.at - 1];
  if (lower !== undefined && above !== undefined && isUpper(above, lower)) return { at: best.at, height: 2 };
  // What the amounts are in may stand on a line of its own below what they are.
  return best.at >= 0 && next !== undefined && isUnitRow(next)
    ? { at: best.at + 1, height: 2 }
    : { at: best.at, height: 1 };
};

/** Rows without a header in which the title may stand. */
const MOST_UNHEADED = 8;

/**
 * The rows above the header; without one, the first rows until one with an amount. A line of a printed list is taken by its own
 * gaps: its columns are those of the figures below it.
 */
export const titleRows = ({ rows, format }: Pick<Table, 'rows' | 'format'>, header: number): readonly Row[] => {
  const above = (): readonly Row[] => {
    if (header >= 0) return rows.slice(0, header);
    const first = rows.findIndex((row) => row.some((cell, column) => column > 0 && lookOf(cell) === 'amount'));
    return rows.slice(0, Math.min(MOST_UNHEADED, first < 0 ? MOST_UNHEADED : first));
  };
  if (format?.delimiter !== 'columns') return above();
  return above().map((row) =>
    row
      .map((cell) => (typeof cell === 'string' ? cell : textOf(cell)))
      .join(' ')
      .split(/\s{3,}/),
  );
};

/** Rows that begin like the list: two of the next ones have an amount in the same column. */
const structuralHeader = (rows: readonly Row[]): number => {
  const amounts = rows.map((row) =>
    row.flatMap((cell, column) => (['amount', 'plain'].includes(lookOf(cell)) ? [column] : [])),
  );
  const first = amounts.findIndex((columns, at) =>
    columns.some(
      (column) => column > 0 && amounts.slice(at + 1, at + 6).filter((next) => next.includes(column)).length >= 2,
    ),
  );
  for (let at = first - 1; at >= 0 && at >= first - 4; at -= 1) {
    // A currency beside a title is none of a column's.
    const texts = (rows[at] ?? []).map(textOf).filter((text) => text !== '' && !isCurrency(text));
    if (
      texts.length >= 2 &&
      texts.every((text) => text.length <= MOST_TITLE && /\p{L}/u.test(text)) &&
      !holdsAmounts(rows[at] ?? [])
    )
      return at;
  }
  return -1;
};
