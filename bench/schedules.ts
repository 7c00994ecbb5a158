// Open items by the ten thousand: brought and tied, looked at, one of them changed; and the overview of many accounts.
import type { PGlite } from '@electric-sql/pglite';
import type { Page } from '@playwright/test';
import Papa from 'papaparse';
import { chartView } from '@/actions/chart/views';
import { database } from '@/actions/kernel/context';
import { openingsView } from '@/actions/openings/views';
import { bringList, takeList } from '@/actions/schedules/bring';
import { saveItems } from '@/actions/schedules/items';
import { scheduleView, schedulesView } from '@/actions/schedules/views';
import { columnsOf } from '@/core/money/columns';
import type { AccountRole } from '@/core/ledger/classes';
import { minor } from '@/core/money/minor';
import { blankItem } from '@/core/schedules/item';
import { makeBooks, valueOf } from './books';
import { presses } from './chart';
import type { Note } from './turns';

type Timed = (work: () => Promise<unknown>) => Promise<number>;

const ITEMS = 50_000;
const CONTACTS = 5_000;

const trialBooks = (name: string): Promise<number> =>
  makeBooks(name, { legalForm: 'limited-company', cutover: '2026-08-01' });

const listText = (): string =>
  [
    'Customer no,Customer,Type,Document,Date,Due,Currency,Amount,Open',
    ...Array.from({ length: ITEMS }, (_, at) => {
      const who = at % CONTACTS;
      const day = String(1 + (at % 28)).padStart(2, '0');
      const amount = `${String(10 + (at % 900))}.${String(at % 100).padStart(2, '0')}`;
      return `C${String(who)},Customer number ${String(who)},Invoice,INV-${String(at)},2026-06-${day},2026-07-${day},EUR,${amount},${amount}`;
    }),
  ].join('\n');

/** The rows that a list became, and what is recorded of them, put once more straight into their tables; nothing of it stays. */
const straightIn = async (books: number, account: number, timed: Timed): Promise<number> => {
  const undone = new Error('not to stay');
  let took = 0;
  await (
    await database()
  )
    .transaction(async (tx) => {
      const columns = `books_id, set_id, account_id, kind, contact_id, number, reference, order_no, doc_date, due_date, currency, original,
        open, base, note, detail, beside, beside_account_id, paper_id, paper_row, set_by, set_at`;
      took = await timed(async () => {
        await tx.query(
          `insert into schedule_item (${columns}) select ${columns} from schedule_item where books_id = $1 and account_id = $2`,
          [books, account],
        );
        await tx.query(
          `insert into change (books_id, batch, subject, subject_id, field, is_now)
           select c.books_id, c.batch, c.subject, c.subject_id, c.field, c.is_now from change c
           where c.books_id = $1 and c.subject = 'item' and c.is_now ->> 'account' = $2`,
          [books, String(account)],
        );
      });
      throw undone;
    })
    .catch((error: unknown) => {
      if (error !== undone) throw error;
    });
  return took;
};

const STRAIGHT = 'bare parsing, the same rows straight into their tables';

/** Gives the books and the account, for what is measured in the browser. */
export const scheduleFigures = async (
  note: Note,
  bare: PGlite,
  timed: Timed,
): Promise<{ readonly books: number; readonly account: number }> => {
  const books = await trialBooks('Fifty thousand items');
  const account = (await chartView(books))?.rows.find((row) => row.account.code === '1100')?.account.id ?? 0;
  const set = (await openingsView(books))?.set?.id ?? 0;
  const text = listText();
  const content = new TextEncoder().encode(text);
  const ours = await timed(async () => {
    const preview = valueOf(await bringList({ books, account, name: 'fifty-thousand.csv', content }));
    const taken = valueOf(await takeList({ books, set, account, paper: preview.paper }));
    if (taken.items !== ITEMS) throw new Error(`only ${String(taken.items)} were taken`);
    const tie = (await scheduleView(books, account))?.found?.tie;
    if (tie?.items !== ITEMS) throw new Error('not tied');
  });
  await bare.exec(
    'create table plain_item (contact text, name text, kind text, number text, date date, due date, currency text, amount numeric, open numeric)',
  );
  const parsed = await timed(() => Promise.resolve(Papa.parse<readonly string[]>(text, { skipEmptyLines: true })));
  const theirs = await timed(async () => {
    const { data } = Papa.parse<readonly string[]>(text, { skipEmptyLines: true });
    const rows = data.slice(1);
    await bare.query(
      'insert into plain_item select * from unnest($1::text[], $2::text[], $3::text[], $4::text[], $5::date[], $6::date[], $7::text[], $8::numeric[], $9::numeric[])',
      Array.from({ length: 9 }, (_, at) => rows.map((row) => row[at] ?? '')),
    );
  });
  const what = '50,000 open items of 5,000 contacts, brought and tied';
  note(what, ours, 'bare parsing and one bare insert', theirs);
  note(what, ours, STRAIGHT, parsed + (await straightIn(books, account, timed)));

  const open = await database();
  const view = await scheduleView(books, account);
  note(
    'schedule of 50,000 items, its view',
    await timed(() => scheduleView(books, account)),
    'the one query that reads them',
    await timed(() =>
      open.view((tx) =>
        tx.query('select * from schedule_item where books_id = $1 and account_id = $2 order by id', [books, account]),
      ),
    ),
  );
  note(
    'schedule of 50,000 items, sent',
    columnsOf(view?.found?.items ?? []).length,
    'the list itself',
    content.length,
    'bytes',
  );
  const [first] = view?.found?.items ?? [];
  const change = async (): Promise<void> => {
    const {
      id,
      revision,
      account: _,
      paper: __,
      row: ___,
      ...fields
    } = first ?? {
      ...blankItem('customers', 'EUR'),
      id: 0,
      revision: 0,
      account,
      paper: null,
      row: null,
    };
    valueOf(
      await saveItems({
        books,
        set,
        account,
        entries: [{ id, revision, item: { ...fields, open: minor(fields.open + 1n) } }],
      }),
    );
  };
  note(
    'one of 50,000 items saved',
    await timed(change),
    'its bare statement',
    await timed(() =>
      open.transaction((tx) => tx.query('update schedule_item set note = note where id = $1', [first?.id ?? 0])),
    ),
  );
  // Whoever looks first after a change has all checks computed anew; the others find what they came to.
  const anew = await timed(() => schedulesView(books));
  const again = await timed(() => schedulesView(books));
  const sums = await timed(() =>
    open.view((tx) =>
      tx.query(
        'select account_id, currency, sum(open), count(*) from schedule_item where books_id = $1 group by 1, 2',
        [books],
      ),
    ),
  );
  note('the overview of schedules, its view', again, 'one query that sums the items by account', sums);
  note('the overview of schedules after a change, its view', anew, 'one query that sums the items by account', sums);
  return { books, account };
};

