'use server';

import { z } from 'zod';
import { accountId, chartIndex } from '@/core/chart/account';
import { CLASS_IDS } from '@/core/ledger/classes';
import { type Minor, sum } from '@/core/money/minor';
import type { Decision } from '@/core/openings/takeover';
import { MOST_ROWS } from '@/core/files/limits';
import { rowsLike } from '@/core/papers/alike';
import { type Problem, fail, ok, problem } from '@/core/base/result';
import { writeDecisions } from '@/store/paper-decisions';
import { saveReading } from '@/store/papers';
import { standingChart } from '../frame/held-chart';
import { booksAction } from '../kernel/action';
import { id, text, units } from '../kernel/inputs';
import { readStored } from './reading';
import { accountsNamed, findOpen, newAccountProblems, paperId, standsIn } from './open';

const account = id.transform(accountId);
const decision = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('account'), account }),
  z.object({
    kind: z.literal('create'),
    code: text(200).trim(),
    name: text(1000).trim(),
    classification: z.enum(CLASS_IDS),
    parent: account.nullable(),
  }),
  z.object({
    kind: z.literal('split'),
    parts: z
      .array(z.object({ account, amount: units }))
      .min(2, 'A row is divided among at least two accounts.')
      .max(50, 'A row is divided among at most 50 accounts.')
      .readonly(),
  }),
  z.object({
    kind: z.literal('leave-out'),
    reason: text(300).trim().min(3, 'Say in a few words why the row is left out.'),
  }),
]);

/** Decides about rows of a paper, or (null) takes a decision back; says which row waits next. */
export const decideRows = booksAction(
  'decideRows',
  'papers.change',
  {
    paper: paperId,
    rows: z.array(z.int().positive().max(MOST_ROWS)).min(1).max(MOST_ROWS),
    decision: decision.nullable(),
    /** Also about all rows called like the one given. */
    like: z.boolean().default(false),
  },
  async (context, input) => {
    const paper = await findOpen(context, input.paper);
    if (!paper.ok) return paper;
    const { tx, books } = context;
    const chart = await standingChart({ tx, books });
    const stands = await standsIn(context);
    const {
      sheet: { recognition },
      plan,
    } = await readStored(context, paper.value, chart, stands);
    const [first] = input.rows;
    const shown = first === undefined ? undefined : recognition.rows[first - 1];
    const rows = new Set([
      ...input.rows,
      ...(input.like && shown !== undefined ? rowsLike(recognition.rows, shown, 'name') : []),
    ]);
    if (rows.size > 1 && input.decision?.kind === 'create')
      return fail(problem('paper.create-one', 'An account is made for one row at a time.', 'code'));
    const index = chartIndex(chart);
    const named = accountsNamed(input.decision);
    if (named.some((one) => !index.byId.has(one)))
      return fail(
        problem('account.unknown', 'This account is not in the chart any more. Choose another one.', 'account'),
      );
    if (input.decision?.kind === 'split') {
      const wrong = splitProblems(
        input.decision,
        plan.rows.filter(({ row }) => rows.has(row.row)).map(({ row }) => row.amount),
      );
      if (wrong.length > 0) return fail(...wrong);
    }
    if (input.decision?.kind === 'create') {
      const wrong = newAccountProblems(
        input.decision,
        index,
        new Set(
          [...paper.value.decisions].flatMap(([row, other]) =>
            other.kind === 'create' && !rows.has(row) ? [other.code.toLowerCase()] : [],
          ),
        ),
      );
      if (wrong.length > 0) return fail(...wrong);
    }
    // Rows keep their numbers only while the paper is read the same way.
    context.changes.about({ name: paper.value.name });
    context.changes.add([
      await saveReading(tx, books.id, paper.value, recognition.reading),
      // Taking a decision back leaves the proposal standing, also when there is none.
      await writeDecisions(tx, books.id, paper.value, new Map([...rows].map((row) => [row, input.decision]))),
    ]);
    const last = Math.max(0, ...input.rows.slice(-1));
    const waiting = plan.undecided.filter(({ row }) => !rows.has(row.row));
    const next = waiting.find(({ row }) => row.row > last) ?? waiting[0];
    return ok({ next: next?.row.row ?? null });
  },
);

/** The parts of one row, on different accounts, come to its amount. */
const splitProblems = (
  { parts }: Extract<Decision, { kind: 'split' }>,
  amounts: readonly Minor[],
): readonly Problem[] => {
  const [whole] = amounts;
  if (whole === undefined || amounts.length > 1)
    return [problem('paper.split-one', 'Only one row is divided at a time.', 'parts')];
  if (new Set(parts.map(({ account }) => account)).size < parts.length)
    return [problem('paper.split-same', 'Two parts go to the same account; put them together.', 'parts')];
  const total = sum(parts.map(({ amount }) => amount));
  return total === whole
    ? []
    : [problem('paper.split-differs', 'The parts do not come to the amount of the row.', 'parts')];
};

/** Decides at once that every row still undecided gets an account of its own, as proposed; each can be changed before the take-over. */
export const createUndecided = booksAction(
  'createUndecided',
  'papers.change',
  { paper: paperId },
  async (context, input) => {
    const paper = await findOpen(context, input.paper);
    if (!paper.ok) return paper;
    const { tx, books } = context;
    const chart = await standingChart({ tx, books });
    const {
      sheet: { recognition },
      plan,
      proposals: propose,
    } = await readStored(context, paper.value, chart, await standsIn(context));
    const proposals = propose();
    const decided = new Map(
      plan.undecided.flatMap(({ row }) => {
        const proposal = proposals.get(row.row);
        return proposal === undefined ? [] : [[row.row, proposal] as const];
      }),
    );
    context.changes.about({ name: paper.value.name });
    context.changes.add([
      await saveReading(tx, books.id, paper.value, recognition.reading),
      await writeDecisions(tx, books.id, paper.value, decided),
    ]);
    return ok({ decided: plan.undecided.length });
  },
);
