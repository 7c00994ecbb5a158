import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Account, PLAIN_ACCOUNT, accountId } from '../chart/account';
import { anyChart } from '../chart/testing';
import { minor } from '../money/minor';
import { type Remembered, matcher } from './match';

const account = (id: number, code: string, name: string, more: Partial<Account> = {}): Account => ({
  ...PLAIN_ACCOUNT,
  id: accountId(id),
  code,
  name,
  classification: 'current-asset',
  ...more,
});

const chart = [
  account(1, '1000', 'Current assets', { heading: true }),
  account(2, '1010', 'Current account at bank', { role: 'bank' }),
  account(3, '1100', 'Trade receivables'),
  account(4, '1200', 'Stock of goods'),
  account(5, '2100', 'Trade payables', { classification: 'current-liability' }),
  account(6, '6100', 'Wages and salaries', { classification: 'operating-expense' }),
  account(7, '6210', 'Rent', { classification: 'operating-expense' }),
  account(8, '6310', 'Repairs and maintenance', { classification: 'operating-expense' }),
  account(9, '6320', 'Old repairs', { classification: 'operating-expense', active: false }),
  account(10, '4000', 'Sales', { classification: 'revenue' }),
];

describe('ranked candidates', () => {
  const match = matcher(chart);
  const best = (code: string, name: string, amount?: bigint) =>
    match({ code, name, ...(amount === undefined ? {} : { amount: minor(amount) }) }).candidates[0];
  it.each([
    ['', 'Debtors', 3, 'trade’s words'],
    ['', 'Trade creditors', 5, 'trade’s words'],
    ['', 'Turnover', 10, 'trade’s words'],
    ['', 'Mzdy', 6, 'trade’s words'],
    ['', 'Inventory of goods', 4, 'trade’s words'],
    ['', 'Repiars and maintenance', 8, 'spelled'],
    ['', 'Bank', 2, 'trade’s words'],
    ['', '売掛金', 3, 'trade’s words'],
    ['', '買掛金 東京商店', 5, 'trade’s words'],
    ['', '外注加工費・給料手当', 6, 'trade’s words'],
    ['', '급여', 6, 'trade’s words'],
    ['', '库存商品', 4, 'trade’s words'],
  ])('%s %s is first account %d, because of %s', (code, name, id, why) => {
    expect(best(code, name)).toMatchObject({ account: id });
    expect(best(code, name)?.why).toContain(why);
  });
  it('takes nothing below certainty by itself', () => {
    for (const name of ['Debtors', 'Repiars and maintenance', 'Inventory']) {
      const found = match({ code: '', name });
      expect(found.kind === 'matched' && found.sure).toBe(false);
    }
    expect(match({ code: '1100', name: 'Boats' })).not.toMatchObject({ sure: true });
  });
  it('takes what is clearly one thing for no other of like words, and for what collects the rest where it has no account', () => {
    const few = matcher([
      account(1, '1', 'Bank deposit account', { role: 'bank' }),
      account(2, '2', 'Trade debtors'),
      account(3, '3', 'Other debtors'),
    ]);
    const { candidates } = few({ code: '', name: 'Rent deposit', amount: minor(100n) });
    expect(candidates[0]).toMatchObject({ account: 3 });
    expect(candidates.find(({ account: one }) => one === 1)?.why).toContain('another thing');
  });
  it('trusts an account less when the amount stands on its unusual side', () => {
    const [usual, unusual] = [best('', 'Creditors', -500n), best('', 'Creditors', 500n)];
    expect(usual?.account).toBe(5);
    expect(unusual?.confidence).toBeLessThan(usual?.confidence ?? 0);
    expect(unusual?.why).toContain('unusual');
  });
  it('shows an inactive account as one to reactivate', () => {
    const found = match({ code: '6320', name: 'Old repairs' });
    expect(found).toMatchObject({ kind: 'unmatched' });
    expect(found.candidates[0]).toMatchObject({ account: 9, active: false });
  });
});

describe('memory', () => {
  const memory: readonly Remembered[] = [
    { code: '77', name: 'Odds', account: accountId(8), reason: null },
    { code: '78', name: 'Ends', account: null, reason: 'belongs to the owner' },
    { code: '79', name: 'Gone', account: accountId(99), reason: null },
  ];
  const match = matcher(chart, memory);
  it('takes what was decided before, for the same code and name', () => {
    expect(match({ code: '77', name: 'ODDS' })).toMatchObject({ kind: 'matched', account: 8, sure: true });
    expect(match({ code: '78', name: 'Ends' })).toMatchObject({ kind: 'left-out', reason: 'belongs to the owner' });
    expect(match({ code: '77', name: 'Something else' })).toMatchObject({ kind: 'unmatched' });
    expect(match({ code: '79', name: 'Gone' })).toMatchObject({ kind: 'unmatched' });
  });
});

describe('laws of matching', () => {
  it('hold for any chart: no heading, no stranger, best first, confidence between nothing and certainty', () => {
    fc.assert(
      fc.property(anyChart(), fc.string({ maxLength: 12 }), fc.string({ maxLength: 12 }), (any, code, name) => {
        const posting = new Set(any.filter(({ heading }) => !heading).map(({ id }) => id));
        const found = matcher(any)({ code, name });
        if (found.kind === 'matched') expect(posting.has(found.account)).toBe(true);
        found.candidates.forEach(({ account: id, confidence }, at) => {
          expect(posting.has(id)).toBe(true);
          expect(confidence).toBeGreaterThan(0);
          expect(confidence).toBeLessThanOrEqual(1);
          expect(confidence).toBeLessThanOrEqual(found.candidates[at - 1]?.confidence ?? 1);
        });
      }),
    );
  });
  it('find an account by its own code and name, and do not depend on the order of chart or rows', () => {
    fc.assert(
      fc.property(anyChart(), fc.nat(), (any, turn) => {
        const rows = any.filter(({ heading }) => !heading).map(({ code, name }) => ({ code, name }));
        const turned = [...any].sort((a, b) => ((a.id * (turn % 97)) % 101) - ((b.id * (turn % 97)) % 101));
        const [match, other] = [matcher(any), matcher(turned)];
        const said = new Map(rows.map((row) => [row.code, match(row)]));
        for (const row of [...rows].reverse()) expect(other(row)).toEqual(said.get(row.code));
        for (const one of any.filter(({ heading, active }) => !heading && active))
          expect(said.get(one.code)).toMatchObject({ kind: 'matched', account: one.id, sure: true });
      }),
    );
  });
});
