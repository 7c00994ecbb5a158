import { readFileSync, readdirSync } from 'node:fs';
import fc from 'fast-check';
import { strToU8, unzipSync, zipSync } from 'fflate';
import * as XLSX from '@e965/xlsx';
import { describe, expect, it } from 'vitest';
import { formatMinor } from '../money/format';
import { type Minor, minor, sum } from '../money/minor';
import { NUMBER_STYLES, marksOf } from '../money/number-style';
import { readPaperAmount } from '../money/paper-amount';
import { type Table, textOf } from '../base/table';
import { MOST_ROWS } from '../files/limits';
import { readPaper } from '../files/read';
import type { Reading } from './reading';
import { explained, recognise } from './recognise';
import { tablesUnder } from './arrange';
import { rowTotals } from './rows';
import { statedDate } from './stated-date';
import { asText, fromText, toCsv, toXlsx } from '../files/write';
import { decimalOf } from '../files/decimal-of';

const demo = (name: string): Uint8Array => readFileSync(new URL(`../../../demo/papers/${name}`, import.meta.url));
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

const open = (content: Uint8Array, name = 'file'): readonly Table[] => {
  const read = readPaper(content, name);
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value;
};
const refusal = (content: Uint8Array): string | undefined => {
  const read = readPaper(content, 'file');
  return read.ok ? undefined : read.problems[0]?.code;
};
const rowsOf = (tables: readonly Table[], reading: Reading, digits = 2) => explained(tables, reading, { digits }).rows;

describe('the demo’s papers are read right without a correction', () => {
  it('two columns, points and commas, Windows-1252, headings and totals between the rows', () => {
    const tables = open(demo('marram-trial-balance-2026-07-31.csv'));
    const { reading } = recognise(tables, { digits: 2 });
    expect(reading).toMatchObject({
      header: 4,
      columns: ['code', 'name', 'debit', 'credit'],
      style: '1.234,56',
      convention: 'written',
    });
    const rows = rowsOf(tables, reading);
    const totals = rowTotals(rows);
    expect([totals.accounts, totals.debits, totals.credits, totals.net]).toEqual([45, 67329740n, 67293740n, 36000n]);
    expect(rows.filter((row) => row.kind === 'total')).toHaveLength(10);
    expect(rows.filter((row) => row.kind === 'heading')).toHaveLength(9);
    expect(rows.find((row) => row.code === '2210')).toMatchObject({ amount: -815420n, row: 24 });
    expect(
      ['Café samples and tastings', 'Petty cash – pier office', 'Employer’s payroll taxes'].every((name) =>
        rows.some((row) => row.name === name),
      ),
    ).toBe(true);
    expect(rows[2]?.text).toContain('€');
    expect(rows.some((row) => row.kind === 'unreadable')).toBe(false);
  });
  it('a workbook with a cover sheet, codes as numbers, one signed balance column', () => {
    const tables = open(demo('tessellate-predvaha-2025-12-31.xlsx'));
    const { reading } = recognise(tables, { digits: 2 });
    expect(reading).toMatchObject({
      sheet: 1,
      header: 3,
      columns: ['code', 'name', 'balance'],
      convention: 'debit-positive',
    });
    const totals = rowTotals(rowsOf(tables, reading));
    expect([totals.accounts, totals.net]).toEqual([15, 0n]);
  });
  it('a side column', () => {
    const tables = open(demo('juniper-trial-balance-2026-08-31.csv'));
    const { reading } = recognise(tables, { digits: 2 });
    expect(reading.columns).toEqual(['code', 'name', 'side', 'balance']);
    const totals = rowTotals(rowsOf(tables, reading));
    expect([totals.accounts, totals.net, totals.debits]).toEqual([10, 0n, 4539015n]);
  });
});

/** Papers that are tables of accounts or of items; the others are to look at. */
const PAPERS = readdirSync(new URL('../../../demo/papers/', import.meta.url)).filter(
  (name) => !/rates|confirmation|\.eml$/.test(name),
);

