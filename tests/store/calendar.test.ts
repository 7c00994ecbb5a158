import { type IsoDate } from '@/core/base/iso-date';
import { describe, expect, it } from 'vitest';
import { drawCalendar, moveCutover, setPeriods } from '@/actions/calendar/commands';
import { exportCalendar, readCalendarFile } from '@/actions/calendar/file';
import { saveFigures } from '@/actions/openings/figures';
import { openCorrection, postOpenings } from '@/actions/openings/posting';
import { undo } from '@/actions/changes/commands';
import { changesView } from '@/actions/changes/views';
import { changeFact } from '@/actions/company/commands';
import { PLAIN_DATES } from '@/core/base/date-style';
import { calendarView } from '@/actions/calendar/views';
import { openingsView, proofView } from '@/actions/openings/views';
import { plainDate } from '@/core/base/dates';
import { type Draft, addAfter, addBefore, offerEnd, redrawYear } from '@/core/calendar/draft';
import type { Pattern } from '@/core/calendar/pattern';
import { PLAIN_PLAN } from '@/core/calendar/year';
import { codesOf, newBooks, valueOf, withDatabase } from './support';

withDatabase();

const draftOf = async (books: number): Promise<Draft> =>
  (await calendarView(books))?.years.map((year) => ({
    ...year,
    start: plainDate(year.start),
    end: plainDate(year.end),
    periods: year.periods.map((period) => ({ ...period, start: plainDate(period.start), end: plainDate(period.end) })),
  })) ?? [];

const take = async (books: number, draft: Draft, revision?: number, cutover?: IsoDate) =>
  drawCalendar({
    books,
    cutover,
    revision: revision ?? (await calendarView(books))?.revision ?? -1,
    years: draft.map((year) => ({
      id: year.id,
      name: year.name,
      plan: year.plan,
      periods: year.periods.map(({ kind, code, name, start, end }) => ({
        kind,
        code,
        name,
        start: start.toString(),
        end: end.toString(),
      })),
    })),
  });

const post = async (books: number): Promise<void> => {
  const sheet = await openingsView(books);
  const row = (code: string) => sheet?.rows.find((one) => one.code === code);
  const set = sheet?.set?.id ?? 0;
  valueOf(
    await saveFigures({
      books,
      set,
      entries: [
        { account: row('1010')?.id ?? 0, amount: 500n, revision: row('1010')?.revision ?? 0, restores: false },
        { account: row('3010')?.id ?? 0, amount: -500n, revision: row('3010')?.revision ?? 0, restores: false },
      ],
    }),
  );
  valueOf(await postOpenings({ books, set }));
};

const WEEKS: Pattern = { kind: 'weeks', groups: '4-4-5', weekday: 7, rule: 'last', month: 1, extraIn: 12 };

