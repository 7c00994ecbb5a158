/** An exact fraction. `d` is never zero; nothing is rounded until `divideRounded`. */
export interface Ratio {
  readonly n: bigint;
  readonly d: bigint;
}

export const ONE: Ratio = { n: 1n, d: 1n };

export const times = (a: Ratio, b: Ratio): Ratio => ({ n: a.n * b.n, d: a.d * b.d });

/** The reverse of a positive ratio; throws RangeError for nil. */
export const inverse = ({ n, d }: Ratio): Ratio => {
  if (n <= 0n) throw new RangeError('only a positive ratio has a reverse here');
  return { n: d, d: n };
};

/**
 * Negative, zero or positive, as for sorting. Denominators are positive.
 *
 * @example compareRatios({ n: 1n, d: 3n }, { n: 2n, d: 6n }) // 0
 */
export const compareRatios = (a: Ratio, b: Ratio): number => {
  const left = a.n * b.d;
  const right = b.n * a.d;
  return left < right ? -1 : left > right ? 1 : 0;
};
