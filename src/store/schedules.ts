import type { BooksId, PersonId } from '@/core/base/ids';
import { addTo } from '@/core/base/lists';
import { type Change, WHOLE } from '@/core/base/change';
import type { AccountId } from '@/core/chart/account';
import type { Minor } from '@/core/money/minor';
import { keptAmount } from '@/core/money/wire';
import { type Item, type ItemFields, keptItem } from '@/core/schedules/item';
import { DATED_LATER, THING_ITEMS } from '@/core/schedules/kinds';
import { PRICE_FIELDS, type PriceField } from '@/core/schedules/things/prices';
import type { Closing, Looked, Supported } from '@/core/schedules/tie-out';
import { type Queryable, arrayText } from './database';
import { longRows } from './long-rows';
import { numbersOf } from './fresh-ids';
import { copyItemEvidence, detachFromItems } from './evidence';

const ITEM = `id, account_id as account, kind, contact_id as contact, number, reference, order_no as "order", doc_date as date,
  due_date as due, currency, original, open, base, note, detail, beside, beside_account_id as "besideAccount", paper_id as paper, paper_row as row, revision`;

const ITEM_COLUMNS = {
  id: 'json', account: 'json', kind: 'json', contact: 'json', number: 'json', reference: 'json', order: 'json', date: 'json',
  due: 'json', currency: 'json', original: 'int8', open: 'int8', base: 'int8', note: 'json', detail: 'json', beside: 'int8',
  besideAccount: 'json', paper: 'json', row: 'json', revision: 'json',
} as const; // prettier-ignore

/** The items of a version, of one account or of all, in the order in which they were entered. */
export const itemsOf = (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
  account?: AccountId,
): Promise<readonly Item[]> =>
  longRows<Item>(
    tx,
    ITEM_COLUMNS,
    `select ${ITEM} from schedule_item where books_id = $1 and set_id = $2 and ($3::int is null or account_id = $3) order by id`,
    [booksId, setId, account ?? null],
  );

/** How many prices articles of any version have on each price level, by its place from nil; levels without any are left out. */
export const pricesInUse = async (tx: Queryable, booksId: BooksId): Promise<ReadonlyMap<number, number>> =>
  new Map(
    (
      await tx.query<{ field: string; prices: number }>(
        `select field, count(*)::int as prices from schedule_item i, jsonb_object_keys(i.detail) as field
         where i.books_id = $1 and field = any($2::text[]) group by field`,
        [booksId, [...PRICE_FIELDS]],
      )
    ).map(({ field, prices }) => [PRICE_FIELDS.indexOf(field as PriceField), prices]),
  );

/** Some items of a version, held against other writers. */
export const lockItems = async (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
  ids: readonly number[],
): Promise<ReadonlyMap<number, Item>> =>
  new Map(
    (
      await tx.query<Item>(
        `select ${ITEM} from schedule_item where books_id = $1 and set_id = $2 and id = any($3::int[]) for update`,
        [booksId, setId, ids],
      )
    ).map((item) => [item.id, item]),
  );

/** The accounts of a version with items that came from a paper, or that a paper is attached to. */
export const accountsWithPapers = async (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
): Promise<readonly AccountId[]> =>
  (
    await tx.query<{ account: AccountId }>(
      `select distinct i.account_id as account from schedule_item i where i.books_id = $1 and i.set_id = $2
         and (i.paper_id is not null or exists (select from evidence e where e.books_id = $1 and e.item_id = i.id))`,
      [booksId, setId],
    )
  ).map(({ account }) => account);

/** Where the second amounts of the items of each account stand, by the account that they are listed on. */
export const besideAccountsOf = async (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
): Promise<ReadonlyMap<AccountId, AccountId>> =>
  new Map(
    (
      await tx.query<{ account: AccountId; beside: AccountId }>(
        `select distinct on (account_id) account_id as account, beside_account_id as beside from schedule_item
         where books_id = $1 and set_id = $2 and beside_account_id is not null order by account_id, id`,
        [booksId, setId],
      )
    ).map(({ account, beside }) => [account, beside]),
  );

