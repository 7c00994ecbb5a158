import type { Change } from '@/core/base/change';
import { sameKept } from '@/core/base/kept';
import { type Problem, problem } from '@/core/base/result';
import { codeFrom, codeTitle, keptCode } from '@/core/schedules/analysis';
import { codesInUse, codesOf, writeCodes } from '@/store/analysis';
import type { WritingContext } from '../kernel/action';

const writeBack = async (
  { tx, books, actor, now, changes: own }: WritingContext,
  changes: readonly Change[],
): Promise<readonly Problem[]> => {
  if (changes.length === 0) return [];
  const stands = new Map((await codesOf(tx, books.id)).map((code) => [code.id, code]));
  const moved = changes.some(({ id, to }) => {
    const code = stands.get(id);
    return !sameKept(code === undefined ? null : keptCode(code), to);
  });
  if (moved)
    return [
      problem('undo.since', 'A code was changed since, so nothing was taken back. Take back what is newer first.'),
    ];
  const used = await codesInUse(tx, books.id);
  const held = changes
    .map(({ id, from }) => (from === null && used.has(id) ? stands.get(id) : undefined))
    .find(Boolean);
  if (held !== undefined)
    return [problem('undo.code-used', `Items bear ${codeTitle(held)} by now, so nothing was taken back.`)];
  const writings = changes.map(({ id, from }) => ({ id, code: codeFrom(from) ?? null }));
  const written = await writeCodes(tx, books.id, writings, stands, actor.person, now);
  own.add(written.changes);
  return [];
};

/** Codes that come back or become what they were: before the items that bear them. */
export const codesIn = (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> =>
  writeBack(
    context,
    changes.filter(({ from }) => from !== null),
  );

/** Codes that were made go again: after the items that bore them. */
export const codesOut = (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> =>
  writeBack(
    context,
    changes.filter(({ from }) => from === null),
  );
