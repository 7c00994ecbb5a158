import { type NumberStyle, plainSeparators, readUnsigned, unsignedPattern } from '../money/number-style';

/** An amount as a paper writes it. `scale` is its number of decimals; `side` is there when the text itself names one. */
export interface PaperAmount {
  readonly coefficient: bigint;
  readonly scale: number;
  readonly side?: 'debit' | 'credit';
}

const patterns = new Map<NumberStyle, RegExp>();
const patternOf = (style: NumberStyle): RegExp => {
  const known = patterns.get(style);
  if (known !== undefined) return known;
  const made = new RegExp(`^(-|\\+)?\\s*(${unsignedPattern(style)})\\s*(-)?$`);
  patterns.set(style, made);
  return made;
};

/** A number with at most a sign before or a minus after it. */
const signedNumber = (text: string, style: NumberStyle): PaperAmount | undefined => {
  const match = patternOf(style).exec(text);
  if (match?.[2] === undefined) return undefined;
  const { coefficient, scale } = readUnsigned(match[2], style);
  return { coefficient: match[1] === '-' || match[3] === '-' ? -coefficient : coefficient, scale };
};

const CURRENCY_MARK = /^(?:[A-Z]{3}\s?|\p{Sc}\s?)|(?:\s?[A-Z]{3}|\s?\p{Sc}|\s?Kč|\s?kr\.?)$/gu;
const SIDE = /\s*(?<![\p{L}])(dr|cr|d|c|s|h)\.?$/iu;

/** Dashes and blanks stand for nil. */
export const isNil = (text: string): boolean => /^[\s\-–—.·]*$/u.test(text);

/**
 * An amount in the given style, with any of: brackets or a leading or trailing minus for negative, a side at the end
 * (Dr, Cr, D, C; S and H), a currency code or sign. `undefined` when the text is no amount in this style.
 */
export const readPaperAmount = (cell: string, style: NumberStyle): PaperAmount | undefined => {
  let text = plainSeparators(cell).trim();
  // A bare number has none of what is looked for below, and in most papers all are.
  const bare = signedNumber(text, style);
  if (bare !== undefined) return bare;
  if (isNil(text)) return { coefficient: 0n, scale: 0 };
  const sideWord = SIDE.exec(text)?.[1]?.toLowerCase();
  if (sideWord !== undefined) text = text.replace(SIDE, '');
  text = text.replace(CURRENCY_MARK, '').trim();
  const bracketed = /^\((.*)\)$/.exec(text);
  if (bracketed?.[1] !== undefined) text = bracketed[1].trim().replace(CURRENCY_MARK, '').trim();
  const found = signedNumber(text, style);
  if (found === undefined) return undefined;
  const signed = bracketed === null ? found.coefficient : -found.coefficient;
  const { scale } = found;
  if (sideWord === undefined) return { coefficient: signed, scale };
  return { coefficient: signed, scale, side: sideWord.startsWith('d') || sideWord === 's' ? 'debit' : 'credit' };
};
