import { type IsoDate } from '../base/iso-date';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { accountId } from '../chart/account';
import { anyChart } from '../chart/testing';
import { isResult, typeOf } from '../ledger/classes';
import { type Minor, add, minor, negate, sum } from '../money/minor';
import { dateOf, plainDate } from '../base/dates';
import { equityCarried } from './equity';
import {
  LAST_YEAR,
  adjustmentsOf,
  lastYearOf,
  budgetFromLastYear,
  columnNamed,
  comparativeColumns,
  comparativeFaults,
} from './comparatives';

const amount = fc.bigInt({ min: -(10n ** 12n), max: 10n ** 12n }).map(minor);

describe('equity', () => {
  it('opens as last year closed it with its result, and is apart by just what owners paid in or drew since', () => {
    fc.assert(
      fc.property(anyChart(15), fc.array(amount, { minLength: 15, maxLength: 15 }), amount, (chart, amounts, since) => {
        const posting = chart.filter(({ heading }) => !heading);
        const lastYear = new Map(posting.map(({ id }, at) => [id, amounts[at] ?? minor(0n)]));
        const equity = posting.filter(({ classification }) => typeOf(classification) === 'equity');
        const result = sum(
          posting.flatMap(({ id, classification }) => (isResult(typeOf(classification)) ? [lastYear.get(id) ?? minor(0n)] : [])), // prettier-ignore
        );
        const figures = new Map(
          equity.map(({ id }, at) => [
            id,
            add(lastYear.get(id) ?? minor(0n), at === 0 ? add(result, since) : minor(0n)),
          ]),
        );
        // What the present year has earned so far is no part of it.
        for (const { id, classification } of posting) if (isResult(typeOf(classification))) figures.set(id, since);
        expect(equityCarried(chart, figures, lastYear)?.apart).toBe(equity.length === 0 ? undefined : since);
        expect(equityCarried(chart, figures, new Map())).toBeUndefined();
      }),
    );
  });
});

describe('adjustment periods of last year', () => {
  const year = (of: number, adjustments: readonly string[]) => {
    const [start, end] = [dateOf(of, 1, 1), dateOf(of, 12, 31)];
    const regular = { name: `All ${String(of)}`, start, end, kind: 'regular' as const };
    return {
      start,
      end,
      periods: [regular, ...adjustments.map((name) => ({ name, start: end, end, kind: 'adjustment' as const }))],
    };
  };
  it('are those of the year before where it is drawn, else as many as this year has', () => {
    const labels = (years: Parameters<typeof comparativeColumns>[0]) =>
      adjustmentsOf(comparativeColumns(years, plainDate('2026-01-01')));
    expect(labels([year(2025, ['Audit', 'Tax']), year(2026, ['Adjustment'])])).toEqual(['Audit', 'Tax']);
    expect(labels([year(2026, ['Adjustment'])])).toEqual(['Adjustment']);
    expect(labels([year(2026, [])])).toEqual([]);
  });
  it('change nothing where they are included, are taken off where they are left out, and lead to no figure', () => {
    fc.assert(
      fc.property(fc.array(fc.record({ last: amount, one: amount, two: amount }), { maxLength: 6 }), (rows) => {
        const plain = new Map(rows.map(({ last }, at) => [accountId(at + 1), new Map([[LAST_YEAR, last], [1, minor(7n)]])])); // prettier-ignore
        const adjusted = new Map(
          rows.map(({ last, one, two }, at) => [
            accountId(at + 1),
            new Map([[LAST_YEAR, last], [1, minor(7n)], [61, one], [62, two]]), // prettier-ignore
          ]),
        );
        expect(lastYearOf(adjusted, true)).toEqual(lastYearOf(plain, true));
        const without = lastYearOf(adjusted, false);
        rows.forEach(({ last, one, two }, at) => expect(without.get(accountId(at + 1)) ?? 0n).toBe(last - one - two));
        const chart = rows.map((_, at) => ({
          id: accountId(at + 1),
          classification: 'current-asset' as const,
          heading: false,
        }));
        expect(comparativeFaults(chart, new Map(), adjusted).apart).toEqual(
          comparativeFaults(chart, new Map(), plain).apart,
        );
        // What adjusts nets to zero like every column of entries.
        expect(comparativeFaults(chart, new Map(), adjusted).nets.get(61) ?? 0n).toBe(sum(rows.map(({ one }) => one)));
      }),
    );
  });
});

