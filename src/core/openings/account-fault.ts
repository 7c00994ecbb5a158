import type { Account } from '../chart/account';
import { isResult, normalSide, typeOf } from '../ledger/classes';
import { type Minor, sideOf } from '../money/minor';

/** The checks that look at one amount on its account. */
export type AmountCheck =
  | 'openings.on-active-posting-accounts'
  | 'openings.results-nil-at-year-start'
  | 'openings.suspense-nil'
  | 'openings.bank-not-owed'
  | 'openings.usual-side';

/**
 * What is wrong with an amount standing on this account, whoever looks: the sheet at the row while it is typed, and the
 * checks below. `yearStart` tells whether the books open at a year start.
 */
export const accountFault = (
  account: Pick<Account, 'classification' | 'heading' | 'active' | 'contra' | 'role'>,
  amount: Minor,
  yearStart: boolean,
): { readonly check: AmountCheck; readonly says: string } | undefined => {
  if (amount === 0n) return undefined;
  if (account.heading) return { check: 'openings.on-active-posting-accounts', says: 'an amount on a heading' };
  if (!account.active) return { check: 'openings.on-active-posting-accounts', says: 'the account is inactive' };
  if (yearStart && isResult(typeOf(account.classification)))
    return { check: 'openings.results-nil-at-year-start', says: 'opens at nil at a year start' };
  if (account.role === 'opening-suspense')
    return { check: 'openings.suspense-nil', says: 'a difference that nobody has explained yet' };
  if (account.role === 'bank' && amount < 0n) return { check: 'openings.bank-not-owed', says: 'a bank in credit' };
  // Equity and exchange differences change sides in the ordinary course of things.
  if (
    typeOf(account.classification) !== 'equity' &&
    !account.role?.startsWith('exchange') &&
    account.role !== 'rounding'
  )
    if (sideOf(amount) !== normalSide(account))
      return { check: 'openings.usual-side', says: `a ${sideOf(amount) ?? ''} here is unusual` };
  return undefined;
};
