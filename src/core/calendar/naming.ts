import { monthName } from '../base/date-style';
import { type PlainDate, daysInclusive, longMonthName } from '../base/dates';

/** How years and periods are named, chosen part by part. Stored with the year that was named so. */
export interface Naming {
  /** Which calendar year names a fiscal year that runs through two. */
  readonly yearBy: 'start' | 'end' | 'both';
  readonly yearPrefix: string;
  readonly yearSeparator: '/' | '-' | ' ';
  /** Digits of the year; with `both`, of the second one. */
  readonly yearDigits: 2 | 4;
  readonly codePrefix: string;
  readonly codeWidth: 1 | 2 | 3;
  /** Whether the year's digits stand before the period's code, which then is unique over all years: "2026-P01". */
  readonly codeYear: boolean;
  readonly periodBy: 'month' | 'number';
  readonly periodPrefix: string;
  readonly monthNames: 'short' | 'long' | 'number';
  readonly monthYear: boolean;
}

export const PLAIN_NAMING: Naming = {
  yearBy: 'both',
  yearPrefix: '',
  yearSeparator: '/',
  yearDigits: 2,
  codePrefix: 'P',
  codeWidth: 2,
  codeYear: false,
  periodBy: 'month',
  periodPrefix: 'Period ',
  monthNames: 'short',
  monthYear: true,
};

const year = (of: number, digits: 2 | 4): string =>
  digits === 2 ? String(of % 100).padStart(2, '0') : String(of).padStart(4, '0');

/** "2026/27", "FY 2027", "26": the name of the year that runs from `start` to `end`. */
export const yearName = (naming: Naming, start: PlainDate, end: PlainDate): string => {
  const { yearPrefix, yearSeparator, yearDigits, yearBy } = naming;
  if (yearBy === 'both')
    return `${yearPrefix}${start.year}${end.year === start.year ? '' : `${yearSeparator}${year(end.year, yearDigits)}`}`;
  return `${yearPrefix}${year(yearBy === 'start' ? start.year : end.year, yearDigits)}`;
};

/** The code of the period at that place (from 1) in the year that ends on `yearEnd`. */
export const periodCode = (naming: Naming, place: number, start: PlainDate, end: PlainDate): string => {
  const own = `${naming.codePrefix}${String(place).padStart(naming.codeWidth, '0')}`;
  return naming.codeYear ? `${year(naming.yearBy === 'start' ? start.year : end.year, 4)}-${own}` : own;
};

/** The month in which a span has its middle: 26 Jul to 25 Aug is August. */
const middle = (start: PlainDate, end: PlainDate): PlainDate =>
  start.add({ days: Math.floor((daysInclusive(start, end) - 1) / 2) });

const month = (date: PlainDate, naming: Naming): string =>
  naming.monthNames === 'number'
    ? String(date.month).padStart(2, '0')
    : naming.monthNames === 'long'
      ? longMonthName(date.month)
      : monthName(date.month);

/** The name of a period, by its place in the year or by the month or months it covers. */
export const periodName = (naming: Naming, place: number, start: PlainDate, end: PlainDate): string => {
  if (naming.periodBy === 'number') return `${naming.periodPrefix}${place}`;
  const join = naming.monthNames === 'number' ? '-' : ' ';
  const named = (date: PlainDate): string =>
    !naming.monthYear
      ? month(date, naming)
      : naming.monthNames === 'number'
        ? `${date.year}${join}${month(date, naming)}`
        : `${month(date, naming)}${join}${date.year}`;
  if (daysInclusive(start, end) <= 45) return named(middle(start, end));
  // A period of several months is named by the first and the last of them.
  const first = middle(start, start.add({ days: 29 }));
  const last = middle(end.subtract({ days: 29 }), end);
  const from =
    naming.monthYear && first.year === last.year && naming.monthNames !== 'number'
      ? month(first, naming)
      : named(first);
  return `${from}–${named(last)}`;
};

/**
 * Names made distinct in their order: the second "Mar 2026" becomes "Mar 2026 (2)".
 *
 * @example distinct(['P1', 'P1'], ['P2']) // ['P1', 'P1 (2)']
 */
export const distinct = (names: readonly string[], taken: Iterable<string> = []): readonly string[] => {
  const seen = new Set(taken);
  return names.map((name) => {
    let own = name;
    for (let count = 2; seen.has(own); count += 1) own = `${name} (${count})`;
    seen.add(own);
    return own;
  });
};
