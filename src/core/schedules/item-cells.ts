import { type Prepared, named, prepared } from '../base/pick';
import { type DateStyle, writeStyled } from '../base/date-style';
import { type PlainDate, readStyled } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { type Result, fail, ok, problem, quoted } from '../base/result';
import type { Account } from '../chart/account';
import type { SpanRule } from '../company/facts';
import type { PaymentTerms } from '../company/terms';
import { type Currency, isCurrency, minorDigits } from '../money/currency';
import { readEntry } from '../money/entry';
import { formatMinor } from '../money/format';
import { type Minor, abs, minor, negate } from '../money/minor';
import type { NumberStyle } from '../money/number-style';
import { type CodeBook, type ListNamed, codeOfItem, fieldOfList, listOfColumn, typedCodeOfItem } from './analysis';
import type { Contact, ContactId } from './contact';
import { type ItemFields, asKind, dueBy } from './item';
import type { ItemColumn } from './item-columns';
import { type ItemKind, type ScheduleKind, isThings, kindsIn, signedAmount } from './kinds';
import { type ThingRules, thingText, typedThing } from './things/cells';
import { thingColumns } from './things/columns';
import { withDetail } from './things/detail';

const COLUMN_LABELS: Readonly<Partial<Record<ItemColumn, string>>> = {
  contact: 'Contact',
  kind: 'Kind',
  number: 'Number',
  reference: 'Their reference',
  order: 'Our order',
  date: 'Date',
  due: 'Due',
  currency: 'Cur.',
  original: 'Original',
  open: 'Open',
  base: 'In base',
  note: 'Note',
};

/** What the sheet of a schedule has beside what every one has: lists of analysis codes, and price levels. */
export interface SheetLists {
  readonly lists: readonly ListNamed[];
  readonly levels: readonly string[];
}
const NO_LISTS: SheetLists = { lists: [], levels: [] };

/** What a column is called in a schedule. */
export const labelOf = (schedule: ScheduleKind, column: ItemColumn, { lists, levels }: SheetLists): string =>
  lists.find(({ list }) => list === listOfColumn(column))?.name ??
  (isThings(schedule) ? thingColumns(schedule, levels).find(({ id }) => id === column)?.label : undefined) ??
  (schedule === 'division' && column === 'open' ? 'Amount' : COLUMN_LABELS[column]) ??
  '';

/** The columns of a schedule, in their order; foreign ones only where there are foreign currencies, then those of analysis codes. */
export const columnsIn = (
  schedule: ScheduleKind,
  foreign: boolean,
  { lists, levels }: SheetLists = NO_LISTS,
): readonly ItemColumn[] => {
  const codes = lists.map(({ list }) => fieldOfList(list));
  // A division is made of codes and amounts, and of little else.
  return schedule === 'division'
    ? [...codes, 'note', 'number', ...(foreign ? (['currency', 'open', 'base'] as const) : (['open'] as const))]
    : [...ownColumns(schedule, foreign, levels), ...codes];
};

const ownColumns = (schedule: ScheduleKind, foreign: boolean, levels: readonly string[]): readonly ItemColumn[] =>
  isThings(schedule)
    ? thingColumns(schedule, levels).flatMap(({ id }) =>
        foreign && id === 'date' && schedule !== 'stock' && schedule !== 'assets' ? (['currency', id] as const) : [id],
      )
    : schedule === 'customers' || schedule === 'suppliers'
      ? [
          'contact',
          'kind',
          'number',
          'date',
          'due',
          ...(foreign ? (['currency'] as const) : []),
          'open',
          ...(foreign ? (['base'] as const) : []),
          'reference',
          'original',
          'order',
          'note',
        ]
      : schedule === 'statement'
        ? ['kind', 'date', 'number', 'note', 'open']
        : [
            'note',
            'number',
            'date',
            'contact',
            'kind',
            ...(foreign ? (['currency', 'open', 'base'] as const) : (['open'] as const)),
          ];

/** Contacts as cells look for them. */
export interface ContactBook {
  readonly byId: ReadonlyMap<ContactId, Contact>;
  readonly search: readonly Prepared<Contact>[];
}

export const contactBook = (contacts: readonly Contact[]): ContactBook => ({
  byId: new Map(contacts.map((one) => [one.id, one])),
  search: prepared(contacts),
});

