import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { removeBooks } from '@/actions/books/commands';
import { undo } from '@/actions/changes/commands';
import { changesView } from '@/actions/changes/views';
import { editChart, saveBanks } from '@/actions/chart/commands';
import { saveRate, switchOn } from '@/actions/currencies/commands';
import { saveFigures } from '@/actions/openings/figures';
import { discardCorrection, openCorrection, postOpenings } from '@/actions/openings/posting';
import { openingsView, proofView } from '@/actions/openings/views';
import { removePaper } from '@/actions/papers/commands';
import { bringList, takeList } from '@/actions/schedules/bring';
import { saveContacts } from '@/actions/schedules/contacts';
import { copyContacts } from '@/actions/schedules/copy-contacts';
import { saveItems } from '@/actions/schedules/items';
import { explainTie, lookAt, saveClosing, takeSupport } from '@/actions/schedules/ties';
import { contactView, contactsView, scheduleView, schedulesView } from '@/actions/schedules/views';
import { exportAuditFile, exportList } from '@/actions/statements/export';
import { plainDate } from '@/core/base/dates';
import { accountId } from '@/core/chart/account';
import { NO_BANK_DETAILS } from '@/core/chart/bank';
import { minor } from '@/core/money/minor';
import { type ContactFields, blankContact } from '@/core/schedules/contact';
import { stillLooked } from '@/core/schedules/tie-out';
import { type ItemFields, blankItem, itemDoubts } from '@/core/schedules/item';
import { codesOf, newBooks, refused, valueOf, withDatabase } from './support';

const database = withDatabase();
const sql = (text: string, parameters: readonly unknown[] = []) =>
  database.current.query<{ id: number }>(text, parameters);

const paper = (name: string): Uint8Array => readFileSync(new URL(`../../demo/papers/${name}`, import.meta.url));

const rowOf = async (books: number, code: string) => (await openingsView(books))?.rows.find((one) => one.code === code);
const accountOf = async (books: number, code: string): Promise<number> => (await rowOf(books, code))?.id ?? 0;
const setOf = async (books: number): Promise<number> => (await openingsView(books))?.set?.id ?? 0;

const type = async (books: number, amounts: Readonly<Record<string, bigint>>): Promise<void> => {
  const view = await openingsView(books);
  const entries = Object.entries(amounts).map(([code, amount]) => {
    const row = view?.rows.find((one) => one.code === code);
    return { account: row?.id ?? 0, amount, revision: row?.revision ?? 0, restores: false };
  });
  valueOf(await saveFigures({ books, set: view?.set?.id ?? 0, entries }));
};

const fields = (amount: bigint, more: Partial<ItemFields> = {}): ItemFields => ({
  ...blankItem('customers', 'EUR'),
  open: minor(amount),
  ...more,
});
const fresh = (item: ItemFields) => ({ id: null, revision: 0, item });
const list = async (books: number, code: string, items: readonly ItemFields[]) =>
  saveItems({ books, set: await setOf(books), account: await accountOf(books, code), entries: items.map(fresh) });
const found = async (books: number, code: string) => {
  const view = await scheduleView(books, await accountOf(books, code));
  if (view?.found == null) throw new Error('no schedule');
  return view.found;
};
const contact = (name: string, more: Partial<ContactFields> = {}) => ({
  id: null,
  revision: 0,
  contact: { ...blankContact('customer'), name, ...more },
});
const lastBatch = async (books: number): Promise<string> => (await changesView(books, undefined))?.batches[0]?.id ?? '';
const checkOf = async (books: number, id: string) => (await proofView(books))?.proof.find((one) => one.id === id);

