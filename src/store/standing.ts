import type { Standing } from '@/core/proof/standing';
import type { Queryable } from './database';

/** What was last made of a set of books for the board, and of which state of them. */
export interface KeptStanding {
  readonly books: number;
  readonly revision: bigint;
  readonly at: string;
  readonly standing: Standing;
}

export const standingsOf = async (tx: Queryable, practice: number): Promise<ReadonlyMap<number, KeptStanding>> =>
  new Map(
    (
      await tx.query<KeptStanding>(
        `select s.books_id as books, s.revision, s.at, s.outcome as standing
         from standing s join books b on b.id = s.books_id where b.practice_id = $1`,
        [practice],
      )
    ).map((one) => [one.books, one]),
  );

/** Keeps standings; one of a later state stays. */
export const keepStandings = async (
  tx: Queryable,
  practice: number,
  list: readonly Omit<KeptStanding, 'at'>[],
  at: string,
): Promise<void> => {
  await tx.query(
    `insert into standing (books_id, revision, outcome, at)
     select b.id, t.revision, t.outcome::jsonb, $2
     from unnest($3::int[], $4::int8[], $5::text[]) as t (books, revision, outcome)
     join books b on b.id = t.books and b.practice_id = $1
     on conflict (books_id) do update set revision = excluded.revision, outcome = excluded.outcome, at = excluded.at
     where standing.revision < excluded.revision`,
    [
      practice,
      at,
      list.map(({ books }) => books),
      list.map(({ revision }) => String(revision)),
      list.map(({ standing }) => JSON.stringify(standing)),
    ],
  );
};
