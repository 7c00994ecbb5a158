import { elapsedPeriods } from '../calendar/cutover';
import { type PlainDate, dayBefore } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
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

/** Columns behind this one, up to as many as a year has, hold what the adjustment periods of last year made of its close. */
const ADJUSTED = 60;
const MOST_ADJUSTED = 3;
const OF_IT = 'of which ';
export const isAdjustment = (column: number): boolean => column > ADJUSTED && column <= ADJUSTED + MOST_ADJUSTED;

/** Columns behind this one hold the budget of the year's periods: 101 that of the first. */
const BUDGET = 100;
export const isBudget = (column: number): boolean => column > BUDGET;

/** Whether a column leads to the opening figure: it is neither a budget nor a part of another one. */
export const isCounted = (column: number): boolean => !isBudget(column) && !isAdjustment(column);

/** A column of the comparatives: last year's close and what of it is of adjustments, an elapsed period of this year, or the budget of a period. */
export interface ComparativeColumn {
  readonly column: number;
  readonly label: string;
  /** Its last day, ISO; empty for a part of another column, which is named by its label alone. */
  readonly end: IsoDate | '';
}

type Year = Pick<FiscalYear, 'start' | 'end'> & {
  readonly periods: readonly (Pick<Period, 'name' | 'start' | 'end'> & Partial<Pick<Period, 'kind'>>)[];
};

/** The adjustment periods of the year before, as it stands in the calendar; where it does not, they are taken to be those of this one. */
const adjustmentsBefore = (years: readonly Year[], year: Year): Year['periods'] => {
  const before = years.find(({ end }) => end.equals(dayBefore(year.start))) ?? year;
  return before.periods.filter(({ kind }) => kind === 'adjustment').slice(0, MOST_ADJUSTED);
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
        ...adjustmentsBefore(years, year).map(({ name }, at) => ({
          column: ADJUSTED + 1 + at,
          label: `${OF_IT}${name}`,
          // No day of a paper means a part of that day's close.
          end: '' as const,
        })),
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
    columns.find(({ end }) => end !== '' && days.includes(end)) ??
    columns.find(({ label }) => folded(label) === plain) ??
    columns.find(
      ({ column, end }) =>
        column !== LAST_YEAR &&
        end !== '' &&
        days.length === 0 &&
        (year === undefined || end.startsWith(year)) &&
        words.some((word) => word.length >= 3 && MONTHS[Number(end.slice(5, 7)) - 1]?.startsWith(word) === true),
    )
  )?.column;
};

/** Amounts by account and column, debit positive. */
export type Comparatives = ReadonlyMap<AccountId, ReadonlyMap<number, Minor>>;

/** The names of the adjustment periods of last year among the columns. */
export const adjustmentsOf = (columns: readonly ComparativeColumn[]): readonly string[] =>
  columns.filter(({ column }) => isAdjustment(column)).map(({ label }) => label.slice(OF_IT.length));

/** Whether anything of last year's close is of its adjustment periods. */
export const isAdjusted = (comparatives: Comparatives): boolean =>
  [...comparatives.values()].some((columns) => [...columns.keys()].some(isAdjustment));

/** What accounts closed last year at, with or without what its adjustment periods made of it; accounts at nil are left out. */
export const lastYearOf = (comparatives: Comparatives, adjusted: boolean): ReadonlyMap<AccountId, Minor> =>
  new Map(
    [...comparatives].flatMap(([account, columns]) => {
      let amount = columns.get(LAST_YEAR) ?? NIL;
      if (!adjusted) for (const [column, part] of columns) if (isAdjustment(column)) amount = subtract(amount, part);
      return amount === 0n ? [] : [[account, amount] as const];
    }),
  );

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
  const monthly = [...nets.keys()].some((column) => column !== LAST_YEAR && isCounted(column));
  const apart = new Map<AccountId, Minor>();
  if (monthly)
    for (const { id, classification, heading } of accounts) {
      if (heading) continue;
      let leads: Minor = NIL;
      for (const [column, amount] of comparatives.get(id) ?? [])
        if (isCounted(column) && (column !== LAST_YEAR || !isResult(typeOf(classification))))
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
