import type { Place, Row } from '../base/table';
import { oneLine } from './clean';
import { type Column, type Line, type Piece, columnFor, isAmount, isFigure } from './pdf-pieces';
import { splitAt, stretchOf, widthOf, withoutBlank } from './pdf-widths';
import { wrapped } from './pdf-wrapped';

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
    const blank = blankIn(single);
    return {
      page,
      y,
      pieces: joined(single, (last, piece) => (besideAmount(last, piece) ? blank : NEAR)),
      single,
      blank,
    };
  });
};

/** Words of a line that tell whether all letters are of one width, and by how much their widths may differ for that. */
const [FEWEST_WORDS, FEWEST_LETTERED, ONE_WIDTH] = [3, 2, 1.01];

/** The share of the size of a letter that a blank takes on a line: in letters of one width it is as wide as they are. */
const blankIn = (pieces: readonly Piece[]): number => {
  const words = pieces.filter(({ text }) => text.trim().length > 1);
  const widths = words.map(({ text, from, to, size }) => (to - from) / (text.length * size)).sort((a, b) => a - b);
  const [least = 0, most = 0] = [widths[0], widths.at(-1)];
  const lettered = words.filter(({ text }) => /\p{L}/u.test(text)).length;
  return words.length >= FEWEST_WORDS && lettered >= FEWEST_LETTERED && most <= least * ONE_WIDTH
    ? Math.max(BLANK, most * 1.1)
    : BLANK;
};

