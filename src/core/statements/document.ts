import type { IsoDate } from '../base/iso-date';
import { type Sentence, type Writing, tell } from '../base/sentence';
import type { OutCell, OutRow } from '../files/write';
import { totalsOf } from '../ledger/level';
import { formatMinor } from '../money/format';
import { type Minor, abs } from '../money/minor';
import type { NumberStyle } from '../money/number-style';

/**
 * A value in a document. An amount has the decimals of its currency and stands on the statement's own side: one on the other side is
 * less than nil, and is written in brackets where people read it.
 */
export type Value =
  | string
  | { readonly amount: Minor; readonly digits: number }
  | { readonly date: IsoDate }
  | { readonly number: string }
  | null;

export interface Column {
  readonly label: string;
  /** Text takes the room that is left, and is set in as deep as its line stands; codes and dates are as wide as they are. */
  readonly kind: 'code' | 'text' | 'date' | 'figure';
}

/** A heading stands with the line after it; a sum has a rule above it, the last one a double rule below. */
export interface Line {
  readonly kind: 'heading' | 'line' | 'sum' | 'total';
  readonly depth: number;
  readonly values: readonly Value[];
  /** The account that the line is of, for a way to it on the screen. */
  readonly account?: number;
}

/** A part of a document under a head of its own, or without one. */
export interface Section {
  readonly title: string | null;
  /** What else is said beside the title. */
  readonly about?: Sentence;
  readonly lines: readonly Line[];
}

/**
 * What is printed, shown and written to files: the same for each. `standing` says whether it may change still: a draft says so wherever
 * it is shown; null where that means nothing.
 */
export interface Document {
  readonly title: string;
  readonly about: Sentence;
  readonly standing: { readonly draft: true } | { readonly draft: false; readonly says: Sentence } | null;
  readonly columns: readonly Column[];
  readonly sections: readonly Section[];
  readonly notes: readonly Sentence[];
}

export const DRAFT = 'Draft, not posted';

/** What a document says of how it stands; null where that means nothing. */
export const saidOfStanding = ({ standing }: Pick<Document, 'standing'>, writing: Writing): string | null =>
  standing === null ? null : standing.draft ? DRAFT : tell(standing.says, writing);

const outCell = (value: Value): OutCell => {
  if (value === null || typeof value === 'string') return value;
  if ('amount' in value) return value;
  return 'date' in value ? value.date : value.number;
};

/**
 * A document as rows for a plain file: the columns' names first, then its lines but for headings, each with the part that it is in where
 * there are several. Dates as `YYYY-MM-DD`, amounts with a minus and never in brackets. A draft says so in its last row.
 *
 * @example plainRows({ title: 'Rates', about: [], standing: null, notes: [], columns: [{ label: 'Day', kind: 'date' }], sections: [{ title: null, lines: [{ kind: 'line', depth: 0, values: [{ date: '2026-07-31' }] }] }] })
 * // [['Day'], ['2026-07-31']]
 */
export const plainRows = ({ columns, sections, standing }: Document): readonly OutRow[] => {
  const parted = sections.some(({ title }) => title !== null);
  const line = (title: string | null, values: readonly Value[]): OutRow => [
    ...(parted ? [title ?? ''] : []),
    ...columns.map((_, at) => outCell(values[at] ?? null)),
  ];
  return [
    [...(parted ? ['Part'] : []), ...columns.map(({ label }) => label)],
    ...sections.flatMap(({ title, lines }) => {
      let part = title;
      return lines.flatMap(({ kind, depth, values }): readonly OutRow[] => {
        if (kind === 'heading') {
          const words = values[textColumn(columns)];
          if (depth === 0 && typeof words === 'string') part = words;
          return [];
        }
        return [line(kind === 'line' || depth > 0 ? part : title, values)];
      });
    }),
    ...(standing?.draft === true ? [columns.map((_, at) => (at === textColumn(columns) ? DRAFT : null))] : []),
  ];
};

/**
 * A value as people read it: an amount on the other side than its statement's stands in brackets, which a page lets hang outside the
 * figures.
 *
 * @example written({ amount: minor(-123450n), digits: 2 }, '1.234,56', PLAIN_WRITING) // '(1.234,50)'
 */
export const written = (value: Value, style: NumberStyle, writing: Writing): string => {
  if (value === null || typeof value === 'string') return value ?? '';
  if ('date' in value) return writing.date(value.date);
  if ('number' in value) return writing.number(value.number);
  const text = formatMinor(abs(value.amount), value.digits, style);
  return value.amount < 0n ? `(${text})` : text;
};

/** An amount by its side, debit before credit; nil stands on neither. */
export const sides = (amount: Minor, digits: number): readonly [debit: Value, credit: Value] => [
  amount > 0n ? { amount, digits } : null,
  amount < 0n ? { amount: abs(amount), digits } : null,
];

/** Totals of amounts by their sides. */
export const totalSides = (amounts: Iterable<Minor>, digits: number): readonly [debits: Value, credits: Value] => {
  const { debits, credits } = totalsOf(amounts);
  return [
    { amount: debits, digits },
    { amount: credits, digits },
  ];
};

/** The column of text, in which a line's depth is shown and a heading stands. */
export const textColumn = (columns: readonly Column[]): number =>
  Math.max(
    0,
    columns.findIndex(({ kind }) => kind === 'text'),
  );

/** A heading: nothing but its words, in the column of text. */
export const heading = (columns: readonly Column[], words: string, depth = 0, code = ''): Line => {
  const at = textColumn(columns);
  return {
    kind: 'heading',
    depth,
    values: columns.map(({ kind }, place) => (place === at ? words : kind === 'code' && place < at ? code : null)),
  };
};
