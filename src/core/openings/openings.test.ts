import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Account, PLAIN_ACCOUNT, accountId } from '../chart/account';
import { type Minor, NIL, minor, sum } from '../money/minor';
import type { PaperRow } from '../papers/paper-row';
import { closeResults } from './closing';
import { compareVersions } from './compare';
import { type Position, type PostingLine, compared, impliedRate, postingLines, underRate } from './foreign';
import { bubble, difference, totalsOf, withChange } from '../ledger/level';
import { matcher } from './match';
import { type Decision, classGuesser, headingsFor, planTakeOver } from './takeover';

const amounts = fc.bigInt({ min: -(10n ** 15n), max: 10n ** 15n }).map(minor);
const positions = fc.array(fc.tuple(fc.integer({ min: 1, max: 30 }), amounts)).map((pairs) => new Map(pairs));

describe('the Level', () => {
  it('has debits less credits equal to the plain sum', () => {
    fc.assert(
      fc.property(fc.array(amounts), (list) => {
        const totals = totalsOf(list);
        expect(difference(totals)).toBe(sum(list));
        expect(totals.debits >= 0n && totals.credits >= 0n).toBe(true);
      }),
    );
  });
  it('follows a changed cell exactly as if all were added anew', () => {
    fc.assert(
      fc.property(fc.array(amounts, { minLength: 1 }), fc.nat(), amounts, (list, pick, to) => {
        const at = pick % list.length;
        const changed = list.map((amount, index) => (index === at ? to : amount));
        expect(withChange(totalsOf(list), list[at] ?? NIL, to)).toEqual(totalsOf(changed));
      }),
    );
  });
  it('moves its bubble to the lighter side, never off the glass, further the more is missing', () => {
    fc.assert(
      fc.property(amounts, amounts, (a, b) => {
        expect(Math.abs(bubble(a))).toBeLessThanOrEqual(1);
        expect(bubble(minor(-a))).toBe(-bubble(a) + 0);
        expect(Math.sign(bubble(a))).toBe(a > 0n ? 1 : a < 0n ? -1 : 0);
        if (a > b && b > 0n) expect(bubble(a)).toBeGreaterThanOrEqual(bubble(b));
      }),
    );
    expect(bubble(minor(1n))).toBeGreaterThan(0.1);
  });
});

const anyPosition: fc.Arbitrary<Position> = fc.record({
  base: amounts,
  parts: fc.uniqueArray(fc.record({ currency: fc.constantFrom('NOK', 'GBP', 'JPY'), amount: amounts, base: amounts }), {
    selector: ({ currency }) => currency,
    maxLength: 3,
  }),
});
const anyPositions = fc
  .array(fc.tuple(fc.integer({ min: 1, max: 12 }), anyPosition), { maxLength: 12 })
  .map((pairs) => new Map(pairs));

describe('posting', () => {
  /** What each account stands at per currency after journals: base by currency, and the amount in it. */
  const ledger = (
    journals: readonly (readonly PostingLine<number>[])[],
  ): ReadonlyMap<string, readonly [bigint, bigint]> => {
    const stands = new Map<string, readonly [bigint, bigint]>();
    for (const { account: id, currency, amount, foreign } of journals.flat()) {
      const key = `${String(id)}/${currency ?? ''}`;
      const [base, own] = stands.get(key) ?? [0n, 0n];
      stands.set(key, [base + amount, own + foreign]);
    }
    return new Map([...stands].filter(([, [base, own]]) => base !== 0n || own !== 0n));
  };
  it('brings the ledger to the last target, in base and in every currency, for any chain of versions', () => {
    fc.assert(
      fc.property(fc.array(anyPositions, { minLength: 1, maxLength: 5 }), (versions) => {
        const journals: (readonly PostingLine<number>[])[] = [];
        let stands: ReadonlyMap<number, Position> = new Map();
        for (const target of versions) {
          const lines = postingLines(target, stands);
          expect(lines.every(({ amount, foreign }) => amount !== 0n || foreign !== 0n)).toBe(true);
          expect(sum(lines.map(({ amount }) => amount))).toBe(
            sum([...target.values()].map(({ base }) => base)) - sum([...stands.values()].map(({ base }) => base)),
          );
          journals.push(lines);
          stands = target;
        }
        expect(ledger(journals)).toEqual(ledger([postingLines(versions.at(-1) ?? new Map(), new Map())]));
      }),
    );
  });
  it('posts nothing twice', () => {
    fc.assert(
      fc.property(anyPositions, (target) => {
        expect(postingLines(target, target)).toEqual([]);
      }),
    );
  });
});

