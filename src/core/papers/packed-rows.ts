import type { Classification } from '../ledger/classes';
import { minor } from '../money/minor';
import type { PaperRow } from './paper-row';

/** Texts of one column: all in one, with the length of each. */
interface Texts {
  readonly all: string;
  readonly lengths: Uint32Array;
}

/**
 * Rows of a paper by column, for the way from one thread to another: a million objects take seconds to be copied, a few long
 * texts and arrays of numbers take milliseconds.
 */
export interface PackedRows {
  readonly row: Uint32Array;
  readonly kind: Uint8Array;
  readonly indent: Uint32Array;
  readonly amount: BigInt64Array;
  readonly code: Texts;
  readonly name: Texts;
  readonly text: Texts;
  readonly note: Texts;
  readonly section: Texts;
  /** What few rows have, by the place of the row. */
  readonly columns: ReadonlyMap<number, NonNullable<PaperRow['columns']>>;
  readonly foreign: ReadonlyMap<number, NonNullable<PaperRow['foreign']>>;
}

const KINDS = [
  'account',
  'title',
  'header',
  'heading',
  'total',
  'blank',
  'unreadable',
] as const satisfies readonly PaperRow['kind'][];

const textsOf = (rows: readonly PaperRow[], of: (row: PaperRow) => string): Texts => {
  const lengths = new Uint32Array(rows.length);
  let all = '';
  rows.forEach((row, at) => {
    const text = of(row);
    lengths[at] = text.length;
    all += text;
  });
  return { all, lengths };
};

const few = <T>(rows: readonly PaperRow[], of: (row: PaperRow) => T | undefined): ReadonlyMap<number, T> => {
  const found = new Map<number, T>();
  rows.forEach((row, at) => {
    const value = of(row);
    if (value !== undefined) found.set(at, value);
  });
  return found;
};

/** `unpackRows(packRows(rows))` are the rows again. Amounts are within what a balance may be, so they fit 64 bits. */
export const packRows = (rows: readonly PaperRow[]): PackedRows => ({
  row: Uint32Array.from(rows, ({ row }) => row),
  kind: Uint8Array.from(rows, ({ kind }) => KINDS.indexOf(kind)),
  indent: Uint32Array.from(rows, ({ indent }) => indent),
  amount: BigInt64Array.from(rows, ({ amount }) => amount),
  code: textsOf(rows, ({ code }) => code),
  name: textsOf(rows, ({ name }) => name),
  text: textsOf(rows, ({ text }) => text),
  note: textsOf(rows, ({ note }) => note ?? ''),
  section: textsOf(rows, ({ section }) => section ?? ''),
  columns: few(rows, ({ columns }) => columns),
  foreign: few(rows, ({ foreign }) => foreign),
});

/** Reads one text after the other. */
const reader = ({ all, lengths }: Texts): ((at: number) => string) => {
  let from = 0;
  return (at) => {
    const to = from + (lengths[at] ?? 0);
    const text = to === from ? '' : all.slice(from, to);
    from = to;
    return text;
  };
};

export const unpackRows = (packed: PackedRows): readonly PaperRow[] => {
  const [code, name, text, note, section] = [packed.code, packed.name, packed.text, packed.note, packed.section].map(
    reader,
  );
  return Array.from(packed.row, (row, at): PaperRow => {
    const [ownNote, ownSection] = [note?.(at) ?? '', section?.(at) ?? ''];
    const [columns, foreign] = [packed.columns.get(at), packed.foreign.get(at)];
    return {
      row,
      kind: KINDS[packed.kind[at] ?? 0] ?? 'blank',
      code: code?.(at) ?? '',
      name: name?.(at) ?? '',
      amount: minor(packed.amount[at] ?? 0n),
      text: text?.(at) ?? '',
      indent: packed.indent[at] ?? 0,
      ...(ownNote === '' ? {} : { note: ownNote }),
      ...(ownSection === '' ? {} : { section: ownSection as Classification }),
      ...(columns === undefined ? {} : { columns }),
      ...(foreign === undefined ? {} : { foreign }),
    };
  });
};
