import { describe, expect, it } from 'vitest';
import {
  addAccount,
  addMoneyAccounts,
  editChart,
  mergeAccounts,
  renumberBranch,
  saveBanks,
  saveScheme,
  setCodes,
} from '@/actions/chart/commands';
import { dismissAdvice, recallAdvice, takeAdvice } from '@/actions/chart/advice';
import { saveTemplate, takeAnswers, takeCopy, takeLines } from '@/actions/chart/begin';
import { rememberedMapping, takeAccounts } from '@/actions/chart/import';
import {
  beginView,
  chartRolesView,
  chartStatementsView,
  chartView,
  copyView,
  exportChart,
  moneyView,
  taxView,
  tidyView,
} from '@/actions/chart/views';
import { accountStory } from '@/actions/chart/account-story';
import { switchOn } from '@/actions/currencies/commands';
import { saveFigures } from '@/actions/openings/figures';
import { calendarView } from '@/actions/calendar/views';
import { companyView } from '@/actions/company/views';
import { currenciesView } from '@/actions/currencies/views';
import { addStarterTaxCodes, saveTaxCodes } from '@/actions/chart/tax-codes';
import { openingsView } from '@/actions/openings/views';
import { type Account, PLAIN_ACCOUNT } from '@/core/chart/account';
import { readPaper } from '@/core/files/read';
import { recogniseChart } from '@/core/chart/chart-file';
import { change } from '@/core/chart/edit';
import { compose } from '@/core/chart/composition/compose';
import { leaving } from '@/core/chart/composition/leaving';
import { COMPOSED_SCHEME } from '@/core/chart/scheme';
import { changesView } from '@/actions/changes/views';
import { undo } from '@/actions/changes/commands';
import { codesOf, newBooks, refused, valueOf, withDatabase } from './support';

const database = withDatabase();

const chartOf = async (books: number): Promise<readonly Account[]> =>
  (await chartView(books))?.rows.map(({ account }) => account) ?? [];
const named = async (books: number, code: string): Promise<Account> => {
  const found = (await chartOf(books)).find((account) => account.code === code);
  if (found === undefined) throw new Error(`no account ${code}`);
  return found;
};
const type = async (books: number, account: number, amount: bigint): Promise<void> => {
  const sheet = await openingsView(books);
  valueOf(
    await saveFigures({
      books,
      set: sheet?.set?.id ?? 0,
      entries: [
        { account, amount, revision: sheet?.rows.find(({ id }) => id === account)?.revision ?? 0, restores: false },
      ],
    }),
  );
};
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const bring = async (books: number, text: string, name = 'list.csv') => {
  const content = bytes(text);
  const tables = readPaper(content, name);
  if (!tables.ok) throw new Error(tables.problems[0]?.message);
  const { mapping, signature } = recogniseChart(tables.value);
  return takeAccounts({
    books,
    name,
    content,
    wish: {
      signature,
      mapping: { ...mapping, columns: [...mapping.columns] },
      choices: {},
      update: true,
      clash: 'change',
    },
  });
};

