import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { ok } from '@/core/base/result';
import { isBehind, noted } from './send';

describe('what a page shows', () => {
  it('is behind once something asked for later was stored from here, of the same books, in whatever order answers come', () => {
    let books = 0;
    fc.assert(
      fc.property(fc.array(fc.nat({ max: 40 }), { minLength: 1 }), fc.nat({ max: 50 }), (stored, shown) => {
        books += 1;
        expect(isBehind({ id: books, revision: shown })).toBe(false);
        for (const revision of stored) noted({ ...ok(null), left: { id: books, revision } });
        expect(isBehind({ id: books, revision: shown })).toBe(shown < Math.max(...stored));
        expect(isBehind({ id: books + 1_000_000, revision: shown })).toBe(false);
      }),
    );
  });
});
