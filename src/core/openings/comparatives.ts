import { elapsedPeriods } from '../calendar/cutover';
import { type PlainDate, dayBefore } from '../base/dates';
import { type FiscalYear, type Period, periodOf } from '../calendar/year';
import type { Account, AccountId } from '../chart/account';
import { isResult, typeOf } from '../ledger/classes';
import { type Minor, NIL, add, subtract } from '../money/minor';
import { folded } from '../base/table';
import { datesIn } from '../papers/dates-in';

/** Column 0 holds last year's closing balances, columns from 1 the movements of this year's elapsed periods. */
export const LAST_YEAR = 0;

/** A column of the comparatives: last year's close, or an elapsed period of this year. */
export interface ComparativeColumn {
  readonly column: number;
  readonly label: string;
  /** Its last day, ISO. */
  readonly end: string;
}

type Year = Pick<FiscalYear, 'start' | 'end'> & { readonly periods: readonly Pick<Period, 'name' | 'start' | 'end'>[] };

export const comparativeColumns = (years: readonly Year[], cutover: PlainDate): readonly ComparativeColumn[] => {
  const year = periodOf(years, cutover);
  return year === undefined
    ? []
    : [
        { column: LAST_YEAR, label: 'Last year’s close', end: dayBefore(year.start).toString() },
        ...elapsedPeriods(year, cutover).map(({ name, end }, at) => ({
          column: at + 1,
          label: name,
          end: end.toString(),
        })),
      ];
};

const MONTHS = 'january february march april may june july august september october november december'.split(' ');

/** The column that a title of a paper names: by a day in it, by the period's own name, or by the month. */
export const columnNamed = (title: string, columns: readonly ComparativeColumn[]): number | undefined => {
  const days = datesIn(title);
  const plain = folded(title);
  const words = plain.split(' ');
  const [year] = /\b\d{4}\b/.exec(plain) ?? [];
  return (
    columns.find(({ end }) => days.includes(end)) ??
    columns.find(({ label }) => folded(label) === plain) ??
    columns.find(
      ({ column, end }) =>
        column !== LAST_YEAR &&
        days.length === 0 &&
        (year === undefined || end.startsWith(year)) &&
        words.some((word) => word.length >= 3 && MONTHS[Number(end.slice(5, 7)) - 1]?.startsWith(word) === true),
    )
  )?.column;
};

/** Amounts by account and column, debit positive. */
export type Comparatives = ReadonlyMap<AccountId, ReadonlyMap<number, Minor>>;

export interface ComparativeFaults {
  /** What each column comes to; a column that holds anything nets to zero. */
  readonly nets: ReadonlyMap<number, Minor>;
  /**
   * Accounts whose comparatives do not lead to their opening figure, with the figure less what they lead to: income and
   * expense begin a year at nil, so the periods alone come to the year to date; the others begin where last year closed.
   */
  readonly apart: ReadonlyMap<AccountId, Minor>;
}

/**
 * The zero tests and the sum test of comparatives. An account is tested against its figure once any period has an amount
 * anywhere, so that last year alone can be given without the months.
 */
export const comparativeFaults = (
  accounts: readonly Pick<Account, 'id' | 'classification' | 'heading'>[],
  figures: ReadonlyMap<AccountId, Minor>,
  comparatives: Comparatives,
): ComparativeFaults => {
  const nets = new Map<number, Minor>();
  for (const columns of comparatives.values())
    for (const [column, amount] of columns) nets.set(column, add(nets.get(column) ?? NIL, amount));
  const monthly = [...nets.keys()].some((column) => column !== LAST_YEAR);
  const apart = new Map<AccountId, Minor>();
  if (monthly)
    for (const { id, classification, heading } of accounts) {
      if (heading) continue;
      let leads: Minor = NIL;
      for (const [column, amount] of comparatives.get(id) ?? [])
        if (column !== LAST_YEAR || !isResult(typeOf(classification))) leads = add(leads, amount);
      const off = subtract(figures.get(id) ?? NIL, leads);
      if (off !== 0n) apart.set(id, off);
    }
  return { nets, apart };
};
