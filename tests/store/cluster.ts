import { spawn, spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { freePort } from '../free-port';

const PLACES = '/usr/lib/postgresql';

/** Where the programs of a PostgreSQL server are, as Debian's package has them; undefined when there are none. */
export const postgresPrograms = (): string | undefined =>
  (existsSync(PLACES) ? readdirSync(PLACES) : [])
    .sort((a, b) => Number(b) - Number(a))
    .map((version) => join(PLACES, version, 'bin'))
    .find((bin) => existsSync(join(bin, 'initdb')));

export interface Cluster {
  readonly url: string;
  /** Ends the server as an operator does who restarts it, and starts it again with the same data on the same port. */
  readonly restart: () => Promise<void>;
  readonly stop: () => Promise<void>;
}

/** A server is never run by root; so here it is run by nobody. */
const NOBODY = 65_534;

/** Starts a server of its own on a loopback port, with nothing in it, to be thrown away. */
export const startCluster = async (programs: string): Promise<Cluster> => {
  const directory = mkdtempSync(join(tmpdir(), 'bathron-cluster-'));
  const owner = process.getuid?.() === 0 ? { uid: NOBODY, gid: NOBODY } : {};
  if (owner.uid !== undefined) chownSync(directory, owner.uid, owner.gid);
  const data = join(directory, 'data');
  const made = spawnSync(
    join(programs, 'initdb'),
    ['-D', data, '-U', 'bathron', '-A', 'trust', '-E', 'UTF8', '--no-sync'],
    {
      ...owner,
      cwd: directory,
      encoding: 'utf8',
    },
  );
  if (made.status !== 0) throw new Error(`initdb: ${made.stderr}`);
  const port = await freePort();
  const run = () => serve(programs, data, port, { ...owner, cwd: directory });
  let server = await run();
  return {
    url: `postgres://bathron@127.0.0.1:${String(port)}/postgres`,
    restart: async () => {
      await server.end();
      server = await run();
    },
    stop: async () => {
      await server.end();
      rmSync(directory, { recursive: true, force: true });
    },
  };
};

/** A server on a data directory, once it takes connections. */
const serve = async (
  programs: string,
  data: string,
  port: number,
  options: { readonly uid?: number; readonly gid?: number; readonly cwd: string },
): Promise<{ readonly end: () => Promise<void> }> => {
  const child = spawn(
    join(programs, 'postgres'),
    [
      '-D',
      data,
      '-p',
      String(port),
      '-c',
      'listen_addresses=127.0.0.1',
      '-c',
      'unix_socket_directories=',
      '-c',
      'fsync=off',
    ],
    { ...options, stdio: ['ignore', 'ignore', 'pipe'] },
  );
  const ended = new Promise<void>((resolve) => child.once('exit', () => resolve()));
  await new Promise<void>((resolve, reject) => {
    let said = '';
    child.stderr.on('data', (chunk: Buffer) => {
      said += chunk.toString();
      if (said.includes('ready to accept connections')) resolve();
    });
    child.once('exit', () => reject(new Error(`postgres: ${said}`)));
  });
  return {
    end: async () => {
      child.kill('SIGINT');
      await ended;
    },
  };
};
