import type { Classification } from '../ledger/classes';
import { lineByWord } from '../chart/type-words';
import type { Side } from '../money/minor';

/** The normal side of an old account, where somebody knows it. */
export type Hint = (row: { readonly code: string; readonly name: string }) => Side | undefined;

/** A longer text is a remark and heads nothing. */
const MOST_HEADING = 120;

/** The statement line that a heading of a paper stands for, if its words name one. */
export const sectionOf = (text: string): Classification | undefined => {
  const words = text.length > MOST_HEADING ? '' : text.replace(/^[\d.\s]+/, '');
  return /\p{L}{2}/u.test(words) ? lineByWord(words)?.classification : undefined;
};
