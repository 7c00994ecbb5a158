import type { Account, AccountId } from './account';

export interface TreeRow<A extends Account = Account> {
  readonly account: A;
  readonly depth: number;
}

const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** The order of account codes: digits by value, so that 90 stands before 1000. */
export const byCode = (a: Pick<Account, 'code'>, b: Pick<Account, 'code'>): number => collator.compare(a.code, b.code);

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
    const siblings = children.get(under);
    if (siblings === undefined) children.set(under, [account]);
    else siblings.push(account);
  }
  const rows: TreeRow<A>[] = [];
  const walk = (account: A, depth: number): void => {
    rows.push({ account, depth });
    for (const child of children.get(account.id) ?? []) walk(child, depth + 1);
  };
  for (const root of children.get(null) ?? []) walk(root, 0);
  return rows;
};

/** A free code for a new account under a heading: the highest numeric code there plus ten, else plus one, else after the heading's own. */
export const proposeCode = (chart: readonly Account[], parent: Account | undefined): string => {
  const taken = new Set(chart.map((account) => account.code.toLowerCase()));
  const beside = chart.filter((account) => account.parent === (parent?.id ?? null) && /^\d{1,15}$/.test(account.code));
  const highest =
    beside.sort(byCode).at(-1)?.code ??
    (parent !== undefined && /^\d{1,15}$/.test(parent.code) ? parent.code : undefined);
  if (highest === undefined) return '';
  const width = highest.length;
  for (const step of [10, 1]) {
    for (let next = BigInt(highest) + BigInt(step), tries = 0; tries < 200; next += BigInt(step), tries += 1) {
      const code = String(next).padStart(width, '0');
      if (code.length > width) break;
      if (!taken.has(code)) return code;
    }
  }
  return '';
};
