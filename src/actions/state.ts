import { opensAtYearStart, periodOf } from '@/core/calendar/year';
import type { Account, AccountId } from '@/core/chart/account';
import { minorDigits } from '@/core/money/currency';
import type { Minor } from '@/core/money/minor';
import { type CheckResult, prove } from '@/core/proof/checks';
import { type StageState, stageStates } from '@/core/stages';
import type { Books, StoredYear } from '@/store/books';
import { yearsOf } from '@/store/books';
import { chartsOf } from '@/store/chart';
import type { Queryable } from '@/store/database';
import { currentAmounts } from '@/store/openings';

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
  readonly proof: readonly CheckResult[];
  readonly stages: readonly StageState[];
}

/** The states of many books from three queries, whatever their number. */
export const statesOf = async (tx: Queryable, list: readonly Books[]): Promise<readonly BooksState[]> => {
  const ids = list.map((books) => books.id);
  const years = await yearsOf(tx, ids);
  const charts = await chartsOf(tx, ids);
  const openings = await currentAmounts(tx, ids);
  return list.map((books) => {
    const accounts = charts.get(books.id) ?? [];
    const own = years.get(books.id) ?? [];
    const opening = openings.get(books.id);
    const amounts = opening?.amounts ?? new Map<AccountId, Minor>();
    const digits = minorDigits(books.currency);
    const proof = prove({
      accounts,
      openings: amounts,
      years: own,
      cutover: books.cutover,
      currency: { code: books.currency, digits },
      style: books.style,
    });
    const year = periodOf(own, books.cutover);
    const posting = accounts.filter((account) => !account.heading && account.active);
    const stages = stageStates({
      periods: own.reduce((count, one) => count + one.periods.length, 0),
      accounts: posting.length,
      filled: amounts.size,
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
      proof,
      stages,
    };
  });
};

export const stateOf = async (tx: Queryable, books: Books): Promise<BooksState> => {
  const [state] = await statesOf(tx, [books]);
  if (state === undefined) throw new Error('a state for each of the books');
  return state;
};
