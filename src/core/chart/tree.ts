import { addTo } from '../base/lists';
import type { Account, AccountId } from './account';

export interface TreeRow<A extends Account = Account> {
  readonly account: A;
  readonly depth: number;
}

const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** The order of account codes: digits by value, so that 90 stands before 1000; accounts without codes by name. */
export const byCode = (a: Pick<Account, 'code' | 'name'>, b: Pick<Account, 'code' | 'name'>): number =>
  collator.compare(a.code, b.code) || collator.compare(a.name, b.name);

/**
 * The chart top-down: by code, what stands under a heading directly below it.
 * Every account appears exactly once, also when its parent is missing (it is then a root).
 */
export const inTreeOrder = <A extends Account>(accounts: readonly A[]): readonly TreeRow<A>[] => {
  const sorted = [...accounts].sort(byCode);
  const ids = new Set(sorted.map((account) => account.id));
  const children = new Map<AccountId | null, A[]>();
  for (const account of sorted) {
    const under = account.parent !== null && ids.has(account.parent) ? account.parent : null;
    addTo(children, under, account);
  }
  const rows: TreeRow<A>[] = [];
  const walk = (account: A, depth: number): void => {
    rows.push({ account, depth });
    for (const child of children.get(account.id) ?? []) walk(child, depth + 1);
  };
  for (const root of children.get(null) ?? []) walk(root, 0);
  return rows;
};
