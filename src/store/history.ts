import type { BooksId, PersonId } from '@/core/base/ids';
import type { Sentence } from '@/core/base/sentence';
import type { Queryable } from './database';

export type Subject = 'books' | 'calendar' | 'period' | 'account' | 'paper' | 'openings' | 'currencies';

export interface Happening {
  readonly subjectId: number;
  readonly what: Sentence;
  readonly by: string;
  readonly at: string;
}

const kept = (what: string | Sentence): string => JSON.stringify(typeof what === 'string' ? [what] : what);

/** Writes down what happened to one or several things of a kind. */
export const record = async (
  tx: Queryable,
  booksId: BooksId,
  subject: Subject,
  subjectIds: readonly number[],
  what: string | Sentence,
  person: PersonId,
  at: string,
): Promise<void> => {
  await tx.query(
    'insert into history (books_id, subject, subject_id, what, by_person, at) select $1, $2, id, $4, $5, $6 from unnest($3::int[]) as t (id)',
    [booksId, subject, subjectIds, kept(what), person, at],
  );
};

/** Writes down what happened to each of several things of a kind. */
export const recordEach = async (
  tx: Queryable,
  booksId: BooksId,
  subject: Subject,
  happened: readonly { readonly id: number; readonly what: string | Sentence }[],
  person: PersonId,
  at: string,
): Promise<void> => {
  await tx.query(
    `insert into history (books_id, subject, subject_id, what, by_person, at)
     select $1, $2, t.id, t.what, $5, $6 from unnest($3::int[], $4::jsonb[]) as t (id, what)`,
    [booksId, subject, happened.map(({ id }) => id), happened.map(({ what }) => kept(what)), person, at],
  );
};

/** What happened to things of a kind, newest first; of one thing when `subjectId` is given. */
export const happenings = async (
  tx: Queryable,
  booksId: BooksId,
  subject: Subject,
  subjectId?: number,
  most = 50,
): Promise<readonly Happening[]> =>
  tx.query<Happening>(
    `select h.subject_id as "subjectId", h.what, p.name as by, h.at
     from history h join person p on p.id = h.by_person
     where h.books_id = $1 and h.subject = $2 and ($3::int is null or h.subject_id = $3)
     order by h.id desc limit $4`,
    [booksId, subject, subjectId ?? null, most],
  );
