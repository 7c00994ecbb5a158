import { epochDay } from '../base/dates';
import { folded } from '../base/folded';
import { addTo } from '../base/lists';
import { type Cell, type Row, type Table, textOf } from '../base/table';
import { isCurrency } from '../money/currency';
import type { Side } from '../money/minor';
import { NUMBER_STYLES, type NumberStyle } from '../money/number-style';
import { type PaperAmount, readPaperAmount, unitsOf } from '../money/paper-amount';
import type { DayOrder } from '../papers/dates';
import { datesIn } from '../papers/dates-in';
import { headerTexts } from '../papers/header';
import { pairOfSides, sideReader } from '../papers/sides';
import { totalWords } from '../papers/total-words';
import { type Content, MONEY, type Role, best, contentOf, inCurrencyOf, isOpen, rolesOf } from './list-columns';
import { DATE_LIKE, dayOf, isDay } from './list-days';
import { TAX_NUMBER_WORDS } from './list-words';

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
  /** No word in the header is known: what its columns are is told by what is in them alone. */
  readonly unnamed: boolean;
  /** The column of a balance that runs on from row to row. */
  readonly running: number | undefined;
  /** Columns that are called by a currency, each with what is open in it. */
  readonly inCurrency: ReadonlyMap<number, string>;
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

