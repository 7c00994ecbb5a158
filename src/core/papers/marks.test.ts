import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Row } from '../base/table';
import { recognise } from './recognise';

const read = (rows: readonly Row[], digits = 2) => recognise([{ name: 'list', rows }], { digits });
const kinds = (rows: readonly Row[]) => read(rows).rows.map(({ kind }) => kind);
const accounts = (rows: readonly Row[]) =>
  read(rows).rows.flatMap(({ kind, code, name, amount }) =>
    kind === 'account' ? [`${code} ${name} ${String(amount)}`.trim()] : [],
  );
const HEAD: Row = ['Code', 'Account', 'Debit', 'Credit'];
const BALANCE: Row = ['Code', 'Account', 'Balance'];

const money = (units: bigint): string => {
  const text = String(units < 0n ? -units : units).padStart(3, '0');
  return `${units < 0n ? '-' : ''}${text.slice(0, -2)}.${text.slice(-2)}`;
};

describe('totals', () => {
  it('without a code are told by what they come to, whatever they are called', () => {
    expect(
      kinds([
        HEAD,
        ['', 'Assets'],
        ['1010', 'Bank', '70.00', ''],
        ['1020', 'Till', '30.00', ''],
        ['', 'Assets', '100.00', ''],
        ['3010', 'Capital', '', '100.00'],
        ['', '', '100.00', '100.00'],
      ]),
    ).toEqual(['header', 'heading', 'account', 'account', 'total', 'account', 'total']);
  });
  it('above their accounts are told by codes that begin alike, also where one repeats a single account or is nil', () => {
    const rows: readonly Row[] = [
      BALANCE,
      ['1', 'Assets', '100.00'],
      ['10', 'Cash', '60.00'],
      ['100', 'Till', '20.00'],
      ['101', 'Bank', '40.00'],
      ['12', 'Customers', '40.00'],
      ['120', 'Customers at home', '40.00'],
      ['13', 'Advances', '0.00'],
      ['130', 'Advances to staff', '0.00'],
      ['2', 'Equity', '-100.00'],
      ['20', 'Capital', '-100.00'],
      ['200', 'Share capital', '-70.00'],
      ['201', 'Reserve', '-30.00'],
    ];
    expect(accounts(rows)).toEqual([
      '100 Till 2000',
      '101 Bank 4000',
      '120 Customers at home 4000',
      '130 Advances to staff 0',
      '200 Share capital -7000',
      '201 Reserve -3000',
    ]);
  });
  it('a level higher that their accounts do not come to are left out, and told', () => {
    const groups = [1, 2, 3, 4].flatMap((group): Row[] => [
      [String(group), `Group ${String(group)}`, group === 4 ? '999.00' : '50.00'],
      [`${String(group)}1`, 'One', '20.00'],
      [`${String(group)}2`, 'Two', '30.00'],
    ]);
    const { rows, doubts } = read([BALANCE, ...groups, ['91', 'Capital', '-200.00']]);
    expect(rows.filter(({ kind }) => kind === 'account')).toHaveLength(9);
    expect(doubts.map(({ code, row }) => [code, row])).toContainEqual(['reading.total', 11]);
  });
  it('leave out lines that divide the account above them, and keep accounts that do not add up', () => {
    const rows: readonly Row[] = [
      HEAD,
      ['5010', 'Wages', '90.00', ''],
      ['', 'Workshop', '60.00', ''],
      ['', 'Office', '30.00', ''],
      ['5020', 'Rent', '10.00', ''],
      ['3010', 'Capital', '', '100.00'],
    ];
    expect(accounts(rows)).toEqual(['5010 Wages 9000', '5020 Rent 1000', '3010 Capital -10000']);
    const odd = read([...rows.slice(0, 3), ['', 'Office', '31.00', ''], ...rows.slice(4)]);
    expect(odd.doubts.map(({ code }) => code)).toEqual(['reading.left']);
  });
  it('carried from page to page are none of the accounts', () => {
    const rows: readonly Row[] = [
      HEAD,
      ['1010', 'Bank', '70.00', ''],
      ['3010', 'Capital', '', '30.00'],
      ['', 'Carried forward', '70.00', '30.00'],
      ['Page 2'],
      HEAD,
      ['', 'Brought forward', '70.00', '30.00'],
      ['4010', 'Sales', '', '40.00'],
      ['', '', '70.00', '70.00'],
    ];
    expect(accounts(rows)).toEqual(['1010 Bank 7000', '3010 Capital -3000', '4010 Sales -4000']);
    expect(kinds(rows)[5]).toBe('header');
  });
  it('are not accounts that are called so, nor accounts that stand twice', () => {
    const rows: readonly Row[] = [
      HEAD,
      ['1010', 'Total Learning School', '5.00', ''],
      ['1010', 'Total Learning School', '5.00', ''],
      ['1020', 'Totals Tape', '0.01', ''],
      ['3010', 'Capital', '', '10.01'],
      ['', 'Total', '10.01', '10.01'],
    ];
    expect(accounts(rows)).toHaveLength(4);
  });
  it('change nothing: with and without them the accounts are the same', () => {
    const list = fc.array(fc.bigInt({ min: 101n, max: 10n ** 9n }), { minLength: 2, maxLength: 8 });
    fc.assert(
      fc.property(list, list, fc.boolean(), fc.constantFrom('', 'Total', 'Assets'), (left, right, grand, label) => {
        const total = (amounts: readonly bigint[]): bigint => amounts.reduce((sum, one) => sum + one, 0n);
        const [assets, capital] = [total(left), total(right)];
        const rows = (sums: boolean): readonly Row[] => [
          HEAD,
          ...left.map((amount, at): Row => [
            String(1100 + at),
            `Asset ${String.fromCharCode(97 + at)}`,
            money(amount),
            '',
          ]),
          ...(sums ? [['', label, money(assets), '']] : []),
          ...right.map((amount, at): Row => [
            String(3100 + at),
            `Capital ${String.fromCharCode(97 + at)}`,
            '',
            money(amount),
          ]),
          ...(sums ? [['', label, '', money(capital)]] : []),
          ...(sums && grand ? [['', '', money(assets), money(capital)]] : []),
        ];
        expect(accounts(rows(true))).toEqual(accounts(rows(false)));
      }),
    );
  });
});

