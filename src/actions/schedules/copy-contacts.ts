'use server';

import { z } from 'zod';
import { fail, ok, problem } from '@/core/base/result';
import { copiedContacts } from '@/core/schedules/contact';
import { bookNames, findBooks } from '@/store/books';
import { contactsOf, writeContacts } from '@/store/contacts';
import { booksAction, mayIn, view } from '../kernel/action';
import { id } from '../kernel/inputs';

const asked = z.object({ books: id });

/** The practice's other books, to copy contacts from. */
export const otherBooks = async (
  input: z.input<typeof asked>,
): Promise<readonly { readonly id: number; readonly name: string }[]> => {
  const parsed = asked.safeParse(input);
  if (!parsed.success) return [];
  return view('practice.see', async ({ tx, actor }) =>
    (await bookNames(tx, actor.practice)).filter(
      (one) => one.id !== parsed.data.books && mayIn(actor, 'books.see', one),
    ),
  );
};

/**
 * Copies the contacts of another set of books of the practice, without those that are here already: whoever is called the same, or has
 * the same tax number. A code that is somebody else's here is left out.
 */
export const copyContacts = booksAction('copyContacts', 'openings.change', { from: id }, async (context, input) => {
  const { tx, books, actor, now } = context;
  const other = await findBooks(tx, actor.practice, input.from);
  if (other === undefined || other.id === books.id || !mayIn(actor, 'books.see', other))
    return fail(problem('contact.no-books', 'There are no such books to copy from. Choose others.', 'from'));
  const come = copiedContacts(await contactsOf(tx, other.id), await contactsOf(tx, books.id));
  context.changes.about({ name: other.name });
  const { changes } = await writeContacts(
    tx,
    books.id,
    come.map((contact) => ({ id: null, contact })),
    new Map(),
    actor.person,
    now,
  );
  context.changes.add(changes);
  return ok({ copied: come.length });
});
