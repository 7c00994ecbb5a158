import type { Change } from '@/core/base/change';
import { sameKept } from '@/core/base/kept';
import { type Problem, problem } from '@/core/base/result';
import { accountId, listed } from '@/core/chart/account';
import type { ChartEdit } from '@/core/chart/edit';
import { changedSince, editsBack } from '@/core/chart/recorded';
import { removalProblems, taxCodeProblems } from '@/core/chart/tax-codes';
import { CHART_RULES, type ChartSettings, codesProblems } from '@/core/chart/settings';
import { bankDetailsOf, bankFrom, keptBank, putBankDetails } from '@/store/bank-details';
import { updateChartSettings } from '@/store/books';
import { deleteTaxCode, insertTaxCode, isStill, taxCodeFrom, taxCodesOf, updateTaxCode } from '@/store/tax-codes';
import type { WritingContext } from '../kernel/action';
import { carryOut } from '../chart/edits';
import { standingChart, standingIndex, taxCodeRenamed } from '../frame/held-chart';

/** One step of taking accounts back; what meets something newer, or is used by now, is refused by the rules of the chart. */
const accountsBack = async (context: WritingContext, edits: readonly ChartEdit[]): Promise<readonly Problem[]> => {
  if (edits.length === 0) return [];
  const done = await carryOut(context, edits);
  return done.ok ? [] : done.problems;
};

/** Accounts that come back or are changed back, as far as no tax code is needed for it. */
export const accountsIn = async (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  const since = changedSince(changes, (await standingIndex(context)).byId);
  return since.length > 0
    ? [
        problem(
          'undo.since',
          `Nothing was taken back: ${listed(since)} ${since.length === 1 ? 'was' : 'were'} changed since. Take back what is newer first.`,
        ),
      ]
    : accountsBack(context, editsBack(changes).first);
};

/** Accounts that go, and the tax codes that those which stay had. */
export const accountsOut = (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> =>
  accountsBack(context, editsBack(changes).last);

/** Bank details go back, of accounts that are there. */
export const banksBack = async (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  const { tx, books } = context;
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

/** Rules of the chart go back, where they are what the change left and the accounts allow it. */
export const chartRulesBack = async (
  context: WritingContext,
  changes: readonly Change[],
): Promise<readonly Problem[]> => {
  const { tx, books } = context;
  const back: Partial<Record<keyof ChartSettings, unknown>> = {};
  for (const { field, from, to } of changes) {
    const name = field as keyof ChartSettings;
    if (!sameKept(books.chart[name], to))
      return [problem('undo.since', `${CHART_RULES[name]} changed since, so nothing was taken back.`)];
    back[name] = from;
  }
  const settings = back as Partial<ChartSettings>;
  const wrong = codesProblems(settings.codes, await standingChart(context));
  if (wrong.length === 0) context.changes.add(await updateChartSettings(tx, books, settings));
  return wrong;
};
