import { PLAIN_WRITING, type Writing } from '@/core/base/sentence';
import { type DateStyle, PLAIN_DATES, monthName, writeStyled } from '@/core/base/date-style';
import { COUNTRY_CODES } from '@/core/company/country';
import { type Currency, CURRENCY_CODES, whyNotForNew } from '@/core/money/currency';

const countries = new Intl.DisplayNames('en-GB', { type: 'region' });
const currencies = new Intl.DisplayNames('en-GB', { type: 'currency' });

/** Code and name. Names are looked up on the server only: the browser's language data may word them otherwise. */
export type Named<Code extends string = string> = readonly (readonly [code: Code, name: string])[];

export const countryName = (code: string): string => countries.of(code) ?? code;

export const countryNames = (): Named =>
  COUNTRY_CODES.map((code) => [code, countryName(code)] as const).sort(([, a], [, b]) => a.localeCompare(b, 'en'));

/** Currencies that can be taken into use. */
export const currencyNames = (use: 'base' | 'foreign'): Named<Currency> =>
  CURRENCY_CODES.filter((code) => whyNotForNew(code, use) === undefined).map((code) => [
    code,
    currencies.of(code) ?? code,
  ]);

/** How sentences are written beside fields that write dates so; numbers in them stay plain. */
export const writingWith = (dates: DateStyle): Writing => ({
  ...PLAIN_WRITING,
  date: (iso) => writeStyled(iso, dates),
});

/** `2026-07-31` as `31 Jul 2026`, or in the books' own style. */
export const day = (iso: string, style: DateStyle = PLAIN_DATES): string => writeStyled(iso, style);

/** An ISO instant with its zone, in UTC where none is said, which server and browser write the same. */
export const moment = (instant: string, zone = 'UTC'): string => {
  if (Number.isNaN(Date.parse(instant))) return '';
  const parts = new Map(
    new Intl.DateTimeFormat('en-GB', {
      timeZone: zone,
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: '2-digit',
      minute: '2-digit',
      hourCycle: 'h23',
      timeZoneName: 'short',
    })
      .formatToParts(new Date(instant))
      .map(({ type, value }) => [type, value]),
  );
  const of = (part: Intl.DateTimeFormatPartTypes): string => parts.get(part) ?? '';
  return `${of('day')} ${monthName(Number(of('month')))} ${of('year')}, ${of('hour')}:${of('minute')} ${of('timeZoneName')}`;
};
