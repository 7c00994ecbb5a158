import { z } from 'zod';
import { fail, ok, problem, quoted, under } from '@/core/base/result';
import { type Contact, contactId, contactProblems } from '@/core/schedules/contact';
import { isControlAccount } from '@/core/schedules/kinds';
import { type ContactWriting, contactsInUse, contactsOf, writeContacts } from '@/store/contacts';
import { standingIndex } from '../frame/held-chart';
import { booksAction } from '../kernel/action';
import { distinctRows, id } from '../kernel/inputs';
import { contactFields, revision } from './schemas';

/**
 * Saves contacts that were typed, pasted or deleted: all of them or none. One that items name is not deleted; it can be made inactive.
 */
export const saveContacts = booksAction(
  'saveContacts',
  'openings.change',
  {
    entries: z
      .array(
        z.object({
          id: id.transform(contactId).nullable(),
          revision,
          /** Null deletes it. */
          contact: contactFields.nullable(),
        }),
      )
      .min(1)
      .max(20_000, 'So many rows cannot be saved at once; bring them as a file.')
      .superRefine(distinctRows('A contact')),
  },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    const stands = new Map((await contactsOf(tx, books.id)).map((contact) => [contact.id, contact]));
    const used = input.entries.some(({ contact }) => contact === null) ? await contactsInUse(tx, books.id) : new Set();
    const { byId } = await standingIndex(context);
    const touched = new Set(input.entries.map((entry) => entry.id));
    const others: Pick<Contact, 'code' | 'name'>[] = [...stands.values()].filter((one) => !touched.has(one.id));
    const wrong = input.entries.flatMap((entry, place) => {
      const was = entry.id === null ? undefined : stands.get(entry.id);
      if (entry.id !== null && was === undefined)
        return [problem('contact.gone', 'This contact was deleted meanwhile. Load the page again.', place)];
      if (was !== undefined && was.revision !== entry.revision)
        return [
          problem('contact.changed', `${was.name} was changed meanwhile by somebody else. Load the page again.`, place),
        ];
      if (entry.contact === null)
        return entry.id !== null && used.has(entry.id)
          ? [
              problem(
                'contact.used',
                `Items name ${quoted(was?.name ?? '')} or papers are attached to it, so it is kept. Make it inactive instead; it is then offered no more.`,
                place,
              ),
            ]
          : [];
      const own = entry.contact.account === null ? undefined : byId.get(entry.contact.account);
      const problems = [
        ...contactProblems(entry.contact, others),
        ...(entry.contact.account === null || (own !== undefined && isControlAccount(own))
          ? []
          : [problem('contact.account', 'This is no control account of these books.', 'account')]),
      ].map((one) => under(one, place));
      others.push(entry.contact);
      return problems;
    });
    if (wrong.length > 0) return fail(...wrong);
    const { written, changes } = await writeContacts(
      tx,
      books.id,
      input.entries.map(({ id: own, contact }): ContactWriting => ({ id: own, contact })),
      stands,
      actor.person,
      now,
    );
    context.changes.add(changes);
    return ok({ rows: written });
  },
);
