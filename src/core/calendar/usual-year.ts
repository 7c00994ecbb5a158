import { type PlainDate, before, dateOf } from '../base/dates';

/** Month and day on which the fiscal years of most companies begin, by country; the first of January elsewhere. */
const BEGINS: readonly (readonly [month: number, day: number, countries: string])[] = [
  [3, 1, 'ZA,NA,SZ'],
  [3, 21, 'IR,AF'],
  [4, 1, 'GB,IN,JP,NZ,HK,GG,JE,IM'],
  [7, 1, 'AU,BD,BT,EG,PK'],
  [7, 8, 'ET'],
  [7, 16, 'NP'],
];

/**
 * The first day of the fiscal year, as most companies of the country have it, that holds a day. A proposal: every company may choose.
 *
 * @example [usualYearStart('IE', plainDate('2026-11-28')).toString(), usualYearStart('AU', plainDate('2026-02-01')).toString()] // ['2026-01-01', '2025-07-01']
 */
export const usualYearStart = (country: string, day: PlainDate): PlainDate => {
  const [month, first] = BEGINS.find(([, , countries]) => countries.split(',').includes(country)) ?? [1, 1];
  const start = dateOf(day.year, month, first);
  return before(day, start) ? start.subtract({ years: 1 }) : start;
};
