import { SSF } from '@e965/xlsx';
import type { Cell } from '../base/table';
import { decimalOf } from './decimal-of';

/** A number of at most fifteen digits that is written plainly, as nearly all are: it is its own decimal text. */
const PLAIN = /^-?(?:0|[1-9]\d{0,11})(?:\.\d{0,2}[1-9])?$/;

/** How a cell shows its number. */
export interface Format {
  readonly code: string;
  readonly isDate: boolean;
}

export const GENERAL: Format = { code: 'General', isDate: false };
// The package types its formats as any.
const formats = SSF as {
  readonly is_date: (code: string) => boolean;
  readonly format: (code: string, value: number) => string;
  readonly get_table: () => Readonly<Record<number, string | undefined>>;
  readonly parse_date_code: (
    value: number,
    options: { readonly date1904: boolean },
  ) => { readonly y: number; readonly m: number; readonly d: number } | null;
};
const MOST_FORMAT = 255;
/** A number that is shown longer than this is shown plainly. */
const MOST_SHOWN = 60;

/** The formats that a workbook names by number alone. */
export const builtInFormats = (): Readonly<Record<number, string | undefined>> => formats.get_table();

/** The format of a code; one that is longer than any is none. */
export const formatOf = (code: string): Format =>
  code.length > MOST_FORMAT ? GENERAL : { code, isDate: formats.is_date(code) };

/**
 * The cell of a number as a workbook has it: its exact decimal and how it is shown, or the day where it is shown as one
 * (`from1904`: whether days are counted from 1904). A text that is no number stays as it is.
 *
 * @example numberCell('46022', formatOf('dd.mm.yyyy'), false) // '2025-12-31'
 */
export const numberCell = (text: string, { code, isDate }: Format, from1904: boolean): Cell => {
  const value = Number(text);
  if (!Number.isFinite(value) || text.trim() === '') return text;
  if (isDate) {
    const date = value >= 0 ? formats.parse_date_code(value, { date1904: from1904 }) : null;
    if (date !== null)
      return [String(date.y).padStart(4, '0'), String(date.m).padStart(2, '0'), String(date.d).padStart(2, '0')].join(
        '-',
      );
  }
  const decimal = PLAIN.test(text) && text !== '-0' ? text : decimalOf(value);
  if (code === 'General' || isDate) return { decimal, shown: decimal };
  try {
    const shown = formats.format(code, value).trim();
    return { decimal, shown: shown.length > MOST_SHOWN ? decimal : shown };
  } catch {
    // A format that cannot be carried out shows the number itself.
    return { decimal, shown: decimal };
  }
};
