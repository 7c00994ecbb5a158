import type { PersonId } from '@/core/base/ids';
import { randomUUID } from 'node:crypto';
import pino from 'pino';
import type { Acting } from '@/core/access/roles';
import type { Database, Queryable } from '@/store/database';
import { actingPerson, isDemo } from '@/store/people';
import { withoutFigures } from './database-errors';
import { openFromEnvironment } from '@/store/open';
import { type Reading, WORKER, readingPool } from '@/workers/reading/pool';

/** Who acts. */
export interface Actor extends Acting {
  readonly person: PersonId;
  readonly name: string;
}

/**
 * The one place that says who acts. Until people sign in, the server listens on loopback only, and it is the practice's first owner; in
 * the demo's data it is whoever somebody chose to be. Looked up with every request, so that a right that is taken is gone with the next.
 */
export const actorIn = async (tx: Queryable, chosen: number | undefined): Promise<Actor> => {
  if (shared.bathronActor !== undefined) return shared.bathronActor;
  const owner = await actingPerson(tx, undefined);
  if (owner === undefined) throw new Error('a practice without an active owner');
  const person =
    chosen !== undefined && chosen !== owner.id && (await isDemo(tx, owner.practice))
      ? await actingPerson(tx, chosen)
      : undefined;
  const { id, ...rest } = person?.practice === owner.practice ? person : owner;
  return { person: id, ...rest };
};

/** Whom somebody chose to be; asked before a transaction, since it is of the request. */
export const chosenPerson = async (): Promise<number | undefined> => shared.bathronChosen?.();

/** How that is known, where requests are answered. */
export const chosenBy = (read: () => Promise<number | undefined>): void => {
  shared.bathronChosen = read;
};

/** Tests act as somebody else; undefined is the owner again. */
export const actAs = (given: Actor | undefined): void => {
  if (given === undefined) delete shared.bathronActor;
  else shared.bathronActor = given;
};

export const log = pino({ level: process.env.LOG_LEVEL ?? 'info' });

// One per process, also when a bundler loads this module more than once.
const shared = globalThis as {
  bathronActor?: Actor;
  bathronChosen?: () => Promise<number | undefined>;
  bathronDatabase?: Promise<Database>;
  bathronDatabases?: number;
  bathronReading?: Reading;
};

const compromised = (error: Error): void => {
  log.fatal({ error }, 'the lock on the data directory was lost; stopping rather than risking the data');
  process.exit(1);
};

export const database = (): Promise<Database> => (shared.bathronDatabase ??= openFromEnvironment(compromised));

/** Another number for each database that this process has used: what is held of one says nothing of another. */
export const databaseNumber = (): number => shared.bathronDatabases ?? 0;

/** Tests and the demo's seeding bring their own. */
export const useDatabase = (given: Database): void => {
  shared.bathronDatabases = databaseNumber() + 1;
  shared.bathronDatabase = Promise.resolve(given);
};

export const closeDatabase = async (): Promise<void> => {
  const open = shared.bathronDatabase;
  delete shared.bathronDatabase;
  const reader = shared.bathronReading;
  delete shared.bathronReading;
  await reader?.close();
  await (await open)?.close();
};

/** The threads that read files. */
export const reading = (): Reading =>
  (shared.bathronReading ??= readingPool(WORKER, (error) =>
    log.error({ err: withoutFigures(error) }, 'a file could not be read'),
  ));

/** Tests may give files more time than people have. */
export const useReading = (given: Reading): void => {
  shared.bathronReading = given;
};

export const now = (): string => new Date().toISOString();
export const newId = (): string => randomUUID();
