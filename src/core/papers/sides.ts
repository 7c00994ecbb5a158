import type { Side } from '../money/minor';
import { folded } from '../base/folded';
import { CREDIT, DEBIT } from '../words/paper-words';

/**
 * Letters for debit and credit as columns beside amounts have them. A letter alone says little ("D" is debit in most lists and
 * credit, dal, in Czech ones), so the pair decides.
 */
const PAIRS: readonly (readonly [debit: string, credit: string])[] = [
  ['d', 'c'],
  ['d', 'k'],
  ['d', 'h'],
  ['d', 'a'],
  ['s', 'h'],
  ['t', 'k'],
  ['b', 'a'],
  ['v', 'd'],
  ['md', 'd'],
  ['md', 'dal'],
  ['wn', 'ma'],
  ['db', 'cr'],
  ['db', 'kr'],
  ['dt', 'kt'],
  ['дт', 'кт'],
  ['д', 'к'],
  ['д', 'п'],
  ['χ', 'π'],
  ['借', '貸'],
  ['借', '贷'],
  ['차', '대'],
  ['a', 'p'],
  ['n', 'm'],
  ['+', '-'],
];

const LETTERS: ReadonlySet<string> = new Set(PAIRS.flat());

/** What a cell of a side column says: its word, or the sign that stands there alone. */
export const sideWord = (text: string): string => {
  const own = text.trim();
  return own === '+' ? '+' : /^[-\u2212\u2013]$/.test(own) ? '-' : folded(own);
};

/** The debit and the credit letter among the short texts (folded) of a column, where they are such. */
export const pairOfSides = (texts: readonly string[]): readonly [debit: string, credit: string] | undefined => {
  const own = texts.filter((text) => text !== '');
  if (own.length === 0 || own.some((text) => text.length > 12)) return undefined;
  const worded = own.map((text): Side | undefined =>
    DEBIT.is(text) ? 'debit' : CREDIT.is(text) ? 'credit' : undefined,
  );
  if (own.length <= 2 && worded.every((side) => side !== undefined) && new Set(worded).size === own.length)
    return [own[worded.indexOf('debit')] ?? '', own[worded.indexOf('credit')] ?? ''];
  if (own.length === 2) return PAIRS.find((pair) => own.every((text) => pair.includes(text)));
  // A dash alone is a nil as well as a minus.
  return own.length === 1 && own[0] !== '-' ? PAIRS.find((pair) => pair.includes(own[0] ?? '')) : undefined;
};

/**
 * The debit and credit letters that most of a column's texts are (folded, with how often each stands there); others may be its
 * title again, or a remark.
 */
export const sidesAmong = (
  counts: ReadonlyMap<string, number>,
  filled: number,
  share: number,
): readonly [debit: string, credit: string] | undefined => {
  const most = [...counts]
    // What every page prints beside them is neither.
    .filter(([word]) => LETTERS.has(word) || DEBIT.is(word) || CREDIT.is(word))
    .sort(([, a], [, b]) => b - a)
    .slice(0, 2);
  if (most.reduce((all, [, count]) => all + count, 0) < filled * share) return undefined;
  return pairOfSides(most.filter(([, count]) => count * 20 > filled).map(([word]) => word));
};

/** A longer text is no letter for a side. */
const MOST_LETTERS = 12;

/** Reads the letters of a side column: by the pair that they are, else by the words themselves. */
export const sideReader = (texts: readonly string[]): ((text: string) => Side | undefined) => {
  const counts = new Map<string, number>();
  let filled = 0;
  for (const text of texts) {
    if (text === '' || text.length > MOST_LETTERS) continue;
    const word = sideWord(text);
    filled += 1;
    counts.set(word, (counts.get(word) ?? 0) + 1);
  }
  const pair = sidesAmong(counts, filled, 0.5);
  return (text) => {
    const word = text.length > MOST_LETTERS ? '' : sideWord(text);
    if (word === '') return undefined;
    if (pair !== undefined) return word === pair[0] ? 'debit' : word === pair[1] ? 'credit' : undefined;
    return DEBIT.is(word) || word === 'd' || word === 's'
      ? 'debit'
      : CREDIT.is(word) || word === 'c' || word === 'h' || word === 'k'
        ? 'credit'
        : undefined;
  };
};
