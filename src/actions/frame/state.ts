import { openingDate, opensAtYearStart } from '@/core/calendar/cutover';
import { periodOf } from '@/core/calendar/year';
import type { Account, AccountId } from '@/core/chart/account';
import { companyChecklist } from '@/core/company/facts';
import { type Currency, minorDigits } from '@/core/money/currency';
import type { Minor } from '@/core/money/minor';
import { type Lookup, type RateBook, lookUp, rateBook } from '@/core/money/rate-book';
import type { Part, Position } from '@/core/openings/foreign';
import { type CheckResult, prove } from '@/core/proof/checks';
import { scheduleOf } from '@/core/schedules/kinds';
import { type Tie, countTies } from '@/core/schedules/tie-out';
import { type StageState, stageStates } from '@/core/proof/stages';
import type { Books } from '@/store/books';
import { lastYearsOf } from '@/store/comparatives';
import { type StoredYear, yearsOf } from '@/store/calendar';
import { currenciesOf, ratesBefore } from '@/store/currencies';
import type { Queryable } from '@/store/database';
import { currenciesInUse, currentAmounts, currentParts } from '@/store/openings';
import { type Behind, NOTHING_BEHIND, behindOf } from '@/store/schedules';
import { standingCharts } from './held-chart';
import { tiesOf } from './ties';

/** Everything that the checks and the course of a set of books are computed from, and what they say. */
export interface BooksState {
  readonly books: Books;
  readonly digits: number;
  readonly years: readonly StoredYear[];
  readonly accounts: readonly Account[];
  readonly amounts: ReadonlyMap<AccountId, Minor>;
  readonly drafting: boolean;
  readonly posted: boolean;
  readonly atYearStart: boolean;
  /** Foreign currencies switched on; empty while the part is off. */
  readonly currencies: readonly Currency[];
  /** The rates that a lookup on the opening date can need. */
  readonly rates: RateBook;
  /** What of the figures is in foreign currencies, and what stands behind them. */
  readonly parts: ReadonlyMap<AccountId, readonly Part[]>;
  readonly behind: Behind;
  /** The tie-outs of the accounts that can have a schedule. */
  readonly ties: ReadonlyMap<AccountId, Tie>;
  readonly proof: readonly CheckResult[];
  readonly stages: readonly StageState[];
}

/** The states of many books from a few queries, whatever their number. */
export const statesOf = async (
  tx: Queryable,
  list: readonly Books[],
  chartsIn: typeof standingCharts = standingCharts,
): Promise<readonly BooksState[]> => {
  const ids = list.map((books) => books.id);
  const years = await yearsOf(tx, ids);
  const charts = await chartsIn(tx, list);
  const openings = await currentAmounts(tx, ids);
  const currencies = await currenciesOf(tx, ids);
  const inUse = await currenciesInUse(tx, ids);
  const rates = await ratesBefore(
    tx,
    list
      .filter((books) => books.facts.parts.includes('currencies'))
      .map((books) => ({ books: books.id, date: openingDate(books.cutover).toString() })),
  );
  const behinds = await behindOf(tx, ids);
  const partsIn = await currentParts(tx, ids);
  const lastYears = await lastYearsOf(tx, ids);
  return list.map((books) => {
    const accounts = charts.get(books.id) ?? [];
    const own = years.get(books.id) ?? [];
    const opening = openings.get(books.id);
    const amounts = opening?.amounts ?? new Map<AccountId, Minor>();
    const digits = minorDigits(books.currency);
    const foreign = books.facts.parts.includes('currencies');
    const on = foreign ? (currencies.get(books.id) ?? []) : [];
    const known = rateBook(rates.get(books.id) ?? []);
    const behind = behinds.get(books.id) ?? NOTHING_BEHIND;
    const parts = partsIn.get(books.id) ?? new Map<AccountId, readonly Part[]>();
    const ties = tiesOf({ books, rates: known, accounts, amounts, parts, behind });
    const proof = prove({
      facts: books.facts,
      accounts,
      openings: amounts,
      lastYear: lastYears.get(books.id) ?? new Map<AccountId, Minor>(),
      years: own,
      cutover: books.cutover,
      old: books,
      currency: { code: books.currency, digits },
      style: books.style,
      currencies: on,
      inCurrency: inUse.get(books.id) ?? new Map<Currency, number>(),
      rates: known,
      rateDays: books.rateDays,
      ties,
      itemsLater: behind.later,
      itemsTwice: behind.twice,
      things: behind.things,
      alerts: behind.alerts,
    });
    const year = periodOf(own, books.cutover);
    const posting = accounts.filter((account) => !account.heading && account.active);
    const required = companyChecklist(books.facts, true).filter((item) => item.kind === 'required');
    const stages = stageStates({
      required: { all: required.length, done: required.filter((item) => item.done).length },
      currencies: foreign ? on.length : undefined,
      periods: own.reduce((count, one) => count + one.periods.length, 0),
      accounts: posting.length,
      filled: amounts.size,
      schedules: schedulesOf(accounts, ties),
      posted: opening?.posted ?? false,
      drafting: opening?.draft ?? false,
      proof,
    });
    return {
      books,
      digits,
      years: own,
      accounts,
      amounts,
      drafting: opening?.draft ?? false,
      posted: opening?.posted ?? false,
      atYearStart: year !== undefined && opensAtYearStart(year, books.cutover),
      currencies: on,
      rates: known,
      parts,
      behind,
      ties,
      proof,
      stages,
    };
  });
};

const schedulesOf = (accounts: readonly Account[], ties: ReadonlyMap<AccountId, Tie>): ReturnType<typeof countTies> =>
  countTies(
    accounts.flatMap((account) => {
      const [kind, tie] = [scheduleOf(account), ties.get(account.id)];
      return kind === undefined || tie === undefined ? [] : [{ kind, tie }];
    }),
  );

/** The rate of a foreign currency in base currency that counts on the opening date. */
export const openingRate = ({ books, rates }: Pick<BooksState, 'books' | 'rates'>, currency: Currency): Lookup =>
  lookUp(rates, {
    from: currency,
    to: books.currency,
    date: openingDate(books.cutover).toString(),
    mostDays: books.rateDays,
  });

/** Figures with their parts in foreign currencies, for posting. */
export const positionsOf = (
  amounts: ReadonlyMap<AccountId, Minor>,
  parts: ReadonlyMap<AccountId, readonly Part[]>,
): ReadonlyMap<AccountId, Position> =>
  new Map([...amounts].map(([account, base]) => [account, { base, parts: parts.get(account) ?? [] }]));

export const stateOf = async (tx: Queryable, books: Books): Promise<BooksState> => {
  const [state] = await statesOf(tx, [books]);
  if (state === undefined) throw new Error('a state for each of the books');
  return state;
};
