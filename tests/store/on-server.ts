import type { TestProject } from 'vitest/node';
import { postgresPrograms, startCluster } from './cluster';

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
  project.provide('server', cluster.url);
  return cluster.stop;
};