describe('amounts in currency', () => {
  const how = {
    ratio: { n: 11_550n, d: 10_000n },
    fromDigits: 2,
    toDigits: 2,
    rounding: 'half-away-from-zero',
  } as const;
  it('are compared with the rate of the day to the cent', () => {
    expect(compared({ amount: minor(1_117_231n), base: minor(1_290_418n) }, how)).toEqual({
      translated: 1_290_402n,
      difference: 16n,
    });
  });
  it('imply the rate at which they were translated', () => {
    expect(impliedRate({ amount: minor(1_000_00n), base: minor(1_155_00n) }, how)).toBe('1.155000');
    expect(impliedRate({ amount: minor(100_00n), base: minor(64n) }, how)).toBe('0.006400');
    expect(impliedRate({ amount: minor(1000n), base: minor(-64n) }, how)).toBeUndefined();
  });
  it('under another rate are apart by what each of them is', () => {
    fc.assert(
      fc.property(fc.array(fc.record({ amount: amounts, base: amounts }), { maxLength: 8 }), (parts) => {
        const { stand, worth, difference: apart } = underRate(parts, how);
        expect(apart).toBe(worth - stand);
        expect(apart).toBe(-sum(parts.map((part) => compared(part, how).difference)));
      }),
    );
  });
  it('translated by the rate differ from it by nothing', () => {
    fc.assert(
      fc.property(amounts, (amount) => {
        const { translated } = compared({ amount, base: NIL }, how);
        expect(compared({ amount, base: translated }, how).difference).toBe(NIL);
      }),
    );
  });
});

const account = (id: number, code: string, name: string, more: Partial<Account> = {}): Account => ({
  ...PLAIN_ACCOUNT,
  id: accountId(id),
  code,
  name,
  classification: 'current-asset',
  ...more,
});
const chart = [
  account(1, '1000', 'Current assets', { heading: true }),
  account(2, '1010', 'Current account at bank', { role: 'bank' }),
  account(3, '1200', 'Stock of goods'),
  account(4, '2100', 'Trade payables', { classification: 'current-liability' }),
  account(5, '6100', 'Wages', { classification: 'operating-expense', active: false }),
  account(6, '6110', 'Rent', { classification: 'operating-expense' }),
  account(7, '6120', 'Rent', { classification: 'operating-expense' }),
];

describe('matching', () => {
  const match = matcher(chart);
  it.each([
    ['1010', 'Skerry Bank current account', 2, true],
    ['1200', 'Stock of dried kelp', 3, true],
    ['9999', 'TRADE  PAYABLES', 4, true],
    ['1200', 'Trade payables', 4, true],
    ['1200', 'Boats', 3, false],
    ['2100', '', 4, true],
  ])('%s %s', (code, name, id, sure) => {
    expect(match({ code, name })).toMatchObject({ kind: 'matched', account: id, sure });
  });
  it.each([
    ['1000', 'Current assets', 'heading'],
    ['6100', 'Wages', 'inactive'],
    ['7777', 'Unheard of', 'no account'],
    ['', 'Rent', '2 accounts'],
  ])('leaves %s %s to a person', (code, name, why) => {
    const found = match({ code, name });
    expect(found.kind).toBe('unmatched');
    expect(found.why).toContain(why);
  });
  it('does not depend on the order of the chart', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray(chart, { minLength: chart.length }),
        fc.constantFrom(...chart),
        fc.constantFrom(...chart),
        (shuffled, a, b) => {
          const row = { code: a.code, name: b.name };
          expect(matcher(shuffled)(row)).toEqual(match(row));
        },
      ),
    );
  });
});

