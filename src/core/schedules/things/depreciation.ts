import { type IsoDate } from '../../base/iso-date';
import { type PlainDate, plainDate } from '../../base/dates';
import { folded } from '../../base/folded';
import { type Minor, NIL, minor, subtract } from '../../money/minor';
import type { Decimal } from '../../money/rate';
import type { Ratio } from '../../money/ratio';
import { divideRounded } from '../../money/rounding';
import { METHOD_CALLED } from '../registers/register-words';
import { monthsBetween } from './elapsed';

export const METHODS = [
  { id: 'straight-line', label: 'Straight line', means: 'the same each month of its life' },
  { id: 'reducing', label: 'Reducing balance', means: 'a share of what is left, each year' },
  { id: 'none', label: 'None', means: 'land, and what is not written off' },
] as const;
export type Method = (typeof METHODS)[number]['id'];

/** The method that an old system's word means; undefined for a word that says none. */
export const methodOf = (text: string): Method | undefined => {
  const words = folded(text);
  return METHODS.find(({ id }) => METHOD_CALLED[id].in(words) !== undefined)?.id;
};

/** A thing that is written off. Amounts are magnitudes in minor units. */
export interface Depreciated {
  readonly cost: Minor;
  readonly residual: Minor;
  readonly acquired: IsoDate;
  readonly method: Method;
  /** Its life in months; of one that is written off by a rate, null. */
  readonly life: number | null;
  /** Percent a year, where a rate says it. */
  readonly rate: Decimal | null;
}

/** A share of a year, from a rate in percent. */
const ofYear = ({ coefficient, scale }: Decimal): Ratio => ({ n: coefficient, d: 100n * 10n ** BigInt(scale) });

/** More years of a reducing balance change nothing. */
const MOST_YEARS = 200;

/**
 * What should be written off of a thing by the end of a day: a straight line by months, the first and the last by their days; a
 * reducing balance by years from the day on which it was bought, each rounded to a minor unit, half away from nil. Never more than cost
 * less residual value, and nothing before it was bought. Undefined where neither life nor rate says how fast.
 */
export const writtenOff = (
  { cost, residual, acquired, method, life, rate }: Depreciated,
  day: PlainDate,
): Minor | undefined => {
  if (method === 'none') return NIL;
  const most = subtract(cost, residual);
  if (most <= 0n) return NIL;
  const months = monthsBetween(plainDate(acquired), day);
  if (method === 'straight-line') {
    const whole: Ratio | undefined =
      life !== null && life > 0
        ? { n: BigInt(life), d: 1n }
        : rate !== null && rate.coefficient > 0n
          ? { n: 12n * ofYear(rate).d, d: ofYear(rate).n }
          : undefined;
    if (whole === undefined) return undefined;
    const [n, d] = [months.n * whole.d, months.d * whole.n];
    return n >= d ? most : minor(divideRounded(most * n, d));
  }
  if (rate === null || rate.coefficient <= 0n) return undefined;
  const { n: share, d: of } = ofYear(rate);
  const years = months.n / (months.d * 12n);
  let left: bigint = cost;
  for (let year = 0n; year < years && year < MOST_YEARS; year += 1n) left -= divideRounded(left * share, of);
  const rest: Ratio = { n: months.n - years * 12n * months.d, d: months.d * 12n };
  left -= divideRounded(left * share * rest.n, of * rest.d);
  const written = cost - (left < residual ? residual : left);
  return minor(written < 0n ? 0n : written);
};

/**
 * Whether what an old system wrote off is near enough to what it should be: systems begin with the month of purchase, the one after it
 * or the day itself, so a month either way is no difference; and neither is a hundredth of the cost.
 */
export const isNear = (thing: Depreciated, written: Minor, day: PlainDate): boolean => {
  const [early, late] = [-1, 1].map((months) => writtenOff(thing, day.add({ months })));
  if (early === undefined || late === undefined) return true;
  const slack = thing.cost / 100n;
  return written >= early - slack && written <= late + slack;
};
