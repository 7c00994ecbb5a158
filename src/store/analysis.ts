import type { BooksId, PersonId } from '@/core/base/ids';
import { type Change, WHOLE } from '@/core/base/change';
import type { AccountId } from '@/core/chart/account';
import { type AnalysisCode, type AnalysisList, type CodeFields, keptCode } from '@/core/schedules/analysis';
import type { Supported } from '@/core/schedules/tie-out';
import { type Queryable, arrayText } from './database';
import { numbersOf } from './fresh-ids';

/** The analysis codes of the books, of one list or of all. */
export const codesOf = (tx: Queryable, booksId: BooksId): Promise<readonly AnalysisCode[]> =>
  tx.query<AnalysisCode>(
    `select id, list_no as list, code, name, from_day as "from", to_day as "to", active, revision
     from analysis_code where books_id = $1 order by list_no, code, id`,
    [booksId],
  );

/** How many codes each list has, by its place from nil; those without any are left out. */
export const listsInUse = async (tx: Queryable, booksId: BooksId): Promise<ReadonlyMap<number, number>> =>
  new Map(
    (
      await tx.query<{ place: number; codes: number }>(
        'select list_no - 1 as place, count(*)::int as codes from analysis_code where books_id = $1 group by list_no',
        [booksId],
      )
    ).map(({ place, codes }) => [place, codes]),
  );

/** Codes that items of any version bear: they stay. */
export const codesInUse = async (tx: Queryable, booksId: BooksId): Promise<ReadonlySet<number>> =>
  new Set(
    (
      await tx.query<{ id: number }>(
        [1, 2, 3]
          .map(
            (list) =>
              `select analysis_${String(list)} as id from schedule_item where books_id = $1 and analysis_${String(list)} is not null`,
          )
          .join(' union '),
        [booksId],
      )
    ).map(({ id }) => id),
  );

/** Which of these are codes of a list of the books, by their ids. */
export const codesAmong = async (
  tx: Queryable,
  booksId: BooksId,
  ids: readonly number[],
): Promise<ReadonlyMap<number, AnalysisList>> =>
  new Map(
    ids.length === 0
      ? []
      : (
          await tx.query<{ id: number; list: AnalysisList }>(
            'select id, list_no as list from analysis_code where books_id = $1 and id = any($2::int[])',
            [booksId, ids],
          )
        ).map(({ id, list }) => [id, list]),
  );

/** What the items of a version come to, by code, account and currency; second amounts count on the account that they are of. */
export const codeSums = (
  tx: Queryable,
  booksId: BooksId,
  setId: number,
  list: AnalysisList,
): Promise<readonly (Supported & { readonly code: number; readonly account: AccountId })[]> => {
  const code = `analysis_${String(list)}`;
  return tx.query<Supported & { code: number; account: AccountId }>(
    `select code, account, currency, count(*)::int as items, sum(open)::int8 as open,
       coalesce(sum(open) filter (where base is not null), 0)::int8 as given, coalesce(sum(base), 0)::int8 as "givenBase"
     from (
       select ${code} as code, account_id as account, currency, open, base from schedule_item
         where books_id = $1 and set_id = $2 and ${code} is not null and open <> 0
       union all
       select ${code}, coalesce(beside_account_id, account_id), currency, beside, null from schedule_item
         where books_id = $1 and set_id = $2 and ${code} is not null and beside <> 0
     ) as x group by code, account, currency order by code, account, currency`,
    [booksId, setId],
  );
};

/** What becomes of a code: null deletes it; one without an id is new; one with an id that is not there comes back under it. */
export interface CodeWriting {
  readonly id: number | null;
  readonly code: CodeFields | null;
}

/** Writes codes, as `writeContacts` writes contacts. */
export const writeCodes = async (
  tx: Queryable,
  booksId: BooksId,
  writings: readonly CodeWriting[],
  stands: ReadonlyMap<number, AnalysisCode>,
  person: PersonId,
  at: string,
): Promise<{
  readonly written: readonly ({ readonly id: number; readonly revision: number } | null)[];
  readonly changes: readonly Change[];
}> => {
  const gone = writings.flatMap(({ id, code }) => (id !== null && code === null && stands.has(id) ? [id] : []));
  if (gone.length > 0)
    await tx.query('delete from analysis_code where books_id = $1 and id = any($2::int[])', [booksId, gone]);
  // Codes that change hands are let go first, since they are unique.
  const kept = writings.flatMap(({ id, code }) => (id !== null && code !== null && stands.has(id) ? [id] : []));
  if (kept.length > 0)
    await tx.query(`update analysis_code set code = '#' || id where books_id = $1 and id = any($2::int[])`, [
      booksId,
      kept,
    ]);
  const ids = await numbersOf(
    tx,
    'analysis_code',
    writings.map(({ id, code }) => ({ id, goes: code === null })),
  );
  const rows = writings.flatMap(({ code }, place) => (code === null ? [] : [{ id: ids[place] ?? 0, code }]));
  const written =
    rows.length === 0
      ? []
      : await tx.query<{ id: number; revision: number }>(
          `insert into analysis_code (books_id, set_by, set_at, id, list_no, code, name, from_day, to_day, active)
           select $1, $2, $3::timestamptz, t.* from unnest(
             $4::text::int[], $5::text::smallint[], $6::text::text[], $7::text::text[], $8::text::date[], $9::text::date[], $10::text::boolean[]
           ) as t
           on conflict (id) do update set list_no = excluded.list_no, code = excluded.code, name = excluded.name,
             from_day = excluded.from_day, to_day = excluded.to_day, active = excluded.active,
             set_by = excluded.set_by, set_at = excluded.set_at, revision = nextval('schedule_revision')::int
           where analysis_code.books_id = excluded.books_id
           returning id, revision`,
          [
            booksId,
            person,
            at,
            arrayText(rows.map(({ id }) => id)),
            arrayText(rows.map(({ code }) => code.list)),
            arrayText(rows.map(({ code }) => code.code)),
            arrayText(rows.map(({ code }) => code.name)),
            arrayText(rows.map(({ code }) => code.from)),
            arrayText(rows.map(({ code }) => code.to)),
            arrayText(rows.map(({ code }) => String(code.active))),
          ],
        );
  const revisions = new Map(written.map(({ id, revision }) => [id, revision]));
  return {
    written: ids.map((id) => (id === null ? null : { id, revision: revisions.get(id) ?? 0 })),
    changes: writings.flatMap(({ id, code }, place): readonly Change[] => {
      const was = id === null ? undefined : stands.get(id);
      if (was === undefined && code === null) return [];
      return [
        {
          subject: 'analysis-code',
          id: ids[place] ?? id ?? 0,
          field: WHOLE,
          from: was === undefined ? null : keptCode(was),
          to: code === null ? null : keptCode(code),
        },
      ];
    }),
  };
};