/** A row with days or figures of its own is no header, nor a part of one. */
const hasFigures = (row: Row | undefined): boolean =>
  (row ?? []).map(textOf).some((text) => isDay(text) || /^[-(]?[\d\s.,'’]+[.,]\d{2}\)?-?$/.test(text));

/** So many rows below a header have days and amounts, where no word in it is known. */
const ROWS_BELOW = 2;

/**
 * The row above the first rows with a day and an amount each, where it has none itself and about as many cells: the names of columns,
 * in whatever language.
 */
const headerAbove = (
  rows: readonly Row[],
): { readonly at: number; readonly height: 1; readonly score: number } | undefined => {
  const isDocument = (row: Row | undefined): boolean => {
    const texts = (row ?? []).map(textOf);
    const isMoney = (text: string): boolean =>
      !isDay(text) && (/\d[.,]\d{2}\)?-?$/.test(text) || /^-?\d{1,3}(?:[.,’' ]\d{3})+$/.test(text));
    return texts.some(isDay) && texts.some(isMoney);
  };
  const filled = (row: Row | undefined): number => (row ?? []).filter((cell) => textOf(cell) !== '').length;
  const at = rows
    .slice(0, MOST_HEADER)
    .findIndex(
      (row, place) =>
        filled(row) >= 3 &&
        !hasFigures(row) &&
        rows.slice(place + 1, place + 1 + ROWS_BELOW).filter(isDocument).length === ROWS_BELOW &&
        filled(row) >= filled(rows[place + 1]) - 1,
    );
  return at < 0 ? undefined : { at, height: 1, score: 0 };
};

/** Whether a row may be the upper one of a header: a line of the title has a number or a day of its own. */
const isUpper = (row: Row | undefined): boolean =>
  !hasFigures(row) && !(row ?? []).some((cell) => textOf(cell).replace(/\D/g, '').length >= 6);

/** How much a row looks like the names of columns. */
const headerScore = (texts: readonly string[]): number => {
  const filled = texts.filter((text) => text !== '');
  if (filled.length < 2) return 0;
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

/** What columns are beside each other, whatever they are called. */
interface Settled {
  readonly roles: readonly (Role | undefined)[];
  /** The column of a balance that runs on from row to row. */
  readonly running: number | undefined;
  /** Columns that are called by a currency, each with the amounts in it. */
  readonly inCurrency: ReadonlyMap<number, string>;
}

/** Whether each text of a column goes with one text of another. */
const standsFor = (sample: readonly Row[], column: number, other: number): boolean => {
  const known = new Map<string, string>();
  return sample.every((row) => {
    const [own, beside] = [textOf(row[column]), textOf(row[other])];
    if (own === '' || beside === '') return true;
    const before = known.get(own) ?? beside;
    known.set(own, before);
    return before === beside;
  });
};

type Units = (row: Row, column: number) => bigint | undefined;

/** Whether what is in a column is never more than what is in another, on the same side, and often the same. */
const isPartOf = (sample: readonly Row[], units: Units, part: number, whole: number): boolean => {
  const both = sample.flatMap((row) => {
    const [left, all] = [units(row, part), units(row, whole)];
    return left === undefined || all === undefined || left === 0n ? [] : [[left, all] as const];
  });
  const same = both.filter(([left, all]) => left === all).length;
  const within = both.filter(([left, all]) => (left > 0n ? all >= left : all <= left)).length;
  return both.length > 1 && mostly(within, both.length, 9.5) && mostly(same, both.length, 2);
};

/**
 * Whether two columns have the same amounts in one currency, and in each other currency amounts of one rate: then one of the two is in
 * the currency of the books.
 */
const isConverted = (sample: readonly Row[], units: Units, currencyAt: number, one: number, other: number): boolean => {
  const rates = new Map<string, number[]>();
  for (const row of sample) {
    const [own, beside, code] = [units(row, one), units(row, other), textOf(row[currencyAt])];
    if (own === undefined || beside === undefined || own === 0n || !isCurrency(code)) continue;
    addTo(rates, code, Number(beside) / Number(own));
  }
  const spans = [...rates.values()].map((of) => [Math.min(...of), Math.max(...of)] as const);
  const same = spans.filter(([least, most]) => least === 1 && most === 1).length;
  return same === 1 && spans.length > 1 && spans.every(([least, most]) => least > 0 && most - least <= least * 0.02);
};

/** Of so many rows that could show something, how many have to. */
const mostly = (rows: number, of: number, tenths = 8): boolean => of > 0 && rows * 10 >= of * tenths;

/**
 * Columns that are called by currencies, where most rows have an amount in one of them alone: what is open, by its currency. Beside a
 * column that says the currency of each document, one that is called by a currency has its base amounts.
 */
const currencyColumns = (
  sample: readonly Row[],
  roles: readonly (Role | undefined)[],
  names: readonly string[],
): ReadonlyMap<number, string> => {
  const named = names.flatMap((name, at) => {
    const code = name.trim().toUpperCase();
    return isCurrency(code) && (roles[at] === undefined || MONEY.has(roles[at])) ? [[at, code] as const] : [];
  });
  if (named.length < 2 || roles.includes('currency') || roles.includes('age')) return new Map();
  const filled = sample.map((row) => named.filter(([at]) => /[1-9]/.test(textOf(row[at]))).length);
  const some = filled.filter((count) => count > 0).length;
  return mostly(filled.filter((count) => count === 1).length, some, 7) ? new Map(named) : new Map();
};

/**
 * What columns are by what stands in them beside each other. A balance beside what moves it is no open amount; columns that add up to
 * what is open are its ages; one that is never less than what is open, and often the same, is what the documents came to; one that
 * stands for the names is their code.
 */
const settled = (
  rows: readonly Row[],
  from: number,
  found: readonly (Role | undefined)[],
  names: readonly string[],
  contents: readonly Content[],
): Settled => {
  const roles = [...found];
  const at = (role: Role): number => roles.indexOf(role);
  const sample = rows.slice(from, from + SAMPLE);
  const inCurrency = currencyColumns(sample, roles, names);
  for (const column of inCurrency.keys()) roles[column] = undefined;
  const style = styleOf(
    rows,
    from,
    roles.map((role, column) => (inCurrency.has(column) ? 'open' : role)),
  );
  const sideAt = at('side');
  const sideOf = sideReader(sideAt < 0 ? [] : column(rows, from, sideAt));
  const units = (row: Row, column: number): bigint | undefined => {
    const read = amountIn({ style }, row[column]);
    const amount = read === undefined ? undefined : unitsOf(read, FINEST, typeof row[column] === 'object')?.amount;
    return amount !== undefined && read?.side === 'credit' ? -amount : amount;
  };
  // Where each document says its currency, a column that is called by a currency, or has other amounts in the others, is in that one.
  const currencyAt = at('currency');
  if (currencyAt >= 0 && at('base') < 0) {
    const money = contents.flatMap(({ amounts, dates, filled }, column) => {
      const role = roles[column];
      const open = role === undefined || role === 'original' || role === 'open';
      return open && filled > 0 && amounts >= 0.7 && dates < 0.3 ? [column] : [];
    });
    const pairs = money.flatMap((own) => money.filter((other) => other !== own).map((other) => ({ own, other })));
    const called = pairs.filter(({ own, other }) => {
      const code = inCurrencyOf(names[other] ?? '');
      const rows = sample.filter((row) => textOf(row[currencyAt]).toUpperCase() === code);
      const same = rows.filter((row) => units(row, own) === units(row, other));
      return (
        code !== undefined &&
        inCurrencyOf(names[own] ?? '') !== code &&
        (rows.length === 0 || mostly(same.length, rows.length))
      );
    });
    const turned = pairs.filter(({ own, other }) => own < other && isConverted(sample, units, currencyAt, own, other));
    const found = called.find(({ own }) => roles[own] === 'open') ?? called[0] ?? turned[0];
    if (found !== undefined) {
      // What is open of each document stays so in its own currency.
      if (roles[found.other] === 'open') roles[found.own] = 'open';
      roles[found.other] = 'base';
    }
  }
  const spare = contents.flatMap(({ amounts, dates, codes, filled }, column) =>
    roles[column] === undefined && !inCurrency.has(column) && filled > 0 && amounts >= 0.7 && dates < 0.3 && codes < 1.1
      ? [column]
      : [],
  );
  // A total beside ages is what is open, where it is what they come to.
  const known = roles.flatMap((role, column) => (role === 'age' ? [column] : []));
  const named = at('open') >= 0 ? at('open') : at('original');
  const sums = (named >= 0 ? [named] : known.length > 0 ? spare : []).flatMap((total) =>
    [known, [...known, ...spare.filter((column) => column !== total)]].map((ages) => ({ total, ages })),
  );
  const adds = sums.find(({ total, ages }) => {
    if (ages.length < 2) return false;
    const filled = sample.filter((row) => (units(row, total) ?? 0n) !== 0n);
    const meets = filled.filter(
      (row) => units(row, total) === ages.reduce((sum, column) => sum + (units(row, column) ?? 0n), 0n),
    );
    return mostly(meets.length, filled.length);
  });
  if (adds !== undefined) {
    roles[adds.total] = 'open';
    for (const column of adds.ages) roles[column] = 'age';
  }
  // A balance runs on from row to row, or stands where an account ends.
  let running: number | undefined;
  const open = at('open');
  const moving = [at('original'), ...spare].find((column) => column >= 0 && sideAt >= 0);
  if (open >= 0 && ((at('debit') >= 0 && at('credit') >= 0) || moving !== undefined)) {
    const sided = at('debit') >= 0 && at('credit') >= 0;
    const moves = (row: Row): bigint => {
      if (sided) return (units(row, at('debit')) ?? 0n) - (units(row, at('credit')) ?? 0n);
      const amount = moving === undefined ? 0n : (units(row, moving) ?? 0n);
      return sideOf(textOf(row[sideAt])) === 'credit' ? -amount : amount;
    };
    let [before, since] = [0n, 0n];
    let [runs, differs, all] = [0, 0, 0];
    for (const row of sample) {
      const moved = moves(row);
      const stands = units(row, open);
      since += moved;
      if (stands === undefined) continue;
      all += 1;
      if ([before + moved, moved, since].some((one) => one === stands || -one === stands)) runs += 1;
      if (stands !== moved) differs += 1;
      before = stands;
      if (since === stands) since = 0n;
    }
    if (mostly(runs, all, 6) && (sided || differs > 0)) {
      running = open;
      roles[open] = undefined;
      if (!sided && moving !== undefined) roles[moving] = 'open';
    }
  }
  // Rows of documents, without sums and what is printed on every page.
  const dated = at('date') < 0 ? sample : sample.filter((row) => isDay(textOf(row[at('date')])));
  // Of amounts that no word names, what is open is the one that is most often the whole document.
  const [first, total] = [at('open'), at('original')];
  if (first >= 0 && total >= 0 && !isOpen(names[first] ?? '')) {
    const same = (column: number): number =>
      isPartOf(dated, units, column, total)
        ? dated.filter((row) => units(row, column) === units(row, total)).length
        : 0;
    const best = spare
      .filter((column) => roles[column] === undefined)
      .reduce((most, column) => (same(column) > same(most) ? column : most), first);
    if (best !== first) [roles[first], roles[best]] = [undefined, 'open'];
  }
  const whole = at('open');
  if (whole >= 0 && at('original') < 0 && !isOpen(names[whole] ?? '')) {
    // What no word tells: of two amounts that are often the same, what is open is never the larger one.
    const left = spare.find((column) => roles[column] === undefined && isPartOf(dated, units, column, whole));
    if (left !== undefined) [roles[whole], roles[left]] = ['original', 'open'];
  }
  if (at('open') >= 0 && at('original') < 0) {
    const came = spare.find((column) => roles[column] === undefined && isPartOf(dated, units, at('open'), column));
    if (came !== undefined) roles[came] = 'original';
  }
  // Whoever a code stands for is called by a text that is the same with the code, whatever its column is called.
  const codeAt = at('contactCode');
  if (codeAt >= 0 && at('contactName') < 0) {
    const name = contents.findIndex(
      ({ spaced, distinct, dates, filled }, column) =>
        (roles[column] === undefined || roles[column] === 'reference' || roles[column] === 'kind') &&
        filled > 1 &&
        spaced >= 0.8 &&
        dates < 0.1 &&
        Math.abs(distinct - (contents[codeAt]?.distinct ?? 1)) < 0.01 &&
        standsFor(sample, codeAt, column),
    );
    if (name >= 0) roles[name] = 'contactName';
  }
  const nameAt = at('contactName');
  // What is another in each row, where names come again, numbers the documents and not those whose they are.
  const coded = at('contactCode');
  if (coded >= 0 && nameAt >= 0 && at('number') < 0) {
    const [own, name] = [contents[coded]?.distinct ?? 0, contents[nameAt]?.distinct ?? 1];
    if (own >= 0.95 && name < 0.8) roles[coded] = 'number';
  }
  if (nameAt >= 0 && at('contactCode') < 0) {
    const code = contents.findIndex((_, column) => {
      if (roles[column] !== undefined || inCurrency.has(column) || column === running) return false;
      if (TAX_NUMBER_WORDS.is(folded(names[column] ?? ''))) return false;
      const { marks, fractions, dates, filled } = contentOf(dated.map((row) => textOf(row[column])));
      if (filled < 2 || marks < 0.9 || fractions > 0.1 || dates > 0.1) return false;
      // It comes again with the name, or is left out where the name is.
      const pairs = dated.map((row) => [textOf(row[column]), textOf(row[nameAt])] as const);
      const beside = pairs.filter(([own, name]) => own !== '' && name !== '');
      const both = pairs.filter(([own, name]) => (own === '') === (name === '')).length;
      const again =
        new Set(beside.map(([own]) => own)).size < beside.length ||
        both > beside.length ||
        (column === nameAt - 1 && at('number') >= 0);
      return again && both === pairs.length && standsFor(dated, column, nameAt) && standsFor(dated, nameAt, column);
    });
    if (code >= 0) roles[code] = 'contactCode';
  }
  return { roles, running, inCurrency };
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
  titles: readonly string[],
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
    // The titles write their days as the rows do.
    const stated = titles.flatMap((title) => datesIn(title, order));
    const last = asAt ?? [...stated].sort().at(-1);
    let bad = 0;
    const spans = new Map<number, number>();
    for (const row of rows.slice(from, from + SAMPLE)) {
      const day = dayOf(textOf(row[dateAt]), order);
      const due = dueAt < 0 ? undefined : dayOf(textOf(row[dueAt]), order);
      if (day !== undefined && last !== undefined && day > last) bad += 2;
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
      if (own.length < 2 || hasFigures(rows[at]) || (height === 2 && !isUpper(rows[at - 1]))) continue;
      const score = headerScore(namesOf(rows, at, height, width)) - (height === 2 ? 1.5 : 0);
      if (score > 0 && (top === undefined || score > top.score + 0.001)) top = { at, height, score };
    }
  const unnamed = top === undefined;
  top ??= headerAbove(rows);
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
  const { roles, running, inCurrency } = settled(
    rows,
    from,
    rolesOf(names, contents).map((role, at) => role ?? (isSides(column(rows, from, at)) ? 'side' : undefined)),
    names,
    contents,
  );
  const titles = rows.slice(0, top.at + 1 - top.height).map((row) => row.map(textOf));
  return {
    rows,
    header: top.at,
    height: top.height,
    titles: titles.map((texts) => texts.filter((text) => text !== '').join('  ')).filter((text) => text !== ''),
    roles,
    unnamed,
    running,
    inCurrency,
    style: styleOf(
      rows,
      from,
      roles.map((role, at) => (inCurrency.has(at) ? 'open' : role)),
    ),
    sideOf: sideReader(roles.includes('side') ? column(rows, from, roles.indexOf('side')) : []),
    ...orderOf(rows, from, roles, asAt, titles.flat()),
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
