import type { Result } from '@/core/base/result';
import { ok } from '@/core/base/result';
import { called } from '@/core/chart/account';
import type { ShownEmail } from '@/core/files/email';
import { isPicture } from '@/core/files/media';
import { CHECKS } from '@/core/proof/checks';
import { evidenceWith } from '@/store/evidence';
import { contactsOf } from '@/store/contacts';
import { currentSet } from '@/store/openings';
import { type Paper, findPaper, paperContent, papersOf, usesOfPaper } from '@/store/papers';
import { itemsOf } from '@/store/schedules';
import { page } from '../frame/views';
import { booksView } from '../kernel/action';
import { reading as pool } from '../kernel/context';

/** What of a paper a browser shows: the file itself is fetched apart. */
export type ShownPaper = { readonly id: number; readonly name: string } & (
  | { readonly as: 'pdf' | 'picture' | 'file' }
  | { readonly as: 'email'; readonly email: ShownEmail }
  | { readonly as: 'text'; readonly text: string; readonly cut: boolean }
);

/** A paper for looking at; undefined when there is none. A message or text is taken apart in the pool, outside of any transaction. */
export const shownPaperView = async (books: number, number: number): Promise<Result<ShownPaper> | undefined> => {
  const found = await booksView('books.see', books, async ({ tx, books: own }) => {
    const paper = await findPaper(tx, own.id, number);
    if (paper === undefined) return undefined;
    const reads = paper.media === 'message/rfc822' || paper.media === 'text/plain';
    return { paper, bytes: reads ? await paperContent(tx, own.id, paper.id) : null };
  });
  if (found === undefined) return undefined;
  const { id, name, media } = found.paper;
  const about = { id, name };
  if (found.bytes === null)
    return ok({ ...about, as: media === 'application/pdf' ? 'pdf' : isPicture(media) ? 'picture' : 'file' });
  const given = { bytes: found.bytes, name };
  if (media === 'message/rfc822') {
    const email = await pool().read('email', given);
    if (email.ok) return ok({ ...about, as: 'email', email: email.value });
  }
  const text = await pool().read('text', given);
  return text.ok ? ok({ ...about, as: 'text', ...text.value }) : text;
};

/** The bytes of a picture, for showing it in a page; undefined for any other paper. */
export const pictureFile = (books: number, number: number) =>
  booksView('books.see', books, async ({ tx, books: own }) => {
    const paper = await findPaper(tx, own.id, number);
    return paper === undefined || !isPicture(paper.media)
      ? undefined
      : { name: paper.name, type: paper.media, content: await paperContent(tx, own.id, paper.id) };
  });

/** The papers of the books, to attach one of them. */
export const papersToAttachView = (books: number) =>
  booksView('books.see', books, async ({ tx, books: own }) =>
    (await papersOf(tx, own.id)).map(({ id, name }) => ({ id, name })),
  );

/** What a paper is used for, in words, with the page that shows it. */
export interface PaperUse {
  /** The evidence that it is there, where it can be taken off. */
  readonly evidence: number | null;
  readonly what: string;
  readonly place:
    | { readonly on: 'openings' | 'proof' }
    | { readonly on: 'schedule' | 'account'; readonly account: number }
    | { readonly on: 'contact'; readonly contact: number };
}

/** A paper as it is, and where it is used. */
export const documentView = (id: number, number: number) =>
  page('books.see', id, async ({ tx, books }, state) => {
    const paper = await findPaper(tx, books.id, number);
    if (paper === undefined) return { found: null };
    const names = new Map(state.accounts.map((account) => [account.id, called(account)]));
    const uses: PaperUse[] = (await usesOfPaper(tx, books.id, paper.id)).map(({ of, account, count }) =>
      of === 'figures'
        ? { evidence: null, what: `${String(count)} opening figures were read from it`, place: { on: 'openings' } }
        : {
            evidence: null,
            what: `${String(count)} items of ${names.get(account) ?? 'an account'} were read from it`,
            place: { on: 'schedule', account },
          },
    );
    const attached = await evidenceWith(tx, books.id, paper.id);
    if (attached.length > 0) {
      const set = await currentSet(tx, books.id);
      const contacts = new Map((await contactsOf(tx, books.id)).map((contact) => [contact.id, contact.name]));
      const items = new Map(
        (set === undefined ? [] : await itemsOf(tx, books.id, set.id)).map((item) => [item.id, item]),
      );
      for (const { id: evidence, to } of attached)
        switch (to.of) {
          case 'account':
            uses.push({ evidence, what: names.get(to.id) ?? '', place: { on: 'account', account: to.id } });
            break;
          case 'contact':
            uses.push({ evidence, what: contacts.get(to.id) ?? '', place: { on: 'contact', contact: to.id } });
            break;
          case 'check':
            uses.push({
              evidence,
              what: Object.entries(CHECKS).find(([id]) => id === to.id)?.[1].title ?? 'a check that is no more',
              place: { on: 'proof' },
            });
            break;
          case 'item': {
            const item = items.get(to.id);
            uses.push(
              item === undefined
                ? { evidence, what: 'An item of an earlier version', place: { on: 'openings' } }
                : {
                    evidence,
                    what: `${[item.number, item.reference, item.note].find((one) => one !== '') ?? 'An item'}, ${names.get(item.account) ?? ''}`,
                    place: { on: 'schedule', account: item.account },
                  },
            );
          }
        }
    }
    return { found: { paper: paper satisfies Paper, uses } };
  });

export type FoundDocument = NonNullable<NonNullable<Awaited<ReturnType<typeof documentView>>>['found']>;
