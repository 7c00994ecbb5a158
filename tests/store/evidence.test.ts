import { describe, expect, it } from 'vitest';
import { undo } from '@/actions/changes/commands';
import { changesView } from '@/actions/changes/views';
import { accountStory } from '@/actions/chart/account-story';
import { editChart, mergeAccounts } from '@/actions/chart/commands';
import { attachPaper, detachPaper, keepAttachment } from '@/actions/evidence/commands';
import { documentView, pictureFile, shownPaperView } from '@/actions/evidence/views';
import { saveFigures } from '@/actions/openings/figures';
import { openCorrection, postOpenings } from '@/actions/openings/posting';
import { openingsView, proofView } from '@/actions/openings/views';
import { bringPaper, removePaper } from '@/actions/papers/commands';
import { saveContacts } from '@/actions/schedules/contacts';
import { saveItems } from '@/actions/schedules/items';
import { contactView, contactsView, scheduleView, schedulesView } from '@/actions/schedules/views';
import { type AccountId, accountId } from '@/core/chart/account';
import { minor } from '@/core/money/minor';
import { blankContact } from '@/core/schedules/contact';
import { blankItem } from '@/core/schedules/item';
import { codesOf, newBooks, valueOf, withDatabase } from './support';

withDatabase();

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const PICTURE = Uint8Array.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a, 1, 2, 3]);
const MESSAGE = `From: a@b.example\nSubject: Bill\nMIME-Version: 1.0\nContent-Type: multipart/mixed; boundary=x\n\n--x\n\nHere it is\n--x\nContent-Disposition: attachment; filename="bill 7.txt"\n\nBill 7: 120.00\n--x--\n`;

const bring = async (books: number, name: string, content: Uint8Array, keep = false): Promise<number> =>
  valueOf(await bringPaper({ books, name, content, keep })).paper;
const rows = async (books: number) => (await openingsView(books))?.rows ?? [];
const idOf = async (books: number, code: string) =>
  accountId((await rows(books)).find((row) => row.code === code)?.id ?? 0);
const setOf = async (books: number): Promise<number> => (await openingsView(books))?.set?.id ?? 0;
const type = async (books: number, amounts: Readonly<Record<string, bigint>>): Promise<void> => {
  const known = await rows(books);
  const entries = Object.entries(amounts).map(([code, amount]) => {
    const row = known.find((one) => one.code === code);
    return { account: row?.id ?? 0, amount, revision: row?.revision ?? 0, restores: false };
  });
  valueOf(await saveFigures({ books, set: await setOf(books), entries }));
};
const lastBatch = async (books: number): Promise<string> => (await changesView(books, undefined))?.batches[0]?.id ?? '';
const found = async (books: number, code: string) => {
  const view = await scheduleView(books, await idOf(books, code));
  if (view?.found == null) throw new Error('no schedule');
  return view.found;
};
const oneItem = async (books: number, contact: number | null = null): Promise<number> => {
  const item = { ...blankItem('customers', 'EUR'), open: minor(12_500n), number: '7', contact } as never;
  const account = await idOf(books, '1100');
  const { rows: saved } = valueOf(
    await saveItems({ books, set: await setOf(books), account, entries: [{ id: null, revision: 0, item }] }),
  );
  return saved[0]?.id ?? 0;
};

describe('papers to look at', () => {
  it('are kept as they are: pictures and messages always, any other file where somebody says so', async () => {
    const books = await newBooks();
    const picture = await bring(books, 'stock.jpg', PICTURE);
    expect(valueOf((await shownPaperView(books, picture)) ?? { ok: false, problems: [] })).toMatchObject({
      as: 'picture',
    });
    expect((await pictureFile(books, picture))?.content).toEqual(Buffer.from(PICTURE));
    const message = await bring(books, 'bill.eml', bytes(MESSAGE));
    expect(await shownPaperView(books, message)).toMatchObject({
      value: { as: 'email', email: { subject: 'Bill', text: 'Here it is', attachments: [{ name: 'bill 7.txt' }] } },
    });
    const damaged = Uint8Array.from([0x50, 0x4b, 3, 4, 0, 0]);
    expect((await bringPaper({ books, name: 'sheet.xlsx', content: damaged })).ok).toBe(false);
    const kept = await bring(books, 'sheet.xlsx', damaged, true);
    expect(await shownPaperView(books, kept)).toMatchObject({ value: { as: 'file' } });
    const text = await bring(books, 'note.html', bytes('<script>alert(1)</script>'), true);
    expect(await shownPaperView(books, text)).toMatchObject({
      value: { as: 'text', text: '<script>alert(1)</script>' },
    });
    expect(await pictureFile(books, text)).toBeUndefined();
    expect(await pictureFile(await newBooks(), picture)).toBeUndefined();
  });

  it('give what hangs on a message as a paper of its own, once', async () => {
    const books = await newBooks();
    const message = await bring(books, 'bill.eml', bytes(MESSAGE));
    const first = valueOf(await keepAttachment({ books, paper: message, at: 0 }));
    expect(valueOf(await keepAttachment({ books, paper: message, at: 0 }))).toEqual({
      paper: first.paper,
      known: true,
    });
    expect(await shownPaperView(books, first.paper)).toMatchObject({
      value: { name: 'bill 7.txt', as: 'text', text: 'Bill 7: 120.00\n' },
    });
    expect(codesOf(await keepAttachment({ books, paper: message, at: 5 }))).toEqual(['email.attachment']);
  });
});

