import { ACCOUNT_ROLES } from '@/core/ledger/classes';
import { beforeAll, describe, expect, it } from 'vitest';
import { CURRENCY_CODES } from '@/core/money/currency';
import { newBooks, refused, withDatabase } from './support';

/** Raw SQL against the rules that must hold whoever writes. */
describe('the database itself refuses', () => {
  const database = withDatabase();
  const sql = (text: string, parameters: readonly unknown[] = []) =>
    database.current.query<{ id: number }>(text, parameters);
  let books = 0;
  let other = 0;
  const account = async (of: number, code: string): Promise<number> =>
    (await sql('select id from account where books_id = $1 and code = $2', [of, code]))[0]?.id ?? 0;

  beforeAll(async () => {
    books = await newBooks();
    other = await newBooks({ name: 'Another' });
  });

  /** Writes a journal with raw SQL and posts it in the same transaction. */
  const post = (lines: readonly (readonly [number, string])[], number: number): Promise<number> =>
    database.current.transaction(async (tx) => {
      const [row] = await tx.query<{ id: number }>(
        `insert into journal (books_id, number, date, description) values ($1, $2, '2026-07-31', 'raw') returning id`,
        [books, number],
      );
      const id = row?.id ?? 0;
      for (const [at, [line, amount]] of lines.entries())
        await tx.query(
          'insert into journal_line (books_id, journal_id, line_no, account_id, amount) values ($1, $2, $3, $4, $5)',
          [books, id, at + 1, line, amount],
        );
      await tx.query('update journal set posted_at = now(), posted_by = 1 where id = $1', [id]);
      return id;
    });

  it('a posted journal that does not sum to zero', async () => {
    await refused(
      post(
        [
          [await account(books, '1010'), '500'],
          [await account(books, '3010'), '-499'],
        ],
        1,
      ),
      /does not balance: it is out by 1/,
    );
    expect(await sql('select id from journal')).toEqual([]);
  });

  it('a change to a posted journal or its lines, and their deletion', async () => {
    const id = await post(
      [
        [await account(books, '1010'), '500'],
        [await account(books, '3010'), '-500'],
      ],
      2,
    );
    await refused(sql('update journal set description = $2 where id = $1', [id, 'x']), /cannot be changed or deleted/);
    await refused(
      sql('update journal set posted_at = null, posted_by = null where id = $1', [id]),
      /cannot be changed or deleted/,
    );
    await refused(sql('delete from journal where id = $1', [id]), /cannot be changed or deleted/);
    await refused(sql('update journal_line set amount = amount * 2 where journal_id = $1', [id]), /never updated/);
    await refused(sql('delete from journal_line where journal_id = $1', [id]), /posted journal/);
    await refused(
      sql('insert into journal_line (books_id, journal_id, line_no, account_id, amount) values ($1, $2, 9, $3, 5)', [
        books,
        id,
        await account(books, '1010'),
      ]),
      /posted journal/,
    );
    await refused(sql('truncate journal_line'), /cannot be emptied/);
    await refused(sql('truncate journal cascade'), /cannot be emptied/);
    await refused(sql('delete from books where id = $1', [books]), /violates foreign key/);
    expect(await sql('select line_no from journal_line where journal_id = $1', [id])).toHaveLength(2);
  });

  it('a line on a heading', async () => {
    await refused(
      post(
        [
          [await account(books, '1000'), '5'],
          [await account(books, '3010'), '-5'],
        ],
        3,
      ),
      /journal_line_account/,
    );
    const [set] = await sql('select id from opening_set where books_id = $1', [books]);
    await refused(
      sql(
        `insert into opening_line (books_id, set_id, account_id, amount, source, set_by, set_at) values ($1, $2, $3, 5, 'typed', 1, now())`,
        [books, set?.id, await account(books, '1000')],
      ),
      /opening_line_account/,
    );
  });

  it('an account, heading, period or paper of other books', async () => {
    await refused(
      post(
        [
          [await account(other, '1010'), '5'],
          [await account(books, '3010'), '-5'],
        ],
        4,
      ),
      /journal_line_account/,
    );
    const [set] = await sql('select id from opening_set where books_id = $1', [books]);
    await refused(
      sql(
        `insert into opening_line (books_id, set_id, account_id, amount, source, set_by, set_at) values ($1, $2, $3, 5, 'typed', 1, now())`,
        [books, set?.id, await account(other, '1010')],
      ),
      /opening_line_account/,
    );
    await refused(
      sql('update account set parent_id = $2 where id = $1', [
        await account(books, '1010'),
        await account(other, '1000'),
      ]),
      /account_parent/,
    );
    const [period] = await sql('select id from period where books_id = $1 limit 1', [other]);
    await refused(
      sql(
        `insert into journal (books_id, number, date, description, period_id) values ($1, 99, '2026-07-31', 'x', $2)`,
        [books, period?.id],
      ),
      /violates foreign key/,
    );
  });

  it('a heading of another type, an account under a posting account, a heading that becomes posting over its accounts', async () => {
    await refused(
      sql('update account set parent_id = $2 where id = $1', [
        await account(books, '1010'),
        await account(books, '3000'),
      ]),
      /account_parent/,
    );
    await refused(
      sql('update account set parent_id = $2 where id = $1', [
        await account(books, '1010'),
        await account(books, '1050'),
      ]),
      /account_parent/,
    );
    await refused(
      sql('update account set heading = false where id = $1', [await account(books, '1000')]),
      /account_parent/,
    );
  });

  it('overlapping periods and years, a second account with a single role, a second draft', async () => {
    await refused(
      sql(
        `insert into fiscal_year (books_id, name, start_date, end_date) values ($1, 'again', '2026-06-01', '2027-05-31')`,
        [books],
      ),
      /conflicting key value violates exclusion/,
    );
    const [year] = await sql('select id from fiscal_year where books_id = $1', [books]);
    await refused(
      sql(
        `insert into period (books_id, fiscal_year_id, ordinal, code, name, start_date, end_date, state) values ($1, $2, 13, 'x', 'x', '2026-05-05', '2026-05-06', 'open')`,
        [books, year?.id],
      ),
      /conflicting key value violates exclusion/,
    );
    await refused(
      sql(`update account set role = 'retained-earnings' where id = $1`, [await account(books, '3010')]),
      /account_single_role/,
    );
    await refused(
      sql(`insert into opening_set (books_id, version, state, created_at) values ($1, 2, 'draft', now())`, [books]),
      /opening_set_one_draft/,
    );
  });

  it('a change to the figures of a posted set', async () => {
    const [set] = await sql('select id from opening_set where books_id = $1', [other]);
    const line = await account(other, '1010');
    await sql(
      `insert into opening_line (books_id, set_id, account_id, amount, source, set_by, set_at) values ($1, $2, $3, 5, 'typed', 1, now())`,
      [other, set?.id, line],
    );
    await sql(`update opening_set set state = 'posted' where id = $1`, [set?.id]);
    await refused(sql('update opening_line set amount = 6 where set_id = $1', [set?.id]), /posted opening set/);
    await refused(sql('delete from opening_line where set_id = $1', [set?.id]), /posted opening set/);
    await refused(
      sql(
        `insert into opening_line (books_id, set_id, account_id, amount, source, set_by, set_at) values ($1, $2, $3, 5, 'typed', 1, now())`,
        [other, set?.id, await account(other, '1050')],
      ),
      /posted opening set/,
    );
  });

  it('an amount in a currency that is none, and a posted one in a currency that is not switched on', async () => {
    const bank = await account(books, '1010');
    const [set] = await sql(`select id from opening_set where books_id = $1 and state = 'draft'`, [books]);
    await refused(
      database.current.transaction(async (tx) => {
        await tx.query(
          `insert into opening_line (books_id, set_id, account_id, amount, source, set_by, set_at) values ($1, $2, $3, 5, 'typed', 1, now())`,
          [books, set?.id, bank],
        );
        await tx.query(
          `insert into opening_part (books_id, set_id, account_id, currency, amount, base) values ($1, $2, $3, 'QQQ', 5, 5)`,
          [books, set?.id, bank],
        );
      }),
      /opening_part_currency/,
    );
    await refused(
      database.current.transaction(async (tx) => {
        const [row] = await tx.query<{ id: number }>(
          `insert into journal (books_id, number, date, description) values ($1, 900, '2026-07-31', 'raw') returning id`,
          [books],
        );
        await tx.query(
          `insert into journal_line (books_id, journal_id, line_no, account_id, amount, currency, foreign_amount) values ($1, $2, 1, $3, 5, 'ISK', 5)`,
          [books, row?.id, bank],
        );
      }),
      /journal_line_currency/,
    );
    expect((await sql('select code from iso_currency order by code')).map((row) => Object.values(row)[0])).toEqual(
      CURRENCY_CODES,
    );
  });
  it('a year that its periods do not divide, and years that do not join', async () => {
    const third = await newBooks({ name: 'Third' });
    const [year] = await sql('select id from fiscal_year where books_id = $1', [third]);
    const period = `select id from period where books_id = $1 order by start_date`;
    const [first] = await sql(period, [third]);
    await refused(sql('delete from period where id = $1', [first?.id]), /do not divide it/);
    await refused(sql(`update period set end_date = end_date - 1 where id = $1`, [first?.id]), /do not divide it/);
    await refused(sql(`update fiscal_year set end_date = end_date + 1 where id = $1`, [year?.id]), /do not divide it/);
    await refused(
      sql(
        `insert into period (books_id, fiscal_year_id, ordinal, code, name, kind, start_date, end_date, state) values ($1, $2, 13, 'A', 'A', 'adjustment', '2026-12-31', '2026-12-31', 'open')`,
        [third, year?.id],
      ),
      /do not divide it/,
    );
    await sql(
      `insert into period (books_id, fiscal_year_id, ordinal, code, name, kind, start_date, end_date, state) values ($1, $2, 13, 'A', 'A', 'adjustment', '2027-01-31', '2027-01-31', 'open')`,
      [third, year?.id],
    );
    await refused(
      sql(
        `insert into period (books_id, fiscal_year_id, ordinal, code, name, kind, start_date, end_date, state) values ($1, $2, 14, 'a', 'A', 'adjustment', '2027-01-31', '2027-01-31', 'open')`,
        [third, year?.id],
      ),
      /period_code/,
    );
    await refused(
      database.current.transaction(async (tx) => {
        const [next] = await tx.query<{ id: number }>(
          `insert into fiscal_year (books_id, name, start_date, end_date) values ($1, 'later', '2027-02-02', '2027-02-10') returning id`,
          [third],
        );
        await tx.query(
          `insert into period (books_id, fiscal_year_id, ordinal, code, name, start_date, end_date, state) values ($1, $2, 1, 'x', 'x', '2027-02-02', '2027-02-10', 'open')`,
          [third, next?.id],
        );
      }),
      /without a day between/,
    );
    expect(await sql('select id from fiscal_year where books_id = $1', [third])).toHaveLength(1);
  });

  it('other days for a period with posted journals, another base currency for posted books', async () => {
    const [period] = await sql(`select id from period where books_id = $1 and start_date = '2026-07-01'`, [books]);
    const sides = [await account(books, '1010'), await account(books, '3010')];
    await database.current.transaction(async (tx) => {
      const [row] = await tx.query<{ id: number }>(
        `insert into journal (books_id, number, date, description, period_id) values ($1, 50, '2026-07-31', 'in July', $2) returning id`,
        [books, period?.id],
      );
      for (const [at, side] of sides.entries())
        await tx.query(
          'insert into journal_line (books_id, journal_id, line_no, account_id, amount) values ($1, $2, $3, $4, $5)',
          [books, row?.id, at + 1, side, at === 0 ? 7 : -7],
        );
      await tx.query('update journal set posted_at = now(), posted_by = 1 where id = $1', [row?.id]);
    });
    await refused(sql(`update period set start_date = '2026-07-02' where id = $1`, [period?.id]), /keeps its days/);
    await refused(sql('delete from period where id = $1', [period?.id]), /violates foreign key/);
    await refused(sql(`update books set base_currency = 'USD' where id = $1`, [books]), /base currency/);
  });

  it('an account in a currency that is not switched on, its switching off, and senseless rates', async () => {
    const bank = await account(other, '1010');
    await refused(sql(`update account set currency = 'NOK' where id = $1`, [bank]), /account_currency/);
    await sql(`insert into books_currency values ($1, 'NOK', 1, now())`, [other]);
    await sql(`update account set currency = 'NOK' where id = $1`, [bank]);
    await refused(sql(`delete from books_currency where books_id = $1`, [other]), /account_currency/);
    await refused(
      sql(`update account set currency = 'NOK' where id = $1`, [await account(books, '1010')]),
      /account_currency/,
    );
    const rate = (unit: string, quote: string, value: string) =>
      sql(
        `insert into rate (books_id, date, unit, quote, rate, source, set_by, set_at) values ($1, '2026-07-31', $2, $3, $4, 'raw', 1, now())`,
        [other, unit, quote, value],
      );
    await refused(rate('NOK', 'NOK', '1'), /check constraint/);
    await refused(rate('NOK', 'EUR', '0'), /check constraint/);
    await refused(rate('NOK', 'EUR', '-1'), /check constraint/);
    await rate('NOK', 'EUR', '0.0870');
    await refused(rate('EUR', 'NOK', '11.5'), /rate_of_day/);
    const [kept] = await database.current.query<{ rate: string }>(
      'select rate::text as rate from rate where books_id = $1',
      [other],
    );
    expect(kept?.rate).toBe('0.0870');
  });
});

