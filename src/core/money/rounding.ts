export const ROUNDINGS = [
  { id: 'half-away-from-zero', label: 'half away from zero', says: '0.125 becomes 0.13, and 0.135 becomes 0.14' },
  { id: 'half-even', label: 'half to the even digit', says: '0.125 becomes 0.12, and 0.135 becomes 0.14' },
] as const;

export type Rounding = (typeof ROUNDINGS)[number]['id'];
export const ROUNDING_IDS = ROUNDINGS.map((one) => one.id) as unknown as readonly [Rounding, ...Rounding[]];

/**
 * A whole number without its sign; of amounts in minor units `abs` gives such.
 *
 * @example [magnitude(-5n), magnitude(5n)] // [5n, 5n]
 */
export const magnitude = (value: bigint): bigint => (value < 0n ? -value : value);

/**
 * `numerator / denominator` as an integer, rounded by the rule. Exact until the one rounding.
 * Throws RangeError on a zero denominator.
 *
 * @example [divideRounded(5n, 2n, 'half-even'), divideRounded(-5n, 2n, 'half-up')] // [2n, -2n]
 */
export const divideRounded = (
  numerator: bigint,
  denominator: bigint,
  rule: Rounding = 'half-away-from-zero',
): bigint => {
  if (denominator === 0n) throw new RangeError('division by zero');
  const negative = numerator < 0n !== denominator < 0n;
  const [n, d] = [magnitude(numerator), magnitude(denominator)];
  const whole = n / d;
  const twice = 2n * (n % d);
  const up = twice > d || (twice === d && (rule === 'half-away-from-zero' || whole % 2n === 1n));
  const rounded = up ? whole + 1n : whole;
  return negative ? -rounded : rounded;
};
