import type { IsoDate } from '@/core/base/iso-date';
import { accountId } from '@/core/chart/account';
import type { Change } from '@/core/base/change';
import { sameKept } from '@/core/base/kept';
import { type Problem, problem } from '@/core/base/result';
import { amountFrom } from '@/core/money/wire';
import type { Counted } from '@/core/schedules/cash-count';
import { contactId } from '@/core/schedules/contact';
import { itemFrom, keptItem } from '@/core/schedules/item';
import { contactFrom, contactsInUse, contactsOf, keptContact, writeContacts } from '@/store/contacts';
import { currentSet } from '@/store/openings';
import { behindBooks, lockItems, putClosing, putExplained, putLooked, writeItems } from '@/store/schedules';
import type { WritingContext } from '../kernel/action';

const since = (what: string): Problem =>
  problem('undo.since', `${what} changed since, so nothing was taken back. Take back what is newer first.`);

const writeBack = async (
  { tx, books, actor, now, changes: own }: WritingContext,
  changes: readonly Change[],
): Promise<readonly Problem[]> => {
  const stands = new Map((await contactsOf(tx, books.id)).map((contact) => [contact.id, contact]));
  const moved = changes.some(({ id, to }) => {
    const contact = stands.get(contactId(id));
    return !sameKept(contact === undefined ? null : keptContact(contact), to);
  });
  if (moved) return [since('A contact was')];
  const used = await contactsInUse(tx, books.id);
  const held = changes.find(({ id, from }) => from === null && used.has(contactId(id)));
  if (held !== undefined)
    return [
      problem(
        'undo.contact-used',
        `Items name ${stands.get(contactId(held.id))?.name ?? 'a contact'} by now, so nothing was taken back.`,
      ),
    ];
  const written = await writeContacts(
    tx,
    books.id,
    changes.map(({ id, from }) => ({ id: contactId(id), contact: contactFrom(from) ?? null })),
    stands,
    actor.person,
    now,
  );
  own.add(written.changes);
  return [];
};

/** Contacts that come back or become what they were: before the items that name them. */
export const contactsIn = (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  const back = changes.filter(({ from }) => from !== null);
  return back.length === 0 ? Promise.resolve([]) : writeBack(context, back);
};

/** Contacts that were made go again: after the items that named them. */
export const contactsOut = (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  const gone = changes.filter(({ from }) => from === null);
  return gone.length === 0 ? Promise.resolve([]) : writeBack(context, gone);
};

const otherVersion = problem(
  'undo.other-version',
  'These schedules belong to a version of the opening balances that is posted or discarded, so they stay as they are there.',
);

/** Items go back as a whole, where they are what the change left. */
export const itemsBack = async (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  const { tx, books, actor, now } = context;
  const set = await currentSet(tx, books.id);
  const sets = new Set(changes.flatMap(({ from, to }) => itemFrom(to ?? from)?.set ?? []));
  if (set?.state !== 'draft' || [...sets].some((one) => one !== set.id)) return [otherVersion];
  const stands = await lockItems(
    tx,
    books.id,
    set.id,
    changes.map(({ id }) => id),
  );
  const moved = changes.some(({ id, to }) => {
    const item = stands.get(id);
    if (item === undefined) return to !== null;
    const { id: _, revision: __, ...fields } = item;
    return !sameKept(keptItem(fields, set.id), to);
  });
  if (moved) return [since('An item was')];
  const written = await writeItems(
    tx,
    books.id,
    set.id,
    changes.map(({ id, from }) => {
      const kept = itemFrom(from);
      if (kept === undefined) return { id, item: null };
      const { set: _, ...item } = kept;
      return { id, item };
    }),
    stands,
    actor.person,
    now,
  );
  context.changes.add(written.changes);
  return [];
};

/** Closing balances of statements and explained differences likewise. */
export const tiesBack = async (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  const { tx, books, actor, now } = context;
  const set = await currentSet(tx, books.id);
  const frozen = set?.state !== 'draft' && changes.some(({ subject }) => subject !== 'looked');
  if (set === undefined || frozen || changes.some(({ field }) => field !== String(set.id))) return [otherVersion];
  const behind = await behindBooks(tx, books.id);
  for (const { subject, id, from, to } of changes) {
    const account = accountId(id);
    if (subject === 'looked') {
      const was = from as { readonly figure: string; readonly support: string | null } | null;
      const figure = was === null ? null : amountFrom(was.figure);
      context.changes.add(
        await putLooked(
          tx,
          books.id,
          set.id,
          account,
          behind.looked.get(account),
          was === null || figure === null ? null : { figure, support: amountFrom(was.support) },
          actor.person,
          now,
        ),
      );
    } else if (subject === 'statement') {
      const stands = behind.closings.get(account);
      const kept = (one: typeof from) => {
        const value = one as {
          readonly date: IsoDate;
          readonly amount: string;
          readonly counted?: Counted | null;
        } | null;
        return value === null
          ? null
          : { date: value.date, amount: amountFrom(value.amount), counted: value.counted ?? null };
      };
      const [was, left] = [kept(from), kept(to)];
      if ((stands?.amount ?? null) !== (left?.amount ?? null) || (stands?.date ?? null) !== (left?.date ?? null))
        return [since('The statement’s balance was')];
      const closing = was === null || was.amount === null ? null : { ...was, amount: was.amount };
      context.changes.add(await putClosing(tx, books.id, set.id, account, stands, closing, actor.person, now));
    } else {
      const value = from as { readonly difference: string; readonly reason: string } | null;
      const difference = value === null ? null : amountFrom(value.difference);
      context.changes.add(
        await putExplained(
          tx,
          books.id,
          set.id,
          account,
          behind.explained.get(account),
          value === null || difference === null ? null : { difference, reason: value.reason },
          actor.person,
          now,
        ),
      );
    }
  }
  return [];
};
