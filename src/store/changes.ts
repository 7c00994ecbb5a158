import type { BooksId, PersonId } from '@/core/base/ids';
import type { AccountId } from '@/core/chart/account';
import { addTo } from '@/core/base/lists';
import type { Batch, Change, Subject } from '@/core/base/change';
import { type Kept, sameKept } from '@/core/base/kept';
import { type Column, type Queryable, tableOf } from './database';
import { longRows } from './long-rows';

const textOf = (value: Kept): string | null => (value === null ? null : JSON.stringify(value));

/** A batch that is begun, and who begins it when. */
export interface Opened extends Batch {
  readonly person: PersonId;
  readonly at: string;
}

const OPEN = 'insert into batch (id, books_id, action, about, reverts, by_person, at) values';

const opening = (booksId: BooksId, { id, action, about, reverts, person, at }: Opened): readonly unknown[] => [
  id,
  booksId,
  action,
  JSON.stringify(about),
  reverts,
  person,
  at,
];

export const openBatch = async (tx: Queryable, booksId: BooksId, batch: Opened): Promise<void> => {
  await tx.query(`${OPEN} ($1, $2, $3, $4::jsonb, $5, $6, $7)`, opening(booksId, batch));
};

const COLUMNS: readonly Column<Change>[] = [
  ['subject', 'text', ({ subject }) => subject],
  ['id', 'int', ({ id }) => id],
  ['field', 'text', ({ field }) => field],
  ['was', 'jsonb', ({ from }) => textOf(from)],
  ['is_now', 'jsonb', ({ to }) => textOf(to)],
];

/** Adds changes of a batch to the record, those that change something; where there are any, one that is not `open` yet is opened with them. */
export const writeChanges = async (
  tx: Queryable,
  booksId: BooksId,
  batch: Opened,
  open: boolean,
  changes: readonly Change[],
): Promise<void> => {
  const rows = changes.filter(({ from, to }) => !sameKept(from, to));
  if (rows.length === 0) return;
  const { from, values } = tableOf(rows, COLUMNS, 3);
  const last = values.length + 2;
  await tx.many('change', rows.length, () =>
    tx.query(
      `${open ? '' : `with opened as (${OPEN} ($2, $1, $${last + 1}, $${last + 2}::jsonb, $${last + 3}, $${last + 4}, $${last + 5}))`}
       insert into change (books_id, batch, subject, subject_id, field, was, is_now) select $1, $2, t.* from ${from}`,
      [booksId, batch.id, ...values, ...(open ? [] : opening(booksId, batch).slice(2))],
    ),
  );
};

/** The changes of a batch, in the order in which they were made. */
export const changesIn = async (tx: Queryable, booksId: BooksId, batch: string): Promise<readonly Change[]> =>
  longRows<Change>(
    tx,
    { subject: 'json', id: 'json', field: 'json', from: 'json', to: 'json' },
    `select subject, subject_id as id, field, was as "from", is_now as "to" from change
     where books_id = $1 and batch = $2 order by seq`,
    [booksId, batch],
  );

/** A batch as it stands in the record. */
export interface Recorded extends Batch {
  readonly by: string;
  readonly at: string;
  readonly taken: boolean;
}

const RECORDED = `b.id, b.action, b.about, b.reverts, p.name as by, b.at,
  exists (select from batch r where r.books_id = b.books_id and r.reverts = b.id) as taken`;

export const batchOf = async (tx: Queryable, booksId: BooksId, batch: string): Promise<Recorded | undefined> =>
  (
    await tx.query<Recorded>(
      `select ${RECORDED} from batch b join person p on p.id = b.by_person where b.books_id = $1 and b.id = $2`,
      [booksId, batch],
    )
  )[0];

/** The last batch of an action that was not taken back. */
export const lastBatch = async (tx: Queryable, booksId: BooksId, action: string): Promise<Recorded | undefined> =>
  (
    await tx.query<Recorded>(
      `select ${RECORDED} from batch b join person p on p.id = b.by_person
       where b.books_id = $1 and b.action = $2 and not exists (select from batch r where r.books_id = $1 and r.reverts = b.id)
       order by b.seq desc limit 1`,
      [booksId, action],
    )
  )[0];

/** What happened to one thing, newest first; changes of one batch stand together. */
export const changesOf = async (
  tx: Queryable,
  booksId: BooksId,
  subject: Subject,
  id: number,
  most: number,
): Promise<readonly (Change & { readonly batch: string; readonly by: string; readonly at: string })[]> =>
  tx.query(
    `select c.batch, c.subject, c.subject_id as id, c.field, c.was as "from", c.is_now as "to", p.name as by, b.at
     from change c join batch b on b.id = c.batch join person p on p.id = b.by_person
     where c.books_id = $1 and c.subject = $2 and c.subject_id = $3 order by c.seq desc limit $4`,
    [booksId, subject, id, most],
  );