/** What items of other accounts make up of one, by the account that they are listed on. */
export const besideOf = (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
  account: AccountId,
): Promise<readonly (Supported & { readonly account: AccountId })[]> =>
  tx.query<Supported & { account: AccountId }>(
    `select account_id as account, currency, count(*)::int as items, sum(beside)::int8 as open, 0::int8 as given, 0::int8 as "givenBase"
     from schedule_item where books_id = $1 and set_id = $2 and beside_account_id = $3 and beside <> 0
     group by account_id, currency order by account_id, currency`,
    [booksId, setId, account],
  );

/** Which of these are items of the books, in any version. */
export const itemsAmong = async (
  tx: Queryable,
  booksId: BooksId,
  ids: readonly number[],
): Promise<ReadonlySet<number>> =>
  new Set(
    (
      await tx.query<{ id: number }>('select id from schedule_item where books_id = $1 and id = any($2::int[])', [
        booksId,
        ids,
      ])
    ).map(({ id }) => id),
  );

/** What becomes of an item: null deletes it; one without an id is new; one with an id that is not there comes back under it. */
export interface ItemWriting {
  readonly id: number | null;
  readonly item: (ItemFields & Pick<Item, 'account' | 'paper' | 'row'>) | null;
}

const columnsOf = (items: readonly (ItemFields & Pick<Item, 'account' | 'paper' | 'row'>)[]): readonly unknown[] => [
  arrayText(items.map((one) => one.account)),
  arrayText(items.map((one) => one.kind)),
  arrayText(items.map((one) => one.contact)),
  arrayText(items.map((one) => one.number)),
  arrayText(items.map((one) => one.reference)),
  arrayText(items.map((one) => one.order)),
  arrayText(items.map((one) => one.date)),
  arrayText(items.map((one) => one.due)),
  arrayText(items.map((one) => one.currency)),
  arrayText(items.map((one) => one.original)),
  arrayText(items.map((one) => one.open)),
  arrayText(items.map((one) => one.base)),
  arrayText(items.map((one) => one.note)),
  arrayText(items.map((one) => JSON.stringify(one.detail))),
  arrayText(items.map((one) => one.beside)),
  arrayText(items.map((one) => (one.besideAccount === one.account ? null : one.besideAccount))),
  arrayText(items.map((one) => one.paper)),
  arrayText(items.map((one) => one.row)),
];
const NAMES =
  'account_id, kind, contact_id, number, reference, order_no, doc_date, due_date, currency, original, open, base, note, detail, beside, beside_account_id, paper_id, paper_row';
const ARRAYS =
  '$5::text::int[], $6::text::int[], $7::text::text[], $8::text::int[], $9::text::text[], $10::text::text[], $11::text::text[], $12::text::date[], $13::text::date[], $14::text::text[], $15::text::int8[], $16::text::int8[], $17::text::int8[], $18::text::text[], $19::text::jsonb[], $20::text::int8[], $21::text::int[], $22::text::int[], $23::text::int[]';

/**
 * Writes items in a few statements, whatever their number. `stands` are those of the ids given that are there. Gives per writing the
 * id and revision that the item has now (null where it is gone), and what changed, for the record.
 */
