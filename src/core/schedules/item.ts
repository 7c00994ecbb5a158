import { type Currency } from '../money/currency';
import { type PlainDate, plainDate } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { type Problem, problem, quoted } from '../base/result';
import { dated, say } from '../base/sentence';
import type { Account, AccountId } from '../chart/account';
import { type PaymentTerms, dueDate } from '../company/terms';
import { type Minor, abs, minor } from '../money/minor';
import type { Kept } from '../base/kept';
import { amountFrom, keptAmount } from '../money/wire';
import { type Detail, NO_DETAIL, detailProblems } from './things/detail';
import type { ContactId } from './contact';
import { DATED_LATER, type ItemKind, type ScheduleKind, isThings, kindsIn, signedAmount } from './kinds';

/** One item of a schedule, as a person decides it. Amounts are signed, debit positive, in minor units of the item's currency. */
export interface ItemFields {
  readonly kind: ItemKind;
  readonly contact: ContactId | null;
  /** The document's own number in the old system, their reference, and our order. */
  readonly number: string;
  readonly reference: string;
  readonly order: string;
  /** `YYYY-MM-DD`, or null where it is not known. */
  readonly date: IsoDate | null;
  readonly due: IsoDate | null;
  readonly currency: Currency;
  readonly original: Minor | null;
  readonly open: Minor;
  /** What it is worth in base currency, where somebody gave that; null: at the rate of the opening date. */
  readonly base: Minor | null;
  readonly note: string;
  /** What items of this kind have beside: the life of an asset, the quantity of an article. */
  readonly detail: Detail;
  /**
   * A second amount that the item makes up, of another account: what of an asset is written off, what of a loan falls due within a year.
   * Signed, debit positive; where no account is named it counts on the item's own.
   */
  readonly beside: Minor | null;
  readonly besideAccount: AccountId | null;
}

export interface Item extends ItemFields {
  readonly id: number;
  readonly account: AccountId;
  readonly revision: number;
  /** The paper and row that it was read from. */
  readonly paper: number | null;
  readonly row: number | null;
}

/** What an item has before anything of it is said. */
export const blankItem = (schedule: ScheduleKind, currency: Currency): ItemFields => ({
  kind: kindsIn(schedule)[0]?.id ?? 'line',
  contact: null,
  number: '',
  reference: '',
  order: '',
  date: null,
  due: null,
  currency,
  original: null,
  open: minor(0n),
  base: null,
  note: '',
  detail: NO_DETAIL,
  beside: null,
  besideAccount: null,
});

/** An item that becomes one of another kind: its amounts keep their magnitudes and get the sign of the kind. */
export const asKind = (
  schedule: ScheduleKind,
  account: Pick<Account, 'classification' | 'contra'>,
  item: ItemFields,
  kind: ItemKind,
): ItemFields => {
  const signed = (amount: Minor): Minor => signedAmount(schedule, account, kind, abs(amount)) ?? amount;
  return {
    ...item,
    kind,
    open: signed(item.open),
    original: item.original === null ? null : signed(item.original),
    base: item.base === null ? null : signed(item.base),
  };
};

/** When a document falls due by its contact's terms. */
export const dueBy = (date: IsoDate | null, terms: PaymentTerms | undefined): IsoDate | null =>
  date === null || terms === undefined ? null : dueDate(plainDate(date), terms).toString();

export interface ItemRules {
  readonly schedule: ScheduleKind;
  readonly account: Pick<Account, 'classification' | 'contra' | 'currency'>;
  readonly base: Currency;
  /** Foreign currencies switched on. */
  readonly currencies: readonly Currency[];
}

/** Why an item cannot be kept as it is. */
export const itemProblems = (item: ItemFields, rules: ItemRules): readonly Problem[] => {
  const { schedule, account, base, currencies } = rules;
  const whose = account.currency ?? undefined;
  return [
    ...(signedAmount(schedule, account, item.kind, minor(1n)) === undefined
      ? [problem('item.kind', 'This list has no items of that kind.', 'kind')]
      : []),
    ...detailProblems(item.detail),
    ...(item.open === 0n && (item.beside ?? 0n) === 0n
      ? [
          problem(
            'item.nothing',
            'An item with nothing open is none. Type what is open of it, or delete the row.',
            'open',
          ),
        ]
      : []),
    ...(whose !== undefined && item.currency !== whose
      ? [problem('item.currency', `This account is kept in ${whose}, so its items are too.`, 'currency')]
      : item.currency !== base && !currencies.includes(item.currency)
        ? [
            problem(
              'item.currency',
              `${item.currency} is not switched on. Switch it on on the Currencies page first.`,
              'currency',
            ),
          ]
        : []),
    ...(item.currency === base && item.base !== null && item.base !== item.open
      ? [problem('item.base', `An item in ${base} is worth what is open of it.`, 'base')]
      : []),
  ];
};

