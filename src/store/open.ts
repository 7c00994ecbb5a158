import { existsSync, mkdirSync, readFileSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import lockfile from 'proper-lockfile';
import type { Database } from './database';
import { CannotOpen, migrate, readMigrations } from './migrate';
import { openPGlite } from './pglite';
import { openServer } from './server';

/** An initialised, empty cluster, so that a first start does not wait for initdb. Kept per driver version. */
const snapshotFile = (): string => {
  const { version } = JSON.parse(
    readFileSync(
      join(/* turbopackIgnore: true */ process.cwd(), 'node_modules/@electric-sql/pglite/package.json'),
      'utf8',
    ),
  ) as { version: string };
  return join(/* turbopackIgnore: true */ process.cwd(), '.cache', `cluster-${version}.tar.gz`);
};

/** The cached cluster; made once (some seconds) when it is not there yet. A half-written cache never gets the name. */
export const emptyCluster = async (): Promise<Blob> => {
  const file = snapshotFile();
  if (!existsSync(file)) {
    const fresh = await openPGlite();
    const dump = await fresh.dump();
    await fresh.close();
    mkdirSync(join(/* turbopackIgnore: true */ process.cwd(), '.cache'), { recursive: true });
    const half = `${file}.${process.pid}`;
    writeFileSync(half, new Uint8Array(await dump.arrayBuffer()));
    renameSync(half, file);
  }
  return new Blob([readFileSync(file)]);
};

/** A database in memory with the newest schema: for tests. */
export const openInMemory = async (): Promise<Database> => {
  const database = await openPGlite(undefined, await emptyCluster());
  await migrate(database);
  return database;
};

const isAlive = (pid: number): boolean => {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
};

/**
 * Takes the data directory for this process. The embedded database does not notice a second process and would be corrupted
 * by it. The lock is refreshed every second; one that was left by a process that provably died is taken over after two
 * seconds, any other only after a minute, because a busy process may be late with refreshing.
 */
const takeLock = async (directory: string, compromised: (error: Error) => void): Promise<() => Promise<void>> => {
  const ownerFile = join(directory, 'owner');
  const owner = existsSync(ownerFile) ? Number(readFileSync(ownerFile, 'utf8')) : undefined;
  const gone = owner !== undefined && owner !== process.pid && !isAlive(owner);
  let release: () => Promise<void>;
  try {
    release = await lockfile.lock(directory, {
      lockfilePath: join(directory, 'lock'),
      stale: gone ? 2000 : 60_000,
      update: 1000,
      retries: gone ? { retries: 8, factor: 1, minTimeout: 500, maxTimeout: 500 } : 0,
      onCompromised: compromised,
    });
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'ELOCKED') throw error;
    throw new CannotOpen(
      `Another Bathron${owner === undefined ? '' : ` (process ${owner})`} is using the data in ${directory}. Stop it first, or set BATHRON_DATA to another directory. If none is running, wait a minute and start again.`,
    );
  }
  writeFileSync(ownerFile, String(process.pid));
  return release;
};

/**
 * Opens the data directory, creating it when it is new. A new database is made and migrated in a directory beside it and
 * renamed only when it is whole, so a process killed in the middle leaves nothing that looks like data.
 */
export const openDirectory = async (
  directory: string,
  compromised: (error: Error) => void,
  migrations = readMigrations(),
): Promise<Database> => {
  const root = resolve(directory);
  mkdirSync(root, { recursive: true });
  const release = await takeLock(root, compromised);
  try {
    const final = join(root, 'db');
    for (const left of readdirSync(root).filter((name) => name.startsWith('db.new-')))
      rmSync(join(root, left), { recursive: true });
    if (!existsSync(final)) {
      const half = join(root, `db.new-${process.pid}`);
      const made = await openPGlite(half, await emptyCluster());
      await migrate(made, migrations);
      await made.close();
      renameSync(half, final);
    }
    const database = await openPGlite(final);
    try {
      await migrate(database, migrations);
    } catch (error) {
      await database.close();
      throw error;
    }
    return {
      ...database,
      close: async () => {
        await database.close();
        await release();
      },
    };
  } catch (error) {
    await release();
    throw error;
  }
};

/** The database that the environment names: a server when DATABASE_URL is set, else the data directory. */
export const openFromEnvironment = async (compromised: (error: Error) => void): Promise<Database> => {
  const url = process.env.DATABASE_URL;
  if (url === undefined || url === '') return openDirectory(process.env.BATHRON_DATA ?? '.data', compromised);
  const server = openServer(url);
  try {
    await migrate(server);
  } catch (error) {
    await server.close();
    if (error instanceof CannotOpen) throw error;
    throw new CannotOpen(
      `The PostgreSQL server that DATABASE_URL names cannot be used: ${error instanceof Error ? error.message : String(error)}`,
    );
  }
  return server;
};