export const writeItems = async (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
  writings: readonly ItemWriting[],
  stands: ReadonlyMap<number, Item>,
  person: PersonId,
  at: string,
): Promise<{
  readonly written: readonly ({ readonly id: number; readonly revision: number } | null)[];
  readonly changes: readonly Change[];
}> => {
  const gone = writings.flatMap(({ id, item }) => (id !== null && item === null && stands.has(id) ? [id] : []));
  const detached = await detachFromItems(tx, booksId, gone);
  if (gone.length > 0)
    await tx.query('delete from schedule_item where books_id = $1 and set_id = $2 and id = any($3::int[])', [
      booksId,
      setId,
      gone,
    ]);
  const ids = await numbersOf(
    tx,
    'schedule_item',
    writings.map(({ id, item }) => ({ id, goes: item === null })),
  );
  const rows = writings.flatMap(({ item }, place) => (item === null ? [] : [{ id: ids[place] ?? 0, item }]));
  const revisions = new Map<number, number>();
  if (rows.length > 0) {
    const written = await tx.many('schedule_item', rows.length, () =>
      tx.query<{ id: number; revision: number }>(
        `insert into schedule_item (books_id, set_id, set_by, set_at, id, ${NAMES})
       select $1, $2, $3, $4::timestamptz, t.* from unnest(${ARRAYS}) as t
       on conflict (id) do update set ${NAMES.split(', ')
         .map((name) => `${name} = excluded.${name}`)
         .join(', ')}, set_by = excluded.set_by, set_at = excluded.set_at, revision = nextval('schedule_revision')::int
       where schedule_item.books_id = excluded.books_id and schedule_item.set_id = excluded.set_id
       returning id, revision`,
        [booksId, setId, person, at, arrayText(rows.map(({ id }) => id)), ...columnsOf(rows.map(({ item }) => item))],
      ),
    );
    for (const { id, revision } of written) revisions.set(id, revision);
  }
  return {
    written: ids.map((id) => (id === null ? null : { id, revision: revisions.get(id) ?? 0 })),
    changes: detached.concat(
      writings.flatMap(({ id, item }, place): readonly Change[] => {
        const was = id === null ? undefined : stands.get(id);
        if (was === undefined && item === null) return [];
        return [
          {
            subject: 'item',
            id: ids[place] ?? id ?? 0,
            field: WHOLE,
            from: was === undefined ? null : keptItem(plain(was), setId),
            to: item === null ? null : keptItem(item, setId),
          },
        ];
      }),
    ),
  };
};

/** An item without what the database adds to it. */
const plain = ({ id: _, revision: __, ...item }: Item): Omit<Item, 'id' | 'revision'> => item;

/** A correction begins with the schedules of the version before it. */
export const copySchedules = async (tx: Queryable, booksId: BooksId, from: number, to: number): Promise<void> => {
  await tx.query(
    `insert into schedule_item (books_id, set_id, ${NAMES}, set_by, set_at)
     select books_id, $3, ${NAMES}, set_by, set_at from schedule_item where books_id = $1 and set_id = $2 order by id`,
    [booksId, from, to],
  );
  await copyItemEvidence(tx, booksId, from, to);
  await tx.query(
    `insert into statement_closing (books_id, set_id, account_id, closing, amount, counted, set_by, set_at)
     select books_id, $3, account_id, closing, amount, counted, set_by, set_at from statement_closing where books_id = $1 and set_id = $2`,
    [booksId, from, to],
  );
  await tx.query(
    `insert into tie_explained (books_id, set_id, account_id, difference, reason, set_by, set_at)
     select books_id, $3, account_id, difference, reason, set_by, set_at from tie_explained where books_id = $1 and set_id = $2`,
    [booksId, from, to],
  );
};

/** What stands behind the accounts of books in the version that counts now. */
export interface Behind {
  readonly supported: ReadonlyMap<AccountId, readonly Supported[]>;
  readonly closings: ReadonlyMap<AccountId, Closing>;
  readonly explained: ReadonlyMap<AccountId, { readonly difference: Minor; readonly reason: string }>;
  /** Items of after the opening date, by account: they belong to the new books. */
  readonly later: ReadonlyMap<AccountId, number>;
  readonly looked: ReadonlyMap<AccountId, Looked>;
  /** Below which balance, in the account's currency, somebody wants to be told. */
  readonly alerts: ReadonlyMap<AccountId, Minor>;
  /** Items that are there twice: the same document of the same contact, or the same row of the same paper. */
  readonly twice: ReadonlyMap<AccountId, number>;
  /** The items of schedules of things, by account, for what is worked out about them; null where there are more than are asked about. */
  readonly things: ReadonlyMap<AccountId, readonly Item[]> | null;
}

