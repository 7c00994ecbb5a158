'use server';

import { z } from 'zod';
import { chartIndex, listed } from '@/core/chart/account';
import { fail, ok, plural, problem, under } from '@/core/base/result';
import { nothingIn } from '@/core/openings/takeover';
import { amountsTaken, making, partsTaken, rememberedBy, rowsTaken } from '@/core/openings/taking';
import { record } from '@/store/history';
import { type OpeningSet, type Writing, currentSet, writeLines } from '@/store/openings';
import { lastTakeOver, remember, rememberShape, takeOverByKey, writeTakeOver } from '@/store/papers';
import { standingChart } from '../frame/held-chart';
import { type WritingContext, booksAction } from '../kernel/action';
import { carryOut } from '../chart/edits';
import { findOpen, newAccountProblems, paperId, standsIn } from './open';
import { readStored } from './reading';
import { takeOverBack } from './take-over-back';

/** The plan of a paper as it stands now, or every reason why it cannot be carried out. */
const planOf = async (context: WritingContext, number: number, set: OpeningSet | undefined) => {
  const { tx, books } = context;
  const paper = await findOpen(context, number);
  if (!paper.ok) return paper;
  if (set?.state !== 'draft')
    return fail(
      problem(
        'openings.posted',
        'The opening balances are posted. Open a correction on the Sign-off page, then take the paper over.',
      ),
    );
  if ((await lastTakeOver(tx, books.id, paper.value.id))?.set === set.id)
    return fail(
      problem(
        'paper.taken-already',
        `${paper.value.name} is taken over already. Undo that on its page first, then take it over anew.`,
      ),
    );
  const chart = await standingChart({ tx, books });
  const { plan, sheet } = await readStored(context, paper.value, chart, await standsIn(context));
  const index = chartIndex(chart);
  const codes = new Set<string>();
  const problems = [
    ...nothingIn(plan.rows),
    ...plan.problems,
    ...plan.create.flatMap(({ row, decision: made }) => {
      const wrong = newAccountProblems(made, index, codes);
      codes.add(made.code.toLowerCase());
      return wrong.map((one) => under(one, 'rows', row));
    }),
  ];
  return problems.length > 0 ? fail(...problems) : ok({ paper: paper.value, set, chart, plan, sheet });
};

/** Carries the plan of a paper out: creates accounts, writes figures, keeps which row went where. All of it or nothing. */
export const takeOver = booksAction(
  'takeOver',
  'openings.change',
  { paper: paperId, key: z.uuid() },
  async (context, input) => {
    const { tx, books, actor, now, changes } = context;
    // Sent twice, by a second press or because the answer was lost, it is done once and answered twice.
    const done = await takeOverByKey(tx, books.id, input.key);
    if (done !== undefined) return ok({ batch: done.batch, figures: done.figures, created: done.created });
    const planned = await planOf(context, input.paper, await currentSet(tx, books.id));
    if (!planned.ok) return planned;
    const { paper, set, chart, plan, sheet } = planned.value;

    const { edits, madeAt } = making(plan, chart, paper.name.slice(0, 300));
    const made = await carryOut(context, edits);
    if (!made.ok) return made;
    const { ids } = made.value;
    const createdAt = new Map([...madeAt].map(([row, id]) => [row, ids.get(id) ?? id]));

    const amounts = amountsTaken(plan, createdAt);
    const parts = partsTaken(plan, createdAt, amounts, books.currency);
    const writings = [...amounts].map(([account, amount]): Writing => {
      const own = parts.get(account);
      return { account, amount, source: 'paper', paper: paper.id, ...(own === undefined ? {} : { parts: own }) };
    });
    changes.about({ paper: paper.id, name: paper.name });
    changes.add((await writeLines(tx, books.id, set.id, writings, actor.person, now)).changes);

    const { batch } = changes;
    const counts = { figures: writings.length, created: madeAt.size };
    await writeTakeOver(
      tx,
      books.id,
      { paper: paper.id, set: set.id, batch, key: input.key, ...counts },
      rowsTaken(plan, createdAt),
      [...ids.values()],
      now,
    );
    await remember(tx, books.id, rememberedBy(plan, createdAt), now);
    const { columns, style, convention } = sheet.recognition.reading;
    await rememberShape(tx, actor.practice, sheet.shape, { columns, style, convention }, paper.name, now);
    const created =
      madeAt.size === 0
        ? ''
        : `, ${plural(madeAt.size, 'account')} created (${listed(plan.create.map(({ decision }) => decision))})`;
    await record(
      tx,
      books.id,
      'openings',
      [set.id],
      `${plural(writings.length, 'figure')} taken from ${paper.name}${created}`,
      actor.person,
      now,
    );
    return ok({ batch, ...counts });
  },
);

/**
 * Takes a take-over back: figures return to what they were where nobody changed them since, and accounts that it made go where
 * nothing else uses them.
 */
export const undoTakeOver = booksAction(
  'undoTakeOver',
  'openings.change',
  { paper: paperId, batch: z.uuid() },
  (context, input) => takeOverBack(context, input.paper, input.batch),
);
