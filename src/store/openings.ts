import type { AccountId } from '@/core/chart/account';
import type { Minor } from '@/core/money/minor';
import type { Part } from '@/core/openings/foreign';
import { type Queryable, one } from './database';

export type Source = 'typed' | 'paper' | 'carried' | 'calculated';

export interface OpeningSet {
  readonly id: number;
  readonly version: number;
  readonly state: 'draft' | 'posted' | 'superseded';
  readonly reason: string | null;
}

export interface OpeningLine {
  readonly account: AccountId;
  readonly amount: Minor;
  readonly source: Source;
  readonly paper: number | null;
  /** For a calculated figure: by what. */
  readonly why: string | null;
  readonly revision: number;
}

const SET = 'id, version, state, reason';

/** The set that counts now: the draft when there is one, else the posted one. */
export const currentSet = async (tx: Queryable, booksId: number): Promise<OpeningSet | undefined> =>
  (
    await tx.query<OpeningSet>(`select ${SET} from opening_set where books_id = $1 order by version desc limit 1`, [
      booksId,
    ])
  )[0];

export const setsOf = async (tx: Queryable, booksId: number): Promise<readonly (OpeningSet & { at: string })[]> =>
  tx.query<OpeningSet & { at: string }>(
    `select ${SET}, created_at as at from opening_set where books_id = $1 order by version desc`,
    [booksId],
  );

export const insertSet = async (
  tx: Queryable,
  booksId: number,
  version: number,
  at: string,
  reason: string | null,
): Promise<number> =>
  one(
    await tx.query<{ id: number }>(
      `insert into opening_set (books_id, version, state, reason, created_at) values ($1, $2, 'draft', $4, $3) returning id`,
      [booksId, version, at, reason],
    ),
  ).id;

/** A new draft that starts with the figures of another set. */
export const copyLines = async (
  tx: Queryable,
  booksId: number,
  from: number,
  to: number,
  person: number,
  at: string,
): Promise<void> => {
  await tx.query(
    `insert into opening_line (books_id, set_id, account_id, amount, source, paper_id, set_by, set_at)
     select books_id, $3, account_id, amount, case when source = 'paper' then 'paper' else 'carried' end, paper_id, $4, $5
     from opening_line where books_id = $1 and set_id = $2`,
    [booksId, from, to, person, at],
  );
  await tx.query(
    `insert into opening_part (books_id, set_id, account_id, currency, amount, base)
     select books_id, $3, account_id, currency, amount, base from opening_part where books_id = $1 and set_id = $2`,
    [booksId, from, to],
  );
};

/** The parts in foreign currencies of a set's figures. */
export const partsOfSet = async (
  tx: Queryable,
  booksId: number,
  setId: number,
): Promise<ReadonlyMap<AccountId, readonly Part[]>> => {
  const rows = await tx.query<Part & { account: AccountId }>(
    'select account_id as account, currency, amount, base from opening_part where books_id = $1 and set_id = $2 order by account_id, currency',
    [booksId, setId],
  );
  const found = new Map<AccountId, Part[]>();
  for (const { account, ...part } of rows) {
    const known = found.get(account);
    if (known === undefined) found.set(account, [part]);
    else known.push(part);
  }
  return found;
};

/** Replaces the parts of some figures; the figures themselves are there already. */
export const writeParts = async (
  tx: Queryable,
  booksId: number,
  setId: number,
  parts: ReadonlyMap<AccountId, readonly Part[]>,
): Promise<void> => {
  const accounts = [...parts.keys()];
  await tx.query('delete from opening_part where books_id = $1 and set_id = $2 and account_id = any($3::int[])', [
    booksId,
    setId,
    accounts,
  ]);
  const rows = [...parts].flatMap(([account, own]) => own.map((part) => ({ account, ...part })));
  await tx.query(
    `insert into opening_part (books_id, set_id, account_id, currency, amount, base)
     select $1, $2, account, currency, amount, base
     from unnest($3::int[], $4::text[], $5::int8[], $6::int8[]) as t (account, currency, amount, base)`,
    [
      booksId,
      setId,
      rows.map((row) => row.account),
      rows.map((row) => row.currency),
      rows.map((row) => String(row.amount)),
      rows.map((row) => String(row.base)),
    ],
  );
};

export const linesOf = async (tx: Queryable, booksId: number, setId: number): Promise<readonly OpeningLine[]> =>
  tx.query<OpeningLine>(
    'select account_id as account, amount, source, paper_id as paper, why, revision from opening_line where books_id = $1 and set_id = $2 order by account_id',
    [booksId, setId],
  );

