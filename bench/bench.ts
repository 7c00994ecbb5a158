/**
 * Speed as ratios: each figure is measured against a named baseline in the same run, on the same machine, with the same data.
 * Store and server figures first, then the browser's. Prints one table; asserts nothing.
 */
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { chromium } from '@playwright/test';
import { closeDatabase, database, useDatabase } from '@/actions/kernel/context';
import { saveFigures } from '@/actions/openings/figures';
import { postOpenings } from '@/actions/openings/posting';
import { drawCalendar } from '@/actions/calendar/commands';
import { calendarView } from '@/actions/calendar/views';
import { openingsView } from '@/actions/openings/views';
import { editChart } from '@/actions/chart/commands';
import { chartView } from '@/actions/chart/views';
import { PLAIN_ACCOUNT } from '@/core/chart/account';
import { openDirectory } from '@/store/open';
import { makeBooks, valueOf } from './books';
import { median, noteTurns } from './turns';
import { addPeople, signedIn } from './people';
import { adviceFigures, bigChart, chartInBrowser, importFigures } from './chart';
import { coreFigures, hundredYears } from './core';
import { houseFigures } from './house';
import { madeLists, madeRegisters, madeStatements } from './lists';
import { paperFigures } from './papers';
import { madePapers, madeNames } from './reading';
import { itemsInBrowser, scheduleFigures, thingFigures } from './schedules';
import { oneError, outside, searchSpeed, twoErrors } from './search';

const root = mkdtempSync(join(tmpdir(), 'bathron-bench-'));
const [, , appPort = '', emptyPort = ''] = process.argv;

interface Line {
  readonly what: string;
  readonly ours: number;
  readonly baseline: string;
  readonly theirs: number;
  readonly unit: string;
}
const lines: Line[] = [];
const note = (what: string, ours: number, baseline: string, theirs: number, unit = 'ms'): void => {
  lines.push({ what, ours, baseline, theirs, unit });
};

const timed = async (work: () => Promise<unknown>): Promise<number> => {
  const start = performance.now();
  await work();
  return performance.now() - start;
};

/** Books with so many posting accounts under a hundred headings. */
const bigBooks = async (accounts: number): Promise<number> => {
  const id = await makeBooks(`Bench ${String(accounts)}`, { starter: 'services' });
  const heading = (await chartView(id))?.rows.find(({ account }) => account.code === '6000')?.account.id ?? null;
  for (let from = 0; from < accounts; from += 5000)
    valueOf(
      await editChart({
        books: id,
        edits: Array.from({ length: Math.min(5000, accounts - from) }, (_, at) => ({
          kind: 'add' as const,
          id: -1 - at,
          account: {
            ...PLAIN_ACCOUNT,
            code: `X${String(from + at).padStart(6, '0')}`,
            name: `Account number ${String(from + at)}`,
            classification: 'operating-expense' as const,
            parent: heading,
          },
        })),
      }),
    );
  return id;
};

const sheetOf = async (books: number) => {
  const view = await openingsView(books);
  if (view === undefined || view.set === null) throw new Error('no sheet');
  return { set: view.set.id, rows: view.rows.filter((row) => !row.heading) };
};

/** The statements of a posting on its own tables, with their references and triggers; nothing of it stays. */
const straightIntoJournal = async (books: number, accounts: readonly number[]): Promise<number> => {
  let took = 0;
  const undone = new Error('not to stay');
  await (
    await database()
  )
    .transaction(async (tx) => {
      took = await timed(async () => {
        const [journal] = await tx.query<{ id: number }>(
          "insert into journal (books_id, number, date, description) values ($1, 9, '2026-06-30', 'straight') returning id",
          [books],
        );
        await tx.query(
          `insert into journal_line (books_id, journal_id, line_no, account_id, amount)
           select $1, $2, n, a, case when n % 2 = 0 then 100 else -100 end from unnest($3::int[]) with ordinality as t (a, n)`,
          [books, journal?.id, accounts],
        );
        await tx.query('update journal set posted_at = now(), posted_by = 1 where id = $1', [journal?.id]);
      });
      throw undone;
    })
    .catch((error: unknown) => {
      if (error !== undone) throw error;
    });
  return took;
};

