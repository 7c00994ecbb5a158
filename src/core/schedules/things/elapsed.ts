import { type PlainDate, daysInclusive, plainDate } from '../../base/dates';
import type { IsoDate } from '../../base/iso-date';
import type { SpanRule } from '../../company/facts';
import type { Ratio } from '../../money/ratio';

/**
 * The months from the beginning of one day to the end of another, exactly: whole months, and of the last one its days. A span that ends
 * before it begins has none.
 *
 * @example monthsBetween(plainDate('2026-01-16'), plainDate('2026-02-28')) // { n: 41n, d: 28n }
 */
export const monthsBetween = (from: PlainDate, to: PlainDate): Ratio => {
  const end = to.add({ days: 1 });
  const whole = from.until(end, { largestUnit: 'months' }).months;
  if (whole < 0 || daysInclusive(from, to) <= 0) return { n: 0n, d: 1n };
  const since = from.add({ months: whole });
  const rest = since.until(end).days;
  const length = since.until(from.add({ months: whole + 1 })).days;
  // From the last day of a longer month a whole one ends a day early.
  if (rest === length) return { n: BigInt(whole + 1), d: 1n };
  return rest === 0 ? { n: BigInt(whole), d: 1n } : { n: BigInt(whole * length + rest), d: BigInt(length) };
};

/**
 * How much of a span lies after a day, as an exact fraction from 0 to 1: by its days, or by its months and the days of the last one.
 *
 * @example shareAfter({ from: '2026-02-01', to: '2027-01-31' }, plainDate('2026-07-31'), 'months') // { n: 6n, d: 12n }
 */
export const shareAfter = (
  { from, to }: { readonly from: IsoDate; readonly to: IsoDate },
  day: PlainDate,
  rule: SpanRule,
): Ratio => {
  const [first, last] = [plainDate(from), plainDate(to)];
  if (daysInclusive(first, last) <= 0) return { n: 0n, d: 1n };
  if (daysInclusive(day, last) <= 1) return { n: 0n, d: 1n };
  const next = day.add({ days: 1 });
  if (daysInclusive(next, first) >= 1) return { n: 1n, d: 1n };
  if (rule === 'days') return { n: BigInt(daysInclusive(next, last)), d: BigInt(daysInclusive(first, last)) };
  // What has run is counted from the beginning, so that before and after are the whole.
  const [whole, gone] = [monthsBetween(first, last), monthsBetween(first, day)];
  return { n: whole.n * gone.d - gone.n * whole.d, d: whole.n * gone.d };
};
