import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Row, textOf } from '../base/table';
import { readPaper } from '../files/read';
import { ARRANGEMENTS, arranged } from './arrange';
import { paperSheet } from './sheet';

/** Accounts that net to zero, of amounts that do not happen to add up to each other: as many debits as credits, and one that takes the rest. */
const accounts = fc.tuple(fc.integer({ min: 3, max: 8 }), fc.nat()).map(([pairs, seed]) => {
  let state = BigInt(seed) + 1n;
  const next = (): number => {
    state = (state * 6_364_136_223_846_793_005n + 1_442_695_040_888_963_407n) & 0xffff_ffff_ffff_ffffn;
    return 10_000 + (Number(state >> 33n) % 9_000_000);
  };
  const amounts = Array.from({ length: pairs * 2 }, (_, at) => (at % 2 === 0 ? next() : -next()));
  return [...amounts, -amounts.reduce((sum, amount) => sum + amount, 0)].map((amount, at) => ({
    code: String(1000 + at * 10),
    name: `${['Wages', 'Rent', 'Harbour dues', 'Rope', 'Sales', 'Loan', 'Fuel'][at % 7] ?? ''} ${'abcdefghijklmnopqrst'[at] ?? ''}`,
    amount,
  }));
});

type Account = { readonly code: string; readonly name: string; readonly amount: number };

const written = (amount: number): string => (Math.abs(amount) / 100).toFixed(2);
const side = (wanted: 1 | -1, { amount }: Account): string => (Math.sign(amount) === wanted ? written(amount) : '');

const readSheet = (lines: readonly (readonly string[])[]) => {
  const read = readPaper(new TextEncoder().encode(lines.map((line) => line.join(';')).join('\n')), 'list.csv');
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return paperSheet(read.value, { kind: 'proposed' }, { digits: 2 }, 'list.csv');
};
const taken = (lines: readonly (readonly string[])[]) => {
  const { recognition } = readSheet(lines);
  return {
    arrangement: recognition.reading.arrangement,
    rows: recognition.rows
      .filter(({ kind }) => kind === 'account')
      .map(({ code, name, amount }) => ({ code, name, amount: Number(amount) })),
  };
};
const inOrder = (list: readonly Account[]) => [...list].sort((a, b) => a.name.localeCompare(b.name));

describe('a table is read however it lies', () => {
  it('on its side', () => {
    fc.assert(
      fc.property(accounts, (list) => {
        const found = taken([
          ['Trial balance', '30 April 2026'],
          ['Code', ...list.map(({ code }) => code)],
          ['Account', ...list.map(({ name }) => name)],
          ['Debit', ...list.map((one) => side(1, one))],
          ['Credit', ...list.map((one) => side(-1, one))],
        ]);
        expect(found).toEqual({ arrangement: 'turned', rows: list });
      }),
      { numRuns: 60 },
    );
  });

  it('with the figures a line below the names', () => {
    fc.assert(
      fc.property(accounts, (list) => {
        const found = taken([
          ['Account', 'Debit', 'Credit'],
          ...list.flatMap((one) => [[`${one.code} ${one.name}`], ['', side(1, one), side(-1, one)]]),
        ]);
        expect(found).toEqual({ arrangement: 'two-lines', rows: list });
      }),
      { numRuns: 60 },
    );
  });

  it('with lines that are called alike below each account', () => {
    fc.assert(
      fc.property(accounts, fc.constantFrom('', 'Account: '), fc.boolean(), (list, before, days) => {
        const day = days ? '31.07.2026' : '';
        const found = taken([
          ['General ledger, sums', '', '', ''],
          ['Date', 'Text', 'Debit', 'Credit', 'Balance'],
          ...list.flatMap((one, at) => [
            [`${before}${one.code} ${one.name}`],
            ['', 'Opening balance', '', '', '0.00'],
            ['', 'Turnover', written(Math.max(0, one.amount) + at * 100), written(Math.max(0, -one.amount) + at * 100)],
            [day, 'Closing balance', '', '', `${one.amount < 0 ? '-' : ''}${written(one.amount)}`],
          ]),
        ]);
        expect(found).toEqual({ arrangement: 'with-lines', rows: list });
      }),
      { numRuns: 60 },
    );
  });

  it('with its code once for its parts, and their sum behind them', () => {
    fc.assert(
      fc.property(accounts, fc.boolean(), (list, summed) => {
        const found = taken([
          ['Account', 'Account name', 'Department', 'Debit', 'Credit'],
          ...list.flatMap((one) => {
            const north = Math.trunc(one.amount / 3);
            const sides = (amount: number) => [side(1, { ...one, amount }), side(-1, { ...one, amount })];
            return [
              [one.code, one.name, 'North', ...sides(north)],
              ['', '', 'South', ...sides(one.amount - north)],
              ...(summed ? [['', '', 'Total', ...sides(one.amount)]] : []),
            ];
          }),
        ]);
        expect(found.arrangement).toBe('with-parts');
        const sums = new Map<string, number>();
        for (const { code, amount } of found.rows) sums.set(code, (sums.get(code) ?? 0) + amount);
        expect([...sums]).toEqual(list.map(({ code, amount }) => [code, amount]));
        expect(found.rows).toHaveLength(summed ? list.length : 2 * list.length);
      }),
      { numRuns: 60 },
    );
  });

  it('with its codes in two columns', () => {
    fc.assert(
      fc.property(accounts, (list) => {
        const parts = (at: number) => [String(10 + Math.floor(at / 3)), `0${String((at % 3) * 10)}`.slice(-2)];
        const found = taken([
          ['Main', 'Sub', 'Name', 'Debit', 'Credit'],
          ...list.map((one, at) => [...parts(at), one.name, side(1, one), side(-1, one)]),
        ]);
        const rows = list.map((one, at) => ({ ...one, code: parts(at).join('') }));
        expect(found).toEqual({ arrangement: 'two-codes', rows });
      }),
      { numRuns: 60 },
    );
  });

  it('with two accounts a line, debits at the left and credits at the right', () => {
    fc.assert(
      fc.property(accounts, (list) => {
        const left = list.filter(({ amount }) => amount > 0);
        const right = list.filter(({ amount }) => amount < 0);
        const cells = (one: Account | undefined): readonly string[] =>
          one === undefined ? ['', ''] : [one.name, written(one.amount)];
        const found = taken([
          ['Assets and expenses', 'Amount', 'Liabilities and income', 'Amount'],
          ...Array.from({ length: Math.max(left.length, right.length) }, (_, at) => [
            ...cells(left[at]),
            ...cells(right[at]),
          ]),
        ]);
        expect(found.arrangement).toBe('two-sides');
        expect(inOrder(found.rows)).toEqual(inOrder(list.map((one) => ({ ...one, code: '' }))));
      }),
      { numRuns: 60 },
    );
  });

  it('as it stands where each line is one account', () => {
    fc.assert(
      fc.property(accounts, (list) => {
        const found = taken([
          ['Code', 'Account', 'Debit', 'Credit'],
          ...list.map((one) => [one.code, one.name, side(1, one), side(-1, one)]),
        ]);
        expect(found).toEqual({ arrangement: undefined, rows: list });
      }),
      { numRuns: 60 },
    );
  });

  it('without losing a figure or a name', () => {
    const cell = fc.oneof(
      fc.constant(''),
      fc.constantFrom('Rope', 'Sales of kelp', '1010', '12.50', '1,200.00', '-', 'Total'),
    );
    fc.assert(
      fc.property(fc.array(fc.array(cell, { maxLength: 9 }), { maxLength: 14 }), (rows) => {
        const texts = (list: readonly Row[]): readonly string[] =>
          list.flatMap((row) => row.map(textOf).filter((text) => /\d/.test(text) || text.startsWith('Sales'))).sort();
        for (const arrangement of ARRANGEMENTS) {
          const other = arranged({ name: '', rows }, arrangement);
          const rest = [...texts(other?.rows ?? rows)];
          for (const text of texts(rows)) {
            const at = rest.indexOf(text);
            expect(at, `${arrangement} has lost ${text}`).toBeGreaterThanOrEqual(0);
            rest.splice(at, 1);
          }
          // What is said once for several parts is said of each.
          if (arrangement !== 'with-parts') expect(rest, arrangement).toEqual([]);
        }
      }),
      { numRuns: 3000 },
    );
  });
});

