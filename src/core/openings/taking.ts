import { type Currency } from '../money/currency';
import { type Account, type AccountFields, type AccountId, PLAIN_ACCOUNT, accountId } from '../chart/account';
import type { ChartEdit } from '../chart/edit';
import { contraByName, rolesByName } from '../chart/infer';
import { MOST_ROWS } from '../files/limits';
import { type Minor, NIL, add, onSide, sideOf } from '../money/minor';
import type { Part } from './foreign';
import type { Remembered } from './match';
import { type Plan, headingsFor, partsOf } from './takeover';

/** Accounts that a plan makes: the edits that make them, and by which id in these the account of a row is made. */
export interface Making {
  readonly edits: readonly ChartEdit[];
  readonly madeAt: ReadonlyMap<number, AccountId>;
}

/**
 * The edits that make the accounts of a plan, each under a heading of its statement line; one is made where the chart has none.
 * `origin` is the name of the paper.
 */
export const making = ({ create }: Plan, chart: readonly Account[], origin: string): Making => {
  const headings = headingsFor(
    create.map(({ decision }) => decision),
    chart,
  ).map((heading, at) => ({
    kind: 'add' as const,
    id: accountId(-MOST_ROWS - 1 - at),
    account: { ...PLAIN_ACCOUNT, ...heading, heading: true, origin },
  }));
  const under = new Map<AccountFields['classification'], AccountId>(
    headings.map(({ id, account }) => [account.classification, id]),
  );
  const roles = rolesByName(
    create.map(({ decision }) => decision),
    chart,
  );
  const accounts = create.map(({ row, decision: { code, name, classification, parent } }, at) => ({
    row,
    edit: {
      kind: 'add' as const,
      id: accountId(-row),
      account: {
        ...PLAIN_ACCOUNT,
        code,
        name,
        classification,
        parent: parent ?? under.get(classification) ?? null,
        contra: contraByName(name, classification),
        role: roles[at] ?? null,
        origin,
      },
    },
  }));
  return {
    edits: [...headings, ...accounts.map(({ edit }) => edit)],
    madeAt: new Map(accounts.map(({ row, edit }) => [row, edit.id])),
  };
};

/** Where each row goes once its accounts are made: `createdAt` has those of the rows for which one was. */
type CreatedAt = ReadonlyMap<number, AccountId>;

/** What a plan puts on each account, debit positive in minor units of the base currency. */
export const amountsTaken = (plan: Plan, createdAt: CreatedAt): ReadonlyMap<AccountId, Minor> => {
  const amounts = new Map<AccountId, Minor>(plan.amounts);
  for (const { row } of plan.rows) {
    const account = createdAt.get(row.row);
    if (account !== undefined && row.amount !== 0n) amounts.set(account, add(amounts.get(account) ?? NIL, row.amount));
  }
  return amounts;
};

/** The amounts in currency that the paper has beside the base amounts, of accounts that get one. */
export const partsTaken = (
  plan: Plan,
  createdAt: CreatedAt,
  amounts: ReadonlyMap<AccountId, Minor>,
  base: Currency,
): ReadonlyMap<AccountId, readonly Part[]> => {
  const parts = new Map<AccountId, Part[]>();
  for (const { row: taken, decision } of plan.rows) {
    const { row, amount, foreign } = taken;
    const account = createdAt.get(row) ?? (decision?.kind === 'account' ? decision.account : undefined);
    if (account === undefined || foreign === undefined || foreign.currency === base || !amounts.has(account)) continue;
    const own = parts.get(account) ?? [];
    const known = own.find(({ currency }) => currency === foreign.currency);
    parts.set(account, [
      ...own.filter((one) => one !== known),
      {
        currency: foreign.currency,
        // The paper writes amounts in currency without a side of their own; they stand where the base amount does.
        amount: add(known?.amount ?? NIL, onSide(foreign.amount, sideOf(amount) ?? 'debit')),
        base: add(known?.base ?? NIL, amount),
      },
    ]);
  }
  return parts;
};

/** A row as it was taken over: to an account, or left out for a reason. */
export interface TakenRow {
  readonly row: number;
  readonly text: string;
  /** Of a divided row, the part that went to this account. */
  readonly amount: Minor;
  readonly account: AccountId | null;
  readonly reason: string | null;
}

export const rowsTaken = (plan: Plan, createdAt: CreatedAt): readonly TakenRow[] =>
  plan.rows.flatMap((decided): TakenRow[] => {
    const { row, text, amount } = decided.row;
    const reason =
      decided.decision?.kind === 'leave-out'
        ? decided.decision.reason
        : decided.decision === undefined
          ? 'nil, and no account for it'
          : null;
    if (reason !== null) return [{ row, text, amount, account: null, reason }];
    const created = createdAt.get(row);
    const parts = created === undefined ? partsOf(decided) : [{ account: created, amount }];
    return parts.map((one) => ({ row, text, amount: one.amount, account: one.account, reason: null }));
  });

/** Where the old system's accounts went, for the next paper. */
export const rememberedBy = (plan: Plan, createdAt: CreatedAt): readonly Remembered[] =>
  plan.rows.flatMap(({ row: { row, code, name }, decision }): Remembered[] => {
    const account = decision?.kind === 'account' ? decision.account : createdAt.get(row);
    if (account !== undefined) return [{ code, name, account, reason: null }];
    return decision?.kind === 'leave-out' ? [{ code, name, account: null, reason: decision.reason }] : [];
  });