describe('papers of many shapes', () => {
  const read = (name: string, digits = 2) => {
    const tables = open(demo(name), name);
    const date = statedDate(tables, { sheet: 0, header: -1, columns: [] }, name);
    const recognition = recognise(tables, { digits, ...(date === undefined ? {} : { date }) });
    return { tables, ...recognition, rows: rowsOf(tables, recognition.reading, digits) };
  };
  const whole = { accounts: 22, debits: 59402987n, credits: 59402987n, net: 0n };
  it.each<[string, object, Partial<Reading>]>([
    ['edelweiss-saldenliste-2025-12-31.csv', whole, { style: "1'234.56", convention: 'debit-positive' }],
    ['glazura-zustatky-2025-12-31.csv', whole, { style: '1.234,56', convention: 'debit-positive' }],
    ['harbour-lane-ledger-2026-07-31.txt', whole, { columns: ['code', 'name', 'debit', 'credit'] }],
    ['lantern-balances-by-section-2026-08-31.csv', whole, { convention: 'normal-side' }],
    ['mooring-audit-file-2026-06-30.xml', whole, { convention: 'written' }],
    ['pilot-turnovers-and-balance-2026-07-31.csv', whole, { convention: 'debit-positive' }],
    ['quayside-credit-plus-2026-01-31.csv', whole, { convention: 'credit-positive' }],
    ['saltmarsh-obratova-predvaha-2025-12-31.tsv', whole, { header: 4, height: 2, style: '1 234,56' }],
    [
      'peacock-trial-balance-2026-03-31.txt',
      { accounts: 22, net: 0n, debits: 8138209219n },
      { style: '12,34,567.00', columns: ['code-name', 'balance'] },
    ],
    ['brisants-balance-2026-06-30.csv', whole, { columns: ['code', 'name', 'debit', 'credit'] }],
    ['ribera-balance-por-niveles-2025-12-31.txt', whole, { convention: 'debit-positive' }],
    ['zatoka-obroty-i-salda-2025-12-31.csv', whole, { height: 2, convention: 'written' }],
    ['yelken-mizan-2026-03-31.txt', whole, { convention: 'written' }],
    ['ormos-isozygio-2026-06-30.csv', whole, { columns: ['code', 'name', 'ignore', 'balance', 'side'] }],
    ['skaret-balans-och-resultat-2026-08-31.tsv', whole, { convention: 'section-side' }],
    ['marram-balances-in-currency-2026-07-31.xlsx', { accounts: 7, net: 0n, debits: 17853175n }, { sheet: 1 }],
  ])('%s is read right without a correction', (name, totals, reading) => {
    const { rows, reading: found } = read(name);
    expect(rowTotals(rows)).toMatchObject(totals);
    expect(found).toMatchObject(reading);
    expect(rows.filter(({ kind }) => kind === 'unreadable')).toEqual([]);
  });
  it('tells a parent’s total from an account of its own, without decimals', () => {
    const { rows } = read('nightjar-balances-2026-03-31.csv', 0);
    expect(rowTotals(rows)).toMatchObject({ accounts: 8, net: 0n, debits: 2368700n });
    expect(rows.filter(({ kind }) => kind === 'total').map(({ code }) => code)).toEqual(['100', '110', '200', '300']);
  });
  it('knows the section of a row until its total, and no longer under a heading that says nothing', () => {
    const tables = open(
      bytes(
        'Code,Name,Debit,Credit\n,Expenses,,\n1,Odd,5.00,\n,Premises,,\n2,Even,6.00,\n,Total expenses,11.00,\n,Beyond,,\n3,Grant,,11.00',
      ),
    );
    expect(
      rowsOf(tables, recognise(tables, { digits: 2 }).reading)
        .filter(({ kind }) => kind === 'account')
        .map(({ section }) => section),
    ).toEqual(['operating-expense', 'operating-expense', undefined]);
  });
  it('keeps amounts in currency beside those in base currency', () => {
    const { rows } = read('marram-balances-in-currency-2026-07-31.xlsx');
    expect(rows.flatMap(({ foreign }) => (foreign === undefined ? [] : [foreign]))).toEqual([
      { currency: 'GBP', amount: 1117231n },
      { currency: 'NOK', amount: 35620934n },
    ]);
  });
  it('reads Central European letters by their bytes', () => {
    expect(read('glazura-zustatky-2025-12-31.csv').rows.map(({ name }) => name)).toContain('Běžný účet u banky');
  });
  it.each([
    ['marram-trial-balance-2026-07-31.csv', '2026-07-31'],
    ['peacock-trial-balance-2026-03-31.txt', '2026-03-31'],
    ['nightjar-balances-2026-03-31.csv', '2026-03-31'],
    ['lantern-balances-by-section-2026-08-31.csv', '2026-08-31'],
    ['person-two-years-unnamed.csv', undefined],
  ])('%s says of which day it is', (name, day) => {
    const { tables, reading } = read(name);
    expect(statedDate(tables, reading, name)).toBe(day);
  });
  it.each([
    ['自 令和6年4月1日 至 令和7年3月31日', '2025-03-31'],
    ['平成元年12月31日', '1989-12-31'],
    ['Stand: Dezember 2025', '2025-12-31'],
    ['Období: 1-12/2025', '2025-12-31'],
    ['Balances at February 2024', '2024-02-29'],
    ['1-12/2025 as at 30/11/2025', '2025-11-30'],
    ['2025年12月', '2025-12-31'],
    ['令和7年3月度', '2025-03-31'],
    ['ณ วันที่ 31 ธันวาคม 2568', '2025-12-31'],
    ['งบทดลอง 30/06/2569', '2026-06-30'],
    ['كما في ٣١ ديسمبر ٢٠٢٥', '2025-12-31'],
    ['ליום 31 בדצמבר 2025', '2025-12-31'],
    ['Ngày 31 tháng 12 năm 2025', '2025-12-31'],
    ['Month 12, December 2025', '2025-12-31'],
    ['Date: 14/01/2026   Time: 09:14\nTo Period: Month 12, December 2025', '2025-12-31'],
    ['Datum: 31.12.2025', '2025-12-31'],
    ['Run date;1 Jul 2026;;As at;30 Jun 2026', '2026-06-30'],
    ['Stichtag;30. 6. 2026;Druckdatum;8. 7. 2026', '2026-06-30'],
    ['1-Apr-25 to 31-Mar-26', '2026-03-31'],
    ["Balances at 31 Mar '26", '2026-03-31'],
    ['desde 01-01-26 hasta 30-06-26', '2026-06-30'],
    ['vom 1.7.25 bis 30.6.26', '2026-06-30'],
    ['期间：2026年1月至2026年6月', '2026-06-30'],
    ['Saldobalanse hittil 2026 per 31.07. (hele kroner)', '2026-07-31'],
    ['okres: 01-2026 do 06-2026', '2026-06-30'],
    ['Section 1.2.3 of 10-20-3000', undefined],
    ['Sort code 10-11-12-13', undefined],
    ['Printed March 2026', undefined],
    ['Maia Bank, 2025', undefined],
    ['Room 1/2100', undefined],
  ])('“%s” names a day or none', (title, day) => {
    const tables = open(bytes(`${title}\nCode;Name;Debit;Credit\n1;Bank;5.00;\n2;Sales;;5.00`));
    expect(statedDate(tables, recognise(tables, { digits: 2 }).reading, 'list.csv')).toBe(day);
  });
  it('needs a person for two years without a name: another column is chosen', () => {
    const { tables, reading, rows } = read('person-two-years-unnamed.csv');
    const other = rowsOf(tables, { ...reading, header: 0, columns: ['code', 'name', 'ignore', 'balance'] });
    expect(rowTotals(rows).debits).not.toBe(59402987n);
    expect(rowTotals(other)).toMatchObject(whole);
  });
  it('leaves out a subtotal with a code of its own, without which the accounts net to zero, and says so', () => {
    const { rows, tables } = read('person-coded-subtotal.csv');
    expect(rowTotals(rows)).toMatchObject(whole);
    const { doubts, reading } = recognise(tables, { digits: 2, date: '2026-07-31' });
    expect(doubts).toMatchObject([{ code: 'reading.sum', row: 9 }]);
    // A person who says that it is an account is believed.
    expect(rowTotals(rowsOf(tables, { ...reading, asAccount: { 8: true } })).net).not.toBe(0n);
  });
  it('leaves out rows of another form by which the accounts would be out, says so, and believes a person who says otherwise', () => {
    const text = new TextDecoder().decode(demo('person-quantities-between.csv')).replace('48.120,55', '48.210,55');
    const tables = open(bytes(text));
    const { rows, doubts, reading } = recognise(tables, { digits: 2 });
    expect(rowTotals(rows)).toMatchObject(whole);
    expect(doubts.map(({ code }) => code)).toEqual(['reading.form']);
    expect(rowTotals(rowsOf(tables, { ...reading, asAccount: { 5: true } })).accounts).toBe(29);
    // Where the paper is out by something else, nothing is left out by itself.
    const out = recognise(open(demo('person-quantities-between.csv')), { digits: 2 });
    expect(rowTotals(out.rows).accounts).toBe(29);
  });
  it('leaves out no account that only happens to be what the paper is out by', () => {
    const tables = open(
      bytes('Code,Name,Debit,Credit\n1,Bank,5.00,\n2,Till,7.00,\n3,Loan,,4.00\n4,Ice,8.00,\n5,Sales,,9.00'),
    );
    const { rows, doubts } = recognise(tables, { digits: 2 });
    expect(rows.filter(({ kind }) => kind === 'account')).toHaveLength(5);
    expect(doubts.map(({ code }) => code)).toContain('reading.net');
  });
  it('needs a person for two number styles in one column: the rows are named, none is misread', () => {
    const { rows } = read('person-mixed-number-styles.csv');
    expect(rows.filter(({ kind }) => kind === 'unreadable').map(({ row }) => row)).toEqual([4, 17]);
  });
  it('proposes the convention that nets to zero, and shows what the others come to', () => {
    const { nets, reading } = read('lantern-balances-by-section-2026-08-31.csv');
    expect(nets.find(({ convention }) => convention === reading.convention)?.net).toBe(0n);
    expect(nets.filter(({ net }) => net !== 0n).map(({ convention }) => convention)).toEqual(
      expect.arrayContaining(['debit-positive', 'credit-positive']),
    );
  });
});

