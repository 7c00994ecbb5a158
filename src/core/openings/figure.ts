import { type Currency } from '../money/currency';
import type { Kept } from '../base/kept';
import { type Minor, minor } from '../money/minor';
import type { Part } from './foreign';
import { sameParts } from './in-currency';

/** Where a figure comes from: typed, from a paper, carried over from the version before, or calculated. */
export type Source = 'typed' | 'paper' | 'carried' | 'calculated';

export interface Origin {
  readonly source: Source;
  readonly paper: number | null;
  /** For a calculated figure: by what. */
  readonly why: string | null;
}

/** An opening figure, debit positive in minor units of the base currency, with what of it is in foreign currencies. */
export interface Figure extends Origin {
  readonly amount: Minor;
  readonly parts: readonly Part[];
}

/** Whether two figures state the same, wherever they come from. */
export const sameFigure = (a: Figure | null, b: Figure | null): boolean =>
  a === null || b === null ? a === b : a.amount === b.amount && sameParts(a.parts, b.parts);

/**
 * A figure as the record of changes keeps it; `figureFrom` reads it again. JSON has no exact integers of any size, so amounts are text.
 *
 * @example keptFigure({ amount: minor(1050n), source: 'typed', paper: null, why: null, parts: [] }) // { amount: '1050', source: 'typed' }
 */
export const keptFigure = (figure: Figure | null): Kept =>
  figure === null
    ? null
    : {
        amount: String(figure.amount),
        source: figure.source,
        ...(figure.paper === null ? {} : { paper: figure.paper }),
        ...(figure.why === null ? {} : { why: figure.why }),
        ...(figure.parts.length === 0
          ? {}
          : {
              parts: figure.parts.map(({ currency, amount, base }) => ({
                currency,
                amount: String(amount),
                base: String(base),
              })),
            }),
      };

/** What `keptFigure` wrote. */
interface KeptFigure {
  readonly amount: string;
  readonly source: Source;
  readonly paper?: number;
  readonly why?: string;
  readonly parts?: readonly { readonly currency: Currency; readonly amount: string; readonly base: string }[];
}

export const figureFrom = (kept: Kept): Figure | null => {
  if (kept === null) return null;
  const { amount, source, paper = null, why = null, parts = [] } = kept as unknown as KeptFigure;
  return {
    amount: minor(BigInt(amount)),
    source,
    paper,
    why,
    parts: parts.map((part) => ({
      currency: part.currency,
      amount: minor(BigInt(part.amount)),
      base: minor(BigInt(part.base)),
    })),
  };
};
