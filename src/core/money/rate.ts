import type { IsoDate } from '../base/iso-date';
import { type Result, fail, ok, problem, quoted } from '../base/result';
import { type Sentence, say } from '../base/sentence';
import type { Currency } from './currency';
import { type NumberStyle, marksOf, plainSeparators, readUnsigned, unsignedPattern } from './number-style';
import { type Ratio, inverse } from './ratio';
import { divideRounded } from './rounding';

/** A positive decimal exactly as somebody wrote it: `coefficient / 10^scale`, trailing zeros included. */
export interface Decimal {
  readonly coefficient: bigint;
  readonly scale: number;
}

/**
 * `1 unit = rate quote`, kept in the direction in which it was given. The reverse is computed for use and display,
 * never stored.
 */
export interface Rate {
  readonly unit: Currency;
  readonly quote: Currency;
  readonly rate: Decimal;
}

/** A rate of a day (`YYYY-MM-DD`, so that dates compare as text) and where it came from. */
export interface DatedRate extends Rate {
  readonly date: IsoDate;
  readonly source: string;
}

const MOST_DIGITS = 20;
const MOST_DECIMALS = 12;

/** The plain form, with a point and no grouping, that files and the database hold: "1.1790". */
export const plainRate = ({ coefficient, scale }: Decimal): string => {
  const digits = String(coefficient).padStart(scale + 1, '0');
  return scale === 0 ? digits : `${digits.slice(0, digits.length - scale)}.${digits.slice(digits.length - scale)}`;
};

/** From the plain form, for text that is already known to be a rate. */
export const decimalOf = (plain: string): Decimal => {
  const [whole = '0', fraction = ''] = plain.split('.');
  return { coefficient: BigInt(whole + fraction), scale: fraction.length };
};

/**
 * A rate as the books write numbers, every typed digit kept.
 *
 * @example writeRate(decimalOf('0.921659'), '1.234,56') // '0,921659'
 */
export const writeRate = (rate: Decimal, style: NumberStyle): string =>
  plainRate(rate).replace('.', marksOf(style).decimal);

/** "1 GBP = 1.1789 EUR": a rate in a sentence. */
export const called = ({ unit, quote, rate }: Rate, style: NumberStyle): string =>
  `1 ${unit} = ${writeRate(rate, style)} ${quote}`;

/** The same, to be written in the style of whoever reads it. */
export const rateTold = ({ unit, quote, rate }: Rate): Sentence =>
  say`1 ${unit} = ${{ number: plainRate(rate) }} ${quote}`;

/**
 * Reads a typed or imported rate in the given style, exactly. Refuses nil, a sign, more than 12 decimals or 20 digits;
 * a rate is never rounded to fit.
 */
export const readRate = (typed: string, style: NumberStyle, field?: string): Result<Decimal> => {
  const text = plainSeparators(typed).trim();
  if (text === '') return fail(problem('rate.missing', 'A rate is needed here.', field));
  if (text.length > 40 || !new RegExp(`^${unsignedPattern(style)}$`).test(text))
    return fail(
      problem(
        'rate.unreadable',
        `${quoted(typed)} does not read as a rate. These books write numbers like ${style}; a rate has no sign and no currency beside it.`,
        field,
      ),
    );
  const { coefficient, scale } = readUnsigned(text, style);
  if (coefficient === 0n) return fail(problem('rate.nil', 'A rate cannot be nil.', field));
  if (scale > MOST_DECIMALS || String(coefficient).length > MOST_DIGITS)
    return fail(
      problem(
        'rate.long',
        `${quoted(typed)} has more digits than a rate can have here: ${MOST_DECIMALS} decimals and ${MOST_DIGITS} digits are the most.`,
        field,
      ),
    );
  return ok({ coefficient, scale });
};

const forward = ({ rate }: Rate): Ratio => ({ n: rate.coefficient, d: 10n ** BigInt(rate.scale) });

/**
 * How many `to` one `from` is worth by this rate; undefined when the rate is of another pair.
 *
 * @example ratioOf({ unit: 'GBP', quote: 'EUR', rate: decimalOf('1.25') }, 'EUR', 'GBP') // { n: 100n, d: 125n }
 */
export const ratioOf = (rate: Rate, from: string, to: string): Ratio | undefined =>
  rate.unit === from && rate.quote === to
    ? forward(rate)
    : rate.unit === to && rate.quote === from
      ? inverse(forward(rate))
      : undefined;

/** A ratio cut to so many significant digits, for display beside the rate as it was typed; never for computing. */
export const shownRatio = ({ n, d }: Ratio, significant = 6): Decimal => {
  let scale = 0;
  while (scale < MOST_DECIMALS && n * 10n ** BigInt(scale) < d * 10n ** BigInt(significant - 1)) scale += 1;
  return { coefficient: divideRounded(n * 10n ** BigInt(scale), d), scale };
};
