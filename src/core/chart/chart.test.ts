import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LEGAL_FORM_IDS } from '../company/legal-form';
import {
  type Account,
  type AccountFields,
  DEEPEST,
  PLAIN_ACCOUNT,
  accountId,
  accountProblems,
  chartIndex,
} from './account';
import { ACCOUNT_TYPES, ROLE_IDS, roleFacts, typeOf } from '../ledger/classes';
import { STARTER_IDS, starterChart, startersFor } from './starters';
import { proposeCode } from './codes';
import { inTreeOrder } from './tree';

const account = (id: number, more: Partial<Account> = {}): Account => ({
  ...PLAIN_ACCOUNT,
  id: accountId(id),
  code: String(1000 + id),
  name: `Account ${id}`,
  classification: 'current-asset',
  ...more,
});

/** Any chart that is a tree of headings with postings as leaves. */
const charts = fc.array(fc.tuple(fc.nat(), fc.boolean()), { minLength: 1, maxLength: 40 }).map((shape) => {
  const accounts: Account[] = [];
  shape.forEach(([pick, heading], at) => {
    const headings = accounts.filter((one) => one.heading);
    const parent = headings.length > 0 && pick % 3 !== 0 ? (headings[pick % headings.length]?.id ?? null) : null;
    accounts.push(account(at + 1, { heading, parent }));
  });
  return accounts;
});

describe('the tree', () => {
  it('shows every account once, each directly or indirectly under its heading', () => {
    fc.assert(
      fc.property(charts, (chart) => {
        const rows = inTreeOrder(chart);
        expect(rows.map((row) => row.account.id).sort()).toEqual(chart.map((one) => one.id).sort());
        const depth = new Map(rows.map((row) => [row.account.id, row.depth]));
        for (const row of rows)
          if (row.account.parent !== null) expect(row.depth).toBe((depth.get(row.account.parent) ?? NaN) + 1);
      }),
    );
  });

  it('does not depend on the order in which accounts are given', () => {
    fc.assert(
      fc.property(
        charts.chain((chart) => fc.tuple(fc.constant(chart), fc.shuffledSubarray(chart, { minLength: chart.length }))),
        ([chart, shuffled]) => {
          expect(inTreeOrder(shuffled)).toEqual(inTreeOrder(chart));
        },
      ),
    );
  });

  it('proposes a code that is free, or none', () => {
    fc.assert(
      fc.property(charts, fc.nat(), (chart, pick) => {
        const parent = chart.filter((one) => one.heading)[pick % 7];
        const code = proposeCode(chart, parent);
        expect(chart.some((one) => one.code === code)).toBe(false);
      }),
    );
    expect(
      proposeCode([account(1, { heading: true, code: '1000' })], account(1, { heading: true, code: '1000' })),
    ).toBe('1010');
  });
});

const draft = (more: Partial<AccountFields>): AccountFields => ({
  ...PLAIN_ACCOUNT,
  code: '5',
  name: 'New',
  classification: 'current-asset',
  ...more,
});
const codes = (fields: AccountFields, chart: readonly Account[], self?: Account['id']) =>
  accountProblems(fields, chartIndex(chart), self).map((one) => one.code);

