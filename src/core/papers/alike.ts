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

/** Counts of the rows that are alike, by whether they are read. */
type Counts = [set: number, read: number];

const countsIn = <K>(held: Map<K, Counts>, key: K): Counts => {
  const known = held.get(key);
  if (known !== undefined) return known;
  const made: Counts = [0, 0];
  held.set(key, made);
  return made;
};

/**
 * How many rows are like each, itself counted; for as many questions as are asked about one paper. A form that more than half of
 * the rows have is what rows of the paper look like, and tells none of them from the others.
 */
export const likenesses = (rows: readonly PaperRow[]): ((row: PaperRow) => Readonly<Record<Likeness, number>>) => {
  const all: Counts = [0, 0];
  const counts = { name: new Map<string, Counts>(), form: new Map<string, Counts>() };
  // Rows of one old account are many in a large paper: how it is called and formed is looked at once.
  const names = new Map<string, Counts>();
  const forms = new Map<string, Map<number, Counts>>();
  const alike: Readonly<Record<Likeness, (row: PaperRow) => Counts>> = {
    name: (row) => {
      const text = row.name === '' ? row.code : row.name;
      const known = names.get(text) ?? countsIn(counts.name, likenessKey(row, 'name'));
      names.set(text, known);
      return known;
    },
    form: (row) => {
      const own = forms.get(row.code) ?? new Map<number, Counts>();
      forms.set(row.code, own);
      const rest = row.indent * 4 + (row.amount === 0n ? 2 : 0) + (row.name === '' ? 1 : 0);
      const known = own.get(rest) ?? countsIn(counts.form, likenessKey(row, 'form'));
      own.set(rest, known);
      return known;
    },
  };
  for (const row of rows) {
    if (row.kind === 'blank') continue;
    const read = isRead(row) ? 1 : 0;
    for (const counted of [all, alike.name(row), alike.form(row)]) counted[read] += 1;
  }
  return (row) => {
    const read = isRead(row) ? 1 : 0;
    const form = alike.form(row)[read] || 1;
    return { name: alike.name(row)[read] || 1, form: form * 2 > all[read] ? 1 : form };
  };
};
