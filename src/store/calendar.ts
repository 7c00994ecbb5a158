import type { BooksId } from '@/core/base/ids';
import { addTo } from '@/core/base/lists';
import { type PlainDate, plainDate } from '@/core/base/dates';
import type { IsoDate } from '@/core/base/iso-date';
import type { Change } from '@/core/base/change';
import { periodField } from '@/core/calendar/recorded';
import type { StatedPeriod, StatedYear } from '@/core/calendar/file';
import type { PeriodState } from '@/core/calendar/states';
import { type PeriodKind, type YearPlan, planFrom } from '@/core/calendar/year';
import { type Queryable, one } from './database';

export type StoredPeriod = StatedPeriod & { readonly id: number };
export type StoredYear = Omit<StatedYear, 'periods'> & {
  readonly id: number;
  readonly periods: readonly StoredPeriod[];
};

const insertPeriods = async (
  tx: Queryable,
  booksId: BooksId,
  yearId: number,
  periods: readonly StatedPeriod[],
  from = 0,
): Promise<void> => {
  if (periods.length === 0) return;
  await tx.query(
    `insert into period (books_id, fiscal_year_id, ordinal, code, name, kind, start_date, end_date, state)
     select $1, $2, $9::int + ordinal, code, name, kind, start_date, end_date, state
     from unnest($3::text[], $4::text[], $5::text[], $6::date[], $7::date[], $8::text[]) with ordinality
       as t (code, name, kind, start_date, end_date, state, ordinal)`,
    [
      booksId,
      yearId,
      periods.map((period) => period.code),
      periods.map((period) => period.name),
      periods.map((period) => period.kind),
      periods.map((period) => period.start.toString()),
      periods.map((period) => period.end.toString()),
      periods.map((period) => period.state),
      from,
    ],
  );
};

export const insertYear = async (tx: Queryable, booksId: BooksId, year: StatedYear): Promise<void> => {
  const { id } = one(
    await tx.query<{ id: number }>(
      'insert into fiscal_year (books_id, name, start_date, end_date, plan) values ($1, $2, $3, $4, $5) returning id',
      [booksId, year.name, year.start.toString(), year.end.toString(), JSON.stringify(year.plan)],
    ),
  );
  await insertPeriods(tx, booksId, id, year.periods);
};

export const deleteYears = async (tx: Queryable, booksId: BooksId, years: readonly number[]): Promise<void> => {
  await tx.query('delete from fiscal_year where books_id = $1 and id = any($2::int[])', [booksId, years]);
};

/** Renames a year whose regular periods keep their days, and gives it other adjustment periods: the regular ones stay the same rows. */
export const renameYear = async (
  tx: Queryable,
  booksId: BooksId,
  id: number,
  year: StatedYear,
  regular: readonly number[],
): Promise<void> => {
  await tx.query('update fiscal_year set name = $3, plan = $4 where books_id = $1 and id = $2', [
    booksId,
    id,
    year.name,
    JSON.stringify(year.plan),
  ]);
  await tx.query('delete from period where books_id = $1 and fiscal_year_id = $2 and not id = any($3::int[])', [
    booksId,
    id,
    regular,
  ]);
  const named = year.periods.slice(0, regular.length);
  // In two steps, so that codes which change places do not meet on the way.
  await tx.query(`update period set code = '~' || id where books_id = $1 and fiscal_year_id = $2`, [booksId, id]);
  await tx.query(
    `update period p set code = t.code, name = t.name, state = t.state
     from unnest($2::int[], $3::text[], $4::text[], $5::text[]) as t (id, code, name, state) where p.books_id = $1 and p.id = t.id`,
    [
      booksId,
      regular,
      named.map((period) => period.code),
      named.map((period) => period.name),
      named.map((period) => period.state),
    ],
  );
  await insertPeriods(tx, booksId, id, year.periods.slice(regular.length), regular.length);
};

export const bumpCalendar = async (tx: Queryable, booksId: BooksId): Promise<void> => {
  await tx.query('update books set calendar_revision = calendar_revision + 1 where id = $1', [booksId]);
};

/** Dates are immutable, and the clients of a practice share most of theirs: each is read once. */
const known = new Map<string, PlainDate>();
const MOST_KNOWN = 50_000;
const date = (iso: IsoDate): PlainDate => {
  const found = known.get(iso);
  if (found !== undefined) return found;
  if (known.size >= MOST_KNOWN) known.clear();
  const made = plainDate(iso);
  known.set(iso, made);
  return made;
};

interface YearRow {
  readonly books: number;
  readonly id: number;
  readonly name: string;
  readonly start: IsoDate;
  readonly end: IsoDate;
  readonly plan: YearPlan | null;
  readonly periods: readonly {
    readonly id: number;
    readonly code: string;
    readonly name: string;
    readonly kind: PeriodKind;
    readonly start: IsoDate;
    readonly end: IsoDate;
    readonly state: PeriodState;
  }[];
}

/** The fiscal years with their periods, per set of books, oldest first. */
export const yearsOf = async (
  tx: Queryable,
  booksIds: readonly number[],
): Promise<ReadonlyMap<number, readonly StoredYear[]>> => {
  // One row per year, its periods as one value: many small rows cost more in the driver than in the database.
  const rows = await tx.query<YearRow>(
    `select y.books_id as books, y.id, y.name, y.start_date as start, y.end_date as "end", y.plan,
            json_agg(json_build_object('id', p.id, 'code', p.code, 'name', p.name, 'kind', p.kind, 'start', p.start_date,
              'end', p.end_date, 'state', p.state) order by p.ordinal) as periods
     from fiscal_year y join period p on p.fiscal_year_id = y.id
     where y.books_id = any($1::int[]) group by y.id order by y.books_id, y.start_date`,
    [booksIds],
  );
  const byBooks = new Map<number, StoredYear[]>();
  for (const { books, ...row } of rows) {
    const year: StoredYear = {
      ...row,
      start: date(row.start),
      end: date(row.end),
      plan: row.plan ?? planFrom(date(row.start)),
      periods: row.periods.map((period) => ({ ...period, start: date(period.start), end: date(period.end) })),
    };
    addTo(byBooks, books, year);
  }
  return byBooks;
};

/** Ids of periods in which something is posted. */
export const postedPeriods = async (tx: Queryable, booksId: BooksId): Promise<ReadonlySet<number>> =>
  new Set(
    (
      await tx.query<{ id: number }>(
        'select distinct period_id as id from journal where books_id = $1 and posted_at is not null and period_id is not null',
        [booksId],
      )
    ).map(({ id }) => id),
  );

/** Puts periods, as they stand, into other states. */
export const setPeriodStates = async (
  tx: Queryable,
  booksId: BooksId,
  moves: readonly { readonly period: StoredPeriod; readonly to: PeriodState }[],
): Promise<readonly Change[]> => {
  await tx.query(
    'update period p set state = t.state from unnest($2::int[], $3::text[]) as t (id, state) where p.books_id = $1 and p.id = t.id',
    [booksId, moves.map(({ period }) => period.id), moves.map(({ to }) => to)],
  );
  return moves.map(({ period, to }) => ({
    subject: 'period',
    id: booksId,
    field: periodField(period),
    from: period.state,
    to,
  }));
};