describe('items of a schedule', () => {
  it('tie to the figure or hold posting back; what was typed is taken back as one and brought back', async () => {
    const books = await newBooks();
    await type(books, { '1100': 12_500n, '3010': -12_500n });
    const [carr] = valueOf(await saveContacts({ books, entries: [contact('Carr', { code: 'C1' })] })).rows;
    const who = { contact: carr?.id ?? null } as Partial<ItemFields>;
    valueOf(await list(books, '1100', [fields(10_000n, who), fields(-500n, { ...who, kind: 'credit-note' })]));
    expect((await found(books, '1100')).tie).toMatchObject({ state: 'apart', support: 9500n, difference: 3000n });
    expect((await checkOf(books, 'schedules.control-accounts-tie'))?.findings[0]?.what).toContain('30.00 EUR apart');
    expect(codesOf(await postOpenings({ books, set: await setOf(books) }))).toContain('schedules.control-accounts-tie');
    valueOf(await list(books, '1100', [fields(3000n, who)]));
    const batch = await lastBatch(books);
    expect((await found(books, '1100')).tie.state).toBe('tied');
    valueOf(await undo({ books, batch }));
    expect((await found(books, '1100')).items.map(({ open }) => open)).toEqual([10_000n, -500n]);
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect((await found(books, '1100')).tie.state).toBe('tied');
    valueOf(await postOpenings({ books, set: await setOf(books) }));
  });

  it('are refused as a whole with the row that is wrong; two people do not overwrite each other', async () => {
    const books = await newBooks();
    const bad = await list(books, '1100', [fields(5n), fields(0n), fields(5n, { currency: 'NOK' })]);
    expect(bad.ok ? [] : bad.problems.map(({ code, path }) => [code, path])).toEqual([
      ['item.nothing', [1, 'open']],
      ['item.currency', [2, 'currency']],
    ]);
    expect((await found(books, '1100')).items).toEqual([]);
    const [made] = valueOf(await list(books, '1100', [fields(5n)])).rows;
    const [set, account] = [await setOf(books), await accountOf(books, '1100')];
    const change = (revision: number, open: bigint | null) =>
      saveItems({
        books,
        set,
        account,
        entries: [{ id: made?.id ?? 0, revision, item: open === null ? null : fields(open) }],
      });
    valueOf(await change(made?.revision ?? 0, 7n));
    expect(codesOf(await change(made?.revision ?? 0, 8n))).toEqual(['item.changed']);
    expect((await found(books, '1100')).items.map(({ open }) => open)).toEqual([7n]);
    // An item of other books, or of another account, is none of these.
    const other = await newBooks({ name: 'Other' });
    const [theirs] = valueOf(await list(other, '1100', [fields(9n)])).rows;
    const foreign = { id: theirs?.id ?? 0, revision: theirs?.revision ?? 0, item: fields(1n) };
    expect(codesOf(await saveItems({ books, set, account, entries: [foreign] }))).toEqual(['item.gone']);
    expect((await found(other, '1100')).items.map(({ open }) => open)).toEqual([9n]);
    expect(codesOf(await list(books, '4010', [fields(5n)]))).toEqual(['schedule.none']);
    const [them] = valueOf(await saveContacts({ books: other, entries: [contact('Theirs')] })).rows;
    expect(codesOf(await list(books, '1100', [fields(5n, { contact: them?.id ?? null })]))).toEqual(['item.contact']);
  });

  it('are frozen when posted; a correction begins with them, shows what changed, and gives them back when it is discarded', async () => {
    const books = await newBooks();
    await type(books, { '1100': 100n, '3010': -100n });
    const [, second] = valueOf(await list(books, '1100', [fields(60n), fields(40n)])).rows;
    valueOf(await postOpenings({ books, set: await setOf(books) }));
    expect(codesOf(await list(books, '1100', [fields(1n)]))).toEqual(['openings.posted']);
    await refused(sql('update schedule_item set open = 1 where id = $1', [second?.id ?? 0]), /posted opening set/);
    await refused(sql('delete from schedule_item where id = $1', [second?.id ?? 0]), /posted opening set/);
    valueOf(await openCorrection({ books, reason: 'a credit note turned up' }));
    const correcting = await found(books, '1100');
    expect(correcting.items.map(({ open }) => open)).toEqual([60n, 40n]);
    valueOf(await list(books, '1100', [fields(-10n, { kind: 'credit-note' })]));
    expect((await found(books, '1100')).tie).toMatchObject({ state: 'apart', difference: 10n });
    const set = await setOf(books);
    valueOf(await takeSupport({ books, set, accounts: [await accountOf(books, '1100')] }));
    expect((await found(books, '1100')).tie.state).toBe('tied');
    expect((await rowOf(books, '1100'))?.amount).toBe(90n);
    valueOf(await discardCorrection({ books, set }));
    expect((await found(books, '1100')).items.map(({ open }) => open)).toEqual([60n, 40n]);
  });

  it('in foreign currencies tie in both; a missing rate is said, and the list’s total becomes the figure with its parts', async () => {
    const books = await newBooks({ foreign: true });
    valueOf(await switchOn({ books, currency: 'NOK' }));
    valueOf(
      await list(books, '1100', [
        fields(100_000n, { currency: 'NOK' }),
        fields(50_000n, { currency: 'NOK', base: minor(4500n) }),
        fields(700n),
      ]),
    );
    expect((await found(books, '1100')).tie.state).toBe('unknown');
    expect((await checkOf(books, 'schedules.control-accounts-tie'))?.findings[0]?.what).toContain('rate');
    valueOf(
      await saveRate({ books, date: '2026-07-31', unit: 'EUR', quote: 'NOK', typed: '12.5', evenIfDoubtful: false }),
    );
    expect((await found(books, '1100')).tie.support).toBe(8000n + 4500n + 700n);
    valueOf(await takeSupport({ books, set: await setOf(books), accounts: [await accountOf(books, '1100')] }));
    const tie = (await found(books, '1100')).tie;
    expect(tie).toMatchObject({ state: 'tied', figure: 13_200n });
    expect(tie.currencies).toEqual([{ currency: 'NOK', figure: 150_000n, support: 150_000n, difference: 0n }]);
    const row = await rowOf(books, '1100');
    expect([row?.source, row?.parts]).toEqual(['calculated', [{ currency: 'NOK', amount: 150_000n, base: 12_500n }]]);
  });

  it('hold their account and their contact; a merge moves them', async () => {
    const books = await newBooks();
    const [one] = valueOf(await saveContacts({ books, entries: [contact('Carr')] })).rows;
    valueOf(await list(books, '1300', [fields(5n, { kind: 'span', contact: one?.id ?? null })]));
    const account = accountId(await accountOf(books, '1300'));
    const removed = await editChart({ books, edits: [{ kind: 'remove', id: account }] });
    expect(removed.ok ? '' : removed.problems[0]?.message).toContain('1 item or statement in its schedule');
    const gone = await saveContacts({
      books,
      entries: [{ id: one?.id ?? 0, revision: one?.revision ?? 0, contact: null }],
    });
    expect(codesOf(gone)).toEqual(['contact.used']);
    const page = await contactView(books, one?.id ?? 0);
    expect(page?.found?.items.map(({ open, of }) => [open, of.code])).toEqual([[5n, '1300']]);
  });
});

