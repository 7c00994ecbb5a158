import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { CURRENCY_CODES, minorDigits, whyNotForNew } from './currency';
import { readEntry } from './entry';
import { formatMinor, plainDecimal } from './format';
import { minor, sum } from './minor';
import { NUMBER_STYLES } from './number-style';
import { divideRounded } from './rounding';

const amounts = fc.bigInt({ min: -(10n ** 17n), max: 10n ** 17n });
const styles = fc.constantFrom(...NUMBER_STYLES);
const currencies = fc.constantFrom(...CURRENCY_CODES).map((code) => ({ code, digits: minorDigits(code) }));
const EUR: Parameters<typeof readEntry>[2] = { code: 'EUR', digits: 2 };
const JPY: typeof EUR = { code: 'JPY', digits: 0 };

const amountOf = (
  text: string,
  column: 'debit' | 'credit' = 'debit',
  currency = EUR,
  style: (typeof NUMBER_STYLES)[number] = '1,234.56',
) => {
  const read = readEntry(text, column, currency, style);
  if (!read.ok) return read.problems[0]?.code;
  return read.value.kind === 'blank' ? 'blank' : read.value.amount;
};

describe('the list of currencies', () => {
  it('takes no currency into use that another one has replaced, and no unit of account as the base of books', () => {
    expect(CURRENCY_CODES).toContain('XCG');
    for (const code of ['ANG', 'BGN'] as const)
      expect([whyNotForNew(code, 'base'), whyNotForNew(code, 'foreign')]).not.toContain(undefined);
    expect(whyNotForNew('BGN', 'foreign')).toContain('EUR');
    expect([whyNotForNew('CLF', 'base') === undefined, whyNotForNew('CLF', 'foreign')]).toEqual([false, undefined]);
    expect((['EUR', 'XCG', 'JPY', 'BHD'] as const).map((code) => whyNotForNew(code, 'base'))).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
  });
});

describe('amounts', () => {
  it('reads back exactly what it writes, in every style and currency', () => {
    fc.assert(
      fc.property(amounts, styles, currencies, (units, style, currency) => {
        const read = readEntry(formatMinor(minor(units), currency.digits, style), 'debit', currency, style);
        expect(read).toEqual({ ok: true, value: { kind: 'amount', amount: units } });
      }),
    );
  });

  it('puts the same text on the opposite side in the credit column', () => {
    fc.assert(
      fc.property(amounts, styles, (units, style) => {
        const text = formatMinor(minor(units), 2, style);
        const debit = readEntry(text, 'debit', EUR, style);
        const credit = readEntry(text, 'credit', EUR, style);
        if (!debit.ok || !credit.ok || debit.value.kind !== 'amount' || credit.value.kind !== 'amount')
          throw new Error(text);
        expect(debit.value.amount + credit.value.amount).toBe(0n);
      }),
    );
  });

  it('adds as a person adds, without losing a cent', () => {
    fc.assert(
      fc.property(
        fc.array(
          amounts.map((n) => n / 1000n),
          { minLength: 1, maxLength: 8 },
        ),
        (list) => {
          const text = list.map((n) => plainDecimal(n, 2)).join('+');
          expect(amountOf(text, 'debit', EUR, '1234.56')).toBe(sum(list.map(minor)));
        },
      ),
    );
  });

  it('never throws and never hangs on what people paste', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 300, unit: 'binary' }), styles, (text, style) => {
        expect(typeof readEntry(text, 'debit', EUR, style).ok).toBe('boolean');
      }),
    );
    expect(amountOf('('.repeat(200))).toBe('amount.unreadable');
  });

  it.each([
    ['1200+340.5', 154050n],
    ['1500 cr', -150000n],
    ['-1500 cr', 150000n],
    ['(1,000.00 - 250) * 2', 150000n],
    ['100/3', 3333n],
    ['200/3', 6667n],
    ['-200/3', -6667n],
    ['0.10 + 0.20', 30n],
    ['1,234', 123400n],
    ['12.50dr', 1250n],
    ['12.500', 1250n],
    ['', 'blank'],
    ['·', 'blank'],
    ['1,23', 'amount.unreadable'],
    ['1.234,56', 'amount.unreadable'],
    ['12.345', 'amount.decimals'],
    ['1/0', 'amount.by-zero'],
    ['1+', 'amount.unreadable'],
    ['=A1', 'amount.unreadable'],
    ['1e5', 'amount.unreadable'],
    ['9'.repeat(30), 'amount.too-large'],
    ['1'.repeat(300), 'amount.too-long'],
  ])('reads %s', (text, expected) => {
    expect(amountOf(text)).toBe(expected);
  });

  it('keeps to the currency’s decimals', () => {
    expect(amountOf('1,500', 'debit', JPY)).toBe(1500n);
    expect(amountOf('1500.5', 'debit', JPY)).toBe('amount.decimals');
    expect(amountOf('1.234', 'debit', { code: 'TND', digits: 3 })).toBe(1234n);
  });

  it('groups as the style says', () => {
    expect(formatMinor(123456789n, 2, '12,34,567.00')).toBe('12,34,567.89');
    expect(formatMinor(-5n, 2, '1.234,56')).toBe('-0,05');
    expect(formatMinor(1234567n, 0, '1 234,56')).toBe('1\u00a0234\u00a0567');
    expect(formatMinor(1234n, 3, "1'234.56")).toBe('1.234');
  });
});

describe('rounding', () => {
  it('is within half a unit, and symmetric about zero', () => {
    fc.assert(
      fc.property(
        amounts,
        fc.bigInt({ min: 1n, max: 10n ** 9n }),
        fc.constantFrom('half-away-from-zero' as const, 'half-even' as const),
        (n, d, rule) => {
          const q = divideRounded(n, d, rule);
          const off = 2n * (q * d - n);
          expect(off <= d && off >= -d).toBe(true);
          expect(divideRounded(-n, d, rule)).toBe(-q);
        },
      ),
    );
  });

  it('settles halves by the rule', () => {
    expect([1n, 3n, 5n, -1n].map((n) => divideRounded(n, 2n))).toEqual([1n, 2n, 3n, -1n]);
    expect([1n, 3n, 5n, -1n].map((n) => divideRounded(n, 2n, 'half-even'))).toEqual([0n, 2n, 2n, 0n]);
    expect(() => divideRounded(1n, 0n)).toThrow(RangeError);
  });
});
