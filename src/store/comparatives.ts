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
  readonly from: Minor | null;
  /** Null takes the amount away. */
  readonly to: Minor | null;
}

/** Writes comparatives and what happened to them; `paper` is the one they come from. */
export const writeComparatives = async (
  tx: Queryable,
  booksId: number,
  writings: readonly ComparativeWriting[],
  how: { readonly batch: string; readonly paper: number | null; readonly person: number; readonly at: string },
): Promise<void> => {
  if (writings.length === 0) return;
  const values = [
    booksId,
    how.person,
    how.at,
    writings.map((one) => one.account),
    writings.map((one) => one.column),
    writings.map((one) => (one.to === null ? null : String(one.to))),
  ];
  await tx.query(
    `delete from comparative c using unnest($2::int[], $3::int[], $4::int8[]) as t (account, column_no, amount)
     where c.books_id = $1 and c.account_id = t.account and c.column_no = t.column_no and t.amount is null`,
    [booksId, values[3], values[4], values[5]],
  );
  await tx.query(
    `insert into comparative (books_id, account_id, column_no, amount, set_by, set_at)
     select $1, account, column_no, amount, $2, $3::timestamptz
     from unnest($4::int[], $5::int[], $6::int8[]) as t (account, column_no, amount) where amount is not null
     on conflict (books_id, account_id, column_no) do update set amount = excluded.amount, set_by = excluded.set_by, set_at = excluded.set_at`,
    values,
  );
  await tx.query(
    `insert into comparative_change (books_id, by_person, at, account_id, column_no, to_amount, from_amount, batch, paper_id)
     select $1, $2, $3::timestamptz, account, column_no, to_amount, from_amount, $8, $9
     from unnest($4::int[], $5::int[], $6::int8[], $7::int8[]) as t (account, column_no, to_amount, from_amount)`,
    [...values, writings.map((one) => (one.from === null ? null : String(one.from))), how.batch, how.paper],
  );
};

export interface ComparativeChange {
  readonly account: AccountId;
  readonly column: number;
  readonly from: Minor | null;
  readonly to: Minor | null;
  readonly paper: string | null;
  readonly by: string;
  readonly at: string;
}

const CHANGE = `select c.account_id as account, c.column_no as "column", c.from_amount as "from", c.to_amount as "to", f.name as paper,
  p.name as by, c.at from comparative_change c join person p on p.id = c.by_person left join paper f on f.id = c.paper_id`;

/** What happened to an account's comparatives, newest first. */
export const comparativeChanges = async (
  tx: Queryable,
  booksId: number,
  account: number,
  most = 50,
): Promise<readonly ComparativeChange[]> =>
  tx.query<ComparativeChange>(`${CHANGE} where c.books_id = $1 and c.account_id = $2 order by c.id desc limit $3`, [
    booksId,
    account,
    most,
  ]);

export const comparativeBatch = async (
  tx: Queryable,
  booksId: number,
  batch: string,
): Promise<readonly ComparativeChange[]> =>
  tx.query<ComparativeChange>(`${CHANGE} where c.books_id = $1 and c.batch = $2`, [booksId, batch]);

/** The last taking over of comparatives from a paper that was not taken back. */
export const lastComparativePaper = async (
  tx: Queryable,
  booksId: number,
): Promise<{ readonly batch: string; readonly paper: string } | null> =>
  (
    await tx.query<{ batch: string; paper: string }>(
      `select c.batch, f.name as paper from comparative_change c join paper f on f.id = c.paper_id
       where c.books_id = $1 and not c.undone order by c.id desc limit 1`,
      [booksId],
    )
  )[0] ?? null;

export const markUndone = async (tx: Queryable, booksId: number, batch: string): Promise<void> => {
  await tx.query('update comparative_change set undone = true where books_id = $1 and batch = $2', [booksId, batch]);
};

/** When one account is merged into another, its comparatives are added to the other's. */
export const mergeComparatives = async (
  tx: Queryable,
  booksId: number,
  from: AccountId,
  into: AccountId,
): Promise<void> => {
  await tx.query(
    `insert into comparative (books_id, account_id, column_no, amount, set_by, set_at)
     select books_id, $3, column_no, amount, set_by, set_at from comparative where books_id = $1 and account_id = $2
     on conflict (books_id, account_id, column_no) do update set amount = comparative.amount + excluded.amount`,
    [booksId, from, into],
  );
  await tx.query('delete from comparative where books_id = $1 and account_id = $2', [booksId, from]);
};
