import { type Currency } from '../money/currency';
import { type Conversion, convert } from '../money/convert';
import { type Minor, NIL, subtract, sum } from '../money/minor';
import { divideRounded } from '../money/rounding';

/** How much of a figure is in a foreign currency, debit positive, and what that is worth in base currency. */
export interface Part {
  readonly currency: Currency;
  readonly amount: Minor;
  readonly base: Minor;
}

export interface Compared {
  /** What the amount is worth at the rate. */
  readonly translated: Minor;
  /** The base amount given, less that: what the exchange or rounding account would take. */
  readonly difference: Minor;
}

/** The base amount of a part beside what the rate makes of its amount in currency. */
export const compared = (part: Pick<Part, 'amount' | 'base'>, how: Conversion): Compared => {
  const translated = convert(part.amount, how);
  return { translated, difference: subtract(part.base, translated) };
};

/** What figures of one currency stand at in base currency, and what another rate would make of them. */
export const underRate = (
  parts: readonly Pick<Part, 'amount' | 'base'>[],
  how: Conversion,
): { readonly stand: Minor; readonly worth: Minor; readonly difference: Minor } => {
  const stand = sum(parts.map(({ base }) => base));
  const worth = sum(parts.map((part) => compared(part, how).translated));
  return { stand, worth, difference: subtract(worth, stand) };
};

/** Decimals of an implied rate; enough to tell it from the rate of the day. */
const RATE_DIGITS = 6;

/**
 * The rate that a part implies, as plain decimal text: how much base currency one unit of the foreign one is worth, to six
 * decimals, the last rounded half away from zero. Undefined where one of the amounts is nil or they stand on two sides.
 */
export const impliedRate = (
  { amount, base }: Pick<Part, 'amount' | 'base'>,
  { fromDigits, toDigits }: Pick<Conversion, 'fromDigits' | 'toDigits'>,
): string | undefined => {
  if (amount === 0n || base === 0n || amount > 0n !== base > 0n) return undefined;
  const scaled = divideRounded(
    base * 10n ** BigInt(fromDigits + RATE_DIGITS),
    amount * 10n ** BigInt(toDigits),
  ).toString();
  const digits = scaled.padStart(RATE_DIGITS + 1, '0');
  return `${digits.slice(0, -RATE_DIGITS)}.${digits.slice(-RATE_DIGITS)}`;
};

/** An account's figure and its parts in foreign currencies; what the parts leave of it is in base currency. */
export interface Position {
  readonly base: Minor;
  readonly parts: readonly Part[];
}

export interface PostingLine<K> {
  readonly account: K;
  /** Null for base currency. */
  readonly currency: Currency | null;
  /** In base currency. */
  readonly amount: Minor;
  /** In the line's currency; nil for base currency. */
  readonly foreign: Minor;
}

/**
 * The journal lines that bring the ledger from what stands to the target, *target minus what stands*, per account and
 * currency, in both amounts. Lines that move neither are left out. Posting them makes every account stand exactly at its
 * target in every currency.
 */
export const postingLines = <K>(
  target: ReadonlyMap<K, Position>,
  stands: ReadonlyMap<K, Position>,
): readonly PostingLine<K>[] =>
  [...new Set([...target.keys(), ...stands.keys()])].flatMap((account) => {
    const [to, from] = [byCurrency(target.get(account)), byCurrency(stands.get(account))];
    return [...new Set([...to.keys(), ...from.keys()])].flatMap((currency): PostingLine<K>[] => {
      const [is, was] = [to.get(currency) ?? NOTHING, from.get(currency) ?? NOTHING];
      const amount = subtract(is.base, was.base);
      const foreign = subtract(is.amount, was.amount);
      return amount === 0n && foreign === 0n ? [] : [{ account, currency, amount, foreign }];
    });
  });

const NOTHING = { amount: NIL, base: NIL };

const byCurrency = (
  position: Position | undefined,
): ReadonlyMap<Currency | null, { readonly amount: Minor; readonly base: Minor }> => {
  if (position === undefined) return new Map();
  const own = subtract(position.base, sum(position.parts.map(({ base }) => base)));
  return new Map<Currency | null, { amount: Minor; base: Minor }>([
    [null, { amount: NIL, base: own }],
    ...position.parts.map(({ currency, amount, base }) => [currency, { amount, base }] as const),
  ]);
};
