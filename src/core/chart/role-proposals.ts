import { type AccountRole, roleFacts, typeOf } from '../ledger/classes';
import { meantBy } from '../words/concepts/recogniser';
import type { Account, AccountId } from './account';

/** Roles for which accounts are proposed at most so many. */
const MOST = 3;

/**
 * The accounts without a role that are called like what a role is for, in whatever language, the likeliest first. Headings, inactive
 * accounts and those of a type that the role does not go with are none.
 */
export const proposedForRole = (accounts: readonly Account[], role: AccountRole): readonly AccountId[] => {
  const { types } = roleFacts(role);
  return accounts
    .filter((one) => !one.heading && one.active && one.role === null && types.includes(typeOf(one.classification)))
    .flatMap((one) => {
      const [first] = meantBy(one.name);
      return first?.concept.role === role ? [{ id: one.id, score: first.score }] : [];
    })
    .sort((a, b) => b.score - a.score)
    .slice(0, MOST)
    .map(({ id }) => id);
};
