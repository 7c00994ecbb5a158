import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { columnsOf, rowsIn } from './columns';

const amount = fc.bigInt({ min: -(2n ** 62n), max: 2n ** 62n });
const value = fc.oneof(
  fc.string(),
  fc.integer(),
  fc.boolean(),
  fc.constant(null),
  amount,
  fc.array(fc.record({ currency: fc.string(), amount }), { maxLength: 2 }),
  fc.record({ id: fc.nat(), name: fc.string() }),
);
const anyRows = fc
  .uniqueArray(
    fc.string({ minLength: 1, maxLength: 6 }).filter((name) => name !== '__proto__' && name !== 'exact'),
    {
      minLength: 1,
      maxLength: 5,
    },
  )
  .chain((fields) => fc.array(fc.record(Object.fromEntries(fields.map((field) => [field, value]))), { maxLength: 12 }));

describe('rows by column', () => {
  it('are the same rows when they are read again', () => {
    fc.assert(
      fc.property(anyRows, (rows) => {
        expect(rowsIn(columnsOf(rows))).toEqual(rows);
      }),
      { numRuns: 300 },
    );
  });

  it('are the same rows where columns are of one kind, in runs or with gaps', () => {
    const row = fc.record({ name: fc.string(), kind: fc.constantFrom('a', 'b|c', null), amount: fc.option(amount) });
    const runs = fc.array(fc.tuple(row, fc.integer({ min: 1, max: 9 })), { minLength: 1, maxLength: 6 });
    fc.assert(
      fc.property(runs, (some) => {
        const rows = some.flatMap(([one, count]) => Array.from({ length: count }, () => one));
        expect(rowsIn(columnsOf(rows))).toEqual(rows);
      }),
    );
  });

  it('say the names of fields once, and a value that all have once', () => {
    const rows = Array.from({ length: 1000 }, (_, at) => ({ id: at, kind: 'expense', amount: null, parts: [] }));
    const text = columnsOf(rows);
    expect(text.match(/kind/g)).toHaveLength(1);
    expect(text.match(/expense/g)).toHaveLength(1);
    expect(text.length).toBeLessThan(JSON.stringify(rows).length / 4);
  });
});
