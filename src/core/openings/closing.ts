import type { Account, AccountId } from '../chart/account';
import { isResult, typeOf } from '../ledger/classes';
import { type Minor, NIL, add, sum } from '../money/minor';

export interface ClosingLine {
  readonly account: AccountId;
  readonly from: Minor;
  readonly to: Minor;
}

/**
 * What closing the results to retained earnings changes: every income and expense account to nil, their net onto retained
 * earnings. The net of all figures stays as it is. Empty when no result stands; `undefined` when one does and no active account
 * has the role of retained earnings.
 */
export const closeResults = (
  accounts: readonly Pick<Account, 'id' | 'role' | 'active' | 'classification'>[],
  amounts: ReadonlyMap<AccountId, Minor>,
): readonly ClosingLine[] | undefined => {
  const lines = accounts.flatMap((account): ClosingLine[] => {
    const from = amounts.get(account.id) ?? NIL;
    return isResult(typeOf(account.classification)) && from !== 0n ? [{ account: account.id, from, to: NIL }] : [];
  });
  if (lines.length === 0) return [];
  const retained = accounts.find(({ role, active }) => role === 'retained-earnings' && active);
  if (retained === undefined) return undefined;
  const stands = amounts.get(retained.id) ?? NIL;
  return [...lines, { account: retained.id, from: stands, to: add(stands, sum(lines.map(({ from }) => from))) }];
};