describe('an account beside its chart', () => {
  const chart = [
    account(1, { heading: true }),
    account(2, { heading: true, parent: accountId(1) }),
    account(3, { parent: accountId(2) }),
    account(4, { classification: 'equity', role: 'retained-earnings' }),
  ];
  it('never becomes its own ancestor', () => {
    fc.assert(
      fc.property(charts, fc.nat(), fc.nat(), (tree, a, b) => {
        const moved = tree[a % tree.length];
        const under = tree[b % tree.length];
        if (moved === undefined || under === undefined) return;
        const problems = accountProblems({ ...moved, parent: under.id }, chartIndex(tree), moved.id);
        if (problems.length > 0) return;
        const after = tree.map((one) => (one.id === moved.id ? { ...one, parent: under.id } : one));
        const rows = inTreeOrder(after);
        expect(rows).toHaveLength(tree.length);
        expect(Math.max(...rows.map((row) => row.depth))).toBeLessThan(DEEPEST);
      }),
    );
  });
  it('is refused with the reason', () => {
    expect(codes(draft({ code: '1003' }), chart)).toEqual(['account.code-taken']);
    expect(codes(draft({ code: ' ', name: '' }), chart)).toEqual(['account.code-missing', 'account.name-missing']);
    expect(codes(draft({ code: '=1+1' }), chart)).toEqual(['account.code-shape']);
    expect(codes(draft({ parent: accountId(3) }), chart)).toEqual(['account.parent-posting']);
    expect(codes(draft({ parent: accountId(99) }), chart)).toEqual(['account.parent-missing']);
    expect(codes(draft({ classification: 'equity', parent: accountId(1) }), chart)).toEqual(['account.parent-type']);
    expect(
      codes(
        { ...draft({}), ...chart[0], code: '1001', name: 'x', heading: true, parent: accountId(2) },
        chart,
        accountId(1),
      ),
    ).toEqual(['account.cycle']);
    expect(codes(draft({ classification: 'equity', role: 'retained-earnings' }), chart)).toEqual([
      'account.role-taken',
    ]);
    expect(codes(draft({ role: 'loan' }), chart)).toEqual(['account.role-type']);
    expect(codes(draft({ heading: true, role: 'bank' }), chart)).toEqual(['account.role-on-heading']);
    const deep = Array.from({ length: DEEPEST }, (_, at) =>
      account(at + 1, { heading: true, parent: at === 0 ? null : accountId(at) }),
    );
    expect(codes(draft({ parent: accountId(DEEPEST) }), deep)).toEqual(['account.deep']);
  });
});

describe('starter charts', () => {
  const FIRST = { vocabulary: 'international', foreign: false, salesTax: true } as const;
  const all = LEGAL_FORM_IDS.flatMap((form) => startersFor(form).map((starter) => ({ form, starter })));
  it.each(all.filter(({ starter }) => starter !== 'empty'))(
    '$starter for $form is a chart without faults',
    ({ form, starter }) => {
      const made = starterChart(starter, form, FIRST);
      if (!made.ok) throw new Error(made.problems[0]?.message);
      const ids = new Map(made.value.map((one, at) => [one.code, accountId(at + 1)]));
      expect(ids.size).toBe(made.value.length);
      const chart: Account[] = [];
      for (const one of made.value) {
        const parent = one.parent === null ? null : (ids.get(one.parent) ?? null);
        const fields = { ...PLAIN_ACCOUNT, ...one, parent };
        expect(accountProblems(fields, chartIndex(chart))).toEqual([]);
        chart.push({ ...fields, id: ids.get(one.code) ?? accountId(0) });
      }
      for (const heading of chart.filter((one) => one.heading))
        expect(chart.some((one) => one.parent === heading.id)).toBe(true);
      for (const role of [
        'bank',
        'retained-earnings',
        'current-year-result',
        'receivables-control',
        'payables-control',
      ] as const)
        expect(chart.some((one) => one.role === role)).toBe(true);
      expect(inTreeOrder(chart).map((row) => row.account.code)).toEqual(made.value.map((one) => one.code));
      expect(chart.some((one) => one.name.startsWith('Share capital'))).toBe(form === 'limited-company');
      expect(chart.some((one) => /misc|sundry|general expense/i.test(one.name))).toBe(false);
    },
  );
  it('are refused where they do not suit the legal form', () => {
    for (const form of LEGAL_FORM_IDS)
      for (const starter of STARTER_IDS)
        expect(starterChart(starter, form, FIRST).ok).toBe(startersFor(form).includes(starter));
  });
  it('has a type for every role', () => {
    for (const role of ROLE_IDS) {
      const { types } = roleFacts(role);
      expect(types.length).toBeGreaterThan(0);
      for (const type of types) expect(ACCOUNT_TYPES).toContain(type);
    }
    expect(typeOf('tax')).toBe('expense');
  });
});