const styles = fc.constantFrom(...NUMBER_STYLES);
const amounts = fc.bigInt({ min: -(10n ** 12n), max: 10n ** 12n }).map(minor);

describe('accounts under a total that names a section', () => {
  it('stand in it, until another section or total begins', () => {
    const tables = open(demo('nightjar-balances-2026-03-31.csv'), 'nightjar.csv');
    const { rows } = recognise(tables, { digits: 0 });
    const sections = rows.flatMap(({ kind, name, section }) => (kind === 'account' ? [[name, section]] : []));
    expect(Object.fromEntries(sections)).toMatchObject({
      Till: 'current-asset',
      'Bicycles and lockers': 'current-asset',
      'Trade payables': 'current-liability',
    });
  });
});

describe('reading what was written', () => {
  const negatives: readonly ((text: string) => string)[] = [
    (text) => `-${text}`,
    (text) => `(${text})`,
    (text) => `${text}-`,
    (text) => `\u2212 ${text}`,
    (text) => `${text} Cr`,
    (text) => `€ (${text})`,
    (text) => `△${text}`,
    (text) => `¥▲ ${text}`,
    (text) => `(-)${text}`,
  ];
  it('is the identity for every style and every way to write a negative', () => {
    fc.assert(
      fc.property(amounts, styles, fc.constantFrom(...negatives), (amount, style, negative) => {
        const magnitude = formatMinor(amount < 0n ? -amount : amount, 2, style);
        const read = readPaperAmount(amount < 0n ? negative(magnitude) : magnitude, style);
        if (read === undefined) throw new Error(magnitude);
        const signed = read.side === 'credit' ? -read.coefficient : read.coefficient;
        expect(signed * 10n ** BigInt(2 - read.scale)).toBe(amount);
      }),
    );
  });

  it('knows a dash in the place of decimals from one that is a sign, and stars around a sum from figures', () => {
    fc.assert(
      fc.property(amounts, styles, fc.constantFrom('–', '-', '--', '—'), (amount, style, dash) => {
        const whole = amount < 0n ? -amount : amount;
        const text = formatMinor(whole, 0, style) + marksOf(style).decimal + dash;
        const of = (written: string) => readPaperAmount(written, style)?.coefficient;
        expect([text, `-${text}`, `(${text})`, `${text} Cr`, `**${text}**`].map(of)).toEqual([
          whole,
          -whole,
          -whole,
          whole,
          whole,
        ]);
        expect(of(`${formatMinor(whole, 0, style)}-`)).toBe(-whole);
      }),
    );
  });

  const SHAPES = ['two columns', 'phases', 'one balance', 'side column', 'suffix', 'code and name in one'] as const;
  const layouts = fc.record({
    style: styles,
    shape: fc.constantFrom(...SHAPES),
    delimiter: fc.constantFrom(';', '\t', '|'),
    encoding: fc.constantFrom('utf-8', 'utf-16le'),
    title: fc.integer({ min: 0, max: 4 }),
    list: fc.array(
      amounts.filter((amount) => amount !== 0n && amount % 100n !== 0n),
      { minLength: 8, maxLength: 30 },
    ),
  });
  type Layout = Parameters<Parameters<typeof layouts.map>[0]>[0];
  const write = ({ style, shape, delimiter, encoding, title, list }: Layout): Uint8Array => {
    const plain = (amount: bigint): string => formatMinor(minor(amount < 0n ? -amount : amount), 2, style);
    const two = (amount: Minor): string[] => [amount > 0n ? plain(amount) : '', amount < 0n ? plain(amount) : ''];
    const cells: Readonly<Record<Layout['shape'], (code: string, name: string, amount: Minor) => string[]>> = {
      'two columns': (code, name, amount) => [code, name, ...two(amount)],
      phases: (code, name, amount) => [code, name, ...two(minor(amount + 101n)), '', plain(101n), ...two(amount)],
      'one balance': (code, name, amount) => [code, name, `${amount < 0n ? '-' : ''}${plain(amount)}`],
      'side column': (code, name, amount) => [code, name, plain(amount), amount < 0n ? 'Cr' : 'Dr'],
      suffix: (code, name, amount) => [code, name, `${plain(amount)} ${amount < 0n ? 'Cr' : 'Dr'}`],
      'code and name in one': (code, name, amount) => [`${code} ${name}`, ...two(amount)],
    };
    const heads: Readonly<Record<Layout['shape'], readonly string[][]>> = {
      'two columns': [['Code', 'Account name', 'Debit', 'Credit']],
      phases: [
        ['', '', 'Opening', '', 'Movement', '', 'Closing', ''],
        ['Code', 'Account name', 'Debit', 'Credit', 'Debit', 'Credit', 'Debit', 'Credit'],
      ],
      'one balance': [['Code', 'Account name', 'Balance']],
      'side column': [['Code', 'Account name', 'Amount', 'Dr/Cr']],
      suffix: [['Code', 'Account name', 'Balance']],
      'code and name in one': [['Account', 'Debit', 'Credit']],
    };
    const text = [
      ...Array.from({ length: title }, (_, at) => `Title line ${at}`),
      ...heads[shape].map((row) => row.join(delimiter)),
      ...list.map((amount, at) =>
        cells[shape](String(1000 + at * 7), `Ledger of kind ${'abcdefgh'.charAt(at % 8)}`, amount).join(delimiter),
      ),
    ].join('\n');
    if (encoding === 'utf-8') return bytes(text);
    const wide = new Uint8Array(text.length * 2);
    for (let at = 0; at < text.length; at += 1) wide.set([text.charCodeAt(at) & 255, text.charCodeAt(at) >> 8], at * 2);
    return wide;
  };
  it('finds every account and amount of any generated layout', () => {
    fc.assert(
      fc.property(layouts, (layout) => {
        const tables = open(write(layout));
        const { reading } = recognise(tables, { digits: 2 });
        const accounts = rowsOf(tables, reading).filter((row) => row.kind === 'account');
        // With one signed column the figures alone cannot say which sign is the debit, unless they net to zero.
        const turned = layout.shape === 'one balance' && reading.convention === 'credit-positive' ? -1n : 1n;
        expect(accounts.map((row) => row.amount * turned)).toEqual(layout.list);
        expect(accounts.map((row) => row.code)).toEqual(layout.list.map((_, at) => String(1000 + at * 7)));
      }),
      { numRuns: 150, endOnFailure: true },
    );
  });
  it('reads every way to write amounts in all shapes the same: the shape changes no figure', () => {
    fc.assert(
      fc.property(layouts, fc.constantFrom(...SHAPES), (layout, other) => {
        const figures = (given: Layout): readonly string[] => {
          const tables = open(write(given));
          return rowsOf(tables, recognise(tables, { digits: 2 }).reading)
            .filter(({ kind }) => kind === 'account')
            .map(({ amount }) => String(amount < 0n ? -amount : amount));
        };
        expect(figures({ ...layout, shape: other })).toEqual(figures(layout));
      }),
      { numRuns: 60, endOnFailure: true },
    );
  });

  it('takes the side that a title says where nothing stands on the other one', () => {
    for (const [line, sign] of [
      [';', -1n],
      ['', 1n],
    ] as const) {
      const amounts = ['0.01', '0.01', '0.01', '0.01', '21.01', '0.01', '0.01', '0.01'];
      const tables = open(
        bytes(
          `Code;Account name;Debit;Credit\n${amounts.map((amount, at) => `${String(1000 + at)};Ledger ${'abcdefgh'.charAt(at)};${line}${amount}${line === '' ? ';' : ''}`).join('\n')}`,
        ),
      );
      const accounts = rowsOf(tables, recognise(tables, { digits: 2 }).reading).filter(
        ({ kind }) => kind === 'account',
      );
      expect(accounts.map(({ amount }) => amount)).toEqual(
        [1n, 1n, 1n, 1n, 2101n, 1n, 1n, 1n].map((one) => one * sign),
      );
    }
  });
  it('tells totals by being sums even without a word', () => {
    const tables = open(
      bytes('Code,Name,Balance\n1,Ink,10.00\n2,Paper,5.50\n,Stationery,15.50\n3,Loan,-15.50\n,,0.00'),
    );
    const rows = rowsOf(tables, recognise(tables, { digits: 2 }).reading);
    expect(rows.map((row) => row.kind)).toEqual(['header', 'account', 'account', 'total', 'account', 'total']);
    expect(rowTotals(rows).net).toBe(0n);
  });
  it('says what it cannot read, and where', () => {
    const tables = open(bytes('Code,Name,Debit,Credit\n1,Ink,ten,\n2,Paper,5.505,\n3,Glue,5.50,\n4,Tape,1.10,'));
    const rows = rowsOf(tables, recognise(tables, { digits: 2 }).reading);
    expect(rows.map((row) => row.kind)).toEqual(['header', 'unreadable', 'unreadable', 'account', 'account']);
    expect(rows[1]?.note).toContain('“ten”');
    expect(rows[2]?.note).toContain('3 decimals');
  });
  it('lets a person overrule what a row is', () => {
    const tables = open(bytes('Code,Name,Balance\n1,Total recall books,10.00\n2,Totals suspense,5.50'));
    const { reading } = recognise(tables, { digits: 2 });
    expect(rowTotals(rowsOf(tables, reading)).accounts).toBe(2);
    expect(rowTotals(rowsOf(tables, { ...reading, asAccount: { 1: true, 2: true } })).accounts).toBe(2);
    expect(rowTotals(rowsOf(tables, { ...reading, asAccount: { 1: false, 2: false } })).accounts).toBe(0);
  });
  it('turns the sign of a single balance column when told so', () => {
    const tables = open(bytes('Code,Name,Balance\n1,Bank,-10.00\n2,Capital,10.00'));
    const { reading } = recognise(tables, { digits: 2 });
    const flipped = rowsOf(tables, { ...reading, convention: 'credit-positive' });
    expect(sum(flipped.map((row) => row.amount))).toBe(0n);
    expect(flipped[1]?.amount).toBe(1000n);
  });
  it('respects a side written inside a credit column', () => {
    const tables = open(bytes('Code,Name,Debit,Credit\n1,Bank,,10.00 Dr\n2,Capital,,10.00'));
    expect(rowTotals(rowsOf(tables, recognise(tables, { digits: 2 }).reading)).net).toBe(0n);
  });
});

