import { fullYear, readDate } from '../base/dates';

/** How a file writes its days, when not as `YYYY-MM-DD`. */
export type DayOrder = 'dmy' | 'mdy';

/** Some part the days by a point and a blank: "15. 4. 2026". */
const PARTS = /^(\d{1,4})(?:[./-]\s?|\s)(\d{1,2})(?:[./-]\s?|\s)(\d{1,4})\.?(?:[T\s].*)?$/;

/**
 * Whether a column of dates puts the day or the month first: by the first date in which one of the two is above twelve;
 * otherwise as proposed.
 */
export const dayOrderOf = (texts: readonly string[], proposed: DayOrder = 'dmy'): DayOrder => {
  for (const text of texts) {
    const [, first = '', second = ''] = PARTS.exec(text.trim()) ?? [];
    if (first.length > 2) continue;
    if (Number(first) > 12) return 'dmy';
    if (Number(second) > 12) return 'mdy';
  }
  return proposed;
};

/** A date of a file as `YYYY-MM-DD`, or undefined when it is none. Two-digit years are of this century up to 2079. */
export const readFileDate = (text: string, order: DayOrder): string | undefined => {
  const [, first = '', second = '', third = ''] = PARTS.exec(text.trim()) ?? [];
  if (first === '') return undefined;
  const [year, month, day] =
    first.length > 2 ? [first, second, third] : order === 'dmy' ? [third, second, first] : [third, first, second];
  if (day.length > 2 || (year.length !== 4 && year.length !== 2)) return undefined;
  const read = readDate(`${fullYear(year)}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`);
  return read.ok ? read.value.toString() : undefined;
};
