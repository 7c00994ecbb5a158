import { Pool, type PoolClient, TypeOverrides, types } from 'pg';
import { type Database, PARSERS, type Queryable } from './database';

const over = (client: Pool | PoolClient): Queryable => ({
  query: async <Row extends object>(sql: string, parameters: readonly unknown[] = []) =>
    (await client.query<Row>(sql, [...parameters])).rows,
  script: async (sql) => {
    await client.query(sql);
  },
});

/** The number of the advisory lock under which one process at a time migrates; any number that nobody else uses. */
const MIGRATING = 7_246_311_905;

/** A PostgreSQL server, for a practice that runs its own. */
export const openServer = (url: string): Database => {
  const overrides = new TypeOverrides();
  overrides.setTypeParser(types.builtins.INT8, PARSERS[20]);
  overrides.setTypeParser(types.builtins.DATE, PARSERS[1082]);
  overrides.setTypeParser(types.builtins.TIMESTAMPTZ, PARSERS[1184]);
  const pool = new Pool({ connectionString: url, max: 5, types: overrides });
  // An idle connection that the server cuts is replaced by the next one that is needed; nothing was in flight on it.
  pool.on('error', () => undefined);
  return {
    ...over(pool),
    transaction: async (work) => {
      const client = await pool.connect();
      let broken = false;
      try {
        await client.query('begin');
        const result = await work(over(client));
        await client.query('commit');
        return result;
      } catch (error) {
        // A connection that cannot even roll back is no use to the next one.
        await client.query('rollback').catch(() => (broken = true));
        throw error;
      } finally {
        client.release(broken);
      }
    },
    alone: async (work) => {
      const client = await pool.connect();
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
