import { folded } from '../base/folded';
import { once } from '../base/once';

/** Languages in which lists name countries. */
const LANGUAGES = 'en de fr es it pt nl pl cs sk hu sv da nb fi et lv lt sl hr ro bg el tr ja zh ko'.split(' ');

/** What is usual beside the official names. */
const USUAL: Readonly<Record<string, string>> = {
  uk: 'GB',
  'great britain': 'GB',
  england: 'GB',
  scotland: 'GB',
  wales: 'GB',
  'northern ireland': 'GB',
  eire: 'IE',
  'republic of ireland': 'IE',
  usa: 'US',
  holland: 'NL',
  'czech republic': 'CZ',
};

/** Whether a code is one of today: the platform writes what another has replaced as that one. */
const isInUse = (code: string): boolean => Intl.getCanonicalLocales(`und-${code}`)[0] === `und-${code}`;

let byName: ReadonlyMap<string, string> | undefined;

/** Names of all two-letter regions that the platform knows, in each of the languages; made once, when first asked. */
const names = (): ReadonlyMap<string, string> => {
  if (byName !== undefined) return byName;
  const found = new Map<string, string>();
  const letters = Array.from({ length: 26 }, (_, at) => String.fromCodePoint(65 + at));
  for (const language of LANGUAGES) {
    const display = new Intl.DisplayNames([language], { type: 'region', fallback: 'none' });
    for (const first of letters)
      for (const second of letters) {
        const name = display.of(first + second);
        // The first language that has a name keeps it. What a withdrawn code stood for bears another one now.
        if (name !== undefined && isInUse(first + second) && !found.has(folded(name)))
          found.set(folded(name), first + second);
      }
  }
  for (const [name, code] of Object.entries(USUAL)) found.set(name, code);
  byName = found;
  return found;
};

/** Codes that are written for a country's own: by people, and in front of tax numbers. */
const OTHERWISE: Readonly<Record<string, string>> = { UK: 'GB', XI: 'GB', EL: 'GR' };
/** One letter, as on vehicles. */
const LETTERS: Readonly<Record<string, string>> = {
  A: 'AT',
  B: 'BE',
  D: 'DE',
  E: 'ES',
  F: 'FR',
  H: 'HU',
  I: 'IT',
  L: 'LU',
  N: 'NO',
  P: 'PT',
  S: 'SE',
};

/** The codes of countries of today. */
const codes = once((): ReadonlySet<string> => new Set(names().values()));

/**
 * The country (ISO 3166-1 alpha-2) that a text is: its code, or its name in one of the languages.
 *
 * @example [countryIn('ie'), countryIn('Irlande'), countryIn('United Kingdom'), countryIn('Elsewhere'), countryIn('HA')] // ['IE', 'IE', 'GB', undefined, undefined]
 */
export const countryIn = (text: string): string | undefined => {
  const trimmed = text.trim();
  if (/^[A-Z]{2}$/i.test(trimmed)) {
    const code = trimmed.toUpperCase();
    return OTHERWISE[code] ?? (codes().has(code) ? code : undefined);
  }
  if (trimmed.length === 1) return LETTERS[trimmed];
  return trimmed === '' || trimmed.length > 60 ? undefined : names().get(folded(trimmed));
};
