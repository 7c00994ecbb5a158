import { Pool, type PoolClient, types } from 'pg';
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
  const parsers: Readonly<Record<number, (text: string) => unknown>> = PARSERS;
  const pool = new Pool({
    connectionString: url,
    max: 5,
    types: { getTypeParser: ((id, format) => parsers[id] ?? types.getTypeParser(id, format as 'text')) as typeof types.getTypeParser },
  });
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