describe('edits of the sheet', () => {
  it('go in one transaction or not at all, and exchange codes', async () => {
    const books = await newBooks();
    const [bank, cash] = [await named(books, '1010'), await named(books, '1050')];
    valueOf(
      await editChart({ books, edits: [change(bank, { code: '1050' }), change(cash, { code: '1010' })] as never }),
    );
    expect((await named(books, '1010')).id).toBe(cash.id);
    const refusal = await editChart({
      books,
      edits: [
        { kind: 'change', id: bank.id, is: { name: 'Renamed' }, was: { name: bank.name } },
        { kind: 'remove', id: (await named(books, '1000')).id },
      ],
    });
    expect(codesOf(refusal)).toEqual(['account.used']);
    expect((await named(books, '1050')).name).toBe(bank.name);
  });
  it('meet what somebody else changed with both values', async () => {
    const books = await newBooks();
    const bank = await named(books, '1010');
    valueOf(await editChart({ books, edits: [change(bank, { name: 'Theirs' })] as never }));
    const late = await editChart({ books, edits: [change(bank, { name: 'Mine' })] as never });
    expect(late).toMatchObject({ ok: false, problems: [{ code: 'account.clash', path: [bank.id, 'name'] }] });
    expect(late.ok ? '' : late.problems[0]?.message).toContain('“Theirs”');
  });
  it('make headings and what stands under them together', async () => {
    const books = await newBooks({ starter: 'empty' });
    const made = valueOf(
      await editChart({
        books,
        edits: [
          {
            kind: 'add',
            id: -1,
            account: {
              ...PLAIN_ACCOUNT,
              code: '1',
              name: '<script>alert(1)</script>',
              classification: 'equity',
              heading: true,
            },
          },
          {
            kind: 'add',
            id: -2,
            account: { ...PLAIN_ACCOUNT, code: '2', name: 'Capital', classification: 'equity', parent: -1 },
          },
        ],
      }),
    );
    const [heading, capital] = [-1, -2].map((id) => made.ids.find(([temporary]) => temporary === id)?.[1]);
    expect((await chartOf(books)).find(({ id }) => id === capital)?.parent).toBe(heading);
  });
  it('renumber a branch and can be undone', async () => {
    const books = await newBooks();
    const before = await chartOf(books);
    const heading = await named(books, '1000');
    const done = valueOf(await renumberBranch({ books, branch: heading.id, start: '1400', step: 5 }));
    expect((await chartOf(books)).find(({ id }) => id === heading.id)?.code).toBe('1400');
    const back = before.flatMap((account) => {
      const step = done.steps.find((one) => one.id === account.id);
      return step?.kind === 'change' ? [{ kind: 'change' as const, id: account.id, is: step.was, was: step.is }] : [];
    });
    valueOf(await editChart({ books, edits: back }));
    expect(await chartOf(books)).toEqual(before);
  });
  it('are refused by the database too, whoever writes', async () => {
    const books = await newBooks();
    const [bank, heading] = [await named(books, '1010'), await named(books, '1000')];
    await refused(
      database.current.query('update account set code = $2 where id = $1', [bank.id, '1050']),
      /account_code/,
    );
    await refused(
      database.current.query('insert into bank_detail (books_id, account_id) values ($1, $2)', [books, heading.id]),
      /foreign key/,
    );
    await refused(
      database.current.query(
        `insert into tax_code (books_id, code, name, direction) values ($1, 'X', 'X', 'charged')`,
        [books],
      ),
      /check/,
    );
    await refused(
      database.current.query('update account set tax_code = $2 where id = $1', [bank.id, 'NONE']),
      /account_tax_code/,
    );
  });
});

describe('codes', () => {
  it('are required or not, and a scheme questions without refusing', async () => {
    const books = await newBooks();
    expect((await chartView(books))?.settings).toMatchObject({ codes: 'required', scheme: COMPOSED_SCHEME });
    expect(
      codesOf(
        await addAccount({
          books,
          code: '',
          name: 'Bare',
          classification: 'equity',
          heading: false,
          parent: null,
          role: null,
        }),
      ),
    ).toEqual(['account.code-missing']);
    valueOf(await setCodes({ books, codes: 'optional', shown: false }));
    for (const name of ['Bare', 'Bare too'])
      valueOf(
        await addAccount({ books, code: '', name, classification: 'equity', heading: false, parent: null, role: null }),
      );
    expect(codesOf(await setCodes({ books, codes: 'required' }))).toEqual(['codes.missing']);
    expect(
      codesOf(
        await saveScheme({
          books,
          scheme: {
            segments: [{ length: 3, kind: 'digits' }],
            separator: '',
            ranges: [{ of: { line: 'tax' }, from: '9', to: '999' }],
          },
        }),
      ),
    ).toEqual(['scheme.range-shape']);
    valueOf(await saveScheme({ books, scheme: null }));
    expect((await chartView(books))?.settings).toMatchObject({ scheme: null, codes: 'optional', codesShown: false });
  });
});