/** Amounts of the set that counts now, for several sets of books at once, with the state of their sets. */
export const currentAmounts = async (
  tx: Queryable,
  booksIds: readonly number[],
): Promise<
  ReadonlyMap<
    number,
    { readonly draft: boolean; readonly posted: boolean; readonly amounts: ReadonlyMap<AccountId, Minor> }
  >
> => {
  const sets = await tx.query<{ books: number; draft: boolean; posted: boolean }>(
    `select books_id as books, bool_or(state = 'draft') as draft, bool_or(state = 'posted') as posted
     from opening_set where books_id = any($1::int[]) group by books_id`,
    [booksIds],
  );
  const lines = await tx.query<{ books: number; account: AccountId; amount: Minor }>(
    `select l.books_id as books, l.account_id as account, l.amount
     from opening_line l
     join (select distinct on (books_id) id from opening_set where books_id = any($1::int[]) order by books_id, version desc) s on s.id = l.set_id
     order by l.account_id`,
    [booksIds],
  );
  const found = new Map(
    sets.map((set) => [set.books, { draft: set.draft, posted: set.posted, amounts: new Map<AccountId, Minor>() }]),
  );
  for (const line of lines) found.get(line.books)?.amounts.set(line.account, line.amount);
  return found;
};

/** The stored lines of the given accounts with who set them, held against other writers until the transaction ends. */
export const lockLines = async (
  tx: Queryable,
  booksId: number,
  setId: number,
  accounts: readonly number[],
): Promise<ReadonlyMap<AccountId, OpeningLine & { readonly by: string; readonly at: string }>> => {
  const rows = await tx.query<OpeningLine & { by: string; at: string }>(
    `select l.account_id as account, l.amount, l.source, l.paper_id as paper, l.why, l.revision, p.name as by, l.set_at as at
     from opening_line l join person p on p.id = l.set_by
     where l.books_id = $1 and l.set_id = $2 and l.account_id = any($3::int[]) for update of l`,
    [booksId, setId, accounts],
  );
  return new Map(rows.map((row) => [row.account, row]));
};

export interface Writing {
  readonly account: AccountId;
  /** Null takes the figure away. */
  readonly amount: Minor | null;
  readonly from: Minor | null;
  readonly source: Source;
  readonly paper: number | null;
  /** For a calculated figure: by what. */
  readonly why?: string | null;
}

/** Writes figures and what happened to them; returns the new revision per account that still has a figure. */
export const writeLines = async (
  tx: Queryable,
  booksId: number,
  setId: number,
  writings: readonly Writing[],
  batch: string,
  person: number,
  at: string,
): Promise<ReadonlyMap<AccountId, number>> => {
  const gone = writings.filter((one) => one.amount === null);
  const kept = writings.filter((one) => one.amount !== null);
  if (gone.length > 0)
    await tx.query('delete from opening_line where books_id = $1 and set_id = $2 and account_id = any($3::int[])', [
      booksId,
      setId,
      gone.map((one) => one.account),
    ]);
  const rows =
    kept.length === 0
      ? []
      : await tx.query<{ account: AccountId; revision: number }>(
          `insert into opening_line (books_id, set_id, account_id, amount, source, paper_id, why, set_by, set_at)
           select $1, $2, account, amount, source, paper, why, $8, $9
           from unnest($3::int[], $4::int8[], $5::text[], $6::int[], $7::text[]) as t (account, amount, source, paper, why)
           on conflict (set_id, account_id) do update set amount = excluded.amount, source = excluded.source,
             paper_id = excluded.paper_id, why = excluded.why, set_by = excluded.set_by, set_at = excluded.set_at, revision = nextval('opening_revision')::int
           returning account_id as account, revision`,
          [
            booksId,
            setId,
            kept.map((one) => one.account),
            kept.map((one) => String(one.amount)),
            kept.map((one) => one.source),
            kept.map((one) => one.paper),
            kept.map((one) => one.why ?? null),
            person,
            at,
          ],
        );
  // All of a figure on an account of a foreign currency is in that currency, so its part is worth what the figure is.
  await tx.query(
    `update opening_part p set base = l.amount from opening_line l, account a
     where p.books_id = $1 and p.set_id = $2 and p.account_id = any($3::int[]) and p.base <> l.amount
       and l.set_id = p.set_id and l.account_id = p.account_id and a.id = p.account_id and a.currency = p.currency`,
    [booksId, setId, kept.map((one) => one.account)],
  );
  if (writings.length > 0)
    await tx.query(
      `insert into opening_change (books_id, set_id, account_id, batch, from_amount, to_amount, source, paper_id, why, by_person, at)
       select $1, $2, account, $3, from_amount, to_amount, source, paper, why, $10, $11
       from unnest($4::int[], $5::int8[], $6::int8[], $7::text[], $8::int[], $9::text[]) as t (account, from_amount, to_amount, source, paper, why)`,
      [
        booksId,
        setId,
        batch,
        writings.map((one) => one.account),
        writings.map((one) => (one.from === null ? null : String(one.from))),
        writings.map((one) => (one.amount === null ? null : String(one.amount))),
        writings.map((one) => one.source),
        writings.map((one) => one.paper),
        writings.map((one) => one.why ?? null),
        person,
        at,
      ],
    );
  return new Map(rows.map((row) => [row.account, row.revision]));
};

