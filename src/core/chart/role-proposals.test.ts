import { describe, expect, it } from 'vitest';
import type { Classification } from '../ledger/classes';
import { type Account, PLAIN_ACCOUNT, accountId } from './account';
import { proposedForRole } from './role-proposals';

const account = (id: number, name: string, classification: Classification, more: Partial<Account> = {}): Account => ({
  ...PLAIN_ACCOUNT,
  id: accountId(id),
  code: String(id),
  name,
  classification,
  ...more,
});

describe('the accounts proposed for a role', () => {
  const chart = [
    account(1, 'Kassa', 'current-asset'),
    account(2, 'Forderungen aus Lieferungen und Leistungen', 'current-asset'),
    account(3, 'Clients', 'current-asset', { active: false }),
    account(4, 'Trade debtors', 'current-asset', { role: 'bank' }),
    account(5, 'Trade creditors', 'current-liability'),
    account(6, 'Retained earnings', 'equity'),
    account(7, 'Retained earnings', 'equity', { heading: true }),
  ];
  it('are called like it, stand on a line that goes with it, and have no other role', () => {
    expect(proposedForRole(chart, 'receivables-control')).toEqual([2]);
    expect(proposedForRole(chart, 'payables-control')).toEqual([5]);
    expect(proposedForRole(chart, 'retained-earnings')).toEqual([6]);
    expect(proposedForRole(chart, 'rounding')).toEqual([]);
  });
});
