import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Account, PLAIN_ACCOUNT, accountId } from '../../chart/account';
import { CLASS_IDS, normalSide } from '../../ledger/classes';
import { columnOff } from '../../ledger/level';
import { type Minor, minor, sideOf } from '../../money/minor';
import { accountsAtNil, balancingAccount } from './last-resorts';

const account = (id: number, name: string, more: Partial<Account> = {}): Account => ({
  ...PLAIN_ACCOUNT,
  id: accountId(id),
  code: String(id),
  name,
  classification: 'equity',
  ...more,
});

describe('the balancing figure', () => {
  const chart = [
    account(1, 'Equity', { heading: true }),
    account(2, 'Share premium'),
    account(7, 'Restricted fund: young players'),
    account(3, 'Owner’s capital'),
    account(4, 'Drawings', { contra: true }),
    account(5, 'Opening suspense', { role: 'opening-suspense' }),
    account(6, 'Result of the year', { role: 'current-year-result' }),
  ];

  it('is the owner’s capital, on the side where capital stands', () => {
    expect(balancingAccount(chart, new Map(), minor(-500n))?.name).toBe('Owner’s capital');
    expect(balancingAccount(chart, new Map(), minor(500n))).toBeUndefined();
    expect(balancingAccount(chart, new Map(), minor(0n))).toBeUndefined();
  });

  it('never goes to an account that stands at something, to a reserve or to a restricted fund', () => {
    const stands = new Map([[accountId(3), minor(-1n)]]);
    expect(balancingAccount(chart, stands, minor(-500n))).toBeUndefined();
  });

  it('and a missing row are offered to accounts at nil that are in use and usually stand on that side, only', () => {
    const any = fc.record({
      heading: fc.boolean(),
      active: fc.boolean(),
      contra: fc.boolean(),
      classification: fc.constantFrom(...CLASS_IDS),
      stands: fc.bigInt({ min: -2n, max: 2n }),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 12 }), fc.bigInt({ min: -9n, max: 9n }), (list, missing) => {
        const given = list.map(({ stands: _, ...more }, at) => account(at + 1, `Account ${String(at)}`, more));
        const stands = new Map<Account['id'], Minor>(list.map((one, at) => [accountId(at + 1), minor(one.stands)]));
        const offered = accountsAtNil(given, stands, minor(missing));
        const balancing = balancingAccount(given, stands, minor(missing));
        if (balancing !== undefined) expect(offered).toContain(balancing);
        for (const one of offered) {
          expect(stands.get(one.id)).toBe(0n);
          expect(one.heading || !one.active).toBe(false);
          expect(normalSide(one)).toBe(sideOf(minor(missing)));
        }
      }),
    );
  });
});

describe('the column that misses its total', () => {
  it('is said where one does and the other reaches it', () => {
    const totals = (debits: bigint, credits: bigint) => ({ debits: minor(debits), credits: minor(credits) });
    expect(columnOff(totals(900n, 900n), totals(900n, 870n))).toEqual({ column: 'credits', by: 30n });
    expect(columnOff(totals(900n, 900n), totals(910n, 900n))).toEqual({ column: 'debits', by: -10n });
    expect(columnOff(totals(900n, 900n), totals(900n, 900n))).toBeUndefined();
    expect(columnOff(totals(900n, 900n), totals(910n, 870n))).toBeUndefined();
  });
});
