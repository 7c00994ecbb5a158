import { epochDay } from '../base/dates';
import { folded } from '../base/folded';
import { type Cell, type Row, type Table, textOf } from '../base/table';
import type { Side } from '../money/minor';
import { NUMBER_STYLES, type NumberStyle } from '../money/number-style';
import { type PaperAmount, readPaperAmount, unitsOf } from '../money/paper-amount';
import type { DayOrder } from '../papers/dates';
import { datesIn } from '../papers/dates-in';
import { headerTexts } from '../papers/header';
import { pairOfSides, sideReader } from '../papers/sides';
import { totalWords } from '../papers/total-words';
import { currencyColumns, tellBeside } from './list-beside';
import { type Content, MONEY, type Role, best, contentOf, rolesOf } from './list-columns';
import { DATE_LIKE, dayOf, isDay } from './list-days';

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
  readonly inCurrency: ReadonlyMap<number, string>;
  /** On which side an amount stands, by the word in its column of sides. */
  readonly sideOf: (text: string) => Side | undefined;
  /** Whether the days themselves say which of day and month is first. */
  readonly ordered: boolean;
}

/** A header stands within so many rows from the top, and is judged by so many below it. */
const MOST_HEADER = 120;
const SAMPLE = 400;
/** Decimals in which amounts are compared before their currency is known. */
const FINEST = 4;