/** Of more things than these only their own page works out what they should be. */
const MOST_ASKED = 500;

export const NOTHING_BEHIND: Behind = {
  supported: new Map(),
  closings: new Map(),
  explained: new Map(),
  later: new Map(),
  looked: new Map(),
  alerts: new Map(),
  twice: new Map(),
  things: new Map(),
};

/** The sums of the items, the statements and the explanations of many books, from a few queries, and the things of those that have not many. */
export const behindOf = async (tx: Queryable, ids: readonly BooksId[]): Promise<ReadonlyMap<number, Behind>> => {
  // The versions that count now, looked up once: with their ids the plans of what follows are plain ones.
  const sets = (
    await tx.query<{ id: number }>(
      'select distinct on (books_id) id from opening_set where books_id = any($1::int[]) order by books_id, version desc',
      [ids],
    )
  ).map(({ id }) => id);
  const sums = await tx.query<Supported & { books: number; account: AccountId; later: number; things: number }>(
    `select x.books_id as books, x.account_id as account, x.currency, count(*)::int as items, sum(x.open)::int8 as open,
            coalesce(sum(x.open) filter (where x.base is not null), 0)::int8 as given,
            coalesce(sum(x.base), 0)::int8 as "givenBase",
            (count(*) filter (where x.doc_date >= b.cutover_date and x.kind <> all($3::text[])))::int as later,
            (count(*) filter (where x.kind = any($4::text[])))::int as things
     from (
       select books_id, account_id, currency, open + case when beside_account_id is null then coalesce(beside, 0) else 0 end as open, base, doc_date, kind
         from schedule_item where books_id = any($1::int[]) and set_id = any($2::int[])
       union all select books_id, beside_account_id, currency, beside, null, null, kind
         from schedule_item where books_id = any($1::int[]) and set_id = any($2::int[]) and beside_account_id is not null and beside <> 0) x
     join books b on b.id = x.books_id
     group by x.books_id, x.account_id, x.currency order by x.account_id, x.currency`,
    [ids, sets, DATED_LATER, THING_ITEMS],
  );
  const thingsIn = new Map<number, number>();
  for (const { books, things } of sums) thingsIn.set(books, (thingsIn.get(books) ?? 0) + things);
  const asking = [...thingsIn].flatMap(([books, things]) => (things > 0 && things <= MOST_ASKED ? [books] : []));
  const things =
    asking.length === 0
      ? []
      : await longRows<Item & { books: number }>(
          tx,
          { books: 'json', ...ITEM_COLUMNS },
          `select books_id as books, ${ITEM} from schedule_item
           where books_id = any($1::int[]) and set_id = any($2::int[]) and kind = any($3::text[]) order by id`,
          [asking, sets, THING_ITEMS],
        );
  const closings = await tx.query<Closing & { books: number; account: AccountId }>(
    `select x.books_id as books, x.account_id as account, x.closing as date, x.amount, x.counted from statement_closing x where x.books_id = any($1::int[]) and x.set_id = any($2::int[])`,
    [ids, sets],
  );
  const explained = await tx.query<{ books: number; account: AccountId; difference: Minor; reason: string }>(
    `select x.books_id as books, x.account_id as account, x.difference, x.reason from tie_explained x where x.books_id = any($1::int[]) and x.set_id = any($2::int[])`,
    [ids, sets],
  );
  const looked = await tx.query<Looked & { books: number; account: AccountId }>(
    `select x.books_id as books, x.account_id as account, x.figure, x.support, p.name as by, x.set_at as at
     from tie_looked x join person p on p.id = x.set_by where x.books_id = any($1::int[]) and x.set_id = any($2::int[])`,
    [ids, sets],
  );
  const alerts = await tx.query<{ books: number; account: AccountId; below: Minor }>(
    'select books_id as books, account_id as account, alert_below as below from bank_detail where alert_below is not null and books_id = any($1::int[])',
    [ids],
  );
  const twice = await tx.query<{ books: number; account: AccountId; items: number }>(
    `select books, account, sum(items - 1)::int as items from (
       select x.books_id as books, min(x.account_id) as account, count(*) as items from schedule_item x where x.books_id = any($1::int[]) and x.set_id = any($2::int[])
         and (x.number <> '' or x.reference <> '') group by x.books_id, x.contact_id, x.kind, lower(x.number), lower(x.reference) having count(*) > 1
       -- Only a paper that several accounts have items of can have a row that is there twice; what is twice by its number is counted above.
       union all select x.books_id, min(x.account_id), count(*) from schedule_item x where x.books_id = any($1::int[]) and x.set_id = any($2::int[])
         and x.paper_id in (select p.paper_id from schedule_item p where p.books_id = any($1::int[]) and p.set_id = any($2::int[])
           and p.paper_id is not null group by p.paper_id having min(p.account_id) <> max(p.account_id))
         group by x.books_id, x.paper_id, x.paper_row having min(x.account_id) <> max(x.account_id)
           and (max(x.number || x.reference) = '' or count(distinct (x.contact_id, x.kind)) > 1)) t
     group by books, account`,
    [ids, sets],
  );
  interface Gathered {
    readonly supported: Map<AccountId, Supported[]>;
    readonly closings: Map<AccountId, Closing>;
    readonly explained: Map<AccountId, { readonly difference: Minor; readonly reason: string }>;
    readonly later: Map<AccountId, number>;
    readonly looked: Map<AccountId, Looked>;
    readonly alerts: Map<AccountId, Minor>;
    readonly twice: Map<AccountId, number>;
    readonly things: Map<AccountId, Item[]> | null;
  }
  const found = new Map<number, Gathered>();
  const of = (books: number): Gathered => {
    const known = found.get(books);
    if (known !== undefined) return known;
    const made: Gathered = {
      supported: new Map(),
      closings: new Map(),
      explained: new Map(),
      later: new Map(),
      looked: new Map(),
      alerts: new Map(),
      twice: new Map(),
      things: (thingsIn.get(books) ?? 0) > MOST_ASKED ? null : new Map(),
    };
    found.set(books, made);
    return made;
  };
  for (const { books, account, later, things: _, ...sum } of sums) {
    addTo(of(books).supported, account, sum);
    if (later > 0) of(books).later.set(account, later + (of(books).later.get(account) ?? 0));
  }
  for (const { books, account, ...closing } of closings) of(books).closings.set(account, closing);
  for (const { books, account, ...why } of explained) of(books).explained.set(account, why);
  for (const { books, account, ...who } of looked) of(books).looked.set(account, who);
  for (const { books, account, below } of alerts) of(books).alerts.set(account, below);
  for (const { books, account, items } of twice) of(books).twice.set(account, items);
  for (const { books, ...item } of things) addTo(of(books).things ?? new Map<AccountId, Item[]>(), item.account, item);
  return found;
};

