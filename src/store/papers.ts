import type { BooksId, PersonId, PaperId } from '@/core/base/ids';
import { byTwo } from '@/core/base/by-two';
import { addTo } from '@/core/base/lists';
import type { AccountId } from '@/core/chart/account';
import type { Minor } from '@/core/money/minor';
import type { Remembered } from '@/core/openings/match';
import type { Decision } from '@/core/openings/takeover';
import type { TakenRow } from '@/core/openings/taking';
import type { Reading } from '@/core/papers/reading';
import { type Change, WHOLE } from '@/core/base/change';
import type { Kept } from '@/core/base/kept';
import type { Media } from '@/core/files/media';
import { type Queryable, arrayText, one } from './database';
import { decisionsOf } from './paper-decisions';

export interface Paper {
  readonly id: PaperId;
  readonly name: string;
  readonly bytes: number;
  readonly media: Media;
  /** Brought to be kept and shown, not to be read as a table. */
  readonly kept: boolean;
  readonly by: string;
  readonly at: string;
  readonly takenAt: string | null;
  /** To how many things it is attached as evidence. */
  readonly attached: number;
  /** Whether items of schedules were read from it. */
  readonly listed: boolean;
}

const LISTED = `f.id, f.name, f.bytes, f.media, f.kept, p.name as by, f.brought_at as at,
  (select max(t.at) from take_over t where t.books_id = f.books_id and t.paper_id = f.id) as "takenAt",
  (select count(*) from evidence e where e.books_id = f.books_id and e.paper_id = f.id)::int as attached,
  exists (select from schedule_item i where i.books_id = f.books_id and i.paper_id = f.id) as listed`;

export const papersOf = async (tx: Queryable, booksId: BooksId): Promise<readonly Paper[]> =>
  tx.query<Paper>(
    `select ${LISTED} from paper f join person p on p.id = f.brought_by where f.books_id = $1 order by f.id desc`,
    [booksId],
  );

export interface OpenPaper extends Paper {
  readonly reading: Reading | null;
  /** By the number of the row. */
  readonly decisions: ReadonlyMap<number, Decision>;
}

/** `undefined` also for an address that is no number. */
export const findPaper = async (tx: Queryable, booksId: BooksId, id: number): Promise<OpenPaper | undefined> => {
  if (!Number.isSafeInteger(id)) return undefined;
  const [found] = await tx.query<Omit<OpenPaper, 'decisions'>>(
    `select ${LISTED}, f.reading from paper f join person p on p.id = f.brought_by where f.books_id = $1 and f.id = $2`,
    [booksId, id],
  );
  return found === undefined ? undefined : { ...found, decisions: await decisionsOf(tx, booksId, found.id) };
};

/** The bytes as they were brought; out in base64, which costs the drivers a fraction of what they make of the database's own text. */
export const paperContent = async (tx: Queryable, booksId: BooksId, id: PaperId): Promise<Uint8Array> =>
  Buffer.from(
    one(
      await tx.query<{ content: string }>(
        `select encode(content, 'base64') as content from paper where books_id = $1 and id = $2`,
        [booksId, id],
      ),
    ).content,
    'base64',
  );

export const paperWithHash = async (tx: Queryable, booksId: BooksId, sha256: string): Promise<PaperId | undefined> =>
  (await tx.query<{ id: PaperId }>('select id from paper where books_id = $1 and sha256 = $2', [booksId, sha256]))[0]
    ?.id;

/** A file as it becomes a paper. */
export interface NewPaper extends Pick<Paper, 'name' | 'media' | 'kept'> {
  readonly sha256: string;
  readonly content: Uint8Array;
}

export const insertPaper = async (
  tx: Queryable,
  booksId: BooksId,
  { name, sha256, content, media, kept }: NewPaper,
  person: PersonId,
  at: string,
): Promise<PaperId> =>
  one(
    await tx.query<{ id: PaperId }>(
      'insert into paper (books_id, name, sha256, content, bytes, media, kept, brought_by, brought_at) values ($1, $2, $3, $4, $5, $6, $7, $8, $9) returning id',
      [booksId, name, sha256, content, content.length, media, kept, person, at],
    ),
  ).id;

