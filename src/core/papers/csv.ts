import Papa from 'papaparse';
import { type Result, fail, ok, problem } from '../result';
import { MOST_COLUMNS, MOST_ROWS, type Table } from './cells';

const DELIMITERS = [',', ';', '\t', '|'] as const;
export type Delimiter = (typeof DELIMITERS)[number];

/** What Windows-1252 has where Latin-1 has control characters, 0x80 to 0x9F (WHATWG Encoding index; Node.js 20 decodes these wrongly). */
const WINDOWS_1252 = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';

const fromWindows1252 = (bytes: Uint8Array): string =>
  new TextDecoder('latin1')
    .decode(bytes)
    .replace(/[\u0080-\u009f]/g, (mark) => WINDOWS_1252[mark.charCodeAt(0) - 0x80] ?? mark);

/**
 * The text of a file: UTF-16 or UTF-8 by its mark, UTF-8 when every byte fits it, otherwise Windows-1252, which nearly all
 * other Western exports are and in which every byte is some character.
 */
export const decode = (bytes: Uint8Array): { readonly text: string; readonly encoding: string } => {
  const as = (encoding: string) => ({ text: new TextDecoder(encoding).decode(bytes), encoding });
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return as('utf-16le');
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return as('utf-16be');
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' };
  } catch {
    return { text: fromWindows1252(bytes), encoding: 'windows-1252' };
  }
};

const parse = (text: string, delimiter: Delimiter, preview = 0): string[][] =>
  Papa.parse<string[]>(text, { delimiter, skipEmptyLines: false, ...(preview > 0 ? { preview } : {}) }).data;

/** The delimiter under which the most of the first rows have the same number of cells; among equals, the one that makes more cells. */
export const delimiterOf = (text: string): Delimiter => {
  let best: { delimiter: Delimiter; score: number } = { delimiter: ',', score: 0 };
  const start = text.slice(0, 200_000);
  for (const delimiter of DELIMITERS) {
    const widths = new Map<number, number>();
    for (const row of parse(start, delimiter, 200))
      if (row.length > 1) widths.set(row.length, (widths.get(row.length) ?? 0) + 1);
    const score = Math.max(
      0,
      ...[...widths].map(([width, rows]) => rows * MOST_COLUMNS + Math.min(width, MOST_COLUMNS - 1)),
    );
    if (score > best.score) best = { delimiter, score };
  }
  return best.delimiter;
};

/** Reads delimited text (RFC 4180 and its neighbours) into one table. */
export const readCsv = (bytes: Uint8Array, name: string): Result<readonly Table[]> => {
  const { text } = decode(bytes);
  if (text.includes('\u0000'))
    return fail(
      problem('paper.binary', `${name} is not a text file. Save the trial balance as CSV or XLSX and bring that.`),
    );
  if (text.trim() === '') return fail(problem('paper.empty', `${name} is empty.`));
  const rows = parse(text.replace(/^\ufeff/, ''), delimiterOf(text), MOST_ROWS + 1);
  if (rows.length > MOST_ROWS)
    return fail(
      problem(
        'paper.rows',
        `${name} has more than ${MOST_ROWS} rows, which is the most that is read at once. Split it and bring the parts.`,
      ),
    );
  return ok([{ name, rows: rows.map((row) => row.slice(0, MOST_COLUMNS).map((cell) => cell.trim())) }]);
};
