import { type Row, folded, textOf } from '../files/cells';

export const COLUMN_ROLES = [
  'code',
  'name',
  'code-name',
  'debit',
  'credit',
  'balance',
  'side',
  'currency',
  'foreign',
  'ignore',
] as const;
export type ColumnRole = (typeof COLUMN_ROLES)[number];

export const AMOUNT_ROLES: ReadonlySet<ColumnRole> = new Set(['debit', 'credit', 'balance']);

/** Which moment or span an amount column tells of. Only the closing ones are opening balances of the next books. */
export type Phase = 'opening' | 'movement' | 'closing';

/** Header words as old systems write them, folded; English, German, Czech, French, Spanish, Italian, Dutch, Nordic. */
const ROLE_WORDS: Readonly<Record<Exclude<ColumnRole, 'ignore' | 'code-name'>, readonly string[]>> = {
  code: [
    'code',
    'account code',
    'acc code',
    'account no',
    'account number',
    'account id',
    'accountid',
    'acc no',
    'a c',
    'ac',
    'no',
    'nr',
    'number',
    'nominal',
    'nominal code',
    'gl code',
    'ledger code',
    'konto',
    'kontonr',
    'konto nr',
    'kontonummer',
    'ucet',
    'cislo uctu',
    'compte',
    'no compte',
    'numero',
    'numero de compte',
    'cuenta',
    'conto',
    'rekening',
    'grootboek',
    'konto nummer',
  ],
  name: [
    'name',
    'account name',
    'account',
    'account title',
    'accountdescription',
    'description',
    'details',
    'particulars',
    'title',
    'ledger',
    'bezeichnung',
    'kontobezeichnung',
    'kontoname',
    'text',
    'nazev',
    'nazev uctu',
    'libelle',
    'intitule',
    'intitule du compte',
    'nombre',
    'descripcion',
    'descrizione',
    'omschrijving',
    'navn',
    'kontonavn',
    'benamning',
  ],
  debit: [
    'debit',
    'debits',
    'dr',
    'debit balance',
    'debitbalance',
    'soll',
    'ma dati',
    'md',
    'debet',
    'debe',
    'dare',
    'saldo debet',
    'solde debiteur',
    'debiteur',
    'deudor',
  ],
  credit: [
    'credit',
    'credits',
    'cr',
    'credit balance',
    'creditbalance',
    'haben',
    'dal',
    'kredit',
    'haber',
    'avere',
    'saldo kredit',
    'solde crediteur',
    'crediteur',
    'acreedor',
  ],
  balance: [
    'balance',
    'amount',
    'net',
    'total',
    'ytd',
    'year to date',
    'saldo',
    'solde',
    'stav',
    'zustatek',
    'kz',
    'belob',
    'betrag',
    'montant',
    'importe',
    'bedrag',
  ],
  side: ['dr cr', 'd c', 's h', 'side', 'sign', 'type dr cr', 'sens', 'strana', 'md d', 'soll haben'],
  currency: ['currency', 'ccy', 'cur', 'curr', 'wahrung', 'devise', 'mena', 'valuta', 'moneda', 'divisa'],
  foreign: [
    'amount in currency',
    'currency amount',
    'foreign amount',
    'foreign balance',
    'fc amount',
    'fc balance',
    'balance fc',
    'balance in currency',
    'wahrungsbetrag',
    'betrag in wahrung',
    'montant en devise',
    'castka v mene',
    'valutabelob',
  ],
};

const WORD_ROLE: ReadonlyMap<string, ColumnRole> = new Map(
  Object.entries(ROLE_WORDS).flatMap(([role, words]) =>
    words.map((word): [string, ColumnRole] => [word, role as ColumnRole]),
  ),
);

const PHASES: readonly (readonly [Phase, RegExp])[] = [
  [
    'opening',
    /\b(opening|brought forward|b f|bf|start|anfangs?|eroffnungs?\w*|ouverture|a nouveau|pocatecni|pocatek|apertura|ingaende|primo|begin)\b|^opening/,
  ],
  [
    'movement',
    /\b(movements?|period|turnover|activity|change|umsatz\w*|bewegung\w*|verkehrszahlen|mouvements?|obrat\w*|pohyb|movimientos?|movimenti|mutaties?|periode\w*|month)\b/,
  ],
  [
    'closing',
    /\b(closing|ending|carried forward|c f|cf|end|schluss\w*|cloture|konecny|konec|final\w*|cierre|chiusura|utgaende|ultimo|eind)\b|^(closing|schluss|end|eind)(?=saldo|debit|credit)/,
  ],
];