describe('a statement', () => {
  it('ties with what is listed beside it, and says where its day is another; a difference can be explained', async () => {
    const books = await newBooks();
    await type(books, { '1010': 90_000n, '3010': -90_000n });
    const [set, account] = [await setOf(books), await accountOf(books, '1010')];
    valueOf(await saveClosing({ books, set, account, closing: { date: '2026-07-19', amount: 100_000n } }));
    expect((await found(books, '1010')).tie).toMatchObject({ state: 'apart', difference: -10_000n });
    expect((await checkOf(books, 'schedules.statement-date'))?.findings[0]?.what).toContain('19 Jul 2026');
    valueOf(await list(books, '1010', [fields(-8_000n, { kind: 'payment-under-way' })]));
    expect((await checkOf(books, 'schedules.statement-date'))?.findings).toEqual([]);
    valueOf(await explainTie({ books, set, account, reason: 'the bank looks for a cheque' }));
    expect((await found(books, '1010')).tie).toMatchObject({ state: 'explained', difference: -2_000n });
    expect((await checkOf(books, 'schedules.explained'))?.findings[0]?.what).toContain('the bank looks for a cheque');
    // It is about that difference alone.
    valueOf(await list(books, '1010', [fields(-1_000n, { kind: 'payment-under-way' })]));
    expect((await found(books, '1010')).tie.state).toBe('apart');
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    valueOf(await explainTie({ books, set, account, reason: null }));
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect((await found(books, '1010')).tie.state).toBe('explained');
    expect(codesOf(await saveClosing({ books, set, account: await accountOf(books, '1100'), closing: null }))).toEqual([
      'schedule.no-statement',
    ]);
  });

  it('of a bank as camt.053 is read, and kept as a paper', async () => {
    const books = await newBooks();
    await type(books, { '1010': 4_896_055n, '3010': -4_896_055n });
    const account = await accountOf(books, '1010');
    const name = 'skerry-current-2026-07-31.xml';
    const preview = valueOf(await bringList({ books, account, name, content: paper(name) }));
    expect(preview.statements[0]?.closing).toEqual({ date: '2026-07-31', amount: 4_896_055n });
    valueOf(await takeList({ books, set: await setOf(books), account, paper: preview.paper }));
    expect((await found(books, '1010')).tie.state).toBe('tied');
    // The statement is evidence of the account, goes with its balance, and comes back with it.
    const attached = async () => (await found(books, '1010')).evidence.map(({ paper: own }) => own);
    expect(await attached()).toEqual([preview.paper]);
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect([(await found(books, '1010')).tie.state, await attached()]).toEqual(['none', []]);
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect(await attached()).toEqual([preview.paper]);
  });
});

