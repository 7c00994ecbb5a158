import type { BooksId, PersonId } from '@/core/base/ids';
import type { StageId } from '@/core/proof/stage-ids';
import type { Queryable } from './database';

/** Whoever was not seen for so long has been away, and comes anew. */
const AWAY = `interval '30 minutes'`;
/** Whoever was seen within this is there: pages tell it every half minute. */
const THERE = `interval '75 seconds'`;

export interface Other {
  readonly name: string;
  readonly place: StageId | null;
}

/** Somebody has these books open at a place. */
export const beThere = async (
  tx: Queryable,
  practice: number,
  books: BooksId,
  person: PersonId,
  place: StageId | null,
  at: string,
): Promise<void> => {
  await tx.query(
    `insert into presence as p (practice_id, books_id, person_id, place, seen_at) values ($1, $2, $3, $4, $5)
     on conflict (books_id, person_id) do update set place = excluded.place, seen_at = excluded.seen_at,
       before_at = case when p.seen_at < excluded.seen_at - ${AWAY} then p.seen_at else p.before_at end`,
    [practice, books, person, place, at],
  );
};

/** Who else has these books open. */
export const othersIn = (tx: Queryable, books: BooksId, person: PersonId, at: string): Promise<readonly Other[]> =>
  tx.query<Other>(
    `select q.name, p.place from presence p join person q on q.id = p.person_id
     where p.books_id = $1 and p.person_id <> $2 and p.seen_at > $3::timestamptz - ${THERE} and q.active order by q.name`,
    [books, person, at],
  );

/** What others did in books since somebody had been there before: how often, and who. */
export interface SinceThen {
  readonly since: string;
  readonly changes: number;
  readonly by: readonly string[];
}

/** So many of the last changes are looked at. */
const MOST_LOOKED_AT = 500;

/** Undefined where nobody else changed anything, or where somebody was never there before. */
export const sinceLastThere = async (
  tx: Queryable,
  books: BooksId,
  person: PersonId,
  at: string,
): Promise<SinceThen | undefined> => {
  const [found] = await tx.query<SinceThen>(
    `with before as (
       select case when seen_at < $3::timestamptz - ${AWAY} then seen_at else before_at end as at
       from presence where books_id = $1 and person_id = $2),
     others as (
       select b.by_person from (select by_person, at from batch where books_id = $1 order by seq desc limit ${String(MOST_LOOKED_AT)}) b, before
       where b.at > before.at and b.by_person <> $2)
     select before.at as since, (select count(*)::int from others) as changes,
       (select array_agg(distinct p.name order by p.name) from person p where p.id in (select by_person from others)) as by
     from before where exists (select from others)`,
    [books, person, at],
  );
  return found;
};

/** Somebody has seen what others did. */
export const sawChanges = async (tx: Queryable, books: BooksId, person: PersonId): Promise<void> => {
  await tx.query('update presence set before_at = null where books_id = $1 and person_id = $2', [books, person]);
};
