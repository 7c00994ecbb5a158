import { type Currency } from '../money/currency';
import { type Problem, problem, quoted } from '../base/result';

/** What a country's banks call the number of a bank or branch that stands beside an account number, and how it looks. */
export interface Routing {
  readonly label: string;
  readonly looks: RegExp;
  readonly says: string;
  /** Whether its check digit fits; true where it has none. */
  readonly fits?: (digits: string) => boolean;
}

/** Three, seven and one in turn, times the nine digits, come to a multiple of ten (American Bankers Association). */
const fitsRouting = (digits: string): boolean =>
  Array.from(digits).reduce((sum, digit, at) => sum + Number(digit) * ([3, 7, 1][at % 3] ?? 0), 0) % 10 === 0;

const digits = (label: string, ...lengths: readonly number[]): Routing => ({
  label,
  looks: new RegExp(`^(?:${lengths.map((length) => `\\d{${String(length)}}`).join('|')})$`),
  says: `${lengths.join(' or ')} digits`,
});

const ROUTINGS: Readonly<Record<string, Routing>> = {
  AT: digits('Bankleitzahl', 5),
  AU: digits('BSB number', 6),
  CA: digits('Transit and institution number', 8, 9),
  CH: digits('Clearing number', 3, 4, 5),
  DE: digits('Bankleitzahl', 8),
  DK: digits('Registration number', 4),
  GB: digits('Sort code', 6),
  HK: digits('Bank and branch code', 6),
  IE: digits('Sort code', 6),
  IN: { label: 'IFSC', looks: /^[A-Z]{4}0[A-Z0-9]{6}$/, says: 'four letters, a nought, and six letters or digits' },
  JP: digits('Bank and branch number', 7),
  NZ: digits('Bank and branch number', 6),
  SE: digits('Clearing number', 4, 5),
  SG: digits('Bank and branch code', 7),
  US: { ...digits('Routing number', 9), fits: fitsRouting },
  ZA: digits('Branch code', 6),
};

/** Of a country whose banks are numbered in no way known here. */
export const ANY_ROUTING: Routing = {
  label: 'Bank code',
  looks: /^[A-Z0-9]{1,20}$/,
  says: 'at most 20 letters and digits',
};

/** Where money of a currency is kept as a rule; others tell nothing of the country. */
const COUNTRY_OF: Readonly<Record<string, string>> = {
  AUD: 'AU',
  CAD: 'CA',
  CHF: 'CH',
  DKK: 'DK',
  GBP: 'GB',
  HKD: 'HK',
  INR: 'IN',
  JPY: 'JP',
  NZD: 'NZ',
  SEK: 'SE',
  SGD: 'SG',
  USD: 'US',
  ZAR: 'ZA',
};

/**
 * How the bank of an account is numbered: as in the country of its currency, where that is another than the books', else as in the
 * books' own. `currency` is null for an account in base currency.
 *
 * @example routingOf('IE', 'GBP').label // 'Sort code'
 */
export const routingOf = (country: string, currency: Currency | null): Routing =>
  ROUTINGS[currency === null ? country : (COUNTRY_OF[currency] ?? '')] ?? ANY_ROUTING;

/** A number of a bank without the marks that it is printed with, in capitals. */
export const plainRouting = (typed: string): string => typed.replace(/[\s./-]/g, '').toUpperCase();

/** In twos, as sort codes are printed; any other as it is. */
export const printRouting = (routing: string, { label }: Routing): string =>
  label === 'Sort code' && /^\d{6}$/.test(routing) ? routing.replace(/(..)(..)(..)/, '$1-$2-$3') : routing;

/** What is wrong with the number of a bank: its shape, or its check digit. */
export const routingProblem = (typed: string, { label, looks, says, fits }: Routing): Problem | undefined => {
  const plain = plainRouting(typed);
  if (plain === '') return undefined;
  const wrong = (why: string): Problem =>
    problem('bank.routing', `${quoted(typed)} is no ${label.toLowerCase()}: ${why}.`, 'routing');
  if (!looks.test(plain)) return wrong(`one has ${says}`);
  return fits === undefined || fits(plain) ? undefined : wrong('its last digit does not fit; a digit is mistyped');
};
