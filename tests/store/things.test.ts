import { describe, expect, it } from 'vitest';
import { undo } from '@/actions/changes/commands';
import { changesView } from '@/actions/changes/views';
import { takeCopy } from '@/actions/chart/begin';
import { addAccount, editChart, mergeAccounts } from '@/actions/chart/commands';
import { changeFact } from '@/actions/company/commands';
import { budgetByRule, saveComparatives } from '@/actions/openings/comparatives';
import { comparativesView } from '@/actions/openings/comparatives-view';
import { saveFigures } from '@/actions/openings/figures';
import { openCorrection, postOpenings } from '@/actions/openings/posting';
import { openingsView, proofView } from '@/actions/openings/views';
import { bringList, takeList } from '@/actions/schedules/bring';
import { saveItems } from '@/actions/schedules/items';
import { takeSupport } from '@/actions/schedules/ties';
import { scheduleView, schedulesView } from '@/actions/schedules/views';
import { exportAuditFile, exportList } from '@/actions/statements/export';
import { PLAIN_ACCOUNT, accountId } from '@/core/chart/account';
import { minor } from '@/core/money/minor';
import { type ItemFields, blankItem } from '@/core/schedules/item';
import { codesOf, newBooks, refused, valueOf, withDatabase } from './support';

const database = withDatabase();
const sql = (text: string, parameters: readonly unknown[] = []) =>
  database.current.query<{ id: number }>(text, parameters);

const accountOf = async (books: number, code: string): Promise<number> =>
  (await openingsView(books))?.rows.find((one) => one.code === code)?.id ?? 0;
const setOf = async (books: number): Promise<number> => (await openingsView(books))?.set?.id ?? 0;
const type = async (books: number, amounts: Readonly<Record<string, bigint>>): Promise<void> => {
  const view = await openingsView(books);
  const entries = Object.entries(amounts).map(([code, amount]) => {
    const row = view?.rows.find((one) => one.code === code);
    return { account: row?.id ?? 0, amount, revision: row?.revision ?? 0, restores: false };
  });
  valueOf(await saveFigures({ books, set: view?.set?.id ?? 0, entries }));
};
const found = async (books: number, code: string) => {
  const view = await scheduleView(books, await accountOf(books, code));
  if (view?.found == null) throw new Error('no schedule');
  return view.found;
};
const save = async (books: number, code: string, items: readonly ItemFields[]) =>
  saveItems({
    books,
    set: await setOf(books),
    account: await accountOf(books, code),
    entries: items.map((item) => ({ id: null, revision: 0, item })),
  });
const asset = (cost: bigint, written: bigint, account: number | null, more: Partial<ItemFields> = {}): ItemFields => ({
  ...blankItem('assets', 'EUR'),
  open: minor(cost),
  beside: minor(-written),
  besideAccount: account === null ? null : accountId(account),
  ...more,
});
const companyParts = async (books: number) => (await scheduleView(books, await accountOf(books, '1300')))?.frame.parts;
const lastBatch = async (books: number): Promise<string> => (await changesView(books, undefined))?.batches[0]?.id ?? '';
const checkOf = async (books: number, id: string) => (await proofView(books))?.proof.find((one) => one.id === id);

