import { randomUUID } from 'node:crypto';
import { beforeAll, describe, expect, it } from 'vitest';
import { openingsView } from '@/actions/openings/views';
import type { Growing } from '@/store/database';
import { newBooks, refused, withDatabase } from './support';

/** So many that a driver may check their references all together. */
const MANY = 10_000;

/** What has to stand beside a column of a table where that one says something. */
const WITH: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  'journal_line currency': { foreign_amount: '5' },
  'opening_line paper_id': { source: 'paper' },
  'schedule_item paper_id': { paper_row: '1' },
};

interface Reference {
  readonly table: Growing;
  readonly name: string;
  readonly own: readonly string[];
}

/** Many rows written at once are held to the same rules as one. */
describe('many rows at once', () => {
  const database = withDatabase();
  const sql = <Row extends object>(text: string, parameters: readonly unknown[] = []) =>
    database.current.query<Row>(text, parameters);
  /** A row of each table that is right, as text. */
  const right = new Map<Growing, Readonly<Record<string, string>>>();
  let references: readonly Reference[] = [];

  const write = (table: Growing, row: Readonly<Record<string, string>>): Promise<unknown> =>
    database.current.transaction(async (tx) => {
      const columns = Object.keys(row);
      await tx.many(table, MANY, () =>
        tx.query(
          `insert into ${table} (${columns.join(', ')}) values (${columns.map((_, at) => `$${String(at + 1)}`).join(', ')})`,
          Object.values(row),
        ),
      );
      await tx.query('set constraints all immediate');
      throw new Error('it was written');
    });

  beforeAll(async () => {
    const books = await newBooks();
    const set = (await openingsView(books))?.set?.id ?? 0;
    const numbered = async (text: string, parameters: readonly unknown[]): Promise<string> =>
      String((await sql<{ id: number }>(text, parameters))[0]?.id ?? 0);
    const account = await numbered(`select id from account where books_id = $1 and code = '1010'`, [books]);
    const other = await numbered(`select id from account where books_id = $1 and code = '1100'`, [books]);
    const heading = await numbered(
      `select parent_id as id from account where books_id = $1 and code = '1010' and parent_id is not null`,
      [books],
    );
    const paper = await numbered(
      `insert into paper (books_id, name, sha256, content, bytes, media, kept, brought_by, brought_at)
       values ($1, 'a.csv', 'x', '', 0, 'text/csv', true, 1, now()) returning id`,
      [books],
    );
    const taking = await numbered(
      `insert into take_over (books_id, paper_id, set_id, key, batch, figures, created, at)
       values ($1, $2, $3, $4, $5, 1, 0, now()) returning id`,
      [books, paper, set, randomUUID(), randomUUID()],
    );
    const journal = await numbered(
      `insert into journal (books_id, number, date, description) values ($1, 1, '2026-07-31', 'open') returning id`,
      [books],
    );
    const batch = randomUUID();
    await sql(`insert into batch (id, books_id, action, by_person, at) values ($1, $2, 'saveFigures', 1, now())`, [
      batch,
      books,
    ]);
    await sql(
      `insert into opening_line (books_id, set_id, account_id, amount, source, set_by, set_at) values ($1, $2, $3, 5, 'typed', 1, now())`,
      [books, set, other],
    );
    const of = { books_id: String(books) };
    const set_by = { set_by: '1', set_at: '2026-08-01T10:00:00Z' };
    const chosen = { ...of, set_id: String(set) };
    right.set('account', {
      ...of,
      code: '1011',
      name: 'Another bank',
      classification: 'current-asset',
      heading: 'false',
      parent_id: heading,
    });
    right.set('change', { ...of, batch, subject: 'account', subject_id: account, field: '*', is_now: '{}' });
    right.set('contact', {
      ...of,
      ...set_by,
      name: 'Gull & Sons',
      role: 'customer',
      ...Object.fromEntries(
        ['code', 'legal_name', 'tax_number', 'country', 'address', 'person', 'email', 'phone', 'currency', 'note'].map(
          (column) => [column, ''],
        ),
      ),
      active: 'true',
    });
    right.set('journal_line', { ...of, journal_id: journal, line_no: '1', account_id: account, amount: '5' });
    right.set('opening_line', { ...chosen, ...set_by, account_id: account, amount: '5', source: 'typed' });
    right.set('opening_part', { ...chosen, account_id: other, currency: 'NOK', amount: '50', base: '5' });
    right.set('schedule_item', {
      ...chosen,
      ...set_by,
      account_id: account,
      kind: 'entry',
      number: '',
      reference: '',
      order_no: '',
      currency: 'EUR',
      open: '5',
      note: '',
    });
    right.set('taken_rows', {
      ...of,
      paper_id: paper,
      take_over_id: taking,
      account_id: account,
      row_nos: '{1}',
      texts: '{x}',
      amounts: '{5}',
    });
    references = await sql<Reference>(
      `select c.conrelid::regclass::text as table, c.conname as name,
         array(select a.attname::text from unnest(c.conkey) with ordinality as k (number, place)
           join pg_attribute a on a.attrelid = c.conrelid and a.attnum = k.number where a.attgenerated = '' order by k.place) as own
       from pg_constraint c where c.contype = 'f' and c.conrelid::regclass::text = any($1::text[]) order by 1, 2`,
      [[...right.keys()]],
    );
  });

  it('are written where they are right', async () => {
    for (const [table, row] of right) await refused(write(table, row), /^it was written$/);
  });

  it('are refused where one refers to what is not there, through each of their references', async () => {
    expect(references.length).toBeGreaterThanOrEqual(30);
    for (const { table, name, own } of references) {
      const row = right.get(table) ?? {};
      // What an item bears of analysis codes stands in its detail.
      const place = /^schedule_item_analysis_(\d)$/.exec(name)?.[1];
      const column = own.at(-1) ?? '';
      const wrong =
        place !== undefined
          ? { detail: JSON.stringify({ [`analysis${place}`]: '999999' }) }
          : { [column]: column === 'batch' ? randomUUID() : /currency|tax_code/.test(column) ? 'ZZZ' : '999999' };
      await refused(
        write(table, { ...row, ...wrong, ...WITH[`${table} ${column}`] }),
        column === 'set_by' || column === 'books_id' ? /violates foreign key|of another practice/ : new RegExp(name),
      );
    }
  });

  it('cost no look into lists and documents, which nothing is looked for in', async () => {
    const sampled = await sql<{ name: string }>(
      `select c.relname || '.' || a.attname as name from pg_attribute a
       join pg_class c on c.oid = a.attrelid join pg_namespace n on n.oid = c.relnamespace join pg_type t on t.oid = a.atttypid
       where n.nspname = current_schema() and c.relkind = 'r' and a.attnum > 0 and not a.attisdropped
         and (t.typcategory = 'A' or t.typname = 'jsonb') and coalesce(a.attstattarget, -1) <> 0`,
    );
    expect(sampled).toEqual([]);
  });

  it('do not go past the triggers: none is asleep, and people of elsewhere are refused', async () => {
    const asleep = await sql<{ name: string }>(
      `select t.tgrelid::regclass || ' ' || t.tgname as name from pg_trigger t where not t.tgisinternal and t.tgenabled <> 'A'`,
    );
    expect(asleep).toEqual([]);
    await sql(`insert into practice (id, name) overriding system value values (2, 'Elsewhere')`);
    const [stranger] = await sql<{ id: number }>(
      `insert into person (practice_id, name) values (2, 'Stranger') returning id`,
    );
    await refused(
      write('opening_line', { ...right.get('opening_line'), set_by: String(stranger?.id) }),
      /of another practice/,
    );
  });

  it('are written, or refused, outside of a transaction too', async () => {
    const line = (more: Readonly<Record<string, string>>) => {
      const row = { ...right.get('opening_line'), ...more };
      const columns = Object.keys(row);
      return database.current.many('opening_line', MANY, () =>
        sql(
          `insert into opening_line (${columns.join(', ')}) values (${columns.map((_, at) => `$${String(at + 1)}`).join(', ')})`,
          Object.values(row),
        ),
      );
    };
    await refused(line({ account_id: '999999' }), /opening_line_account/);
    await line({});
    const { set_id: set, account_id: account } = right.get('opening_line') ?? {};
    await sql('delete from opening_line where set_id = $1 and account_id = $2', [set, account]);
  });

  it('leave the checks on for what is written next', async () => {
    await refused(
      database.current.transaction(async (tx) => {
        await tx.many('opening_line', MANY, () => Promise.resolve());
        await tx.query('delete from account where books_id = $1', [right.get('opening_line')?.['books_id']]);
      }),
      /violates foreign key/,
    );
  });
});
