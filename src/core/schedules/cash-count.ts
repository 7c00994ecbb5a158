import { type Currency, minorDigits } from '../money/currency';
import { type Minor, minor, sum } from '../money/minor';

/** How many there are of each note and coin, by its value in minor units. */
export type Counted = Readonly<Record<string, number>>;

/** Notes and coins in use, in major units, largest first; of the central banks' lists. */
const IN_USE: Readonly<Record<string, string>> = {
  EUR: '500 200 100 50 20 10 5 2 1 0.5 0.2 0.1 0.05 0.02 0.01',
  GBP: '50 20 10 5 2 1 0.5 0.2 0.1 0.05 0.02 0.01',
  USD: '100 50 20 10 5 2 1 0.5 0.25 0.1 0.05 0.01',
  CHF: '1000 200 100 50 20 10 5 2 1 0.5 0.2 0.1 0.05',
  NOK: '1000 500 200 100 50 20 10 5 1',
  SEK: '1000 500 200 100 50 20 10 5 2 1',
  DKK: '1000 500 200 100 50 20 10 5 2 1 0.5',
  CZK: '5000 2000 1000 500 200 100 50 20 10 5 2 1',
  PLN: '500 200 100 50 20 10 5 2 1 0.5 0.2 0.1 0.05 0.02 0.01',
  HUF: '20000 10000 5000 2000 1000 500 200 100 50 20 10 5',
  RON: '500 200 100 50 20 10 5 1 0.5 0.1 0.05 0.01',
  JPY: '10000 5000 2000 1000 500 100 50 10 5 1',
  CAD: '100 50 20 10 5 2 1 0.25 0.1 0.05',
  AUD: '100 50 20 10 5 2 1 0.5 0.2 0.1 0.05',
};

/** For other currencies: one, two and five of each power of ten that a purse has. */
const USUAL = '1000 500 200 100 50 20 10 5 2 1 0.5 0.2 0.1 0.05 0.02 0.01';

/**
 * The notes and coins of a currency in minor units, largest first.
 *
 * @example denominations('JPY').at(-1) // 1n
 */
export const denominations = (currency: Currency): readonly Minor[] => {
  const digits = minorDigits(currency);
  return (IN_USE[currency] ?? USUAL).split(' ').flatMap((value) => {
    const [whole = '', fraction = ''] = value.split('.');
    return fraction.length > digits ? [] : [minor(BigInt(whole + fraction.padEnd(digits, '0')))];
  });
};

/** What counted notes and coins come to. */
export const countedSum = (counted: Counted): Minor =>
  sum(Object.entries(counted).map(([value, count]) => minor(BigInt(value) * BigInt(count))));