export const saveReading = async (
  tx: Queryable,
  booksId: BooksId,
  { id, reading: was }: Pick<OpenPaper, 'id' | 'reading'>,
  reading: Reading | null,
): Promise<Change> => {
  await tx.query('update paper set reading = $3::jsonb where books_id = $1 and id = $2', [
    booksId,
    id,
    reading === null ? null : JSON.stringify(reading),
  ]);
  return { subject: 'reading', id, field: WHOLE, from: was as unknown as Kept, to: reading as unknown as Kept };
};

/** One taking over of a paper: the batch of its changes, the version of the opening balances it went into, and what it did. */
export interface TakeOver {
  readonly paper: PaperId;
  readonly set: number;
  readonly batch: string;
  readonly figures: number;
  readonly created: number;
}

const TAKE_OVER = 'paper_id as paper, set_id as "set", batch, figures, created';

/** The take-over that was asked for under a key. */
export const takeOverByKey = async (tx: Queryable, booksId: BooksId, key: string): Promise<TakeOver | undefined> =>
  (await tx.query<TakeOver>(`select ${TAKE_OVER} from take_over where books_id = $1 and key = $2`, [booksId, key]))[0];

/** The last take-over of a paper that was not undone. */
export const lastTakeOver = async (tx: Queryable, booksId: BooksId, paper: PaperId): Promise<TakeOver | undefined> =>
  (
    await tx.query<TakeOver>(
      `select ${TAKE_OVER} from take_over where books_id = $1 and paper_id = $2 order by id desc limit 1`,
      [booksId, paper],
    )
  )[0];

/** Keeps a take-over, which row went where, and the accounts that were made for it. */
export const writeTakeOver = async (
  tx: Queryable,
  booksId: BooksId,
  { paper, set, batch, figures, created, key }: TakeOver & { readonly key: string },
  rows: readonly TakenRow[],
  made: readonly AccountId[],
  at: string,
): Promise<void> => {
  const { id } = one(
    await tx.query<{ id: number }>(
      `insert into take_over (books_id, paper_id, set_id, key, batch, figures, created, at)
       values ($1, $2, $3, $4, $5, $6, $7, $8) returning id`,
      [booksId, paper, set, key, batch, figures, created, at],
    ),
  );
  // Rows of one account go together in arrays of their own: to take a hundred thousand apart and sort them costs the database
  // five times as much.
  const groups = new Map<string, TakenRow[]>();
  for (const row of rows) {
    const key = row.account === null ? `/${row.reason ?? ''}` : String(row.account);
    addTo(groups, key, row);
  }
  const grouped = [...groups.values()];
  const texts = (of: (own: readonly TakenRow[]) => string | number | null): string => arrayText(grouped.map(of));
  await tx.many('taken_rows', grouped.length, () =>
    tx.query(
      `insert into taken_rows (books_id, paper_id, take_over_id, account_id, reason, row_nos, texts, amounts)
     select $1, $2, $3, account, reason, row_nos::int[], texts::text[], amounts::int8[]
     from unnest($4::text::int[], $5::text::text[], $6::text::text[], $7::text::text[], $8::text::text[])
       as t (account, reason, row_nos, texts, amounts)`,
      [
        booksId,
        paper,
        id,
        texts(([one]) => one?.account ?? null),
        texts(([one]) => one?.reason ?? null),
        texts((own) => arrayText(own.map(({ row }) => row))),
        texts((own) => arrayText(own.map(({ text }) => text))),
        texts((own) => arrayText(own.map(({ amount }) => amount))),
      ],
    ),
  );
  await tx.query(
    'insert into take_over_account (books_id, take_over_id, account_id) select $1, $2, account from unnest($3::text::int[]) as t (account)',
    [booksId, id, arrayText(made)],
  );
};

