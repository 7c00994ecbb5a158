import { named, prepared } from '../base/pick';
import type { Account } from '../chart/account';
import { type Result, fail, ok, problem, quoted } from '../base/result';
import { type PaymentTerms, MOST_TERM_DAYS } from '../company/terms';
import { type Currency, isCurrency, minorDigits } from '../money/currency';
import { formatMinor } from '../money/format';
import { minor } from '../money/minor';
import type { NumberStyle } from '../money/number-style';
import { readPaperAmount, unitsOf } from '../money/paper-amount';
import { CONTACT_ROLES, type ContactFields } from './contact';

/** The columns of the sheet of contacts. */
export const CONTACT_COLUMNS = [
  'code',
  'name',
  'role',
  'taxNumber',
  'country',
  'currency',
  'terms',
  'creditLimit',
  'settles',
  'account',
  'email',
  'phone',
  'person',
  'address',
  'note',
  'active',
] as const;
export type ContactColumn = (typeof CONTACT_COLUMNS)[number];

export const CONTACT_LABELS: Readonly<Record<ContactColumn, string>> = {
  code: 'Code',
  name: 'Name',
  role: 'Is',
  taxNumber: 'Tax number',
  country: 'Country',
  currency: 'Cur.',
  terms: 'Terms',
  creditLimit: 'Credit limit',
  settles: 'Settles',
  account: 'Account',
  email: 'E-mail',
  phone: 'Phone',
  person: 'Person to ask',
  address: 'Address',
  note: 'Note',
  active: 'In use',
};

/** Terms as they are typed: "30" is days after the document, "30 eom" days after its month's end, "15 next" that day of the next month. */
const termsText = (terms: PaymentTerms | null): string => {
  if (terms === null) return '';
  switch (terms.kind) {
    case 'days':
      return String(terms.days);
    case 'month-end':
      return `${String(terms.days)} eom`;
    case 'day-of-month':
      return terms.months === 1 ? `${String(terms.day)} next` : `${String(terms.day)} +${String(terms.months)}`;
  }
};

const TERMS = /^(\d{1,3}) ?(?:days? ?|d ?)?(?:(eom|end of month|month end)|(next)|\+ ?(\d{1,2}))?$/i;

const readTerms = (text: string): Result<PaymentTerms | null> => {
  if (text === '') return ok(null);
  const found = TERMS.exec(text);
  const count = Number(found?.[1]);
  const wrong = fail(
    problem(
      'contact.terms',
      `${quoted(text)} are no terms. Type days (“30”), days after the month’s end (“30 eom”), or a day of the next month (“15 next”).`,
      'terms',
    ),
  );
  if (found === null) return wrong;
  const months = found[3] === undefined ? Number(found[4] ?? 0) : 1;
  if (months > 0)
    return count >= 1 && count <= 31 && months <= 12 ? ok({ kind: 'day-of-month', day: count, months }) : wrong;
  if (count > MOST_TERM_DAYS) return wrong;
  return ok(found[2] === undefined ? { kind: 'days', days: count } : { kind: 'month-end', days: count });
};

/** Country names by their codes, as the page knows them. */
export type Countries = readonly (readonly [code: string, name: string])[];

/** What the sheet of contacts is read and written by. */
export interface ContactRules {
  readonly countries: Countries;
  /** The books' currency, which is a contact's where it says no other. */
  readonly base: Currency;
  readonly style: NumberStyle;
  /** The control accounts that a contact may belong to. */
  readonly accounts: readonly Pick<Account, 'id' | 'code' | 'name'>[];
}

/** How contacts settle what they owe. */
export const SETTLES = { items: 'item by item', balance: 'running balance' } as const;

export const contactText = (
  contact: ContactFields,
  column: ContactColumn,
  { base, style, accounts }: ContactRules,
): string => {
  switch (column) {
    case 'creditLimit':
      return contact.creditLimit === null
        ? ''
        : formatMinor(contact.creditLimit, minorDigits(contact.currency === '' ? base : contact.currency), style);
    case 'settles':
      // What is usual needs no word in every row.
      return contact.settles === 'items' ? '' : SETTLES.balance;
    case 'account':
      return accounts.find(({ id }) => id === contact.account)?.code ?? '';
    case 'role':
      return CONTACT_ROLES.find(({ id }) => id === contact.role)?.label ?? '';
    case 'terms':
      return termsText(contact.terms);
    case 'active':
      return contact.active ? 'yes' : 'no';
    default:
      return contact[column];
  }
};

/** A contact with one cell typed otherwise. */
export const typedContact = (
  contact: ContactFields,
  column: ContactColumn,
  typed: string,
  { countries, base, style, accounts }: ContactRules,
): Result<ContactFields> => {
  const text = typed.trim();
  const unknown = (what: string): Result<never> =>
    fail(problem(`contact.${column}`, `${quoted(typed)} is no ${what}.`, column));
  switch (column) {
    case 'role': {
      const found = named(prepared(CONTACT_ROLES.map(({ id, label }) => ({ code: id, name: label, id }))), text);
      return found === undefined ? unknown('kind of contact') : ok({ ...contact, role: found.id });
    }
    case 'country': {
      if (text === '') return ok({ ...contact, country: '' });
      const found = named(prepared(countries.map(([code, name]) => ({ code, name }))), text);
      return found === undefined ? unknown('country') : ok({ ...contact, country: found.code });
    }
    case 'currency': {
      const code = text.toUpperCase();
      return code === '' || isCurrency(code) ? ok({ ...contact, currency: code }) : unknown('currency of ISO 4217');
    }
    case 'creditLimit': {
      if (text === '') return ok({ ...contact, creditLimit: null });
      const currency = contact.currency === '' ? base : contact.currency;
      const read = readPaperAmount(text, style, currency);
      const units = read === undefined || read.side !== undefined ? undefined : unitsOf(read, minorDigits(currency));
      return units === undefined || units.amount < 0n
        ? unknown(`amount in ${currency}`)
        : ok({ ...contact, creditLimit: minor(units.amount) });
    }
    case 'settles':
      return ok({ ...contact, settles: /^[br]/i.test(text) ? 'balance' : 'items' });
    case 'account': {
      if (text === '') return ok({ ...contact, account: null });
      const found = named(prepared(accounts), text);
      return found === undefined ? unknown('control account of these books') : ok({ ...contact, account: found.id });
    }
    case 'terms': {
      const read = readTerms(text);
      return read.ok ? ok({ ...contact, terms: read.value }) : read;
    }
    case 'active':
      return ok({ ...contact, active: !/^(n|no|0|false)$/i.test(text) });
    default:
      return ok({ ...contact, [column]: text });
  }
};
