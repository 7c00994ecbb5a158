import { hasOtherDigits, plainDigits } from '../base/plain-digits';
import { type Result, ok } from '../base/result';
import type { Cell, Table, TextFormat } from '../base/table';
import { isOldWorkbook, isPdf } from './formats';
import { MOST_BYTES } from './limits';
import { readPaper } from './read';

const isNumber = (cell: Cell): cell is string =>
  typeof cell === 'string' && hasOtherDigits(cell) && !/\p{L}/u.test(cell);

/** Codes, amounts and days in the digits of other scripts are read in those of this one; what is called something keeps its own. */
const inPlainDigits = (table: Table): Table =>
  table.rows.some((row) => row.some(isNumber))
    ? { ...table, rows: table.rows.map((row) => row.map((cell) => (isNumber(cell) ? plainDigits(cell) : cell))) }
    : table;

/** What is read by what is only loaded for it. */
const readLoaded = async (bytes: Uint8Array, name: string): Promise<Result<readonly Table[]> | undefined> => {
  if (bytes.length > MOST_BYTES) return undefined;
  if (isPdf(bytes)) return (await import('./pdf')).readPdf(bytes, name);
  return isOldWorkbook(bytes) ? (await import('./old-workbook')).readOldWorkbook(bytes, name) : undefined;
};

/** A paper of any kind: also a PDF, or a workbook of the kind before XLSX. */
export const readAnyPaper = async (
  bytes: Uint8Array,
  name: string,
  format: Partial<TextFormat> = {},
): Promise<Result<readonly Table[]>> => {
  const read = (await readLoaded(bytes, name)) ?? readPaper(bytes, name, format);
  return read.ok ? ok(read.value.map(inPlainDigits)) : read;
};
