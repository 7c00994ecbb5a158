import { epochDay } from '../base/dates';
import { folded } from '../base/folded';
import { type Cell, type Row, type Table, textOf } from '../base/table';
import { isCurrency } from '../money/currency';
import type { Side } from '../money/minor';
import { NUMBER_STYLES, type NumberStyle } from '../money/number-style';
import { type PaperAmount, readPaperAmount, unitsOf } from '../money/paper-amount';
import type { DayOrder } from '../papers/dates';
import { headerTexts } from '../papers/header';
import { pairOfSides, sideReader } from '../papers/sides';
import { totalWords } from '../papers/total-words';
import { MONEY, type Role, best, contentOf, rolesOf } from './list-columns';
import { DATE_LIKE, dayOf, isDay } from './list-days';

/** A list with its columns found. */
export interface ListTable {
  readonly rows: readonly Row[];
  /** Place of the header's (last) row; what is above it are titles. */
  readonly header: number;
  readonly height: 1 | 2;
  readonly titles: readonly string[];
  readonly roles: readonly (Role | undefined)[];
  readonly style: NumberStyle;
  readonly order: DayOrder;
  /** On which side an amount stands, by the word in its column of sides. */
  readonly sideOf: (text: string) => Side | undefined;
  /** Whether the days themselves say which of day and month is first. */
  readonly ordered: boolean;
}

/** A header stands within so many rows from the top, and is judged by so many below it. */
const MOST_HEADER = 120;
const SAMPLE = 400;
/** Decimals in which amounts are compared before their currency is known. */
const FINEST = 4;

