import { type Currency } from '../money/currency';
import { type Entry, readEntry } from '../money/entry';
import { formatMinor } from '../money/format';
import { type Minor, type Side, add, abs, sideOf } from '../money/minor';
import { type NumberStyle, marksOf } from '../money/number-style';
import { type Result, fail, ok, problem } from '../base/result';
import {
  type DatedRate,
  type Translated,
  type Value,
  partsUnder,
  readForeign,
  typedForeign,
  writtenParts,
} from './in-currency';

/** The sheet's columns from left to right; three of them take amounts. */
const SHEET_COLUMNS = ['code', 'name', 'foreign', 'debit', 'credit', 'before', 'where'] as const;
export type SheetColumn = (typeof SHEET_COLUMNS)[number];

/** The columns of one sheet: amounts in foreign currencies, and the version before, only where there are such. */
export const sheetColumns = (has: { readonly foreign: boolean; readonly before: boolean }): readonly SheetColumn[] =>
  SHEET_COLUMNS.filter((column) => (column === 'foreign' || column === 'before' ? has[column] : true));

export const takesAmounts = (column: SheetColumn): column is 'foreign' | Side =>
  column === 'foreign' || column === 'debit' || column === 'credit';

/** What is to be known about an account for reading what is typed into its row. */
export interface SheetRow {
  /** The foreign currency in which all of it is kept, or null. */
  readonly currency: Currency | null;
  readonly foreign: boolean;
  readonly normal: Side;
}

/** How the amounts of a sheet are written and translated. */
export interface SheetMoney {
  readonly base: { readonly code: Currency; readonly digits: number };
  readonly style: NumberStyle;
  readonly switchedOn: readonly Currency[];
  readonly rateOf: (currency: Currency) => DatedRate | undefined;
}

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

/** What a figure becomes when a text is left in one of its cells. */
export const typedCell = (
  was: Value,
  row: SheetRow,
  column: 'foreign' | Side,
  text: string,
  money: SheetMoney,
): Result<Translated> => {
  if (column !== 'foreign') {
    const read = readEntry(text, column, money.base, money.style);
    if (!read.ok) return read;
    const amount = applyEntry(was.amount, column, read.value);
    return ok({ amount, parts: partsUnder(was.parts, amount, row.currency) });
  }
  if (!row.foreign)
    return text.trim() === ''
      ? ok(was)
      : fail(problem('foreign.none', 'This account is kept in base currency; its currency is set on the Chart page.'));
  const usual = row.currency ?? (was.parts.length === 1 ? was.parts[0]?.currency : undefined);
  const side = (was.amount === null ? undefined : sideOf(was.amount)) ?? row.normal;
  const read = readForeign(text, usual, money.switchedOn, side, money.style);
  if (!read.ok) return read;
  const { currency, amount } = read.value;
  if (row.currency !== null && currency !== row.currency)
    return fail(
      problem('foreign.other', `This account is kept in ${row.currency} and takes no other currency.`, 'currency'),
    );
  return currency === '' ? ok(was) : typedForeign(was, currency, amount, row.currency, money.rateOf(currency));
};

/**
 * What a figure becomes when cells are pasted over its row, the first of them on the column `from`. Cells that land on other
 * columns than those of amounts are passed over; amounts in both columns are netted; two blanks take the figure away. An
 * amount in currency that comes with a base amount is worth that.
 * `undefined`: no cell of this row lands in a column for amounts.
 */
export const pastedCells = (
  was: Value,
  row: SheetRow,
  cells: readonly string[],
  from: SheetColumn,
  columns: readonly SheetColumn[],
  money: SheetMoney,
): Result<Translated> | undefined => {
  const start = columns.indexOf(from);
  const at = (column: SheetColumn): string | undefined =>
    columns.includes(column) ? cells[columns.indexOf(column) - start] : undefined;
  let base: Minor | null = null;
  let landed = false;
  for (const side of ['debit', 'credit'] as const) {
    const text = at(side);
    if (text === undefined) continue;
    landed = true;
    const read = readEntry(text, side, money.base, money.style);
    if (!read.ok) return read;
    if (read.value.kind === 'amount') base = base === null ? read.value.amount : add(base, read.value.amount);
  }
  const foreign = at('foreign');
  if (!landed) return foreign === undefined ? undefined : typedCell(was, row, 'foreign', foreign, money);
  if (foreign === undefined) return ok({ amount: base, parts: partsUnder(was.parts, base, row.currency) });
  const plain = { amount: base, parts: [] };
  return foreign.trim() === '' ? ok(plain) : typedCell(plain, row, 'foreign', foreign, money);
};

/** A row as it is copied: amounts in the style's decimal mark but without grouping, which every spreadsheet reads. */
export const copiedRow = (
  row: { readonly code: string; readonly name: string; readonly where: string; readonly before: Minor | null } & Value,
  columns: readonly SheetColumn[],
  digits: number,
  style: NumberStyle,
): string => {
  const plain: NumberStyle = marksOf(style).decimal === ',' ? '1234,56' : '1234.56';
  const cell = (column: SheetColumn): string => {
    switch (column) {
      case 'debit':
      case 'credit':
        return row.amount !== null && columnOf(row.amount) === column
          ? formatMinor(abs(row.amount), digits, plain)
          : '';
      case 'foreign':
        return writtenParts(row, plain);
      case 'before':
        return row.before === null ? '' : formatMinor(row.before, digits, plain);
      default:
        return row[column].replace(/[\t\r\n]+/g, ' ');
    }
  };
  return columns.map(cell).join('\t');
};
