import { type Column, type Line, type Piece, columnFor, isAmount, isFigure, overlap } from './pdf-pieces';

/** Tables of which cells are higher than one line: which lines are one row. */

/** A line of a table has texts in so many columns. */
const FEWEST_FILLED = 3;
/** The lines of one cell stand no further from each other than this, as a share of the size of their letters. */
const MOST_LEADING = 1.7;
/** Distances that differ by no more than this are one. */
const SAME = 1.04;

const filledBy = ({ pieces }: Line, columns: readonly Column[]): number =>
  new Set(pieces.map((piece) => columnFor(piece, columns))).size;

/** The distances of texts below each other in one column, as shares of their size, the least first. */
const gapsIn = (pages: readonly (readonly Line[])[], columns: readonly Column[]): readonly number[] => {
  const gaps: number[] = [];
  for (const lines of pages) {
    const last = new Map<number, Piece>();
    for (const { pieces } of lines)
      for (const piece of pieces) {
        const column = columnFor(piece, columns);
        const above = last.get(column);
        if (above !== undefined) gaps.push((above.y - piece.y) / piece.size);
        last.set(column, piece);
      }
  }
  return gaps.filter((gap) => gap > 0.7).sort((a, b) => a - b);
};

/** The least of them; undefined where it is more than lines of one cell stand from each other. */
const leastGap = (pages: readonly (readonly Line[])[], columns: readonly Column[]): number | undefined => {
  const [least] = gapsIn(pages, columns);
  return least === undefined || least > MOST_LEADING ? undefined : least;
};

/** How far the lines of one cell stand from each other, where cells stand further; undefined where no such distance shows. */
const leadingOf = (pages: readonly (readonly Line[])[], columns: readonly Column[]): number | undefined => {
  const least = leastGap(pages, columns);
  const further = least === undefined ? undefined : gapsIn(pages, columns).find((gap) => gap > least * SAME);
  return least === undefined || further === undefined ? undefined : least * SAME;
};

/** One cell: its pieces from the top, and the band that it takes up. */
interface Cell {
  readonly column: number;
  readonly pieces: readonly Piece[];
  readonly lines: readonly number[];
  readonly top: number;
  readonly bottom: number;
}

const cellsIn = (lines: readonly Line[], columns: readonly Column[], leading: number): readonly Cell[] => {
  const cells: { column: number; pieces: Piece[]; lines: number[] }[] = [];
  const open = new Map<number, (typeof cells)[number]>();
  lines.forEach(({ pieces }, line) => {
    for (const piece of pieces) {
      const column = columnFor(piece, columns);
      const above = open.get(column);
      const last = above?.pieces.at(-1);
      if (above !== undefined && last !== undefined && last.y - piece.y <= leading * piece.size) {
        above.pieces.push(piece);
        above.lines.push(line);
      } else {
        const made = { column, pieces: [piece], lines: [line] };
        cells.push(made);
        open.set(column, made);
      }
    }
  });
  return cells.map((cell) => {
    const [first, last] = [cell.pieces[0], cell.pieces.at(-1)];
    // A little less than the line is high, so that rows that touch stay apart.
    const half = ((leading / SAME) * (first?.size ?? 0) * 0.96) / 2;
    return { ...cell, top: (first?.y ?? 0) + half, bottom: (last?.y ?? 0) - half };
  });
};

/** A word that was parted at the end of a line; a number that was goes on behind its dash. */
const putTogether = (upper: string, lower: string): string =>
  /\p{L}{3}-$/u.test(upper) && /^\p{Ll}/u.test(lower)
    ? `${upper.slice(0, -1)}${lower}`
    : /[\p{L}\d][-/]$/u.test(upper) && /^[\p{L}\d]/u.test(lower)
      ? `${upper}${lower}`
      : `${upper} ${lower}`;

/** The lines of one row as one line: each cell's texts from the top, at the height of its figures. */
const asOne = (lines: readonly Line[], cells: readonly Cell[]): Line => {
  const anchor = lines.find(({ pieces }) => pieces.some(isAmount)) ?? [...lines].sort((a, b) => b.pieces.length - a.pieces.length)[0]; // prettier-ignore
  const pieces = new Map<number, Piece>();
  for (const cell of [...cells].sort((a, b) => b.top - a.top))
    for (const piece of cell.pieces) {
      const own = pieces.get(cell.column);
      pieces.set(
        cell.column,
        own === undefined
          ? piece
          : {
              ...own,
              text: own.y - piece.y < 0.1 ? `${own.text} ${piece.text}` : putTogether(own.text, piece.text),
              from: Math.min(own.from, piece.from),
              to: Math.max(own.to, piece.to),
              y: piece.y,
            },
      );
    }
  const put = [...pieces.values()].sort((a, b) => a.from - b.from);
  return { page: anchor?.page ?? 1, y: anchor?.y ?? 0, pieces: put, single: put, blank: anchor?.blank ?? 0 };
};

