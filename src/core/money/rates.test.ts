import { type IsoDate } from '../base/iso-date';
import { type Currency } from './currency';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { epochDay, plainDate } from '../base/dates';
import { allocate, type Conversion, convert, convertList, convertToTotal } from './convert';
import { type Minor, minor, sum } from './minor';
import { NUMBER_STYLES } from './number-style';
import { type DatedRate, decimalOf, plainRate, ratioOf, readRate, shownRatio, writeRate } from './rate';
import { doubtOf, lookUp, pairOf, rateBook } from './rate-book';
import { ONE, compareRatios, inverse, times } from './ratio';
import { ROUNDING_IDS, divideRounded } from './rounding';

const decimals = fc
  .tuple(fc.bigInt({ min: 1n, max: 10n ** 14n }), fc.nat({ max: 10 }))
  .map(([coefficient, scale]) => ({ coefficient, scale }));
const amounts = fc.bigInt({ min: -(10n ** 13n), max: 10n ** 13n }).map(minor);
const conversions: fc.Arbitrary<Conversion> = fc
  .record({
    rate: decimals,
    turned: fc.boolean(),
    fromDigits: fc.constantFrom(0, 2, 3, 4),
    toDigits: fc.constantFrom(0, 2, 3, 4),
    rounding: fc.constantFrom(...ROUNDING_IDS),
  })
  .map(({ rate, turned, ...one }) => {
    const ratio = { n: rate.coefficient, d: 10n ** BigInt(rate.scale) };
    return { ...one, ratio: turned ? inverse(ratio) : ratio };
  });
const rate = (date: IsoDate, unit: Currency, quote: Currency, text: string, source = 'typed'): DatedRate => ({
  date,
  unit,
  quote,
  rate: decimalOf(text),
  source,
});

describe('rates', () => {
  it('are kept exactly as typed, in every style', () => {
    fc.assert(
      fc.property(decimals, fc.constantFrom(...NUMBER_STYLES), (decimal, style) => {
        expect(decimalOf(plainRate(decimal))).toEqual(decimal);
        expect(readRate(writeRate(decimal, style), style)).toEqual({ ok: true, value: decimal });
      }),
    );
  });
  it('count in the other direction exactly: there and back is one', () => {
    fc.assert(
      fc.property(decimals, (decimal) => {
        const one = { unit: 'GBP', quote: 'EUR', rate: decimal } as const;
        const [there, back] = [ratioOf(one, 'GBP', 'EUR'), ratioOf(one, 'EUR', 'GBP')];
        if (there === undefined || back === undefined) throw new Error('ratio');
        expect(compareRatios(times(there, back), ONE)).toBe(0);
        expect(ratioOf(one, 'GBP', 'NOK')).toBeUndefined();
      }),
    );
  });
  it.each([
    ['1.1789', '1.1789'],
    ['1.10', '1.10'],
    ['1,234.5', '1234.5'],
    ['.5', '0.5'],
    ['', 'rate.missing'],
    ['0.000', 'rate.nil'],
    ['-1.2', 'rate.unreadable'],
    ['1.2 EUR', 'rate.unreadable'],
    ['1,5', 'rate.unreadable'],
    ['1e3', 'rate.unreadable'],
    ['0.1234567890123', 'rate.long'],
    ['9'.repeat(21), 'rate.long'],
    ['9'.repeat(500), 'rate.unreadable'],
  ])('reads %s', (text, expected) => {
    const read = readRate(text, '1,234.56');
    expect(read.ok ? plainRate(read.value) : read.problems[0]?.code).toBe(expected);
  });
  it('shows the reverse with six digits', () => {
    expect(plainRate(shownRatio(inverse({ n: 11789n, d: 10000n })))).toBe('0.848248');
    expect(plainRate(shownRatio({ n: 16250n, d: 100n }))).toBe('162.500');
  });
});

