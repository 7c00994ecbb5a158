import { type Currency } from '../money/currency';
import { epochDay } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { folded } from '../base/folded';
import { type Cell, type Row, type Table, textOf } from '../base/table';
import { currenciesOfMark } from '../money/marks';
import type { Side } from '../money/minor';
import { NUMBER_STYLES, type NumberStyle } from '../money/number-style';
import { type PaperAmount, readPaperAmount, unitsOf } from '../money/paper-amount';
import type { DayOrder } from '../papers/dates';
import { datesIn } from '../papers/dates-in';
import { pairOfSides, sideReader } from '../papers/sides';
import { totalWords } from '../papers/total-words';
import { currencyColumns } from './list-amounts';
import { type Content, MONEY, type Role, best, contentOf, rolesOf } from './list-columns';
import { DATE_LIKE, dayOf, daysAmong, isDay } from './list-days';
import { type ListHeader, type Naming, findHeader, headerAbove, namesOf } from './list-header';
import { tellBeside } from './list-tell';
import { contactIn, hasCodes } from './list-whose';
import { HUNDREDTHS } from '../words/paper-words';
import { scalesOf } from './list-scale';
import type { Noughts } from '../papers/units';

/** A list with its columns found. */
export interface ListTable {
  readonly rows: readonly Row[];
  /** Place of the header's (last) row; what is above it are titles. */
  readonly header: number;
  readonly height: 1 | 2;
  readonly titles: readonly string[];
  readonly roles: readonly (Role | undefined)[];
  readonly style: NumberStyle;
  readonly order: DayOrder;
  /** Hardly a word in the header is known: what its columns are is told by what is in them alone. */
  readonly unnamed: boolean;
  /** The column of a balance that runs on from row to row. */
  readonly running: number | undefined;
  /** Columns that are called by a currency, each with what is open in it. */
  readonly inCurrency: ReadonlyMap<number, Currency>;
  /** The column of what is open, where its cells say the currency of each document: "€612.00", "NOK 14 500.00". */
  readonly marked: number | undefined;
  /** Columns whose amounts are in hundredths, by their names. */
  readonly hundredths: ReadonlySet<number>;
  /** Columns whose amounts leave noughts out, with how many. */
  readonly scales: ReadonlyMap<number, Noughts>;
  /** The names of contacts bear their codes. */
  readonly coded: boolean;
  /** On which side an amount stands, by the word in its column of sides. */
  readonly sideOf: (text: string) => Side | undefined;
  /** Whether the days themselves say which of day and month is first. */
  readonly ordered: boolean;
}

/** A list is judged by so many rows below its header. */
export const SAMPLE = 400;
/** Decimals in which amounts are compared before their currency is known. */
const FINEST = 4;