describe('the audit file', () => {
  it('has stock and assets on their accounts, and both are brought from it into other books as they were', async () => {
    const books = await newBooks();
    await type(books, { '1510': 70_000n, '1519': -29_000n, '1200': 4_000n, '3010': -45_000n });
    const off = await accountOf(books, '1519');
    const stock = (fields: Partial<ItemFields>): ItemFields => ({ ...blankItem('stock', 'EUR'), ...fields });
    const articles = [
      stock({
        number: 'K1',
        note: 'Kelp & <nori>',
        open: minor(2_500n),
        detail: { quantity: '5', cost: '5', unit: 'kg' },
      }),
      stock({ number: 'K2', note: 'Salt', open: minor(1_500n), detail: { quantity: '30', cost: '0.5', unit: 'kg', place: 'Shed 2' } }), // prettier-ignore
    ];
    const boats = [
      asset(60_000n, 25_000n, off, { number: 'B1', note: 'Press', date: '2021-03-01', detail: { life: '120', method: 'straight-line' } }), // prettier-ignore
      asset(10_000n, 4_000n, off, { number: 'B2', note: 'Saw', date: '2023-04-05', detail: { life: '60', method: 'straight-line' } }), // prettier-ignore
    ];
    valueOf(await save(books, '1510', boats));
    valueOf(await save(books, '1200', articles));
    const xml = String((await exportAuditFile(books))?.content);
    expect(xml).toMatch(/<StockAccountNo>1200<\/StockAccountNo>/);
    const other = await newBooks();
    const content = new TextEncoder().encode(xml);
    for (const code of ['1510', '1200']) {
      const account = await accountOf(other, code);
      const brought = valueOf(await bringList({ books: other, account, name: 'audit.xml', content }));
      valueOf(await takeList({ books: other, set: await setOf(other), account, paper: brought.paper }));
    }
    const here = async (code: string) =>
      (await found(other, code)).items.map(({ number, note, date, open, beside, detail }) => ({ number, note, date, open, beside, detail })); // prettier-ignore
    const was = (items: readonly ItemFields[]) =>
      items.map(({ number, note, date, open, beside, detail }) => ({ number, note, date, open, beside, detail }));
    expect(await here('1510')).toEqual(was(boats));
    expect(await here('1200')).toEqual(was(articles));
  });
});

describe('a register of assets', () => {
  it('ties on cost and on what is written off; undone and brought back as one; frozen when posted', async () => {
    const books = await newBooks();
    await type(books, { '1510': 70_000n, '1519': -30_000n, '3010': -40_000n });
    const off = await accountOf(books, '1519');
    valueOf(
      await save(books, '1510', [
        asset(60_000n, 25_000n, off, { note: 'Press', detail: { life: '120', method: 'straight-line' } }),
        asset(10_000n, 4_000n, off, { note: 'Saw' }),
      ]),
    );
    expect((await found(books, '1510')).tie.state).toBe('tied');
    // What comes from the register stands behind the other account, which says so.
    expect((await found(books, '1519')).tie).toMatchObject({ state: 'apart', support: -29_000n, difference: -1_000n });
    expect((await found(books, '1519')).others).toMatchObject([
      { of: { code: '1510' }, sum: { items: 2, open: -29_000n } },
    ]);
    expect((await checkOf(books, 'schedules.accounts-tie'))?.findings).toHaveLength(1);
    const overview = await schedulesView(books);
    expect(overview?.accounts.map(({ account, tie }) => [account.code, tie.state])).toContainEqual(['1519', 'apart']);
    const saw = (await found(books, '1510')).items[1];
    valueOf(
      await saveItems({
        books,
        set: await setOf(books),
        account: await accountOf(books, '1510'),
        entries: [
          { id: saw?.id ?? 0, revision: saw?.revision ?? 0, item: asset(10_000n, 5_000n, off, { note: 'Saw' }) },
        ],
      }),
    );
    expect((await found(books, '1519')).tie.state).toBe('tied');
    const batch = await lastBatch(books);
    valueOf(await undo({ books, batch }));
    expect((await found(books, '1519')).tie.state).toBe('apart');
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect((await found(books, '1510')).items[0]).toMatchObject({ detail: { life: '120', method: 'straight-line' } });
  });

  it('is brought over the accounts of its classes, with what stands beside; its list says the same again', async () => {
    const books = await newBooks();
    valueOf(
      await editChart({
        books,
        edits: (['fixed-asset-cost', 'accumulated-depreciation'] as const).map((role, at) => ({
          kind: 'add' as const,
          id: -1 - at,
          account: {
            ...PLAIN_ACCOUNT,
            code: at === 0 ? '1570' : '1579',
            name: at === 0 ? 'Boats, cost' : 'Boats, accumulated depreciation',
            classification: 'fixed-asset' as const,
            role,
            contra: at === 1,
          },
        })),
      }),
    );
    const text = [
      'Code,Asset,Class,Acquired,Life (years),Cost,Depreciation,Net book value,Gone on',
      'B1,Skiff,Boats,2021-08-01,10,"6,000.00","2,950.00","3,050.00",',
      'B2,Punt,Boats,2015-08-01,10,900.00,900.00,0.00,2026-03-01',
      'E1,Scales,Equipment,2024-08-01,5,"1,000.00",383.33,616.67,',
      ',Total,,,,"7,000.00","3,333.33","3,666.67",',
    ].join('\n');
    const [set, account] = [await setOf(books), await accountOf(books, '1510')];
    const preview = valueOf(
      await bringList({ books, account, name: 'assets.csv', content: new TextEncoder().encode(text) }),
    );
    expect(
      preview.groups.map(({ name, account: to, items, sum }) => [
        name,
        preview.accounts.find(({ id }) => id === to)?.code,
        items,
        sum,
      ]),
    ).toEqual([
      ['Boats', '1570', 1, 600_000n],
      ['Equipment', '1510', 1, 100_000n],
    ]);
    valueOf(await takeList({ books, account, set, paper: preview.paper }));
    expect((await found(books, '1579')).others.map(({ sum }) => sum.open)).toEqual([-295_000n]);
    expect((await found(books, '1519')).others.map(({ sum }) => sum.open)).toEqual([-38_333n]);
    for (const code of ['1570', '1579', '1510', '1519'])
      valueOf(await takeSupport({ books, set, accounts: [await accountOf(books, code)] }));
    expect((await openingsView(books))?.rows.find(({ code }) => code === '1579')?.amount).toBe(-295_000n);
    const csv = await exportList(books, 'schedule', 'csv', { account: await accountOf(books, '1570') });
    expect(csv?.content).toContain('Skiff');
    // All of it is one batch.
    const taken = await sql(`select id from batch where books_id = $1 and action = 'takeList'`, [books]);
    valueOf(await undo({ books, batch: String(taken[0]?.id) }));
    expect((await found(books, '1570')).items).toHaveLength(0);
  });
});

