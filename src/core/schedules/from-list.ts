import { plainDate } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { type Problem, plural, problem } from '../base/result';
import type { Account } from '../chart/account';
import { type Currency, minorDigits } from '../money/currency';
import { type Minor, minor } from '../money/minor';
import type { AccountStatement } from './statement';
import { type Contact, type ContactFields, type ContactId, blankContact, sameContact } from './contact';
import { type ItemFields, blankItem } from './item';
import { type ItemKind, type ScheduleKind, kindBySign, signedAmount } from './kinds';
import type { ListedContact } from './list-contacts';
import type { OpenItem } from './list-items';

/** A row of a list as an item; the contact is one that is there, or one to be made under this key. */
export interface IncomingItem {
  readonly row: number;
  readonly item: ItemFields;
  /** The place among the contacts to be made; null where the item names one that is there, or none. */
  readonly makes: number | null;
  /** What keeps it out; a row with a problem is not taken. */
  readonly problems: readonly Problem[];
}

export interface Incoming {
  readonly items: readonly IncomingItem[];
  /** Contacts that the items name and that are not there yet. */
  readonly contacts: readonly ContactFields[];
}

/** Units with so many decimals as units with others; undefined where a digit would be lost. */
export const rescaled = (units: Minor, from: number, to: number): Minor | undefined => {
  if (to >= from) return minor(units * 10n ** BigInt(to - from));
  const cut = 10n ** BigInt(from - to);
  return units % cut === 0n ? minor(units / cut) : undefined;
};

/** The kind that a document of a list is of, by what it says it is and by the side on which it stands. */
const kindOf = (
  schedule: ScheduleKind,
  account: Pick<Account, 'classification' | 'contra'>,
  { documentKind, open }: Pick<OpenItem, 'documentKind' | 'open'>,
): ItemKind => {
  if (schedule !== 'customers' && schedule !== 'suppliers') return kindBySign(schedule, account, open).kind;
  const kinds: Readonly<Record<OpenItem['documentKind'], readonly [ItemKind, ItemKind]>> = {
    invoice: ['invoice', 'credit-note'],
    'credit-note': ['credit-note', 'invoice'],
    payment: ['payment', 'refund'],
    refund: ['refund', 'payment'],
    balance: ['balance', 'balance-against'],
  };
  const [own, other] = kinds[documentKind];
  const stands = signedAmount(schedule, account, own, minor(1n)) ?? minor(1n);
  return stands > 0n === open > 0n ? own : other;
};

export interface ListRules {
  readonly schedule: ScheduleKind;
  readonly account: Pick<Account, 'classification' | 'contra' | 'currency'>;
  readonly base: Currency;
  /** Foreign currencies switched on. */
  readonly currencies: readonly Currency[];
  readonly contacts: readonly Contact[];
  /** Whether the list's own amounts in base currency are kept; without, items are worth what the opening date's rate makes of them. */
  readonly booked: boolean;
}

/** The contact that a row names: one that is there, or the place of one to be made among the others; neither where it names none. */
interface FoundContact {
  readonly id: ContactId | null;
  readonly makes: number | null;
}

