import { type IsoDate } from '../base/iso-date';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { before, dateOf, dayBefore, daysInclusive, plainDate } from '../base/dates';
import { PLAIN_WRITING, tell } from '../base/sentence';
import { moveEnd } from './edit';
import { distinct, PLAIN_NAMING } from './naming';
import {
  type Pattern,
  WEEK_GROUPS,
  type WeekPattern,
  extraWeekOf,
  naturalEnd,
  naturalStart,
  weekYearEnd,
} from './pattern';
import {
  type FiscalYear,
  PLAIN_PLAN,
  type YearPlan,
  isRegular,
  partitionProblems,
  planShifted,
  planYear,
  quarterOf,
  readEnds,
  yearAfter,
  yearBefore,
  yearNotes,
} from './year';

const dates = fc
  .tuple(fc.integer({ min: 1960, max: 2130 }), fc.integer({ min: 0, max: 365 }))
  .map(([year, day]) => plainDate(`${year}-01-01`).add({ days: day }));
const weeks: fc.Arbitrary<WeekPattern> = fc
  .record({
    kind: fc.constant('weeks' as const),
    groups: fc.constantFrom(...WEEK_GROUPS),
    weekday: fc.integer({ min: 1, max: 7 }),
    rule: fc.constantFrom('last' as const, 'nearest' as const),
    month: fc.integer({ min: 1, max: 12 }),
    place: fc.integer({ min: 1, max: 13 }),
  })
  .map(({ place, ...one }) => ({ ...one, extraIn: one.groups === 'thirteen-fours' ? place : Math.min(12, place) }));
const months: fc.Arbitrary<Pattern> = fc.record({
  kind: fc.constant('months' as const),
  size: fc.constantFrom(1 as const, 3 as const, 6 as const),
  endDay: fc.integer({ min: 1, max: 31 }),
});
const patterns: fc.Arbitrary<Pattern> = fc.oneof(months, weeks);
const plans: fc.Arbitrary<YearPlan> = fc.record({
  pattern: patterns,
  naming: fc.record({
    yearBy: fc.constantFrom('start' as const, 'end' as const, 'both' as const),
    yearPrefix: fc.constantFrom('', 'FY '),
    yearSeparator: fc.constantFrom('/' as const, '-' as const, ' ' as const),
    yearDigits: fc.constantFrom(2 as const, 4 as const),
    codePrefix: fc.constantFrom('', 'P', 'M'),
    codeWidth: fc.constantFrom(1 as const, 2 as const, 3 as const),
    codeYear: fc.boolean(),
    periodBy: fc.constantFrom('month' as const, 'number' as const),
    periodPrefix: fc.constantFrom('Period ', ''),
    monthNames: fc.constantFrom('short' as const, 'long' as const, 'number' as const),
    monthYear: fc.boolean(),
  }),
  adjustments: fc.constantFrom(0 as const, 1 as const, 2 as const, 3 as const),
});

const yearOf = (plan: YearPlan, start = plainDate('2026-01-01'), end?: ReturnType<typeof plainDate>): FiscalYear => {
  const year = planYear(plan, start, end);
  if (!year.ok) throw new Error(year.problems[0]?.message);
  return year.value;
};
const planOf = (pattern: Pattern): YearPlan => ({ ...PLAIN_PLAN, pattern });
const spans = (year: FiscalYear): number[] => year.periods.map((one) => daysInclusive(one.start, one.end));

