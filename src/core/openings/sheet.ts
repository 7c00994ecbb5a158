import { type Entry, readEntry } from '../money/entry';
import { formatMinor } from '../money/format';
import { type Minor, type Side, add, abs, sideOf } from '../money/minor';
import { type NumberStyle, marksOf } from '../money/number-style';
import { type Result, ok } from '../result';

/** The sheet's columns from left to right; two of them take amounts. */
export const SHEET_COLUMNS = ['code', 'name', 'debit', 'credit', 'where'] as const;
export type SheetColumn = (typeof SHEET_COLUMNS)[number];

/** The column a figure is shown in; nil stands on the debit side. */
export const columnOf = (amount: Minor): Side => sideOf(amount) ?? 'debit';

/**
 * What a figure becomes when an entry is left in one of its two columns. An account has one figure: an amount replaces it,
 * whichever side it stood on; a blank takes it away only from the column in which it stands.
 */
export const applyEntry = (current: Minor | null, column: Side, entry: Entry): Minor | null => {
  if (entry.kind === 'amount') return entry.amount;
  return current === null || columnOf(current) !== column ? current : null;
};

/** The rows and cells of text copied from a spreadsheet: tab-separated, a cell with tabs, quotes or breaks in it quoted. */
export const readClipboard = (text: string): readonly (readonly string[])[] => {
  const rows: string[][] = [[]];
  const cell = /\t|\r\n|\r|\n|"((?:[^"]|"")*)"(?=[\t\r\n]|$)|[^\t\r\n]+/g;
  let expectsCell = true;
  for (const match of text.replace(/(\r\n|\r|\n)$/, '').matchAll(cell)) {
    const row = rows.at(-1);
    if (row === undefined) break;
    const [found, quotedCell] = match;
    if (found === '\t') {
      if (expectsCell) row.push('');
      expectsCell = true;
    } else if (/^[\r\n]/.test(found)) {
      if (expectsCell) row.push('');
      rows.push([]);
      expectsCell = true;
    } else {
      row.push(quotedCell === undefined ? found : quotedCell.replaceAll('""', '"'));
      expectsCell = false;
    }
  }
  if (expectsCell) rows.at(-1)?.push('');
  return rows;
};

/**
 * The figure that a pasted row asks for when its first cell lands in the column `from`. Cells that land on other columns
 * than the two amount columns are passed over; amounts in both columns are netted; two blanks take the figure away.
 * `undefined`: no cell of this row lands in an amount column.
 */
export const readPastedRow = (
  cells: readonly string[],
  from: SheetColumn,
  currency: { readonly code: string; readonly digits: number },
  style: NumberStyle,
): Result<Minor | null> | undefined => {
  const start = SHEET_COLUMNS.indexOf(from);
  let amount: Minor | null = null;
  let landed = false;
  for (const side of ['debit', 'credit'] as const) {
    const text = cells[SHEET_COLUMNS.indexOf(side) - start];
    if (text === undefined) continue;
    landed = true;
    const read = readEntry(text, side, currency, style);
    if (!read.ok) return read;
    if (read.value.kind === 'amount') amount = amount === null ? read.value.amount : add(amount, read.value.amount);
  }
  return landed ? ok(amount) : undefined;
};

/** A row as it is copied: amounts in the style's decimal mark but without grouping, which every spreadsheet reads. */
export const copiedRow = (
  row: { readonly code: string; readonly name: string; readonly where: string; readonly amount: Minor | null },
  columns: readonly SheetColumn[],
  digits: number,
  style: NumberStyle,
): string => {
  const plain: NumberStyle = marksOf(style).decimal === ',' ? '1234,56' : '1234.56';
  const cell = (column: SheetColumn): string => {
    if (column !== 'debit' && column !== 'credit') return row[column].replace(/[\t\r\n]+/g, ' ');
    return row.amount !== null && columnOf(row.amount) === column ? formatMinor(abs(row.amount), digits, plain) : '';
  };
  return columns.map(cell).join('\t');
};
