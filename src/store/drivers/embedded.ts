import { PGlite, type Transaction, protocol, types } from '@electric-sql/pglite';
import { type Database, type Growing, PARSERS, type Queryable } from '../database';

const { serialize } = protocol;

/** A statement that the database has parsed and keeps under a name. */
interface Prepared {
  readonly name: string;
  /** Types of its parameters, and its result's columns with their types. */
  readonly parameters: readonly number[];
  readonly columns: readonly { readonly name: string; readonly type: number }[];
}

const encoder = new TextEncoder();
/** Characters from which a text is long. */
const LONG = 10_000;

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
 * So many rows written at once are written as a whole (`many`). Their references are checked together, not row by row: ten
 * references of 50,000 items take a fifth of a second instead of three. And the database is made to look at the table again: it keeps
 * its plans for checking references as long as its one connection lasts, and those it made while the table was small read all of
 * it for every row. (On a server that would make other clients wait, and connections come and go.)
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

/** What one reference compares: `own` columns of the table with `theirs` of another one, by name and ready for a statement. */
interface Reference {
  readonly name: string;
  readonly parent: string;
  readonly own: readonly string[];
  readonly theirs: readonly string[];
}

/** A row refers to what is not there; as the database says it (foreign_key_violation, PostgreSQL, appendix A). */
class ReferenceBroken extends Error {
  readonly code = '23503';
  constructor(
    readonly table: string,
    readonly constraint: string,
  ) {
    super(`insert or update on table "${table}" violates foreign key constraint "${constraint}"`);
  }
}

/** Checks every reference of the rows that this transaction has written to a table; one with a column that is null refers to nothing. */
const referencesHold = async (transaction: Transaction, table: Growing): Promise<void> => {
  const columns = (of: string, keys: string): string =>
    `array(select quote_ident(a.attname) from unnest(c.${keys}) with ordinality as k (number, place)
       join pg_attribute a on a.attrelid = c.${of} and a.attnum = k.number order by k.place)`;
  const { rows } = await transaction.query<Reference>(
    `select c.conname as name, c.confrelid::regclass::text as parent, ${columns('conrelid', 'conkey')} as own, ${columns('confrelid', 'confkey')} as theirs
     from pg_constraint c where c.contype = 'f' and c.conrelid = $1::regclass`,
    [table],
  );
  for (const { name, parent, own, theirs } of rows) {
    const broken = await transaction.query(
      `select from (select distinct ${own.join(', ')} from ${table}
         where xmin = pg_current_xact_id()::xid and ${own.map((column) => `${column} is not null`).join(' and ')}) t
       where not exists (select from ${parent} p where ${own.map((column, at) => `p.${theirs[at] ?? ''} = t.${column}`).join(' and ')}) limit 1`,
    );
    if (broken.rows.length > 0) throw new ReferenceBroken(table, name);
  }
};

/**
 * Queries over the frontend/backend protocol (PostgreSQL, chapter 55) with statements that are parsed once: each costs one
 * round trip into the database instead of six, a third of the time. The database may keep their plans, as it keeps those of
 * the references that it checks; `many` lets it make them anew. (To have them made anew each
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
        const text = write === undefined ? (value as { toString: () => string }).toString() : write(value);
        // A long text, that of an array of many rows, is turned into bytes at once, not piece by piece.
        const long = typeof text === 'string' && text.length > LONG && parameters[at] === types.TEXT;
        return long ? encoder.encode(text) : text;
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
    many: async (table, rows, write) => {
      if (rows <= MANY) return write();
      // Puts off what checks references, and nothing else: our own triggers are always awake (migration 0032).
      await transaction.exec('set local session_replication_role = replica');
      const written = await write();
      await transaction.exec(`set local session_replication_role = origin; analyze ${table}`);
      await referencesHold(transaction, table);
      return written;
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
    // Outside of a transaction each statement is one of its own, and its references are checked with it.
    many: (_, __, write) => write(),
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
