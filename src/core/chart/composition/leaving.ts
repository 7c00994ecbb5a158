import { type Account, type AccountId, chartIndex } from '../account';
import { type AccountUse, UNUSED, removalProblems } from '../use';
import type { ComposedAccount } from './compose';

/** What earlier answers brought and later ones do not call for any more. */
export interface Leaving {
  /** May go: nothing uses them, and nobody made them something else. In the order in which they were composed. */
  readonly go: readonly Account[];
  /** Stay, each with why. */
  readonly stay: readonly { readonly account: Account; readonly why: string }[];
}

/** Whether an account is still the one that was composed. */
const isStill = (account: Account, { name, origin, heading, role, currency }: ComposedAccount): boolean =>
  account.origin === origin &&
  account.name === name &&
  account.heading === heading &&
  account.role === role &&
  account.currency === currency;

/** Parts a chart that was composed `before` by what is composed `after`. `uses` has the accounts that are used. */
export const leaving = (
  chart: readonly Account[],
  before: readonly ComposedAccount[],
  after: readonly ComposedAccount[],
  uses: ReadonlyMap<AccountId, AccountUse>,
): Leaving => {
  const { byCode, byId, children } = chartIndex(chart);
  const wanted = new Set(after.map(({ code }) => code));
  const go: Account[] = [];
  const stay: { readonly account: Account; readonly why: string }[] = [];
  const going = new Set<AccountId>();
  // Backwards, so that a heading is asked for once it is known what of it goes.
  for (const composed of [...before].reverse()) {
    if (wanted.has(composed.code)) continue;
    for (const id of byCode.get(composed.code.toLowerCase()) ?? []) {
      const account = byId.get(id);
      if (account === undefined) continue;
      const left = (children.get(id) ?? []).filter((child) => !going.has(child)).length;
      const [used] = removalProblems(account, uses.get(id) ?? UNUSED, left);
      if (!isStill(account, composed)) stay.push({ account, why: 'it was changed here' });
      else if (used !== undefined) {
        // A heading that is not empty is no news.
        if (!account.heading) stay.push({ account, why: used.message });
      } else {
        going.add(id);
        go.push(account);
      }
    }
  }
  return { go: go.reverse(), stay: stay.reverse() };
};
