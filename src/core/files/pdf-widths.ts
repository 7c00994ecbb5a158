import type { Piece } from './pdf-pieces';

/** How wide letters are in plain type, in thousandths of its size, from the blank to the tilde (Adobe's metrics of Helvetica). */
const WIDTHS =
  '278 278 355 556 556 889 667 191 333 333 389 584 278 333 278 278 556 556 556 556 556 556 556 556 556 556 278 278 584 584 584 556 1015 667 667 722 722 667 611 778 722 278 500 667 556 833 722 778 667 778 722 667 611 722 667 944 667 667 611 278 278 278 469 556 333 556 556 500 556 556 278 556 556 222 222 500 222 833 556 556 556 556 333 500 278 556 500 722 500 500 500 334 260 334 584'
    .split(' ')
    .map(Number);
const OTHER = 556;

const thousandths = (text: string): number => {
  let width = 0;
  for (const letter of text.normalize('NFD').replace(/\p{M}/gu, ''))
    width += WIDTHS[letter.charCodeAt(0) - 32] ?? OTHER;
  return width;
};

/** How wide a text is likely to be, in points. */
export const widthOf = (text: string, size: number, stretch: number): number =>
  (thousandths(text) * size * stretch) / 1000;

/** How much wider the letters of some pieces are than that, on the whole. */
export const stretchOf = (pieces: readonly Piece[]): number => {
  const shares = pieces
    .filter(({ text, size }) => text.trim().length > 2 && size > 0)
    .map(({ text, from, to, size }) => ((to - from) * 1000) / (thousandths(text) * size))
    .sort((a, b) => a - b);
  return shares[Math.floor(shares.length / 2)] ?? 1;
};

/** A blank is at least as wide, as a share of the size of its letters. */
const LEAST_BLANK = 0.2;

/** A piece without the blank behind it, which may reach as far as the next one. */
export const withoutBlank = (piece: Piece, stretch: number): Piece => {
  const text = piece.text.trimEnd();
  return text === piece.text
    ? piece
    : {
        ...piece,
        text,
        to: Math.min(piece.to - piece.size * LEAST_BLANK, piece.from + widthOf(text, piece.size, stretch)),
      };
};

/** By so much of its size, or so large a share of a text, its width may be another than it should. */
const [MOST_AWAY, SHARE_AWAY] = [0.3, 0.04];

/**
 * A piece in two, where a blank of it stands in front of a place: the texts of two columns that stand no further from each other than words
 * come as one. Undefined where no word of it begins there.
 */
export const splitAt = (piece: Piece, place: number, stretch: number): readonly [Piece, Piece] | undefined => {
  const { text, from, to, size } = piece;
  // A title is set in other letters than the rest.
  const stretches = [stretch, stretchOf([piece])];
  let best: { readonly at: number; readonly away: number } | undefined;
  for (let at = text.indexOf(' '); at >= 0; at = text.indexOf(' ', at + 1)) {
    const right = text.slice(at + 1).trim();
    if (right === '' || text.slice(0, at).trim() === '') continue;
    const is = to - place;
    const away = Math.min(...stretches.map((one) => Math.abs(widthOf(right, size, one) - is)));
    if (away <= Math.max(size * MOST_AWAY, is * SHARE_AWAY) && (best === undefined || away < best.away))
      best = { at, away };
  }
  if (best === undefined) return undefined;
  const left = text.slice(0, best.at).trim();
  return [
    { ...piece, text: left, to: Math.max(from, Math.min(from + widthOf(left, size, stretch), place - size * 0.1)) },
    { ...piece, text: text.slice(best.at + 1).trim(), from: place },
  ];
};
