import { elapsedPeriods } from '../calendar/cutover';
import { type PlainDate, dayBefore } from '../base/dates';
import { type FiscalYear, type Period, periodOf } from '../calendar/year';
import type { Account, AccountId } from '../chart/account';
import { isResult, typeOf } from '../ledger/classes';
import { type Minor, NIL, add, minor, subtract } from '../money/minor';
import type { Decimal } from '../money/rate';
import { divideRounded } from '../money/rounding';
import { folded } from '../base/table';
import { datesIn } from '../papers/dates-in';
import { lexicon } from '../words/lexicon';

/** Column 0 holds last year's closing balances, columns from 1 the movements of this year's elapsed periods. */
export const LAST_YEAR = 0;

/** Columns behind this one hold the budget of the year's periods: 101 that of the first. */
const BUDGET = 100;
export const isBudget = (column: number): boolean => column > BUDGET;

/** A column of the comparatives: last year's close, an elapsed period of this year, or the budget of a period. */
export interface ComparativeColumn {
  readonly column: number;
  readonly label: string;
  /** Its last day, ISO. */
  readonly end: string;
}

type Year = Pick<FiscalYear, 'start' | 'end'> & {
  readonly periods: readonly (Pick<Period, 'name' | 'start' | 'end'> & Partial<Pick<Period, 'kind'>>)[];
};

/** The columns of a set of books; with budgets, one for each regular period of the year besides. */
export const comparativeColumns = (
  years: readonly Year[],
  cutover: PlainDate,
  budgets = false,
): readonly ComparativeColumn[] => {
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
        ...(budgets ? year.periods.filter(({ kind }) => kind !== 'adjustment') : []).map(({ name, end }, at) => ({
          column: BUDGET + 1 + at,
          label: `Budget ${name}`,
          end: end.toString(),
        })),
      ];
};

/** A title that says that its column is a budget. */
const BUDGETED = lexicon(
  'budget, budgeted, plan, planned, forecast, target, planwert, *planwert, sollwert, budgete, prevu, prevision, presupuesto, presupuestado, orcamento, preventivo, begroting, begroot, plan finansowy, budzet, rozpocet, koltsegvetes, terv, budsjett, talousarvio, buget, προυπολογισμος, butce, 予算, 预算',
);

const MONTHS = 'january february march april may june july august september october november december'.split(' ');

/** The column that a title of a paper names: by a day in it, by the period's own name, or by the month. */
export const columnNamed = (title: string, all: readonly ComparativeColumn[]): number | undefined => {
  const days = datesIn(title);
  const plain = folded(title);
  const budgeted = BUDGETED.in(plain) !== undefined;
  const columns = all.filter(({ column }) => isBudget(column) === budgeted);
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
  /** What each column comes to; a column that holds anything nets to zero, but for a budget, which comes to the result that is planned. */
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
  const monthly = [...nets.keys()].some((column) => column !== LAST_YEAR && !isBudget(column));
  const apart = new Map<AccountId, Minor>();
  if (monthly)
    for (const { id, classification, heading } of accounts) {
      if (heading) continue;
      let leads: Minor = NIL;
      for (const [column, amount] of comparatives.get(id) ?? [])
        if (!isBudget(column) && (column !== LAST_YEAR || !isResult(typeOf(classification))))
          leads = add(leads, amount);
      const off = subtract(figures.get(id) ?? NIL, leads);
      if (off !== 0n) apart.set(id, off);
    }
  return { nets, apart };
};

/**
 * A budget from last year by a rule: of each account of income and expense what it closed at, more or less so many percent, rounded once
 * to a minor unit (half away from nil) and divided evenly over the periods so that they come to it exactly.
 */
export const budgetFromLastYear = (
  accounts: readonly Pick<Account, 'id' | 'classification' | 'heading'>[],
  comparatives: Comparatives,
  columns: readonly ComparativeColumn[],
  percent: Decimal,
): ReadonlyMap<AccountId, ReadonlyMap<number, Minor>> => {
  const periods = columns.filter(({ column }) => isBudget(column));
  const of = BigInt(periods.length);
  const hundred = 100n * 10n ** BigInt(percent.scale);
  return new Map(
    accounts.flatMap(
      ({ id, classification, heading }): readonly (readonly [AccountId, ReadonlyMap<number, Minor>])[] => {
        const last = comparatives.get(id)?.get(LAST_YEAR) ?? NIL;
        if (heading || last === 0n || !isResult(typeOf(classification)) || of === 0n) return [];
        const whole = divideRounded(last * (hundred + percent.coefficient), hundred);
        const upTo = (place: number): bigint => divideRounded(whole * BigInt(place), of);
        const shares = periods.map(({ column }, at) => [column, minor(upTo(at + 1) - upTo(at))] as const);
        return [[id, new Map(shares.filter(([, amount]) => amount !== 0n))]];
      },
    ),
  );
};
