import type { BooksId } from '@/core/base/ids';
import { type Account, type AccountId, accountId } from '@/core/chart/account';
import type { Edited } from '@/core/chart/edit';
import type { AccountUse } from '@/core/chart/use';
import { type Column, type Queryable, tableOf } from './database';
import { longRows } from './long-rows';

const ACCOUNT = `id, code, name, classification, heading, parent_id as parent, role, currency, contra, active, note,
  tax_code as "taxCode", origin`;
const ACCOUNT_COLUMNS = {
  id: 'json', code: 'json', name: 'json', classification: 'json', heading: 'json', parent: 'json', role: 'json', currency: 'json',
  contra: 'json', active: 'json', note: 'json', taxCode: 'json', origin: 'json',
} as const; // prettier-ignore

/** Charts of the given books. */
export const chartsOf = async (
  tx: Queryable,
  booksIds: readonly number[],
): Promise<ReadonlyMap<number, readonly Account[]>> => {
  const rows = await longRows<Account & { books: number }>(
    tx,
    { books: 'json', ...ACCOUNT_COLUMNS },
    `select books_id as books, ${ACCOUNT} from account where books_id = any($1::int[]) order by books_id, id`,
    [booksIds],
  );
  const charts = new Map<number, Account[]>(booksIds.map((id) => [id, []]));
  for (const { books, ...account } of rows) charts.get(books)?.push(account);
  return charts;
};

/** Some accounts of a set of books, those of the given ids that are there. */
export const accountsOf = (tx: Queryable, booksId: BooksId, ids: readonly number[]): Promise<readonly Account[]> =>
  tx.query<Account>(`select ${ACCOUNT} from account where books_id = $1 and id = any($2::int[])`, [booksId, ids]);

export const chartOf = async (tx: Queryable, booksId: BooksId): Promise<readonly Account[]> =>
  (await chartsOf(tx, [booksId])).get(booksId) ?? [];

/** The columns that a person decides, with their types and what is written there. */
const FIELDS: readonly (readonly [
  column: string,
  type: string,
  of: (account: Account) => string | number | boolean | null,
])[] = [
  ['code', 'text', ({ code }) => code.trim()],
  ['name', 'text', ({ name }) => name.trim()],
  ['classification', 'text', ({ classification }) => classification],
  ['heading', 'bool', ({ heading }) => heading],
  ['parent_id', 'int', ({ parent }) => parent],
  ['role', 'text', ({ role }) => role],
  ['currency', 'text', ({ currency }) => currency],
  ['contra', 'bool', ({ contra }) => contra],
  ['active', 'bool', ({ active }) => active],
  ['note', 'text', ({ note }) => note],
  ['tax_code', 'text', ({ taxCode }) => taxCode],
  ['origin', 'text', ({ origin }) => origin],
];
const ID: Column<Account> = ['id', 'int', ({ id }) => id];

/**
 * Writes what edits made of a chart, a few statements whatever their number; returns the ids that new accounts got, by the
 * ids below zero that they had in the edits; one that comes back has its own. Codes and roles that change hands are let go first, since they are unique.
 */
export const saveChart = async (
  tx: Queryable,
  booksId: BooksId,
  { added, changed, removed }: Edited,
): Promise<ReadonlyMap<AccountId, AccountId>> => {
  const ids = new Map<AccountId, AccountId>();
  const unnumbered = added.filter(({ id }) => id < 0);
  if (unnumbered.length > 0) {
    const fresh = await tx.query<{ id: number }>(
      // The name of the sequence is looked up once, not for every number.
      `select nextval((select pg_get_serial_sequence('account', 'id')::regclass))::int as id from generate_series(1, $1::int)`,
      [unnumbered.length],
    );
    unnumbered.forEach((account, at) => ids.set(account.id, accountId(fresh[at]?.id ?? 0)));
  }
  const real = (account: Account): Account => ({
    ...account,
    id: ids.get(account.id) ?? account.id,
    parent: account.parent === null ? null : (ids.get(account.parent) ?? account.parent),
  });
  const letting = changed.filter(({ was, is }) => was.code !== is.code || was.role !== is.role).map(({ is }) => is.id);
  if (letting.length > 0)
    await tx.query(`update account set code = '~' || id, role = null where books_id = $1 and id = any($2::int[])`, [
      booksId,
      letting,
    ]);
  if (removed.length > 0)
    await tx.query('delete from account where books_id = $1 and id = any($2::int[])', [
      booksId,
      removed.map(({ id }) => id),
    ]);
  // What was let go is written again; of all else only what differs.
  const differs = FIELDS.filter(
    ([name, , of]) =>
      (letting.length > 0 && (name === 'code' || name === 'role')) ||
      changed.some(({ was, is }) => of(was) !== of(real(is))),
  );
  if (differs.length > 0) {
    const { from, values } = tableOf(
      changed.map(({ is }) => real(is)),
      [ID, ...differs],
      2,
    );
    await tx.query(
      `update account a set ${differs.map(([name]) => `${name} = t.${name}`).join(', ')} from ${from} where a.books_id = $1 and a.id = t.id`,
      [booksId, ...values],
    );
  }
  // Last, since the headings that they stand under may only now be ones.
  if (added.length > 0) {
    const { from, values } = tableOf(added.map(real), [ID, ...FIELDS], 2);
    await tx.many('account', added.length, () =>
      tx.query(
        `insert into account (books_id, id, ${FIELDS.map(([name]) => name).join(', ')}) overriding system value select $1, t.* from ${from}`,
        [booksId, ...values],
      ),
    );
  }
  return ids;
};

