import { type Currency } from '../money/currency';
import { type Problem, problem, quoted } from '../base/result';
import type { AccountId } from '../chart/account';
import type { PaymentTerms } from '../company/terms';
import { bareTaxNumber, taxNumberProblems } from '../company/tax';
import { type Minor, subtract, sum } from '../money/minor';
import type { ContactRole } from './list-contacts';

declare const contactBrand: unique symbol;
export type ContactId = number & { readonly [contactBrand]: true };
export const contactId = (id: number): ContactId => id as ContactId;

export const CONTACT_ROLES = [
  { id: 'customer', label: 'Customer' },
  { id: 'supplier', label: 'Supplier' },
  { id: 'both', label: 'Customer and supplier' },
  { id: 'other', label: 'Other: lender, employee, owner' },
] as const satisfies readonly { id: ContactRole; label: string }[];

/** A customer, supplier or other party, as a person describes it; texts are empty where nothing is known. */
export interface ContactFields {
  readonly code: string;
  readonly name: string;
  readonly role: ContactRole;
  readonly legalName: string;
  readonly taxNumber: string;
  /** ISO 3166-1 alpha-2, or empty. */
  readonly country: string;
  readonly address: string;
  readonly person: string;
  readonly email: string;
  readonly phone: string;
  /** Empty for the base currency. */
  readonly currency: Currency | '';
  /** Null: as the company's defaults say. */
  readonly terms: PaymentTerms | null;
  /** Up to what they may owe, in their currency; null where nothing is agreed. */
  readonly creditLimit: Minor | null;
  /** The control account that their items belong to; null for the only one of its kind. */
  readonly account: AccountId | null;
  /** Whether payments are matched with invoices one by one, or run against a balance. */
  readonly settles: 'items' | 'balance';
  readonly note: string;
  readonly active: boolean;
}

export interface Contact extends ContactFields {
  readonly id: ContactId;
  readonly revision: number;
}

export const blankContact = (role: ContactRole): ContactFields => ({
  code: '',
  name: '',
  role,
  legalName: '',
  taxNumber: '',
  country: '',
  address: '',
  person: '',
  email: '',
  phone: '',
  currency: '',
  terms: null,
  creditLimit: null,
  account: null,
  settles: 'items',
  note: '',
  active: true,
});

/** Why a contact cannot be kept as it is; `others` are those of the books besides it. A tax number's shape is questioned, not refused. */
export const contactProblems = (
  contact: ContactFields,
  others: readonly Pick<Contact, 'code' | 'name'>[],
): readonly Problem[] => {
  const code = contact.code.toLowerCase();
  const twin = code === '' ? undefined : others.find((other) => other.code.toLowerCase() === code);
  return [
    ...(contact.name.trim() === '' ? [problem('contact.name', 'A contact needs a name.', 'name')] : []),
    ...(twin === undefined
      ? []
      : [problem('contact.code', `The code ${quoted(contact.code)} is ${twin.name}’s. Choose another.`, 'code')]),
  ];
};

/** What a person should look at again about a contact by itself. */
export const contactDoubts = (contact: ContactFields): readonly Problem[] =>
  contact.taxNumber === '' || contact.country === '' ? [] : taxNumberProblems(contact.taxNumber, contact.country);

/** What a customer owes in their own currency beyond their credit limit; null where that is within it, or none is agreed. */
export const beyondLimit = (
  { creditLimit, currency }: Pick<ContactFields, 'creditLimit' | 'currency'>,
  items: readonly { readonly currency: Currency; readonly open: Minor }[],
  base: Currency,
): Minor | null => {
  if (creditLimit === null) return null;
  const own = currency === '' ? base : currency;
  const owed = sum(items.filter((item) => item.currency === own).map(({ open }) => open));
  return owed > creditLimit ? subtract(owed, creditLimit) : null;
};

/**
 * The contacts of other books that are not among these, as they come here: those in use, without their account, which is of the other
 * chart, and without a code that is somebody else's.
 */
export const copiedContacts = (theirs: readonly Contact[], here: readonly Contact[]): readonly ContactFields[] => {
  const codes = new Set(here.map(({ code }) => code.toLowerCase()));
  return theirs
    .filter((one) => one.active && !here.some((known) => isKnownAs(one, known)))
    .map(({ id: _, revision: __, ...contact }) => ({
      ...contact,
      account: null,
      code: codes.has(contact.code.toLowerCase()) ? '' : contact.code,
    }));
};

/** Whether a contact of other books is one of these: called the same, or with the same tax number. */
const isKnownAs = (
  one: Pick<ContactFields, 'name' | 'taxNumber'>,
  known: Pick<ContactFields, 'name' | 'taxNumber'>,
): boolean => {
  const tax = bareTaxNumber(one.taxNumber);
  return (
    one.name.trim().toLowerCase() === known.name.trim().toLowerCase() ||
    (tax !== '' && tax === bareTaxNumber(known.taxNumber))
  );
};

/** Whether two contacts are called so much alike, or have one tax number, that a list's contact is the one that is there. */
export const sameContact = (
  listed: { readonly code: string | null; readonly name: string | null; readonly taxNumber?: string | null },
  known: Pick<ContactFields, 'code' | 'name' | 'taxNumber'>,
): boolean => {
  const [code, name] = [listed.code?.trim().toLowerCase() ?? '', listed.name?.trim().toLowerCase() ?? ''];
  if (code !== '' && known.code !== '')
    return code === known.code.toLowerCase() && (name === '' || name === known.name.toLowerCase());
  if (name !== '') return name === known.name.toLowerCase();
  const tax = bareTaxNumber(listed.taxNumber ?? '');
  return tax !== '' && tax === bareTaxNumber(known.taxNumber);
};
