import type { IsoDate } from '@/core/base/iso-date';
import { type Currency } from '@/core/money/currency';
import type { BooksId, PersonId } from '@/core/base/ids';
import { type DatedRate, decimalOf, plainRate } from '@/core/money/rate';
import type { Change } from '@/core/base/change';
import { type Kept, sameKept } from '@/core/base/kept';
import type { Queryable } from './database';

/** The foreign currencies switched on, per set of books. */
export const currenciesOf = async (
  tx: Queryable,
  booksIds: readonly number[],
): Promise<ReadonlyMap<number, readonly Currency[]>> => {
  const found = new Map<number, Currency[]>(booksIds.map((id) => [id, []]));
  for (const { books, currency } of await tx.query<{ books: number; currency: Currency }>(
    'select books_id as books, currency from books_currency where books_id = any($1::int[]) order by books_id, currency',
    [booksIds],
  ))
    found.get(books)?.push(currency);
  return found;
};

export const insertCurrency = async (
  tx: Queryable,
  booksId: BooksId,
  currency: Currency,
  person: PersonId,
  at: string,
): Promise<Change> => {
  await tx.query('insert into books_currency (books_id, currency, added_by, added_at) values ($1, $2, $3, $4)', [
    booksId,
    currency,
    person,
    at,
  ]);
  return { subject: 'currency', id: booksId, field: currency, from: null, to: true };
};

export const deleteCurrency = async (tx: Queryable, booksId: BooksId, currency: Currency): Promise<readonly Change[]> =>
  (
    await tx.query('delete from books_currency where books_id = $1 and currency = $2 returning currency', [
      booksId,
      currency,
    ])
  ).map(() => ({ subject: 'currency', id: booksId, field: currency, from: true, to: null }));

/** Whether a posted amount is in this currency. */
export const isPostedIn = async (tx: Queryable, booksId: BooksId, currency: Currency): Promise<boolean> =>
  (await tx.query('select from journal_line where books_id = $1 and currency = $2 limit 1', [booksId, currency]))
    .length > 0;

interface RateRow {
  readonly books: number;
  readonly date: IsoDate;
  readonly unit: Currency;
  readonly quote: Currency;
  readonly rate: string;
  readonly source: string;
}

const COLUMNS = 'books_id as books, date, unit, quote, rate::text as rate, source';

const dated = ({ date, unit, quote, rate, source }: RateRow): DatedRate => ({
  date,
  unit,
  quote,
  rate: decimalOf(rate),
  source,
});

/** per set of books, of every pair the last two rates on or before its day: what a lookup on that day needs, and a neighbour to doubt it by. */
export const ratesBefore = async (
  tx: Queryable,
  days: readonly { readonly books: number; readonly date: IsoDate }[],
): Promise<ReadonlyMap<number, readonly DatedRate[]>> => {
  const found = new Map<number, DatedRate[]>(days.map(({ books }) => [books, []]));
  const rows = await tx.query<RateRow>(
    // Per books the distinct pairs first, then for each the one row that the index leads to.
    `with recursive pair as (
       select d.books_id, d.day, f.low, f.high from unnest($1::int[], $2::date[]) as d (books_id, day),
         lateral (select low, high from rate r where r.books_id = d.books_id order by low, high limit 1) f
       union all
       select p.books_id, p.day, n.low, n.high from pair p,
         lateral (select low, high from rate r where r.books_id = p.books_id and (r.low, r.high) > (p.low, p.high) order by low, high limit 1) n
     )
     select r.books_id as books, r.date, r.unit, r.quote, r.rate::text as rate, r.source
     from pair p, lateral (select * from rate r where r.books_id = p.books_id and r.low = p.low and r.high = p.high and r.date <= p.day
       order by r.date desc limit 2) r`,
    [days.map(({ books }) => books), days.map(({ date }) => date)],
  );
  for (const row of rows) found.get(row.books)?.push(dated(row));
  return found;
};

/** Of one pair, the nearest rates on each side of a day, the day's own left out. */
export const neighboursOf = async (
  tx: Queryable,
  booksId: BooksId,
  pair: readonly [string, string],
  date: IsoDate,
): Promise<readonly DatedRate[]> => {
  const [low, high] = [...pair].sort();
  return (
    await tx.query<RateRow>(
      `(select ${COLUMNS} from rate where books_id = $1 and low = $2 and high = $3 and date < $4 order by date desc limit 1)
       union all
       (select ${COLUMNS} from rate where books_id = $1 and low = $2 and high = $3 and date > $4 order by date limit 1)`,
      [booksId, low, high, date],
    )
  ).map(dated);
};

export const allRates = async (tx: Queryable, booksId: BooksId): Promise<readonly DatedRate[]> =>
  (await tx.query<RateRow>(`select ${COLUMNS} from rate where books_id = $1 order by low, high, date`, [booksId])).map(
    dated,
  );

export interface PairSummary {
  readonly low: Currency;
  readonly high: Currency;
  readonly count: number;
  readonly first: IsoDate;
  readonly last: IsoDate;
}

export const pairsOf = async (tx: Queryable, booksId: BooksId): Promise<readonly PairSummary[]> =>
  tx.query<PairSummary>(
    'select low, high, count(*)::int as count, min(date) as first, max(date) as last from rate where books_id = $1 group by low, high order by low, high',
    [booksId],
  );