/** Stands beside the word for a column's side: "closing balance debit". */
const BALANCE_WORD = /\b(balance|stav|saldo|solde|zustatek)\b/;

export interface HeaderCell {
  readonly role: ColumnRole | undefined;
  readonly phase: Phase | undefined;
  /** A date or a year is all that the header says. */
  readonly dated: boolean;
}

const NOTHING: HeaderCell = { role: undefined, phase: undefined, dated: false };

/** What a header says: the words themselves, with a phase in front or a currency or date behind ("Closing debit EUR", "Saldo 31.12."). */
export const readHeader = (text: string): HeaderCell => {
  const words = folded(text);
  if (words === '' || words.length > 60) return NOTHING;
  const exact = WORD_ROLE.get(words);
  if (exact !== undefined) return { role: exact, phase: undefined, dated: false };
  const dated = /^\d[\d ]*$/.test(words) && /\b(19|20)\d\d\b|^\d{1,2} \d{1,2}( \d{2,4})?$/.test(words);
  let rest = words.replace(/\s(?:[a-z]{3}|\d[\d ]*)$/, '').trim();
  const phase = PHASES.find(([, pattern]) => pattern.test(words))?.[0];
  for (const [, pattern] of PHASES) rest = rest.replace(pattern, ' ');
  rest = rest
    .replace(/\b(in|of|at|the|per|zum|am|k|ke|dni|kc)\b/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();
  const role =
    WORD_ROLE.get(rest) ??
    WORD_ROLE.get(rest.replace(BALANCE_WORD, '').trim()) ??
    (rest === '' && phase !== undefined ? 'balance' : undefined);
  return { role, phase, dated };
};

const MOST_TITLE_ROWS = 40;

/** The header's text per column. In a header two rows high the upper text stands over all columns up to the next one. */
export const headerTexts = (rows: readonly Row[], header: number, height: number, width: number): readonly string[] => {
  if (header < 0) return Array.from({ length: width }, () => '');
  const lower = rows[header];
  const upper = height > 1 ? rows[header - 1] : undefined;
  let over = '';
  return Array.from({ length: width }, (_, column) => {
    const above = textOf(upper?.[column]);
    if (above !== '') over = above;
    const own = textOf(lower?.[column]);
    return upper === undefined ? own : own === '' ? above : `${over} ${own}`.trim();
  });
};

export interface FoundHeader {
  /** Index of the (lower) header row, or -1. */
  readonly at: number;
  readonly height: 1 | 2;
}

const rolesOf = (texts: readonly string[]): ReadonlySet<ColumnRole> =>
  new Set(texts.map((text) => readHeader(text).role).filter((role) => role !== undefined));

/** The row near the top that names the most columns, amounts among them; two rows where the upper one groups the lower. */
export const headerOf = (rows: readonly Row[]): FoundHeader => {
  let best: FoundHeader & { readonly roles: number } = { at: -1, height: 1, roles: 1 };
  rows.slice(0, MOST_TITLE_ROWS).forEach((row, at) => {
    const texts = row.map(textOf);
    const own = rolesOf(texts);
    // Dates over the amounts say that they are amounts.
    const amounts =
      own.has('debit') || own.has('credit') || own.has('balance') || texts.some((text) => readHeader(text).dated);
    const roles = own.size + (texts.some((text) => readHeader(text).dated) && !own.has('balance') ? 1 : 0);
    if (amounts && roles > best.roles) best = { at, height: 1, roles };
  });
  if (best.at < 0) return best;
  const above = rows[best.at - 1]?.map(textOf) ?? [];
  const lower = rows[best.at]?.map(textOf) ?? [];
  const groups = above.filter((text) => text !== '').length;
  const repeats = new Set(lower.filter((text) => text !== '')).size < lower.filter((text) => text !== '').length;
  const phased = above.some((text) => readHeader(text).phase !== undefined || readHeader(text).role !== undefined);
  return groups > 1 && (repeats || phased) && above.every((text) => text.length <= 40)
    ? { at: best.at, height: 2 }
    : { at: best.at, height: 1 };
};
