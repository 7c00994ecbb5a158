declare const minorBrand: unique symbol;

/**
 * An amount as an integer of its currency's minor units (cents; yen for JPY; a thousandth for TND).
 * Debit is positive, credit is negative.
 */
export type Minor = bigint & { readonly [minorBrand]: true };

/** The side of an account on which an amount stands. */
export type Side = 'debit' | 'credit';

/** The largest amount that is accepted: far beyond any real balance, well inside the database's int8. */
export const LARGEST: Minor = minor(10n ** 17n);

export function minor(units: bigint): Minor {
  return units as Minor;
}

export const NIL: Minor = minor(0n);

export const add = (a: Minor, b: Minor): Minor => minor(a + b);
export const subtract = (a: Minor, b: Minor): Minor => minor(a - b);
export const negate = (a: Minor): Minor => minor(-a);
export const abs = (a: Minor): Minor => (a < 0n ? minor(-a) : a);

/** The exact sum; nil for nothing. */
export const sum = (amounts: Iterable<Minor>): Minor => {
  let total = 0n;
  for (const amount of amounts) total += amount;
  return minor(total);
};

/** The side an amount stands on, or `undefined` when it is nil. */
export const sideOf = (amount: Minor): Side | undefined => (amount > 0n ? 'debit' : amount < 0n ? 'credit' : undefined);

/**
 * The same magnitude on the given side.
 *
 * @example onSide(minor(-250n), 'debit') // 250n
 */
export const onSide = (amount: Minor, side: Side): Minor => (side === 'debit' ? abs(amount) : negate(abs(amount)));
