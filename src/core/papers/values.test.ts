import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Row } from '../base/table';
import { type Way, parserOf, valuesOf } from './values';

const SINGLE: Way = { kind: 'single', at: 0 };
const SIDED: Way = { kind: 'sided', at: 0, side: 1 };
const PAIR: Way = { kind: 'pair', debit: 0, credit: 1, signed: false };

const under = (way: Way, rows: readonly Row[], digits = 2) => {
  const { raw, open, bad, filled, debit, credit, rounded } = valuesOf(
    rows,
    parserOf(rows, '1,234.56', { digits }),
    way,
  );
  return rows.map((_, at) => ({
    raw: raw[at],
    open: open[at] === 1,
    bad: bad[at] !== 0,
    filled: filled[at] === 1,
    debit: debit[at],
    credit: credit[at],
    rounded: rounded(at),
  }));
};
const one = (way: Way, cells: Row, digits = 2) => under(way, [cells], digits)[0];

const amountOf = (units: bigint): string => {
  const digits = String(units < 0n ? -units : units).padStart(3, '0');
  return `${units < 0n ? '-' : ''}${digits.slice(0, -2)}.${digits.slice(-2)}`;
};

describe('the amounts of a paper’s rows', () => {
  it('are of two columns what debit and credit say; a side written in the cell counts more than its column', () => {
    expect(one(PAIR, ['5.00', ''])).toMatchObject({ raw: 500n, open: false });
    expect(one(PAIR, ['', '5.00'])).toMatchObject({ raw: -500n, credit: 500n });
    expect(one(PAIR, ['', '5.00 Dr'])).toMatchObject({ raw: 500n });
    expect(one(PAIR, ['9.00', '5.00'])).toMatchObject({ raw: 400n, debit: 900n, credit: 500n });
    expect(one({ ...PAIR, signed: true }, ['', '-5.00'])).toMatchObject({ raw: -500n });
    expect(one(PAIR, ['', ''])).toMatchObject({ filled: false, raw: 0n });
  });
  it('stand beside a column of letters on the side that these say, in the language that they are of', () => {
    const sides = (letters: readonly string[]) =>
      under(
        SIDED,
        letters.map((letter) => ['5.00', letter]),
      ).map(({ raw, open }) => (open ? undefined : raw));
    expect(sides(['Dr', 'Cr'])).toEqual([500n, -500n]);
    expect(sides(['S', 'H', ''])).toEqual([500n, -500n, undefined]);
    expect(sides(['MD', 'D'])).toEqual([500n, -500n]);
    expect(sides(['D', 'K'])).toEqual([500n, -500n]);
    expect(sides(['Wn', 'Ma'])).toEqual([500n, -500n]);
    expect(sides(['T', 'K'])).toEqual([500n, -500n]);
    expect(sides(['Soll', 'Haben', '?', '?', '?', '?'])).toEqual([
      500n,
      -500n,
      undefined,
      undefined,
      undefined,
      undefined,
    ]);
  });
  it('are refused with more decimals than the currency has; only the noise of a workbook’s sums is rounded', () => {
    expect(one(SINGLE, ['5.125'])).toMatchObject({ bad: true, filled: false });
    expect(one(SINGLE, ['5.100'])).toMatchObject({ raw: 510n, rounded: false });
    expect(one(SINGLE, [{ decimal: '5.125', shown: '5.13' }])).toMatchObject({ bad: true });
    expect(one(SINGLE, [{ decimal: '0.0899999999767169', shown: '0.09' }])).toMatchObject({ raw: 9n, rounded: true });
    expect(one(SINGLE, ['1,200'], 0)).toMatchObject({ raw: 1200n });
    expect(one(SINGLE, ['1.5'], 3)).toMatchObject({ raw: 1500n });
    expect(one(SINGLE, ['EUR –'])).toMatchObject({ raw: 0n, filled: true });
  });
  it('leave the side open where nothing says it, and are what was written', () => {
    const units = fc.bigInt({ min: -(10n ** 12n), max: 10n ** 12n });
    fc.assert(
      fc.property(units, (amount) => {
        expect(one(SINGLE, [amountOf(amount)])).toMatchObject({ raw: amount, open: amount !== 0n });
        const told = one(SINGLE, [`${amountOf(amount < 0n ? -amount : amount)} Cr`]);
        expect(told).toMatchObject({ raw: amount < 0n ? amount : -amount, open: false });
      }),
    );
  });
});
