/**
 * Several processes on one PostgreSQL server behind a plain round-robin proxy, all on loopback: fifty people in thirty books type figures and
 * open pages, one brings a large paper, and in the middle a process is killed. Beside it the same on one process with the embedded database,
 * where nothing is killed. Prints what was measured; asserts nothing but that it can begin.
 * Usage: load.ts [SECONDS]
 */
import { type ChildProcess, spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { type IncomingMessage, createServer, request as ask } from 'node:http';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { closeDatabase, useDatabase } from '@/actions/kernel/context';
import { toWire } from '@/core/money/wire';
import type { Database } from '@/store/database';
import { openServer } from '@/store/drivers/server';
import { migrate } from '@/store/migrate';
import { openDirectory } from '@/store/open';
import how from '../scripts/server.json';
import { freePort } from '../tests/free-port';
import { postgresPrograms, startCluster } from '../tests/store/cluster';
import { type Sheet, makeSheet, pause, percentile } from './books';
import { addPeople, signedIn } from './people';

const SECONDS = Number(process.argv[2] ?? '30');
const PEOPLE = 50;
const BOOKS = 30;
const PAPER_ROWS = 100_000;
const SECRET = 'a secret of this measurement that is long enough';

/** Thirty books and fifty people who can sign in. */
const prepare = async (database: Database): Promise<readonly Sheet[]> => {
  useDatabase(database);
  const sheets: Sheet[] = [];
  for (let number = 1; number <= BOOKS; number += 1) sheets.push(await makeSheet(`Client ${String(number)}`));
  await addPeople(database, PEOPLE);
  return sheets;
};

const start = async (port: number, variables: Readonly<Record<string, string>>): Promise<ChildProcess> => {
  const child = spawn(
    process.execPath,
    [...how.args, 'node_modules/next/dist/bin/next', 'start', '-H', '127.0.0.1', '-p', String(port)],
    {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: {
        ...process.env,
        ...how.env,
        NEXT_MANUAL_SIG_HANDLE: 'true',
        LOG_LEVEL: 'error',
        BATHRON_SECRET: SECRET,
        ...variables,
      },
    },
  );
  for (let tries = 0; tries < 300; tries += 1) {
    if (
      await fetch(`http://127.0.0.1:${String(port)}/health`).then(
        (answer) => answer.ok,
        () => false,
      )
    )
      return child;
    await pause(100);
  }
  throw new Error('a process did not start');
};

/** Each request to the next process in turn; one that takes no connection is left out, as it has got nothing. */
const balance = async (ports: readonly number[]): Promise<{ readonly port: number; readonly close: () => void }> => {
  let turn = 0;
  const forward = (
    from: IncomingMessage,
    body: Buffer,
    answer: import('node:http').ServerResponse,
    left: number,
  ): void => {
    const port = ports[(turn += 1) % ports.length] ?? 0;
    const on = ask(
      {
        port,
        host: '127.0.0.1',
        method: from.method,
        path: from.url,
        headers: { ...from.headers, 'x-forwarded-for': String(from.headers['x-who'] ?? '127.0.0.1') },
      },
      (got) => {
        answer.writeHead(got.statusCode ?? 502, got.headers);
        got.pipe(answer);
        got.on('error', () => answer.destroy());
      },
    );
    on.on('error', (error: NodeJS.ErrnoException) => {
      if (error.code === 'ECONNREFUSED' && left > 1) {
        forward(from, body, answer, left - 1);
        return;
      }
      if (!answer.headersSent) answer.writeHead(502);
      answer.end();
    });
    on.end(body);
  };
  const server = createServer((from, answer) => {
    const parts: Buffer[] = [];
    from.on('data', (part: Buffer) => parts.push(part));
    from.on('end', () => forward(from, Buffer.concat(parts), answer, ports.length));
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return { port: (server.address() as AddressInfo).port, close: () => server.close() };
};

interface Measured {
  readonly times: Map<string, number[]>;
  acknowledged: number;
  /** Answers that were cut off, of which nobody knows whether they were carried out. */
  cut: number;
  readonly wrong: string[];
  readonly last: Map<string, { readonly sheet: Sheet; readonly account: number; readonly may: readonly bigint[] }>;
}

/** One person: signs in, then types figures of accounts that are theirs alone, and opens pages, until it is over. */
const person = async (
  number: number,
  sheet: Sheet,
  address: string,
  until: number,
  measured: Measured,
): Promise<void> => {
  const who = { 'x-who': `198.51.100.${String(number)}` };
  const cookie = await signedIn(address, number);
  const headers = { ...who, cookie };
  const timed = async <T>(kind: string, run: () => Promise<T>): Promise<T> => {
    const begun = performance.now();
    const done = await run();
    measured.times.set(kind, [...(measured.times.get(kind) ?? []), performance.now() - begun]);
    return done;
  };
  // Two people share some books; each has accounts of their own.
  const account = sheet.accounts[number <= BOOKS ? 0 : 1] ?? 0;
  const key = `${String(sheet.books)} ${String(account)}`;
  let [revision, amount, doubt] = [0, BigInt(number) * 1000n, false];
  const save = async (): Promise<void> => {
    amount += 1n;
    const known = measured.last.get(key)?.may ?? [];
    // Until it is acknowledged, both may stand.
    measured.last.set(key, { sheet, account, may: [...known, amount] });
    let text: string;
    try {
      const answer = await timed('a figure is saved', () =>
        fetch(`${address}/books/${String(sheet.books)}/openings/figures`, {
          method: 'POST',
          headers: { ...headers, 'content-type': 'application/json' },
          body: toWire({ set: sheet.set, entries: [{ account, amount, revision, restores: false }] }),
        }),
      );
      text = await answer.text();
      if (answer.status === 502) throw new Error('cut');
    } catch {
      measured.cut += 1;
      doubt = true;
      return;
    }
    const found = /"revision":(\d+)/.exec(text)?.[1];
    if (/"saved":true/.test(text) && found !== undefined) {
      measured.acknowledged += 1;
      measured.last.set(key, { sheet, account, may: [amount] });
      revision = Number(found);
      doubt = false;
    } else if (doubt && /"saved":false/.test(text) && found !== undefined) {
      // What was cut off had been stored: seen now, and typed once more.
      revision = Number(found);
      amount -= 1n;
      doubt = false;
    } else measured.wrong.push(text.slice(0, 200));
  };
  const open = async (kind: string, path: string, holds: string): Promise<void> => {
    try {
      const answer = await timed(kind, () => fetch(`${address}${path}`, { headers }));
      const text = await answer.text();
      if (answer.status === 502) throw new Error('cut');
      if (answer.status !== 200 || !text.includes(holds)) measured.wrong.push(`${path} ${String(answer.status)}`);
    } catch {
      measured.cut += 1;
    }
  };
  for (let turn = number; Date.now() < until; turn += 1) {
    await save();
    if (turn % 3 === 0) await open('the opening sheet', `/books/${String(sheet.books)}/openings`, 'Opening balances');
    if (turn % 5 === 0) await open('Proof', `/books/${String(sheet.books)}/proof`, 'Proof');
    if (turn % 7 === 0) await open('the board', '/', 'Client 1');
    await pause(400);
  }
};

/** Somebody brings a large paper meanwhile. */
const bringer = async (sheet: Sheet, address: string): Promise<string> => {
  const rows = Array.from(
    { length: PAPER_ROWS },
    (_, at) => `${String(100_000 + at)},Account ${String(at)},${at % 2 === 0 ? '10.00,' : ',10.00'}`,
  );
  const cookie = await signedIn(address, 1, 200);
  const begun = performance.now();
  try {
    const answer = await fetch(`${address}/books/${String(sheet.books)}/papers/bring`, {
      method: 'POST',
      headers: { cookie, 'x-who': '198.51.100.200', 'x-paper-name': 'large.csv' },
      body: `Code,Name,Debit,Credit\n${rows.join('\n')}\n`,
    });
    const told = (await answer.json()) as { readonly ok: boolean };
    return `${told.ok ? 'brought' : 'refused'} in ${((performance.now() - begun) / 1000).toFixed(1)} s`;
  } catch {
    return 'cut off';
  }
};

const run = async (name: string, sheets: readonly Sheet[], address: string, midway: () => void) => {
  const measured: Measured = { times: new Map(), acknowledged: 0, cut: 0, wrong: [], last: new Map() };
  const until = Date.now() + SECONDS * 1000;
  const timer = setTimeout(midway, SECONDS * 500);
  const sheetOf = (number: number): Sheet => sheets[(number - 1) % BOOKS] ?? { books: 0, set: 0, accounts: [] };
  const [brought] = await Promise.all([
    bringer(sheetOf(BOOKS), address),
    ...Array.from({ length: PEOPLE }, (_, at) => person(at + 1, sheetOf(at + 1), address, until, measured)),
  ]);
  clearTimeout(timer);
  console.log(
    `\n${name}: ${String(measured.acknowledged)} figures acknowledged, ${String(measured.cut)} answers cut off, ${String(measured.wrong.length)} wrong answers; a paper of ${String(PAPER_ROWS)} rows ${brought}`,
  );
  for (const one of measured.wrong.slice(0, 5)) console.log(`  wrong: ${one}`);
  for (const [kind, times] of measured.times)
    console.log(
      `  ${kind.padEnd(20)} ${String(times.length).padStart(5)} times   p50 ${percentile(times, 0.5).toFixed(0).padStart(5)} ms   p95 ${percentile(times, 0.95).toFixed(0).padStart(5)} ms`,
    );
  return measured;
};

/** Acknowledged figures that do not stand in the database. */
const lost = async (database: Database, { last }: Measured): Promise<number> => {
  let count = 0;
  for (const { sheet, account, may } of last.values()) {
    const [row] = await database.view(async (tx) => {
      await tx.scope('all');
      return tx.query<{ amount: bigint }>('select amount from opening_line where set_id = $1 and account_id = $2', [
        sheet.set,
        account,
      ]);
    });
    if (row === undefined ? may.length === 1 : !may.includes(row.amount)) count += 1;
  }
  return count;
};

const programs = postgresPrograms();
if (programs === undefined) {
  console.log(
    'There is no PostgreSQL server here (Debian’s package postgresql), so several processes were not measured.',
  );
  process.exit(0);
}

const children: ChildProcess[] = [];
const directory = mkdtempSync(join(tmpdir(), 'bathron-load-'));
const cluster = await startCluster(programs);
try {
  // As in earnest: somebody before whom row-level security stands.
  const root = openServer(cluster.url);
  await root.query('create role application login');
  await root.query('create database load owner application');
  await root.close();
  const url = Object.assign(new URL(cluster.url), { pathname: '/load', username: 'application' }).toString();
  const database = openServer(url);
  await migrate(database);
  const sheets = await prepare(database);
  const ports = [await freePort(), await freePort()];
  for (const port of ports) children.push(await start(port, { DATABASE_URL: url, BATHRON_DATA: directory }));
  const front = await balance(ports);
  const address = `http://127.0.0.1:${String(front.port)}`;
  const measured = await run('Two processes on a PostgreSQL server, one killed in the middle', sheets, address, () =>
    children[1]?.kill('SIGKILL'),
  );
  console.log(`  acknowledged figures lost: ${String(await lost(database, measured))}`);
  front.close();
  children[0]?.kill('SIGTERM');
  await closeDatabase();

  const data = join(directory, 'embedded');
  const fail = (error: Error): never => {
    throw error;
  };
  const own = await prepare(await openDirectory(data, fail));
  await closeDatabase();
  const port = await freePort();
  const child = await start(port, { DATABASE_URL: '', BATHRON_DATA: data });
  children.push(child);
  const one = await balance([port]);
  const alone = await run(
    'One process on the embedded database',
    own,
    `http://127.0.0.1:${String(one.port)}`,
    () => undefined,
  );
  one.close();
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  await ended;
  const after = await openDirectory(data, fail);
  console.log(`  acknowledged figures lost: ${String(await lost(after, alone))}`);
  await after.close();
} finally {
  for (const child of children) if (child.exitCode === null) child.kill('SIGKILL');
  await cluster.stop();
  rmSync(directory, { recursive: true, force: true });
}
process.exit(0);
