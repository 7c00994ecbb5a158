'use server';

import { z } from 'zod';
import { openingDate } from '@/core/calendar/cutover';
import { writeDate } from '@/core/calendar/dates';
import { accountId, called } from '@/core/chart/account';
import { minorDigits } from '@/core/money/currency';
import { formatMinor } from '@/core/money/format';
import { LARGEST, type Minor, NIL, add, minor, sum } from '@/core/money/minor';
import { type Part, compared } from '@/core/openings/foreign';
import { type Result, fail, ok, problem } from '@/core/result';
import { accountsOf } from '@/store/chart';
import { type Writing, currentSet, lockLines, writeLines, writeParts } from '@/store/openings';
import { type BooksContext, booksAction } from './action';
import { type BooksState, openingRate, stateOf } from './state';

const amount = z
  .bigint()
  .refine((units) => (units < 0n ? -units : units) <= LARGEST, 'The amount is larger than any balance Bathron keeps.')
  .transform(minor);
const account = z.int().positive().transform(accountId);

interface Wanted {
  readonly currency: string;
  readonly amount: Minor;
  readonly base: Minor | null;
}

/** The parts with their base amounts, at the rate of the opening date where none is given; and what those rates leave over. */
const translate = (
  state: BooksState,
  wanted: readonly Wanted[],
  settle: boolean,
): Result<{ readonly parts: readonly Part[]; readonly left: Minor; readonly by: readonly string[] }> => {
  const { books } = state;
  const date = openingDate(books.cutover);
  const parts: Part[] = [];
  const by: string[] = [];
  let left: Minor = NIL;
  for (const { currency, amount: own, base } of wanted) {
    const found = openingRate(state, currency);
    if (found.kind === 'missing' && (base === null || settle))
      return fail(
        problem(
          'foreign.no-rate',
          `There is no ${currency} rate near ${writeDate(date)}. Enter one on the Currencies page, or give the amount in ${books.currency} too.`,
          'base',
        ),
      );
    if (found.kind === 'missing') {
      parts.push({ currency, amount: own, base: base ?? NIL });
      continue;
    }
    const { translated, difference } = compared(
      { amount: own, base: base ?? NIL },
      { ratio: found.ratio, fromDigits: minorDigits(currency), toDigits: state.digits, rounding: books.rounding },
    );
    const atRate = base === null || settle;
    parts.push({ currency, amount: own, base: atRate ? translated : base });
    if (atRate) by.push(`${currency} at the rate of ${found.legs[0]?.rate.date ?? date.toString()}`);
    if (base !== null && settle) left = add(left, difference);
  }
  return ok({ parts, left, by });
};

const rightCurrencies = (
  state: BooksState,
  own: string | null,
  wanted: readonly Wanted[],
  rest: Minor,
): Result<null> => {
  const currencies = wanted.map(({ currency }) => currency);
  if (new Set(currencies).size < currencies.length)
    return fail(problem('foreign.twice', 'A currency is named twice; put its amounts together.', 'currency'));
  if (own !== null && own !== state.books.currency && (currencies.some((one) => one !== own) || rest !== 0n))
    return fail(problem('foreign.other', `This account is kept in ${own} and takes no other currency.`, 'currency'));
  const unknown = currencies.find((one) => !state.currencies.includes(one));
  return unknown === undefined
    ? ok(null)
    : fail(
        problem('foreign.off', `${unknown} is not switched on. Switch it on on the Currencies page first.`, 'currency'),
      );
};

/**
 * Saves how much of an account's figure is in foreign currencies; the figure becomes their worth in base currency plus
 * `rest`, which is in base currency. A part without a base amount is translated at the rate of the opening date. Where
 * `settleOn` names an account, given base amounts give way to the rate, and what they differ by goes there: never silently.
 */
export const saveForeign = booksAction(
  'saveForeign',
  {
    set: z.int().positive(),
    account,
    revision: z.int().min(0),
    parts: z.array(z.object({ currency: z.string().length(3), amount, base: amount.nullable() })).max(20),
    rest: amount,
    settleOn: account.nullable(),
  },
  async (context: BooksContext, input) => {
    const { tx, books, actor, now, newId } = context;
    const set = await currentSet(tx, books.id);
    if (set?.id !== input.set || set.state !== 'draft')
      return fail(problem('openings.posted', 'The opening balances are posted. Open a correction to change them.'));
    const state = await stateOf(tx, books);
    const named = new Map(
      (await accountsOf(tx, books.id, [input.account, ...(input.settleOn === null ? [] : [input.settleOn])])).map(
        (one) => [one.id, one],
      ),
    );
    const own = named.get(input.account);
    const other = input.settleOn === null ? undefined : named.get(input.settleOn);
    if (own === undefined || own.heading || (input.settleOn !== null && (other === undefined || other.heading)))
      return fail(problem('account.unknown', 'This account is not in the chart any more. Load the page again.'));
    if (input.settleOn === input.account)
      return fail(problem('foreign.self', 'The difference cannot go to the account itself.', 'settleOn'));
    const right = rightCurrencies(state, own.currency, input.parts, input.rest);
    if (!right.ok) return right;
    const translated = translate(state, input.parts, input.settleOn !== null);
    if (!translated.ok) return translated;
    const { parts, left, by } = translated.value;
    const stored = await lockLines(tx, books.id, set.id, [...named.keys()]);
    const line = stored.get(own.id);
    if ((line?.revision ?? 0) !== input.revision)
      return fail(
        problem(
          'openings.changed',
          `${line?.by ?? 'Somebody'} changed this figure meanwhile. Look at it again, then save.`,
        ),
      );
    const to = add(sum(parts.map(({ base }) => base)), input.rest);
    const written = parts.map(
      ({ currency, amount: part }) => `${currency} ${formatMinor(part, minorDigits(currency), books.style)}`,
    );
    const calculated = by.length > 0;
    // A base amount that stays where it was still comes from where it came from.
    const origin: Pick<Writing, 'source' | 'paper'> =
      line !== undefined && line.amount === to
        ? { source: line.source, paper: line.paper }
        : { source: calculated ? 'calculated' : 'typed', paper: null };
    const writings: Writing[] = [
      {
        account: own.id,
        amount: to,
        from: line?.amount ?? null,
        ...origin,
        why: (calculated ? by : written).join(', ').slice(0, 300) || null,
      },
      ...(other === undefined || left === 0n
        ? []
        : [
            {
              account: other.id,
              amount: add(stored.get(other.id)?.amount ?? NIL, left),
              from: stored.get(other.id)?.amount ?? null,
              source: 'calculated' as const,
              paper: null,
              why: `difference to the rate on ${called(own)}`.slice(0, 300),
            },
          ]),
    ];
    await writeLines(tx, books.id, set.id, writings, newId(), actor.person, now);
    await writeParts(tx, books.id, set.id, new Map([[own.id, parts]]));
    return ok({ base: to, settled: left });
  },
);
