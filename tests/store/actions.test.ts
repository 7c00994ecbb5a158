import { randomUUID } from 'node:crypto';
import { chartView } from '@/actions/chart/views';
import { accountStory } from '@/actions/chart/account-story';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { createBooks, removeBooks } from '@/actions/books/commands';
import { setPeriods } from '@/actions/calendar/commands';
import { addAccount, changeAccount, removeAccount } from '@/actions/chart/commands';
import { changeFact } from '@/actions/company/commands';
import { saveFigures } from '@/actions/openings/figures';
import { discardCorrection, openCorrection, postOpenings } from '@/actions/openings/posting';
import { createUndecided, decideRows } from '@/actions/papers/decisions';
import { bringPaper, readAs, readFrom, removePaper } from '@/actions/papers/commands';
import { takeOver, undoTakeOver } from '@/actions/papers/take-over';
import { boardView } from '@/actions/books/views';
import { calendarView } from '@/actions/calendar/views';
import { companyView } from '@/actions/company/views';
import { paperRowsView, paperView } from '@/actions/papers/views';
import { openingsView, proofView, signOffView } from '@/actions/openings/views';
import { statementView } from '@/actions/statements/views';
import { codesOf, newBooks, valueOf, withDatabase } from './support';

const database = withDatabase();

const idOf = async (books: number, code: string): Promise<number> =>
  (await chartView(books))?.rows.find((row) => row.account.code === code)?.account.id ?? 0;

/** Types an amount (debit positive, minor units) as the sheet would. */
const type = async (books: number, code: string, amount: bigint | null, revision?: number) => {
  const open = await openingsView(books);
  const row = open?.rows.find((one) => one.code === code);
  return saveFigures({
    books,
    set: open?.set?.id ?? 0,
    entries: [{ account: row?.id ?? 0, amount, revision: revision ?? row?.revision ?? 0, restores: false }],
  });
};
const setOf = async (books: number): Promise<number> => (await openingsView(books))?.set?.id ?? 0;
const demo = (name: string): Uint8Array =>
  new Uint8Array(readFileSync(new URL(`../../demo/papers/${name}`, import.meta.url)));

