import { Temporal } from 'temporal-polyfill';
import { type Result, fail, ok, problem, quoted } from '../result';

export type PlainDate = Temporal.PlainDate;

export const EARLIEST_YEAR = 1950;
export const LATEST_YEAR = 2150;

/** A calendar date from `YYYY-MM-DD` (ISO 8601), strictly: "2026-02-30" and "1.8.2026" are refused with a sentence. */
export const readDate = (text: string, field?: string): Result<PlainDate> => {
  const trimmed = text.trim();
  if (trimmed === '') return fail(problem('date.missing', 'A date is needed here.', field));
  if (!/^\d{4}-\d{2}-\d{2}$/.test(trimmed))
    return fail(
      problem('date.unreadable', `${quoted(text)} is not a date. Dates are year-month-day, such as 2026-08-01.`, field),
    );
  let date: PlainDate;
  try {
    date = Temporal.PlainDate.from(trimmed, { overflow: 'reject' });
  } catch {
    return fail(problem('date.impossible', `${quoted(text)} does not exist in the calendar.`, field));
  }
  if (date.year < EARLIEST_YEAR || date.year > LATEST_YEAR)
    return fail(problem('date.far', `${quoted(text)} is outside ${EARLIEST_YEAR} to ${LATEST_YEAR}.`, field));
  return ok(date);
};

/** A date that is already known to be one: from the database, or from code. */
export const plainDate = (iso: string): PlainDate => Temporal.PlainDate.from(iso);

export const before = (a: PlainDate, b: PlainDate): boolean => Temporal.PlainDate.compare(a, b) < 0;

export const dayBefore = (date: PlainDate): PlainDate => date.subtract({ days: 1 });

export const daysInclusive = (start: PlainDate, end: PlainDate): number =>
  start.until(end, { largestUnit: 'days' }).days + 1;

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;

export const monthName = (month: number): string => MONTHS[month - 1] ?? '';

/** `31 Jul 2026`: unambiguous in every country, and short. */
export const writeDate = (date: PlainDate): string => `${date.day} ${monthName(date.month)} ${date.year}`;
