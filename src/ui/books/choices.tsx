import { LEGAL_FORMS, legalFormIn } from '@/core/company/legal-form';
import { NUMBER_STYLES } from '@/core/money/number-style';
import type { Named } from '../parts/names';

export const CountryOptions = ({ names }: { readonly names: Named }) =>
  names.map(([code, name]) => (
    <option key={code} value={code}>
      {name}
    </option>
  ));

export const CurrencyOptions = ({ names }: { readonly names: Named }) =>
  names.map(([code, name]) => <option key={code} value={code}>{`${code} · ${name}`}</option>);

export const LegalFormOptions = ({ country }: { readonly country: string }) =>
  LEGAL_FORMS.map(({ id }) => (
    <option key={id} value={id}>
      {legalFormIn(id, country)}
    </option>
  ));

export const StyleOptions = () =>
  NUMBER_STYLES.slice(0, 6).map((style) => (
    <option key={style} value={style}>
      {style}
    </option>
  ));