describe('drawing a calendar', () => {
  it('adds years before and after, and divides one otherwise, all or nothing', async () => {
    const books = await newBooks({ yearStart: '2026-01-26', cutover: '2026-01-26' });
    let draft = valueOf(addAfter(await draftOf(books), 2));
    draft = valueOf(redrawYear(draft, 0, { plan: { ...PLAIN_PLAN, pattern: WEEKS, adjustments: 1 }, onward: true }));
    draft = valueOf(addBefore(draft));
    valueOf(await take(books, draft));
    const after = await calendarView(books);
    expect(after?.years.map((year) => year.periods.length)).toEqual([13, 13, 13, 13]);
    expect(after?.years[1]?.periods[0]).toMatchObject({
      start: '2026-01-26',
      end: '2026-02-22',
      state: 'open',
    });
    expect(after?.years[0]?.periods.every((one) => one.state === 'closed')).toBe(true);
    expect(after?.years[1]?.plan.pattern).toEqual(WEEKS);
    expect(after?.history[0]?.what).toContain('Drawn: ');
    expect((await proofView(books))?.proof.find((one) => one.id === 'calendar.periods-divide-years')?.findings).toEqual(
      [],
    );
  });

  it('takes a pattern and a cutover date together where neither goes without the other, and takes both back as one', async () => {
    const books = await newBooks();
    const weeks = valueOf(
      redrawYear(await draftOf(books), 0, { plan: { ...PLAIN_PLAN, pattern: WEEKS }, onward: false }),
    );
    expect(codesOf(await take(books, weeks))).toContain('cutover.inside-period');
    expect(
      codesOf(
        await moveCutover({ books, cutover: '2026-08-03', completeUntil: '', trialBalance: '', was: '2026-08-01' }),
      ),
    ).toEqual(['cutover.inside-period']);
    const [, , start] =
      weeks[0]?.periods.map((period) => period.start.toString()).filter((day) => day >= '2026-06-01') ?? [];
    valueOf(await take(books, weeks, undefined, start));
    const after = await calendarView(books);
    expect(after?.frame.cutover).toBe(start);
    expect(after?.years[0]?.periods.map(({ state }) => state)).toEqual(
      after?.years[0]?.periods.map((period) =>
        period.start < (start ?? '') ? 'closed' : period.start === start ? 'open' : 'future',
      ),
    );
    expect(after?.history[0]?.what).toMatch(/^Cutover date 1 Aug 2026 → .*Drawn: /);
    const [last] = (await changesView(books, undefined))?.batches ?? [];
    valueOf(await undo({ books, batch: last?.id ?? '' }));
    const back = await calendarView(books);
    expect([back?.frame.cutover, back?.years[0]?.periods.length, back?.years[0]?.periods[6]?.state]).toEqual([
      '2026-08-01',
      12,
      'open',
    ]);
    await post(books);
    expect(codesOf(await take(books, weeks, undefined, start))).toContain('cutover.posted');
  });

  it('takes a moved last day with its neighbour', async () => {
    const books = await newBooks();
    const offered = valueOf(offerEnd(await draftOf(books), 0, 8, plainDate('2026-10-25')));
    valueOf(await take(books, offered.years));
    const periods = (await calendarView(books))?.years[0]?.periods ?? [];
    expect([periods[8]?.end, periods[9]?.start]).toEqual(['2026-10-25', '2026-10-26']);
  });

  it('renames without touching rows, states or what is posted', async () => {
    const books = await newBooks();
    await post(books);
    const before = (await calendarView(books))?.years[0];
    const renamed = (await draftOf(books)).map((year) => ({
      ...year,
      name: 'Year one',
      periods: year.periods.map((period, at) => ({
        ...period,
        code: `M${String(12 - at)}`,
        name: `Month ${String(at + 1)}`,
      })),
    }));
    valueOf(await take(books, renamed));
    const after = (await calendarView(books))?.years[0];
    expect(after?.name).toBe('Year one');
    expect(after?.periods.map((one) => [one.id, one.state])).toEqual(before?.periods.map((one) => [one.id, one.state]));
    expect(after?.periods[0]).toMatchObject({ code: 'M12', name: 'Month 1' });
  });

  it('refuses what is posted in, what is stale, what breaks a law, and what is no calendar at all', async () => {
    const books = await newBooks();
    const quarters = { ...PLAIN_PLAN, pattern: { kind: 'months', size: 3, endDay: 31 } as const };
    const draft = await draftOf(books);
    const stale = (await calendarView(books))?.revision ?? 0;
    const off = valueOf(redrawYear(draft, 0, { plan: { ...PLAIN_PLAN, pattern: WEEKS }, onward: false }));
    expect(codesOf(await take(books, off))).toContain('cutover.inside-period');
    await post(books);
    expect(codesOf(await take(books, valueOf(redrawYear(draft, 0, { plan: quarters, onward: false }))))).toEqual([
      'calendar.year-held',
    ]);
    valueOf(await take(books, valueOf(addAfter(draft, 1))));
    expect(codesOf(await take(books, valueOf(addAfter(draft, 2)), stale))).toEqual(['calendar.changed']);
    const revision = (await calendarView(books))?.revision ?? 0;
    const hostile = async (years: unknown) => codesOf(await drawCalendar({ books, revision, years: years as never }));
    expect(await hostile([])).toEqual(['input.too_small']);
    expect(
      await hostile([
        {
          id: null,
          name: 'x',
          plan: PLAIN_PLAN,
          periods: [{ kind: 'regular', code: 'a', name: 'b', start: 'soon', end: 'later' }],
        },
      ]),
    ).not.toEqual([]);
    expect(await hostile([{ id: null, name: 'x', plan: { ...PLAIN_PLAN, adjustments: 9 }, periods: [] }])).not.toEqual(
      [],
    );
    expect((await calendarView(books))?.years).toHaveLength(2);
  });
});

describe('a calendar as a file', () => {
  it('reads back to the same state', async () => {
    const books = await newBooks({ name: 'Weeks Ltd', yearStart: '2026-01-26', cutover: '2026-01-26' });
    let draft = valueOf(
      redrawYear(await draftOf(books), 0, { plan: { ...PLAIN_PLAN, pattern: WEEKS, adjustments: 2 }, onward: false }),
    );
    draft = valueOf(addAfter(draft, 3));
    valueOf(await take(books, draft));
    const periods = (await calendarView(books))?.years[0]?.periods ?? [];
    valueOf(await setPeriods({ books, periods: periods.slice(1, 4).map((one) => one.id), state: 'open' }));
    const file = await exportCalendar(books);
    if (file === undefined) throw new Error('file');

    const other = await newBooks({ name: 'Other Ltd', yearStart: '2026-01-26', cutover: '2026-01-26' });
    const years = valueOf(await readCalendarFile(other, 'calendar.csv', new TextEncoder().encode(file.content)));
    valueOf(await drawCalendar({ books: other, revision: 0, years: [...years] }));
    const plain = async (id: number) =>
      (await calendarView(id))?.years.map(({ id: _, ...year }) => ({
        ...year,
        periods: year.periods.map(({ id: __, ...period }) => period),
      }));
    expect(await plain(other)).toEqual(await plain(books));
    // And once more: what was imported exports to the same file.
    expect((await exportCalendar(other))?.content).toBe(file.content);
  });
  it('says what is wrong with a file', async () => {
    const books = await newBooks();
    const read = async (text: string) =>
      codesOf(await readCalendarFile(books, 'x.csv', new TextEncoder().encode(text)));
    expect(await read('')).toEqual(['paper.empty']);
    expect(await read('a;b\n1;2\n')).toEqual(['calendar.no-header']);
    expect(await read('year,code,period,kind,start,end,state\n')).toEqual(['calendar.empty']);
    expect(await read('year,code,period,kind,start,end,state\n2026,P1,One,regular,2026-01-01,soon,open\n')).toEqual([
      'calendar.row',
    ]);
    expect(
      codesOf(
        await readCalendarFile(
          9999,
          'x.csv',
          new TextEncoder().encode(
            'year,code,period,kind,start,end,state\n2026,P1,One,regular,2026-01-01,2026-12-31,open\n',
          ),
        ),
      ),
    ).toEqual(['books.unknown']);
  });
});

