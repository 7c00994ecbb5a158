import type { PGlite } from '@electric-sql/pglite';
import type { Page } from '@playwright/test';
import Papa from 'papaparse';
import { database } from '@/actions/kernel/context';
import { takeAccounts } from '@/actions/chart/import';
import { editChart } from '@/actions/chart/commands';
import { type Account, PLAIN_ACCOUNT, accountId } from '@/core/chart/account';
import { tidy } from '@/core/chart/advice/advise';
import { readPaper } from '@/core/files/read';
import { recogniseChart } from '@/core/chart/chart-file';
import { CLASSIFICATIONS } from '@/core/ledger/classes';
import { folded } from '@/core/base/table';
import { makeBooks, valueOf } from './books';
import { fastest } from './core';

export type Note = (what: string, ours: number, baseline: string, theirs: number, unit?: string) => void;

const WORDS =
  'clay kiln tile glaze pier rope boat rack shed drum hose pump lamp sail oar net crate salt kelp sand'.split(' ');

/** A chart of so many accounts under two hundred headings, with names made of words so that some are alike. */
export const manyAccounts = (count: number): readonly Account[] => {
  const headings = 200;
  return Array.from({ length: count }, (_, at): Account => {
    const { id: classification } = CLASSIFICATIONS[(at % headings) % CLASSIFICATIONS.length] ?? CLASSIFICATIONS[0];
    const word = (by: number): string => WORDS[Math.floor(at / by) % WORDS.length] ?? '';
    return {
      ...PLAIN_ACCOUNT,
      id: accountId(at + 1),
      code: String(100_000 + at),
      name: at < headings ? `Group ${word(1)} ${String(at)}` : `${word(1)} ${word(20)} ${word(400)} ${String(at % 7)}`,
      classification,
      heading: at < headings,
      parent: at < headings ? null : accountId((at % headings) + 1),
    };
  });
};

/** All tidying advice for ten thousand accounts, against one pass that folds every name. */
export const adviceFigures = (note: Note): void => {
  const chart = manyAccounts(10_000);
  const state = {
    chart,
    amounts: new Map(),
    used: new Set<Account['id']>(),
    legalForm: 'sole-trader',
    answers: null,
    needed: [],
    scheme: null,
  } as const;
  note(
    'all tidying advice, 10,000 accounts',
    fastest(3, () => tidy(state)),
    'one pass over them that folds each name',
    fastest(3, () => chart.map(({ name }) => folded(name)).length),
  );
};

/** A file of twenty thousand accounts: recognised, planned and stored, against parsing it and inserting its rows bare. */
export const importFigures = async (
  note: Note,
  bare: PGlite,
  timed: (work: () => Promise<unknown>) => Promise<number>,
): Promise<void> => {
  const books = await makeBooks('Import of 20,000', { starter: 'empty' });
  const text = `Code,Name,Type,Parent\n${manyAccounts(20_000)
    .map(
      ({ code, name, classification, parent }) =>
        `${code},${name},${classification},${parent === null ? '' : String(99_999 + parent)}`,
    )
    .join('\n')}\n`;
  const content = new TextEncoder().encode(text);
  const ours = await timed(async () => {
    const tables = readPaper(content, 'many.csv');
    if (!tables.ok) throw new Error(tables.problems[0]?.message);
    const { mapping, signature } = recogniseChart(tables.value);
    const taken = valueOf(
      await takeAccounts({
        books,
        name: 'many.csv',
        content,
        wish: {
          signature,
          mapping: { ...mapping, columns: [...mapping.columns] },
          choices: {},
          update: false,
          clash: 'keep',
        },
      }),
    );
    if (taken.counts.new !== 20_000) throw new Error(`only ${String(taken.counts.new)} were taken`);
  });
  await bare.exec('create table plain_account (code text primary key, name text, type text, parent text)');
  const theirs = await timed(async () => {
    const { data } = Papa.parse<readonly string[]>(text, { skipEmptyLines: true });
    const rows = data.slice(1);
    const column = (at: number): readonly string[] => rows.map((row) => row[at] ?? '');
    await bare.query(
      'insert into plain_account select * from unnest($1::text[], $2::text[], $3::text[], $4::text[])',
      [0, 1, 2, 3].map(column),
    );
  });
  note('import of 20,000 accounts', ours, 'bare parsing and one bare insert without references', theirs);
  note(
    'import of 20,000 accounts',
    ours,
    'bare parsing, the same rows straight into their tables',
    await straightIn(text),
  );
};