/** Finds those that the rows of a list name by code and name, among contacts that are there; others are to be made once each. */
export const contactFinder = (
  contacts: readonly Contact[],
  role: ContactFields['role'],
): {
  readonly contactOf: (named: Pick<OpenItem, 'contactCode' | 'contactName'>) => FoundContact;
  readonly made: readonly ContactFields[];
} => {
  const known = new Map<string, number>();
  const made: ContactFields[] = [];
  const byCode = new Map(contacts.filter(({ code }) => code !== '').map((one) => [one.code.toLowerCase(), one]));
  const byName = new Map(contacts.map((one) => [one.name.trim().toLowerCase(), one]));
  return {
    made,
    contactOf: ({ contactCode, contactName }) => {
      const [code, name] = [contactCode?.trim() ?? '', contactName?.trim() ?? ''];
      if (code === '' && name === '') return { id: null, makes: null };
      const there = [byCode.get(code.toLowerCase()), byName.get(name.toLowerCase())].find(
        (one) => one !== undefined && sameContact({ code, name }, one),
      );
      if (there !== undefined) return { id: there.id, makes: null };
      const key = `${code}\n${name}`.toLowerCase();
      const before = known.get(key);
      if (before !== undefined) return { id: null, makes: before };
      known.set(key, made.length);
      // A code that is another's stays theirs.
      const taken =
        code === '' ||
        byCode.has(code.toLowerCase()) ||
        made.some((one) => one.code.toLowerCase() === code.toLowerCase());
      made.push({
        ...blankContact(role),
        code: taken ? '' : code.slice(0, 40),
        name: (name === '' ? code : name).slice(0, 200),
      });
      return { id: null, makes: made.length - 1 };
    },
  };
};

/**
 * The rows of a list as items of a schedule: amounts in the decimals of their own currencies, kinds by what the list says and its signs,
 * contacts matched by code and name with those that are there, others to be made once each.
 */
export const incomingItems = (
  list: { readonly items: readonly OpenItem[]; readonly digits: number; readonly currency?: Currency | null },
  { schedule, account, base, currencies, contacts, booked }: ListRules,
): Incoming => {
  const { contactOf, made } = contactFinder(
    contacts,
    schedule === 'suppliers' ? 'supplier' : schedule === 'customers' ? 'customer' : 'other',
  );
  const items = list.items.map((listed): IncomingItem => {
    const currency = listed.currency ?? account.currency ?? base;
    const to = minorDigits(currency);
    const own = rescaled(listed.open, list.digits, to);
    const original = listed.original === null ? null : rescaled(listed.original, list.digits, to);
    // Amounts in another base currency than the books' say nothing here.
    const other = list.currency != null && list.currency !== base;
    const worth = listed.base === null || other ? null : rescaled(listed.base, list.digits, minorDigits(base));
    const off = currency !== base && !currencies.includes(currency);
    const kept = account.currency;
    const foreign = kept !== null && kept !== currency;
    const { id, makes } = contactOf(listed);
    return {
      row: listed.row,
      makes,
      item: {
        ...blankItem(schedule, currency),
        kind: kindOf(schedule, account, listed),
        contact: id,
        number: (listed.number ?? '').slice(0, 120),
        reference: (listed.reference ?? '').slice(0, 120),
        order: (listed.order ?? '').slice(0, 120),
        date: listed.date,
        due: listed.due,
        original: original ?? null,
        open: own ?? minor(0n),
        base: booked && currency !== base && worth !== undefined ? worth : null,
      },
      problems: [
        ...(own === undefined || original === undefined || worth === undefined
          ? [
              problem(
                'item.decimals',
                `An amount of row ${listed.row} has more decimals than ${currency} has. Type the item as it should stand.`,
                listed.row,
              ),
            ]
          : []),
        ...(off
          ? [
              problem(
                'item.currency',
                `Row ${listed.row} is in ${currency}, which is not switched on. Switch it on on the Currencies page, and bring the list again.`,
                listed.row,
              ),
            ]
          : []),
        ...(foreign
          ? [
              problem(
                'item.other-currency',
                `Row ${listed.row} is in ${currency}, but this account is kept in ${kept}.`,
                listed.row,
              ),
            ]
          : []),
        ...(own === 0n ? [problem('item.nothing', `Row ${listed.row} has nothing open.`, listed.row)] : []),
      ],
    };
  });
  return { items, contacts: made };
};