describe('making books', () => {
  it('makes year, chart and an empty draft together', async () => {
    const books = await newBooks();
    const calendar = await calendarView(books);
    expect(calendar?.years[0]?.periods.map((period) => period.state).join(' ')).toBe(
      'closed closed closed closed closed closed open future future future future future',
    );
    const chart = await chartView(books);
    expect(chart?.rows.find((row) => row.account.code === '1010')).toMatchObject({
      account: { role: 'bank', origin: 'Every company has it' },
    });
    expect((await openingsView(books))?.set).toMatchObject({ version: 1, state: 'draft' });
    expect(chart?.frame).toMatchObject({ openingDate: '2026-07-31', atYearStart: false, digits: 2 });
  });
  it('says at the field what does not go together, and stores nothing', async () => {
    const before = (await boardView()).books.length;
    const wrong = {
      name: 'Wrong',
      legalForm: 'limited-company',
      country: 'IE',
      currency: 'EUR',
      style: '1,234.56',
      purpose: 'trial',
      yearStart: '2026-02-01',
      cutover: '2026-08-01',
      starter: 'trading',
      evenIfSameName: true,
    } as const;
    const fieldOf = async (more: object): Promise<unknown> => {
      const result = await createBooks({ ...wrong, ...more });
      return result.ok ? 'made' : result.problems[0]?.path?.join('.');
    };
    expect(await fieldOf({ cutover: '2026-08-15' })).toBe('cutover');
    expect(await fieldOf({ cutover: '2027-02-01' })).toBe('cutover');
    expect(await fieldOf({ yearStart: '2026-02-30' })).toBe('yearStart');
    expect(await fieldOf({ starter: 'charity' })).toBe('starter');
    expect(await fieldOf({ name: ' ' })).toBe('name');
    expect(await fieldOf({ name: 'a\nb' })).toBe('name');
    expect(await fieldOf({ name: 'x'.repeat(121) })).toBe('name');
    expect(await fieldOf({ currency: 'XXX' })).toBe('currency');
    expect(await fieldOf({ country: 'ZZ' })).toBe('country');
    expect((await boardView()).books).toHaveLength(before);
  });
  it('points out a name that is there already', async () => {
    await newBooks({ name: 'Fennel & Rook Ltd' });
    const again = {
      name: 'FENNEL  & Rook Limited',
      legalForm: 'other',
      country: 'IE',
      currency: 'EUR',
      style: '1,234.56',
      purpose: 'trial',
      yearStart: '2026-01-01',
      cutover: '2026-01-01',
      starter: 'empty',
    } as const;
    expect(codesOf(await createBooks({ ...again, evenIfSameName: false }))).toEqual(['books.same-name']);
    expect((await createBooks({ ...again, evenIfSameName: true })).ok).toBe(true);
  });
  it('keeps hostile names as text', async () => {
    const name = `Robert'); drop table books;-- <script>alert(1)</script>`;
    const books = await newBooks({ name });
    expect((await companyView(books))?.frame.name).toBe(name);
  });
  it('deletes books whole after their name is typed, and only unposted ones', async () => {
    const books = await newBooks({ name: 'Gone Ltd' });
    valueOf(await type(books, '1010', 500n));
    expect(codesOf(await removeBooks({ books, typedName: 'gone' }))).toEqual(['books.name-differs']);
    valueOf(await removeBooks({ books, typedName: 'Gone Ltd' }));
    expect(await companyView(books)).toBeUndefined();
    expect(await database.current.query('select 1 from change where books_id = $1', [books])).toEqual([]);
  });
  it('refuses books of another practice everywhere', async () => {
    const books = await newBooks();
    await database.current.query(`insert into practice (id, name) values (2, 'Other') on conflict do nothing`);
    await database.current.query(
      `insert into person (id, practice_id, name) values (2, 2, 'Other') on conflict do nothing`,
    );
    await database.current.query('update books set practice_id = 2, created_by = 2 where id = $1', [books]);
    expect(codesOf(await changeFact({ books, field: 'name', was: 'Saltmarsh Pottery Ltd', now: 'Mine' }))).toEqual([
      'books.unknown',
    ]);
    expect(codesOf(await removeBooks({ books, typedName: 'Saltmarsh Pottery Ltd' }))).toEqual(['books.unknown']);
    expect(await openingsView(books)).toBeUndefined();
    expect((await boardView()).books.some((one) => one.id === books)).toBe(false);
  });
});

describe('the calendar', () => {
  it('opens a range and keeps what lies before the cutover', async () => {
    const books = await newBooks();
    const periods = (await calendarView(books))?.years[0]?.periods ?? [];
    expect(
      valueOf(await setPeriods({ books, periods: periods.slice(6, 9).map((one) => one.id), state: 'open' })),
    ).toEqual({ changed: 2 });
    expect(
      codesOf(await setPeriods({ books, periods: periods.slice(4, 8).map((one) => one.id), state: 'open' })),
    ).toEqual(['period.before-cutover', 'period.before-cutover']);
    const after = await calendarView(books);
    expect(after?.years[0]?.periods.slice(5, 10).map((one) => one.state)).toEqual([
      'closed',
      'open',
      'open',
      'open',
      'future',
    ]);
    expect(after?.periodHistory).toHaveLength(2);
    const other = await newBooks();
    expect(
      codesOf(await setPeriods({ books: other, periods: periods.slice(6, 7).map((one) => one.id), state: 'open' })),
    ).toEqual(['period.unknown']);
  });
});