/** The currency that stands beside an amount; of several that a mark may mean, the usual one, and none where there is no such. */
export const currencyBeside = (text: string): Currency | undefined => {
  const mark = text.replace(/[\d.,'’()\s+–—-]/g, '');
  return mark === '' || UNTOLD.has(mark.toLowerCase()) ? undefined : currenciesOfMark(mark)[0];
};

/** Marks of several countries, none of which is meant more than the others. */
const UNTOLD: ReadonlySet<string> = new Set(['kr', 'rs', 'fr', 'r', 'ft', 'lei', '¥', '￥', '₨']);

/** The column that says a currency beside each amount, where they are not all in one. */
const markedColumn = (rows: readonly Row[], roles: readonly (Role | undefined)[]): number | undefined => {
  if (roles.includes('currency')) return undefined;
  const at = roles.includes('open') ? roles.indexOf('open') : roles.indexOf('original');
  const told = at < 0 ? [] : rows.map((row) => currencyBeside(textOf(row[at]))).filter((one) => one !== undefined);
  return new Set(told).size > 1 ? at : undefined;
};

/** A row with a day and an amount. */
const isDocument = (row: Row | undefined): boolean => {
  const texts = (row ?? []).map(textOf);
  const isMoney = (text: string): boolean =>
    !isDay(text) && (/\d[.,]\d{2}(?:\)?-?|\s?\p{L}{1,2})$/u.test(text) || /^-?\d{1,3}(?:[.,’' ]\d{3})+$/.test(text));
  return texts.some(isDay) && texts.some(isMoney);
};

/** Titles above a list without a header. */
const MOST_TITLES = 10;

/** Where a list without any header begins: above its first documents, and above whose they are. */
const unheaded = (rows: readonly Row[]): ListHeader | undefined => {
  const first = rows
    .slice(0, MOST_TITLES)
    .findIndex((row, at) => isDocument(row) && rows.slice(at + 1, at + 4).some(isDocument));
  if (first < 0) return undefined;
  const above = (rows[first - 1] ?? []).filter((cell) => textOf(cell) !== '');
  return { at: first - (above.length === 1 && first > 1 ? 2 : 1), height: 1 };
};

/** Texts of a column from a row on, as far as is looked at. */
const column = (rows: readonly Row[], from: number, at: number): readonly string[] =>
  rows.slice(from, from + SAMPLE).map((row) => textOf(row[at]));

const NONE: ReadonlySet<string> = new Set();

/** A line drawn below the header of a printed list. */
export const isRule = (row: Row): boolean => row.every((cell) => /^[-=_:\s]*$/.test(textOf(cell)));

/** Whether a column says on which side each amount stands. */
const isSides = (texts: readonly string[]): boolean => {
  const words = new Set(texts.filter((text) => text !== '').map(folded));
  return words.size === 2 && pairOfSides([...words]) !== undefined;
};

/** What columns are by their names, and by what stands in them beside each other. */
const settled = (
  rows: readonly Row[],
  from: number,
  found: readonly (Role | undefined)[],
  names: readonly string[],
  contents: readonly Content[],
): Pick<ListTable, 'roles' | 'running' | 'inCurrency'> => {
  const sample = rows.slice(from, from + SAMPLE);
  const inCurrency = currencyColumns(sample, found, names);
  const roles = found.map((role, column) => (inCurrency.has(column) ? undefined : role));
  const style = styleOf(
    rows,
    from,
    roles.map((role, column) => (inCurrency.has(column) ? 'open' : role)),
  );
  const sideAt = roles.indexOf('side');
  const sideOf = sideReader(sideAt < 0 ? [] : column(rows, from, sideAt));
  const units = (row: Row, column: number): bigint | undefined => unitsIn({ style }, row[column]);
  const { order } = orderOf(rows, from, roles, undefined, []);
  const day = (text: string): IsoDate | undefined => dayOf(text, order);
  const running = tellBeside({ roles, names, contents, sample, inCurrency, units, sideOf, day });
  return { roles, running, inCurrency };
};

const styleOf = (rows: readonly Row[], from: number, roles: readonly (Role | undefined)[]): NumberStyle => {
  const texts = roles.flatMap((role, at) => (role !== undefined && MONEY.has(role) ? column(rows, from, at) : []));
  const amounts = texts.filter((text) => /\d/.test(text) && !text.includes('%'));
  let most: { readonly style: NumberStyle; readonly score: number } | undefined;
  for (const style of NUMBER_STYLES) {
    // A style that reads decimals where the paper has them is the right one of two that read all.
    const score = amounts.reduce((sum, text) => {
      const read = readPaperAmount(text, style);
      return sum + (read === undefined ? 0 : read.scale === 2 ? 1.02 : read.scale === 0 ? 1.01 : 1);
    }, 0);
    if (most === undefined || score > most.score) most = { style, score };
  }
  return most?.style ?? '1,234.56';
};

/**
 * Whether the day or the month is first. Where no date says so by itself, the documents' days and due days do: payment is due after
 * the document, usually by the same number of days, and no document is of after the list's own day.
 */
const orderOf = (
  rows: readonly Row[],
  from: number,
  roles: readonly (Role | undefined)[],
  asAt: IsoDate | undefined,
  titles: readonly string[],
): { readonly order: DayOrder; readonly ordered: boolean } => {
  const dateAt = roles.indexOf('date');
  const dueAt = roles.indexOf('due');
  const all = [dateAt, dueAt]
    .flatMap((at) => (at < 0 ? [] : column(rows, from, at)))
    .filter((text) => DATE_LIKE.test(text));
  // Titles write their days as the rows do.
  for (const text of [...all, ...daysAmong(titles)]) {
    const [first = '', second = ''] = text.split(/[./\-\s]/);
    if (first.length > 2) return { order: 'dmy', ordered: true };
    if (Number(first) > 12) return { order: 'dmy', ordered: true };
    if (Number(second) > 12) return { order: 'mdy', ordered: true };
  }
  const badness = (order: DayOrder): number => {
    const last =
      asAt ??
      titles
        .flatMap((title) => datesIn(title, order))
        .sort()
        .at(-1);
    let bad = 0;
    const spans = new Map<number, number>();
    for (const row of rows.slice(from, from + SAMPLE)) {
      const day = dayOf(textOf(row[dateAt]), order);
      const due = dueAt < 0 ? undefined : dayOf(textOf(row[dueAt]), order);
      if (day !== undefined && last !== undefined && day > last) bad += 2;
      if (day === undefined || due === undefined) continue;
      const span = epochDay(due) - epochDay(day);
      if (span < 0 || span > 200) bad += 2;
      spans.set(span, (spans.get(span) ?? 0) + 1);
    }
    return bad + spans.size * 0.5;
  };
  const [dmy, mdy] = [badness('dmy'), badness('mdy')];
  return { order: mdy < dmy ? 'mdy' : 'dmy', ordered: mdy !== dmy || all.length === 0 };
};

/** The list in a table, its columns found by their names and by what is in them; undefined where no row names columns. */
export const listTable = (table: Table, asAt?: IsoDate, naming: Naming = best): ListTable | undefined => {
  const { rows } = table;
  const width = Math.min(
    60,
    rows.slice(0, SAMPLE).reduce((widest, row) => Math.max(widest, row.length), 0),
  );
  const named = findHeader(rows, width, naming);
  const unnamed = named === undefined;
  const below = named ?? headerAbove(rows, isDocument);
  const top = below ?? unheaded(rows);
  if (top === undefined) return undefined;
  // Of a list without a header, what stands above it names no column.
  const names = below === undefined ? Array.from({ length: width }, () => '') : namesOf(rows, top, width, naming);
  const from = top.at + 1;
  // The header stands on every page of a printed list.
  // A row of one cell is a heading between the documents.
  const body = rows
    .slice(from, from + SAMPLE)
    .filter((row) => row.filter((cell) => textOf(cell) !== '').length > 1 && !isRule(row));
  const dated = body.filter((row) => row.some((cell) => isDay(textOf(cell))));
  const contents = names.map((name, at) => {
    const content = contentOf(
      column(body, 0, at).filter(
        (text) => text !== name && text !== textOf(rows[from - 1]?.[at]) && totalWords(text, NONE) === 0,
      ),
    );
    // What stands where the days do, in rows without a day, is of another kind: "Balance of 70010".
    return content.dates === 0 || dated.length < 2
      ? content
      : { ...content, dates: Math.max(content.dates, contentOf(column(dated, 0, at)).dates) };
  });
  // Rows of one cell between the documents say whose those below are.
  const grouped = rows.slice(top.at + 1, top.at + 1 + SAMPLE).some((row) => contactIn(row.map(textOf)) !== undefined);
  const { roles, running, inCurrency } = settled(
    rows,
    from,
    rolesOf(names, contents, grouped).map((role, at) => role ?? (isSides(column(rows, from, at)) ? 'side' : undefined)),
    names,
    contents,
  );
  const titled = below === undefined ? top.at + 1 : top.at + 1 - top.height;
  const titles = rows.slice(0, Math.max(0, titled)).map((row) => row.map(textOf));
  return {
    rows,
    header: top.at,
    height: top.height,
    titles: titles.map((texts) => texts.filter((text) => text !== '').join('  ')).filter((text) => text !== ''),
    roles,
    unnamed,
    running,
    inCurrency,
    marked: inCurrency.size > 0 ? undefined : markedColumn(body, roles),
    hundredths: new Set(
      names.flatMap((name, at) =>
        HUNDREDTHS.in(folded(name)) === undefined || (contents[at]?.fractions ?? 1) > 0 ? [] : [at],
      ),
    ),
    scales: scalesOf(table, top.at, names, (at) => inCurrency.has(at) || MONEY.has(roles[at] ?? 'kind')),
    coded:
      !roles.includes('contactCode') &&
      hasCodes(column(body, 0, roles.indexOf('contactName')).filter((text) => totalWords(text, NONE) === 0)),
    style: styleOf(
      rows,
      from,
      roles.map((role, at) => (inCurrency.has(at) ? 'open' : role)),
    ),
    sideOf: sideReader(roles.includes('side') ? column(rows, from, roles.indexOf('side')) : []),
    ...orderOf(rows, from, roles, asAt, [...titles.flat(), ...names]),
  };
};

/** A day in a cell of the list. */
export const dayIn = ({ order }: Pick<ListTable, 'order'>, text: string): IsoDate | undefined => dayOf(text, order);

/** An amount in a cell of the list; undefined for an empty cell and for what is none. */
export const amountIn = ({ style }: Pick<ListTable, 'style'>, cell: Cell | undefined): PaperAmount | undefined => {
  if (cell !== undefined && typeof cell !== 'string') return readPaperAmount(cell.decimal, '1234.56');
  const text = textOf(cell);
  return /\d/.test(text) && !text.includes('%') ? readPaperAmount(text, style) : undefined;
};

/** An amount in a cell of the list in units of one size, by which amounts are compared; a credit is negative where its cell says so. */
export const unitsIn = (list: Pick<ListTable, 'style'>, cell: Cell | undefined): bigint | undefined => {
  const read = amountIn(list, cell);
  const amount = read === undefined ? undefined : unitsOf(read, FINEST, typeof cell === 'object')?.amount;
  return amount !== undefined && read?.side === 'credit' ? -amount : amount;
};
