'use server';

import { z } from 'zod';
import { epochDay, plainDate } from '@/core/base/dates';
import { type Sentence, dated, say } from '@/core/base/sentence';
import { accountId, called, chartIndex } from '@/core/chart/account';
import { roleFacts } from '@/core/ledger/classes';
import { change } from '@/core/chart/edit';
import { EXCHANGE_ROLES, replacedBy } from '@/core/chart/exchange';
import { whyNotForNew } from '@/core/money/currency';
import { plainRate, rateTold, readRate } from '@/core/money/rate';
import { doubtOf, pairOf, rateBook } from '@/core/money/rate-book';
import { settleRates } from '@/core/money/rate-edits';
import { ROUNDING_IDS } from '@/core/money/rounding';
import { type Problem, fail, ok, plural, problem } from '@/core/base/result';
import { updateMoneyRules } from '@/store/books';
import {
  currenciesOf,
  deleteCurrency,
  deleteRates,
  insertCurrency,
  neighboursOf,
  pairRates,
  putRates,
} from '@/store/currencies';
import { record } from '@/store/history';
import { standingChart } from '../frame/held-chart';
import { type BooksContext, booksAction } from '../kernel/action';
import { carryOut } from '../chart/edits';
import { currencyCode, fieldDay, id, text } from '../kernel/inputs';
import { whyBaseStays, whyStaysOn } from './rules';

/** More rates of one pair than anybody has: every day of a thousand years. */
const MOST_OF_PAIR = 366_000;

const currency = currencyCode('Choose a currency from the list.');

const partOff = (books: BooksContext['books']): readonly Problem[] =>
  books.facts.parts.includes('currencies')
    ? []
    : [
        problem(
          'currencies.off',
          'Foreign currencies are not among the parts in use. Turn them on on the Company page.',
        ),
      ];

const note = ({ tx, books, actor, now }: BooksContext, what: string | Sentence): Promise<void> =>
  record(tx, books.id, 'currencies', [books.id], what, actor.person, now);

export const switchOn = booksAction('switchOn', 'currencies.change', { currency }, async (context, input) => {
  const { tx, books, actor, now } = context;
  const off = partOff(books);
  if (off.length > 0) return fail(...off);
  const retired = whyNotForNew(input.currency, 'foreign');
  if (retired !== undefined) return fail(problem('currency.retired', retired, 'currency'));
  if (input.currency === books.currency)
    return fail(problem('currency.base', `${input.currency} is the base currency of these books.`, 'currency'));
  if ((await currenciesOf(tx, [books.id])).get(books.id)?.includes(input.currency) === true)
    return fail(problem('currency.on', `${input.currency} is switched on already.`, 'currency'));
  context.changes.add([await insertCurrency(tx, books.id, input.currency, actor.person, now)]);
  await note(context, `${input.currency} switched on`);
  return ok({});
});

/** Switches a currency off that nothing uses. */
export const switchOff = booksAction('switchOff', 'currencies.change', { currency }, async (context, input) => {
  const { tx, books } = context;
  const wrong = await whyStaysOn(context, input.currency);
  if (wrong.length > 0) return fail(...wrong);
  const gone = await deleteCurrency(tx, books.id, input.currency);
  if (gone.length === 0)
    return fail(problem('currency.not-on', `${input.currency} is switched off already.`, 'currency'));
  context.changes.add(gone);
  await note(context, `${input.currency} switched off`);
  return ok({});
});

/** Rounding rule and how old a rate may be; what is not given stays as it is. */
export const changeMoneyRules = booksAction(
  'changeMoneyRules',
  'currencies.change',
  {
    rounding: z.enum(ROUNDING_IDS).optional(),
    rateDays: z
      .int('The number of days is a whole number.')
      .min(0, 'A rate cannot be younger than the day itself; 0 means the day’s own rate only.')
      .max(366, 'A rate of more than a year ago is no rate of that day; 366 days are the most.')
      .optional(),
  },
  async (context, input) => {
    const { tx, books } = context;
    const rules = { rounding: input.rounding ?? books.rounding, rateDays: input.rateDays ?? books.rateDays };
    context.changes.add(await updateMoneyRules(tx, books, rules));
    await note(
      context,
      `Rounding ${rules.rounding.replaceAll('-', ' ')}; a rate may be ${plural(rules.rateDays, 'day')} old`,
    );
    return ok({});
  },
);

/** Changes the base currency, as long as nothing is stated in it. */
export const changeBase = booksAction('changeBase', 'currencies.change', { currency }, async (context, input) => {
  const { tx, books } = context;
  if (input.currency === books.currency) return ok({});
  const wrong = await whyBaseStays(context, input.currency);
  if (wrong.length > 0) return fail(...wrong);
  context.changes.add(await updateMoneyRules(tx, books, { currency: input.currency }));
  await note(context, `Base currency ${books.currency} → ${input.currency}`);
  return ok({});
});