describe('spreadsheets', () => {
  it('give each number’s exact decimal, without binary noise', () => {
    expect([0.1 + 0.2, 1e-7, 123456789.12, -1234.5, 1e21, 0, -0, 100].map(decimalOf)).toEqual([
      '0.3',
      '0.0000001',
      '123456789.12',
      '-1234.5',
      '1000000000000000000000',
      '0',
      '0',
      '100',
    ]);
    fc.assert(
      fc.property(fc.integer({ min: -99_999_999_999, max: 99_999_999_999 }), (cents) => {
        expect(decimalOf(cents / 100)).toBe(String(cents / 100).replace(/^-0$/, '0'));
      }),
    );
  });
  it('round-trip amounts and keep formula-like text as text', () => {
    fc.assert(
      fc.property(fc.array(amounts, { minLength: 1, maxLength: 20 }), (list) => {
        const [table] = open(
          toXlsx(
            'TB',
            list.map((amount) => ['=1+1', { amount, digits: 2 }]),
          ),
        );
        const read = table?.rows.map((row) => {
          const cell = row[1];
          return typeof cell === 'object' ? readPaperAmount(cell.decimal, '1234.56') : undefined;
        });
        expect(
          read?.map((one) => (one === undefined ? undefined : one.coefficient * 10n ** BigInt(2 - one.scale))),
        ).toEqual(list);
        expect(table?.rows[0]?.[0]).toBe('=1+1');
      }),
      { numRuns: 30 },
    );
  });
  it('keep leading zeros that a format shows', () => {
    const sheet = XLSX.utils.aoa_to_sheet([[{ t: 'n', v: 22, z: '000' }]]);
    const book = XLSX.utils.book_new();
    XLSX.utils.book_append_sheet(book, sheet, 'S');
    const [table] = open(new Uint8Array(XLSX.write(book, { type: 'array', bookType: 'xlsx' }) as ArrayBuffer));
    expect(table?.rows[0]?.[0]).toEqual({ decimal: '22', shown: '022' });
  });
});

