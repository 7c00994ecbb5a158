import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { fromWire, toWire } from './wire';

const value = fc.letrec((tie) => ({
  any: fc.oneof(
    { maxDepth: 4 },
    fc.string(),
    fc.integer(),
    fc.boolean(),
    fc.constant(null),
    fc.bigInt({ min: -(10n ** 30n) + 1n, max: 10n ** 30n - 1n }),
    fc.array(tie('any'), { maxLength: 5 }),
    // The one shape that stands for an amount is no shape of ours.
    fc
      .dictionary(
        fc.string().filter((key) => key !== '__proto__'),
        tie('any'),
        { maxKeys: 4, noNullPrototype: true },
      )
      .filter((one) => !(Object.keys(one).length === 1 && 'units' in one)),
  ),
})).any;

describe('values with exact amounts', () => {
  test('come back as they were', () => {
    fc.assert(
      fc.property(value, (given) => {
        expect(fromWire(toWire(given))).toEqual(given);
      }),
    );
  });

  test('what is no amount stays what it is, however long its digits', () => {
    for (const units of ['', '1.5', '1e3', '0x10', ' 1', '1'.repeat(31), '--1'])
      expect(fromWire(JSON.stringify({ units }))).toEqual({ units });
    expect(fromWire('{"units":"1","and":2}')).toEqual({ units: '1', and: 2 });
    expect(() => fromWire('{"units"')).toThrow(SyntaxError);
  });
});
