import type { AccountRole } from '../ledger/classes';
import { type Account } from '../chart/account';
import { isResult, normalSide, typeOf } from '../ledger/classes';
import { type Minor, abs, negate } from '../money/minor';
import type { ListKind } from './list-kinds';

/** Schedules of things that are no documents: each has columns and rules of its own, in `things/`. */
export const THING_KINDS = ['stock', 'assets', 'loan', 'span', 'tax', 'holders'] as const;
export type ThingKind = (typeof THING_KINDS)[number];

/**
 * What stands behind an account: open items of customers or suppliers, a statement with what is not on it, a list of things, a plain
 * list; `written-off` is a plain list beside what registers of assets bring, `division` one that divides the figure of an income or
 * expense account over analysis codes.
 */
export type ScheduleKind = ListKind | 'statement' | ThingKind | 'plain' | 'written-off' | 'division';

/** Schedules without columns of their own: a text, a document, a day and an amount. */
const isPlain = (schedule: ScheduleKind): boolean =>
  schedule === 'plain' || schedule === 'written-off' || schedule === 'division';

export const isThings = (schedule: ScheduleKind): schedule is ThingKind =>
  THING_KINDS.some((kind) => kind === schedule);

const BY_ROLE: Readonly<Partial<Record<AccountRole, ScheduleKind>>> = {
  'receivables-control': 'customers',
  'payables-control': 'suppliers',
  bank: 'statement',
  cash: 'statement',
  card: 'statement',
  stock: 'stock',
  'fixed-asset-cost': 'assets',
  'accumulated-depreciation': 'written-off',
  loan: 'loan',
  prepayments: 'span',
  accruals: 'span',
  'deferred-income': 'span',
  tax: 'tax',
  payroll: 'tax',
  capital: 'holders',
};

/** The schedule that an account has; undefined for headings, which have none. */
export const scheduleOf = (account: Pick<Account, 'heading' | 'classification' | 'role'>): ScheduleKind | undefined =>
  account.heading
    ? undefined
    : isResult(typeOf(account.classification))
      ? 'division'
      : account.role === null
        ? 'plain'
        : (BY_ROLE[account.role] ?? 'plain');

/** Whether an account is a control account of customers or suppliers. */
export const isControlAccount = (account: Pick<Account, 'heading' | 'classification' | 'role'>): boolean => {
  const kind = scheduleOf(account);
  return kind === 'customers' || kind === 'suppliers';
};

/** Whether the schedule of an account is asked for wherever it has a figure; any other account may have one. */
export const needsSchedule = (kind: ScheduleKind): boolean => !BY_CHOICE.has(kind);
const BY_CHOICE: ReadonlySet<ScheduleKind> = new Set(['plain', 'tax', 'holders', 'division']);

interface KindFacts {
  readonly id: string;
  readonly label: string;
  /** 1 where it makes a balance on the schedule's own side larger, -1 where it makes it smaller. */
  readonly sign: 1 | -1;
}

const OPEN_ITEMS = [
  { id: 'invoice', label: 'Invoice', sign: 1 },
  { id: 'credit-note', label: 'Credit note', sign: -1 },
  { id: 'payment', label: 'Payment on account', sign: -1 },
  { id: 'refund', label: 'Refund', sign: 1 },
  { id: 'balance', label: 'Balance owed', sign: 1 },
  { id: 'balance-against', label: 'Balance overpaid', sign: -1 },
] as const satisfies readonly KindFacts[];

/** Of the books against a statement: what the books have and it has not, and the other way round. Debit is money that comes in. */
const BESIDE_STATEMENT = [
  { id: 'payment-under-way', label: 'Payment not yet on the statement', sign: -1 },
  { id: 'receipt-under-way', label: 'Receipt not yet on the statement', sign: 1 },
  { id: 'payment-unbooked', label: 'Payment on the statement, not in the books', sign: 1 },
  { id: 'receipt-unbooked', label: 'Receipt on the statement, not in the books', sign: -1 },
] as const satisfies readonly KindFacts[];

