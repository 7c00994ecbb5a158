import { folded } from '../../base/folded';
import { IN_MONTHS } from '../life';
import { REGISTER_WORDS, type RegisterKind, type RegisterRole } from './register-words';

const DAYS: ReadonlySet<RegisterRole> = new Set(['acquired', 'counted', 'date', 'from', 'to', 'begun', 'last']);
export const FIGURES: ReadonlySet<RegisterRole> = new Set([
  'life',
  'rate',
  'residual',
  'costBefore',
  'netBefore',
  'additions',
  'disposals',
  'cost',
  'brought',
  'charge',
  'depreciation',
  'net',
  'quantity',
  'unitCost',
  'value',
  'price',
  'writeDown',
  'instalment',
  'interest',
  'principal',
  'outstanding',
  'before',
  'fee',
  'amount',
  'used',
  'remaining',
  'monthly',
  'months',
  'lent',
  'within',
]);
/** Columns whose sums a list prints. */
export const MONEY: Readonly<Record<RegisterKind, readonly RegisterRole[]>> = {
  assets: ['cost', 'brought', 'charge', 'depreciation', 'net'],
  stock: ['value'],
  loans: ['instalment', 'interest', 'principal', 'outstanding'],
  prepayments: ['amount', 'used', 'remaining'],
  borrowings: ['lent', 'instalment', 'outstanding', 'within'],
  holdings: ['value'],
  returns: ['amount'],
};

export const isMoneyRole = (kind: RegisterKind, role: RegisterRole): boolean => MONEY[kind].includes(role);
/** Amounts beside those: they are read alike, and no list sums them up. */
const BESIDE: ReadonlySet<RegisterRole> = new Set([
  'residual',
  'writeDown',
  'net',
  'fee',
  'before',
  'costBefore',
  'netBefore',
  'additions',
  'disposals',
]);
export const isAmountRole = (kind: RegisterKind, role: RegisterRole): boolean =>
  MONEY[kind].includes(role) || BESIDE.has(role);
export const isDayRole = (role: RegisterRole): boolean => DAYS.has(role);

/** How well a column's name is one of a role: 3 where it is exactly that, less where it is in it. */
export const named = (kind: RegisterKind, role: RegisterRole, name: string): number => {
  const own = (REGISTER_WORDS[kind] as Partial<Record<RegisterRole, (typeof REGISTER_WORDS)['assets']['code']>>)[role];
  if (own === undefined || name === '' || name.length > 60) return 0;
  // "< 1 yr" and "> 1 yr" are told apart by their marks.
  const marked = name.replace(/[<≤]/gu, ' up to ').replace(/[>≥]/gu, ' over ');
  const plain = folded(marked);
  // "DueDate" is two words, and "AfA" is one.
  const words = folded(marked.replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2'));
  // Of stock, a share is that by which something is written down; margins and taxes are shares too.
  if (name.includes('%'))
    return role === 'rate' && (kind !== 'stock' || REGISTER_WORDS.stock.writeDown.in(words) !== undefined) ? 3 : 0;
  if (own.is(words) || own.is(plain)) return 3;
  // What stands in brackets says more of the same: "Cost (EUR)", "Life (yrs)".
  if (own.is(folded(name.replace(/[([].*/u, '')))) return 2.8;
  const found = own.in(words) ?? own.in(plain);
  if (found !== undefined) return 1 + found.length / words.length;
  // A column of months or years is of lives.
  return role === 'life' && IN_MONTHS.in(words) !== undefined ? 2 : 0;
};

export const rolesIn = (kind: RegisterKind): readonly RegisterRole[] =>
  Object.keys(REGISTER_WORDS[kind]) as RegisterRole[];

/** How well a text names any column of a list of the kind. */
export const bestOf =
  (kind: RegisterKind) =>
  (name: string): number =>
    Math.max(...rolesIn(kind).map((role) => named(kind, role, name)));
