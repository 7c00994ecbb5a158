import type { Place, Row } from '../base/table';
import { oneLine } from './clean';

/** A piece of text on a page: where it begins and ends, how high it stands (from the bottom) and how large it is, in points. */
export interface Piece {
  readonly text: string;
  readonly from: number;
  readonly to: number;
  readonly y: number;
  readonly size: number;
}

/** Pieces on one line, from left to right; those that stand near each other put together, and each as it is printed. */
interface Line extends Place {
  readonly pieces: readonly Piece[];
  readonly single: readonly Piece[];
}

/** Pieces that stand this near, as a share of their size, are one text; nearer ones mostly come as one already. */
const NEAR = 0.62;
/** A blank between two words is smaller; what stands further from an amount is in another column, however near it is. */
const BLANK = 0.36;
const SAME_LINE = 0.35;

/** Pieces of one page as lines from top to bottom, those that touch put together. */
const linesOf = (pieces: readonly Piece[], page: number): readonly Line[] => {
  const sorted = [...pieces].sort((a, b) => b.y - a.y || a.from - b.from);
  const lines: { y: number; pieces: Piece[] }[] = [];
  for (const piece of sorted) {
    const last = lines.at(-1);
    if (last !== undefined && Math.abs(last.y - piece.y) <= piece.size * SAME_LINE) last.pieces.push(piece);
    else lines.push({ y: piece.y, pieces: [piece] });
  }
  return lines.map(({ y, pieces: own }) => {
    const single = own.sort((a, b) => a.from - b.from);
    return { page, y, pieces: joined(single), single };
  });
};

/** Pieces that stand near each other as one, but where `isApart` parts them. */
const joined = (
  pieces: readonly Piece[],
  isApart: (last: Piece, piece: Piece) => boolean = besideAmount,
): readonly Piece[] => {
  const made: Piece[] = [];
  for (const piece of pieces) {
    const last = made.at(-1);
    const gap = last === undefined ? Infinity : piece.from - last.to;
    if (
      last === undefined ||
      gap > last.size * NEAR ||
      isBar(piece) ||
      isBar(last) ||
      (gap > last.size * BLANK && isApart(last, piece))
    )
      made.push(piece);
    else
      made[made.length - 1] = {
        ...last,
        text: `${last.text}${gap > last.size * 0.12 ? ' ' : ''}${piece.text}`,
        to: Math.max(last.to, piece.to),
      };
  }
  return made;
};

const isBar = ({ text }: Piece): boolean => /^[|│¦]$/.test(text.trim());

