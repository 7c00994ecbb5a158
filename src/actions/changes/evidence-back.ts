import type { Change } from '@/core/base/change';
import { type Problem, problem } from '@/core/base/result';
import { evidenceFrom } from '@/core/schedules/evidence';
import { attachEvidence, detachEvidence, evidenceAmong } from '@/store/evidence';
import { findPaper } from '@/store/papers';
import type { WritingContext } from '../kernel/action';
import { isThere } from '../evidence/target';

/** Papers that were attached go off again, and those that were taken off come back, where both ends are still there. */
export const evidenceBack = async (
  context: WritingContext,
  changes: readonly Change[],
): Promise<readonly Problem[]> => {
  const { tx, books, actor, now, changes: own } = context;
  const attached = changes.flatMap(({ id, to }) => (to === null ? [] : [id]));
  own.add(await detachEvidence(tx, books.id, await evidenceAmong(tx, books.id, attached)));
  for (const { id, from } of changes) {
    const was = evidenceFrom(from);
    if (was === undefined) continue;
    if ((await findPaper(tx, books.id, was.paper)) === undefined || !(await isThere(context, was.to)))
      return [
        problem(
          'undo.evidence',
          `${was.name}, or what it was attached to, is not in these books any more, so nothing was taken back.`,
        ),
      ];
    const made = await attachEvidence(tx, books.id, { id, paper: was.paper, to: was.to }, was.name, actor.person, now);
    if (made !== undefined) own.add([made]);
  }
  return [];
};
