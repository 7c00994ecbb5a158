import { type Problem, type Result, fail, ok, problem } from '../result';
import { type PlainDate, before, dayBefore, monthName, writeDate } from './dates';

export const PERIOD_STATES = ['future', 'open', 'closed', 'locked'] as const;
export type PeriodState = (typeof PERIOD_STATES)[number];

/** A period with both ends inclusive. Periods of a year follow each other without gap or overlap. */
export interface Period {
  readonly code: string;
  readonly name: string;
  readonly start: PlainDate;
  readonly end: PlainDate;
}

export interface FiscalYear {
  readonly name: string;
  readonly start: PlainDate;
  readonly end: PlainDate;
  readonly periods: readonly Period[];
}

/**
 * A fiscal year of twelve months from `start`. Month boundaries fall on the start's day of the month, or on the last day
 * of a shorter month (31 Jan → 28 Feb → 31 Mar); each is counted from the year's start, so that they do not drift.
 * The year carries the calendar year it starts in, or both when it runs into a second ("2026/27"); a period carries the
 * month it starts in.
 */
export const monthlyYear = (start: PlainDate): FiscalYear => {
  const starts = Array.from({ length: 13 }, (_, months) => start.add({ months }, { overflow: 'constrain' }));
  const periods = starts.slice(0, 12).map((from, at): Period => {
    const next = starts[at + 1] ?? from;
    return {
      code: `P${String(at + 1).padStart(2, '0')}`,
      name: `${monthName(from.month)} ${from.year}`,
      start: from,
      end: dayBefore(next),
    };
  });
  const end = dayBefore(start.add({ months: 12 }, { overflow: 'constrain' }));
  const name =
    end.year === start.year ? String(start.year) : `${start.year}/${String(end.year % 100).padStart(2, '0')}`;
  return { name, start, end, periods: named(periods, start) };
};

/** Months that start on the 31st can share a month's name (1 Mar and 31 Mar); the second then takes its start date. */
const named = (periods: readonly Period[], start: PlainDate): readonly Period[] =>
  start.day <= 28
    ? periods
    : periods.map((period, at) =>
        period.name === periods[at - 1]?.name ? { ...period, name: `from ${writeDate(period.start)}` } : period,
      );

export const periodOf = <P extends Pick<Period, 'start' | 'end'>>(
  periods: readonly P[],
  date: PlainDate,
): P | undefined => periods.find((period) => !before(date, period.start) && !before(period.end, date));

/** The date at whose close the opening balances stand. */
export const openingDate = (cutover: PlainDate): PlainDate => dayBefore(cutover);

/** At a year start income and expense open at nil; in mid-year they open at their year-to-date figures. */
export const opensAtYearStart = (year: Pick<FiscalYear, 'start'>, cutover: PlainDate): boolean =>
  cutover.equals(year.start);

/** What is wrong with taking the books over on this date, or nothing. */
export const cutoverProblems = (
  year: {
    readonly start: PlainDate;
    readonly end: PlainDate;
    readonly periods: readonly Pick<Period, 'name' | 'start' | 'end'>[];
  },
  cutover: PlainDate,
  field = 'cutover',
): readonly Problem[] => {
  if (before(cutover, year.start) || before(year.end, cutover))
    return [
      problem(
        'cutover.outside-year',
        `${writeDate(cutover)} is outside the fiscal year, which runs from ${writeDate(year.start)} to ${writeDate(year.end)}. Choose the first day of one of its periods.`,
        field,
      ),
    ];
  const period = periodOf(year.periods, cutover);
  if (period !== undefined && !period.start.equals(cutover)) {
    const next = year.periods[year.periods.indexOf(period) + 1];
    return [
      problem(
        'cutover.inside-period',
        `${writeDate(cutover)} falls inside ${period.name}. A set of books takes over on a period’s first day: ${writeDate(period.start)}${next === undefined ? '' : ` or ${writeDate(next.start)}`}.`,
        field,
      ),
    ];
  }
  return [];
};

/** The states that a new year begins with: what the old system recorded is closed, the cutover period is open, the rest is to come. */
export const firstStates = (
  periods: readonly Pick<Period, 'start' | 'end'>[],
  cutover: PlainDate,
): readonly PeriodState[] =>
  periods.map((period) => (before(period.end, cutover) ? 'closed' : period.start.equals(cutover) ? 'open' : 'future'));

interface StatedPeriod {
  readonly name: string;
  readonly state: PeriodState;
  readonly end: PlainDate;
}

/**
 * Whether each of the periods may go to `to`. Periods before the cutover belong to the old system and stay closed;
 * a locked period stays locked.
 */
export const changeStates = (
  periods: readonly StatedPeriod[],
  to: PeriodState,
  cutover: PlainDate,
): Result<readonly StatedPeriod[]> => {
  const changed = periods.filter((period) => period.state !== to);
  const problems = changed.flatMap((period): Problem[] => {
    if (period.state === 'locked') return [problem('period.locked', `${period.name} is locked and stays as it is.`)];
    if (before(period.end, cutover) && to !== 'locked')
      return [
        problem(
          'period.before-cutover',
          `${period.name} lies before the cutover date (${writeDate(cutover)}): the old system holds its entries, so it stays closed.`,
        ),
      ];
    return [];
  });
  return problems.length > 0 ? fail(...problems) : ok(changed);
};
