import { dayOf } from '../base/dates';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { PLAIN_DATES } from '../base/date-style';
import { NUMBER_STYLES } from './number-style';
import { RATE_COLUMNS, type RateColumn, type RateFields, isWhole, rateCell, typedRateCell } from './rate-cells';
import { decimalOf, ratioOf } from './rate';
import { inverse } from './ratio';

const rows = fc.record({
  date: fc.date({ min: new Date('1990-01-01'), max: new Date('2090-12-31'), noInvalidDate: true }).map((day) => dayOf(day.toISOString())), // prettier-ignore
  unit: fc.constant('GBP' as const),
  quote: fc.constant('EUR' as const),
  rate: fc.tuple(fc.integer({ min: 1, max: 999_999_999 }), fc.integer({ min: 0, max: 9 })).map(([all, cut]) => {
    const text = String(all).padStart(cut + 1, '0');
    return cut === 0 ? text : `${text.slice(0, -cut)}.${text.slice(-cut)}`;
  }),
  source: fc.constantFrom('typed', 'bank.csv'),
  sure: fc.boolean(),
}) satisfies fc.Arbitrary<RateFields>;
const styles = fc.record({
  dates: fc.record({
    order: fc.constantFrom('dmy', 'mdy', 'ymd'),
    separator: fc.constantFrom('.', '/', '-', ' '),
    year: fc.constant(4),
    month: fc.constantFrom('number', 'name'),
  }),
  style: fc.constantFrom(...NUMBER_STYLES),
});

const typed = (
  fields: RateFields,
  column: RateColumn,
  text: string,
  how: Parameters<typeof rateCell>[2],
): RateFields => {
  const done = typedRateCell(fields, column, text, how);
  if (!done.ok) throw new Error(done.problems[0]?.message);
  return done.value;
};

test('what a cell shows can be typed into it in every style, and the rate stays what it was', () => {
  fc.assert(
    fc.property(rows, styles, (row, how) => {
      for (const column of RATE_COLUMNS) expect(typed(row, column, rateCell(row, column, how), how)).toBe(row);
    }),
  );
});

test('the other way round is the reverse; a typed change is doubted anew and is nobody else’s any more', () => {
  fc.assert(
    fc.property(rows, styles, (row, how) => {
      const round = typed(row, 'way', 'EUR', how);
      expect([round.unit, round.quote, round.source, round.sure]).toEqual(['EUR', 'GBP', 'typed', false]);
      const own = ratioOf({ ...row, rate: decimalOf(row.rate) }, 'GBP', 'EUR');
      const other = ratioOf({ ...round, rate: decimalOf(round.rate) }, 'EUR', 'GBP');
      expect(other).toEqual(own);
      expect(ratioOf({ ...round, rate: decimalOf(round.rate) }, 'GBP', 'EUR')).toEqual(
        own === undefined ? undefined : inverse(own),
      );
      expect(typed(round, 'way', '1 GBP in EUR', how)).toMatchObject({ unit: 'GBP', quote: 'EUR', rate: row.rate });
    }),
  );
});

test('a row is whole once it has a day and a rate, in any order', () => {
  const blank: RateFields = { date: '', unit: 'GBP', quote: 'EUR', rate: '', source: '', sure: false };
  const how = { dates: PLAIN_DATES, style: '1,234.56' } as const;
  fc.assert(
    fc.property(fc.shuffledSubarray(['date', 'rate'] as const, { minLength: 2 }), (order) => {
      const texts = { date: '30/7/26', rate: '1.1' };
      const [first, second] = order;
      if (first === undefined || second === undefined) return;
      const half = typed(blank, first, texts[first], how);
      expect(isWhole(half)).toBe(false);
      const whole = typed(half, second, texts[second], how);
      expect(whole).toEqual({ ...blank, date: '2026-07-30', rate: '1.1', source: 'typed' });
      expect(isWhole(whole)).toBe(true);
      expect(isWhole(typed(whole, first, '', how))).toBe(false);
    }),
  );
});

test('what does not read says why', () => {
  const row: RateFields = { date: '2026-07-30', unit: 'GBP', quote: 'EUR', rate: '1.1', source: 'typed', sure: false };
  const how = { dates: PLAIN_DATES, style: '1.234,56' } as const;
  for (const [column, text, says] of [
    ['date', '31/2/26', '31'],
    ['rate', '-1', 'does not read as a rate'],
    ['rate', '0', 'cannot be nil'],
    ['way', 'NOK', '1 GBP in EUR, or 1 EUR in GBP'],
  ] as const) {
    const done = typedRateCell(row, column, text, how);
    expect(done.ok ? '' : String(done.problems[0]?.message)).toContain(says);
  }
});
