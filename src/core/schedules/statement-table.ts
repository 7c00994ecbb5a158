import { folded } from '../base/folded';
import { type Problem, type Result, fail, ok, problem } from '../base/result';
import { type Row, type Table, textOf } from '../base/table';
import { addTo } from '../base/lists';
import { plainIban } from '../chart/bank';
import { isCurrency, minorDigits } from '../money/currency';
import { type Minor, NIL, abs, minor, negate, subtract } from '../money/minor';
import { type PaperAmount, unitsOf } from '../money/paper-amount';
import { datesIn } from '../papers/dates-in';
import { statedCurrency } from '../papers/stated-currency';
import { totalWords } from '../papers/total-words';
import { CREDIT, DEBIT } from '../words/paper-words';
import { lexicon } from '../words/lexicon';
import type { Lexicon } from '../words/lexicon';
import { withYears } from './years-of-days';
import { type ListTable, amountIn, dayIn, listTable } from './list-table';
import {
  type AccountStatement,
  type StatementBalance,
  type StatementEntry,
  type StatementsRead,
  balanceDoubts,
} from './statement';

/** Words of a bank's table beyond those of lists. */
const VALUE_DATE = lexicon(
  'value date, val date, value, valuta, wertstellung, valutadatum, wert, date de valeur, date valeur, valeur, fecha valor, f valor, data valuta, valuta, data valor, valutadatum, rentedatum, data waluty, datum valuty, valuta datum, erteknap, valoordatum, rentedato, valuteringsdag, arvopaiva, data valutei, valor tarihi',
);
const BOOKED = lexicon(
  'date, booking date, posted, posting date, transaction date, book date, buchungstag, buchungsdatum, buchung, datum, date operation, date comptable, fecha, fecha operacion, data, data contabile, data operazione, data movimento, boekdatum, transactiedatum, data ksiegowania, data operacji, datum zauctovani, konyveles napja, bokforingsdag, bogfort, dato, bokfort, kirjauspaiva, data tranzactiei, ημερομηνια, tarih, islem tarihi',
);
const WORDS = lexicon(
  'description, details, text, narrative, transaction, payee, particulars, memo, reference, verwendungszweck, buchungstext, empfanger, auftraggeber, beguenstigter, libelle, nature, concepto, descripcion, descrizione, causale, descricao, historico, omschrijving, mededelingen, tegenpartij, tytul, opis, opis operacji, popis, poznamka, kozlemeny, leiras, beskrivning, meddelande, tekst, beskrivelse, viesti, selite, saaja, descriere, detalii, aciklama, αιτιολογια',
);
const BALANCE = lexicon(
  'balance, running balance, account balance, saldo, kontostand, saldo nach buchung, solde, saldo contable, saldo contabile, saldo disponibile, saldo po transakcji, saldo po operacji, zustatek, egyenleg, saldo, sold, υπολοιπο, bakiye',
);
const ACCOUNT = lexicon(
  '*konto, *kontonr, *kontonummer, card, card no, card number, kort, kortnr, karte, kartennummer, carte, n carte, tarjeta, carta, kaart, kaartnummer, karta, nr karty',
  'account, account number, account no, iban, konto, kontonummer, compte, n compte, cuenta, conto, conta, rekening, rekeningnummer, rachunek, nr rachunku, cislo uctu, ucet, szamlaszam, tili, tilinumero, cont, λογαριασμος, hesap no, auftragskonto',
);
const OPENING = lexicon(
  'saldo ved periodens start, saldo ved periodens begyndelse, startsaldo, saldo primo, balance at start, balance on, opening, start of period, saldo a inicio, saldo al inicio, solde au debut, anfangsstand, saldo na poczatek, stav na pocatku',
  'opening balance, balance brought forward, brought forward, previous balance, start balance, anfangssaldo, alter saldo, saldovortrag, anfangsbestand, kontostand am anfang, solde initial, ancien solde, solde precedent, saldo inicial, saldo anterior, saldo iniziale, beginsaldo, vorig saldo, saldo poczatkowe, pocatecni zustatek, nyito egyenleg, ingaende saldo, primosaldo, inngaende saldo, alkusaldo, sold initial, υπολοιπο εναρξης, devreden bakiye, acilis bakiyesi',
);
const CLOSING = lexicon(
  'saldo ved periodens slut, saldo ved periodens slutning, slutsaldo, saldo ultimo, balance at end, closing, end of period, saldo al final, saldo al cierre, solde a la fin, endstand, saldo na koniec, stav na konci',
  'closing balance, balance carried forward, carried forward, new balance, end balance, endsaldo, neuer saldo, schlusssaldo, endbestand, kontostand am ende, solde final, nouveau solde, saldo final, saldo finale, eindsaldo, nieuw saldo, saldo koncowe, konecny zustatek, zaro egyenleg, utgaende saldo, ultimosaldo, utgaende saldo, loppusaldo, sold final, τελικο υπολοιπο, kapanis bakiyesi',
);
const PENDING = lexicon(
  'pending, vorgemerkt, en attente, pendiente, in sospeso, in behandeling, oczekujaca, odotta*, reserverad, authorised, not booked',
);

