import { type Currency } from '@/core/money/currency';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { addAccount, changeAccount, removeAccount } from '@/actions/chart/commands';
import { accountStory } from '@/actions/chart/account-story';
import { chartView } from '@/actions/chart/views';
import { changeFact } from '@/actions/company/commands';
import { saveComparatives, takeComparatives } from '@/actions/openings/comparatives';
import { comparativesView } from '@/actions/openings/comparatives-view';
import { saveRate, switchOff, switchOn } from '@/actions/currencies/commands';
import { exportAuditFile, exportComparison, exportMatching } from '@/actions/statements/export';
import { saveFigures } from '@/actions/openings/figures';
import { discardCorrection, openCorrection, postOpenings } from '@/actions/openings/posting';
import { createUndecided, decideRows } from '@/actions/papers/decisions';
import { bringPaper, readAs, readFrom, readRows, removePaper } from '@/actions/papers/commands';
import { takeOver, undoTakeOver } from '@/actions/papers/take-over';
import { undo } from '@/actions/changes/commands';
import { companyView } from '@/actions/company/views';
import { paperView } from '@/actions/papers/views';
import { compareView, openingsView, proofView } from '@/actions/openings/views';
import { whyView } from '@/actions/openings/why-view';
import { minor } from '@/core/money/minor';
import { search } from '@/core/openings/search/search';
import { textOf } from '@/core/base/table';
import { readPaper } from '@/core/files/read';
import { codesOf, newBooks, refused, valueOf, withDatabase } from './support';

const database = withDatabase();

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const demo = (name: string): Uint8Array =>
  new Uint8Array(readFileSync(new URL(`../../demo/papers/${name}`, import.meta.url)));
const idOf = async (books: number, code: string): Promise<number> =>
  (await chartView(books))?.rows.find((row) => row.account.code === code)?.account.id ?? 0;
const rowOf = async (books: number, code: string) => (await openingsView(books))?.rows.find((row) => row.code === code);
const setOf = async (books: number): Promise<number> => (await openingsView(books))?.set?.id ?? 0;
const bring = async (books: number, name: string, content: Uint8Array): Promise<number> =>
  valueOf(await bringPaper({ books, name, content })).paper;
/** Decides to which account rows of a paper go. */
const send = async (
  books: number,
  paper: number,
  rows: readonly (readonly [row: number, code: string])[],
): Promise<void> => {
  for (const [row, code] of rows)
    valueOf(
      await decideRows({ books, paper, rows: [row], decision: { kind: 'account', account: await idOf(books, code) } }),
    );
};
const type = async (books: number, code: string, amount: bigint): Promise<void> => {
  const row = await rowOf(books, code);
  valueOf(
    await saveFigures({
      books,
      set: await setOf(books),
      entries: [{ account: row?.id ?? 0, amount, revision: row?.revision ?? 0, restores: false }],
    }),
  );
};

/** Books with currencies on and a NOK bank account, 1 NOK being 0.087 EUR on the opening date. */
const foreignBooks = async (): Promise<{ readonly books: number; readonly bank: number }> => {
  const books = await newBooks({ foreign: true });
  valueOf(await switchOn({ books, currency: 'NOK' }));
  valueOf(
    await saveRate({ books, date: '2026-07-31', unit: 'NOK', quote: 'EUR', typed: '0.087', evenIfDoubtful: false }),
  );
  const parent = await idOf(books, '1000');
  const { id } = valueOf(
    await addAccount({
      books,
      code: '1031',
      name: 'Bank in Bergen',
      classification: 'current-asset',
      parent: parent === 0 ? null : parent,
      role: 'bank',
      heading: false,
      currency: 'NOK',
    }),
  );
  return { books, bank: id };
};

