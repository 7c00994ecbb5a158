import { type Cell, type Row, type Table, textOf } from '../base/table';
import { folded } from '../base/folded';
import { isCurrency } from '../money/currency';
import { NUMBER_STYLES, type NumberStyle } from '../money/number-style';
import { type PaperAmount, readPaperAmount } from '../money/paper-amount';
import { type DayOrder, readFileDate } from '../papers/dates';
import { datesIn } from '../papers/dates-in';
import { headerTexts } from '../papers/header';
import type { Side } from '../money/minor';
import { pairOfSides, sideReader } from '../papers/sides';
import { totalWords } from '../papers/total-words';
import { AGE_COLUMN, AGE_MONTHS, COLUMN_WORDS, type ListColumn, NOT_DUE, OLDER } from './list-words';

/** What a column of a list is. */
export type Role = ListColumn | 'age' | 'side';

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

const MOST_HEADER = 120;
const SAMPLE = 400;
const LISTED = Object.keys(COLUMN_WORDS) as readonly ListColumn[];

/** What is in a column, as shares of its cells that are not empty. */
interface Content {
  readonly filled: number;
  readonly dates: number;
  readonly amounts: number;
  readonly fractions: number;
  readonly currencies: number;
  readonly codes: number;
  readonly spaced: number;
  readonly distinct: number;
  readonly integers: number;
  /** Of letters only, few of them. */
  readonly short: number;
}

/** "20260630". */
const COMPACT = /^(?:19|20)\d{2}(?:0[1-9]|1[0-2])(?:0[1-9]|[12]\d|3[01])$/;
const parted = (text: string): string =>
  COMPACT.test(text) ? `${text.slice(0, 4)}-${text.slice(4, 6)}-${text.slice(6)}` : text;

const DATE_LIKE = /^\d{1,4}[./\-\s]\d{1,2}[./\-\s]\d{1,4}\.?$/;

/** A day in any order, or written with its month's name. */
const isDay = (text: string): boolean =>
  text.length <= 30 &&
  (COMPACT.test(text) ||
    (DATE_LIKE.test(text) && (readFileDate(text, 'dmy') ?? readFileDate(text, 'mdy')) !== undefined) ||
    wordedDay(text) !== undefined);

const SHORT_WORDED = /^(\d{1,2})[-\s./]+(\p{L}{3,12})\.?[-\s./]+(\d{2})$/u;

/** "14-Mar-21", "14 March 2021": a day with its month's name. */
export const wordedDay = (text: string): string | undefined => {
  if (!/\p{L}/u.test(text) || text.length > 30) return undefined;
  const [, day, month, year] = SHORT_WORDED.exec(text) ?? [];
  const whole =
    year === undefined
      ? text.replace(/[-.]/g, ' ')
      : `${day ?? ''} ${month ?? ''} ${Number(year) < 80 ? '20' : '19'}${year}`;
  const found = datesIn(whole);
  return found.length === 1 ? found[0] : undefined;
};

const contentOf = (cells: readonly string[]): Content => {
  const filled = cells.filter((text) => text !== '');
  const share = (is: (text: string) => boolean): number =>
    filled.length === 0 ? 0 : filled.filter(is).length / filled.length;
  return {
    filled: filled.length,
    dates: share(isDay),
    amounts: share(
      (text) => /\d/.test(text) && NUMBER_STYLES.some((style) => readPaperAmount(text, style) !== undefined),
    ),
    fractions: share((text) => /[.,]\d{2,3}\)?-?$/.test(text)),
    currencies: share((text) => isCurrency(text)),
    codes: share((text) => text.length <= 14 && !/\s/.test(text) && /\d/.test(text)),
    spaced: share((text) => /\p{L}{3}|\p{L}\s\S/u.test(text)),
    integers: share((text) => /^\d{1,4}$/.test(text)),
    short: share((text) => /^\p{L}{1,4}$/u.test(text)),
    distinct: filled.length === 0 ? 0 : new Set(filled).size / filled.length,
  };
};

const MONEY: ReadonlySet<Role> = new Set(['original', 'open', 'base', 'debit', 'credit', 'age']);

/** Whether what is in a column may be what its name says. */
const fits = (role: Role, content: Content): boolean => {
  if (content.filled === 0) return MONEY.has(role) || role === 'order' || role === 'reference' || role === 'due';
  if (MONEY.has(role)) return content.amounts >= 0.7 && content.dates < 0.5;
  switch (role) {
    case 'date':
    case 'due':
      return content.dates >= 0.6;
    case 'currency':
      return content.currencies >= 0.6;
    case 'terms':
      return content.dates < 0.3 && content.fractions < 0.3;
    case 'contactCode':
      return content.dates < 0.5 && content.fractions < 0.5 && content.codes >= 0.4;
    case 'contactName':
      return content.dates < 0.5 && content.spaced >= 0.5;
    case 'kind':
      return content.dates < 0.5 && content.fractions < 0.3 && (content.distinct <= 0.7 || content.short >= 0.9);
    default:
      return content.dates < 0.7 && content.fractions < 0.7;
  }
};

/** How well a column's name is one of a role: 3 where it is exactly that, less where it is in it. */
const named = (text: string, role: Role): number => {
  if (text === '' || text.length > 60) return 0;
  if (role === 'side') return 0;
  if (role === 'age')
    return AGE_COLUMN.test(text.trim()) ||
      AGE_MONTHS.test(text.trim()) ||
      NOT_DUE.in(folded(text)) !== undefined ||
      OLDER.is(folded(text))
      ? 4
      : 0;
  const words = folded(text);
  const own = COLUMN_WORDS[role];
  if (own.is(words)) return 3;
  const found = own.in(words);
  return found === undefined ? 0 : 1 + found.length / Math.max(1, words.length);
};

