import { folded } from '../base/folded';
import { type Problem, problem } from '../base/result';
import { type Table, textOf } from '../base/table';
import { type Currency, isCurrency } from '../money/currency';
import { headerTexts } from '../papers/header';
import { countryIn } from '../words/countries';
import { type Lexicon, lexicon } from '../words/lexicon';
import { termsIn } from './list-terms';
import { COLUMN_WORDS, CUSTOMERS, REGISTRATION_WORDS, SUPPLIERS, TAX_NUMBER_WORDS } from './list-words';
import { nearTwins } from './twins';

export type ContactRole = 'customer' | 'supplier' | 'both' | 'other';

/** A contact of a list, as it stands there. */
export interface ListedContact {
  readonly row: number;
  readonly code: string | null;
  readonly name: string;
  readonly role: ContactRole;
  /** ISO 3166-1 alpha-2, where the list has it so or the tax number begins with it. */
  readonly country: string | null;
  readonly taxNumber: string | null;
  readonly termDays: number | null;
  /** Those days count from the end of the document's month. */
  readonly monthEnd: boolean;
  readonly currency: Currency | null;
  readonly email: string | null;
}

export interface ContactsRead {
  readonly items: readonly ListedContact[];
  /** Rows that look like one contact entered twice. */
  /** So many columns are named that only lists of contacts have. */
  readonly own: number;
  readonly nearDuplicates: readonly (readonly [number, number])[];
  readonly doubts: readonly Problem[];
}

/** Of contacts, what says when something is due says on which terms. */
const DUE = lexicon(
  'payment period, credit period, payment due, zahlungsfrist, frist, faelligkeit, falligkeit, echeance, vencimiento, scadenza, scadenza pagamento, vencimento, vervaltermijn, betalingstermijn, termin platnosci, splatnost, fizetesi hatarido, hatarido, betalningstid, betalingsfrist, forfall, forfald, maksuaika, erapaiva, scadenta, termen plata, προθεσμια, vade, отсрочка, 支払期限',
);
const TERMS: Lexicon = {
  in: (text) => COLUMN_WORDS.terms.in(text) ?? DUE.in(text),
  is: (text) => COLUMN_WORDS.terms.is(text) || DUE.is(text),
};

const WORDS = {
  code: COLUMN_WORDS.contactCode,
  name: COLUMN_WORDS.contactName,
  role: lexicon(
    'тип, тип контрагента, вид, vrsta, tipas, veids, liik, tegund, סוג, النوع, 유형',
    'ledger, ledger type, 区分, 種別, 取引区分, 类型, 类别',
    'type, kind, role, category, contact type, art, typ, rolle, type de tiers, categorie, tipo, clase, categoria, soort, rodzaj, typ kontrahenta, tipus, typ partnera, tyyppi, tip, is, relationship',
  ),
  country: lexicon(
    'страна, країна, държава, drzava, salis, valsts, riik, מדינה, البلد, الدولة, 국가',
    '国, 国名, country, country code, land, landesk, pays, code pays, pais, cod pais, paese, nazione, stato, kraj, zeme, stat, orszag, maa, tara, χωρα, ulke, land kode',
  ),
  taxNumber: TAX_NUMBER_WORDS,
  termDays: TERMS,
  currency: COLUMN_WORDS.currency,
  email: lexicon(
    'почта, электронная почта, електронна пошта, имейл, e posta, el pastas, epasts, netfang, דואל, אימייל, البريد الالكتروني, 이메일',
    'メール, メールアドレス, email, e mail, mail, email address, e mail adresse, mailadresse, courriel, adresse mail, correo, correo electronico, posta elettronica, e post, epost, sahkoposti, adres e mail, eposta, e posta',
  ),
} as const;
type ContactColumn = keyof typeof WORDS;
/** Columns of contacts that no list of documents has, as a rule. */
const OWN: ReadonlySet<ContactColumn> = new Set(['role', 'country', 'taxNumber', 'termDays', 'email']);
const COLUMNS = Object.keys(WORDS) as readonly ContactColumn[];

