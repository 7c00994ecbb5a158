/**
 * The real server under attack and under load, on data of its own: every hostile file through the upload route and its page,
 * mutated uploads, and twenty people who save. Prints what was measured; asserts nothing.
 * Usage: attack.ts PORT [FUZZED]
 */
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { closeDatabase, useDatabase } from '@/actions/kernel/context';
import { toWire } from '@/core/money/wire';
import { openDirectory } from '@/store/open';
import how from '../scripts/server.json';
import { CORPUS, control } from '../tests/hostile/corpus';
import { mutated } from '../tests/hostile/mutate';
import { type Sheet, makeSheet, pause, percentile } from './books';
import { addPeople, signedIn } from './people';

const [, , port = '4390', fuzzed = '2000'] = process.argv;
const root = mkdtempSync(join(tmpdir(), 'bathron-attack-'));
const data = join(root, 'data');
const address = `http://127.0.0.1:${port}`;
const PEOPLE = 20;

const prepare = async (): Promise<Sheet> => {
  const database = await openDirectory(data, (error) => {
    throw error;
  });
  useDatabase(database);
  const sheet = await makeSheet('Besieged Ltd');
  await addPeople(database, 1);
  await closeDatabase();
  return sheet;
};

const residentMegabytes = (pid: number): number => {
  const found = /VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${String(pid)}/status`, 'utf8'))?.[1];
  return Number(found ?? 0) / 1024;
};

let cookie = '';

/** A request of somebody who is signed in, sent again where its kept connection was just closed by the other side, as browsers do. */
const request = (
  input: string,
  options: Omit<RequestInit, 'headers'> & { readonly headers?: Readonly<Record<string, string>> } = {},
): Promise<Response> => {
  const signed = { ...options, headers: { ...options.headers, cookie, origin: address } };
  return fetch(input, signed).catch((error: unknown) => {
    const cause = error instanceof Error ? (error.cause as { readonly code?: string } | undefined)?.code : undefined;
    if (cause !== 'UND_ERR_SOCKET' && cause !== 'ECONNRESET') throw error;
    return fetch(input, signed);
  });
};

/** One person who saves a figure of an account of their own, as the sheet does. */
const saver = ({ books, set }: Sheet, account: number) => {
  let revision = 0;
  let amount = 0;
  return async (): Promise<number> => {
    amount += 1;
    const begun = performance.now();
    const response = await request(`${address}/books/${String(books)}/openings/figures`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: toWire({ set, entries: [{ account, amount: BigInt(amount), revision, restores: false }] }),
    });
    const text = await response.text();
    const found = /"revision":(\d+)/.exec(text)?.[1];
    if (found === undefined) throw new Error(`not saved: ${String(response.status)} ${text.slice(0, 300)}`);
    revision = Number(found);
    return performance.now() - begun;
  };
};

const bring = async (books: number, name: string, bytes: Uint8Array) => {
  const response = await request(`${address}/books/${String(books)}/papers/bring`, {
    method: 'POST',
    headers: { 'x-paper-name': encodeURIComponent(name), 'content-type': 'application/octet-stream' },
    body: bytes as BodyInit,
  });
  const told = (await response.json()) as {
    readonly ok: boolean;
    readonly value?: { readonly paper: number };
    readonly problems?: readonly { readonly code: string; readonly message: string }[];
  };
  return told;
};

/** People who save while something else goes on, until it has ended. */
const meanwhile = async (
  sheet: Sheet,
  people: number,
  work: () => Promise<void>,
  rest: number,
): Promise<readonly number[]> => {
  const took: number[] = [];
  const state = { going: true };
  const savers = sheet.accounts.slice(0, people).map(async (account) => {
    const save = saver(sheet, account);
    // The first ones warm the server.
    await save();
    while (state.going) {
      took.push(await save());
      if (rest > 0) await pause(rest);
    }
  });
  try {
    await work();
  } finally {
    state.going = false;
  }
  await Promise.all(savers);
  return took;
};

/** What the database alone does in a second: the statements of one save, one after the other. */
const bareSaves = async (): Promise<number> => {
  const bare = await PGlite.create(join(root, 'bare'));
  await bare.exec(
    'create table line (set_id int, account_id int, amount int8, revision int, primary key (set_id, account_id)); create table change (id int generated always as identity primary key, account_id int, to_amount int8)',
  );
  let saves = 0;
  for (const end = performance.now() + 3000; performance.now() < end; saves += 1)
    await bare.transaction(async (tx) => {
      await tx.query('select amount from line where set_id = 1 and account_id = $1 for update', [saves % PEOPLE]);
      await tx.query(
        'insert into line values (1, $1, $2, 1) on conflict (set_id, account_id) do update set amount = excluded.amount',
        [saves % PEOPLE, saves],
      );
      await tx.query('insert into change (account_id, to_amount) values ($1, $2)', [saves % PEOPLE, saves]);
    });
  await bare.close();
  return saves / 3;
};

const main = async (): Promise<void> => {
  const sheet = await prepare();
  const server = spawn(
    process.execPath,
    [...how.args, 'node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', port],
    {
      env: { ...how.env, ...process.env, BATHRON_DATA: data, PORT: port, LOG_LEVEL: 'error' },
      stdio: ['ignore', 'ignore', 'inherit'],
    },
  );
  const pid = server.pid ?? 0;
  let peak = 0;
  const watch = setInterval(() => {
    if (server.exitCode === null) peak = Math.max(peak, residentMegabytes(pid));
  }, 20);
  try {
    for (let left = 100; left > 0; left -= 1) {
      if (
        await fetch(`${address}/new`).then(
          ({ ok }) => ok,
          () => false,
        )
      )
        break;
      await pause(200);
    }
    const page = `${address}/books/${String(sheet.books)}/openings`;
    cookie = await signedIn(address, 1);
    await (await request(page)).text();
    console.log(`server at rest: ${peak.toFixed(0)} MB`);

    const alone = await meanwhile(sheet, 1, () => pause(4000), 0);
    const crowd = await meanwhile(sheet, PEOPLE, () => pause(10_000), 0);
    const bare = await bareSaves();
    console.log(
      `one person saving: ${(alone.length / 4).toFixed(0)} a second, ${percentile(alone, 0.5).toFixed(1)} ms each; ` +
        `twenty: ${(crowd.length / 10).toFixed(0)} a second, ${percentile(crowd, 0.5).toFixed(0)} ms each, 95th percentile ${percentile(crowd, 0.95).toFixed(0)} ms; ` +
        `the bare statements: ${bare.toFixed(0)} a second (${(bare / (crowd.length / 10)).toFixed(1)} times)`,
    );

    peak = 0;
    const slow: string[] = [];
    const odd: string[] = [];
    let [worst, worstPage, highest] = [0, 0, 0];
    const grown: string[] = [];
    const saves = await meanwhile(
      sheet,
      3,
      async () => {
        for (const [at, file] of CORPUS.entries()) {
          const bytes = file.bytes();
          const begun = performance.now();
          const told = await bring(sheet.books, `${file.name}.csv`, bytes);
          worst = Math.max(worst, performance.now() - begun);
          if (told.value !== undefined) {
            const shown = await request(`${address}/books/${String(sheet.books)}/papers/${String(told.value.paper)}`);
            if (!shown.ok) odd.push(`${file.name}: page ${String(shown.status)}`);
            await shown.text();
          }
          const took = performance.now() - begun;
          worstPage = Math.max(worstPage, took);
          if (took > 1500) slow.push(`${file.name} ${(took / 1000).toFixed(1)} s`);
          if (peak > highest + 40) {
            highest = peak;
            grown.push(`${file.name} ${peak.toFixed(0)}`);
          }
          const became = told.ok ? 'reads' : (told.problems?.[0]?.code ?? '');
          if (became !== file.becomes && file.becomes !== 'input.custom') odd.push(`${file.name}: ${became}`);
          const taken = await bring(sheet.books, 'control.csv', control(at));
          if (!taken.ok) odd.push(`control after ${file.name}`);
        }
      },
      100,
    );
    console.log(
      `${String(CORPUS.length)} hostile files: the slowest answered in ${(worst / 1000).toFixed(1)} s, ${(worstPage / 1000).toFixed(1)} s with its page; ` +
        `server at most ${peak.toFixed(0)} MB, ${String(saves.length)} saves meanwhile: median ${percentile(saves, 0.5).toFixed(0)} ms, 95th percentile ${percentile(saves, 0.95).toFixed(0)} ms`,
    );
    console.log(`memory grew with: ${grown.join('; ')} MB`);
    if (slow.length > 0) console.log(`over 1.5 s: ${slow.join('; ')}`);
    if (odd.length > 0) console.log(`unexpected: ${odd.join('; ')}`);

    peak = 0;
    const papers = readdirSync('demo/papers').map((name) => new Uint8Array(readFileSync(join('demo/papers', name))));
    const counts = { read: 0, refused: 0, other: 0 };
    const begun = performance.now();
    let slowest = 0;
    for (let at = 0; at < Number(fuzzed); at += 1) {
      const from = performance.now();
      const told = await bring(sheet.books, `mutated ${String(at)}.csv`, mutated(papers, at));
      slowest = Math.max(slowest, performance.now() - from);
      if (told.ok) counts.read += 1;
      else if (/^(?:paper|saft|input)\./.test(told.problems?.[0]?.code ?? '')) counts.refused += 1;
      else {
        counts.other += 1;
        console.log(told.problems?.[0]?.code, told.problems?.[0]?.message);
      }
    }
    console.log(
      `${fuzzed} mutated uploads in ${((performance.now() - begun) / 1000).toFixed(0)} s: ${String(counts.read)} read, ${String(counts.refused)} refused with a sentence, ${String(counts.other)} other; the slowest ${slowest.toFixed(0)} ms, server at most ${peak.toFixed(0)} MB`,
    );
  } finally {
    clearInterval(watch);
    server.kill('SIGTERM');
    await new Promise((resolve) => server.once('exit', resolve));
    rmSync(root, { recursive: true, force: true });
  }
};

main().catch((error: unknown) => {
  console.error(error);
  process.exitCode = 1;
});
