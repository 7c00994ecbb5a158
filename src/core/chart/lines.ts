import { type Currency } from '../money/currency';
import { readClipboard } from '../files/clipboard';
import type { Table } from '../base/table';
import { MOST_COLUMNS } from '../files/limits';
import { recogniseChart, readChartRows } from './chart-file';
import type { Incoming, IncomingFields } from './incoming';

const CODE = /^(?=.*\d)[\p{L}\p{N}][\p{L}\p{N}.\-/]*$/u;
/** Nothing longer is a code. */
const MOST_CODE = 60;
const isCode = (text: string): boolean => text.length <= MOST_CODE && CODE.test(text);

/**
 * Accounts out of typed or pasted lines, one per line: "4110 Sales of tiles", or a name alone. A line that ends with a
 * colon names a heading, new or in the chart, and the lines after it stand under it; the colon alone goes back to the top.
 * Lines copied from a spreadsheet are read by their columns; with a header row by its words.
 */
export const readLines = (text: string, under: string, base: Currency): readonly Incoming[] => {
  const pasted = readClipboard(text);
  const table: Table = { name: 'lines', rows: pasted.map((row) => row.slice(0, MOST_COLUMNS)) };
  const { mapping } = recogniseChart([table]);
  if (mapping.header >= 0) return readChartRows(table, mapping, base);
  let heading = under;
  return pasted.flatMap((cells, at): readonly Incoming[] => {
    const filled = cells.map((cell) => cell.trim()).filter((cell) => cell !== '');
    const [first = '', ...rest] = filled;
    if (first === '') return [];
    const row = at + 1;
    if (filled.length === 1 && first.endsWith(':')) {
      const named = first.slice(0, -1).trim();
      // A code alone names a heading that is here.
      if (isCode(named)) {
        heading = named;
        return [];
      }
      const { code, name } = split(named);
      const outer = under;
      heading = code !== '' ? code : name === '' ? under : name;
      return name === '' ? [] : [incoming(row, { code, name, heading: true, parent: outer })];
    }
    const { code, name } =
      isCode(first) && rest[0] !== undefined
        ? { code: first, name: rest[0] }
        : split(filled.length === 1 ? first : (filled[0] ?? ''));
    const type = isCode(first) ? rest[1] : rest[0];
    return [
      incoming(row, {
        code,
        name,
        parent: heading,
        heading: false,
        ...(type === undefined || filled.length === 1 ? {} : { type }),
      }),
    ];
  });
};

const split = (line: string): { readonly code: string; readonly name: string } => {
  const [, code = '', name = ''] = /^(\S+)\s+(\S.*)$/.exec(line) ?? [];
  return isCode(code) ? { code, name: name.trim() } : { code: '', name: line };
};

const incoming = (row: number, says: Partial<IncomingFields>): Incoming => ({
  row,
  says: { ...says, origin: '' },
  problems: [],
});
