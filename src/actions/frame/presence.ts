'use server';

import { z } from 'zod';
import { fail, ok, problem } from '@/core/base/result';
import { STAGES } from '@/core/proof/stage-ids';
import { findBooks } from '@/store/books';
import { beThere, othersIn, sawChanges } from '@/store/presence';
import { type Context, action, mayIn } from '../kernel/action';
import { id } from '../kernel/inputs';

const ownBooks = async ({ tx, actor }: Context, number: number) => {
  const books = await findBooks(tx, actor.practice, number);
  return books === undefined || !mayIn(actor, 'books.see', books) ? undefined : books;
};
const unknown = fail(problem('books.unknown', 'These books do not exist, or not in your practice.'));

/** Somebody has books open at a stage, or a page beside them; who else has, is told. Nothing of the books changes by it. */
export const beInBooks = action(
  'beInBooks',
  'books.see',
  z.object({ books: id, place: z.enum(STAGES.map((stage) => stage.id)).nullable() }),
  async (context, input) => {
    const books = await ownBooks(context, input.books);
    if (books === undefined) return unknown;
    const { tx, actor, now } = context;
    await beThere(tx, actor.practice, books.id, actor.person, input.place, now);
    return ok({ others: await othersIn(tx, books.id, actor.person, now) });
  },
);

/** Somebody has seen that others changed something since they were there before. */
export const sawWhatChanged = action('sawWhatChanged', 'books.see', z.object({ books: id }), async (context, input) => {
  const books = await ownBooks(context, input.books);
  if (books === undefined) return unknown;
  await sawChanges(context.tx, books.id, context.actor.person);
  return ok({});
});
