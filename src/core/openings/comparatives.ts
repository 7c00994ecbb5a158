import type { Account, AccountId } from '../chart/account';
import { isResult, typeOf } from '../chart/classes';
import { type Minor, NIL, add, subtract } from '../money/minor';

/** Column 0 holds last year's closing balances, columns from 1 the movements of this year's elapsed periods. */
export const LAST_YEAR = 0;

/** Amounts by account and column, debit positive. */
export type Comparatives = ReadonlyMap<AccountId, ReadonlyMap<number, Minor>>;

export interface ComparativeFaults {
  /** What each column comes to; a column that holds anything nets to zero. */
  readonly nets: ReadonlyMap<number, Minor>;
  /**
   * Accounts whose comparatives do not lead to their opening figure, with the figure less what they lead to: income and
   * expense begin a year at nil, so the periods alone come to the year to date; the others begin where last year closed.
   */
  readonly apart: ReadonlyMap<AccountId, Minor>;
}

/**
 * The zero tests and the sum test of comparatives. An account is tested against its figure once any period has an amount
 * anywhere, so that last year alone can be given without the months.
 */
export const comparativeFaults = (
  accounts: readonly Pick<Account, 'id' | 'classification' | 'heading'>[],
  figures: ReadonlyMap<AccountId, Minor>,
  comparatives: Comparatives,
): ComparativeFaults => {
  const nets = new Map<number, Minor>();
  for (const columns of comparatives.values())
    for (const [column, amount] of columns) nets.set(column, add(nets.get(column) ?? NIL, amount));
  const monthly = [...nets.keys()].some((column) => column !== LAST_YEAR);
  const apart = new Map<AccountId, Minor>();
  if (monthly)
    for (const { id, classification, heading } of accounts) {
      if (heading) continue;
      let leads: Minor = NIL;
      for (const [column, amount] of comparatives.get(id) ?? [])
        if (column !== LAST_YEAR || !isResult(typeOf(classification))) leads = add(leads, amount);
      const off = subtract(figures.get(id) ?? NIL, leads);
      if (off !== 0n) apart.set(id, off);
    }
  return { nets, apart };
};
