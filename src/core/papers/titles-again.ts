import { type Row, type Table, textOf } from '../base/table';
import { headerOf } from './header';
import { lookOf } from './survey';

/** The texts of a row behind its first one, each with its column. */
const behindFirst = (row: Row): ReadonlyMap<number, string> => {
  const filled = row.flatMap((cell, at) => (textOf(cell) === '' ? [] : [[at, textOf(cell)] as const]));
  return new Map(filled.slice(1));
};

const isTitle = (text: string): boolean => /\p{L}|^(?:19|20)\d\d$|\d[./-]\d{1,2}[./-]\d/u.test(text);

/**
 * A table in which the titles of its columns stand again with another one before them, as where the second part of a balance begins
 * ("Liabilities · 2025 · 2024" below "Assets · 2025 · 2024"): of such a row the first text is left, which is a heading.
 */
export const withoutTitlesAgain = (table: Table): Table => {
  const { rows } = table;
  // Where no word in them is known, they stand above the first amount.
  const { at: found } = headerOf(rows);
  const at = found >= 0 ? found : rows.findIndex((row) => row.some((cell) => lookOf(cell) === 'amount')) - 1;
  const titles = behindFirst(rows[at] ?? []);
  if (titles.size === 0 || ![...titles.values()].every(isTitle)) return table;
  const [[column, title] = [-1, '']] = titles;
  const first = (row: Row | undefined): string => textOf(row?.find((cell) => textOf(cell) !== ''));
  const isAgain = (row: Row, place: number): boolean => {
    // The whole header again is that of another page.
    if (place <= at || textOf(row[column]) !== title || first(row) === first(rows[at])) return false;
    const own = behindFirst(row);
    return own.size === titles.size && [...titles].every(([one, text]) => own.get(one) === text);
  };
  if (!rows.some(isAgain)) return table;
  return {
    ...table,
    rows: rows.map((row, place) => (isAgain(row, place) ? row.map((cell, one) => (titles.has(one) ? '' : cell)) : row)),
  };
};
