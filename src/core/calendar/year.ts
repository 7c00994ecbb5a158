import { type IsoDate } from '../base/iso-date';
import { type Problem, type Result, fail, ok, plural, problem, quoted } from '../base/result';
import { type PlainDate, before, dayBefore, daysInclusive, readDate } from '../base/dates';
import { dated, say } from '../base/sentence';
import { type Naming, PLAIN_NAMING, distinct, periodCode, periodName, yearName } from './naming';
import { CALENDAR_MONTHS, type Pattern, naturalEnd, naturalStart, patternShifted, periodEnds } from './pattern';

/** Regular periods divide the year; adjustment periods all stand on its last day, for entries that reports may leave out. */
export type PeriodKind = 'regular' | 'adjustment';

/** A period with both ends inclusive. Regular periods of a year follow each other without gap or overlap. */
export interface Period {
  readonly kind: PeriodKind;
  readonly code: string;
  readonly name: string;
  readonly start: PlainDate;
  readonly end: PlainDate;
}

export interface FiscalYear {
  readonly name: string;
  readonly start: PlainDate;
  readonly end: PlainDate;
  /** Regular periods in order, then adjustment periods. */
  readonly periods: readonly Period[];
}

/** What a year is made from; stored with it, so that the next one can be made alike. */
export interface YearPlan {
  readonly pattern: Pattern;
  readonly naming: Naming;
  readonly adjustments: 0 | 1 | 2 | 3;
}

export const PLAIN_PLAN: YearPlan = { pattern: CALENDAR_MONTHS, naming: PLAIN_NAMING, adjustments: 0 };

export const MOST_PERIODS = 60;
/** Company laws allow at most eighteen months for a first or changed year; two years is beyond any of them. */
export const LONGEST_DAYS = 731;
const UNUSUAL_DAYS = 549;

/** The plan for a first year that begins on this day: months that end where the year's end falls. */
export const planFrom = (start: PlainDate): YearPlan => {
  const endDay = start.day === 1 ? 31 : start.day - 1;
  return { ...PLAIN_PLAN, pattern: { kind: 'months', size: 1, endDay } };
};

/**
 * The fiscal year from `start` to `end` by the plan, named; without `end` it ends where the pattern ends it, with an
 * earlier or later one it is short or long. Problems: `year.backwards`, `year.long`, `year.periods`. `taken` are the names
 * of the other years, which the new one is told from.
 */
export const planYear = (
  plan: YearPlan,
  start: PlainDate,
  end: PlainDate = naturalEnd(plan.pattern, start),
  taken: Iterable<string> = [],
): Result<FiscalYear> => {
  if (before(end, start))
    return fail(
      problem('year.backwards', say`The year would end on ${dated(end)}, before it begins on ${dated(start)}.`, 'end'),
    );
  const days = daysInclusive(start, end);
  if (days > LONGEST_DAYS)
    return fail(
      problem(
        'year.long',
        say`From ${dated(start)} to ${dated(end)} are ${days} days; a fiscal year has at most ${LONGEST_DAYS}, two years. Divide it into several.`,
        'end',
      ),
    );
  const ends = periodEnds(plan.pattern, start, end);
  if (ends.length > MOST_PERIODS)
    return fail(
      problem('year.periods', `A year has at most ${MOST_PERIODS} periods; these would be ${ends.length}.`, 'end'),
    );
  const spans = ends.map((last, at) => ({
    start: at === 0 ? start : (ends[at - 1] ?? start).add({ days: 1 }),
    end: last,
  }));
  const names = distinct(spans.map((span, at) => periodName(plan.naming, at + 1, span.start, span.end)));
  const regular = spans.map((span, at): Period => ({
    kind: 'regular',
    code: periodCode(plan.naming, at + 1, start, end),
    name: names[at] ?? '',
    ...span,
  }));
  const adjustments = Array.from({ length: plan.adjustments }, (_, at): Period => ({
    kind: 'adjustment',
    code: `${periodCode(plan.naming, regular.length, start, end)}A${plan.adjustments === 1 ? '' : at + 1}`,
    name: plan.adjustments === 1 ? 'Adjustment' : `Adjustment ${at + 1}`,
    start: end,
    end,
  }));
  const [name = ''] = distinct([yearName(plan.naming, start, end)], taken);
  return ok({ name, start, end, periods: [...regular, ...adjustments] });
};

/** The first year of a set of books, of twelve periods that end where the year's end falls. */
export const firstYear = (start: PlainDate): FiscalYear => {
  const year = planYear(planFrom(start), start);
  if (!year.ok) throw new RangeError(`no year from ${start.toString()}: ${year.problems[0]?.message ?? ''}`);
  return year.value;
};

/** What a person should look at twice about a year that is allowed all the same. */
export const yearNotes = (year: Pick<FiscalYear, 'start' | 'end' | 'periods'>): readonly string[] => {
  const days = daysInclusive(year.start, year.end);
  const stub = year.periods.find((period) => period.kind === 'regular' && daysInclusive(period.start, period.end) < 7);
  return [
    ...(days > UNUSUAL_DAYS
      ? [`The year is longer than eighteen months (${days} days), which few company laws allow.`]
      : []),
    ...(days < 350
      ? [`A short year of ${plural(days, 'day')}.`]
      : days > 371 && days <= UNUSUAL_DAYS
        ? [`A long year of ${days} days.`]
        : []),
    ...(stub === undefined
      ? []
      : [
          `${stub.name} has only ${plural(daysInclusive(stub.start, stub.end), 'day')}; move its last day to join it with the next.`,
        ]),
  ];
};

