import type { Place } from '../base/table';

/** A piece of text on a page: where it begins and ends, how high it stands (from the bottom) and how large it is, in points. */
export interface Piece {
  readonly text: string;
  readonly from: number;
  readonly to: number;
  readonly y: number;
  readonly size: number;
}

/** Pieces on one line, from left to right; those that stand near each other put together, and each as it is printed. */
export interface Line extends Place {
  readonly pieces: readonly Piece[];
  readonly single: readonly Piece[];
  /** The share of the size of a letter that a blank takes on its page. */
  readonly blank: number;
}

export interface Column {
  readonly from: number;
  readonly to: number;
}

const FIGURE =
  /^[-+(\u2212]?[^\d\p{L}]{0,3}\d{1,3}(?:[.,' \u00a0\u2009\u202f]?\d{3})*(?:[.,]\d{1,4})?[-)]?(?:\s?[\p{L}\p{Sc}%]{1,4})?$/u;
export const isFigure = ({ text }: Piece): boolean =>
  text.length <= 40 && FIGURE.test(text.trim()) && /[.,' \u00a0]\d|\d{4}/.test(text);

/** An amount by its own looks; a sign, a side or a currency's mark may stand beside it. */
const AMOUNT = /^[-+(\u2212]?\d{1,3}(?:[.,' \u00a0\u2009\u202f]?\d{3})*[.,]\d{2}[-)]?$/u;
export const isAmount = ({ text }: Piece): boolean => AMOUNT.test(text.trim());

export const overlap = (piece: Pick<Piece, 'from' | 'to'>, column: Column): number =>
  Math.min(piece.to, column.to) - Math.max(piece.from, column.from);

/** The column in which most of a piece stands, else the nearest one. */
export const columnFor = (piece: Piece, columns: readonly Column[]): number => {
  let best = 0;
  columns.forEach((column, at) => {
    const other = columns[best];
    if (other !== undefined && overlap(piece, column) > overlap(piece, other)) best = at;
  });
  return best;
};
