import { hasOtherDigits, plainDigits } from '../base/plain-digits';

/**
 * How a number is written, named by its own sample. Group separators stand every three digits, but for
 * '12,34,567.00' (three, then twos).
 */
export const NUMBER_STYLES = [
  '1,234.56',
  '1.234,56',
  '1 234,56',
  '1 234.56',
  "1'234.56",
  '12,34,567.00',
  '1234.56',
  '1234,56',
] as const;

export type NumberStyle = (typeof NUMBER_STYLES)[number];

interface Marks {
  readonly decimal: '.' | ',';
  readonly group: ',' | '.' | ' ' | "'" | '';
  readonly indian: boolean;
}

const MARKS: Readonly<Record<NumberStyle, Marks>> = {
  '1,234.56': { decimal: '.', group: ',', indian: false },
  '1.234,56': { decimal: ',', group: '.', indian: false },
  '1 234,56': { decimal: ',', group: ' ', indian: false },
  '1 234.56': { decimal: '.', group: ' ', indian: false },
  "1'234.56": { decimal: '.', group: "'", indian: false },
  '12,34,567.00': { decimal: '.', group: ',', indian: true },
  '1234.56': { decimal: '.', group: '', indian: false },
  '1234,56': { decimal: ',', group: '', indian: false },
};

export const marksOf = (style: NumberStyle): Marks => MARKS[style];

/**
 * Every kind of space that software puts between thousands becomes a plain one, a typographic apostrophe a straight one, and the
 * digits of any script those that numbers are read by.
 */
export const plainSeparators = (text: string): string => (MAY_BE_OTHERS.test(text) ? inPlain(text) : text);

const MAY_BE_OTHERS = /[^\0-\x7f]|^\(-\)/;

const inPlain = (text: string): string =>
  (hasOtherDigits(text) ? plainDigits(text) : text)
    .replace(/[\u00a0\u2007\u2009\u202f]/g, ' ')
    .replace(/[\u2018\u2019\u02bc]/g, "'")
    .replace(/[\u2212\u2013]/g, '-')
    // Japanese accounts put a triangle before what is below nil.
    .replace(/^([\p{Sc}]?)\s?[△▲]\s?/u, '-$1')
    .replace(/^\(-\)\s?/, '-');

const escaped = (mark: string): string => (mark === '.' ? '\\.' : mark);

const unsignedPatterns = new Map<NumberStyle, string>();

/**
 * The source of a pattern for one unsigned number in the style. Groups must be whole: in the style 1,234.56 the text
 * "1,23" is no number, because somebody meant 1.23 by it.
 */
export const unsignedPattern = (style: NumberStyle): string => {
  const known = unsignedPatterns.get(style);
  if (known !== undefined) return known;
  const { decimal, group, indian } = MARKS[style];
  const d = escaped(decimal);
  const g = escaped(group);
  const grouped = group === '' ? '' : indian ? `\\d{1,2}(?:${g}\\d{2})*${g}\\d{3}|` : `\\d{1,3}(?:${g}\\d{3})+|`;
  const pattern = `(?:(?:${grouped}\\d+)(?:${d}\\d*)?|${d}\\d+)`;
  unsignedPatterns.set(style, pattern);
  return pattern;
};

const GROUPS = /[ ',.]/g;

/**
 * The digits of a text that matched `unsignedPattern(style)`: an exact coefficient and its number of decimals.
 *
 * @example readUnsigned('1.234,50', '1.234,56') // { coefficient: 123450n, scale: 2 }
 */
export const readUnsigned = (text: string, style: NumberStyle): { coefficient: bigint; scale: number } => {
  const { decimal } = MARKS[style];
  const at = text.lastIndexOf(decimal);
  const whole = (at < 0 ? text : text.slice(0, at)).replace(GROUPS, '');
  const fraction = at < 0 ? '' : text.slice(at + 1);
  return { coefficient: BigInt(whole + fraction || '0'), scale: fraction.length };
};
