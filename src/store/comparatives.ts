import type { AccountId } from '@/core/chart/account';
import type { Minor } from '@/core/money/minor';
import type { Comparatives } from '@/core/openings/comparatives';
import type { Queryable } from './database';

export const comparativesOf = async (tx: Queryable, booksId: number): Promise<Comparatives> => {
  const rows = await tx.query<{ account: AccountId; column: number; amount: Minor }>(
    'select account_id as account, column_no as "column", amount from comparative where books_id = $1 order by account_id, column_no',
    [booksId],
  );
  const found = new Map<AccountId, Map<number, Minor>>();
  for (const { account, column, amount } of rows) {
    const known = found.get(account);
    if (known === undefined) found.set(account, new Map([[column, amount]]));
    else known.set(column, amount);
  }
  return found;
};

export interface ComparativeWriting {
  readonly account: AccountId;
  readonly column: number;
  /** Null takes the amount away. */
  readonly amount: Minor | null;
}

export const writeComparatives = async (
  tx: Queryable,
  booksId: number,
  writings: readonly ComparativeWriting[],
  person: number,
  at: string,
): Promise<void> => {
  const gone = writings.filter(({ amount }) => amount === null);
  const kept = writings.filter(({ amount }) => amount !== null);
  await tx.query(
    `delete from comparative c using unnest($2::int[], $3::int[]) as t (account, column_no)
     where c.books_id = $1 and c.account_id = t.account and c.column_no = t.column_no`,
    [booksId, gone.map((one) => one.account), gone.map((one) => one.column)],
  );
  await tx.query(
    `insert into comparative (books_id, account_id, column_no, amount, set_by, set_at)
     select $1, account, column_no, amount, $2, $3::timestamptz from unnest($4::int[], $5::int[], $6::int8[]) as t (account, column_no, amount)
     on conflict (books_id, account_id, column_no) do update set amount = excluded.amount, set_by = excluded.set_by, set_at = excluded.set_at`,
    [
      booksId,
      person,
      at,
      kept.map((one) => one.account),
      kept.map((one) => one.column),
      kept.map((one) => String(one.amount)),
    ],
  );
};
