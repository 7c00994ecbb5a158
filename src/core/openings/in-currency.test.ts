import { type Currency } from '../money/currency';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Minor, NIL, minor, subtract, sum } from '../money/minor';
import type { Part } from './foreign';
import {
  type DatedRate,
  type Value,
  joinedParts,
  partsProblem,
  partsUnder,
  readForeign,
  sameParts,
  takesForeign,
  translatedParts,
  typedForeign,
  withParts,
  writtenParts,
} from './in-currency';

/** One unit is worth 0.087 EUR. */
const RATE: DatedRate = {
  how: { ratio: { n: 87n, d: 1000n }, fromDigits: 2, toDigits: 2, rounding: 'half-away-from-zero' },
  of: '2026-07-31',
};
const rateOf = (currency: string): DatedRate | undefined => (currency === 'NOK' ? RATE : undefined);
const units = fc.bigInt({ min: -(10n ** 9n), max: 10n ** 9n }).map(minor);
const partsOf = (...currencies: readonly string[]) =>
  fc
    .tuple(
      ...currencies.map((currency) =>
        fc.option(fc.record({ currency: fc.constant(currency), amount: units, base: units })),
      ),
    )
    .map((list) => list.filter((part): part is Part => part !== null));
const some = partsOf('NOK', 'USD', 'GBP');
const restOf = ({ amount, parts }: Value): Minor => subtract(amount ?? NIL, sum(parts.map(({ base }) => base)));
const valueOf = <T>(result: { readonly ok: true; readonly value: T } | { readonly ok: false }): T => {
  if (!result.ok) throw new Error('refused');
  return result.value;
};

describe('a figure with parts in foreign currencies', () => {
  it('is worth its part where its account is kept in one currency', () => {
    fc.assert(
      fc.property(fc.option(units), units, units, (amount, own, base) => {
        const is = withParts({ amount, parts: [] }, [{ currency: 'NOK', amount: own, base }], 'NOK');
        expect(is.amount).toBe(base);
        const moved = partsUnder(is.parts, minor(base + 1n), 'NOK');
        expect(moved).toEqual([{ currency: 'NOK', amount: own, base: base + 1n }]);
        expect(partsUnder(is.parts, null, 'NOK')).toEqual([]);
      }),
    );
  });
  it('keeps what is in base currency while parts change, gives to new ones, and takes back from those that go', () => {
    fc.assert(
      fc.property(units, some, some, (amount, before, after) => {
        const was: Value = { amount, parts: before };
        const is = withParts(was, after, null);
        const stays = before.filter((part) => after.some(({ currency }) => currency === part.currency));
        const news = after.filter((part) => !before.some(({ currency }) => currency === part.currency));
        const gone = before.filter((part) => !stays.includes(part));
        expect(restOf(is)).toBe(
          after.length === 0
            ? amount
            : restOf(was) + sum(gone.map(({ base }) => base)) - sum(news.map(({ base }) => base)),
        );
      }),
    );
    expect(
      withParts({ amount: null, parts: [] }, [{ currency: 'NOK', amount: minor(5n), base: minor(7n) }], null).amount,
    ).toBe(7n);
  });
  it('joins with another by adding up each currency', () => {
    fc.assert(
      fc.property(some, some, (a, b) => {
        const joined = joinedParts(a, b);
        for (const currency of ['NOK', 'USD', 'GBP']) {
          const of = (list: readonly Part[]): bigint =>
            sum(list.filter((one) => one.currency === currency).map((one) => one.amount));
          expect(of(joined)).toBe(of(a) + of(b));
        }
        expect(sameParts(joined, joinedParts(b, a))).toBe(true);
      }),
    );
  });
});