describe('the chart', () => {
  it('adds, renames, moves, deactivates; and refuses with the use', async () => {
    const books = await newBooks();
    const heading = await idOf(books, '1000');
    const { id } = valueOf(
      await addAccount({
        books,
        code: '1020',
        name: 'Savings',
        classification: 'current-asset',
        parent: heading,
        role: 'bank',
        heading: false,
      }),
    );
    expect(
      codesOf(
        await addAccount({
          books,
          code: '1020',
          name: 'Twice',
          classification: 'current-asset',
          parent: heading,
          role: null,
          heading: false,
        }),
      ),
    ).toEqual(['account.code-taken']);
    valueOf(await changeAccount({ books, id, change: { name: 'Deposit account' } }));
    valueOf(await changeAccount({ books, id, change: { parent: await idOf(books, '1500') } }));
    expect(codesOf(await changeAccount({ books, id, change: { parent: await idOf(books, '3000') } }))).toEqual([
      'account.parent-type',
    ]);
    valueOf(await type(books, '1020', 100n));
    const refusal = await removeAccount({ books, id });
    expect(refusal).toMatchObject({ ok: false, problems: [{ code: 'account.used' }] });
    expect(refusal.ok ? '' : refusal.problems[0]?.message).toContain('an opening balance');
    expect(codesOf(await removeAccount({ books, id: heading }))).toEqual(['account.used']);
    expect(
      codesOf(await changeAccount({ books, id, change: { classification: 'equity', parent: null, role: null } })),
    ).toEqual(['account.type-used', 'account.kind-used']);
    valueOf(await changeAccount({ books, id, change: { active: false } }));
    expect(
      (await proofView(books))?.proof.find((one) => one.id === 'openings.on-active-posting-accounts')?.findings,
    ).toHaveLength(1);
    expect((await accountStory(books, id))?.events.map((one) => one.what)).toEqual([
      'deactivated',
      'Current asset → Fixed asset; moved under 1500 Fixed assets',
      'name “Savings” → “Deposit account”',
      'added as 1020 Savings, Current asset',
    ]);
    const unused = valueOf(
      await addAccount({
        books,
        code: '1099',
        name: 'Spare',
        classification: 'current-asset',
        parent: null,
        role: null,
        heading: false,
      }),
    );
    valueOf(await removeAccount({ books, id: unused.id }));
    expect(codesOf(await removeAccount({ books, id: unused.id }))).toEqual(['account.unknown']);
  });
});

describe('figures', () => {
  it('are saved with their history, and never overwrite what somebody else saved', async () => {
    const books = await newBooks();
    valueOf(await type(books, '1010', 500n));
    const seen = (await openingsView(books))?.rows.find((row) => row.code === '1010');
    valueOf(await type(books, '1010', 700n));
    const late = valueOf(await type(books, '1010', 900n, seen?.revision));
    expect(late).toMatchObject({ saved: false, clashes: [{ amount: 700n }] });
    expect((await openingsView(books))?.frame.totals).toEqual({ debits: 700n, credits: 0n });
    valueOf(await type(books, '1010', null));
    // Emptied and typed again by somebody else: an old revision still does not fit.
    valueOf(await type(books, '1010', 1n));
    expect(valueOf(await type(books, '1010', 2n, seen?.revision))).toMatchObject({ saved: false });
    const story = await accountStory(books, seen?.id ?? 0);
    expect(story?.changes.map((one) => [one.from, one.to])).toEqual([
      [null, 1n],
      [700n, null],
      [500n, 700n],
      [null, 500n],
    ]);
  });
  it('refuses headings, unknown accounts, other books’ accounts and absurd amounts, storing nothing of the batch', async () => {
    const books = await newBooks();
    const other = await newBooks();
    const set = await setOf(books);
    const good = { account: await idOf(books, '1010'), amount: 1n, revision: 0, restores: false };
    const save = async (...more: readonly (typeof good)[]) =>
      codesOf(await saveFigures({ books, set, entries: [good, ...more] }));
    expect(await save({ ...good, account: await idOf(books, '1000') })).toEqual(['account.heading']);
    expect(await save({ ...good, account: await idOf(other, '1010') })).toEqual(['account.unknown']);
    const petty = { ...good, account: await idOf(books, '1050') };
    expect(await save({ ...petty, amount: 10n ** 18n })).toEqual(['input.custom']);
    expect(await save(good)).toEqual(['input.custom']);
    expect(await save({ ...petty, account: 2 ** 31 })).toEqual(['input.too_big']);
    expect(await save({ ...petty, revision: 2 ** 40 })).toEqual(['input.too_big']);
    expect(codesOf(await saveFigures({ books, set: await setOf(other), entries: [good] }))).toEqual([
      'openings.other-version',
    ]);
    expect((await openingsView(books))?.frame.totals.debits).toBe(0n);
  });
});

