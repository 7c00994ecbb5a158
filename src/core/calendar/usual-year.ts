import { type PlainDate, before, plainDate } from '../base/dates';

/** Month and day on which the fiscal years of most companies begin, by country; the first of January elsewhere. */
const BEGINS: readonly (readonly [day: string, countries: string])[] = [
  ['03-01', 'ZA,NA,SZ'],
  ['03-21', 'IR,AF'],
  ['04-01', 'GB,IN,JP,NZ,HK,GG,JE,IM'],
  ['07-01', 'AU,BD,BT,EG,PK'],
  ['07-08', 'ET'],
  ['07-16', 'NP'],
];

/**
 * The first day of the fiscal year, as most companies of the country have it, that holds a day. A proposal: every company may choose.
 *
 * @example [usualYearStart('IE', plainDate('2026-11-28')).toString(), usualYearStart('AU', plainDate('2026-02-01')).toString()] // ['2026-01-01', '2025-07-01']
 */
export const usualYearStart = (country: string, day: PlainDate): PlainDate => {
  const begins = BEGINS.find(([, countries]) => countries.split(',').includes(country))?.[0] ?? '01-01';
  const start = plainDate(`${String(day.year)}-${begins}`);
  return before(day, start) ? start.subtract({ years: 1 }) : start;
};