describe('an amount typed in currency', () => {
  const empty: Value = { amount: null, parts: [] };
  it('is worth what the rate says until somebody gives another worth, which then stays', () => {
    fc.assert(
      fc.property(
        units.filter((one) => one !== 0n),
        units,
        units.filter((one) => one !== 0n),
        (first, second, given) => {
          const one = valueOf(typedForeign(empty, 'NOK', first, 'NOK', RATE));
          expect(one).toMatchObject({ why: 'NOK at the rate of 2026-07-31' });
          const two = valueOf(typedForeign(one, 'NOK', second, 'NOK', RATE));
          expect(two).toEqual(valueOf(typedForeign(empty, 'NOK', second, 'NOK', RATE)));
          const typed: Value = { amount: given, parts: partsUnder(one.parts, given, 'NOK') };
          const three = valueOf(typedForeign(typed, 'NOK', second, 'NOK', RATE));
          expect(three.amount).toBe(given === one.amount ? two.amount : given);
          // A figure that stood before any amount in currency is its worth.
          const four = valueOf(typedForeign({ amount: given, parts: [] }, 'NOK', second, 'NOK', undefined));
          expect(four).toEqual({ amount: given, parts: [{ currency: 'NOK', amount: second, base: given }] });
        },
      ),
    );
  });
  it('has no worth without a rate, and says where to enter one', () => {
    expect(typedForeign(empty, 'USD', minor(5n), 'USD', undefined)).toMatchObject({
      ok: false,
      problems: [{ code: 'foreign.no-rate' }],
    });
  });
  it('goes when its cell is emptied, and the figure stays', () => {
    const was: Value = { amount: minor(500n), parts: [{ currency: 'NOK', amount: minor(9n), base: minor(500n) }] };
    expect(typedForeign(was, 'NOK', null, 'NOK', RATE)).toEqual({ ok: true, value: { amount: 500n, parts: [] } });
  });
  it.each([
    ['1,000', 'NOK', 'NOK', 100_000n],
    ['usd 12.50 cr', undefined, 'USD', -1250n],
    ['1000 NOK', 'USD', 'NOK', 100_000n],
    ['', 'NOK', 'NOK', null],
    ['', undefined, '', null],
  ] as const)('“%s” where %s is usual is an amount in %s', (text, usual, currency, amount) => {
    expect(readForeign(text, usual, ['NOK', 'USD'], 'debit', '1,234.56')).toEqual({
      ok: true,
      value: { currency, amount },
    });
  });
  it.each([
    ['5', undefined, 'foreign.which'],
    ['GBP 5', 'NOK', 'foreign.off'],
    ['many', 'NOK', 'amount.unreadable'],
  ] as const)('“%s” where %s is usual is refused: %s', (text, usual, code) => {
    expect(readForeign(text, usual, ['NOK', 'USD'], 'debit', '1,234.56')).toMatchObject({
      ok: false,
      problems: [{ code }],
    });
  });
});

describe('parts given with or without their worth', () => {
  it('come, with what is left over, to what was given', () => {
    const wanted = fc.array(fc.record({ currency: fc.constant('NOK'), amount: units, base: fc.option(units) }), {
      maxLength: 4,
    });
    fc.assert(
      fc.property(wanted, fc.boolean(), (list, allAtRate) => {
        const { parts, left, why } = valueOf(translatedParts(list, allAtRate, rateOf));
        const given = list.flatMap(({ base }, at) => (base === null ? [] : [{ base, got: parts[at]?.base ?? NIL }]));
        expect(sum(given.map(({ got }) => got)) + left).toBe(sum(given.map(({ base }) => base)));
        if (!allAtRate) expect(left).toBe(0n);
        expect(why === undefined).toBe(list.every(({ base }) => base !== null && !allAtRate));
      }),
    );
    expect(translatedParts([{ currency: 'USD', amount: minor(1n), base: null }], false, rateOf).ok).toBe(false);
  });
});

describe('the rules of parts', () => {
  const part = (currency: Currency, base = 5n): Part => ({ currency, amount: minor(9n), base: minor(base) });
  it.each([
    ['NOK', [part('NOK')], undefined],
    [null, [part('NOK'), part('USD')], undefined],
    ['NOK', [part('USD')], 'foreign.other'],
    ['NOK', [part('NOK', 4n)], 'foreign.worth'],
    [null, [part('NOK'), part('NOK')], 'foreign.twice'],
    [null, [part('GBP')], 'foreign.off'],
  ])('in an account of %s', (own, parts, code) => {
    expect(partsProblem(own, { amount: minor(5n), parts }, ['NOK', 'USD'])?.code).toBe(code);
  });
  it('belong to accounts of a foreign currency and to control accounts', () => {
    expect(takesForeign({ currency: 'NOK', role: null }, 'EUR')).toBe(true);
    expect(takesForeign({ currency: 'EUR', role: 'bank' }, 'EUR')).toBe(false);
    expect(takesForeign({ currency: null, role: 'payables-control' }, 'EUR')).toBe(true);
    expect(takesForeign({ currency: null, role: null }, 'EUR')).toBe(false);
  });
  it('are written with a side only where it is not the figure’s', () => {
    const parts = [part('NOK'), { ...part('USD'), amount: minor(-250n) }];
    expect(writtenParts({ amount: minor(5n), parts }, '1.234,56')).toBe('NOK 0,09, USD 2,50 Cr');
  });
});
