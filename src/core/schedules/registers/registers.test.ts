import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCsv } from '../../files/csv';
import { makeRegister } from '../testing/register-maker';
import { plainAmount } from '../testing/written';
import { type RegisterRead, readRegister } from './read-register';
import { REGISTER_KINDS } from './register-words';

const read = (text: string, name = 'list.csv', kind?: RegisterRead['kind']): RegisterRead => {
  const tables = readCsv(new TextEncoder().encode(text), name);
  if (!tables.ok) throw new Error(tables.problems[0]?.message);
  const found = readRegister(tables.value, kind, { name });
  if (found === undefined) throw new Error('no list');
  return found;
};
const told = (read: RegisterRead, fields: readonly string[]) =>
  read.items.map((item) =>
    Object.fromEntries(
      fields.map((field) => {
        const value = (item as unknown as Record<string, unknown>)[field];
        return [field, typeof value === 'bigint' ? plainAmount(Number(value)) : value];
      }),
    ),
  );

describe('registers, stock lists, plans and prepayments', () => {
  it.each(REGISTER_KINDS)(
    'of %s, invented in many shapes, are read exactly, and none is wrong without a word',
    (kind) => {
      const wrong: string[] = [];
      let silent = 0;
      for (let seed = 1; seed <= 120; seed += 1) {
        const made = makeRegister(seed, kind);
        const [first = {}] = made.items;
        const got = read(made.text, made.name);
        const right =
          got.kind === kind &&
          got.asAt === made.asAt &&
          JSON.stringify(told(got, Object.keys(first))) === JSON.stringify(made.items);
        if (!right) wrong.push(`${String(seed)} ${made.traits.join(' ')}`);
        if (!right && got.doubts.length === 0) silent += 1;
        // What is right is not asked about.
        const asked = got.doubts.filter(({ code }) => code !== 'list.dates' && code !== 'list.disposed');
        if (asked.length > 0) wrong.push(`${String(seed)} ${asked.map(({ message }) => message).join(' ')}`);
      }
      expect(wrong).toEqual([]);
      expect(silent).toBe(0);
    },
  );
  it('are read as well where they are long', () => {
    const rows = Array.from(
      { length: 5000 },
      (_, at) => `A${String(at)},Thing ${String(at)},2019-06-01,${String(1000 + at)}.00,${String(at)}.00,1000.00`,
    );
    const got = read(['Code,Asset,Acquired,Cost,Depreciation,Net', ...rows].join('\n'));
    expect([got.kind, got.items.length, got.doubts]).toEqual(['assets', 5000, []]);
  });
  it('in thousands are read with their noughts, quantities and rates as they are', () => {
    const assets = read(
      'Assets in thousands of EUR\nCode,Asset,Acquired,Life (years),Cost,Depreciation,Net\nA1,Boat,2020-01-01,10,120,60.5,59.5\nA2,Rack,2021-01-01,5,10,8,2\n,Total,,,130,68.5,61.5\n',
    );
    expect(assets.items.map((item) => ('cost' in item ? [item.cost, item.net, item.lifeMonths] : []))).toEqual([
      [12_000_000n, 5_950_000n, 120],
      [1_000_000n, 200_000n, 60],
    ]);
    expect(assets.doubts.map(({ code }) => code)).toEqual(['list.scale']);
    const stock = read(
      'Stock\nCode,Article,Quantity,Unit cost,Value (TEUR)\nS1,Rope,120,103.25,12.4\nS2,Twine,80,250.10,20.0\n',
    );
    expect(
      stock.items.map((item) => ('value' in item && 'unitCost' in item ? [item.unitCost, item.value] : [])),
    ).toEqual([
      ['103.25', 1_240_000n],
      ['250.1', 2_000_000n],
    ]);
    expect(stock.doubts.map(({ code }) => code)).toEqual(['list.scale']);
  });
  it('of any cells are read or are none, and never throw', () => {
    const cell = fc.oneof(
      fc.constantFrom(
        '',
        'Total',
        'Cost',
        '1,000.00',
        '-5',
        '(3)',
        '2026-07-31',
        '03/2019',
        '20%',
        '12 kg',
        '<b>',
        '=1+1',
        'Δ',
        '—',
      ),
      fc.string({ maxLength: 12 }),
    );
    fc.assert(
      fc.property(
        fc.array(fc.array(cell, { maxLength: 8 }), { maxLength: 12 }),
        fc.constantFrom(...REGISTER_KINDS, undefined),
        (rows, kind) => {
          const headed = [['Code', 'Name', 'Cost', 'Depreciation', 'Net', 'Quantity', 'Unit cost', 'Value'], ...rows];
          for (const one of [rows, headed]) {
            const found = readRegister([{ name: 'x', rows: one }], kind, { name: 'x' });
            expect(found === undefined || found.items.length <= one.length).toBe(true);
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});
