import { type Currency, minorDigits } from '@/core/money/currency';
import { formatMinor } from '@/core/money/format';
import { type Minor, abs, minor } from '@/core/money/minor';
import type { NumberStyle } from '@/core/money/number-style';

/** How amounts of a set of books are written. */
export interface Money {
  readonly currency: Currency;
  readonly digits: number;
  readonly style: NumberStyle;
}

/** How amounts of a currency are written in books of a style. */
export const moneyOf = (currency: Currency, { style }: Pick<Money, 'style'>): Money => ({
  currency,
  digits: minorDigits(currency),
  style,
});

/** The magnitude of an amount; its side is told by the column or a word, never by a minus. Nil is a dot. */
export const figure = (amount: Minor, { digits, style }: Money): string =>
  amount === 0n ? '·' : formatMinor(abs(amount), digits, style);

/** "1,200.00 Dr": an amount outside of columns. */
export const sided = (amount: Minor, money: Money): string =>
  amount === 0n ? 'nil' : `${figure(amount, money)} ${amount > 0n ? 'Dr' : 'Cr'}`;

/** A number of things, with its thousands parted like those of amounts. */
export const counted = (count: number, { style }: Pick<Money, 'style'>): string =>
  formatMinor(minor(BigInt(count)), 0, style);