/**
 * The accounts that a take-over made, each with whether anything but it uses it: figures and what changed them since (its own
 * changes are taken back already), other papers, journals, tax codes, comparatives, a role that somebody gave it.
 */
export const madeByTakeOver = async (
  tx: Queryable,
  booksId: BooksId,
  batch: string,
): Promise<readonly { readonly account: AccountId; readonly used: boolean }[]> =>
  tx.query<{ account: AccountId; used: boolean }>(
    `select a.id as account,
       a.role is not null and a.role <> 'bank'
       or exists (select from opening_line l where l.books_id = $1 and l.account_id = a.id)
       or exists (select from standing_change c where c.books_id = $1 and c.subject = 'figure' and c.subject_id = a.id)
       or exists (select from taken_rows r where r.books_id = $1 and r.account_id = a.id and r.take_over_id <> t.id)
       or exists (select from journal_line j where j.books_id = $1 and j.account_id = a.id)
       or exists (select from tax_code x where x.books_id = $1 and a.id in (x.charged_account, x.recoverable_account))
       or exists (select from comparative v where v.books_id = $1 and v.account_id = a.id)
       or exists (select from evidence k where k.books_id = $1 and k.account_id = a.id) as used
     from take_over t join take_over_account m on m.take_over_id = t.id join account a on a.books_id = $1 and a.id = m.account_id
     where t.books_id = $1 and t.batch = $2 order by a.id`,
    [booksId, batch],
  );

/** Forgets a take-over that was undone, with its rows; an earlier one of the paper counts again. */
export const deleteTakeOver = async (tx: Queryable, booksId: BooksId, batch: string): Promise<void> => {
  await tx.query('delete from take_over where books_id = $1 and batch = $2', [booksId, batch]);
};

/** What was read from a paper into the version that counts now: opening figures by rows taken, and items by account. */
export const usesOfPaper = (
  tx: Queryable,
  booksId: BooksId,
  paper: PaperId,
): Promise<readonly { readonly of: 'figures' | 'items'; readonly account: AccountId; readonly count: number }[]> =>
  tx.query(
    `with now as (select id from opening_set where books_id = $1 order by version desc limit 1)
     select 'figures' as of, 0 as account, count(distinct account_id)::int as count from rows_that_count
       where books_id = $1 and paper_id = $2 and account_id is not null having count(*) > 0
     union all select 'items', account_id, count(*)::int from schedule_item
       where books_id = $1 and paper_id = $2 and set_id in (select id from now) group by account_id order by 1, 2`,
    [booksId, paper],
  );

/** False when figures were taken from the paper at some time: their history names it. */
export const deletePaper = async (tx: Queryable, booksId: BooksId, id: number): Promise<boolean> =>
  (
    await tx.query(
      `delete from paper where books_id = $1 and id = $2
         and not exists (select from batch where books_id = $1 and about -> 'paper' = to_jsonb($2::int)) returning id`,
      [booksId, id],
    )
  ).length === 1;

/** A row that stands behind a figure, and how many of its paper do. */
export interface RowBehind {
  readonly account: AccountId;
  readonly paper: PaperId;
  readonly row: number;
  readonly text: string;
  readonly amount: Minor;
  readonly of: number;
}

/** The rows behind each account's figure in the papers taken over, of each paper the first `most`. */
export const rowsBehind = async (tx: Queryable, booksId: BooksId, most: number): Promise<readonly RowBehind[]> =>
  tx.query<RowBehind>(
    `select t.account_id as account, t.paper_id as paper, r.row, r.text, r.amount, cardinality(t.row_nos) as of
     from rows_that_count t, unnest(t.row_nos[:$2], t.texts[:$2], t.amounts[:$2]) with ordinality as r (row, text, amount, at)
     where t.books_id = $1 and t.account_id is not null order by t.account_id, t.paper_id, r.at`,
    [booksId, most],
  );

