import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Account, PLAIN_ACCOUNT, accountId } from '../chart/account';
import { anyChart } from '../chart/testing';
import { minor } from '../money/minor';
import { chartEffects } from './chart-effects';

const account = (id: number, more: Partial<Account> = {}): Account => ({
  ...PLAIN_ACCOUNT,
  id: accountId(id),
  code: String(id),
  name: `Account ${String(id)}`,
  classification: 'current-asset',
  ...more,
});
const FACTS = { base: 'EUR', atYearStart: false } as const;
const say = (amount: bigint): string => String(amount);
const effects = (was: Account, is: Account, amount = 500n) =>
  chartEffects([was, account(9)], [is, account(9)], new Map([[was.id, minor(amount)]]), FACTS, say);

describe('what a changed chart does to figures that stand', () => {
  it('is told for another statement line, with the totals that it moves', () => {
    expect(effects(account(1), account(1, { classification: 'operating-expense' }))).toEqual([
      '1 Account 1 with 500 goes from Current assets to Operating expenses, and so the result of the year changes.',
      'Assets: 500 becomes 0.',
      'Expenses: 0 becomes 500.',
    ]);
    expect(effects(account(1), account(1, { classification: 'fixed-asset' }))).toEqual([
      '1 Account 1 with 500 goes from Current assets to Fixed assets.',
    ]);
  });
  it('is told for another currency, an account set inactive, and a side that becomes unusual', () => {
    expect(effects(account(1), account(1, { currency: 'NOK' }))[0]).toContain('needs its amount in NOK');
    expect(effects(account(1, { currency: 'NOK' }), account(1))[0]).toContain('not kept in NOK any more');
    expect(effects(account(1), account(1, { active: false }))[0]).toContain('the account is inactive');
    expect(effects(account(1), account(1, { contra: true }))[0]).toContain('a debit here is unusual');
  });
  it('is nothing without a figure, and nothing for names, codes and headings', () => {
    expect(effects(account(1), account(1, { classification: 'equity' }), 0n)).toEqual([]);
    expect(effects(account(1), account(1, { name: 'Other', code: '7', parent: accountId(9), note: 'x' }))).toEqual([]);
  });
  it('has at most a handful of sentences, and none for a chart that stays, whatever it is', () => {
    fc.assert(
      fc.property(anyChart(30), fc.bigInt({ min: 1n, max: 10n ** 9n }), (chart, amount) => {
        const amounts = new Map(chart.map(({ id }) => [id, minor(amount)]));
        expect(chartEffects(chart, chart, amounts, FACTS, say)).toEqual([]);
        const turned = chart.map((one) => ({ ...one, active: false }));
        expect(chartEffects(chart, turned, amounts, FACTS, say).length).toBeLessThanOrEqual(11);
      }),
    );
  });
});
