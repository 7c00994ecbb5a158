/**
 * The whole of what the rest of the store asks of PostgreSQL. Two drivers implement it: the embedded one and a server's.
 * Values: int4 as number, int8 as bigint, date as `YYYY-MM-DD`, timestamptz as an ISO instant, bytea as Uint8Array.
 */
export interface Queryable {
  query<Row extends object>(sql: string, parameters?: readonly unknown[]): Promise<readonly Row[]>;
  /** Runs several statements without parameters: migrations and test fixtures. */
  script(sql: string): Promise<void>;
}

export interface Database extends Queryable {
  /** One transaction: committed when `work` resolves, rolled back when it rejects. Never await a person or a file inside. */
  transaction<T>(work: (tx: Queryable) => Promise<T>): Promise<T>;
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

/** So many rows written at once may make a small table large. */
const MANY = 500;

/**
 * Lets the database look at a table again after many rows were written to it. It keeps its plans for checking references as
 * long as a connection lasts, and those it made while the table was small read all of it for every row: 20,000 new accounts
 * took four minutes to check.
 */
export const lookedAtAgain = async (
  tx: Queryable,
  table: 'account' | 'opening_line' | 'opening_part',
  rows: number,
): Promise<void> => {
  if (rows > MANY) await tx.query(`analyze ${table}`);
};

/**
 * The text that PostgreSQL itself writes for an array, to be cast in the statement (`$1::text::int[]`): for a hundred
 * thousand values that is several times as fast as what the drivers make of a JavaScript array.
 */
export const arrayText = (values: readonly (string | number | bigint | null)[]): string =>
  `{${values
    .map((value) =>
      value === null ? 'NULL' : typeof value === 'string' ? `"${value.replace(/["\\]/g, '\\$&')}"` : String(value),
    )
    .join(',')}}`;
