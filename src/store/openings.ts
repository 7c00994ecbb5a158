import { type Currency } from '@/core/money/currency';
import type { BooksId, PersonId, PaperId } from '@/core/base/ids';
import { addTo } from '@/core/base/lists';
import type { AccountId } from '@/core/chart/account';
import { type Minor, minor } from '@/core/money/minor';
import { type Figure, type Origin, type Source, figureFrom, keptFigure } from '@/core/openings/figure';
import type { Part } from '@/core/openings/foreign';
import { partsUnder, sameParts } from '@/core/openings/in-currency';
import type { Change } from '@/core/base/change';
import { type Queryable, arrayText, one } from './database';
import { longRows } from './long-rows';

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
  readonly paper: PaperId | null;
  /** For a calculated figure: by what. */
  readonly why: string | null;
  readonly revision: number;
}

const SET = 'id, version, state, reason';

/** The set that counts now: the draft when there is one, else the posted one. */
export const currentSet = async (tx: Queryable, booksId: BooksId): Promise<OpeningSet | undefined> =>
  (
    await tx.query<OpeningSet>(`select ${SET} from opening_set where books_id = $1 order by version desc limit 1`, [
      booksId,
    ])
  )[0];

export const setsOf = async (tx: Queryable, booksId: BooksId): Promise<readonly (OpeningSet & { at: string })[]> =>
  tx.query<OpeningSet & { at: string }>(
    `select ${SET}, created_at as at from opening_set where books_id = $1 order by version desc`,
    [booksId],
  );

export const insertSet = async (
  tx: Queryable,
  booksId: BooksId,
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
  booksId: BooksId,
  from: number,
  to: number,
  person: PersonId,
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
  booksId: BooksId,
  setId: number,
): Promise<ReadonlyMap<AccountId, readonly Part[]>> => {
  const rows = await longRows<Part & { account: AccountId }>(
    tx,
    { account: 'json', currency: 'json', amount: 'int8', base: 'int8' },
    'select account_id as account, currency, amount, base from opening_part where books_id = $1 and set_id = $2 order by account_id, currency',
    [booksId, setId],
  );
  const found = new Map<AccountId, Part[]>();
  for (const { account, ...part } of rows) {
    addTo(found, account, part);
  }
  return found;
};

/** Replaces the parts of some figures; the figures themselves are there already. */
const writeParts = async (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
  parts: readonly { readonly account: AccountId; readonly parts: readonly Part[] }[],
): Promise<void> => {
  if (parts.length === 0) return;
  await tx.query('delete from opening_part where books_id = $1 and set_id = $2 and account_id = any($3::int[])', [
    booksId,
    setId,
    parts.map(({ account }) => account),
  ]);
  const rows = parts.flatMap(({ account, parts: own }) => own.map((part) => ({ account, ...part })));
  await tx.many('opening_part', rows.length, () =>
    tx.query(
      `insert into opening_part (books_id, set_id, account_id, currency, amount, base)
     select $1, $2, account, currency, amount, base
     from unnest($3::text::int[], $4::text::text[], $5::text::int8[], $6::text::int8[]) as t (account, currency, amount, base)`,
      [
        booksId,
        setId,
        arrayText(rows.map((row) => row.account)),
        arrayText(rows.map((row) => row.currency)),
        arrayText(rows.map((row) => row.amount)),
        arrayText(rows.map((row) => row.base)),
      ],
    ),
  );
};

interface StoredPart {
  readonly currency: Currency;
  readonly amount: string;
  readonly base: string;
}

const partsFrom = (stored: readonly StoredPart[] | null): readonly Part[] =>
  (stored ?? []).map(({ currency, amount, base }) => ({
    currency,
    amount: minor(BigInt(amount)),
    base: minor(BigInt(base)),
  }));