describe('a list that is brought', () => {
  const name = 'marram-open-customers-2026-07-31.csv';
  const ready = async () => {
    const books = await newBooks({ foreign: true });
    for (const currency of ['NOK', 'GBP'] as const) valueOf(await switchOn({ books, currency }));
    return { books, account: await accountOf(books, '1100') };
  };
  it('is shown, taken with its contacts, known again the second time, and taken back as one', async () => {
    const { books, account } = await ready();
    const preview = valueOf(await bringList({ books, account, name, content: paper(name) }));
    expect([preview.items.length, preview.contacts.length, preview.hasBase, preview.doubts]).toEqual([16, 8, true, []]);
    expect((await found(books, '1100')).items).toEqual([]);
    const set = await setOf(books);
    const taken = valueOf(await takeList({ books, set, account, paper: preview.paper, leave: [5] }));
    expect(taken).toEqual({ items: 15, contacts: 8 });
    expect((await found(books, '1100')).tie.support).toBe(8_510_000n - 840_000n);
    expect((await found(books, '1100')).items[0]).toMatchObject({ paper: preview.paper, row: 6 });
    expect(codesOf(await removePaper({ books, paper: preview.paper }))).toEqual(['paper.in-history']);
    const again = valueOf(await bringList({ books, account, name, content: paper(name) }));
    expect([again.contacts, again.paper]).toEqual([[], preview.paper]);
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect([(await found(books, '1100')).items, (await contactsView(books))?.contacts]).toEqual([[], []]);
  });
  it('gives the same when it is exported and brought again', async () => {
    const { books, account } = await ready();
    const preview = valueOf(await bringList({ books, account, name, content: paper(name) }));
    valueOf(await takeList({ books, set: await setOf(books), account, paper: preview.paper }));
    const file = await exportList(books, 'schedule', 'csv', { account });
    const other = await ready();
    const content = new TextEncoder().encode(String(file?.content));
    const back = valueOf(await bringList({ books: other.books, account: other.account, name: 'again.csv', content }));
    valueOf(
      await takeList({ books: other.books, set: await setOf(other.books), account: other.account, paper: back.paper }),
    );
    const bare = async (of: number) => {
      const { items, contacts, tie } = await found(of, '1100');
      const names = new Map(contacts.map((one) => [one.id, `${one.code} ${one.name}`]));
      return {
        support: tie.support,
        items: items.map(({ id: _, account: __, revision: ___, paper: ____, row: _____, contact: who, ...rest }) => ({
          ...rest,
          who: who === null ? '' : names.get(who),
        })),
      };
    };
    expect(await bare(other.books)).toEqual(await bare(books));
    for (const format of ['xlsx', 'pdf'] as const)
      expect((await exportList(books, 'schedule', format, { account }))?.content.length).toBeGreaterThan(1000);
    expect((await exportList(books, 'contacts', 'csv'))?.content).toContain('Carrageen Kitchens');
    expect(await exportList(books, 'schedule', 'csv')).toBeUndefined();
  });
  it('that holds something else is refused with a sentence, and nothing is kept', async () => {
    const { books, account } = await ready();
    const content = new TextEncoder().encode('a,b\n1,2\n');
    expect(codesOf(await bringList({ books, account, name: 'x.csv', content }))).toEqual(['list.none']);
    expect(await sql('select id from paper where books_id = $1', [books])).toEqual([]);
    const bank = await accountOf(books, '1010');
    expect(codesOf(await bringList({ books, account: bank, name: 'x.csv', content })).length).toBe(1);
    const empty = valueOf(await bringList({ books, account, name, content: paper(name) }));
    const none = await takeList({
      books,
      set: await setOf(books),
      account,
      paper: empty.paper,
      leave: empty.items.map(({ row }) => row),
    });
    expect(codesOf(none)).toEqual(['list.nothing']);
    expect((await contactsView(books))?.contacts).toEqual([]);
  });
});

