import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Account, PLAIN_ACCOUNT, accountId, chartIndex } from '@/core/chart/account';
import { type ChartEdit, type EditRules, applyEdits, change } from '@/core/chart/edit';
import { anyChart } from '@/core/chart/testing';
import { chartStore } from './chart-store';

const RULES: EditRules = { codes: 'required', base: 'EUR', uses: new Map() };

/** A server that keeps a chart under the same rules, gives ids of its own, and refuses some batches. */
const server = (initial: readonly Account[], refuses: () => boolean) => {
  let chart = initial;
  let last = Math.max(0, ...initial.map(({ id }) => id));
  return {
    get chart() {
      return chart;
    },
    save: async (edits: readonly ChartEdit[]) => {
      await Promise.resolve();
      if (refuses()) return { ok: false as const, problems: [{ code: 'refused', message: 'Not this time.' }] };
      const done = applyEdits(chartIndex(chart), edits, RULES);
      if (!done.ok) return done;
      const ids = new Map(done.value.added.map(({ id }) => [id, accountId((last += 1))]));
      const real = (id: Account['id']): Account['id'] => ids.get(id) ?? id;
      chart = [...done.value.byId.values()].map((account) => ({
        ...account,
        id: real(account.id),
        parent: account.parent === null ? null : real(account.parent),
      }));
      return { ok: true as const, value: { ids: [...ids] as [Account['id'], Account['id']][] } };
    },
  };
};
const quiet = async (): Promise<void> => {
  for (let turn = 0; turn < 200; turn += 1) await Promise.resolve();
};
const sorted = (chart: readonly Account[]): readonly Account[] => [...chart].sort((a, b) => a.id - b.id);
/** A chart without its ids: accounts that come back after a removal have other ones. */
const shape = (chart: readonly Account[]) => {
  const codes = new Map(chart.map(({ id, code }) => [id, code]));
  return chart
    .map(({ id: _, parent, ...rest }) => ({ ...rest, parent: parent === null ? null : codes.get(parent) }))
    .sort((a, b) => (a.code < b.code ? -1 : 1));
};

const step = fc.record({ kind: fc.constantFrom('rename', 'add', 'remove', 'undo', 'redo', 'wait'), pick: fc.nat() });

describe('the chart on the sheet', () => {
  it('is on the server, when all is quiet, what stands on the sheet', async () => {
    await fc.assert(
      fc.asyncProperty(anyChart(12), fc.array(step, { maxLength: 25 }), async (chart, steps) => {
        const kept = server(chart, () => false);
        const store = chartStore(chart, RULES, kept.save);
        let made = 0;
        for (const { kind, pick } of steps) {
          const { accounts } = store.get();
          const account = accounts[pick % Math.max(1, accounts.length)];
          if (kind === 'wait') await quiet();
          else if (kind === 'undo') store.undo();
          else if (kind === 'redo') store.redo();
          else if (kind === 'add') {
            const heading = accounts.filter((one) => one.heading)[pick % 5];
            made += 1;
            store.edit([
              {
                kind: 'add',
                id: store.newId(),
                account: {
                  ...PLAIN_ACCOUNT,
                  code: `N${String(made)}`,
                  name: 'New',
                  classification: heading?.classification ?? 'equity',
                  parent: heading?.id ?? null,
                  heading: pick % 3 === 0,
                },
              },
            ]);
          } else if (account !== undefined)
            store.edit(
              kind === 'rename'
                ? [change(account, { name: `R${String(pick)}` })]
                : [{ kind: 'remove', id: account.id }],
            );
        }
        await quiet();
        expect(store.get().saving).toBe(false);
        expect(sorted(store.get().accounts)).toEqual(sorted(kept.chart));
      }),
      { numRuns: 150 },
    );
  });

  it('comes back to its beginning when all is undone, and forth again when all is redone', async () => {
    await fc.assert(
      fc.asyncProperty(
        anyChart(10),
        fc.array(fc.tuple(fc.nat(), fc.boolean()), { maxLength: 8 }),
        async (chart, steps) => {
          const kept = server(chart, () => false);
          const store = chartStore(chart, RULES, kept.save);
          for (const [pick, removes] of steps) {
            const { accounts } = store.get();
            const account = accounts[pick % Math.max(1, accounts.length)];
            if (account === undefined) continue;
            store.edit(
              removes ? [{ kind: 'remove', id: account.id }] : [change(account, { note: `n${String(pick)}` })],
            );
            if (pick % 2 === 0) await quiet();
          }
          await quiet();
          const end = shape(store.get().accounts);
          while (store.undo()) await quiet();
          expect(shape(store.get().accounts)).toEqual(shape(chart));
          expect(shape(kept.chart)).toEqual(shape(chart));
          while (store.redo()) await quiet();
          expect(shape(kept.chart)).toEqual(end);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('takes back what the server refuses, says why, and keeps what the server said when it does not answer', async () => {
    const account: Account = { ...PLAIN_ACCOUNT, id: accountId(1), code: '1', name: 'A', classification: 'equity' };
    const kept = server([account], () => true);
    const store = chartStore([account], RULES, kept.save);
    const told: string[] = [];
    expect(store.edit([change(account, { name: 'B' })], () => told.push('refused'))).toBe(true);
    expect(store.get().accounts[0]?.name).toBe('B');
    await quiet();
    const taking = chartStore([account], RULES, server([account], () => false).save);
    taking.edit([change(account, { name: 'B' })], () => told.push('stored'));
    expect(told).toEqual([]);
    await quiet();
    expect(told).toEqual(['stored']);
    expect(store.get()).toMatchObject({ accounts: [{ name: 'A' }], problems: [{ code: 'refused' }], saving: false });
    expect(store.undo()).toBe(false);
    const deaf = chartStore([account], RULES, () => Promise.reject(new Error('down')));
    deaf.edit([change(account, { name: 'B' })]);
    await quiet();
    expect(deaf.get()).toMatchObject({ accounts: [{ name: 'A' }], problems: [{ code: 'offline' }] });
    expect(store.edit([change(account, { code: '' })])).toBe(false);
    expect(store.get().problems[0]?.code).toBe('account.code-missing');
  });

  it('asks before a batch that has effects, and takes it or leaves the chart as it is', async () => {
    const [one] = fc.sample(anyChart(5), 1)[0] ?? [];
    if (one === undefined) throw new Error('a chart with an account');
    const kept = server([one], () => false);
    const store = chartStore([one], RULES, kept.save, (before, after) =>
      before === after ? [] : ['It does something.'],
    );
    const edit = change(one, { note: 'looked at' });
    expect(store.edit([edit])).toBe(false);
    expect(store.get()).toMatchObject({ accounts: [one], asked: { effects: ['It does something.'] } });
    store.answer(false);
    await quiet();
    expect([store.get().asked, kept.chart]).toEqual([undefined, [one]]);
    store.edit([edit]);
    store.answer(true);
    await quiet();
    expect(kept.chart.map(({ note }) => note)).toEqual(['looked at']);
    expect(store.undo()).toBe(true);
    await quiet();
    expect(kept.chart.map(({ note }) => note)).toEqual([one.note]);
  });
});
