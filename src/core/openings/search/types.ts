import type { IsoDate } from '../../base/iso-date';
import type { AccountId } from '../../chart/account';
import type { AccountRole, Classification } from '../../ledger/classes';
import type { Minor, Side } from '../../money/minor';
import type { Ratio } from '../../money/ratio';
import type { ErrorKind } from './kinds';

/** One account's figure as the search sees it. Amounts are debit-positive minor units of base currency. */
export interface SearchFigure {
  readonly account: AccountId;
  readonly code: string;
  readonly amount: Minor;
  readonly classification: Classification;
  readonly normal: Side;
  readonly role: AccountRole | null;
  /** The amounts of the paper rows behind the figure, in the paper's order; empty for a typed figure. */
  readonly rows: readonly Minor[];
  /** Where the figure stands in its paper; figures without one are ordered by code. */
  readonly order?: number;
  /** For an account in a foreign currency: what one minor unit of it is worth in base minor units on the opening date, and on other days that a rate is known for. */
  readonly rates?: {
    readonly now: Ratio;
    readonly others: readonly { readonly date: IsoDate; readonly ratio: Ratio }[];
  };
  /** The balance in the account's own currency, where it is known. */
  readonly foreign?: Minor;
}

/** A row of a paper that stands behind no figure, as it would be taken. */
export interface UntakenRow {
  readonly paper: number;
  readonly row: number;
  readonly text: string;
  readonly amount: Minor;
  /** The account it would go to, where one is known. */
  readonly account: AccountId | null;
}

export interface SearchInput {
  readonly figures: readonly SearchFigure[];
  readonly untaken: readonly UntakenRow[];
  /** The old system's own column totals, both as positive magnitudes, where its paper states them. */
  readonly totals: { readonly debits: Minor; readonly credits: Minor } | null;
  readonly atYearStart: boolean;
}

/** One figure before and after. */
export interface FigureChange {
  readonly account: AccountId;
  readonly from: Minor;
  readonly to: Minor;
}

/** One error that would explain something: what would have to change, and by how much that moves the net. */
export interface Cause {
  readonly kind: ErrorKind;
  readonly changes: readonly FigureChange[];
  /** A paper's row that the cause is about, for `left-out`. */
  readonly untaken?: UntakenRow;
  /** The day of the rate, for `rate-date`. */
  readonly date?: IsoDate;
  /** What a change moves the net by: the sum of `to - from`. */
  readonly effect: Minor;
}

export interface Hypothesis {
  /** One cause, or two that explain the difference together. */
  readonly causes: readonly Cause[];
  /** How much of the difference it explains: the net before less the net after. */
  readonly explains: Minor;
  /** What the Level would show after it. */
  readonly after: Minor;
  /** The share of the weight of all hypotheses found, for saying how much to trust it; between 0 and 1. */
  readonly weight: number;
  /** The slip was made in the paper itself: the figures are as it has them, and it is out by what they are out. */
  readonly inPaper: boolean;
  /** How many hypotheses of the same kind explain it equally well, this one included: 1 when it stands alone. */
  readonly ties: number;
}
