import { seeded } from '../../openings/search/planting';
import { DAY, bareAmount, isoOf, plainAmount, csvOf } from './written';

/**
 * Invents tables of banks' statements, with what a right reading gives: for the tests and the benchmark. It shares nothing with the
 * reader.
 */

export interface MadeEntry {
  readonly date: string;
  readonly valueDate: string | null;
  readonly amount: string;
  readonly text: string;
}

export interface MadeStatement {
  readonly account: string;
  readonly opening: string;
  readonly closing: string;
  readonly entries: readonly MadeEntry[];
}

export interface MadeFile {
  readonly name: string;
  readonly text: string;
  readonly statements: readonly MadeStatement[];
  /** What is unusual about it. */
  readonly traits: readonly string[];
}

interface Language {
  readonly date: string;
  readonly value: string;
  readonly text: string;
  readonly amount: string;
  readonly paidOut: string;
  readonly paidIn: string;
  readonly balance: string;
  readonly account: string;
  readonly opening: string;
  readonly closing: string;
  readonly sides: readonly [came: string, went: string];
  readonly side: string;
  readonly words: readonly string[];
}

const LANGUAGES: readonly Language[] = [
  {
    date: 'Date', value: 'Value date', text: 'Description', amount: 'Amount', paidOut: 'Paid out', paidIn: 'Paid in', balance: 'Balance', account: 'Account number',
    opening: 'Opening balance', closing: 'Closing balance', sides: ['CR', 'DR'], side: 'Dr/Cr', words: ['Mooring fees', 'Carrageen Kitchens', 'Bank charges', 'Rope and Rove'],
  },
  {
    date: 'Buchungstag', value: 'Wertstellung', text: 'Verwendungszweck', amount: 'Betrag', paidOut: 'Soll', paidIn: 'Haben', balance: 'Saldo', account: 'Konto',
    opening: 'Anfangssaldo', closing: 'Endsaldo', sides: ['H', 'S'], side: 'S/H', words: ['Liegeplatz', 'Bäckerei Kröger', 'Kontoführung', 'Seilerei Nord'],
  },
  {
    date: "Date d'opération", value: 'Date de valeur', text: 'Libellé', amount: 'Montant', paidOut: 'Débit', paidIn: 'Crédit', balance: 'Solde', account: 'Compte',
    opening: 'Solde initial', closing: 'Solde final', sides: ['C', 'D'], side: 'Sens', words: ['Redevance port', 'Cave Solignac', 'Frais de tenue', 'Corderie du Quai'],
  },
  {
    date: 'Fecha', value: 'Fecha valor', text: 'Concepto', amount: 'Importe', paidOut: 'Cargos', paidIn: 'Abonos', balance: 'Saldo', account: 'Cuenta',
    opening: 'Saldo inicial', closing: 'Saldo final', sides: ['Abono', 'Cargo'], side: 'Tipo', words: ['Amarre puerto', 'Bodegas Ulloa', 'Comisiones', 'Redes del Sil'],
  },
  {
    date: 'Data contabile', value: 'Data valuta', text: 'Descrizione', amount: 'Importo', paidOut: 'Uscite', paidIn: 'Entrate', balance: 'Saldo', account: 'Conto',
    opening: 'Saldo iniziale', closing: 'Saldo finale', sides: ['Avere', 'Dare'], side: 'Segno', words: ['Canone ormeggio', 'Forno Bellandi', 'Spese tenuta', 'Reti Olmo'],
  },
  {
    date: 'Boekdatum', value: 'Rentedatum', text: 'Omschrijving', amount: 'Bedrag', paidOut: 'Af', paidIn: 'Bij', balance: 'Saldo', account: 'Rekening',
    opening: 'Beginsaldo', closing: 'Eindsaldo', sides: ['Bij', 'Af'], side: 'Af Bij', words: ['Ligplaats', 'Kaashandel Boer', 'Bankkosten', 'Touwslagerij'],
  },
  {
    date: 'Data operacji', value: 'Data waluty', text: 'Opis', amount: 'Kwota', paidOut: 'Obciążenia', paidIn: 'Uznania', balance: 'Saldo', account: 'Rachunek',
    opening: 'Saldo początkowe', closing: 'Saldo końcowe', sides: ['Uznanie', 'Obciążenie'], side: 'Strona', words: ['Opłata portowa', 'Piekarnia Zdrój', 'Prowizja', 'Liny i sieci'],
  },
  {
    date: 'Bokföringsdag', value: 'Valutadag', text: 'Text', amount: 'Belopp', paidOut: 'Uttag', paidIn: 'Insättning', balance: 'Saldo', account: 'Konto',
    opening: 'Ingående saldo', closing: 'Utgående saldo', sides: ['+', '-'], side: 'Tecken', words: ['Hamnavgift', 'Bageriet Ängen', 'Bankavgift', 'Repslageriet'],
  },
]; // prettier-ignore

