import type { Queryable } from './database';

/** How a column comes: as JSON has it, or as an integer of 64 bits, which JSON numbers cannot hold. */
type Kind = 'json' | 'int8';

type Lists = Readonly<Record<string, readonly unknown[] | null>>;

/**
 * The rows of a query that may have tens of thousands of them, in its order. They come as one row with a list for each column, since
 * a row costs the drivers ten times what it costs the database. `columns` says of each column of the query how it comes; columns of
 * other types than numbers of 32 bits, texts, days, truths and JSON have no place here.
 */
export const longRows = async <Row extends object>(
  tx: Queryable,
  columns: Readonly<Record<keyof Row & string, Kind>>,
  sql: string,
  parameters: readonly unknown[],
): Promise<readonly Row[]> => {
  const named = Object.entries<Kind>(columns);
  const [found = {}] = await tx.query<Lists>(
    `select ${named.map(([name, kind]) => `json_agg(r."${name}"${kind === 'int8' ? '::text' : ''}) as "${name}"`).join(', ')} from (${sql}) r`,
    parameters,
  );
  const lists = named.map(([name, kind]): readonly [string, readonly unknown[]] => {
    const list = found[name] ?? [];
    return [name, kind === 'json' ? list : list.map((text) => (text === null ? null : BigInt(text as string)))];
  });
  const [first] = lists;
  return (first?.[1] ?? []).map((_, at) => {
    const row: Record<string, unknown> = {};
    for (const [name, list] of lists) row[name] = list[at];
    return row as Row;
  });
};
