import { type Classification, normalSide } from '../chart/classes';
import { lineByName, lineByWord } from '../chart/infer';
import type { Side } from '../money/minor';
import { folded } from '../files/cells';

/** The normal side of an old account, where somebody knows it. */
export type Hint = (row: { readonly code: string; readonly name: string }) => Side | undefined;

const CONTRA =
  /\b(accum\w*|provision|allowance|bad debts?|drawings?|returns?|discounts? (given|allowed)|korektur|opravky|wertberichtigung|amortissements?)\b/;
const opposite = (side: Side): Side => (side === 'debit' ? 'credit' : 'debit');

/** The side on which an account normally stands, by its section in the paper and the words of its name. */
export const sideByWords = (name: string, section: Classification | undefined): Side | undefined => {
  const contra = CONTRA.test(folded(name));
  const line = section ?? lineByName(name)?.classification;
  if (line === undefined) return undefined;
  const side = normalSide({ classification: line, contra: false });
  return contra && !/\bexpense|charge\b/.test(folded(name)) && line !== 'operating-expense' ? opposite(side) : side;
};

/** A longer text is a remark and heads nothing. */
const MOST_HEADING = 120;

/** The statement line that a heading of a paper stands for, if its words name one. */
export const sectionOf = (text: string): Classification | undefined => {
  const words = text.length > MOST_HEADING ? '' : text.replace(/^[\d.\s]+/, '');
  return /\p{L}{2}/u.test(words) ? lineByWord(words)?.classification : undefined;
};
