import { folded } from '../base/folded';
import { lexicon } from '../words/lexicon';
import { best } from './list-columns';
import type { Naming } from './list-header';

/** Words of a bank's table beyond those of lists. */
export const VALUE_DATE = lexicon(
  'value date, val date, value, valuta, wertstellung, valutadatum, wert, date de valeur, date valeur, valeur, fecha valor, f valor, data valuta, valuta, data valor, valutadatum, rentedatum, data waluty, datum valuty, valuta datum, erteknap, valoordatum, rentedato, valuteringsdag, arvopaiva, data valutei, valor tarihi',
);
export const BOOKED = lexicon(
  'date, booking date, posted, posting date, transaction date, book date, buchungstag, buchungsdatum, buchung, datum, date operation, date comptable, fecha, fecha operacion, data, data contabile, data operazione, data movimento, boekdatum, transactiedatum, data ksiegowania, data operacji, datum zauctovani, konyveles napja, bokforingsdag, transaktionsdag, transaktionsdatum, bogfort, transaktionsdato, tapahtumapaiva, dato, bokfort, kirjauspaiva, data tranzactiei, ημερομηνια, tarih, islem tarihi',
);
export const WORDS = lexicon(
  'description, details, text, narrative, transaction, payee, payee name, merchant, merchant name, counterparty, counterparty name, beneficiary, particulars, memo, reference, verwendungszweck, buchungstext, empfanger, auftraggeber, beguenstigter, libelle, nature, concepto, descripcion, descrizione, causale, descricao, historico, omschrijving, mededelingen, tegenpartij, tytul, opis, opis operacji, popis, poznamka, kozlemeny, leiras, beskrivning, meddelande, tekst, beskrivelse, viesti, selite, saaja, descriere, detalii, aciklama, αιτιολογια',
);
export const BALANCE = lexicon(
  '残高, 差引残高, 余额, balance, running balance, bokfort saldo, bogfort saldo, ledger balance, booked balance, gebuchter saldo, account balance, saldo, kontostand, saldo nach buchung, solde, saldo contable, saldo contabile, saldo disponibile, saldo po transakcji, saldo po operacji, zustatek, egyenleg, saldo, sold, υπολοιπο, bakiye',
);
export const ACCOUNT = lexicon(
  '口座番号, 口座, 账号, 계좌번호, rachunku, nr rachunku, konta, uctu, cisla uctu, szamla, szamlaszam, tilin, contului, λογαριασμου, hesap, *konto, *kontonr, *kontonummer, card, card no, card number, kort, kortnr, karte, kartennummer, carte, n carte, tarjeta, carta, kaart, kaartnummer, karta, nr karty',
  'account, account number, account no, acct, acct no, acct number, a c, a c no, a c number, iban, konto, kontonummer, compte, n compte, cuenta, conto, conta, rekening, rekeningnummer, rachunek, nr rachunku, cislo uctu, ucet, szamlaszam, tili, tilinumero, cont, λογαριασμος, hesap no, auftragskonto',
);
export const OPENING = lexicon(
  'beginning balance, balance forward, 繰越, 前月繰越, 前期繰越, 期首残高, 期初余额, saldo wejsciowe, stav na zaciatku, saldo ved periodens start, saldo ved periodens begyndelse, startsaldo, saldo primo, balance at start, balance on, opening, start of period, saldo a inicio, saldo al inicio, solde au debut, anfangsstand, saldo na poczatek, stav na pocatku',
  'kontostand alt, alter kontostand, saldo alt, opening balance, balance brought forward, brought forward, previous balance, start balance, anfangssaldo, alter saldo, saldovortrag, anfangsbestand, kontostand am anfang, solde initial, ancien solde, solde precedent, saldo inicial, saldo anterior, saldo iniziale, beginsaldo, vorig saldo, saldo poczatkowe, pocatecni zustatek, nyito egyenleg, ingaende saldo, primosaldo, inngaende saldo, alkusaldo, sold initial, υπολοιπο εναρξης, devreden bakiye, acilis bakiyesi',
);
export const CLOSING = lexicon(
  'ending balance, balance at close, 次月繰越, 次期繰越, 期末残高, 期末余额, saldo wyjsciowe, konecny zostatok, saldo ved periodens slut, saldo ved periodens slutning, slutsaldo, saldo ultimo, balance at end, closing, end of period, saldo al final, saldo al cierre, solde a la fin, endstand, saldo na koniec, stav na konci',
  'kontostand neu, neuer kontostand, saldo neu, closing balance, balance carried forward, carried forward, new balance, end balance, endsaldo, neuer saldo, schlusssaldo, endbestand, kontostand am ende, solde final, nouveau solde, saldo final, saldo finale, eindsaldo, nieuw saldo, saldo koncowe, konecny zustatek, zaro egyenleg, utgaende saldo, ultimosaldo, utgaende saldo, loppusaldo, sold final, τελικο υπολοιπο, kapanis bakiyesi',
);
/** On which side a balance stands, beside its word: money in the bank, or owed to it. */
export const IN_CREDIT = lexicon(
  'crediteur, en votre faveur, acreedor, a favor, a su favor, creditore, a credito, a vostro credito, credor, a seu favor, in credit, credit balance, haben, guthaben, zu ihren gunsten, tegoed, kredytowe, kreditni',
);
export const IN_DEBIT = lexicon(
  'debiteur, en notre faveur, deudor, a nuestro favor, en descubierto, debitore, a debito, a nostro credito, devedor, a descoberto, overdrawn, in debit, debit balance, soll, zu unseren gunsten, debetowe, debetni',
);
/** Beside the day that a statement is of. */
export const STATED_ON = lexicon(
  'statement date, date of statement, statement of, statement as at, statement at, closing date, auszug vom, kontoauszug vom, kontoauszug zum, abrechnung vom, auszugsdatum, abrechnungsdatum, date du releve, date de releve, releve du, releve au, date d arrete, arrete au, fecha del extracto, fecha extracto, extracto a, data estratto, data estratto conto, estratto conto al, data do extrato, extrato de, afschriftdatum, datum afschrift, afschrift van, data wyciagu, wyciag z dnia, datum vypisu, vypis ze dne, kivonat datuma, kontoutdragsdatum, kontoutdrag per, kontoutskrift per, kontoudtog pr, tiliotteen pvm, data extrasului, ημερομηνια κινησης, ekstre tarihi, 明細日付',
);
export const PENDING = lexicon(
  'pending, vorgemerkt, en attente, pendiente, in sospeso, in behandeling, oczekujaca, odotta*, reserverad, authorised, not booked',
);

