'use server';

import { z } from 'zod';
import { accountId } from '@/core/chart/account';
import { fail, ok, problem } from '@/core/base/result';
import type { EmailAttachment } from '@/core/files/email';
import { MOST_ATTACHMENTS } from '@/core/files/limits';
import { CHECKS } from '@/core/proof/checks';
import { contactId } from '@/core/schedules/contact';
import { type EvidenceOf } from '@/core/schedules/evidence';
import { attachEvidence, detachEvidence, evidenceAmong } from '@/store/evidence';
import { record } from '@/store/history';
import { paperContent } from '@/store/papers';
import { type WritingContext, booksAction, fileAction } from '../kernel/action';
import { reading as pool } from '../kernel/context';
import { fileName, id } from '../kernel/inputs';
import { keepFile } from '../papers/keep';
import { findOpen, paperId } from '../papers/open';
import { isThere } from './target';

const target = z.discriminatedUnion('of', [
  z.object({ of: z.literal('account'), id: id.transform(accountId) }),
  z.object({ of: z.literal('item'), id }),
  z.object({ of: z.literal('contact'), id: id.transform(contactId) }),
  z.object({ of: z.literal('check'), id: z.enum(Object.keys(CHECKS), 'There is no such check.') }),
]);

/** Attaches a paper to an account, an item, a contact or a check, as evidence of it. Twice is once. */
export const attachPaper = booksAction(
  'attachPaper',
  'papers.change',
  { paper: paperId, to: target },
  async (context, { paper, to }) => {
    const { tx, books, actor, now } = context;
    const found = await findOpen(context, paper);
    if (!found.ok) return found;
    if (!(await isThere(context, to)))
      return fail(
        problem(
          'evidence.gone',
          'What the paper was to be attached to is not in these books any more. Load the page again.',
        ),
      );
    const made = await attachEvidence(tx, books.id, { id: null, paper, to }, found.value.name, actor.person, now);
    if (made === undefined) return fail(problem('evidence.twice', `${found.value.name} is attached here already.`));
    context.changes.about({ name: found.value.name });
    context.changes.add([made]);
    await recorded(context, to, `${found.value.name} attached as evidence`);
    return ok({ attached: await evidenceAmong(tx, books.id, [made.id]) });
  },
);

/** Takes a paper off what it is attached to. The paper stays. */
export const detachPaper = booksAction('detachPaper', 'papers.change', { evidence: id }, async (context, input) => {
  const { tx, books } = context;
  const found = await evidenceAmong(tx, books.id, [input.evidence]);
  const [one] = found;
  if (one === undefined)
    return fail(problem('evidence.gone', 'This paper was taken off meanwhile. Load the page again.'));
  context.changes.about({ name: one.name });
  context.changes.add(await detachEvidence(tx, books.id, found));
  await recorded(context, one.to, `${one.name} no longer attached`);
  return ok({});
});

/** Tells it in the margin of an account. */
const recorded = async (context: WritingContext, to: EvidenceOf, what: string): Promise<void> => {
  const { tx, books, actor, now } = context;
  if (to.of === 'account') await record(tx, books.id, 'account', [to.id], what, actor.person, now);
};

/** Keeps what hangs on a message as a paper of its own. */
export const keepAttachment = fileAction(
  'keepAttachment',
  'papers.change',
  { paper: paperId, at: z.int().min(0).max(MOST_ATTACHMENTS) },
  async (context, { paper, at }) => {
    const found = await findOpen(context, paper);
    if (!found.ok) return () => Promise.resolve(found);
    const bytes = await paperContent(context.tx, context.books.id, found.value.id);
    return () => pool().read('attachment', { bytes, name: found.value.name, at });
  },
  async (context, _, { name, content }: EmailAttachment) =>
    ok(await keepFile(context, { name: fileName.parse(name), content, kept: true })),
);
