import { type Result, fail, ok, problem } from '../base/result';
import { type PlainDate, before } from '../base/dates';
import { type Sentence, dated, say } from '../base/sentence';
import { moveEnd } from './edit';
import type { Pattern } from './pattern';
import {
  type FiscalYear,
  type Period,
  type YearPlan,
  isRegular,
  planShifted,
  planYear,
  yearAfter,
  yearBefore,
} from './year';

/** A year of a calendar that is being changed and not taken yet; `id` is the year that stands in its place. */
export interface DraftYear extends FiscalYear {
  readonly id: number | null;
  readonly plan: YearPlan;
}

export type Draft = readonly DraftYear[];

const names = (years: Draft, but = -1): readonly string[] =>
  years.filter((_, at) => at !== but).map((year) => year.name);

const put = (years: Draft, at: number, year: DraftYear): Draft =>
  years.map((one, place) => (place === at ? year : one));

/** Redraws the years after `at` by their own plans, as far as their first days no longer join. */
const rejoin = (years: Draft, at: number, plan?: YearPlan): Result<Draft> => {
  let drawn = years;
  for (let place = at + 1; place < drawn.length; place += 1) {
    const [previous, own] = [drawn[place - 1], drawn[place]];
    if (previous === undefined || own === undefined) break;
    const start = previous.end.add({ days: 1 });
    if (plan === undefined && own.start.equals(start)) break;
    const next = planYear(plan ?? own.plan, start, undefined, names(drawn, place));
    if (!next.ok) return next;
    drawn = put(drawn, place, { ...next.value, id: own.id, plan: plan ?? own.plan });
  }
  return ok(drawn);
};

export interface YearChange {
  readonly plan: YearPlan;
  /** Only the first year of a calendar can begin on another day. */
  readonly start?: PlainDate;
  /** Without it the year ends where its pattern ends it. */
  readonly end?: PlainDate | undefined;
  /** Whether the years after it are divided alike. */
  readonly onward: boolean;
}

/** The calendar with one year divided otherwise; later years move along so that years still join. */
export const redrawYear = (years: Draft, at: number, change: YearChange): Result<Draft> => {
  const year = years[at];
  if (year === undefined) return fail(problem('year.unknown', 'There is no such year in this calendar any more.'));
  const start = at === 0 ? (change.start ?? year.start) : year.start;
  const drawn = planYear(change.plan, start, change.end, names(years, at));
  return drawn.ok
    ? rejoin(
        put(years, at, { ...drawn.value, id: year.id, plan: change.plan }),
        at,
        change.onward ? change.plan : undefined,
      )
    : drawn;
};

/** The calendar with so many more years at its end, divided like its last one. */
export const addAfter = (years: Draft, count: number): Result<Draft> => {
  let drawn = years;
  for (let made = 0; made < count; made += 1) {
    const last = drawn.at(-1);
    if (last === undefined) return fail(problem('year.unknown', 'There is no year to follow.'));
    const plan = planShifted(last.plan, 1);
    const next = yearAfter(last, plan, names(drawn));
    if (!next.ok) return next;
    drawn = [...drawn, { ...next.value, id: null, plan }];
  }
  return ok(drawn);
};

/** The calendar with one more year before its first, divided like it. */
export const addBefore = (years: Draft): Result<Draft> => {
  const [first] = years;
  if (first === undefined) return fail(problem('year.unknown', 'There is no year to precede.'));
  const plan = planShifted(first.plan, -1);
  const previous = yearBefore(first, plan, names(years));
  return previous.ok ? ok([{ ...previous.value, id: null, plan }, ...years]) : previous;
};

/** The calendar without its first or last year; a year between others stays, since years join. */
export const takeAway = (years: Draft, at: number): Result<Draft> =>
  years.length > 1 && (at === 0 || at === years.length - 1)
    ? ok(years.filter((_, place) => place !== at))
    : fail(
        problem(
          'year.between',
          'Only the first or the last of several years can be deleted: years follow each other without a day between.',
        ),
      );

/** The offer to move the last day of a regular period; taken, the year's days count as listed by hand. */
export const offerEnd = (
  years: Draft,
  at: number,
  place: number,
  to: PlainDate,
): Result<{ readonly years: Draft; readonly says: Sentence }> => {
  const year = years[at];
  if (year === undefined) return fail(problem('year.unknown', 'There is no such year in this calendar any more.'));
  const moved = moveEnd(year, place, to);
  if (!moved.ok) return moved;
  const ends = moved.value.year.periods.filter(isRegular).map((period) => period.end.toString());
  const listed: DraftYear = { ...year, ...moved.value.year, plan: { ...year.plan, pattern: { kind: 'list', ends } } };
  const next = years[at + 1];
  if (next !== undefined && !before(to, next.end) && moved.value.neighbour === undefined)
    return fail(
      problem(
        'year.swallows',
        `Nothing would be left of ${next.name}, which ends before that day. Choose an earlier one.`,
        'end',
      ),
    );
  const joined = rejoin(put(years, at, listed), at);
  return joined.ok ? ok({ years: joined.value, says: moved.value.says }) : joined;
};

/** The calendar with several last days of a year's regular periods put at once, by their places; names and codes stay. */
export const listEnds = (years: Draft, at: number, ends: ReadonlyMap<number, PlainDate>): Result<Draft> => {
  const year = years[at];
  if (year === undefined) return fail(problem('year.unknown', 'There is no such year in this calendar any more.'));
  const listed: Period[] = [];
  for (const period of year.periods.filter(isRegular)) {
    const start = listed.at(-1)?.end.add({ days: 1 }) ?? year.start;
    const end = ends.get(listed.length) ?? period.end;
    if (before(end, start))
      return fail(
        problem(
          'period.backwards',
          say`${period.name} would begin on ${dated(start)} and cannot end on ${dated(end)}. Give each period a later last day than the one before it.`,
          'end',
        ),
      );
    listed.push({ ...period, start, end });
  }
  const end = listed.at(-1)?.end ?? year.end;
  const pattern: Pattern = { kind: 'list', ends: listed.map((period) => period.end.toString()) };
  const others = year.periods.filter((one) => !isRegular(one)).map((one) => ({ ...one, start: end, end }));
  return rejoin(put(years, at, { ...year, end, periods: [...listed, ...others], plan: { ...year.plan, pattern } }), at);
};

/** The calendar with another name for a year, or another name or code for one of its periods. */
export const rename = (
  years: Draft,
  at: number,
  to: { readonly year: string } | { readonly place: number; readonly name?: string; readonly code?: string },
): Draft => {
  const year = years[at];
  if (year === undefined) return years;
  if ('year' in to) return put(years, at, { ...year, name: to.year });
  return put(years, at, {
    ...year,
    periods: year.periods.map((period, place) =>
      place === to.place ? { ...period, name: to.name ?? period.name, code: to.code ?? period.code } : period,
    ),
  });
};