/** How well a text names a column of a bank's table, by the words of lists and by those of banks. */
export const bankNaming: Naming = (text) => {
  const name = folded(text);
  const known = [BOOKED, VALUE_DATE, WORDS, BALANCE].some((words) => words.in(name) !== undefined);
  return Math.max(best(text), known ? 2 : 0);
};

/** Sides as banks' tables write them, where not as debit and credit. */
export const IN = lexicon(
  'bij, in, plus, c, cr, h, haben, kredit, credit, crdt, +, ct, uznanie, gutschrift, abono, entrata, inn',
);
export const OUT = lexicon(
  'af, uit, ut, ud, minus, d, dr, s, soll, debet, debit, dbit, dt, obciazenie, lastschrift, cargo, uscita',
);

/** Says that a table is of a card, which writes what was spent above nil. */
export const CARD = lexicon(
  'card, company card, business card, corporate card, fuel card, purchasing card, card statement, card member, card holder, cardholder, cardmember, credit card, card account, charge card, card ending, card number, card no, credit limit, minimum payment, kreditkarte*, kartenabrechnung, kartennummer, carte de credit, carte bancaire, releve de carte, carte, tarjeta, tarjeta de credito, carta di credito, cartao, cartao de credito, creditcard, kaartnummer, karta kredytowa, karty kredytowej, kreditni karta, kreditni karty, hitelkartya, kreditkort, kortutdrag, kontokort, luottokortti, luottokortin, card de credit, cardul, kredi karti, πιστωτικη καρτα, πιστωτικης καρτας, カード, 信用卡',
);
