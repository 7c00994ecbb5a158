import { type IsoDate } from '../base/iso-date';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { type DatedRate, decimalOf } from './rate';
import { type RateEdit, settleRates } from './rate-edits';

const DAYS = ['2026-07-28', '2026-07-29', '2026-07-30', '2026-07-31'] as const;
const rateOn = (date: IsoDate, rate: string, source = 'bank.csv'): DatedRate => ({
  date,
  unit: 'GBP',
  quote: 'EUR',
  rate: decimalOf(rate),
  source,
});
const rates = fc.constantFrom('1.15', '1.16', '1.17');
const standing = fc.uniqueArray(fc.tuple(fc.constantFrom(...DAYS), rates), { selector: ([day]) => day });
const typed = fc.option(fc.tuple(fc.constantFrom(...DAYS), rates), { nil: null });

const editsOf = (
  known: readonly DatedRate[],
  plan: readonly (readonly [at: number, to: readonly [IsoDate, string] | null])[],
): readonly RateEdit[] => {
  const left = [...known];
  return plan.flatMap(([at, to]): readonly RateEdit[] => {
    const [was = null] = left.splice(at, 1);
    return was === null && to === null ? [] : [{ was, rate: to === null ? null : { ...rateOn(...to), sure: false } }];
  });
};

test('what is settled leaves each edited row as it is to be, the others as they were, and no day with two', () => {
  fc.assert(
    fc.property(standing, fc.array(fc.tuple(fc.nat(4), typed), { maxLength: 4 }), (stand, plan) => {
      const known = stand.map(([day, rate]) => rateOn(day, rate));
      const edits = editsOf(known, plan);
      const done = settleRates(known, edits);
      const touched = new Set(edits.flatMap(({ was }) => (was === null ? [] : [was.date])));
      const wanted = [
        ...known.filter(({ date }) => !touched.has(date)),
        ...edits.flatMap(({ rate }) => (rate === null ? [] : [rateOn(rate.date, '0')])),
      ].map(({ date }) => date);
      // It is refused exactly where a day would have two.
      expect(done.ok).toBe(new Set(wanted).size === wanted.length);
      if (!done.ok) {
        expect(done.problems.every(({ code }) => code === 'rate.day-taken')).toBe(true);
        return;
      }
      const after = new Map(known.map((one) => [one.date, one]));
      for (const { date } of done.value.gone) after.delete(date);
      for (const one of done.value.put) after.set(one.date, one);
      expect([...after.keys()].sort()).toEqual([...wanted].sort());
      for (const { was, rate } of edits) {
        if (rate === null) continue;
        expect(after.get(rate.date)?.rate).toEqual(rate.rate);
        const stays = was !== null && was.date === rate.date && was.rate.coefficient === rate.rate.coefficient;
        expect(after.get(rate.date)?.source).toBe(stays ? 'bank.csv' : 'typed');
      }
    }),
  );
});

test('a row that somebody else changed or deleted since is told, and nothing is settled', () => {
  const known = [rateOn('2026-07-30', '1.16')];
  const codes = (edits: readonly RateEdit[]): readonly (readonly unknown[])[] => {
    const done = settleRates(known, edits);
    return done.ok ? [] : done.problems.map(({ code, path }) => [code, ...(path ?? [])]);
  };
  expect(codes([{ was: rateOn('2026-07-30', '1.15'), rate: null }])).toEqual([['rate.changed', 0, 'rate']]);
  expect(codes([{ was: rateOn('2026-07-29', '1.15'), rate: null }])).toEqual([['rate.gone', 0, 'date']]);
  // The same number with other nils at its end is the same rate.
  expect(codes([{ was: rateOn('2026-07-30', '1.160'), rate: null }])).toEqual([]);
});

test('a doubtful rate is told at its row unless somebody is sure of it; beside others pasted with it, too', () => {
  const given = (date: IsoDate, rate: string, sure: boolean): RateEdit => ({
    was: null,
    rate: { ...rateOn(date, rate), sure },
  });
  const first = given('2026-07-30', '1.16', false);
  const done = settleRates([], [first, given('2026-07-31', '0.86', false)]);
  expect(done.ok ? [] : done.problems.map(({ code, path }) => [code, ...(path ?? [])])).toEqual([
    ['rate.upside-down', 0, 'rate'],
    ['rate.upside-down', 1, 'rate'],
  ]);
  expect(
    settleRates(
      [],
      [{ ...first, rate: first.rate && { ...first.rate, sure: true } }, given('2026-07-31', '0.86', true)],
    ).ok,
  ).toBe(true);
});
