// What every page and every change costs: the board of a practice, one change among 20,000 accounts, the sheet and the proof of them.
import { gzipSync } from 'node:zlib';
import { boardView } from '@/actions/books/views';
import { changeAccount } from '@/actions/chart/commands';
import { database } from '@/actions/kernel/context';
import { saveFigures } from '@/actions/openings/figures';
import { openingsView, proofView } from '@/actions/openings/views';
import { valueOf } from './books';
import { type Note, noteTurns } from './turns';

/** `large` are books with 20,000 accounts, in a practice with 500 others. */
export const houseFigures = async (note: Note, large: number): Promise<void> => {
  const open = await database();
  await noteTurns(
    note,
    'board of 500 sets of books, its view',
    9,
    boardView,
    'one query that reads 500 rows of books',
    () => open.view((tx) => tx.query('select * from books where practice_id = 1 order by name, id')),
  );

  const view = await openingsView(large);
  const rows = view?.rows.filter((row) => !row.heading) ?? [];
  const [first, second] = rows;
  if (first === undefined || second === undefined || view?.set == null) throw new Error('no sheet');
  const set = view.set.id;
  await noteTurns(
    note,
    'rename one account among 20,000',
    40,
    async (at) =>
      valueOf(await changeAccount({ books: large, id: first.id, change: { name: `Renamed ${String(at)}` } })),
    'the bare update in its transaction',
    (at) =>
      open.transaction((tx) =>
        tx.query('update account set name = $2 where id = $1', [second.id, `Bare ${String(at)}`]),
      ),
  );

  let revision = first.revision;
  await noteTurns(
    note,
    'save one figure among 20,000',
    40,
    async (at) => {
      const done = valueOf(
        await saveFigures({
          books: large,
          set,
          entries: [{ account: first.id, amount: BigInt(at + 1), revision, restores: false }],
        }),
      );
      if (done.saved) revision = done.revisions[0]?.revision ?? revision;
    },
    'the bare statements in their transaction',
    (at) =>
      open.transaction(async (tx) => {
        await tx.query('select id from books where id = $1 for update', [large]);
        await tx.query('select * from opening_line where set_id = $1 and account_id = $2 for update', [set, second.id]);
        await tx.query(
          `insert into opening_line (books_id, set_id, account_id, amount, source, set_by, set_at)
           values ($1, $2, $3, $4, 'typed', 1, now())
           on conflict (set_id, account_id) do update set amount = excluded.amount`,
          [large, set, second.id, at + 1],
        );
        await tx.query(
          `with own as (insert into batch (id, books_id, action, by_person, at) values (gen_random_uuid(), $1, 'saveFigures', 1, now()) returning id)
           insert into change (books_id, batch, subject, subject_id, field, is_now)
           select $1, own.id, 'figure', $2, $3, jsonb_build_object('amount', $4::text, 'source', 'typed') from own`,
          [large, second.id, String(set), String(at + 1)],
        );
      }),
  );

  const sheetQuery = () =>
    open.view((tx) =>
      tx.query(
        `select a.*, l.amount, l.source, l.revision from account a
         left join opening_line l on l.account_id = a.id and l.set_id = $2 where a.books_id = $1 order by a.code`,
        [large, set],
      ),
    );
  await noteTurns(
    note,
    'opening sheet of 20,000 accounts, its view',
    7,
    () => openingsView(large),
    'the one query that reads them',
    sheetQuery,
  );
  const bytes = Buffer.from(
    JSON.stringify(await openingsView(large), (_, value: unknown) =>
      typeof value === 'bigint' ? String(value) : value instanceof Map ? [...value] : value,
    ),
  );
  note('opening sheet of 20,000 accounts, compressed', gzipSync(bytes).length, 'one megabyte', 1024 * 1024, 'bytes');
  await noteTurns(
    note,
    'proof of 20,000 accounts, its view after a change',
    7,
    async () => {
      await open.transaction((tx) => tx.query('update books set revision = revision + 1 where id = $1', [large]));
      return proofView(large);
    },
    'one pass over the same rows',
    sheetQuery,
  );
};
