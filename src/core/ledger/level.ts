import { type Minor, NIL, abs, subtract } from '../money/minor';

/** Column totals of an opening position; both are positive magnitudes. */
export interface Totals {
  readonly debits: Minor;
  readonly credits: Minor;
}

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

/** Positive when debits are heavier. */
export const difference = (totals: Totals): Minor => subtract(totals.debits, totals.credits);

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
