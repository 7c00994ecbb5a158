import { type Cell, type Row, type Table, textOf } from '../base/table';
import { accountsWithLines, codesOfTwo } from './arrange-lines';
import { accountsWithParts } from './arrange-parts';
import { headerScore } from './header';
import { type Column, lookOf, survey } from './survey';
import { isAmountTitle, titleOf } from './titles';

/**
 * How a table may lie when a line of it is not one account: on its side; two accounts a line, those at the left standing in debit
 * and those at the right in credit, or going on at the right; the name on one line and its figures on the next; an account with lines of
 * its own below it, or parts of which only the first has its code; its code in two columns; or going on on the other sheets.
 */
export const ARRANGEMENTS = [
  'turned',
  'two-sides',
  'two-beside',
  'two-lines',
  'with-lines',
  'with-parts',
  'two-codes',
  'all-sheets',
] as const;
export type Arrangement = (typeof ARRANGEMENTS)[number];

const WORD = /\p{L}{2}|[\p{sc=Han}\p{sc=Hangul}\p{sc=Katakana}\p{sc=Hiragana}]/u;
const isWord = (cell: Cell | undefined): boolean => lookOf(cell) === 'text' && WORD.test(textOf(cell));
/** An amount or a sign for nil, but no line drawn with dashes. */
const isFigure = (cell: Cell | undefined): boolean =>
  lookOf(cell) === 'amount' || (lookOf(cell) === 'nil' && textOf(cell).length < 3);
const isNumber = (cell: Cell | undefined): boolean => isFigure(cell) || lookOf(cell) === 'plain';
const isFilled = (cell: Cell | undefined): boolean => textOf(cell) !== '';
const filledIn = (row: Row): number => row.reduce((count, cell) => count + (isFilled(cell) ? 1 : 0), 0);
const widthOf = (rows: readonly Row[]): number => rows.reduce((widest, row) => Math.max(widest, row.length), 0);

/** Lines that a table on its side has at most: each is a column of it. */
const MOST_TURNED = 12;
/** A line with fewer cells is a title. */
const FEWEST_CELLS = 3;
/** Rows that are looked at before a table is taken for one of these. */
const LOOKED_AT = 400;
/** A shape that so many of the lines have is the table's. */
const MOSTLY = 0.6;

const share = (cells: readonly Cell[], is: (cell: Cell) => boolean): number =>
  cells.length === 0 ? 0 : cells.filter(is).length / cells.length;

/** Columns become rows; the titles above stay where they are. */
const turned = (rows: readonly Row[]): readonly Row[] | undefined => {
  if (rows.length > 60) return undefined;
  const first = rows.findIndex((row) => filledIn(row) >= FEWEST_CELLS);
  const lines = first < 0 ? [] : rows.slice(first).filter((row) => filledIn(row) >= FEWEST_CELLS);
  const width = widthOf(lines);
  if (lines.length < 2 || lines.length > MOST_TURNED || width <= lines.length + 1) return undefined;
  const behind = (row: Row): readonly Cell[] => row.slice(1).filter(isFilled);
  const names = lines.some((row) => share(behind(row), isWord) >= 0.8);
  const figures = lines.some((row) => share(behind(row), isNumber) >= 0.8 && !behind(row).some(isWord));
  if (!names || !figures) return undefined;
  const remarks = rows.slice(first).filter((row) => filledIn(row) > 0 && filledIn(row) < FEWEST_CELLS);
  return [
    ...rows.slice(0, first).map((row) => row.slice(0, row.findLastIndex(isFilled) + 1)),
    // A title groups no columns.
    ...(first > 0 ? [[]] : []),
    ...Array.from({ length: width }, (_, at) => lines.map((row) => row[at] ?? '')),
    ...remarks,
  ];
};

/** Numbers that are no codes. */
const areAmounts = ({ numbers, plain, codes }: Column): boolean => numbers > 0.6 && !(plain > 0.9 && codes > 0.9);

/** The first rows with figures. */
const withFigures = (rows: readonly Row[]): readonly Row[] => {
  const found: Row[] = [];
  for (const row of rows) {
    if (found.length === LOOKED_AT) break;
    if (row.some(isFigure)) found.push(row);
  }
  return found;
};