describe('merging', () => {
  it('moves the figure, the rows and the history of what is not posted', async () => {
    const books = await newBooks();
    const [from, into] = [await named(books, '6500'), await named(books, '6520')];
    await type(books, from.id, 500n);
    await type(books, into.id, 70n);
    expect(valueOf(await mergeAccounts({ books, from: from.id, into: into.id }))).toEqual({
      deleted: false,
      moved: true,
    });
    const rows = (await openingsView(books))?.rows;
    expect(rows?.find(({ id }) => id === into.id)?.amount).toBe(570n);
    expect(rows?.find(({ id }) => id === from.id)).toBeUndefined();
    expect((await chartOf(books)).find(({ id }) => id === from.id)?.active).toBe(false);
    expect((await accountStory(books, into.id))?.events[0]?.what).toContain(
      'merged into it, its opening balance moved here',
    );
    const unused = await named(books, '6550');
    expect(valueOf(await mergeAccounts({ books, from: unused.id, into: into.id }))).toEqual({
      deleted: true,
      moved: false,
    });
    expect(codesOf(await mergeAccounts({ books, from: into.id, into: (await named(books, '3010')).id }))).toEqual([
      'merge.refused',
    ]);
  });
});

describe('beginning a chart', () => {
  it('from answers, and changing an answer later adds what it calls for', async () => {
    const books = await newBooks({ starter: 'empty' });
    const view = await beginView(books);
    if (view === undefined) throw new Error('a view');
    const answers = { ...view.answers, trades: ['farming-fishing' as const], currencies: [] };
    const first = valueOf(await takeAnswers({ books, answers }));
    expect(first.counts.new).toBe((await chartOf(books)).length);
    expect((await named(books, '4150')).origin).toBe('It does: farming, fishing, growing');
    expect((await chartView(books))?.settings).toMatchObject({
      scheme: COMPOSED_SCHEME,
      answers: { trades: ['farming-fishing'] },
    });
    valueOf(await takeAnswers({ books, answers: { ...answers, stock: true } }));
    expect((await named(books, '1240')).role).toBe('stock');
    expect((await chartRolesView(books))?.roles.find(({ role }) => role === 'stock')?.missing).toBe(false);
    // Taken back, what it brought is pointed at.
    valueOf(await takeAnswers({ books, answers }));
    expect((await tidyView(books))?.advice.filter(({ kind }) => kind === 'misfit-answers')).toHaveLength(4);
  });
  it('from answers that change: what goes and what comes is one step, with one way back', async () => {
    const books = await newBooks({ starter: 'empty' });
    const view = await beginView(books);
    if (view === undefined) throw new Error('a view');
    const answers = { ...view.answers, trades: ['farming-fishing' as const], currencies: [], stock: true };
    valueOf(await takeAnswers({ books, answers }));
    const before = await chartOf(books);
    const other = { ...answers, stock: false, loans: !answers.loans };
    const stock = await named(books, '1240');
    await type(books, stock.id, 500n);
    const uses = (await beginView(books))?.rules.uses ?? new Map<never, never>();
    const leaves = leaving(await chartOf(books), compose(answers), compose(other), uses);
    expect(leaves.stay.map(({ account, why }) => [account.id, why.includes('opening balance')])).toEqual([
      [stock.id, true],
    ]);
    expect(leaves.go.length).toBeGreaterThan(0);
    // One that is used by now is not deleted, and nothing else is done.
    const tooMuch = await takeAnswers({ books, answers: other, going: [...leaves.go.map(({ id }) => id), stock.id] });
    expect(tooMuch.ok ? [] : tooMuch.problems.map(({ code }) => code)).toEqual(['answers.staying']);
    expect(await chartOf(books)).toEqual(before);
    const done = valueOf(await takeAnswers({ books, answers: other, going: leaves.go.map(({ id }) => id) }));
    const after = await chartOf(books);
    expect(after.length).toBe(before.length + done.counts.new - leaves.go.length);
    const [last] = (await changesView(books))?.batches ?? [];
    valueOf(await undo({ books, batch: last?.id ?? '' }));
    const codes = (chart: readonly { readonly code: string }[]) => chart.map(({ code }) => code).sort();
    expect(codes(await chartOf(books))).toEqual(codes(before));
  });
  it('from typed lines', async () => {
    const books = await newBooks();
    const taken = valueOf(await takeLines({ books, text: 'Kiln sales:\n4700 Tiles\n4710 Mosaics', under: '4000' }));
    expect(taken.counts).toMatchObject({ new: 3 });
    const tiles = await named(books, '4700');
    expect((await chartOf(books)).find(({ id }) => id === tiles.parent)).toMatchObject({
      name: 'Kiln sales',
      heading: true,
    });
    expect(codesOf(await takeLines({ books, text: '4700 Tiles', under: '4000' }))).toEqual(['incoming.nothing']);
  });
  it('copied through a template, with tax codes, currencies, pattern and defaults', async () => {
    const first = await newBooks({ name: 'Copied From Ltd', foreign: true });
    valueOf(await switchOn({ books: first, currency: 'NOK' }));
    valueOf(
      await addAccount({
        books: first,
        code: '1020',
        name: 'NOK bank',
        classification: 'current-asset',
        heading: false,
        parent: (await named(first, '1000')).id,
        role: 'bank',
        currency: 'NOK',
        note: 'fjord branch',
      }),
    );
    const { changeFact } = await import('@/actions/company/commands');
    valueOf(await changeFact({ books: first, field: 'taxRegistered', was: 'unknown', now: 'yes' }));
    valueOf(
      await addStarterTaxCodes({
        books: first,
        from: '2026-02-01',
        charged: (await named(first, '2200')).id,
        recoverable: (await named(first, '1400')).id,
      }),
    );
    const sales = await named(first, '4010');
    valueOf(await editChart({ books: first, edits: [change(sales, { taxCode: 'OUT-S' })] as never }));
    valueOf(await changeFact({ books: first, field: 'priceLevels', was: [], now: ['Shop', 'Export'] }));
    valueOf(await saveTemplate({ books: first, name: 'House chart' }));

    const second = await newBooks({ name: 'Copied To Ltd', starter: 'empty' });
    const offered = await copyView(second);
    const template = offered?.templates.find(({ name }) => name === 'House chart');
    expect(offered?.others.map(({ id }) => id)).toContain(first);
    const wish = {
      books: second,
      from: { kind: 'template' as const, id: template?.id ?? 0 },
      branches: null,
      inactive: true,
      notes: true,
      taxCodes: true,
      pattern: true,
      currencies: true,
      defaults: true,
    };
    const done = valueOf(await takeCopy(wish));
    expect(done.also).toEqual(['1 currency', '10 tax codes', 'the calendar pattern', 'the defaults for documents']);
    const shape = async (books: number) =>
      (await chartOf(books))
        .map(
          ({ code, name, role, currency, note, taxCode }) =>
            `${code} ${name} ${String(role)} ${String(currency)} ${note} ${String(taxCode)}`,
        )
        .sort();
    expect(await shape(second)).toEqual(await shape(first));
    expect((await currenciesView(second, 'NOK'))?.used.map(({ currency }) => currency)).toEqual(['NOK']);
    expect((await companyView(second))?.facts.priceLevels).toEqual(['Shop', 'Export']);
    expect((await taxView(second))?.codes.map(({ code }) => code)).toEqual(
      (await taxView(first))?.codes.map(({ code }) => code),
    );
    expect((await calendarView(second))?.years[0]?.plan.pattern).toEqual(
      (await calendarView(first))?.years[0]?.plan.pattern,
    );
    // Copied again, nothing is left to do.
    expect(codesOf(await takeCopy({ ...wish, taxCodes: false, pattern: false, defaults: false }))).toEqual([
      'incoming.nothing',
    ]);
    // A branch alone, into a chart that has one of its codes under another name.
    const third = await newBooks({ name: 'Branch Ltd', starter: 'empty' });
    valueOf(
      await addAccount({
        books: third,
        code: '3010',
        name: 'Something else',
        classification: 'equity',
        heading: false,
        parent: null,
        role: null,
      }),
    );
    const branch = valueOf(
      await takeCopy({
        ...wish,
        books: third,
        branches: [(await copyView(third, wish.from))?.source?.accounts.find(({ code }) => code === '3000')?.id ?? 0],
        taxCodes: false,
        pattern: false,
        defaults: false,
        currencies: false,
        clash: 'new-code',
      }),
    );
    expect(branch.counts.problem).toBe(0);
    expect((await chartOf(third)).map(({ code }) => code).sort()).toEqual([
      '3000',
      '3010',
      '3010-2',
      '3050',
      '3100',
      '3200',
      '3300',
    ]);
  });
  it('imported: good rows go in, bad ones stay out, and how it was read is remembered', async () => {
    const books = await newBooks({ starter: 'empty' });
    const list =
      'No;Title;Category;Belongs to\n1;Assets;Asset;\n10;Bank;Asset;1\n11;Cash;Asset;1\n12;Odd thing;;1\n13;;Asset;1\n';
    const done = valueOf(await bring(books, list));
    expect(done.counts).toMatchObject({ new: 4, problem: 1 });
    expect((await named(books, '12')).classification).toBe('current-asset');
    expect(valueOf(await bring(books, list.replace('Cash', 'Petty cash'))).counts).toMatchObject({
      changes: 1,
      same: 3,
    });
    const tables = readPaper(bytes(list), 'x.csv');
    const signature = tables.ok ? recogniseChart(tables.value).signature : '';
    expect(await rememberedMapping(signature)).toMatchObject({ columns: ['code', 'name', 'type', 'parent'] });
    expect(await rememberedMapping('other')).toBeUndefined();
  });
  it('taken out and brought into empty books it is the same chart', async () => {
    const first = await newBooks();
    valueOf(
      await editChart({
        books: first,
        edits: [change(await named(first, '6500'), { note: '=SUM(A1)', active: false, contra: true })] as never,
      }),
    );
    for (const format of ['csv', 'xlsx'] as const) {
      const file = await exportChart(first, format);
      const second = await newBooks({ starter: 'empty' });
      const content = typeof file?.content === 'string' ? bytes(file.content) : (file?.content ?? bytes(''));
      const tables = readPaper(content, 'chart');
      if (!tables.ok) throw new Error(tables.problems[0]?.message);
      const { mapping, signature } = recogniseChart(tables.value);
      valueOf(
        await takeAccounts({
          books: second,
          name: 'chart',
          content,
          wish: {
            signature,
            mapping: { ...mapping, columns: [...mapping.columns] },
            choices: {},
            update: false,
            clash: 'keep',
          },
        }),
      );
      const again = await exportChart(second, 'csv');
      expect(again?.content).toBe((await exportChart(first, 'csv'))?.content);
    }
    const saft = await exportChart(first, 'xml');
    expect(String(saft?.content)).toContain('<AccountID>1010</AccountID>');
  });
});

