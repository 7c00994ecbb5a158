import type { Subject } from '../base/change';
import type { StageId } from './stage-ids';

/** What is changed on the pages of a stage. */
export const CHANGES_OF: Readonly<Partial<Record<StageId, readonly Subject[]>>> = {
  company: ['company'],
  calendar: ['calendar', 'cutover', 'period'],
  currencies: ['currency', 'rate', 'money-rule'],
  chart: ['account', 'bank', 'tax-code', 'chart-rule'],
  openings: ['figure', 'comparative', 'reading', 'decision'],
  schedules: ['contact', 'analysis-code', 'item', 'statement', 'tie', 'looked', 'evidence'],
};

/** Subjects whose id is that of an account. */
export const OF_ACCOUNTS: readonly Subject[] = [
  'figure',
  'comparative',
  'account',
  'bank',
  'statement',
  'tie',
  'looked',
];
