import { type Account, type AccountId, called } from '@/core/chart/account';
import type { Minor } from '@/core/money/minor';
import { type Money, sided } from '../parts/figures';
import type { Choice } from '../parts/picker';

/** The posting accounts that can be chosen, with their headings and what they stand at. */
export const accountChoices = (
  accounts: readonly Account[],
  standing?: { readonly amounts: ReadonlyMap<AccountId, Minor>; readonly money: Money },
): readonly Choice[] => {
  const byId = new Map(accounts.map((one) => [one.id, one]));
  return accounts
    .filter((one) => !one.heading && one.active)
    .map((one): Choice => {
      const heading = one.parent === null ? undefined : byId.get(one.parent);
      const amount = standing?.amounts.get(one.id);
      return {
        key: String(one.id),
        code: one.code,
        name: one.name,
        ...(heading === undefined ? {} : { note: `under ${called(heading)}`, more: heading.name }),
        ...(standing === undefined || amount === undefined ? {} : { aside: sided(amount, standing.money) }),
      };
    });
};