/** Sides as banks' tables write them, where not as debit and credit. */
const IN = lexicon(
  'bij, in, plus, c, cr, h, haben, kredit, credit, crdt, +, ct, uznanie, gutschrift, abono, entrata, inn',
);
const OUT = lexicon(
  'af, uit, ut, ud, minus, d, dr, s, soll, debet, debit, dbit, dt, obciazenie, lastschrift, cargo, uscita',
);

type Column = 'side' | 'date' | 'valueDate' | 'text' | 'amount' | 'in' | 'out' | 'balance' | 'account' | 'currency';
type Columns = ReadonlyMap<Column, readonly number[]>;

const IBAN = /\b[A-Z]{2}\d{2}(?:\s?[A-Z\d]{2,4}){3,8}\b/;
/** Two blanks part it from what stands beside it. */
const NUMBER = /(?:\*|x|\d)(?:[\d*x-]|\s(?!\s)){4,25}\d/i;

const NONE: ReadonlySet<string> = new Set();

/** Decimals in which amounts are compared before their currency is known. */
const FINEST = 4;

/** So many rows below the header say what is in a column. */
const SAMPLE = 60;

/** Whether a word beside an amount says that it went out: a bank debits what its customer pays. */
const wentOut = (text: string): boolean =>
  text === '-' || OUT.is(folded(text)) || (!IN.is(folded(text)) && DEBIT.is(folded(text)));

/** Whether a column says of each amount whether it came in or went out. */
const isSides = (texts: readonly string[]): boolean =>
  texts.length > 0 &&
  texts.every(
    (text) => text.length <= 12 && (text === '+' || wentOut(text) || IN.is(folded(text)) || CREDIT.is(folded(text))),
  );

