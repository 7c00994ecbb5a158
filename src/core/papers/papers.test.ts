import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { zipSync, strToU8 } from 'fflate';
import * as XLSX from '@e965/xlsx';
import { describe, expect, it } from 'vitest';
import { formatMinor } from '../money/format';
import { type Minor, minor, sum } from '../money/minor';
import { NUMBER_STYLES, type NumberStyle } from '../money/number-style';
import { readPaperAmount } from './amount';
import { MOST_ROWS, type Table } from './cells';
import { readPaper } from './read';
import type { Reading } from './reading';
import { recognise } from './recognise';
import { readRows, rowTotals } from './rows';
import { asText, toCsv, toXlsx } from './write';
import { decimalOf } from './xlsx';

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
const rowsOf = (tables: readonly Table[], reading: Reading, digits = 2) =>
  readRows(tables[reading.sheet] ?? { name: '', rows: [] }, reading, digits);

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
    expect([totals.accounts, totals.debits, totals.credits, totals.net]).toEqual([44, 67329740n, 67293740n, 36000n]);
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

const styles = fc.constantFrom(...NUMBER_STYLES);
const amounts = fc.bigInt({ min: -(10n ** 12n), max: 10n ** 12n }).map(minor);

describe('reading what was written', () => {
  const negatives: readonly ((text: string) => string)[] = [
    (text) => `-${text}`,
    (text) => `(${text})`,
    (text) => `${text}-`,
    (text) => `\u2212 ${text}`,
    (text) => `${text} Cr`,
    (text) => `€ (${text})`,
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

  const layouts = fc.record({
    style: styles.filter((style) => style !== '12,34,567.00'),
    two: fc.boolean(),
    delimiter: fc.constantFrom(';', '\t', '|'),
    title: fc.integer({ min: 0, max: 4 }),
    list: fc.array(
      amounts.filter((amount) => amount !== 0n && amount % 100n !== 0n),
      { minLength: 8, maxLength: 30 },
    ),
  });
  const write = ({
    style,
    two,
    delimiter,
    title,
    list,
  }: {
    style: NumberStyle;
    two: boolean;
    delimiter: string;
    title: number;
    list: readonly Minor[];
  }): string => {
    const plain = (amount: bigint): string => formatMinor(amount, 2, style);
    const lines = [
      ...Array.from({ length: title }, (_, at) => `Title line ${at}`),
      (two ? ['Code', 'Account name', 'Debit', 'Credit'] : ['Code', 'Account name', 'Balance']).join(delimiter),
      ...list.map((amount, at) =>
        [
          String(1000 + at * 7),
          `Ledger of kind ${'abcdefgh'.charAt(at % 8)}`,
          ...(two ? [amount > 0n ? plain(amount) : '', amount < 0n ? plain(-amount) : ''] : [plain(amount)]),
        ].join(delimiter),
      ),
    ];
    return lines.join('\n');
  };
  it('finds every account and amount of any generated layout', () => {
    fc.assert(
      fc.property(layouts, (layout) => {
        const tables = open(bytes(write(layout)));
        const { reading } = recognise(tables, { digits: 2 });
        const accounts = rowsOf(tables, reading).filter((row) => row.kind === 'account');
        expect(accounts.map((row) => row.amount)).toEqual(layout.list);
        expect(accounts.map((row) => row.code)).toEqual(layout.list.map((_, at) => String(1000 + at * 7)));
      }),
      { numRuns: 60 },
    );
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
    ['a PDF', bytes('%PDF-1.7'), 'paper.pdf'],
    ['a picture', new Uint8Array([0x89, 0x50, 0x4e, 0x47, 0, 0, 0]), 'paper.binary'],
    ['a protected or old workbook', new Uint8Array([0xd0, 0xcf, 0x11, 0xe0]), 'paper.old-workbook'],
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
  it('never throws, whatever the bytes', () => {
    const seeds = [demo('marram-trial-balance-2026-07-31.csv'), demo('tessellate-predvaha-2025-12-31.xlsx')];
    fc.assert(
      fc.property(
        fc.constantFrom(...seeds),
        fc.array(fc.tuple(fc.nat(), fc.nat(255)), { maxLength: 30 }),
        fc.nat(),
        (seed, edits, cut) => {
          const mutated = Uint8Array.from(seed.slice(0, seed.length - (cut % seed.length)));
          for (const [at, value] of edits) mutated[at % Math.max(1, mutated.length)] = value;
          const read = readPaper(mutated, 'file');
          if (read.ok) {
            const { reading } = recognise(read.value, { digits: 2 });
            expect(Array.isArray(rowsOf(read.value, reading))).toBe(true);
          } else expect(read.problems[0]?.message.length).toBeGreaterThan(10);
        },
      ),
      { numRuns: 150 },
    );
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
          expect(table?.rows.slice(1, -1).map((row) => row[0])).toEqual(
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
