import { PGlite, type Transaction } from '@electric-sql/pglite';
import { type Database, PARSERS, type Queryable } from './database';

const over = (handle: PGlite | Transaction): Queryable => ({
  query: async <Row extends object>(sql: string, parameters: readonly unknown[] = []) =>
    (await handle.query<Row>(sql, [...parameters], { parsers: PARSERS })).rows,
  script: async (sql) => {
    await handle.exec(sql);
  },
});

/** PostgreSQL embedded in this process. `directory` undefined keeps everything in memory; `snapshot` is a dumped data directory. */
export const openPGlite = async (
  directory?: string,
  snapshot?: Blob,
): Promise<Database & { readonly dump: () => Promise<Blob> }> => {
  const pg = await PGlite.create({
    ...(directory === undefined ? {} : { dataDir: directory }),
    ...(snapshot === undefined ? {} : { loadDataDir: snapshot }),
  });
  return {
    ...over(pg),
    transaction: (work) => pg.transaction((tx) => work(over(tx))),
    // The lock on the data directory keeps other processes out already.
    alone: (work) => work(),
    close: () => pg.close(),
    dump: () => pg.dumpDataDir('gzip'),
  };
};
