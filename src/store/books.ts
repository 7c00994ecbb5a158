import { type Currency } from '@/core/money/currency';
import type { BooksId, PersonId } from '@/core/base/ids';
import { type PlainDate, plainDate } from '@/core/base/dates';
import type { IsoDate } from '@/core/base/iso-date';
import { type Change, WHOLE } from '@/core/base/change';
import type { Kept } from '@/core/base/kept';
import { type CutoverDates, keptCutover } from '@/core/calendar/recorded';
import { type ChartSettings, PLAIN_SETTINGS } from '@/core/chart/settings';
import { type CompanyFacts, PLAIN_FACTS, type Purpose } from '@/core/company/facts';
import type { Review } from '@/core/access/review';
import type { LegalForm } from '@/core/company/legal-form';
import type { NumberStyle } from '@/core/money/number-style';
import type { Rounding } from '@/core/money/rounding';
import { type Queryable, one } from './database';

export interface Books {
  readonly id: BooksId;
  readonly name: string;
  readonly legalForm: LegalForm;
  readonly country: string;
  readonly currency: Currency;
  readonly style: NumberStyle;
  readonly purpose: Purpose;
  readonly cutover: PlainDate;
  /** Everything known about the company, the fields above included. */
  readonly facts: CompanyFacts;
  readonly archived: boolean;
  /** What these books demand before posting, whatever the practice does. */
  readonly review: Review;
  /** Grows with every committed change of anything in these books. */
  readonly revision: bigint;
  readonly completeUntil: PlainDate | undefined;
  readonly trialBalance: PlainDate | undefined;
  /** Grows by one with every change of the calendar. */
  readonly calendarRevision: number;
  readonly rounding: Rounding;
  readonly rateDays: number;
  readonly chart: ChartSettings;
}

interface BooksRow extends Pick<
  Books,
  | 'id'
  | 'name'
  | 'legalForm'
  | 'country'
  | 'currency'
  | 'style'
  | 'purpose'
  | 'archived'
  | 'review'
  | 'calendarRevision'
  | 'revision'
  | 'rounding'
  | 'rateDays'
> {
  readonly cutover: IsoDate;
  readonly completeUntil: IsoDate | null;
  readonly trialBalance: IsoDate | null;
  readonly inCharge: string;
  readonly facts: Partial<CompanyFacts>;
  readonly chart: Partial<ChartSettings>;
}

const COLUMNS = `b.id, b.name, b.legal_form as "legalForm", b.country, b.base_currency as currency, b.number_style as style, b.purpose,
  b.cutover_date as cutover, b.facts, b.chart, b.archived_at is not null as archived, b.review, b.complete_until as "completeUntil",
  b.trial_balance_date as "trialBalance", b.calendar_revision as "calendarRevision", b.revision, b.rounding, b.rate_days as "rateDays",
  b.in_charge_name as "inCharge"`;

const books = ({ inCharge, facts, chart, cutover, completeUntil, trialBalance, ...row }: BooksRow): Books => ({
  ...row,
  cutover: plainDate(cutover),
  chart: { ...PLAIN_SETTINGS, ...chart },
  completeUntil: completeUntil === null ? undefined : plainDate(completeUntil),
  trialBalance: trialBalance === null ? undefined : plainDate(trialBalance),
  facts: {
    ...PLAIN_FACTS,
    ...facts,
    name: row.name,
    legalForm: row.legalForm,
    country: row.country,
    style: row.style,
    purpose: row.purpose,
    inCharge,
  },
});

export const practiceName = async (tx: Queryable, practice: number): Promise<string> =>
  one(await tx.query<{ name: string }>('select name from practice where id = $1', [practice])).name;

export const namePractice = async (
  tx: Queryable,
  practice: number,
  name: string,
  person: PersonId,
  personName: string,
): Promise<void> => {
  await tx.query('update practice set name = $2 where id = $1', [practice, name]);
  await tx.query(
    `update books b set in_charge_name = $3 from person p
     where p.practice_id = $1 and p.id = $2 and b.practice_id = $1 and lower(b.in_charge_name) = lower(p.name)`,
    [practice, person, personName],
  );
  await tx.query('update person set name = $3 where practice_id = $1 and id = $2', [practice, person, personName]);
};

export const personName = async (tx: Queryable, id: PersonId): Promise<string> =>
  one(await tx.query<{ name: string }>('select name from person where id = $1', [id])).name;

