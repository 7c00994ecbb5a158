import { folded } from '../../base/folded';

/** Where an article's prices are kept: one for each price level of the company, in the order of the levels; the first is the usual one. */
export const PRICE_FIELDS = [
  'price',
  'price2',
  'price3',
  'price4',
  'price5',
  'price6',
  'price7',
  'price8',
  'price9',
  'price10',
  'price11',
  'price12',
] as const;
export type PriceField = (typeof PRICE_FIELDS)[number];

const FIELDS: ReadonlySet<string> = new Set(PRICE_FIELDS);
export const isPrice = (column: string): column is PriceField => FIELDS.has(column);

export interface PriceLevel {
  readonly field: PriceField;
  /** What its column is called, on the sheet and in files. */
  readonly label: string;
}

const LABEL = 'Selling price';

/** The columns of prices of a company with such levels: one where none is named. */
export const priceLevels = (names: readonly string[]): readonly PriceLevel[] =>
  names.length === 0
    ? [{ field: 'price', label: LABEL }]
    : PRICE_FIELDS.slice(0, names.length).map((field, at) => ({ field, label: `${LABEL}, ${names[at] ?? ''}` }));

/** Whether words have others in them, as whole words. */
const hasWords = (words: string, others: string): boolean => others !== '' && ` ${words} `.includes(` ${others} `);

/**
 * The level of each column of prices of a list: the one whose name stands in the column's ("VK Shop" is of the level Shop; of several
 * the longest), and one of no name the usual one, where no other column is. Undefined where a column's level is not known here.
 */
export const levelsOfColumns = (
  columns: readonly string[],
  names: readonly string[],
): readonly (PriceField | undefined)[] => {
  const levels = priceLevels(names).map(({ field }, at) => ({ field, words: folded(names[at] ?? '') }));
  const taken = new Set<PriceField>();
  const found = columns.map((column) => {
    const words = folded(column);
    const level = levels
      .filter((one) => hasWords(words, one.words) && !taken.has(one.field))
      .sort((one, other) => other.words.length - one.words.length)[0];
    if (level !== undefined) taken.add(level.field);
    return level?.field;
  });
  // Of several without a level's name nobody can say which is the usual price.
  const unnamed = found.flatMap((field, at) => (field === undefined ? [at] : []));
  return found.map((field, at) =>
    field === undefined && unnamed.length === 1 && unnamed[0] === at && !taken.has('price') ? 'price' : field,
  );
};
