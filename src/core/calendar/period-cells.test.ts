import fc from 'fast-check';
import { expect, test } from 'vitest';
import { PLAIN_DATES } from '../base/date-style';
import { plainDate } from '../base/dates';
import type { Draft } from './draft';
import { PERIOD_COLUMNS, type PeriodEdit, periodText, typedPeriods } from './period-cells';
import { PLAIN_PLAN, isRegular, partitionProblems, planYear } from './year';

const drawn = (): Draft => {
  const plan = { ...PLAIN_PLAN, adjustments: 1 as const };
  const year = planYear(plan, plainDate('2026-02-01'));
  if (!year.ok) throw new Error('year');
  return [{ ...year.value, id: 1, plan }];
};
const cells = (years: Draft): readonly (readonly string[])[] =>
  (years[0]?.periods ?? []).map((period) =>
    PERIOD_COLUMNS.map((column) => periodText(period, column, 'future', PLAIN_DATES)),
  );
const says = (edits: readonly PeriodEdit[]): string => {
  const done = typedPeriods(drawn(), 0, edits, PLAIN_DATES);
  return done.ok ? '' : JSON.stringify(done.problems[0]?.message);
};

test('all that the cells show, pasted over them, leaves every period as it was', () => {
  const years = drawn();
  const edits = cells(years).flatMap((row, at) =>
    row.map((text, place) => ({ at, column: PERIOD_COLUMNS[place] ?? '', text })),
  );
  fc.assert(
    fc.property(fc.shuffledSubarray(edits), (some) => {
      const done = typedPeriods(years, 0, some, PLAIN_DATES);
      expect(done.ok ? cells(done.value.offer?.years ?? done.value.years) : done.problems).toEqual(cells(years));
    }),
  );
});

test('last days pasted as a list divide the year by them, whatever their order, or say which does not go', () => {
  const ends = fc
    .uniqueArray(fc.integer({ min: 1, max: 360 }), { minLength: 12, maxLength: 12 })
    .map((days) => days.sort((a, b) => a - b).map((day) => plainDate('2026-01-31').add({ days: day }).toString()));
  fc.assert(
    fc.property(ends, (list) => {
      const done = typedPeriods(
        drawn(),
        0,
        list.map((text, at) => ({ at, column: 'end', text })),
        PLAIN_DATES,
      );
      if (!done.ok) throw new Error(String(done.problems[0]?.message));
      const { years, offer } = done.value;
      expect(offer).toBeUndefined();
      expect(years[0]?.periods.filter(isRegular).map(({ end }) => end.toString())).toEqual(list);
      expect(partitionProblems(years)).toEqual([]);
      // The other way round it is none that goes.
      const back = typedPeriods(
        drawn(),
        0,
        list.toReversed().map((text, at) => ({ at, column: 'end', text })),
        PLAIN_DATES,
      );
      expect(back.ok).toBe(false);
    }),
  );
});

test('one last day is offered, and nothing is moved before somebody takes it', () => {
  const done = typedPeriods(drawn(), 0, [{ at: 8, column: 'end', text: '25.10.2026' }], PLAIN_DATES);
  expect(done.ok && cells(done.value.years)).toEqual(cells(drawn()));
  expect(done.ok && cells(done.value.offer?.years ?? [])[9]?.[2]).toBe('26 Oct 2026');
});

test('what cannot be is said', () => {
  expect(says([{ at: 12, column: 'end', text: '2026-12-31' }])).toContain('Move the year’s end instead');
  expect(says([{ at: 3, column: 'end', text: 'soon' }])).toContain('soon');
  expect(says([{ at: 3, column: 'name', text: 'x'.repeat(61) }])).toContain('at most 60');
  expect(says([{ at: 3, column: 'code', text: 'x'.repeat(21) }])).toContain('at most 20');
});
