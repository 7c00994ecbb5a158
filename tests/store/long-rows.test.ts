import fc from 'fast-check';
import { expect, it } from 'vitest';
import { type Column, tableOf } from '@/store/database';
import { longRows } from '@/store/long-rows';
import { withDatabase } from './support';

const database = withDatabase();

interface Row {
  readonly place: number;
  readonly amount: bigint | null;
  readonly name: string | null;
  readonly on: boolean;
  readonly kept: string | null;
}

const COLUMNS: readonly Column<Row>[] = [
  ['place', 'int', ({ place }) => place],
  ['amount', 'int8', ({ amount }) => amount],
  ['name', 'text', ({ name }) => name],
  ['"on"', 'bool', ({ on }) => on],
  ['kept', 'jsonb', ({ kept }) => (kept === null ? null : JSON.stringify({ kept }))],
];

// The database holds no NUL, and no half of a character.
const text = fc.string({ unit: 'grapheme', maxLength: 12 }).map((given) => given.replaceAll('\0', ''));
const rows = fc.array(
  fc.record({
    amount: fc.option(fc.bigInt({ min: -(2n ** 63n), max: 2n ** 63n - 1n })),
    name: fc.option(fc.oneof(text, fc.constantFrom('NULL', '{}', '"', '\\', ',', '', "it's", '<b>'))),
    on: fc.boolean(),
    kept: fc.option(text),
  }),
  { maxLength: 12 },
);

it('rows written as a table and read a list for each column come back as they were, in order, however many', async () => {
  await fc.assert(
    fc.asyncProperty(rows, async (given) => {
      const wanted = given.map((row, place) => ({ place, ...row }));
      const { from, values } = tableOf(wanted, COLUMNS, 2);
      const back = await longRows<Row>(
        database.current,
        { place: 'json', amount: 'int8', name: 'json', on: 'json', kept: 'json' },
        `select place, amount, name, "on", kept->>'kept' as kept from ${from} where place >= $1 order by place`,
        [0, ...values],
      );
      expect(back).toEqual(wanted);
    }),
    { numRuns: 60 },
  );
});

it('days, truths and kept values are as a query gives them', async () => {
  const sql = `select * from (values (1, date '2026-02-28', '{"a": [1, "x"]}'::jsonb, 9007199254740993::int8), (2, null, null, null))
    as t (id, day, kept, amount) order by id`;
  expect(
    await longRows<{ id: number; day: string | null; kept: unknown; amount: bigint | null }>(
      database.current,
      { id: 'json', day: 'json', kept: 'json', amount: 'int8' },
      sql,
      [],
    ),
  ).toEqual(await database.current.query(sql));
});
