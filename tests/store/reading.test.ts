import { join } from 'node:path';
import { afterAll, describe, expect, it } from 'vitest';
import { READING, readingPool } from '@/workers/reading/pool';
import { codesOf } from './support';

const reported: unknown[] = [];
const pool = readingPool(join(import.meta.dirname, '../hostile/stubborn.cjs'), (error) => reported.push(error), {
  ...READING,
  milliseconds: 300,
  millisecondsPerMegabyte: 10,
  megabytes: 40,
  threads: 1,
  mostWaiting: 2,
});
afterAll(() => pool.close());

const file = { bytes: new Uint8Array(10), name: 'stubborn.csv' };
const sound = (): Promise<readonly string[]> =>
  pool
    .read('accounts', { ...file, mapping: { sheet: 0, header: -1, columns: [] }, base: 'EUR' })
    .then((read) => codesOf(read));

describe('a reader that', () => {
  it('never returns is ended, with a sentence that names the limit, and the next file is read', async () => {
    const read = await pool.read('check', file);
    expect(codesOf(read)).toEqual(['file.time']);
    expect(read.ok ? '' : read.problems[0]?.message).toContain('0.3 seconds');
    expect(await sound()).toEqual([]);
  });
  it('never returns from a large file is ended too', async () => {
    const large = { bytes: new Uint8Array(READING.largeFrom), name: 'large.csv' };
    expect(codesOf(await pool.read('check', large))).toEqual(['file.time']);
    expect(await sound()).toEqual([]);
  });
  it('takes more and more memory is ended, and the next file is read', async () => {
    const slow = readingPool(join(import.meta.dirname, '../hostile/stubborn.cjs'), () => undefined, {
      ...READING,
      milliseconds: 60_000,
      megabytes: 40,
      threads: 1,
    });
    const read = await slow.read('table', file);
    expect(codesOf(read)).toEqual(['file.memory']);
    expect(read.ok ? '' : read.problems[0]?.message).toContain('40 MB');
    expect(
      codesOf(await slow.read('accounts', { ...file, mapping: { sheet: 0, header: -1, columns: [] }, base: 'EUR' })),
    ).toEqual([]);
    await slow.close();
  });
  it('fails in a way that nobody foresaw gives a sentence, and reports what it was', async () => {
    expect(codesOf(await pool.read('logo', file))).toEqual(['file.unread']);
    expect(reported).toHaveLength(1);
  });
  it('lets the others wait: the time of one file begins when it is read, and too many waiting are told', async () => {
    const all = await Promise.all([
      pool.read('check', file),
      sound(),
      sound(),
      pool.read('check', file).then((read) => codesOf(read)),
    ]);
    expect(codesOf(all[0])).toEqual(['file.time']);
    expect(all.slice(1)).toEqual([[], [], ['file.busy']]);
  });
});
