import { type Account, accountId } from '@/core/chart/account';
import type { Classification, AccountRole } from '@/core/chart/classes';
import type { Queryable } from './database';

const COLUMNS = `id, code, name, class, heading, parent_id as parent, role, currency, active`;

/** Charts of the given books. */
export const chartsOf = async (
  tx: Queryable,
  booksIds: readonly number[],
): Promise<ReadonlyMap<number, readonly Account[]>> => {
  // One row per set of books: tens of thousands of rows cost more in the driver than in the database.
  const rows = await tx.query<{ books: number; accounts: readonly Account[] }>(
    `select books_id as books, json_agg(json_build_object('id', id, 'code', code, 'name', name, 'class', class,
       'heading', heading, 'parent', parent_id, 'role', role, 'currency', currency, 'active', active) order by id) as accounts
     from account where books_id = any($1::int[]) group by books_id`,
    [booksIds],
  );
  const charts = new Map<number, readonly Account[]>(booksIds.map((id) => [id, []]));
  for (const { books, accounts } of rows) charts.set(books, accounts);
  return charts;
};

/** Some accounts of a set of books, those of the given ids that are there. */
export const accountsOf = (tx: Queryable, booksId: number, ids: readonly number[]): Promise<readonly Account[]> =>
  tx.query<Account>(`select ${COLUMNS} from account where books_id = $1 and id = any($2::int[])`, [booksId, ids]);

export const chartOf = async (tx: Queryable, booksId: number): Promise<readonly Account[]> =>
  (await chartsOf(tx, [booksId])).get(booksId) ?? [];

export interface NewAccount {
  readonly code: string;
  readonly name: string;
  readonly class: Classification;
  readonly heading: boolean;
  /** Code of the heading it stands under, which is in the same batch or already in the books. */
  readonly parentCode: string | null;
  readonly role: AccountRole | null;
  readonly currency: string | null;
}

/** Adds accounts in one statement each for rows and parents; returns the ids in the order given. */
export const insertAccounts = async (
  tx: Queryable,
  booksId: number,
  accounts: readonly NewAccount[],
): Promise<readonly Account['id'][]> => {
  if (accounts.length === 0) return [];
  const rows = await tx.query<{ id: number; code: string }>(
    `insert into account (books_id, code, name, class, heading, role, currency)
     select $1, code, name, class, heading, role, currency
     from unnest($2::text[], $3::text[], $4::text[], $5::bool[], $6::text[], $7::text[]) as t (code, name, class, heading, role, currency)
     returning id, code`,
    [
      booksId,
      accounts.map((one) => one.code),
      accounts.map((one) => one.name),
      accounts.map((one) => one.class),
      accounts.map((one) => one.heading),
      accounts.map((one) => one.role),
      accounts.map((one) => one.currency),
    ],
  );
  const under = accounts.filter((one) => one.parentCode !== null);
  if (under.length > 0)
    await tx.query(
      `update account a set parent_id = p.id
       from unnest($2::text[], $3::text[]) as t (code, parent_code)
       join account p on p.books_id = $1 and lower(p.code) = lower(t.parent_code)
       where a.books_id = $1 and a.code = t.code`,
      [booksId, under.map((one) => one.code), under.map((one) => one.parentCode)],
    );
  const ids = new Map(rows.map((row) => [row.code, accountId(row.id)]));
  return accounts.map((one) => ids.get(one.code) ?? accountId(0));
};

export const updateAccount = async (
  tx: Queryable,
  booksId: number,
  account: Pick<Account, 'id' | 'code' | 'name' | 'class' | 'parent' | 'role' | 'currency' | 'active'>,
): Promise<void> => {
  await tx.query(
    'update account set code = $3, name = $4, class = $5, parent_id = $6, role = $7, active = $8, currency = $9 where books_id = $1 and id = $2',
    [
      booksId,
      account.id,
      account.code,
      account.name,
      account.class,
      account.parent,
      account.role,
      account.active,
      account.currency,
    ],
  );
};

export const deleteAccount = async (tx: Queryable, booksId: number, id: number): Promise<void> => {
  await tx.query('delete from account where books_id = $1 and id = $2', [booksId, id]);
};

export interface AccountUse {
  readonly figures: number;
  readonly changes: number;
  readonly paperRows: number;
  readonly journalLines: number;
  readonly children: number;
}

/** By what an account is used. */
export const accountUse = async (tx: Queryable, booksId: number, id: number): Promise<AccountUse> => {
  const [use] = await tx.query<AccountUse>(
    `select (select count(*)::int from opening_line where books_id = $1 and account_id = $2) as figures,
            (select count(*)::int from opening_change where books_id = $1 and account_id = $2) as changes,
            (select count(*)::int from paper_row where books_id = $1 and account_id = $2) as "paperRows",
            (select count(*)::int from journal_line where books_id = $1 and account_id = $2) as "journalLines",
            (select count(*)::int from account where books_id = $1 and parent_id = $2) as children`,
    [booksId, id],
  );
  return use ?? { figures: 0, changes: 0, paperRows: 0, journalLines: 0, children: 0 };
};
