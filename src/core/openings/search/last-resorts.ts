import type { Account } from '../../chart/account';
import { normalSide } from '../../ledger/classes';
import { type Minor, sideOf } from '../../money/minor';
import { meantBy } from '../../words/concepts/recogniser';

/** Concepts of equity that take what is left over when books are opened: what the owners put in, or what was kept. */
const TAKES_THE_REST: readonly string[] = ['capital-introduced', 'retained-earnings', 'share-capital'];

/** Whether an account could hold what is missing: in use, at nil, and the amount would be on its usual side. */
const couldHold = (account: Account, missing: Minor, stands: ReadonlyMap<Account['id'], Minor>): boolean =>
  !account.heading &&
  account.active &&
  (stands.get(account.id) ?? 0n) === 0n &&
  account.role !== 'opening-suspense' &&
  normalSide(account) === sideOf(missing);

/**
 * The equity account at nil that would take the difference as balancing figure: at a first opening, capital is what assets and
 * liabilities leave. Undefined where there is none, or where nothing is missing. `missing` is debit positive: what would have to
 * be added for debits to equal credits.
 */
export const balancingAccount = (
  chart: readonly Account[],
  stands: ReadonlyMap<Account['id'], Minor>,
  missing: Minor,
): Account | undefined => {
  const rank = (account: Account): number => {
    const [meant] = meantBy(account.name);
    const at = TAKES_THE_REST.indexOf(account.role === 'retained-earnings' ? account.role : (meant?.concept.id ?? ''));
    return at < 0 ? TAKES_THE_REST.length : at;
  };
  return (
    chart
      .filter((account) => account.classification === 'equity' && couldHold(account, missing, stands))
      .filter((account) => account.role !== 'current-year-result')
      .map((account) => ({ account, rank: rank(account) }))
      // A reserve or a restricted fund is never what is left over.
      .filter((one) => one.rank < TAKES_THE_REST.length)
      .sort((a, b) => a.rank - b.rank)[0]?.account
  );
};

/** Accounts at nil on whose usual side the missing amount would be: where a row that is missing altogether would go. */
export const accountsAtNil = (
  chart: readonly Account[],
  stands: ReadonlyMap<Account['id'], Minor>,
  missing: Minor,
): readonly Account[] => (missing === 0n ? [] : chart.filter((account) => couldHold(account, missing, stands)));
