import { openingDate } from '@/core/calendar/cutover';
import type { Account, AccountId } from '@/core/chart/account';
import { type Currency, minorDigits } from '@/core/money/currency';
import type { Conversion } from '@/core/money/convert';
import { type Minor, NIL } from '@/core/money/minor';
import { type RateBook, lookUp } from '@/core/money/rate-book';
import type { Part } from '@/core/openings/foreign';
import { scheduleOf } from '@/core/schedules/kinds';
import { type Tie, type TieInput, tieOf } from '@/core/schedules/tie-out';
import type { Books } from '@/store/books';
import type { Behind } from '@/store/schedules';

/** How amounts of a currency become base currency on the opening date; undefined where there is no rate for it. */
export const conversionsOf = ({
  books,
  rates,
}: {
  readonly books: Pick<Books, 'currency' | 'cutover' | 'rateDays' | 'rounding'>;
  readonly rates: RateBook;
}): ((currency: Currency) => Conversion | undefined) => {
  const known = new Map<string, Conversion | undefined>();
  return (currency) => {
    if (known.has(currency)) return known.get(currency);
    const found = lookUp(rates, {
      from: currency,
      to: books.currency,
      date: openingDate(books.cutover).toString(),
      mostDays: books.rateDays,
    });
    const how =
      found.kind === 'found'
        ? {
            ratio: found.ratio,
            fromDigits: minorDigits(currency),
            toDigits: minorDigits(books.currency),
            rounding: books.rounding,
          }
        : undefined;
    known.set(currency, how);
    return how;
  };
};

interface TieState {
  readonly books: Books;
  readonly rates: RateBook;
  readonly amounts: ReadonlyMap<AccountId, Minor>;
  readonly parts: ReadonlyMap<AccountId, readonly Part[]>;
  readonly behind: Behind;
}

/** What the tie-out of an account is computed from. */
export const tieInputOf = (
  { books, amounts, parts, behind }: Omit<TieState, 'rates'>,
  account: Account,
  rate: TieInput['rate'],
): TieInput => ({
  figure: amounts.get(account.id) ?? NIL,
  parts: parts.get(account.id) ?? [],
  base: books.currency,
  own: account.currency === books.currency ? null : account.currency,
  supported: behind.supported.get(account.id) ?? [],
  closing: behind.closings.get(account.id) ?? null,
  explained: behind.explained.get(account.id) ?? null,
  rate,
});

/** The tie-out of every account that can have a schedule. */
export const tiesOf = (state: TieState & { readonly accounts: readonly Account[] }): ReadonlyMap<AccountId, Tie> => {
  const rate = conversionsOf(state);
  return new Map(
    state.accounts.flatMap((account): readonly (readonly [AccountId, Tie])[] =>
      scheduleOf(account) === undefined ? [] : [[account.id, tieOf(tieInputOf(state, account, rate))]],
    ),
  );
};

/** How amounts of the currencies in use become base currency on the opening date, by their codes. */
export const ratesOf = (
  state: Parameters<typeof conversionsOf>[0] & { readonly currencies: readonly Currency[] },
): Readonly<Record<string, Conversion>> => {
  const rate = conversionsOf(state);
  return Object.fromEntries(
    state.currencies.flatMap((currency) => {
      const how = rate(currency);
      return how === undefined ? [] : [[currency, how] as const];
    }),
  );
};
