import { COUNTRY_CODES } from '@/core/country';
import { CURRENCY_CODES } from '@/core/money/currency';
import { NUMBER_STYLES } from '@/core/money/number-style';
import { LEGAL_FORMS } from '@/core/company';
import { countryName, currencyName } from '../parts/names';

const named = (codes: readonly string[], name: (code: string) => string): readonly (readonly [string, string])[] =>
  codes.map((code) => [code, name(code)] as const).sort(([, a], [, b]) => a.localeCompare(b, 'en'));

export const CountryOptions = () =>
  named(COUNTRY_CODES, countryName).map(([code, name]) => (
    <option key={code} value={code}>
      {name}
    </option>
  ));

export const CurrencyOptions = () =>
  CURRENCY_CODES.map((code) => <option key={code} value={code}>{`${code} · ${currencyName(code)}`}</option>);

export const LegalFormOptions = () =>
  LEGAL_FORMS.map((form) => (
    <option key={form.id} value={form.id}>
      {form.label}
    </option>
  ));

export const StyleOptions = () =>
  NUMBER_STYLES.slice(0, 6).map((style) => (
    <option key={style} value={style}>
      {style}
    </option>
  ));
