import { type Row, type Table, folded, textOf } from '../base/table';
import { type Lexicon, lexicon } from '../words/lexicon';

/** Words by which lists of accounts name their columns, in the languages of the papers; a column that has none is told by its cells. */
const WORDS = {
  code: lexicon(
    'code, account code, acc code, account no, account number, account id, accountid, no, nr, number, nominal, nominal code, gl code, gl account, ledger code, acct, acct no, acct code, a c, a c no, account',
    'konto, kontonr, konto nr, kontonummer, sachkonto, konto st, kontokod, lykill, bokhaldslykill, tili, tilinumero, tilinro, tilikoodi, konto number, rekening, rekeningnummer, grootboekrekening, grootboeknummer, grootboek',
    'ucet, cislo uctu, cislo, kod uctu, kod, kod konta, numer konta, nr konta, symbol konta, symbol, szam, szamlaszam, fokonyvi szam, fokonyvi szamla, fksz, sifra konta, saskaita, saskaitos nr, konts, konta numurs',
    'compte, numero, numero compte, n compte, no compte, code compte, cuenta, codigo, codigo cuenta, no cuenta, n cuenta, conto, codice, codice conto, conta, codigo da conta, no conta, n conta, cont, numar cont, simbol cont',
    'λογαριασμος, κωδικος, κωδικος λογαριασμου, hesap, hesap kodu, hesap no, счет, номер счета, код счета, код, рахунок, номер рахунку, сметка, номер на сметка, חשבון, מספר חשבון, رقم الحساب, كود الحساب, 勘定科目コード, 科目コード, コード, 科目编码, 编码, 代码, 계정코드, 코드',
  ),
  name: lexicon(
    'name, account name, account title, title, description, account description, accountdescription, ledger name, nominal name, label',
    'bezeichnung, kontobezeichnung, kontoname, titel, navn, kontonavn, benamning, kontobenamning, kontonamn, nimi, tilin nimi, selite, nimike, nimetus, heiti, nafn, naam, omschrijving, rekeningnaam',
    'nazev, nazev uctu, popis, nazwa, nazwa konta, opis, nazov, nazov uctu, nev, megnevezes, szamla neve, szamla megnevezese, naziv, naziv konta, opis konta, pavadinimas, nosaukums',
    'libelle, intitule, intitule du compte, libelle du compte, nom, nombre, nombre cuenta, descripcion, denominacion, descrizione, descrizione conto, denominazione, nome, nome da conta, descricao, designacao, denumire, denumirea contului, explicatie',
    'ονομασια, περιγραφη, ad, adi, hesap adi, aciklama, наименование, название, наименование счета, назва, назва рахунку, име, שם, שם חשבון, اسم الحساب, البيان, 科目名, 勘定科目, 勘定科目名, 名称, 科目名称, 계정과목, 계정명',
  ),
  type: lexicon(
    'type, account type, acc type, accounttype, category, account category, class, fs category, reporting category, nature',
    'typ, kontoart, kontotyp, kontenart, kontoklasse, kontotype, tyyppi, tilityyppi, tililaji, tegund, soort, soort rekening, rekeningsoort, tuup, liik',
    'druh, druh uctu, typ uctu, rodzaj, rodzaj konta, typ konta, tipus, jelleg, vrsta, vrsta konta, tip konta, tipas, veids',
    'categorie, type de compte, tipo, tipo cuenta, naturaleza, clase, tipo conto, natura, natureza, tipo de conta, tip, tip cont, tipul contului, functie',
    'τυπος, ειδος, tur, hesap turu, hesap tipi, тип, вид, тип счета, тип рахунку, вид на сметка, סוג, סוג חשבון, النوع, نوع الحساب, 区分, 種別, 類別, 类别, 类型, 구분, 계정구분',
  ),
  line: lexicon(
    'statement line, line, report line, fs line, statement, classification, balance sheet line, reporting group, gliederung, radek vykazu, rubrique, groupingcategory',
  ),
  kind: lexicon('heading or posting, kind, posting, heading, header, level type, posting type, account kind'),
  parent: lexicon(
    'under heading, parent, parent account, parent code, heading code, group, sub account of, subaccount of, belongs to, groupingcode, gruppe, obergruppe, skupina, nadrazeny ucet, konto nadrzedne, grupa, groupe, compte parent, grupo, cuenta padre, gruppo, conto padre, groep, paaryhma, ylatili, overkonto, sumakonto, conta pai, conta superior, parinte, fokonto, ust hesap, родитель, группа, 親科目, 上级科目, 상위계정',
  ),
  side: lexicon(
    'side, normal side, normal balance, balance side, dr cr, d c, wn ma, seite, strana, sens, saldosida, md dal',
  ),
  role: lexicon('role, use, purpose, function'),
  currency: lexicon(
    'currency, ccy, wahrung, mena, devise, moneda, valuta, valuta kode, waluta, devizanem, penznem, moeda, divisa, valuutta, valiuta, valuuta, para birimi, νομισμα, валюта, מטבע, العملة, 通貨, 币种, 통화, mynt',
  ),
  state: lexicon('state, status, active, inactive, aktiv, aktivni, aktywne, actif, activo, attivo, ativo'),
  tax: lexicon(
    'tax code, tax, vat code, vat, steuercode, steuer, dph, tva, iva, btw, mva, moms, momskod, momskode, alv',
  ),
  note: lexicon('note, notes, remark, remarks, comment, comments, notiz, bemerkung, poznamka, remarque, nota, uwagi'),
  origin: lexicon('why it is here, origin, source'),
  number: lexicon('bank account number, bank account no, bankkonto'),
  routing: lexicon(
    'bank code, sort code, routing number, routing, bankleitzahl, blz, bsb, bsb number, branch code, clearing number, ifsc',
  ),
  iban: lexicon('iban'),
  bic: lexicon('bic, swift, swift code, bic swift'),
  alert: lexicon('alert below, minimum balance'),
  reconciled: lexicon('reconciled, reconcile'),
  day: lexicon('statement day'),
  documents: lexicon('on documents'),
} as const satisfies Readonly<Record<string, Lexicon>>;

