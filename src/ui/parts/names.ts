import { PLAIN_WRITING, type Writing } from '@/core/base/sentence';
import { type DateStyle, PLAIN_DATES, monthName, writeStyled } from '@/core/base/date-style';
import { COUNTRY_CODES } from '@/core/company/country';
import { CURRENCY_CODES, whyNotForNew } from '@/core/money/currency';

const countries = new Intl.DisplayNames('en-GB', { type: 'region' });
const currencies = new Intl.DisplayNames('en-GB', { type: 'currency' });

/** Code and name. Names are looked up on the server only: the browser's language data may word them otherwise. */
export type Named = readonly (readonly [code: string, name: string])[];

export const countryName = (code: string): string => countries.of(code) ?? code;

export const countryNames = (): Named =>
  COUNTRY_CODES.map((code) => [code, countryName(code)] as const).sort(([, a], [, b]) => a.localeCompare(b, 'en'));

/** Currencies that can be taken into use. */
export const currencyNames = (use: 'base' | 'foreign'): Named =>
  CURRENCY_CODES.filter((code) => whyNotForNew(code, use) === undefined).map((code) => [
    code,
    currencies.of(code) ?? code,
  ]);

/** `2026-07-31` as `31 Jul 2026`, or in the books' own style. */
/** How sentences are written beside fields that write dates so; numbers in them stay plain. */
export const writingWith = (dates: DateStyle): Writing => ({
  ...PLAIN_WRITING,
  date: (iso) => writeStyled(iso, dates),
});

export const day = (iso: string, style: DateStyle = PLAIN_DATES): string => writeStyled(iso, style);

/** An ISO instant in UTC, so that server and browser write the same. */
export const moment = (instant: string): string => {
  const [, year = '', month = '', date = '', clock = ''] = /^(\d{4})-(\d\d)-(\d\d)T(\d\d:\d\d)/.exec(instant) ?? [];
  return `${String(Number(date))} ${monthName(Number(month))} ${year}, ${clock} UTC`;
};