describe('rows of a paper', () => {
  const tb = 'Code,Account,Debit,Credit\nX1,Till and bank,300.00,\nX2,Owners,,300.00\n';
  it('are divided among accounts, each part traced to its row, and taken back whole', async () => {
    const books = await newBooks();
    const paper = await bring(books, 'tb.csv', bytes(tb));
    const [bank, petty, capital] = [await idOf(books, '1010'), await idOf(books, '1050'), await idOf(books, '3010')];
    const divide = (a: bigint, b: bigint) =>
      decideRows({
        books,
        paper,
        rows: [2],
        decision: {
          kind: 'split',
          parts: [
            { account: bank, amount: a },
            { account: petty, amount: b },
          ],
        },
      });
    expect(codesOf(await divide(20_000n, 9_999n))).toEqual(['paper.split-differs']);
    valueOf(await divide(20_000n, 10_000n));
    valueOf(await decideRows({ books, paper, rows: [3], decision: { kind: 'account', account: capital } }));
    expect(valueOf(await takeOver({ books, paper, key: randomUUID() })).figures).toBe(3);
    expect([(await rowOf(books, '1010'))?.amount, (await rowOf(books, '1050'))?.amount]).toEqual([20_000n, 10_000n]);
    expect((await openingsView(books))?.behind[petty]).toMatchObject([{ row: 2, amount: 10_000n }]);
    const matching = await exportMatching(books, paper, 'csv');
    expect(String(matching?.content)).toContain('2,X1,Till and bank,100.00,,1050,Petty cash,divided');
  });
  it('are taken over once, however often that is asked for, and given back by the batch of their own paper only', async () => {
    const books = await newBooks();
    const [paper, other] = [
      await bring(books, 'one.csv', bytes(tb)),
      await bring(books, 'other.csv', bytes(tb.replaceAll('300.00', '70.00').replaceAll('X', 'Y'))),
    ];
    for (const one of [paper, other])
      await send(books, one, [
        [2, one === paper ? '1010' : '1050'],
        [3, '3010'],
      ]);
    const key = randomUUID();
    const [first, again] = await Promise.all([takeOver({ books, paper, key }), takeOver({ books, paper, key })]);
    expect(valueOf(again)).toEqual(valueOf(first));
    expect(codesOf(await takeOver({ books, paper, key: randomUUID() }))).toEqual(['paper.taken-already']);
    const { batch } = valueOf(first);
    // What the second one puts in the place of the first is told before it is done.
    expect((await paperView(books, other))?.paper?.plan).toMatchObject({
      replaced: 1,
      replacing: [{ account: (await rowOf(books, '3010'))?.id, from: -30_000n, to: -7000n }],
    });
    const second = valueOf(await takeOver({ books, paper: other, key: randomUUID() }));
    expect(codesOf(await undoTakeOver({ books, paper, batch: second.batch }))).toEqual(['paper.not-this-batch']);
    expect(codesOf(await undoTakeOver({ books, paper, batch: randomUUID() }))).toEqual(['paper.not-this-batch']);
    valueOf(await undoTakeOver({ books, paper: other, batch: second.batch }));
    expect((await rowOf(books, '3010'))?.amount).toBe(-30_000n);
    // What the undo wrote names the first paper again; its own batch is still the one that takes it back.
    expect((await paperView(books, paper))?.paper?.batch).toBe(batch);
    valueOf(await undoTakeOver({ books, paper, batch }));
    expect(codesOf(await undoTakeOver({ books, paper, batch }))).toEqual(['paper.not-this-batch']);
    expect([(await rowOf(books, '1010'))?.amount ?? null, (await rowOf(books, '3010'))?.amount ?? null]).toEqual([
      null,
      null,
    ]);
    expect((await paperView(books, paper))?.paper).toMatchObject({ taken: false, batch: null });
    valueOf(await takeOver({ books, paper, key: randomUUID() }));
    expect((await rowOf(books, '1010'))?.amount).toBe(30_000n);
  });
  it('are as they were before it when a correction is discarded in which their paper was taken', async () => {
    const books = await newBooks();
    const [first, second] = [
      await bring(books, 'first.csv', bytes(tb)),
      await bring(books, 'second.csv', bytes(tb.replaceAll('300.00', '310.00'))),
    ];
    await send(books, first, [
      [2, '1010'],
      [3, '3010'],
    ]);
    valueOf(await takeOver({ books, paper: first, key: randomUUID() }));
    valueOf(await postOpenings({ books, set: (await openingsView(books))?.set?.id ?? 0 }));
    valueOf(await openCorrection({ books, reason: 'a revised paper' }));
    valueOf(await takeOver({ books, paper: second, key: randomUUID() }));
    valueOf(await takeOver({ books, paper: first, key: randomUUID() }));
    valueOf(await discardCorrection({ books, set: (await openingsView(books))?.set?.id ?? 0 }));
    expect((await paperView(books, second))?.paper).toMatchObject({ taken: false, batch: null });
    expect((await paperView(books, first))?.paper?.taken).toBe(true);
    const bank = await idOf(books, '1010');
    expect((await openingsView(books))?.behind[bank]).toMatchObject([{ paper: first, row: 2, amount: 30_000n }]);
  });
  it('are not looked for under an address that is no number', async () => {
    expect((await paperView(await newBooks(), Number.NaN))?.paper).toBeNull();
  });
  it('go where they went the last time, or are left out for the same reason', async () => {
    const books = await newBooks();
    const first = await bring(books, 'first.csv', bytes(`${tb}X3,Odd,5.00,\nX4,Even,,5.00\n`));
    await send(books, first, [
      [2, '1010'],
      [3, '3010'],
    ]);
    valueOf(
      await decideRows({
        books,
        paper: first,
        rows: [4, 5],
        decision: { kind: 'leave-out', reason: 'of another company' },
      }),
    );
    valueOf(await takeOver({ books, paper: first, key: randomUUID() }));
    const second = await bring(books, 'second.csv', bytes(`${tb.replaceAll('300.00', '310.00')}X3,Odd,7.00,\n`));
    const seen = (await paperView(books, second))?.paper;
    expect(seen?.plan.undecided).toBe(0);
    expect(seen?.rows.rows.map(({ decided }) => decided?.match.why)).toEqual([
      'as the last time',
      'as the last time',
      'left out the last time',
    ]);
    valueOf(await takeOver({ books, paper: second, key: randomUUID() }));
    expect((await rowOf(books, '1010'))?.amount).toBe(31_000n);
  });
  it('are matched anew when the chart or what is remembered changes, though what was made of the paper is held', async () => {
    const books = await newBooks();
    const paper = await bring(
      books,
      'held.csv',
      bytes('Code,Account,Debit,Credit\n1050,Petty cash,5.00,\n3010,Share capital,,5.00\n'),
    );
    const waiting = async () => (await paperView(books, paper))?.paper?.plan.undecided;
    expect(await waiting()).toBe(0);
    const id = await idOf(books, '1050');
    valueOf(await changeAccount({ books, id, change: { active: false } }));
    expect(await waiting()).toBe(1);
    valueOf(await changeAccount({ books, id, change: { active: true } }));
    expect(await waiting()).toBe(0);
    await type(books, '1050', 700n);
    expect((await paperView(books, paper))?.paper?.plan.replaced).toBe(1);
    valueOf(await decideRows({ books, paper, rows: [2], decision: { kind: 'leave-out', reason: 'counted twice' } }));
    const seen = (await paperView(books, paper))?.paper?.plan;
    expect([seen?.leftOut, seen?.replaced]).toEqual([1, 0]);
  });
  it('are read as papers of their shape were read the last time', async () => {
    const books = await newBooks({ starter: 'empty' });
    const content = new TextDecoder().decode(demo('person-two-years-unnamed.csv'));
    const first = await bring(books, 'first.csv', bytes(content));
    valueOf(await readFrom({ books, paper: first, sheet: 0, header: 0 }));
    valueOf(
      await readAs({
        books,
        paper: first,
        change: {
          columns: { 0: 'code', 1: 'name', 2: 'ignore', 3: 'balance' },
          style: '1.234,56',
          convention: 'debit-positive',
        },
      }),
    );
    valueOf(await createUndecided({ books, paper: first }));
    valueOf(await takeOver({ books, paper: first, key: randomUUID() }));
    const second = await bring(books, 'second.csv', bytes(content.replace('1010', '1011')));
    expect((await paperView(books, second))?.paper?.likePaper).toBe('first.csv');
    const named = content.replace('Figures A;Figures B', 'Last;Balance');
    const third = await bring(books, 'third.csv', bytes(named));
    expect((await paperView(books, third))?.paper?.likePaper).toBeNull();
    valueOf(await createUndecided({ books, paper: third }));
    valueOf(await takeOver({ books, paper: third, key: randomUUID() }));
    const fourth = await bring(books, 'fourth.csv', bytes(named.replace('48.210,55', '48.210,56')));
    expect((await paperView(books, fourth))?.paper?.likePaper).toBe('third.csv');
  });
  it('are undone with the accounts that they made, but for those that something else uses by now', async () => {
    const books = await newBooks();
    const content = bytes('Code,Account,Debit,Credit\nX7,Peat,120.00,\nX8,Tallow,80.00,\nX9,Kiln fund,,200.00\n');
    const paper = await bring(books, 'kiln.csv', content);
    valueOf(await createUndecided({ books, paper }));
    const chart = async () => (await chartView(books))?.rows.map(({ account }) => account.name) ?? [];
    const before = await chart();
    const take = async () => valueOf(await takeOver({ books, paper, key: randomUUID() }));
    const { batch } = await take();
    expect((await chart()).filter((name) => !before.includes(name))).toEqual(
      expect.arrayContaining(['Peat', 'Tallow', 'Kiln fund']),
    );
    expect(valueOf(await undoTakeOver({ books, paper, batch }))).toMatchObject({ undone: 3, kept: 0, inUse: [] });
    expect(await chart()).toEqual(before);
    expect((await openingsView(books))?.rows.filter(({ amount }) => amount !== null)).toEqual([]);

    // The same paper is taken over again; by its undoing somebody has typed another figure for one of its accounts.
    const again = await take();
    const set = await setOf(books);
    const row = (await openingsView(books))?.rows.find(({ name }) => name === 'Tallow');
    valueOf(
      await saveFigures({
        books,
        set,
        entries: [{ account: row?.id ?? 0, amount: 8100n, revision: row?.revision ?? 0, restores: false }],
      }),
    );
    expect(valueOf(await undoTakeOver({ books, paper, batch: again.batch }))).toMatchObject({
      undone: 2,
      kept: 1,
      inUse: [`${row?.code ?? ''} Tallow`],
    });
    expect((await chart()).filter((name) => ['Peat', 'Tallow', 'Kiln fund'].includes(name))).toEqual(['Tallow']);
    const third = await take();
    expect(third.figures).toBe(3);
  });
  it('keep their amounts in currency', async () => {
    const { books, bank } = await foreignBooks();
    const content = bytes(
      'Code,Account,Ccy,Amount in currency,Balance\n1031,Bank in Bergen,NOK,"1,000.00",87.10\n9,Rest,,,-87.10\n',
    );
    const paper = await bring(books, 'in currency.csv', content);
    valueOf(
      await decideRows({ books, paper, rows: [3], decision: { kind: 'account', account: await idOf(books, '3010') } }),
    );
    valueOf(await takeOver({ books, paper, key: randomUUID() }));
    expect(await partsAt(books, bank)).toEqual([{ currency: 'NOK', amount: 100_000n, base: 8710n }]);
    // Undone, the take-over gives back what stood before it, in currency too.
    valueOf(
      await takeOver({
        books,
        paper: await bring(
          books,
          'again.csv',
          bytes('Code,Account,Ccy,Amount in currency,Balance\n1031,Bank in Bergen,NOK,"2,000.00",174.20\n'),
        ),
        key: randomUUID(),
      }),
    );
    expect(await partsAt(books, bank)).toEqual([{ currency: 'NOK', amount: 200_000n, base: 17_420n }]);
    const view = await openingsView(books);
    const again = view?.papers.find(({ name }) => name === 'again.csv')?.id ?? 0;
    const batch = (await paperView(books, again))?.paper?.batch ?? '';
    valueOf(await undoTakeOver({ books, paper: again, batch }));
    expect(await partsAt(books, bank)).toEqual([{ currency: 'NOK', amount: 100_000n, base: 8710n }]);
    const story = await accountStory(books, bank);
    expect(story?.changes.map(({ inCurrency }) => inCurrency)).toEqual([
      'NOK 1,000.00',
      'NOK 2,000.00',
      'NOK 1,000.00',
    ]);
  });
});