describe('money accounts and tax codes', () => {
  it('are added several at once, a foreign one under a base-currency heading, with a checked IBAN', async () => {
    const books = await newBooks({ foreign: true });
    valueOf(await switchOn({ books, currency: 'NOK' }));
    const heading = await named(books, '1000');
    const row = { kind: 'bank' as const, parent: heading.id, number: '', currency: null };
    const wrong = await addMoneyAccounts({
      books,
      accounts: [{ ...row, code: '1020', name: 'Savings', iban: 'IE29AIBK93115212345679' }],
    });
    expect(wrong).toMatchObject({ ok: false, problems: [{ code: 'bank.iban', path: [-1, 'iban'] }] });
    valueOf(
      await addMoneyAccounts({
        books,
        accounts: [
          { ...row, code: '1020', name: 'Fjord bank', currency: 'NOK', iban: 'NO93 8601 1117 947' },
          { ...row, code: '1061', name: 'Van float', kind: 'cash', iban: '' },
          {
            ...row,
            code: '2410',
            name: 'Fuel card',
            kind: 'card',
            parent: (await named(books, '2000')).id,
            iban: '',
            number: '4471',
          },
        ],
      }),
    );
    const money = (await moneyView(books))?.money ?? [];
    expect(money.find(({ account }) => account.code === '1020')).toMatchObject({
      account: { currency: 'NOK', parent: heading.id },
      details: { iban: 'NO9386011117947' },
    });
    const other = await named(books, '1010');
    const details = money.find(({ account }) => account.code === '1020')?.details;
    if (details === undefined) throw new Error('details');
    expect(codesOf(await saveBanks({ books, accounts: [{ account: other.id, bank: details }] }))).toEqual([
      'bank.iban-twice',
    ]);
    valueOf(
      await saveBanks({
        books,
        accounts: [{ account: other.id, bank: { ...details, iban: '', alertBelow: 50_000n, statementDay: 31 } }],
      }),
    );
    // Two that change places do so in one go; all or none, each problem at its place; and nobody overwrites what they did not see.
    const foreign = await named(books, '1020');
    const both = (one: string, two: string, seen?: typeof details) =>
      saveBanks({
        books,
        accounts: [
          { account: other.id, bank: { ...details, iban: one } },
          { account: foreign.id, bank: { ...details, iban: two }, ...(seen === undefined ? {} : { seen }) },
        ],
      });
    valueOf(await both('NO93 8601 1117 947', ''));
    const twice = await both('IE29 AIBK 9311 5212 3456 78', 'IE29AIBK93115212345678');
    expect(twice.ok ? [] : twice.problems.map(({ code, path }) => [code, path])).toEqual([
      ['bank.iban-twice', [1, 'iban']],
    ]);
    expect(codesOf(await both('', '', details))).toEqual(['bank.changed']);
    expect((await moneyView(books))?.money.map(({ details: now }) => now.iban)).toContain('NO9386011117947');
    valueOf(await both('', 'NO93 8601 1117 947'));
    // Its currency is fixed once it is used.
    const nok = await named(books, '1020');
    await type(books, nok.id, 100n);
    expect(codesOf(await editChart({ books, edits: [change(nok, { currency: null })] as never }))).toEqual([
      'account.currency-used',
    ]);
  });
  it('tax codes are saved several at once, all or none, each as it was seen', async () => {
    const books = await newBooks();
    const plain = (code: string, name = 'Some') => ({
      code,
      name,
      direction: 'outside' as const,
      rates: [],
      charged: null,
      recoverable: null,
      active: true,
    });
    const codes = async () => (await taxView(books))?.codes.map(({ code, name }) => `${code} ${name}`);
    const save = (...entries: Parameters<typeof saveTaxCodes>[0]['entries']) => saveTaxCodes({ books, entries });
    const places = (done: Awaited<ReturnType<typeof save>>) => (done.ok ? [] : done.problems.map(({ path }) => path));
    const twice = await save({ id: null, code: plain('A') }, { id: null, code: plain('a') });
    expect(codesOf(twice)).toEqual(['tax.code-taken']);
    expect(places(twice)).toEqual([[1, 'code']]);
    expect(await codes()).toEqual([]);
    const made = valueOf(await save({ id: null, code: plain('A') }, { id: null, code: plain('B') })).rows;
    const [a, b] = made.map((row) => row?.id ?? 0);
    // What an earlier row gives up is free for a later one, in the same go.
    valueOf(
      await save(
        { id: a ?? 0, code: plain('C'), seen: plain('A') },
        { id: b ?? 0, code: plain('A'), seen: plain('B') },
      ),
    );
    expect(await codes()).toEqual(['A Some', 'C Some']);
    // Somebody else was there first: nothing of the batch is stored.
    const late = await save({ id: b ?? 0, code: null }, { id: a ?? 0, code: plain('D'), seen: plain('A') });
    expect(codesOf(late)).toEqual(['tax.changed']);
    expect(places(late)).toEqual([[1]]);
    expect(codesOf(await save({ id: a ?? 0, code: null, seen: plain('C', 'Other') }))).toEqual(['tax.changed']);
    valueOf(await save({ id: a ?? 0, code: null, seen: plain('C') }, { id: b ?? 0, code: plain('C') }));
    expect(await codes()).toEqual(['C Some']);
    expect(codesOf(await save({ id: a ?? 0, code: null }))).toEqual(['tax.gone']);
  });
  it('tax codes are kept with their rates, and used ones stay', async () => {
    const books = await newBooks();
    const [payable, claim] = [await named(books, '2200'), await named(books, '1400')];
    valueOf(await addStarterTaxCodes({ books, from: '2026-02-01', charged: payable.id, recoverable: claim.id }));
    const code = (await taxView(books))?.codes.find((one) => one.code === 'OUT-S');
    if (code === undefined) throw new Error('the standard code');
    const { id, ...fields } = code;
    const rates = [{ from: '2027-01-01' as const, rate: '22.5' }, ...code.rates];
    valueOf(await saveTaxCodes({ books, entries: [{ id, code: { ...fields, code: 'SALES', rates } }] }));
    expect((await taxView(books))?.codes.find((one) => one.id === id)?.rates).toEqual([
      ...code.rates,
      { from: '2027-01-01', rate: '22.5' },
    ]);
    const sales = await named(books, '4010');
    valueOf(await editChart({ books, edits: [change(sales, { taxCode: 'SALES' })] as never }));
    // A code that is renamed is renamed where it is proposed.
    valueOf(await saveTaxCodes({ books, entries: [{ id, code: { ...fields, code: 'S23', rates: [...code.rates] } }] }));
    expect((await named(books, '4010')).taxCode).toBe('S23');
    expect(codesOf(await saveTaxCodes({ books, entries: [{ id, code: null }] }))).toEqual(['tax.used']);
    expect(codesOf(await editChart({ books, edits: [{ kind: 'remove', id: payable.id }] }))).toEqual(['account.used']);
    expect(
      codesOf(
        await editChart({
          books,
          edits: [change(sales, { taxCode: 'NOPE' })].map((edit) => ({ ...edit, was: {} })),
        }),
      ),
    ).toEqual(['account.tax-code-unknown']);
  });
});

