import { describe, expect, it } from 'vitest';
import type { Classification } from '../ledger/classes';
import { type Account, PLAIN_ACCOUNT, accountId } from './account';
import { proposedTaxAccount } from './tax-accounts';

const account = (id: number, name: string, classification: Classification): Account => ({
  id: accountId(id),
  code: String(id),
  name,
  classification,
  ...PLAIN_ACCOUNT,
  role: 'tax',
});

describe('the account proposed for sales tax', () => {
  it.each([
    ['Umsatzsteuer', 'Vorsteuer'],
    ['TVA collectée', 'TVA déductible'],
    ['VAT on sales', 'VAT on purchases'],
  ])(
    'is the one called %s for what is charged, %s for what is recoverable, whatever stands before them',
    (owed, claimed) => {
      const accounts = [
        account(1, 'Wage tax', 'current-liability'),
        account(2, claimed, 'current-asset'),
        account(3, owed, 'current-liability'),
      ];
      expect(proposedTaxAccount(accounts, 'charged')?.name).toBe(owed);
      expect(proposedTaxAccount(accounts, 'recoverable')?.name).toBe(claimed);
    },
  );
  it('is one on its own side where none is called so, and none where there is none', () => {
    const accounts = [account(1, 'Zxq', 'current-asset'), account(2, 'Qxz', 'current-liability')];
    expect(proposedTaxAccount(accounts, 'charged')?.id).toBe(2);
    expect(proposedTaxAccount(accounts, 'recoverable')?.id).toBe(1);
    expect(
      proposedTaxAccount([...accounts.slice(1), account(3, 'Xx', 'current-liability')], 'recoverable'),
    ).toBeUndefined();
    expect(proposedTaxAccount(accounts.slice(1), 'recoverable')?.id).toBe(2);
  });
});