describe('roles that may stand once', () => {
  const database = withDatabase();
  it('are the same in the database and in core', async () => {
    const [index] = await database.current.query<{ definition: string }>(
      "select pg_get_indexdef('account_single_role'::regclass) as definition",
    );
    const inDatabase = [...(index?.definition ?? '').matchAll(/'([a-z-]+)'/g)].map(([, role]) => role).sort();
    expect(inDatabase).toEqual(ACCOUNT_ROLES.flatMap(({ id, single }) => (single ? [id] : [])).sort());
  });
});

describe('references', () => {
  const database = withDatabase();
  it('that are deleted through have an index that leads to them', async () => {
    // People, practices and the list of currencies are never deleted; of the others, books alone is no way to a row.
    const found = await database.current.query<{ name: string }>(
      `select c.conname as name from pg_constraint c
       where c.contype = 'f' and c.confrelid not in ('person'::regclass, 'practice'::regclass, 'books'::regclass, 'iso_currency'::regclass)
         and not exists (
           select from pg_index i
           cross join lateral (select attname from pg_attribute a where a.attrelid = i.indrelid and a.attnum = i.indkey[0]) first
           where i.indrelid = c.conrelid and i.indkey[0] = any (c.conkey)
             and (first.attname <> 'books_id' or i.indkey[1] = any (c.conkey)))
       order by name`,
    );
    expect(found.map(({ name }) => name)).toEqual([]);
  });
});