describe('a fiscal year of any pattern', () => {
  it('is divided by its regular periods, whole or short or long; names and codes are told apart', () => {
    fc.assert(
      fc.property(plans, dates, fc.option(fc.integer({ min: 0, max: 730 })), (plan, start, length) => {
        const year = yearOf(plan, start, length === null ? undefined : start.add({ days: length }));
        expect(partitionProblems([year])).toEqual([]);
        const regular = year.periods.filter(isRegular);
        expect(regular.reduce((all, one) => all + daysInclusive(one.start, one.end), 0)).toBe(
          daysInclusive(year.start, year.end),
        );
        expect(new Set(year.periods.map((one) => one.code)).size).toBe(year.periods.length);
        expect(new Set(regular.map((one) => one.name)).size).toBe(regular.length);
        expect(year.periods.length - regular.length).toBe(plan.adjustments);
      }),
      { numRuns: 300 },
    );
  });

  it('has every date in exactly one regular period', () => {
    fc.assert(
      fc.property(plans, dates, fc.nat({ max: 370 }), (plan, start, day) => {
        const year = yearOf(plan, start);
        const date = start.add({ days: day });
        const holding = year.periods.filter(
          (one) => isRegular(one) && !before(date, one.start) && !before(one.end, date),
        );
        expect(holding).toHaveLength(before(year.end, date) ? 0 : 1);
      }),
    );
  });

  it('joins the years after and before it without a day between, told apart by name, over twenty years', () => {
    fc.assert(
      fc.property(plans, dates, (plan, start) => {
        const years = [yearOf(plan, start)];
        let onward = plan;
        let back = plan;
        for (let count = 0; count < 10; count += 1) {
          const taken = years.map((year) => year.name);
          onward = planShifted(onward, 1);
          back = planShifted(back, -1);
          const [first] = years;
          const last = years.at(-1);
          if (first === undefined || last === undefined) throw new Error('years');
          const after = yearAfter(last, onward, taken);
          if (!after.ok) throw new Error(after.problems[0]?.message);
          years.push(after.value);
          const previous = yearBefore(first, back, [...taken, after.value.name]);
          if (!previous.ok) throw new Error(previous.problems[0]?.message);
          years.unshift(previous.value);
        }
        expect(partitionProblems(years)).toEqual([]);
        expect(new Set(years.map((year) => year.name)).size).toBe(years.length);
        // Once on its own grid, a year is as long as its pattern says.
        for (const year of years.slice(12)) {
          const days = daysInclusive(year.start, year.end);
          expect(plan.pattern.kind === 'weeks' ? [364, 371] : [365, 366]).toContain(days);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('goes back to where it began: the natural start of a natural end on the grid', () => {
    fc.assert(
      fc.property(patterns, dates, (pattern, near) => {
        const end = naturalEnd(pattern, near);
        const start = end.add({ days: 1 });
        const next = naturalEnd(pattern, start);
        // Days 29 to 31 fall together in short months, so that February's end has several starts.
        if (pattern.kind === 'months' && pattern.endDay > 28 && pattern.endDay < 31 && [2, 3].includes(start.month))
          return;
        expect(naturalStart(pattern, next).toString()).toBe(start.toString());
      }),
    );
  });
});

describe('week patterns', () => {
  it('are whole weeks that end on their weekday, and the 53rd week lies where it was put', () => {
    fc.assert(
      fc.property(weeks, dates, (pattern, near) => {
        const start = naturalEnd(pattern, near).add({ days: 1 });
        const year = yearOf(planOf(pattern), start);
        const lengths = spans(year).map((days) => days / 7);
        expect(lengths.every(Number.isInteger)).toBe(true);
        expect(year.periods.every((one) => one.end.dayOfWeek === pattern.weekday)).toBe(true);
        const extra = extraWeekOf(pattern, year.start, year.end);
        expect(lengths.reduce((all, one) => all + one, 0)).toBe(extra === undefined ? 52 : 53);
        const plain =
          pattern.groups === 'thirteen-fours'
            ? Array<number>(13).fill(4)
            : [0, 1, 2, 3].flatMap(() => pattern.groups.split('-').map(Number));
        expect(lengths).toEqual(plain.map((count, at) => (at + 1 === extra ? count + 1 : count)));
      }),
    );
  });

  it('end by their rule: the last such day of the month, or the one at most three days from its end', () => {
    fc.assert(
      fc.property(weeks, fc.integer({ min: 1960, max: 2130 }), (pattern, year) => {
        const end = weekYearEnd(pattern, year);
        const monthEnd = dateOf(year, pattern.month, 1).add({ months: 1 }).subtract({ days: 1 });
        const away = end.until(monthEnd, { largestUnit: 'days' }).days;
        expect(pattern.rule === 'last' ? away >= 0 && away <= 6 : Math.abs(away) <= 3).toBe(true);
        expect(end.dayOfWeek).toBe(pattern.weekday);
      }),
    );
  });

  it('agree with the published retail calendar: 4-5-4, Saturday nearest to the end of January', () => {
    const retail: WeekPattern = { kind: 'weeks', groups: '4-5-4', weekday: 6, rule: 'nearest', month: 1, extraIn: 12 };
    const published: readonly (readonly [IsoDate, IsoDate, number])[] = [
      ['2012-01-29', '2013-02-02', 53],
      ['2013-02-03', '2014-02-01', 52],
      ['2014-02-02', '2015-01-31', 52],
      ['2015-02-01', '2016-01-30', 52],
      ['2016-01-31', '2017-01-28', 52],
      ['2017-01-29', '2018-02-03', 53],
      ['2018-02-04', '2019-02-02', 52],
      ['2019-02-03', '2020-02-01', 52],
      ['2020-02-02', '2021-01-30', 52],
      ['2021-01-31', '2022-01-29', 52],
      ['2022-01-30', '2023-01-28', 52],
      ['2023-01-29', '2024-02-03', 53],
      ['2024-02-04', '2025-02-01', 52],
    ];
    for (const [start, end, count] of published) {
      const year = yearOf(planOf(retail), plainDate(start));
      expect([year.end.toString(), daysInclusive(year.start, year.end) / 7]).toEqual([end, count]);
    }
    const long = yearOf(planOf(retail), plainDate('2023-01-29'));
    expect(spans(long).map((days) => days / 7)).toEqual([4, 5, 4, 4, 5, 4, 4, 5, 4, 4, 5, 5]);
  });
});

describe('month patterns', () => {
  it('end on their day, also over leap days', () => {
    const ends = (endDay: number, start: IsoDate, size: 1 | 3 | 6 = 1): string[] =>
      yearOf(planOf({ kind: 'months', size, endDay }), plainDate(start)).periods.map((one) => one.end.toString());
    expect(ends(31, '2024-02-01').slice(0, 2)).toEqual(['2024-02-29', '2024-03-31']);
    expect(ends(25, '2026-01-26')).toEqual(
      ['02', '03', '04', '05', '06', '07', '08', '09', '10', '11', '12']
        .map((month) => `2026-${month}-25`)
        .concat('2027-01-25'),
    );
    expect(ends(31, '2026-01-01', 3)).toEqual(['2026-03-31', '2026-06-30', '2026-09-30', '2026-12-31']);
    expect(ends(31, '2026-09-01', 6)).toEqual(['2027-02-28', '2027-08-31']);
    // A short first year of quarters lacks its first months: it ends with whole quarters.
    expect(ends(31, '2026-03-15', 3)).toEqual(['2026-05-31', '2026-08-31', '2026-11-30', '2027-02-28']);
  });
  it('are named by the months they cover', () => {
    const names = (plan: YearPlan, start: IsoDate): string[] =>
      yearOf(plan, plainDate(start)).periods.map((one) => one.name);
    expect(names(planOf({ kind: 'months', size: 1, endDay: 25 }), '2026-01-26').slice(0, 2)).toEqual([
      'Feb 2026',
      'Mar 2026',
    ]);
    expect(names(planOf({ kind: 'months', size: 3, endDay: 31 }), '2026-11-01')).toEqual([
      'Nov 2026–Jan 2027',
      'Feb–Apr 2027',
      'May–Jul 2027',
      'Aug–Oct 2027',
    ]);
    const numbered = { ...PLAIN_PLAN, naming: { ...PLAIN_NAMING, monthNames: 'number' as const } };
    expect(names(numbered, '2026-01-01')[6]).toBe('2026-07');
    const coded = {
      ...PLAIN_PLAN,
      adjustments: 2 as const,
      naming: { ...PLAIN_NAMING, codeYear: true, yearPrefix: 'FY ', yearBy: 'end' as const },
    };
    const year = yearOf(coded, plainDate('2026-02-01'));
    expect([year.name, year.periods[0]?.code, year.periods[13]?.code, year.periods[13]?.name]).toEqual([
      'FY 27',
      '2027-P01',
      '2027-P12A2',
      'Adjustment 2',
    ]);
  });
  it('make quarters, counted from the end of the year', () => {
    expect(Array.from({ length: 12 }, (_, at) => quarterOf(at, 12)).join('')).toBe('111222333444');
    expect(Array.from({ length: 10 }, (_, at) => quarterOf(at, 10)).join('')).toBe('1222333444');
    expect([quarterOf(0, 13), quarterOf(3, 4), quarterOf(0, 2)]).toEqual([undefined, 4, undefined]);
  });
});

describe('what cannot be a year', () => {
  it('is said', () => {
    const code = (start: IsoDate, end: IsoDate): string | undefined => {
      const year = planYear(PLAIN_PLAN, plainDate(start), plainDate(end));
      return year.ok ? undefined : year.problems[0]?.code;
    };
    expect(code('2026-02-01', '2026-01-31')).toBe('year.backwards');
    expect(code('2026-02-01', '2028-02-02')).toBe('year.long');
    expect(code('2026-02-01', '2028-01-31')).toBeUndefined();
    const ends = (text: string): string | undefined => {
      const read = readEnds(text, plainDate('2026-01-01'));
      return read.ok ? read.value.join(' ') : read.problems[0]?.code;
    };
    expect(ends('2026-03-28\n2026-06-27, 2026-12-31')).toBe('2026-03-28 2026-06-27 2026-12-31');
    expect(ends('2026-03-28 2026-03-28')).toBe('ends.order');
    expect(ends('2025-12-31')).toBe('ends.order');
    expect(ends('2026-02-30')).toBe('date.impossible');
    expect(ends(' ')).toBe('ends.missing');
    const year = yearOf(PLAIN_PLAN, plainDate('2026-01-29'), plainDate('2026-06-30'));
    expect(yearNotes(year)).toEqual([
      'A short year of 153 days.',
      'Jan 2026 has only 3 days; move its last day to join it with the next.',
    ]);
    expect(yearNotes(yearOf(PLAIN_PLAN))).toEqual([]);
  });
  it('makes names distinct without losing any', () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom('a', 'b', 'a (2)'), { maxLength: 12 }), (names) => {
        const made = distinct(names);
        expect(new Set(made).size).toBe(names.length);
        made.forEach((name, at) => expect(name.startsWith(names[at] ?? '')).toBe(true));
      }),
    );
  });
});

describe('moving a period’s last day', () => {
  it('keeps the law and moves exactly the neighbour along', () => {
    fc.assert(
      fc.property(plans, dates, fc.nat({ max: 59 }), fc.integer({ min: -40, max: 40 }), (plan, start, place, days) => {
        const year = yearOf(plan, start);
        const regular = year.periods.filter(isRegular);
        const period = regular[place % regular.length];
        if (period === undefined) throw new Error('period');
        const to = period.end.add({ days });
        const moved = moveEnd(year, place % regular.length, to);
        if (!moved.ok) {
          expect(moved.problems[0]?.code).toMatch(/^period\.(backwards|swallows)$/);
          return;
        }
        expect(partitionProblems([moved.value.year])).toEqual([]);
        const changed = moved.value.year.periods.filter((one, at) => one !== year.periods[at] && isRegular(one));
        expect(changed.length).toBe(moved.value.neighbour === undefined ? 1 : 2);
      }),
    );
  });
  it('says what would happen', () => {
    const year = yearOf(PLAIN_PLAN);
    const moved = moveEnd(year, 0, plainDate('2026-01-24'));
    expect(moved.ok && tell(moved.value.says, PLAIN_WRITING)).toBe(
      'It would leave a gap before Feb 2026: let Feb 2026 begin on 25 Jan 2026 instead of 1 Feb 2026?',
    );
    expect(moveEnd(year, 0, plainDate('2026-02-28'))).toMatchObject({
      ok: false,
      problems: [{ code: 'period.swallows' }],
    });
    expect(moveEnd(year, 1, plainDate('2026-01-31'))).toMatchObject({
      ok: false,
      problems: [{ code: 'period.backwards' }],
    });
    expect(moveEnd(year, 11, plainDate('2027-01-03'))).toMatchObject({
      ok: true,
      value: { year: { end: plainDate('2027-01-03') } },
    });
    expect(dayBefore(plainDate('2026-01-01')).toString()).toBe('2025-12-31');
  });
});
