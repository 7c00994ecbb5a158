import { folded } from '../base/folded';
import { type Problem, type Result, fail, ok, problem } from '../base/result';
import { type Row, type Table, textOf } from '../base/table';
import { isCurrency, minorDigits } from '../money/currency';
import { type Minor, minor } from '../money/minor';
import type { PaperAmount } from '../money/paper-amount';
import { datesIn } from '../papers/dates-in';
import { statedCurrency } from '../papers/stated-currency';
import { lexicon } from '../words/lexicon';
import { type AccountStatement, type StatementBalance, type StatementEntry, type StatementsRead } from './camt';
import { type ListTable, amountIn, dayIn, listTable } from './list-table';

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
  'account, account number, account no, iban, konto, kontonummer, compte, n compte, cuenta, conto, conta, rekening, rekeningnummer, rachunek, nr rachunku, cislo uctu, ucet, szamlaszam, tili, tilinumero, cont, λογαριασμος, hesap no, auftragskonto',
);
const OPENING = lexicon(
  'opening balance, balance brought forward, brought forward, previous balance, start balance, anfangssaldo, alter saldo, saldovortrag, anfangsbestand, kontostand am anfang, solde initial, ancien solde, solde precedent, saldo inicial, saldo anterior, saldo iniziale, beginsaldo, vorig saldo, saldo poczatkowe, pocatecni zustatek, nyito egyenleg, ingaende saldo, primosaldo, inngaende saldo, alkusaldo, sold initial, υπολοιπο εναρξης, devreden bakiye, acilis bakiyesi',
);
const CLOSING = lexicon(
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

const IBAN = /\b[A-Z]{2}\d{2}(?:\s?[A-Z\d]{2,4}){3,8}\b/;
const NUMBER = /(?:\*|x|\d)[\d*x\s-]{4,25}\d/i;

/** The columns of a bank's table, from those of lists and the words that only banks use. */
const columnsOf = (list: ListTable): ReadonlyMap<Column, readonly number[]> => {
  const found = new Map<Column, number[]>();
  const names = (list.rows[list.header] ?? []).map(textOf);
  const give = (column: Column, at: number): void => void found.set(column, [...(found.get(column) ?? []), at]);
  names.forEach((name, at) => {
    const words = folded(name);
    const role = list.roles[at];
    const body = list.rows.slice(list.header + 1, list.header + 60).map((row) => textOf(row[at]));
    const filled = body.filter((text) => text !== '');
    const dated =
      filled.length > 0 && filled.filter((text) => dayIn(list, text) !== undefined).length * 1.25 >= filled.length;
    const money =
      filled.length > 0 &&
      !dated &&
      filled.filter((text) => amountIn(list, text) !== undefined).length * 1.25 >= filled.length;
    if (dated) {
      if (VALUE_DATE.in(words) !== undefined && !BOOKED.is(words)) give('valueDate', at);
      else give('date', at);
    } else if (money && BALANCE.in(words) !== undefined) give('balance', at);
    else if (role === 'debit') give('out', at);
    else if (role === 'credit') give('in', at);
    else if (money && (role === 'open' || role === 'original' || role === 'base') && !ACCOUNT.is(words))
      give('amount', at);
    else if (isSides(filled)) give('side', at);
    else if (role === 'currency') give('currency', at);
    else if (ACCOUNT.is(words) && filled.length > 0) give('account', at);
    else if (
      !money &&
      (WORDS.in(words) !== undefined || role === 'contactName' || role === 'reference' || role === 'kind')
    )
      give('text', at);
  });
  const dates = found.get('date') ?? [];
  if (dates.length > 1 && !found.has('valueDate')) {
    found.set('date', dates.slice(0, 1));
    found.set('valueDate', dates.slice(1, 2));
  }
  return found;
};

/** Whether a column says of each amount whether it came in or went out. */
const isSides = (texts: readonly string[]): boolean =>
  texts.length > 0 &&
  texts.every((text) => IN.is(folded(text)) || OUT.is(folded(text)) || text === '+' || text === '-') &&
  texts.every((text) => text.length <= 12);

const units = ({ coefficient, scale }: PaperAmount, digits: number): Minor =>
  minor(scale <= digits ? coefficient * 10n ** BigInt(digits - scale) : coefficient / 10n ** BigInt(scale - digits));

/** An amount beside the words of a balance in a row outside of the entries, and the day beside it. */
const balanceIn = (list: ListTable, row: Row, words: typeof OPENING, digits: number): StatementBalance | undefined => {
  const texts = row.map(textOf);
  if (!texts.some((text) => text.length < 120 && words.in(folded(text)) !== undefined)) return undefined;
  const amounts = row.flatMap((cell) => {
    const text = textOf(cell);
    if (dayIn(list, text) !== undefined) return [];
    const read =
      amountIn(list, cell) ?? amountIn(list, text.slice(text.search(/[:\s][-(]?[\d.,' ]{1,20}\)?-?$/) + 1).trim());
    return read === undefined ? [] : [units(read, digits)];
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

interface Found extends StatementEntry {
  readonly account: string;
  readonly balance: Minor | null;
  readonly currency: string;
}

/**
 * The statements in a bank's table: entries with their days, amounts in one column or by in and out, oldest first whatever the table's
 * order. Balances come from its own lines, else from the balance beside each entry.
 */
export const readStatementTable = (tables: readonly Table[], name: string): Result<StatementsRead> => {
  const none = fail(
    problem(
      'statement.none',
      `${name} has no row that names the columns of a bank statement, such as date, text and amount. Bring the bank’s own file (camt.053), or give the columns such names.`,
    ),
  );
  const doubts: Problem[] = [];
  const statements: AccountStatement[] = [];
  for (const [at, table] of tables.entries()) {
    const list = listTable(table);
    if (list === undefined) continue;
    const columns = columnsOf(list);
    const column = (which: Column): number => columns.get(which)?.[0] ?? -1;
    const [day, amountAt, inAt, outAt] = [
      column('date') < 0 ? column('valueDate') : column('date'),
      column('amount'),
      column('in'),
      column('out'),
    ];
    if (day < 0 || (amountAt < 0 && inAt < 0 && outAt < 0)) continue;
    const common = statedCurrency(tables, {
      sheet: at,
      header: list.header,
      columns: list.roles.map((_, where) =>
        where === column('currency') ? 'currency' : [amountAt, inAt, outAt].includes(where) ? 'balance' : 'ignore',
      ),
    });
    const first = textOf(list.rows[list.header + 1]?.[column('currency')]);
    const base = common ?? (isCurrency(first) ? first : '');
    const digits = base === '' ? 2 : minorDigits(base);
    const head = list.titles.join('\n');
    const named =
      IBAN.exec(head)?.[0].replaceAll(' ', '') ??
      NUMBER.exec(list.titles.find((title) => ACCOUNT.in(folded(title)) !== undefined) ?? '')?.[0].trim() ??
      '';
    // "01/06/2026 to 30/06/2026": the period of the statement.
    const period = list.titles.map((title) => daysOf(list, title)).find((days) => days.length === 2) ?? [];
    const entries: Found[] = [];
    let [opening, closing]: (StatementBalance | undefined)[] = [];
    for (const row of list.rows.slice(0, list.header)) {
      opening ??= balanceIn(list, row, OPENING, digits);
      closing ??= balanceIn(list, row, CLOSING, digits);
    }
    list.rows.slice(list.header + 1).forEach((row) => {
      const texts = row.map(textOf);
      if (texts.every((text) => text === '')) return;
      const whole = amountAt < 0 ? undefined : amountIn(list, row[amountAt]);
      const paidIn = inAt < 0 ? undefined : amountIn(list, row[inAt]);
      const paidOut = outAt < 0 ? undefined : amountIn(list, row[outAt]);
      const date = dayIn(list, texts[day] ?? '');
      const own = balanceIn(list, row, OPENING, digits);
      const end = balanceIn(list, row, CLOSING, digits);
      const balance = column('balance') < 0 ? undefined : amountIn(list, row[column('balance')]);
      if (own !== undefined || end !== undefined) {
        if (own !== undefined) opening ??= own;
        else closing ??= end;
        return;
      }
      if (date === undefined || (whole === undefined && paidIn === undefined && paidOut === undefined)) return;
      if (texts.some((text) => text.length < 40 && PENDING.is(folded(text)))) return;
      const side = texts[column('side')] ?? '';
      const wentOut = side === '-' || OUT.is(folded(side));
      const absolute = (read: PaperAmount): Minor => {
        const value = units(read, digits);
        return value < 0n ? minor(-value) : value;
      };
      const amount =
        whole !== undefined
          ? whole.side === undefined
            ? column('side') >= 0 && side !== ''
              ? minor(wentOut ? -absolute(whole) : absolute(whole))
              : units(whole, digits)
            : minor(whole.side === 'credit' ? absolute(whole) : -absolute(whole))
          : minor((paidIn === undefined ? 0n : absolute(paidIn)) - (paidOut === undefined ? 0n : absolute(paidOut)));
      entries.push({
        date,
        valueDate: dayIn(list, texts[column('valueDate')] ?? '') ?? null,
        amount,
        text: (columns.get('text') ?? [])
          .map((where) => texts[where] ?? '')
          .filter((text) => text !== '')
          .join(' '),
        account: texts[column('account')] ?? '',
        balance: balance === undefined ? null : units(balance, digits),
        currency: isCurrency(texts[column('currency')] ?? '') ? (texts[column('currency')] ?? base) : base,
      });
    });
    const accounts = [...new Set(entries.map(({ account }) => account))];
    for (const account of accounts) {
      const listed = entries.filter((one) => one.account === account);
      const [start, stop] = [listed[0]?.date ?? '', listed.at(-1)?.date ?? ''];
      const chained = (order: readonly Found[]): number =>
        order.filter((one, place) => {
          const before = order[place - 1];
          return (
            before !== undefined &&
            before.balance !== null &&
            one.balance !== null &&
            before.balance + one.amount === one.balance
          );
        }).length;
      const newestFirst = start > stop || (start === stop && chained([...listed].reverse()) > chained(listed));
      const own = newestFirst ? [...listed].reverse() : listed;
      const [oldest, newest] = [own[0], own.at(-1)];
      const alone = accounts.length === 1;
      const before: StatementBalance | null =
        (alone ? opening : undefined) ??
        (oldest === undefined || oldest.balance === null
          ? null
          : { date: oldest.date, amount: minor(oldest.balance - oldest.amount) });
      const after: StatementBalance | null =
        (alone ? closing : undefined) ??
        (newest === undefined || newest.balance === null ? null : { date: newest.date, amount: newest.balance });
      const called = IBAN.exec(account)?.[0].replaceAll(' ', '') ?? (account === '' ? named : account);
      const sum = own.reduce((all, { amount }) => all + amount, 0n);
      const place = statements.length;
      if (before === null || after === null)
        doubts.push(
          problem(
            'statement.no-balance',
            `The statement${called === '' ? '' : ` of ${called}`} has no balance before or after its entries.`,
            place,
          ),
        );
      else if (before.amount + sum !== after.amount)
        doubts.push(
          problem(
            'statement.sum',
            `The opening balance${called === '' ? '' : ` of ${called}`} and the entries do not come to the closing balance.`,
            place,
          ),
        );
      if (!list.ordered)
        doubts.push(
          problem(
            'statement.dates',
            'No date says whether its day or its month is first; they are read with the day first.',
            place,
          ),
        );
      statements.push({
        iban: /^[A-Z]{2}\d{2}/.test(called) ? called : null,
        account: called,
        currency: own[0]?.currency ?? base,
        digits,
        from: period[0] ?? before?.date ?? oldest?.date ?? null,
        to: period[1] ?? after?.date ?? newest?.date ?? null,
        opening: before === null ? null : { ...before, date: before.date ?? period[0] ?? oldest?.date ?? null },
        closing: after === null ? null : { ...after, date: after.date ?? period[1] ?? newest?.date ?? null },
        entries: own.map(({ date, valueDate, amount, text }) => ({ date, valueDate, amount, text })),
      });
    }
  }
  return statements.length === 0 ? none : ok({ statements, doubts });
};