describe('what a save says of a figure that comes back', () => {
  it('is believed only where the figure once was so: amounts in a currency that is off, or in none, are refused', async () => {
    const { books, bank } = await foreignBooks();
    const set = await setOf(books);
    const save = (currency: Currency, restores: boolean) =>
      saveFigures({
        books,
        set,
        entries: [
          { account: bank, amount: 8700n, revision: 0, restores, parts: [{ currency, amount: 100_000n, base: 8700n }] },
        ],
      });
    expect(codesOf(await save('ISK', true))).toEqual(['foreign.other']);
    expect(codesOf(await save('QQQ' as Currency, true))).toEqual(['input.custom']);
    const till = await idOf(books, '1050');
    const forged = await saveFigures({
      books,
      set,
      entries: [
        {
          account: till,
          amount: 8700n,
          revision: 0,
          restores: true,
          parts: [{ currency: 'ISK', amount: 5n, base: 5n }],
        },
      ],
    });
    expect(codesOf(forged)).toEqual(['foreign.off']);
    expect((await openingsView(books))?.frame.totals.debits).toBe(0n);
  });
  it('and an amount from a paper in a currency that is off holds posting back until it is on', async () => {
    const { books } = await foreignBooks();
    const paper = await bring(
      books,
      'isk.csv',
      bytes('Code,Account,Ccy,Amount in currency,Balance\n1050,Petty cash,ISK,"1,000",6.90\n3010,Capital,,,-6.90\n'),
    );
    valueOf(
      await decideRows({ books, paper, rows: [2], decision: { kind: 'account', account: await idOf(books, '1050') } }),
    );
    valueOf(
      await decideRows({ books, paper, rows: [3], decision: { kind: 'account', account: await idOf(books, '3010') } }),
    );
    valueOf(await takeOver({ books, paper, key: randomUUID() }));
    const set = await setOf(books);
    expect(codesOf(await postOpenings({ books, set }))).toContain('currencies.amounts-switched-on');
    valueOf(await switchOn({ books, currency: 'ISK' }));
    expect(codesOf(await postOpenings({ books, set }))).not.toContain('currencies.amounts-switched-on');
    expect(codesOf(await switchOff({ books, currency: 'ISK' }))).toEqual(['currency.used']);
  });
});