describe('evidence', () => {
  it('is attached to an account, an item, a contact and a check, and told on the paper’s page', async () => {
    const books = await newBooks();
    const paper = await bring(books, 'letter.png', PICTURE);
    await type(books, { '1100': 12_500n, '3010': -12_500n });
    const { rows: made } = valueOf(
      await saveContacts({
        books,
        entries: [{ id: null, revision: 0, contact: { ...blankContact('customer'), name: 'Carr' } }],
      }),
    );
    const contact = made[0]?.id ?? 0;
    const item = await oneItem(books, contact);
    const account = await idOf(books, '1100');
    expect((await schedulesView(books))?.accounts.find((one) => one.account.id === account)?.evidenced).toBe(false);
    for (const to of [
      { of: 'account', id: account },
      { of: 'item', id: item },
      { of: 'contact', id: contact },
      { of: 'check', id: 'openings.nets-to-zero' },
    ] as const)
      valueOf(await attachPaper({ books, paper, to }));
    expect((await found(books, '1100')).evidence.map(({ to }) => to.of)).toEqual(['account', 'item']);
    expect((await contactView(books, contact))?.found?.evidence).toHaveLength(1);
    expect((await proofView(books))?.evidence).toMatchObject([
      { to: { id: 'openings.nets-to-zero' }, name: 'letter.png' },
    ]);
    expect((await schedulesView(books))?.accounts.find((one) => one.account.id === account)?.evidenced).toBe(true);
    expect((await documentView(books, paper))?.found?.uses.map(({ place }) => place.on)).toEqual([
      'account',
      'schedule',
      'contact',
      'proof',
    ]);
    expect((await accountStory(books, account))?.events[0]?.what).toBe('letter.png attached as evidence');
    expect((await contactsView(books))?.contacts[0]?.used).toBe(true);
    expect(codesOf(await attachPaper({ books, paper, to: { of: 'account', id: account } }))).toEqual([
      'evidence.twice',
    ]);
    expect(codesOf(await removePaper({ books, paper }))).toEqual(['paper.attached']);
  });

  it('stays within its books, and knows only checks that there are', async () => {
    const [books, other] = [await newBooks(), await newBooks()];
    const theirs = await bring(other, 'letter.png', PICTURE);
    const own = await bring(books, 'letter.png', PICTURE);
    const account = await idOf(books, '1010');
    expect(codesOf(await attachPaper({ books, paper: theirs, to: { of: 'account', id: account } }))).toEqual([
      'paper.unknown',
    ]);
    for (const to of [
      { of: 'account', id: await idOf(other, '1010') },
      { of: 'item', id: await oneItem(other) },
      { of: 'contact', id: 99_999 },
    ] as const)
      expect(codesOf(await attachPaper({ books, paper: own, to }))).toEqual(['evidence.gone']);
    expect((await attachPaper({ books, paper: own, to: { of: 'check', id: 'no.such' } })).ok).toBe(false);
    const { attached } = valueOf(
      await attachPaper({ books: other, paper: theirs, to: { of: 'check', id: 'openings.nets-to-zero' } }),
    );
    expect(codesOf(await detachPaper({ books, evidence: attached[0]?.id ?? 0 }))).toEqual(['evidence.gone']);
  });

  it('is taken back and brought back; an item that goes takes its evidence along, and brings it when it comes back', async () => {
    const books = await newBooks();
    const paper = await bring(books, 'letter.png', PICTURE);
    const item = await oneItem(books);
    const attached = async (): Promise<number> =>
      (await found(books, '1100')).evidence.filter(({ to }) => to.of === 'item' && to.id === item).length;
    valueOf(await attachPaper({ books, paper, to: { of: 'item', id: item } }));
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect(await attached()).toBe(0);
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect(await attached()).toBe(1);
    const { revision } = (await found(books, '1100')).items[0] ?? { revision: 0 };
    const account = await idOf(books, '1100');
    const entries = [{ id: item, revision, item: null }];
    valueOf(await saveItems({ books, set: await setOf(books), account, entries }));
    expect(await documentView(books, paper)).toMatchObject({ found: { uses: [] } });
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect(await attached()).toBe(1);
  });

  it('of a posted item goes on with its copy in a correction; that of an account goes where it is merged', async () => {
    const books = await newBooks();
    const paper = await bring(books, 'letter.png', PICTURE);
    await type(books, { '1100': 12_500n, '3010': -12_500n });
    const item = await oneItem(books);
    valueOf(await attachPaper({ books, paper, to: { of: 'item', id: item } }));
    valueOf(await postOpenings({ books, set: await setOf(books) }));
    valueOf(await openCorrection({ books, reason: 'an invoice came late' }));
    const { evidence, items } = await found(books, '1100');
    expect(evidence.map(({ to }) => to.id)).toEqual([items[0]?.id]);
    expect(items[0]?.id).not.toBe(item);
    const [from, into] = (await rows(books))
      .filter(
        ({ classification, heading, role }) => classification === 'operating-expense' && !heading && role === null,
      )
      .map(({ id }) => accountId(id)) as [AccountId, AccountId];
    valueOf(await attachPaper({ books, paper, to: { of: 'account', id: from } }));
    expect(codesOf(await editChart({ books, edits: [{ kind: 'remove', id: from }] }))).toEqual(['account.used']);
    valueOf(await mergeAccounts({ books, from, into }));
    expect((await openingsView(books))?.evidence.map(({ to }) => to.id)).toEqual([into]);
  });
});
