import { PGlite, type Transaction, protocol, types } from '@electric-sql/pglite';
import { type Database, PARSERS, type Queryable } from '../database';

const { serialize } = protocol;

/** A statement that the database has parsed and keeps under a name. */
interface Prepared {
  readonly name: string;
  /** Types of its parameters, and its result's columns with their types. */
  readonly parameters: readonly number[];
  readonly columns: readonly { readonly name: string; readonly type: number }[];
}

/** Statements kept; there are as many as the store has, and a few more. */
const MOST_PREPARED = 400;

const joined = (...parts: readonly Uint8Array[]): Uint8Array => {
  const whole = new Uint8Array(parts.reduce((size, part) => size + part.length, 0));
  let at = 0;
  for (const part of parts) {
    whole.set(part, at);
    at += part.length;
  }
  return whole;
};

/**
 * Pages of the database kept in memory. By default they come to 128 MB, taken from the process once and never given back; the
 * papers of a practice would fill them, and they are read once.
 */
const SHARED_BUFFERS = '32MB';

/**
 * So many rows written at once may make a small table large. The database keeps its plans for checking references as long as its
 * one connection lasts, and those it made while the table was small read all of it for every row: 20,000 new accounts took four
 * minutes to check. So it is made to look at the table again. (On a server that would make other clients wait, and connections
 * come and go.)
 */
const MANY = 500;

/** What a message of the protocol carries, where it is one that is asked for here. */
type Message = Awaited<ReturnType<PGlite['execProtocol']>>['messages'][number];
const isRow = (message: Message): message is Message & { readonly fields: readonly (string | null)[] } =>
  message.name === 'dataRow';
const isColumns = (
  message: Message,
): message is Message & { readonly fields: readonly { readonly name: string; readonly dataTypeID: number }[] } =>
  message.name === 'rowDescription';
const isParameters = (message: Message): message is Message & { readonly dataTypeIDs: readonly number[] } =>
  message.name === 'parameterDescription';

/**
 * Queries over the frontend/backend protocol (PostgreSQL, chapter 55) with statements that are parsed once: each costs one
 * round trip into the database instead of six, a third of the time. The database may keep their plans, as it keeps those of
 * the references that it checks; `grown` lets it make them anew. (To have them made anew each
 * time, `plan_cache_mode`, would have each reference of each row planned anew too: four times the time of a large take-over.)
 */
const prepared = (pg: PGlite): ((transaction: Transaction) => Queryable) => {
  const known = new Map<string, Prepared>();
  let named = 0;
  const send = async (...messages: readonly Uint8Array[]): Promise<readonly Message[]> =>
    (await pg.runExclusive(() => pg.execProtocol(joined(...messages, serialize.sync())))).messages;

  const prepare = async (sql: string): Promise<Prepared> => {
    const found = known.get(sql);
    if (found !== undefined) return found;
    named += 1;
    const name = `s${String(named)}`;
    const [oldest] = known.size >= MOST_PREPARED ? known : [];
    if (oldest !== undefined) {
      known.delete(oldest[0]);
      await send(serialize.close({ type: 'S', name: oldest[1].name }));
    }
    const told = await send(serialize.parse({ name, text: sql }), serialize.describe({ type: 'S', name }));
    const made: Prepared = {
      name,
      parameters: told.find(isParameters)?.dataTypeIDs ?? [],
      columns: (told.find(isColumns)?.fields ?? []).map((field) => ({ name: field.name, type: field.dataTypeID })),
    };
    known.set(sql, made);
    return made;
  };

  const parsers = { ...pg.parsers, ...PARSERS };
  return (transaction) => ({
    query: async <Row extends object>(sql: string, given: readonly unknown[] = []) => {
      const { name, parameters, columns } = await prepare(sql);
      const values = given.map((value, at) => {
        if (value === null || value === undefined) return null;
        // Bytes go as they are: as text they would take ten times as long.
        if (value instanceof Uint8Array) return value;
        const write = pg.serializers[parameters[at] ?? 0];
        return write === undefined ? (value as { toString: () => string }).toString() : write(value);
      });
      const told = await send(serialize.bind({ statement: name, values }), serialize.execute({}));
      return told
        .filter(isRow)
        .map(
          ({ fields }) =>
            Object.fromEntries(
              columns.map((column, at) => [
                column.name,
                types.parseType(fields[at] ?? null, column.type, parsers) as unknown,
              ]),
            ) as Row,
        );
    },
    script: async (sql) => {
      await transaction.exec(sql);
      // It may have changed what statements give.
      if (known.size > 0) await transaction.exec('deallocate all');
      known.clear();
    },
    // There is one practice, and its one user is asked by no policy.
    scope: () => Promise.resolve(),
    grown: async (table, rows) => {
      if (rows > MANY) await transaction.exec(`analyze ${table}`);
    },
  });
};

/** PostgreSQL embedded in this process. `directory` undefined keeps everything in memory; `snapshot` is a dumped data directory. */
export const openPGlite = async (
  directory?: string,
  snapshot?: Blob,
): Promise<Database & { readonly dump: () => Promise<Blob> }> => {
  const pg = await PGlite.create({
    startParams: [...PGlite.defaultStartParams, '-c', `shared_buffers=${SHARED_BUFFERS}`],
    ...(directory === undefined ? {} : { dataDir: directory }),
    ...(snapshot === undefined ? {} : { loadDataDir: snapshot }),
  });
  const over = prepared(pg);
  const transaction: Database['transaction'] = (work) => pg.transaction((tx) => work(over(tx)));
  return {
    // Alone they are transactions too, so that none slips into somebody else's.
    query: (sql, parameters) => transaction((tx) => tx.query(sql, parameters)),
    script: (sql) => transaction((tx) => tx.script(sql)),
    scope: () => Promise.resolve(),
    grown: (table, rows) => transaction((tx) => tx.grown(table, rows)),
    transaction,
    // There is one connection, so nothing happens in between; this keeps a view from writing.
    view: (work) =>
      pg.transaction(async (tx) => {
        await tx.exec('set transaction isolation level repeatable read read only');
        return work(over(tx));
      }),
    // The lock on the data directory keeps other processes out already.
    alone: (work) => work(),
    close: () => pg.close(),
    dump: () => pg.dumpDataDir('gzip'),
  };
};