describe('the side of plain amounts', () => {
  it('is that of their section where each section is positive, contra accounts in brackets', () => {
    const rows: readonly Row[] = [
      BALANCE,
      ['', 'Assets'],
      ['1010', 'Bank', '170.00'],
      ['1090', 'Depreciation so far', '(50.00)'],
      ['', 'Liabilities'],
      ['2010', 'Suppliers', '80.00'],
      ['', 'Income'],
      ['4010', 'Sales', '90.00'],
      ['4090', 'Sales returns', '(10.00)'],
      ['', 'Expenses'],
      ['5010', 'Wages', '40.00'],
    ];
    const found = read(rows);
    expect(found.reading.convention).toBe('section-side');
    expect(found.rows.flatMap(({ kind, amount }) => (kind === 'account' ? [amount] : []))).toEqual([
      17_000n,
      -5000n,
      -8000n,
      -9000n,
      1000n,
      4000n,
    ]);
  });
  it('is turned for a part whose results have the opposite sign', () => {
    const rows: readonly Row[] = [
      ['Konto', 'Benämning', 'Utg. balans'],
      ['1910', 'Kassa', '150,00'],
      ['2440', 'Leverantörsskulder', '-50,00'],
      ['', 'Beräknat resultat', '100,00'],
      ['Konto', 'Benämning', 'Ackumulerat'],
      ['3010', 'Försäljning', '340,00'],
      ['5010', 'Hyra', '-240,00'],
      ['', 'Beräknat resultat', '100,00'],
    ];
    expect(accounts(rows)).toEqual([
      '1910 Kassa 15000',
      '2440 Leverantörsskulder -5000',
      '3010 Försäljning -34000',
      '5010 Hyra 24000',
    ]);
  });
});

describe('of several columns', () => {
  it('the one is read that the others come to', () => {
    const rows = (order: readonly number[]): readonly Row[] =>
      [
        ['1010', 'Bank', '10.00', '7.00', '17.00'],
        ['1020', 'Stock', '5.00', '2.00', '7.00'],
        ['1030', 'Till', '1.00', '3.00', '4.00'],
        ['2010', 'Loan', '-16.00', '1.00', '-15.00'],
        ['4010', 'Sales', '0.00', '-13.00', '-13.00'],
      ].map((row) => [row[0] ?? '', row[1] ?? '', ...order.map((at) => row[at] ?? '')]);
    for (const order of [
      [2, 3, 4],
      [4, 2, 3],
    ]) {
      const { rows: found } = read([['No', 'Text', 'a', 'b', 'c'], ...rows(order)]);
      expect(found.flatMap(({ kind, amount }) => (kind === 'account' ? [amount] : []))).toEqual([
        1700n,
        700n,
        400n,
        -1500n,
        -1300n,
      ]);
    }
  });
  it('another that nets to zero as well is offered where nothing tells them apart', () => {
    const found = read([
      ['Code', 'Account', 'Figures A', 'Figures B'],
      ['1010', 'Bank', '10.00', '8.00'],
      ['1020', 'Van', '30.00', '36.00'],
      ['3010', 'Capital', '-40.00', '-44.00'],
    ]);
    expect(found.alternatives.map(({ what }) => what)).toContain('“Figures B” instead of “Figures A”');
    expect(found.doubts.some(({ code }) => code === 'reading.other')).toBe(true);
  });
});
