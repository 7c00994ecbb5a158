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
      }
      expect(wrong).toEqual([]);
      expect(silent).toBe(0);
    },
  );
});
