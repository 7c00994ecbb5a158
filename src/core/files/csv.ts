import { type Result, fail, ok, plural, problem } from '../base/result';
import type { Table, TextFormat } from '../base/table';
import { cleaned, isClean } from './clean';
import { looksLikeEndings, splitEndings } from './endings';
import { looksLikeFields, splitFields } from './fields';
import { cutLine, fixedColumns, linesOf, looksFixed } from './fixed';
import { MOST_CELLS, MOST_CELL_CHARACTERS, MOST_COLUMNS, MOST_ROWS, counted } from './limits';
import { DELIMITERS, type Delimiter } from './formats';
import { type Most, type Split, saidRows, splitText } from './split';
import { decode, decodeAs } from './text';

/** The limit that a text is past, counted before any of it takes memory; a delimiter or line end in quotes counts too. */
const pastWhich = (text: string, delimiter: string, most: Most): 'rows' | 'cells' | undefined => {
  if (text.length < most.rows) return undefined;
  const comma = delimiter.charCodeAt(0);
  let [cells, rows] = [0, 0];
  for (let at = 0; at < text.length; at += 1) {
    const code = text.charCodeAt(at);
    if (code === 10 || (code === 13 && text.charCodeAt(at + 1) !== 10)) rows += 1;
    else if (code !== comma) continue;
    cells += 1;
    if (rows > most.rows) return 'rows';
    if (cells > most.cells) return 'cells';
  }
  return undefined;
};

/** Whether most commas of a text stand between two digits, and outside quotes. */
const betweenDigits = (text: string): boolean => {
  const commas = text.match(/,/g)?.length ?? 0;
  const within = text.match(/\d,(?=\d)/g)?.length ?? 0;
  return within * 2 > commas;
};

/** Whether nearly all commas of a text part thousands: such a text has no commas between its cells. */
const partsThousands = (text: string): boolean => {
  const commas = text.match(/,/g)?.length ?? 0;
  const grouped = (text.match(/(?<![\d,.])\d{1,3}(?:,\d{3})+(?![\d,])/g) ?? []).join('').match(/,/g)?.length ?? 0;
  return grouped * 20 >= commas * 19;
};

/** The delimiter under which the most of the first rows have the same number of cells; among equals, the one that makes more cells. */
export const delimiterOf = (text: string, quote = '"'): Delimiter => {
  const start = text.slice(0, 200_000);
  const grouped = start.includes(',') && partsThousands(start);
  let best: { delimiter: Delimiter; score: number } = { delimiter: grouped ? '\t' : ',', score: 0 };
  for (const delimiter of DELIMITERS) {
    if (delimiter.length > 1 || (delimiter === ',' && grouped)) continue;
    const widths = new Map<number, number>();
    for (const row of splitText(start, delimiter, quote, { rows: 200, cells: 20_000 }).rows)
      if (row.length > 1) widths.set(row.length, (widths.get(row.length) ?? 0) + 1);
    const score = Math.max(
      0,
      ...[...widths].map(([width, rows]) => rows * MOST_COLUMNS + Math.min(width, MOST_COLUMNS - 1)),
    );
    // A comma between digits is a part of figures, where something else parts cells.
    const weight = delimiter === ',' && betweenDigits(start) ? 0.5 : 1;
    if (score * weight > best.score) best = { delimiter, score: score * weight };
  }
  return best.delimiter;
};

/**
 * Lists that old printers framed with lines: their columns are between upright ones. The frame is taken as bars and dashes, so that
 * they read as any list with bars does.
 */
const unframed = (text: string): string => {
  const framed = text.match(/^[ \t]*[│║┃]/gm)?.length ?? 0;
  return framed < 3 ? text : text.replace(/[│║┃]/g, '|').replace(/[\u2500-\u257f]/g, '-');
};

/** Characters from which the kind of a text is told. */
const SEEN = 200_000;

/** Text with columns by their place in the line. */
const splitLines = (text: string, most: Most): Split => {
  const lines = linesOf(text);
  const columns = fixedColumns(lines);
  if (lines.length > most.rows) return { rows: [], openQuotes: [], past: 'rows' };
  if (lines.length * columns.length > most.cells) return { rows: [], openQuotes: [], past: 'cells' };
  return { rows: lines.map((line) => cutLine(line, columns)), openQuotes: [] };
};

/** Cells are put in single quotes when many begin and end with one, as some old systems write them. */
const quoteOf = (text: string): string => {
  const start = text.slice(0, 20_000);
  const single = start.match(/(?:^|[,;\t|])'[^'\r\n]*'(?=[,;\t|\r\n]|$)/gm)?.length ?? 0;
  return single > 6 && !start.includes('"') ? "'" : '"';
};