/** The columns of a bank's table, from those of lists and the words that only banks use. */
const columnsOf = (list: ListTable): Columns => {
  const found = new Map<Column, number[]>();
  (list.rows[list.header] ?? []).forEach((cell, at) => {
    const words = folded(textOf(cell));
    const role = list.roles[at];
    const cells = list.rows.slice(list.header + 1, list.header + 1 + SAMPLE).map((row) => row[at]);
    const filled = cells.filter((one) => textOf(one) !== '');
    const mostly = (is: (one: Row[number] | undefined) => boolean): boolean =>
      filled.length > 0 && filled.filter(is).length * 1.25 >= filled.length;
    // Beside days, lines of balances have their words here.
    const days = filled.filter((one) => dayIn(list, textOf(one)) !== undefined);
    const dated = filled.length > 0 && days.length * 10 >= filled.length * 6;
    const money = !dated && mostly((one) => amountIn(list, one) !== undefined);
    const give = (column: Column): void => addTo(found, column, at);
    if (dated) give(VALUE_DATE.in(words) !== undefined && !BOOKED.is(words) ? 'valueDate' : 'date');
    else if (money && BALANCE.in(words) !== undefined) give('balance');
    else if (role === 'debit') give('out');
    else if (role === 'credit') give('in');
    else if (money && (role === 'open' || role === 'original' || role === 'base') && !ACCOUNT.is(words)) give('amount');
    else if (isSides(filled.map(textOf))) give('side');
    else if (role === 'currency') give('currency');
    else if (ACCOUNT.is(words) && filled.length > 0) give('account');
    else if (
      !money &&
      (WORDS.in(words) !== undefined || role === 'contactName' || role === 'reference' || role === 'kind')
    )
      give('text');
  });
  const taken = new Set([...found.values()].flat());
  const sample = list.rows.slice(list.header + 1, list.header + 1 + SAMPLE);
  const width = (list.rows[list.header] ?? []).length;
  // A balance that no word names follows from one entry to the next.
  if (!found.has('balance')) {
    const units = (row: Row | undefined, at: number): bigint => {
      const read = amountIn(list, row?.[at]);
      return read === undefined ? 0n : (unitsOf(read, FINEST)?.amount ?? 0n);
    };
    const size = (amount: bigint): bigint => (amount < 0n ? -amount : amount);
    const moves = (['amount', 'in', 'out'] as const).flatMap((column) => found.get(column)?.slice(0, 1) ?? []);
    const moved = (row: Row | undefined): bigint => moves.reduce((sum, at) => sum + size(units(row, at)), 0n);
    const balance = Array.from({ length: width }, (_, at) => at).find((at) => {
      const second = found.get('amount')?.includes(at) === true;
      if ((taken.has(at) && !second) || moves.length === 0 || moves.includes(at)) return false;
      const steps = sample.slice(1).map((row, before) => {
        const step = size(units(row, at) - units(sample[before], at));
        return step !== 0n && (step === moved(row) || step === moved(sample[before]));
      });
      return steps.length > 1 && steps.filter(Boolean).length * 10 >= steps.length * 6;
    });
    if (balance !== undefined) {
      found.set(
        'amount',
        (found.get('amount') ?? []).filter((at) => at !== balance),
      );
      found.set('balance', [balance]);
    }
  }
  // Where no column is called by a word for it, what has words in it says what the entries are.
  if (!found.has('text')) {
    (list.rows[list.header] ?? []).forEach((_, at) => {
      const texts = list.rows.slice(list.header + 1, list.header + 1 + SAMPLE).map((row) => textOf(row[at]));
      const filled = texts.filter((text) => text !== '');
      const worded = filled.filter((text) => /\p{L}{3}/u.test(text) && new Set(filled).size > 1);
      if (!taken.has(at) && filled.length > 0 && worded.length * 2 >= filled.length) addTo(found, 'text', at);
    });
  }
  const [first, second] = found.get('date') ?? [];
  if (first !== undefined && second !== undefined && !found.has('valueDate')) {
    found.set('date', [first]);
    found.set('valueDate', [second]);
  }
  return found;
};

/** A bank's table with what its rows are read by. */
interface BankTable {
  readonly list: ListTable;
  readonly at: (column: Column) => number;
  readonly texts: readonly number[];
  /** The currency that the table says, or empty. */
  readonly currency: string;
}

/** The bank's table in a table; undefined where it has no days with amounts. */
const bankTable = (tables: readonly Table[], sheet: number): BankTable | undefined => {
  const table = tables[sheet];
  const list = table === undefined ? undefined : listTable(withYears(table));
  if (list === undefined) return undefined;
  const columns = columnsOf(list);
  const at = (column: Column): number => columns.get(column)?.[0] ?? -1;
  const amounts = (['amount', 'in', 'out'] as const).map(at);
  if ((at('date') < 0 && at('valueDate') < 0) || amounts.every((one) => one < 0)) return undefined;
  const currency = statedCurrency(tables, {
    sheet,
    header: list.header,
    columns: list.roles.map((_, where) =>
      where === at('currency') ? 'currency' : amounts.includes(where) ? 'balance' : 'ignore',
    ),
  });
  return { list, at, texts: columns.get('text') ?? [], currency: currency ?? '' };
};

