import type { IsoDate } from '../base/iso-date';
import { CLASSIFICATIONS, type Classification, classFacts, isResult, typeOf } from '../ledger/classes';
import type { Account, AccountId } from '../chart/account';
import { inTreeOrder } from '../chart/tree';
import { type Minor, NIL, add, minor, negate, sum } from '../money/minor';
import { type Totals, totalsOf } from '../ledger/level';

export type Balances = ReadonlyMap<AccountId, Minor>;

export interface TrialBalance {
  readonly rows: readonly { readonly account: Account; readonly depth: number; readonly amount: Minor }[];
  readonly totals: Totals;
}

/** Accounts with a balance, now or last year, under their headings, in chart order. Amounts debit-positive. */
export const trialBalance = (
  accounts: readonly Account[],
  balances: Balances,
  lastYear: Balances = new Map(),
): TrialBalance => {
  const rows = inTreeOrder(accounts).map(({ account, depth }) => ({
    account,
    depth,
    amount: balances.get(account.id) ?? NIL,
  }));
  // A heading is shown where something under it is: walking upwards, the depth of the last shown row tells.
  const shown: (typeof rows)[number][] = [];
  let wanted = -1;
  for (const row of rows.reverse()) {
    if (row.account.heading ? row.depth < wanted : row.amount !== 0n || (lastYear.get(row.account.id) ?? NIL) !== 0n) {
      shown.push(row);
      wanted = row.depth;
    } else if (row.depth < wanted) wanted = row.depth;
  }
  return { rows: shown.reverse(), totals: totalsOf(balances.values()) };
};

/** A line of a statement: `amount` is positive on the statement's own side (an asset's debit, a liability's credit). */
export interface StatementLine {
  readonly account: Account | undefined;
  readonly label: string;
  readonly amount: Minor;
}

export interface StatementGroup {
  readonly classification: Classification;
  readonly label: string;
  readonly lines: readonly StatementLine[];
  readonly total: Minor;
}

const group = (
  id: Classification,
  accounts: readonly Account[],
  balances: Balances,
  sign: 1 | -1,
  more: readonly StatementLine[] = [],
): StatementGroup => {
  const lines = inTreeOrder(accounts.filter((account) => account.classification === id && !account.heading)).flatMap(
    ({ account }): StatementLine[] => {
      const amount = balances.get(account.id) ?? NIL;
      return amount === 0n ? [] : [{ account, label: account.name, amount: sign === 1 ? amount : negate(amount) }];
    },
  );
  const all = [...lines, ...more];
  return { classification: id, label: classFacts(id).label, lines: all, total: sum(all.map((line) => line.amount)) };
};

const groups = (
  ids: readonly Classification[],
  accounts: readonly Account[],
  balances: Balances,
  sign: 1 | -1,
): readonly StatementGroup[] =>
  ids.map((id) => group(id, accounts, balances, sign)).filter((one) => one.lines.length > 0);

/** The net of income and expense accounts, positive for a profit. */
export const resultOf = (accounts: readonly Account[], balances: Balances): Minor =>
  negate(
    sum(
      accounts.flatMap((account) =>
        isResult(typeOf(account.classification)) ? [balances.get(account.id) ?? NIL] : [],
      ),
    ),
  );

export interface BalanceSheet {
  readonly assets: readonly StatementGroup[];
  readonly totalAssets: Minor;
  readonly liabilities: readonly StatementGroup[];
  readonly equity: StatementGroup;
  readonly totalLiabilitiesAndEquity: Minor;
  /** Assets less liabilities and equity: nil exactly when the ledger nets to zero. */
  readonly outBy: Minor;
}

const ASSETS = CLASSIFICATIONS.filter((one) => one.type === 'asset').map((one) => one.id);
const LIABILITIES = CLASSIFICATIONS.filter((one) => one.type === 'liability').map((one) => one.id);

/** Assets against liabilities and equity. The result to date stands in equity on the account with that role, without an entry being made. */
export const balanceSheet = (accounts: readonly Account[], balances: Balances): BalanceSheet => {
  const result = resultOf(accounts, balances);
  const holder = accounts.find((account) => account.role === 'current-year-result');
  const assets = groups(ASSETS, accounts, balances, 1);
  const liabilities = groups(LIABILITIES, accounts, balances, -1);
  const own = group('equity', accounts, balances, -1);
  const resultLine: StatementLine = { account: holder, label: holder?.name ?? 'Result to date', amount: result };
  const standing = own.lines.find((line) => line.account !== undefined && line.account.id === holder?.id);
  const lines =
    result === 0n
      ? own.lines
      : standing === undefined
        ? [...own.lines, resultLine]
        : own.lines.map((line) => (line === standing ? { ...line, amount: add(line.amount, result) } : line));
  const equity = { ...own, lines, total: sum(lines.map((line) => line.amount)) };
  const totalAssets = sum(assets.map((one) => one.total));
  const totalLiabilitiesAndEquity = add(sum(liabilities.map((one) => one.total)), equity.total);
  return {
    assets,
    totalAssets,
    liabilities,
    equity,
    totalLiabilitiesAndEquity,
    outBy: minor(totalAssets - totalLiabilitiesAndEquity),
  };
};

export interface IncomeStatement {
  readonly income: readonly StatementGroup[];
  readonly totalIncome: Minor;
  readonly expense: readonly StatementGroup[];
  readonly totalExpense: Minor;
  /** Income less expense; negative for a loss. */
  readonly result: Minor;
}

const INCOME = CLASSIFICATIONS.filter((one) => one.type === 'income').map((one) => one.id);
const EXPENSE = CLASSIFICATIONS.filter((one) => one.type === 'expense').map((one) => one.id);

export const incomeStatement = (accounts: readonly Account[], balances: Balances): IncomeStatement => {
  const income = groups(INCOME, accounts, balances, -1);
  const expense = groups(EXPENSE, accounts, balances, 1);
  return {
    income,
    totalIncome: sum(income.map((one) => one.total)),
    expense,
    totalExpense: sum(expense.map((one) => one.total)),
    result: resultOf(accounts, balances),
  };
};

/** A posted journal as it is shown and written: lines by account code and name, amounts debit-positive. */
export interface JournalStatement {
  readonly number: number;
  readonly date: IsoDate;
  /** Null when it was brought forward from before the first fiscal year. */
  readonly period: string | null;
  readonly description: string;
  readonly by: string;
  readonly at: string;
  readonly lines: readonly {
    readonly account: AccountId;
    readonly code: string;
    readonly name: string;
    /** Where the figure behind it is from: a paper and its row, typed, or calculated. */
    readonly source: string;
    readonly amount: Minor;
  }[];
}

export const STATEMENT_KINDS = ['trial-balance', 'balance-sheet', 'income-statement', 'journal'] as const;
export type StatementKind = (typeof STATEMENT_KINDS)[number];

export type Statement =
  | { readonly kind: 'trial-balance'; readonly content: TrialBalance }
  | { readonly kind: 'balance-sheet'; readonly content: BalanceSheet }
  | { readonly kind: 'income-statement'; readonly content: IncomeStatement }
  | { readonly kind: 'journal'; readonly content: readonly JournalStatement[] };

export const STATEMENT_TITLES: Readonly<Record<StatementKind, string>> = {
  'trial-balance': 'Trial balance',
  'balance-sheet': 'Balance sheet',
  'income-statement': 'Income statement',
  journal: 'Journal',
};
