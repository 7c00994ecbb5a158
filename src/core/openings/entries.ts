import { type Currency } from '../money/currency';
import { type Problem, problem, under } from '../base/result';
import { type Account, type AccountId, called } from '../chart/account';
import type { Minor } from '../money/minor';
import type { Figure, Origin } from './figure';
import type { Part } from './foreign';
import { partsProblem, sameParts } from './in-currency';

/** A figure that somebody typed or pasted, or gives back. Amounts debit positive, in minor units; null takes it away. */
export interface FigureEntry {
  readonly account: AccountId;
  readonly amount: Minor | null;
  /** An undo or redo: the figure gets back the origin it had when it last stood at this amount. */
  readonly restores: boolean;
  /** For a figure that was calculated: by what. */
  readonly why?: string | undefined;
  /** What of it is in foreign currencies; where not said, as it was. */
  readonly parts?: readonly Part[] | undefined;
}

/** The figure that stands on an account, and those that stood there before, newest first. */
export interface StoodBefore {
  readonly stands: Figure | null;
  readonly once: readonly Figure[];
}

const movesParts = ({ parts }: FigureEntry, { stands }: StoodBefore): boolean =>
  parts !== undefined && !sameParts(parts, stands?.parts ?? []);

/** Why an entry cannot be taken; `base` is the base currency, `on` the foreign ones that are switched on. */
export const entryProblem = (
  entry: FigureEntry,
  account: Account | undefined,
  before: StoodBefore,
  { base, on }: { readonly base: Currency; readonly on: readonly Currency[] },
): Problem | undefined => {
  if (account === undefined)
    return problem('account.unknown', 'This account is not in the chart any more. Load the page again.', entry.account);
  if (account.heading && entry.amount !== null)
    return problem('account.heading', `${called(account)} is a heading and takes no amounts.`, entry.account);
  // Parts that stay as they are, or that the figure once had and gets back, were taken when they came: from a paper also in a
  // currency that is off.
  const { parts = [] } = entry;
  const had = entry.restores && before.once.some((figure) => sameParts(figure.parts, parts));
  if (had || !movesParts(entry, before)) return undefined;
  const wrong = partsProblem(account.currency === base ? null : account.currency, { amount: entry.amount, parts }, on);
  return wrong === undefined ? undefined : under(wrong, entry.account);
};

/**
 * Where the figure of an entry comes from; undefined where it changes nothing. A figure that is given back comes from where it once
 * came from, and a base amount that stays where it was still does.
 */
export const entryOrigin = (entry: FigureEntry, before: StoodBefore): Origin | undefined => {
  const { stands, once } = before;
  const stays = (stands?.amount ?? null) === entry.amount;
  if (stays && !movesParts(entry, before)) return undefined;
  const given = entry.restores ? once.find(({ amount }) => amount === entry.amount) : undefined;
  const from = given ?? (stays ? stands : null);
  if (from !== null) return { source: from.source, paper: from.paper, why: from.why };
  return entry.why === undefined
    ? { source: 'typed', paper: null, why: null }
    : { source: 'calculated', paper: null, why: entry.why };
};
