import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Account,
  type AccountId,
  type ChartIndex,
  DEEPEST,
  PLAIN_ACCOUNT,
  accountId,
  accountProblems,
  chartIndex,
  editedIndex,
} from './account';
import { codeSource, renumber, renumberEdits } from './codes';
import { type ChartEdit, type EditRules, applyEdits, usesAsked, change, inverse } from './edit';
import { accountChanges, changedSince, editsBack, sayAccountChange } from './recorded';
import { indent, moveUnder, outdent, topmost } from './regroup';
import { anyChart } from './testing';
import { inTreeOrder } from './tree';
import { UNUSED } from './use';

const RULES: EditRules = { codes: 'required', base: 'EUR', uses: new Map() };
const value = (chart: readonly Account[], edits: readonly ChartEdit[]): readonly Account[] => {
  const done = applyEdits(chartIndex(chart), edits, RULES);
  if (!done.ok) throw new Error(done.problems[0]?.message);
  return [...done.value.byId.values()];
};
const codesOf = (done: ReturnType<typeof applyEdits>): readonly string[] =>
  done.ok ? [] : done.problems.map(({ code }) => code);
const sorted = (chart: readonly Account[]): readonly Account[] => [...chart].sort((a, b) => a.id - b.id);

/** Each account once, under a heading of its type, no deeper than a chart may be. */
const isTree = (chart: readonly Account[]): void => {
  const rows = inTreeOrder(chart);
  expect(new Set(rows.map(({ account }) => account.id)).size).toBe(chart.length);
  expect(rows).toHaveLength(chart.length);
  expect(Math.max(0, ...rows.map(({ depth }) => depth))).toBeLessThan(DEEPEST);
  const index = chartIndex(chart);
  expect(chart.flatMap((account) => accountProblems(account, index, account.id))).toEqual([]);
};

const step = fc.record({
  kind: fc.constantFrom('indent', 'outdent', 'move', 'top'),
  picks: fc.array(fc.nat(), { minLength: 1, maxLength: 5 }),
  target: fc.nat(),
});

describe('regrouping', () => {
  it('keeps a tree with the same accounts, whatever is moved where', () => {
    fc.assert(
      fc.property(anyChart(), fc.array(step, { maxLength: 8 }), (start, steps) => {
        let chart = start;
        for (const { kind, picks, target } of steps) {
          const ids = [...new Set(picks.map((pick) => chart[pick % chart.length]?.id ?? accountId(0)))];
          const made =
            kind === 'indent'
              ? indent(chart, ids)
              : kind === 'outdent'
                ? outdent(chart, ids)
                : moveUnder(chart, ids, kind === 'top' ? null : (chart[target % chart.length]?.id ?? null));
          if (!made.ok) continue;
          const done = applyEdits(chartIndex(chart), made.value, RULES);
          if (done.ok) chart = [...done.value.byId.values()];
        }
        isTree(chart);
        expect(chart.map(({ id }) => id).sort()).toEqual(start.map(({ id }) => id).sort());
      }),
      { numRuns: 300 },
    );
  });

  it('moves what stands under a heading with it, and gives posting accounts the line of their new heading', () => {
    const make = (id: number, more: Partial<Account>): Account => ({
      ...PLAIN_ACCOUNT,
      id: accountId(id),
      code: String(id),
      name: `A${id}`,
      classification: 'current-asset',
      ...more,
    });
    const chart = [
      make(1, { heading: true }),
      make(2, { heading: true, classification: 'fixed-asset' }),
      make(3, { heading: true, parent: accountId(1) }),
      make(4, { parent: accountId(3) }),
    ];
    const moved = moveUnder(chart, [accountId(3), accountId(4)], accountId(2));
    if (!moved.ok) throw new Error('moves');
    expect(topmost(chart, [accountId(3), accountId(4)])).toEqual([3]);
    expect(moved.value).toHaveLength(1);
    const loose = moveUnder(chart, [accountId(4)], accountId(2));
    expect(loose.ok && value(chart, loose.value).find(({ id }) => id === 4)).toMatchObject({
      parent: 2,
      classification: 'fixed-asset',
    });
    expect(indent(chart, [accountId(1)])).toMatchObject({ ok: false });
    expect(outdent(chart, [accountId(1)])).toMatchObject({ ok: false });
    const down = indent(chart, [accountId(2)]);
    expect(down.ok && value(chart, down.value).find(({ id }) => id === 2)?.parent).toBe(1);
    expect(moveUnder(chart, [accountId(1)], accountId(4))).toMatchObject({ ok: false });
    expect(
      codesOf(applyEdits(chartIndex(chart), [change(make(1, { heading: true }), { parent: accountId(3) })], RULES)),
    ).toContain('account.cycle');
  });
});

