import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { movedPlace } from './placed-names';

const moved = (before: string, after: string, ...used: number[]) =>
  movedPlace(before.split(','), after.split(','), new Set(used));

describe('names by whose places something is kept', () => {
  it('may be added, and give way to new ones where they stand; one in use is not taken out or moved', () => {
    expect(moved('Shop,Export', 'Shop,Export,Kitchen', 0, 1)).toBeUndefined();
    expect(moved('Shop,Export', 'Shop,Abroad', 0, 1)).toBeUndefined();
    expect(moved('Shop,Export', 'SHOP,Export', 0, 1)).toBeUndefined();
    expect(moved('Shop,Export', 'Export', 1)).toBe(1);
    expect(moved('Shop,Export', 'Export', 0)).toBe(0);
    expect(moved('Shop,Export', 'Export,Shop', 0)).toBe(0);
    expect(moved('Shop,Export,Kitchen', 'Shop,Kitchen', 0, 1)).toBe(1);
    expect(moved('Shop,Export', 'Export,Shop')).toBeUndefined();
  });
  it('never stand over what was of another of them', () => {
    const names = fc.uniqueArray(fc.constantFrom('a', 'b', 'c', 'd', 'e'), { maxLength: 5 });
    fc.assert(
      fc.property(names, names, fc.uniqueArray(fc.nat(4)), (before, after, used) => {
        if (movedPlace(before, after, new Set(used)) !== undefined) return;
        for (const place of used.filter((one) => one < before.length)) {
          expect(after[place]).toBeDefined();
          if (after[place] !== before[place]) expect(before).not.toContain(after[place]);
        }
      }),
    );
  });
});