/**
 * Rows by bands: the lines of a cell stand nearer to each other than rows do, and cells whose bands meet are of one row, whether they are
 * set to its top, middle or bottom. Undefined where that would put amounts of two lines into one row.
 */
const banded = (
  lines: readonly Line[],
  columns: readonly Column[],
  leading: number,
): { readonly lines: readonly Line[]; readonly high: number } | undefined => {
  const cells = [...cellsIn(lines, columns, leading)].sort((a, b) => b.top - a.top);
  const rows: { cells: Cell[]; bottom: number }[] = [];
  for (const cell of cells) {
    const row = rows.at(-1);
    if (row !== undefined && cell.top > row.bottom) {
      row.cells.push(cell);
      row.bottom = Math.min(row.bottom, cell.bottom);
    } else rows.push({ cells: [cell], bottom: cell.bottom });
  }
  let high = 0;
  const made: Line[] = [];
  for (const row of rows) {
    const own = [...new Set(row.cells.flatMap((cell) => cell.lines))].sort((a, b) => a - b).flatMap((at) => lines[at] ?? []); // prettier-ignore
    const dense = new Set(row.cells.map(({ column }) => column)).size >= FEWEST_FILLED;
    if (own.length < 2 || !dense) {
      // What is no row of the table stays as it is printed.
      made.push(...own);
      continue;
    }
    if (own.filter(({ pieces }) => pieces.some(isAmount)).length > 1) return undefined;
    if (own.some(({ pieces }) => pieces.some(isAmount))) high += 1;
    made.push(asOne(own, row.cells));
  }
  return { lines: made, high };
};

/** A cell that ends so goes on. */
const isUnfinished = (cell: Cell): boolean => /[\p{L}\d]-$/u.test(cell.pieces.at(-1)?.text ?? '');

/** The cells of some lines that are one row, each column's pieces from the top. */
const cellsOf = (lines: readonly Line[], columns: readonly Column[]): readonly Cell[] => {
  const cells = new Map<number, { pieces: Piece[]; lines: number[] }>();
  lines.forEach(({ pieces }, line) => {
    for (const piece of pieces) {
      const column = columnFor(piece, columns);
      const known = cells.get(column);
      if (known === undefined) cells.set(column, { pieces: [piece], lines: [line] });
      else {
        known.pieces.push(piece);
        known.lines.push(line);
      }
    }
  });
  return [...cells].map(([column, cell]) => ({ ...cell, column, top: cell.pieces[0]?.y ?? 0, bottom: 0 }));
};

/** In such a share of the rows more lines follow the one of the amounts, where those are texts that go on. */
const MANY_FOLLOWED = 0.4;

/**
 * Each row's first and last line, where rows that touch begin with their amounts; undefined where something tells against it. `anchors` are
 * the places of the lines with amounts, `leading` is the distance of two lines of a cell.
 */
const fromTheTop = (
  lines: readonly Line[],
  columns: readonly Column[],
  anchors: readonly number[],
  leading: number,
): readonly (readonly [from: number, to: number])[] | undefined => {
  const rows = anchors.map((from, place) => {
    let to = from;
    const next = anchors[place + 1] ?? lines.length;
    while (to + 1 < next && Math.abs((lines[to]?.y ?? 0) - (lines[to + 1]?.y ?? 0) - leading) < leading * 0.1) to += 1;
    return [from, to] as const;
  });
  const loose = rows.flatMap(([from, to]) => lines.slice(from + 1, to + 1));
  // A line in one column alone may be a heading, but not where many rows have some, none of them where rows begin.
  const several = loose.some((line) => filledBy(line, columns) > 1);
  const into = loose.flatMap(({ pieces }) => pieces.map((piece) => columnFor(piece, columns)));
  const begins = Math.min(...anchors.flatMap((at) => (lines[at]?.pieces ?? []).map((piece) => columnFor(piece, columns)))); // prettier-ignore
  const first = lines[(anchors[0] ?? 0) - 1];
  const many =
    rows.filter(([from, to]) => to > from).length >= rows.length * MANY_FOLLOWED &&
    !into.includes(begins) &&
    (first === undefined || filledBy(first, columns) >= FEWEST_FILLED);
  const holds = rows.every(([from, to]) =>
    cellsOf(lines.slice(from, to + 1), columns).every(
      (cell) => !isUnfinished(cell) && cell.lines.every((line, at) => line === at),
    ),
  );
  return (several || many) && holds ? rows : undefined;
};