/** What only says that a column is of accounts: it names the codes where it stands alone, and nothing beside other words. */
const ACCOUNT = lexicon(
  'account, accounts, acct, konto, konta, ucet, uctu, szamla, compte, cuenta, conto, conta, cont, tili, tilin, hesap, rekening, счет, счета, рахунок, сметка',
);

export type NamedColumn = keyof typeof WORDS;
const COLUMNS = Object.keys(WORDS) as readonly NamedColumn[];
/** Columns that a longer title still names: "Account number (GL)". */
const NAMED_WITHIN: readonly NamedColumn[] = ['code', 'name', 'type', 'parent', 'currency', 'line'];

/** The column that a title names: in whole, in what stands before its brackets, by what it says beside the account, or by a word within. */
export const columnNamed = (title: string): NamedColumn | undefined => {
  const words = folded(title);
  if (words === '' || title.length > MOST_TITLE) return undefined;
  const bare = folded(title.replace(/[([].*/u, ''));
  const beside = words
    .split(' ')
    .filter((word) => !ACCOUNT.is(word))
    .join(' ');
  const within = (column: NamedColumn): number => {
    const found = WORDS[column].in(words);
    return found === undefined || ACCOUNT.is(found) ? 0 : found.length;
  };
  return (
    COLUMNS.find((column) => WORDS[column].is(words)) ??
    COLUMNS.find((column) => bare !== '' && WORDS[column].is(bare)) ??
    COLUMNS.find((column) => beside !== '' && WORDS[column].is(beside)) ??
    NAMED_WITHIN.map((column) => ({ column, length: within(column) }))
      .filter(({ length }) => length * 2 > words.length)
      .sort((one, other) => other.length - one.length)[0]?.column
  );
};
const MOST_TITLE = 60;

const LOOKED_AT = 30;

/** The row that names the most columns, two of them at least; -1 where none does. */
const namedHeader = (rows: readonly Row[]): { readonly at: number; readonly hits: number } => {
  let best = { at: -1, hits: 0 };
  rows.slice(0, LOOKED_AT).forEach((row, at) => {
    const found = new Set(row.flatMap((cell) => columnNamed(textOf(cell)) ?? []));
    const hits = found.size + (found.has('name') || found.has('code') ? 1 : 0);
    // The rows below may have words of their own that name columns; the first of equals is the header.
    if (found.size >= 2 && hits > best.hits && (found.has('name') || found.has('code'))) best = { at, hits };
  });
  return best;
};

export const isCode = (text: string): boolean => /^\p{L}{0,3}\d[\d.\-/]{0,15}$/u.test(text.trim());
/** So many of the rows have a code where codes stand. */
const MOSTLY = 0.6;

/** The column of codes, by what is in it; -1 where none is. */
export const codesAt = (rows: readonly Row[], width: number): number =>
  Array.from({ length: width }, (_, at) => at).findIndex(
    (at) => rows.filter((row) => isCode(textOf(row[at]))).length > MOSTLY * Math.max(1, rows.length),
  );

/** Where no word is known: the last row of several texts above the first one with a code in the column of codes. */
const headerByCodes = (table: Table, width: number): number => {
  const body = table.rows.slice(0, LOOKED_AT * 10);
  const code = codesAt(body.slice(-Math.ceil(body.length * 0.9)), width);
  if (code < 0) return -1;
  const first = table.rows.findIndex((row) => isCode(textOf(row[code])));
  const titles = (row: Row | undefined): number =>
    (row ?? []).filter((cell) => /\p{L}/u.test(textOf(cell)) && textOf(cell).length <= MOST_TITLE).length;
  const above = table.rows[first - 1];
  return first > 0 && titles(above) >= 2 && textOf(above?.[code]) !== '' ? first - 1 : -1;
};

/** Where the header of a list of accounts stands: by its words, else by where its codes begin; -1 where it has none. */
export const chartHeader = (table: Table, width: number): { readonly at: number; readonly hits: number } => {
  const named = namedHeader(table.rows);
  return named.at >= 0 ? named : { at: headerByCodes(table, width), hits: 0 };
};
