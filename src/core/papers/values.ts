import type { Row } from '../base/table';
import { textOf } from '../base/table';
import type { Side } from '../money/minor';
import type { NumberStyle } from '../money/number-style';
import { readCell } from './row-amount';
import type { PaperMoney } from './row-amount';
import { sideReader } from './sides';

/** One column's amounts in minor units, row by row: a paper may have a million rows, so they are no objects. */
export interface ParsedColumn {
  readonly amount: BigInt64Array;
  /** See `CELL`. */
  readonly state: Uint8Array;
  /** Rows whose amount was rounded to the currency's decimals. */
  readonly rounded: ReadonlySet<number>;
}

/** `words` is a cell that does not read and has no digit. */
export const CELL = { empty: 0, read: 1, sided: 2, bad: 3, words: 4 } as const;

/** What `Values.bad` says of a row. */
export const BAD = { figures: 1, words: 2 } as const;

export const parseColumn = (rows: readonly Row[], at: number, style: NumberStyle, money: PaperMoney): ParsedColumn => {
  const amount = new BigInt64Array(rows.length);
  const state = new Uint8Array(rows.length);
  const rounded = new Set<number>();
  rows.forEach((row, index) => {
    const cell = row[at] ?? '';
    if (cell === '' || textOf(cell) === '') return;
    const read = readCell(cell, { style }, money);
    if (read.bad !== undefined) {
      state[index] = typeof cell === 'string' && !/\d/.test(cell) ? CELL.words : CELL.bad;
      return;
    }
    amount[index] = read.amount;
    state[index] = read.sided ? CELL.sided : CELL.read;
    if (read.rounded) rounded.add(index);
  });
  return { amount, state, rounded };
};

/** How the amounts of a paper stand in its columns. */
export type Way =
  | { readonly kind: 'single'; readonly at: number }
  | { readonly kind: 'sided'; readonly at: number; readonly side: number }
  | { readonly kind: 'pair'; readonly debit: number; readonly credit: number; readonly signed: boolean };

/** The amounts of all rows under a way, in minor units. */
export interface Values {
  /** 1 where an amount cell is filled and reads. */
  readonly filled: Uint8Array;
  /** Where an amount cell is filled and does not read, what stands there; see `BAD`. */
  readonly bad: Uint8Array;
  /** Debit positive where the paper says the side; as written where it does not. */
  readonly raw: BigInt64Array;
  /** What stands in the debit and in the credit column, or on either side, as magnitudes. */
  readonly debit: BigInt64Array;
  readonly credit: BigInt64Array;
  /** 1 where the paper leaves open on which side the amount stands. */
  readonly open: Uint8Array;
  readonly rounded: (row: number) => boolean;
}

type Parse = (at: number) => ParsedColumn;

/** Where a column marks amounts of one side only ("CR"), those without a mark are of the other. */
const otherSide = (letters: readonly string[], read: (text: string) => Side | undefined): Side | undefined => {
  let [debits, credits] = [0, 0];
  for (const text of letters) {
    const side = text === '' ? undefined : read(text);
    if (side === 'debit') debits += 1;
    else if (side === 'credit') credits += 1;
  }
  if (debits > 1 && credits === 0) return 'credit';
  return credits > 1 && debits === 0 ? 'debit' : undefined;
};

const single = (rows: readonly Row[], parse: Parse, at: number, side: number | undefined): Values => {
  const column = parse(at);
  const size = rows.length;
  const [filled, bad, open] = [new Uint8Array(size), new Uint8Array(size), new Uint8Array(size)];
  const [raw, debit, credit] = [new BigInt64Array(size), new BigInt64Array(size), new BigInt64Array(size)];
  const letters = side === undefined ? [] : rows.map((row) => textOf(row[side]));
  const read = side === undefined ? undefined : sideReader(letters);
  const unsaid = read === undefined ? undefined : otherSide(letters, read);
  for (let at = 0; at < size; at += 1) {
    const state = column.state[at];
    if (state === CELL.empty || state === undefined) continue;
    if (state === CELL.bad || state === CELL.words) {
      bad[at] = state === CELL.bad ? BAD.figures : BAD.words;
      continue;
    }
    filled[at] = 1;
    let amount = column.amount[at] ?? 0n;
    if (state === CELL.read && amount !== 0n) {
      if (read === undefined) open[at] = 1;
      else {
        const found = read(letters[at] ?? '') ?? (letters[at] === '' ? unsaid : undefined);
        if (found === undefined) open[at] = 1;
        if (found === 'credit') amount = -amount;
      }
    }
    raw[at] = amount;
    if (amount > 0n) debit[at] = amount;
    else credit[at] = -amount;
  }
  return { filled, bad, raw, debit, credit, open, rounded: (row) => column.rounded.has(row) };
};

const pair = (rows: readonly Row[], parse: Parse, way: Extract<Way, { kind: 'pair' }>): Values => {
  const size = rows.length;
  const none = (): ParsedColumn => ({
    amount: new BigInt64Array(size),
    state: new Uint8Array(size),
    rounded: new Set(),
  });
  const left = way.debit < 0 ? none() : parse(way.debit);
  const right = way.credit < 0 ? none() : parse(way.credit);
  const [filled, bad, open] = [new Uint8Array(size), new Uint8Array(size), new Uint8Array(size)];
  const [raw, debit, credit] = [new BigInt64Array(size), new BigInt64Array(size), new BigInt64Array(size)];
  for (let at = 0; at < size; at += 1) {
    const [l, r] = [left.state[at] ?? 0, right.state[at] ?? 0];
    const words = l === CELL.words || r === CELL.words;
    if (words || l === CELL.bad || r === CELL.bad) {
      bad[at] = l === CELL.bad || r === CELL.bad ? BAD.figures : BAD.words;
      continue;
    }
    if (l === CELL.empty && r === CELL.empty) continue;
    filled[at] = 1;
    const own = left.amount[at] ?? 0n;
    const other = right.amount[at] ?? 0n;
    // A credit that names its side has its sign already; one with a minus of its own has it under that convention.
    const against = r === CELL.sided || way.signed ? -other : other;
    debit[at] = own;
    credit[at] = against;
    raw[at] = own - against;
  }
  return { filled, bad, raw, debit, credit, open, rounded: (row) => left.rounded.has(row) || right.rounded.has(row) };
};

export const valuesOf = (rows: readonly Row[], parse: Parse, way: Way): Values =>
  way.kind === 'pair'
    ? pair(rows, parse, way)
    : single(rows, parse, way.at, way.kind === 'sided' ? way.side : undefined);

/** Parses each column at most once. */
export const parserOf = (rows: readonly Row[], style: NumberStyle, money: PaperMoney): Parse => {
  const held = new Map<number, ParsedColumn>();
  return (at) => {
    const known = held.get(at);
    if (known !== undefined) return known;
    const parsed = parseColumn(rows, at, style, money);
    held.set(at, parsed);
    return parsed;
  };
};
