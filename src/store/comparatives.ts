import type { BooksId, PersonId } from '@/core/base/ids';
import type { AccountId } from '@/core/chart/account';
import type { Minor } from '@/core/money/minor';
import { type Comparatives, LAST_YEAR } from '@/core/openings/comparatives';
import { amountFrom, keptAmount } from '@/core/money/wire';
import type { Change } from '@/core/base/change';
import type { Queryable } from './database';
import { longRows } from './long-rows';

export const comparativesOf = async (tx: Queryable, booksId: BooksId): Promise<Comparatives> => {
  const rows = await longRows<{ account: AccountId; column: number; amount: Minor }>(
    tx,
    { account: 'json', column: 'json', amount: 'int8' },
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

/** What accounts closed last year at, by books. */
export const lastYearsOf = async (
  tx: Queryable,
  ids: readonly BooksId[],
): Promise<ReadonlyMap<BooksId, ReadonlyMap<AccountId, Minor>>> => {
  const rows = await longRows<{ books: BooksId; account: AccountId; amount: Minor }>(
    tx,
    { books: 'json', account: 'json', amount: 'int8' },
    'select books_id as books, account_id as account, amount from comparative where column_no = $2 and books_id = any($1::int[])',
    [ids, LAST_YEAR],
  );
  const found = new Map<BooksId, Map<AccountId, Minor>>();
  for (const { books, account, amount } of rows) found.set(books, (found.get(books) ?? new Map<AccountId, Minor>()).set(account, amount)); // prettier-ignore
  return found;
};

export interface ComparativeWriting {
  readonly account: AccountId;
  readonly column: number;
  readonly from: Minor | null;
  /** Null takes the amount away. */
  readonly to: Minor | null;
}

/** Writes comparatives; gives what changed, for the record. */
export const writeComparatives = async (
  tx: Queryable,
  booksId: BooksId,
  writings: readonly ComparativeWriting[],
  person: PersonId,
  at: string,
): Promise<readonly Change[]> => {
  if (writings.length === 0) return [];
  const values = [
    booksId,
    person,
    at,
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
  return writings.map(({ account, column, from, to }) => ({
    subject: 'comparative',
    id: account,
    field: String(column),
    from: keptAmount(from),
    to: keptAmount(to),
  }));
};

export interface ComparativeChange {
  readonly column: number;
  readonly from: Minor | null;
  readonly to: Minor | null;
  readonly paper: string | null;
  readonly by: string;
  readonly at: string;
}

/** What happened to an account's comparatives, newest first. */
export const comparativeChanges = async (
  tx: Queryable,
  booksId: BooksId,
  account: number,
  most = 50,
): Promise<readonly ComparativeChange[]> =>
  (
    await tx.query<Omit<ComparativeChange, 'from' | 'to'> & Pick<Change, 'from' | 'to'>>(
      `select c.field::int as "column", c.was as "from", c.is_now as "to", b.about ->> 'name' as paper, p.name as by, b.at
       from change c join batch b on b.id = c.batch join person p on p.id = b.by_person
       where c.books_id = $1 and c.subject = 'comparative' and c.subject_id = $2 order by c.seq desc limit $3`,
      [booksId, account, most],
    )
  ).map(({ from, to, ...rest }) => ({ ...rest, from: amountFrom(from), to: amountFrom(to) }));
