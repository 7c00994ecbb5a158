import { type IsoDate } from '../base/iso-date';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCsv } from '../files/csv';
import { toCsv } from '../files/write';
import { cutoverEffects, oldRecordProblems } from './cutover';
import { type PlainDate, plainDate } from '../base/dates';
import { PLAIN_WRITING, tell } from '../base/sentence';
import { type StatedYear, calendarRows, readCalendar } from './file';
import type { Pattern } from './pattern';
import { type StandingYear, type WantedYear, redraw } from './redraw';
import { PERIOD_STATES, type PeriodState, changeStates, firstStates, statesAfterMove, unfinishedIn } from './states';
import { PLAIN_PLAN, type YearPlan, planYear, yearAfter } from './year';

const cutover = plainDate('2026-08-01');
const stated = (
  plan: YearPlan,
  start: IsoDate,
  states?: readonly PeriodState[],
  taken: readonly string[] = [],
): StatedYear => {
  const year = planYear(plan, plainDate(start), undefined, taken);
  if (!year.ok) throw new Error(year.problems[0]?.message);
  const first = states ?? firstStates(year.value.periods, cutover);
  return {
    ...year.value,
    plan,
    periods: year.value.periods.map((period, at) => ({ ...period, state: first[at] ?? 'future' })),
  };
};
const standing = (years: readonly StatedYear[]): readonly StandingYear[] =>
  years.map((year, at) => ({
    ...year,
    id: at + 1,
    periods: year.periods.map((period, place) => ({ ...period, id: 100 * (at + 1) + place })),
  }));
const wanted = (year: StatedYear, id: number | null): WantedYear => ({
  id,
  name: year.name,
  plan: year.plan,
  periods: year.periods.map(({ state: _, ...period }) => period),
});
const weeks: Pattern = { kind: 'weeks', groups: '4-4-5', weekday: 5, rule: 'last', month: 1, extraIn: 12 };
const nothing = { cutover, posted: new Set<number>() };
const codes = (result: ReturnType<typeof redraw>): readonly string[] =>
  result.ok ? [] : result.problems.map((one) => one.code);

describe('redrawing a calendar', () => {
  const now = standing([stated(PLAIN_PLAN, '2026-02-01')]);
  it('keeps rows, states and ids where days stay, whatever the names', () => {
    const renamed = {
      ...PLAIN_PLAN,
      adjustments: 1 as const,
      naming: { ...PLAIN_PLAN.naming, codePrefix: 'M', monthYear: false },
    };
    const result = redraw(now, [wanted(stated(renamed, '2026-02-01'), 1)], nothing);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    expect(result.value).toMatchObject({ remove: [], insert: [] });
    const [one] = result.value.rename;
    expect(one?.regular).toHaveLength(12);
    expect(one?.year.periods.map((period) => period.state)).toEqual([
      ...(now[0]?.periods.map((period) => period.state) ?? []),
      'future',
    ]);
  });
  it('draws a year anew with states that follow from the cutover and from what stood', () => {
    const quarters: YearPlan = { ...PLAIN_PLAN, pattern: { kind: 'months', size: 3, endDay: 31 } };
    expect(codes(redraw(now, [wanted(stated(quarters, '2026-02-01'), 1)], nothing))).toEqual([]);
    const result = redraw(now, [wanted(stated(quarters, '2026-02-01'), 1)], nothing);
    expect(result.ok ? result.value.insert[0]?.periods.map((one) => one.state) : []).toEqual([
      'closed',
      'closed',
      'open',
      'future',
    ]);
    const halves: YearPlan = { ...PLAIN_PLAN, pattern: { ...weeks, weekday: 7 } };
    expect(codes(redraw(now, [wanted(stated(halves, '2026-02-01'), 1)], nothing))).toEqual(['cutover.inside-period']);
  });
  it('refuses what would break a law or touch what is posted or locked', () => {
    const year = stated(PLAIN_PLAN, '2026-02-01');
    const next = yearAfter(year, PLAIN_PLAN);
    if (!next.ok) throw new Error('next');
    const after = { ...wanted(year, null), name: next.value.name, periods: next.value.periods };
    expect(codes(redraw(now, [wanted(year, 1), after], nothing))).toEqual([]);
    expect(codes(redraw(now, [wanted(year, 1), { ...after, name: year.name }], nothing))).toEqual([
      'calendar.year-name',
    ]);
    expect(codes(redraw(now, [after], nothing))).toContain('cutover.outside-year');
    expect(codes(redraw(now, [{ ...after, periods: [] }], nothing))).toContain('calendar.year-empty');
    expect(
      codes(
        redraw(now, [{ ...wanted(year, 1), periods: year.periods.slice(0, 11) }], { cutover, posted: new Set([103]) }),
      ),
    ).toContain('calendar.year-held');
    expect(codes(redraw(now, [wanted(year, 1)], { cutover, posted: new Set([103]) }))).toEqual([]);
    const gap = { ...wanted(year, 1), periods: year.periods.filter((_, at) => at !== 3) };
    expect(codes(redraw(now, [gap], nothing))).toContain('calendar.gap');
    const opened = { ...wanted(year, 1), periods: year.periods.map((one) => ({ ...one, state: 'open' as const })) };
    expect(codes(redraw(now, [opened], nothing))).toContain('period.before-cutover');
  });
});

