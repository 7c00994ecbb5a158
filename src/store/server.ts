import { Pool, type PoolClient, TypeOverrides, types } from 'pg';
import { type Database, PARSERS, type Queryable } from './database';

const over = (client: Pool | PoolClient): Queryable => ({
  query: async <Row extends object>(sql: string, parameters: readonly unknown[] = []) =>
    (await client.query<Row>(sql, [...parameters])).rows,
  script: async (sql) => {
    await client.query(sql);
  },
});

/** A PostgreSQL server, for a practice that runs its own. */
export const openServer = (url: string): Database => {
  const overrides = new TypeOverrides();
  overrides.setTypeParser(types.builtins.INT8, PARSERS[20]);
  overrides.setTypeParser(types.builtins.DATE, PARSERS[1082]);
  overrides.setTypeParser(types.builtins.TIMESTAMPTZ, PARSERS[1184]);
  const pool = new Pool({ connectionString: url, max: 5, types: overrides });
  return {
    ...over(pool),
    transaction: async (work) => {
      const client = await pool.connect();
      try {
        await client.query('begin');
        const result = await work(over(client));
        await client.query('commit');
        return result;
      } catch (error) {
        await client.query('rollback');
        throw error;
      } finally {
        client.release();
      }
    },
    close: () => pool.end(),
  };
};
