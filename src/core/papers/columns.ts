import { isCurrency } from '../money/currency';
import { NUMBER_STYLES } from '../money/number-style';
import { isNil, readPaperAmount } from './amount';
import { type Cell, type Row, folded, textOf } from '../files/cells';
import { type ColumnRole, type FoundHeader, type HeaderCell, headerTexts, readHeader } from './header';

const isCodeLike = (text: string): boolean =>
  text.length <= 20 && /^[A-Z]{0,4}[\d][\dA-Z.\-/]*$/i.test(text) && !/[.,]\d{2}$/.test(text);
const isAmountLike = (cell: Cell): boolean =>
  typeof cell === 'object' ||
  (cell !== '' && !isNil(cell) && NUMBER_STYLES.some((style) => readPaperAmount(cell, style) !== undefined));

const CODE_AND_NAME = /^([A-Z]{0,4}\d[\dA-Z./]*(?:-\d[\dA-Z./]*)*)[-–—:·|\s]+(\p{L}.*)$/iu;

/** A longer cell holds no code and name. */
const MOST_CELL_READ = 400;

/** A code and a name out of one cell: "1010 Bank", "1010 - Bank", "1010: Bank"; a cell without a code is a name. */
export const splitCodeName = (text: string): { readonly code: string; readonly name: string } => {
  const [, code, name] = (text.length > MOST_CELL_READ ? null : CODE_AND_NAME.exec(text.trim())) ?? [];
  return code === undefined || name === undefined ? { code: '', name: text.trim() } : { code, name };
};

const columnCells = (rows: readonly Row[], column: number): readonly Cell[] =>
  rows.map((row) => row[column] ?? '').filter((cell) => textOf(cell) !== '');

const share = (cells: readonly Cell[], test: (cell: Cell) => boolean): number =>
  cells.length === 0 ? 0 : cells.filter(test).length / cells.length;

export interface FoundColumns {
  readonly roles: readonly ColumnRole[];
  /** Why some columns that hold amounts are not used, one sentence each. */
  readonly reasons: readonly string[];
}

const SAMPLE = 400;

/**
 * What each column holds: by header words, then by what the cells look like where the words are silent or ambiguous
 * ("Account" may head codes or names). Of opening, movement and closing columns only the closing ones are taken; of
 * columns by date, the one of the day `wanted` (ISO), else the first.
 */
export const columnsOf = (rows: readonly Row[], header: FoundHeader, wanted: string | undefined): FoundColumns => {
  const body = rows.slice(header.at + 1, header.at + SAMPLE);
  const width = Math.max(0, ...rows.slice(0, header.at + SAMPLE).map((row) => row.length));
  const texts = headerTexts(rows, header.at, header.height, width);
  const heads = lettered(texts, texts.map(readHeader));
  const cells = Array.from({ length: width }, (_, column) => columnCells(body, column));
  const { kept, reasons } = closingOnly(heads, texts);

  const roles: ColumnRole[] = [];
  kept.forEach((role, column) => {
    roles[column] = role !== undefined && role !== 'ignore' && roles.includes(role) ? 'ignore' : (role ?? 'ignore');
  });
  const free = (column: number): boolean => roles[column] === 'ignore' && heads[column]?.phase === undefined;
  const codes = (column: number): number => share(cells[column] ?? [], (cell) => isCodeLike(textOf(cell)));
  const words = (column: number): number => share(cells[column] ?? [], (cell) => /\p{L}{3}/u.test(textOf(cell)));
  const both = (column: number): number =>
    share(cells[column] ?? [], (cell) => typeof cell === 'string' && splitCodeName(cell).code !== '');
  const find = (test: (column: number) => boolean): number =>
    roles.findIndex((_, column) => free(column) && test(column));

  const name = roles.indexOf('name');
  if (!roles.includes('code') && name >= 0 && codes(name) > 0.7) roles[name] = 'code';
  const code = roles.indexOf('code');
  if (code >= 0 && both(code) > 0.6 && codes(code) < 0.3) roles[code] = 'code-name';
  if (!roles.includes('code') && !roles.includes('code-name')) {
    const found = find((column) => codes(column) > 0.7 && !isSequence(cells[column] ?? []));
    if (found >= 0) roles[found] = 'code';
    else {
      const at = roles.findIndex((role, column) => (role === 'name' || free(column)) && both(column) > 0.6);
      if (at >= 0) roles[at] = 'code-name';
    }
  }
  if (!roles.includes('name') && !roles.includes('code-name')) {
    const found = find((column) => words(column) > 0.6);
    if (found >= 0) roles[found] = 'name';
  }
  if (!roles.includes('currency')) {
    const found = find(
      (column) =>
        (cells[column]?.length ?? 0) > 2 && share(cells[column] ?? [], (cell) => isCurrency(textOf(cell))) > 0.9,
    );
    if (found >= 0) roles[found] = 'currency';
  }
  if (!roles.some((role) => role === 'debit' || role === 'credit' || role === 'balance'))
    reasons.push(...claimAmounts(roles, texts, free, cells, body, wanted));
  reasons.push(...oneOfTwo(roles, body));
  return { roles, reasons };
};

/** Columns headed by single letters, which mean something only in pairs. */
const LETTERS = [
  ['md', 'd'],
  ['d', 'c'],
  ['d', 'k'],
  ['s', 'h'],
] as const;

