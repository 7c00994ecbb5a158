import { type Minor, NIL, add } from '../money/minor';
import { type Account, type AccountId, chartIndex } from './account';
import { ACCOUNT_ROLES, type AccountRole, CLASSIFICATIONS, type Classification } from '../ledger/classes';
import { type CodeScheme, codeQuestions } from './scheme';
import { byCode } from './tree';

export interface Placed {
  readonly account: Account;
  readonly amount: Minor;
}

export interface StatementLine {
  readonly classification: Classification;
  readonly label: string;
  readonly statement: 'balance sheet' | 'income statement';
  readonly accounts: readonly Placed[];
  readonly total: Minor;
}

/** An account whose balance would appear nowhere, or elsewhere than its code says, and why. */
export interface Misplaced {
  readonly account: Account;
  readonly amount: Minor;
  readonly why: string;
}

/**
 * Each posting account on the line of the balance sheet or income statement on which its balance will appear; apart from
 * them, those that would appear nowhere or where a reader by code would look elsewhere.
 */
export const asStatements = (
  chart: readonly Account[],
  amounts: ReadonlyMap<AccountId, Minor>,
  scheme: CodeScheme | null,
): { readonly lines: readonly StatementLine[]; readonly nowhere: readonly Misplaced[] } => {
  const index = chartIndex(chart);
  const on = new Map<Classification, Placed[]>(CLASSIFICATIONS.map(({ id }) => [id, []]));
  const nowhere: Misplaced[] = [];
  for (const account of [...chart].sort(byCode)) {
    const amount = amounts.get(account.id) ?? NIL;
    if (account.heading) {
      if (amount !== 0n)
        nowhere.push({ account, amount, why: 'it is a heading and holds an amount, which no statement reads' });
      continue;
    }
    if (!account.active && amount === 0n) continue;
    const [question] = codeQuestions(scheme, account, index);
    if (!account.active) nowhere.push({ account, amount, why: 'it is inactive and holds an amount' });
    else if (question !== undefined) nowhere.push({ account, amount, why: question.message });
    on.get(account.classification)?.push({ account, amount });
  }
  return {
    lines: CLASSIFICATIONS.map(({ id, label, type }) => {
      const accounts = on.get(id) ?? [];
      return {
        classification: id,
        label,
        statement: type === 'income' || type === 'expense' ? 'income statement' : 'balance sheet',
        accounts,
        total: accounts.reduce((total, one) => add(total, one.amount), NIL),
      };
    }),
    nowhere,
  };
};

export interface RoleRow {
  readonly role: AccountRole;
  readonly label: string;
  readonly single: boolean;
  readonly accounts: readonly Account[];
  /** Needed by what the company does, and no active account has it. */
  readonly missing: boolean;
  /** Missing, and nothing can be posted without it. */
  readonly blocks: boolean;
}

/** Where results go: what the proof demands of every chart. */
const DEMANDED: ReadonlySet<AccountRole> = new Set(['retained-earnings', 'current-year-result']);

/** What each role points to. `needed` are the roles that the company cannot do without. */
export const asRoles = (chart: readonly Account[], needed: readonly AccountRole[]): readonly RoleRow[] => {
  const { byRole, byId } = chartIndex(chart);
  return ACCOUNT_ROLES.map(({ id, label, single }) => {
    const accounts = (byRole.get(id) ?? []).flatMap((one) => byId.get(one) ?? []).sort(byCode);
    const missing = needed.includes(id) && !accounts.some((one) => one.active);
    return { role: id, label, single, accounts, missing, blocks: missing && DEMANDED.has(id) };
  });
};
