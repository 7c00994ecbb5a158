'use server';

import { z } from 'zod';
import { tidy } from '@/core/chart/advice/advise';
import { type Advice } from '@/core/chart/advice/types';
import { type Problem, fail, ok, plural, problem } from '@/core/result';
import { deleteDismissals, putDismissals } from '@/store/chart-library';
import { record } from '@/store/history';
import { type BooksContext, booksAction } from './action';
import { carryOut } from './chart-edits';
import { mergeInto } from './chart-merge';
import { tidyStateOf } from './chart-views';

const keys = z.array(z.string().min(1).max(4000)).min(1, 'Choose at least one piece of advice.').max(2000);

const adviceOf = async (context: BooksContext): Promise<ReadonlyMap<string, Advice>> =>
  new Map(tidy(await tidyStateOf(context)).map((advice) => [advice.key, advice]));

/**
 * Takes advice, one piece after the other as the chart then stands. What cannot be done is said and left; the rest is done.
 */
export const takeAdvice = booksAction('takeAdvice', { keys }, async (context, input) => {
  const problems: Problem[] = [];
  let done = 0;
  let standing = await adviceOf(context);
  for (const key of input.keys) {
    const advice = standing.get(key);
    if (advice === undefined) continue;
    const { edits, merges } = advice.fix;
    if (edits.length === 0 && merges.length === 0) {
      problems.push(problem('advice.by-hand', `This cannot be done in one click: ${advice.says}`));
      continue;
    }
    const carried = await carryOut(context, edits);
    const wrong = carried.ok ? [] : [...carried.problems];
    if (carried.ok)
      for (const { from, into } of merges) {
        const merged = await mergeInto(context, from, into);
        if (!merged.ok) wrong.push(...merged.problems);
      }
    if (wrong.length > 0) problems.push(...wrong);
    else done += 1;
    // Only advice that changes codes or the tree makes the rest speak of another chart; looking again keeps each piece true.
    if (input.keys.length > 1) standing = await adviceOf(context);
  }
  if (done === 0 && problems.length > 0) return fail(...problems);
  await record(
    context.tx,
    context.books.id,
    'books',
    [context.books.id],
    `${plural(done, 'piece')} of tidying advice taken`,
    context.actor.person,
    context.now,
  );
  return ok({ done, problems });
});

/** Sets advice aside with a reason that stays. */
export const dismissAdvice = booksAction(
  'dismissAdvice',
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

export const recallAdvice = booksAction('recallAdvice', { keys }, async ({ tx, books }, input) => {
  await deleteDismissals(tx, books.id, input.keys);
  return ok({});
});