describe('a batch of edits', () => {
  it('is taken back by its inverse', () => {
    fc.assert(
      fc.property(
        anyChart(),
        fc.array(fc.tuple(fc.nat(), fc.constantFrom('name', 'active', 'note', 'code')), { maxLength: 6 }),
        (chart, picks) => {
          const edits = picks.flatMap(([pick, field]): ChartEdit[] => {
            const account = chart[pick % chart.length];
            if (account === undefined) return [];
            return [
              {
                kind: 'change',
                id: account.id,
                is: field === 'active' ? { active: true } : { [field]: `X${pick}` },
                was: {},
              },
            ];
          });
          const done = applyEdits(chartIndex(chart), edits, RULES);
          if (!done.ok) return;
          const back = applyEdits(
            chartIndex([...done.value.byId.values()]),
            inverse(chart, edits, () => accountId(-1)).edits,
            RULES,
          );
          expect(back.ok && sorted([...back.value.byId.values()])).toEqual(sorted(chart));
        },
      ),
    );
  });

  it('lets two accounts exchange their codes, and refuses what is taken, changed meanwhile, or gone', () => {
    const [a, b] = [1, 2].map((id): Account => ({
      ...PLAIN_ACCOUNT,
      id: accountId(id),
      code: String(id),
      name: `A${id}`,
      classification: 'equity',
    }));
    if (a === undefined || b === undefined) throw new Error('two');
    expect(value([a, b], [change(a, { code: '2' }), change(b, { code: '1' })]).map(({ code }) => code)).toEqual([
      '2',
      '1',
    ]);
    expect(codesOf(applyEdits(chartIndex([a, b]), [change(a, { code: '2' })], RULES))).toEqual(['account.code-taken']);
    expect(codesOf(applyEdits(chartIndex([a, b]), [change({ ...a, name: 'seen' }, { name: 'mine' })], RULES))).toEqual([
      'account.clash',
    ]);
    expect(codesOf(applyEdits(chartIndex([a]), [change(b, { name: 'mine' })], RULES))).toEqual(['account.unknown']);
    // The same change by two people is no clash.
    expect(applyEdits(chartIndex([{ ...a, name: 'mine' }]), [change(a, { name: 'mine' })], RULES).ok).toBe(true);
  });

  it('keeps type, currency and kind of what is used, and says by what it is used', () => {
    const bank: Account = {
      ...PLAIN_ACCOUNT,
      id: accountId(1),
      code: '1',
      name: 'Bank',
      classification: 'current-asset',
      role: 'bank',
    };
    const used: EditRules = {
      ...RULES,
      uses: new Map([[bank.id, { ...UNUSED, figures: 1, changes: 1, journalLines: 2 }]]),
    };
    const refused = (is: Partial<Account>) => applyEdits(chartIndex([bank]), [change(bank, is)], used);
    expect(codesOf(refused({ classification: 'equity', role: null }))).toEqual([
      'account.type-used',
      'account.kind-used',
    ]);
    expect(codesOf(refused({ currency: 'NOK' }))).toEqual(['account.currency-used']);
    expect(codesOf(refused({ heading: true, role: null }))).toEqual(['account.heading-used', 'account.kind-used']);
    expect(codesOf(refused({ name: 'Other bank', classification: 'fixed-asset' }))).toEqual([]);
    const removal = applyEdits(chartIndex([bank]), [{ kind: 'remove', id: bank.id }], used);
    expect(removal.ok ? '' : removal.problems[0]?.message).toBe(
      '1 Bank cannot be deleted: it has an opening balance, 2 journal lines. Deactivate it instead; it then takes no new amounts.',
    );
  });

  it('asks for the use of those accounts alone whose use decides', () => {
    const is = fc.record(
      {
        name: fc.constant('Another name'),
        classification: fc.constantFrom('equity' as const, 'current-asset' as const),
        currency: fc.constantFrom(null, 'NOK'),
        active: fc.boolean(),
        role: fc.constant(null),
      },
      { requiredKeys: [] },
    );
    fc.assert(
      fc.property(
        anyChart(),
        fc.array(fc.record({ at: fc.nat(), is: fc.option(is) }), { minLength: 1, maxLength: 6 }),
        (chart, wanted) => {
          const edits = wanted.flatMap((one): ChartEdit[] => {
            const account = chart[one.at % chart.length];
            if (account === undefined) return [];
            return [one.is === null ? { kind: 'remove', id: account.id } : change(account, one.is)];
          });
          const uses = new Map(chart.map(({ id }) => [id, { ...UNUSED, journalLines: 1 }]));
          const asked = new Map([...uses].filter(([id]) => usesAsked(edits).includes(id)));
          const [all, some] = [uses, asked].map((known) =>
            applyEdits(chartIndex(chart), edits, { ...RULES, uses: known }),
          );
          expect(some?.ok === false && some.problems).toEqual(all?.ok === false && all.problems);
        },
      ),
    );
  });
});