describe('hostile and broken files get a code and a sentence', () => {
  it.each([
    ['nothing', new Uint8Array(), 'paper.empty'],
    ['white space', bytes(' \n\n'), 'paper.empty'],
    ['a picture', new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 0]), 'paper.binary'],
    ['a zip that is no workbook', zipSync({ 'a.txt': strToU8('a') }), 'paper.broken'],
    ['half a zip', zipSync({ 'xl/workbook.xml': strToU8('x'.repeat(5000)) }).slice(0, 40), 'paper.broken'],
    ['macros', zipSync({ 'xl/workbook.xml': strToU8('<x/>'), 'xl/vbaProject.bin': strToU8('x') }), 'paper.macros'],
    [
      'a bomb',
      zipSync({ 'xl/workbook.xml': strToU8('<x/>'), 'xl/worksheets/sheet1.xml': new Uint8Array(310 * 1024 * 1024) }),
      'paper.bomb',
    ],
    ['too many rows', bytes('1,2\n'.repeat(MOST_ROWS + 1)), 'paper.rows'],
  ])('%s', (_, content, code) => {
    expect(refusal(content)).toBe(code);
  });
  it('are never read with a damaged part: one changed byte of a stored figure is noticed', () => {
    const whole = zipSync(unzipSync(toXlsx('TB', [['Code', { amount: minor(123_456n), digits: 2 }]])), { level: 0 });
    const text = new TextDecoder('latin1').decode(whole);
    const at = text.indexOf('1234.56');
    expect(at).toBeGreaterThan(0);
    expect(refusal(whole)).toBeUndefined();
    expect(refusal(whole.map((byte, index) => (index === at ? 0x39 : byte)))).toBe('paper.broken');
  });
  it('are a result or a sentence, whatever was done to them: three thousand mutated papers, others each time', () => {
    const light = PAPERS.filter((name) => !name.endsWith('.xlsx')).map(demo);
    const heavy = PAPERS.filter((name) => name.endsWith('.xlsx')).map(demo);
    const mutate = (seed: Uint8Array, edits: readonly (readonly [number, number])[], cut: number): Uint8Array => {
      const mutated = Uint8Array.from(cut % 3 === 0 ? seed.slice(0, seed.length - (cut % seed.length)) : seed);
      for (const [at, value] of edits) mutated[at % Math.max(1, mutated.length)] = value;
      return mutated;
    };
    const check = (seeds: readonly Uint8Array[], numRuns: number): void => {
      fc.assert(
        fc.property(
          fc.constantFrom(...seeds),
          fc.array(fc.tuple(fc.nat(), fc.nat(255)), { maxLength: 30 }),
          fc.nat(),
          (seed, edits, cut) => {
            const read = readPaper(mutate(seed, edits, cut), 'file');
            if (read.ok) {
              const { reading, reasons } = recognise(read.value, { digits: 2, date: '2026-07-31' });
              const rows = rowsOf(read.value, reading);
              expect(rows).toHaveLength(tablesUnder(read.value, reading)[reading.sheet]?.rows.length ?? 0);
              expect(rows.every(({ kind, note }) => kind !== 'unreadable' || (note ?? '') !== '')).toBe(true);
              expect(reasons.every((reason) => reason.length > 5)).toBe(true);
            } else expect(read.problems[0]?.message.length).toBeGreaterThan(10);
          },
        ),
        { numRuns, endOnFailure: true },
      );
    };
    check(light, 2850);
    check(heavy, 150);
  });
});

describe('writing CSV', () => {
  it('reads back cell by cell', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.string({ minLength: 1 }).filter((s) => s.trim() === s && !/^[=+\-@\t\r]/.test(s) && !s.includes('\0')),
            amounts,
          ),
          { minLength: 1, maxLength: 10 },
        ),
        (list) => {
          const [table] = open(
            bytes(toCsv([['Name', 'Amount'], ...list.map(([text, amount]) => [text, { amount, digits: 2 }] as const)])),
          );
          expect(table?.rows.slice(1).map((row) => fromText(textOf(row[0])))).toEqual(
            list.map(([text]) => text.replace(/\r\n/g, '\r\n')),
          );
        },
      ),
      { numRuns: 50 },
    );
  });
  it('never lets text become a formula, but leaves negative amounts numbers', () => {
    expect(['=A1', '+1', '-x', '@y', 'plain'].map(asText)).toEqual(["'=A1", "'+1", "'-x", "'@y", 'plain']);
    expect(toCsv([['-x', { amount: minor(-5n), digits: 2 }, null, 'a "b", c']])).toBe(
      '\ufeff\'-x,-0.05,,"a ""b"", c"\r\n',
    );
  });
});
