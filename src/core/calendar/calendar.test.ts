import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type PlainDate, before, daysInclusive, plainDate, readDate } from '../base/dates';
import { changeStates, firstStates } from './states';
import { type OpeningsState, cutoverProblems, moveProblems, openingDate } from './cutover';
import { firstYear, periodOf } from './year';

const dates = fc
  .tuple(fc.integer({ min: 1960, max: 2140 }), fc.integer({ min: 0, max: 365 }))
  .map(([year, day]) => plainDate(`${year}-01-01`).add({ days: day }));

describe('a year of twelve months', () => {
  it('is partitioned by its periods: no gap, no overlap, nothing outside', () => {
    fc.assert(
      fc.property(dates, (start) => {
        const year = firstYear(start);
        expect(year.periods).toHaveLength(12);
        expect(year.periods[0]?.start.equals(start)).toBe(true);
        expect(year.periods[11]?.end.equals(year.end)).toBe(true);
        year.periods.forEach((period, at) => {
          expect(before(period.end, period.start)).toBe(false);
          const next = year.periods[at + 1];
          if (next) expect(period.end.add({ days: 1 }).equals(next.start)).toBe(true);
        });
        expect(year.periods.reduce((days, p) => days + daysInclusive(p.start, p.end), 0)).toBe(
          daysInclusive(year.start, year.end),
        );
        expect(new Set(year.periods.map((p) => p.code)).size).toBe(12);
        expect(new Set(year.periods.map((p) => p.name)).size).toBe(12);
      }),
    );
  });

  it('puts every date of the year in exactly one period', () => {
    fc.assert(
      fc.property(dates, fc.integer({ min: 0, max: 364 }), (start, day) => {
        const year = firstYear(start);
        const date = start.add({ days: day });
        const inside = !before(year.end, date);
        expect(year.periods.filter((p) => !before(date, p.start) && !before(p.end, date))).toHaveLength(inside ? 1 : 0);
        expect(periodOf(year.periods, date) !== undefined).toBe(inside);
      }),
    );
  });

  it('names what it makes', () => {
    const year = firstYear(plainDate('2026-02-01'));
    expect([year.name, year.end.toString(), year.periods[6]?.name]).toEqual(['2026/27', '2027-01-31', 'Aug 2026']);
    expect(firstYear(plainDate('2026-01-01')).name).toBe('2026');
    const long = firstYear(plainDate('2023-01-31')).periods.map((p) => p.start.toString());
    expect(long.slice(0, 4)).toEqual(['2023-01-31', '2023-03-01', '2023-03-31', '2023-05-01']);
  });
});

describe('the cutover date', () => {
  it('moves anywhere in the calendar while nothing is posted, on only with a correction open, and not while posted', () => {
    const years = [firstYear(plainDate('2026-02-01'))];
    const [from, later, earlier] = (['2026-08-01', '2026-09-01', '2026-07-01'] as const).map(plainDate);
    if (from === undefined || later === undefined || earlier === undefined) throw new Error('three dates');
    const codes = (to: PlainDate, state: OpeningsState): readonly string[] =>
      moveProblems(years, from, to, state).map(({ code }) => code);
    expect([codes(later, 'draft'), codes(earlier, 'draft')]).toEqual([[], []]);
    expect([codes(later, 'posted'), codes(earlier, 'posted')]).toEqual([['cutover.posted'], ['cutover.posted']]);
    expect([codes(later, 'correction'), codes(earlier, 'correction')]).toEqual([[], ['cutover.behind-posted']]);
    expect(codes(plainDate('2031-01-01'), 'draft')).toEqual(['cutover.outside-year']);
    expect(codes(plainDate('2026-08-15'), 'draft')).toEqual(['cutover.inside-period']);
  });
  const year = firstYear(plainDate('2026-02-01'));
  it('is accepted exactly on the first days of periods', () => {
    fc.assert(
      fc.property(fc.integer({ min: -40, max: 420 }), (day) => {
        const date = year.start.add({ days: day });
        const starts = year.periods.some((p) => p.start.equals(date));
        expect(cutoverProblems(year, date).length === 0).toBe(starts);
      }),
    );
  });
  it('says what is wrong and offers a day that is right', () => {
    expect(cutoverProblems(year, plainDate('2026-08-15'))[0]?.message).toContain('1 Aug 2026 or 1 Sep 2026');
    expect(cutoverProblems(year, plainDate('2027-02-01'))[0]?.code).toBe('cutover.outside-year');
  });
  it('states openings at the close of the day before', () => {
    expect(openingDate(plainDate('2026-03-01')).toString()).toBe('2026-02-28');
  });
  it('closes what the old system recorded and opens its own period', () => {
    const states = firstStates(year.periods, plainDate('2026-08-01'));
    expect(states.join(' ')).toBe('closed closed closed closed closed closed open future future future future future');
  });
  it('keeps earlier and locked periods as they are', () => {
    const cutover = plainDate('2026-08-01');
    const states = firstStates(year.periods, cutover);
    const stated = year.periods.map((p, at) => ({ ...p, state: states[at] ?? 'future' }));
    expect(changeStates(stated.slice(5, 8), 'open', cutover)).toMatchObject({
      ok: false,
      problems: [{ code: 'period.before-cutover' }],
    });
    expect(changeStates(stated.slice(6, 9), 'open', cutover)).toMatchObject({
      ok: true,
      value: [{ name: 'Sep 2026' }, { name: 'Oct 2026' }],
    });
    const locked = stated.slice(7, 8).map((p) => ({ ...p, state: 'locked' as const }));
    expect(changeStates(locked, 'open', cutover)).toMatchObject({ ok: false, problems: [{ code: 'period.locked' }] });
  });
});

describe('dates', () => {
  it.each([
    ['2026-02-30', 'date.impossible'],
    ['1.8.2026', 'date.unreadable'],
    ['', 'date.missing'],
    ['9999-01-01', 'date.far'],
    ['2023-02-29', 'date.impossible'],
  ])('refuses %s', (text, code) => {
    expect(readDate(text)).toMatchObject({ ok: false, problems: [{ code }] });
  });
  it('takes a leap day', () => {
    expect(readDate('2024-02-29')).toMatchObject({ ok: true });
  });
});
