import type { BooksId } from '@/core/base/ids';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, inject } from 'vitest';
import { APPLICATION } from './on-server';
import { closeDatabase, useDatabase } from '@/actions/kernel/context';
import { createBooks } from '@/actions/books/commands';
import type { Result } from '@/core/base/result';
import type { Database } from '@/store/database';
import { migrate } from '@/store/migrate';
import { openInMemory } from '@/store/open';
import { openServer } from '@/store/drivers/server';

/** A fresh database behind the actions: in memory, or of its own on the server that the tests were given. */
export const freshDatabase = async (): Promise<Database> => {
  const url = inject('server');
  if (url === undefined) return openInMemory();
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const first = openServer(url);
  await first.query(`create database ${name} owner ${APPLICATION}`);
  await first.close();
  const own = Object.assign(new URL(url), { pathname: `/${name}`, username: APPLICATION });
  // What a test writes past the actions is of no practice; an action says its own.
  own.searchParams.set('options', '-c bathron.practice=*');
  const server = openServer(own.toString());
  await migrate(server);
  return server;
};

export const withDatabase = (): { readonly current: Database } => {
  const holder: { database?: Database } = {};
  beforeAll(async () => {
    holder.database = await freshDatabase();
    useDatabase(holder.database);
  });
  afterAll(closeDatabase);
  return {
    get current() {
      if (holder.database === undefined) throw new Error('not open yet');
      return holder.database;
    },
  };
};

export const valueOf = <T>(result: Result<T>): T => {
  if (!result.ok) throw new Error(result.problems.map((one) => `${one.code}: ${one.message}`).join('\n'));
  return result.value;
};

export const codesOf = (result: Result<unknown>): readonly string[] =>
  result.ok ? [] : result.problems.map((one) => one.code);

export const newBooks = async (more: Partial<Parameters<typeof createBooks>[0]> = {}): Promise<BooksId> =>
  valueOf(
    await createBooks({
      name: 'Saltmarsh Pottery Ltd',
      legalForm: 'limited-company',
      country: 'IE',
      currency: 'EUR',
      style: '1,234.56',
      purpose: 'trial',
      yearStart: '2026-02-01',
      cutover: '2026-08-01',
      starter: 'trading',
      evenIfSameName: true,
      ...more,
    }),
  ).id;

/** The statement must be refused by the database, with this in its message. */
export const refused = async (attempt: Promise<unknown>, says: RegExp): Promise<void> => {
  await expect(attempt).rejects.toThrow(says);
};