const registerText = (assets: number): string =>
  [
    'Code,Asset,Acquired,Life (years),Cost,Depreciation,Net book value',
    ...Array.from({ length: assets }, (_, at) => {
      const cost = 1000 + (at % 900);
      return `A${String(at)},Thing number ${String(at)},20${String(15 + (at % 10))}-06-01,10,${String(cost)}.00,${String(at % 900)}.00,${String(cost - (at % 900))}.00`;
    }),
  ].join('\n');

const stockText = (articles: number): string =>
  [
    'Code,Article,Unit,Quantity,Unit cost,Value',
    ...Array.from({ length: articles }, (_, at) => {
      const quantity = 1 + (at % 500);
      return `S${String(at)},Article number ${String(at)},pc,${String(quantity)},2.5000,${String((quantity * 5) / 2 - (quantity % 2) / 2)}.${quantity % 2 === 0 ? '00' : '50'}`;
    }),
  ].join('\n');

/** Registers of assets and counts of stock, brought and tied. */
export const thingFigures = async (note: Note, bare: PGlite, timed: Timed): Promise<void> => {
  const books = await trialBooks('Many things');
  const chart = (await chartView(books))?.rows ?? [];
  const set = (await openingsView(books))?.set?.id ?? 0;
  const measure = async (
    what: string,
    role: AccountRole,
    count: number,
    text: string,
    types: string,
  ): Promise<void> => {
    const account = chart.find((row) => row.account.role === role)?.account.id ?? 0;
    const content = new TextEncoder().encode(text);
    const ours = await timed(async () => {
      const preview = valueOf(await bringList({ books, account, name: `${role}.csv`, content }));
      const taken = valueOf(await takeList({ books, set, account, paper: preview.paper }));
      if (taken.items !== count) throw new Error(`only ${String(taken.items)} were taken`);
      if ((await scheduleView(books, account))?.found?.tie.items !== count) throw new Error('not tied');
    });
    const names = types.split(' ');
    const parsed = await timed(() => Promise.resolve(Papa.parse<readonly string[]>(text, { skipEmptyLines: true })));
    await bare.exec(
      `create table plain_${role.replaceAll('-', '_')} (${names.map((type, at) => `c${String(at)} ${type}`).join(', ')})`,
    );
    const theirs = await timed(async () => {
      const { data } = Papa.parse<readonly string[]>(text, { skipEmptyLines: true });
      const rows = data.slice(1);
      await bare.query(
        `insert into plain_${role.replaceAll('-', '_')} select * from unnest(${names.map((type, at) => `$${String(at + 1)}::${type}[]`).join(', ')})`,
        names.map((_, at) => rows.map((row) => row[at] ?? '')),
      );
    });
    note(what, ours, 'bare parsing and one bare insert', theirs);
    note(what, ours, STRAIGHT, parsed + (await straightIn(books, account, timed)));
  };
  await measure(
    '20,000 assets, brought and tied',
    'fixed-asset-cost',
    20_000,
    registerText(20_000),
    'text text date int numeric numeric numeric',
  );
  await measure(
    '50,000 articles of stock, brought and tied',
    'stock',
    50_000,
    stockText(50_000),
    'text text text numeric numeric numeric',
  );
};

/** Keys into a sheet of 50,000 items, from the key to the paint after it. */
export const itemsInBrowser = async (note: Note, page: Page, url: string, bareTyped: number): Promise<void> => {
  const bare = 'a bare input on an empty page';
  await page.goto(url, { waitUntil: 'networkidle' });
  const cell = page.getByRole('grid').getByRole('row').nth(12).getByRole('gridcell').nth(2);
  await cell.click();
  await page.keyboard.press('F2');
  note(
    'sheet of 50,000 items: keystroke to paint',
    await presses(page, Array.from('kelp and sand'), 40),
    bare,
    bareTyped,
  );
  await page.keyboard.press('Escape');
  note(
    'sheet of 50,000 items: going down, key to paint',
    await presses(page, ['ArrowDown', 'ArrowDown', 'ArrowDown', 'ArrowDown', 'ArrowDown'], 200),
    bare,
    bareTyped,
  );
};
