// Large papers: brought, recognised, matched and taken over through the actions, against bare parsing plus a bare insert.
import { PGlite } from '@electric-sql/pglite';
import * as XLSX from '@e965/xlsx';
import { randomUUID } from 'node:crypto';
import Papa from 'papaparse';
import { createBooks } from '../src/actions/books/commands';
import { database } from '../src/actions/kernel/context';
import { createUndecided } from '../src/actions/papers/decisions';
import { bringPaper } from '../src/actions/papers/commands';
import { takeOver } from '../src/actions/papers/take-over';
import { editChart } from '../src/actions/chart/commands';
import { paperView } from '../src/actions/papers/views';
import { PLAIN_ACCOUNT } from '../src/core/chart/account';
import type { Result } from '../src/core/base/result';
import { toXlsx } from '../src/core/files/write';
import { minor } from '../src/core/money/minor';
import type { Note } from './turns';

const done = <T>(result: Result<T>): T => {
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return result.value;
};

const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const start = performance.now();
  await work();
  return performance.now() - start;
};

/** Amounts of a paper that nets to zero, without any row that happens to be the sum of others. */
const cents = (at: number, rows: number): bigint =>
  (at < rows / 2 ? 1n : -1n) * BigInt(100 + (((at % (rows / 2)) * 7919) % 900_001));

const ACCOUNTS = 5000;
const codeOf = (at: number): string => String(100_000 + (at % ACCOUNTS));
const nameOf = (at: number): string => `Ledger ${String(at % ACCOUNTS)}`;

/** Many old accounts become one: every row goes to one of 5,000 accounts, by its code and name. */
const csvOf = (rows: number): Uint8Array =>
  new TextEncoder().encode(
    `Code;Account;Balance\n${Array.from({ length: rows }, (_, at) => `${codeOf(at)};${nameOf(at)};${(Number(cents(at, rows)) / 100).toFixed(2)}`).join('\n')}\n`,
  );

const xlsxOf = (rows: number): Uint8Array =>
  toXlsx('Balances', [
    ['Code', 'Account', 'Balance'],
    ...Array.from(
      { length: rows },
      (_, at) => [codeOf(at), nameOf(at), { amount: minor(cents(at, rows)), digits: 2 }] as const,
    ),
  ]);

const bareInsert = async (bare: PGlite, rows: readonly (readonly string[])[]): Promise<void> => {
  await bare.exec('create table if not exists bare_row (code text, name text, amount numeric); truncate bare_row');
  await bare.query('insert into bare_row select * from unnest($1::text[], $2::text[], $3::numeric[])', [
    rows.map((row) => row[0]),
    rows.map((row) => row[1]),
    rows.map((row) => row[2]),
  ]);
};

const booksOf = async (name: string): Promise<number> =>
  done(
    await createBooks({
      name,
      legalForm: 'limited-company',
      country: 'IE',
      currency: 'EUR',
      style: '1,234.56',
      purpose: 'trial',
      yearStart: '2026-02-01',
      cutover: '2026-08-01',
      starter: 'empty',
      evenIfSameName: true,
    }),
  ).id;

/** Accounts of a paper, their figures and what changed, put straight into the product's own tables with all that these check. */
const straightIn = async (books: number, rows: readonly (readonly [code: string, name: string])[]): Promise<void> =>
  (await database()).transaction(async (tx) => {
    const set = (await tx.query<{ readonly id: number }>('select id from opening_set where books_id = $1', [books]))[0]
      ?.id;
    const made = await tx.query<{ readonly id: number }>(
      `insert into account (books_id, code, name, classification, heading, contra)
       select $1, code, name, 'current-asset', false, false from unnest($2::text[], $3::text[]) as t (code, name) returning id`,
      [books, rows.map(([code]) => code), rows.map(([, name]) => name)],
    );
    const ids = made.map(({ id }) => id);
    await tx.query(
      `insert into opening_line (books_id, set_id, account_id, amount, source, set_by, set_at)
       select $1, $2, id, 1000, 'typed', 1, now() from unnest($3::int[]) as t (id)`,
      [books, set, ids],
    );
    await tx.query(
      `with own as (insert into batch (id, books_id, action, by_person, at) values (gen_random_uuid(), $1, 'takeOver', 1, now()) returning id)
       insert into change (books_id, batch, subject, subject_id, field, is_now)
       select $1, own.id, 'figure', t.id, $2, '{"amount": "1000", "source": "typed"}' from own, unnest($3::int[]) as t (id)`,
      [books, String(set), ids],
    );
  });

/** What a take-over keeps of a paper beside the paper itself: the table, what of it is written, and which rows are of it. */
const KEPT = [
  ['opening_line', 'books_id, set_id, account_id, amount, source, paper_id, set_by, set_at', 'true'],
  ['taken_rows', 'books_id, paper_id, take_over_id, account_id, reason, row_nos, texts, amounts', 'true'],
  ['change', 'books_id, batch, subject, subject_id, field, is_now', "subject = 'figure'"],
  ['match_memory', 'books_id, code, name, account_id, reason, set_at', 'true'],
] as const;

