import * as XLSX from '@e965/xlsx';
import type { Minor } from '../money/minor';
import { plainDecimal } from '../money/format';

/** A cell to be written: text, an amount with its decimals, or nothing. */
export type OutCell = string | { readonly amount: Minor; readonly digits: number } | null;
export type OutRow = readonly OutCell[];

/** What a spreadsheet may take for the beginning of a formula, in full width too (which some locales read alike), and white space that it skips. */
const FORMULA = /^'*[=+\-@\t\r\n＝＋－＠]/;

/**
 * Text that a spreadsheet would run as a formula is marked as text with a leading apostrophe.
 *
 * @example asText('=1+1') // "'=1+1"
 */
export const asText = (text: string): string => (FORMULA.test(text) ? `'${text}` : text);

/** The text that `asText` marked, as it was: `fromText(asText(text))` is `text`, whatever it is. */
export const fromText = (cell: string): string => (cell.startsWith("'") && FORMULA.test(cell) ? cell.slice(1) : cell);

/** RFC 4180, UTF-8 with a byte-order mark so that spreadsheets read accents right; amounts plain, with a point. */
export const toCsv = (rows: readonly OutRow[]): string => {
  const cell = (value: OutCell): string => {
    if (value === null) return '';
    if (typeof value === 'object') return plainDecimal(value.amount, value.digits);
    const text = asText(value);
    // Any delimiter that a locale's spreadsheet may split at is quoted, not only our own.
    return /[",;\t|\r\n]/.test(text) ? `"${text.replaceAll('"', '""')}"` : text;
  };
  return `\ufeff${rows.map((row) => row.map(cell).join(',')).join('\r\n')}\r\n`;
};

/**
 * Decimal text as a spreadsheet's number, which holds 15 significant digits; beyond that it stays text, so that no digit is lost.
 *
 * @example [spreadsheetNumber('1234.50'), spreadsheetNumber('1234567890123456.78')] // [1234.5, '1234567890123456.78']
 */
export const spreadsheetNumber = (decimal: string): number | string =>
  decimal.replace(/\D/g, '').replace(/^0+/, '').length > 15 ? decimal : Number(decimal);

const amountCell = (amount: Minor, digits: number): XLSX.CellObject => {
  const v = spreadsheetNumber(plainDecimal(amount, digits));
  if (typeof v === 'string') return { t: 's', v };
  return { t: 'n', v, z: digits === 0 ? '#,##0' : `#,##0.${'0'.repeat(digits)}` };
};

/** An Office Open XML workbook of one sheet. Text cells are typed as text, so nothing in them is run. */
export const toXlsx = (sheetName: string, rows: readonly OutRow[]): Uint8Array => {
  const cells = rows.map((row) =>
    row.map((value): XLSX.CellObject | null =>
      value === null ? null : typeof value === 'string' ? { t: 's', v: value } : amountCell(value.amount, value.digits),
    ),
  );
  const sheet = XLSX.utils.aoa_to_sheet(cells);
  const widths = rows.reduce<number[]>((found, row) => {
    row.forEach(
      (value, at) =>
        (found[at] = Math.min(
          60,
          Math.max(
            found[at] ?? 8,
            typeof value === 'string' && rows.length > 3 && row.length > 2 ? value.length + 2 : 14,
          ),
        )),
    );
    return found;
  }, []);
  sheet['!cols'] = widths.map((wch) => ({ wch }));
  const book = XLSX.utils.book_new();
  XLSX.utils.book_append_sheet(book, sheet, sheetName.replace(/[\\/?*[\]:]/g, ' ').slice(0, 31));
  return new Uint8Array(XLSX.write(book, { type: 'array', bookType: 'xlsx', compression: true }) as ArrayBuffer);
};
