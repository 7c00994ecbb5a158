import { lineByType } from '../chart/type-words';
import { type Classification, normalSide } from '../ledger/classes';
import { type Row, textOf } from '../base/table';
import type { Side } from '../money/minor';
import { folded } from '../base/folded';
import type { Reading } from './reading';

/** What a column of types says of a row's account: its statement line, and on which side it stands. */
export interface SaidType {
  readonly classification: Classification;
  readonly side: Side;
}

/** Stands on the other side than its line: "Contra asset". */
const CONTRA = 'contra';

const typeOf = (text: string): SaidType | undefined => {
  const words = folded(text).split(' ');
  const contra = words.includes(CONTRA);
  const line = lineByType(words.filter((word) => word !== CONTRA).join(' '));
  return line === undefined
    ? undefined
    : { classification: line.classification, side: normalSide({ classification: line.classification, contra }) };
};

/** A column with more different words says something of each account, and no type. */
const MOST_TYPES = 40;
const LOOKED_AT = 400;
/** Of the filled cells of such a column so many read as a type; of the rows so many have one. */
const [READ, FILLED] = [0.8, 0.5] as const;

/**
 * What the column of types says of each row, where a paper has one ("Asset", "Liability", "Income"); undefined where it has none, or
 * all types stand on one side.
 */
export const accountTypes = (
  rows: readonly Row[],
  { header, columns }: Pick<Reading, 'header' | 'columns'>,
): readonly (SaidType | undefined)[] | undefined => {
  const body = rows.slice(header + 1, header + 1 + LOOKED_AT);
  for (const [column, role] of columns.entries()) {
    if (role !== 'ignore') continue;
    const texts = body.map((row) => textOf(row[column])).filter((text) => /\p{L}/u.test(text));
    const words = new Set(texts);
    if (texts.length < body.length * FILLED || words.size < 2 || words.size > MOST_TYPES) continue;
    const said = new Map([...words].map((word) => [word, typeOf(word)]));
    const read = texts.filter((text) => said.get(text) !== undefined).length;
    const sides = new Set([...said.values()].map((one) => one?.side));
    if (read >= texts.length * READ && sides.has('debit') && sides.has('credit'))
      return rows.map((row, at) => (at <= header ? undefined : said.get(textOf(row[column]))));
  }
  return undefined;
};
