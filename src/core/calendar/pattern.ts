import { type PlainDate, before, dateOf, dayBefore, longMonthName, plainDate, weekdayName } from '../base/dates';
import type { IsoDate } from '../base/iso-date';

export const WEEK_GROUPS = ['4-4-5', '4-5-4', '5-4-4', 'thirteen-fours'] as const;
export type WeekGroups = (typeof WEEK_GROUPS)[number];

/**
 * How a fiscal year is divided into periods. Plain data, stored with the year.
 *
 * - `months`: periods of one, three or six months that end on `endDay`, or on the last day of a shorter month; 31 means
 *   calendar months. Three and six are counted back from the year's end, so that a short first year has a short first period.
 * - `weeks`: whole weeks in a year that ends on `weekday` (ISO 8601, Monday is 1), the last one in `month` or the one
 *   nearest to that month's end. Such a year has 52 or 53 weeks; the 53rd lengthens period `extraIn` (counted from 1).
 * - `list`: last days written down by hand, `YYYY-MM-DD`, the last one ending the year.
 */
export type Pattern =
  | { readonly kind: 'months'; readonly size: 1 | 3 | 6; readonly endDay: number }
  | {
      readonly kind: 'weeks';
      readonly groups: WeekGroups;
      readonly weekday: number;
      readonly rule: 'last' | 'nearest';
      readonly month: number;
      readonly extraIn: number;
    }
  | { readonly kind: 'list'; readonly ends: readonly IsoDate[] };

export type WeekPattern = Extract<Pattern, { kind: 'weeks' }>;

export const CALENDAR_MONTHS: Pattern = { kind: 'months', size: 1, endDay: 31 };

/**
 * Weeks of each period of a 52-week year.
 *
 * @example weeksOf('4-4-5') // [4, 4, 5, 4, 4, 5, 4, 4, 5, 4, 4, 5]
 */
export const weeksOf = (groups: WeekGroups): readonly number[] =>
  groups === 'thirteen-fours'
    ? Array.from({ length: 13 }, () => 4)
    : Array.from({ length: 4 }, () => groups.split('-').map(Number)).flat();

const monthEnd = (year: number, month: number, endDay = 31): PlainDate => {
  const first = dateOf(year, month, 1);
  return first.with({ day: Math.min(endDay, first.daysInMonth) });
};

/** The last day of the 52/53-week year that ends in or around the month of that calendar year. */
export const weekYearEnd = ({ weekday, rule, month }: WeekPattern, year: number): PlainDate => {
  const last = monthEnd(year, month);
  const back = (last.dayOfWeek - weekday + 7) % 7;
  return rule === 'nearest' && back > 3 ? last.add({ days: 7 - back }) : last.subtract({ days: back });
};

/** The periods' last days of the natural 52/53-week year that ends in the given calendar year. */
const weekEnds = (pattern: WeekPattern, year: number): readonly PlainDate[] => {
  const lastOfPrevious = weekYearEnd(pattern, year - 1);
  const weeks = lastOfPrevious.until(weekYearEnd(pattern, year), { largestUnit: 'days' }).days / 7;
  const extra = weeks - 52;
  let end = lastOfPrevious;
  return weeksOf(pattern.groups).map((count, at) => {
    end = end.add({ days: 7 * (count + (at + 1 === pattern.extraIn ? extra : 0)) });
    return end;
  });
};

/** Whether the date ends a year by the pattern's own rule. */
const endsWeekYear = (pattern: WeekPattern, date: PlainDate): boolean =>
  [date.year - 1, date.year, date.year + 1].some((year) => weekYearEnd(pattern, year).equals(date));

/** Where the pattern itself puts ends of months or periods, from `from` to `to`, both included. */
const gridEnds = (pattern: Pattern, from: PlainDate, to: PlainDate): readonly PlainDate[] => {
  const inside = (date: PlainDate): boolean => !before(date, from) && !before(to, date);
  switch (pattern.kind) {
    case 'months': {
      const months = (to.year - from.year) * 12 + to.month - from.month + 1;
      return Array.from({ length: Math.max(0, months) }, (_, at) => {
        const month = from.month - 1 + at;
        return monthEnd(from.year + Math.floor(month / 12), (month % 12) + 1, pattern.endDay);
      }).filter(inside);
    }
    case 'weeks':
      return Array.from({ length: to.year - from.year + 3 }, (_, at) => weekEnds(pattern, from.year - 1 + at))
        .flat()
        .filter(inside);
    case 'list':
      return pattern.ends.map(plainDate).filter(inside);
  }
};

