import { NUMBER_STYLES, type NumberStyle, plainSeparators } from '../money/number-style';
import { isNil, readPaperAmount } from './amount';
import { type Cell, type Row, type Table, folded, textOf } from './cells';

export const COLUMN_ROLES = ['code', 'name', 'debit', 'credit', 'balance', 'side', 'ignore'] as const;
export type ColumnRole = (typeof COLUMN_ROLES)[number];

/** What a single balance column's plus means. With debit and credit columns, or a side column, the side is written out. */
export const CONVENTIONS = ['written', 'debit-positive', 'credit-positive'] as const;
export type Convention = (typeof CONVENTIONS)[number];

/** How a paper is read. Proposed by `recognise`, changed by a person, stored beside the paper. */
export interface Reading {
  readonly sheet: number;
  /** Index of the header row, or -1 when the table has none. */
  readonly header: number;
  readonly columns: readonly ColumnRole[];
  readonly style: NumberStyle;
  readonly convention: Convention;
  /** Rows (by index) that a person decided about: read them as accounts although they look like something else, or not. */
  readonly asAccount: Readonly<Record<string, boolean>>;
}

export interface Recognition {
  readonly reading: Reading;
  /** Why it is read this way, one sentence per guess. */
  readonly reasons: readonly string[];
}

/** Header words as old systems write them, folded; English, German, Czech, French, Spanish, Italian, Dutch, Nordic. */
const HEADER_WORDS: Readonly<Record<Exclude<ColumnRole, 'ignore'>, readonly string[]>> = {
  code: [
    'code',
    'account code',
    'acc code',
    'account no',
    'account number',
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
    'cuenta',
    'conto',
    'rekening',
    'kontonummer',
  ],
  name: [
    'name',
    'account name',
    'account',
    'account title',
    'description',
    'details',
    'title',
    'ledger',
    'bezeichnung',
    'kontobezeichnung',
    'kontoname',
    'nazev',
    'nazev uctu',
    'libelle',
    'intitule',
    'nombre',
    'descripcion',
    'descrizione',
    'omschrijving',
    'navn',
    'kontonavn',
    'benamning',
  ],
  debit: ['debit', 'debits', 'dr', 'debit balance', 'soll', 'ma dati', 'md', 'debet', 'debe', 'dare'],
  credit: ['credit', 'credits', 'cr', 'credit balance', 'haben', 'dal', 'kredit', 'haber', 'avere'],
  balance: [
    'balance',
    'closing balance',
    'amount',
    'net',
    'total',
    'ytd',
    'year to date',
    'saldo',
    'solde',
    'zustatek',
    'konecny zustatek',
    'kz',
    'saldo final',
    'belob',
    'eindsaldo',
  ],
  side: ['dr cr', 'd c', 's h', 'side', 'sign', 'type dr cr', 'sens', 'strana', 'md d'],
};

const WORD_ROLE: ReadonlyMap<string, ColumnRole> = new Map(
  Object.entries(HEADER_WORDS).flatMap(([role, words]) =>
    words.map((word): [string, ColumnRole] => [word, role as ColumnRole]),
  ),
);

/** The role a header cell names: the words themselves, or with a currency or date behind them ("Debit EUR", "Saldo 31.12."). */
const roleOfHeader = (cell: Cell | undefined): ColumnRole | undefined => {
  const words = folded(textOf(cell));
  if (words === '' || words.length > 40) return undefined;
  return WORD_ROLE.get(words) ?? WORD_ROLE.get(words.replace(/\s(?:[a-z]{2,3}|\d[\d ]*)$/, '').trim());
};

const MOST_TITLE_ROWS = 40;

const headerOf = (rows: readonly Row[]): number => {
  let best = { at: -1, roles: 1 };
  rows.slice(0, MOST_TITLE_ROWS).forEach((row, at) => {
    const roles = new Set(row.map(roleOfHeader).filter((role) => role !== undefined));
    const amounts = roles.has('debit') || roles.has('credit') || roles.has('balance');
    if (amounts && roles.size > best.roles) best = { at, roles: roles.size };
  });
  return best.at;
};

const isCodeLike = (text: string): boolean =>
  text.length <= 20 && /^[A-Z]{0,4}[\d][\dA-Z.\-/]*$/i.test(text) && !/[.,]\d{2}$/.test(text);
const isAmountLike = (cell: Cell): boolean =>
  typeof cell === 'object' ||
  (cell !== '' && !isNil(cell) && NUMBER_STYLES.some((style) => readPaperAmount(cell, style) !== undefined));

const columnCells = (rows: readonly Row[], column: number): readonly Cell[] =>
  rows.map((row) => row[column] ?? '').filter((cell) => textOf(cell) !== '');

const share = (cells: readonly Cell[], test: (cell: Cell) => boolean): number =>
  cells.length === 0 ? 0 : cells.filter(test).length / cells.length;

