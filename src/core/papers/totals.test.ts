import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minor } from '../money/minor';
import type { PaperRow } from './paper-row';
import { markTotals } from './totals';

const rowsOf = (...list: readonly (readonly [string, bigint, string?])[]): readonly PaperRow[] =>
  list.map(([code, amount, name = 'x'], at) => ({
    row: at + 1,
    kind: 'account',
    code,
    name,
    amount: minor(amount),
    text: '',
    indent: 0,
  }));
const MARKING = { coded: true, decided: {}, worded: ({ name }: PaperRow) => name.startsWith('Total') };
const totals = (rows: readonly PaperRow[]) =>
  markTotals(rows, MARKING).flatMap(({ kind, code, row }) => (kind === 'total' ? [code || row] : []));

describe('totals between the rows', () => {
  it('are rows whose deeper ones come to their amount, on either side', () => {
    expect(totals(rowsOf(['10', 30n], ['101', 10n], ['102', 20n], ['20', -30n]))).toEqual(['10']);
    expect(totals(rowsOf(['10', 30n], ['101', -10n], ['102', -20n], ['20', 60n]))).toEqual(['10']);
  });
  it('are rows without a code, or called so, that are the sum of those above', () => {
    expect(totals(rowsOf(['1', 10n], ['2', 20n], ['', 30n]))).toEqual([3]);
    expect(totals(rowsOf(['1', 10n], ['2', 20n], ['9', 30n, 'Total of all']))).toEqual(['9']);
    expect(totals(rowsOf(['1', 10n], ['2', 20n], ['9', 30n]))).toEqual([]);
  });
  it('are never the first account of a paper because the whole nets to zero', () => {
    const amounts = fc.array(fc.bigInt({ min: 1n, max: 10n ** 9n }), { minLength: 2, maxLength: 12 });
    fc.assert(
      fc.property(amounts, (list) => {
        const whole = list.reduce((all, one) => all + one, 0n);
        const rows = rowsOf(
          ['1000', -whole],
          ...list.map((one, at): [string, bigint] => [String(1100 + 37 * at), one]),
        );
        expect(totals(rows)).not.toContain('1000');
      }),
    );
  });
  it('stay accounts where a person said so', () => {
    const rows = rowsOf(['10', 30n], ['101', 10n], ['102', 20n], ['20', -30n]);
    expect(markTotals(rows, { ...MARKING, decided: { '0': true } }).map(({ kind }) => kind)).toEqual(
      Array.from({ length: 4 }, () => 'account'),
    );
  });
});
