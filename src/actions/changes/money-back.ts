import { isCurrency } from '@/core/money/currency';
import type { Change } from '@/core/base/change';
import { type Problem, problem } from '@/core/base/result';
import { MONEY_RULES } from '@/core/openings/say-changes';
import { type MoneyRules, updateMoneyRules } from '@/store/books';
import {
  currenciesOf,
  deleteCurrency,
  deleteRates,
  insertCurrency,
  putRates,
  rateFrom,
  rateStands,
} from '@/store/currencies';
import type { WritingContext } from '../kernel/action';
import { whyBaseStays, whyStaysOn } from '../currencies/rules';

/** Currencies that were switched off are switched on again. */
export const currenciesIn = async (
  context: WritingContext,
  changes: readonly Change[],
): Promise<readonly Problem[]> => {
  const { tx, books, actor, now } = context;
  const on = (await currenciesOf(tx, [books.id])).get(books.id) ?? [];
  for (const { field, from } of changes)
    if (from !== null && isCurrency(field) && !on.includes(field))
      context.changes.add([await insertCurrency(tx, books.id, field, actor.person, now)]);
  return [];
};

/** Currencies that were switched on are switched off again, where nothing uses them. */
export const currenciesOut = async (
  context: WritingContext,
  changes: readonly Change[],
): Promise<readonly Problem[]> => {
  const { tx, books } = context;
  for (const { field, from } of changes) {
    if (from !== null || !isCurrency(field)) continue;
    const wrong = await whyStaysOn(context, field);
    if (wrong.length > 0) return wrong;
    context.changes.add(await deleteCurrency(tx, books.id, field));
  }
  return [];
};

/** Rules of money go back, where they are what the change left. */
export const moneyRulesBack = async (
  context: WritingContext,
  changes: readonly Change[],
): Promise<readonly Problem[]> => {
  const { tx, books } = context;
  const newer = changes.find(({ field, to }) => books[field as keyof MoneyRules] !== to);
  if (newer !== undefined)
    return [
      problem(
        'undo.since',
        `${MONEY_RULES[newer.field as keyof MoneyRules]} changed since, so nothing was taken back.`,
      ),
    ];
  const back = Object.fromEntries(changes.map(({ field, from }) => [field, from])) as Partial<MoneyRules>;
  const wrong = back.currency === undefined ? [] : await whyBaseStays(context, back.currency);
  if (wrong.length === 0) context.changes.add(await updateMoneyRules(tx, books, back));
  return wrong;
};

export const ratesBack = async (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  const { tx, books, actor, now } = context;
  const stand = await rateStands(tx, books.id, changes);
  const newer = changes.find((_, at) => stand[at] !== true);
  if (newer !== undefined)
    return [problem('undo.since', `The rate of ${newer.field} was changed since, so nothing was taken back.`)];
  context.changes.add(
    await putRates(
      tx,
      books.id,
      changes.flatMap(({ from }) => rateFrom(from) ?? []),
      actor.person,
      now,
    ),
  );
  context.changes.add(
    await deleteRates(
      tx,
      books.id,
      changes.flatMap(({ from, to }) => (from === null ? (rateFrom(to) ?? []) : [])),
    ),
  );
  return [];
};