/** The contacts of a list that are not there yet, and how many are. */
export const incomingContacts = (
  listed: readonly ListedContact[],
  contacts: readonly Contact[],
): { readonly add: readonly ContactFields[]; readonly known: number } => {
  const add: ContactFields[] = [];
  const codes = new Set(contacts.map(({ code }) => code.toLowerCase()).filter((code) => code !== ''));
  const known = new Map<string, Contact[]>();
  for (const one of contacts)
    for (const key of [one.code.toLowerCase(), one.name.toLowerCase()])
      known.set(key, [...(known.get(key) ?? []), one]);
  let there = 0;
  for (const one of listed) {
    const near = [...(known.get(one.code?.toLowerCase() ?? '\0') ?? []), ...(known.get(one.name.toLowerCase()) ?? [])];
    if (near.some((other) => sameContact(one, other))) {
      there += 1;
      continue;
    }
    const code = one.code ?? '';
    const free = code !== '' && !codes.has(code.toLowerCase());
    if (free) codes.add(code.toLowerCase());
    add.push({
      ...blankContact(one.role),
      code: free ? code.slice(0, 40) : '',
      name: one.name.slice(0, 200),
      taxNumber: (one.taxNumber ?? '').slice(0, 40),
      country: one.country ?? '',
      email: (one.email ?? '').slice(0, 200),
      currency: one.currency ?? '',
      terms:
        one.termDays === null || one.termDays > 365
          ? null
          : { kind: one.monthEnd ? 'month-end' : 'days', days: one.termDays },
    });
  }
  return { add, known: there };
};

/** What a bank's statement says of an account on the opening date. */
export interface IncomingStatement {
  readonly closing: { readonly date: IsoDate; readonly amount: Minor } | null;
  /** Entries between the opening date and the statement's end: on the statement, and not in the opening balances. */
  readonly between: readonly ItemFields[];
  readonly problems: readonly Problem[];
}

export const incomingStatement = (
  statement: AccountStatement,
  account: Pick<Account, 'classification' | 'contra' | 'currency'>,
  base: Currency,
  openingDay: IsoDate,
): IncomingStatement => {
  const currency = account.currency ?? base;
  const nothing = { closing: null, between: [] };
  if (statement.currency !== '' && statement.currency !== currency)
    return {
      ...nothing,
      problems: [
        problem(
          'statement.currency',
          `The statement is in ${statement.currency}, but this account is kept in ${currency}.`,
        ),
      ],
    };
  const { closing } = statement;
  const date = closing?.date ?? statement.to;
  const amount = closing === null ? undefined : rescaled(closing.amount, statement.digits, minorDigits(currency));
  if (closing === null || date === null || amount === undefined)
    return {
      ...nothing,
      problems: [
        problem(
          'statement.no-closing',
          'The statement says no closing balance with its date. Type it from the paper, below.',
        ),
      ],
    };
  const after = statement.entries.filter((entry) => entry.date !== null && entry.date > openingDay);
  const between = date <= openingDay ? [] : after;
  const read = between.map(({ amount: units, ...entry }) => ({
    ...entry,
    amount: rescaled(units, statement.digits, minorDigits(currency)),
  }));
  const lost = read.filter((entry) => entry.amount === undefined).length;
  return {
    closing: { date, amount },
    between: read.flatMap((entry): readonly ItemFields[] =>
      entry.amount === undefined || entry.amount === 0n
        ? []
        : [
            {
              ...blankItem('statement', currency),
              kind: entry.amount > 0n ? 'receipt-unbooked' : 'payment-unbooked',
              date: entry.date,
              // What the statement has and the books have not counts the other way.
              open: minor(-entry.amount),
              note: entry.text.slice(0, 500),
            },
          ],
    ),
    problems: [
      ...(lost > 0
        ? [
            problem(
              'statement.decimals',
              `${plural(lost, 'entry', 'entries')} with more decimals than ${currency} has ${lost === 1 ? 'is' : 'are'} left out.`,
            ),
          ]
        : []),
      ...(date < openingDay && plainDate(date).until(plainDate(openingDay), { largestUnit: 'days' }).days > 0
        ? [
            problem(
              'statement.early',
              'The statement ends before the opening date: list what the books have and it has not, below.',
            ),
          ]
        : []),
    ],
  };
};