/** Roles by header words, then by what the cells look like where the words are silent or ambiguous ("Account" may head codes or names). */
const columnsOf = (rows: readonly Row[], header: number): readonly ColumnRole[] => {
  const body = rows.slice(header + 1, header + 400);
  const width = Math.max(0, ...rows.slice(0, header + 400).map((row) => row.length));
  const roles: ColumnRole[] = [];
  const claim = (column: number, role: ColumnRole): void => {
    roles[column] = role !== 'ignore' && roles.includes(role) ? 'ignore' : role;
  };
  for (let column = 0; column < width; column += 1)
    claim(column, (header < 0 ? undefined : roleOfHeader(rows[header]?.[column])) ?? 'ignore');
  const cells = Array.from({ length: width }, (_, column) => columnCells(body, column));
  const codes = (column: number): number => share(cells[column] ?? [], (cell) => isCodeLike(textOf(cell)));
  const words = (column: number): number => share(cells[column] ?? [], (cell) => /\p{L}{3}/u.test(textOf(cell)));
  const swap = roles.indexOf('name');
  if (!roles.includes('code') && swap >= 0 && codes(swap) > 0.7) roles[swap] = 'code';
  if (!roles.includes('code')) {
    const found = roles.findIndex((role, column) => role === 'ignore' && codes(column) > 0.7);
    if (found >= 0) roles[found] = 'code';
  }
  if (!roles.includes('name')) {
    const found = roles.findIndex((role, column) => role === 'ignore' && words(column) > 0.6);
    if (found >= 0) roles[found] = 'name';
  }
  if (!roles.some((role) => role === 'debit' || role === 'credit' || role === 'balance')) {
    const amounts = roles.flatMap((role, column) =>
      role === 'ignore' && share(cells[column] ?? [], isAmountLike) > 0.7 ? [column] : [],
    );
    amounts
      .slice(0, 2)
      .forEach((column, at) => (roles[column] = amounts.length === 1 ? 'balance' : at === 0 ? 'debit' : 'credit'));
  }
  return roles;
};

export const AMOUNT_ROLES: ReadonlySet<ColumnRole> = new Set(['debit', 'credit', 'balance']);

/**
 * The number style under which the most amount cells read, and read to a usual number of decimals. A text like "1.234"
 * fits two styles; for a currency of two decimals it is one thousand two hundred and thirty-four.
 */
const styleOf = (rows: readonly Row[], header: number, columns: readonly ColumnRole[], digits: number): NumberStyle => {
  const texts = rows
    .slice(header + 1, header + 2000)
    .flatMap((row) =>
      row.flatMap((cell, column) =>
        typeof cell === 'string' && cell !== '' && !isNil(cell) && AMOUNT_ROLES.has(columns[column] ?? 'ignore')
          ? [plainSeparators(cell)]
          : [],
      ),
    );
  let best: { style: NumberStyle; score: number } = { style: '1,234.56', score: -1 };
  for (const style of NUMBER_STYLES) {
    const score = texts.reduce((points, text) => {
      const amount = readPaperAmount(text, style);
      return points + (amount === undefined ? 0 : amount.scale === digits ? 3 : amount.scale === 0 ? 2 : 1);
    }, 0);
    if (score > best.score) best = { style, score };
  }
  return best.style;
};

const named = (role: ColumnRole, columns: readonly ColumnRole[], header: Row | undefined): string | undefined => {
  const at = columns.indexOf(role);
  return at < 0
    ? undefined
    : `${role} in column ${at + 1}${header === undefined || textOf(header[at]) === '' ? '' : ` (“${textOf(header[at])}”)`}`;
};

/** How the table with the clearest trial balance in it is best read. `digits` are the base currency's decimals. */
export const recognise = (tables: readonly Table[], digits: number): Recognition => {
  const scored = tables.map((table, sheet) => {
    const header = headerOf(table.rows);
    const columns = columnsOf(table.rows, header);
    const score =
      (columns.some((role) => AMOUNT_ROLES.has(role)) ? 1_000_000 : 0) +
      (header >= 0 ? 100_000 : 0) +
      Math.min(table.rows.length, 99_999);
    return { sheet, header, columns, score };
  });
  const best = scored.reduce(
    (a, b) => (b.score > a.score ? b : a),
    scored[0] ?? { sheet: 0, header: -1, columns: [], score: 0 },
  );
  return withGuesses(tables, best.sheet, best.header, best.columns, digits);
};

/** The rest of the guesses once the sheet and the header row are settled, by recognition or by a person. */
export const recogniseFrom = (tables: readonly Table[], sheet: number, header: number, digits: number): Recognition =>
  withGuesses(tables, sheet, header, columnsOf(tables[sheet]?.rows ?? [], header), digits);

const withGuesses = (
  tables: readonly Table[],
  sheet: number,
  header: number,
  columns: readonly ColumnRole[],
  digits: number,
): Recognition => {
  const table = tables[sheet];
  const rows = table?.rows ?? [];
  const style = styleOf(rows, header, columns, digits);
  const convention: Convention =
    columns.includes('balance') && !columns.includes('side') ? 'debit-positive' : 'written';
  const found = COLUMN_ROLES.flatMap((role) => (role === 'ignore' ? [] : (named(role, columns, rows[header]) ?? [])));
  const reasons = [
    ...(tables.length > 1 && table !== undefined
      ? [`Sheet “${table.name}” of ${tables.length}: it is the one with account and amount columns.`]
      : []),
    header >= 0
      ? `Row ${header + 1} is the header: its cells are column titles.`
      : 'No header row found: the columns were told by what is in them.',
    found.length > 0 ? `Columns: ${found.join(', ')}.` : 'No columns were recognised; choose them above the table.',
    `Amounts are written like ${style}.`,
    convention === 'written'
      ? 'The side of each amount is written in the paper.'
      : 'One balance column: a plain amount is taken as a debit, a negative one as a credit.',
  ];
  return { reading: { sheet, header, columns, style, convention, asAccount: {} }, reasons };
};
