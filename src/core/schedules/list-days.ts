import { fullYear } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { folded } from '../base/folded';
import { readFileDate, type DayOrder } from '../papers/dates';
import { datesIn } from '../papers/dates-in';
import { lexicon } from '../words/lexicon';
import { monthOf } from '../words/months';

/** "20260630". */
export const COMPACT = /^(?:19|20)\d{2}(?:0[1-9]|1[0-2])(?:0[1-9]|[12]\d|3[01])$/;
/** Day, month and year as numbers, in any order. */
export const DATE_LIKE = /^\d{1,4}(?:[./-]\s?|\s)\d{1,2}(?:[./-]\s?|\s)\d{1,4}\.?$/;
const SHORT_WORDED = /^(\d{1,2})[-\s./]+(\p{L}{3,12})\.?[-\s./]+(\d{2})$/u;
/** "01DEC2025", as machines print it. */
const JOINED = /^(\d{1,2})(\p{L}{3,9})((?:\d{2}){1,2})$/u;

/** A longer text is no day alone. */
const MOST_DAY = 30;

/** The days that stand in titles as numbers, as they are written there. */
export const daysAmong = (titles: readonly string[]): readonly string[] =>
  titles.flatMap((title) => title.split(/[\s()]+/).filter((word) => /^\d{1,2}\D/.test(word) && DATE_LIKE.test(word)));

/** Days of the week, shortened to two or three letters. */
const WEEKDAY = lexicon(
  'mo, di, mi, do, fr, sa, so, mon, tue, wed, thu, fri, sat, sun, lu, ma, me, je, ve, di, lun, mar, mer, jeu, ven, sam, dim, jue, vie, sab, dom, gio, seg, ter, qua, qui, sex, ma, wo, za, zo, pn, wt, sr, cz, pt, po, ut, st, ct, pa, ne, man, tir, ons, tor, fre, lor, son, ti, ke, to, pe, la, su',
);

/** The number of a document in the series of a month: "FV 11/06/2026". */
const NUMBERED = /^(\p{Lu}{1,4})[\s/-]?\d/u;

/** "14-Mar-21", "14 March 2021": a day with its month's name, or in figures behind the day of the week. */
const wordedDay = (text: string): IsoDate | undefined => {
  if (!/\p{L}/u.test(text)) return undefined;
  const letters = NUMBERED.exec(text)?.[1];
  if (letters !== undefined && !WEEKDAY.is(folded(letters)) && monthOf(folded(letters)) === undefined) return undefined;
  const [, day, month, year] = SHORT_WORDED.exec(text) ?? JOINED.exec(text) ?? [];
  const whole = year === undefined ? text.replace(/[-.]/g, ' ') : `${day ?? ''} ${month ?? ''} ${fullYear(year)}`;
  const found = datesIn(whole);
  return found.length === 1 ? found[0] : undefined;
};

const mayBeDay = (text: string): boolean => text !== '' && text.length <= MOST_DAY;

const figuredDay = (text: string, order: DayOrder): IsoDate | undefined =>
  readFileDate(COMPACT.test(text) ? `${text.slice(0, 4)}-${text.slice(4, 6)}-${text.slice(6)}` : text, order);

/**
 * A day as a cell of a list has it, ISO; undefined where it is none.
 *
 * @example [dayOf('14-Mar-21', 'dmy'), dayOf('01DEC2025', 'dmy'), dayOf('20260630', 'dmy'), dayOf('03/04/2026', 'mdy')] // ['2021-03-14', '2025-12-01', '2026-06-30', '2026-03-04']
 */
export const dayOf = (text: string, order: DayOrder): IsoDate | undefined => {
  return mayBeDay(text) ? (figuredDay(text, order) ?? wordedDay(text)) : undefined;
};

/** A day in any order. */
export const isDay = (text: string): boolean =>
  mayBeDay(text) && (figuredDay(text, 'dmy') ?? figuredDay(text, 'mdy') ?? wordedDay(text)) !== undefined;