describe('the plan of a take-over', () => {
  const row = (
    at: number,
    code: string,
    name: string,
    amount: bigint,
    kind: PaperRow['kind'] = 'account',
  ): PaperRow => ({ row: at, kind, code, name, amount: minor(amount), text: name, indent: 0 });
  const rows = [
    row(2, '1010', 'Bank', 500n),
    row(3, '1011', 'Second bank', 250n),
    row(4, '2100', 'Trade payables', -700n),
    row(5, '4711', 'Odd', -50n),
    row(6, '', 'Total', 0n, 'total'),
  ];
  const match = matcher(chart);
  const plan = (
    decisions: readonly (readonly [number, Decision])[],
    stands: readonly (readonly [number, bigint])[] = [],
  ) =>
    planTakeOver(
      rows,
      match,
      new Map(decisions),
      chart,
      new Map(stands.map(([id, amount]) => [accountId(id), minor(amount)])),
    );
  it('waits for every row with an amount', () => {
    const open = plan([]);
    expect(open.undecided.map(({ row: one }) => one.row)).toEqual([3, 5]);
    expect(open.problems.map((one) => one.code)).toEqual(['paper.undecided']);
  });
  it('adds rows that become one account, counts what it replaces, and leaves out only with a reason', () => {
    const done = plan(
      [
        [3, { kind: 'account', account: accountId(2) }],
        [5, { kind: 'leave-out', reason: 'belongs to another company' }],
      ],
      [[2, 100n]],
    );
    expect(done.problems).toEqual([]);
    expect(done.amounts).toEqual(
      new Map([
        [2, 750n],
        [4, -700n],
      ]),
    );
    expect([done.merged, done.leftOut.length, done.replaced]).toEqual([1, 1, [{ account: 2, from: 100n, to: 750n }]]);
    expect(done.totals).toEqual({ debits: 750n, credits: 700n });
  });
  it('refuses an account that cannot take amounts', () => {
    expect(
      plan([
        [3, { kind: 'account', account: accountId(1) }],
        [5, { kind: 'account', account: accountId(5) }],
      ]).problems.map((one) => one.path),
    ).toEqual([
      ['rows', 3],
      ['rows', 5],
    ]);
  });
  it('divides a row among accounts, and refuses parts that do not come to its amount', () => {
    const split = (amount: bigint): readonly (readonly [number, Decision])[] => [
      [
        3,
        {
          kind: 'split',
          parts: [
            { account: accountId(2), amount: minor(200n) },
            { account: accountId(6), amount: minor(amount) },
          ],
        },
      ],
      [5, { kind: 'leave-out', reason: 'belongs to another company' }],
    ];
    const done = plan(split(50n));
    expect(done.problems).toEqual([]);
    expect(done.amounts).toEqual(
      new Map([
        [2, 700n],
        [6, 50n],
        [4, -700n],
      ]),
    );
    expect(plan(split(49n)).problems.map((one) => one.code)).toEqual(['paper.split-differs']);
  });
  it('conserves: what is taken plus what is left out is what the paper has', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(amounts, fc.constantFrom('account', 'create', 'leave')), { maxLength: 20 }),
        (list) => {
          const given = list.map(([amount], at) => row(at + 1, `X${at}`, 'x', amount));
          const decisions = new Map(
            list.map(([, what], at): [number, Decision] => [
              at + 1,
              what === 'account'
                ? { kind: 'account', account: accountId(2) }
                : what === 'create'
                  ? { kind: 'create', code: `X${at}`, name: 'x', classification: 'equity', parent: null }
                  : { kind: 'leave-out', reason: 'r' },
            ]),
          );
          const made = planTakeOver(given, match, decisions, chart, new Map());
          const left: Minor = sum(made.leftOut.map((one) => one.row.amount));
          expect(difference(made.totals) + left).toBe(sum(given.map((one) => one.amount)));
        },
      ),
    );
  });
  it('proposes a class by words, neighbours and side', () => {
    expect(classGuesser(chart)({ code: 'x', name: 'Boats, accumulated depreciation', amount: minor(-5n) })).toBe(
      'fixed-asset',
    );
    expect(classGuesser(chart)({ code: '6199', name: 'Whatever', amount: minor(5n) })).toBe('operating-expense');
    expect(classGuesser([])({ code: '', name: 'Whatever', amount: minor(-5n) })).toBe('current-liability');
  });
});

