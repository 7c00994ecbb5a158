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

/** How the bytes of a text file were taken apart. */
export interface TextFormat {
  readonly encoding: string;
  readonly delimiter: string;
  readonly quote: string;
}

/** Where a row stands in a printed paper: its page, from 1, and how high, in points from the bottom. */
export interface Place {
  readonly page: number;
  readonly y: number;
}

/** One sheet of a paper: a CSV file is one table, a workbook has one per worksheet. Text may be indented; see `indentOf`. */
export interface Table {
  readonly name: string;
  readonly rows: readonly Row[];
  /** For a text file: how it was taken apart. */
  readonly format?: TextFormat;
  /** It was printed for paper: a long name may go on in the next line. */
  readonly printed?: boolean;
  /** A list of things or people beside the balance that the file is of: no sheet of that. */
  readonly aside?: boolean;
  /** Columns that the workbook hides, from nought. */
  readonly hidden?: readonly number[];
  /** Where each row stands, for a paper that has pages. */
  readonly places?: readonly Place[];
  /** What was met on the way that a person should know of, a sentence each. */
  readonly remarks?: readonly string[];
}

export const textOf = (cell: Cell | undefined): string =>
  cell === undefined ? '' : typeof cell === 'string' ? cell.trim() : cell.shown;

/** How far a cell's text is indented, in characters: old systems show the levels of their chart so. */
export const indentOf = (cell: Cell | undefined): number =>
  typeof cell === 'string' ? cell.length - cell.trimStart().length : 0;

export { folded } from './folded';