describe('contacts', () => {
  it('keep codes to themselves, also when two change hands; the record takes them back', async () => {
    const books = await newBooks();
    const rows = valueOf(
      await saveContacts({ books, entries: [contact('A', { code: '1' }), contact('B', { code: '2' })] }),
    ).rows;
    expect(codesOf(await saveContacts({ books, entries: [contact('C', { code: '2' })] }))).toEqual(['contact.code']);
    const swapped = rows.map((row, at) => ({
      id: row?.id ?? 0,
      revision: row?.revision ?? 0,
      contact: { ...blankContact('customer' as const), name: at === 0 ? 'A' : 'B', code: at === 0 ? '2' : '1' },
    }));
    valueOf(await saveContacts({ books, entries: swapped }));
    expect((await contactsView(books))?.contacts.map(({ name, code }) => name + code)).toEqual(['A2', 'B1']);
    expect(codesOf(await saveContacts({ books, entries: swapped }))).toEqual(['contact.changed', 'contact.changed']);
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect((await contactsView(books))?.contacts.map(({ name, code }) => name + code)).toEqual(['A1', 'B2']);
    await refused(
      sql(
        `insert into contact (books_id, code, name, role, legal_name, tax_number, country, address, person, email, phone, currency, note, active, set_by, set_at)
           select books_id, '1', 'D', 'customer', '', '', '', '', '', '', '', '', '', true, set_by, set_at from contact where books_id = $1 limit 1`,
        [books],
      ),
      /contact_code/,
    );
  });
});

it('books go with their schedules', async () => {
  const books = await newBooks({ name: 'To be deleted' });
  const [one] = valueOf(await saveContacts({ books, entries: [contact('Carr')] })).rows;
  valueOf(await list(books, '1100', [fields(5n, { contact: one?.id ?? null })]));
  valueOf(await removeBooks({ books, typedName: 'To be deleted' }));
  expect(await sql('select id from contact where books_id = $1', [books])).toEqual([]);
});

it('the overview names every balance-sheet account with what stands behind it', async () => {
  const books = await newBooks();
  await type(books, { '1010': 500n, '1510': 200n, '2100': -700n });
  valueOf(await list(books, '2100', [fields(-700n)]));
  const view = await schedulesView(books);
  expect(view?.accounts.map(({ account, tie, lacks }) => [account.code, tie.state, lacks])).toEqual([
    ['1010', 'none', true],
    ['1100', 'none', false],
    ['1510', 'none', true],
    ['2100', 'tied', false],
  ]);
  expect(view?.frame.stages.find(({ id }) => id === 'schedules')?.note).toBe('1 of 3 tied');
});