/** What cells are read and written with. */
export interface CellRules {
  readonly schedule: ScheduleKind;
  readonly account: Pick<Account, 'classification' | 'contra' | 'currency'>;
  readonly base: Currency;
  readonly style: NumberStyle;
  readonly dates: DateStyle;
  readonly contacts: ContactBook;
  /** The company's own terms, where a contact has none. */
  readonly terms: PaymentTerms;
  readonly openingDate: PlainDate;
  /** How what lies across the year end is divided. */
  readonly spans: SpanRule;
  readonly codes: CodeBook;
}

/** The rules for cells that only things have; undefined for the other schedules. */
const thingRules = ({ schedule, ...rules }: CellRules): ThingRules | undefined =>
  isThings(schedule) ? { ...rules, schedule } : undefined;

/** What reduces a balance stands in brackets, as on paper. */
const written = (amount: Minor | null, currency: Currency, reduces: boolean, style: NumberStyle): string => {
  if (amount === null || amount === 0n) return '';
  const text = formatMinor(abs(amount), minorDigits(currency), style);
  return reduces ? `(${text})` : text;
};

/** Whether items of a kind make a balance smaller. */
const reducesIn = (schedule: ScheduleKind, kind: ItemKind): boolean =>
  kindsIn(schedule).some(({ id, sign }) => id === kind && sign < 0);

export const contactTitle = ({ code, name }: Pick<Contact, 'code' | 'name'>): string => `${code} ${name}`.trim();

/** What a cell shows. Amounts are magnitudes: the kind tells their side. */
export const cellText = (item: ItemFields, column: ItemColumn, rules: CellRules): string => {
  const list = listOfColumn(column);
  if (list !== undefined) return codeOfItem(item.detail, list, rules.codes);
  const things = thingRules(rules);
  const text = things === undefined ? undefined : thingText(item, column, things);
  if (text !== undefined) return text;
  switch (column) {
    case 'contact': {
      const contact = item.contact === null ? undefined : rules.contacts.byId.get(item.contact);
      return contact === undefined ? '' : contactTitle(contact);
    }
    case 'kind':
      return kindsIn(rules.schedule).find(({ id }) => id === item.kind)?.label ?? '';
    case 'date':
    case 'due': {
      const day = item[column];
      return day === null ? '' : writeStyled(day, rules.dates);
    }
    case 'original':
    case 'open':
      return written(item[column], item.currency, reducesIn(rules.schedule, item.kind), rules.style);
    case 'base':
      return written(
        item.currency === rules.base ? item.open : item.base,
        rules.base,
        reducesIn(rules.schedule, item.kind),
        rules.style,
      );
    case 'number':
    case 'reference':
    case 'order':
    case 'currency':
    case 'note':
      return item[column];
    default:
      return '';
  }
};

const readAmount = (text: string, currency: Currency, style: NumberStyle, column: ItemColumn): Result<Minor | null> => {
  const entry = readEntry(text, 'debit', { code: currency, digits: minorDigits(currency) }, style, column);
  return entry.ok ? ok(entry.value.kind === 'blank' ? null : entry.value.amount) : entry;
};

const twinKind = (schedule: ScheduleKind, kind: ItemKind): ItemKind => {
  const own = kindsIn(schedule).find(({ id }) => id === kind);
  const turned: Readonly<Partial<Record<ItemKind, ItemKind>>> = {
    invoice: 'credit-note',
    'credit-note': 'invoice',
    payment: 'refund',
    refund: 'payment',
    balance: 'balance-against',
    'balance-against': 'balance',
    line: 'line-against',
    'line-against': 'line',
    'payment-under-way': 'receipt-under-way',
    'receipt-under-way': 'payment-under-way',
    'payment-unbooked': 'receipt-unbooked',
    'receipt-unbooked': 'payment-unbooked',
  };
  return own === undefined ? kind : (turned[kind] ?? kind);
};

const unknown = (what: string, text: string, column: ItemColumn): Result<never> =>
  fail(problem(`item.${column}`, `${quoted(text)} is no ${what}.`, column));

/**
 * An item with one cell typed otherwise. Amounts are typed as magnitudes and get the sign of the kind; one below nil turns a kind that
 * adds to the balance (an invoice of -50 is a credit note of 50). Who is named gives currency and due date where those were not given.
 */
