import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LARGEST, minor } from '../money/minor';
import { packRows, unpackRows } from './packed-rows';
import type { PaperRow } from './paper-row';

const amounts = fc.bigInt({ min: -LARGEST, max: LARGEST }).map(minor);
const rows: fc.Arbitrary<readonly PaperRow[]> = fc.array(
  fc
    .record({
      kind: fc.constantFrom('account', 'title', 'header', 'heading', 'total', 'blank', 'unreadable'),
      row: fc.nat(1_000_000),
      code: fc.string({ unit: 'binary' }),
      name: fc.string({ unit: 'binary' }),
      text: fc.string({ unit: 'binary' }),
      amount: amounts,
      indent: fc.nat(500),
      note: fc.option(fc.string({ minLength: 1 }), { nil: undefined }),
      section: fc.option(fc.constantFrom('bank', 'current-asset'), { nil: undefined }),
      columns: fc.option(fc.record({ debits: amounts, credits: amounts }), { nil: undefined }),
      foreign: fc.option(fc.record({ currency: fc.constantFrom('NOK', 'GBP'), amount: amounts }), { nil: undefined }),
    })
    .map(
      (row) =>
        Object.fromEntries(Object.entries(row).filter(([, value]) => value !== undefined)) as unknown as PaperRow,
    ),
);

describe('rows on their way between threads', () => {
  it('come out as they went in', () => {
    fc.assert(
      fc.property(rows, (list) => {
        expect(unpackRows(structuredClone(packRows(list)))).toEqual(list);
      }),
    );
  });
});
