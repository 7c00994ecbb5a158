import type { IsoDate } from '../base/iso-date';
import { folded } from '../base/folded';
import { type Problem, type Result, fail, ok, plural, problem } from '../base/result';
import { type Row, type Table, textOf } from '../base/table';
import { addTo } from '../base/lists';
import { plainIban } from '../chart/bank';
import { asCurrency, minorDigits } from '../money/currency';
import { type Minor, NIL, abs, minor, negate, subtract, sum } from '../money/minor';
import { type PaperAmount, unitsOf } from '../money/paper-amount';
import { datesIn } from '../papers/dates-in';
import { totalWords } from '../papers/total-words';
import type { Lexicon } from '../words/lexicon';
import { type ListTable, amountIn, dayIn } from './list-table';
import { type AccountStatement, type StatementBalance, type StatementsRead, balanceDoubts } from './statement';
import { type BankTable, type Column, bankTable, wentOut } from './statement-columns';
import { Lines, type RowRead, type TableEntry, textsIn } from './statement-lines';
import { IBAN, accountIn, byAccounts, byCurrencies } from './statement-accounts';
import { isCard, turned } from './statement-card';
import { BALANCE, CLOSING, IN_DEBIT, IN_CREDIT, OPENING, PENDING, STATED_ON } from './statement-words';

const NONE: ReadonlySet<string> = new Set();

/** The days that a title names, in its order; of numbers in the list's own. */
const daysOf = (list: ListTable, title: string): readonly IsoDate[] => {
  const own = [...title.matchAll(/\d{1,4}[./-]\d{1,2}[./-]\d{1,4}/g)].flatMap(([text]) => dayIn(list, text) ?? []);
  return own.length > 0 ? own : datesIn(title);
};

