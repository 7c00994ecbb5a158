import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { createBooks } from '@/actions/books/commands';
import { saveTemplate } from '@/actions/chart/begin';
import { chartView, copyView } from '@/actions/chart/views';
import { closeDatabase, useDatabase } from '@/actions/kernel/context';
import { type Database, type Queryable, Unavailable, goesPastWalls } from '@/store/database';
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
  it('shows and changes one practice only, whatever a statement forgets, once it is said whose a transaction is', async () => {
    const first = connect();
    await first.query('create role application login');
    await first.query('create database walled owner application');
    const own = Object.assign(new URL(cluster?.url ?? ''), { pathname: '/walled', username: 'application' });
    const walled = openServer(own.toString());
    open.push(walled);
    await migrate(walled);
    expect(await goesPastWalls(walled)).toBe(false);
    expect(await goesPastWalls(first)).toBe(true);
    const scoped = <T>(practice: number | 'all' | undefined, work: (tx: Queryable) => Promise<T>): Promise<T> =>
      walled.transaction(async (tx) => {
        if (practice !== undefined) await tx.scope(practice);
        return work(tx);
      });
    await scoped('all', async (tx) => {
      await tx.query(`insert into practice (id, name) values (2, 'Elsewhere')`);
      await tx.query(`insert into person (id, practice_id, name) values (2, 2, 'Somebody else')`);
    });
    const make = (practice: number) =>
      scoped(practice, (tx) =>
        tx.query<{ id: number }>(
          `insert into analysis_of_test (practice_id, name) values ($1, 'Own') returning practice_id as id`,
          [practice],
        ),
      );
    await scoped('all', async (tx) => {
      await tx.script(
        `create table analysis_of_test (practice_id int not null references practice, name text not null);
         select wall_around('analysis_of_test');`,
      );
    });
    await make(1);
    await make(2);
    const seen = (practice: number | 'all' | undefined, table: string) =>
      scoped(practice, async (tx) => (await tx.query(`select * from ${table}`)).length);
    expect([await seen(1, 'analysis_of_test'), await seen(2, 'analysis_of_test')]).toEqual([1, 1]);
    expect([await seen('all', 'analysis_of_test'), await seen(undefined, 'analysis_of_test')]).toEqual([2, 0]);
    // People are looked up before it is known whose practice is meant; from then on others are not there.
    expect([await seen(undefined, 'person'), await seen(1, 'person')]).toEqual([2, 1]);
    // A change that forgets its "where" stays within, and nothing is written for another practice.
    expect(await scoped(1, (tx) => tx.query(`update analysis_of_test set name = 'x' returning 1 as one`))).toHaveLength(
      1,
    );
    await expect(
      scoped(1, (tx) => tx.query(`insert into analysis_of_test (practice_id, name) values (2, 'Sneaked in')`)),
    ).rejects.toThrow(/row-level security/);
    await expect(
      scoped(1, (tx) => tx.query(`insert into audit (practice_id, kind, about, at) values (2, 'x', 'x', now())`)),
    ).rejects.toThrow(/row-level security/);
    // What one transaction was for is forgotten by the next one on the same connection.
    await scoped('all', () => Promise.resolve());
    for (let tries = 0; tries < 6; tries += 1) expect(await seen(undefined, 'books')).toBe(0);
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

  it('starts together with another on an empty database, twenty times: both are up, with one schema', async () => {
    const [first] = open;
    for (let round = 0; round < 20; round += 1) {
      await first?.query(`create database twice_${String(round)}`);
      const url = (cluster?.url ?? '').replace(/\/postgres$/, `/twice_${String(round)}`);
      const both = [openServer(url), openServer(url)];
      await Promise.all(both.map((server) => migrate(server)));
      for (const server of both) {
        const [found] = await server.query<{ count: bigint }>('select count(*) as count from schema_migration');
        expect(Number(found?.count)).toBe(readMigrations().length);
        await server.close();
      }
    }
  });

  it('a view is of one moment, whatever others store meanwhile, and stores nothing itself', async () => {
    const [reader, writer] = [connect(), connect()];
    await writer.script('create table moment (at int)');
    const seen = await reader.view(async (tx) => {
      const count = async () => (await tx.query<{ at: number }>('select at from moment')).length;
      const before = await count();
      await writer.query('insert into moment values (1)');
      return [before, await count()];
    });
    expect(seen).toEqual([0, 0]);
    await expect(reader.view((tx) => tx.query('insert into moment values (2)'))).rejects.toMatchObject({
      code: '25006',
    });
  });

  it('two actions that wait for each other both come through, the one that was given up anew', async () => {
    const [left, right] = [connect(), connect()];
    await left.script(
      'create table lock_order (id int primary key, n int); insert into lock_order values (1, 0), (2, 0)',
    );
    let runs = 0;
    const adding = (server: Database, order: readonly number[]) =>
      server.transaction(async (tx) => {
        runs += 1;
        for (const id of order) {
          await tx.query('update lock_order set n = n + 1 where id = $1', [id]);
          await new Promise((resolve) => setTimeout(resolve, 100));
        }
      });
    await Promise.all([adding(left, [1, 2]), adding(right, [2, 1])]);
    expect(await left.query('select id, n from lock_order order by id')).toEqual([
      { id: 1, n: 2 },
      { id: 2, n: 2 },
    ]);
    expect(runs).toBeGreaterThan(2);
  });

  it('a connection that the server cuts costs what was in flight on it a sentence, and nothing else', async () => {
    const [first] = open;
    if (first === undefined) throw new Error('no server');
    const cut = () =>
      first.query(
        'select pg_terminate_backend(pid) from pg_stat_activity where pid <> pg_backend_pid() and backend_type = $1',
        ['client backend'],
      );
    const books = await newBooks({ name: 'Cut Ltd' });
    // Idle connections go, and the next request does not notice.
    await cut();
    expect((await chartView(books))?.frame.name).toBe('Cut Ltd');

    const breaking = connect();
    await expect(
      breaking.transaction(async (tx) => {
        await tx.query('select 1');
        await cut();
        await tx.query('select 1');
      }),
    ).rejects.toMatchObject({ stored: false });
    expect(await breaking.query('select 1 as one')).toEqual([{ one: 1 }]);

    useDatabase({
      ...first,
      transaction: () => Promise.reject(new Unavailable(false, new Error('cut'))),
    });
    expect(codesOf(await saveTemplate({ books, name: 'Never' }))).toEqual(['database.away']);
    useDatabase({ ...first, transaction: () => Promise.reject(new Unavailable(undefined, new Error('cut'))) });
    expect(codesOf(await saveTemplate({ books, name: 'Perhaps' }))).toEqual(['database.cut']);
    useDatabase(first);
  });

  it('that is restarted under a running process serves its next request, and what was stored is there', async () => {
    const [first] = open;
    if (first === undefined || cluster === undefined) throw new Error('no server');
    useDatabase(first);
    const books = await newBooks({ name: 'Restarted Ltd' });
    for (let times = 0; times < 2; times += 1) {
      await cluster.restart();
      expect((await chartView(books))?.frame.name).toBe('Restarted Ltd');
      expect(codesOf(await saveTemplate({ books, name: `After restart ${String(times)}` }))).toEqual([]);
    }
  });
});
