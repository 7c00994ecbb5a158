import type { Change } from '@/core/base/change';
import { sameKept } from '@/core/base/kept';
import { type Problem, problem } from '@/core/base/result';
import { decisionsFrom, keptDecisions } from '@/core/openings/decided';
import type { Reading } from '@/core/papers/reading';
import { writeDecisions } from '@/store/paper-decisions';
import { type OpenPaper, findPaper, saveReading } from '@/store/papers';
import { accountsNamed } from '../papers/open';
import { standingIndex } from '../frame/held-chart';
import type { WritingContext } from '../kernel/action';

const since = ({ name }: Pick<OpenPaper, 'name'>): readonly Problem[] => [
  problem('undo.since', `${name} was read or decided about otherwise since, so nothing was taken back.`),
];

/** How papers are read goes back, and what was decided about their rows, where they are what the change left. */
export const papersBack = async (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  const { tx, books } = context;
  const { byId } = await standingIndex(context);
  for (const { subject, id, from, to } of changes.toReversed()) {
    const paper = await findPaper(tx, books.id, id);
    if (paper === undefined) return [problem('undo.paper-gone', 'The paper that this was about is gone.')];
    if (subject === 'reading') {
      if (!sameKept(paper.reading, to)) return since(paper);
      context.changes.add([await saveReading(tx, books.id, paper, from as unknown as Reading | null)]);
      continue;
    }
    const [was, left] = [decisionsFrom(from), decisionsFrom(to)];
    const stands = keptDecisions(new Map([...left.keys()].map((row) => [row, paper.decisions.get(row) ?? null])));
    if (!sameKept(stands, to)) return since(paper);
    if ([...was.values()].some((decision) => accountsNamed(decision).some((account) => !byId.has(account))))
      return [problem('undo.account-gone', `${paper.name} was decided to go to an account that is gone.`)];
    context.changes.add([await writeDecisions(tx, books.id, paper, was)]);
  }
  return [];
};
