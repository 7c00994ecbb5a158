import { existsSync, mkdirSync, readFileSync, readdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import lockfile from 'proper-lockfile';
import type { Database } from './database';
import { CannotOpen, migrate, readMigrations } from './migrate';
import { openPGlite } from './drivers/embedded';
import { openServer } from './drivers/server';

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

/** A process, by its number and by when it began, since a number is used again: after a crash in a container, at once. */
interface Owner {
  readonly pid: number;
  /** Unknown where the system does not say. */
  readonly began: string | undefined;
}

/** When a process began: the start of the machine, and the ticks since then (proc(5), stat, field 22). */
const beganAt = (pid: number): string | undefined => {
  try {
    const boot = readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim();
    const stat = readFileSync(`/proc/${String(pid)}/stat`, 'utf8');
    // The name of the program, in brackets, may hold spaces and brackets itself.
    const ticks = stat.slice(stat.lastIndexOf(')') + 2).split(' ')[19];
    return ticks === undefined ? undefined : `${boot} ${ticks}`;
  } catch {
    return undefined;
  }
};

const isAlive = ({ pid, began }: Owner): boolean => {
  try {
    process.kill(pid, 0);
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'EPERM') return false;
  }
  const now = beganAt(pid);
  return began === undefined || now === undefined || began === now;
};

const readOwner = (file: string): Owner | undefined => {
  if (!existsSync(file)) return undefined;
  const [pid = '', ...began] = readFileSync(file, 'utf8').trim().split(' ');
  return /^\d{1,10}$/.test(pid)
    ? { pid: Number(pid), began: began.length > 0 ? began.join(' ') : undefined }
    : undefined;
};

/**
 * Takes the data directory for this process. The embedded database does not notice a second process and would be corrupted
 * by it. The lock is refreshed every second; one that was left by a process that provably died is taken over after two
 * seconds, any other only after a minute, because a busy process may be late with refreshing. One without an owner was left just as it
 * was taken, before anything was opened, since the owner is written at once: it is taken over after ten seconds.
 */
const takeLock = async (directory: string, compromised: (error: Error) => void): Promise<() => Promise<void>> => {
  const ownerFile = join(directory, 'owner');
  const owner = readOwner(ownerFile);
  const stale = owner === undefined ? 10_000 : isAlive(owner) ? 60_000 : 2000;
  let release: () => Promise<void>;
  try {
    release = await lockfile.lock(directory, {
      lockfilePath: join(directory, 'lock'),
      stale,
      update: 1000,
      retries: stale < 60_000 ? { retries: stale / 500 + 4, factor: 1, minTimeout: 500, maxTimeout: 500 } : 0,
      onCompromised: compromised,
    });
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code !== 'ELOCKED') throw error;
    throw new CannotOpen(
      `Another Bathron${owner === undefined ? '' : ` (process ${owner.pid})`} is using the data in ${directory}. Stop it first, or set BATHRON_DATA to another directory. If none is running, wait a minute and start again.`,
    );
  }
  writeFileSync(ownerFile, `${String(process.pid)} ${beganAt(process.pid) ?? ''}`.trimEnd());
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
