import type { PaperId } from '@/core/base/ids';
import { type Account, type AccountId, called, listed } from '@/core/chart/account';
import { type Result, fail, ok, plural, problem } from '@/core/base/result';
import { changesIn } from '@/store/changes';
import { record } from '@/store/history';
import { currentSet } from '@/store/openings';
import { writeDecisions } from '@/store/paper-decisions';
import { deleteTakeOver, lastTakeOver, madeByTakeOver } from '@/store/papers';
import { standingIndex } from '../frame/held-chart';
import type { WritingContext } from '../kernel/action';
import { carryOut } from '../chart/edits';
import { findOpen } from './open';
import { figuresBack } from '../changes/figures-back';

interface TakeOverBack {
  readonly undone: number;
  /** Figures that somebody changed since. */
  readonly kept: number;
  /** Accounts that it had made and that are gone with it. */
  readonly removed: number;
  /** Those that something else uses by now. */
  readonly inUse: readonly string[];
}

/** Rows for which an account was made that stays go to it from now on, instead of asking for it to be made again. */
const goToKept = async (context: WritingContext, number: number, kept: readonly Account[]): Promise<void> => {
  const paper = await findOpen(context, number);
  if (!paper.ok || kept.length === 0) return;
  const byCode = new Map(kept.map((one) => [one.code.toLowerCase(), one]));
  const decided = new Map(
    [...paper.value.decisions].flatMap(([row, decision]) => {
      const there = decision.kind === 'create' ? byCode.get(decision.code.toLowerCase()) : undefined;
      return there === undefined ? [] : [[row, { kind: 'account', account: there.id } as const] as const];
    }),
  );
  context.changes.add([await writeDecisions(context.tx, context.books.id, paper.value, decided)]);
};

/**
 * Forgets a take-over and takes back the accounts that it made; what something else uses by now stays, and so does a heading under
 * which an account stays.
 */
const takenBack = async (
  context: WritingContext,
  batch: string,
): Promise<Result<{ readonly removed: readonly Account[]; readonly kept: readonly Account[] }>> => {
  const { tx, books } = context;
  const made = await madeByTakeOver(tx, books.id, batch);
  await deleteTakeOver(tx, books.id, batch);
  const index = await standingIndex({ tx, books });
  const going = new Set(made.filter(({ used }) => !used).map(({ account }) => account));
  // A heading stays with what stands under it, and so does the heading above it.
  const stays = (one: AccountId): boolean =>
    !going.has(one) || (index.children.get(one) ?? []).some((child) => stays(child));
  const accounts = made.flatMap(({ account }) => index.byId.get(account) ?? []);
  const removed = accounts.filter((one) => !stays(one.id));
  if (removed.length > 0) {
    const gone = removed.map((one) => one.id);
    const done = await carryOut(
      context,
      gone.map((one) => ({ kind: 'remove', id: one })),
    );
    if (!done.ok) return done;
  }
  return ok({ removed, kept: accounts.filter((one) => stays(one.id) && !one.heading) });
};

/**
 * Takes a take-over back: figures return to what they were where nobody changed them since, and accounts that it made go where
 * nothing else uses them.
 */
export const takeOverBack = async (
  context: WritingContext,
  paper: PaperId,
  batch: string,
): Promise<Result<TakeOverBack>> => {
  const { tx, books, actor, now } = context;
  const set = await currentSet(tx, books.id);
  if (set?.state !== 'draft')
    return fail(problem('openings.posted', 'The opening balances are posted, so the take-over stays.'));
  const last = await lastTakeOver(tx, books.id, paper);
  if (last?.batch !== batch || last.set !== set.id)
    return fail(
      problem(
        'paper.not-this-batch',
        'This take-over does not stand any more: it was undone, or belongs to another paper or version. Load the page again.',
      ),
    );
  await context.changes.reverts(batch, { stays: 'To have it again, take the paper over again on its page.' });
  const figures = (await changesIn(tx, books.id, batch)).filter(({ subject }) => subject === 'figure');
  const back = await figuresBack(context, figures, true);
  if (!back.ok) return back;
  const made = await takenBack(context, batch);
  if (!made.ok) return made;
  const { removed, kept } = made.value;
  await goToKept(context, paper, kept);
  await record(
    tx,
    books.id,
    'openings',
    [set.id],
    [
      `take-over undone: ${plural(back.value.undone, 'figure')} put back`,
      ...(removed.length > 0 ? [`${plural(removed.length, 'account')} that it made taken back`] : []),
      ...(kept.length > 0 ? [`kept, since something else uses them: ${listed(kept)}`] : []),
    ].join('; '),
    actor.person,
    now,
  );
  return ok({
    undone: back.value.undone,
    kept: back.value.newer.length,
    removed: removed.length,
    inUse: kept.map(called),
  });
};