describe('conversion', () => {
  it('is within half a minor unit of the exact worth, keeps the side, and doubles no nil', () => {
    fc.assert(
      fc.property(amounts, conversions, (amount, how) => {
        const made = convert(amount, how);
        const n = amount * how.ratio.n * 10n ** BigInt(how.toDigits);
        const d = how.ratio.d * 10n ** BigInt(how.fromDigits);
        const off = 2n * (made * d - n);
        expect(off <= d && off >= -d).toBe(true);
        expect(convert(minor(-amount), how)).toBe(-made);
        expect(convert(minor(0n), how)).toBe(0n);
      }),
    );
  });
  it('by one, between the same currency, changes nothing', () => {
    fc.assert(
      fc.property(
        amounts,
        fc.constantFrom(0, 2, 3, 4),
        fc.constantFrom(...ROUNDING_IDS),
        (amount, digits, rounding) => {
          expect(convert(amount, { ratio: ONE, fromDigits: digits, toDigits: digits, rounding })).toBe(amount);
        },
      ),
    );
  });
  it('of a list leaves a residue of at most half a unit each and half, which can be laid so that the total holds', () => {
    fc.assert(
      fc.property(fc.array(amounts, { maxLength: 30 }), conversions, (list, how) => {
        const { each, roundedThenSummed, summedThenRounded, residue } = convertList(list, how);
        expect(roundedThenSummed).toBe(sum(each));
        expect(roundedThenSummed + residue).toBe(summedThenRounded);
        expect(2n * (residue < 0n ? -residue : residue) <= BigInt(list.length) + 1n).toBe(true);
        const laid = convertToTotal(list, how);
        expect(sum(laid)).toBe(summedThenRounded);
        laid.forEach((made, at) => {
          const n = (list[at] ?? 0n) * how.ratio.n * 10n ** BigInt(how.toDigits);
          const d = how.ratio.d * 10n ** BigInt(how.fromDigits);
          const off = made * d - n;
          // Half a unit when its own rounding stands; with the residue on it, at most one, for whoever was furthest off.
          expect(off <= d + d / 2n && off >= -d - d / 2n).toBe(true);
        });
      }),
    );
  });
  it('works the trade’s examples', () => {
    const eur = (
      amount: bigint,
      text: string,
      digits: number,
      rounding: Conversion['rounding'] = 'half-away-from-zero',
    ): Minor =>
      convert(minor(amount), {
        ratio: { n: decimalOf(text).coefficient, d: 10n ** BigInt(decimalOf(text).scale) },
        fromDigits: digits,
        toDigits: 2,
        rounding,
      });
    expect(eur(10_000n, '1.1789', 2)).toBe(11_789n);
    expect(eur(1_000_000n, '0.00615', 0)).toBe(615_000n);
    expect(eur(1n, '3.25', 3)).toBe(0n);
    expect(eur(50n, '0.25', 2)).toBe(13n);
    expect(eur(50n, '0.25', 2, 'half-even')).toBe(12n);
    const third = { ratio: { n: 1n, d: 3n }, fromDigits: 2, toDigits: 2, rounding: 'half-away-from-zero' as const };
    expect(convertList([100n, 100n, 100n].map(minor), third)).toMatchObject({ each: [33n, 33n, 33n], residue: 1n });
    expect(convertToTotal([100n, 100n, 100n].map(minor), third)).toEqual([34n, 33n, 33n]);
  });
  it('allocates a total by weights to the last unit, each part within one of its share', () => {
    fc.assert(
      fc.property(
        amounts,
        fc.array(fc.bigInt({ min: 0n, max: 10n ** 9n }), { minLength: 1, maxLength: 20 }),
        (total, weights) => {
          const whole = weights.reduce((all, one) => all + one, 0n);
          if (whole === 0n) {
            expect(() => allocate(total, weights)).toThrow(RangeError);
            return;
          }
          const parts = allocate(total, weights);
          expect(sum(parts)).toBe(total);
          parts.forEach((part, at) => {
            const off = part * whole - total * (weights[at] ?? 0n);
            expect(off < whole && off > -whole).toBe(true);
          });
        },
      ),
    );
    expect(allocate(minor(100n), [1n, 1n, 1n])).toEqual([34n, 33n, 33n]);
    expect(() => allocate(minor(1n), [1n, -1n])).toThrow(RangeError);
    expect(divideRounded(7n, 2n, 'half-even')).toBe(4n);
  });
});