const FIGURE =
  /^[-+(\u2212]?[^\d\p{L}]{0,3}\d{1,3}(?:[.,' \u00a0\u2009\u202f]?\d{3})*(?:[.,]\d{1,4})?[-)]?(?:\s?[\p{L}\p{Sc}%]{1,4})?$/u;
const isFigure = ({ text }: Piece): boolean =>
  text.length <= 40 && FIGURE.test(text.trim()) && /[.,' \u00a0]\d|\d{4}/.test(text);

/** An amount by its own looks; a sign, a side or a currency's mark may stand beside it and is of it. */
const AMOUNT = /^[-+(\u2212]?\d{1,3}(?:[.,' \u00a0\u2009\u202f]?\d{3})*[.,]\d{2}[-)]?$/u;
const OF_AMOUNT = /^(?:[\p{Sc}+\-\u2212()%*]{1,2}|\p{L}{1,3}\.?)$/u;
const besideAmount = (last: Piece, piece: Piece): boolean => {
  const [before, behind] = [last.text.trim(), piece.text.trim()];
  return (AMOUNT.test(before) && !OF_AMOUNT.test(behind)) || (AMOUNT.test(behind) && !OF_AMOUNT.test(before));
};

/** A line without figures, as titles are: what stands in another column is a text of its own. */
const byColumns = (line: Line, columns: readonly Column[]): Line =>
  line.pieces.some(isFigure)
    ? line
    : {
        ...line,
        pieces: joined(line.single, (last, piece) => columnFor(last, columns) !== columnFor(piece, columns)),
      };

interface Column {
  readonly from: number;
  readonly to: number;
}

/** Texts on a line of a list without figures, and lines of such a list. */
const [FEWEST_CELLS, FEWEST_LINES] = [3, 3];

/** Columns by what no line of figures fills; a line or two may hang over. */
const columnsOf = (lines: readonly Line[]): readonly Column[] => {
  const withFigures = lines.filter(({ pieces }) => pieces.length > 1 && pieces.some(isFigure));
  // A list without a figure, as of contacts, is told by its lines of several texts.
  const listed = withFigures.length > 0 ? [] : lines.filter(({ pieces }) => pieces.length >= FEWEST_CELLS);
  const figures = withFigures.length > 0 || listed.length < FEWEST_LINES ? withFigures : listed;
  const width = Math.ceil(Math.max(0, ...figures.flatMap(({ pieces }) => pieces.map(({ to }) => to)))) + 1;
  const filled = new Uint32Array(Math.min(width, 20_000));
  for (const { pieces } of figures)
    for (const { from, to } of pieces)
      for (let at = Math.max(0, Math.floor(from)); at < Math.min(to, filled.length); at += 1)
        filled[at] = (filled[at] ?? 0) + 1;
  const few = Math.floor(figures.length * 0.01);
  const columns: { from: number; to: number }[] = [];
  filled.forEach((count, at) => {
    if (count <= few) return;
    const last = columns.at(-1);
    if (last !== undefined && at - last.to <= 1) last.to = at + 1;
    else columns.push({ from: at, to: at + 1 });
  });
  return columns;
};

const overlap = (piece: Piece, column: Column): number =>
  Math.min(piece.to, column.to) - Math.max(piece.from, column.from);

/** The column in which most of a piece stands, else the nearest one. */
const columnFor = (piece: Piece, columns: readonly Column[]): number => {
  let best = 0;
  columns.forEach((column, at) => {
    const other = columns[best];
    if (other !== undefined && overlap(piece, column) > overlap(piece, other)) best = at;
  });
  return best;
};

/** Lines with bars between their cells, as programs print tables in letters of one width. */
const barred = (lines: readonly Line[]): boolean => {
  const figures = lines.filter(({ pieces }) => pieces.some(isFigure));
  return (
    figures.length > 0 && figures.filter(({ pieces }) => pieces.filter(isBar).length >= 2).length * 2 > figures.length
  );
};

const indented = (text: string, space: number, size: number): string =>
  `${' '.repeat(Math.max(0, Math.min(40, Math.round(space / (size * 0.6)) - 1)))}${text}`;

const cellsBetweenBars = ({ pieces }: Line): Row => {
  const cells: string[] = [''];
  let start = pieces[0]?.from ?? 0;
  for (const piece of pieces) {
    if (isBar(piece)) {
      cells.push('');
      start = piece.to;
      continue;
    }
    const own = cells.at(-1) ?? '';
    cells[cells.length - 1] =
      own === '' ? indented(oneLine(piece.text), piece.from - start, piece.size) : `${own} ${oneLine(piece.text)}`;
  }
  return cells;
};

/** Rows of a table of which a cell is higher than one line: what stands above or below goes to the row that it is nearest to. */
const wrapped = (lines: readonly Line[], columns: readonly Column[]): readonly Line[] => {
  const anchors = lines.flatMap(({ pieces }, at) => (pieces.length > 1 && pieces.some(isFigure) ? [at] : []));
  const gaps = anchors.flatMap((at, place) => {
    const before = lines[anchors[place - 1] ?? -1];
    const own = lines[at];
    return before === undefined || own === undefined ? [] : [before.y - own.y];
  });
  const usual = [...gaps].sort((a, b) => a - b)[Math.floor(gaps.length / 2)] ?? 0;
  if (usual <= 0) return lines;
  const isAnchor = new Set(anchors);
  /** A line of text in one column only, with that column. */
  const loose = (at: number): number | undefined => {
    const line = lines[at];
    if (line === undefined || isAnchor.has(at) || line.pieces.some(isFigure)) return undefined;
    const into = new Set(line.pieces.map((piece) => columnFor(piece, columns)));
    return into.size === 1 ? [...into][0] : undefined;
  };
  const added = new Map<number, Line[]>();
  const gone = new Set<number>();
  // Rows without a name of their own come first: what stands around them is theirs.
  for (const [at, nameless] of [
    ...anchors.map((one) => [one, true] as const),
    ...anchors.map((one) => [one, false] as const),
  ]) {
    const line = lines[at];
    if (line === undefined || added.has(at)) continue;
    const away = (other: number): number => Math.abs((lines[other]?.y ?? Infinity) - line.y);
    const near = (other: number): boolean =>
      !gone.has(other) && loose(other) !== undefined && away(other) < usual * 0.75;
    const size = line.pieces[0]?.size ?? 10;
    const take = (other: number): void => {
      const own = lines[other];
      if (own === undefined) return;
      added.set(at, [...(added.get(at) ?? []), own]);
      gone.add(other);
    };
    const [above, below] = [near(at - 1) ? loose(at - 1) : undefined, near(at + 1) ? loose(at + 1) : undefined];
    const isEmpty = (column: number): boolean => !line.pieces.some((piece) => columnFor(piece, columns) === column);
    // Text in the middle of a high cell has lines above and below it, at the same distance; else a name goes on underneath.
    const around = above !== undefined && above === below;
    if (nameless && around && isEmpty(above)) {
      take(at - 1);
      take(at + 1);
    } else if (nameless) continue;
    else if (
      around &&
      Math.max(away(at - 1), away(at + 1)) <= size * 1.45 &&
      Math.abs(away(at - 1) - away(at + 1)) < size * 0.2
    ) {
      take(at - 1);
      take(at + 1);
    } else if (below !== undefined && !isEmpty(below) && away(at + 1) <= size * 1.45) take(at + 1);
  }
  return lines.flatMap((line, at): Line[] => {
    if (gone.has(at)) return [];
    const more = added.get(at);
    if (more === undefined) return [line];
    const pieces = [...line.pieces];
    for (const extra of [...more].sort((a, b) => a.y - b.y).reverse())
      for (const piece of extra.pieces) {
        const column = columnFor(piece, columns);
        const place = pieces.findIndex((one) => columnFor(one, columns) === column);
        const own = pieces[place];
        if (own === undefined) pieces.push(piece);
        else
          pieces[place] = {
            ...own,
            text: extra.y > line.y ? `${piece.text} ${own.text}` : `${own.text} ${piece.text}`,
          };
      }
    return [{ ...line, pieces: pieces.sort((a, b) => a.from - b.from) }];
  });
};

/** The rows of printed pages, each with where it stands. */
export interface PrintedRows {
  readonly rows: readonly Row[];
  readonly places: readonly Place[];
}

/**
 * Pages of printed text as the rows of one table. Cells are told by their place: by bars where such are printed, else by the
 * gaps that all lines with figures leave.
 */
export const rowsOfPages = (pages: readonly (readonly Piece[])[]): PrintedRows => {
  const all = pages.map((pieces, at) => linesOf(pieces, at + 1));
  const made = (lines: readonly Line[], cells: (line: Line) => Row): PrintedRows => ({
    rows: lines.map(cells),
    places: lines.map(({ page, y }) => ({ page, y })),
  });
  if (barred(all.flat())) return made(all.flat(), cellsBetweenBars);
  const columns = columnsOf(all.flat());
  if (columns.length === 0) return made(all.flat(), ({ pieces }) => pieces.map(({ text }) => oneLine(text)));
  return made(
    all.flatMap((lines) =>
      wrapped(
        lines.map((line) => byColumns(line, columns)),
        columns,
      ),
    ),
    ({ pieces }) => {
      const cells = columns.map(() => '');
      let last = -1;
      for (const piece of pieces) {
        const nearest = columnFor(piece, columns);
        // Figures are set to the right, and a title over them may begin before them: of two beside one column, the second is the next one's.
        const isNext = nearest === last && nearest + 1 < columns.length && piece.from >= (columns[nearest]?.to ?? 0);
        const at = isNext ? nearest + 1 : nearest;
        last = at;
        const own = cells[at] ?? '';
        const text = oneLine(piece.text);
        cells[at] =
          own === ''
            ? indented(text, isFigure(piece) ? 0 : piece.from - (columns[at]?.from ?? 0) + piece.size * 0.6, piece.size)
            : `${own} ${text}`;
      }
      return cells;
    },
  );
};