const roleOf = (text: string, fallback: ContactRole): ContactRole => {
  const words = folded(text);
  if (words === '') return fallback;
  const [customer, supplier] = [CUSTOMERS.in(words) !== undefined, SUPPLIERS.in(words) !== undefined];
  if (
    (customer && supplier) ||
    /^(both|beide|beides|les deux|ambos|entrambi|oba|oboje|obe|mindketto|bada|bade|begge|molemmat|ambele|c s|k l|cs|b)$/.test(
      words,
    )
  )
    return 'both';
  if (customer || /^(c|cust|k|d|deb|cli|cl|sl|ar)$/.test(words)) return 'customer';
  if (supplier || /^(s|supp|l|v|f|kred|cred|four|prov|for|pl|ap)$/.test(words)) return 'supplier';
  return 'other';
};

const YES = /^(?:y|yes|x|1|true|j|ja|oui|si|s|sim|tak|ano|igen|kylla|da|ναι|evet)$/;
const YES_OR_NO =
  /^(?:y|yes|x|1|true|j|ja|oui|o|si|s|sim|tak|t|ano|a|igen|i|kylla|da|ναι|evet|n|no|0|false|nein|non|nao|nie|ne|nem|nej|nei|ei|nu|οχι|hayir)?$/;

/** Whether a column only says yes or no. */
const isFlag = (table: Table, header: number, column: number): boolean => {
  const texts = table.rows.slice(header + 1, header + 60).map((row) => folded(textOf(row[column])));
  return texts.some((text) => text !== '') && texts.every((text) => YES_OR_NO.test(text));
};

/** Columns of the people whom one asks, not of what the company is called. */
const PERSON = lexicon(
  'first name, last name, given name, surname, contact person, person, attention, ansprechpartner, vorname, nachname, prenom, interlocuteur, apellidos, persona de contacto, nome proprio, cognome, referente, voornaam, achternaam, contactpersoon, imie, nazwisko, osoba kontaktowa, jmeno, prijmeni, kontaktni osoba, kontaktperson, fornavn, etternavn, efternamn, fornamn, etunimi, sukunimi, yhteyshenkilo, kapcsolattarto, persoana de contact, 担当者',
);

/** Codes of places, of nobody. */
const POSTAL = lexicon(
  'postal code, post code, postcode, zip, zip code, zip postal code, country code, bank code, sort code, plz, postleitzahl, code postal, codigo postal, cp, cap, cep, psc, kod pocztowy, postnr, postnummer, irsz, iranyitoszam, postinumero, cod postal, ταχυδρομικος κωδικας, posta kodu, 郵便番号, 邮编',
);

/** Columns of where somebody is, which nobody is called by. */
const ADDRESS = lexicon(
  'address, street, street address, address line*, line 1, line 2, town, city, place, county, state, province, region, building, strasse, str, anschrift, adresse, ort, stadt, wohnort, rue, ville, commune, calle, direccion, domicilio, poblacion, ciudad, provincia, localidad, via, indirizzo, citta, comune, rua, morada, endereco, cidade, localidade, straat, adres, plaats, woonplaats, ulica, miasto, miejscowosc, ulice, mesto, obec, utca, cim, varos, gata, adress, gatuadress, postort, gade, vej, by, sted, poststed, katuosoite, osoite, kaupunki, strada, adresa, oras, οδος, διευθυνση, πολη, sehir, ilce, улица, адрес, город, місто, адреса, 住所, 所在地, 都市, 地址, 城市, 주소, כתובת, עיר, العنوان, المدينة',
);

const GIVEN = lexicon(
  'first name, given name, firstname, vorname, prenom, nome proprio, voornaam, imie, jmeno, krestni jmeno, keresztnev, fornavn, fornamn, etunimi, prenume',
);
const SURNAME = lexicon(
  'last name, surname, lastname, family name, nachname, familienname, nom de famille, apellidos, apellido, cognome, apelido, achternaam, nazwisko, prijmeni, vezeteknev, etternavn, efternavn, efternamn, sukunimi, nume de familie',
);

