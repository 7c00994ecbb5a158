import type { BooksId, PaperId, PersonId } from '@/core/base/ids';
import { type Change, WHOLE } from '@/core/base/change';
import type { AccountId } from '@/core/chart/account';
import {
  type AttachedPaper,
  type Evidence,
  type EvidenceOf,
  evidenceOf,
  keptEvidence,
} from '@/core/schedules/evidence';
import { type Queryable, arrayText } from './database';

const COLUMNS = { account: 'account_id', item: 'item_id', contact: 'contact_id', check: 'check_id' } as const;

type Row = Omit<AttachedPaper, 'to'> & {
  readonly account: number | null;
  readonly item: number | null;
  readonly contact: number | null;
  readonly checked: string | null;
};

const targetOf = ({ account, item, contact, checked }: Row): EvidenceOf =>
  account !== null
    ? evidenceOf('account', account)
    : item !== null
      ? evidenceOf('item', item)
      : contact !== null
        ? evidenceOf('contact', contact)
        : evidenceOf('check', checked ?? '');

const found = async (tx: Queryable, where: string, parameters: readonly unknown[]): Promise<readonly AttachedPaper[]> =>
  (
    await tx.query<Row>(
      `select e.id, e.paper_id as paper, f.name, p.name as by, e.set_at as at, e.account_id as account, e.item_id as item,
              e.contact_id as contact, e.check_id as checked
       from evidence e join paper f on f.books_id = e.books_id and f.id = e.paper_id join person p on p.id = e.set_by
       where e.books_id = $1 and ${where} order by e.id`,
      parameters,
    )
  ).map((row) => {
    const { account: _, item: __, contact: ___, checked: ____, ...rest } = row;
    return { ...rest, to: targetOf(row) };
  });

/** All that is attached to things of one kind. */
export const evidenceOn = (tx: Queryable, booksId: BooksId, of: EvidenceOf['of']): Promise<readonly AttachedPaper[]> =>
  found(tx, `e.${COLUMNS[of]} is not null`, [booksId]);

/** What is attached to one thing. */
export const evidenceTo = (
  tx: Queryable,
  booksId: BooksId,
  { of, id }: EvidenceOf,
): Promise<readonly AttachedPaper[]> => found(tx, `e.${COLUMNS[of]} = $2`, [booksId, id]);

/** What is attached to the items of an account in a version. */
export const evidenceToItems = (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
  account?: AccountId,
): Promise<readonly AttachedPaper[]> =>
  found(
    tx,
    `e.item_id in (select id from schedule_item where books_id = $1 and set_id = $2 and ($3::int is null or account_id = $3))`,
    [booksId, setId, account ?? null],
  );

/** To what a paper is attached. */
export const evidenceWith = (tx: Queryable, booksId: BooksId, paper: PaperId): Promise<readonly AttachedPaper[]> =>
  found(tx, 'e.paper_id = $2', [booksId, paper]);

/** Attached papers by their numbers. */
export const evidenceAmong = (
  tx: Queryable,
  booksId: BooksId,
  ids: readonly number[],
): Promise<readonly AttachedPaper[]> => found(tx, 'e.id = any($2::int[])', [booksId, ids]);

/** Attaches a paper, under a number that it had before or a new one; undefined where it is attached there already. */
export const attachEvidence = async (
  tx: Queryable,
  booksId: BooksId,
  { id, paper, to }: Omit<Evidence, 'id'> & { readonly id: number | null },
  name: string,
  person: PersonId,
  at: string,
): Promise<(Change & { readonly id: number }) | undefined> => {
  const [made] = await tx.query<{ id: number }>(
    `insert into evidence (id, books_id, paper_id, ${COLUMNS[to.of]}, set_by, set_at)
     values (coalesce($1::int, nextval((select pg_get_serial_sequence('evidence', 'id')::regclass))::int), $2, $3, $4, $5, $6)
     on conflict do nothing returning id`,
    [id, booksId, paper, to.id, person, at],
  );
  return made === undefined
    ? undefined
    : { subject: 'evidence', id: made.id, field: WHOLE, from: null, to: keptEvidence({ paper, to }, name) };
};

/** Takes papers off what they are attached to; the papers stay. */
export const detachEvidence = async (
  tx: Queryable,
  booksId: BooksId,
  evidence: readonly AttachedPaper[],
): Promise<readonly Change[]> => {
  if (evidence.length === 0) return [];
  await tx.query('delete from evidence where books_id = $1 and id = any($2::int[])', [
    booksId,
    evidence.map(({ id }) => id),
  ]);
  return evidence.map((one): Change => ({
    subject: 'evidence',
    id: one.id,
    field: WHOLE,
    from: keptEvidence(one, one.name),
    to: null,
  }));
};

/** What is attached to some items goes off them before they go. */
export const detachFromItems = async (
  tx: Queryable,
  booksId: BooksId,
  items: readonly number[],
): Promise<readonly Change[]> =>
  items.length === 0
    ? []
    : detachEvidence(tx, booksId, await found(tx, 'e.item_id = any($2::text::int[])', [booksId, arrayText(items)]));

/** Papers attached to an account follow when it is merged into another; those that are there already stay once. */
export const moveEvidence = async (
  tx: Queryable,
  booksId: BooksId,
  from: AccountId,
  into: AccountId,
): Promise<void> => {
  await tx.query(
    `update evidence e set account_id = $3 where books_id = $1 and account_id = $2
       and not exists (select from evidence o where o.books_id = $1 and o.account_id = $3 and o.paper_id = e.paper_id)`,
    [booksId, from, into],
  );
  await tx.query('delete from evidence where books_id = $1 and account_id = $2', [booksId, from]);
};

/** A correction's items have the evidence of those that they were copied from, in their order. */
export const copyItemEvidence = async (tx: Queryable, booksId: BooksId, from: number, to: number): Promise<void> => {
  await tx.query(
    `insert into evidence (books_id, paper_id, item_id, set_by, set_at)
     select e.books_id, e.paper_id, n.id, e.set_by, e.set_at
     from (select id, row_number() over (order by id) as place from schedule_item where books_id = $1 and set_id = $2) o
     join (select id, row_number() over (order by id) as place from schedule_item where books_id = $1 and set_id = $3) n on n.place = o.place
     join evidence e on e.books_id = $1 and e.item_id = o.id`,
    [booksId, from, to],
  );
};
