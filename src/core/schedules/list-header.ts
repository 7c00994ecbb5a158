import { type Row, textOf } from '../base/table';
import { headerTexts } from '../papers/header';
import { isDay } from './list-days';

/** Where the names of a list's columns stand: `at` is the (lower) row. */
export interface ListHeader {
  readonly at: number;
  readonly height: 1 | 2;
}

/** How well a text names a column: nought where it names none, 3 where it is exactly that. */
export type Naming = (text: string) => number;

/** So many rows below a header are of the list, where no word in it is known. */
const ROWS_BELOW = 2;
/** A header stands within so many rows from the top. */
export const MOST_HEADER = 120;

/** A row with days or figures of its own is no header, nor a part of one. */
const hasFigures = (row: Row | undefined): boolean =>
  (row ?? []).map(textOf).some((text) => isDay(text) || /^[-(]?[\d\s.,'’]+[.,]\d{2}\)?-?$/.test(text));

/** So many words for columns make a row the names of columns, though a day among them is the name of one: "31/07/2026". */
const NAMES_ENOUGH = 3;
const isOfNames = (row: Row | undefined, naming: Naming): boolean => {
  const texts = (row ?? []).map(textOf).filter((text) => text !== '');
  const days = texts.filter(isDay).length;
  const rest = texts.filter((text) => !isDay(text));
  return (
    days > 0 &&
    days <= 2 &&
    !rest.some((text) => /^[-(]?[\d\s.,'’]+\)?-?$/.test(text)) &&
    rest.filter((text) => naming(text) >= 2).length >= NAMES_ENOUGH
  );
};

/**
 * The row above the first rows of the list, where it has no figures itself and about as many cells: the names of columns, in whatever
 * language.
 */
export const headerAbove = (
  rows: readonly Row[],
  isListed: (row: Row | undefined) => boolean,
): ListHeader | undefined => {
  const filled = (row: Row | undefined): number => (row ?? []).filter((cell) => textOf(cell) !== '').length;
  const at = rows
    .slice(0, MOST_HEADER)
    .findIndex(
      (row, place) =>
        filled(row) >= 3 &&
        !hasFigures(row) &&
        rows.slice(place + 1, place + 1 + ROWS_BELOW).filter(isListed).length === ROWS_BELOW &&
        filled(row) >= filled(rows[place + 1]) - 1,
    );
  return at < 0 ? undefined : { at, height: 1 };
};

/** Whether a row may be the upper one of a header: a line of the title has a number or a day of its own. */
const isUpper = (row: Row | undefined): boolean =>
  !hasFigures(row) && !(row ?? []).some((cell) => textOf(cell).replace(/\D/g, '').length >= 6);

/** How much a row looks like the names of columns. */
const headerScore = (texts: readonly string[], naming: Naming): number => {
  const filled = texts.filter((text) => text !== '');
  if (filled.length < 2) return 0;
  const scores = filled.map(naming);
  const known = scores.filter((score) => score >= 1.4).length;
  return known < 2 ? 0 : scores.reduce((sum, score) => sum + score, 0) - (filled.length - known) * 0.8;
};

/** Names of columns, of a header two rows high too: where the lower one says more by itself, what stands over it is left. */
export const namesOf = (
  rows: readonly Row[],
  { at, height }: ListHeader,
  width: number,
  naming: Naming,
): readonly string[] =>
  headerTexts(rows, at, height, width).map((name, column) => {
    const own = textOf(rows[at]?.[column]);
    return own !== '' && naming(own) >= naming(name) ? own : name;
  });

/** So much of a row that another one has in the same columns makes it that one again. */
const ALIKE = 0.6;
const isAgain = (row: Row | undefined, before: Row | undefined): boolean => {
  // The same one two rows high says more.
  if (row === before) return false;
  const filled = (before ?? []).filter((cell) => textOf(cell) !== '').length;
  const same = (before ?? []).filter((cell, at) => textOf(cell) !== '' && textOf(cell) === textOf(row?.[at])).length;
  return same >= 3 && same >= filled * ALIKE;
};

/** The row, or two, that names the most columns; undefined where none names two. The first of several that are alike. */
export const findHeader = (rows: readonly Row[], width: number, naming: Naming): ListHeader | undefined => {
  let top: (ListHeader & { readonly score: number }) | undefined;
  for (let at = 0; at < Math.min(MOST_HEADER, rows.length); at += 1)
    for (const height of [1, 2] as const) {
      if (height === 2 && (at === 0 || (rows[at - 1] ?? []).filter((cell) => textOf(cell) !== '').length < 2)) continue;
      const own = (rows[at] ?? []).filter((cell) => textOf(cell) !== '');
      const figures = hasFigures(rows[at]) && !isOfNames(rows[at], naming);
      if (own.length < 2 || figures || (height === 2 && !isUpper(rows[at - 1]))) continue;
      const score = headerScore(namesOf(rows, { at, height }, width, naming), naming) - (height === 2 ? 1.5 : 0);
      if (score > 0 && (top === undefined || (score > top.score + 0.001 && !isAgain(rows[at], rows[top.at]))))
        top = { at, height, score };
    }
  return top;
};
