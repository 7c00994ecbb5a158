'use server';

import { z } from 'zod';
import { tidy } from '@/core/chart/advice/advise';
import type { Advice } from '@/core/chart/advice/types';
import { accountId } from '@/core/chart/account';
import type { ChartEdit } from '@/core/chart/edit';
import { type Problem, fail, ok, plural, problem } from '@/core/base/result';
import { deleteDismissals, putDismissals } from '@/store/chart-library';
import { record } from '@/store/history';
import { type WritingContext, booksAction } from '../kernel/action';
import { carryOut } from './edits';
import { mergeInto } from './merge';
import { tidyStateOf } from './views';

const keys = z.array(z.string().min(1).max(4000)).min(1, 'Choose at least one piece of advice.').max(2000);

const adviceOf = async (context: WritingContext): Promise<ReadonlyMap<string, Advice>> =>
  new Map(tidy(await tidyStateOf(context)).map((advice) => [advice.key, advice]));

/** The edits of several pieces as one batch: the account that each of them adds gets an id of its own. */
const together = (pieces: readonly Advice[]): readonly ChartEdit[] =>
  pieces.flatMap(({ fix }, at) =>
    fix.edits.map((edit): ChartEdit => (edit.kind === 'add' ? { ...edit, id: accountId(-1 - at) } : edit)),
  );

/** Carries out one piece; what it was about may be gone or changed by a piece before it, so it is looked at anew. */
const takeOne = async (context: WritingContext, key: string): Promise<readonly Problem[]> => {
  const advice = (await adviceOf(context)).get(key);
  if (advice === undefined) return [];
  const { edits, merges } = advice.fix;
  if (edits.length === 0 && merges.length === 0)
    return [problem('advice.by-hand', `This cannot be done in one click: ${advice.says}`)];
  const carried = edits.length === 0 ? ok(undefined) : await carryOut(context, edits);
  if (!carried.ok) return carried.problems;
  for (const { from, into } of merges) {
    const merged = await mergeInto(context, from, into);
    if (!merged.ok) return merged.problems;
  }
  return [];
};

/** Takes advice: all that is a matter of edits at once, the rest one after the other. What cannot be done is said and left. */
export const takeAdvice = booksAction('takeAdvice', 'chart.change', { keys }, async (context, input) => {
  const standing = await adviceOf(context);
  const pieces = input.keys.flatMap((key) => standing.get(key) ?? []);
  const plain = pieces.filter(({ fix }) => fix.merges.length === 0 && fix.edits.length > 0);
  const atOnce = plain.length > 1 ? await carryOut(context, together(plain)) : undefined;
  const left = atOnce?.ok === true ? pieces.filter((piece) => !plain.includes(piece)) : pieces;
  const problems: Problem[] = [];
  let done = pieces.length - left.length;
  for (const { key } of left) {
    const wrong = await takeOne(context, key);
    problems.push(...wrong);
    if (wrong.length === 0) done += 1;
  }
  if (done === 0 && problems.length > 0) return fail(...problems);
  const { tx, books, actor, now } = context;
  await record(
    tx,
    books.id,
    'books',
    [books.id],
    `${plural(done, 'piece')} of tidying advice taken`,
    actor.person,
    now,
  );
  return ok({ done, problems });
});

/** Sets advice aside with a reason that stays. */
export const dismissAdvice = booksAction(
  'dismissAdvice',
  'chart.change',
  {
    keys,
    reason: z
      .string()
      .trim()
      .min(1, 'Say why, so that the next person knows.')
      .max(300, 'The reason has more than 300 characters.'),
  },
  async ({ tx, books, actor, now }, input) => {
    await putDismissals(tx, books.id, input.keys, input.reason, actor.person, now);
    return ok({});
  },
);

export const recallAdvice = booksAction('recallAdvice', 'chart.change', { keys }, async ({ tx, books }, input) => {
  await deleteDismissals(tx, books.id, input.keys);
  return ok({});
});
