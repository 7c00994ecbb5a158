import { type Minor, NIL, abs, negate, sum } from '../money/minor';
import { AGAINST, type DocumentKind, type ListKind, isSided } from './list-kinds';
import type { PrintedRow } from './list-rows';
import type { ListTable } from './list-table';

/** Columns of amounts that a list may print a total of. */
export const SUMMED = ['original', 'open', 'base'] as const;
export type Summed = (typeof SUMMED)[number];

/** An amount of a row; what is open is what the row comes to, in whichever columns. */
export const amountOf = (row: PrintedRow, role: Summed): Minor | undefined =>
  role === 'open' ? row.open : row.amounts[role];

/** How the amounts that a list prints become those of the books. */
export interface Signs {
  /** An amount of the row at a place. */
  readonly of: (amount: Minor, place: number) => Minor;
  /** A total of the list. */
  readonly total: (amount: Minor) => Minor;
}

/**
 * The signs of a list. Where it says sides they are the books'. Else they are as printed, or by the kinds where no amount carries one:
 * the list's own total tells which. What customers owe is a debit and what is owed to suppliers a credit, so the list turns round
 * where most of its invoices are printed otherwise.
 */
export const signsOf = (
  list: ListTable,
  rows: readonly PrintedRow[],
  kinds: readonly DocumentKind[],
  last: PrintedRow | undefined,
  whose: ListKind,
): Signs => {
  if (isSided(list, rows)) return { of: (amount) => amount, total: (amount) => amount };
  const counts = (place: number): boolean => AGAINST.has(kinds[place] ?? 'invoice');
  const asPrinted = (amount: Minor): Minor => amount;
  const byKind = (amount: Minor, place: number): Minor => (counts(place) ? negate(abs(amount)) : abs(amount));
  const unsigned =
    rows.every(({ open = NIL }) => open >= 0n) && rows.some(({ open = NIL }, place) => counts(place) && open > 0n);
  const meets = (of: Signs['of']): boolean =>
    last !== undefined &&
    SUMMED.some((role) => {
      const total = amountOf(last, role) ?? NIL;
      return total !== 0n && sum(rows.map((row, place) => of(amountOf(row, role) ?? NIL, place))) === total;
    });
  const sign = unsigned && (last === undefined || meets(byKind) || !meets(asPrinted)) ? byKind : asPrinted;
  const invoices = rows.flatMap((row, place) => (counts(place) ? [] : [sign(row.open ?? NIL, place)]));
  const above = invoices.filter((amount) => amount > 0n).length - invoices.filter((amount) => amount < 0n).length;
  const positive = above === 0 ? sum(invoices) >= 0n : above > 0;
  const turns = (whose === 'customers') !== positive;
  const turned = (amount: Minor): Minor => (turns ? negate(amount) : amount);
  return { of: (amount, place) => turned(sign(amount, place)), total: turned };
};
