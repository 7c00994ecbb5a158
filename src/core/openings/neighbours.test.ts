import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Account, PLAIN_ACCOUNT, accountId } from '../chart/account';
import { anyChart } from '../chart/testing';
import { type OldAccount, matcher } from './match';
import { withNeighbours } from './neighbours';

const account = (id: number, code: string, name: string): Account => ({
  ...PLAIN_ACCOUNT,
  id: accountId(id),
  code,
  name,
  classification: 'operating-expense',
});
const chart = [
  account(1, '6100', 'Wages'),
  account(2, '6110', 'Van running costs'),
  account(3, '6120', 'Office rent'),
  account(4, '6130', 'Courier charges'),
  account(5, '6140', 'Courier insurance'),
];
const old: readonly OldAccount[] = [
  { code: '70', name: 'Wages' },
  { code: '71', name: 'Zyx' },
  { code: '72', name: 'Office rent' },
  { code: '73', name: 'Couriers' },
  { code: '74', name: 'Courier insurance' },
];
const matchOf = (rows: readonly OldAccount[], code: string) =>
  withNeighbours(rows, chart, matcher(chart))(old.find((one) => one.code === code) ?? { code, name: '' });

describe('neighbours in the order of the codes', () => {
  it('make the account between theirs likelier, and the only one there a candidate', () => {
    expect(matchOf(old, '71')).toMatchObject({
      kind: 'unmatched',
      candidates: [{ account: 2, why: 'between 6100 and 6120, as its neighbours are' }],
    });
    const plain = matcher(chart)({ code: '73', name: 'Couriers' }).candidates;
    const nudged = matchOf(old, '73').candidates;
    const of = (list: typeof plain, id: number) => list.find((one) => one.account === id)?.confidence ?? 0;
    expect(of(nudged, 4)).toBeGreaterThan(of(plain, 4));
    expect(of(nudged, 5)).toBe(of(plain, 5));
  });
  it('leave certain matches alone, and say nothing at the ends or where the chart has another order', () => {
    expect(matchOf(old, '72')).toEqual(matcher(chart)({ code: '72', name: 'Office rent' }));
    expect(matchOf(old, '75').candidates).toEqual([]);
    const crossed = [
      { code: '70', name: 'Office rent' },
      { code: '71', name: 'Zyx' },
      { code: '72', name: 'Wages' },
    ];
    expect(withNeighbours(crossed, chart, matcher(chart))({ code: '71', name: 'Zyx' }).candidates).toEqual([]);
  });
  it('do not depend on the order of rows, and make nothing certain', () => {
    const rows = fc.array(
      fc.record({ code: fc.stringMatching(/^\d{1,4}$/), name: fc.constantFrom('Wages', 'Rent', 'Courier', 'Zyx', '') }),
      { maxLength: 12 },
    );
    fc.assert(
      fc.property(anyChart(20), rows, (any, list) => {
        const plain = matcher(any);
        const [one, other] = [list, [...list].reverse()].map((each) => withNeighbours(each, any, plain));
        for (const row of list) {
          const found = one?.(row);
          expect(found).toEqual(other?.(row));
          const before = plain(row);
          expect(found?.kind === 'matched' && found.sure).toBe(before.kind === 'matched' && before.sure);
          expect(found?.candidates.every(({ confidence }) => confidence < 1)).toBe(true);
        }
      }),
    );
  });
});
