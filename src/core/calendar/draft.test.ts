import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainDate } from '../base/dates';
import { type Draft, addAfter, addBefore, listEnds, offerEnd, redrawYear, rename, takeAway } from './draft';
import type { Pattern } from './pattern';
import { PLAIN_PLAN, isRegular, partitionProblems, planYear } from './year';

const first = (): Draft => {
  const year = planYear(PLAIN_PLAN, plainDate('2026-02-01'));
  if (!year.ok) throw new Error('year');
  return [{ ...year.value, id: 1, plan: PLAIN_PLAN }];
};
const PATTERNS: readonly Pattern[] = [
  { kind: 'months', size: 1, endDay: 31 },
  { kind: 'months', size: 3, endDay: 31 },
  { kind: 'months', size: 1, endDay: 25 },
  { kind: 'weeks', groups: '4-4-5', weekday: 7, rule: 'last', month: 1, extraIn: 12 },
  { kind: 'weeks', groups: 'thirteen-fours', weekday: 5, rule: 'nearest', month: 12, extraIn: 13 },
];

type Step = (years: Draft) => ReturnType<typeof addAfter>;
const steps: fc.Arbitrary<Step> = fc.oneof(
  fc.integer({ min: 1, max: 3 }).map(
    (count): Step =>
      (years) =>
        addAfter(years, count),
  ),
  fc.constant<Step>(addBefore),
  fc.nat({ max: 8 }).map(
    (at): Step =>
      (years) =>
        takeAway(years, at % years.length),
  ),
  fc
    .record({
      at: fc.nat({ max: 8 }),
      pattern: fc.constantFrom(...PATTERNS),
      onward: fc.boolean(),
      short: fc.option(fc.integer({ min: 20, max: 500 })),
    })
    .map(({ at, pattern, onward, short }): Step => (years) => {
      const year = years[at % years.length];
      const end = short === null ? undefined : year?.start.add({ days: short });
      return redrawYear(years, at % years.length, { plan: { ...PLAIN_PLAN, pattern }, end, onward });
    }),
  fc
    .record({ at: fc.nat({ max: 8 }), place: fc.nat({ max: 11 }), days: fc.integer({ min: -20, max: 20 }) })
    .map(({ at, place, days }): Step => (years) => {
      const year = years[at % years.length];
      const period = year?.periods.filter(isRegular)[place];
      if (period === undefined) return { ok: true, value: years };
      const offered = offerEnd(years, at % years.length, place, period.end.add({ days }));
      return offered.ok ? { ok: true, value: offered.value.years } : offered;
    }),
  fc
    .record({ at: fc.nat({ max: 8 }), moves: fc.array(fc.tuple(fc.nat({ max: 12 }), fc.integer({ min: -9, max: 9 }))) })
    .map(({ at, moves }): Step => (years) => {
      const periods = years[at % years.length]?.periods.filter(isRegular) ?? [];
      const ends = new Map(
        moves.flatMap(([place, days]) => {
          const end = periods[place]?.end.add({ days });
          return end === undefined ? [] : [[place, end] as const];
        }),
      );
      return listEnds(years, at % years.length, ends);
    }),
);

describe('changing a calendar', () => {
  it('keeps the law through any chain of steps: years divided, joined and told apart', () => {
    fc.assert(
      fc.property(fc.array(steps, { maxLength: 8 }), (chain) => {
        let years = first();
        for (const step of chain) {
          const done = step(years);
          if (done.ok) years = done.value;
          else expect(done.problems[0]?.message).toMatch(/\.$/);
        }
        expect(partitionProblems(years)).toEqual([]);
        expect(new Set(years.map((year) => year.name)).size).toBe(years.length);
      }),
    );
  });
  it('goes back by a step and its reverse', () => {
    const years = first();
    const more = addAfter(years, 2);
    if (!more.ok) throw new Error('after');
    expect(more.value.map((year) => year.name)).toEqual(['2026/27', '2027/28', '2028/29']);
    const less = takeAway(more.value, 2);
    expect(less.ok && less.value.length).toBe(2);
    expect(takeAway(more.value, 1).ok).toBe(false);
    expect(takeAway(years, 0).ok).toBe(false);
  });
  it('divides the years from one on otherwise, and leaves those before', () => {
    const three = addAfter(first(), 2);
    if (!three.ok) throw new Error('after');
    const plan = { ...PLAIN_PLAN, pattern: PATTERNS[1] ?? PLAIN_PLAN.pattern };
    const redrawn = redrawYear(three.value, 1, { plan, onward: true });
    expect(redrawn.ok ? redrawn.value.map((year) => year.periods.length) : []).toEqual([12, 4, 4]);
    const only = redrawYear(three.value, 1, { plan, onward: false });
    expect(only.ok ? only.value.map((year) => year.periods.length) : []).toEqual([12, 4, 12]);
  });
  it('gives names by hand', () => {
    const years = rename(rename(first(), 0, { year: 'First year' }), 0, { place: 2, name: 'Easter', code: 'E' });
    expect([years[0]?.name, years[0]?.periods[2]?.name, years[0]?.periods[2]?.code]).toEqual([
      'First year',
      'Easter',
      'E',
    ]);
  });
});