/** The rows with an amount that were left out when their paper was taken over. */
export const rowsLeftOut = async (
  tx: Queryable,
  booksId: BooksId,
): Promise<readonly Pick<RowBehind, 'paper' | 'row' | 'text' | 'amount'>[]> =>
  tx.query(
    `select t.paper_id as paper, r.row, r.text, r.amount
     from rows_that_count t, unnest(t.row_nos, t.texts, t.amounts) as r (row, text, amount)
     where t.books_id = $1 and t.account_id is null and r.amount <> 0 order by t.paper_id, r.row`,
    [booksId],
  );

/** Rows taken over follow when one account is merged into another. */
export const moveRows = async (tx: Queryable, booksId: BooksId, from: AccountId, into: AccountId): Promise<void> => {
  await tx.query('update taken_rows set account_id = $3 where books_id = $1 and account_id = $2', [
    booksId,
    from,
    into,
  ]);
  await tx.query('update match_memory set account_id = $3 where books_id = $1 and account_id = $2', [
    booksId,
    from,
    into,
  ]);
};

/** What was decided about old accounts before, in these books. */
export const matchMemory = async (tx: Queryable, booksId: BooksId): Promise<readonly Remembered[]> =>
  tx.query<Remembered>(
    'select code, name, account_id as account, reason from match_memory where books_id = $1 order by code, name',
    [booksId],
  );

/** Another text whenever what is remembered has changed. */
export const memoryStamp = async (tx: Queryable, booksId: BooksId): Promise<string> =>
  one(
    await tx.query<{ stamp: string }>(
      `select concat_ws(' ', count(*), max(set_at), sum(account_id)) as stamp from match_memory where books_id = $1`,
      [booksId],
    ),
  ).stamp;

/** Remembers where old accounts went; what was remembered about the same ones before is replaced. */
export const remember = async (
  tx: Queryable,
  booksId: BooksId,
  decided: readonly Remembered[],
  at: string,
): Promise<void> => {
  // Rows of one old account are many in a large paper; the last one counts.
  const known = byTwo<true>();
  const last = decided.toReversed().filter(({ code, name }) => {
    if (known.get(code, name) === true) return false;
    known.set(code, name, true);
    return true;
  });
  if (last.length === 0) return;
  await tx.query(
    `insert into match_memory (books_id, code, name, account_id, reason, set_at)
     select distinct on (code, name) $1, code, name, account, reason, $2::timestamptz
     from unnest($3::text::text[], $4::text::text[], $5::text::int[], $6::text::text[]) with ordinality as t (code, name, account, reason, at)
     order by code, name, at desc
     on conflict (books_id, code, name) do update set account_id = excluded.account_id, reason = excluded.reason, set_at = excluded.set_at`,
    [
      booksId,
      at,
      arrayText(last.map((one) => one.code.slice(0, 200))),
      arrayText(last.map((one) => one.name.slice(0, 400))),
      arrayText(last.map((one) => one.account)),
      arrayText(last.map((one) => one.reason)),
    ],
  );
};

/** How a paper of this shape was last read in the practice, and which paper that was. */
export const shapeReading = async (
  tx: Queryable,
  practice: number,
  shape: string,
): Promise<{ readonly reading: Partial<Reading>; readonly from: string } | undefined> =>
  (
    await tx.query<{ reading: Partial<Reading>; from: string }>(
      'select reading, from_name as "from" from paper_shape where practice_id = $1 and shape = $2',
      [practice, shape],
    )
  )[0];

export const rememberShape = async (
  tx: Queryable,
  practice: number,
  shape: string,
  reading: Pick<Reading, 'columns' | 'style' | 'convention'>,
  from: string,
  at: string,
): Promise<void> => {
  await tx.query(
    `insert into paper_shape (practice_id, shape, reading, from_name, set_at) values ($1, $2, $3::jsonb, $4, $5)
     on conflict (practice_id, shape) do update set reading = excluded.reading, from_name = excluded.from_name, set_at = excluded.set_at`,
    [practice, shape, JSON.stringify(reading), from, at],
  );
};
