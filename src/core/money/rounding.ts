export type Rounding = 'half-away-from-zero' | 'half-even';

/**
 * `numerator / denominator` as an integer, rounded by the rule. Exact until the one rounding.
 * Throws RangeError on a zero denominator.
 */
export const divideRounded = (
  numerator: bigint,
  denominator: bigint,
  rule: Rounding = 'half-away-from-zero',
): bigint => {
  if (denominator === 0n) throw new RangeError('division by zero');
  const negative = numerator < 0n !== denominator < 0n;
  const n = numerator < 0n ? -numerator : numerator;
  const d = denominator < 0n ? -denominator : denominator;
  const whole = n / d;
  const twice = 2n * (n % d);
  const up = twice > d || (twice === d && (rule === 'half-away-from-zero' || whole % 2n === 1n));
  const rounded = up ? whole + 1n : whole;
  return negative ? -rounded : rounded;
};