/** A row with days or figures of its own is no header, nor a part of one. */
const hasFigures = (row: Row | undefined): boolean =>
  (row ?? []).map(textOf).some((text) => isDay(text) || /^[-(]?[\d\s.,'’]+[.,]\d{2}\)?-?$/.test(text));

/** So many rows below a header have days and amounts, where no word in it is known. */
const ROWS_BELOW = 2;

/**
 * The row above the first rows with a day and an amount each, where it has none itself and about as many cells: the names of columns,
 * in whatever language.
 */
const headerAbove = (
  rows: readonly Row[],
): { readonly at: number; readonly height: 1; readonly score: number } | undefined => {
  const isDocument = (row: Row | undefined): boolean => {
    const texts = (row ?? []).map(textOf);
    const isMoney = (text: string): boolean =>
      !isDay(text) && (/\d[.,]\d{2}(?:\)?-?|\s?\p{L}{1,2})$/u.test(text) || /^-?\d{1,3}(?:[.,’' ]\d{3})+$/.test(text));
    return texts.some(isDay) && texts.some(isMoney);
  };
  const filled = (row: Row | undefined): number => (row ?? []).filter((cell) => textOf(cell) !== '').length;
  const at = rows
    .slice(0, MOST_HEADER)
    .findIndex(
      (row, place) =>
        filled(row) >= 3 &&
        !hasFigures(row) &&
        rows.slice(place + 1, place + 1 + ROWS_BELOW).filter(isDocument).length === ROWS_BELOW &&
        filled(row) >= filled(rows[place + 1]) - 1,
    );
  return at < 0 ? undefined : { at, height: 1, score: 0 };
};

/** Whether a row may be the upper one of a header: a line of the title has a number or a day of its own. */
const isUpper = (row: Row | undefined): boolean =>
  !hasFigures(row) && !(row ?? []).some((cell) => textOf(cell).replace(/\D/g, '').length >= 6);

/** How much a row looks like the names of columns. */
const headerScore = (texts: readonly string[]): number => {
  const filled = texts.filter((text) => text !== '');
  if (filled.length < 2) return 0;
  const scores = filled.map(best);
  const known = scores.filter((score) => score >= 1.4).length;
  return known < 2 ? 0 : scores.reduce((sum, score) => sum + score, 0) - (filled.length - known) * 0.8;
};

/** Names of columns, of a header two rows high too: where the lower one says more by itself, what stands over it is left. */
const namesOf = (rows: readonly Row[], at: number, height: 1 | 2, width: number): readonly string[] =>
  headerTexts(rows, at, height, width).map((name, column) => {
    const own = textOf(rows[at]?.[column]);
    return own !== '' && best(own) >= best(name) ? own : name;
  });

/** Texts of a column from a row on, as far as is looked at. */
const column = (rows: readonly Row[], from: number, at: number): readonly string[] =>
  rows.slice(from, from + SAMPLE).map((row) => textOf(row[at]));

const NONE: ReadonlySet<string> = new Set();

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
  const units = (row: Row, column: number): bigint | undefined => {
    const read = amountIn({ style }, row[column]);
    const amount = read === undefined ? undefined : unitsOf(read, FINEST, typeof row[column] === 'object')?.amount;
    return amount !== undefined && read?.side === 'credit' ? -amount : amount;
  };
  const running = tellBeside({ roles, names, contents, sample, inCurrency, units, sideOf });
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
  asAt: string | undefined,
  titles: readonly string[],
): { readonly order: DayOrder; readonly ordered: boolean } => {
  const dateAt = roles.indexOf('date');
  const dueAt = roles.indexOf('due');
  const all = [dateAt, dueAt]
    .flatMap((at) => (at < 0 ? [] : column(rows, from, at)))
    .filter((text) => DATE_LIKE.test(text));
  // Titles write their days as the rows do.
  const stated = titles.flatMap((title) =>
    title.split(/\s+/).filter((word) => /^\d{1,2}\D/.test(word) && DATE_LIKE.test(word)),
  );
  for (const text of [...all, ...stated]) {
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
export const listTable = (table: Table, asAt?: string): ListTable | undefined => {
  const { rows } = table;
  const width = Math.min(
    60,
    rows.slice(0, SAMPLE).reduce((widest, row) => Math.max(widest, row.length), 0),
  );
  let top: { readonly at: number; readonly height: 1 | 2; readonly score: number } | undefined;
  for (let at = 0; at < Math.min(MOST_HEADER, rows.length); at += 1)
    for (const height of [1, 2] as const) {
      if (height === 2 && (at === 0 || (rows[at - 1] ?? []).filter((cell) => textOf(cell) !== '').length < 2)) continue;
      const own = (rows[at] ?? []).filter((cell) => textOf(cell) !== '');
      if (own.length < 2 || hasFigures(rows[at]) || (height === 2 && !isUpper(rows[at - 1]))) continue;
      const score = headerScore(namesOf(rows, at, height, width)) - (height === 2 ? 1.5 : 0);
      if (score > 0 && (top === undefined || score > top.score + 0.001)) top = { at, height, score };
    }
  const unnamed = top === undefined;
  top ??= headerAbove(rows);
  if (top === undefined) return undefined;
  const names = namesOf(rows, top.at, top.height, width);
  const from = top.at + 1;
  // The header stands on every page of a printed list.
  // A row of one cell is a heading between the documents.
  const body = rows.slice(from, from + SAMPLE).filter((row) => row.filter((cell) => textOf(cell) !== '').length > 1);
  const contents = names.map((name, at) =>
    contentOf(
      column(body, 0, at).filter(
        (text) => text !== name && text !== textOf(rows[from - 1]?.[at]) && totalWords(text, NONE) === 0,
      ),
    ),
  );
  const { roles, running, inCurrency } = settled(
    rows,
    from,
    rolesOf(names, contents).map((role, at) => role ?? (isSides(column(rows, from, at)) ? 'side' : undefined)),
    names,
    contents,
  );
  const titles = rows.slice(0, top.at + 1 - top.height).map((row) => row.map(textOf));
  return {
    rows,
    header: top.at,
    height: top.height,
    titles: titles.map((texts) => texts.filter((text) => text !== '').join('  ')).filter((text) => text !== ''),
    roles,
    unnamed,
    running,
    inCurrency,
    style: styleOf(
      rows,
      from,
      roles.map((role, at) => (inCurrency.has(at) ? 'open' : role)),
    ),
    sideOf: sideReader(roles.includes('side') ? column(rows, from, roles.indexOf('side')) : []),
    ...orderOf(rows, from, roles, asAt, titles.flat()),
  };
};

/** A day in a cell of the list. */
export const dayIn = ({ order }: Pick<ListTable, 'order'>, text: string): string | undefined => dayOf(text, order);

/** An amount in a cell of the list; undefined for an empty cell and for what is none. */
export const amountIn = ({ style }: Pick<ListTable, 'style'>, cell: Cell | undefined): PaperAmount | undefined => {
  if (cell !== undefined && typeof cell !== 'string') return readPaperAmount(cell.decimal, '1234.56');
  const text = textOf(cell);
  return /\d/.test(text) && !text.includes('%') ? readPaperAmount(text, style) : undefined;
};
