import { type Minor, minor, sum } from './minor';
import type { Ratio } from './ratio';
import { type Rounding, divideRounded } from './rounding';

/** How amounts go from one currency to another: one major unit of the first is `ratio` major units of the second. */
export interface Conversion {
  readonly ratio: Ratio;
  /** Decimals of the minor units on both sides (ISO 4217). */
  readonly fromDigits: number;
  readonly toDigits: number;
  readonly rounding: Rounding;
}

/** How many minor units of the target one minor unit is worth, exactly. */
export const minorRatio = ({ ratio, fromDigits, toDigits }: Omit<Conversion, 'rounding'>): Ratio => ({
  n: ratio.n * 10n ** BigInt(toDigits),
  d: ratio.d * 10n ** BigInt(fromDigits),
});

/** The worth in minor units of the target, as an exact fraction; the one rounding is still to come. */
const exactly = (amount: bigint, how: Conversion): Ratio => {
  const { n, d } = minorRatio(how);
  return { n: amount * n, d };
};

/**
 * One amount converted: exact until the one rounding to the target's minor unit. The side (sign) stays.
 *
 * @example convert(minor(36890000n), { ratio: { n: 87n, d: 1000n }, fromDigits: 2, toDigits: 2, rounding: 'half-up' }) // 3209430n
 */
export const convert = (amount: Minor, how: Conversion): Minor => {
  const { n, d } = exactly(amount, how);
  return minor(divideRounded(n, d, how.rounding));
};

export interface ConvertedList {
  /** Each amount converted and rounded by itself. */
  readonly each: readonly Minor[];
  /** The sum of those: round, then sum. */
  readonly roundedThenSummed: Minor;
  /** The sum converted as one: sum, then round. */
  readonly summedThenRounded: Minor;
  /** What rounding each makes of it: `summedThenRounded - roundedThenSummed`, at most half a minor unit per amount, and half. */
  readonly residue: Minor;
}

/** Both ways of rounding a list, and the residue between them. */
export const convertList = (amounts: readonly Minor[], how: Conversion): ConvertedList => {
  const each = amounts.map((amount) => convert(amount, how));
  const roundedThenSummed = sum(each);
  const summedThenRounded = convert(sum(amounts), how);
  return { each, roundedThenSummed, summedThenRounded, residue: minor(summedThenRounded - roundedThenSummed) };
};

/**
 * The list converted so that it sums to the converted total: the residue is laid, one minor unit each, on the amounts
 * whose own rounding went furthest the other way; among equals on the earlier. Every amount stays within one minor unit of
 * its exact worth.
 */
export const convertToTotal = (amounts: readonly Minor[], how: Conversion): readonly Minor[] => {
  const { each, residue } = convertList(amounts, how);
  if (residue === 0n) return each;
  const step = residue > 0n ? 1n : -1n;
  // How far rounding moved each amount against the residue; all fractions share one denominator.
  const moved = amounts.map((amount, at) => {
    const { n, d } = exactly(amount, how);
    return { at, by: step * (n - (each[at] ?? 0n) * d) };
  });
  moved.sort((a, b) => (a.by > b.by ? -1 : a.by < b.by ? 1 : a.at - b.at));
  const chosen = new Set(moved.slice(0, Number(residue * step)).map((one) => one.at));
  return each.map((amount, at) => (chosen.has(at) ? minor(amount + step) : amount));
};

/**
 * Divides a total by weights so that the parts sum to it exactly: each part is its share cut towards zero, and what is
 * left goes one minor unit each to the largest remainders, among equals to the earlier. Throws RangeError when no weight
 * is positive or one is negative.
 *
 * @example allocate(minor(100n), [1n, 1n, 1n]) // [34n, 33n, 33n]
 */
export const allocate = (total: Minor, weights: readonly bigint[]): readonly Minor[] => {
  const whole = weights.reduce((all, weight) => all + weight, 0n);
  if (whole <= 0n || weights.some((weight) => weight < 0n))
    throw new RangeError('weights are nil or more, and not all nil');
  const parts = weights.map((weight) => (total * weight) / whole);
  const left = total - parts.reduce((all, part) => all + part, 0n);
  const step = left >= 0n ? 1n : -1n;
  const order = weights
    .map((weight, at) => ({ at, rest: step * (total * weight - (parts[at] ?? 0n) * whole) }))
    .sort((a, b) => (a.rest > b.rest ? -1 : a.rest < b.rest ? 1 : a.at - b.at));
  const chosen = new Set(order.slice(0, Number(left * step)).map((one) => one.at));
  return parts.map((part, at) => minor(chosen.has(at) ? part + step : part));
};