const best = (text: string): number => Math.max(named(text, 'age'), ...LISTED.map((role) => named(text, role)));

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

/** The columns of a list by their names and by what is in them; each role once, but ages as often as there are. */
const rolesOf = (names: readonly string[], contents: readonly Content[]): readonly (Role | undefined)[] => {
  const found: (Role | undefined)[] = names.map(() => undefined);
  const offers = names.flatMap((name, at) =>
    [...LISTED, 'age' as const].flatMap((role) => {
      const content = contents[at];
      const score = named(name, role);
      return score > 0 && content !== undefined && fits(role, content) ? [{ at, role, score }] : [];
    }),
  );
  const taken = new Set<Role>();
  for (const { at, role } of offers.sort((one, other) => other.score - one.score || one.at - other.at)) {
    if (found[at] !== undefined || (role !== 'age' && taken.has(role))) continue;
    found[at] = role;
    taken.add(role);
  }
  const free = (is: (content: Content) => boolean): number =>
    contents.findIndex((content, at) => found[at] === undefined && content.filled > 0 && is(content));
  const give = (role: Role, at: number): void => {
    if (at < 0 || taken.has(role)) return;
    found[at] = role;
    taken.add(role);
  };
  // A reference that is a code, where nothing else numbers the documents, is their number.
  const reference = found.indexOf('reference');
  if (!taken.has('number') && reference >= 0 && (contents[reference]?.codes ?? 0) >= 0.6) {
    found[reference] = 'number';
    taken.add('number');
    taken.delete('reference');
    const other = offers.find(({ at, role }) => role === 'reference' && found[at] === undefined);
    if (other !== undefined) give('reference', other.at);
  }
  give(
    'date',
    free(({ dates }) => dates >= 0.8),
  );
  give(
    'due',
    free(({ dates }) => dates >= 0.8),
  );
  give(
    'currency',
    free(({ currencies }) => currencies >= 0.9),
  );
  // One column of amounts is what is open; of two, what is open is never the larger one, and stands last.
  if (!taken.has('open') && !taken.has('age') && !(taken.has('debit') && taken.has('credit'))) {
    const amounts = free(({ fractions, amounts: share }) => fractions >= 0.6 && share >= 0.8);
    if (amounts >= 0) give('open', amounts);
    else {
      const at = found.indexOf('original');
      if (at >= 0) {
        found[at] = 'open';
        taken.delete('original');
        taken.add('open');
      } else if (found.includes('base')) {
        found[found.indexOf('base')] = 'open';
        taken.add('open');
      }
    }
  }
  if (!taken.has('contactName') && !taken.has('reference'))
    give(
      'contactName',
      free(({ spaced, distinct }) => spaced >= 0.8 && distinct <= 0.9),
    );
  if (!taken.has('number'))
    give(
      'number',
      free(({ codes, distinct }) => codes >= 0.6 && distinct >= 0.8),
    );
  return found;
};

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
  // A total beside ages is what is open, where it is what they come to.
  const total = at('open') >= 0 ? at('open') : at('original');
  const ages = roles.flatMap((role, column) => (role === 'age' ? [column] : []));
  if (ages.length > 1 && total >= 0) {
    const style = styleOf(rows, from, roles);
    const units = (row: Row, column: number): bigint => {
      const read = amountIn({ style }, row[column]);
      return read === undefined ? 0n : read.coefficient * 10n ** BigInt(Math.max(0, 4 - read.scale));
    };
    const filled = rows.slice(from, from + SAMPLE).filter((row) => units(row, total) !== 0n);
    const meets = filled.filter(
      (row) => units(row, total) === ages.reduce((sum, column) => sum + units(row, column), 0n),
    );
    if (meets.length * 10 >= filled.length * 8) made[total] = 'open';
  }
  if (at('debit') < 0 || at('credit') < 0 || at('open') < 0) return made;
  const style = styleOf(rows, from, roles);
  // It runs on from row to row, or stands where an account ends.
  let [before, since] = [0n, 0n];
  let [runs, all] = [0, 0];
  for (const row of rows.slice(from, from + SAMPLE)) {
    const [debit = 0n, credit = 0n, open] = (['debit', 'credit', 'open'] as const).map((role) => {
      const read = amountIn({ style }, row[at(role)]);
      return read === undefined ? undefined : read.coefficient * 10n ** BigInt(Math.max(0, 4 - read.scale));
    });
    since += debit - credit;
    if (open === undefined) continue;
    all += 1;
    if ([before + debit - credit, debit - credit, since].includes(open)) runs += 1;
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
      const day = readFileDate(textOf(row[dateAt]), order);
      const due = dueAt < 0 ? undefined : readFileDate(textOf(row[dueAt]), order);
      if (day !== undefined && asAt !== undefined && day > asAt) bad += 2;
      if (day === undefined || due === undefined) continue;
      const span = Math.round((Date.parse(due) - Date.parse(day)) / 86_400_000);
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
export const dayIn = ({ order }: Pick<ListTable, 'order'>, text: string): string | undefined =>
  text === '' ? undefined : (readFileDate(parted(text), order) ?? wordedDay(text));

/** An amount in a cell of the list; undefined for an empty cell and for what is none. */
export const amountIn = ({ style }: Pick<ListTable, 'style'>, cell: Cell | undefined): PaperAmount | undefined => {
  if (cell !== undefined && typeof cell !== 'string') return readPaperAmount(cell.decimal, '1234.56');
  const text = textOf(cell);
  return /\d/.test(text) && !text.includes('%') ? readPaperAmount(text, style) : undefined;
};