describe('items of things', () => {
  it('that are not as they work out are asked about on Proof; too many are not, and it says so', async () => {
    const books = await newBooks();
    await type(books, { '1510': 70_000n, '1519': -30_000n, '3010': -40_000n });
    const off = await accountOf(books, '1519');
    const asked = async () => checkOf(books, 'schedules.things-as-worked-out');
    valueOf(await save(books, '1510', [asset(60_000n, 0n, off, { note: 'Press', detail: { method: 'none' } })]));
    expect((await asked())?.findings).toEqual([]);
    const sold = { note: 'Skiff', number: 'A-7', detail: { method: 'none', disposed: '2025-03-01' } };
    valueOf(await save(books, '1510', [asset(10_000n, 0n, off, sold)]));
    const found = await asked();
    expect([found?.severity, found?.findings.map(({ what }) => what)]).toEqual([
      'advice',
      [expect.stringMatching(/^1510 .*: 1 item to check, A-7\.$/)],
    ]);
    valueOf(
      await save(
        books,
        '1510',
        Array.from({ length: 500 }, (_, at) =>
          asset(100n, 0n, off, { note: `Crate ${String(at)}`, detail: { method: 'none' } }),
        ),
      ),
    );
    expect(await asked()).toMatchObject({ findings: [], aside: { says: 'not asked' } });
  });

  it('are refused with what cannot be kept or an account that has no schedule', async () => {
    const books = await newBooks();
    const off = await accountOf(books, '1519');
    expect(codesOf(await save(books, '1510', [asset(5n, 1n, off, { detail: { life: 'x' } })]))).toEqual([
      'item.detail',
    ]);
    expect(codesOf(await save(books, '1510', [asset(5n, 1n, await accountOf(books, '4010'))]))).toEqual([
      'item.beside',
    ]);
    expect(codesOf(await save(books, '1510', [asset(0n, 0n, off)]))).toEqual(['item.nothing']);
    expect(codesOf(await save(books, '1510', [{ ...asset(5n, 1n, off), kind: 'article' }]))).toEqual(['item.kind']);
  });

  it('hold in the database whoever writes', async () => {
    const books = await newBooks();
    const other = await newBooks();
    const [set, off] = [await setOf(books), await accountOf(books, '1519')];
    valueOf(await save(books, '1510', [asset(500n, 100n, off)]));
    const update = (what: string, ...values: readonly unknown[]) =>
      sql(`update schedule_item set ${what} where set_id = $1`, [set, ...values]);
    await refused(update('beside_account_id = $2', await accountOf(other, '1519')), /schedule_item_beside/);
    await refused(update('beside_account_id = account_id'), /violates check constraint/);
    await refused(update('open = 0, beside = 0'), /schedule_item_open_check/);
    await refused(update(`detail = '[]'`), /schedule_item_detail_check/);
    // An account that makes up part of a figure stays.
    const removed = await editChart({ books, edits: [{ kind: 'remove', id: accountId(off) }] });
    expect(removed.ok ? '' : removed.problems[0]?.message).toContain('1 item or statement in its schedule');
  });

  it('go with their account when it is merged; a correction begins with them', async () => {
    const books = await newBooks();
    await type(books, { '1510': 500n, '1519': -100n, '3010': -400n });
    const off = await accountOf(books, '1519');
    valueOf(await save(books, '1510', [asset(500n, 100n, off, { note: 'Scales', detail: { life: '60' } })]));
    const made = valueOf(
      await editChart({
        books,
        edits: [
          {
            kind: 'add',
            id: -1,
            account: {
              ...PLAIN_ACCOUNT,
              code: '1518',
              name: 'Written off',
              classification: 'fixed-asset',
              role: 'accumulated-depreciation',
              contra: true,
            },
          },
        ],
      }),
    );
    const into = made.ids[0]?.[1] ?? 0;
    valueOf(await mergeAccounts({ books, from: off, into }));
    expect((await found(books, '1518')).tie.state).toBe('tied');
    expect((await found(books, '1510')).items[0]?.besideAccount).toBe(into);
    valueOf(await postOpenings({ books, set: await setOf(books) }));
    expect(codesOf(await save(books, '1510', [asset(5n, 1n, into)]))).toEqual(['openings.posted']);
    await refused(sql('update schedule_item set beside = -7 where books_id = $1', [books]), /posted opening set/);
    valueOf(await openCorrection({ books, reason: 'a boat was sold' }));
    expect((await found(books, '1510')).items[0]).toMatchObject({
      note: 'Scales',
      detail: { life: '60' },
      beside: -100n,
    });
    expect((await found(books, '1518')).tie.state).toBe('tied');
  });
});

