import type { Minor } from './minor';
import { type NumberStyle, marksOf } from './number-style';

/**
 * An amount in the style with exactly `digits` decimals, for example `1 234.50`. Negative amounts get a leading minus;
 * screens show the side by column instead and pass the magnitude. Locale-free: the style decides everything.
 */
export const formatMinor = (amount: Minor | bigint, digits: number, style: NumberStyle): string => {
  const { decimal, group, indian } = marksOf(style);
  const negative = amount < 0n;
  const text = String(negative ? -amount : amount).padStart(digits + 1, '0');
  const whole = text.slice(0, text.length - digits);
  const fraction = text.slice(text.length - digits);
  // eslint-disable-next-line regexp/no-super-linear-move -- the digits of an amount, of which there are few
  const pattern = indian ? /\B(?=(?:\d{2})*\d{3}$)/g : /\B(?=(?:\d{3})+$)/g;
  const grouped = group === '' ? whole : whole.replace(pattern, group === ' ' ? '\u00a0' : group);
  return `${negative ? '-' : ''}${grouped}${digits > 0 ? decimal + fraction : ''}`;
};

/** The plain form for files: no grouping, a point, a leading minus; reads back exactly everywhere. */
export const plainDecimal = (amount: Minor | bigint, digits: number): string => formatMinor(amount, digits, '1234.56');