/** Fewer rows tell nothing. */
const FEWEST_ROWS = 3;

/** Rows that stand no further from each other than the lines of a cell; undefined where they are not told. */
const touching = (lines: readonly Line[], columns: readonly Column[]): readonly Line[] | undefined => {
  const anchors = lines.flatMap(({ pieces }, at) => (pieces.length > 1 && pieces.some(isAmount) ? [at] : []));
  if (anchors.length < FEWEST_ROWS) return undefined;
  const least = leastGap([lines], columns);
  if (least === undefined) return undefined;
  const leading = least * (lines[anchors[0] ?? 0]?.pieces[0]?.size ?? 10);
  // Lines nearer to each other than that are of cells that are set to the middle of others.
  const [from = 0, to = 0] = [anchors[0], anchors.at(-1)];
  if (lines.slice(from, to).some(({ y }, at) => y - (lines[from + at + 1]?.y ?? 0) < leading * 0.9)) return undefined;
  const rows = fromTheTop(lines, columns, anchors, leading);
  if (rows?.some(([from, to]) => to > from) !== true) return undefined;
  const within = new Map(rows.flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, at) => [from + at, from] as const))); // prettier-ignore
  return lines.flatMap((line, at): Line[] => {
    const from = within.get(at);
    if (from === undefined) return [line];
    if (from !== at) return [];
    const own = lines.filter((_, other) => within.get(other) === from);
    return [own.length === 1 ? line : asOne(own, cellsOf(own, columns))];
  });
};

/** What stands above or below a row of figures goes to the one that it is nearest to. */
const nearest = (lines: readonly Line[], columns: readonly Column[]): readonly Line[] => {
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
    const own = [...more, line].sort((one, other) => other.y - one.y);
    return [{ ...asOne(own, cellsOf(own, columns)), y: line.y }];
  });
};

/** Columns that only lines without figures fill, in the gaps between the others. */
const withGaps = (pages: readonly (readonly Line[])[], columns: readonly Column[]): readonly Column[] => {
  const more: { from: number; to: number; count: number }[] = [];
  for (const lines of pages) {
    const dense = lines.flatMap((line, at) => (filledBy(line, columns) >= FEWEST_FILLED ? [at] : []));
    const [first = 0, last = -1] = [dense[0], dense.at(-1)];
    for (const { single } of lines.slice(first, last + 1))
      for (const piece of single) {
        if (columns.some((column) => overlap(piece, column) > -1)) continue;
        const known = more.find((column) => overlap(piece, column) > 0);
        if (known === undefined) more.push({ from: piece.from, to: piece.to, count: 1 });
        else
          [known.from, known.to, known.count] = [
            Math.min(known.from, piece.from),
            Math.max(known.to, piece.to),
            known.count + 1,
          ];
      }
  }
  const added = more.filter(({ count }) => count > 1);
  return added.length === 0
    ? columns
    : [...columns, ...added.map(({ from, to }) => ({ from, to }))].sort((a, b) => a.from - b.from);
};

/** The lines of all pages, those of one row put together, with the columns that they have then. */
export const wrapped = (
  pages: readonly (readonly Line[])[],
  columns: readonly Column[],
  parted: (line: Line, columns: readonly Column[]) => Line,
): { readonly columns: readonly Column[]; readonly lines: readonly Line[] } => {
  const all = withGaps(pages, columns);
  const wide = pages.map((lines) => lines.map((line) => parted(line, all)));
  const leading = leadingOf(wide, all);
  const rows = leading === undefined ? [] : wide.flatMap((lines) => banded(lines, all, leading) ?? []);
  // One page that tells against it does so for all.
  if (rows.length === pages.length && rows.some(({ high }) => high > 0))
    return { columns: all, lines: rows.flatMap(({ lines }) => lines) };
  const touched = wide.map((lines) => touching(lines, all));
  if (touched.some((one) => one !== undefined))
    return { columns: all, lines: touched.flatMap((one, at) => one ?? nearest(wide[at] ?? [], all)) };
  const plain = pages.map((lines) => lines.map((line) => parted(line, columns)));
  return { columns, lines: plain.flatMap((lines) => nearest(lines, columns)) };
};
