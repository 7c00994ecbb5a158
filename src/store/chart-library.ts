import type { BooksId, PersonId } from '@/core/base/ids';
import type { ChartMapping } from '@/core/chart/chart-file';
import type { Queryable } from './database';

/** What a practice keeps for the charts of its next clients, and what was decided about advice. */
export interface StoredTemplate {
  readonly id: number;
  readonly name: string;
  /** As it was stored; to be checked before it is used. */
  readonly content: unknown;
  readonly by: string;
  readonly at: string;
}

export const templatesOf = (tx: Queryable, practice: number): Promise<readonly StoredTemplate[]> =>
  tx.query<StoredTemplate>(
    `select t.id, t.name, t.content, p.name as by, t.made_at as at from chart_template t join person p on p.id = t.made_by
     where t.practice_id = $1 order by t.name`,
    [practice],
  );

/** A template of the same name is replaced, also one that is stored at the same moment. */
export const putTemplate = async (
  tx: Queryable,
  practice: number,
  name: string,
  content: object,
  person: PersonId,
  at: string,
): Promise<void> => {
  await tx.query(
    `insert into chart_template (practice_id, name, content, made_by, made_at) values ($1, $2, $3, $4, $5)
     on conflict (practice_id, lower(name)) do update set name = excluded.name, content = excluded.content,
       made_by = excluded.made_by, made_at = excluded.made_at`,
    [practice, name, JSON.stringify(content), person, at],
  );
};

export const deleteTemplate = async (tx: Queryable, practice: number, id: number): Promise<void> => {
  await tx.query('delete from chart_template where practice_id = $1 and id = $2', [practice, id]);
};

/** How files with this header were last read in this practice, as it was stored. */
export const findMapping = async (tx: Queryable, practice: number, signature: string): Promise<unknown> =>
  (
    await tx.query<{ mapping: unknown }>(
      'select mapping from chart_mapping where practice_id = $1 and signature = $2',
      [practice, signature],
    )
  )[0]?.mapping;

export const putMapping = async (
  tx: Queryable,
  practice: number,
  signature: string,
  mapping: ChartMapping,
): Promise<void> => {
  await tx.query(
    `insert into chart_mapping (practice_id, signature, mapping) values ($1, $2, $3)
     on conflict (practice_id, signature) do update set mapping = excluded.mapping`,
    [practice, signature, JSON.stringify(mapping)],
  );
};

export interface Dismissal {
  readonly key: string;
  readonly reason: string;
  readonly by: string;
  readonly at: string;
}

export const dismissalsOf = (tx: Queryable, booksId: BooksId): Promise<readonly Dismissal[]> =>
  tx.query<Dismissal>(
    'select d.key, d.reason, p.name as by, d.at from advice_dismissed d join person p on p.id = d.by_person where d.books_id = $1',
    [booksId],
  );

export const putDismissals = async (
  tx: Queryable,
  booksId: BooksId,
  keys: readonly string[],
  reason: string,
  person: PersonId,
  at: string,
): Promise<void> => {
  await tx.query(
    `insert into advice_dismissed (books_id, key, reason, by_person, at) select $1, key, $3, $4, $5 from unnest($2::text[]) as t (key)
     on conflict (books_id, key) do update set reason = excluded.reason, by_person = excluded.by_person, at = excluded.at`,
    [booksId, keys, reason, person, at],
  );
};

export const deleteDismissals = async (tx: Queryable, booksId: BooksId, keys: readonly string[]): Promise<void> => {
  await tx.query('delete from advice_dismissed where books_id = $1 and key = any($2::text[])', [booksId, keys]);
};
