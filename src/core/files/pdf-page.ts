import type { Piece } from './pdf-pieces';

/** A text on a page as a PDF gives it (ISO 32000): its matrix, width and height in points. */
export interface PlacedText {
  readonly str: string;
  readonly transform: readonly number[];
  readonly width: number;
  readonly height: number;
}

/** A page as its reader sees it: texts upright, from the left and from the bottom. */
export interface PrintedPage {
  readonly width: number;
  readonly height: number;
  readonly pieces: readonly Piece[];
  /** Texts that run across the others, such as a watermark or a note on the edge; they are no part of the table. */
  readonly across: readonly string[];
}

/** Which way a text runs: quarter turns to the right; undefined for one that runs aslant. */
const turnOf = (a: number, b: number): number | undefined => {
  const [along, down] = [Math.abs(a), Math.abs(b)];
  if (Math.min(along, down) > 0.15 * Math.max(along, down)) return undefined;
  return along >= down ? (a < 0 ? 2 : 0) : b > 0 ? 1 : 3;
};

/** A point on a page that is turned so that texts which ran `turn` quarter turns to the right stand upright. */
const turned = (x: number, y: number, turn: number, width: number, height: number): readonly [number, number] =>
  turn === 1 ? [y, width - x] : turn === 2 ? [width - x, height - y] : turn === 3 ? [height - y, x] : [x, y];

/**
 * The texts of a page, upright: `view` is the matrix by which the page is shown (it holds the page's own rotation, with y
 * downwards), `width` and `height` its size as shown. Where most of the text runs another way, the page is turned with it.
 */
export const printedPage = (
  texts: readonly PlacedText[],
  view: readonly number[],
  width: number,
  height: number,
): PrintedPage => {
  const [va = 1, vb = 0, vc = 0, vd = -1, ve = 0, vf = height] = view;
  const placed = texts.flatMap(({ str, transform, width: long, height: tall }) => {
    const [a = 1, b = 0, c = 0, d = 1, x, y] = transform;
    if (str.trim() === '' || x === undefined || y === undefined) return [];
    const size = tall === 0 ? Math.hypot(c, d) : tall;
    return [
      {
        text: str,
        turn: turnOf(va * a + vc * b, vb * a + vd * b),
        x: va * x + vc * y + ve,
        y: vb * x + vd * y + vf,
        long,
        size: size === 0 ? 10 : size,
      },
    ];
  });
  const lengths = [0, 0, 0, 0];
  for (const { turn, text } of placed) if (turn !== undefined) lengths[turn] = (lengths[turn] ?? 0) + text.length;
  const most = lengths.indexOf(Math.max(...lengths));
  const [wide, high] = most % 2 === 0 ? [width, height] : [height, width];
  return {
    width: wide,
    height: high,
    pieces: placed
      .filter(({ turn }) => turn === most)
      .map(({ text, x, y, long, size }): Piece => {
        const [from, down] = turned(x, y, most, width, height);
        return { text, from, to: from + long, y: high - down, size };
      }),
    across: placed.filter(({ turn }) => turn !== most).map(({ text }) => text.trim()),
  };
};
