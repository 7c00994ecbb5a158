import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { overlay } from './overlay';

const step = fc.record({ key: fc.nat(8), value: fc.option(fc.nat(99)) });

describe('an overlay', () => {
  it('is what a copy that is changed would be, after any changes, and leaves its base alone', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(8), fc.nat(99))), fc.array(step), (start, steps) => {
        const base = new Map(start);
        const copy = new Map(base);
        const over = overlay(base);
        for (const { key, value } of steps) {
          if (value === null) expect(over.delete(key)).toBe(copy.delete(key));
          else {
            over.set(key, value);
            copy.set(key, value);
          }
          expect(over.size).toBe(copy.size);
          for (let each = 0; each <= 8; each += 1) {
            expect(over.has(each)).toBe(copy.has(each));
            expect(over.get(each)).toBe(copy.get(each));
          }
        }
        expect([...over]).toEqual([...copy]);
        expect([...over.keys()]).toEqual([...copy.keys()]);
        expect([...over.values()]).toEqual([...copy.values()]);
        const seen: [number, number][] = [];
        over.forEach((value, key) => seen.push([key, value]));
        expect(seen).toEqual([...copy]);
        expect([...base]).toEqual([...new Map(start)]);
      }),
      { numRuns: 500 },
    );
  });
});
