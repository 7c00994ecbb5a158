import type { Kept } from './kept';

/**
 * What changes, and what its id and field are: an account's opening figure (the field is its version), its comparatives (the field is
 * their column), the account itself (field by field), its bank details (as one); a tax code (as one); how a paper is read, and what is
 * decided about its rows (as one, of those rows). Of the books: facts of the company and rules of the chart and of money (by their
 * name), rates (by pair and day), currencies (by code), the cutover date with the old system's dates, the calendar (each as one), the
 * state of a period (by its days: a calendar that is drawn anew has other rows). Of the schedules: contacts, analysis codes and items (each as one), a
 * statement's closing balance and an explained difference (by account; the field is the version), that somebody looked at both (likewise), and papers attached as evidence
 * (each as one).
 */
export const SUBJECTS = [
  'figure',
  'comparative',
  'account',
  'bank',
  'tax-code',
  'reading',
  'decision',
  'company',
  'chart-rule',
  'money-rule',
  'currency',
  'rate',
  'cutover',
  'calendar',
  'period',
  'contact',
  'analysis-code',
  'item',
  'statement',
  'tie',
  'looked',
  'evidence',
] as const;
export type Subject = (typeof SUBJECTS)[number];

/** The field of a thing that is kept as one. */
export const WHOLE = '*';

/** One value that became another; null for nothing. */
export interface Change {
  readonly subject: Subject;
  readonly id: number;
  readonly field: string;
  readonly from: Kept;
  readonly to: Kept;
}

/** What one action changed, together. */
export interface Batch {
  readonly id: string;
  readonly action: string;
  /** What else of it a sentence needs. */
  readonly about: Readonly<Record<string, Kept>>;
  /** The batch that it takes back. */
  readonly reverts: string | null;
}
