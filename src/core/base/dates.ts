import { Temporal } from 'temporal-polyfill';
import { type DateStyle, MONTHS, monthName, writeStyled } from './date-style';
import type { IsoDate } from './iso-date';
import { type Result, fail, ok, problem, quoted } from './result';

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

/** Whether a text is a date, and nothing else beside it. */
export const isIsoDate = (text: string): text is IsoDate => text === text.trim() && readDate(text).ok;

/** A text as the date that it is; undefined where it is none. */
export const asIsoDate = (text: string): IsoDate | undefined => (isIsoDate(text) ? text : undefined);

/** The day, in UTC, of an instant in ISO 8601. */
export const dayOf = (instant: string): IsoDate => Temporal.PlainDate.from(instant.slice(0, 10)).toString();

/** A date that is already known to be one: from the database, or from code. */
export const plainDate = (iso: IsoDate): PlainDate => Temporal.PlainDate.from(iso);

/** The date of a year, month and day that exist. */
export const dateOf = (year: number, month: number, day: number): PlainDate => new Temporal.PlainDate(year, month, day);

export const before = (a: PlainDate, b: PlainDate): boolean => Temporal.PlainDate.compare(a, b) < 0;

export const dayBefore = (date: PlainDate): PlainDate => date.subtract({ days: 1 });

/**
 * @example daysInclusive(plainDate('2026-07-31'), plainDate('2026-08-01')) // 2
 */
export const daysInclusive = (start: PlainDate, end: PlainDate): number =>
  start.until(end, { largestUnit: 'days' }).days + 1;

/** `31 Jul 2026`: unambiguous in every country, and short. */
export const writeDate = (date: PlainDate): string => `${date.day} ${monthName(date.month)} ${date.year}`;

/**
 * Days since 1 January 1970 of a date written `YYYY-MM-DD`, for arithmetic over many dates
 * (the proleptic Gregorian calendar, counted in years that begin in March so that the leap day comes last).
 *
 * @example epochDay('1970-01-02') // 1
 */
export const epochDay = (iso: string): number => {
  const month = Number(iso.slice(5, 7));
  const year = Number(iso.slice(0, 4)) - (month <= 2 ? 1 : 0);
  const era = Math.floor(year / 400);
  const ofEra = year - era * 400;
  const ofYear = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + Number(iso.slice(8, 10)) - 1;
  return era * 146_097 + ofEra * 365 + Math.floor(ofEra / 4) - Math.floor(ofEra / 100) + ofYear - 719_468;
};

const LONG_MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;

export const longMonthName = (month: number): string => LONG_MONTHS[month - 1] ?? '';

/** ISO 8601: Monday is 1. */
export const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;
export const weekdayName = (weekday: number): string => WEEKDAYS[weekday - 1] ?? '';

/**
 * The instant at which a day begins somewhere, ISO in UTC; undefined where no such zone (IANA) is known.
 *
 * @example dayBegins(plainDate('2026-07-31'), 'Europe/Dublin') // '2026-07-30T23:00:00Z'
 */
export const dayBegins = (date: PlainDate, zone: string): string | undefined => {
  try {
    return date.toZonedDateTime(zone).toInstant().toString();
  } catch {
    return undefined;
  }
};

/**
 * A year of four digits; one of two is of this century up to 79.
 *
 * @example [fullYear('26'), fullYear('80'), fullYear('1999')] // ['2026', '1980', '1999']
 */
export const fullYear = (year: string): string =>
  year.length === 4 ? year : `${Number(year) < 80 ? '20' : '19'}${year}`;

/**
 * A date typed as the books write dates, with any separator, months by number or by name, years of two or four digits
 * (two are of this century up to 79); `YYYY-MM-DD` is always taken too. Strict otherwise: the 30th of February is refused.
 *
 * @example readStyled('1.6.19', { order: 'dmy', separator: '.', year: 4, month: 'number' }).value.toString() // '2019-06-01'
 */
export const readStyled = (text: string, style: DateStyle, field?: string): Result<PlainDate> => {
  const typed = text.trim();
  if (typed === '' || /^\d{4}-\d{1,2}-\d{1,2}$/.test(typed))
    return readDate(typed.replace(/-(\d)(?=-|$)/g, '-0$1'), field);
  const parts = typed.split(/[\s./-]+/).filter((part) => part !== '');
  const order = parts[0] !== undefined && parts[0].length === 4 ? 'ymd' : style.order;
  const part = (which: 'd' | 'm' | 'y'): string => parts[order.indexOf(which)] ?? '';
  const named = MONTHS.findIndex((month) => part('m').toLowerCase().startsWith(month.toLowerCase())) + 1;
  const [day, month, year] = [part('d'), named > 0 ? String(named) : part('m'), part('y')];
  if (parts.length !== 3 || !/^\d{1,2}$/.test(day) || !/^\d{1,2}$/.test(month) || !/^(\d{2}|\d{4})$/.test(year))
    return fail(
      problem(
        'date.unreadable',
        `${quoted(text)} is not a date. These books write dates like ${writeStyled('2026-07-31', style)}.`,
        field,
      ),
    );
  return readDate(`${fullYear(year)}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`, field);
};