export interface Change {
  readonly from: Minor | null;
  readonly to: Minor | null;
  readonly source: Source;
  readonly paper: string | null;
  readonly why: string | null;
  readonly version: number;
  readonly by: string;
  readonly at: string;
}

/** Everything that happened to an account's figure, newest first. */
export const changesOf = async (
  tx: Queryable,
  booksId: number,
  account: number,
  most = 50,
): Promise<readonly Change[]> =>
  tx.query<Change>(
    `select c.from_amount as "from", c.to_amount as "to", c.source, f.name as paper, c.why, s.version, p.name as by, c.at
     from opening_change c join opening_set s on s.id = c.set_id join person p on p.id = c.by_person left join paper f on f.id = c.paper_id
     where c.books_id = $1 and c.account_id = $2 order by c.id desc limit $3`,
    [booksId, account, most],
  );

/** The changes of one batch, for undoing it. */
export const batchChanges = async (
  tx: Queryable,
  booksId: number,
  batch: string,
): Promise<readonly { account: AccountId; from: Minor | null; to: Minor | null }[]> =>
  tx.query(
    `select account_id as account, from_amount as "from", to_amount as "to" from opening_change where books_id = $1 and batch = $2`,
    [booksId, batch],
  );

/** The batch in which a paper was last taken over. */
export const lastBatch = async (tx: Queryable, booksId: number, paper: number): Promise<string | null> =>
  (
    await tx.query<{ batch: string }>(
      'select batch from opening_change where books_id = $1 and paper_id = $2 order by id desc limit 1',
      [booksId, paper],
    )
  )[0]?.batch ?? null;

/** Where figures came from when they last stood at the given amounts: an undo gives them back their origin with their amount. */
export const sourcesOf = async (
  tx: Queryable,
  booksId: number,
  setId: number,
  wanted: readonly { readonly account: AccountId; readonly amount: Minor | null }[],
): Promise<
  ReadonlyMap<AccountId, { readonly source: Source; readonly paper: number | null; readonly why: string | null }>
> => {
  const figures = wanted.filter((one) => one.amount !== null);
  if (figures.length === 0) return new Map();
  const rows = await tx.query<{ account: AccountId; source: Source; paper: number | null; why: string | null }>(
    `select distinct on (c.account_id) c.account_id as account, c.source, c.paper_id as paper, c.why
     from opening_change c join unnest($3::int[], $4::int8[]) as t (account, amount) on t.account = c.account_id and t.amount = c.to_amount
     where c.books_id = $1 and c.set_id = $2 order by c.account_id, c.id desc`,
    [booksId, setId, figures.map((one) => one.account), figures.map((one) => String(one.amount))],
  );
  return new Map(rows.map(({ account, ...rest }) => [account, rest]));
};

/** The draft becomes the posted set, the posted one before it is superseded. False when the draft was posted meanwhile. */
export const markPosted = async (tx: Queryable, booksId: number, setId: number): Promise<boolean> => {
  await tx.query(`update opening_set set state = 'superseded' where books_id = $1 and state = 'posted'`, [booksId]);
  return (
    (
      await tx.query(
        `update opening_set set state = 'posted' where books_id = $1 and id = $2 and state = 'draft' returning id`,
        [booksId, setId],
      )
    ).length === 1
  );
};

/** Takes back a draft that was opened as a correction. */
export const deleteDraft = async (tx: Queryable, booksId: number, setId: number): Promise<void> => {
  await tx.query(`delete from opening_set where books_id = $1 and id = $2 and state = 'draft'`, [booksId, setId]);
};