describe('a calendar file', () => {
  const plans = fc.record({
    pattern: fc.constantFrom<Pattern>(
      { kind: 'months', size: 1, endDay: 31 },
      { kind: 'months', size: 3, endDay: 20 },
      weeks,
      { kind: 'weeks', groups: 'thirteen-fours', weekday: 7, rule: 'nearest', month: 6, extraIn: 13 },
    ),
    naming: fc.record({
      ...Object.fromEntries(Object.entries(PLAIN_PLAN.naming).map(([key, value]) => [key, fc.constant(value)])),
      yearPrefix: fc.constantFrom('', '=FY ', 'a,"b '),
    }) as fc.Arbitrary<YearPlan['naming']>,
    adjustments: fc.constantFrom(0 as const, 3 as const),
  });
  const read = (text: string) => {
    const tables = readCsv(new TextEncoder().encode(text), 'calendar.csv');
    if (!tables.ok || tables.value[0] === undefined) throw new Error('unread');
    return readCalendar(
      tables.value[0],
      (json) => (json === '' ? undefined : (JSON.parse(json) as YearPlan)),
      () => PLAIN_PLAN,
    );
  };
  it('reads back what was written, states and plans included', () => {
    fc.assert(
      fc.property(
        plans,
        fc.array(fc.constantFrom(...PERIOD_STATES), { minLength: 20, maxLength: 20 }),
        (plan, states) => {
          const first = stated(plan, '2026-02-01', states);
          const next = yearAfter(first, plan, [first.name]);
          if (!next.ok) throw new Error('next');
          const years = [
            first,
            { ...next.value, plan, periods: next.value.periods.map((one) => ({ ...one, state: 'future' as const })) },
          ];
          const back = read(toCsv(calendarRows(years)));
          const plain = (list: readonly StatedYear[]) => JSON.parse(JSON.stringify(list)) as unknown;
          expect(back.ok ? plain(back.value) : back.problems).toEqual(plain(years));
        },
      ),
      { numRuns: 40 },
    );
  });
  it('says which row is wrong, and takes nothing then', () => {
    const rows = toCsv(calendarRows([stated(PLAIN_PLAN, '2026-02-01')]));
    expect(read(rows.replace('2026-03-31', '2026-03-30'))).toMatchObject({
      ok: false,
      problems: [{ code: 'calendar.gap' }],
    });
    expect(read(rows.replace('2026-03-31', '2026-03-32'))).toMatchObject({
      ok: false,
      problems: [{ code: 'calendar.row', message: expect.stringContaining('Row 3') as string }],
    });
    expect(read(rows.replace('regular', 'odd'))).toMatchObject({ ok: false, problems: [{ code: 'calendar.row' }] });
    expect(read('a,b\n1,2\n')).toMatchObject({ ok: false, problems: [{ code: 'calendar.no-header' }] });
  });
});

