import type { IsoDate } from '../base/iso-date';
import { type Currency } from '../money/currency';
import { type Conversion, convert } from '../money/convert';
import { type Minor, NIL, add, subtract, sum } from '../money/minor';
import type { Part } from '../openings/foreign';
import type { AccountId } from '../chart/account';
import type { Counted } from './cash-count';
import type { ItemFields } from './item';
import { type ScheduleKind, needsSchedule } from './kinds';

/** What the items of an account come to in one currency, debit positive. */
export interface Supported {
  readonly currency: Currency;
  readonly items: number;
  readonly open: Minor;
  /** Of that, what somebody gave a base amount for, and those base amounts. */
  readonly given: Minor;
  readonly givenBase: Minor;
}

/** A statement's closing balance, in the account's currency and as the books see it: money in the bank is a debit. */
export interface Closing {
  readonly date: IsoDate;
  readonly amount: Minor;
  /** Of a cash box: the notes and coins that it was counted from. */
  readonly counted?: Counted | null | undefined;
}

export interface CurrencyTie {
  readonly currency: Currency;
  readonly figure: Minor;
  readonly support: Minor;
  readonly difference: Minor;
}

/** Whether an account's figure is what stands behind it. */
export interface Tie {
  /** `none`: nothing stands behind it yet. `unknown`: a rate is missing, so its worth in base currency cannot be told. */
  readonly state: 'none' | 'tied' | 'explained' | 'apart' | 'unknown';
  readonly figure: Minor;
  /** Null while a rate is missing. */
  readonly support: Minor | null;
  /** Figure less support. */
  readonly difference: Minor | null;
  readonly currencies: readonly CurrencyTie[];
  readonly items: number;
  readonly closing: Closing | null;
  /** Why somebody lets the difference stand, while it is the one that they looked at. */
  readonly reason: string | null;
}

export interface TieInput {
  /** The opening figure in base currency, and what of it is in foreign ones. */
  readonly figure: Minor;
  readonly parts: readonly Part[];
  readonly base: Currency;
  /** The currency in which the account is kept, where it is a foreign one. */
  readonly own: Currency | null;
  readonly supported: readonly Supported[];
  readonly closing: Closing | null;
  readonly explained: { readonly difference: Minor; readonly reason: string } | null;
  /** How amounts of a currency become base currency on the opening date. */
  readonly rate: (currency: Currency) => Conversion | undefined;
}

/** The sum of a statement's balance and the items beside it, per currency. */
const behind = ({ supported, closing, own, base }: TieInput): readonly Supported[] => {
  if (closing === null) return supported;
  const currency = own ?? base;
  const nothing: Supported = { currency, items: 0, open: NIL, given: NIL, givenBase: NIL };
  const beside = supported.find((one) => one.currency === currency) ?? nothing;
  return [...supported.filter((one) => one !== beside), { ...beside, open: add(beside.open, closing.amount) }];
};

/** What a sum is worth in base currency; undefined while a rate is missing. */
const worthOf = (
  { currency, open, given, givenBase }: Supported,
  { base, parts, rate }: Pick<TieInput, 'base' | 'parts' | 'rate'>,
): Minor | undefined => {
  if (currency === base) return open;
  // What it is worth was decided with the figure: a tie-out is about what it is made of.
  const part = parts.find((one) => one.currency === currency);
  if (part !== undefined && given === 0n && part.amount === open) return part.base;
  const left = subtract(open, given);
  const how = left === 0n ? undefined : rate(currency);
  return left === 0n ? givenBase : how === undefined ? undefined : add(givenBase, convert(left, how));
};

/**
 * The figure that an account would have were it what stands behind it, with its parts in foreign currencies; undefined where nothing
 * does, or while a rate is missing.
 */
export const supportedFigure = (
  input: TieInput,
): { readonly amount: Minor; readonly parts: readonly Part[] } | undefined => {
  if (input.supported.length === 0 && input.closing === null) return undefined;
  const found: { readonly currency: Currency; readonly amount: Minor; readonly base: Minor }[] = [];
  for (const one of behind(input)) {
    const base = worthOf(one, input);
    if (base === undefined) return undefined;
    found.push({ currency: one.currency, amount: one.open, base });
  }
  return {
    amount: sum(found.map(({ base }) => base)),
    parts: found.filter(({ currency }) => currency !== input.base),
  };
};

/**
 * The tie-out of one account: its figure beside the sum of its items, with the statement's balance where it has one, in each currency
 * and in base currency. What nobody gave a base amount for is worth what the figure says where the amounts in currency are the same;
 * otherwise it is converted as one sum, at the rate of the opening date, and rounded once.
 * A figure that says nothing about currencies is compared in base currency alone.
 */