/** What stands behind the accounts of one set of books. */
export const behindBooks = async (tx: Queryable, id: BooksId): Promise<Behind> =>
  (await behindOf(tx, [id])).get(id) ?? NOTHING_BEHIND;

/** Puts a statement's closing balance in the place of the one that stands; null takes it away. */
export const putClosing = async (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
  account: AccountId,
  was: Closing | undefined,
  closing: Closing | null,
  person: PersonId,
  at: string,
): Promise<readonly Change[]> => {
  await tx.query('delete from statement_closing where books_id = $1 and set_id = $2 and account_id = $3', [
    booksId,
    setId,
    account,
  ]);
  if (closing !== null)
    await tx.query(
      `insert into statement_closing (books_id, set_id, account_id, closing, amount, counted, set_by, set_at) values ($1, $2, $3, $4, $5, $6::jsonb, $7, $8)`,
      [
        booksId,
        setId,
        account,
        closing.date,
        String(closing.amount),
        closing.counted == null ? null : JSON.stringify(closing.counted),
        person,
        at,
      ],
    );
  const kept = (one: Closing | null | undefined) =>
    one === null || one === undefined
      ? null
      : { date: one.date, amount: keptAmount(one.amount), counted: one.counted ?? null };
  return [{ subject: 'statement', id: account, field: String(setId), from: kept(was), to: kept(closing) }];
};