const partsAt = async (books: number, account: number) =>
  (await openingsView(books))?.rows.find(({ id }) => id === account)?.parts;

describe('amounts in currency', () => {
  const save = async (
    books: number,
    account: number,
    amount: bigint,
    parts: { currency: Currency; amount: bigint; base: bigint }[],
    more: { revision?: number; why?: string } = {},
  ) => {
    const revision = (await openingsView(books))?.rows.find(({ id }) => id === account)?.revision ?? 0;
    return saveFigures({
      books,
      set: await setOf(books),
      entries: [{ account, amount, revision, restores: false, parts, ...more }],
    });
  };
  const kroner = (base: bigint) => [{ currency: 'NOK' as const, amount: 100_000n, base }];
  it('are kept with their figure, follow a base amount typed alone, and are told in its history', async () => {
    const { books, bank } = await foreignBooks();
    valueOf(await save(books, bank, 8700n, kroner(8700n), { why: 'NOK at the rate of 2026-07-31' }));
    expect((await rowOf(books, '1031'))?.source).toBe('calculated');
    // An amount in currency alone leaves the figure where it came from.
    valueOf(await save(books, bank, 8700n, [{ currency: 'NOK', amount: 99_000n, base: 8700n }]));
    expect((await rowOf(books, '1031'))?.source).toBe('calculated');
    valueOf(await save(books, bank, 8710n, kroner(8710n)));
    await type(books, '1031', 8712n);
    expect(await partsAt(books, bank)).toEqual(kroner(8712n));
    expect((await accountStory(books, bank))?.changes.map(({ to, inCurrency }) => [to, inCurrency])).toEqual([
      [8712n, 'NOK 1,000.00'],
      [8710n, 'NOK 1,000.00'],
      [8700n, 'NOK 990.00'],
      [8700n, 'NOK 1,000.00'],
    ]);
  });
  it('refuse a currency that is off, another than the account’s, and a figure that changed meanwhile', async () => {
    const { books, bank } = await foreignBooks();
    expect(codesOf(await save(books, bank, 1n, [{ currency: 'GBP', amount: 1n, base: 1n }]))).toEqual([
      'foreign.other',
    ]);
    expect(codesOf(await save(books, bank, 2n, [{ currency: 'NOK', amount: 1n, base: 1n }]))).toEqual([
      'foreign.worth',
    ]);
    const receivables =
      (await chartView(books))?.rows.find(({ account }) => account.role === 'receivables-control')?.account.id ?? 0;
    expect(codesOf(await save(books, receivables, 1n, [{ currency: 'JPY', amount: 1n, base: 1n }]))).toEqual([
      'foreign.off',
    ]);
    valueOf(await save(books, bank, 5n, kroner(5n)));
    expect(valueOf(await save(books, bank, 6n, kroner(6n), { revision: 0 }))).toMatchObject({
      saved: false,
      clashes: [{ account: bank, amount: 5n, parts: kroner(5n) }],
    });
    expect(await partsAt(books, bank)).toEqual(kroner(5n));
  });
  it('that a paper brought in a currency that is off do not hold back their figure, nor its undo', async () => {
    const { books, bank } = await foreignBooks();
    const content = bytes('Code,Account,Ccy,Amount in currency,Balance\n1050,Petty cash,JPY,"9,000",50.00\n');
    valueOf(await takeOver({ books, paper: await bring(books, 'yen.csv', content), key: randomUUID() }));
    const cash = await idOf(books, '1050');
    const yen = [{ currency: 'JPY' as const, amount: 9000n, base: 5000n }];
    expect(await partsAt(books, cash)).toEqual(yen);
    valueOf(await save(books, cash, 6000n, yen));
    const revision = (await rowOf(books, '1050'))?.revision ?? 0;
    const entry = { account: cash, restores: false };
    const set = await setOf(books);
    valueOf(await saveFigures({ books, set, entries: [{ ...entry, amount: null, revision, parts: [] }] }));
    valueOf(
      await saveFigures({
        books,
        set,
        entries: [{ ...entry, amount: 6000n, revision: 0, parts: yen, restores: true }],
      }),
    );
    expect(await partsAt(books, cash)).toEqual(yen);
    expect(codesOf(await save(books, bank, 1n, [{ currency: 'JPY', amount: 1n, base: 1n }]))).toEqual([
      'foreign.other',
    ]);
  });
  it('are posted beside the base amounts, and a correction of the rate moves base only', async () => {
    const { books, bank } = await foreignBooks();
    for (const field of ['taxRegistered'] as const) {
      const was = (await companyView(books))?.facts[field];
      valueOf(await changeFact({ books, field, was, now: 'no' }));
    }
    valueOf(await save(books, bank, 8710n, kroner(8710n)));
    await type(books, '3010', -8710n);
    expect(
      (await proofView(books))?.proof.filter(({ severity, findings }) => severity === 'blocker' && findings.length > 0),
    ).toEqual([]);
    valueOf(await postOpenings({ books, set: await setOf(books) }));
    valueOf(await openCorrection({ books, reason: 'the bank’s own rate' }));
    expect(await partsAt(books, bank)).toHaveLength(1);
    valueOf(await save(books, bank, 8700n, kroner(8700n)));
    await type(books, '3010', -8700n);
    valueOf(await postOpenings({ books, set: await setOf(books) }));
    const lines = await database.current.query<{ amount: bigint; currency: string | null; foreign: bigint | null }>(
      'select amount, currency, foreign_amount as "foreign" from journal_line where books_id = $1 and account_id = $2 order by journal_id',
      [books, bank],
    );
    expect(lines).toEqual([
      { amount: 8710n, currency: 'NOK', foreign: 100_000n },
      { amount: -10n, currency: 'NOK', foreign: 0n },
    ]);
    // What is posted stays, whoever writes.
    await refused(
      database.current.query('update opening_part set base = 1 where books_id = $1', [books]),
      /posted opening set cannot be changed/,
    );
    const comparison = await compareView(books, 1, 2);
    expect(comparison?.rows.find(({ account }) => account.id === bank)).toMatchObject({
      from: 8710n,
      to: 8700n,
      difference: -10n,
    });
    expect(String((await exportComparison(books, 1, 2, 'csv'))?.content)).toContain(
      'Bank in Bergen,87.10,,87.00,,,0.10,',
    );
  });
});

