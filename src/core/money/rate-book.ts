import { epochDay } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { type Sentence, dated, say } from '../base/sentence';
import { type DatedRate, rateTold, ratioOf } from './rate';
import { ONE, type Ratio, compareRatios, inverse, times } from './ratio';

/** All rates of a set of books, ready to be looked up: per pair of currencies, oldest first. */
export interface RateBook {
  readonly byPair: ReadonlyMap<string, readonly DatedRate[]>;
  /** The currencies that have a rate with a given one. */
  readonly partners: ReadonlyMap<string, ReadonlySet<string>>;
}

/** Both directions of a pair are one pair. */
export const pairOf = (a: string, b: string): string => (a < b ? `${a}/${b}` : `${b}/${a}`);

/** One rate counts per pair and day: of two in the list, the later one. */
export const rateBook = (rates: Iterable<DatedRate>): RateBook => {
  const byPair = new Map<string, DatedRate[]>();
  const partners = new Map<string, Set<string>>();
  const meets = (a: string, b: string): void => {
    const known = partners.get(a);
    if (known === undefined) partners.set(a, new Set([b]));
    else known.add(b);
  };
  for (const rate of rates) {
    const pair = pairOf(rate.unit, rate.quote);
    const list = byPair.get(pair);
    if (list === undefined) {
      byPair.set(pair, [rate]);
      meets(rate.unit, rate.quote);
      meets(rate.quote, rate.unit);
    } else list.push(rate);
  }
  for (const [pair, list] of byPair) {
    // Stable: of two rates of one day the one given later stays later, and is the one kept.
    list.sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : 0));
    byPair.set(
      pair,
      list.filter((rate, at) => list[at + 1]?.date !== rate.date),
    );
  }
  return { byPair, partners };
};

/** Index of the last rate on or before the date, or -1. */
const lastUntil = (list: readonly DatedRate[], date: IsoDate): number => {
  let low = 0;
  let high = list.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((list[middle]?.date ?? '') <= date) low = middle + 1;
    else high = middle;
  }
  return low - 1;
};

export interface Leg {
  readonly rate: DatedRate;
  /** Days between the rate's day and the day it is used for. */
  readonly age: number;
}

export type Lookup =
  | {
      readonly kind: 'found';
      /** How many `to` one `from` is worth. */
      readonly ratio: Ratio;
      /** The rates used: none for a currency with itself, one, or two through a third currency. */
      readonly legs: readonly Leg[];
    }
  | {
      readonly kind: 'missing';
      /** The nearest earlier rate, which is older than allowed. */
      readonly stale?: Leg;
    };

export interface Question {
  readonly from: string;
  readonly to: string;
  /** `YYYY-MM-DD`. */
  readonly date: IsoDate;
  /** How many days old a rate may be. */
  readonly mostDays: number;
}

const legFor = (book: RateBook, from: string, to: string, date: IsoDate): Leg | undefined => {
  const list = book.byPair.get(pairOf(from, to));
  const rate = list?.[lastUntil(list, date)];
  return rate === undefined ? undefined : { rate, age: epochDay(date) - epochDay(rate.date) };
};

const ratio = (leg: Leg, from: string, to: string): Ratio => ratioOf(leg.rate, from, to) ?? ONE;

/**
 * The rate to use: the one of the day, else the nearest earlier within `mostDays`; else through a third currency by the
 * same rule (the freshest pair of rates; among equals the first currency in the alphabet); else none, and a person is asked.
 */
export const lookUp = (book: RateBook, { from, to, date, mostDays }: Question): Lookup => {
  if (from === to) return { kind: 'found', ratio: ONE, legs: [] };
  const direct = legFor(book, from, to, date);
  if (direct !== undefined && direct.age <= mostDays)
    return { kind: 'found', ratio: ratio(direct, from, to), legs: [direct] };
  let best: { readonly age: number; readonly through: string; readonly legs: readonly [Leg, Leg] } | undefined;
  for (const through of book.partners.get(from) ?? []) {
    if (through === to || book.partners.get(through)?.has(to) !== true) continue;
    const first = legFor(book, from, through, date);
    const second = legFor(book, through, to, date);
    if (first === undefined || second === undefined) continue;
    const age = Math.max(first.age, second.age);
    if (age <= mostDays && (best === undefined || age < best.age || (age === best.age && through < best.through)))
      best = { age, through, legs: [first, second] };
  }
  if (best !== undefined) {
    const [first, second] = best.legs;
    return {
      kind: 'found',
      ratio: times(ratio(first, from, best.through), ratio(second, best.through, to)),
      legs: [first, second],
    };
  }
  return direct === undefined ? { kind: 'missing' } : { kind: 'missing', stale: direct };
};

/** A rate is compared with the ones beside it when they are not further away than this. */
const NEIGHBOUR_DAYS = 366;
const TOLERANCE: Ratio = { n: 6n, d: 5n };

const within = (a: Ratio, b: Ratio): boolean =>
  compareRatios(a, times(b, TOLERANCE)) <= 0 && compareRatios(b, times(a, TOLERANCE)) <= 0;

export interface Doubt {
  readonly code: 'rate.upside-down' | 'rate.far-off';
  readonly says: Sentence;
}

/**
 * What is odd about a rate beside others of its pair, or undefined: it differs from each of them by more than 20 %, and if
 * its reverse would fit, it looks upside down. The first of the others is the one that is named.
 */
export const doubtBeside = (rate: DatedRate, others: readonly DatedRate[]): Doubt | undefined => {
  const [nearest] = others;
  if (nearest === undefined) return undefined;
  const own = ratio({ rate, age: 0 }, rate.unit, rate.quote);
  const theirs = others.map((one) => ratio({ rate: one, age: 0 }, rate.unit, rate.quote));
  if (theirs.some((other) => within(own, other))) return undefined;
  const beside = say`on ${dated(nearest.date)} it was ${rateTold(nearest)}`;
  return theirs.some((other) => within(inverse(own), other))
    ? {
        code: 'rate.upside-down',
        says: say`${rateTold(rate)} on ${dated(rate.date)} looks upside down: ${beside}.`,
      }
    : {
        code: 'rate.far-off',
        says: say`${rateTold(rate)} on ${dated(rate.date)} is more than 20 % off its neighbour: ${beside}.`,
      };
};

/** The doubt about a rate beside its nearest neighbours in time, the day's own left out. A first rate has none and is not doubted. */
export const doubtOf = (book: RateBook, rate: DatedRate): Doubt | undefined => {
  const list = book.byPair.get(pairOf(rate.unit, rate.quote)) ?? [];
  const at = lastUntil(list, rate.date);
  const earlier = list[at]?.date === rate.date ? list[at - 1] : list[at];
  const later = list[at + 1];
  const day = epochDay(rate.date);
  const near = [earlier, later].filter(
    (one): one is DatedRate => one !== undefined && Math.abs(epochDay(one.date) - day) <= NEIGHBOUR_DAYS,
  );
  return doubtBeside(rate, near);
};