/** Last days of the periods of a year from `start` to `end`; the last one is `end`. */
export const periodEnds = (pattern: Pattern, start: PlainDate, end: PlainDate): readonly PlainDate[] => {
  const units = [...gridEnds(pattern, start, end.subtract({ days: 1 })), end];
  if (pattern.kind !== 'months' || pattern.size === 1) return units;
  return units.filter((_, at) => (units.length - 1 - at) % pattern.size === 0);
};

/** A date a year on or back; the last day of a month stays the last day. */
const shifted = (date: PlainDate, years: number): PlainDate => {
  const moved = date.add({ years }, { overflow: 'constrain' });
  return date.day === date.daysInMonth ? moved.with({ day: moved.daysInMonth }) : moved;
};

/**
 * The day on which a year that begins on `start` ends by the pattern: the twelfth month end; or the week rule's day, which
 * for a start off the rule is the one nearest to 52 weeks on; or the last of the listed days.
 */
export const naturalEnd = (pattern: Pattern, start: PlainDate): PlainDate => {
  switch (pattern.kind) {
    case 'months':
      return gridEnds(pattern, start, start.add({ months: 14 }))[11] ?? dayBefore(start.add({ years: 1 }));
    case 'weeks': {
      const wanted = start.add({ days: 363 });
      const near = [wanted.year - 1, wanted.year, wanted.year + 1].map((year) => weekYearEnd(pattern, year));
      const away = (date: PlainDate): number => Math.abs(wanted.until(date, { largestUnit: 'days' }).days);
      return near.reduce((best, date) => (away(date) < away(best) ? date : best));
    }
    case 'list': {
      const last = pattern.ends.at(-1);
      return last === undefined ? dayBefore(start.add({ years: 1 })) : plainDate(last);
    }
  }
};

/** The day on which a year that ends on `end` begins by the pattern: the mirror of `naturalEnd`. */
export const naturalStart = (pattern: Pattern, end: PlainDate): PlainDate => {
  switch (pattern.kind) {
    case 'months': {
      const earlier = gridEnds(pattern, end.subtract({ months: 14 }), dayBefore(end));
      return (earlier.at(-12) ?? shifted(end, -1)).add({ days: 1 });
    }
    case 'weeks': {
      const wanted = end.subtract({ days: 364 });
      const near = [wanted.year - 1, wanted.year, wanted.year + 1].map((year) => weekYearEnd(pattern, year));
      const away = (date: PlainDate): number => Math.abs(wanted.until(date, { largestUnit: 'days' }).days);
      return near.reduce((best, date) => (away(date) < away(best) ? date : best)).add({ days: 1 });
    }
    case 'list':
      return shifted(end, -1).add({ days: 1 });
  }
};

/** The pattern for the year after or before: days listed by hand move by a year, every other rule stays as it is. */
export const patternShifted = (pattern: Pattern, years: number): Pattern =>
  pattern.kind === 'list'
    ? { kind: 'list', ends: pattern.ends.map((end) => shifted(plainDate(end), years).toString()) }
    : pattern;

/** Which period of the year holds the 53rd week (counted from 1), or undefined when the year has none by its rule. */
export const extraWeekOf = (pattern: Pattern, start: PlainDate, end: PlainDate): number | undefined =>
  pattern.kind === 'weeks' &&
  endsWeekYear(pattern, end) &&
  endsWeekYear(pattern, dayBefore(start)) &&
  start.until(end, { largestUnit: 'days' }).days === 370
    ? pattern.extraIn
    : undefined;

/** The pattern in words. */
export const describePattern = (pattern: Pattern): string => {
  switch (pattern.kind) {
    case 'months': {
      const size = { 1: 'months', 3: 'quarters', 6: 'half-years' }[pattern.size];
      return pattern.endDay === 31 ? `calendar ${size}` : `${size} that end on day ${pattern.endDay}`;
    }
    case 'weeks': {
      const groups = pattern.groups === 'thirteen-fours' ? 'thirteen periods of four weeks' : `${pattern.groups} weeks`;
      const day = weekdayName(pattern.weekday);
      const month = longMonthName(pattern.month);
      return `${groups}, ending on the ${pattern.rule === 'last' ? `last ${day} in ${month}` : `${day} nearest to the end of ${month}`}`;
    }
    case 'list':
      return 'last days written by hand';
  }
};