describe('what explains a difference', () => {
  it('is asked with the paper’s rows and totals, and finds a figure that is not the paper’s', async () => {
    const books = await newBooks({ starter: 'empty' });
    const paper = await bring(books, 'harbour.txt', demo('harbour-lane-ledger-2026-07-31.txt'));
    valueOf(await createUndecided({ books, paper }));
    valueOf(await takeOver({ books, paper, key: randomUUID() }));
    const rent = await rowOf(books, '6210');
    await type(books, '6210', (rent?.amount ?? 0n) + 123_457n);
    const view = await whyView(books);
    if (view === undefined) throw new Error('books');
    expect(view.input.totals).toEqual({ debits: 59402987n, credits: 59402987n });
    const [first] = search(view.input, { pairs: true, most: 5 });
    expect(first?.causes[0]).toMatchObject({ kind: 'differs', changes: [{ account: rent?.id, to: rent?.amount }] });
    expect(first?.weight).toBeGreaterThan(0.9);
  });
});

describe('comparatives', () => {
  it('are taken from many columns of a paper at once', async () => {
    const books = await newBooks();
    const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun'];
    const row = (code: string, name: string, sign: number): string =>
      [code, name, ...[60, 10, 20, 30, 40, 50, 60].map((amount) => `${String(sign * amount)}.00`)].join(',');
    const paper = await bring(
      books,
      'months.csv',
      bytes(`Code,Name,Balance,${months.join(',')}\n${row('1010', 'Bank', 1)}\n${row('3010', 'Capital', -1)}\n`),
    );
    await send(books, paper, [
      [2, '1010'],
      [3, '3010'],
    ]);
    const takes = [null, 3, 4, 5, 6, 7, 8].map((from, column) => ({ from, column }));
    expect(valueOf(await takeComparatives({ books, paper, takes })).amounts).toBe(14);
    expect(codesOf(await takeComparatives({ books, paper: 99_999, takes }))).toEqual(['paper.unknown']);
  });
  const entry = (account: number, column: number, to: bigint | null, from: bigint | null = null) => ({
    account,
    column,
    from,
    to,
  });
  it('are kept per column and leave the figures alone; a period that has not elapsed is refused', async () => {
    const books = await newBooks();
    const [bank, capital] = [await idOf(books, '1010'), await idOf(books, '3010')];
    valueOf(
      await saveComparatives({ books, entries: [entry(bank, 0, 500n), entry(capital, 0, -500n), entry(bank, 6, 20n)] }),
    );
    valueOf(await saveComparatives({ books, entries: [entry(bank, 6, null, 20n)] }));
    expect(codesOf(await saveComparatives({ books, entries: [entry(bank, 7, 1n)] }))).toEqual([
      'comparatives.no-period',
    ]);
    // Somebody else was faster: nothing of the save is stored.
    expect(
      codesOf(await saveComparatives({ books, entries: [entry(capital, 1, 9n), entry(bank, 0, 7n, 400n)] })),
    ).toEqual(['comparatives.changed']);
    const view = await comparativesView(books);
    expect(view?.columns).toHaveLength(7);
    expect(view?.rows.find(({ id }) => id === bank)).toMatchObject({ figure: minor(0n), entered: { 0: 500n } });
    expect(view?.rows.find(({ id }) => id === capital)?.entered).toEqual({ 0: -500n });
    // Capital closed last year at 5.00 and opens at nothing: that is asked, and not once it opens so.
    const asked = async () => (await proofView(books))?.proof.find(({ id }) => id === 'openings.equity-follows')?.findings; // prettier-ignore
    expect(await asked()).toHaveLength(1);
    await type(books, '3010', -500n);
    expect(await asked()).toEqual([]);
    expect((await accountStory(books, bank))?.events.map(({ what }) => what).slice(0, 3)).toEqual([
      'Jul 2026: 0.20 Dr → empty',
      'Jul 2026: empty → 0.20 Dr',
      'Last year’s close: empty → 5.00 Dr',
    ]);
  });
  it('are taken from the columns of a paper that stands behind the figures, and taken back whole', async () => {
    const books = await newBooks({ starter: 'empty' });
    const paper = await bring(
      books,
      'months.csv',
      bytes(
        'Code,Account,Balance,31/01/2026,February,July 2026\n1010,Bank,30.00,10.00,20.00,0.00\n3010,Capital,-10.00,-10.00,,\n4010,Sales,-20.00,-15.00,-20.00,\n5,Old result,,15.00,,\n',
      ),
    );
    expect(
      (await paperView(books, paper))?.paper?.comparatives.sources.map(({ title, proposed }) => [title, proposed]),
    ).toEqual([
      ['Balance', null],
      ['31/01/2026', 0],
      ['February', 1],
      ['July 2026', 6],
    ]);
    const takes = [
      { from: 3, column: 0 },
      { from: 4, column: 1 },
    ];
    expect(codesOf(await takeComparatives({ books, paper, takes }))).toEqual(['paper.undecided']);
    valueOf(await createUndecided({ books, paper }));
    valueOf(await decideRows({ books, paper, rows: [5], decision: { kind: 'leave-out', reason: 'of the old year' } }));
    valueOf(await takeOver({ books, paper, key: randomUUID() }));
    expect(valueOf(await takeComparatives({ books, paper, takes }))).toEqual({ amounts: 5, divided: 0 });
    const entered = async () =>
      Object.fromEntries((await comparativesView(books))?.rows.map((row) => [row.code, row.entered]) ?? []);
    const taken = await entered();
    expect(taken).toMatchObject({
      '1010': { 0: 1000n, 1: 2000n },
      '3010': { 0: -1000n },
      '4010': { 0: -1500n, 1: -2000n },
    });
    // Taken again nothing changes; another column replaces what was there, also where it has nothing.
    expect(valueOf(await takeComparatives({ books, paper, takes })).amounts).toBe(0);
    valueOf(await takeComparatives({ books, paper, takes: [{ from: 5, column: 1 }] }));
    expect(await entered()).toMatchObject({ '4010': { 0: -1500n } });
    const batch = (await comparativesView(books))?.last?.batch ?? '';
    expect(
      codesOf(
        await takeComparatives({
          books,
          paper,
          takes: [
            { from: 5, column: 0 },
            { from: 4, column: 0 },
          ],
        }),
      ),
    ).toEqual(['comparatives.twice']);
    expect(valueOf(await undo({ books, leaveNewer: true, batch }))).toEqual({ undone: 2, kept: 0 });
    expect(await entered()).toEqual(taken);
    const first = (await comparativesView(books))?.last?.batch ?? '';
    expect(valueOf(await undo({ books, leaveNewer: true, batch: first }))).toEqual({ undone: 5, kept: 0 });
    expect(Object.values(await entered()).every((one) => Object.keys(one).length === 0)).toBe(true);
    expect((await comparativesView(books))?.last).toBeNull();
    expect(codesOf(await removePaper({ books, paper }))).toEqual(['paper.taken']);
  });
});

