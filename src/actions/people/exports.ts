import { z } from 'zod';
import { fail, ok, problem } from '@/core/base/result';
import { audit, auditOf } from '@/store/audit';
import { findBooks } from '@/store/books';
import { action, mayIn } from '../kernel/action';
import { id, text } from '../kernel/inputs';

/** Writes down that a file of books was made to be taken elsewhere. The books themselves are not changed by it. */
export const noteExport = action(
  'noteExport',
  'books.see',
  z.object({ books: id, name: text(300) }),
  async ({ tx, actor, now }, input) => {
    const books = await findBooks(tx, actor.practice, input.books);
    if (books === undefined || !mayIn(actor, 'books.see', books))
      return fail(problem('books.unknown', 'These books do not exist, or not in your practice.'));
    await audit(tx, actor.practice, actor.person, 'exported', input.name, now, books.name);
    return ok({});
  },
);

/** More lines of an audit are not one file. */
const MOST_LINES = 1_000_000;

/** All of the audit, the newest first, to be taken elsewhere; that it was stands in the next one. */
export const takeAudit = action('takeAudit', 'audit.see', z.object({}), async ({ tx, actor, now }) => {
  const lines = await auditOf(tx, actor.practice, null, null, MOST_LINES);
  await audit(tx, actor.practice, actor.person, 'exported', 'The audit', now);
  return ok({ lines });
});