describe('closing the results', () => {
  const company = [
    ...chart,
    account(8, '3200', 'Retained earnings', { classification: 'equity', role: 'retained-earnings' }),
    account(9, '4000', 'Sales', { classification: 'revenue' }),
  ];
  it('keeps the net, clears every result, and touches nothing else', () => {
    fc.assert(
      fc.property(positions, (given) => {
        const stands = new Map([...given].map(([id, amount]) => [accountId(id), amount]));
        const after = new Map(stands);
        for (const { account: id, from, to } of closeResults(company, stands) ?? []) {
          expect(after.get(id) ?? NIL).toBe(from);
          after.set(id, to);
        }
        expect(sum(after.values())).toBe(sum(stands.values()));
        for (const id of [5, 6, 7, 9]) expect(after.get(accountId(id)) ?? NIL).toBe(NIL);
        for (const id of [2, 3, 4]) expect(after.get(accountId(id))).toBe(stands.get(accountId(id)));
      }),
    );
  });
  it('has nowhere to put them without retained earnings', () => {
    expect(closeResults(chart, new Map([[accountId(6), minor(5n)]]))).toBeUndefined();
    // Where no result stands there is nothing to put anywhere.
    expect(closeResults(chart, new Map([[accountId(2), minor(5n)]]))).toEqual([]);
  });
});

describe('a chart made from the trial balance', () => {
  const lines = ['current-asset', 'fixed-asset', 'current-liability', 'equity', 'revenue'] as const;
  const creations = fc.uniqueArray(
    fc.record({
      code: fc.integer({ min: 1, max: 99_999 }).map(String),
      classification: fc.constantFrom(...lines),
      parent: fc.constant(null),
    }),
    { selector: ({ code }) => code, maxLength: 30 },
  );
  it('has one heading per statement line, with a code that nothing else has', () => {
    fc.assert(
      fc.property(creations, (create) => {
        const made = headingsFor(create, chart);
        const codes = [...chart, ...create, ...made].map(({ code }) => code.toLowerCase());
        expect(new Set(codes).size).toBeGreaterThanOrEqual(
          new Set([...chart, ...create].map(({ code }) => code)).size + made.length,
        );
        // The chart has a heading of current assets already.
        const wanted = new Set(
          create.map(({ classification }) => classification).filter((one) => one !== 'current-asset'),
        );
        expect(new Set(made.map(({ classification }) => classification))).toEqual(wanted);
      }),
    );
  });
  it('numbers a heading by what its accounts begin with', () => {
    const of = (...codes: string[]) =>
      headingsFor(
        codes.map((code) => ({ code, classification: 'equity' as const, parent: null })),
        [],
      )[0]?.code;
    expect([of('3010', '3200'), of('3000', '3100'), of('31', '4105')]).toEqual(['3000', '3', 'H1']);
  });
  it('takes the section of the paper over a name that says another kind', () => {
    const row = { code: '', name: 'Bank overdraft', amount: minor(-5n) };
    expect(classGuesser([])({ ...row, section: 'current-liability' })).toBe('current-liability');
    expect(classGuesser([])({ ...row, name: 'Bank loan', section: 'current-liability' })).toBe('long-term-liability');
  });
});

describe('comparing versions', () => {
  const company = chart.filter(({ heading }) => !heading);
  const ofCompany = fc
    .array(fc.tuple(fc.constantFrom(...company.map(({ id }) => id)), amounts))
    .map((pairs) => new Map(pairs));
  it('has differences that lead from one version to the other and add up to how their nets differ', () => {
    fc.assert(
      fc.property(ofCompany, ofCompany, (from, to) => {
        const rows = compareVersions(company, from, to);
        const after = new Map(from);
        for (const { account: one, difference: by } of rows) after.set(one.id, minor((after.get(one.id) ?? 0n) + by));
        for (const { id } of company) expect(after.get(id) ?? 0n).toBe(to.get(id) ?? 0n);
        expect(sum(rows.map((row) => row.difference))).toBe(sum(to.values()) - sum(from.values()));
      }),
    );
  });
  it('is the same seen from the other side, turned round', () => {
    fc.assert(
      fc.property(ofCompany, ofCompany, (from, to) => {
        expect(compareVersions(company, to, from).map((row) => [row.account.id, -row.difference])).toEqual(
          compareVersions(company, from, to).map((row) => [row.account.id, row.difference]),
        );
      }),
    );
  });
});
