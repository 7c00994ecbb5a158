/** Tables to which many rows are written at once. */
export type Growing =
  'account' | 'change' | 'contact' | 'journal_line' | 'opening_line' | 'opening_part' | 'schedule_item' | 'taken_rows';

/**
 * The whole of what the rest of the store asks of PostgreSQL. Two drivers implement it: the embedded one and a server's.
 * Values: int4 as number, int8 as bigint, date as `YYYY-MM-DD`, timestamptz as an ISO instant, bytea as Uint8Array.
 */
export interface Queryable {
  query<Row extends object>(sql: string, parameters?: readonly unknown[]): Promise<readonly Row[]>;
  /** Runs several statements without parameters: migrations and test fixtures. */
  script(sql: string): Promise<void>;
  /** Says whose rows the rest of this transaction sees and writes: those of a practice, or all of them. */
  scope(practice: number | 'all'): Promise<void>;
  /**
   * Writes so many rows to a table at once. `write` inserts them, or changes those of the same key; to other tables it writes only
   * what refers to rows that the transaction holds already, and it changes nothing that others refer to. The driver may check their
   * references afterwards, all together, and sees to it that the next statements know how large the table is.
   */
  many<T>(table: Growing, rows: number, write: () => Promise<T>): Promise<T>;
}

/**
 * The database did not answer, or its connection was cut. `stored` is false where nothing can have been stored, and undefined
 * where the cut came while the transaction was being ended, so that nobody knows.
 */
export class Unavailable extends Error {
  constructor(
    readonly stored: false | undefined,
    cause: unknown,
  ) {
    super('the database did not answer', { cause });
  }
}

export interface Database extends Queryable {
  /**
   * One transaction: committed when `work` resolves, rolled back when it rejects. Never await a person or a file inside. Where the
   * database gave it up in favour of another one, `work` is run anew, so it must not keep anything between two runs.
   */
  transaction<T>(work: (tx: Queryable) => Promise<T>): Promise<T>;
  /** One transaction that only reads, all of it of one moment. */
  view<T>(work: (tx: Queryable) => Promise<T>): Promise<T>;
  /** Runs work while no other process does the same: for migrations. Transactions may run inside. */
  alone<T>(work: () => Promise<T>): Promise<T>;
  close(): Promise<void>;
}

/** PostgreSQL type numbers whose text form is not taken as it comes. */
export const PARSERS = {
  20: (text: string): bigint => BigInt(text),
  1082: (text: string): string => text,
  1184: (text: string): string => new Date(text).toISOString(),
} as const;

/** The single row of a query that always has one. */
export const one = <Row>(rows: readonly Row[]): Row => {
  const [row] = rows;
  if (row === undefined || rows.length !== 1) throw new Error(`expected one row, got ${rows.length}`);
  return row;
};

/** Few texts have a character that has to be marked. */
const quoted = (value: string): string =>
  value.includes('"') || value.includes('\\') ? `"${value.replace(/["\\]/g, '\\$&')}"` : `"${value}"`;

/**
 * The text that PostgreSQL itself writes for an array, to be cast in the statement (`$1::text::int[]`): for a hundred
 * thousand values that is several times as fast as what the drivers make of a JavaScript array.
 */
export const arrayText = (values: readonly (string | number | bigint | boolean | null)[]): string =>
  `{${values
    .map((value) => (value === null ? 'NULL' : typeof value === 'string' ? quoted(value) : String(value)))
    .join(',')}}`;

/** A column of rows that are written: its name, its type, and what stands there in a row. */
export type Column<Row> = readonly [
  name: string,
  type: string,
  of: (row: Row) => string | number | bigint | boolean | null,
];

/**
 * Rows as a table `t` of a statement, in its parameters from the number `first` on. A single one is a row of values: a statement over an
 * array of one is planned anew each time, which takes as long as changing the row.
 */
export const tableOf = <Row>(
  rows: readonly Row[],
  columns: readonly Column<Row>[],
  first: number,
): { readonly from: string; readonly values: readonly unknown[] } => {
  const named = `as t (${columns.map(([name]) => name).join(', ')})`;
  const [only] = rows;
  return only !== undefined && rows.length === 1
    ? {
        from: `(values (${columns.map(([, type], at) => `$${at + first}::${type}`).join(', ')})) ${named}`,
        values: columns.map(([, , of]) => of(only)),
      }
    : {
        from: `unnest(${columns.map(([, type], at) => `$${at + first}::text::${type}[]`).join(', ')}) ${named}`,
        values: columns.map(([, , of]) => arrayText(rows.map(of))),
      };
};

/** Whether whoever the database is opened as is asked by no policy, so that a statement that forgets its scope sees all practices. */
export const goesPastWalls = async (database: Queryable): Promise<boolean> =>
  one(
    await database.query<{ past: boolean }>(
      'select rolsuper or rolbypassrls as past from pg_roles where rolname = current_user',
    ),
  ).past;