describe('tidying', () => {
  it('does many at once, sets aside with a reason, and brings back', async () => {
    const books = await newBooks({ legalForm: 'sole-trader', country: 'JP', currency: 'JPY', starter: 'services' });
    valueOf(await takeLines({ books, text: 'Share capital\nDividends', under: '3000' }));
    valueOf(await takeLines({ books, text: 'Sundry expenses\nStationary and postage', under: '6000' }));
    const advice = (await tidyView(books))?.advice ?? [];
    expect(advice.map(({ kind }) => kind).sort()).toEqual([
      'catch-all',
      'misfit-form',
      'misfit-form',
      'near-duplicate',
    ]);
    const [catchAll] = advice.filter(({ kind }) => kind === 'catch-all');
    valueOf(await dismissAdvice({ books, keys: [catchAll?.key ?? ''], reason: 'the owner wants it' }));
    expect(codesOf(await dismissAdvice({ books, keys: ['x'], reason: ' ' }))).toEqual(['input.too_small']);
    const done = valueOf(
      await takeAdvice({ books, keys: advice.filter(({ kind }) => kind !== 'catch-all').map(({ key }) => key) }),
    );
    expect(done).toEqual({ done: 3, problems: [] });
    const left = (await tidyView(books))?.advice ?? [];
    expect(left).toMatchObject([{ kind: 'catch-all', dismissal: { reason: 'the owner wants it' } }]);
    valueOf(await recallAdvice({ books, keys: [catchAll?.key ?? ''] }));
    expect((await tidyView(books))?.advice[0]?.dismissal).toBeNull();
    expect((await chartStatementsView(books))?.nowhere).toEqual([]);
  });
});