/** Puts why a difference stands in the place of what was said; null takes it back. */
export const putExplained = async (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
  account: AccountId,
  was: { readonly difference: Minor; readonly reason: string } | undefined,
  explained: { readonly difference: Minor; readonly reason: string } | null,
  person: PersonId,
  at: string,
): Promise<readonly Change[]> => {
  await tx.query('delete from tie_explained where books_id = $1 and set_id = $2 and account_id = $3', [
    booksId,
    setId,
    account,
  ]);
  if (explained !== null)
    await tx.query(
      `insert into tie_explained (books_id, set_id, account_id, difference, reason, set_by, set_at) values ($1, $2, $3, $4, $5, $6, $7)`,
      [booksId, setId, account, String(explained.difference), explained.reason, person, at],
    );
  const kept = (one: typeof explained | undefined) =>
    one === null || one === undefined ? null : { difference: keptAmount(one.difference), reason: one.reason };
  return [{ subject: 'tie', id: account, field: String(setId), from: kept(was), to: kept(explained) }];
};

/** Keeps that somebody looked at a figure and at what stands behind it; null forgets it. */
export const putLooked = async (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
  account: AccountId,
  was: Looked | undefined,
  looked: Pick<Looked, 'figure' | 'support'> | null,
  person: PersonId,
  at: string,
): Promise<readonly Change[]> => {
  await tx.query('delete from tie_looked where books_id = $1 and set_id = $2 and account_id = $3', [
    booksId,
    setId,
    account,
  ]);
  if (looked !== null)
    await tx.query(
      'insert into tie_looked (books_id, set_id, account_id, figure, support, set_by, set_at) values ($1, $2, $3, $4, $5, $6, $7)',
      [
        booksId,
        setId,
        account,
        String(looked.figure),
        looked.support === null ? null : String(looked.support),
        person,
        at,
      ],
    );
  const kept = (one: Pick<Looked, 'figure' | 'support'> | null | undefined) =>
    one === null || one === undefined ? null : { figure: keptAmount(one.figure), support: keptAmount(one.support) };
  return [{ subject: 'looked', id: account, field: String(setId), from: kept(was), to: kept(looked) }];
};

/** Items of the draft of one account go to another, as a merge moves them, and the contacts that belong to it. */
export const moveItems = async (tx: Queryable, booksId: BooksId, from: AccountId, into: AccountId): Promise<void> => {
  await tx.query(
    `update schedule_item i set account_id = $3, beside_account_id = nullif(i.beside_account_id, $3), revision = nextval('schedule_revision')::int
     from opening_set s where i.books_id = $1 and i.account_id = $2 and s.id = i.set_id and s.state = 'draft'`,
    [booksId, from, into],
  );
  // What is a second amount of the account becomes one of the other's; where that is the item's own account, it counts there.
  await tx.query(
    `update schedule_item i set beside_account_id = nullif($3, i.account_id), revision = nextval('schedule_revision')::int
     from opening_set s where i.books_id = $1 and i.beside_account_id = $2 and s.id = i.set_id and s.state = 'draft'`,
    [booksId, from, into],
  );
  await tx.query('update contact set account_id = $3 where books_id = $1 and account_id = $2', [booksId, from, into]);
  for (const place of ['statement_closing', 'tie_explained', 'tie_looked'])
    await tx.query(
      `delete from ${place} x using opening_set s where x.books_id = $1 and x.account_id = $2 and s.id = x.set_id and s.state = 'draft'`,
      [booksId, from],
    );
};
