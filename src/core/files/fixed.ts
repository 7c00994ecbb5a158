/**
 * Lists printed for paper, with columns told by their place in the line. Where the columns end is seen from the lines that hold
 * figures: a place that none of them fills parts two columns.
 */

import { folded } from '../base/folded';
import { monthOf } from '../words/months';
import { TOTAL } from '../words/paper-words';
import { linesIn } from './split';

/** Lines that are looked at for the columns. */
const LOOKED_AT = 3000;
/** A longer line is no line of a printed list. */
const MOST_LINE = 400;
const MOST_FIXED_COLUMNS = 40;

/** A figure as lists print it: grouped in threes, or in twos before the last three, with decimals, or both; a currency's sign, a sign or a side may stand beside it. */
const FIGURE =
  /(?:^|\s)[-+(]?\p{Sc}?[-+(]?(?:\d{1,3}(?:[.,'’ \u00a0\u202f]\d{3})+(?:[.,]\d{1,4})?|\d{1,2}(?:,\d{2})+,\d{3}(?:\.\d{1,4})?|\d+[.,]\d{1,4})\p{Sc}?[-)]?(?:[DCHS]|[DC][Rr])?(?=\s|$)/u;

const FIGURE_ALONE = /^[-+(]?\d[\d.,' \u00a0]*[-)]?$/;

/** Amounts that have to stand apart from the texts before them. */
const FEWEST_APART = 3;

/** Among so many lines of figures, one that hangs over its columns is no column's. */
const FEWEST_OF_MANY = 12;

const RULE = /^[\s\-=_*+|.]+$/;

export interface FixedColumn {
  /** First place, from nought, and the one after the last. */
  readonly from: number;
  readonly to: number;
  /** It holds figures, which are set to the right. */
  readonly figures: boolean;
}

type Span = Pick<FixedColumn, 'from' | 'to'>;

/** Tabs are eight places wide, as printers take them. */
const spread = (line: string): string => {
  if (!line.includes('\t')) return line;
  let out = '';
  for (const part of line.split('\t')) out = out === '' ? part : out.padEnd(Math.ceil((out.length + 1) / 8) * 8) + part;
  return out;
};

export const linesOf = (text: string): readonly string[] =>
  linesIn(text).map((line) => spread(line.replace(/\f/g, '')));

/** Whether many lines of figures hold wide gaps, which cells of delimited text do not. */
export const looksFixed = (text: string): boolean => {
  const raw = linesIn(text);
  if (raw.filter((line) => line.includes('\t')).length * 2 > raw.length) return false;
  const figures = linesOf(text)
    .slice(0, LOOKED_AT)
    .filter((line) => line.length <= MOST_LINE && FIGURE.test(line));
  // A line that holds figures alone, under the name that they belong to, begins far in.
  const gaps = figures.filter(
    (line) => /\S {3,}\S|^ {12,}\S/.test(line) && !/[;|\t]/.test(line.replace(/^\||\|$/g, '')),
  );
  return figures.length >= 3 && gaps.length >= figures.length * 0.6;
};

/** A sum is labelled across the columns that it has nothing in ("Total 12001"): only its figures tell of columns. */
const withoutLabel = (line: string): string =>
  TOTAL.in(folded(line)) === undefined
    ? line
    : line.replace(/^.*\p{L}\S*(?: \S+(?=\s{2}))?/u, (label) => ' '.repeat(label.length));

/** A line that begins with a day, as entries and documents do. */
const DAY_FIRST =
  /^ {0,8}(?:\d{1,2}[./-]\d{1,2}(?:[./-]\d{2,4})?|\d{4}-\d{2}-\d{2}|\d{1,2}[ -]\p{L}{3,9}(?:[ -]\d{2,4})?)\.?(?= )/u;
const FEWEST_DAYS = 3;

/**
 * What tells where columns end: where most lines begin with a day, the others, which are balances, sums and titles, go across columns,
 * and only their figures tell; a title with a label before its figure ("Limit: 5,000") tells nothing.
 */
const telling = (figures: readonly string[]): readonly string[] => {
  const dated = figures.filter((line) => DAY_FIRST.test(line)).length;
  if (dated < FEWEST_DAYS || dated * 2 < figures.length) return figures;
  return figures.flatMap((line) => (DAY_FIRST.test(line) ? line : /:\s/.test(line) ? [] : onlyFigures(line)));
};

/** A line with blanks in the place of everything but its figures. */
const onlyFigures = (line: string): string => {
  let kept = '';
  for (;;) {
    const found = FIGURE.exec(line.slice(kept.length));
    if (found === null) return kept;
    kept += ' '.repeat(found.index) + found[0];
  }
};

/** A rule in pieces, one for each column, as some lists have it under their header. */
const PIECES = /^ *[-=_]{2,}(?: +[-=_]{2,}){2,} *$/;

/** The places between the pieces of the rule that has the most of them. */
const betweenPieces = (lines: readonly string[]): ReadonlySet<number> => {
  const count = (line: string): number => line.trim().split(/ +/).length;
  const rules = lines.slice(0, LOOKED_AT).filter((line) => line.length <= MOST_LINE && PIECES.test(line));
  const rule = rules.reduce((most, line) => (count(line) > count(most) ? line : most), '').trimEnd();
  const first = rule.search(/\S/);
  return new Set([...rule.matchAll(/ /g)].flatMap(({ index }) => (index > first ? [index] : [])));
};

/** The columns of a printed list. */
export const fixedColumns = (lines: readonly string[]): readonly FixedColumn[] => {
  const figures = telling(
    lines.slice(0, LOOKED_AT).filter((line) => line.length <= MOST_LINE && FIGURE.test(line) && !RULE.test(line)),
  );
  const width = figures.reduce((widest, line) => Math.max(widest, line.length), 0);
  const filled = new Uint32Array(width);
  for (const line of figures.map(withoutLabel))
    for (let at = 0; at < line.length; at += 1)
      if (line[at] !== ' ' && line[at] !== '\u00a0') filled[at] = (filled[at] ?? 0) + 1;
  // A line or two may hang over: a title with a figure in it, a name that is too long.
  const few = Math.max(figures.length >= FEWEST_OF_MANY ? 1 : 0, Math.floor(figures.length * 0.02));
  // Between the pieces of a rule only what is too wide for its column stands: a sum, a long name.
  const between = betweenPieces(lines);
  const tooWide = Math.max(few, Math.ceil(figures.length / 4));
  const ranges: { from: number; to: number }[] = [];
  for (let at = 0; at < width; at += 1) {
    if ((filled[at] ?? 0) <= (between.has(at) ? tooWide : few)) continue;
    const last = ranges.at(-1);
    if (last !== undefined && last.to === at) last.to = at + 1;
    else ranges.push({ from: at, to: at + 1 });
  }
  const numeric = ({ from, to }: Span): boolean => {
    const cells = figures
      .map((line) => line.slice(from, to).trim())
      .filter((cell) => cell !== '' && !/^[-–—]+$/.test(cell));
    return cells.filter((cell) => /\d/.test(cell) && !/\p{L}{3}/u.test(cell)).length > cells.length * 0.8;
  };
  /** "31 Mar": the day in front of a month is no code. */
  const months = ({ from, to }: Span): boolean => {
    const words = figures.map((line) => folded(line.slice(from, to))).filter((word) => word !== '');
    return words.length > 0 && words.filter((word) => monthOf(word) !== undefined).length > words.length * 0.8;
  };
  /** What a few lines only have there is, on each, the end of a text that begins in the column before. */
  const isOverhang = (last: Span, range: Span): boolean => {
    const own = figures.filter((line) => line.slice(range.from, range.to).trim() !== '');
    return (
      own.length * 4 < figures.length &&
      own.every(
        (line) =>
          /\p{L}/u.test(line.slice(last.from, last.to)) && !/\s{2}/.test(line.slice(last.to - 1, range.from + 1)),
      )
    );
  };
  /** Amounts that stand two blanks or more behind the text before them are a column of their own, however near the longest text comes. */
  const isApart = (range: Span): boolean => {
    const own = figures.filter((line) => line.slice(range.from, range.to).trim() !== '');
    const apart = own.filter((line) => FIGURE.test(` ${line.slice(range.from, range.to)} `) && /\s{2}$/.test(line.slice(0, range.from + line.slice(range.from).search(/\S/)))); // prettier-ignore
    return own.length >= FEWEST_APART && apart.length === own.length;
  };
  const joined: Span[] = [];
  for (const range of ranges) {
    const last = joined.at(-1);
    // One blank place between two words of names is no gap, nor is one within a figure grouped by spaces.
    const near = last !== undefined && range.from - last.to <= 1;
    if (
      last !== undefined &&
      ((near &&
        (months(range) ||
          ((numeric(last) === numeric(range) || (!numeric(last) && !isApart(range))) &&
            !isFirstCode(joined.length, last, numeric)))) ||
        (!numeric(last) && isOverhang(last, range)))
    )
      joined[joined.length - 1] = { from: last.from, to: range.to };
    else joined.push(range);
  }
  const columns = joined.map((column) => ({ ...column, figures: numeric(column) }));
  const first = columns[0];
  // Names on lines of their own stand before the first column of figures.
  const names =
    first !== undefined &&
    first.figures &&
    first.from > 0 &&
    lines.filter((line) => line.length <= MOST_LINE && !FIGURE.test(line) && /^ {0,8}[\p{L}\p{N}]/u.test(line)).length *
      2 >
      figures.length
      ? [{ from: 0, to: first.from, figures: false }]
      : [];
  return columns.length > MOST_FIXED_COLUMNS ? [] : [...names, ...columns];
};

/** Codes stand first, with a single blank before the names. */
const isFirstCode = (count: number, last: Span, numeric: (column: Span) => boolean): boolean =>
  count === 1 && last.to - last.from >= 2 && numeric(last);

/** A figure; or digits alone, or a mark for nil, that end where a column of figures does. */
const holdsFigures = (line: string, columns: readonly FixedColumn[]): boolean =>
  FIGURE.test(line) ||
  columns.some(
    ({ figures, to }, at) =>
      figures && at > 0 && /\s{2}(?:\d+|[-–—])$/.test(line.slice(0, to)) && !/\S/.test(line[to] ?? ''),
  );

/** A line's texts, each with the blanks before it. */
const parted = (line: string, blanks: RegExp): readonly { readonly from: number; readonly text: string }[] => {
  const starts = [0, ...[...line.matchAll(blanks)].map(({ index }) => index + 1)];
  return starts.map((from, at) => ({ from, text: line.slice(from, starts[at + 1] ?? line.length) }));
};

/** A word belongs to the column in which it begins, unless most of it by far stands in the next. */
const FEWEST_OF_WORD = 1 / 3;

/**
 * A line without figures: its texts, parted by two blanks or more, stay whole where they can. A text that begins where names stand
 * is a name, however long. Headers stand over several columns of figures, and a single blank may part two of them.
 */
const cutWords = (line: string, columns: readonly FixedColumn[]): string[] => {
  const ends = columns.map(({ to }, at) => (at === columns.length - 1 ? Infinity : to));
  const columnOf = (from: number, text: string): number => {
    const start = from + text.search(/\S|$/);
    const own = ends.findIndex((end) => end > start);
    const inside = (ends[own] ?? 0) - start;
    return columns[own]?.figures === true && inside < text.trim().length * FEWEST_OF_WORD ? own + 1 : own;
  };
  const texts = parted(line, /\S(?= {2,}\S)/g);
  const over = new Set(texts.map(({ from, text }) => columnOf(from, text)));
  // Lines with numbers and days of their own are titles.
  const isHeader =
    !/\d{5}|\d[:./-]\d|\d{4} \d{4}/.test(line) &&
    [...over].filter((column) => column > 0 && columns[column]?.figures === true).length > 1;
  const cells = columns.map(() => '');
  let last = 0;
  for (const whole of texts)
    for (const { from, text } of isHeader ? parted(whole.text, /\S(?= \S)/g) : [{ from: 0, text: whole.text }]) {
      // Whatever is said of single words, their order stays.
      last = Math.max(last, columnOf(whole.from + from, text));
      cells[last] = `${cells[last] ?? ''}${text}`;
    }
  return cells;
};

/** "Account: B004 Brine Ltd   Limit: 5,000": what is said of whoever follows, in labels of its own. */
const isLabelled = (line: string): boolean => line.split(/\p{L}: {1,9}(?=\S)/u).length > 2 && /\S {2}/.test(line);

/**
 * A line taken apart, never within a word. What stands between two columns belongs to the right one where that holds figures,
 * which are set to the right, as their titles are; a text that reaches over the end of its column stays whole.
 */
export const cutLine = (line: string, columns: readonly FixedColumn[]): string[] => {
  if (columns.length === 0) return [];
  // A title is one text, wherever the columns end.
  if (!/\S {2,}\S/.test(line) && !/\d$/.test(line)) {
    const start = line.search(/\S/);
    const own = columns.findIndex(({ to }) => to > start);
    return columns.map((_, at) => (at === Math.max(0, own) ? line : ''));
  }
  if ((!holdsFigures(line, columns) && !RULE.test(line)) || isLabelled(line)) return cutWords(line, columns);
  const cells: string[] = [];
  let from = 0;
  columns.forEach((_, at) => {
    const next = columns[at + 1];
    let to = next === undefined ? line.length : (columns[at]?.to ?? 0);
    if (next !== undefined && columns[at]?.figures === false) {
      // A name that is longer than those of all figures goes on until two blanks or a figure end it.
      while (
        to > from &&
        to < line.length &&
        to < next.to &&
        /\S ?$/.test(line.slice(from, to)) &&
        /^ ?\S/.test(line.slice(to, to + 2)) &&
        !(line[to] === ' ' && FIGURE_ALONE.test(line.slice(to, next.to).trim()))
      )
        to += 1;
    } else if (next !== undefined) {
      // A word that begins in this column and ends in the next belongs to whichever holds more of it.
      while (to > from && to < line.length && line[to - 1] !== ' ' && line[to] !== ' ' && to < next.to) to += 1;
    }
    cells.push(line.slice(from, Math.max(from, to)));
    from = Math.max(from, to);
  });
  return cells;
};