/** A paper and what its take-over left, put once more straight into their tables with all that these check; nothing of it stays. */
const keptAgain = async (books: number): Promise<number> => {
  const undone = new Error('not to stay');
  let took = 0;
  await (
    await database()
  )
    .transaction(async (tx) => {
      for (const [table, columns, which] of KEPT)
        await tx.query(
          `create temporary table ${table}_kept on commit drop as select ${columns} from ${table} where books_id = $1 and ${which}`,
          [books],
        );
      for (const table of ['taken_rows', 'opening_line', 'match_memory'])
        await tx.query(`delete from ${table} where books_id = $1`, [books]);
      took = await timed(async () => {
        await tx.query(
          `insert into paper (books_id, name, sha256, content, bytes, media, kept, brought_by, brought_at)
           select books_id, name, md5(sha256) || md5(name), content, bytes, media, kept, brought_by, brought_at from paper where books_id = $1`,
          [books],
        );
        for (const [table, columns] of KEPT)
          await tx.query(`insert into ${table} (${columns}) select ${columns} from ${table}_kept`);
      });
      throw undone;
    })
    .catch((error: unknown) => {
      if (error !== undone) throw error;
    });
  return took;
};

/** A paper whose accounts are all new: made, with their headings and figures, beside the same rows put straight in. */
const createdFigures = async (note: Note): Promise<void> => {
  const created = 20_000;
  const rows = Array.from(
    { length: created },
    (_, at) => [String(100_000 + at), `Kelp account ${String(at)}`] as const,
  );
  const theirs = await timed(async () => straightIn(await booksOf('Straight in'), rows));
  const books = await booksOf('All new');
  const text = rows.map(([code, name], at) => `${code};${name};${at % 2 === 0 ? '10.00' : '-10.00'}`).join('\n');
  const content = new TextEncoder().encode(`Code;Account;Balance\n${text}\n`);
  const { paper } = done(await bringPaper({ books, name: 'all new.csv', content }));
  // Somebody has seen the paper's page before they make accounts of its rows.
  await paperView(books, paper);
  const ours = await timed(async () => {
    done(await createUndecided({ books, paper }));
    done(await takeOver({ books, paper, key: randomUUID() }));
  });
  note(
    '20,000 accounts made by a take-over',
    ours,
    'accounts, figures and changes put straight into the same tables',
    theirs,
  );
};

export const paperFigures = async (note: Note, bare: PGlite): Promise<void> => {
  for (const [what, content, parse] of [
    [
      '100,000 rows of CSV',
      csvOf(100_000),
      (bytes: Uint8Array) =>
        Papa.parse<string[]>(new TextDecoder().decode(bytes), { delimiter: ';', skipEmptyLines: true }).data.slice(1),
    ],
    [
      '50,000 rows of XLSX',
      xlsxOf(50_000),
      (bytes: Uint8Array) => {
        const book = XLSX.read(bytes, { type: 'array', dense: true });
        const sheet = book.Sheets[book.SheetNames[0] ?? ''];
        return sheet === undefined
          ? []
          : XLSX.utils
              .sheet_to_json<string[]>(sheet, { header: 1 })
              .slice(1)
              .map((row) => row.map(String));
      },
    ],
  ] as const) {
    const theirs = await timed(() => bareInsert(bare, parse(content)));
    const parsed = await timed(() => Promise.resolve(parse(content)));
    const books = await booksOf(what);
    done(
      await editChart({
        books,
        edits: Array.from({ length: ACCOUNTS }, (_, at) => ({
          kind: 'add' as const,
          id: -1 - at,
          account: { ...PLAIN_ACCOUNT, code: codeOf(at), name: nameOf(at), classification: 'current-asset' as const },
        })),
      }),
    );
    let paper = 0;
    const brought = await timed(async () => {
      paper = done(
        await bringPaper({ books, name: `${what}.${what.endsWith('CSV') ? 'csv' : 'xlsx'}`, content }),
      ).paper;
    });
    const seen = await timed(() => paperView(books, paper));
    const taken = await timed(async () => done(await takeOver({ books, paper, key: randomUUID() })));
    const baseline = 'bare parsing plus a bare insert';
    const whole = `${what}: the whole way, from the drop to the figures`;
    note(whole, brought + seen + taken, baseline, theirs);
    const straight = parsed + (await keptAgain(books));
    note(whole, brought + seen + taken, 'bare parsing, the same rows straight into their tables', straight);
    note(`${what}: brought (read, stored)`, brought, baseline, theirs);
    note(`${what}: recognised and matched for the screen`, seen, baseline, theirs);
    note(`${what}: taken over (figures and rows written)`, taken, baseline, theirs);
  }
  await createdFigures(note);
};
