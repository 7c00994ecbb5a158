import { beforeAll, describe, expect, it } from 'vitest';
import { useReading } from '@/actions/kernel/context';
import { READING, WORKER, readingPool } from '@/workers/reading/pool';
import { bringPaper } from '@/actions/papers/commands';
import { paperView } from '@/actions/papers/views';
import { papersView } from '@/actions/openings/views';
import { CORPUS, control } from '../hostile/corpus';
import { codesOf, newBooks, valueOf, withDatabase } from './support';

withDatabase();

// What a file is, is asked here; how long it may take, in reading.test.ts. Beside other tests on a shared machine it takes longer.
const pool = readingPool(WORKER, () => undefined, { ...READING, milliseconds: 60_000 });
// The end of the database is the end of the pool.
beforeAll(() => useReading(pool));

let books: number | undefined;
const ours = async (): Promise<number> => (books ??= await newBooks());
const papers = async (): Promise<number> => (await papersView(await ours()))?.papers.length ?? 0;

describe('hostile files', () => {
  it('are of at least a hundred and twenty kinds', () => {
    expect(new Set(CORPUS.map(({ name }) => name)).size).toBeGreaterThanOrEqual(120);
  });
  it.each(CORPUS.map((file, at) => ({ ...file, at })))(
    '$name: $becomes, and a paper like any other is taken after it',
    async ({ bytes, becomes, at }) => {
      const id = await ours();
      const before = await papers();
      const brought = await bringPaper({ books: id, name: `${String(at)}.csv`, content: bytes() });
      expect(brought.ok ? 'reads' : codesOf(brought)[0]).toBe(becomes);
      if (brought.ok) {
        const paper = (await paperView(id, brought.value.paper))?.paper;
        expect(paper?.recognition.reasons.join(' ').length).toBeGreaterThan(20);
        expect(paper?.rows.rows.every(({ row }) => row.kind !== 'unreadable' || (row.note ?? '') !== '')).toBe(true);
      } else {
        expect(brought.problems[0]?.message).toMatch(/^\S.{30,}\.$/);
        expect(await papers()).toBe(before);
      }
      valueOf(await bringPaper({ books: id, name: 'control.csv', content: control(at) }));
    },
  );
});
