import { epochDay, plainDate } from '../../base/dates';
import type { IsoDate } from '../../base/iso-date';
import { textOf, type Cell, type Row, type Table } from '../../base/table';
import { NUMBER_STYLES, type NumberStyle } from '../../money/number-style';
import { type PaperAmount, readPaperAmount, unitsOf } from '../../money/paper-amount';
import type { DayOrder } from '../../papers/dates';
import { datesIn, monthsIn } from '../../papers/dates-in';
import { totalWords } from '../../papers/total-words';
import { COMPACT, DATE_LIKE, dayOf, daysAmong, isDay } from '../list-days';
import { type ListHeader, findHeader, headerAbove, namesOf } from '../list-header';
import { scalesOf } from '../list-scale';
import { SAMPLE, isRule } from '../list-table';
import type { Noughts } from '../../papers/units';
import { type Columns, columnsOf } from './register-columns';
import { bestOf, isDayRole, isMoneyRole } from './register-roles';
import { FINEST, type Figures } from './register-sums';
import { monthOf } from './register-days';
import type { RegisterKind } from './register-words';
import { unitBehind } from './unit-behind';

/** A list of single things with its columns found. */
export interface RegisterTable extends Columns {
  readonly rows: readonly Row[];
  readonly header: ListHeader;
  readonly titles: readonly string[];
  readonly headings: readonly string[];
  readonly style: NumberStyle;
  readonly order: DayOrder;
  /** Whether the days themselves say which of day and month is first. */
  readonly ordered: boolean;
  /** Decimals of its amounts. */
  readonly digits: number;
  /** Columns whose amounts leave noughts out, with how many. */
  readonly scales: ReadonlyMap<number, Noughts>;
}

const NONE: ReadonlySet<string> = new Set();
const WIDEST = 60;
/** Titles above a list without a header. */
const MOST_TITLES = 10;
/** Rows by which columns are told. */
const TRIED = 120;

/** A figure in a cell; undefined for an empty cell, a percentage, and for what is none. */
export const figureIn = (cell: Cell | undefined, style: NumberStyle): PaperAmount | undefined => {
  if (cell !== undefined && typeof cell !== 'string') return readPaperAmount(cell.decimal, '1234.56');
  const text = textOf(cell);
  if (/[-–—]/.test(text) && !/\d/.test(text)) return text.length <= 3 ? { coefficient: 0n, scale: 0 } : undefined;
  if (!/\d/.test(text) || text.includes('%')) return undefined;
  const { figure, unit } = unitBehind(text);
  return readPaperAmount(text, style) ?? (unit === '' ? undefined : readPaperAmount(figure, style));
};

const isFigure = (text: string): boolean =>
  /\d/.test(text) && !isDay(text) && NUMBER_STYLES.some((style) => readPaperAmount(text, style) !== undefined);

/** A row with a text and two figures, or a day and two figures: one of a list in whatever language. */
const isListed = (row: Row | undefined): boolean => {
  const texts = (row ?? []).map(textOf);
  const says = texts.some((text) => isDay(text) || (/\p{L}{2}/u.test(text) && !isFigure(text)));
  return says && texts.filter(isFigure).length >= 2;
};

/** Where a list without any header begins: above the first rows that are all of it. */
const unheaded = (rows: readonly Row[]): ListHeader | undefined => {
  const first = rows.slice(0, MOST_TITLES).findIndex((_, place) => rows.slice(place, place + 2).filter(isListed).length === 2); // prettier-ignore
  return first < 0 ? undefined : { at: first - 1, height: 1 };
};