/** An IBAN of Germany with its check digits (ISO 7064, 97-10). */
const ibanOf = (number: number): string => {
  const own = `50010517${String(number).padStart(10, '0')}`;
  const rest = BigInt(`${own}131400`) % 97n;
  return `DE${String(98n - rest).padStart(2, '0')}${own}`;
};

/** A file of statements from a seed. */
export const makeStatements = (seed: number): MadeFile => {
  const random = seeded(seed * 104_729 + 5);
  const pick = <T>(of: readonly T[]): T => of[Math.floor(random() * of.length)] as T;
  const whether = (chance: number): boolean => random() < chance;
  const whole = (from: number, to: number): number => from + Math.floor(random() * (to - from + 1));
  const language = pick(LANGUAGES);
  const numbers = pick([
    ['.', ','],
    [',', '.'],
    [' ', ','],
    ['', ','],
    ['', '.'],
  ] as const);
  const dates = pick(['.', '/', 'iso', '-'] as const);
  const how = pick(['signed', 'signed', 'in and out', 'sides'] as const);
  const several = whether(0.25);
  const accounted = several || whether(0.3);
  const balanced = several || whether(0.6);
  const lines = !several && (!balanced || whether(0.3));
  const valued = whether(0.5);
  const newest = whether(0.4);
  // Titles that no language has.
  const strange = whether(0.25);
  const day = (iso: string): string => {
    const [year = '', month = '', date = ''] = iso.split('-');
    return dates === 'iso' ? iso : [date, month, year].join(dates);
  };
  const bare = (units: number): string => bareAmount(units, numbers);
  const amount = (units: number): string => (units < 0 ? `-${bare(units)}` : bare(units));
  const columns: readonly (readonly [string, string])[] = [
    ...(accounted ? ([['account', language.account]] as const) : []),
    ['date', language.date],
    ...(valued ? ([['value', language.value]] as const) : []),
    ['text', strange ? 'Zorp' : language.text],
    ...(how === 'in and out'
      ? ([
          ['out', language.paidOut],
          ['in', language.paidIn],
        ] as const)
      : ([['amount', language.amount]] as const)),
    ...(how === 'sides' ? ([['side', language.side]] as const) : []),
    ...(balanced ? ([['balance', strange ? 'Qix' : language.balance]] as const) : []),
  ];
  const start = Date.UTC(2026, whole(0, 8), 1);
  const at = (days: number): string => isoOf(start + days * DAY);
  const accounts = Array.from({ length: several ? 2 : 1 }, (_, place) => ibanOf(seed * 10 + place));
  const rows: string[][] = [];
  const statements = accounts.map((account): MadeStatement => {
    const opening = whole(-200_000, 2_000_000);
    let stands = opening;
    const count = whole(3, 14);
    const own: string[][] = [];
    const entries = Array.from({ length: count }, (_, place): MadeEntry => {
      const units = (whether(0.4) ? 1 : -1) * whole(100, 400_000);
      const booked = at(place * 2 + whole(0, 1));
      const value = valued ? at(place * 2) : null;
      const text = `${pick(language.words)} ${String(1000 + place)}`;
      stands += units;
      const cells: Readonly<Record<string, string>> = {
        account,
        date: day(booked),
        value: value === null ? '' : day(value),
        text,
        amount: how === 'sides' ? bare(units) : amount(units),
        side: units < 0 ? language.sides[1] : language.sides[0],
        out: units < 0 ? bare(units) : '',
        in: units > 0 ? bare(units) : '',
        balance: amount(stands),
      };
      own.push(columns.map(([column]) => cells[column] ?? ''));
      return { date: booked, valueDate: value, amount: plainAmount(units), text };
    });
    rows.push(...(newest ? own.reverse() : own));
    return { account, opening: plainAmount(opening), closing: plainAmount(stands), entries };
  });
  const [only] = statements;
  const money = (text: string): string => amount(Math.round(Number(text) * 100));
  const head = [
    ['Skerry Bank'],
    ...(accounted ? [] : [[`${language.account}: ${accounts[0] ?? ''}`]]),
    ...(lines && only !== undefined ? [[language.opening, money(only.opening)]] : []),
  ];
  const foot = lines && only !== undefined ? [[language.closing, money(only.closing)]] : [];
  const text = csvOf([...head, columns.map(([, title]) => title), ...rows, ...foot], columns.length);
  return {
    name: `bank-${String(seed)}.csv`,
    text,
    statements,
    traits: [
      how,
      dates,
      ...(several ? ['two accounts'] : []),
      ...(newest ? ['newest first'] : []),
      ...(strange ? ['strange titles'] : []),
      ...(lines ? ['balances in lines'] : []),
      ...(valued ? ['value dates'] : []),
    ],
  };
};
