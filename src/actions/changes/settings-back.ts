import type { Change } from '@/core/base/change';
import { sameKept } from '@/core/base/kept';
import { type Problem, problem } from '@/core/base/result';
import { accountId } from '@/core/chart/account';
import { editsBack } from '@/core/chart/recorded';
import { removalProblems, taxCodeProblems } from '@/core/chart/tax-codes';
import { bankDetailsOf, bankFrom, keptBank, putBankDetails } from '@/store/bank-details';
import { deleteRate, putRates, rateFrom, rateStands } from '@/store/currencies';
import { deleteTaxCode, insertTaxCode, isStill, taxCodeFrom, taxCodesOf, updateTaxCode } from '@/store/tax-codes';
import type { WritingContext } from '../kernel/action';
import { carryOut } from '../chart/edits';
import { standingIndex, taxCodeRenamed } from '../frame/held-chart';

/** Accounts go back field by field; one that meets something newer, or that is used by now, is refused by the rules of the chart. */
export const accountsBack = async (
  context: WritingContext,
  changes: readonly Change[],
): Promise<readonly Problem[]> => {
  if (changes.length === 0) return [];
  const done = await carryOut(context, editsBack(changes));
  return done.ok ? [] : done.problems;
};

/** Bank details go back, of accounts that are there. */
export const banksBack = async (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  const { tx, books } = context;
  if (changes.length === 0) return [];
  const stand = await bankDetailsOf(tx, books.id);
  const { byId } = await standingIndex(context);
  const own = changes.filter(({ id }) => byId.has(accountId(id)));
  if (own.some(({ id, to }) => !sameKept(keptBank(stand.get(accountId(id))), to)))
    return [problem('undo.since', 'Bank details were changed since, so nothing was taken back.')];
  context.changes.add(
    await putBankDetails(tx, books.id, new Map(own.map(({ id, from }) => [accountId(id), bankFrom(from)]))),
  );
  return [];
};

export const taxCodesBack = async (
  context: WritingContext,
  changes: readonly Change[],
): Promise<readonly Problem[]> => {
  const { tx, books } = context;
  for (const change of changes) {
    const all = await taxCodesOf(tx, books.id);
    const stands = all.find(({ id }) => id === change.id);
    if (!isStill(stands, change))
      return [problem('undo.since', `Tax code ${stands?.code ?? ''} was changed since, so nothing was taken back.`)];
    const { byId } = await standingIndex(context);
    const was = taxCodeFrom(change.from);
    const wrong =
      was !== undefined
        ? taxCodeProblems(was, all, byId, stands?.id)
        : stands === undefined
          ? []
          : removalProblems(stands, byId.values());
    if (wrong.length > 0) return wrong;
    if (was === undefined) {
      if (stands !== undefined) context.changes.add([await deleteTaxCode(tx, books.id, stands)]);
    } else if (stands === undefined) context.changes.add([(await insertTaxCode(tx, books.id, was, change.id)).change]);
    else {
      context.changes.add([await updateTaxCode(tx, books.id, stands, was)]);
      await taxCodeRenamed(context, stands.code, was.code);
    }
  }
  return [];
};

export const ratesBack = async (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  const { tx, books, actor, now } = context;
  if (changes.length === 0) return [];
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
  for (const { from, to } of changes) {
    const made = rateFrom(to);
    if (from === null && made !== undefined)
      context.changes.add(await deleteRate(tx, books.id, [made.unit, made.quote], made.date));
  }
  return [];
};
