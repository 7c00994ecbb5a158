import type { PersonId } from '@/core/base/ids';
import type { AuditKind } from '@/core/access/audit';
import type { Queryable } from './database';

export interface Audited {
  readonly id: number;
  readonly at: string;
  /** Null where nobody was known. */
  readonly by: string | null;
  readonly kind: AuditKind;
  readonly books: string;
  readonly about: string;
}

/** Writes down what a practice has to be able to look up later; nothing of it is ever changed. */
export const audit = async (
  tx: Queryable,
  practice: number,
  person: PersonId | null,
  kind: AuditKind,
  about: string,
  at: string,
  books = '',
): Promise<void> => {
  await tx.query(
    'insert into audit (practice_id, person_id, kind, books_name, about, at) values ($1, $2, $3, $4, $5, $6)',
    [practice, person, kind, books, about.slice(0, 500), at],
  );
};

/** What was written down before a given one, the newest first. */
export const auditOf = (
  tx: Queryable,
  practice: number,
  before: number | null,
  kind: AuditKind | null,
  most: number,
): Promise<readonly Audited[]> =>
  tx.query<Audited>(
    `select a.id, a.at, p.name as by, a.kind, a.books_name as books, a.about from audit a left join person p on p.id = a.person_id
     where a.practice_id = $1 and ($2::int is null or a.id < $2) and ($3::text is null or a.kind = $3)
     order by a.id desc limit $4`,
    [practice, before, kind, most],
  );