describe('what a reviewer asks', () => {
  it('who looked at a figure: it counts while the figure and what is behind it are the same, and is taken back', async () => {
    const books = await newBooks();
    await type(books, { '1100': 10_000n, '3010': -10_000n });
    valueOf(await list(books, '1100', [fields(10_000n)]));
    const account = await accountOf(books, '1100');
    valueOf(await lookAt({ books, account, looked: true }));
    const { looked, tie } = await found(books, '1100');
    expect(looked).toMatchObject({ figure: 10_000n, support: 10_000n });
    expect(looked !== null && stillLooked(tie, looked)).toBe(true);
    valueOf(await list(books, '1100', [fields(500n)]));
    const after = await found(books, '1100');
    expect(after.looked !== null && stillLooked(after.tie, after.looked)).toBe(false);
    valueOf(await lookAt({ books, account, looked: true }));
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect((await found(books, '1100')).looked).toMatchObject({ support: 10_000n });
    valueOf(await lookAt({ books, account, looked: false }));
    expect((await schedulesView(books))?.accounts.find((one) => one.account.id === account)?.looked).toBeNull();
    expect(codesOf(await lookAt({ books, account: 999_999, looked: true }))).toEqual(['schedule.unknown']);
  });

  it('whether something is listed twice, and whether a bank is lower than it should be', async () => {
    const books = await newBooks();
    await type(books, { '1100': 10_000n, '1010': -2500n, '3010': -7500n });
    valueOf(await list(books, '1100', [fields(5000n, { number: 'A1' }), fields(5000n, { number: 'a1' })]));
    const said = async (id: string) => (await checkOf(books, id))?.findings.map(({ what }) => String(what)) ?? [];
    expect(await said('schedules.items-once')).toEqual([expect.stringContaining('1 item there already')]);
    // The sheet says the same of them.
    const beside = { schedule: 'customers', openingDate: plainDate('2026-07-31') } as const;
    const asked = [...itemDoubts((await found(books, '1100')).items, beside).values()].flat();
    expect(asked.filter(({ code }) => code === 'item.twice')).toHaveLength(1);
    expect(await said('schedules.balances-in-hand')).toEqual([expect.stringContaining('overdrawn by 25.00 EUR')]);
    await type(books, { '1010': 2500n, '3010': -12_500n });
    expect(await said('schedules.balances-in-hand')).toEqual([]);
    const bank = { ...NO_BANK_DETAILS, alertBelow: 3000n };
    valueOf(await saveBanks({ books, accounts: [{ account: await accountOf(books, '1010'), bank }] }));
    expect(await said('schedules.balances-in-hand')).toEqual([expect.stringContaining('below the 30.00 EUR')]);
    await type(books, { '1010': -2500n, '3010': -7500n });
    const agreed = async (alertBelow: bigint): Promise<readonly string[]> => {
      const details = { ...NO_BANK_DETAILS, alertBelow };
      valueOf(await saveBanks({ books, accounts: [{ account: await accountOf(books, '1010'), bank: details }] }));
      return said('schedules.balances-in-hand');
    };
    expect(await agreed(-3000n)).toEqual([]);
    expect(await agreed(-2000n)).toEqual([expect.stringContaining('overdrawn by 25.00 EUR, and 20.00 EUR is agreed')]);
  });

  it('whether a row of one paper is listed on two accounts', async () => {
    const books = await newBooks();
    const suppliers = (await openingsView(books))?.rows.find(({ role }) => role === 'payables-control')?.id ?? 0;
    const [first, second, set] = [await accountOf(books, '1100'), suppliers, await setOf(books)];
    const content = new TextEncoder().encode(
      'Name;Number;Date;Amount\nGull & Sons;INV-1;15.07.2026;50,00\nTern Ltd;INV-2;16.07.2026;20,00\n',
    );
    const [gull, tern] = [2, 3];
    const taken = async (account: number, leave: readonly number[]): Promise<void> => {
      const { paper } = valueOf(await bringList({ books, account, name: 'one.csv', content }));
      valueOf(await takeList({ books, set, account, paper, leave: [...leave] }));
    };
    const said = async () => (await checkOf(books, 'schedules.items-once'))?.findings.map(({ what }) => String(what)) ?? []; // prettier-ignore
    await taken(first, [tern]);
    await taken(second, [gull]);
    // Each has rows of its own.
    expect(await said()).toEqual([]);
    await taken(second, [tern]);
    expect(await said()).toEqual([expect.stringContaining('1 item there already')]);
  });

  it('how a cash box was counted: it comes to its balance, goes with a correction, and is taken back', async () => {
    const books = await newBooks();
    const code = (await openingsView(books))?.rows.find(({ role }) => role === 'cash')?.code ?? '';
    await type(books, { [code]: 2550n, '3010': -2550n });
    const [account, set] = [await accountOf(books, code), await setOf(books)];
    const closing = (amount: bigint, counted: Readonly<Record<string, number>> | null) =>
      saveClosing({ books, set, account, closing: { date: '2026-07-31', amount, counted } });
    expect((await closing(2550n, { '2000': 1 })).ok).toBe(false);
    expect((await closing(2550n, { '0': 1, '2550': 1 })).ok).toBe(false);
    valueOf(await closing(2550n, { '2000': 1, '500': 1, '50': 1 }));
    valueOf(await closing(2550n, null));
    expect((await found(books, code)).tie.closing?.counted).toBeNull();
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect((await found(books, code)).tie.closing?.counted).toEqual({ '2000': 1, '500': 1, '50': 1 });
    valueOf(await postOpenings({ books, set }));
    valueOf(await openCorrection({ books, reason: 'a slip in a figure' }));
    expect((await found(books, code)).tie.closing?.counted).toEqual({ '2000': 1, '500': 1, '50': 1 });
  });

  it('to which control account a contact belongs, and up to what they may owe', async () => {
    const books = await newBooks();
    const account = accountId(await accountOf(books, '1100'));
    const more = { creditLimit: minor(50_000n), account, settles: 'balance' } as const;
    valueOf(await saveContacts({ books, entries: [contact('Carr', more)] }));
    expect((await contactsView(books))?.contacts[0]).toMatchObject(more);
    const other = accountId(await accountOf(await newBooks(), '1100'));
    expect(codesOf(await saveContacts({ books, entries: [contact('Dunn', { account: other })] }))).toEqual([
      'contact.account',
    ]);
    const [one] = (await contactsView(books))?.contacts ?? [];
    if (one === undefined) throw new Error('no contact');
    const { id, revision, used: _, ...was } = one;
    valueOf(await saveContacts({ books, entries: [{ id, revision, contact: { ...was, creditLimit: null } }] }));
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect((await contactsView(books))?.contacts[0]?.creditLimit).toBe(50_000n);
  });

  it('the audit file has customers and suppliers with what is open of each, and its contacts are read from it', async () => {
    const books = await newBooks();
    await type(books, { '1100': 12_500n, '3010': -12_500n });
    const { rows } = valueOf(
      await saveContacts({
        books,
        entries: [
          contact('Carr & <Sons>', { code: 'C1', taxNumber: 'IE1234567FA', country: 'IE' }),
          contact('Dunn', { code: 'S1', role: 'supplier' }),
        ],
      }),
    );
    valueOf(await list(books, '1100', [fields(12_500n, { contact: rows[0]?.id ?? null })]));
    const file = await exportAuditFile(books);
    const xml = String(file?.content);
    expect(xml).toMatch(/<CustomerID>C1<\/CustomerID>\s*<AccountID>1100<\/AccountID>\s*<OpeningDebitBalance>125.00</);
    const other = await newBooks();
    const brought = valueOf(
      await bringList({ books: other, account: null, name: 'audit.xml', content: new TextEncoder().encode(xml) }),
    );
    valueOf(await takeList({ books: other, account: null, set: await setOf(other), paper: brought.paper }));
    expect(
      (await contactsView(other))?.contacts.map(({ name, code, role, taxNumber, country }) => [
        name,
        code,
        role,
        taxNumber,
        country,
      ]),
    ).toEqual([
      ['Carr & <Sons>', 'C1', 'customer', 'IE1234567FA', 'IE'],
      ['Dunn', 'S1', 'supplier', '', ''],
    ]);
  });

  it('contacts of another client are copied once, without what belongs to that one’s chart', async () => {
    const [books, other] = [await newBooks(), await newBooks()];
    const account = accountId(await accountOf(other, '1100'));
    valueOf(
      await saveContacts({
        books: other,
        entries: [contact('Carr', { code: 'C1', account }), contact('Dunn', { code: 'C2' }), contact('Eames')],
      }),
    );
    valueOf(await saveContacts({ books, entries: [contact('DUNN'), contact('Fox', { code: 'c1' })] }));
    expect(valueOf(await copyContacts({ books, from: other }))).toEqual({ copied: 2 });
    expect((await contactsView(books))?.contacts.map(({ name, code, account: own }) => [name, code, own])).toEqual([
      ['Carr', '', null],
      ['DUNN', '', null],
      ['Eames', '', null],
      ['Fox', 'c1', null],
    ]);
    expect(valueOf(await copyContacts({ books, from: other }))).toEqual({ copied: 0 });
    expect(codesOf(await copyContacts({ books, from: books }))).toEqual(['contact.no-books']);
  });
});
