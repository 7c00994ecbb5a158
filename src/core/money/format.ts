import type { Minor } from './minor';
import { type NumberStyle, marksOf } from './number-style';

/**
 * An amount in the style with exactly `digits` decimals, for example `1 234.50`. Negative amounts get a leading minus;
 * screens show the side by column instead and pass the magnitude. Locale-free: the style decides everything.
 *
 * @example formatMinor(minor(-1234567n), 3, '1.234,56') // '-1.234,567'
 */
export const formatMinor = (amount: Minor | bigint, digits: number, style: NumberStyle): string => {
  const negative = amount < 0n;
  const text = String(negative ? -amount : amount).padStart(digits + 1, '0');
  const whole = text.slice(0, text.length - digits);
  const fraction = text.slice(text.length - digits);
  return `${negative ? '-' : ''}${grouped(whole, style)}${digits > 0 ? marksOf(style).decimal + fraction : ''}`;
};

/** The digits of a whole number in groups, as the style has them. */
export const grouped = (whole: string, style: NumberStyle): string => {
  const { group, indian } = marksOf(style);
  // eslint-disable-next-line regexp/no-super-linear-move -- the digits of an amount, of which there are few
  const pattern = indian ? /\B(?=(?:\d{2})*\d{3}$)/g : /\B(?=(?:\d{3})+$)/g;
  return group === '' ? whole : whole.replace(pattern, group === ' ' ? '\u00a0' : group);
};

/** The plain form for files: no grouping, a point, a leading minus; reads back exactly everywhere. */
export const plainDecimal = (amount: Minor | bigint, digits: number): string => formatMinor(amount, digits, '1234.56');
