import { type Currency } from './currency';
import { isMark, mayMean } from './marks';
import { divideRounded } from './rounding';
import { type NumberStyle, marksOf, plainSeparators, readUnsigned, unsignedPattern } from './number-style';

/** An amount as a paper writes it. `scale` is its number of decimals; `side` is there when the text itself names one. */
export interface PaperAmount {
  readonly coefficient: bigint;
  readonly scale: number;
  readonly side?: 'debit' | 'credit';
}

/** A text longer than this is no amount; no balance has half as many digits. */
export const MOST_AMOUNT_CHARACTERS = 60;

const patterns = new Map<NumberStyle, RegExp>();
const patternOf = (style: NumberStyle): RegExp => {
  const known = patterns.get(style);
  if (known !== undefined) return known;
  const made = new RegExp(`^${unsignedPattern(style)}$`);
  patterns.set(style, made);
  return made;
};

/** Dashes in the place of decimals that are nought: "1'250.–", "1.250,--". */
const DASHED = /(?<=\d([.,]))[-—]{1,2}(?=$|[\s)*])/;

/** A number with one sign at most: a plus or minus before it, or a minus after it. */
const signedNumber = (text: string, style: NumberStyle): PaperAmount | undefined => {
  const before = text.startsWith('-') || text.startsWith('+');
  const after = text.endsWith('-');
  if (before && after) return undefined;
  const bare = before ? text.slice(1).trimStart() : after ? text.slice(0, -1).trimEnd() : text;
  if (!patternOf(style).test(bare)) return undefined;
  const { coefficient, scale } = readUnsigned(bare, style);
  return { coefficient: after || text.startsWith('-') ? -coefficient : coefficient, scale };
};

const STARS = /^\*{1,3}|\*{1,3}$/g;
const SIDE = /(?<=[\d\s)-])(dr|cr|d|c|s|h)\.?$/iu;
const SIDE_FIRST = /^(dr|cr|d|c|s|h)\.?\s(?=(?:\p{L}{3}\s?|\p{Sc}\s?)?[\d\s.,']{0,3}\d)/iu;
const MARK_BEFORE = /^[+-]?(\p{L}{0,3}[\p{Sc}]|\p{L}\.\p{L}\.?|\p{L}{1,3}[./]?)/u;
const MARK_AFTER = /(\p{L}{0,3}[\p{Sc}]|(?<!\p{L})\p{L}\.\p{L}\.?|(?<![\p{L}.])\p{L}{1,3}\.?)-?$/u;

/** Dashes and blanks stand for nil, and a nought between dashes; a dot alone does not say what it means. */
export const isNil = (text: string): boolean =>
  text.length <= MOST_AMOUNT_CHARACTERS && /^(?:[\s\-–—·]*|[-–—][\s\-–—.,]*|-\s?0(?:[.,]0{1,4})?\s?-)$/u.test(text);

/** The text without the currency marks around it; undefined when one is of another currency, or is none at all. */
const withoutMarks = (text: string, currency: Currency | undefined): string | undefined => {
  let rest = text;
  for (const pattern of [MARK_BEFORE, MARK_AFTER]) {
    const mark = pattern.exec(rest)?.[1];
    if (mark === undefined) continue;
    if (currency === undefined ? !isMark(mark) : !mayMean(mark, currency)) return undefined;
    rest =
      pattern === MARK_BEFORE
        ? rest.replace(mark, '')
        : rest.slice(0, rest.lastIndexOf(mark)) + rest.slice(rest.lastIndexOf(mark) + mark.length);
    rest = rest.trim().replace(/^([+-])\s+/, '$1');
  }
  return rest;
};

/**
 * An amount in the given style, with any of: brackets *or* one minus before or after for negative, a side at the end or, parted by
 * a blank, in front (Dr, Cr, D, C; S and H), the code or a mark of `currency` (of any currency where none is given). `undefined` when the text is no
 * amount in this style: two signs, another currency, a dot alone, a power of ten.
 */
export const readPaperAmount = (cell: string, style: NumberStyle, currency?: Currency): PaperAmount | undefined => {
  if (cell.length > MOST_AMOUNT_CHARACTERS && cell.trim().length > MOST_AMOUNT_CHARACTERS) return undefined;
  let text = plainSeparators(cell.trim());
  if (DASHED.exec(text)?.[1] === marksOf(style).decimal) text = text.replace(DASHED, '');
  // A bare number has none of what is looked for below, and in most papers all are.
  const bare = signedNumber(text, style);
  if (bare !== undefined) return bare;
  if (isNil(text)) return { coefficient: 0n, scale: 0 };
  // Stars set a sum apart.
  if (text.includes('*')) text = text.replace(STARS, '').trim();
  const behind = SIDE.exec(text)?.[1];
  const sideWord = (behind ?? SIDE_FIRST.exec(text)?.[1])?.toLowerCase();
  if (sideWord !== undefined) text = text.replace(behind === undefined ? SIDE_FIRST : SIDE, '').trim();
  const outer = withoutMarks(text, currency);
  if (outer === undefined) return undefined;
  const bracketed = outer.startsWith('(') && outer.endsWith(')');
  const inner = bracketed ? withoutMarks(outer.slice(1, -1).trim(), currency) : outer;
  // "CHF –" is nil, as a dash alone is.
  if (inner !== undefined && inner !== '' && isNil(inner)) return { coefficient: 0n, scale: 0 };
  const found = inner === undefined ? undefined : signedNumber(inner, style);
  // In brackets a sign of its own would be a second one: nobody knows what "(-5)" means.
  if (found === undefined || inner === undefined || (bracketed && /[+-]/.test(inner))) return undefined;
  const signed = bracketed ? -found.coefficient : found.coefficient;
  const { scale } = found;
  if (sideWord === undefined) return { coefficient: signed, scale };
  return { coefficient: signed, scale, side: sideWord.startsWith('d') || sideWord === 's' ? 'debit' : 'credit' };
};

/** A spreadsheet's number this near to a whole minor unit (a thousandth of it) was meant to be one: binary sums leave such noise. */
const NOISE = 1000n;

/**
 * An amount in units of so many decimals, by its sign alone; `rounded` says that a spreadsheet's noise was rounded away. Undefined where
 * it has decimals that the units have not: nobody but the paper's owner knows where they go. `binary` is for a number that a
 * spreadsheet stores.
 *
 * @example [unitsOf({ coefficient: 125n, scale: 1 }, 2), unitsOf({ coefficient: 125n, scale: 2 }, 1)] // [{ amount: 1250n, rounded: false }, undefined]
 */
export const unitsOf = (
  { coefficient, scale }: Pick<PaperAmount, 'coefficient' | 'scale'>,
  digits: number,
  binary = false,
): { readonly amount: bigint; readonly rounded: boolean } | undefined => {
  if (scale <= digits) return { amount: coefficient * 10n ** BigInt(digits - scale), rounded: false };
  const unit = 10n ** BigInt(scale - digits);
  const rest = coefficient % unit;
  const over = rest < 0n ? -rest : rest;
  if (over === 0n) return { amount: coefficient / unit, rounded: false };
  const noise = binary && (over * NOISE < unit || (unit - over) * NOISE < unit);
  return noise ? { amount: divideRounded(coefficient, unit), rounded: true } : undefined;
};