export const tieOf = (input: TieInput): Tie => {
  const { figure, parts, base, explained, closing } = input;
  const sums = behind(input);
  const items = input.supported.reduce((count, one) => count + one.items, 0);
  if (items === 0 && closing === null)
    return { state: 'none', figure, support: null, difference: null, currencies: [], items, closing, reason: null };
  const worth = sums.map((one) => worthOf(one, input));
  const support = worth.some((one) => one === undefined) ? null : sum(worth.map((one) => one ?? NIL));
  const says = parts.length > 0;
  const codes = says
    ? [...new Set([...parts, ...sums].map(({ currency }) => currency))].filter((one) => one !== base)
    : [];
  const currencies = codes.map((currency): CurrencyTie => {
    const part = parts.find((one) => one.currency === currency)?.amount ?? NIL;
    const open = sums.find((one) => one.currency === currency)?.open ?? NIL;
    return { currency, figure: part, support: open, difference: subtract(part, open) };
  });
  const difference = support === null ? null : subtract(figure, support);
  const tied = difference === 0n && currencies.every((one) => one.difference === 0n);
  const reason = !tied && explained !== null && explained.difference === difference ? explained.reason : null;
  return {
    state: difference === null ? 'unknown' : tied ? 'tied' : reason !== null ? 'explained' : 'apart',
    figure,
    support,
    difference,
    currencies,
    items,
    closing,
    reason,
  };
};

/** What becomes of tie-outs when a currency has another rate: those of which what stands behind them is worth another amount then. */
export const tiesUnderRate = <A>(
  accounts: readonly { readonly of: A; readonly input: TieInput }[],
  currency: Currency,
  how: Conversion,
): readonly { readonly of: A; readonly before: Tie; readonly after: Tie }[] =>
  accounts.flatMap(({ of, input }) => {
    const before = tieOf(input);
    const after = tieOf({ ...input, rate: (code) => (code === currency ? how : input.rate(code)) });
    return before.support === after.support ? [] : [{ of, before, after }];
  });

/** That somebody looked at a figure and at what stood behind it then. */
export interface Looked {
  readonly figure: Minor;
  readonly support: Minor | null;
  readonly by: string;
  /** ISO 8601. */
  readonly at: string;
}

/** Whether what somebody looked at is still so. */
export const stillLooked = (
  tie: Pick<Tie, 'figure' | 'support'>,
  looked: Pick<Looked, 'figure' | 'support'>,
): boolean => tie.figure === looked.figure && tie.support === looked.support;

/**
 * What items come to, per currency. Of items with a second amount, that counts too, but where it is of another account than `own`.
 */
export const supportedBy = (
  items: readonly (Pick<ItemFields, 'currency' | 'open' | 'base'> &
    Partial<Pick<ItemFields, 'beside' | 'besideAccount'>>)[],
  own: AccountId | null = null,
): readonly Supported[] => {
  const sums = new Map<string, Supported>();
  for (const { currency, open, base, beside = null, besideAccount = null } of items) {
    const sumSoFar = sums.get(currency) ?? { currency, items: 0, open: NIL, given: NIL, givenBase: NIL };
    const second = beside !== null && (besideAccount === null || besideAccount === own) ? beside : NIL;
    sums.set(currency, {
      currency,
      items: sumSoFar.items + 1,
      open: add(add(sumSoFar.open, open), second),
      given: base === null ? sumSoFar.given : add(sumSoFar.given, open),
      givenBase: base === null ? sumSoFar.givenBase : add(sumSoFar.givenBase, base),
    });
  }
  return [...sums.values()];
};

/** Sums of several lists as those of one. */
export const together = (...lists: readonly (readonly Supported[])[]): readonly Supported[] => {
  const sums = new Map<string, Supported>();
  for (const one of lists.flat()) {
    const before = sums.get(one.currency);
    sums.set(
      one.currency,
      before === undefined
        ? one
        : {
            currency: one.currency,
            items: before.items + one.items,
            open: add(before.open, one.open),
            given: add(before.given, one.given),
            givenBase: add(before.givenBase, one.givenBase),
          },
    );
  }
  return [...sums.values()];
};

/** Whether the support of an account is missing: one that should have a schedule has a figure and nothing behind it. */
export const lacksSupport = (kind: ScheduleKind, tie: Tie): boolean =>
  needsSchedule(kind) && tie.state === 'none' && tie.figure !== 0n;

/** By what a figure is supported, from the firmest down. */
export type Support = 'tied' | 'explained' | 'paper' | 'apart' | 'nothing';

export const supportOf = (tie: Tie, fromPaper: boolean): Support => {
  switch (tie.state) {
    case 'tied':
    case 'explained':
      return tie.state;
    case 'apart':
    case 'unknown':
      return 'apart';
    case 'none':
      return fromPaper ? 'paper' : 'nothing';
  }
};

/** How far schedules have come: of the accounts that want one, and those that have one all the same. */
export const countTies = (
  ties: readonly { readonly kind: ScheduleKind; readonly tie: Tie }[],
): { readonly wanted: number; readonly tied: number; readonly apart: number } => {
  const counted = ties.filter(({ kind, tie }) => tie.state !== 'none' || lacksSupport(kind, tie));
  const of = (...supports: readonly Support[]): number =>
    counted.filter(({ tie }) => supports.includes(supportOf(tie, false))).length;
  return { wanted: counted.length, tied: of('tied', 'explained'), apart: of('apart') };
};
