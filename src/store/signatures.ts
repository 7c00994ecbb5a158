import type { BooksId, PersonId } from '@/core/base/ids';
import type { ReviewState, Signature } from '@/core/access/review';
import type { Queryable } from './database';

/** The signatures of a version, the newest first. */
export const signaturesOf = (tx: Queryable, booksId: BooksId, set: number): Promise<readonly Signature[]> =>
  tx.query<Signature>(
    `select s.signed_by as person, p.name as by, s.signed_at as at, s.revision, s.note from signature s
     join person p on p.id = s.signed_by where s.books_id = $1 and s.set_id = $2 order by s.id desc`,
    [booksId, set],
  );

export const sign = async (
  tx: Queryable,
  booksId: BooksId,
  set: number,
  revision: bigint,
  note: string,
  person: PersonId,
  at: string,
): Promise<void> => {
  await tx.query(
    'insert into signature (books_id, set_id, revision, note, signed_by, signed_at) values ($1, $2, $3, $4, $5, $6)',
    [booksId, set, revision, note, person, at],
  );
};

/** Who changed last what is posted or stands behind it; looking at it and explaining a difference is no preparing. */
export const preparedBy = async (tx: Queryable, booksId: BooksId): Promise<ReviewState['prepared']> =>
  (
    await tx.query<{ person: number; by: string }>(
      `select b.by_person as person, p.name as by from batch b join person p on p.id = b.by_person
       where b.books_id = $1 and exists (
         select from change c where c.books_id = b.books_id and c.batch = b.id and c.subject not in ('looked', 'tie'))
       order by b.seq desc limit 1`,
      [booksId],
    )
  )[0] ?? null;