/** By what accounts are used; those that nothing uses are not in the map. Without ids: of all accounts. */
export const usesOf = async (
  tx: Queryable,
  booksId: BooksId,
  ids?: readonly number[],
): Promise<ReadonlyMap<AccountId, AccountUse>> => {
  const rows = await tx.query<{ account: AccountId } & AccountUse>(
    `select account, sum(figures)::int as figures, sum(changes)::int as changes, sum(paper_rows)::int as "paperRows",
            sum(journal_lines)::int as "journalLines", sum(tax_codes)::int as "taxCodes", sum(comparatives)::int as comparatives, sum(papers)::int as papers, sum(items)::int as items
     from (
       select account_id as account, count(*) as figures, 0 as changes, 0 as paper_rows, 0 as journal_lines, 0 as tax_codes, 0 as comparatives, 0 as papers, 0 as items
         from opening_line where books_id = $1 and ($2::int[] is null or account_id = any($2)) group by account_id
       union all select subject_id, 0, count(*), 0, 0, 0, 0, 0, 0 from standing_change
         where books_id = $1 and subject = 'figure' and ($2::int[] is null or subject_id = any($2)) group by subject_id
       union all select account_id, 0, 0, sum(cardinality(row_nos)), 0, 0, 0, 0, 0 from taken_rows
         where books_id = $1 and account_id is not null and ($2::int[] is null or account_id = any($2)) group by account_id
       union all select account_id, 0, 0, 0, count(*), 0, 0, 0, 0 from journal_line
         where books_id = $1 and ($2::int[] is null or account_id = any($2)) group by account_id
       union all select account_id, 0, 0, 0, 0, 0, count(*), 0, 0 from comparative
         where books_id = $1 and ($2::int[] is null or account_id = any($2)) group by account_id
       union all select account_id, 0, 0, 0, 0, 0, 0, count(*), 0 from evidence
         where books_id = $1 and account_id is not null and ($2::int[] is null or account_id = any($2)) group by account_id
       union all select account_id, 0, 0, 0, 0, count(*), 0, 0, 0 from (
         select charged_account as account_id from tax_code where books_id = $1
         union all select recoverable_account from tax_code where books_id = $1) t where account_id is not null group by account_id
       union all select account_id, 0, 0, 0, 0, 0, 0, 0, count(*) from schedule_item
         where books_id = $1 and ($2::int[] is null or account_id = any($2)) group by account_id
       union all select beside_account_id, 0, 0, 0, 0, 0, 0, 0, count(*) from schedule_item
         where books_id = $1 and beside_account_id is not null and ($2::int[] is null or beside_account_id = any($2)) group by beside_account_id
       union all select account_id, 0, 0, 0, 0, 0, 0, 0, count(*) from statement_closing
         where books_id = $1 and ($2::int[] is null or account_id = any($2)) group by account_id
       union all select account_id, 0, 0, 0, 0, 0, 0, 0, count(*) from contact
         where books_id = $1 and account_id is not null and ($2::int[] is null or account_id = any($2)) group by account_id
       union all select account_id, 0, 0, 0, 0, 0, 0, 0, count(*) from tie_explained
         where books_id = $1 and ($2::int[] is null or account_id = any($2)) group by account_id
     ) u where $2::int[] is null or account = any($2::int[]) group by account`,
    [booksId, ids ?? null],
  );
  return new Map(rows.map(({ account, ...use }) => [account, use]));
};