/** An amount beside the words of a balance in a row outside of the entries, and the day beside it; below nil where it is paid out. */
const balanceIn = ({ list, at }: BankTable, row: Row, words: Lexicon, digits: number): StatementBalance | undefined => {
  const texts = row.map(textOf);
  if (!texts.some((text) => text.length < 120 && words.in(folded(text)) !== undefined)) return undefined;
  const amounts = row.flatMap((cell, column) => {
    const text = textOf(cell);
    if (dayIn(list, text) !== undefined) return [];
    const behind = text.slice(text.search(/[:\s][-(]?[\d.,' ]{1,20}\)?-?$/) + 1).trim();
    const read = amountIn(list, cell) ?? amountIn(list, behind);
    const units = read === undefined ? undefined : unitsOf(read, digits, typeof cell === 'object');
    if (units === undefined) return [];
    return [column === at('out') ? negate(minor(units.amount)) : minor(units.amount)];
  });
  const amount = amounts.at(-1);
  const day = texts.flatMap((text) => dayIn(list, text) ?? datesIn(text)).at(-1);
  return amount === undefined ? undefined : { date: day ?? null, amount };
};

/** The days that a title names, in its order; of numbers in the list's own. */
const daysOf = (list: ListTable, title: string): readonly string[] => {
  const own = [...title.matchAll(/\d{1,4}[./-]\d{1,2}[./-]\d{1,4}/g)].flatMap(([text]) => dayIn(list, text) ?? []);
  return own.length > 0 ? own : datesIn(title);
};

interface TableEntry extends StatementEntry {
  readonly account: string;
  /** What stands in the account after it, where the table says so. */
  readonly balance: Minor | null;
  readonly currency: string;
}

/** What a row of a bank's table is: an entry, one that does not read, or none. One without a day is of that of the entry before it. */
const entryIn = (
  { list, at, texts: words, currency: common }: BankTable,
  row: Row,
  before: string | undefined,
): TableEntry | 'unread' | undefined => {
  const text = (column: Column): string => textOf(row[at(column)]);
  const day = text(at('date') < 0 ? 'valueDate' : 'date');
  const cells = (['amount', 'in', 'out'] as const).map((column) => row[at(column)]);
  if (cells.every((cell) => !/\d/.test(textOf(cell)))) return undefined;
  // What is only announced is in no balance.
  if (row.some((cell) => textOf(cell).length < 40 && PENDING.is(folded(textOf(cell))))) return undefined;
  const says = (is: (folded: string) => boolean): boolean =>
    row.some((cell) => textOf(cell).length < 120 && is(folded(textOf(cell))));
  const goesOn = day === '' && !says((one) => BALANCE.in(one) !== undefined) && words.some((where) => textOf(row[where]) !== ''); // prettier-ignore
  const date = dayIn(list, day) ?? (goesOn ? before : undefined);
  if (row.some((cell) => totalWords(textOf(cell), NONE) > 0) && dayIn(list, day) === undefined) return undefined;
  if (date === undefined) return 'unread';
  const currency = isCurrency(text('currency')) ? text('currency') : common;
  const digits = currency === '' ? 2 : minorDigits(currency);
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
      return came === undefined || went === undefined || (paidIn ?? paidOut) === undefined
        ? undefined
        : subtract(abs(came), abs(went));
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
    text: words
      .map((where) => textOf(row[where]))
      .filter((one) => one !== '')
      .join(' '),
    account: text('account'),
    balance: after === undefined ? null : (units(after, row[at('balance')]) ?? null),
    currency,
  };
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

/** What a table says of all its entries: the account, the period, the balances before and after. */
interface Told {
  readonly account: string;
  readonly period: readonly string[];
  /** By what stands in the column of accounts. */
  readonly openings: ReadonlyMap<string, StatementBalance>;
  readonly closings: ReadonlyMap<string, StatementBalance>;
}

/** One account's entries as a statement; balances that the table says in lines without an account are those of its only one. */
const statementOf = (entries: readonly TableEntry[], told: Told, alone: boolean): AccountStatement => {
  const own = oldestFirst(entries);
  const [oldest, newest] = [own[0], own.at(-1)];
  const [from, to] = told.period;
  const said = (balances: Told['openings'], day: string | null | undefined): StatementBalance | null => {
    const balance = balances.get(account) ?? (alone ? balances.get('') : undefined);
    return balance === undefined ? null : { ...balance, date: balance.date ?? day ?? null };
  };
  const beside = (entry: TableEntry | undefined, before: boolean): StatementBalance | null =>
    entry === undefined || entry.balance === null
      ? null
      : { date: entry.date, amount: before ? subtract(entry.balance, entry.amount) : entry.balance };
  const account = oldest?.account ?? '';
  const opening = said(told.openings, from ?? oldest?.date) ?? beside(oldest, true);
  const closing = said(told.closings, to ?? newest?.date) ?? beside(newest, false);
  const iban = IBAN.exec(account)?.[0];
  const currency = oldest?.currency ?? '';
  return {
    account: iban !== undefined ? plainIban(iban) : account === '' ? told.account : account,
    currency,
    digits: currency === '' ? 2 : minorDigits(currency),
    from: from ?? opening?.date ?? oldest?.date ?? null,
    to: to ?? closing?.date ?? newest?.date ?? null,
    opening,
    closing,
    entries: own.map(({ date, valueDate, amount, text }) => ({ date, valueDate, amount, text })),
  };
};

/** The account that the lines above the table name: an IBAN, else a number beside the word for one. */
const accountIn = (titles: readonly string[]): string => {
  const iban = IBAN.exec(titles.join('\n'))?.[0];
  if (iban !== undefined) return plainIban(iban);
  const numbers = titles.flatMap((title) =>
    ACCOUNT.in(folded(title)) === undefined ? [] : (NUMBER.exec(title)?.[0].trim() ?? []),
  );
  return numbers[0] ?? '';
};

/** Reads the rows of a bank's table; rows with an amount that are neither entries nor balances are told. */
const readTable = (
  bank: BankTable,
): { readonly entries: readonly TableEntry[]; readonly told: Told; readonly unread: readonly number[] } => {
  const { list, currency } = bank;
  const digits = currency === '' ? 2 : minorDigits(currency);
  const entries: TableEntry[] = [];
  const unread: number[] = [];
  const [openings, closings] = [new Map<string, StatementBalance>(), new Map<string, StatementBalance>()];
  list.rows.forEach((row, at) => {
    if (at === list.header) return;
    // A line of its own may have its words in the column of accounts.
    const beside = textOf(row[bank.at('account')]);
    const account = at > list.header && /\d/.test(beside) && BALANCE.in(folded(beside)) === undefined ? beside : '';
    const says = (balances: Map<string, StatementBalance>, words: Lexicon): boolean => {
      const balance = balanceIn(bank, row, words, digits);
      // The first that is said holds: a later one is of another page.
      if (balance !== undefined && !balances.has(account)) balances.set(account, balance);
      return balance !== undefined;
    };
    const before = says(openings, OPENING);
    if ((!before && says(closings, CLOSING)) || before || at < list.header) return;
    const entry = entryIn(bank, row, entries.at(-1)?.date ?? undefined);
    // "Balance at 31 March", above the entries or below them.
    if (entry !== undefined && entry !== 'unread') entries.push(entry);
    else if (entry === 'unread' && !says(entries.length === 0 ? openings : closings, BALANCE)) unread.push(at + 1);
  });
  // "01/06/2026 to 30/06/2026": the period of the statement.
  const period = list.titles.map((title) => daysOf(list, title)).find((days) => days.length === 2) ?? [];
  return { entries, told: { account: accountIn(list.titles), period, openings, closings }, unread };
};

/**
 * The statements in a bank's table: entries with their days, amounts in one column or by in and out, oldest first whatever the table's
 * order. Balances come from its own lines, else from the balance beside each entry.
 */
export const readStatementTable = (tables: readonly Table[], name: string): Result<StatementsRead> => {
  const statements: AccountStatement[] = [];
  const doubts: Problem[] = [];
  tables.forEach((_, sheet) => {
    const bank = bankTable(tables, sheet);
    if (bank === undefined) return;
    const { entries, told, unread } = readTable(bank);
    const byAccount = new Map<string, TableEntry[]>();
    for (const entry of entries) addTo(byAccount, entry.account, entry);
    const first = statements.length;
    for (const own of byAccount.values()) statements.push(statementOf(own, told, byAccount.size === 1));
    if (statements.length === first) return;
    for (const row of unread)
      doubts.push(
        problem('statement.entry', `Row ${row} has an amount or a day that does not read, so it is left out.`, first),
      );
    if (bank.list.unnamed)
      doubts.push(
        problem(
          'statement.columns',
          'Hardly a word in the header is known here; what its columns are was told by what is in them. Look at each.',
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
