'use server';

import { signProblems } from '@/core/access/review';
import { fail, ok, problem } from '@/core/base/result';
import { audit } from '@/store/audit';
import { record } from '@/store/history';
import { currentSet } from '@/store/openings';
import { sign } from '@/store/signatures';
import { booksAction } from '../kernel/action';
import { id, text } from '../kernel/inputs';
import { reviewIn } from './review-state';

/** Signs the draft as it stands: whatever is changed afterwards lifts the signature. */
export const signOpenings = booksAction(
  'signOpenings',
  'openings.sign',
  { set: id, note: text(300).trim().default('') },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    const set = await currentSet(tx, books.id);
    if (set?.id !== input.set || set.state !== 'draft')
      return fail(
        problem('openings.already-posted', 'These opening balances were posted already. Load the page again.'),
      );
    const wrong = signProblems(await reviewIn(context, set.id), actor.person);
    if (wrong.length > 0) return fail(...wrong);
    // Signing is the next revision of the books, and changes nothing of what was signed.
    await sign(tx, books.id, set.id, books.revision + 1n, input.note, actor.person, now);
    await record(tx, books.id, 'openings', [set.id], `version ${String(set.version)} signed`, actor.person, now);
    await audit(
      tx,
      actor.practice,
      actor.person,
      'signed',
      `Opening balances, version ${String(set.version)}`,
      now,
      books.name,
    );
    return ok({});
  },
);
