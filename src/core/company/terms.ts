import type { PlainDate } from '../base/dates';
import { plural } from '../base/result';

/**
 * When a document falls due: so many days after its date; so many days after the end of its month; or on a day of a
 * following month (1 is the next one), the last day where that month is shorter.
 */
export type PaymentTerms =
  | { readonly kind: 'days'; readonly days: number }
  | { readonly kind: 'month-end'; readonly days: number }
  | { readonly kind: 'day-of-month'; readonly day: number; readonly months: number };

export const MOST_TERM_DAYS = 365;

/**
 * @example dueDate(plainDate('2026-01-31'), { kind: 'days', days: 30 }).toString() // '2026-03-02'
 */
export const dueDate = (document: PlainDate, terms: PaymentTerms): PlainDate => {
  switch (terms.kind) {
    case 'days':
      return document.add({ days: terms.days });
    case 'month-end':
      return document.with({ day: document.daysInMonth }).add({ days: terms.days });
    case 'day-of-month': {
      const month = document.with({ day: 1 }).add({ months: terms.months });
      return month.with({ day: Math.min(terms.day, month.daysInMonth) });
    }
  }
};

export const describeTerms = (terms: PaymentTerms): string => {
  switch (terms.kind) {
    case 'days':
      return terms.days === 0 ? 'on the document’s date' : `${plural(terms.days, 'day')} after the document’s date`;
    case 'month-end':
      return terms.days === 0 ? 'at the month’s end' : `${plural(terms.days, 'day')} after the month’s end`;
    case 'day-of-month':
      return `on day ${terms.day} of ${terms.months === 1 ? 'the following month' : `the month ${terms.months} months later`}`;
  }
};

export const DOCUMENT_KINDS = [
  { id: 'sales-invoice', label: 'Sales invoice', prefix: 'SI-' },
  { id: 'sales-credit', label: 'Sales credit note', prefix: 'SC-' },
  { id: 'purchase-invoice', label: 'Purchase invoice', prefix: 'PI-' },
  { id: 'purchase-credit', label: 'Purchase credit note', prefix: 'PC-' },
  { id: 'receipt', label: 'Receipt', prefix: 'RC-' },
  { id: 'payment', label: 'Payment', prefix: 'PY-' },
] as const;

export type DocumentKind = (typeof DOCUMENT_KINDS)[number]['id'];

/** What a company calls the kinds of its documents, where that is not their usual name. */
export type DocumentNames = Readonly<Partial<Record<DocumentKind, string>>>;

/** What a kind of document is called. */
export const documentName = (kind: DocumentKind, names: DocumentNames): string =>
  names[kind] ?? DOCUMENT_KINDS.find(({ id }) => id === kind)?.label ?? '';

/** Whether prices stand on documents before sales tax is added, or with it in them. */
export const PRICES_SHOWN = [
  { id: 'before', label: 'before sales tax' },
  { id: 'after', label: 'with sales tax in them' },
] as const;
export type PricesShown = (typeof PRICES_SHOWN)[number]['id'];

/** How documents of a kind are numbered from now on. */
export interface Numbering {
  readonly kind: DocumentKind;
  readonly prefix: string;
  readonly next: number;
  /** Digits, filled with zeros in front. */
  readonly width: number;
}

/** The number that the next document gets: "SI-00042". */
export const documentNumber = ({ prefix, next, width }: Omit<Numbering, 'kind'>): string =>
  `${prefix}${String(next).padStart(width, '0')}`;

/** Days overdue up to which items belong to an age, where nobody says otherwise; beyond the last they belong to one more. */
export const AGE_LIMITS: readonly number[] = [30, 60, 90];
