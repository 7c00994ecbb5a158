import { hasOtherDigits, plainDigits } from '../base/plain-digits';
import { type Result, ok } from '../base/result';
import type { Cell, Table, TextFormat } from '../base/table';
import { isPdf } from './formats';
import { MOST_BYTES } from './limits';
import { readPaper } from './read';

const isNumber = (cell: Cell): cell is string =>
  typeof cell === 'string' && hasOtherDigits(cell) && !/\p{L}/u.test(cell);

/** Codes, amounts and days in the digits of other scripts are read in those of this one; what is called something keeps its own. */
const inPlainDigits = (table: Table): Table =>
  table.rows.some((row) => row.some(isNumber))
    ? { ...table, rows: table.rows.map((row) => row.map((cell) => (isNumber(cell) ? plainDigits(cell) : cell))) }
    : table;

/** A paper of any kind: also a PDF, which is read in steps, by what is only loaded for it. */
export const readAnyPaper = async (
  bytes: Uint8Array,
  name: string,
  format: Partial<TextFormat> = {},
): Promise<Result<readonly Table[]>> => {
  const read =
    isPdf(bytes) && bytes.length <= MOST_BYTES
      ? await (await import('./pdf')).readPdf(bytes, name)
      : readPaper(bytes, name, format);
  return read.ok ? ok(read.value.map(inPlainDigits)) : read;
};
