import { readDate } from '../base/dates';
import { folded } from '../base/folded';
import { type Cell, type Row, type Table, textOf } from '../base/table';
import { datesIn } from '../papers/dates-in';
import { monthOf } from '../words/months';
import { DATE_LIKE, isDay } from './list-days';

/** "1 Mar", "01.03.", "3/1": a day that leaves its year to the title. */
const NUMERIC = /^(\d{1,2})([./-])(\d{1,2})\2?$/;
const WORDED = /^(\d{1,2})\.?[\s-]?(\p{L}{3,12})\.?$/u;
/** Titles of so many rows say the year. */
const MOST_TITLES = 20;
/** So few days tell nothing of a column. */
const FEWEST = 2;

interface Day {
  readonly first: number;
  readonly second: number;
  readonly worded: boolean;
}

const dayIn = (cell: Cell | undefined): Day | undefined => {
  const text = textOf(cell);
  const [, one, , other] = NUMERIC.exec(text) ?? [];
  if (one !== undefined && other !== undefined) return { first: Number(one), second: Number(other), worded: false };
  const [, day, name = ''] = WORDED.exec(text) ?? [];
  const month = monthOf(folded(name));
  return day === undefined || month === undefined ? undefined : { first: Number(day), second: month, worded: true };
};

/** The day in the year in which it is not after the last day that the titles name; undefined where there is no such day. */
const inYear = (month: number, day: number, last: string): string | undefined => {
  const year = Number(last.slice(0, 4));
  return [year, year - 1]
    .map((one) => `${String(one)}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`)
    .find((iso) => iso <= last && readDate(iso).ok);
};

/** For each row the year that stands alone in a row above it, if any. */
const yearsAlone = (rows: Table['rows']): readonly (string | undefined)[] => {
  let year: string | undefined;
  return rows.map((row) => {
    const [first, ...others] = row.map(textOf).filter((text) => text !== '');
    if (others.length === 0 && first !== undefined && /^(?:19|20)\d\d$/.test(first)) year = first;
    return year;
  });
};

/**
 * A table whose days leave out the year, with the year that its titles say: a statement of 1 December 2025 to 5 January 2026 has its
 * "3 Jan" in the later one. A year in a row of its own is that of the days below it. As it is where its days have years, or nothing names one.
 */
export const withYears = (table: Table): Table => {
  const width = table.rows.reduce((widest, row) => Math.max(widest, row.length), 0);
  const isWhole = (row: Row): boolean => row.some((cell) => DATE_LIKE.test(textOf(cell)) && isDay(textOf(cell)));
  const short = (row: Row): boolean => row.some((cell) => dayIn(cell) !== undefined);
  // Beside days with their years, "8.25" is an amount.
  const whole = table.rows.filter((row) => short(row) && isWhole(row)).length;
  if (whole * 2 > table.rows.filter(short).length) return table;
  const columns = Array.from({ length: width }, (_, at) => at).filter((at) => {
    const cells = table.rows.map((row) => row[at]);
    // Titles and the header stand in the column too, above the first day, and remarks between the days.
    const filled = cells.slice(cells.findIndex((cell) => dayIn(cell) !== undefined)).filter((cell) => textOf(cell) !== ''); // prettier-ignore
    const days = filled.filter((cell) => dayIn(cell) !== undefined);
    return days.length >= FEWEST && days.length * 2 >= filled.length;
  });
  const last = table.rows
    .slice(0, MOST_TITLES)
    .filter((row) => columns.every((at) => dayIn(row[at]) === undefined))
    .flatMap((row) => datesIn(row.map(textOf).join(' ')))
    .sort()
    .at(-1);
  const years = yearsAlone(table.rows);
  if (columns.length === 0 || (last === undefined && years.every((year) => year === undefined))) return table;
  const days = table.rows.flatMap((row) => columns.flatMap((at) => dayIn(row[at]) ?? []));
  const monthFirst = days.some(({ second, worded }) => !worded && second > 12);
  return {
    ...table,
    rows: table.rows.map((row, place) =>
      row.map((cell, at) => {
        const day = columns.includes(at) ? dayIn(cell) : undefined;
        if (day === undefined) return cell;
        const [first, second] = monthFirst && !day.worded ? [day.second, day.first] : [day.first, day.second];
        const year = years[place];
        return inYear(second, first, year === undefined ? (last ?? '') : `${year}-12-31`) ?? cell;
      }),
    ),
  };
};