/** Where the right half begins, in a table with names, figures, names and figures again from left to right. */
const halfOf = (rows: readonly Row[]): number | undefined => {
  const columns = survey(withFigures(rows.slice(0, 5 * LOOKED_AT))).filter(({ filled }) => filled > 0);
  const left = columns.find(({ words }) => words > 0.5);
  const figures = columns.find((column) => left !== undefined && column.at > left.at && areAmounts(column));
  const right = columns.find(({ at, words }) => figures !== undefined && at > figures.at && words > 0.5);
  if (left === undefined || right === undefined) return undefined;
  const half = right.at - left.at;
  return columns.some(({ at, numbers }) => at > right.at && at < 2 * half && numbers > 0.6) ? half : undefined;
};

/**
 * The left half of each block of lines, then its right half. `sides` gives the figures of the right half a column of their own, as
 * credits, where each half has one.
 */
const halves = (rows: readonly Row[], sides: boolean): readonly Row[] | undefined => {
  const half = halfOf(rows);
  if (half === undefined) return undefined;
  const both = rows.map((row) => [row.slice(0, half), row.slice(half)] as const);
  const figures = survey(withFigures(both.slice(0, 5 * LOOKED_AT).flat()))
    .filter((column) => column.filled > 0 && areAmounts(column))
    .map(({ at }) => at);
  const [only] = figures;
  if (sides && (figures.length !== 1 || only === undefined)) return undefined;
  const width = widthOf(both.flat());
  const out: Row[] = [];
  let block: (typeof both)[number][] = [];
  let begun = false;
  const part = (row: Row, credit: boolean): Row => {
    if (!sides || only === undefined) return row;
    const own = Array.from({ length: width + 1 }, (_, at): Cell => row[at] ?? '');
    const cell = own[only] ?? '';
    // A title over the figures says nothing of the column that is made of them.
    const figure = lookOf(cell) === 'text' && isAmountTitle(titleOf(textOf(cell))) ? '' : cell;
    own[only] = credit ? '' : figure;
    own[width] = credit ? figure : '';
    return own;
  };
  const close = (): void => {
    if (!begun && sides && only !== undefined && block.some(([, right]) => right.some(isFigure))) {
      begun = true;
      // Titles stay above; those of the columns at the left are the columns' titles.
      const first = block.findIndex(([left, right]) => [...left, ...right].some(isFigure));
      const [last = []] = (first > 0 ? block[first - 1] : undefined) ?? [];
      const titles = filledIn(last) > 1 ? last : [];
      for (const [left, right] of block.slice(0, first))
        out.push([...left.map((cell, at) => (left === titles && at !== only ? '' : cell)), ...right]);
      out.push(
        Array.from({ length: width + 1 }, (_, at): Cell =>
          at === only ? 'Debit' : at === width ? 'Credit' : (titles[at] ?? ''),
        ),
      );
      block = block.slice(first);
    }
    for (const credit of [false, true])
      for (const [left, right] of block) {
        const row = credit ? right : left;
        if (filledIn(row) > 0) out.push(part(row, credit));
      }
    block = [];
  };
  for (const pair of both) {
    const [left, right] = pair;
    if (filledIn(left) + filledIn(right) > 0) block.push(pair);
    else {
      close();
      out.push([]);
    }
  }
  close();
  return out;
};

/** Each line of figures put behind the line of words before it. */
const joinedLines = (rows: readonly Row[]): readonly Row[] | undefined => {
  const figuresAlone = (row: Row): boolean =>
    row.some(isFigure) && row.every((cell) => !isFilled(cell) || isNumber(cell));
  const wordsAlone = (row: Row): boolean => row.some(isWord) && !row.some(isFigure) && headerScore(row) === 0;
  const joins = (at: number): boolean => figuresAlone(rows[at] ?? []) && wordsAlone(rows[at - 1] ?? []);
  const some = Array.from({ length: Math.min(rows.length, LOOKED_AT) }, (_, at) => at);
  const figures = some.filter((at) => (rows[at] ?? []).some(isFigure));
  const joining = some.filter(joins);
  if (joining.length < 3 || joining.length < figures.length * MOSTLY) return undefined;
  const last = (row: Row): number => row.findLastIndex(isFilled);
  const words = joining.reduce((most, at) => Math.max(most, last(rows[at - 1] ?? [])), 0) + 1;
  const free = joining.every((at) => (rows[at] ?? []).findIndex(isFilled) >= words);
  return rows.flatMap((row, at): readonly Row[] => {
    if (joins(at + 1)) return [];
    if (!joins(at)) return [free || !row.some(isFigure) ? row : [...Array<Cell>(words).fill(''), ...row]];
    const before = rows[at - 1] ?? [];
    return [[...Array.from({ length: words }, (_, place) => before[place] ?? ''), ...(free ? row.slice(words) : row)]];
  });
};

