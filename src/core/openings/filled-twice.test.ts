import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type AccountId, accountId } from '../chart/account';
import { filledTwice } from './filled-twice';

const found = (list: readonly { id: AccountId; code: string; amount: bigint }[]) => {
  const amounts = new Map(list.map(({ id, amount }) => [id, amount]));
  return filledTwice(list)((id) => amounts.get(id) ?? 0n);
};
const figures = (...list: readonly (readonly [string, bigint])[]) =>
  list.map(([code, amount], at) => ({ id: accountId(at + 1), code, amount }));

describe('a heading filled as well as its parts', () => {
  it('is the account whose figure is what those under its code come to', () => {
    const list = figures(['1000', 300n], ['1010', 100n], ['1020', 200n], ['2000', -300n], ['2100', -250n]);
    expect([...found(list)]).toEqual([[1, 2]]);
  });
  it('is none with one part, with parts of nil, or with another amount', () => {
    expect(found(figures(['10', 100n], ['101', 100n])).size).toBe(0);
    expect(found(figures(['10', 0n], ['101', 5n], ['102', -5n])).size).toBe(0);
    expect(found(figures(['10', 99n], ['101', 50n], ['102', 50n])).size).toBe(0);
  });
  it('is found wherever it is, however the accounts are ordered, and does not depend on the rest', () => {
    const parts = fc.array(fc.bigInt({ min: 1n, max: 10n ** 9n }), { minLength: 2, maxLength: 9 });
    fc.assert(
      fc.property(
        parts,
        fc.array(fc.bigInt({ min: 1n, max: 10n ** 9n }), { maxLength: 20 }),
        fc.infiniteStream(fc.double()),
        (own, others, luck) => {
          const whole = own.reduce((all, one) => all + one, 0n);
          const list = figures(
            ['400', whole],
            ...own.map((amount, at): [string, bigint] => [`40${String(at + 1)}`, amount]),
            ...others.map((amount, at): [string, bigint] => [`9${String(100 + at)}`, amount]),
          );
          const mixed = list
            .map((one) => [luck.next().value, one] as const)
            .sort(([a], [b]) => Number(a) - Number(b))
            .map(([, one]) => one);
          expect(found(mixed).get(accountId(1))).toBe(own.length);
        },
      ),
    );
  });
});