describe('the audit file', () => {
  it('carries the opening balances, and is read back as a paper with the same figures', async () => {
    const books = await newBooks();
    await type(books, '1010', 12_345n);
    await type(books, '3010', -12_345n);
    const file = await exportAuditFile(books);
    const read = valueOf(readPaper(bytes(String(file?.content)), 'back.xml'));
    const texts = read[0]?.rows.map((row) => row.map(textOf).join('|')) ?? [];
    expect(texts[0]).toMatch(/ClosingDebitBalance 2026-08-01\|ClosingCreditBalance 2026-08-01/);
    expect(texts.some((row) => row.startsWith('1010|') && row.endsWith('|123.45|'))).toBe(true);
    expect(texts.some((row) => row.startsWith('3010|') && row.endsWith('|123.45'))).toBe(true);
  });
});

describe('decisions about the rows of a paper', () => {
  const content = bytes('Code;Account;Balance\nA1;Till;5,00\nA2;Safe;3,00\nA3;Shares;-8,00\n');
  const decisionsIn = async (paper: number) =>
    database.current.query<{ row: number; kind: string }>(
      'select row_no as row, kind from paper_decision where paper_id = $1 order by row_no',
      [paper],
    );

  it('go with the account that they name, and the row waits again', async () => {
    const books = await newBooks({ starter: 'services' });
    const paper = await bring(books, 'a.csv', content);
    valueOf(
      await addAccount({
        books,
        code: 'X1',
        name: 'Petty things',
        classification: 'current-asset',
        parent: null,
        role: null,
        heading: false,
      }),
    );
    await send(books, paper, [
      [2, 'X1'],
      [3, '1010'],
    ]);
    expect(await decisionsIn(paper)).toEqual([
      { row: 2, kind: 'account' },
      { row: 3, kind: 'account' },
    ]);
    valueOf(await removeAccount({ books, id: await idOf(books, 'X1') }));
    expect(await decisionsIn(paper)).toEqual([{ row: 3, kind: 'account' }]);
    expect((await paperView(books, paper))?.paper?.plan.undecided).toBeGreaterThan(0);
  });

  it('name accounts of their own books only, whoever asks', async () => {
    const books = await newBooks({ starter: 'services' });
    const other = await newBooks({ starter: 'services' });
    const paper = await bring(books, 'a.csv', content);
    const foreign = await idOf(other, '1010');
    expect(
      codesOf(await decideRows({ books, paper, rows: [2], decision: { kind: 'account', account: foreign } })),
    ).toEqual(['account.unknown']);
    await expect(
      database.current.query(
        "insert into paper_decision (books_id, paper_id, row_no, kind, account_id) values ($1, $2, 2, 'account', $3)",
        [books, paper, foreign],
      ),
    ).rejects.toThrow();
    await expect(
      database.current.query(
        "insert into paper_decision (books_id, paper_id, row_no, kind) values ($1, $2, 2, 'create')",
        [books, paper],
      ),
    ).rejects.toThrow();
  });

  it('stand, once taken, under the paper of their own taking, whoever writes', async () => {
    const books = await newBooks({ starter: 'empty' });
    const paper = await bring(books, 'a.csv', content);
    const other = await bring(books, 'b.csv', bytes('Code;Account;Balance\nA1;Till;1,00\nA2;Safe;-1,00\n'));
    valueOf(await createUndecided({ books, paper }));
    valueOf(await takeOver({ books, paper, key: randomUUID() }));
    await expect(
      database.current.query('update taken_rows set paper_id = $2 where paper_id = $1', [paper, other]),
    ).rejects.toThrow(/taken_rows_of_taking/);
  });

  it('are taken about all rows of one name, and rows are set aside and read again together', async () => {
    const books = await newBooks({ starter: 'services' });
    const paper = await bring(
      books,
      'centres.csv',
      bytes(
        'Code;Account;Balance\n1010;Bank;10,00\nZ-1;Boat fund 1;4,00\nZ-2;Boat fund 2;6,00\nZ-3;Boat fund 3;0,00\n3000;Shares;-10,00\n',
      ),
    );
    valueOf(
      await decideRows({
        books,
        paper,
        rows: [3],
        decision: { kind: 'leave-out', reason: 'kept elsewhere' },
        like: true,
      }),
    );
    expect((await decisionsIn(paper)).map(({ row }) => row)).toEqual([3, 4, 5]);
    expect(valueOf(await readRows({ books, paper, row: 3, like: 'name', as: false })).rows).toBe(3);
    const aside = (await paperView(books, paper))?.paper;
    expect(aside?.plan.accounts).toBe(2);
    expect(aside?.plan.read.net).toBe(0n);
    expect(valueOf(await readRows({ books, paper, row: 3, like: 'name', as: null })).rows).toBe(3);
    expect((await paperView(books, paper))?.paper?.plan.accounts).toBe(5);
  });

  it('are not asked for where nothing was read, and such a paper is not ready', async () => {
    const books = await newBooks({ starter: 'services' });
    const paper = await bring(books, 'nil.csv', bytes('Code;Account;Balance\n1010;Bank;0,00\n3000;Shares;0,00\n'));
    const seen = (await paperView(books, paper))?.paper;
    expect(seen?.plan.ready).toBe(false);
    expect(seen?.recognition.reasons.join(' ')).not.toMatch(/nets to zero/);
    expect(codesOf(await takeOver({ books, paper, key: randomUUID() }))).toEqual(['paper.nothing']);
  });
});
