import { LARGEST } from '../../money/minor';

/** What a slip of the hand may have made of an amount; each undone gives another amount. */
export type Slip = 'side' | 'transposed' | 'slipped' | 'zero';

const TENS: readonly bigint[] = Array.from({ length: 19 }, (_, power) => 10n ** BigInt(power));
const ten = (power: number): bigint => TENS[power] ?? 10n ** BigInt(power);
const SHIFTS = [1, 2, 3] as const;

/**
 * Calls `found` with every amount that a single slip may have turned into `amount`, as the change to it: the other side,
 * two neighbouring digits exchanged, the decimal point moved by one to three places, a zero inside too many or too few.
 * Works in minor units, exactly. Nil has no slips.
 */
export const undoSlips = (amount: bigint, found: (slip: Slip, effect: bigint) => void): void => {
  if (amount === 0n) return;
  found('side', -2n * amount);
  const negative = amount < 0n;
  const size = negative ? -amount : amount;
  const signed = (effect: bigint): bigint => (negative ? -effect : effect);
  const digits = size.toString();
  const last = digits.length - 1;
  for (let at = 0; at < last; at += 1) {
    // Exchanging neighbours changes an amount by nine times their difference at the lower place.
    // Nobody writes an amount with a nought in front.
    if (at === 0 && digits[1] === '0') continue;
    const apart = digits.charCodeAt(at + 1) - digits.charCodeAt(at);
    if (apart !== 0) found('transposed', signed(BigInt(apart * 9) * ten(last - at - 1)));
  }
  for (const shift of SHIFTS) {
    const factor = ten(shift);
    const larger = size * factor;
    if (larger <= LARGEST) found('slipped', signed(larger - size));
    if (size % factor === 0n) found('slipped', signed(size / factor - size));
  }
  for (let place = 1; place <= last; place += 1) {
    const unit = ten(place);
    const low = size % unit;
    const high = size / unit;
    if (low !== 0n && size * 10n <= LARGEST) found('zero', signed(high * unit * 10n + low - size));
    if (place < last && digits[last - place] === '0' && low !== 0n)
      found('zero', signed((high / 10n) * unit + low - size));
  }
};

/**
 * The change that makes up for `missing` by one digit of an amount: put right, put in where it was left out, or taken out where
 * it stands twice. Undefined where no such change does.
 */
export const undoDigit = (amount: bigint, missing: bigint): bigint | undefined => {
  const right = amount + missing;
  if (amount === 0n || missing === 0n || right === 0n || amount > 0n !== right > 0n) return undefined;
  const [is, was] = [amount, right].map((one) => (one < 0n ? -one : one).toString());
  if (is === undefined || was === undefined || is.length < 2 || was.length < 2) return undefined;
  let same = 0;
  while (same < is.length && same < was.length && is[same] === was[same]) same += 1;
  if (is.length === was.length) return is.slice(same + 1) === was.slice(same + 1) ? missing : undefined;
  const [short, long] = is.length < was.length ? [is, was] : [was, is];
  if (long.length !== short.length + 1 || long.slice(same + 1) !== short.slice(same)) return undefined;
  // A digit too many is one that was struck twice; any digit may be left out.
  return is.length < was.length || long[same] === long[same - 1] ? missing : undefined;
};

/** How many changes of one digit an amount has, about: each digit to nine others, one put in at each place, doubled ones out. */
export const digitChanges = (amount: bigint): number => (amount < 0n ? -amount : amount).toString().length * 19 + 10;
