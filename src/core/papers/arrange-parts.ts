import { type Cell, type Row, textOf } from '../base/table';
import { lookOf, survey } from './survey';
import { totalWords } from './total-words';

/** Rows with figures that are looked at before a table is taken to lie so. */
const LOOKED_AT = 600;
/** Accounts that have to lie so. */
const FEWEST = 3;
/** Of the rows with figures at least so many are parts of the account above them. */
const PARTS = 0.3;
/** The column that says what each part is of has a word in so many of the rows, and few different ones. */
const [LABELLED, MOST_LABELS] = [0.9, 0.6] as const;

const isFilled = (cell: Cell | undefined): boolean => textOf(cell) !== '';
const withFigures = (row: Row): boolean => row.some((cell) => ['amount', 'nil'].includes(lookOf(cell)));
const NONE: ReadonlySet<string> = new Set();
const isSum = (cell: Cell | undefined): boolean => totalWords(textOf(cell), NONE) === 2;

/**
 * An account whose code and name stand once, in the first of the rows of its departments or projects, as merged cells leave them: its own
 * sum is that account where each has one, and else every row is one of the account. Undefined where a table does not lie so.
 */
export const accountsWithParts = (rows: readonly Row[]): readonly Row[] | undefined => {
  const body = rows
    .slice(0, 5 * LOOKED_AT)
    .filter(withFigures)
    .slice(0, LOOKED_AT);
  const columns = survey(body);
  const labelAt = columns.find(
    ({ filled, words, distinct, at }) =>
      at > 0 && filled >= body.length * LABELLED && words > LABELLED && distinct <= MOST_LABELS,
  )?.at;
  if (labelAt === undefined || body.length < 2 * FEWEST) return undefined;
  const keys = columns
    .filter(({ at, filled }) => at < labelAt && filled > 0 && filled < body.length * (1 - PARTS))
    .map(({ at }) => at);
  if (keys.length === 0 || keys.length < labelAt) return undefined;
  const isHead = (row: Row): boolean => withFigures(row) && keys.every((at) => isFilled(row[at]));
  const isPart = (row: Row): boolean =>
    withFigures(row) && isFilled(row[labelAt]) && !keys.some((at) => isFilled(row[at]));
  const [first] = body;
  const heads = body.filter(isHead).length;
  const parts = body.filter(isPart).length;
  if (first === undefined || !isHead(first) || heads < FEWEST || parts < body.length * PARTS) return undefined;
  const blocks: { readonly head: Row; readonly rows: Row[] }[] = [];
  const out: (Row | (typeof blocks)[number])[] = [];
  for (const row of rows) {
    const open = out.at(-1);
    if (isHead(row)) {
      const block = { head: row, rows: [row] };
      blocks.push(block);
      out.push(block);
    } else if (isPart(row) && open !== undefined && 'head' in open) open.rows.push(row);
    else if (row.some(isFilled)) out.push(row);
  }
  const under = (keysOf: Row | undefined, row: Row): Row =>
    row.map((cell, at) => (keys.includes(at) ? (keysOf?.[at] ?? '') : cell));
  const summed = blocks.every(({ rows: own }) => own.length === 1 || isSum(own.at(-1)?.[labelAt]));
  return out.flatMap((one): readonly Row[] => {
    if (!('head' in one)) return [one];
    const last = one.rows.at(-1) ?? one.head;
    return summed
      ? // The account with its sum, and its parts below it.
        [under(one.head, last), ...one.rows.slice(0, -1).map((row) => under(undefined, row))]
      : one.rows.map((row) => under(one.head, row));
  });
};
