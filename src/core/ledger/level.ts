import { type Minor, NIL, abs, subtract } from '../money/minor';

/** Column totals of an opening position; both are positive magnitudes. */
export interface Totals {
  readonly debits: Minor;
  readonly credits: Minor;
}

/**
 * @example totalsOf([minor(900n), minor(-870n), minor(0n)]) // { debits: 900n, credits: 870n }
 */
export const totalsOf = (amounts: Iterable<Minor>): Totals => {
  let debits = 0n;
  let credits = 0n;
  for (const amount of amounts)
    if (amount > 0n) debits += amount;
    else credits -= amount;
  return { debits: debits as Minor, credits: credits as Minor };
};

export const withChange = (totals: Totals, from: Minor, to: Minor): Totals => {
  const [was, is] = [totalsOf([from]), totalsOf([to])];
  return {
    debits: (totals.debits - was.debits + is.debits) as Minor,
    credits: (totals.credits - was.credits + is.credits) as Minor,
  };
};

/**
 * Positive when debits are heavier.
 *
 * @example difference({ debits: 900n, credits: 870n }) // 30n
 */
export const difference = (totals: Totals): Minor => subtract(totals.debits, totals.credits);

/**
 * The only column that misses the total which a paper states for it, and by how much: positive when it is short. Undefined where
 * both reach their totals, or both miss them.
 *
 * @example columnOff({ debits: 900n, credits: 900n }, { debits: 900n, credits: 870n }) // { column: 'credits', by: 30n }
 */
export const columnOff = (
  stated: Totals,
  own: Totals,
): { readonly column: 'debits' | 'credits'; readonly by: Minor } | undefined => {
  const [debits, credits] = [subtract(stated.debits, own.debits), subtract(stated.credits, own.credits)];
  if ((debits === 0n) === (credits === 0n)) return undefined;
  return debits === 0n ? { column: 'credits', by: credits } : { column: 'debits', by: debits };
};

const MOST_MAGNITUDE = 13;

/**
 * Where the bubble of the Level stands: 0 centred, towards +1 on the credit side, towards -1 on the debit side. A bubble
 * rises to the lighter side, so heavier debits move it towards credits. The scale is logarithmic in minor units: one unit
 * shows clearly (0.12), ten thousand times as much stands half-way, and nothing leaves the glass. For drawing only.
 */
export const bubble = (net: Minor): number => {
  if (net === NIL) return 0;
  const magnitude = abs(net);
  const digits = String(magnitude);
  // The leading digits are enough for a picture; the whole amount never becomes a float.
  const logarithm = Math.log10(Number(digits.slice(0, 12))) + Math.max(0, digits.length - 12);
  const offset = 0.12 + 0.88 * Math.min(1, logarithm / MOST_MAGNITUDE);
  return net > 0n ? offset : -offset;
};

/** The opening position without the accounts that stand at nil. */
export const standing = <K>(amounts: ReadonlyMap<K, Minor>): ReadonlyMap<K, Minor> =>
  new Map([...amounts].filter(([, amount]) => amount !== 0n));