describe('a paper', () => {
  it('is brought once, matched, decided and taken over in one go; and can be taken back', async () => {
    const books = await newBooks();
    const content = demo('marram-trial-balance-2026-07-31.csv');
    const { paper } = valueOf(await bringPaper({ books, name: 'C:\\papers\\old tb.csv', content }));
    expect(valueOf(await bringPaper({ books, name: 'again.csv', content }))).toEqual({ paper, known: true });
    const seen = (await paperView(books, paper))?.paper;
    expect(seen?.name).toBe('old tb.csv');
    const undecided = (await paperRowsView(books, paper, 'to decide', { page: 0 }))?.rows.rows ?? [];
    expect(seen?.plan.undecided).toBe(undecided.length);
    expect(undecided.length).toBeGreaterThan(5);
    expect(codesOf(await takeOver({ books, paper, key: randomUUID() }))).toEqual(['paper.undecided']);
    const [first, ...rest] = undecided;
    const proposal = rest[0]?.proposal;
    if (proposal == null) throw new Error('a proposal for each unmatched row');
    valueOf(await decideRows({ books, paper, rows: [rest[0]?.row.row ?? 0], decision: proposal }));
    expect(codesOf(await decideRows({ books, paper, rows: [rest[1]?.row.row ?? 0], decision: proposal }))).toEqual([
      'account.code-taken',
    ]);
    valueOf(await createUndecided({ books, paper }));
    expect(
      codesOf(
        await decideRows({ books, paper, rows: [first?.row.row ?? 0], decision: { kind: 'leave-out', reason: '' } }),
      ),
    ).toEqual(['input.too_small']);
    valueOf(
      await decideRows({
        books,
        paper,
        rows: [first?.row.row ?? 0],
        decision: { kind: 'leave-out', reason: 'closed before cutover' },
      }),
    );
    valueOf(await type(books, '1010', 1n));
    const taken = valueOf(await takeOver({ books, paper, key: randomUUID() }));
    expect([taken.figures, taken.created]).toEqual([44, rest.length]);
    const sheet = await openingsView(books);
    const left = first?.row.amount ?? 0n;
    expect((sheet?.frame.totals.debits ?? 0n) - (sheet?.frame.totals.credits ?? 0n)).toBe(36000n - left);
    const vat = sheet?.rows.find((row) => row.code === '2200');
    expect(vat).toMatchObject({ amount: -815420n, source: 'paper' });
    expect(sheet?.behind[vat?.id ?? 0]).toMatchObject([{ row: 24, text: '2210 · VAT payable · 8.154,20' }]);
    // Typed over and undone, a figure gets its origin back.
    valueOf(await type(books, '2200', -1n));
    const now = (await openingsView(books))?.rows.find((row) => row.code === '2200');
    valueOf(
      await saveFigures({
        books,
        set: sheet?.set?.id ?? 0,
        entries: [{ account: vat?.id ?? 0, amount: -815420n, revision: now?.revision ?? 0, restores: true }],
      }),
    );
    expect((await openingsView(books))?.rows.find((row) => row.code === '2200')?.source).toBe('paper');
    expect(codesOf(await removePaper({ books, paper }))).toEqual(['paper.taken']);
    expect(valueOf(await undoTakeOver({ books, paper, batch: taken.batch })).undone).toBe(44);
    expect((await openingsView(books))?.frame.totals).toEqual({ debits: 1n, credits: 0n });
    expect(codesOf(await removePaper({ books, paper }))).toEqual(['paper.in-history']);
  });
  it('is read another way when told so', async () => {
    const books = await newBooks();
    const { paper } = valueOf(
      await bringPaper({
        books,
        name: 'odd.csv',
        content: new TextEncoder().encode('x;y;z\n1;Till;5,00\n2;Loan;-5,00\n'),
      }),
    );
    valueOf(await readFrom({ books, paper, sheet: 0, header: 0 }));
    valueOf(
      await readAs({
        books,
        paper,
        change: { columns: { 0: 'code', 1: 'name', 2: 'balance' }, style: '1.234,56', convention: 'credit-positive' },
      }),
    );
    const seen = (await paperView(books, paper))?.paper;
    expect(seen?.rows.rows.map(({ row }) => row.amount)).toEqual([-500n, 500n]);
    expect(codesOf(await readFrom({ books, paper, sheet: 3, header: 0 }))).toEqual(['paper.no-such-row']);
    valueOf(await removePaper({ books, paper }));
    expect(codesOf(await takeOver({ books, paper, key: randomUUID() }))).toEqual(['paper.unknown']);
  });
  it('that cannot be read is not stored', async () => {
    const books = await newBooks();
    expect(codesOf(await bringPaper({ books, name: 'a.csv', content: new Uint8Array() }))).toEqual(['paper.empty']);
    expect(codesOf(await bringPaper({ books, name: '/', content: new Uint8Array([65]) }))).toEqual(['input.too_small']);
    expect(await database.current.query('select 1 from paper where books_id = $1', [books])).toEqual([]);
  });
});