describe('people', () => {
  const database = withDatabase();
  it('of another practice stand nowhere in books, and each place where one stands is watched', async () => {
    const books = await newBooks();
    const sql = (text: string, parameters: readonly unknown[] = []) =>
      database.current.query<{ id: number }>(text, parameters);
    await sql(`insert into practice (id, name) overriding system value values (2, 'Elsewhere')`);
    const [stranger] = await sql(`insert into person (practice_id, name) values (2, 'Stranger') returning id`);
    const id = stranger?.id;
    const another = /person \d+ is of another practice/;
    await refused(sql(`insert into books_currency values ($1, 'NOK', $2, now())`, [books, id]), another);
    await sql(`insert into books_currency values ($1, 'NOK', 1, now())`, [books]);
    await refused(sql(`update books_currency set added_by = $1 where books_id = $2`, [id, books]), another);
    await refused(
      sql(
        `insert into history (books_id, subject, subject_id, what, by_person, at) values ($1, 'books', $1, '["x"]', $2, now())`,
        [books, id],
      ),
      another,
    );
    await refused(sql(`update books set created_by = $1 where id = $2`, [id, books]), /books_created_by_fkey/);
    const unwatched = await database.current.query<{ place: string }>(
      `select c.conrelid::regclass::text as place from pg_constraint c
       where c.contype = 'f' and c.confrelid = 'person'::regclass and cardinality(c.conkey) = 1
         and (select count(*) from pg_trigger t where t.tgrelid = c.conrelid and t.tgfoid::regproc::text = 'person_of_the_books_' || (select attname from pg_attribute where attrelid = c.conrelid and attnum = c.conkey[1])) <> 2`,
    );
    expect(unwatched).toEqual([]);
  });
});
