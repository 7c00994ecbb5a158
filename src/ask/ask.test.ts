import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { askList } from './list';
import { askMatch } from './match';
import { askRead } from './read';
import { askSearch } from './search';
import { askStatement } from './statement';

const file = (text: string, name = 'file.csv') => ({ bytes: new TextEncoder().encode(text), name });
const demo = (name: string) => ({ bytes: new Uint8Array(readFileSync(`demo/papers/${name}`)), name });

describe('asking without the screen', () => {
  it('reads a paper: the rows that would be taken, what they come to, of which day and currency', async () => {
    const answer = await askRead(demo('marram-trial-balance-2026-07-31.csv'));
    expect(answer).toMatchObject({
      ok: true,
      value: {
        asAt: '2026-07-31',
        currency: 'EUR',
        net: '360.00',
        totals: { debits: '673297.40', credits: '672937.40' },
        doubts: [{ code: 'reading.net', row: null }],
      },
    });
    if (answer.ok)
      expect((answer.value as { rows: readonly unknown[] }).rows).toContainEqual({
        row: 24,
        code: '2210',
        name: 'VAT payable',
        amount: '-8154.20',
      });
  });
  it('offers other readings with their rows, and reads amounts without decimals where the paper has none', async () => {
    const answer = await askRead(
      file('Code;Account;A;B\n1010;Bank;1 000;900\n1020;Van;2 500;2 600\n3010;Capital;-3 500;-3 500\n'),
    );
    expect(answer).toMatchObject({
      ok: true,
      value: {
        net: '0',
        alternatives: expect.arrayContaining([
          expect.objectContaining({
            what: '“B” instead of “A”',
            net: '0',
            rows: [
              { row: 2, code: '1010', name: 'Bank', amount: '900' },
              { row: 3, code: '1020', name: 'Van', amount: '2600' },
              { row: 4, code: '3010', name: 'Capital', amount: '-3500' },
            ],
          }),
        ]) as unknown,
      },
    });
  });
  it('says why a file does not read', async () => {
    expect(await askRead(file('', 'nothing.csv'))).toMatchObject({ ok: false, problems: [{ code: 'paper.empty' }] });
    expect(await askRead(file('%PDF-1.7 and then nothing', 'cut.pdf'))).toMatchObject({
      ok: false,
      problems: [{ code: 'paper.pdf' }],
    });
  });
  it('matches old accounts with a chart, certain only where code, meaning and side agree', () => {
    const chart = file(
      'code,name,type,line,role,parent,heading\n1000,Current assets,asset,,,,true\n1100,Trade debtors,asset,current-asset,receivables-control,1000,\n2100,Trade creditors,liability,,,,\n6100,Wages and salaries,expense,,,,\n',
    );
    const answer = askMatch(
      chart,
      file(
        'code,name,debit,credit\n411,Clients,500.00,\n401,Fournisseurs,,90.5\n1100,Trade debtors,1.00,\n641,Salaires,10,\n',
      ),
    );
    expect(answer).toMatchObject({
      ok: true,
      value: [
        {
          code: '411',
          candidates: [{ code: '1100' }],
          certain: false,
          proposal: { type: 'asset', line: 'current-asset', role: 'receivables-control' },
        },
        { code: '401', candidates: [{ code: '2100' }], proposal: { type: 'liability' } },
        { code: '1100', candidates: [{ code: '1100' }], certain: true },
        { code: '641', candidates: [{ code: '6100' }], proposal: { line: 'operating-expense' } },
      ],
    });
    expect(askMatch(chart, file('name\nx\n'))).toMatchObject({ ok: false, problems: [{ code: 'ask.columns' }] });
    expect(askMatch(chart, file('code,name,debit,credit\n1,x,1.2.3,\n'))).toMatchObject({
      ok: false,
      problems: [{ code: 'ask.amount' }],
    });
  });
  it('searches for what would explain a difference, and finds it in a paper that nets', () => {
    const figures =
      'code,name,type,line,role,debit,credit,currency,amount,rate\n1010,Bank,,current-asset,,5000.00,,,,\n2210,VAT payable,,current-liability,,,8154.20,,,\n3010,Capital,,equity,,,1000.00,,,\n6100,Wages,,operating-expense,,4522.20,,,,\n1200,Till,,current-asset,,,8.00,,,\n';
    const first = (asked: ReturnType<typeof askSearch>): unknown =>
      asked.ok ? (asked.value as readonly unknown[])[0] : asked;
    expect(first(askSearch(file(figures), undefined))).toMatchObject({
      kinds: ['transposed'],
      rows: ['2210'],
      explains: '360.00',
      changes: [{ code: '2210', from: '-8154.20', to: '-8514.20' }],
    });
    const paper = file(
      'code,name,debit,credit\n1010,Bank,5000.00,\n2210,VAT payable,,8514.20\n3010,Capital,,1000.00\n6100,Wages,4522.20,\n1200,Till,,8.00\n',
    );
    expect(first(askSearch(file(figures), paper))).toMatchObject({
      kinds: ['differs'],
      rows: ['2210'],
      label: 'very likely',
    });
    // Three decimals are counted as they are, none is cut off.
    expect(
      first(askSearch(file('code,line,debit,credit\n1,current-asset,5000.125,\n2,equity,,5000.152\n'), undefined)),
    ).toMatchObject({ kinds: ['transposed'], explains: '-0.027', changes: [{ code: '1', to: '5000.152' }] });
    expect(askSearch(file('code,debit,credit\n1,5,5\n'), undefined)).toEqual({ ok: true, value: [] });
  });
  it('reads a list of open items, as the books see them, each in its own currency', async () => {
    const list = file(
      'Suppliers as at 31 July 2026\nCode;Supplier;Invoice no;Date;Due date;Currency;Open;Base EUR\nL1;Cairn;A-1;2026-07-01;2026-07-31;JPY;12000;75,00\nL1;Cairn;A-2;2026-07-02;2026-08-01;EUR;5,00;5,00\n;Total;;;;;;80,00\n',
    );
    expect(await askList(list)).toMatchObject({
      ok: true,
      value: {
        kind: 'suppliers',
        asAt: '2026-07-31',
        currency: 'EUR',
        items: [
          { row: 3, number: 'A-1', currency: 'JPY', open: '-12000', base: '-75.00', original: null },
          { row: 4, number: 'A-2', currency: 'EUR', open: '-5.00' },
        ],
        totals: { JPY: '-12000', EUR: '-5.00' },
        printedTotals: { base: '-80.00' },
        doubts: [],
      },
    });
  });
  it('reads registers, stock lists, plans and prepayments, told by what they are', async () => {
    const stock = file(
      'Stock 31.07.2026 EUR\nCode,Article,Unit,Quantity,Unit cost,Value\nA,Rope,m,2.50,4.0000,10.00\nB,Wax,kg,0,3.00,0.00\n',
    );
    expect(await askList(stock)).toMatchObject({
      ok: true,
      value: {
        kind: 'stock',
        asAt: '2026-07-31',
        currency: 'EUR',
        items: [
          {
            row: 3,
            code: 'A',
            name: 'Rope',
            category: null,
            unit: 'm',
            quantity: '2.5',
            unitCost: '4',
            value: '10.00',
          },
          { row: 4, quantity: '0', value: '0' },
        ],
        totals: { EUR: '10.00' },
      },
    });
    const plan = file(
      'Date,Interest,Principal,Payment,Balance\n2026-08-31,5.00,100.00,105.00,900.00\n2026-09-30,4.50,100.00,104.50,800.00\n',
    );
    expect(await askList({ ...plan, kind: 'loans' })).toMatchObject({
      ok: true,
      value: { kind: 'loans', items: [{ date: '2026-08-31', instalment: '105.00', outstanding: '900.00' }, {}] },
    });
    // Its header says what it is, unasked; so does that of what is paid ahead, though a supplier stands in it.
    expect(await askList(plan)).toMatchObject({ ok: true, value: { kind: 'loans' } });
    const ahead = file(
      'Supplier,Text,From,To,Amount,Used,Remaining\nHosts,Web,2026-01-01,2026-12-31,120.00,70.00,50.00\n',
    );
    expect(await askList(ahead)).toMatchObject({
      ok: true,
      value: { kind: 'prepayments', items: [{ remaining: '50.00' }] },
    });
    expect(await askList({ ...plan, kind: 'stock' })).toMatchObject({ ok: false, problems: [{ code: 'list.none' }] });
  });
  it('reads a list of contacts where there are no open items', async () => {
    const list = file(
      'Code,Name,Country,Email\nK1,Ardmore Boats Ltd,IE,a@ard.example\nK2,Ardmore Boats,IE,\n',
      'customers.csv',
    );
    expect(await askList(list)).toMatchObject({
      ok: true,
      value: { kind: 'contacts', items: [{ role: 'customer', email: 'a@ard.example' }, {}], nearDuplicates: [[2, 3]] },
    });
    expect(await askList(file('a\nb\n'))).toMatchObject({ ok: false, problems: [{ code: 'list.none' }] });
  });
  it('reads a bank’s statement, from its own file or from a table', async () => {
    expect(
      await askStatement(file('Date,Text,Amount (EUR),Balance\n2026-07-01,Sale,5.00,15.00\n', 's.csv')),
    ).toMatchObject({
      ok: true,
      value: {
        statements: [
          {
            currency: 'EUR',
            opening: { date: '2026-07-01', amount: '10.00' },
            closing: { amount: '15.00' },
            entries: [{ amount: '5.00' }],
          },
        ],
        doubts: [],
      },
    });
    expect(await askStatement(file('<a/>', 's.xml'))).toMatchObject({
      ok: false,
      problems: [{ code: 'statement.none' }],
    });
  });
});
