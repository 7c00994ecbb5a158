import { type Currency, isCurrency, minorDigits } from '../money/currency';
import { LARGEST, type Minor, NIL, abs, minor } from '../money/minor';
import { quoted } from '../base/result';
import { readPaperAmount, unitsOf } from '../money/paper-amount';
import { type Cell, type Row, textOf } from '../base/table';
import { COLUMN_ROLES, type ColumnRole } from './header';
import type { PaperRow } from './paper-row';
import type { Reading } from './reading';
import type { Scale } from './stated-scale';

/** The currency that a paper's amounts are in: its decimals and, where marks beside amounts must agree with it, its code. */
export interface PaperMoney {
  readonly digits: number;
  readonly currency?: Currency;
  /** Noughts that its amounts are written without: three where they are in thousands. */
  readonly scale?: Scale | undefined;
}

/** In which column each role is, -1 for none: looked up once, since a paper may have a million rows. */
export type Places = Readonly<Record<ColumnRole, number>>;

export const placesOf = (columns: readonly ColumnRole[]): Places =>
  Object.fromEntries(COLUMN_ROLES.map((role) => [role, columns.indexOf(role)])) as Places;

export const cellAt = (row: Row, place: number): Cell => row[place] ?? '';

export interface Read {
  readonly amount: Minor;
  readonly rounded: boolean;
  /** The cell itself says on which side it stands, so its column does not. */
  readonly sided: boolean;
  readonly bad?: string;
}

const NOTHING: Read = { amount: NIL, rounded: false, sided: false };

/**
 * One cell as minor units. Noise of a spreadsheet's binary sums is rounded away and told; a real decimal more than the
 * currency has is not read, because nobody but the paper's owner knows where it goes. Nor is what no books can hold.
 */
export const readCell = (
  cell: Cell,
  { style }: Pick<Reading, 'style'>,
  { digits, currency, scale: noughts }: PaperMoney,
): Read => {
  if (cell === '') return NOTHING;
  const found =
    typeof cell === 'string' ? readPaperAmount(cell, style, currency) : readPaperAmount(cell.decimal, '1234.56');
  if (found === undefined) {
    const elsewhere = typeof cell === 'string' && readPaperAmount(cell, style) !== undefined;
    return {
      ...NOTHING,
      bad: elsewhere
        ? `${quoted(cell)} is marked as another currency than ${currency ?? 'that of the books'}`
        : `${quoted(textOf(cell))} does not read as an amount like ${style}`,
    };
  }
  const { coefficient, side } = found;
  const scale = found.scale - (noughts ?? 0);
  const units = unitsOf({ coefficient, scale }, digits, typeof cell === 'object');
  if (units === undefined)
    return {
      ...NOTHING,
      bad: `${quoted(typeof cell === 'string' ? cell : cell.decimal)} has ${scale} decimals where the currency has ${digits}; is the number style right?`,
    };
  const { amount, rounded } = units;
  if (abs(minor(amount)) > LARGEST)
    return { ...NOTHING, bad: `${quoted(textOf(cell))} is larger than any balance that the books can hold` };
  return { amount: minor(side === 'credit' ? -amount : amount), rounded, sided: side !== undefined };
};

/** The balance in a foreign currency, where the row has both the currency and the amount; or why that does not read. */
export const foreignAmount = (
  row: Row,
  places: Places,
  reading: Pick<Reading, 'style'>,
): Pick<PaperRow, 'foreign' | 'note'> => {
  if (places.foreign < 0 || places.currency < 0) return {};
  const currency = textOf(row[places.currency]).toUpperCase();
  const cell = cellAt(row, places.foreign);
  if (!isCurrency(currency) || textOf(cell) === '') return {};
  const read = readCell(cell, reading, { digits: minorDigits(currency), currency });
  return read.bad === undefined
    ? { foreign: { currency, amount: read.amount } }
    : { note: `the amount in ${currency} is left out: ${read.bad}` };
};
