import Papa from 'papaparse';
import { type Result, fail, ok, problem } from '../result';
import { MOST_COLUMNS, MOST_ROWS, type Table, type TextFormat } from './cells';

export const DELIMITERS = [',', ';', '\t', '|'] as const;
export type Delimiter = (typeof DELIMITERS)[number];

/** What Windows-1252 has where Latin-1 has control characters, 0x80 to 0x9F (WHATWG Encoding index; Node.js 20 decodes these wrongly). */
const WINDOWS_1252 = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';

const fromWindows1252 = (bytes: Uint8Array): string =>
  new TextDecoder('latin1')
    .decode(bytes)
    .replace(/[\u0080-\u009f]/g, (mark) => WINDOWS_1252[mark.charCodeAt(0) - 0x80] ?? mark);

/** What a text file may be encoded in; the last three have a character for every byte, so they never fail. */
export const ENCODINGS = ['utf-8', 'utf-16le', 'utf-16be', 'windows-1252', 'windows-1250', 'iso-8859-2'] as const;
export const QUOTES = ['"', "'"] as const;

const decodeAs = (bytes: Uint8Array, encoding: string): string =>
  encoding === 'windows-1252' ? fromWindows1252(bytes) : new TextDecoder(encoding).decode(bytes);

/** Bytes of š, ž and ť stand beside those of ě, č, ř, ů or ň only in Central European text; alone the latter are French or Nordic. */
const looksCentralEuropean = (bytes: Uint8Array): boolean => {
  const seen = new Set(bytes.subarray(0, 200_000));
  return (
    [0x8a, 0x8e, 0x9a, 0x9e, 0x9d].some((byte) => seen.has(byte)) &&
    [0xec, 0xe8, 0xf8, 0xf9, 0xf2].some((byte) => seen.has(byte))
  );
};

/** Every second byte of Western text in UTF-16 is nil; on which side tells the order. */
const utf16Without = (bytes: Uint8Array): string | undefined => {
  const start = bytes.subarray(0, 400);
  const nils = [0, 0];
  start.forEach((byte, at) => {
    if (byte === 0) nils[at % 2] = (nils[at % 2] ?? 0) + 1;
  });
  const half = start.length / 2;
  const [even = 0, odd = 0] = nils;
  return odd > half * 0.7 && even === 0 ? 'utf-16le' : even > half * 0.7 && odd === 0 ? 'utf-16be' : undefined;
};

/**
 * The text of a file: UTF-16 or UTF-8 by its mark, UTF-16 by its nil bytes, UTF-8 when every byte fits it, otherwise
 * Windows-1250 or 1252 by the letters that the bytes would be.
 */
export const decode = (bytes: Uint8Array): { readonly text: string; readonly encoding: string } => {
  const as = (encoding: string) => ({ text: decodeAs(bytes, encoding), encoding });
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return as('utf-16le');
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return as('utf-16be');
  const wide = utf16Without(bytes);
  if (wide !== undefined) return as(wide);
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'utf-8' };
  } catch {
    return as(looksCentralEuropean(bytes) ? 'windows-1250' : 'windows-1252');
  }
};

const parse = (text: string, delimiter: string, quote: string, preview = 0): string[][] =>
  Papa.parse<string[]>(text, {
    delimiter,
    quoteChar: quote,
    skipEmptyLines: false,
    ...(preview > 0 ? { preview } : {}),
  }).data;

/** The delimiter under which the most of the first rows have the same number of cells; among equals, the one that makes more cells. */
export const delimiterOf = (text: string, quote = '"'): Delimiter => {
  let best: { delimiter: Delimiter; score: number } = { delimiter: ',', score: 0 };
  const start = text.slice(0, 200_000);
  for (const delimiter of DELIMITERS) {
    const widths = new Map<number, number>();
    for (const row of parse(start, delimiter, quote, 200))
      if (row.length > 1) widths.set(row.length, (widths.get(row.length) ?? 0) + 1);
    const score = Math.max(
      0,
      ...[...widths].map(([width, rows]) => rows * MOST_COLUMNS + Math.min(width, MOST_COLUMNS - 1)),
    );
    if (score > best.score) best = { delimiter, score };
  }
  return best.delimiter;
};

/** Cells are put in single quotes when many begin and end with one, as some old systems write them. */
const quoteOf = (text: string): string => {
  const start = text.slice(0, 20_000);
  const single = start.match(/(^|[,;\t|])'[^'\r\n]*'(?=[,;\t|\r\n]|$)/gm)?.length ?? 0;
  return single > 6 && !start.includes('"') ? "'" : '"';
};

/** Reads delimited text (RFC 4180 and its neighbours) into one table; `format` overrules the guesses it names. */
export const readCsv = (
  bytes: Uint8Array,
  name: string,
  format: Partial<TextFormat> = {},
): Result<readonly Table[]> => {
  const { text, encoding } =
    format.encoding === undefined
      ? decode(bytes)
      : { text: decodeAs(bytes, format.encoding), encoding: format.encoding };
  if (text.includes('\u0000'))
    return fail(
      problem('paper.binary', `${name} is not a text file. Save the trial balance as CSV or XLSX and bring that.`),
    );
  if (text.trim() === '') return fail(problem('paper.empty', `${name} is empty.`));
  const plain = text.replace(/^\ufeff/, '');
  const quote = format.quote ?? quoteOf(plain);
  const delimiter = format.delimiter ?? delimiterOf(plain, quote);
  const rows = parse(plain, delimiter, quote, MOST_ROWS + 1);
  if (rows.length > MOST_ROWS)
    return fail(
      problem(
        'paper.rows',
        `${name} has more than ${MOST_ROWS.toLocaleString('en-GB')} rows, which is the most that is read at once. Split it and bring the parts.`,
      ),
    );
  return ok([
    {
      name,
      rows: rows.map((row) => row.slice(0, MOST_COLUMNS).map((cell) => cell.trimEnd())),
      format: { encoding, delimiter, quote },
    },
  ]);
};
