import { plainDate } from '@/core/base/dates';
import { type Draft, addAfter } from '@/core/calendar/draft';
import { PLAIN_PLAN, type YearPlan, planYear } from '@/core/calendar/year';
import type { DatedRate } from '@/core/money/rate';
import { lookUp, rateBook } from '@/core/money/rate-book';
import type { Note } from './turns';

const PLAN: YearPlan = {
  ...PLAIN_PLAN,
  pattern: { kind: 'weeks', groups: '4-4-5', weekday: 3, rule: 'last', month: 12, extraIn: 12 },
};

/** A hundred years of 4-4-5 weeks. */
export const hundredYears = (): Draft => {
  const first = planYear(PLAN, plainDate('2026-01-01'));
  if (!first.ok) throw new Error('a first year');
  const years = addAfter([{ ...first.value, id: null, plan: PLAN }], 99);
  if (!years.ok) throw new Error(years.problems[0]?.message);
  return years.value;
};

/** The best of some runs, in milliseconds. */
export const fastest = (times: number, work: () => unknown): number => {
  let best = Infinity;
  for (let at = 0; at < times; at += 1) {
    const start = performance.now();
    work();
    best = Math.min(best, performance.now() - start);
  }
  return best;
};

/** The computation alone, without store or server. */
export const coreFigures = (note: Note): void => {
  note(
    '100 years of 4-4-5 weeks generated',
    fastest(5, hundredYears),
    'as many bare date additions (1,200 periods, both ends)',
    fastest(5, () => {
      let date = plainDate('2026-01-01');
      for (let at = 0; at < 2400; at += 1) date = date.add({ days: 14 });
      return date;
    }),
  );

  const currencies = ['GBP', 'NOK', 'USD', 'JPY', 'CHF', 'SEK', 'DKK', 'PLN', 'CZK', 'HUF'] as const;
  const days = Array.from({ length: 20_000 }, (_, at) => plainDate('1971-01-01').add({ days: at }).toString());
  const rates = currencies.flatMap((quote) =>
    days.map((date, at): DatedRate => ({
      date,
      unit: 'EUR',
      quote,
      rate: { coefficient: BigInt(10_000 + (at % 997)), scale: 4 },
      source: 'bench',
    })),
  );
  const book = rateBook(rates);
  const exact = new Map(rates.map((rate) => [`${rate.quote} ${rate.date}`, rate]));
  note(
    '200,000 rates looked up by date',
    fastest(3, () => {
      let found = 0;
      for (const { quote, date } of rates)
        if (lookUp(book, { from: quote, to: 'EUR', date, mostDays: 7 }).kind === 'found') found += 1;
      return found;
    }),
    'as many lookups by an exact key in a Map',
    fastest(3, () => {
      let found = 0;
      for (const { quote, date } of rates) if (exact.has(`${quote} ${date}`)) found += 1;
      return found;
    }),
  );
  note(
    '200,000 rates made ready for lookups',
    fastest(3, () => rateBook(rates)),
    'the same put into a Map',
    fastest(3, () => new Map(rates.map((rate) => [`${rate.quote} ${rate.date}`, rate]))),
  );
};