export interface Beside {
  readonly schedule: ScheduleKind;
  readonly openingDate: PlainDate;
  /** Contacts that belong to another control account, with what it is called. */
  readonly elsewhere?: ReadonlyMap<number, string>;
}

/** An item with what it is told apart by, for what is asked about it. */
export type Asked = Pick<Item, 'id'> & ItemFields;

/**
 * What a person should look at again among the items of an account, by item: documents of after the opening date, due before they were
 * written, with more open than they came to, without a contact, and the same document twice. Nothing of it is refused.
 */
export const itemDoubts = (
  items: readonly Asked[],
  { schedule, openingDate, elsewhere = new Map() }: Beside,
): ReadonlyMap<number, readonly Problem[]> => {
  // What is asked about things is worked out in `things/doubts`.
  if (isThings(schedule)) return new Map();
  const day = openingDate.toString();
  const contacts = schedule === 'customers' || schedule === 'suppliers';
  const seen = new Map<string, Asked>();
  const found = new Map<number, readonly Problem[]>();
  for (const item of items) {
    const key =
      item.number === '' && item.reference === ''
        ? undefined
        : [item.contact, item.kind, item.number, item.reference].join('\n').toLowerCase();
    const twin = key === undefined ? undefined : seen.get(key);
    if (key !== undefined && twin === undefined) seen.set(key, item);
    const own: readonly Problem[] = [
      ...(contacts && item.contact === null ? [problem('item.contact', 'Nobody is named on it.', 'contact')] : []),
      ...(item.contact !== null && elsewhere.has(item.contact)
        ? [problem('item.elsewhere', `This contact belongs to ${elsewhere.get(item.contact) ?? ''}.`, 'contact')]
        : []),
      ...(!DATED_LATER.includes(item.kind) && item.date !== null && item.date > day
        ? [
            problem(
              'item.later',
              say`It is of ${dated(item.date)}, after the opening date, ${dated(openingDate)}.`,
              'date',
            ),
          ]
        : []),
      ...(item.date !== null && item.due !== null && item.due < item.date
        ? [problem('item.due', say`It is due on ${dated(item.due)}, before its own date.`, 'due')]
        : []),
      ...(item.original !== null && abs(item.open) > abs(item.original)
        ? [problem('item.more', 'More is open of it than it came to.', 'open')]
        : []),
      ...(twin === undefined
        ? []
        : [
            problem(
              'item.twice',
              `${quoted(item.number === '' ? item.reference : item.number)} of this contact stands here twice.`,
              item.number === '' ? 'reference' : 'number',
            ),
          ]),
    ];
    if (own.length > 0) found.set(item.id, own);
  }
  return found;
};

/** An item as the record of changes keeps it, with the account and version that it belongs to; what it does not have is left out. */
export const keptItem = (
  { detail, beside, besideAccount, ...item }: ItemFields & Pick<Item, 'account' | 'paper' | 'row'>,
  set: number,
): Kept => ({
  ...item,
  set,
  original: keptAmount(item.original),
  open: keptAmount(item.open),
  base: keptAmount(item.base),
  ...(Object.keys(detail).length === 0 ? {} : { detail }),
  ...(beside === null ? {} : { beside: keptAmount(beside) }),
  ...(besideAccount === null ? {} : { besideAccount }),
});

/** Undefined for an item that was not there. */
export const itemFrom = (
  kept: Kept,
): (ItemFields & Pick<Item, 'account' | 'paper' | 'row'> & { readonly set: number }) | undefined => {
  if (kept === null) return undefined;
  const item = kept as unknown as ReturnType<typeof itemFrom> & object;
  const amounts = kept as unknown as Record<'original' | 'open' | 'base' | 'beside', Kept>;
  return {
    ...item,
    original: amountFrom(amounts.original),
    open: amountFrom(amounts.open) ?? minor(0n),
    base: amountFrom(amounts.base),
    detail: (item as Partial<ItemFields>).detail ?? NO_DETAIL,
    beside: amountFrom(amounts.beside ?? null),
    besideAccount: (item as Partial<ItemFields>).besideAccount ?? null,
  };
};
