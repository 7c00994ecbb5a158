import { type Currency } from '../money/currency';
import type { Classification } from '../ledger/classes';
import type { Minor } from '../money/minor';
import type { Totals } from '../ledger/level';

/** A row of a paper under a reading. `row` counts from 1 as spreadsheets do. Amounts are debit-positive minor units. */
export interface PaperRow {
  readonly row: number;
  readonly kind: 'account' | 'title' | 'header' | 'heading' | 'total' | 'blank' | 'unreadable';
  readonly code: string;
  readonly name: string;
  readonly amount: Minor;
  /** The row as it stands in the paper, cells joined, for provenance. */
  readonly text: string;
  /** The statement line that the heading above it stands for, where its words name one. */
  readonly section?: Classification;
  /** How far its name is indented, in characters. */
  readonly indent: number;
  /** Why it is not read as an account, or what to know about the amount. */
  readonly note?: string;
  /** For a total with an amount in both columns: what each comes to, as positive magnitudes. */
  readonly columns?: Totals;
  /** The balance in a foreign currency, where the paper gives it. */
  readonly foreign?: { readonly currency: Currency; readonly amount: Minor };
}