/** The people of a practice who have not left, and whoever else is in charge of its books. */
export const peopleOf = async (tx: Queryable, practice: number): Promise<readonly string[]> =>
  (
    await tx.query<{ name: string }>(
      `select name from person where practice_id = $1 and active
       union select in_charge_name from books where practice_id = $1 and in_charge_name <> '' order by name`,
      [practice],
    )
  ).map(({ name }) => name);

export const allBooks = async (tx: Queryable, practice: number): Promise<readonly Books[]> =>
  (await tx.query<BooksRow>(`select ${COLUMNS} from books b where practice_id = $1 order by name, id`, [practice])).map(
    books,
  );

/** Names only, for comparing. */
export const bookNames = (
  tx: Queryable,
  practice: number,
): Promise<readonly { readonly id: BooksId; readonly name: string }[]> =>
  tx.query('select id, name from books where practice_id = $1 order by name, id', [practice]);

export const findBooks = async (tx: Queryable, practice: number, id: number): Promise<Books | undefined> =>
  (await tx.query<BooksRow>(`select ${COLUMNS} from books b where practice_id = $1 and id = $2`, [practice, id])).map(
    books,
  )[0];

/**
 * Books that are about to be changed, as they were found: other writers of them wait until this transaction ends, and with it they are
 * of the next revision, so that the one statement locks and counts.
 */
export const takeBooks = async (tx: Queryable, practice: number, id: number): Promise<Books | undefined> =>
  (
    await tx.query<BooksRow>(
      `update books b set revision = b.revision + 1 where practice_id = $1 and id = $2 returning ${COLUMNS}`,
      [practice, id],
    )
  ).map((row) => books({ ...row, revision: row.revision - 1n }))[0];

export const insertBooks = async (
  tx: Queryable,
  practice: number,
  made: Pick<Books, 'name' | 'legalForm' | 'country' | 'currency' | 'style' | 'purpose' | 'cutover'> & {
    readonly facts: Partial<CompanyFacts>;
  },
  person: PersonId,
  at: string,
): Promise<BooksId> =>
  one(
    await tx.query<{ id: BooksId }>(
      `insert into books (practice_id, name, legal_form, country, base_currency, number_style, purpose, cutover_date, facts, created_at, created_by)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11) returning id`,
      [
        practice,
        made.name,
        made.legalForm,
        made.country,
        made.currency,
        made.style,
        made.purpose,
        made.cutover.toString(),
        JSON.stringify(made.facts),
        at,
        person,
      ],
    ),
  ).id;

/** The facts that have a column of their own. */
const FACT_COLUMNS: Readonly<Partial<Record<keyof CompanyFacts, string>>> = {
  name: 'name',
  legalForm: 'legal_form',
  country: 'country',
  style: 'number_style',
  purpose: 'purpose',
};

/** Puts a fact in the place of the one that stands; the change tells it as it is stored. */
export const updateFact = async <F extends keyof CompanyFacts>(
  tx: Queryable,
  { id, facts }: Pick<Books, 'id' | 'facts'>,
  fact: F,
  value: CompanyFacts[F],
): Promise<Change> => {
  const stored = await writeFact(tx, id, fact, value);
  return { subject: 'company', id, field: fact, from: facts[fact] as Kept, to: stored as Kept };
};

const writeFact = async <F extends keyof CompanyFacts>(
  tx: Queryable,
  id: BooksId,
  fact: F,
  value: CompanyFacts[F],
): Promise<unknown> => {
  const column = FACT_COLUMNS[fact];
  if (column !== undefined) await tx.query(`update books set ${column} = $2 where id = $1`, [id, value]);
  else if (fact === 'inCharge')
    // As the name is known in the practice already, whatever its capitals.
    return one(
      await tx.query<{ readonly name: string }>(
        `update books b set in_charge_name = coalesce(
         (select p.name from person p where p.practice_id = b.practice_id and lower(p.name) = lower($2) limit 1),
         (select o.in_charge_name from books o
          where o.practice_id = b.practice_id and o.id <> b.id and lower(o.in_charge_name) = lower($2) order by o.id limit 1),
         $2) where b.id = $1 returning b.in_charge_name as name`,
        [id, value],
      ),
    ).name;
  else
    await tx.query('update books set facts = facts || jsonb_build_object($2::text, $3::jsonb) where id = $1', [
      id,
      fact,
      JSON.stringify(value),
    ]);
  return value;
};

