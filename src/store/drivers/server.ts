import { Pool, type PoolClient, TypeOverrides, types } from 'pg';
import { type Database, PARSERS, type Queryable, Unavailable } from '../database';

const over = (client: Pool | PoolClient): Queryable => ({
  query: async <Row extends object>(sql: string, parameters: readonly unknown[] = []) =>
    (await client.query<Row>(sql, [...parameters])).rows,
  script: async (sql) => {
    await client.query(sql);
  },
  // Until the transaction ends; the policies of the tables go by it.
  scope: async (practice) => {
    await client.query("select set_config('bathron.practice', $1, true)", [
      practice === 'all' ? '*' : String(practice),
    ]);
  },
  // The server looks at its tables by itself (autovacuum), without making anybody wait; and only a superuser may put off its references.
  many: (_, __, write) => write(),
});

/** The number of the advisory lock under which one process at a time migrates; any number that nobody else uses. */
const MIGRATING = 7_246_311_905;

const codeOf = (error: unknown): string =>
  typeof error === 'object' && error !== null && 'code' in error && typeof error.code === 'string' ? error.code : '';

/** Given up by the server in favour of another transaction: serialization failure, deadlock (PostgreSQL, appendix A). */
const AGAIN: ReadonlySet<string> = new Set(['40001', '40P01']);
const MOST_TRIES = 5;
/** Before another try, so that the two do not meet again: a random part of this, in milliseconds, that doubles each time. */
const PAUSE = 20;

/** The server is not there, shuts down, or has cut the connection (classes 08 and 57P; errors of sockets). */
const isAway = (error: unknown): boolean =>
  /^(?:08...|57P0[1-5]|53300|ECONN[A-Z]+|EPIPE|ETIMEDOUT|ENOTFOUND|EAI_AGAIN)$/.test(codeOf(error)) ||
  (error instanceof Error && /connection terminated|client has encountered a connection error/i.test(error.message));

const ignore = (): void => undefined;

const pause = (tries: number): Promise<void> =>
  new Promise((resolve) => setTimeout(resolve, Math.random() * PAUSE * 2 ** tries));

/** A PostgreSQL server, for a practice that runs its own. */
export const openServer = (url: string): Database => {
  const overrides = new TypeOverrides();
  overrides.setTypeParser(types.builtins.INT8, PARSERS[20]);
  overrides.setTypeParser(types.builtins.DATE, PARSERS[1082]);
  overrides.setTypeParser(types.builtins.TIMESTAMPTZ, PARSERS[1184]);
  const pool = new Pool({ connectionString: url, max: 5, types: overrides });
  // An idle connection that the server cuts is replaced by the next one that is needed; nothing was in flight on it.
  pool.on('error', ignore);

  const connected = async (): Promise<PoolClient> => {
    try {
      const client = await pool.connect();
      // One that is cut while it is in use is told of by the query that was under way.
      client.on('error', ignore);
      return client;
    } catch (error) {
      throw isAway(error) ? new Unavailable(false, error) : error;
    }
  };
  const once = async <T>(begin: string, work: (tx: Queryable) => Promise<T>): Promise<T> => {
    const client = await connected();
    let broken = false;
    let ending = false;
    try {
      await client.query(begin);
      const result = await work(over(client));
      ending = true;
      await client.query('commit');
      return result;
    } catch (error) {
      // A connection that cannot even roll back is no use to the next one.
      await client.query('rollback').catch(() => (broken = true));
      throw isAway(error) ? new Unavailable(ending ? undefined : false, error) : error;
    } finally {
      client.off('error', ignore);
      client.release(broken);
    }
  };
  const transaction = async <T>(begin: string, work: (tx: Queryable) => Promise<T>): Promise<T> => {
    for (let tries = 1; ; tries += 1)
      try {
        return await once(begin, work);
      } catch (error) {
        if (!AGAIN.has(codeOf(error)) || tries >= MOST_TRIES) throw error;
        await pause(tries);
      }
  };
  return {
    ...over(pool),
    transaction: (work) => transaction('begin', work),
    view: (work) => transaction('begin isolation level repeatable read read only', work),
    alone: async (work) => {
      const client = await connected();
      try {
        await client.query('select pg_advisory_lock($1)', [MIGRATING]);
        return await work();
      } finally {
        // Given up with its connection, whatever happened to either.
        client.release(true);
      }
    },
    close: () => pool.end(),
  };
};
