import { folded } from '../base/folded';
import type { Beside } from './list-beside';

/**
 * What a column is called but for its number, so that parts of one thing are called alike: "1st amount" and "2nd amount".
 */
export const withoutNumbers = (name: string): string =>
  folded(name).replace(/(?<!\d)\d{1,3}(?:st|nd|rd|th|er|eme|e|o|a)?(?![\p{L}\d])/gu, '#');

/** Groups of columns that are called alike, of two at least, from left to right. */
const alikeIn = (names: readonly string[], columns: readonly number[]): readonly (readonly number[])[] => {
  const groups = new Map<string, number[]>();
  for (const column of columns) {
    const name = withoutNumbers(names[column] ?? '');
    if (name.includes('#') && name !== '#') groups.set(name, [...(groups.get(name) ?? []), column]);
  }
  return [...groups.values()].filter((group) => group.length > 1);
};

/**
 * Parts of each document, each with its own amount and its own due day beside it: the first is what is open and its day, the others are
 * further parts. Gives the columns of the amounts behind the first.
 */
export const tellParts = ({ roles, names, contents, inCurrency }: Beside): ReadonlySet<number> => {
  const columns = names.map((_, column) => column);
  const is = (column: number, of: 'amounts' | 'dates'): boolean =>
    (contents[column]?.filled ?? 0) > 0 && (contents[column]?.[of] ?? 0) >= 0.6;
  const amounts = columns.filter((at) => is(at, 'amounts') && !is(at, 'dates') && roles[at] !== 'age' && !inCurrency.has(at)); // prettier-ignore
  const days = alikeIn(names, columns.filter((at) => is(at, 'dates'))); // prettier-ignore
  for (const parts of alikeIn(names, amounts)) {
    const due = days.find(
      (group) =>
        group.length === parts.length &&
        new Set(group.map((at, place) => at - (parts[place] ?? 0))).size === 1 &&
        Math.abs((group[0] ?? 0) - (parts[0] ?? 0)) === 1,
    );
    if (due === undefined) continue;
    roles.forEach((role, at) => {
      if (role === 'open' || role === 'due' || (role === 'original' && parts.includes(at))) roles[at] = undefined;
    });
    for (const [place, at] of parts.entries()) roles[at] = place === 0 ? 'open' : 'part';
    for (const [place, at] of due.entries()) roles[at] = place === 0 ? 'due' : 'partDue';
    return new Set(parts.slice(1));
  }
  return new Set();
};