/** What a column is by what stands in most of its cells, where its name does not tell. */
const IN_CELLS: readonly (readonly [ContactColumn, (text: string) => boolean])[] = [
  ['email', (text) => /^[^\s@]{1,64}@[^\s@]{3,255}$/.test(text)],
  ['taxNumber', (text) => /^[A-Z]{2}\s?(?=(?:[A-Z\d\s]*\d){6})[A-Z\d\s]{7,16}$/.test(text)],
  ['currency', (text) => isCurrency(text.toUpperCase())],
  ['role', (text) => CUSTOMERS.is(folded(text)) || SUPPLIERS.is(folded(text))],
];

/** "EmailAddress" is two words. */
const words = (name: string): string => folded(name.replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2'));

/** The columns of contacts below a header: each by the name that says most, then by what is in the cells; and how many by names. */
const columnsOf = (
  table: Table,
  header: number,
  names: readonly string[],
): { readonly columns: readonly (ContactColumn | undefined)[]; readonly said: number } => {
  const columns: (ContactColumn | undefined)[] = names.map(() => undefined);
  const taken = new Set<ContactColumn>();
  const give = (at: number, column: ContactColumn): void => {
    if (columns[at] !== undefined || taken.has(column)) return;
    columns[at] = column;
    taken.add(column);
  };
  /** A code with parts of an address on both sides is one of them. */
  const isAmidAddress = (at: number): boolean =>
    [at - 1, at + 1].every((beside) => ADDRESS.is(words(names[beside] ?? '')));
  names
    .flatMap((name, at) => {
      const own = words(name);
      if (own === '' || name.length > 60 || isFlag(table, header, at)) return [];
      return COLUMNS.flatMap((column) => {
        const found = WORDS[column].in(own);
        const person =
          (column === 'name' && (PERSON.in(own) !== undefined || ADDRESS.is(own))) ||
          (column === 'code' && (POSTAL.in(own) !== undefined || isAmidAddress(at)));
        // A number in a register of companies is the tax number only where there is no other.
        const registered = column === 'taxNumber' && REGISTRATION_WORDS.in(own) !== undefined;
        const score = registered
          ? 0.5
          : WORDS[column].is(own)
            ? 3
            : found === undefined
              ? 0
              : 1 + found.length / own.length;
        return score === 0 || person ? [] : [{ at, column, score }];
      });
    })
    .sort((one, other) => other.score - one.score || one.at - other.at)
    .forEach(({ at, column }) => give(at, column));
  const said = taken.size;
  for (const [column, is] of IN_CELLS)
    names.forEach((_, at) => {
      const filled = table.rows.slice(header + 1, header + 40).flatMap((row) => textOf(row[at]) || []);
      if (filled.length > 0 && filled.filter(is).length * 10 >= filled.length * 8) give(at, column);
    });
  // Where no word says which, contacts are called by the longest words of their own in nearly every row.
  const body = table.rows.slice(header + 1, header + 40);
  const wordy = (at: number): number => {
    const texts = body.map((row) => textOf(row[at])).filter((text) => /\p{L}{4}|\p{L}{2}\s\S/u.test(text));
    const whole = texts.length * 10 >= body.length * 9 && new Set(texts).size * 10 >= texts.length * 9;
    return whole ? texts.reduce((sum, text) => sum + text.length, 0) : 0;
  };
  const code = columns.indexOf('code');
  if (!taken.has('name') && code >= 0 && wordy(code) > 0) {
    // A column of names that is called one of codes.
    columns[code] = 'name';
    taken.delete('code');
    taken.add('name');
  }
  if (!taken.has('name') && said >= 2) {
    const longest = names.map((name, at) =>
      columns[at] === undefined && ADDRESS.in(words(name)) === undefined ? wordy(at) : 0,
    );
    const most = Math.max(...longest);
    if (most > 0) give(longest.indexOf(most), 'name');
  }
  return { columns, said };
};

/** The contacts of a list; undefined where no row names the columns of one. */
export const readContacts = (tables: readonly Table[], fileName: string): ContactsRead | undefined => {
  let most:
    | {
        readonly table: Table;
        readonly at: number;
        readonly columns: readonly (ContactColumn | undefined)[];
        /** So many of them by their names. */
        readonly said: number;
      }
    | undefined;
  for (const table of tables)
    for (let at = 0; at < Math.min(60, table.rows.length); at += 1) {
      const names = headerTexts(table.rows, at, 1, Math.min(60, table.rows[at]?.length ?? 0));
      const { columns, said } = columnsOf(table, at, names);
      const taken = new Set(columns.flatMap((column) => column ?? []));
      if (taken.has('name') && taken.size >= 2 && said > 0 && (most === undefined || said > most.said))
        most = { table, at, columns, said };
    }
  if (most === undefined) return undefined;
  const { table, at, columns } = most;
  const above = [
    ...table.rows.slice(0, at + 1).flatMap((row) => row.map(textOf)),
    fileName.replace(/[_.-]+/g, ' '),
  ].map(folded);
  const count = (words: typeof CUSTOMERS): number =>
    above.filter((text) => text.length < 200 && words.in(text) !== undefined).length;
  const [ours, theirs] = [count(CUSTOMERS), count(SUPPLIERS)];
  const fallback: ContactRole = ours > theirs ? 'customer' : theirs > ours ? 'supplier' : 'other';
  const flags = (table.rows[at] ?? []).flatMap((cell, column) =>
    isFlag(table, at, column) ? [{ name: folded(textOf(cell)), column }] : [],
  );
  const people = [GIVEN, SURNAME].flatMap((words) => {
    const column = (table.rows[at] ?? []).findIndex((cell) => words.is(folded(textOf(cell))));
    return column < 0 || columns[column] !== undefined ? [] : [column];
  });
  const doubts: Problem[] = [];
  const items = table.rows.slice(at + 1).flatMap((row, place): readonly ListedContact[] => {
    const text = (column: ContactColumn): string => textOf(row[columns.indexOf(column)]);
    // Somebody who is no company is called by their own names.
    const called = text('name') === '' ? people.map((column) => textOf(row[column])).join(' ') : text('name');
    const name = called.replace(/\s+/g, ' ').trim();
    const number = at + 2 + place;
    if (name === '') {
      if (row.some((cell) => textOf(cell) !== ''))
        doubts.push(problem('list.no-name', `Row ${String(number)} has no name, so it is left out.`, number));
      return [];
    }
    if (WORDS.name.is(folded(name)) && text('code') !== '' && WORDS.code.is(folded(text('code')))) return [];
    const is = (words: typeof CUSTOMERS): boolean =>
      flags.some(({ name: flag, column }) => words.in(flag) !== undefined && YES.test(folded(textOf(row[column]))));
    const flagged: ContactRole | undefined =
      is(CUSTOMERS) && is(SUPPLIERS) ? 'both' : is(CUSTOMERS) ? 'customer' : is(SUPPLIERS) ? 'supplier' : undefined;
    // A telephone and a street have fewer figures, or other marks.
    const tax = /(?:\d.*){4}/.test(text('taxNumber')) ? text('taxNumber') : '';
    const currency = text('currency').toUpperCase();
    const terms = termsIn(text('termDays'));
    return [
      {
        row: number,
        code: text('code') || null,
        name,
        role: flagged ?? roleOf(text('role'), fallback),
        country:
          countryIn(text('country')) ?? countryIn(/^([A-Z]{2})[\dA-Z]{2}/.exec(tax.toUpperCase())?.[1] ?? '') ?? null,
        taxNumber: tax || null,
        termDays: terms?.days ?? null,
        monthEnd: terms?.kind === 'month-end',
        currency: isCurrency(currency) ? currency : null,
        email: text('email') || null,
      },
    ];
  });
  return items.length === 0
    ? undefined
    : {
        items,
        own: columns.filter((column) => column !== undefined && OWN.has(column)).length,
        nearDuplicates: nearTwins(items).map(([a, b]) => [items[a]?.row ?? 0, items[b]?.row ?? 0] as const),
        doubts,
      };
};
