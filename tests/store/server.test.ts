import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createBooks } from '@/actions/books';
import { saveTemplate } from '@/actions/chart-begin';
import { copyView } from '@/actions/chart-views';
import { closeDatabase, useDatabase } from '@/actions/context';
import type { Database } from '@/store/database';
import { migrate, readMigrations } from '@/store/migrate';
import { openServer } from '@/store/drivers/server';
import { type Cluster, postgresPrograms, startCluster } from './cluster';
import { codesOf, newBooks } from './support';

const programs = postgresPrograms();

describe.skipIf(programs === undefined)('on a PostgreSQL server', () => {
  let cluster: Cluster | undefined;
  const open: Database[] = [];
  const connect = (): Database => {
    const server = openServer(cluster?.url ?? '');
    open.push(server);
    return server;
  };
  beforeAll(async () => {
    cluster = await startCluster(programs ?? '');
  });
  afterAll(async () => {
    await closeDatabase();
    await Promise.all(open.slice(1).map((one) => one.close()));
    await cluster?.stop();
  });

  it('several first starts at once make the schema once, and all of them go on', async () => {
    const servers = [connect(), connect(), connect(), connect()];
    await Promise.all(servers.map((server) => migrate(server)));
    const [first] = servers;
    if (first === undefined) throw new Error('no server');
    const versions = await first.query<{ version: number }>('select version from schema_migration order by version');
    expect(versions.map(({ version }) => version)).toEqual(readMigrations().map(({ version }) => version));
    useDatabase(first);
  });
  it('one name for a template from six books at once is one template, and nobody is told of an error', async () => {
    const books: number[] = [];
    for (let at = 0; at < 6; at += 1) books.push(await newBooks({ name: `Template ${String(at)}` }));
    const saved = await Promise.all(books.map((id) => saveTemplate({ books: id, name: 'Potteries' })));
    expect(saved.map(codesOf)).toEqual(saved.map(() => []));
    expect((await copyView(books[0] ?? 0))?.templates.filter(({ name }) => name === 'Potteries')).toHaveLength(1);
  });
  it('of two new books of one name at once, the second is asked', async () => {
    const make = () =>
      createBooks({
        name: 'Twice Ltd',
        legalForm: 'other',
        country: 'IE',
        currency: 'EUR',
        style: '1,234.56',
        purpose: 'trial',
        yearStart: '2026-01-01',
        cutover: '2026-01-01',
        starter: 'services',
        evenIfSameName: false,
      });
    const made = await Promise.all([make(), make(), make()]);
    expect(made.filter(({ ok }) => ok)).toHaveLength(1);
    expect(made.filter(({ ok }) => !ok).map(codesOf)).toEqual([['books.same-name'], ['books.same-name']]);
  });
});