describe('a list that is brought', () => {
  const take = async (books: number, code: string, text: string) => {
    const [set, account] = [await setOf(books), await accountOf(books, code)];
    const content = new TextEncoder().encode(text);
    const preview = valueOf(await bringList({ books, account, name: 'list.csv', content }));
    valueOf(await takeList({ books, account, set, paper: preview.paper }));
    return (await found(books, code)).items;
  };
  it('for returns, holders or what is written off has items of that page’s kind, on the account’s own side', async () => {
    const books = await newBooks();
    const list = 'Name,Number,Date,Amount\nOrla,H-1001,01/03/2019,"1,000.00"\nPiotr,H-1002,02/04/2020,500.00\n';
    for (const [code, kind] of [
      ['2200', 'return'],
      ['3010', 'holding'],
      ['1519', 'line'],
    ] as const)
      expect((await take(books, code, list)).map((item) => [item.kind, item.open])).toEqual([
        [kind, -100_000n],
        [kind, -50_000n],
      ]);
  });
  it('keeps classes apart whatever they are called', async () => {
    const books = await newBooks();
    const rows = ['constructor', '__proto__', 'x'.repeat(400)].map(
      (name, at) => `A${String(at)},Thing ${String(at)},"${name}",2020-01-01,100.00,40.00,60.00`,
    );
    const text = ['Code,Asset,Class,Acquired,Cost,Depreciation,Net', ...rows].join('\n');
    expect((await take(books, '1510', text)).map(({ open, beside }) => [open, beside])).toEqual(
      rows.map(() => [10_000n, -4_000n]),
    );
  });
});