describe('states', () => {
  const periods = stated(PLAIN_PLAN, '2026-02-01').periods;
  it('follow the cutover date when it moves, but never a lock', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom(...PERIOD_STATES), { minLength: 12, maxLength: 12 }),
        fc.nat({ max: 11 }),
        fc.nat({ max: 11 }),
        (states, from, to) => {
          const given = periods.map((one, at) => ({ ...one, state: states[at] ?? 'future' }));
          const [was, is] = [given[from], given[to]];
          if (was === undefined || is === undefined) throw new Error('period');
          const after = statesAfterMove(given, was.start, is.start);
          after.forEach((state, at) => {
            if (given[at]?.state === 'locked') expect(state).toBe('locked');
            else if (at < to) expect(state).toBe('closed');
            else if (at === to) expect(state).toBe('open');
          });
        },
      ),
    );
  });
  it('unlock only with a reason', () => {
    const [locked] = [{ name: 'Oct', end: plainDate('2026-10-31'), state: 'locked' as const }];
    expect(changeStates([locked], 'open', cutover)).toMatchObject({ ok: false, problems: [{ code: 'period.locked' }] });
    expect(changeStates([locked], 'open', cutover, 'locked the wrong month').ok).toBe(true);
  });
  it('warn of what is unfinished', () => {
    const july = periods.filter((one) => one.name === 'Jul 2026');
    const facts = { cutover, openingsPosted: false, correctionOpen: false };
    expect(tell(unfinishedIn(july, facts)[0] ?? '', PLAIN_WRITING)).toContain(
      'at close of 31 Jul 2026 are not posted yet',
    );
    expect(unfinishedIn(july, { ...facts, openingsPosted: true })).toEqual([]);
    expect(unfinishedIn(july, { ...facts, openingsPosted: true, correctionOpen: true })[0]).toEqual([
      expect.stringContaining('correction'),
    ]);
    expect(
      unfinishedIn(
        periods.filter((one) => one.name === 'Aug 2026'),
        facts,
      )[0],
    ).toEqual([expect.stringContaining('take over')]);
  });
});

describe('moving the cutover date', () => {
  const years = [stated(PLAIN_PLAN, '2026-02-01')];
  const facts = {
    years,
    currencies: ['NOK' as const],
    figures: true,
    results: true,
    schedules: true,
    things: ['1610 Boats'],
  };
  it('says what changes before it is taken', () => {
    const effects = (from: PlainDate, to: PlainDate): string =>
      cutoverEffects(from, to, facts)
        .map((one) => tell(one, PLAIN_WRITING))
        .join(' ');
    const said = effects(cutover, plainDate('2026-02-01'));
    expect(said).toContain('asked about where the lists say otherwise: 1610 Boats.');
    expect(said).toContain('at close of 31 Jan 2026 instead of 31 Jul 2026');
    expect(said).toContain('open at nil');
    expect(said).toContain('Rates of 31 Jan 2026 are needed for NOK');
    expect(said).toContain('Schedules and statements are of 31 Jul 2026 too');
    expect(effects(plainDate('2026-02-01'), cutover)).toContain('year-to-date');
    expect(cutoverEffects(cutover, cutover, facts)).toEqual([]);
  });
  it('checks the old system’s dates against the opening date', () => {
    const old = (completeUntil?: IsoDate, trialBalance?: IsoDate) =>
      oldRecordProblems(cutover, {
        completeUntil: completeUntil === undefined ? undefined : plainDate(completeUntil),
        trialBalance: trialBalance === undefined ? undefined : plainDate(trialBalance),
      }).map((one) => one.code);
    expect(old()).toEqual([]);
    expect(old('2026-07-31', '2026-07-31')).toEqual([]);
    expect(old('2026-08-15', '2026-06-30')).toEqual(['calendar.trial-balance-date']);
    expect(old('2026-07-30')).toEqual(['calendar.records-end-early']);
  });
});
