import type { ScheduleKind } from '@/core/schedules/kinds';
import type { Tie } from '@/core/schedules/tie-out';

/** What the state of a tie-out is called. */
export const TIE_STATES: Readonly<Record<Tie['state'], string>> = {
  none: 'nothing behind it',
  tied: 'ties',
  explained: 'explained',
  apart: 'differs',
  unknown: 'rate missing',
};

export const SCHEDULE_NAMES: Readonly<Record<ScheduleKind, string>> = {
  customers: 'open items of customers',
  suppliers: 'open items of suppliers',
  statement: 'statement and what is not on it',
  plain: 'list',
  'written-off': 'what is written off',
  division: 'what it is divided over',
  stock: 'articles in stock',
  assets: 'register of assets',
  loan: 'loans and leases',
  span: 'amounts over time',
  tax: 'returns and what is owed by them',
  holders: 'holders and their shares',
};