/** Rates of one pair, newest first; of more than `most`, evenly thinned to about so many when `thin`, else the newest. */
export const pairRates = async (
  tx: Queryable,
  booksId: BooksId,
  pair: readonly [string, string],
  most: number,
  thin: boolean,
): Promise<readonly DatedRate[]> => {
  const [low, high] = [...pair].sort();
  return (
    await tx.query<RateRow>(
      thin
        ? `select * from (select ${COLUMNS}, row_number() over (order by date desc) - 1 as place, count(*) over () as total
             from rate where books_id = $1 and low = $2 and high = $3) r
           where place % greatest(1, ceil(total::numeric / $4)::int) = 0 order by date desc`
        : `select ${COLUMNS} from rate where books_id = $1 and low = $2 and high = $3 order by date desc limit $4`,
      [booksId, low, high, most],
    )
  ).map(dated);
};

/** Which rate it is: the pair in the order of its codes, and the day. */
const rateKey = ({ unit, quote, date }: Pick<DatedRate, 'unit' | 'quote' | 'date'>): string =>
  `${[unit, quote].sort().join('/')} ${date}`;

const keptRate = (rate: DatedRate | undefined): Kept =>
  rate === undefined
    ? null
    : { unit: rate.unit, quote: rate.quote, date: rate.date, rate: plainRate(rate.rate), source: rate.source };

export const rateFrom = (kept: Kept): DatedRate | undefined =>
  kept === null ? undefined : dated(kept as unknown as RateRow);

const rateChange = (booksId: BooksId, from: DatedRate | undefined, to: DatedRate | undefined): readonly Change[] => {
  const either = to ?? from;
  return either === undefined
    ? []
    : [{ subject: 'rate', id: booksId, field: rateKey(either), from: keptRate(from), to: keptRate(to) }];
};

/** The rates that stand for some pairs and days, by what the record calls them. */
const ratesAt = async (
  tx: Queryable,
  booksId: BooksId,
  keys: readonly Pick<DatedRate, 'unit' | 'quote' | 'date'>[],
): Promise<ReadonlyMap<string, DatedRate>> => {
  const pairs = keys.map(({ unit, quote }) => [unit, quote].sort());
  const rows = await tx.query<RateRow>(
    `select r.books_id as books, r.date, r.unit, r.quote, r.rate::text as rate, r.source
     from rate r join (select distinct * from unnest($2::text[], $3::text[], $4::date[]) as k (low, high, date)) k
       on r.low = k.low and r.high = k.high and r.date = k.date
     where r.books_id = $1`,
    [booksId, pairs.map(([low]) => low), pairs.map(([, high]) => high), keys.map(({ date }) => date)],
  );
  return new Map(rows.map((row) => [rateKey(row), dated(row)]));
};

/**
 * Writes rates in one statement; a rate of the same pair and day is replaced, whichever way round it stood. Gives what changed, for
 * the record.
 */
export const putRates = async (
  tx: Queryable,
  booksId: BooksId,
  rates: readonly DatedRate[],
  person: PersonId,
  at: string,
): Promise<readonly Change[]> => {
  if (rates.length === 0) return [];
  const stand = await ratesAt(tx, booksId, rates);
  await tx.query(
    `insert into rate (books_id, date, unit, quote, rate, source, set_by, set_at)
     select $1, date, unit, quote, rate, source, $7, $8
     from unnest($2::date[], $3::text[], $4::text[], $5::numeric[], $6::text[]) as t (date, unit, quote, rate, source)
     on conflict (books_id, low, high, date) do update
       set unit = excluded.unit, quote = excluded.quote, rate = excluded.rate, source = excluded.source,
           set_by = excluded.set_by, set_at = excluded.set_at`,
    [
      booksId,
      rates.map((rate) => rate.date),
      rates.map((rate) => rate.unit),
      rates.map((rate) => rate.quote),
      rates.map((rate) => plainRate(rate.rate)),
      rates.map((rate) => rate.source),
      person,
      at,
    ],
  );
  return rates.flatMap((rate) => rateChange(booksId, stand.get(rateKey(rate)), rate));
};

/** Takes rates away, each by its pair and day; gives what changed, nothing where there was none. */
export const deleteRates = async (
  tx: Queryable,
  booksId: BooksId,
  keys: readonly Pick<DatedRate, 'unit' | 'quote' | 'date'>[],
): Promise<readonly Change[]> => {
  if (keys.length === 0) return [];
  const pairs = keys.map(({ unit, quote }) => [unit, quote].sort());
  const gone = await tx.query<RateRow>(
    `delete from rate r using (select distinct * from unnest($2::text[], $3::text[], $4::date[]) as k (low, high, date)) k
     where r.books_id = $1 and r.low = k.low and r.high = k.high and r.date = k.date
     returning r.books_id as books, r.date, r.unit, r.quote, r.rate::text as rate, r.source`,
    [booksId, pairs.map(([low]) => low), pairs.map(([, high]) => high), keys.map(({ date }) => date)],
  );
  return gone.flatMap((row) => rateChange(booksId, dated(row), undefined));
};

/** Whether a rate still is what a change made of it. */
export const rateStands = async (
  tx: Queryable,
  booksId: BooksId,
  changes: readonly Change[],
): Promise<readonly boolean[]> => {
  const keys = changes.flatMap(({ from, to }) => rateFrom(to) ?? rateFrom(from) ?? []);
  const stand = await ratesAt(tx, booksId, keys);
  return changes.map(({ field, to }) => sameKept(keptRate(stand.get(field)), to));
};
