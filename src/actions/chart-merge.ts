import { type AccountId, called, chartIndex } from '@/core/chart/account';
import { inheritsRole, mergeable } from '@/core/chart/advice/advise';
import { change } from '@/core/chart/edit';
import { NIL, add } from '@/core/money/minor';
import { joinedParts } from '@/core/openings/in-currency';
import { type Result, fail, ok } from '@/core/base/result';
import { chartOf, usesOf } from '@/store/chart';
import { mergeComparatives } from '@/store/comparatives';
import { recordEach } from '@/store/history';
import { currentSet, linesOf, partsOfLines, writeLines } from '@/store/openings';
import { moveDecisions } from '@/store/paper-decisions';
import { moveRows } from '@/store/papers';
import { moveTaxAccounts } from '@/store/tax-codes';
import type { BooksContext } from './action';
import { carryOut } from './chart-edits';

/**
 * Merges an account into another in the transaction of an action. The figure of the draft moves and adds up, rows of papers
 * and tax codes follow. What is posted stays where it is posted: then the old account is deactivated, otherwise deleted.
 */
export const mergeInto = async (
  context: BooksContext,
  fromId: AccountId,
  intoId: AccountId,
): Promise<Result<{ readonly deleted: boolean; readonly moved: boolean }>> => {
  const { tx, books, actor, now, newId } = context;
  const index = chartIndex(await chartOf(tx, books.id));
  const pair = mergeable(index.byId.get(fromId), index.byId.get(intoId), index.children.get(fromId)?.length ?? 0);
  if (!pair.ok) return pair;
  const { from, into } = pair.value;
  const set = await currentSet(tx, books.id);
  const lines = set?.state === 'draft' ? await linesOf(tx, books.id, set.id) : [];
  const figure = lines.find((line) => line.account === from.id);
  if (set !== undefined && figure !== undefined) {
    const stands = lines.find((line) => line.account === into.id)?.amount ?? null;
    const parts = await partsOfLines(tx, books.id, set.id, [from.id, into.id]);
    const sum = { source: figure.source, paper: figure.paper };
    await writeLines(
      tx,
      books.id,
      set.id,
      [
        { account: from.id, amount: null, from: figure.amount, ...sum },
        {
          account: into.id,
          amount: add(figure.amount, stands ?? NIL),
          from: stands,
          parts: joinedParts(parts.get(from.id)?.parts ?? [], parts.get(into.id)?.parts ?? []),
          ...sum,
        },
      ],
      newId(),
      actor.person,
      now,
    );
  }
  await moveRows(tx, books.id, from.id, into.id);
  await moveDecisions(tx, books.id, from.id, into.id);
  await mergeComparatives(tx, books.id, from.id, into.id);
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
