import { plainDate, writeDate } from '@/core/calendar/dates';

const countries = new Intl.DisplayNames('en-GB', { type: 'region' });
const currencies = new Intl.DisplayNames('en-GB', { type: 'currency' });

export const countryName = (code: string): string => countries.of(code) ?? code;
export const currencyName = (code: string): string => currencies.of(code) ?? code;

/** `2026-07-31` as `31 Jul 2026`. */
export const day = (iso: string): string => writeDate(plainDate(iso));

const clock = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  hour: '2-digit',
  minute: '2-digit',
  timeZone: 'UTC',
});

/** An instant, in short. UTC on server and browser alike, so that both write the same. */
export const moment = (instant: string): string => `${clock.format(new Date(instant))} UTC`;
