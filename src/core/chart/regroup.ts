import { type Problem, type Result, fail, ok, problem } from '../base/result';
import { type Account, type AccountFields, type AccountId, called, chartIndex } from './account';
import { typeOf } from '../ledger/classes';
import { type ChartEdit, change } from './edit';
import { inTreeOrder } from './tree';

/** Of some accounts those that stand under none of the others: what stands under a moved heading moves with it. */
export const topmost = (chart: readonly Account[], ids: readonly AccountId[]): readonly AccountId[] => {
  const chosen = new Set(ids);
  const byId = new Map(chart.map((account) => [account.id, account]));
  return ids.filter((id) => {
    const seen = new Set<AccountId>();
    for (
      let above = byId.get(id)?.parent ?? null;
      above !== null && !seen.has(above);
      above = byId.get(above)?.parent ?? null
    ) {
      if (chosen.has(above)) return false;
      seen.add(above);
    }
    return true;
  });
};

/** What changes for an account that moves under a heading: a posting account also takes the heading's statement line. */
export const placedUnder = (
  account: Pick<Account, 'heading' | 'classification'>,
  heading: Pick<Account, 'id' | 'classification'> | undefined,
): Partial<AccountFields> => ({
  parent: heading?.id ?? null,
  ...(heading !== undefined &&
  !account.heading &&
  account.classification !== heading.classification &&
  typeOf(account.classification) === typeOf(heading.classification)
    ? { classification: heading.classification }
    : {}),
});

/** Moves accounts, with all that stands under them, under a heading or (null) to the top. */
export const moveUnder = (
  chart: readonly Account[],
  ids: readonly AccountId[],
  target: AccountId | null,
): Result<readonly ChartEdit[]> => {
  const byId = new Map(chart.map((account) => [account.id, account]));
  const heading = target === null ? undefined : byId.get(target);
  if (target !== null && heading?.heading !== true)
    return fail(
      problem(
        'regroup.no-heading',
        heading === undefined
          ? 'The heading chosen is not in this chart any more.'
          : `${called(heading)} takes entries; accounts stand only under headings.`,
      ),
    );
  return ok(
    topmost(chart, ids).flatMap((id) => {
      const account = byId.get(id);
      return account === undefined || account.parent === target ? [] : [change(account, placedUnder(account, heading))];
    }),
  );
};

/** Moves each account one level down, under the heading that stands before it among its siblings. */
export const indent = (chart: readonly Account[], ids: readonly AccountId[]): Result<readonly ChartEdit[]> => {
  const chosen = new Set(topmost(chart, ids));
  const edits: ChartEdit[] = [];
  const problems: Problem[] = [];
  const before = new Map<AccountId | null, Account>();
  for (const { account } of inTreeOrder(chart)) {
    if (!chosen.has(account.id)) {
      if (account.heading) before.set(account.parent, account);
      continue;
    }
    const heading = before.get(account.parent);
    if (heading === undefined)
      problems.push(
        problem(
          'regroup.no-heading-before',
          `No heading stands before ${called(account)} on its level, so there is nothing to move it under.`,
        ),
      );
    else edits.push(change(account, placedUnder(account, heading)));
  }
  return edits.length === 0 && problems.length > 0 ? fail(...problems) : ok(edits);
};

/** Moves each account one level up, beside the heading it stands under. */
export const outdent = (chart: readonly Account[], ids: readonly AccountId[]): Result<readonly ChartEdit[]> => {
  const { byId } = chartIndex(chart);
  const edits = topmost(chart, ids).flatMap((id): readonly ChartEdit[] => {
    const account = byId.get(id);
    const parent = account?.parent == null ? undefined : byId.get(account.parent);
    if (account === undefined || parent === undefined) return [];
    const above = parent.parent === null ? undefined : byId.get(parent.parent);
    return [change(account, { parent: above?.id ?? null })];
  });
  return edits.length === 0 ? fail(problem('regroup.at-top', 'What is chosen stands at the top already.')) : ok(edits);
};