/** A rate as it was typed, in either direction. A doubtful one is questioned once and wants a second press. */
export const saveRate = booksAction(
  'saveRate',
  'currencies.change',
  {
    date: fieldDay().transform(plainDate),
    unit: currency,
    quote: currency,
    typed: text(60),
    evenIfDoubtful: z.boolean(),
  },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    const off = partOff(books);
    const rate = readRate(input.typed, books.style, 'rate');
    if (off.length > 0 || !rate.ok) return fail(...off, ...(rate.ok ? [] : rate.problems));
    if (input.unit === input.quote)
      return fail(
        problem('rate.same', `A rate of ${input.unit} against itself says nothing. Choose two currencies.`, 'quote'),
      );
    const on = new Set([books.currency, ...((await currenciesOf(tx, [books.id])).get(books.id) ?? [])]);
    if (!on.has(input.unit) && !on.has(input.quote))
      return fail(problem('rate.unused', `Neither ${input.unit} nor ${input.quote} is in use here.`, 'unit'));
    const date = input.date.toString();
    const made = { date, unit: input.unit, quote: input.quote, rate: rate.value, source: 'typed' };
    const doubt = doubtOf(rateBook(await neighboursOf(tx, books.id, [made.unit, made.quote], date)), made);
    if (doubt !== undefined && !input.evenIfDoubtful) return fail(problem(doubt.code, doubt.says, 'rate'));
    context.changes.add(await putRates(tx, books.id, [made], actor.person, now));
    await note(
      context,
      say`${rateTold(made)} on ${dated(input.date)}, typed${doubt === undefined ? '' : ', kept although it was questioned'}`,
    );
    return ok({ rate: plainRate(rate.value) });
  },
);

const givenRate = z.object({
  date: fieldDay(),
  unit: currency,
  quote: currency,
  rate: text(60).transform((typed, context) => {
    const read = readRate(typed, '1234.56');
    if (read.ok) return read.value;
    context.addIssue({ code: 'custom', message: String(read.problems[0]?.message) });
    return z.NEVER;
  }),
});

/**
 * Rates of one pair changed in a sheet, several at once or none: put right, moved to another day, added, deleted (`settleRates` says by
 * which rules).
 */
export const saveRates = booksAction(
  'saveRates',
  'currencies.change',
  {
    pair: z.tuple([currency, currency]),
    entries: z
      .array(z.object({ was: givenRate.nullable(), rate: givenRate.extend({ sure: z.boolean() }).nullable() }))
      .min(1)
      .max(2000, 'Two thousand rates at once are the most; bring more as a file.'),
  },
  async (context, { pair, entries }) => {
    const { tx, books, actor, now } = context;
    const off = partOff(books);
    if (off.length > 0) return fail(...off);
    const on = new Set([books.currency, ...((await currenciesOf(tx, [books.id])).get(books.id) ?? [])]);
    const other = entries
      .flatMap(({ was, rate }) => [was, rate])
      .find((one) => one !== null && pairOf(one.unit, one.quote) !== pairOf(...pair));
    if (other != null || pair[0] === pair[1] || !pair.some((one) => on.has(one)))
      return fail(problem('rate.unused', `These are not rates of ${pair.join(' and ')}, or neither is in use here.`));
    const settled = settleRates(await pairRates(tx, books.id, pair, MOST_OF_PAIR, false), entries);
    if (!settled.ok) return settled;
    const { gone, put } = settled.value;
    context.changes.add(await deleteRates(tx, books.id, gone));
    context.changes.add(await putRates(tx, books.id, put, actor.person, now));
    const said = [
      ...put.map((rate) => say`${rateTold(rate)} on ${dated(rate.date)}, typed`),
      ...gone.map(({ unit, quote, date }) => say`Rate of ${unit}/${quote} on ${dated(date)} deleted`),
    ];
    const [only] = said;
    if (only !== undefined)
      await note(context, said.length === 1 ? only : `${plural(said.length, 'rate')} of ${pair.join('/')} changed`);
    return ok({
      rows: entries.map(({ rate }) => (rate === null ? null : { id: epochDay(rate.date), revision: 0 })),
    });
  },
);

/**
 * Gives a role for exchange differences to an account, taking it from the one that has it; or takes it away. Realised
 * differences in one account end the two for gains and losses, and the other way round.
 */
export const chooseExchangeAccount = booksAction(
  'chooseExchangeAccount',
  'currencies.change',
  { role: z.enum(EXCHANGE_ROLES), account: id.transform(accountId).nullable() },
  async (context, input) => {
    const chart = await standingChart(context);
    const wanted = input.account === null ? undefined : chartIndex(chart).byId.get(input.account);
    if (input.account !== null && wanted === undefined)
      return fail(
        problem('account.unknown', 'This account is not in the chart any more. Load the page again.', input.role),
      );
    if (wanted !== undefined && wanted.role !== null && wanted.role !== input.role)
      return fail(
        problem(
          'account.role-other',
          `${called(wanted)} already has the role ${roleFacts(wanted.role).label}. Choose another account.`,
          input.role,
        ),
      );
    const ended: readonly string[] = wanted === undefined ? [] : replacedBy(input.role);
    const losing = chart.filter(
      (account) =>
        account.id !== wanted?.id &&
        account.role !== null &&
        (account.role === input.role || ended.includes(account.role)),
    );
    const done = await carryOut(context, [
      ...losing.map((account) => change(account, { role: null })),
      ...(wanted === undefined || wanted.role === input.role ? [] : [change(wanted, { role: input.role })]),
    ]);
    if (!done.ok) return fail(...done.problems.map(({ code, message }) => problem(code, message, input.role)));
    return ok({});
  },
);
