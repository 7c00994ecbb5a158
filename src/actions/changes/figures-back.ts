import { accountId } from '@/core/chart/account';
import { amountFrom } from '@/core/money/wire';
import { figureFrom, sameFigure } from '@/core/openings/figure';
import { type Result, fail, ok, problem } from '@/core/base/result';
import type { Change } from '@/core/base/change';
import { comparativesOf, writeComparatives } from '@/store/comparatives';
import { type Writing, currentSet, lockLines, writeLines } from '@/store/openings';
import type { WritingContext } from '../kernel/action';

/** What became of changes that were to be taken back. */
export interface TakenBack {
  readonly undone: number;
  /** Accounts at which something newer stands; it stays. */
  readonly newer: readonly number[];
}

/** Figures go back to what they were, with where they came from; where something newer stands, all of them stay, or only these. */
export const figuresBack = async (
  context: WritingContext,
  changes: readonly Change[],
  leaveNewer: boolean,
): Promise<Result<TakenBack>> => {
  const { tx, books, actor, now } = context;
  if (changes.length === 0) return ok({ undone: 0, newer: [] });
  const set = await currentSet(tx, books.id);
  if (set?.state !== 'draft' || changes.some(({ field }) => field !== String(set.id)))
    return fail(
      problem(
        'undo.other-version',
        'These figures belong to a version of the opening balances that is posted or discarded, so they stay as they are there.',
      ),
    );
  const stands = await lockLines(
    tx,
    books.id,
    set.id,
    changes.map(({ id }) => id),
  );
  const newer = changes.filter(({ id, to }) => !sameFigure(stands.get(accountId(id)) ?? null, figureFrom(to)));
  const back = newer.length > 0 && !leaveNewer ? [] : changes.filter((change) => !newer.includes(change));
  const writings = back.map(({ id, from }): Writing => {
    const figure = figureFrom(from);
    return figure === null
      ? { account: accountId(id), amount: null, source: 'typed' }
      : { account: accountId(id), ...figure };
  });
  const written = await writeLines(tx, books.id, set.id, writings, actor.person, now, stands);
  context.changes.add(written.changes);
  return ok({ undone: back.length, newer: newer.map(({ id }) => id) });
};

/** Comparatives likewise. */
export const comparativesBack = async (
  context: WritingContext,
  changes: readonly Change[],
  leaveNewer: boolean,
): Promise<TakenBack> => {
  const { tx, books, actor, now } = context;
  if (changes.length === 0) return { undone: 0, newer: [] };
  const stands = await comparativesOf(tx, books.id);
  const newer = changes.filter(
    ({ id, field, to }) => (stands.get(accountId(id))?.get(Number(field)) ?? null) !== amountFrom(to),
  );
  const back = newer.length > 0 && !leaveNewer ? [] : changes.filter((change) => !newer.includes(change));
  context.changes.add(
    await writeComparatives(
      tx,
      books.id,
      back.map(({ id, field, from, to }) => ({
        account: accountId(id),
        column: Number(field),
        from: amountFrom(to),
        to: amountFrom(from),
      })),
      actor.person,
      now,
    ),
  );
  return { undone: back.length, newer: newer.map(({ id }) => id) };
};