/** Reads delimited text (RFC 4180 and its neighbours) into one table; `format` overrules the guesses it names. */
export const readCsv = (
  bytes: Uint8Array,
  name: string,
  format: Partial<TextFormat> = {},
): Result<readonly Table[]> => {
  const { text: whole, encoding } =
    format.encoding === undefined
      ? decode(bytes)
      : { text: decodeAs(bytes, format.encoding), encoding: format.encoding };
  if (whole.includes('\u0000'))
    return fail(
      problem('paper.binary', `${name} is not a text file. Save the trial balance as CSV or XLSX and bring that.`),
    );
  // A form feed begins a page, and is nothing else that anybody should know of.
  const text = unframed(whole.replace(/^\ufeff/, '').replaceAll('\f', ''));
  if (text.trim() === '')
    return fail(problem('paper.empty', `${name} is empty: there is no text in it. Export it again and bring that.`));
  const quote = format.quote ?? quoteOf(text);
  const start = text.slice(0, SEEN);
  const delimiter =
    format.delimiter ??
    (looksLikeFields(start)
      ? 'fields'
      : looksFixed(start)
        ? 'columns'
        : looksLikeEndings(start)
          ? 'endings'
          : delimiterOf(text, quote));
  const most = { rows: MOST_ROWS, cells: MOST_CELLS };
  // Where no character parts cells, only the rows are counted here.
  const past = pastWhich(text, delimiter.length === 1 ? delimiter : '', most);
  const split: Split =
    past !== undefined
      ? { rows: [], openQuotes: [], past }
      : delimiter === 'columns'
        ? splitLines(text, most)
        : delimiter === 'fields'
          ? splitFields(text, most)
          : delimiter === 'endings'
            ? splitEndings(text, most)
            : splitText(text, delimiter, quote, most);
  if (split.past !== undefined)
    return fail(
      problem(
        `paper.${split.past}`,
        `${name} has more than ${counted(split.past === 'rows' ? MOST_ROWS : MOST_CELLS)} ${split.past}, which is the most that is read at once. Split it and bring the parts.`,
      ),
    );
  const clean = isClean(text);
  const [invisible, wide]: [number[], number[]] = [[], []];
  for (const [at, row] of split.rows.entries()) {
    if (row.length > MOST_COLUMNS) {
      if (row.slice(MOST_COLUMNS).some((cell) => cell.trim() !== '')) wide.push(at + 1);
      row.length = MOST_COLUMNS;
    }
    for (const [column, cell] of row.entries()) {
      if (cell.length > MOST_CELL_CHARACTERS) return longCell(name, at + 1, cell.length);
      const tidy = clean ? cell : cleaned(cell);
      if (tidy !== cell && invisible.at(-1) !== at + 1) invisible.push(at + 1);
      row[column] = bare(tidy.trimEnd());
    }
  }
  const remarks = [
    ...(split.openQuotes.length === 0
      ? []
      : [
          `A quote is opened and not closed in ${saidRows(split.openQuotes)}: the cell was taken as it stands, up to the next ${delimiter === '\t' ? 'tab' : `“${delimiter}”`} or line end.`,
        ]),
    ...(invisible.length === 0 ? [] : [`Invisible or control characters were taken out of ${saidRows(invisible)}.`]),
    ...(wide.length === 0
      ? []
      : [
          `Columns after the first ${String(MOST_COLUMNS)} are not read; ${saidRows(wide)} ${wide.length === 1 ? 'has' : 'have'} something there.`,
        ]),
  ];
  return ok([
    {
      name,
      rows: split.rows,
      format: { encoding, delimiter, quote },
      ...(delimiter === 'columns' ? { printed: true } : {}),
      ...(remarks.length === 0 ? {} : { remarks }),
    },
  ]);
};

/** A code that a list wraps as a formula's text, so that spreadsheets keep its noughts: `="0100"`. */
const WRAPPED = /^="([^"=]{1,60})"$/;

const bare = (cell: string): string => (cell.startsWith('="') ? (WRAPPED.exec(cell)?.[1] ?? cell) : cell);

/** Said of a cell that no cell of a trial balance is like. */
export const longCell = (name: string, row: number, characters: number): Result<never> =>
  fail(
    problem(
      'paper.cell',
      `${name} has a cell of ${plural(characters, 'character')} in row ${counted(row)}; ${counted(MOST_CELL_CHARACTERS)} is the most that is read. Shorten it, or take it out, and bring the file again.`,
    ),
  );
