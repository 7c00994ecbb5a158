import { type CleanedWhere, createAdapterFactory } from 'better-auth/adapters';
import type { Database } from './database';

/** A name of a table or a column; all come from our own configuration. */
const named = (name: string): string => {
  if (!/^[a-z_]+$/.test(name)) throw new Error(`no name of a column: ${name}`);
  return `"${name}"`;
};

const COMPARED = { eq: '=', ne: '<>', lt: '<', lte: '<=', gt: '>', gte: '>=' } as const;
const isCompared = (operator: string): operator is keyof typeof COMPARED => operator in COMPARED;

/** Values of a statement, by the order in which they are named. */
const values = () => {
  const all: unknown[] = [];
  return {
    all,
    put: (value: unknown): string => {
      all.push(value);
      return `$${String(all.length)}`;
    },
  };
};
type Values = ReturnType<typeof values>;

const condition = (
  { field, operator = 'eq', value, connector }: CleanedWhere,
  at: number,
  put: Values['put'],
): string => {
  if (at > 0 && connector === 'OR') throw new Error('conditions are joined by "and" only');
  if (operator === 'in') return `${named(field)} = any(${put(value)}::text[])`;
  if (!isCompared(operator)) throw new Error(`no such comparison: ${operator}`);
  if (value === null) return `${named(field)} is ${operator === 'ne' ? 'not ' : ''}null`;
  return `${named(field)} ${COMPARED[operator]} ${put(value)}`;
};

const where = (given: readonly CleanedWhere[] | undefined, put: Values['put']): string =>
  given === undefined || given.length === 0
    ? ''
    : ` where ${given.map((one, at) => condition(one, at, put)).join(' and ')}`;

const assigned = (fields: Readonly<Record<string, unknown>>, put: Values['put']): readonly string[] =>
  Object.entries(fields).map(([name, value]) => `${named(name)} = ${put(value)}`);

/** Where the library that signs people in keeps what it keeps: in our tables, by plain SQL, each call a transaction of its own. */
export const signInAdapter = (database: () => Promise<Database>) =>
  createAdapterFactory({
    config: {
      adapterId: 'bathron',
      supportsJSON: false,
      supportsDates: false,
      supportsBooleans: true,
      transaction: false,
    },
    adapter: ({ getFieldName }) => {
      const rows = async <T>(sql: string, parameters: readonly unknown[]): Promise<readonly T[]> =>
        (await (await database()).query<object>(sql, parameters)) as unknown as readonly T[];
      const first = async <T>(sql: string, parameters: readonly unknown[]): Promise<T | null> =>
        (await rows<T>(sql, parameters))[0] ?? null;
      const changed = async <T>(
        model: string,
        sets: readonly string[],
        given: readonly CleanedWhere[],
        { all, put }: Values,
      ) => rows<T>(`update ${named(model)} set ${sets.join(', ')}${where(given, put)} returning *`, all);
      return {
        create: async <T extends Record<string, unknown>>({ model, data }: { model: string; data: T }) => {
          const { all, put } = values();
          const names = Object.keys(data);
          const made = await first<T>(
            `insert into ${named(model)} (${names.map(named).join(', ')}) values (${names.map((name) => put(data[name])).join(', ')}) returning *`,
            all,
          );
          return made ?? data;
        },
        update: async <T>({ model, where: given, update }: { model: string; where: CleanedWhere[]; update: T }) => {
          const own = values();
          const sets = assigned(update as Record<string, unknown>, own.put);
          return (await changed<T>(model, sets, given, own))[0] ?? null;
        },
        updateMany: async ({ model, where: given, update }) => {
          const own = values();
          return (await changed(model, assigned(update, own.put), given, own)).length;
        },
        findOne: <T>({ model, where: given }: { model: string; where: CleanedWhere[] }) => {
          const { all, put } = values();
          return first<T>(`select * from ${named(model)}${where(given, put)} limit 1`, all);
        },
        findMany: async <T>({
          model,
          where: given,
          limit,
          sortBy,
          offset,
        }: {
          model: string;
          where?: CleanedWhere[] | undefined;
          limit: number;
          sortBy?: { field: string; direction: 'asc' | 'desc' } | undefined;
          offset?: number | undefined;
        }) => {
          const { all, put } = values();
          const filter = where(given, put);
          const order =
            sortBy === undefined
              ? ''
              : ` order by ${named(getFieldName({ model, field: sortBy.field }))} ${sortBy.direction === 'asc' ? 'asc' : 'desc'}`;
          return [
            ...(await rows<T>(
              `select * from ${named(model)}${filter}${order} limit ${put(limit)}::int offset ${put(offset ?? 0)}::int`,
              all,
            )),
          ];
        },
        delete: async ({ model, where: given }) => {
          const { all, put } = values();
          await rows(`delete from ${named(model)}${where(given, put)}`, all);
        },
        deleteMany: async ({ model, where: given }) => {
          const { all, put } = values();
          return (await rows(`delete from ${named(model)}${where(given, put)} returning 1 as one`, all)).length;
        },
        // One row at most goes, to one caller, however many ask for it at once.
        consumeOne: <T>({ model, where: given }: { model: string; where: CleanedWhere[] }) => {
          const { all, put } = values();
          return first<T>(
            `delete from ${named(model)} where id = (select id from ${named(model)}${where(given, put)} limit 1 for update skip locked) returning *`,
            all,
          );
        },
        incrementOne: async <T>({
          model,
          where: given,
          increment,
          set,
        }: {
          model: string;
          where: CleanedWhere[];
          increment: Record<string, number>;
          set?: Record<string, unknown> | undefined;
        }) => {
          const own = values();
          const sets = [
            ...Object.entries(increment).map(
              ([name, by]) => `${named(name)} = coalesce(${named(name)}, 0) + ${own.put(by)}::int`,
            ),
            ...assigned(set ?? {}, own.put),
          ];
          return (await changed<T>(model, sets, given, own))[0] ?? null;
        },
        count: async ({ model, where: given }) => {
          const { all, put } = values();
          return (
            (
              await first<{ count: number }>(
                `select count(*)::int as count from ${named(model)}${where(given, put)}`,
                all,
              )
            )?.count ?? 0
          );
        },
      };
    },
  });