/** The year after the given one, joined to it without a day between. */
export const yearAfter = (
  last: { readonly end: PlainDate },
  plan: YearPlan,
  taken: Iterable<string> = [],
): Result<FiscalYear> => planYear(plan, last.end.add({ days: 1 }), undefined, taken);

/** The year before the given one, ending on the day before it begins. */
export const yearBefore = (
  first: { readonly start: PlainDate },
  plan: YearPlan,
  taken: Iterable<string> = [],
): Result<FiscalYear> => {
  const end = dayBefore(first.start);
  return planYear(plan, naturalStart(plan.pattern, end), end, taken);
};

/** The plan that carries a year's choices on to the year after (1) or before (-1). */
export const planShifted = (plan: YearPlan, years: 1 | -1): YearPlan => ({
  ...plan,
  pattern: patternShifted(plan.pattern, years),
});

/** Last days listed by hand, one or several on a line, checked: each a date, in order, at most sixty. */
export const readEnds = (text: string, start: PlainDate): Result<readonly IsoDate[]> => {
  const ends: IsoDate[] = [];
  for (const word of text.split(/[\s,;]+/).filter((one) => one !== '')) {
    const read = readDate(word, 'ends');
    if (!read.ok) return read;
    const previous = ends.at(-1);
    if (before(read.value, start) || (previous !== undefined && word <= previous))
      return fail(
        problem(
          'ends.order',
          say`${quoted(word)} does not come after ${previous ?? say`the day before the year begins, ${dated(dayBefore(start))}`}. List the last days in order.`,
          'ends',
        ),
      );
    ends.push(read.value.toString());
  }
  if (ends.length === 0)
    return fail(problem('ends.missing', 'List the last day of each period, such as 2026-03-28.', 'ends'));
  return ends.length > MOST_PERIODS
    ? fail(problem('year.periods', `A year has at most ${MOST_PERIODS} periods; these are ${ends.length}.`, 'ends'))
    : ok(ends);
};

export const periodOf = <P extends Pick<Period, 'start' | 'end'>>(
  periods: readonly P[],
  date: PlainDate,
): P | undefined => periods.find((period) => !before(date, period.start) && !before(period.end, date));

/** The most characters of a period's code and name. */
export const PERIOD_CHARACTERS = { code: 20, name: 60 } as const;

export const isRegular = (period: { readonly kind: PeriodKind }): boolean => period.kind === 'regular';

/**
 * The quarter (1 to 4) of the regular period at a place (from 0) among so many; undefined where periods make no quarters.
 * Counted from the year's end, so that a short first year lacks its first months, not its last.
 *
 * @example [quarterOf(0, 12), quarterOf(0, 10), quarterOf(0, 13)] // [1, 1, undefined]
 */
export const quarterOf = (at: number, periods: number): number | undefined => {
  if (periods === 4) return at + 1;
  if (periods === 13 || periods < 3) return undefined;
  const quarter = 4 - Math.floor((periods - 1 - at) / 3);
  return quarter >= 1 ? quarter : undefined;
};

/** What breaks the law that regular periods divide the year and years join, over years in order; empty when nothing does. */
export const partitionProblems = (
  years: readonly {
    readonly name: string;
    readonly start: PlainDate;
    readonly end: PlainDate;
    readonly periods: readonly Period[];
  }[],
): readonly Problem[] =>
  years.flatMap((year, at): Problem[] => {
    const problems: Problem[] = [];
    const previous = years[at - 1];
    if (previous !== undefined && !previous.end.add({ days: 1 }).equals(year.start))
      problems.push(
        problem(
          'calendar.years-apart',
          say`${year.name} begins on ${dated(year.start)}, but ${previous.name} ends on ${dated(previous.end)}; years follow each other without a day between.`,
        ),
      );
    let expected = year.start;
    for (const period of year.periods.filter(isRegular)) {
      if (!period.start.equals(expected) || before(period.end, period.start))
        problems.push(
          problem(
            'calendar.gap',
            say`${period.name} of ${year.name} begins on ${dated(period.start)} and ends on ${dated(period.end)}; it should begin on ${dated(expected)} and end no earlier.`,
          ),
        );
      expected = period.end.add({ days: 1 });
    }
    if (!expected.equals(year.end.add({ days: 1 })))
      problems.push(
        problem(
          'calendar.gap',
          say`The periods of ${year.name} end on ${dated(dayBefore(expected))}, the year on ${dated(year.end)}.`,
        ),
      );
    for (const period of year.periods.filter((one) => !isRegular(one)))
      if (!period.start.equals(year.end) || !period.end.equals(year.end))
        problems.push(
          problem(
            'calendar.adjustment-day',
            say`${period.name} of ${year.name} is an adjustment period and stands on the year’s last day, ${dated(year.end)}.`,
          ),
        );
    const codes = year.periods.map((period) => period.code.toLowerCase());
    const twice = codes.find((code, place) => codes.indexOf(code) !== place);
    if (twice !== undefined)
      problems.push(
        problem('calendar.code-twice', `Two periods of ${year.name} have the code ${twice.toUpperCase()}.`),
      );
    return problems;
  });