/** The statements of one save on tables of the same shape, without anything around them. */
const bareTables = `create table line (set_id int, account_id int, amount int8, revision int, primary key (set_id, account_id));
  create table change (id int generated always as identity primary key, account_id int, from_amount int8, to_amount int8);
  create table journal_line (journal_id int, line_no int, account_id int, amount int8, primary key (journal_id, line_no));`;

interface Made {
  readonly books: number;
  readonly large: number;
  readonly weeks: number;
  readonly chart: number;
  readonly items: { readonly books: number; readonly account: number };
}

const store = async (): Promise<Made> => {
  const directory = join(root, 'data');
  useDatabase(
    await openDirectory(directory, (error) => {
      throw error;
    }),
  );
  const bare = await PGlite.create(join(root, 'bare'));
  await bare.exec(bareTables);

  const books = await bigBooks(5000);
  const { set, rows } = await sheetOf(books);
  const revisions = new Map<number, number>();
  await noteTurns(
    note,
    'save one cell among 5,000 accounts',
    60,
    async (at) => {
      const account = rows[at % 20]?.id ?? 0;
      const saved = valueOf(
        await saveFigures({
          books,
          set,
          entries: [{ account, amount: BigInt(at + 1), revision: revisions.get(account) ?? 0, restores: false }],
        }),
      );
      if (saved.saved) for (const one of saved.revisions) revisions.set(one.account, one.revision);
    },
    'bare PGlite, the same statements',
    (at) =>
      bare.transaction(async (tx) => {
        await tx.query('select amount from line where set_id = 1 and account_id = $1 for update', [at % 20]);
        await tx.query(
          'insert into line values (1, $1, $2, 1) on conflict (set_id, account_id) do update set amount = excluded.amount',
          [at % 20, at],
        );
        await tx.query('insert into change (account_id, to_amount) values ($1, $2)', [at % 20, at]);
      }),
  );

  const posting = await bigBooks(5000);
  const sheet = await sheetOf(posting);
  const accounts = sheet.rows.filter((row) => row.code.startsWith('X'));
  const amounts = accounts.map((row, at) => ({
    account: row.id,
    amount: at % 2 === 0 ? 100n : -100n,
    revision: 0,
    restores: false,
  }));
  valueOf(await saveFigures({ books: posting, set: sheet.set, entries: amounts }));
  const posted = await timed(async () => valueOf(await postOpenings({ books: posting, set: sheet.set })));
  note(
    'post 5,000 lines',
    posted,
    'the same lines put straight into the journal',
    await straightIntoJournal(
      posting,
      accounts.map((row) => row.id),
    ),
  );
  note(
    'post 5,000 lines',
    posted,
    'bare PGlite, one insert of 5,000 rows without references',
    await timed(() =>
      bare.transaction((tx) =>
        tx.query(
          'insert into journal_line select 1, n, a, v from unnest($1::int[], $2::int8[]) with ordinality as t (a, v, n)',
          [accounts.map((row) => row.id), amounts.map((one) => String(one.amount))],
        ),
      ),
    ),
  );
  await importFigures(note, bare, timed);
  await paperFigures(note, bare);
  const items = await scheduleFigures(note, bare, timed);
  await thingFigures(note, bare, timed);
  await bare.close();
  const chart = await bigChart();
  const weeks = await weekBooks();
  for (let made = 0; made < 500; made += 1)
    await makeBooks(`Client ${String(made)} of the practice`, {
      legalForm: 'limited-company',
      purpose: 'live',
      foreign: made % 3 === 0,
    });
  const large = await bigBooks(20_000);
  await houseFigures(note, large);
  await addPeople(await database(), 1);
  await closeDatabase();
  return { books, large, weeks, chart, items };
};

/** Books with a hundred fiscal years of twelve periods in whole weeks. */
const weekBooks = async (): Promise<number> => {
  const id = await makeBooks('A hundred years', { cutover: '2026-01-01', starter: 'empty' });
  const view = await calendarView(id);
  const years = hundredYears();
  valueOf(
    await drawCalendar({
      books: id,
      revision: view?.revision ?? 0,
      years: years.map((year, at) => ({
        id: at === 0 ? (view?.years[0]?.id ?? null) : null,
        name: year.name,
        plan: year.plan,
        periods: year.periods.map((one) => ({ ...one, start: one.start.toString(), end: one.end.toString() })),
      })),
    }),
  );
  return id;
};

