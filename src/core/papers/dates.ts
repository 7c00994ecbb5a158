import { fullYear, readDate } from '../base/dates';
import type { IsoDate } from '../base/iso-date';

/** How a file writes its days, when not as `YYYY-MM-DD`. */
export type DayOrder = 'dmy' | 'mdy';

/** Some part the days by a point and a blank: "15. 4. 2026". Behind a day may stand the time. */
const PARTS = /^(\d{1,4})(?:[./-]\s?|\s)(\d{1,2})(?:[./-]\s?|\s)(\d{1,4})\.?([T\s].*)?$/;

/** The parts of a day; a longer number behind them makes it one of an account: "20-11-88 44102291". */
const partsOf = (text: string): readonly (string | undefined)[] => {
  const [whole, first, second, third, behind = ''] = PARTS.exec(text.trim()) ?? [];
  return whole === undefined || /\d{5}/.test(behind) ? [] : [first, second, third];
};

/**
 * Whether a column of dates puts the day or the month first: by the first date in which one of the two is above twelve;
 * otherwise as proposed.
 */
export const dayOrderOf = (texts: readonly string[], proposed: DayOrder = 'dmy'): DayOrder => {
  for (const text of texts) {
    const [first = '', second = ''] = partsOf(text);
    if (first.length > 2) continue;
    if (Number(first) > 12) return 'dmy';
    if (Number(second) > 12) return 'mdy';
  }
  return proposed;
};

/** A date of a file as `YYYY-MM-DD`, or undefined when it is none. Two-digit years are of this century up to 2079. */
export const readFileDate = (text: string, order: DayOrder): IsoDate | undefined => {
  const [first = '', second = '', third = ''] = partsOf(text);
  if (first === '') return undefined;
  const [year, month, day] =
    first.length > 2 ? [first, second, third] : order === 'dmy' ? [third, second, first] : [third, first, second];
  if (day.length > 2 || (year.length !== 4 && year.length !== 2)) return undefined;
  const read = readDate(`${fullYear(year)}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`);
  return read.ok ? read.value.toString() : undefined;
};
