import { type PlainDate, plainDate } from '../../base/dates';
import type { IsoDate } from '../../base/iso-date';
import { type Result, fail, ok, problem } from '../../base/result';
import { type Minor, minor, subtract, sum } from '../../money/minor';
import type { Decimal } from '../../money/rate';
import { divideRounded } from '../../money/rounding';

/** A loan. Amounts are magnitudes in minor units. */
export interface Loan {
  /** What is owed now. */
  readonly owed: Minor;
  /** Percent a year. */
  readonly rate: Decimal;
  /** What is paid each time, interest and principal together; null where the principal is paid in equal parts up to the last day. */
  readonly instalment: Minor | null;
  /** Months from one payment to the next. */
  readonly every: number;
  /** The day of the next payment, ISO. */
  readonly next: IsoDate;
  /** The day of the last payment, ISO; needed where no instalment is given. */
  readonly last: IsoDate | null;
}

export interface Payment {
  readonly date: IsoDate;
  readonly interest: Minor;
  readonly principal: Minor;
  /** What is owed after it. */
  readonly left: Minor;
}

/** A day so many months after another; of the last day of a month it is the last day of its month again. */
const stepped = (from: PlainDate, months: number): PlainDate => {
  const day = from.add({ months });
  return from.day === from.daysInMonth ? day.with({ day: day.daysInMonth }) : day;
};

/** A plan is no longer than so many payments: sixty years of months. */
const MOST_PAYMENTS = 720;

const never = (message: string): Result<never> => fail(problem('loan.plan', message));

/**
 * The payments of a loan until nothing is owed: each pays the interest of its months on what is left (rounded to a minor unit, half away
 * from nil) and of the principal the rest of the instalment, or an equal part; the last payment takes what is left.
 */
export const planOf = ({ owed, rate, instalment, every, next, last }: Loan): Result<readonly Payment[]> => {
  if (owed <= 0n) return ok([]);
  if (every < 1) return never('Say how many months lie between two payments.');
  const first = plainDate(next);
  const dayOf = (place: number): PlainDate => stepped(first, every * place);
  let count: number | undefined;
  if (last !== null) {
    const months = first.until(plainDate(last), { largestUnit: 'months' }).months;
    count = Math.max(1, Math.floor(months / every) + 1);
    // The last days of months are not as many days apart.
    while (stepped(first, count * every).toString() <= last) count += 1;
  }
  if (instalment === null && count === undefined)
    return never('Give the instalment, or the day of the last payment: without one of them nobody knows the plan.');
  const interestOn = (left: bigint): bigint =>
    divideRounded(left * rate.coefficient * BigInt(every), 1200n * 10n ** BigInt(rate.scale));
  const payments: Payment[] = [];
  let left: bigint = owed;
  while (left > 0n) {
    if (payments.length >= MOST_PAYMENTS)
      return never(
        'At this instalment the loan is not paid back within 720 payments. Look at the rate and the instalment.',
      );
    const interest = interestOn(left);
    const ends = count !== undefined && payments.length === count - 1;
    const part = instalment === null ? divideRounded(BigInt(owed), BigInt(count ?? 1)) : instalment - interest;
    if (instalment !== null && part <= 0n && !ends)
      return never(
        'The instalment does not even pay the interest, so the loan would grow. Look at the rate and the instalment.',
      );
    const principal = ends || part > left ? left : part;
    left -= principal;
    payments.push({
      date: dayOf(payments.length).toString(),
      interest: minor(interest),
      principal: minor(principal),
      left: minor(left),
    });
  }
  return ok(payments);
};

/**
 * What of a loan falls due within a year after a day, and what later; together they are what is owed.
 *
 * @example splitAt([{ date: '2026-09-30', interest: minor(5n), principal: minor(100n), left: minor(0n) }], plainDate('2026-07-31'))
 * // { within: 100n, after: 0n }
 */
export const splitAt = (
  plan: readonly Payment[],
  day: PlainDate,
): { readonly within: Minor; readonly after: Minor } => {
  const end = day.add({ years: 1 }).toString();
  const due = plan.filter(({ date }) => date <= end);
  const within = sum(due.map(({ principal }) => principal));
  return { within, after: subtract(sum(plan.map(({ principal }) => principal)), within) };
};

/** The first payment after a day, of payments that began on another and come every so many months. */
export const nextPayment = (first: IsoDate, every: number, day: PlainDate): IsoDate => {
  const from = plainDate(first);
  const since = from.until(day, { largestUnit: 'months' }).months;
  let place = since <= 0 ? 0 : Math.floor(since / every);
  while (stepped(from, place * every).toString() <= day.toString()) place += 1;
  return stepped(from, place * every).toString();
};