/** From the start of the process to the first byte of a page. */
const coldStart = async (
  command: readonly string[],
  url: string,
  env: Readonly<Record<string, string>>,
  cwd: string,
): Promise<number> => {
  const start = performance.now();
  const [program = '', ...rest] = command;
  const child = spawn(program, rest, { cwd, env: { ...process.env, ...env }, stdio: 'ignore' });
  try {
    for (;;) {
      const answered = await fetch(url).then(
        (response) => response.ok,
        () => false,
      );
      if (answered) return performance.now() - start;
      await new Promise((resolve) => setTimeout(resolve, 15));
    }
  } finally {
    child.kill('SIGTERM');
    await new Promise((resolve) => child.once('exit', resolve));
  }
};

const next = (port: string, directory: string): readonly string[] => [
  process.execPath,
  join(process.cwd(), 'node_modules/next/dist/bin/next'),
  'start',
  directory,
  '-H',
  '127.0.0.1',
  '-p',
  port,
];

const browser = async ({ books, large, weeks, chart, items }: Made): Promise<void> => {
  const app = `http://127.0.0.1:${appPort}`;
  const empty = `http://127.0.0.1:${emptyPort}`;
  const env = { BATHRON_DATA: join(root, 'data'), NEXT_MANUAL_SIG_HANDLE: 'true', LOG_LEVEL: 'error' };
  const emptyApp = join(process.cwd(), 'bench', 'empty');
  const starts = await Promise.resolve()
    .then(() => coldStart(next(appPort, '.'), `${app}/new`, env, process.cwd()))
    .then(async (ours) => [ours, await coldStart(next(emptyPort, emptyApp), empty, {}, process.cwd())] as const);
  note('cold start to first byte', starts[0], 'an empty Next.js page', starts[1]);

  const serve = (command: readonly string[], more: Readonly<Record<string, string>>) =>
    spawn(command[0] ?? '', command.slice(1), { env: { ...process.env, ...more }, stdio: 'ignore' });
  const ours = serve(next(appPort, '.'), env);
  const theirs = serve(next(emptyPort, emptyApp), {});
  const ready = async (url: string): Promise<void> => {
    while (
      !(await fetch(url).then(
        (response) => response.ok,
        () => false,
      ))
    )
      await new Promise((resolve) => setTimeout(resolve, 50));
  };
  const context = await (
    await chromium.launch({
      executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
      args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
    })
  ).newContext({ viewport: { width: 1280, height: 800 } });
  const page = await context.newPage();
  try {
    await ready(`${app}/new`);
    await ready(empty);
    const openings = `${app}/books/${String(books)}/openings`;
    const cookie = await signedIn(app, 1);
    /** The page that is asked for, and no other to which somebody would be sent instead. */
    const answered = async (url: string): Promise<Response> => {
      const answer = await fetch(url, { headers: url.startsWith(app) ? { cookie } : {}, redirect: 'error' });
      if (!answer.ok) throw new Error(`${url} answered ${String(answer.status)}`);
      return answer;
    };
    const get = (url: string) => () => answered(url).then((response) => response.text());
    const cookies = cookie.split('; ').map((one) => {
      const [name = '', ...value] = one.split('=');
      return { name, value: value.join('='), url: app };
    });
    await context.addCookies(cookies);
    await get(openings)();
    const besideEmpty = (what: string, times: number, url: string): Promise<void> =>
      noteTurns(note, `${what}, server time`, times, get(url), 'an empty Next.js page', get(empty));
    await besideEmpty('opening-balance page, 5,000 accounts', 15, openings);
    const bytesOf = async (url: string): Promise<number> =>
      (await (await answered(url)).arrayBuffer()).byteLength / 1024;
    await get(app)();
    await besideEmpty('board with 500 sets of books', 15, app);
    note(
      'board with 500 sets of books, bytes',
      await bytesOf(app),
      'an empty Next.js page',
      await bytesOf(empty),
      'kB',
    );
    const calendar = `${app}/books/${String(weeks)}/calendar`;
    await get(calendar)();
    await besideEmpty('calendar of 100 years drawn', 9, calendar);
    /** All JavaScript that a page loads in a browser that has nothing of it yet. */
    const scripts = async (url: string): Promise<number> => {
      const nobody = await context.browser()?.newContext();
      if (nobody === undefined) throw new Error('no browser');
      await nobody.addCookies(cookies);
      const fresh = await nobody.newPage();
      const bodies: Promise<number>[] = [];
      fresh.on('response', (response) => {
        if (/\.js(\?|$)/.test(response.url())) bodies.push(response.body().then((body) => body.length));
      });
      await fresh.goto(url, { waitUntil: 'networkidle' });
      const sizes = await Promise.all(bodies);
      await nobody.close();
      return sizes.reduce((all, size) => all + size, 0) / 1024;
    };
    note('JavaScript shipped, unpacked', await scripts(openings), 'an empty Next.js page', await scripts(empty), 'kB');

    await page.goto(openings, { waitUntil: 'networkidle' });
    /** From the key to the paint after it, as the browser itself records it. */
    const keystroke = async (
      focus: () => Promise<void>,
      keys: readonly string[] = Array.from('1234567890123456789'),
      counted = '',
    ): Promise<number> => {
      await focus();
      await page.evaluate((only) => {
        const found: number[] = [];
        (window as unknown as { found: number[] }).found = found;
        addEventListener(
          'keydown',
          ({ key }) => {
            if (only !== '' && key !== only) return;
            const start = performance.now();
            requestAnimationFrame(() => {
              const channel = new MessageChannel();
              channel.port1.onmessage = () => found.push(performance.now() - start);
              channel.port2.postMessage(null);
            });
          },
          true,
        );
      }, counted);
      for (const key of keys) {
        await page.keyboard.press(key);
        await page.waitForTimeout(40);
      }
      return median(await page.evaluate(() => (window as unknown as { found: number[] }).found));
    };
    const typed = await keystroke(async () => {
      await page.getByRole('grid').getByRole('row').nth(12).getByRole('gridcell').nth(2).click();
    });
    const inCell = (row: number) => async () => {
      await page.getByRole('grid').getByRole('row').nth(row).getByRole('gridcell').nth(2).click();
    };
    await page.goto(`${app}/books/${String(large)}/openings`, { waitUntil: 'networkidle' });
    const typedLarge = await keystroke(inCell(12));
    await page.keyboard.press('Escape');
    const keptLarge = await keystroke(inCell(5), Array.from({ length: 15 }, () => ['7', 'Enter']).flat(), 'Enter');
    await page.goto(empty, { waitUntil: 'networkidle' });
    const bareTyped = await keystroke(() => page.locator('input').click());
    note('keystroke to paint on that sheet', typed, 'a bare input on an empty page', bareTyped);
    note('keystroke to paint, sheet of 20,000 accounts', typedLarge, 'a bare input on an empty page', bareTyped);
    note('a figure kept, key to paint, 20,000 accounts', keptLarge, 'a bare input on an empty page', bareTyped);
    const sheet = `${app}/books/${String(chart)}/chart`;
    await get(sheet)();
    await besideEmpty('chart page, 10,000 accounts', 9, sheet);
    await chartInBrowser(note, page, sheet, bareTyped);
    const schedule = `${app}/books/${String(items.books)}/schedules/${String(items.account)}`;
    await itemsInBrowser(note, page, schedule, bareTyped);
  } finally {
    await context.browser()?.close();
    for (const child of [ours, theirs]) {
      child.kill('SIGTERM');
      await new Promise((resolve) => child.once('exit', resolve));
    }
  }
};

try {
  coreFigures(note);
  adviceFigures(note);
  searchSpeed(note);
  // What was measured is told, also where the browser then fails.
  await browser(await store()).catch((error: unknown) => {
    console.error(error);
    process.exitCode = 1;
  });
  const table = lines.map(({ what, ours, baseline, theirs, unit }) => ({
    measured: what,
    ours: `${ours.toFixed(1)} ${unit}`,
    baseline,
    theirs: `${theirs.toFixed(1)} ${unit}`,
    ratio: (ours / theirs).toFixed(2),
  }));
  console.table(table);
  console.log('The search, errors planted in random trial balances:');
  oneError(200);
  twoErrors(300);
  outside(400);
  console.log('Papers that were made from seeds, as they are read:');
  madePapers(5000);
  console.log('Lists of open items that were made from seeds, as they are read:');
  await madeLists(1000);
  console.log('Statements of banks that were made from seeds, as they are read:');
  await madeStatements(1000);
  console.log('Registers, stock lists, plans and prepayments that were made from seeds, as they are read:');
  await madeRegisters(1000);
  console.log('Accounts of papers in other languages, matched with an English chart:');
  madeNames();
} finally {
  rmSync(root, { recursive: true, force: true });
}