describe('codes', () => {
  it('renumbered never collide, keep their order, and leave the rest alone', () => {
    fc.assert(
      fc.property(
        anyChart(),
        fc.nat(),
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 0, max: 1300 }),
        (chart, pick, by, start) => {
          const heading = chart.filter((one) => one.heading)[pick % 9];
          const laid = renumber(chart, heading?.id ?? null, String(start).padStart(4, '0'), by);
          if (!laid.ok) return;
          const after = value(chart, renumberEdits(chart, laid.value));
          expect(new Set(after.map(({ code }) => code.toLowerCase())).size).toBe(after.length);
          const moved = new Set(laid.value.map(({ id }) => id));
          for (const account of after)
            if (!moved.has(account.id)) expect(account).toEqual(chart.find(({ id }) => id === account.id));
          expect(laid.value.map(({ to }) => Number(to))).toEqual(
            [...laid.value].map(({ to }) => Number(to)).sort((a, b) => a - b),
          );
          expect(laid.value.map(({ id }) => id)).toEqual(
            inTreeOrder(chart).flatMap(({ account }) => (moved.has(account.id) ? [account.id] : [])),
          );
        },
      ),
    );
    expect(renumber([], null, 'abc', 10)).toMatchObject({ ok: false, problems: [{ code: 'renumber.start' }] });
    expect(renumber([], null, '10', 0)).toMatchObject({ ok: false, problems: [{ code: 'renumber.step' }] });
  });

  it('proposed one after the other are free and differ', () => {
    fc.assert(
      fc.property(anyChart(), fc.array(fc.nat(), { maxLength: 20 }), (chart, picks) => {
        const propose = codeSource(chart);
        const headings = chart.filter((one) => one.heading);
        const given = picks
          .map((pick) => {
            const heading = headings[pick % (headings.length + 1)];
            return propose(heading, heading?.classification, ([null, 'bank', 'cash'] as const)[pick % 3]);
          })
          .filter((code) => code !== '');
        expect(new Set(given).size).toBe(given.length);
        for (const code of given) expect(chart.some((one) => one.code === code)).toBe(false);
      }),
    );
  });

  it('of a role stand beside those that have it, before the next that has another', () => {
    const account = (id: number, code: string, more: Partial<Account> = {}): Account => ({
      ...PLAIN_ACCOUNT,
      id: accountId(id),
      code,
      name: code,
      classification: 'current-asset',
      parent: accountId(1),
      ...more,
    });
    const heading = account(1, '1000', { heading: true, parent: null });
    const propose = codeSource([
      heading,
      ...['1010', '1020', '1030'].map((code, at) => account(2 + at, code, { role: 'bank' })),
      account(5, '1050', { role: 'cash' }),
      account(6, '1100', { role: 'receivables-control' }),
    ]);
    const next = (role: Account['role']): string => propose(heading, heading.classification, role);
    expect([next('bank'), next('bank'), next('bank'), next('cash'), next(null)]).toEqual([
      '1040',
      '1041',
      '1042',
      '1060',
      '1110',
    ]);
  });

  it('run out with a sentence, not with a collision', () => {
    const chart = Array.from({ length: 12 }, (_, at): Account => ({
      ...PLAIN_ACCOUNT,
      id: accountId(at + 1),
      code: String(at),
      name: `A${at}`,
      classification: 'equity',
    }));
    expect(renumber(chart, null, '90', 5)).toMatchObject({ ok: false, problems: [{ code: 'renumber.room' }] });
  });
});

