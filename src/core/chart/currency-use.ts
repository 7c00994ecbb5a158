import { type Currency } from '../money/currency';
import { type Problem, plural, problem } from '../base/result';
import { type Account, listed } from './account';

/** Where amounts in a currency stand. */
export interface CurrencyUse {
  readonly accounts: readonly Account[];
  /** Opening figures with a part in it. */
  readonly figures: number;
  /** Whether journals with amounts in it are posted. */
  readonly posted: boolean;
}

/** Why a foreign currency cannot be switched off: an account is kept in it, or amounts in it stand or are posted. Its rates harm nobody. */
export const switchOffProblems = (
  currency: Currency,
  { accounts, figures, posted }: CurrencyUse,
): readonly Problem[] => {
  const kept = accounts.filter((account) => account.currency === currency);
  const because =
    kept.length > 0
      ? `${listed(kept, 3)} ${kept.length === 1 ? 'is' : 'are'} kept in it.`
      : figures > 0
        ? `${plural(figures, 'opening figure has an amount', 'opening figures have amounts')} in it. Take these out first.`
        : posted
          ? 'amounts are posted in it, and they stay.'
          : undefined;
  return because === undefined
    ? []
    : [problem('currency.used', `${currency} cannot be switched off: ${because}`, 'currency')];
};

/** What is stated in the base currency, or stands in the way of another one. */
export interface BaseUse {
  readonly posted: boolean;
  /** Opening figures. */
  readonly figures: number;
  /** Foreign currencies that are switched on. */
  readonly foreign: readonly string[];
}

/** Why another currency cannot become the base currency: amounts are stated in the one that is, or it is a foreign one. */
export const changeBaseProblems = (
  from: string,
  to: string,
  { posted, figures, foreign }: BaseUse,
): readonly Problem[] => {
  if (posted)
    return [
      problem(
        'base.posted',
        `These books have posted journals stated in ${from}, so it stays their base currency. Another base currency needs another set of books.`,
        'currency',
      ),
    ];
  if (figures > 0)
    return [
      problem(
        'base.figures',
        `${plural(figures, 'opening figure')} ${figures === 1 ? 'is' : 'are'} stated in ${from}. Clear them on the sheet first, or keep ${from}.`,
        'currency',
      ),
    ];
  if (foreign.includes(to))
    return [
      problem(
        'base.foreign',
        `${to} is switched on as a foreign currency. Switch it off first; then it can become the base currency.`,
        'currency',
      ),
    ];
  return [];
};