export const linesOf = async (tx: Queryable, booksId: BooksId, setId: number): Promise<readonly OpeningLine[]> =>
  longRows<OpeningLine>(
    tx,
    { account: 'json', amount: 'int8', source: 'json', paper: 'json', why: 'json', revision: 'json' },
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
  const lines = await longRows<{ books: number; account: AccountId; amount: Minor }>(
    tx,
    { books: 'json', account: 'json', amount: 'int8' },
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

/** A stored figure with who set it, its parts, and the foreign currency in which its account is kept. */
export interface HeldLine extends OpeningLine {
  readonly by: string;
  readonly at: string;
  readonly parts: readonly Part[];
  readonly own: string | null;
}

/** The stored lines of the given accounts, held against other writers until the transaction ends. */
export const lockLines = async (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
  accounts: readonly number[],
): Promise<ReadonlyMap<AccountId, HeldLine>> => {
  const rows = await tx.query<Omit<HeldLine, 'parts'> & { parts: readonly StoredPart[] | null }>(
    `select l.account_id as account, l.amount, l.source, l.paper_id as paper, l.why, l.revision, p.name as by, l.set_at as at,
       a.currency as own,
       (select json_agg(json_build_object('currency', o.currency, 'amount', o.amount::text, 'base', o.base::text) order by o.currency)
        from opening_part o where o.books_id = l.books_id and o.set_id = l.set_id and o.account_id = l.account_id) as parts
     from opening_line l join person p on p.id = l.set_by join account a on a.id = l.account_id
     where l.books_id = $1 and l.set_id = $2 and l.account_id = any($3::int[]) for update of l`,
    [booksId, setId, accounts],
  );
  return new Map(rows.map((row) => [row.account, { ...row, parts: partsFrom(row.parts) }]));
};

export interface Writing extends Partial<Origin> {
  readonly account: AccountId;
  /** Null takes the figure away. */
  readonly amount: Minor | null;
  readonly source: Source;
  /** What of it is in foreign currencies; where not said, as `partsUnder` the amount. */
  readonly parts?: readonly Part[];
}

export interface Written {
  /** The new revision per account that still has a figure. */
  readonly revisions: ReadonlyMap<AccountId, number>;
  /** What changed, for the record. */
  readonly changes: readonly Change[];
}

/** Writes figures. `seen` are those that stand, where the caller has read them in this transaction. */
export const writeLines = async (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
  writings: readonly Writing[],
  person: PersonId,
  at: string,
  seen?: ReadonlyMap<AccountId, HeldLine>,
): Promise<Written> => {
  const stand =
    seen ??
    (await lockLines(
      tx,
      booksId,
      setId,
      writings.map((one) => one.account),
    ));
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
      : await tx.many('opening_line', kept.length, () =>
          tx.query<{ account: AccountId; revision: number }>(
            `insert into opening_line (books_id, set_id, account_id, amount, source, paper_id, why, set_by, set_at)
           select $1, $2, account, amount, source, paper, why, $8, $9
           from unnest($3::text::int[], $4::text::int8[], $5::text::text[], $6::text::int[], $7::text::text[]) as t (account, amount, source, paper, why)
           on conflict (set_id, account_id) do update set amount = excluded.amount, source = excluded.source,
             paper_id = excluded.paper_id, why = excluded.why, set_by = excluded.set_by, set_at = excluded.set_at, revision = nextval('opening_revision')::int
           returning account_id as account, revision`,
            [
              booksId,
              setId,
              arrayText(kept.map((one) => one.account)),
              arrayText(kept.map((one) => one.amount)),
              arrayText(kept.map((one) => one.source)),
              arrayText(kept.map((one) => one.paper ?? null)),
              arrayText(kept.map((one) => one.why ?? null)),
              person,
              at,
            ],
          ),
        );
  const changed = writings.map(({ account, amount, source, paper = null, why = null, parts }) => {
    const was = stand.get(account);
    const is: Figure | null =
      amount === null
        ? null
        : { amount, source, paper, why, parts: parts ?? partsUnder(was?.parts ?? [], amount, was?.own ?? null) };
    return { account, was: was ?? null, is };
  });
  await writeParts(
    tx,
    booksId,
    setId,
    changed.flatMap(({ account, was, is }) =>
      sameParts(was?.parts ?? [], is?.parts ?? []) ? [] : [{ account, parts: is?.parts ?? [] }],
    ),
  );
  return {
    revisions: new Map(rows.map((row) => [row.account, row.revision])),
    changes: changed.map(({ account, was, is }) => ({
      subject: 'figure',
      id: account,
      field: String(setId),
      from: keptFigure(was),
      to: keptFigure(is),
    })),
  };
};

/** A change of a figure, told. */
export interface FigureChange {
  readonly from: Figure | null;
  readonly to: Figure | null;
  /** The name of the paper that it came from. */
  readonly paper: string | null;
  /** Null for a correction that was discarded. */
  readonly version: number | null;
  readonly by: string;
  readonly at: string;
}

/** Everything that happened to an account's figure, newest first. */
export const figureChanges = async (
  tx: Queryable,
  booksId: BooksId,
  account: number,
  most = 50,
): Promise<readonly FigureChange[]> =>
  (
    await tx.query<Omit<FigureChange, 'from' | 'to'> & Pick<Change, 'from' | 'to'>>(
      `select c.was as "from", c.is_now as "to", f.name as paper, s.version, p.name as by, b.at
       from change c join batch b on b.id = c.batch join person p on p.id = b.by_person
         left join opening_set s on s.books_id = c.books_id and s.id = c.field::int
         left join paper f on f.books_id = c.books_id and f.id = (c.is_now ->> 'paper')::int
       where c.books_id = $1 and c.subject = 'figure' and c.subject_id = $2 order by c.seq desc limit $3`,
      [booksId, account, most],
    )
  ).map(({ from, to, ...rest }) => ({ ...rest, from: figureFrom(from), to: figureFrom(to) }));

/** The figures that accounts had at some time in this version, newest first: what an undo or redo may give back. */
export const figuresOnce = async (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
  accounts: readonly AccountId[],
): Promise<ReadonlyMap<AccountId, readonly Figure[]>> => {
  if (accounts.length === 0) return new Map();
  const rows = await tx.query<Pick<Change, 'from' | 'to'> & { account: AccountId }>(
    `select subject_id as account, was as "from", is_now as "to" from change
     where books_id = $1 and subject = 'figure' and subject_id = any($3::int[]) and field = $2 order by seq desc`,
    [booksId, String(setId), accounts],
  );
  const found = new Map<AccountId, Figure[]>();
  for (const { account, from, to } of rows) {
    const own = found.get(account) ?? [];
    found.set(account, own);
    for (const kept of [to, from]) {
      const figure = figureFrom(kept);
      if (figure !== null) own.push(figure);
    }
  }
  return found;
};

/** The parts in foreign currencies of the figures that count now, for several sets of books at once. */
export const currentParts = async (
  tx: Queryable,
  booksIds: readonly number[],
): Promise<ReadonlyMap<number, ReadonlyMap<AccountId, readonly Part[]>>> => {
  const rows = await longRows<Part & { books: number; account: AccountId }>(
    tx,
    { books: 'json', account: 'json', currency: 'json', amount: 'int8', base: 'int8' },
    `select p.books_id as books, p.account_id as account, p.currency, p.amount, p.base from opening_part p
     join (select distinct on (books_id) id from opening_set where books_id = any($1::int[]) order by books_id, version desc) s on s.id = p.set_id
     order by p.account_id, p.currency`,
    [booksIds],
  );
  const found = new Map<number, Map<AccountId, Part[]>>();
  for (const { books, account, ...part } of rows) {
    const own = found.get(books) ?? new Map<AccountId, Part[]>();
    found.set(books, own);
    addTo(own, account, part);
  }
  return found;
};

/** The currencies in which figures of the sets that count now have parts, with how many, for several sets of books at once. */
export const currenciesInUse = async (
  tx: Queryable,
  booksIds: readonly number[],
): Promise<ReadonlyMap<number, ReadonlyMap<Currency, number>>> => {
  const rows = await tx.query<{ books: number; currency: Currency; figures: number }>(
    `select p.books_id as books, p.currency, count(*)::int as figures from opening_part p
     join (select distinct on (books_id) id from opening_set where books_id = any($1::int[]) order by books_id, version desc) s on s.id = p.set_id
     group by p.books_id, p.currency order by p.books_id, p.currency`,
    [booksIds],
  );
  const found = new Map<number, Map<Currency, number>>();
  for (const { books, currency, figures } of rows)
    found.set(books, (found.get(books) ?? new Map<Currency, number>()).set(currency, figures));
  return found;
};

/** The draft becomes the posted set, the posted one before it is superseded. False when the draft was posted meanwhile. */
export const markPosted = async (tx: Queryable, booksId: BooksId, setId: number): Promise<boolean> => {
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
export const deleteDraft = async (tx: Queryable, booksId: BooksId, setId: number): Promise<void> => {
  await tx.query(`delete from opening_set where books_id = $1 and id = $2 and state = 'draft'`, [booksId, setId]);
};