describe('posting', () => {
  it('waits for the proof, posts once, and corrects by the difference only', async () => {
    const books = await newBooks();
    valueOf(await type(books, '1010', 900n));
    const set = await setOf(books);
    expect(codesOf(await postOpenings({ books, set }))).toEqual(['openings.nets-to-zero']);
    valueOf(await type(books, '3010', -900n));
    const results = await Promise.all([
      postOpenings({ books, set }),
      postOpenings({ books, set }),
      postOpenings({ books, set }),
    ]);
    expect(results.filter((one) => one.ok)).toHaveLength(1);
    expect(results.flatMap(codesOf)).toEqual(['openings.already-posted', 'openings.already-posted']);
    expect(codesOf(await type(books, '1010', 1n))).toEqual(['openings.posted']);
    expect(codesOf(await removeBooks({ books, typedName: 'Saltmarsh Pottery Ltd' }))).toEqual(['books.posted']);
    const journal = await statementView(books, 'journal');
    expect(journal?.document.sections).toMatchObject([
      { title: 'Journal 1: Opening balances at close of 31 Jul 2026' },
    ]);
    expect(journal?.document.sections[0]?.about?.slice(0, 2)).toEqual([
      { date: '2026-07-31' },
      ', Jul 2026; posted on ',
    ]);
    const sheet = await statementView(books, 'balance-sheet');
    expect(sheet?.document.sections.map(({ lines }) => lines.at(-1)?.values)).toEqual([
      ['', 'Net assets', { amount: 900n, digits: 2 }],
      ['', 'Total equity', { amount: 900n, digits: 2 }],
    ]);
    expect(sheet?.document).toMatchObject({
      standing: { draft: false },
      notes: [['Net assets and equity are equal.']],
    });

    expect(codesOf(await openCorrection({ books, reason: ' ' }))).toEqual(['input.too_small']);
    valueOf(await openCorrection({ books, reason: 'a late invoice' }));
    valueOf(await type(books, '2100', -250n));
    valueOf(await type(books, '3010', -650n));
    expect((await signOffView(books))?.lines).toMatchObject([
      { code: '2100', name: 'Trade payables', amount: -250n },
      { code: '3010', name: 'Share capital', amount: 250n },
    ]);
    expect(valueOf(await postOpenings({ books, set: await setOf(books) }))).toEqual({ number: 2, lines: 2 });
    expect((await statementView(books, 'trial-balance'))?.document.sections[0]?.lines.at(-1)?.values).toEqual([
      '',
      'Total',
      { amount: 900n, digits: 2 },
      { amount: 900n, digits: 2 },
    ]);
    expect((await signOffView(books))?.versions.map((one) => one.state)).toEqual(['posted', 'superseded']);

    valueOf(await openCorrection({ books, reason: 'opened by mistake' }));
    valueOf(await discardCorrection({ books, set: await setOf(books) }));
    expect((await signOffView(books))?.set).toMatchObject({ version: 2, state: 'posted' });
    expect(codesOf(await discardCorrection({ books, set: await setOf(books) }))).toEqual(['openings.no-correction']);
  });
  it('brings the balances forward at a year start', async () => {
    const books = await newBooks({ yearStart: '2026-08-01' });
    valueOf(await type(books, '1010', 900n));
    valueOf(await type(books, '3010', -800n));
    valueOf(await type(books, '4010', -100n));
    expect(codesOf(await postOpenings({ books, set: await setOf(books) }))).toEqual([
      'openings.results-nil-at-year-start',
    ]);
    valueOf(await type(books, '4010', null));
    valueOf(await type(books, '3200', -100n));
    valueOf(await postOpenings({ books, set: await setOf(books) }));
    expect((await statementView(books, 'journal'))?.document.sections[0]?.about?.slice(0, 2)).toEqual([
      { date: '2026-07-31' },
      ', brought forward; posted on ',
    ]);
  });
});
