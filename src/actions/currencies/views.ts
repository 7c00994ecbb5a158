import { type Currency } from '@/core/money/currency';
import { ratesOf, tieInputOf } from '../frame/ties';
import { type DatedRate, plainRate } from '@/core/money/rate';
import type { Ratio } from '@/core/money/ratio';
import { pairRates, pairsOf } from '@/store/currencies';
import { currentSet, partsOfSet } from '@/store/openings';
import { page } from '../frame/views';
import { openingRate } from '../frame/state';
import { historyOf } from '../frame/history';

export interface RateView extends Omit<DatedRate, 'rate'> {
  readonly rate: string;
}

const rateView = (rate: DatedRate): RateView => ({ ...rate, rate: plainRate(rate.rate) });

/** The rate that one currency has on the opening date, with where it comes from; or what is missing. */
export interface UsedRate {
  readonly currency: Currency;
  /** How much base currency one is worth, exactly; null when there is no rate. */
  readonly ratio: Ratio | null;
  readonly legs: readonly { readonly rate: RateView; readonly age: number }[];
  readonly stale: { readonly rate: RateView; readonly age: number } | null;
}

const MOST_DRAWN = 1200;
const MOST_LISTED = 400;

export const currenciesView = (id: number, wanted: string | undefined) =>
  page('books.see', id, async ({ tx, books }, state) => {
    const pairs = await pairsOf(tx, books.id);
    const chosen =
      state.currencies.find((currency) => currency === wanted) ??
      state.currencies.find((currency) => pairs.some((pair) => [pair.low, pair.high].includes(currency))) ??
      state.currencies[0];
    const used = state.currencies.map((currency): UsedRate => {
      const found = openingRate(state, currency);
      const leg = ({ rate, age }: { rate: DatedRate; age: number }) => ({ rate: rateView(rate), age });
      return found.kind === 'found'
        ? { currency, ratio: found.ratio, legs: found.legs.map(leg), stale: null }
        : { currency, ratio: null, legs: [], stale: found.stale === undefined ? null : leg(found.stale) };
    });
    const pair: readonly [string, string] | undefined = chosen === undefined ? undefined : [chosen, books.currency];
    const set = await currentSet(tx, books.id);
    const parts = set === undefined ? [] : [...(await partsOfSet(tx, books.id, set.id)).values()].flat();
    return {
      rounding: books.rounding,
      rateDays: books.rateDays,
      posted: state.posted,
      figures: state.amounts.size,
      currencies: state.currencies.map((currency) => ({
        currency,
        accounts: state.accounts
          .filter((account) => account.currency === currency)
          .map((account) => `${account.code} ${account.name}`),
      })),
      used,
      /** The parts of the opening figures that are in the chosen currency. */
      parts: parts.filter(({ currency }) => currency === chosen),
      /** What stands behind accounts in the chosen currency, for what another rate would make of it. */
      lists: state.accounts.flatMap((account) => {
        const { rate: _, ...input } = tieInputOf(state, account, () => undefined);
        const { code, name } = account;
        return input.supported.some(({ currency }) => currency === chosen) ||
          (input.closing !== null && account.currency === chosen)
          ? [{ of: { code, name }, input }]
          : [];
      }),
      rates: ratesOf(state),
      pairs,
      chosen: chosen ?? null,
      listed: pair === undefined ? [] : (await pairRates(tx, books.id, pair, MOST_LISTED, false)).map(rateView),
      drawn: pair === undefined ? [] : (await pairRates(tx, books.id, pair, MOST_DRAWN, true)).map(rateView),
      others: pairs.filter((one) => one.low !== books.currency && one.high !== books.currency),
      accounts: state.accounts,
      history: await historyOf({ tx, books }, 'currencies'),
    };
  });