/** The name of the paper that a batch is about. */
export const nameIn = ({ name }: Batch['about']): string => (typeof name === 'string' ? name : '');

/** A batch in a list of them, with how many things of each kind it changed. */
export interface Listed extends Recorded {
  readonly seq: bigint;
  readonly counts: Readonly<Partial<Record<Subject, number>>>;
}

/** Which batches are looked for: null where all are. `from` is an instant, `until` one that is not included any more. */
export interface Wanted {
  readonly subjects: readonly Subject[] | null;
  readonly person: PersonId | null;
  readonly from: string | null;
  readonly until: string | null;
  /** Those that change something of an account: its own, by `ofAccounts`, or an item behind it. */
  readonly account: AccountId | null;
  readonly ofAccounts: readonly Subject[];
}

/** Everybody who ever changed something in a set of books, by name. */
export const whoChanged = (
  tx: Queryable,
  booksId: BooksId,
): Promise<readonly { readonly id: PersonId; readonly name: string }[]> =>
  tx.query(
    `select p.id, p.name from person p
     where exists (select from batch b where b.books_id = $1 and b.by_person = p.id) order by lower(p.name), p.id`,
    [booksId],
  );

/** The latest batches, newest first; `before` goes on from one, `only` is one of them. */
export const latestBatches = async (
  tx: Queryable,
  booksId: BooksId,
  before: bigint | null,
  most: number,
  only: string | null = null,
  wanted?: Wanted,
): Promise<readonly Listed[]> =>
  tx.query<Listed>(
    `select b.seq, ${RECORDED},
       coalesce((select json_object_agg(subject, things) from (
         select subject, count(distinct case when subject = 'account' then subject_id::text else subject_id || ' ' || field end)::int as things
         from change c where c.books_id = $1 and c.batch = b.id group by subject) u), '{}') as counts
     from batch b join person p on p.id = b.by_person
     where b.books_id = $1 and ($2::int8 is null or b.seq < $2) and ($4::uuid is null or b.id = $4)
       and ($5::text[] is null or exists (select from change c where c.books_id = $1 and c.batch = b.id and c.subject = any($5)))
       and ($6::int is null or b.by_person = $6)
       and ($7::timestamptz is null or b.at >= $7) and ($8::timestamptz is null or b.at < $8)
       and ($9::int is null or exists (select from change c where c.books_id = $1 and c.batch = b.id
         and (c.subject = any($10::text[]) and c.subject_id = $9
           or c.subject = 'item' and $9 in ((c.was->>'account')::int, (c.is_now->>'account')::int))))
     order by b.seq desc limit $3`,
    [
      booksId,
      before === null ? null : String(before),
      most,
      only,
      wanted?.subjects ?? null,
      wanted?.person ?? null,
      wanted?.from ?? null,
      wanted?.until ?? null,
      wanted?.account ?? null,
      wanted?.ofAccounts ?? [],
    ],
  );

/** The last batch that a person made of some subjects and that stands, which is no taking back itself. */
export const lastOf = async (
  tx: Queryable,
  booksId: BooksId,
  person: PersonId,
  subjects: readonly Subject[],
): Promise<string | undefined> =>
  (
    await tx.query<{ id: string }>(
      `select b.id from batch b
       where b.books_id = $1 and b.by_person = $2 and b.reverts is null
         and exists (select from change c where c.books_id = $1 and c.batch = b.id and c.subject = any($3::text[]))
         and not exists (select from batch r where r.books_id = $1 and r.reverts = b.id)
       order by b.seq desc limit 1`,
      [booksId, person, subjects],
    )
  )[0]?.id;

/** The first changes of each of some batches. */
export const firstChanges = async (
  tx: Queryable,
  booksId: BooksId,
  batches: readonly string[],
  most: number,
): Promise<ReadonlyMap<string, readonly Change[]>> => {
  const rows = await tx.query<Change & { readonly batch: string }>(
    `select own.* from unnest($2::uuid[]) as b (id), lateral (
       select c.batch, c.subject, c.subject_id as id, c.field, c.was as "from", c.is_now as "to"
       from change c where c.books_id = $1 and c.batch = b.id order by c.seq limit $3) own`,
    [booksId, batches, most],
  );
  const found = new Map<string, Change[]>();
  for (const { batch, ...change } of rows) {
    addTo(found, batch, change);
  }
  return found;
};