export const typedItem = (
  item: ItemFields,
  column: ItemColumn,
  typed: string,
  rules: CellRules,
): Result<ItemFields> => {
  const list = listOfColumn(column);
  if (list !== undefined) {
    const read = typedCodeOfItem(typed, list, rules.codes);
    return read.ok ? ok({ ...item, detail: withDetail(item.detail, fieldOfList(list), read.value) }) : read;
  }
  const things = thingRules(rules);
  const own = things === undefined ? undefined : typedThing(item, column, typed, things);
  if (own !== undefined) return own;
  const text = typed.trim();
  const { schedule, account, base } = rules;
  const signed = (kind: ItemKind, amount: Minor): Minor => signedAmount(schedule, account, kind, abs(amount)) ?? amount;
  switch (column) {
    case 'contact': {
      if (text === '') return ok({ ...item, contact: null });
      const found = named(rules.contacts.search, text);
      if (found === undefined) return unknown('contact of these books, or several are called so', typed, column);
      const before = item.contact === null ? undefined : rules.contacts.byId.get(item.contact);
      const bare = item.open === 0n && item.original === null;
      const dueOf = (one: Contact | undefined): IsoDate | null => dueBy(item.date, one?.terms ?? rules.terms);
      // Who runs against a balance has one, where nothing else was said of the item.
      const blank = bare && item.number === '' && item.reference === '' && item.kind === 'invoice';
      return ok({
        ...item,
        kind: blank && found.settles === 'balance' ? 'balance' : item.kind,
        contact: found.id,
        currency: bare && account.currency === null && found.currency !== '' ? found.currency : item.currency,
        due: item.due === null || item.due === dueOf(before) ? dueOf(found) : item.due,
      });
    }
    case 'kind': {
      const found = named(prepared(kindsIn(schedule).map(({ id, label }) => ({ code: '', name: label, id }))), text);
      return found === undefined
        ? unknown('kind of item in this list', typed, column)
        : ok(asKind(schedule, account, item, found.id));
    }
    case 'date':
    case 'due': {
      if (text === '') return ok({ ...item, [column]: null });
      const read = readStyled(text, rules.dates, column);
      if (!read.ok) return read;
      const day = read.value.toString();
      if (column === 'due') return ok({ ...item, due: day });
      const contact = item.contact === null ? undefined : rules.contacts.byId.get(item.contact);
      const terms = contact?.terms ?? rules.terms;
      const follows = schedule === 'customers' || schedule === 'suppliers';
      // A due date that somebody gave stays; one that followed from the terms goes with the date.
      const due = follows && (item.due === null || item.due === dueBy(item.date, terms)) ? dueBy(day, terms) : item.due;
      return ok({ ...item, date: day, due });
    }
    case 'currency': {
      const code = text.toUpperCase();
      if (!isCurrency(code)) return unknown('currency of ISO 4217', typed, column);
      if (code === item.currency) return ok(item);
      // Amounts keep what was typed only where both currencies have the same decimals.
      return item.open !== 0n && minorDigits(code) !== minorDigits(item.currency)
        ? fail(
            problem(
              'item.currency',
              `${code} has other decimals than ${item.currency}; empty the amounts first, and type them anew.`,
              column,
            ),
          )
        : ok({ ...item, currency: code, base: null });
    }
    case 'original':
    case 'open': {
      const read = readAmount(text, item.currency, rules.style, column);
      if (!read.ok) return read;
      const amount = read.value;
      if (amount === null) return ok(column === 'open' ? { ...item, open: minor(0n) } : { ...item, original: null });
      // "-650" on a credit note is a credit note of 650: that is how lists print them.
      const turned =
        amount < 0n && !reducesIn(schedule, item.kind)
          ? asKind(schedule, account, item, twinKind(schedule, item.kind))
          : item;
      return ok({ ...turned, [column]: signed(turned.kind, amount) });
    }
    case 'base': {
      const read = readAmount(text, base, rules.style, column);
      if (!read.ok) return read;
      if (item.currency === base)
        return read.value === null || abs(read.value) === abs(item.open)
          ? ok({ ...item, base: null })
          : fail(problem('item.base', `An item in ${base} is worth what is open of it.`, column));
      const given = read.value === null ? null : signed(item.kind, read.value);
      return ok({ ...item, base: given !== null && item.open < 0n !== given < 0n ? negate(given) : given });
    }
    case 'number':
    case 'reference':
    case 'order':
    case 'note':
      return ok({ ...item, [column]: text.slice(0, column === 'note' ? 500 : 120) });
    default:
      return ok(item);
  }
};
