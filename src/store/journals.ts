import { type Currency } from '@/core/money/currency';
import type { BooksId, PersonId } from '@/core/base/ids';
import { addTo } from '@/core/base/lists';
import type { AccountId } from '@/core/chart/account';
import { type PlainDate, plainDate } from '@/core/base/dates';
import type { IsoDate } from '@/core/base/iso-date';
import { type Minor, NIL, add } from '@/core/money/minor';
import type { Part, Position, PostingLine } from '@/core/openings/foreign';
import { type Queryable, arrayText, one } from './database';
import { longRows } from './long-rows';

export interface Journal {
  readonly id: number;
  readonly number: number;
  /** The version of the opening set that it posted. */
  readonly set: number | null;
  readonly date: PlainDate;
  readonly period: string | null;
  readonly description: string;
  readonly by: string;
  readonly at: string;
  readonly lines: readonly {
    readonly account: AccountId;
    readonly amount: Minor;
    /** Null for base currency. */
    readonly currency: Currency | null;
    readonly foreign: Minor | null;
  }[];
}

/** Writes and posts a journal. The books must be locked by the caller, since the number is the next one. */
export const postJournal = async (
  tx: Queryable,
  booksId: BooksId,
  journal: {
    readonly date: PlainDate;
    readonly periodId: number | null;
    readonly description: string;
    readonly openingSetId: number;
  },
  lines: readonly PostingLine<AccountId>[],
  person: PersonId,
  at: string,
): Promise<number> => {
  const { id, number } = one(
    await tx.query<{ id: number; number: number }>(
      `insert into journal (books_id, number, date, period_id, description, opening_set_id)
       select $1, coalesce(max(number), 0) + 1, $2, $3, $4, $5 from journal where books_id = $1
       returning id, number`,
      [booksId, journal.date.toString(), journal.periodId, journal.description, journal.openingSetId],
    ),
  );
  await tx.many('journal_line', lines.length, () =>
    tx.query(
      `insert into journal_line (books_id, journal_id, line_no, account_id, amount, currency, foreign_amount)
     select $1, $2, line_no, account, amount, currency, case when currency is not null then foreign_amount end
     from unnest($3::text::int[], $4::text::int8[], $5::text::text[], $6::text::int8[]) with ordinality as t (account, amount, currency, foreign_amount, line_no)`,
      [
        booksId,
        id,
        arrayText(lines.map((line) => line.account)),
        arrayText(lines.map((line) => line.amount)),
        arrayText(lines.map((line) => line.currency)),
        arrayText(lines.map((line) => line.foreign)),
      ],
    ),
  );
  await tx.query('update journal set posted_at = $3, posted_by = $4 where books_id = $1 and id = $2', [
    booksId,
    id,
    at,
    person,
  ]);
  return number;
};

/** What stands on each account by posted journals. */
export const ledgerBalances = async (tx: Queryable, booksId: BooksId): Promise<ReadonlyMap<AccountId, Minor>> => {
  const rows = await longRows<{ account: AccountId; amount: Minor }>(
    tx,
    { account: 'json', amount: 'int8' },
    `select l.account_id as account, sum(l.amount)::int8 as amount
     from journal_line l join journal j on j.id = l.journal_id
     where l.books_id = $1 and j.posted_at is not null group by l.account_id having sum(l.amount) <> 0`,
    [booksId],
  );
  return new Map(rows.map((row) => [row.account, row.amount]));
};

/** What stands on each account by posted journals, with its parts in foreign currencies. */
export const ledgerPositions = async (tx: Queryable, booksId: BooksId): Promise<ReadonlyMap<AccountId, Position>> => {
  const rows = await longRows<{ account: AccountId; currency: Currency | null; amount: Minor; foreign: Minor | null }>(
    tx,
    { account: 'json', currency: 'json', amount: 'int8', foreign: 'int8' },
    `select l.account_id as account, l.currency, sum(l.amount)::int8 as amount, sum(l.foreign_amount)::int8 as "foreign"
     from journal_line l join journal j on j.id = l.journal_id
     where l.books_id = $1 and j.posted_at is not null group by l.account_id, l.currency`,
    [booksId],
  );
  const found = new Map<AccountId, { base: Minor; parts: Part[] }>();
  for (const { account, currency, amount, foreign } of rows) {
    const position = found.get(account) ?? { base: NIL, parts: [] };
    found.set(account, position);
    position.base = add(position.base, amount);
    if (currency !== null) position.parts.push({ currency, amount: foreign ?? NIL, base: amount });
  }
  return found;
};

export const journalsOf = async (tx: Queryable, booksId: BooksId): Promise<readonly Journal[]> => {
  const heads = await tx.query<Omit<Journal, 'lines' | 'date'> & { date: IsoDate }>(
    `select j.id, j.number, j.opening_set_id as "set", j.date, p.name as period, j.description, w.name as by, j.posted_at as at
     from journal j join person w on w.id = j.posted_by left join period p on p.id = j.period_id
     where j.books_id = $1 and j.posted_at is not null order by j.number`,
    [booksId],
  );
  const lines = await longRows<{ journal: number } & Journal['lines'][number]>(
    tx,
    { journal: 'json', account: 'json', amount: 'int8', currency: 'json', foreign: 'int8' },
    'select journal_id as journal, account_id as account, amount, currency, foreign_amount as "foreign" from journal_line where books_id = $1 order by journal_id, line_no',
    [booksId],
  );
  const byJournal = new Map<number, Journal['lines'][number][]>();
  for (const { journal, ...line } of lines) {
    addTo(byJournal, journal, line);
  }
  return heads.map((head) => ({ ...head, date: plainDate(head.date), lines: byJournal.get(head.id) ?? [] }));
};

export const hasPosted = async (tx: Queryable, booksId: BooksId): Promise<boolean> =>
  (await tx.query('select 1 from journal where books_id = $1 and posted_at is not null limit 1', [booksId])).length > 0;