/** The style in which most figures with decimals or groups read. */
const styleOf = (body: readonly Row[]): NumberStyle => {
  const texts = body.flatMap(
    (row) =>
    row.flatMap((cell) => (typeof cell === 'string' && /\d[.,'’ \u00a0\u202f]\d/.test(cell) && !isDay(cell.trim()) ? [cell.trim()] : [])), // prettier-ignore
  );
  let most: { readonly style: NumberStyle; readonly score: number } | undefined;
  for (const style of NUMBER_STYLES) {
    const score = texts.reduce((sum, text) => {
      const read = readPaperAmount(text, style);
      // Three decimals are groups of thousands sooner, where nothing else tells; "0.125" is none.
      return (
        sum + (read === undefined ? 0 : read.scale === 2 ? 1.1 : read.scale === 3 && !/^\D*0/.test(text) ? 0.99 : 1)
      );
    }, 0);
    if (most === undefined || score > most.score) most = { style, score };
  }
  return most?.style ?? '1,234.56';
};

/** Payments of a plan lie so many days apart at least, but for those of each week. */
const APART = 27;

/**
 * Whether day or month is first: by any day that can be read in one way only, of the rows or of a title, in a plan by how far its payments lie apart; day first
 * where nothing says so.
 */
const orderOf = (
  texts: readonly string[],
  titles: readonly string[],
  planned: boolean,
): { readonly order: DayOrder; readonly ordered: boolean } => {
  // prettier-ignore
  const parted = texts.filter((text) => DATE_LIKE.test(text) && !COMPACT.test(text));
  for (const text of [...parted, ...daysAmong(titles)]) {
    const [first = '', second = ''] = text.split(/[./\-\s]/);
    if (first.length > 2 || Number(first) > 12) return { order: 'dmy', ordered: true };
    if (Number(second) > 12) return { order: 'mdy', ordered: true };
  }
  const apart = (order: DayOrder): boolean => {
    const days = parted.flatMap((text) => dayOf(text, order) ?? []).map((day) => epochDay(day));
    return days.length > 2 && days.every((day, at) => at === 0 || day - (days[at - 1] ?? day) >= APART);
  };
  const [dmy, mdy] = planned ? [apart('dmy'), apart('mdy')] : [false, false];
  if (dmy !== mdy) return { order: mdy ? 'mdy' : 'dmy', ordered: true };
  // Days parted by points have the day first wherever they are written so.
  return { order: 'dmy', ordered: parted.every((text) => text.includes('.')) };
};

/** The decimals of the list's amounts: those that most figures have, of a currency's two or three. */
const digitsOf = (figures: readonly (readonly (PaperAmount | undefined)[])[], columns: readonly number[]): number => {
  const scales = figures.flatMap((row) => columns.flatMap((column) => row[column]?.scale ?? []));
  const most = scales.reduce((largest, scale) => Math.max(largest, scale), 0);
  return most <= 3 ? most : 2;
};

/** The list of a kind in a table; undefined where no row names its columns and none of its figures bears another out. */
export const registerTable = (
  table: Table,
  kind: RegisterKind,
  levels: readonly string[] = [],
): RegisterTable | undefined => {
  const { rows } = table;
  const width = Math.min(
    WIDEST,
    rows.slice(0, SAMPLE).reduce((widest, row) => Math.max(widest, row.length), 0),
  );
  const naming = bestOf(kind);
  const header = findHeader(rows, width, naming) ?? headerAbove(rows, isListed) ?? unheaded(rows);
  if (header === undefined) return undefined;
  const own = namesOf(rows, header, width, naming);
  // The last title names no column.
  const headings = (rows[header.at] ?? []).filter((cell) => textOf(cell) !== '').length > 1 ? own : own.map(() => '');
  const names = new Set(headings);
  // A row of one cell is a heading; sums, rules and what is printed on every page tell nothing of what a column is.
  const narrow = headings.filter((text) => text !== '').length === 2 ? 1 : 2;
  const listed = rows.slice(header.at + 1, header.at + 1 + SAMPLE).filter((row) => {
    const texts = row.map(textOf).filter((text) => text !== '');
    return texts.length > narrow && !isRule(row) && texts.filter((text) => names.has(text)).length * 2 <= texts.length;
  });
  const things = listed.filter((row) => row.every((cell) => totalWords(textOf(cell), NONE) === 0));
  // Things may be called "Sum board" and "Total station", all of them.
  const body = (things.length > 0 ? things : listed).slice(0, TRIED);
  if (body.length === 0) return undefined;
  // Sums are the largest figures: where nothing else is parted into thousands, they may be.
  const style = styleOf(rows.slice(header.at + 1, header.at + 1 + SAMPLE));
  const read = body.map((row) =>
    headings.map((_, column) => (isDay(textOf(row[column])) ? undefined : figureIn(row[column], style))),
  );
  const figures = read.map((row): Figures =>
    row.map((one) => (one === undefined ? undefined : unitsOf(one, FINEST)?.amount)),
  );
  const all = headings.map((_, column) => column);
  const fewest = all.map((column) => digitsOf(read, [column])).filter((digits) => digits > 0);
  const unit = 10n ** BigInt(FINEST - (fewest.length === 0 ? 0 : Math.min(...fewest)));
  const columns = columnsOf(kind, headings, body, figures, unit, levels);
  const money = columns.roles.flatMap((role, column) =>
    role !== undefined && isMoneyRole(kind, role) ? [column] : [],
  );
  const days = columns.roles.flatMap((role, column) =>
    role !== undefined && (isDayRole(role) || role === 'disposed') ? body.map((row) => textOf(row[column])) : [],
  );
  return {
    ...columns,
    rows,
    header,
    headings,
    titles: rows
      .slice(0, Math.max(0, header.at + 1 - header.height))
      .map((row) =>
        row
          .map(textOf)
          .filter((text) => text !== '')
          .join('  '),
      ) // prettier-ignore
      .filter((text) => text !== ''),
    style,
    digits: digitsOf(read, money),
    scales: scalesOf(table, header.at, headings, (at) => money.includes(at)),
    ...orderOf(
      days,
      [...rows.slice(0, Math.max(0, header.at)).flatMap((row) => row.map(textOf)), ...headings],
      kind === 'loans',
    ),
  };
};

/** A day in a cell of the list. */
export const dayIn = ({ order }: Pick<RegisterTable, 'order'>, text: string): IsoDate | undefined =>
  dayOf(text, order) ?? monthOf(text);

/** The first and the last of the days that a cell tells: "1/2/2026 – 31/1/2027". */
export const spanIn = (
  { order }: Pick<RegisterTable, 'order'>,
  text: string,
): readonly [IsoDate, IsoDate] | undefined => {
  const days = [...datesIn(text, order)].sort();
  const [first, last] = [days[0], days.at(-1)];
  // "January 2026" is the whole of it.
  const months = days.length === 0 ? [...monthsIn(text)].sort() : [];
  const [begin, end] = [months[0], months.at(-1)];
  if (begin !== undefined && end !== undefined) return [plainDate(begin).with({ day: 1 }).toString(), end];
  return first === undefined || last === undefined || days.length < 2 ? undefined : [first, last];
};
