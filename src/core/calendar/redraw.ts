import { type Problem, type Result, fail, ok, problem } from '../base/result';
import { cutoverProblems } from './cutover';
import { type PlainDate, before, plainDate } from '../base/dates';
import { dated, say } from '../base/sentence';
import type { StatedPeriod, StatedYear } from './file';
import { type PeriodState, statesAfterMove } from './states';
import { type Period, type YearPlan, isRegular, partitionProblems, periodOf } from './year';

export interface StandingYear extends Omit<StatedYear, 'periods'> {
  readonly id: number;
  readonly periods: readonly (StatedPeriod & { readonly id: number })[];
}

export interface WantedYear {
  /** The year it replaces; null for a new one. */
  readonly id: number | null;
  readonly name: string;
  readonly plan: YearPlan;
  /** A state is given when a calendar is brought from a file; otherwise it follows from what stands. */
  readonly periods: readonly (Period & { readonly state?: PeriodState | undefined })[];
}

export interface Redrawing {
  /** Years that go, with their periods. */
  readonly remove: readonly number[];
  /** Years whose regular periods keep their days: the same rows, by id, get other names, codes, states and adjustments. */
  readonly rename: readonly { readonly id: number; readonly year: StatedYear; readonly regular: readonly number[] }[];
  readonly insert: readonly StatedYear[];
}

/** The state of a period of a redrawn year: what lies before the cutover is closed, the rest is as the day it ends on was. */
const carriedState = (period: Period, old: readonly StatedPeriod[], cutover: PlainDate): PeriodState => {
  if (before(period.end, cutover)) return 'closed';
  const takesOver = period.kind === 'regular' && !before(cutover, period.start);
  const was = periodOf(old, takesOver ? cutover : period.end);
  return was === undefined || before(was.end, cutover) || was.state === 'locked'
    ? takesOver
      ? 'open'
      : 'future'
    : was.state;
};

const sameDays = (a: readonly Period[], b: readonly Period[]): boolean =>
  a.length === b.length &&
  a.every((one, at) => b[at] !== undefined && one.start.equals(b[at].start) && one.end.equals(b[at].end));

/**
 * What putting a whole calendar in the place of the standing one does, once it keeps every law: periods divide years, years
 * join, names and codes are told apart, the cutover date is a regular period's first day, and what is posted (`posted` has
 * the ids of such periods) or locked keeps its days. With `from`, the cutover date moves from there to `cutover` in the same step,
 * and states follow it.
 */
export const redraw = (
  old: readonly StandingYear[],
  wanted: readonly WantedYear[],
  {
    cutover,
    from = cutover,
    posted,
  }: { readonly cutover: PlainDate; readonly from?: PlainDate; readonly posted: ReadonlySet<number> },
): Result<Redrawing> => {
  const problems: Problem[] = [];
  const oldPeriods = old.flatMap((year) => year.periods);
  const byId = new Map(old.map((year) => [year.id, year]));
  const years = wanted.map((want) => {
    const regular = want.periods.filter(isRegular);
    const was = want.id === null ? undefined : byId.get(want.id);
    const wasRegular = was?.periods.filter(isRegular) ?? [];
    const keeps = was !== undefined && sameDays(regular, wasRegular);
    const ordered = [...regular, ...want.periods.filter((one) => !isRegular(one))];
    const stated = ordered.map(({ state, ...period }, at): StatedPeriod => ({
      ...period,
      // A period that keeps its days keeps its state too, unless a file says otherwise; a locked one always.
      state:
        keeps && wasRegular[at]?.state === 'locked'
          ? 'locked'
          : (state ?? (keeps ? wasRegular[at]?.state : undefined) ?? carriedState(period, oldPeriods, cutover)),
    }));
    const moved = from.equals(cutover) ? undefined : statesAfterMove(stated, from, cutover);
    const year: StatedYear = {
      name: want.name,
      plan: want.plan,
      start: regular[0]?.start ?? plainDate('1950-01-01'),
      end: regular.at(-1)?.end ?? plainDate('1950-01-01'),
      periods: stated.map((period, at) => ({ ...period, state: moved?.[at] ?? period.state })),
    };
    if (regular.length === 0)
      problems.push(problem('calendar.year-empty', `${want.name} has no regular period. Give it at least one.`));
    for (const period of year.periods)
      if (before(period.end, cutover) && (period.state === 'open' || period.state === 'future'))
        problems.push(
          problem(
            'period.before-cutover',
            say`${period.name} of ${want.name} is ${period.state}, but lies before the cutover date (${dated(cutover)}), so it is closed or locked.`,
          ),
        );
    return { year, was, regular: keeps ? wasRegular.map(({ id }) => id) : undefined };
  });
  problems.push(...partitionProblems(years.map(({ year }) => year)));
  const names = years.map(({ year }) => year.name);
  const twice = names.find((name, at) => names.indexOf(name) !== at);
  if (twice !== undefined)
    problems.push(problem('calendar.year-name', `Two fiscal years are called ${twice}. Give one another name.`));
  const holding = years
    .map(({ year }) => year)
    .find((year) => !before(cutover, year.start) && !before(year.end, cutover));
  problems.push(
    ...(holding === undefined
      ? [
          problem(
            'cutover.outside-year',
            say`The cutover date, ${dated(cutover)}, would lie in no fiscal year. Keep its year, or choose another cutover date with this calendar.`,
          ),
        ]
      : cutoverProblems({ ...holding, periods: holding.periods.filter(isRegular) }, cutover)),
  );
  const kept = new Map(
    years.flatMap(({ year, was, regular }) => (was !== undefined && regular !== undefined ? [[was.id, year]] : [])),
  );
  for (const year of old) {
    const now = kept.get(year.id);
    const held = year.periods.find(
      (period) =>
        (posted.has(period.id) || period.state === 'locked') &&
        (now === undefined ||
          (!isRegular(period) && !now.periods.some((one) => !isRegular(one) && one.code === period.code))),
    );
    if (held !== undefined)
      problems.push(
        problem(
          'calendar.year-held',
          `${held.name} of ${year.name} ${posted.has(held.id) ? 'has posted entries' : 'is locked'}, so the days of that year’s periods stay as they are. Names and codes can still change.`,
        ),
      );
  }
  if (problems.length > 0) return fail(...problems);
  return ok({
    remove: old.filter(({ id }) => !kept.has(id)).map(({ id }) => id),
    rename: years.flatMap(({ year, was, regular }) =>
      was === undefined || regular === undefined ? [] : [{ id: was.id, year, regular }],
    ),
    insert: years.filter(({ regular }) => regular === undefined).map(({ year }) => year),
  });
};
