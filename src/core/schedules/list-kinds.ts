import { folded } from '../base/folded';
import { addTo } from '../base/lists';
import { textOf } from '../base/table';
import { NIL, sum } from '../money/minor';
import type { PrintedRow } from './list-rows';
import type { ListTable } from './list-table';
import {
  BALANCE_WORDS,
  CREDIT_WORDS,
  CUSTOMERS,
  INVOICE_WORDS,
  PAYMENT_WORDS,
  REFUND_WORDS,
  SUPPLIERS,
} from './list-words';

export type DocumentKind = 'invoice' | 'credit-note' | 'payment' | 'refund' | 'balance';
export type ListKind = 'customers' | 'suppliers';

/** Kinds that count against invoices. */
export const AGAINST: ReadonlySet<DocumentKind> = new Set(['credit-note', 'payment']);

/** The letters that a document's number begins with. */
const prefixOf = (number: string): string => folded(/^\p{L}+(?:[\s.]?\p{L}+)*/u.exec(number)?.[0] ?? '');

const WORDS = [
  ['refund', REFUND_WORDS],
  ['credit-note', CREDIT_WORDS],
  ['invoice', INVOICE_WORDS],
  ['balance', BALANCE_WORDS],
  ['payment', PAYMENT_WORDS],
] as const;

/** A shorter word within others says nothing. */
const LEAST = 4;

/** The kind that words name: by being its name, else by the longest name that is in them. */
const kindIn = (words: string): DocumentKind | undefined => {
  if (words === '') return undefined;
  const whole = WORDS.find(([, list]) => list.is(words));
  if (whole !== undefined) return whole[0];
  const [found] = WORDS.flatMap(([kind, list]) => {
    const term = list.in(words);
    return term === undefined || term.length < LEAST ? [] : [{ kind, length: term.length }];
  }).sort((one, other) => other.length - one.length);
  return found?.kind;
};

/** How documents are alike: by the word for their kind, else by how their numbers begin. */
const keyOf = ({ texts }: PrintedRow): string => folded(texts.kind ?? '') || `#${prefixOf(texts.number ?? '')}`;
const UNLETTERED = '#';

/**
 * What kind of document each row is: by its own word, else by how its number begins, else by its sign. The commonest beginning is that
 * of invoices, whatever it means elsewhere; one that nobody knows and that counts against them is a payment where none of its documents
 * is ever due, and that is a guess.
 */
export const kindsOf = (
  rows: readonly PrintedRow[],
  whose: ListKind,
  /** The list says the sides of its amounts as the books see them. */
  sided: boolean,
): { readonly kinds: readonly DocumentKind[]; readonly guessed: readonly PrintedRow[] } => {
  const groups = new Map<string, PrintedRow[]>();
  for (const row of rows) addTo(groups, keyOf(row), row);
  // Which sign invoices have: that of their side, else by those that are said to be some, else by those that are due, else by most.
  const said = rows.filter(({ texts }) => kindIn(folded(texts.kind ?? '')) === 'invoice');
  const due = rows.filter(({ due: day, date }) => day !== undefined && day !== date);
  const judged = said.length > 0 ? said : due.length > 0 ? due : rows;
  const most = judged.filter(({ open = NIL }) => open > 0n).length * 2 >= judged.length;
  const positive = sided ? whose === 'customers' : most;
  const against = ({ open = NIL }: PrintedRow): boolean => (positive ? open < 0n : open > 0n);
  const signed = rows.some(({ open = NIL }) => open < 0n) && rows.some(({ open = NIL }) => open > 0n);
  const [commonest] = [...groups].sort(([, one], [, other]) => other.length - one.length);
  const kinds = new Map<string, DocumentKind | undefined>();
  const guessed = new Set<string>();
  for (const [key, own] of groups) {
    const byPrefix = key.startsWith(UNLETTERED);
    // Suppliers number as they like: where no amount has a sign, how a number begins says nothing. Neither does it against the sign.
    const says = !byPrefix || (own.some(against) ? true : !signed && whose === 'customers');
    const words = key.replace(/^#/, '');
    // "FT A/101": behind the word stand the letters of a series.
    const word = kindIn(words) ?? (byPrefix ? kindIn(words.split(' ', 1)[0] ?? '') : undefined);
    // Letters that are of invoices elsewhere are not, where all that they begin counts against invoices.
    const told = byPrefix && word === 'invoice' && key !== commonest?.[0] && own.every(against) ? undefined : word;
    const named = says || told === undefined || !AGAINST.has(told) ? told : undefined;
    const usual = key === commonest?.[0] && own.filter(against).length * 2 < own.length;
    if (usual && (named === undefined || key.startsWith('#'))) kinds.set(key, named === 'balance' ? named : 'invoice');
    else if (named !== undefined) kinds.set(key, named);
    else if (key === UNLETTERED) kinds.set(key, undefined);
    else if (own.every(against)) {
      kinds.set(key, own.some(({ due }) => due !== undefined) ? 'credit-note' : 'payment');
      guessed.add(key);
    } else kinds.set(key, 'invoice');
  }
  const kindOf = (row: PrintedRow): DocumentKind => {
    const kind = kinds.get(keyOf(row));
    const told = kindIn(folded(row.texts.reference ?? ''));
    const isGuess = guessed.has(keyOf(row)) && told !== undefined && AGAINST.has(told);
    if (kind !== undefined && kind !== 'invoice') return isGuess ? told : kind;
    const unnumbered = (row.texts.number ?? '') === '';
    if (!against(row)) return unnumbered && (told === 'balance' || row.date === undefined) ? 'balance' : 'invoice';
    if (told === 'payment' || told === 'credit-note' || told === 'balance') return told;
    return kind === undefined && unnumbered && row.due === undefined ? 'payment' : 'credit-note';
  };
  const unsure = (row: PrintedRow): boolean => {
    const told = kindIn(folded(row.texts.reference ?? ''));
    return guessed.has(keyOf(row)) && (told === undefined || !AGAINST.has(told));
  };
  return { kinds: rows.map(kindOf), guessed: rows.filter(unsure) };
};

/** Whether a list says on which side each amount stands: by its columns, or at the amounts. */
export const isSided = ({ roles }: Pick<ListTable, 'roles'>, rows: readonly PrintedRow[]): boolean =>
  (roles.includes('debit') && roles.includes('credit')) || rows.some(({ spoken }) => spoken);

/**
 * Whose list it is, by the words of its titles, its columns, its first rows and its file; where they say neither or both, by the side on
 * which most of it stands, and that is not sure.
 */
export const kindOfList = (
  list: ListTable,
  fileName: string,
  printed: readonly PrintedRow[],
): { readonly kind: ListKind; readonly sure: boolean } => {
  const rows = list.rows.slice(list.header, list.header + 3).flatMap((row) => row.map(textOf));
  const texts = [...list.titles, ...rows, fileName.replace(/[_.-]+/g, ' ')].filter((text) => text.length < 200);
  const count = (words: typeof CUSTOMERS): number =>
    texts.filter((text) => words.in(folded(text)) !== undefined).length;
  const [ours, theirs] = [count(CUSTOMERS), count(SUPPLIERS)];
  if (isSided(list, printed) && ours > 0 === theirs > 0)
    return { kind: sum(printed.map(({ open = NIL }) => open)) < 0n ? 'suppliers' : 'customers', sure: false };
  return { kind: theirs > ours ? 'suppliers' : 'customers', sure: ours !== theirs };
};
