import { type Currency } from '@/core/money/currency';
import { changeBaseProblems, switchOffProblems } from '@/core/chart/currency-use';
import type { Problem } from '@/core/base/result';
import { currenciesOf, isPostedIn } from '@/store/currencies';
import { hasPosted } from '@/store/journals';
import { currenciesInUse, currentAmounts } from '@/store/openings';
import { standingChart } from '../frame/held-chart';
import type { BooksContext } from '../kernel/action';

/** Why a currency has to stay switched on. */
export const whyStaysOn = async (context: BooksContext, currency: Currency): Promise<readonly Problem[]> => {
  const { tx, books } = context;
  return switchOffProblems(currency, {
    accounts: await standingChart(context),
    figures: (await currenciesInUse(tx, [books.id])).get(books.id)?.get(currency) ?? 0,
    posted: await isPostedIn(tx, books.id, currency),
  });
};

/** Why another base currency cannot be taken. */
export const whyBaseStays = async ({ tx, books }: BooksContext, next: string): Promise<readonly Problem[]> =>
  changeBaseProblems(books.currency, next, {
    posted: await hasPosted(tx, books.id),
    figures: (await currentAmounts(tx, [books.id])).get(books.id)?.amounts.size ?? 0,
    foreign: (await currenciesOf(tx, [books.id])).get(books.id) ?? [],
  });
