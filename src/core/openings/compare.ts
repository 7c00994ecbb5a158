import type { Account, AccountId } from '../chart/account';
import { inTreeOrder } from '../chart/tree';
import { type Minor, NIL, subtract } from '../money/minor';
import type { OutCell, OutRow } from '../files/write';

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

/** The comparison as rows for a file: debit and credit of both versions and of the difference, and why. */
export const comparisonRows = (
  rows: readonly (ComparedRow & { readonly why: string })[],
  head: { readonly title: readonly string[]; readonly names: readonly [string, string]; readonly digits: number },
): readonly OutRow[] => {
  const sides = (value: Minor): readonly OutCell[] => [
    value > 0n ? { amount: value, digits: head.digits } : null,
    value < 0n ? { amount: subtract(NIL, value), digits: head.digits } : null,
  ];
  const [old, now] = head.names;
  return [
    ...head.title.map((line): OutRow => [line]),
    [],
    [
      'Code',
      'Account',
      `${old} debit`,
      `${old} credit`,
      `${now} debit`,
      `${now} credit`,
      'Difference debit',
      'Difference credit',
      'Why',
    ],
    ...rows.map(({ account, from, to, difference, why }): OutRow => [
      account.code,
      account.name,
      ...sides(from),
      ...sides(to),
      ...sides(difference),
      why,
    ]),
  ];
};