const PLAIN = [
  { id: 'line', label: 'Amount', sign: 1 },
  { id: 'line-against', label: 'Amount the other way', sign: -1 },
] as const satisfies readonly KindFacts[];

/** A schedule of things has one kind of item; an amount below nil is one of them all the same. */
const THINGS = [
  { id: 'article', label: 'Article', sign: 1 },
  { id: 'asset', label: 'Asset', sign: 1 },
  { id: 'loan', label: 'Loan', sign: 1 },
  { id: 'span', label: 'Amount over time', sign: 1 },
  { id: 'return', label: 'Return', sign: 1 },
  { id: 'holding', label: 'Holding', sign: 1 },
] as const satisfies readonly KindFacts[];
const OF_THINGS: Readonly<Record<ThingKind, (typeof THINGS)[number]['id']>> = {
  stock: 'article',
  assets: 'asset',
  loan: 'loan',
  span: 'span',
  tax: 'return',
  holders: 'holding',
};

export type ItemKind =
  | (typeof OPEN_ITEMS)[number]['id']
  | (typeof BESIDE_STATEMENT)[number]['id']
  | (typeof PLAIN)[number]['id']
  | (typeof THINGS)[number]['id'];

export const kindsIn = (schedule: ScheduleKind): readonly (KindFacts & { readonly id: ItemKind })[] =>
  isThings(schedule)
    ? THINGS.filter(({ id }) => id === OF_THINGS[schedule])
    : schedule === 'statement'
      ? BESIDE_STATEMENT
      : isPlain(schedule)
        ? PLAIN
        : OPEN_ITEMS;

export const ITEM_KINDS = [...OPEN_ITEMS, ...BESIDE_STATEMENT, ...PLAIN, ...THINGS].map(({ id }) => id) as [
  ItemKind,
  ...ItemKind[],
];

/** On which side a schedule's own balances stand: what customers owe is a debit, what is owed to suppliers a credit. */
export const ownSide = (schedule: ScheduleKind, account: Pick<Account, 'classification' | 'contra'>): 1 | -1 => {
  if (schedule === 'suppliers') return -1;
  const sided = isThings(schedule) || isPlain(schedule);
  return sided && normalSide(account) === 'credit' ? -1 : 1;
};

/**
 * The signed amount (debit positive) of an item whose magnitude is typed; its kind gives the sign, and nobody types one. An amount
 * below nil is of the other direction. Undefined for a kind that the schedule has not.
 */
export const signedAmount = (
  schedule: ScheduleKind,
  account: Pick<Account, 'classification' | 'contra'>,
  kind: ItemKind,
  magnitude: Minor,
): Minor | undefined => {
  const facts = kindsIn(schedule).find(({ id }) => id === kind);
  if (facts === undefined) return undefined;
  return facts.sign * ownSide(schedule, account) < 0 ? negate(magnitude) : magnitude;
};

/** The kind that an amount of a schedule has by its sign alone, with its magnitude. */
export const kindBySign = (
  schedule: ScheduleKind,
  account: Pick<Account, 'classification' | 'contra'>,
  amount: Minor,
): { readonly kind: ItemKind; readonly magnitude: Minor } => {
  const [only] = isThings(schedule) ? kindsIn(schedule) : [];
  if (only !== undefined) return { kind: only.id, magnitude: abs(amount) };
  const against = amount < 0n !== ownSide(schedule, account) < 0;
  const [own, other]: readonly [ItemKind, ItemKind] = isPlain(schedule)
    ? ['line', 'line-against']
    : schedule === 'statement'
      ? ['receipt-under-way', 'payment-under-way']
      : ['balance', 'balance-against'];
  return { kind: against ? other : own, magnitude: abs(amount) };
};

/** What items of schedules of things are. */
export const THING_ITEMS: readonly ItemKind[] = THINGS.map(({ id }) => id);

/**
 * Kinds of items whose day may lie after the opening date: what only the statement or only the books have, articles by the day of their
 * count, amounts over time by their beginning, returns by the end of their period. Any other of after it belongs to the new books.
 */
export const DATED_LATER: readonly ItemKind[] = [...BESIDE_STATEMENT.map(({ id }) => id), 'article', 'span', 'return'];
