import { typeOf } from '../ledger/classes';
import { meantBy } from '../words/concepts/recogniser';
import type { Account, AccountId } from './account';
import type { TaxSide } from './tax-codes';

/** What the account is about on which a side of sales tax stands, the likeliest first: its own, or one account for both. */
const MEANINGS: Readonly<Record<TaxSide, readonly string[]>> = {
  charged: ['output-tax', 'tax-settlement'],
  recoverable: ['input-tax', 'tax-settlement'],
};

/**
 * The account proposed for tax that is charged (owed) or recoverable (claimed): one of that meaning, in whatever language it is called
 * so; else one on the side of the balance sheet where it stands; undefined where neither is there.
 */
export const proposedTaxAccount = (accounts: readonly Account[], side: TaxSide): Account | undefined => {
  const about = accounts.map((account) => ({ account, meaning: meantBy(account.name)[0]?.concept.id }));
  for (const meaning of MEANINGS[side]) {
    const found = about.find((one) => one.meaning === meaning);
    if (found !== undefined) return found.account;
  }
  const type = side === 'charged' ? 'liability' : 'asset';
  return (
    accounts.find(({ classification }) => typeOf(classification) === type) ??
    // One account often takes both sides.
    (accounts.length === 1 ? accounts[0] : undefined)
  );
};

export type ProposedTaxAccounts = Readonly<Record<TaxSide, AccountId | null>>;

export const proposedTaxAccounts = (accounts: readonly Account[]): ProposedTaxAccounts => ({
  charged: proposedTaxAccount(accounts, 'charged')?.id ?? null,
  recoverable: proposedTaxAccount(accounts, 'recoverable')?.id ?? null,
});