describe('prices', () => {
  it('stand by the company’s levels, come from the columns of a list, and hold their level where it is', async () => {
    const books = await newBooks();
    const levels = async (was: readonly string[], now: readonly string[]) =>
      changeFact({ books, field: 'priceLevels', was: [...was], now: [...now] });
    valueOf(await levels([], ['Shop', 'Export']));
    const account = await accountOf(books, '1200');
    const content = new TextEncoder().encode(
      'Code,Article,Quantity,Unit cost,Value,Export,Shop\n1,Nori,10,2.00,20.00,3.50,4.00\n2,Kombu,4,5.50,22.00,,9.00\n3,Dulse,3,1.25,3.75,2.00,2.50\n',
    );
    const brought = valueOf(await bringList({ books, account, name: 'stock.csv', content }));
    expect(brought.doubts).toEqual([]);
    valueOf(await takeList({ books, set: await setOf(books), account, paper: brought.paper }));
    expect((await found(books, '1200')).items.map(({ detail }) => [detail.price, detail.price2])).toEqual([
      ['4', '3.5'],
      ['9', undefined],
      ['2.5', '2'],
    ]);
    const file = await exportList(books, 'schedule', 'csv', { account });
    expect(file?.content).toContain('"Selling price, Shop","Selling price, Export"');
    // A level in use stays where it is; it may be called otherwise, and others come behind it.
    for (const now of [['Export'], ['Export', 'Shop']])
      expect(await levels(['Shop', 'Export'], now)).toMatchObject({
        problems: [{ message: expect.stringMatching(/“Shop” has 3 prices.*keeps its place/) as string }],
      });
    valueOf(await levels(['Shop', 'Export'], ['Counter', 'Export', 'Kitchen']));
    valueOf(await levels(['Counter', 'Export', 'Kitchen'], ['Counter', 'Export']));
    // So it does where the defaults of other books are copied.
    const source = await newBooks();
    valueOf(await changeFact({ books: source, field: 'priceLevels', was: [], now: ['Export', 'Counter'] }));
    valueOf(await addAccount({ books: source, code: '1299', name: 'Nets in store', classification: 'current-asset', parent: null, role: null, heading: false })); // prettier-ignore
    const wish = { branches: null, inactive: true, notes: true, taxCodes: false, pattern: false, currencies: false };
    const copied = valueOf(await takeCopy({ ...wish, books, from: { kind: 'books', id: source }, defaults: true }));
    expect(copied.also).toEqual([expect.stringContaining('but for price levels, which are in use')]);
    expect((await found(books, '1200')).levels).toEqual(['Counter', 'Export']);
  });
});

describe('amounts over time', () => {
  it('are divided as the books say', async () => {
    const books = await newBooks();
    expect((await found(books, '1300')).spans).toBe('days');
    valueOf(await changeFact({ books, field: 'spans', was: 'days', now: 'months' }));
    expect((await found(books, '1300')).spans).toBe('months');
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect((await found(books, '1300')).spans).toBe('days');
  });
});

describe('a budget', () => {
  it('is filled from last year by a rule, undone as one, and refused while the part is off', async () => {
    const books = await newBooks();
    const sales = await accountOf(books, '4010');
    expect(codesOf(await budgetByRule({ books, percent: '3' }))).toEqual(['budget.off']);
    const parts = (await companyParts(books)) ?? [];
    valueOf(await changeFact({ books, field: 'parts', was: parts, now: [...parts, 'budgets'] }));
    expect(codesOf(await budgetByRule({ books, percent: '3' }))).toEqual(['budget.no-last-year']);
    expect(codesOf(await budgetByRule({ books, percent: '3 to 4' }))).toEqual(['budget.percent']);
    expect(codesOf(await budgetByRule({ books, percent: '-101' }))).toEqual(['budget.percent']);
    valueOf(
      await saveComparatives({
        books,
        entries: [{ account: accountId(sales), column: 0, from: null, to: minor(-1_200_001n) }],
      }),
    );
    valueOf(await budgetByRule({ books, percent: '-2.5 %' }));
    const budget = async () => {
      const view = await comparativesView(books);
      const own = view?.rows.find(({ id }) => id === sales)?.entered ?? {};
      return Object.entries(own).flatMap(([column, amount]) => (Number(column) > 100 ? [amount] : []));
    };
    expect(await budget()).toHaveLength(12);
    expect((await budget()).reduce((sum, one) => sum + one, 0n)).toBe(-1_170_001n);
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect(await budget()).toEqual([]);
    await refused(
      sql(
        `insert into comparative (books_id, account_id, column_no, amount, set_by, set_at) values ($1, $2, 64, 1, 1, now())`,
        [books, sales],
      ),
      /violates check constraint/,
    );
  });
});
