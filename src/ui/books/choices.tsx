import { LEGAL_FORMS } from '@/core/company/legal-form';
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
