import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NUMBER_STYLES } from '../money/number-style';
import { type Account, PLAIN_ACCOUNT, accountId } from './account';
import { TAX_COLUMNS, type TaxRules, blankTaxCode, taxText, typedRate, typedTax } from './tax-cells';
import { TAX_DIRECTION_IDS, type TaxCodeFields, hasSide, rateOn, taxCodeProblems } from './tax-codes';

const taxAccount = (id: number, code: string, name: string, classification: Account['classification']): Account => ({
  ...PLAIN_ACCOUNT,
  id: accountId(id),
  code,
  name,
  classification,
  role: 'tax',
});
const accounts = [
  taxAccount(1, '2200', 'Sales tax owed', 'current-liability'),
  taxAccount(2, '1400', 'Sales tax to claim', 'current-asset'),
];
const byId = new Map(accounts.map((one) => [one.id, one]));
const rules: fc.Arbitrary<TaxRules> = fc.constantFrom(...NUMBER_STYLES).map((style) => ({
  day: '2026-08-01',
  firstDay: '2026-02-01',
  style,
  accounts,
  proposed: { charged: accountId(1), recoverable: accountId(2) },
}));
const rate = fc
  .tuple(fc.integer({ min: 0, max: 99 }), fc.constantFrom('', '.5', '.25', '.0625'))
  .map(([whole, rest]) => `${String(whole)}${rest}`);
const rates = fc
  .uniqueArray(fc.constantFrom('2020-01-01', '2026-02-01', '2026-08-01', '2027-01-01'), { minLength: 1 })
  .chain((days) => fc.tuple(...days.sort().map((from) => rate.map((one) => ({ from, rate: one })))));
/** Codes as they may stand in books. */
const codes: fc.Arbitrary<TaxCodeFields> = fc
  .tuple(fc.constantFrom(...TAX_DIRECTION_IDS), rates, fc.boolean())
  .map(([direction, own, active]) => ({
    code: 'T-1',
    name: 'Some rate',
    direction,
    rates: hasSide(direction, 'charged') || hasSide(direction, 'recoverable') ? own : [],
    charged: hasSide(direction, 'charged') ? accountId(1) : null,
    recoverable: hasSide(direction, 'recoverable') ? accountId(2) : null,
    active,
  }));

describe('tax codes on a sheet', () => {
  it('are the same again when what a cell shows is typed into it', () => {
    fc.assert(
      fc.property(codes, rules, fc.constantFrom(...TAX_COLUMNS), (code, by, column) => {
        expect(taxCodeProblems(code, [], byId)).toEqual([]);
        // A rate that only counts later has no cell of its own, and one in force is none that could be emptied by showing it.
        fc.pre(column !== 'rates' || taxText(code, 'rates', by) !== '');
        expect(typedTax(code, column, taxText(code, column, by), by)).toEqual({ ok: true, value: code });
      }),
    );
  });
  it('of any kind become whole with a code, a name, what they do and a rate, in any order', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...TAX_DIRECTION_IDS),
        rate,
        rules,
        fc.shuffledSubarray(['code', 'name', 'direction'] as const, { minLength: 3 }),
        (direction, typed, by, order) => {
          const label = taxText({ ...blankTaxCode(by), direction }, 'direction', by);
          const cells = { code: 'X', name: 'Some', direction: label };
          let code: TaxCodeFields = blankTaxCode(by);
          for (const column of order) {
            const read = typedTax(code, column, cells[column], by);
            if (read.ok) code = read.value;
          }
          const taxed = hasSide(direction, 'charged') || hasSide(direction, 'recoverable');
          expect(taxCodeProblems(code, [], byId).length === 0).toBe(!taxed);
          const read = typedTax(code, 'rates', typed, by);
          expect(read.ok).toBe(taxed);
          if (read.ok) code = read.value;
          expect(taxCodeProblems(code, [], byId)).toEqual([]);
        },
      ),
    );
  });
  it('have the rate typed from the day on which the one before began; later ones stay', () => {
    fc.assert(
      fc.property(codes, rules, rate, (code, by, typed) => {
        fc.pre(code.rates.length > 0);
        const read = typedTax(code, 'rates', typed, by);
        if (!read.ok) throw new Error('a rate');
        expect(rateOn(read.value, by.day)).toBe(typed);
        const later = (of: TaxCodeFields) => of.rates.filter(({ from }) => from > by.day);
        expect(later(read.value)).toEqual(later(code));
        const began = code.rates.some(({ from }) => from <= by.day);
        expect(read.value.rates.length).toBe(code.rates.length + (began ? 0 : 1));
      }),
    );
  });
  it('take a rate with a point or a comma, with or without its sign', () => {
    const read = (text: string): string => {
      const one = typedRate(text);
      return one.ok ? one.value : 'none';
    };
    expect(['23', '13,5', ' 13.50 %', '0', '100', '8.1%', '007'].map(read)).toEqual([
      '23',
      '13.5',
      '13.5',
      '0',
      '100',
      '8.1',
      '7',
    ]);
    expect(['', '-5', '100.5', '122', '1.23456', '23 eur', '1,2,3'].map(read)).toEqual(
      Array.from({ length: 7 }, () => 'none'),
    );
  });
  it('are refused with a sentence where a cell is none of its kind', () => {
    const [by] = fc.sample(rules, 1);
    if (by === undefined) throw new Error('rules');
    const says = (column: (typeof TAX_COLUMNS)[number], text: string, of: Partial<TaxCodeFields> = {}): string => {
      const typed = typedTax({ ...blankTaxCode(by), ...of }, column, text, by);
      return typed.ok ? 'read' : (typed.problems[0]?.code ?? '');
    };
    const exempt = { direction: 'exempt', charged: null } as const;
    expect([
      says('direction', 'given away'),
      says('rates', 'much'),
      says('rates', '20', exempt),
      says('charged', '2200', exempt),
      says('charged', '9999'),
      says('recoverable', '1400'),
      says('active', 'perhaps'),
    ]).toEqual([
      'tax.direction',
      'tax.rate',
      'tax.rate-unwanted',
      'tax.account-unwanted',
      'tax.account-unknown',
      'tax.account-unwanted',
      'cell.yes',
    ]);
    expect([says('direction', 'self assessed'), says('charged', '2200'), says('charged', 'sales tax owed')]).toEqual([
      'read',
      'read',
      'read',
    ]);
  });
});