/** The rows of a table as they would stand if each were one account, or undefined where it does not lie so. */
const REARRANGED: Readonly<Record<Arrangement, (rows: readonly Row[]) => readonly Row[] | undefined>> = {
  turned,
  'two-sides': (rows) => halves(rows, true),
  'two-beside': (rows) => halves(rows, false),
  'two-lines': joinedLines,
  'with-lines': accountsWithLines,
  'with-parts': accountsWithParts,
  'two-codes': codesOfTwo,
  // What other sheets have is no table's own.
  'all-sheets': () => undefined,
};

const held = new WeakMap<Table, Map<Arrangement, Table | undefined>>();

/** A table with its rows rearranged, or undefined where it does not lie so. The same one each time it is asked for. */
export const arranged = (table: Table, arrangement: Arrangement): Table | undefined => {
  const own = held.get(table) ?? new Map<Arrangement, Table | undefined>();
  held.set(table, own);
  if (!own.has(arrangement)) {
    const rows = REARRANGED[arrangement](table.rows);
    // Its rows and columns are others, so it does not say where they stand.
    const { places: _, hidden: __, ...rest } = table;
    own.set(arrangement, rows === undefined ? undefined : { ...rest, rows });
  }
  return own.get(arrangement);
};

/** Rows up to which sheets are put below each other. */
const MOST_JOINED = 20_000;

const joined = new WeakMap<readonly Table[], Table>();

/** The sheets of a paper as one table, each below its name; undefined for a single one, and for very long ones. */
export const sheetsJoined = (tables: readonly Table[]): Table | undefined => {
  const known = joined.get(tables);
  if (known !== undefined) return known;
  const some = tables.filter(({ rows }) => rows.length > 0);
  if (some.length < 2 || some.reduce((sum, { rows }) => sum + rows.length, 0) > MOST_JOINED) return undefined;
  const table: Table = {
    name: some.map(({ name }) => name).join(' + '),
    rows: some.flatMap(({ name, rows }): readonly Row[] => [[name], ...rows]),
  };
  joined.set(tables, table);
  return table;
};

/** The table of a sheet as it lies under an arrangement; undefined where it does not lie so. */
export const lyingSo = (
  tables: readonly Table[],
  sheet: number,
  arrangement: Arrangement | undefined,
): Table | undefined => {
  const table = tables[sheet];
  if (table === undefined || arrangement === undefined) return undefined;
  return arrangement === 'all-sheets' ? sheetsJoined(tables) : arranged(table, arrangement);
};

/** The tables of a paper with the one that is read arranged as its reading says. */
export const tablesUnder = (
  tables: readonly Table[],
  { sheet, arrangement }: { readonly sheet: number; readonly arrangement?: Arrangement | undefined },
): readonly Table[] => {
  const other = lyingSo(tables, sheet, arrangement);
  return other === undefined ? tables : tables.map((one, at) => (at === sheet ? other : one));
};

/** What is said of a table that lies so. */
export const ARRANGED: Readonly<Record<Arrangement, string>> = {
  turned: 'The table lies on its side: its columns are read as rows.',
  'two-sides':
    'A line holds two accounts: those at the left are read as debits, those at the right as credits, one under the other.',
  'two-beside': 'A line holds two accounts: those at the right are read under those at the left.',
  'two-lines': 'The figures stand a line below their names: each two lines are read as one row.',
  'with-lines': 'Each account has lines of its own below it: they are read as one row.',
  'with-parts':
    'Each account has its code and name once, above or beside its parts: these are read as rows of it, or their sum is.',
  'two-codes': 'The codes stand in two columns: they are read as one.',
  'all-sheets': 'The sheets hold one balance together: they are read as one table, one below the other.',
};
