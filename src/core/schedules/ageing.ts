import { type Currency } from '../money/currency';
import { magnitude } from '../money/rounding';
import { plainDate } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { type Result, fail, ok, problem, quoted } from '../base/result';
import { type Minor, NIL, add } from '../money/minor';
import { AGE_LIMITS } from '../company/terms';
import type { ItemFields } from './item';

/** Ages that can be told apart. */
const MOST_LIMITS = 8;

/**
 * Limits of ages as somebody types them: days, rising.
 *
 * @example readLimits('30, 60, 120') // { ok: true, value: [30, 60, 120] }
 */
export const readLimits = (text: string): Result<readonly number[]> => {
  const limits = text.split(/[\s,;/]+/).flatMap((part) => (part === '' ? [] : [Number(part)]));
  const rising = limits.every((limit, at) => Number.isInteger(limit) && limit <= 3650 && limit > (limits[at - 1] ?? 0));
  return limits.length > 0 && limits.length <= MOST_LIMITS && rising
    ? ok(limits)
    : fail(
        problem(
          'ageing.limits',
          `${quoted(text)} are no limits of ages. Type up to ${String(MOST_LIMITS)} numbers of days, rising, such as “30, 60, 90”.`,
        ),
      );
};

/** What the ages are called, from what is not due to the oldest. */
export const ageLabels = (limits: readonly number[]): readonly string[] => [
  'Not due',
  ...limits.map((limit, at) => `${String((limits[at - 1] ?? 0) + 1)}–${String(limit)}`),
  `Over ${String(limits.at(-1) ?? 0)}`,
];

/**
 * The age of an item on a day, as its place among the ages: 0 is not due yet. One without a due date is as old as its document; one
 * without either is not due.
 *
 * @example ageOf({ date: '2026-05-01', due: '2026-05-31' }, '2026-07-31', [30, 60, 90]) // 3
 */
export const ageOf = (
  item: Pick<ItemFields, 'date' | 'due'>,
  day: IsoDate,
  limits: readonly number[] = AGE_LIMITS,
): number => {
  const due = item.due ?? item.date;
  if (due === null || due >= day) return 0;
  const late = plainDate(due).until(plainDate(day), { largestUnit: 'days' }).days;
  const place = limits.findIndex((limit) => late <= limit);
  return (place < 0 ? limits.length : place) + 1;
};

export interface AgedRow {
  /** Null for items on which nobody is named. */
  readonly contact: number | null;
  readonly currency: Currency;
  readonly ages: readonly Minor[];
  readonly open: Minor;
}

/**
 * What is open per contact and currency, by age: the ages of a row divide what is open of it. Signed as the items, debit positive.
 * Largest first, whichever its side.
 */
export const ageingOf = (
  items: readonly Pick<ItemFields, 'contact' | 'currency' | 'date' | 'due' | 'open'>[],
  day: IsoDate,
  limits: readonly number[] = AGE_LIMITS,
): readonly AgedRow[] => {
  const rows = new Map<string, { contact: number | null; currency: Currency; ages: Minor[]; open: Minor }>();
  for (const item of items) {
    const key = `${String(item.contact)}/${item.currency}`;
    const row = rows.get(key) ?? {
      contact: item.contact,
      currency: item.currency,
      ages: Array.from({ length: limits.length + 2 }, () => NIL),
      open: NIL,
    };
    const age = ageOf(item, day, limits);
    row.ages[age] = add(row.ages[age] ?? NIL, item.open);
    row.open = add(row.open, item.open);
    rows.set(key, row);
  }
  return [...rows.values()].sort((a, b) =>
    magnitude(a.open) > magnitude(b.open) ? -1 : magnitude(a.open) < magnitude(b.open) ? 1 : 0,
  );
};

/** The ages of all rows of one currency, added up. */
export const agesIn = (rows: readonly AgedRow[], currency: Currency): readonly Minor[] =>
  rows
    .filter((row) => row.currency === currency)
    .reduce<readonly Minor[]>((sums, { ages }) => ages.map((amount, at) => add(amount, sums[at] ?? NIL)), []);
