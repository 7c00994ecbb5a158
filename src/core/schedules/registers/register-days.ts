import { dateOf, plainDate } from '../../base/dates';
import type { IsoDate } from '../../base/iso-date';
import { monthsIn } from '../../papers/dates-in';

/** A longer text is no month alone. */
const MOST_MONTH = 20;

/** A month as registers write it: "03/2019", "2019-03", "3.2019". */
const MONTH = /^(?:(0?[1-9]|1[0-2])[./-]((?:19|20)\d\d)|((?:19|20)\d\d)[./-](0?[1-9]|1[0-2]))$/;

/**
 * The first day of a month that stands without a day, ISO; undefined for any other text.
 *
 * @example [monthOf('3/2019'), monthOf('2019-11'), monthOf('Apr 2026'), monthOf('2019')] // ['2019-03-01', '2019-11-01', '2026-04-01', undefined]
 */
export const monthOf = (text: string): IsoDate | undefined => {
  const [, month, year, yearFirst, monthLast] = MONTH.exec(text) ?? [];
  const [whole, part] = [year ?? yearFirst, month ?? monthLast];
  if (whole !== undefined && part !== undefined) return dateOf(Number(whole), Number(part), 1).toString();
  const [named, ...others] = text.length <= MOST_MONTH && /\p{L}/u.test(text) ? monthsIn(text) : [];
  return named === undefined || others.length > 0 ? undefined : plainDate(named).with({ day: 1 }).toString();
};