describe('comparatives', () => {
  const scene = fc
    .tuple(anyChart(15), fc.array(fc.array(amount, { minLength: 4, maxLength: 4 }), { minLength: 15, maxLength: 15 }))
    .map(([chart, grid]) => {
      const comparatives = new Map(
        chart
          .filter(({ heading }) => !heading)
          .map(({ id }, at) => [id, new Map((grid[at] ?? []).map((one, column) => [column, one]))]),
      );
      const figures = new Map(
        chart
          .filter(({ heading }) => !heading)
          .map(({ id, classification }, at): [typeof id, Minor] => {
            const [last = minor(0n), ...months] = grid[at] ?? [];
            return [id, isResult(typeOf(classification)) ? sum(months) : add(last, sum(months))];
          }),
      );
      return { chart, comparatives, figures };
    });
  it('find nothing apart where the periods lead to the figures, and exactly the change where one does not', () => {
    fc.assert(
      fc.property(scene, fc.nat(), amount, ({ chart, comparatives, figures }, pick, by) => {
        expect(comparativeFaults(chart, figures, comparatives).apart.size).toBe(0);
        const ids = [...figures.keys()];
        const id = ids[pick % Math.max(1, ids.length)];
        if (id === undefined || by === 0n) return;
        const changed = new Map(figures).set(id, add(figures.get(id) ?? minor(0n), by));
        expect(comparativeFaults(chart, changed, comparatives).apart).toEqual(new Map([[id, by]]));
      }),
    );
  });
  it('net each column by itself', () => {
    const chart = [1, 2].map((id) => ({ id: accountId(id), classification: 'current-asset' as const, heading: false }));
    fc.assert(
      fc.property(amount, amount, (a, b) => {
        const columns = (one: Minor, two: Minor) =>
          new Map([
            [LAST_YEAR, one],
            [1, two],
          ]);
        const { nets } = comparativeFaults(
          chart,
          new Map(),
          new Map([
            [accountId(1), columns(a, b)],
            [accountId(2), columns(negate(a), b)],
          ]),
        );
        expect([nets.get(LAST_YEAR), nets.get(1)]).toEqual([0n, 2n * b]);
      }),
    );
  });
  it('let last year stand alone', () => {
    const chart = [{ id: accountId(1), classification: 'equity' as const, heading: false }];
    const found = comparativeFaults(
      chart,
      new Map([[accountId(1), minor(5n)]]),
      new Map([[accountId(1), new Map([[LAST_YEAR, minor(7n)]])]]),
    );
    expect(found.apart.size).toBe(0);
    expect(found.nets.get(LAST_YEAR)).toBe(7n);
  });
});

describe('the columns of the comparatives', () => {
  const period = (name: string, start: IsoDate, end: IsoDate) => ({
    name,
    start: plainDate(start),
    end: plainDate(end),
  });
  const years = [
    {
      start: plainDate('2026-02-01'),
      end: plainDate('2027-01-31'),
      periods: [
        period('Feb 2026', '2026-02-01', '2026-02-28'),
        period('Mar 2026', '2026-03-01', '2026-03-31'),
        period('Apr 2026', '2026-04-01', '2026-04-30'),
      ],
    },
  ];
  const columns = comparativeColumns(years, plainDate('2026-04-01'));
  it('are last year’s close and the periods before the cutover date', () => {
    expect(columns).toEqual([
      { column: 0, label: 'Last year’s close', end: '2026-01-31' },
      { column: 1, label: 'Feb 2026', end: '2026-02-28' },
      { column: 2, label: 'Mar 2026', end: '2026-03-31' },
    ]);
    expect(comparativeColumns(years, plainDate('2030-01-01'))).toEqual([]);
  });
  it.each([
    ['31/01/2026', 0],
    ['Balance at 31 January 2026', 0],
    ['Feb 2026', 1],
    ['February', 1],
    ['MAR', 2],
    ['Movement March 2026', 2],
    ['March 2025', undefined],
    ['Mar 31, 2024', undefined],
    ['April', undefined],
    ['Balance', undefined],
    ['Marketing', undefined],
  ])('“%s” names column %s', (title, column) => {
    expect(columnNamed(title, columns)).toBe(column);
  });
  it('have a budget for each period besides, which leads to no figure', () => {
    const years = [
      {
        start: plainDate('2026-01-01'),
        end: plainDate('2026-12-31'),
        periods: [
          { name: 'Q1', start: plainDate('2026-01-01'), end: plainDate('2026-03-31'), kind: 'regular' as const },
          { name: 'Q2', start: plainDate('2026-04-01'), end: plainDate('2026-12-31'), kind: 'regular' as const },
          {
            name: 'Adjustment',
            start: plainDate('2026-12-31'),
            end: plainDate('2026-12-31'),
            kind: 'adjustment' as const,
          },
        ],
      },
    ];
    const columns = comparativeColumns(years, plainDate('2026-04-01'), true);
    expect(columns.map(({ column, label }) => [column, label])).toEqual([
      [0, 'Last year’s close'],
      [61, 'of which Adjustment'],
      [1, 'Q1'],
      [101, 'Budget Q1'],
      [102, 'Budget Q2'],
    ]);
    expect(columnNamed('Budget 31.03.2026', columns)).toBe(101);
    expect(columnNamed('31.03.2026', columns)).toBe(1);
    expect(columnNamed('31.12.2025', columns)).toBe(0);
    expect(columnNamed('of which Adjustment', columns)).toBe(61);
    const chart = [
      { id: accountId(1), classification: 'revenue' as const, heading: false },
      { id: accountId(2), classification: 'current-asset' as const, heading: false },
    ];
    fc.assert(
      fc.property(amount, fc.integer({ min: -10_000, max: 100_000 }), (last, hundredths) => {
        const stands = new Map(chart.map(({ id }) => [id, new Map([[LAST_YEAR, last]])]));
        const made = budgetFromLastYear(chart, stands, columns, { coefficient: BigInt(hundredths), scale: 2 });
        expect([...made.keys()]).toEqual(last === 0n ? [] : [1]);
        const whole = sum([...(made.get(accountId(1))?.values() ?? [])]);
        const off = whole * 10_000n - last * (10_000n + BigInt(hundredths));
        expect((off < 0n ? -off : off) * 2n <= 10_000n).toBe(true);
        const all = new Map([[accountId(1), made.get(accountId(1)) ?? new Map<number, Minor>()]]);
        expect(comparativeFaults(chart, new Map(), all).apart.size).toBe(0);
      }),
    );
  });
});