/** Pieces that stand near each other as one: no further, as a share of their size, than what parts two of them. */
const joined = (pieces: readonly Piece[], most: (last: Piece, piece: Piece) => number): readonly Piece[] => {
  const made: Piece[] = [];
  for (const piece of pieces) {
    const last = made.at(-1);
    const gap = last === undefined ? Infinity : piece.from - last.to;
    if (last === undefined || gap > last.size * Math.min(NEAR, most(last, piece)) || isBar(piece) || isBar(last))
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

/** A sign, a side or a currency's mark beside an amount is of it. */
const OF_AMOUNT = /^(?:[\p{Sc}+\-\u2212()%*]{1,2}|\p{L}{1,3}\.?)$/u;
const besideAmount = (last: Piece, piece: Piece): boolean => {
  const [before, behind] = [last.text.trim(), piece.text.trim()];
  return (isAmount(last) && !OF_AMOUNT.test(behind)) || (isAmount(piece) && !OF_AMOUNT.test(before));
};

/** Texts that begin this near to each other, in points, begin at one place. */
const ALIGNED = 0.6;
/** A column is told by where its texts begin in so many lines of the table, and so large a share of them. */
const [FEWEST_ALIGNED, SHARE_ALIGNED] = [3, 0.1];
/** A day behind other words is mostly in a column of its own. */
const DAY_BEHIND = /\s\d{1,4}[./-]\d{1,2}[./-]\d{1,4}$/;
/** So few lines of the table may have a text across the beginning of a column. */
const MOST_ACROSS = 0.01;

const crosses = (piece: Piece, place: number): boolean => piece.from < place - ALIGNED && piece.to > place + ALIGNED;

/**
 * Where columns begin, however near they stand to the ones before: texts of many lines begin there, each behind more than a blank, and no
 * text of the table crosses the place, but for two texts that come as one.
 */
const startsOf = (lines: readonly Line[], stretch: number): readonly number[] => {
  const table = lines.filter(({ pieces }) => pieces.length > 1 && pieces.some(isFigure));
  const begins = table
    .flatMap(({ single, blank }) =>
      single.flatMap((piece, at) => {
        const before = single[at - 1];
        const apart = before === undefined || piece.from - before.to > piece.size * blank;
        const day = DAY_BEHIND.exec(piece.text)?.[0].trim();
        const behind = day === undefined ? [] : [{ from: piece.to - widthOf(day, piece.size, stretch), apart: true }];
        return [{ from: piece.from, apart }, ...behind];
      }),
    )
    .sort((a, b) => a.from - b.from);
  const places: { from: number; count: number; apart: boolean }[] = [];
  for (const { from, apart } of begins) {
    const last = places.at(-1);
    if (last !== undefined && from - last.from <= ALIGNED) {
      last.count += 1;
      last.apart &&= apart;
    } else places.push({ from, count: 1, apart });
  }
  const fewest = Math.max(FEWEST_ALIGNED, table.length * SHARE_ALIGNED);
  const across = ({ from }: { readonly from: number }): number =>
    table.filter(({ single }) =>
      single.some((piece) => crosses(piece, from) && splitAt(piece, from, stretch) === undefined),
    ).length;
  return places
    .filter((place) => place.apart && place.count >= fewest && across(place) <= table.length * MOST_ACROSS)
    .map(({ from }) => from);
};

/** Lines with what begins at the start of a column parted from what stands before it. */
const partedAt = (lines: readonly Line[], starts: readonly number[], stretch: number): readonly Line[] =>
  lines.map((line) => {
    // A title may run across all columns.
    const listed = line.pieces.length > 1;
    const single = !listed
      ? line.single
      : line.single.flatMap((piece) => {
          const parts: Piece[] = [];
          let rest = piece;
          for (const start of starts) {
            const split = crosses(rest, start) ? splitAt(rest, start, stretch) : undefined;
            if (split === undefined) continue;
            parts.push(split[0]);
            rest = split[1];
          }
          return [...parts, rest];
        });
    const begins = (piece: Piece, last: Piece): boolean =>
      starts.some((start) => Math.abs(piece.from - start) <= ALIGNED && last.to <= start + ALIGNED);
    return {
      ...line,
      single,
      pieces: joined(single, (last, piece) =>
        begins(piece, last) ? 0 : besideAmount(last, piece) ? line.blank : NEAR,
      ),
    };
  });

/** A line without figures, as titles are: what stands in another column is a text of its own. */
const byColumns = (line: Line, columns: readonly Column[]): Line =>
  line.pieces.some(isFigure)
    ? line
    : {
        ...line,
        pieces: joined(line.single, (last, piece) =>
          columnFor(last, columns) === columnFor(piece, columns) ? NEAR : line.blank,
        ),
      };

/** Texts on a line of a list without figures, and lines of such a list. */
const [FEWEST_CELLS, FEWEST_LINES] = [3, 3];

/** Columns by what no line of figures fills; a line or two may hang over. */
const columnsOf = (lines: readonly Line[], starts: readonly number[]): readonly Column[] => {
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
  const begins = new Set(starts.map(Math.floor));
  filled.forEach((count, at) => {
    if (count <= few) return;
    const last = columns.at(-1);
    if (last !== undefined && at - last.to <= 1 && !begins.has(at)) last.to = at + 1;
    else columns.push({ from: at, to: at + 1 });
  });
  return columns;
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
  const stretch = stretchOf(pages.flat());
  const near = pages.map((pieces, at) => linesOf(pieces.map((piece) => withoutBlank(piece, stretch)), at + 1)); // prettier-ignore
  const starts = startsOf(near.flat(), stretch);
  const all = near.map((lines) => partedAt(lines, starts, stretch));
  const made = (lines: readonly Line[], cells: (line: Line) => Row): PrintedRows => ({
    rows: lines.map(cells),
    places: lines.map(({ page, y }) => ({ page, y })),
  });
  if (barred(all.flat())) return made(all.flat(), cellsBetweenBars);
  const found = columnsOf(all.flat(), starts);
  if (found.length === 0) return made(all.flat(), ({ pieces }) => pieces.map(({ text }) => oneLine(text)));
  const { columns, lines: put } = wrapped(all, found, byColumns);
  return made(put, ({ pieces }) => {
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
  });
};
