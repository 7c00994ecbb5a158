import type { TestProject } from 'vitest/node';
import { openServer } from '@/store/drivers/server';
import { postgresPrograms, startCluster } from './cluster';

/** The role of the application on the server of the tests. */
export const APPLICATION = 'application';

declare module 'vitest' {
  interface ProvidedContext {
    /** The server on which test files make databases of their own; undefined where they run embedded. */
    server?: string;
  }
}

/** Starts a server to be thrown away, for the store's tests to run on as well. */
export default async (project: TestProject): Promise<() => Promise<void>> => {
  const programs = postgresPrograms();
  if (programs === undefined) throw new Error('no PostgreSQL server is installed');
  const cluster = await startCluster(programs);
  // Its databases belong to somebody before whom row-level security stands, as those of a practice do.
  const first = openServer(cluster.url);
  await first.query(`create role ${APPLICATION} login`);
  await first.close();
  project.provide('server', cluster.url);
  return cluster.stop;
};
