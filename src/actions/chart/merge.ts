import { type AccountId, called } from '@/core/chart/account';
import { inheritsRole, mergeable } from '@/core/chart/advice/advise';
import { change } from '@/core/chart/edit';
import { NIL, add } from '@/core/money/minor';
import { joinedParts } from '@/core/openings/in-currency';
import { type Result, fail, ok } from '@/core/base/result';
import { usesOf } from '@/store/chart';
import { comparativesOf, writeComparatives } from '@/store/comparatives';
import { recordEach } from '@/store/history';
import { currentSet, lockLines, writeLines } from '@/store/openings';
import { moveDecisions } from '@/store/paper-decisions';
import { moveEvidence } from '@/store/evidence';
import { moveRows } from '@/store/papers';
import { moveItems } from '@/store/schedules';
import { moveTaxAccounts } from '@/store/tax-codes';
import { standingIndex } from '../frame/held-chart';
import type { WritingContext } from '../kernel/action';
import { carryOut } from './edits';

/** Comparatives of an account are added to the other's. */
const mergeComparatives = async (
  { tx, books, actor, now, changes }: WritingContext,
  from: AccountId,
  into: AccountId,
): Promise<void> => {
  const stand = await comparativesOf(tx, books.id);
  const there = stand.get(into);
  changes.add(
    await writeComparatives(
      tx,
      books.id,
      [...(stand.get(from) ?? [])].flatMap(([column, amount]) => [
        { account: from, column, from: amount, to: null },
        { account: into, column, from: there?.get(column) ?? null, to: add(amount, there?.get(column) ?? NIL) },
      ]),
      actor.person,
      now,
    ),
  );
};

/**
 * Merges an account into another in the transaction of an action. The figure of the draft moves and adds up, rows of papers
 * and tax codes follow. What is posted stays where it is posted: then the old account is deactivated, otherwise deleted.
 */
export const mergeInto = async (
  context: WritingContext,
  fromId: AccountId,
  intoId: AccountId,
): Promise<Result<{ readonly deleted: boolean; readonly moved: boolean }>> => {
  const { tx, books, actor, now } = context;
  const index = await standingIndex({ tx, books });
  const pair = mergeable(index.byId.get(fromId), index.byId.get(intoId), index.children.get(fromId)?.length ?? 0);
  if (!pair.ok) return pair;
  const { from, into } = pair.value;
  const set = await currentSet(tx, books.id);
  const lines = set?.state === 'draft' ? await lockLines(tx, books.id, set.id, [from.id, into.id]) : undefined;
  const figure = lines?.get(from.id);
  if (set !== undefined && figure !== undefined) {
    const stands = lines?.get(into.id);
    const sum = { source: figure.source, paper: figure.paper, why: figure.why };
    const written = await writeLines(
      tx,
      books.id,
      set.id,
      [
        { account: from.id, amount: null, ...sum },
        {
          account: into.id,
          amount: add(figure.amount, stands?.amount ?? NIL),
          parts: joinedParts(figure.parts, stands?.parts ?? []),
          ...sum,
        },
      ],
      actor.person,
      now,
      lines,
    );
    context.changes.add(written.changes);
  }
  context.changes.about({
    stays:
      'Rows of papers, decisions and tax codes moved to the other account with a merge, so it stays. Make the account anew, and divide its figure by hand.',
  });
  await moveRows(tx, books.id, from.id, into.id);
  await moveEvidence(tx, books.id, from.id, into.id);
  await moveDecisions(tx, books.id, from.id, into.id);
  await moveItems(tx, books.id, from.id, into.id);
  await mergeComparatives(context, from.id, into.id);
  await moveTaxAccounts(tx, books.id, from.id, into.id);
  const use = (await usesOf(tx, books.id, [from.id])).get(from.id);
  // The changes of a figure that was never posted go with the account only if nothing else needs them; they are history.
  const deletes = use === undefined;
  const role = inheritsRole(from, into) ? from.role : undefined;
  const done = await carryOut(context, [
    deletes
      ? { kind: 'remove', id: from.id }
      : change(from, { active: false, ...(role === undefined || role === null ? {} : { role: null }) }),
    ...(role === undefined ? [] : [change(into, { role })]),
  ]);
  if (!done.ok) return fail(...done.problems);
  await recordEach(
    tx,
    books.id,
    'account',
    [
      {
        id: into.id,
        what: `${called(from)} merged into it${figure === undefined ? '' : ', its opening balance moved here'}`,
      },
      ...(deletes ? [] : [{ id: from.id, what: `merged into ${called(into)}` }]),
    ],
    actor.person,
    now,
  );
  return ok({ deleted: deletes, moved: figure !== undefined });
};