describe('the sign of a balance', () => {
  it('is told by the turnovers beside it, whatever the accounts are called', () => {
    fc.assert(
      fc.property(accounts, fc.boolean(), fc.boolean(), (list, opens, turned) => {
        const signed = (amount: number): string => `${amount < 0 ? '-' : ''}${written(amount)}`;
        const found = taken([
          ['Code', 'Account', ...(opens ? ['Opening'] : []), 'Debit', 'Credit', 'Closing'],
          ...list.map(({ code, name, amount }, at) => {
            // What an account began with, which nets to zero too.
            const first = opens && at < 2 ? (at === 0 ? 1234 : -1234) : 0;
            const moved = amount - first;
            const [debit, credit] = [Math.max(0, moved) + at * 77, Math.max(0, -moved) + at * 77];
            const sign = turned ? -1 : 1;
            return [code, name, ...(opens ? [signed(sign * first)] : []), written(debit), written(credit), signed(sign * amount)]; // prettier-ignore
          }),
        ]);
        expect(found.rows).toEqual(list);
      }),
      { numRuns: 60 },
    );
  });
});

describe('amounts in thousands', () => {
  const lines = (title: string): readonly (readonly string[])[] => [
    ['Gannet Rock Chandlers Ltd'],
    [title],
    ['Account', '2026'],
    ['Boats', '804'],
    ['Trade debtors', '201'],
    ['Sales', '-640'],
    ['Share capital', '-364'],
  ];

  it('are read times a thousand where the titles say so, in any language', () => {
    for (const title of [
      '£000',
      'Trial balance in thousands of pounds',
      'Beträge in TEUR',
      'en milliers d’euros',
      'k€',
      "€ '000",
      'i 1.000 kr',
      '単位:千円',
      'w tys. zł',
    ])
      expect(readSheet(lines(title)).recognition.rows.find(({ name }) => name === 'Boats')?.amount, title).toBe(
        80_400_000n,
      );
    for (const title of [
      '30 June 2000',
      'Thousand Oaks Ltd',
      'Company 5000',
      '1.000.000',
      'Kit and Eur',
      '1000',
      '1000 Kas',
      '1.000',
      '1000 EUR Bank',
      'Ltd. 1000',
      '2000',
    ])
      expect(readSheet(lines(title)).recognition.rows.find(({ name }) => name === 'Boats')?.amount, title).toBe(
        80_400n,
      );
    expect(readSheet(lines('in Mio. EUR')).recognition.rows.find(({ name }) => name === 'Boats')?.amount).toBe(
      80_400_000_000n,
    );
  });

  it('leave what their rounding leaves, and say so', () => {
    const { doubts, rows } = readSheet(lines('£000')).recognition;
    expect(rows.filter(({ kind }) => kind === 'account').reduce((sum, { amount }) => sum + amount, 0n)).toBe(100_000n);
    expect(doubts.map(({ code }) => code)).toContain('reading.rounding');
    expect(readSheet(lines('pounds')).recognition.doubts.map(({ code }) => code)).toContain('reading.net');
  });
});
