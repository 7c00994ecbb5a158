import type { PeriodState } from '@/core/calendar/states';
import type { PeriodKind, YearPlan } from '@/core/calendar/year';
import { isResult, typeOf } from '@/core/ledger/classes';
import { companyChecklist, letterhead } from '@/core/company/facts';
import { type DatedRate, plainRate } from '@/core/money/rate';
import type { Ratio } from '@/core/money/ratio';
import { nextStage } from '@/core/proof/stages';
import { type Books, bookNames, logoSetAt, peopleOf } from '@/store/books';
import { postedPeriods } from '@/store/calendar';
import { pairRates, pairsOf } from '@/store/currencies';
import type { Queryable } from '@/store/database';
import { happenings } from '@/store/history';
import { hasPosted } from '@/store/journals';
import { currentSet, partsOfSet } from '@/store/openings';
import { view } from './action';
import { page } from './frame-view';
import { openingRate } from './state';

/** The names that a new company's is compared with. */
export const namesView = (): Promise<readonly { readonly id: number; readonly name: string }[]> =>
  view('practice.see', ({ tx, actor }) => bookNames(tx, actor.practice));

export const companyView = (id: number) =>
  page('books.see', id, async ({ tx, books, actor }, state) => {
    const logo = await logoSetAt(tx, books.id);
    return {
      facts: books.facts,
      people: await peopleOf(tx, actor.practice),
      logo,
      checklist: companyChecklist(books.facts, logo !== null),
      posted: await hasPosted(tx, books.id),
      years: state.years.map((year) => ({ name: year.name, start: year.start.toString(), end: year.end.toString() })),
      next: nextStage(state.stages) ?? null,
      history: await happenings(tx, books.id, 'books'),
    };
  });

export interface LetterheadView {
  readonly lines: readonly string[];
  /** When the logo was set, or null. */
  readonly logo: string | null;
  readonly preprinted: boolean;
}

/** What reports are headed with. */
export const letterheadOf = async (tx: Queryable, books: Books): Promise<LetterheadView> => ({
  lines: letterhead(books.facts),
  logo: await logoSetAt(tx, books.id),
  preprinted: books.facts.preprinted,
});

export interface PeriodView {
  readonly id: number;
  readonly kind: PeriodKind;
  readonly code: string;
  readonly name: string;
  readonly start: string;
  readonly end: string;
  readonly state: PeriodState;
}

export interface YearView {
  readonly id: number;
  readonly name: string;
  readonly start: string;
  readonly end: string;
  readonly plan: YearPlan;
  readonly periods: readonly PeriodView[];
}

export const calendarView = (id: number) =>
  page('books.see', id, async ({ tx, books, now }, state) => ({
    years: state.years.map((year): YearView => ({
      ...year,
      start: year.start.toString(),
      end: year.end.toString(),
      periods: year.periods.map((period): PeriodView => ({
        ...period,
        start: period.start.toString(),
        end: period.end.toString(),
      })),
    })),
    revision: books.calendarRevision,
    postedPeriods: [...(await postedPeriods(tx, books.id))],
    today: now.slice(0, 10),
    completeUntil: books.completeUntil?.toString() ?? '',
    trialBalance: books.trialBalance?.toString() ?? '',
    posted: state.posted,
    correcting: state.posted && state.drafting,
    currencies: state.currencies,
    figures: state.amounts.size > 0,
    results: state.accounts.some(
      (account) => isResult(typeOf(account.classification)) && (state.amounts.get(account.id) ?? 0n) !== 0n,
    ),
    history: await happenings(tx, books.id, 'calendar'),
    periodHistory: await happenings(tx, books.id, 'period', undefined, 200),
  }));

export interface RateView extends Omit<DatedRate, 'rate'> {
  readonly rate: string;
}

const rateView = (rate: DatedRate): RateView => ({ ...rate, rate: plainRate(rate.rate) });

/** The rate that one currency has on the opening date, with where it comes from; or what is missing. */
export interface UsedRate {
  readonly currency: string;
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
      pairs,
      chosen: chosen ?? null,
      listed: pair === undefined ? [] : (await pairRates(tx, books.id, pair, MOST_LISTED, false)).map(rateView),
      drawn: pair === undefined ? [] : (await pairRates(tx, books.id, pair, MOST_DRAWN, true)).map(rateView),
      others: pairs.filter((one) => one.low !== books.currency && one.high !== books.currency),
      accounts: state.accounts,
      history: await happenings(tx, books.id, 'currencies'),
    };
  });