/** The rows of such a list put straight into the tables of accounts and of changes; nothing of it stays. */
const straightIn = async (text: string): Promise<number> => {
  let took = 0;
  const undone = new Error('not to stay');
  await (
    await database()
  )
    .transaction(async (tx) => {
      const [books] = await tx.query<{ id: number }>('select max(id) as id from books');
      await tx.query('delete from account where books_id = $1', [books?.id]);
      const start = performance.now();
      const rows = Papa.parse<readonly string[]>(text, { skipEmptyLines: true }).data.slice(1);
      const column = (at: number): readonly string[] => rows.map((row) => row[at] ?? '');
      await tx.query(
        `insert into account (books_id, id, code, name, classification, heading, parent_id) overriding system value
         select $1, 9000000 + n, code, name, class, parent = '', 9000000 + nullif(parent, '')::int - 99999
         from unnest($2::text[], $3::text[], $4::text[], $5::text[]) with ordinality as t (code, name, class, parent, n)`,
        [books?.id, ...[0, 1, 2, 3].map(column)],
      );
      await tx.query(
        `with own as (insert into batch (id, books_id, action, by_person, at) values (gen_random_uuid(), $1, 'takeAccounts', 1, now()) returning id)
         insert into change (books_id, batch, subject, subject_id, field, is_now)
         select $1, own.id, 'account', a.id, '*', to_jsonb(a) from own, account a where a.books_id = $1`,
        [books?.id],
      );
      await tx.query('set constraints all immediate');
      took = performance.now() - start;
      throw undone;
    })
    .catch((error: unknown) => {
      if (error !== undone) throw error;
    });
  return took;
};

/** Books with ten thousand accounts for the browser. */
export const bigChart = async (): Promise<number> => {
  const books = await makeBooks('Chart of 10,000', { starter: 'empty' });
  valueOf(
    await editChart({
      books,
      edits: manyAccounts(10_000).map(({ id, ...account }) => ({
        kind: 'add' as const,
        id: -id,
        account: { ...account, parent: account.parent === null ? null : -account.parent },
      })),
    }),
  );
  return books;
};

const listen = (page: Page): Promise<void> =>
  page.evaluate(() => {
    const found: number[] = [];
    (window as unknown as { found: number[] }).found = found;
    addEventListener(
      'keydown',
      () => {
        const start = performance.now();
        requestAnimationFrame(() => {
          const channel = new MessageChannel();
          channel.port1.onmessage = () => found.push(performance.now() - start);
          channel.port2.postMessage(null);
        });
      },
      true,
    );
  });

/** From the key to the paint after it, the median of some presses. */
/** Milliseconds from a key to the paint after it, in the middle of those. */
export const presses = async (page: Page, keys: readonly string[], pause: number): Promise<number> => {
  await listen(page);
  for (const key of keys) {
    await page.keyboard.press(key);
    await page.waitForTimeout(pause);
  }
  const found = await page.evaluate(() => (window as unknown as { found: number[] }).found);
  return [...found].sort((a, b) => a - b)[Math.floor(found.length / 2)] ?? 0;
};

/** What a person feels on a chart of ten thousand accounts. */
export const chartInBrowser = async (note: Note, page: Page, url: string, bareTyped: number): Promise<void> => {
  const tree = page.getByRole('treegrid');
  const bare = 'a bare input on an empty page';
  await page.goto(url, { waitUntil: 'networkidle' });
  await tree.getByRole('row').nth(12).getByRole('gridcell').nth(1).click();
  await page.keyboard.press('F2');
  note(
    'chart of 10,000: keystroke to paint in a cell',
    await presses(page, Array.from('kelp and sand'), 40),
    bare,
    bareTyped,
  );
  await page.keyboard.press('Escape');
  await page.getByLabel('Find in the chart').click();
  note(
    'chart of 10,000: keystroke to paint in the filter',
    await presses(page, Array.from('kelp sand'), 150),
    bare,
    bareTyped,
  );
  await page.getByLabel('Find in the chart').fill('');
  await tree.getByRole('row').nth(12).getByRole('gridcell').nth(1).click();
  note(
    'chart of 10,000: a row regrouped, key to paint',
    await presses(page, ['Alt+ArrowLeft', 'Alt+ArrowLeft', 'Alt+ArrowLeft'], 1500),
    bare,
    bareTyped,
  );
  /** Frames that took longer than two of a sixtieth of a second, of those while scrolling by four rows a frame. */
  const dropped = async (how: 'chart' | 'still'): Promise<number> =>
    page.evaluate(async (kind) => {
      const scroller = document.querySelector('[role=treegrid]');
      let late = 0;
      let all = 0;
      let last = performance.now();
      for (let at = 0; at < 120; at += 1) {
        if (kind === 'chart' && scroller !== null) scroller.scrollTop += 120;
        await new Promise((resolve) => requestAnimationFrame(resolve));
        const now = performance.now();
        all += 1;
        if (now - last > 34) late += 1;
        last = now;
      }
      return (late / all) * 100;
    }, how);
  const ours = await dropped('chart');
  note(
    'chart of 10,000: frames dropped while scrolling',
    ours,
    'the same page standing still',
    Math.max(1, await dropped('still')),
    '%',
  );
};
