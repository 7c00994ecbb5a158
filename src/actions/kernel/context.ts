import type { PersonId } from '@/core/base/ids';
import { randomUUID } from 'node:crypto';
import pino from 'pino';
import type { Acting } from '@/core/access/roles';
import type { Database, Queryable } from '@/store/database';
import { type ActingPerson, actingPerson, isDemo } from '@/store/people';
import { withoutFigures } from './database-errors';
import { openFromEnvironment } from '@/store/open';
import { type Reading, WORKER, readingPool } from '@/workers/reading/pool';

/** Who acts. */
export interface Actor extends Acting {
  readonly person: PersonId;
  readonly name: string;
}

/** What is known of whoever asks, before anything is looked up in a transaction. */
export interface Asking {
  /** Whose session it is. */
  readonly person?: PersonId | undefined;
  readonly session?: string | undefined;
  /** Whether this server answers this machine only, and they are at it: there, the demo's data lets one choose whom to be. */
  readonly here: boolean;
  readonly chosen?: number | undefined;
  /** The address that they use, without a path: links in e-mails begin with it. */
  readonly origin: string;
}

/** Nobody has signed in, or the session has ended. */
export class SignedOut extends Error {
  constructor() {
    super('Nobody is signed in here, or no longer. Sign in, and load the page again.');
  }
}

/** Somebody has signed in, but the practice demands a second step of them that they have not set up. */
export class Unfinished extends Error {
  constructor() {
    super('The practice asks for a second step when you sign in. Set it up on your own page; then this works again.');
  }
}

/**
 * The one place that says who acts: whose session it is, or in the demo's data, at this machine, whoever somebody chose to be. Looked
 * up with every request, so that a right that is taken is gone with the next. Where no requests are answered (the demo's seed, commands
 * on the machine), it is the practice's first owner. From then on the transaction sees their practice only.
 */
export const actorIn = async (tx: Queryable, asking: Asking | undefined): Promise<Actor> => {
  const actor = shared.bathronActor ?? (await found(tx, asking));
  await tx.scope(actor.practice);
  return actor;
};

const found = async (tx: Queryable, asking: Asking | undefined): Promise<Actor> => {
  const person = await acting(tx, asking);
  if (person === undefined) throw new SignedOut();
  const { id, unfinished, ...rest } = person;
  if (unfinished && asking?.person !== undefined) throw new Unfinished();
  return { person: id, ...rest };
};

const acting = async (tx: Queryable, asking: Asking | undefined): Promise<ActingPerson | undefined> => {
  if (asking === undefined) return process.env.NEXT_RUNTIME === undefined ? actingPerson(tx, undefined) : undefined;
  if (asking.person !== undefined) return actingPerson(tx, asking.person);
  const owner = await actingPerson(tx, undefined);
  if (owner === undefined || !(await choosesWho(tx, asking, owner.practice))) return undefined;
  const chosen = asking.chosen === undefined ? undefined : await actingPerson(tx, asking.chosen);
  return chosen?.practice === owner.practice ? chosen : owner;
};

/** Whether whoever asks may choose whom to be: in the demo's data, at the machine that the server answers only, and not signed in. */
export const choosesWho = async (tx: Queryable, asks: Asking | undefined, practice: number): Promise<boolean> =>
  asks?.here !== false && asks?.person === undefined && (await isDemo(tx, practice));

/** What is known of whoever asks; undefined where no requests are answered. Asked before a transaction, since it reads by itself. */
export const asking = async (): Promise<Asking | undefined> => shared.bathronAsking?.();

/** Tells a page where to send whoever may not see it yet; an address that is no page it leaves to say so. */
type TurnAway = (error: SignedOut | Unfinished) => Promise<void>;

/** How that is known, where requests are answered, and what becomes of a page that is asked for by nobody. */
export const askedBy = (read: (() => Promise<Asking>) | undefined, turnAway?: TurnAway): void => {
  if (read === undefined) delete shared.bathronAsking;
  else shared.bathronAsking = read;
  if (turnAway === undefined) delete shared.bathronTurnAway;
  else shared.bathronTurnAway = turnAway;
};

/** Runs what a page shows; whoever has to sign in first is sent there. */
export const orTurnedAway = async <T>(run: () => Promise<T>): Promise<T> => {
  try {
    return await run();
  } catch (error) {
    if (error instanceof SignedOut || error instanceof Unfinished) await shared.bathronTurnAway?.(error);
    throw error;
  }
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
  bathronAsking?: () => Promise<Asking>;
  bathronTurnAway?: TurnAway;
  bathronWork?: { running: number; ending: boolean };
  bathronDatabase?: Promise<Database>;
  bathronDatabases?: number;
  bathronReading?: Reading;
};

const work = (): { running: number; ending: boolean } => (shared.bathronWork ??= { running: 0, ending: false });

/** Runs something that a process finishes before it ends. */
export const underWay = async <T>(run: () => Promise<T>): Promise<T> => {
  const own = work();
  own.running += 1;
  try {
    return await run();
  } finally {
    own.running -= 1;
  }
};

/** Whether this process is about to end: it still answers, but is not to be sent anything new. */
export const isEnding = (): boolean => work().ending;

/** So long a process waits for what is under way before it ends all the same, and so long nothing has to come; in milliseconds. */
const LONGEST_END = 20_000;
const QUIET = 300;

/** Waits until nothing has been under way for a while, or too long. */
export const finished = async (): Promise<void> => {
  const own = work();
  own.ending = true;
  const start = Date.now();
  for (let quiet = start; Date.now() - quiet < QUIET && Date.now() - start < LONGEST_END;) {
    await new Promise((resolve) => setTimeout(resolve, 50));
    if (own.running > 0) quiet = Date.now();
  }
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
