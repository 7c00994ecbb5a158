import type { NumberStyle } from '../money/number-style';
import type { TextFormat } from '../base/table';
import type { Arrangement } from './arrange';
import type { ColumnRole } from './header';
import type { Scale } from './stated-scale';

/**
 * What the plus of an amount means. `written`: debit and credit columns, or a side column, say it. `columns-signed`: two
 * columns, credits with a minus in theirs. With one balance column: a plus is a debit, or a credit, or the normal side of
 * the account (`normal-side`) or of the section in which it stands (`section-side`).
 */
export const CONVENTIONS = [
  'written',
  'columns-signed',
  'debit-positive',
  'credit-positive',
  'normal-side',
  'section-side',
] as const;
export type Convention = (typeof CONVENTIONS)[number];

/** What a person chose about how a paper is read: it stays, and everything else is inferred around it. */
export interface Chosen {
  /** What columns hold, by their index. */
  readonly columns?: Readonly<Record<string, ColumnRole>>;
  readonly style?: NumberStyle;
  readonly convention?: Convention;
  /** Noughts left away, or two decimals less than nought where amounts are in hundredths; nought for single units. */
  readonly scale?: Scale | 0;
}

/** How a paper is read. Proposed by `recognise`, changed by a person, stored beside the paper. */
export interface Reading {
  readonly sheet: number;
  /** Index of the header row (of its lower row, where it has two), or -1 when the table has none. */
  readonly header: number;
  /** Rows of the header: one where not said. */
  readonly height?: 1 | 2;
  readonly columns: readonly ColumnRole[];
  readonly style: NumberStyle;
  readonly convention: Convention;
  /** Noughts that the amounts are written without: three for thousands, six for millions; two less than none for hundredths. */
  readonly scale?: Scale;
  /** How the table lies, where a line of it is not one account. Row and header numbers are then those of the table arranged. */
  readonly arrangement?: Arrangement;
  /** How a text file is taken apart, where a person said so. */
  readonly format?: Partial<TextFormat>;
  /** Rows (by index) that a person decided about: read them as accounts although they look like something else, or not. */
  readonly asAccount: Readonly<Record<string, boolean>>;
  /** What else a person chose about it. */
  readonly chosen?: Chosen;
}
