/**
 * A number that a spreadsheet stores as a number. `decimal` is its exact plain decimal text ("-1234.5"); `shown` is what
 * the spreadsheet displays, which matters for account codes with leading zeros.
 */
export interface NumberCell {
  readonly decimal: string;
  readonly shown: string;
}

export type Cell = string | NumberCell;
export type Row = readonly Cell[];

/** One sheet of a paper: a CSV file is one table, a workbook has one per worksheet. */
export interface Table {
  readonly name: string;
  readonly rows: readonly Row[];
}

export const textOf = (cell: Cell | undefined): string =>
  cell === undefined ? '' : typeof cell === 'string' ? cell : cell.shown;

/** Stated limits of a paper. */
export const MOST_BYTES = 20 * 1024 * 1024;
export const MOST_UNPACKED_BYTES = 200 * 1024 * 1024;
export const MOST_ROWS = 50_000;
export const MOST_COLUMNS = 60;

/** Accents, case, spaces and punctuation do not tell two words apart: "Má dáti" and "ma dati" are one. */
export const folded = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
