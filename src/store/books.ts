import { type PlainDate, plainDate } from '@/core/calendar/dates';
import type { FiscalYear, PeriodState } from '@/core/calendar/year';
import type { LegalForm } from '@/core/company';
import type { NumberStyle } from '@/core/money/number-style';
import { type Queryable, one } from './database';

export type Purpose = 'live' | 'trial' | 'demo';

export interface Books {
  readonly id: number;
  readonly name: string;
  readonly legalForm: LegalForm;
  readonly country: string;
  readonly currency: string;
  readonly style: NumberStyle;
  readonly purpose: Purpose;
  readonly cutover: PlainDate;
}

type BooksRow = Omit<Books, 'cutover'> & { cutover: string };

const COLUMNS = `id, name, legal_form as "legalForm", country, base_currency as currency, number_style as style, purpose, cutover_date as cutover`;

const books = (row: BooksRow): Books => ({ ...row, cutover: plainDate(row.cutover) });

export const practiceName = async (tx: Queryable, practice: number): Promise<string> =>
  one(await tx.query<{ name: string }>('select name from practice where id = $1', [practice])).name;

export const namePractice = async (
  tx: Queryable,
  practice: number,
  name: string,
  person: number,
  personName: string,
): Promise<void> => {
  await tx.query('update practice set name = $2 where id = $1', [practice, name]);
  await tx.query('update person set name = $3 where practice_id = $1 and id = $2', [practice, person, personName]);
};

export const allBooks = async (tx: Queryable, practice: number): Promise<readonly Books[]> =>
  (await tx.query<BooksRow>(`select ${COLUMNS} from books where practice_id = $1 order by name, id`, [practice])).map(
    books,
  );

/** `lock` makes other writers of the same books wait until this transaction ends. */
export const findBooks = async (
  tx: Queryable,
  practice: number,
  id: number,
  lock = false,
): Promise<Books | undefined> =>
  (
    await tx.query<BooksRow>(
      `select ${COLUMNS} from books where practice_id = $1 and id = $2 ${lock ? 'for update' : ''}`,
      [practice, id],
    )
  ).map(books)[0];

export const insertBooks = async (
  tx: Queryable,
  practice: number,
  made: Omit<Books, 'id'>,
  person: number,
  at: string,
): Promise<number> =>
  one(
    await tx.query<{ id: number }>(
      `insert into books (practice_id, name, legal_form, country, base_currency, number_style, purpose, cutover_date, created_at, created_by)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) returning id`,
      [
        practice,
        made.name,
        made.legalForm,
        made.country,
        made.currency,
        made.style,
        made.purpose,
        made.cutover.toString(),
        at,
        person,
      ],
    ),
  ).id;

export const updateBooks = async (
  tx: Queryable,
  id: number,
  name: string,
  legalForm: LegalForm,
  country: string,
  style: NumberStyle,
): Promise<void> => {
  await tx.query('update books set name = $2, legal_form = $3, country = $4, number_style = $5 where id = $1', [
    id,
    name,
    legalForm,
    country,
    style,
  ]);
};

/** Books with posted journals are kept by the database itself. */
export const deleteBooks = async (tx: Queryable, id: number): Promise<void> => {
  // Figures and papers first: they point at accounts, which go with the books.
  await tx.query('delete from opening_set where books_id = $1', [id]);
  await tx.query('delete from paper where books_id = $1', [id]);
  await tx.query('delete from books where id = $1', [id]);
};

export interface StoredPeriod {
  readonly id: number;
  readonly code: string;
  readonly name: string;
  readonly start: PlainDate;
  readonly end: PlainDate;
  readonly state: PeriodState;
}

export interface StoredYear {
  readonly id: number;
  readonly name: string;
  readonly start: PlainDate;
  readonly end: PlainDate;
  readonly periods: readonly StoredPeriod[];
}

export const insertYear = async (
  tx: Queryable,
  booksId: number,
  year: FiscalYear,
  states: readonly PeriodState[],
): Promise<void> => {
  const { id } = one(
    await tx.query<{ id: number }>(
      'insert into fiscal_year (books_id, name, start_date, end_date) values ($1, $2, $3, $4) returning id',
      [booksId, year.name, year.start.toString(), year.end.toString()],
    ),
  );
  await tx.query(
    `insert into period (books_id, fiscal_year_id, ordinal, code, name, start_date, end_date, state)
     select $1, $2, ordinal, code, name, start_date, end_date, state
     from unnest($3::text[], $4::text[], $5::date[], $6::date[], $7::text[]) with ordinality as t (code, name, start_date, end_date, state, ordinal)`,
    [
      booksId,
      id,
      year.periods.map((period) => period.code),
      year.periods.map((period) => period.name),
      year.periods.map((period) => period.start.toString()),
      year.periods.map((period) => period.end.toString()),
      states,
    ],
  );
};

/** The fiscal years with their periods, per set of books, oldest first. */
export const yearsOf = async (
  tx: Queryable,
  booksIds: readonly number[],
): Promise<ReadonlyMap<number, readonly StoredYear[]>> => {
  const rows = await tx.query<{
    books: number;
    year: number;
    yearName: string;
    yearStart: string;
    yearEnd: string;
    id: number;
    code: string;
    name: string;
    start: string;
    end: string;
    state: PeriodState;
  }>(
    `select y.books_id as books, y.id as year, y.name as "yearName", y.start_date as "yearStart", y.end_date as "yearEnd",
            p.id, p.code, p.name, p.start_date as start, p.end_date as "end", p.state
     from fiscal_year y join period p on p.fiscal_year_id = y.id
     where y.books_id = any($1::int[]) order by y.books_id, y.start_date, p.ordinal`,
    [booksIds],
  );
  const byBooks = new Map<number, Map<number, StoredYear & { periods: StoredPeriod[] }>>();
  for (const row of rows) {
    const years = byBooks.get(row.books) ?? new Map<number, StoredYear & { periods: StoredPeriod[] }>();
    byBooks.set(row.books, years);
    const year = years.get(row.year) ?? {
      id: row.year,
      name: row.yearName,
      start: plainDate(row.yearStart),
      end: plainDate(row.yearEnd),
      periods: [],
    };
    years.set(row.year, year);
    year.periods.push({
      id: row.id,
      code: row.code,
      name: row.name,
      start: plainDate(row.start),
      end: plainDate(row.end),
      state: row.state,
    });
  }
  return new Map([...byBooks].map(([books_, years]) => [books_, [...years.values()]]));
};

export const setPeriodStates = async (
  tx: Queryable,
  booksId: number,
  periodIds: readonly number[],
  state: PeriodState,
): Promise<void> => {
  await tx.query('update period set state = $3 where books_id = $1 and id = any($2::int[])', [
    booksId,
    periodIds,
    state,
  ]);
};
