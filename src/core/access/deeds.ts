import type { Subject } from '../base/change';

/**
 * What may be done, in the words of the work. Each action and each view states the one it is; who may do it is the table of
 * `roles.ts`.
 */
export const DEEDS = [
  /** Any page of a set of books, and its files. */
  'books.see',
  'books.make',
  'books.archive',
  'books.remove',
  /** The board, with the books that one may look at. */
  'board.see',
  /** The practice's templates, remembered readings, and who belongs to it. */
  'practice.see',
  'practice.change',
  /** Who belongs to the practice, and what they may do. */
  'people.change',
  /** Who did what: refusals, changes of rights, postings, exports. */
  'audit.see',
  'company.change',
  'calendar.change',
  'currencies.change',
  'chart.change',
  'papers.change',
  'openings.change',
  /** Says that one has looked at the whole of them, as they stand. */
  'openings.sign',
  'openings.post',
  /** Says that one has looked at a figure and what stands behind it. */
  'schedules.look',
  /** Says why a difference may stand. */
  'schedules.explain',
  'openings.correct',
  /** What was changed, wherever; besides, one has to be one who may change that. */
  'changes.undo',
] as const;
export type Deed = (typeof DEEDS)[number];

/** What one has to be allowed to change, to take a change of it back. */
export const deedOfSubject: Readonly<Record<Subject, Deed>> = {
  figure: 'openings.change',
  comparative: 'openings.change',
  account: 'chart.change',
  bank: 'chart.change',
  'tax-code': 'chart.change',
  reading: 'papers.change',
  decision: 'papers.change',
  company: 'company.change',
  'chart-rule': 'chart.change',
  'money-rule': 'currencies.change',
  currency: 'currencies.change',
  rate: 'currencies.change',
  cutover: 'calendar.change',
  calendar: 'calendar.change',
  period: 'calendar.change',
  contact: 'openings.change',
  'analysis-code': 'openings.change',
  item: 'openings.change',
  statement: 'openings.change',
  tie: 'schedules.explain',
  looked: 'schedules.look',
  evidence: 'papers.change',
};

/** A deed as a sentence has it: "You may not …". */
export const deedWords: Readonly<Record<Deed, string>> = {
  'books.see': 'look at these books',
  'books.make': 'make new books',
  'books.archive': 'archive these books or bring them back',
  'books.remove': 'delete books',
  'board.see': 'look at the board',
  'practice.see': 'look at what belongs to the practice',
  'practice.change': 'change what the whole practice uses',
  'people.change': 'change who belongs to the practice and what they may do',
  'audit.see': 'look at the audit',
  'company.change': 'change the company',
  'calendar.change': 'change the calendar',
  'currencies.change': 'change currencies and rates',
  'chart.change': 'change the chart of accounts',
  'papers.change': 'bring papers or decide about them',
  'openings.change': 'change opening balances',
  'openings.sign': 'sign opening balances',
  'openings.post': 'post opening balances',
  'schedules.look': 'say that a figure was looked at',
  'schedules.explain': 'explain differences',
  'openings.correct': 'open or discard a correction',
  'changes.undo': 'take changes back',
};
