import type { Account, AccountId } from '../chart/account';
import { inTreeOrder } from '../chart/tree';
import { type Minor, NIL, subtract } from '../money/minor';

export interface ComparedRow {
  readonly account: Account;
  readonly from: Minor;
  readonly to: Minor;
  /** `to - from`, which is what posting the later version adds. */
  readonly difference: Minor;
}

/** Two versions of the opening position, account by account in the order of the chart; accounts at nil in both are left out. */
export const compareVersions = (
  chart: readonly Account[],
  from: ReadonlyMap<AccountId, Minor>,
  to: ReadonlyMap<AccountId, Minor>,
): readonly ComparedRow[] =>
  inTreeOrder(chart).flatMap(({ account }): ComparedRow[] => {
    const [was, is] = [from.get(account.id) ?? NIL, to.get(account.id) ?? NIL];
    return was === 0n && is === 0n ? [] : [{ account, from: was, to: is, difference: subtract(is, was) }];
  });