/** Changes what is kept about the chart as a whole; what is not given stays. */
export const updateChartSettings = async (
  tx: Queryable,
  { id, chart }: Pick<Books, 'id' | 'chart'>,
  change: Partial<ChartSettings>,
): Promise<readonly Change[]> => {
  await tx.query('update books set chart = chart || $2::jsonb where id = $1', [id, JSON.stringify(change)]);
  return (Object.keys(change) as (keyof ChartSettings)[]).map((field) => ({
    subject: 'chart-rule',
    id,
    field,
    from: chart[field] as unknown as Kept,
    to: (change[field] ?? null) as unknown as Kept,
  }));
};

export const setReview = async (tx: Queryable, id: BooksId, review: Review): Promise<void> => {
  await tx.query('update books set review = $2 where id = $1', [id, review]);
};

export const setArchived = async (tx: Queryable, id: BooksId, at: string | null): Promise<void> => {
  await tx.query('update books set archived_at = $2 where id = $1', [id, at]);
};

export const updateCutover = async (
  tx: Queryable,
  { id, ...was }: Pick<Books, 'id' | keyof CutoverDates>,
  is: CutoverDates,
): Promise<Change> => {
  await tx.query('update books set cutover_date = $2, complete_until = $3, trial_balance_date = $4 where id = $1', [
    id,
    is.cutover.toString(),
    is.completeUntil?.toString() ?? null,
    is.trialBalance?.toString() ?? null,
  ]);
  return { subject: 'cutover', id, field: WHOLE, from: keptCutover(was), to: keptCutover(is) };
};

/** The rules of money of a set of books. */
export type MoneyRules = Pick<Books, 'currency' | 'rounding' | 'rateDays'>;

export const updateMoneyRules = async (
  tx: Queryable,
  was: Pick<Books, 'id' | keyof MoneyRules>,
  change: Partial<MoneyRules>,
): Promise<readonly Change[]> => {
  const { currency, rounding, rateDays } = { ...was, ...change };
  await tx.query('update books set base_currency = $2, rounding = $3, rate_days = $4 where id = $1', [
    was.id,
    currency,
    rounding,
    rateDays,
  ]);
  return (Object.keys(change) as (keyof MoneyRules)[]).map((field) => ({
    subject: 'money-rule',
    id: was.id,
    field,
    from: was[field],
    to: change[field] ?? null,
  }));
};

export interface StoredLogo {
  readonly type: string;
  readonly content: Uint8Array;
}

export const findLogo = async (tx: Queryable, id: BooksId): Promise<StoredLogo | undefined> =>
  (await tx.query<StoredLogo>('select type, content from books_logo where books_id = $1', [id]))[0];

/** When the logo was set, for an address that changes with it; null when there is none. */
export const logoSetAt = async (tx: Queryable, id: BooksId): Promise<string | null> =>
  (await tx.query<{ at: string }>('select set_at as at from books_logo where books_id = $1', [id]))[0]?.at ?? null;

export const putLogo = async (tx: Queryable, id: BooksId, logo: StoredLogo | undefined, at: string): Promise<void> => {
  if (logo === undefined) await tx.query('delete from books_logo where books_id = $1', [id]);
  else
    await tx.query(
      `insert into books_logo (books_id, type, content, set_at) values ($1, $2, $3, $4)
       on conflict (books_id) do update set type = excluded.type, content = excluded.content, set_at = excluded.set_at`,
      [id, logo.type, logo.content, at],
    );
};

/** Books with posted journals are kept by the database itself. */
export const deleteBooks = async (tx: Queryable, id: BooksId): Promise<void> => {
  // Figures, papers and accounts first: they point at each other and at currencies, which go with the books.
  await tx.query('delete from opening_set where books_id = $1', [id]);
  await tx.query('delete from paper where books_id = $1', [id]);
  await tx.query('delete from tax_code where books_id = $1', [id]);
  await tx.query('delete from account where books_id = $1', [id]);
  await tx.query('delete from books where id = $1', [id]);
};

/** Lets nobody else make books in the practice until the transaction ends. */
export const lockPractice = async (tx: Queryable, practice: number): Promise<void> => {
  await tx.query('select from practice where id = $1 for update', [practice]);
};