describe('the rate book', () => {
  const days = fc.integer({ min: 0, max: 60 }).map((day) => plainDate('2026-06-01').add({ days: day }).toString());
  const codes = fc.constantFrom('EUR', 'GBP', 'NOK', 'JPY');
  const rates = fc
    .array(fc.record({ date: days, unit: codes, quote: codes, rate: decimals, source: fc.constant('typed') }), {
      maxLength: 40,
    })
    .map((list) => list.filter((one) => one.unit !== one.quote));

  it('finds the day’s rate, else the nearest earlier within the days allowed, and never a later one', () => {
    fc.assert(
      fc.property(rates, days, fc.nat({ max: 20 }), (list, date, mostDays) => {
        const found = lookUp(rateBook(list), { from: 'GBP', to: 'EUR', date, mostDays });
        const own = list.filter((one) => pairOf(one.unit, one.quote) === 'EUR/GBP' && one.date <= date);
        const nearest = own.reduce((best, one) => (one.date > best ? one.date : best), '');
        const age = nearest === '' ? Infinity : epochDay(date) - epochDay(nearest);
        if (age <= mostDays) {
          expect(found).toMatchObject({ kind: 'found', legs: [{ age, rate: { date: nearest } }] });
        } else if (found.kind === 'found') {
          expect(found.legs).toHaveLength(2);
          expect(found.legs.every((leg) => leg.age >= 0 && leg.age <= mostDays)).toBe(true);
        } else expect(found.stale?.rate.date ?? '').toBe(nearest);
      }),
    );
  });
  it('gives the reverse for the reverse question, and the order of rates of different days does not matter', () => {
    fc.assert(
      fc.property(rates, days, (list, date) => {
        const question = { date, mostDays: 30 };
        const there = lookUp(rateBook(list), { from: 'GBP', to: 'EUR', ...question });
        const back = lookUp(rateBook(list), { from: 'EUR', to: 'GBP', ...question });
        expect(there.kind).toBe(back.kind);
        if (there.kind === 'found' && back.kind === 'found')
          expect(compareRatios(times(there.ratio, back.ratio), ONE)).toBe(0);
        const distinctDays = list.filter(
          (one, at) =>
            list.findIndex(
              (other) => other.date === one.date && pairOf(other.unit, other.quote) === pairOf(one.unit, one.quote),
            ) === at,
        );
        expect(lookUp(rateBook([...distinctDays].reverse()), { from: 'GBP', to: 'EUR', ...question })).toEqual(
          lookUp(rateBook(distinctDays), { from: 'GBP', to: 'EUR', ...question }),
        );
      }),
    );
  });
  it('goes through a third currency, and asks when nothing is near', () => {
    const book = rateBook([
      rate('2026-07-31', 'EUR', 'NOK', '11.5'),
      rate('2026-07-30', 'GBP', 'EUR', '1.15'),
      rate('2026-05-01', 'GBP', 'NOK', '13'),
    ]);
    const found = lookUp(book, { from: 'GBP', to: 'NOK', date: '2026-07-31', mostDays: 7 });
    expect(found).toMatchObject({ kind: 'found', legs: [{ age: 1 }, { age: 0 }] });
    if (found.kind === 'found') expect(compareRatios(found.ratio, { n: 13225n, d: 1000n })).toBe(0);
    expect(lookUp(book, { from: 'GBP', to: 'NOK', date: '2026-05-02', mostDays: 7 })).toMatchObject({ kind: 'found' });
    expect(lookUp(book, { from: 'JPY', to: 'EUR', date: '2026-07-31', mostDays: 7 })).toEqual({ kind: 'missing' });
    expect(lookUp(book, { from: 'GBP', to: 'NOK', date: '2026-07-31', mostDays: 0 })).toMatchObject({
      kind: 'missing',
      stale: { age: 91 },
    });
    expect(lookUp(book, { from: 'EUR', to: 'EUR', date: '2026-07-31', mostDays: 0 })).toMatchObject({ legs: [] });
  });
  it('doubts what is upside down or far off, and nothing beside its neighbours', () => {
    const book = rateBook([rate('2026-07-01', 'GBP', 'EUR', '1.1789'), rate('2026-07-20', 'EUR', 'GBP', '0.8500')]);
    const doubt = (text: string, unit: Currency = 'GBP', quote: Currency = 'EUR', date: IsoDate = '2026-07-10') =>
      doubtOf(book, rate(date, unit, quote, text))?.code;
    expect(doubt('1.18')).toBeUndefined();
    expect(doubt('0.8482', 'EUR', 'GBP')).toBeUndefined();
    expect(doubt('0.8482')).toBe('rate.upside-down');
    expect(doubt('11.789')).toBe('rate.far-off');
    expect(doubt('1.40')).toBeUndefined();
    expect(doubt('1.42')).toBe('rate.far-off');
    expect(doubt('9', 'JPY', 'EUR')).toBeUndefined();
    expect(doubt('0.8482', 'GBP', 'EUR', '2028-07-30')).toBeUndefined();
  });
  it('counts days as the calendar does', () => {
    fc.assert(
      fc.property(fc.integer({ min: -10_000, max: 70_000 }), (day) => {
        expect(epochDay(plainDate('1970-01-01').add({ days: day }).toString())).toBe(day);
      }),
    );
  });
});
