import type { Account, AccountId } from '../chart/account';
import { isResult, typeOf } from '../ledger/classes';
import { type Minor, NIL, add, subtract } from '../money/minor';

/** What the owners have, debit positive: below nil as a rule. */
export interface EquityCarried {
  /** At last year's close, with that year's result. */
  readonly closed: Minor;
  /** On the accounts of equity as the books open. */
  readonly opens: Minor;
  /** What was paid in or drawn since, or a mistake: the second less the first. */
  readonly apart: Minor;
}

/**
 * Whether equity as it opens follows from last year's close: what stood on its accounts with that year's result is what they open at,
 * but for what owners paid in or drew since. The result of the present year is on income and expense, and no part of either.
 * Undefined where nothing was given of last year's equity.
 *
 * @example equityCarried([], new Map(), new Map()) // undefined
 */
export const equityCarried = (
  accounts: readonly Pick<Account, 'id' | 'classification' | 'heading'>[],
  figures: ReadonlyMap<AccountId, Minor>,
  lastYear: ReadonlyMap<AccountId, Minor>,
): EquityCarried | undefined => {
  let [closed, opens, given]: [Minor, Minor, boolean] = [NIL, NIL, false];
  for (const { id, classification, heading } of accounts) {
    if (heading) continue;
    const type = typeOf(classification);
    const last = lastYear.get(id);
    if (last !== undefined && (type === 'equity' || isResult(type))) closed = add(closed, last);
    if (type !== 'equity') continue;
    if (last !== undefined) given = true;
    opens = add(opens, figures.get(id) ?? NIL);
  }
  return given ? { closed, opens, apart: subtract(opens, closed) } : undefined;
};