const lettered = (texts: readonly string[], heads: readonly HeaderCell[]): readonly HeaderCell[] => {
  const last = texts.map((text) => folded(text).split(' ').at(-1) ?? '');
  const found = [...heads];
  last.forEach((letter, at) => {
    const pair = LETTERS.find(([debit, credit]) => debit === letter && credit === last[at + 1]);
    const [dr, cr] = [heads[at], heads[at + 1]];
    if (pair === undefined || dr === undefined || cr === undefined) return;
    found[at] = { ...dr, role: 'debit' };
    found[at + 1] = { ...cr, role: 'credit' };
  });
  return found;
};

/** A running number beside the rows is no account code. */
const isSequence = (cells: readonly Cell[]): boolean =>
  cells.length > 2 && cells.every((cell, at) => textOf(cell) === String(at + 1));

/** Opening and movement columns are set aside where closing ones are there too. */
const closingOnly = (
  heads: readonly HeaderCell[],
  texts: readonly string[],
): { readonly kept: readonly (ColumnRole | undefined)[]; readonly reasons: string[] } => {
  const amount = ({ role }: HeaderCell): boolean => role === 'debit' || role === 'credit' || role === 'balance';
  const has = (phase: HeaderCell['phase']): boolean => heads.some((head) => head.phase === phase && amount(head));
  const closing = has('closing');
  // "Opening balance, debit, credit, closing balance": the plain pair between them is what happened in between.
  const between = closing && has('opening') && heads.some((head) => head.phase === undefined && amount(head));
  const aside: string[] = [];
  const kept = heads.map((head, at) => {
    const drop =
      amount(head) &&
      (head.phase === 'movement' || (closing && head.phase === 'opening') || (between && head.phase === undefined));
    if (drop) aside.push(`“${texts[at] ?? ''}”`);
    return drop ? 'ignore' : head.role;
  });
  // A paper of movements only is still read, and says what it is.
  if (aside.length > 0 && !heads.some((head, at) => amount(head) && kept[at] === head.role))
    return {
      kept: heads.map(({ role }) => role),
      reasons: ['Its amounts are movements of a period, not balances: is it the right paper?'],
    };
  return {
    kept,
    reasons: aside.length === 0 ? [] : [`Closing balances are taken; ${aside.join(', ')} set aside.`],
  };
};

/** Amount columns that no word names: two that are never both filled are debit and credit; else one of them is the balance. */
const claimAmounts = (
  roles: ColumnRole[],
  texts: readonly string[],
  free: (column: number) => boolean,
  cells: readonly (readonly Cell[])[],
  body: readonly Row[],
  wanted: string | undefined,
): readonly string[] => {
  const amounts = roles.flatMap((_, column) =>
    free(column) && share(cells[column] ?? [], isAmountLike) > 0.7 ? [column] : [],
  );
  const [first, second] = amounts;
  if (first === undefined) return [];
  const dated = amounts.find((column) => wanted !== undefined && sameDay(texts[column] ?? '', wanted));
  if (second !== undefined && amounts.length === 2 && dated === undefined) {
    const filled = (row: Row, column: number): boolean => {
      const cell = row[column] ?? '';
      return typeof cell === 'object'
        ? !/^-?0*$/.test(cell.decimal)
        : textOf(cell) !== '' && !isNil(cell) && !/^[0.,\s]*$/.test(cell);
    };
    const together = body.filter((row) => filled(row, first) && filled(row, second)).length;
    if (together <= body.length * 0.15) {
      roles[first] = 'debit';
      roles[second] = 'credit';
      return ['Of two amount columns, each row fills one: the first is taken for debits, the second for credits.'];
    }
  }
  const chosen = dated ?? first;
  roles[chosen] = 'balance';
  return amounts.length === 1
    ? []
    : [
        dated === undefined
          ? `Of ${String(amounts.length)} amount columns the first is taken${texts[chosen] === '' ? '' : `, “${texts[chosen] ?? ''}”`}.`
          : `Of ${String(amounts.length)} amount columns “${texts[chosen] ?? ''}” is taken: it is the opening date.`,
      ];
};

const sameDay = (text: string, iso: string): boolean => {
  const [year = '', month = '', day = ''] = iso.split('-');
  const digits = text.match(/\d+/g) ?? [];
  const has = (part: string): boolean => digits.some((one) => Number(one) === Number(part));
  return digits.length === 1 ? digits[0] === year : digits.length >= 3 && has(year) && has(month) && has(day);
};

/** With debit, credit and balance all there, the pair is taken when it comes to the balance, else the balance is. */
const oneOfTwo = (roles: ColumnRole[], body: readonly Row[]): readonly string[] => {
  const [debit, credit, balance] = [roles.indexOf('debit'), roles.indexOf('credit'), roles.indexOf('balance')];
  if (debit < 0 || credit < 0 || balance < 0) return [];
  const digits = (cell: Cell | undefined): string =>
    cell === undefined ? '' : (typeof cell === 'object' ? cell.decimal : cell).replace(/[^\d]/g, '').replace(/^0+/, '');
  // Where one of the pair is empty, the balance repeats the other; turnovers do not.
  const rows = body.filter(
    (row) => digits(row[balance]) !== '' || digits(row[debit]) !== '' || digits(row[credit]) !== '',
  );
  const repeats = rows.filter((row) => {
    const is = digits(row[balance]);
    return is === digits(row[debit]) || is === digits(row[credit]);
  }).length;
  if (repeats > rows.length * 0.8) {
    roles[balance] = 'ignore';
    return ['The balance column repeats debit and credit, which are taken.'];
  }
  roles[debit] = 'ignore';
  roles[credit] = 'ignore';
  return ['Debit and credit are turnovers here, since they do not come to the balance, which is taken.'];
};
