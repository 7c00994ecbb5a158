import { randomUUID } from 'node:crypto';
import pino from 'pino';
import type { Database } from '@/store/database';
import { openFromEnvironment } from '@/store/open';

/** Who acts. */
export interface Actor {
  readonly person: number;
  readonly practice: number;
}

/** The one place that says who acts. Until people sign in, it is the practice's one person, and the server listens on loopback only. */
export const actor = (): Promise<Actor> => Promise.resolve({ person: 1, practice: 1 });

export const log = pino({ level: process.env.LOG_LEVEL ?? 'info' });

// One per process, also when a bundler loads this module more than once.
const shared = globalThis as { bathronDatabase?: Promise<Database> };

const compromised = (error: Error): void => {
  log.fatal({ error }, 'the lock on the data directory was lost; stopping rather than risking the data');
  process.exit(1);
};

export const database = (): Promise<Database> => (shared.bathronDatabase ??= openFromEnvironment(compromised));

/** Tests and the demo's seeding bring their own. */
export const useDatabase = (given: Database): void => {
  shared.bathronDatabase = Promise.resolve(given);
};

export const closeDatabase = async (): Promise<void> => {
  const open = shared.bathronDatabase;
  delete shared.bathronDatabase;
  await (await open)?.close();
};

export const now = (): string => new Date().toISOString();
export const newId = (): string => randomUUID();
