import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ColumnRole } from './header';
import { placesOf, signedAmount, writtenAmount } from './row-amount';

const written = (columns: readonly ColumnRole[], cells: readonly string[], digits = 2) =>
  writtenAmount(cells, placesOf(columns), { style: '1,234.56' }, { digits });
const TWO: readonly ColumnRole[] = ['debit', 'credit'];
const amountOf = (units: bigint): string => {
  const digits = String(units < 0n ? -units : units).padStart(3, '0');
  return `${units < 0n ? '-' : ''}${digits.slice(0, -2)}.${digits.slice(-2)}`;
};

describe('the amount of a row before its sign', () => {
  it('is of two columns what debit and credit say, and a side written in the cell counts more than its column', () => {
    expect(written(TWO, ['5.00', ''])).toMatchObject({ own: 500n, open: 0n });
    expect(written(TWO, ['', '5.00'])).toMatchObject({ own: 0n, open: 500n });
    expect(written(TWO, ['', '5.00 Dr'])).toMatchObject({ own: 500n, open: 0n });
    expect(written(TWO, ['9.00', '5.00']).pair).toEqual({ debit: 900n, credit: 500n });
  });
  it('is of a side column what the word says, and bad where the word is none', () => {
    const sided: readonly ColumnRole[] = ['side', 'balance'];
    expect(written(sided, ['Cr', '5.00'])).toMatchObject({ own: -500n, open: 0n });
    expect(written(sided, ['Soll', '5.00'])).toMatchObject({ own: 500n });
    expect(written(sided, ['?', '5.00']).bad).toContain('neither debit nor credit');
    expect(written(sided, ['?', '-'])).toMatchObject({ own: 0n, rounded: false });
  });
  it('is refused where the currency has not that many decimals, and so is a real decimal of a workbook; only the noise of sums is rounded', () => {
    expect(written(['balance'], ['5.125']).bad).toContain('3 decimals');
    expect(written(['balance'], ['5.100'])).toMatchObject({ open: 510n, rounded: false });
    expect(
      writtenAmount([{ decimal: '5.125', shown: '5.13' }], placesOf(['balance']), { style: '1,234.56' }, { digits: 2 })
        .bad,
    ).toContain('3 decimals');
    const noisy = { decimal: '0.0899999999767169', shown: '0.09' };
    expect(writtenAmount([noisy], placesOf(['balance']), { style: '1,234.56' }, { digits: 2 })).toMatchObject({
      open: 9n,
      rounded: true,
    });
    expect(written(['balance'], ['1,200'], 0)).toMatchObject({ open: 1200n });
    expect(written(['balance'], ['1.5'], 3)).toMatchObject({ open: 1500n });
  });
  it('turns round as a whole from one convention of a balance column to the other, and stays where the side is written', () => {
    const units = fc.bigInt({ min: -(10n ** 12n), max: 10n ** 12n });
    fc.assert(
      fc.property(units, (amount) => {
        const read = written(['balance'], [amountOf(amount)]);
        const under = (convention: Parameters<typeof signedAmount>[1], side: 'debit' | 'credit' = 'debit') =>
          signedAmount(read, convention, false, () => side);
        expect(under('debit-positive')).toBe(amount);
        expect(under('credit-positive')).toBe(-amount);
        expect(under('normal-side')).toBe(amount);
        expect(under('normal-side', 'credit')).toBe(-amount);
        const told = written(['balance'], [`${amountOf(amount < 0n ? -amount : amount)} Cr`]);
        expect(signedAmount(told, 'normal-side', false, () => 'credit')).toBe(amount < 0n ? amount : -amount);
      }),
    );
    const credit = written(TWO, ['', '-5.00']);
    expect(signedAmount(credit, 'columns-signed', true, () => undefined)).toBe(-500n);
    expect(signedAmount(credit, 'written', true, () => undefined)).toBe(500n);
  });
});
