import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Database } from '@/store/database';
import { CannotOpen, migrate, readMigrations } from '@/store/migrate';
import { emptyCluster, openDirectory, openInMemory } from '@/store/open';

const root = mkdtempSync(join(tmpdir(), 'bathron-kill-'));
let made = 0;
const fresh = (): string => join(root, `data-${String((made += 1))}`);

beforeAll(async () => {
  await emptyCluster();
});
afterAll(() => {
  rmSync(root, { recursive: true, force: true });
});

/** Starts the victim; resolves once it printed a line with `until`, with everything it printed so far. */
const start = async (
  directory: string,
  mode: string,
  until: string,
): Promise<{ child: ChildProcess; said: () => string; complained: () => string; ended: Promise<number | null> }> => {
  const child = spawn(process.execPath, ['--import', 'tsx', join('tests', 'store', 'process.ts'), directory, mode], {
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  let complained = '';
  child.stderr.on('data', (text: Buffer) => (complained += text.toString()));
  const ended = new Promise<number | null>((resolve) => child.once('exit', (code) => resolve(code)));
  await new Promise<void>((resolve) => {
    child.stdout.on('data', (text: Buffer) => {
      said += text.toString();
      if (said.includes(until)) resolve();
    });
    void ended.then(() => resolve());
  });
  return { child, said: () => said, complained: () => complained, ended };
};
const pause = (milliseconds: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, milliseconds));
const kill = async ({ child, ended }: { child: ChildProcess; ended: Promise<number | null> }): Promise<void> => {
  child.kill('SIGKILL');
  await ended;
};
const reopened = async <T>(directory: string, look: (database: Database) => Promise<T>): Promise<T> => {
  const database = await openDirectory(directory, (error) => {
    throw error;
  });
  try {
    return await look(database);
  } finally {
    await database.close();
  }
};

describe('a process killed without warning', () => {
  it.each([30, 170, 400])('during saves, after %i ms, loses nothing that it acknowledged', async (delay) => {
    const directory = fresh();
    const victim = await start(directory, 'save', 'saved');
    await pause(delay);
    await kill(victim);
    const acknowledged = [...victim.said().matchAll(/saved (\d+) (\d+)/g)].at(-1);
    const [, books = '', amount = ''] = acknowledged ?? [];
    const stored = await reopened(directory, (database) =>
      database.query<{ amount: bigint }>('select amount from opening_line where books_id = $1', [books]),
    );
    // The one under way when the blow came may or may not have been stored.
    expect([BigInt(amount), BigInt(amount) + 1n]).toContain(stored[0]?.amount);
    const changes = await reopened(directory, (database) =>
      database.query<{ n: bigint }>(`select count(*) as n from change where books_id = $1 and subject = 'figure'`, [
        books,
      ]),
    );
    expect(changes[0]?.n).toBe(stored[0]?.amount);
  });

  it.each([50, 300, 900, 1600])(
    'during its first start, after %i ms, leaves nothing that looks like data',
    async (delay) => {
      const directory = fresh();
      const victim = await start(directory, 'hold', 'opening');
      await pause(delay);
      await kill(victim);
      const tables = await reopened(directory, (database) => database.query('select version from schema_migration'));
      expect(tables).toHaveLength(readMigrations().length);
      expect(readdirSync(directory).filter((name) => name.startsWith('db.new'))).toEqual([]);
    },
  );

  it('during a migration leaves the version before it', async () => {
    const directory = fresh();
    await reopened(directory, () => Promise.resolve());
    const victim = await start(directory, 'migrate', 'migrating');
    await pause(200);
    await kill(victim);
    await reopened(directory, async (database) => {
      expect(await database.query('select version from schema_migration where version = 9999')).toEqual([]);
      expect(await database.query(`select 1 from pg_class where relname = 'long_work'`)).toEqual([]);
    });
  });
});

describe('one directory, one process', () => {
  it('refuses a second one with a sentence, and lets the next one in after a clean end', async () => {
    const directory = fresh();
    const first = await start(directory, 'hold', 'open\n');
    const second = await start(directory, 'hold', 'open\n');
    expect(await second.ended).toBe(1);
    expect(second.complained()).toContain(`Another Bathron (process ${String(first.child.pid)}) is using the data`);
    await kill(first);
    await reopened(directory, (database) => database.query('select 1'));
    expect(existsSync(join(directory, 'lock'))).toBe(false);
  });
});

describe('a lock left behind', () => {
  it('by a process of the same number that began at another time is taken over at once', async () => {
    const directory = fresh();
    await (await openDirectory(directory, () => undefined)).close();
    // As after a crash in a container, where the next process gets the number of the last one.
    mkdirSync(join(directory, 'lock'));
    writeFileSync(join(directory, 'owner'), `${String(process.pid)} another-start 1`);
    await reopened(directory, (database) => database.query('select 1'));
  });
});

describe('migrations', () => {
  it('are refused when an applied one was edited, or when the data is newer than the program', async () => {
    const database = await openInMemory();
    const migrations = readMigrations();
    const edited = migrations.map((one, at) => (at === 0 ? { ...one, checksum: 'other' } : one));
    await expect(migrate(database, edited)).rejects.toThrow(/0001-books.sql was edited after it was applied/);
    await expect(migrate(database, migrations.slice(0, 1))).rejects.toThrow(/used by a newer Bathron/);
    await expect(migrate(database, migrations.slice(0, 1))).rejects.toBeInstanceOf(CannotOpen);
    await expect(migrate(database, migrations)).resolves.toBeUndefined();
    const broken = {
      version: 9999,
      name: '9999-broken.sql',
      checksum: 'x',
      sql: 'create table half (n int); select nonsense;',
    };
    await expect(migrate(database, [...migrations, broken])).rejects.toThrow();
    expect(await database.query(`select 1 from pg_class where relname = 'half'`)).toEqual([]);
    await database.close();
  });
});