describe('an index that is edited', () => {
  it('is the index of the chart that it leads to, and leaves the one before as it was', () => {
    const change = fc.record({
      pick: fc.nat(),
      kind: fc.constantFrom('code', 'parent', 'role', 'gone', 'new'),
      to: fc.nat(),
    });
    const listed = (index: ChartIndex) =>
      [index.byCode, index.byRole, index.children].map((lists: ReadonlyMap<unknown, readonly AccountId[]>) =>
        [...lists]
          .map(([key, ids]) => [String(key), [...ids].sort((a, b) => a - b)] as const)
          .sort(([a], [b]) => (a < b ? -1 : 1)),
      );
    fc.assert(
      fc.property(anyChart(), fc.array(change, { maxLength: 10 }), (chart, changes) => {
        const base = chartIndex(chart);
        const before = listed(base);
        const index = editedIndex(base);
        const plain = new Map(chart.map((account) => [account.id, account]));
        changes.forEach(({ pick, kind, to }, at) => {
          const account = chart[pick % chart.length];
          const stands = account === undefined ? undefined : plain.get(account.id);
          const other = chart[to % chart.length];
          if (stands === undefined || other === undefined) return;
          const is =
            kind === 'gone'
              ? undefined
              : kind === 'code'
                ? { ...stands, code: to % 3 === 0 ? '' : `Z${String(to % 4)}` }
                : kind === 'parent'
                  ? { ...stands, parent: to % 3 === 0 ? null : other.id }
                  : kind === 'role'
                    ? { ...stands, role: to % 2 === 0 ? null : ('bank' as const) }
                    : { ...stands, id: accountId(-1 - at) };
          const id = is?.id ?? stands.id;
          index.put(id, is);
          if (is === undefined) plain.delete(id);
          else plain.set(id, is);
        });
        expect([...index.byId]).toEqual([...plain]);
        expect(listed(index)).toEqual(listed(chartIndex(plain.values())));
        expect(listed(base)).toEqual(before);
      }),
      { numRuns: 200 },
    );
  });
});

describe('the record of a chart', () => {
  const edited = fc.record({
    pick: fc.nat(),
    kind: fc.constantFrom('name', 'note', 'active', 'taxCode', 'remove', 'add', 'code'),
    text: fc.string({ minLength: 1, maxLength: 8 }),
  });

  it('takes any edits back to the chart that was, with the same ids, and tells each of them', () => {
    fc.assert(
      fc.property(anyChart(), fc.array(edited, { maxLength: 12 }), (start, picks) => {
        const edits = picks.flatMap(({ pick, kind, text }, at): readonly ChartEdit[] => {
          const account = start[pick % start.length];
          if (account === undefined) return [];
          if (kind === 'remove') return [{ kind: 'remove', id: account.id }];
          if (kind === 'add') {
            const { id: _, ...fields } = account;
            return [
              { kind: 'add', id: accountId(-1 - at), account: { ...fields, code: `n${String(at)}`, role: null } },
            ];
          }
          const value =
            kind === 'active'
              ? !account.active
              : kind === 'code'
                ? `c${String(at)}`
                : kind === 'taxCode'
                  ? `T${text}`
                  : `n ${text}`;
          return [{ kind: 'change', id: account.id, was: {}, is: { [kind]: value } }];
        });
        const done = applyEdits(chartIndex(start), edits, RULES);
        if (!done.ok) return;
        const ids = new Map(done.value.added.map(({ id }) => [id, accountId(1_000_000 - id)]));
        const stored = [...done.value.byId.values()].map((account) => ({
          ...account,
          id: ids.get(account.id) ?? account.id,
        }));
        const changes = accountChanges(done.value, ids);
        for (const one of changes)
          if (one.field !== 'origin') expect(sayAccountChange(one, done.value.byId)).toMatch(/\S/);
        const byId = new Map(stored.map((account) => [account.id, account]));
        expect(changedSince(changes, byId)).toEqual([]);
        const back = editsBack(changes);
        // Between the two, tax codes can come and go.
        expect(back.first.filter((one) => one.kind === 'remove')).toEqual([]);
        expect(back.last.filter((one) => one.kind === 'add')).toEqual([]);
        for (const one of back.first)
          expect((one.kind === 'add' ? one.account : one.kind === 'change' ? one.is : {}).taxCode ?? null).toBeNull();
        expect(sorted(value(value(stored, back.first), back.last))).toEqual(sorted(start));
      }),
      { numRuns: 300 },
    );
  });

  it('refuses to take back what somebody changed since', () => {
    const account = { ...PLAIN_ACCOUNT, id: accountId(1), code: '1', name: 'A', classification: 'equity' as const };
    const renamed = applyEdits(chartIndex([account]), [change(account, { name: 'B' })], RULES);
    if (!renamed.ok) throw new Error('renamed');
    const back = editsBack(accountChanges(renamed.value, new Map())).first;
    expect(codesOf(applyEdits(chartIndex([{ ...account, name: 'C' }]), back, RULES))).toEqual(['account.clash']);
  });
});