describe('states and the cutover date', () => {
  it('warns of what is unfinished, once, and unlocks only with a reason', async () => {
    const books = await newBooks();
    const periods = (await calendarView(books))?.years[0]?.periods ?? [];
    const [july, august] = [periods[5]?.id ?? 0, periods[6]?.id ?? 0];
    expect(codesOf(await setPeriods({ books, periods: [july], state: 'locked' }))).toEqual(['period.unfinished']);
    valueOf(await setPeriods({ books, periods: [july], state: 'locked', evenIfUnfinished: true, why: 'handed over' }));
    expect(codesOf(await setPeriods({ books, periods: [july], state: 'closed' }))).toContain('period.locked');
    valueOf(await setPeriods({ books, periods: [july], state: 'closed', why: 'wrong month', evenIfUnfinished: true }));
    expect(codesOf(await setPeriods({ books, periods: [august], state: 'closed' }))).toEqual(['period.unfinished']);
    const [last] = (await calendarView(books))?.periodHistory ?? [];
    expect(last?.what).toBe('closed: wrong month');
  });

  it('moves the cutover date with the states of the periods, and asks for a reopened position once posted', async () => {
    const books = await newBooks();
    const move = (cutover: IsoDate, was: IsoDate, more: { completeUntil?: IsoDate; trialBalance?: IsoDate } = {}) =>
      moveCutover({
        books,
        cutover,
        was,
        completeUntil: more.completeUntil ?? '',
        trialBalance: more.trialBalance ?? '',
      });
    expect(codesOf(await move('2026-09-15', '2026-08-01'))).toEqual(['cutover.inside-period']);
    expect(codesOf(await move('2027-02-01', '2026-08-01'))).toEqual(['cutover.outside-year']);
    expect(codesOf(await move('2026-09-01', '2026-07-01'))).toEqual(['cutover.changed']);
    valueOf(await move('2026-10-01', '2026-08-01', { completeUntil: '2026-09-15', trialBalance: '2026-08-31' }));
    const view = await calendarView(books);
    expect(view?.years[0]?.periods.map((one) => one.state).join(' ')).toBe(
      'closed closed closed closed closed closed closed closed open future future future',
    );
    const open = (await proofView(books))?.proof.filter((one) => one.findings.length > 0).map((one) => one.id);
    expect(open).toEqual(expect.arrayContaining(['calendar.records-complete', 'calendar.trial-balance-date']));
    valueOf(await move('2026-08-01', '2026-10-01'));
    await post(books);
    expect(codesOf(await move('2026-09-01', '2026-08-01'))).toEqual(['cutover.posted']);
    // The old system's dates can still be told.
    valueOf(await move('2026-08-01', '2026-08-01', { completeUntil: '2026-08-31' }));
    valueOf(await openCorrection({ books, reason: 'cutover moves on' }));
    expect(codesOf(await move('2026-07-01', '2026-08-01'))).toEqual(['cutover.behind-posted']);
    valueOf(await move('2026-09-01', '2026-08-01'));
    expect((await calendarView(books))?.frame.openingDate).toBe('2026-08-31');
  });

  it('is told as the books write dates, also what happened before they wrote them so', async () => {
    const books = await newBooks();
    const move = (cutover: IsoDate, was: IsoDate) =>
      moveCutover({ books, cutover, was, completeUntil: '', trialBalance: '' });
    valueOf(await move('2026-09-01', '2026-08-01'));
    const told = async () => (await calendarView(books))?.history[0]?.what;
    expect(await told()).toBe('Cutover date 1 Aug 2026 → 1 Sep 2026');
    const [was, now] = [PLAIN_DATES, { order: 'dmy', separator: '.', year: 4, month: 'number' }];
    valueOf(await changeFact({ books, field: 'dates', was, now }));
    expect(await told()).toBe('Cutover date 01.08.2026 → 01.09.2026');
    const refused = await move('2026-09-15', '2026-09-01');
    expect(!refused.ok && refused.problems[0]?.message).toContain('15.09.2026 falls inside Sep 2026');
    const recorded = (await changesView(books, undefined))?.batches.flatMap(({ changes }) => changes);
    expect(recorded).toContain('Cutover date 01.08.2026 → 01.09.2026');
  });
});
