import { folded } from '../base/folded';
import type { PaperRow } from './paper-row';
import { shapeOf } from './skeleton';

/** In what rows of a paper are alike: what they are called, whatever the numbers in it are; or how they are formed. */
export const LIKENESSES = ['name', 'form'] as const;
export type Likeness = (typeof LIKENESSES)[number];

type Seen = Pick<PaperRow, 'code' | 'name' | 'amount' | 'indent'>;

const DIGIT = /\d/;

const withoutNumbers = (text: string): string => (DIGIT.test(text) ? text.replace(/\d+/g, '#') : text);

/**
 * Rows that give the same text here are alike.
 *
 * @example likenessKey({ code: '110', name: 'Cost centre 110', amount: 500n, indent: 2 }, 'form') // '000/2/amount/named'
 */
export const likenessKey = ({ code, name, amount, indent }: Seen, by: Likeness): string =>
  by === 'name'
    ? withoutNumbers(folded(name === '' ? code : name))
    : [shapeOf(code), indent, amount === 0n ? 'nil' : 'amount', name === '' ? 'unnamed' : 'named'].join('/');

/** Whether a row is read, as an account or in trouble, and not set aside as something else. */
const isRead = ({ kind }: Pick<PaperRow, 'kind'>): boolean => kind === 'account' || kind === 'unreadable';

/** The numbers of the rows like a row, itself among them: those that are read where it is, else those set aside. */
export const rowsLike = (rows: readonly PaperRow[], row: PaperRow, by: Likeness): readonly number[] => {
  const key = likenessKey(row, by);
  return rows.flatMap((one) =>
    one.kind !== 'blank' && isRead(one) === isRead(row) && likenessKey(one, by) === key ? [one.row] : [],
  );
};

/**
 * How many rows are like each, itself counted; for as many questions as are asked about one paper. A form that more than half of
 * the rows have is what rows of the paper look like, and tells none of them from the others.
 */
export const likenesses = (rows: readonly PaperRow[]): ((row: PaperRow) => Readonly<Record<Likeness, number>>) => {
  const counts = new Map<string, number>();
  const sides = new Map<boolean, number>();
  // Rows of one old account are many in a large paper: what they are called is looked at once.
  const names = new Map<string, string>();
  const nameOf = (row: PaperRow): string => {
    const text = row.name === '' ? row.code : row.name;
    const known = names.get(text) ?? likenessKey(row, 'name');
    names.set(text, known);
    return known;
  };
  const keyOf = (row: PaperRow, by: Likeness): string =>
    `${by}/${String(isRead(row))}/${by === 'name' ? nameOf(row) : likenessKey(row, by)}`;
  for (const row of rows) {
    if (row.kind === 'blank') continue;
    sides.set(isRead(row), (sides.get(isRead(row)) ?? 0) + 1);
    for (const by of LIKENESSES) {
      const key = keyOf(row, by);
      counts.set(key, (counts.get(key) ?? 0) + 1);
    }
  }
  return (row) => {
    const form = counts.get(keyOf(row, 'form')) ?? 1;
    return {
      name: counts.get(keyOf(row, 'name')) ?? 1,
      form: form * 2 > (sides.get(isRead(row)) ?? 0) ? 1 : form,
    };
  };
};