/** An amount beside the words of a balance in a row outside of the entries, and the day beside it; below nil where it is paid out. */
const balanceIn = ({ list, at }: BankTable, row: Row, words: Lexicon, digits: number): StatementBalance | undefined => {
  const texts = row.map(textOf);
  if (!texts.some((text) => text.length < 120 && words.in(folded(text)) !== undefined)) return undefined;
  const owed = texts.some((text) => BALANCE.in(folded(text)) !== undefined && IN_DEBIT.in(folded(text)) !== undefined);
  const amounts = row.flatMap((cell, column) => {
    const text = textOf(cell);
    if (dayIn(list, text) !== undefined) return [];
    const behind = text.slice(text.search(/[:\s][-(]?[\d.,' ]{1,20}\)?-?(?:\s?\p{Lu}{1,3})?$/u) + 1).trim();
    const read = amountIn(list, cell) ?? amountIn(list, behind);
    const units = read === undefined ? undefined : unitsOf(read, digits, typeof cell === 'object');
    if (read === undefined || units === undefined) return [];
    const found = minor(units.amount);
    if (read.side !== undefined) return [read.side === 'credit' ? abs(found) : negate(abs(found))];
    if (owed) return [negate(abs(found))];
    return [column === at('out') ? negate(found) : found];
  });
  const amount = amounts.at(-1);
  const day = texts.flatMap((text) => dayIn(list, text) ?? daysOf(list, text)).at(-1);
  return amount === undefined ? undefined : { date: day ?? null, amount };
};

/** "Balance at 31/05/2026": a text that says nothing but that, in whichever words. */
const isBalanceOfDay = (text: string): boolean => {
  const [words, days] = [folded(text), datesIn(text)];
  const term = text.length < 60 && days.length === 1 ? BALANCE.in(words) : undefined;
  if (term === undefined) return false;
  const rest = words.replace(term, '');
  const side = IN_CREDIT.in(rest) ?? IN_DEBIT.in(rest) ?? '';
  return rest.replace(side, '').replace(/[^\p{L}]/gu, '').length <= MOST_BESIDE;
};
/** Letters of the small words that stand beside a balance and its day. */
const MOST_BESIDE = 5;

/** What a row of a bank's table is: an entry, one that does not read, or none. One without a day is of that of the entry before it. */
const entryIn = (
  { list, at, texts: words, currency: common, spare, digits: unstated, turned }: BankTable,
  row: Row,
  before: IsoDate | undefined,
): RowRead => {
  const text = (column: Column): string => textOf(row[at(column)]);
  const day = text(at('date') < 0 ? 'valueDate' : 'date');
  const cells = (['amount', 'in', 'out'] as const).map((column) => row[at(column)]);
  if (cells.every((cell) => !/\d/.test(textOf(cell)))) {
    const other = spare.some((column) => /[1-9]/.test(textOf(row[column])));
    return other && dayIn(list, day) !== undefined ? 'unread' : undefined;
  }
  // What is only announced is in no balance.
  if (row.some((cell) => textOf(cell).length < 40 && PENDING.is(folded(textOf(cell))))) return 'pending';
  const own = dayIn(list, day);
  if (own === undefined && row.some((cell) => totalWords(textOf(cell), NONE) > 0)) return undefined;
  const ofBalance = row.some((cell) => textOf(cell).length < 120 && BALANCE.in(folded(textOf(cell))) !== undefined);
  const sameDay = day === '' && !ofBalance && words.some((where) => textOf(row[where]) !== '');
  const date = own ?? (sameDay ? before : undefined);
  if (date === undefined) return 'unread';
  const currency = asCurrency(text('currency')) ?? common;
  const digits = currency === '' ? unstated : minorDigits(currency);
  const [whole, paidIn, paidOut] = cells.map((cell) => amountIn(list, cell));
  const units = (read: PaperAmount, cell: Row[number] | undefined): Minor | undefined => {
    const found = unitsOf(read, digits, typeof cell === 'object');
    return found === undefined ? undefined : minor(found.amount);
  };
  const amount = ((): Minor | undefined => {
    if (whole === undefined) {
      const [came, went] = [paidIn, paidOut].map((read, one) =>
        read === undefined ? NIL : units(read, cells[one + 1]),
      );
      const upright = (column: 'in' | 'out', amount: Minor): Minor => (turned.has(column) ? amount : abs(amount));
      return came === undefined || went === undefined || (paidIn ?? paidOut) === undefined
        ? undefined
        : subtract(upright('in', came), upright('out', went));
    }
    const read = units(whole, cells[0]);
    if (read === undefined) return undefined;
    // A letter at the amount, else one in a column of its own, says whether it came in.
    if (whole.side !== undefined) return whole.side === 'credit' ? abs(read) : negate(abs(read));
    const side = text('side');
    return side === '' ? read : wentOut(side) ? negate(abs(read)) : abs(read);
  })();
  if (amount === undefined) return 'unread';
  const after = amountIn(list, row[at('balance')]);
  return {
    date,
    valueDate: dayIn(list, text('valueDate')) ?? null,
    amount,
    text: textsIn({ texts: words }, row),
    account: text('account'),
    balance: after === undefined ? null : (units(after, row[at('balance')]) ?? null),
    currency,
    spoken: whole?.side !== undefined,
    beside: spare.map((column) => {
      const read = amountIn(list, row[column]);
      return read === undefined ? NIL : (units(read, row[column]) ?? NIL);
    }),
  };
};

/**
 * Entries less what was charged for each, where that stands in a column of its own: the balances beside them follow each other with it,
 * and without it they do not.
 */
const lessCharges = (entries: readonly TableEntry[]): readonly TableEntry[] => {
  const pairs = entries.flatMap((entry, at) => {
    const before = entries[at - 1]?.balance ?? null;
    return before === null || entry.balance === null ? [] : [{ entry, came: subtract(entry.balance, before) }];
  });
  if (pairs.length === 0 || pairs.every(({ entry, came }) => entry.amount === came)) return entries;
  const less = ({ amount, beside }: TableEntry, column: number): Minor => subtract(amount, abs(beside[column] ?? NIL));
  const column = (entries[0]?.beside ?? []).findIndex((_, at) =>
    pairs.every(({ entry, came }) => less(entry, at) === came),
  );
  return column < 0 ? entries : entries.map((entry) => ({ ...entry, amount: less(entry, column) }));
};

/** Entries oldest first. Of one day's, the order in which their balances follow each other. */
const oldestFirst = (entries: readonly TableEntry[]): readonly TableEntry[] => {
  const turned = [...entries].reverse();
  const [start, stop] = [entries[0]?.date ?? '', entries.at(-1)?.date ?? ''];
  const follows = (order: readonly TableEntry[]): number =>
    order.filter(({ amount, balance }, at) => {
      const before = order[at - 1]?.balance ?? null;
      return before !== null && balance !== null && before + amount === balance;
    }).length;
  return start > stop || (start === stop && follows(turned) > follows(entries)) ? turned : entries;
};

/** Fewer entries may come to the last of them by chance. */
const FEWEST_BETWEEN = 4;

/**
 * The first and the last of the entries where those are the balances, called by whatever words: the one and all between come to the other.
 */
const balancesAmong = (
  own: readonly TableEntry[],
): { readonly first: TableEntry; readonly last: TableEntry; readonly between: readonly TableEntry[] } | undefined => {
  const [first, last] = [own[0], own.at(-1)];
  const between = own.slice(1, -1);
  if (first === undefined || last === undefined || own.some(({ balance }) => balance !== null)) return undefined;
  const called = [first, last].every(({ text }) => BALANCE.in(folded(text)) !== undefined);
  const meets = sum([first, ...between].map(({ amount }) => amount)) === last.amount;
  return meets && between.length > 0 && (called || between.length >= FEWEST_BETWEEN)
    ? { first, last, between }
    : undefined;
};

/** What a table says of all its entries: the account, the period, the balances before and after. */
interface Told {
  readonly account: string;
  readonly period: readonly IsoDate[];
  /** The day that the statement says it is of. */
  readonly day: IsoDate | undefined;
  /** By what stands in the column of accounts. */
  readonly openings: ReadonlyMap<string, StatementBalance>;
  readonly closings: ReadonlyMap<string, StatementBalance>;
}

/** One account's entries as a statement; balances that the table says in lines without an account are those of its only one. */
const statementOf = (entries: readonly TableEntry[], told: Told, alone: boolean, digits: number): AccountStatement => {
  const all = lessCharges(oldestFirst(entries));
  const found = told.openings.size + told.closings.size === 0 ? balancesAmong(all) : undefined;
  const own = found?.between ?? all;
  const [oldest, newest] = [own[0], own.at(-1)];
  const [from, end] = told.period;
  const last = newest?.date ?? '';
  const to = end ?? (told.day !== undefined && told.day >= last ? told.day : undefined);
  const said = (balances: Told['openings'], day: IsoDate | null | undefined): StatementBalance | null => {
    const balance = balances.get(account) ?? (alone ? balances.get('') : undefined);
    return balance === undefined ? null : { ...balance, date: balance.date ?? day ?? null };
  };
  const beside = (entry: TableEntry | undefined, before: boolean): StatementBalance | null =>
    entry === undefined || entry.balance === null
      ? null
      : { date: entry.date, amount: before ? subtract(entry.balance, entry.amount) : entry.balance };
  const account = oldest?.account ?? '';
  const listed = (entry: TableEntry | undefined): StatementBalance | null =>
    entry === undefined ? null : { date: entry.date, amount: entry.amount };
  const opening = said(told.openings, from ?? oldest?.date) ?? listed(found?.first) ?? beside(oldest, true);
  const closing = said(told.closings, to ?? newest?.date) ?? listed(found?.last) ?? beside(newest, false);
  const iban = IBAN.exec(account)?.[0];
  const currency = oldest?.currency ?? '';
  return {
    account: iban !== undefined ? plainIban(iban) : account === '' ? told.account : account,
    currency,
    digits: currency === '' ? digits : minorDigits(currency),
    from: from ?? opening?.date ?? oldest?.date ?? null,
    to: to ?? closing?.date ?? newest?.date ?? null,
    opening,
    closing,
    entries: own.map(({ date, valueDate, amount, text }) => ({ date, valueDate, amount, text })),
  };
};

/** Rows below a header in which an account may be told. */
const BELOW_HEADER = 3;

/** Reads the rows of a bank's table; rows with an amount that are neither entries nor balances are told. */
const readTable = (
  bank: BankTable,
): {
  readonly entries: readonly TableEntry[];
  readonly told: Told;
  readonly unread: readonly number[];
  readonly pending: readonly number[];
} => {
  const { list, currency } = bank;
  const digits = currency === '' ? bank.digits : minorDigits(currency);
  const entries: TableEntry[] = [];
  const [unread, pending]: [number[], number[]] = [[], []];
  const [openings, closings] = [new Map<string, StatementBalance>(), new Map<string, StatementBalance>()];
  // An account that stands in its first row alone is that of those below.
  const listed = list.rows.slice(list.header + 1);
  const filled = listed.filter((row) => textOf(row[bank.at('account')]) !== '').length;
  const sparse = filled > 0 && filled * 2 < listed.length;
  let account = '';
  let above: StatementBalance | undefined;
  const lines = new Lines(bank, entries);
  /** How many entries stand above the last closing balance of an account. */
  const closedAfter = new Map<string, number>();
  const dated: { readonly account: string; readonly balance: StatementBalance; readonly above: boolean }[] = [];
  list.rows.forEach((row, at) => {
    // Without a header, what stands in its place is a line like those above it.
    if (at === list.header && !list.unnamed) return;
    // A line of its own may have its words in the column of accounts.
    const beside = textOf(row[bank.at('account')]);
    const own = at > list.header && /\d/.test(beside) && BALANCE.in(folded(beside)) === undefined ? beside : '';
    account = own === '' && sparse ? account : own;
    const says = (balances: Map<string, StatementBalance>, words: Lexicon): boolean => {
      const balance = balanceIn(bank, row, words, digits);
      // Of what every page prints, the first is what stood before, and the last what stood after.
      if (balance !== undefined && (words === CLOSING || !balances.has(account))) {
        balances.set(account, balance);
        if (words === CLOSING) closedAfter.set(account, entries.length);
      }
      return balance !== undefined;
    };
    const before = says(openings, OPENING);
    if ((!before && says(closings, CLOSING)) || before) return;
    if (at <= list.header) {
      if (row.some((cell) => isBalanceOfDay(textOf(cell)))) above = balanceIn(bank, row, BALANCE, digits) ?? above;
      return;
    }
    const ofDay = row.some((cell) => isBalanceOfDay(textOf(cell))) ? balanceIn(bank, row, BALANCE, digits) : undefined;
    if (ofDay !== undefined) {
      dated.push({ account, balance: ofDay, above: entries.length === 0 });
      return;
    }
    const entry = entryIn(bank, row, lines.day);
    if (lines.takes(row, entry, account)) return;
    if (entry === 'pending') pending.push(at + 1);
    else if (entry !== undefined && entry !== 'unread') entries.push({ ...entry, account });
    // "Balance at 31 March", above the entries or below them.
    else if (entry === 'unread' && !says(entries.length === 0 ? openings : closings, BALANCE)) unread.push(at + 1);
  });
  lines.end();
  // What a page carries over to the next one is not what stood in the end.
  const spans = new Map<string, readonly [first: number, last: number]>([['', [0, entries.length - 1]]]);
  entries.forEach(({ account: own }, at) => spans.set(own, [spans.get(own)?.[0] ?? at, at]));
  for (const [own, count] of closedAfter) {
    const [first, last] = spans.get(own) ?? [count, -1];
    if (first < count && last >= count) closings.delete(own);
  }
  // A balance above the entries is of before them or of after them, by its day.
  const days = entries.flatMap(({ date }) => date ?? []).sort();
  const [earliest, latest] = [days[0], days.at(-1)];
  if (above?.date != null && earliest !== undefined && latest !== undefined) {
    const its = above.date < earliest ? openings : above.date >= latest ? closings : undefined;
    if (its?.has('') === false) its.set('', above);
  }
  // So is one among them, on whichever side of the entries it stands; without a day of its own its place tells.
  for (const { account: own, balance, above: first } of dated) {
    const [since, until] = [earliest ?? '', latest ?? ''];
    const day = balance.date ?? (first ? '' : until);
    const before = first ? !(day >= until && day > since) : day < since;
    const its = before ? openings : closings;
    if (!its.has(own)) its.set(own, balance);
  }
  // "01/06/2026 to 30/06/2026": the period of the statement.
  const period = list.titles.map((title) => daysOf(list, title)).find((days) => days.length === 2) ?? [];
  const day = list.titles
    .filter((title) => STATED_ON.in(folded(title)) !== undefined)
    .map((title) => daysOf(list, title))
    .find((days) => days.length === 1)?.[0];
  // The account may stand in a line of its own right below the header, too.
  const alone = listed
    .slice(0, BELOW_HEADER)
    .map((row) => row.map(textOf).filter((text) => text !== ''))
    .flatMap(([text = '', ...others]) => (others.length === 0 ? [text] : []));
  return {
    entries,
    told: { account: accountIn([...list.titles, ...alone]), period, day, openings, closings },
    unread,
    pending,
  };
};

/**
 * The statements in a bank's table: entries with their days, amounts in one column or by in and out, oldest first whatever the table's
 * order. Balances come from its own lines, else from the balance beside each entry.
 */
export const readStatementTable = (given: readonly Table[], name: string): Result<StatementsRead> => {
  const tables = given.flatMap(byAccounts).flatMap(byCurrencies);
  const statements: AccountStatement[] = [];
  const doubts: Problem[] = [];
  tables.forEach((_, sheet) => {
    const bank = bankTable(tables, sheet);
    if (bank === undefined) return;
    const { entries, told, unread, pending } = readTable(bank);
    const byAccount = new Map<string, TableEntry[]>();
    for (const entry of entries) addTo(byAccount, entry.account, entry);
    const first = statements.length;
    // Nothing may have moved between the two balances.
    const still = entries.length === 0 && told.openings.has('') && told.closings.has('');
    for (const own of still ? [[]] : byAccount.values()) {
      const statement = statementOf(own, told, byAccount.size <= 1, bank.digits);
      const place = statements.length;
      if (!isCard(bank, name, statement)) {
        statements.push(statement);
        continue;
      }
      statements.push(turned(statement, oldestFirst(own).map(({ spoken }) => spoken))); // prettier-ignore
      doubts.push(
        problem(
          'statement.card',
          'This is taken for a card’s statement, on which what was spent stands above nil: it is read as paid out, and the balance as owed.',
          place,
        ),
      );
    }
    if (statements.length === first) return;
    for (const row of unread)
      doubts.push(
        problem('statement.entry', `Row ${row} has an amount or a day that does not read, so it is left out.`, first),
      );
    const [announced] = pending;
    if (announced !== undefined)
      doubts.push(
        problem(
          'statement.pending',
          `${plural(pending.length, 'row')} of what is only announced (the first is row ${announced}) ${pending.length === 1 ? 'is' : 'are'} in no balance, and left out.`,
          first,
        ),
      );
    if (bank.list.unnamed)
      doubts.push(
        problem(
          'statement.columns',
          'Hardly a word of a header is known here, or there is none; what its columns are was told by what is in them. Look at each.',
          first,
        ),
      );
    if (!bank.list.ordered)
      doubts.push(
        problem(
          'statement.dates',
          'No date says whether its day or its month is first; they are read with the day first.',
          first,
        ),
      );
  });
  doubts.push(...statements.flatMap(balanceDoubts));
  return statements.length > 0
    ? ok({ statements, doubts })
    : fail(
        problem(
          'statement.none',
          `${name} has no row that names the columns of a bank statement, such as date, text and amount. Bring the bank’s own file (camt.053), or give the columns such names.`,
        ),
      );
};