/** How much a row looks like the names of columns. */
const headerScore = (texts: readonly string[]): number => {
  const filled = texts.filter((text) => text !== '');
  if (filled.length < 2) return 0;
  // A row with days or figures of its own is no header.
  if (filled.filter((text) => isDay(text) || /^[-(]?[\d\s.,'’]+[.,]\d{2}\)?$/.test(text)).length > 0) return 0;
  const scores = filled.map(best);
  const known = scores.filter((score) => score >= 1.4).length;
  return known < 2 ? 0 : scores.reduce((sum, score) => sum + score, 0) - (filled.length - known) * 0.8;
};

/** Names of columns, of a header two rows high too: where the lower one says more by itself, what stands over it is left. */
const namesOf = (rows: readonly Row[], at: number, height: 1 | 2, width: number): readonly string[] =>
  headerTexts(rows, at, height, width).map((name, column) => {
    const own = textOf(rows[at]?.[column]);
    return own !== '' && best(own) >= best(name) ? own : name;
  });

/** Texts of a column from a row on, as far as is looked at. */
const column = (rows: readonly Row[], from: number, at: number): readonly string[] =>
  rows.slice(from, from + SAMPLE).map((row) => textOf(row[at]));

const NONE: ReadonlySet<string> = new Set();

/** Whether a column says on which side each amount stands. */
const isSides = (texts: readonly string[]): boolean => {
  const words = new Set(texts.filter((text) => text !== '').map(folded));
  return words.size === 2 && pairOfSides([...words]) !== undefined;
};

/**
 * Roles that columns have only beside each other: a balance beside debits and credits that runs on is no open amount, and a column that
 * is called by a currency is in that one where another column says the currency of each document.
 */
const settled = (
  rows: readonly Row[],
  from: number,
  roles: readonly (Role | undefined)[],
  names: readonly string[],
): readonly (Role | undefined)[] => {
  const at = (role: Role): number => roles.indexOf(role);
  const made = [...roles];
  if (at('currency') >= 0 && at('base') < 0 && at('open') >= 0)
    names.forEach((name, column) => {
      if (made[column] === undefined && isCurrency(name.trim())) made[column] = 'base';
    });
  const style = styleOf(rows, from, roles);
  const units = (row: Row, column: number): bigint | undefined => {
    const read = amountIn({ style }, row[column]);
    return read === undefined ? undefined : unitsOf(read, FINEST, typeof row[column] === 'object')?.amount;
  };
  const sample = rows.slice(from, from + SAMPLE);
  // A total beside ages is what is open, where it is what they come to.
  const total = at('open') >= 0 ? at('open') : at('original');
  const ages = roles.flatMap((role, column) => (role === 'age' ? [column] : []));
  if (ages.length > 1 && total >= 0) {
    const filled = sample.filter((row) => (units(row, total) ?? 0n) !== 0n);
    const meets = filled.filter(
      (row) => units(row, total) === ages.reduce((sum, column) => sum + (units(row, column) ?? 0n), 0n),
    );
    if (meets.length * 10 >= filled.length * 8) made[total] = 'open';
  }
  if (at('debit') < 0 || at('credit') < 0 || at('open') < 0) return made;
  // A balance runs on from row to row, or stands where an account ends.
  let [before, since] = [0n, 0n];
  let [runs, all] = [0, 0];
  for (const row of sample) {
    const moved = (units(row, at('debit')) ?? 0n) - (units(row, at('credit')) ?? 0n);
    const open = units(row, at('open'));
    since += moved;
    if (open === undefined) continue;
    all += 1;
    if ([before + moved, moved, since].includes(open)) runs += 1;
    before = open;
    if (since === open) since = 0n;
  }
  if (all > 0 && runs * 10 >= all * 6) made[at('open')] = undefined;
  return made;
};

const styleOf = (rows: readonly Row[], from: number, roles: readonly (Role | undefined)[]): NumberStyle => {
  const texts = roles.flatMap((role, at) => (role !== undefined && MONEY.has(role) ? column(rows, from, at) : []));
  const amounts = texts.filter((text) => /\d/.test(text) && !text.includes('%'));
  let most: { readonly style: NumberStyle; readonly score: number } | undefined;
  for (const style of NUMBER_STYLES) {
    // A style that reads decimals where the paper has them is the right one of two that read all.
    const score = amounts.reduce((sum, text) => {
      const read = readPaperAmount(text, style);
      return sum + (read === undefined ? 0 : read.scale === 2 ? 1.02 : read.scale === 0 ? 1.01 : 1);
    }, 0);
    if (most === undefined || score > most.score) most = { style, score };
  }
  return most?.style ?? '1,234.56';
};

/**
 * Whether the day or the month is first. Where no date says so by itself, the documents' days and due days do: payment is due after
 * the document, usually by the same number of days, and no document is of after the list's own day.
 */
const orderOf = (
  rows: readonly Row[],
  from: number,
  roles: readonly (Role | undefined)[],
  asAt: string | undefined,
): { readonly order: DayOrder; readonly ordered: boolean } => {
  const dateAt = roles.indexOf('date');
  const dueAt = roles.indexOf('due');
  const all = [dateAt, dueAt]
    .flatMap((at) => (at < 0 ? [] : column(rows, from, at)))
    .filter((text) => DATE_LIKE.test(text));
  for (const text of all) {
    const [first = '', second = ''] = text.split(/[./\-\s]/);
    if (first.length > 2) return { order: 'dmy', ordered: true };
    if (Number(first) > 12) return { order: 'dmy', ordered: true };
    if (Number(second) > 12) return { order: 'mdy', ordered: true };
  }
  const badness = (order: DayOrder): number => {
    let bad = 0;
    const spans = new Map<number, number>();
    for (const row of rows.slice(from, from + SAMPLE)) {
      const day = dayOf(textOf(row[dateAt]), order);
      const due = dueAt < 0 ? undefined : dayOf(textOf(row[dueAt]), order);
      if (day !== undefined && asAt !== undefined && day > asAt) bad += 2;
      if (day === undefined || due === undefined) continue;
      const span = epochDay(due) - epochDay(day);
      if (span < 0 || span > 200) bad += 2;
      spans.set(span, (spans.get(span) ?? 0) + 1);
    }
    return bad + spans.size * 0.5;
  };
  const [dmy, mdy] = [badness('dmy'), badness('mdy')];
  return { order: mdy < dmy ? 'mdy' : 'dmy', ordered: mdy !== dmy || all.length === 0 };
};

/** The list in a table, its columns found by their names and by what is in them; undefined where no row names columns. */
export const listTable = (table: Table, asAt?: string): ListTable | undefined => {
  const { rows } = table;
  const width = Math.min(
    60,
    rows.slice(0, SAMPLE).reduce((widest, row) => Math.max(widest, row.length), 0),
  );
  let top: { readonly at: number; readonly height: 1 | 2; readonly score: number } | undefined;
  for (let at = 0; at < Math.min(MOST_HEADER, rows.length); at += 1)
    for (const height of [1, 2] as const) {
      if (height === 2 && (at === 0 || (rows[at - 1] ?? []).filter((cell) => textOf(cell) !== '').length < 2)) continue;
      const own = (rows[at] ?? []).filter((cell) => textOf(cell) !== '');
      if (own.length < 2) continue;
      const score = headerScore(namesOf(rows, at, height, width)) - (height === 2 ? 1.5 : 0);
      if (score > 0 && (top === undefined || score > top.score + 0.001)) top = { at, height, score };
    }
  if (top === undefined) return undefined;
  const names = namesOf(rows, top.at, top.height, width);
  const from = top.at + 1;
  // The header stands on every page of a printed list.
  const contents = names.map((name, at) =>
    contentOf(
      column(rows, from, at).filter(
        (text) => text !== name && text !== textOf(rows[from - 1]?.[at]) && totalWords(text, NONE) === 0,
      ),
    ),
  );
  const roles = settled(
    rows,
    from,
    rolesOf(names, contents).map((role, at) => role ?? (isSides(column(rows, from, at)) ? 'side' : undefined)),
    names,
  );
  return {
    rows,
    header: top.at,
    height: top.height,
    titles: rows
      .slice(0, top.at + 1 - top.height)
      .map((row) =>
        row
          .map(textOf)
          .filter((text) => text !== '')
          .join('  '),
      )
      .filter((text) => text !== ''),
    roles,
    style: styleOf(rows, from, roles),
    sideOf: sideReader(roles.includes('side') ? column(rows, from, roles.indexOf('side')) : []),
    ...orderOf(rows, from, roles, asAt),
  };
};

/** A day in a cell of the list. */
export const dayIn = ({ order }: Pick<ListTable, 'order'>, text: string): string | undefined => dayOf(text, order);

/** An amount in a cell of the list; undefined for an empty cell and for what is none. */
export const amountIn = ({ style }: Pick<ListTable, 'style'>, cell: Cell | undefined): PaperAmount | undefined => {
  if (cell !== undefined && typeof cell !== 'string') return readPaperAmount(cell.decimal, '1234.56');
  const text = textOf(cell);
  return /\d/.test(text) && !text.includes('%') ? readPaperAmount(text, style) : undefined;
};
