import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Saved } from '@/actions/openings/figures';
import { accountId } from '@/core/chart/account';
import { type Minor, minor } from '@/core/money/minor';
import { totalsOf } from '@/core/ledger/level';
import { type Result, fail, ok, problem } from '@/core/base/result';
import { type Entry, makeFigures } from './figures';

const settle = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 0));
const [a, b] = [accountId(1), accountId(2)];

/** A server that keeps figures by revision, as the real one does. */
const server = () => {
  const stored = new Map<number, { amount: Minor | null; revision: number }>();
  let next = 1;
  let mood: 'well' | 'refusing' | 'silent' = 'well';
  const save = async (entries: readonly Entry[]): Promise<Result<Saved>> => {
    await Promise.resolve();
    if (mood === 'silent') throw new Error('no answer');
    if (mood === 'refusing') return fail(problem('x', 'refused'));
    const clashes = entries.flatMap((entry) => {
      const line = stored.get(entry.account);
      return (line?.revision ?? 0) === entry.revision
        ? []
        : [
            {
              account: entry.account,
              amount: line?.amount ?? null,
              parts: [],
              revision: line?.revision ?? 0,
              by: 'Ana',
              at: '',
            },
          ];
    });
    if (clashes.length > 0) return ok({ saved: false, clashes });
    return ok({
      saved: true,
      revisions: entries.map((entry) => {
        const revision = next++;
        stored.set(entry.account, { amount: entry.amount, revision });
        return { account: entry.account, revision };
      }),
    });
  };
  return { stored, save, be: (how: typeof mood) => (mood = how) };
};

describe('the figures of the sheet', () => {
  it('have on the server, when all is quiet, what stands on the sheet; and undoing all brings back the beginning', async () => {
    const edits = fc.array(
      fc.tuple(fc.integer({ min: 1, max: 4 }), fc.option(fc.bigInt({ min: -50n, max: 50n }).map(minor)), fc.boolean()),
      { maxLength: 25 },
    );
    await fc.assert(
      fc.asyncProperty(edits, async (list) => {
        const there = server();
        const figures = makeFigures([], there.save);
        for (const [account, amount, pause] of list) {
          figures.put([{ account: accountId(account), amount }]);
          if (pause) await settle();
        }
        await settle();
        for (const id of [1, 2, 3, 4].map(accountId))
          expect(there.stored.get(id)?.amount ?? null).toBe(figures.get(id).amount);
        expect(figures.totals()).toEqual(
          totalsOf([1, 2, 3, 4].map((id) => figures.get(accountId(id)).amount ?? minor(0n))),
        );
        expect(figures.standing()).toMatchObject({ waiting: 0, wrong: 0 });
        const after = [1, 2, 3, 4].map((id) => figures.get(accountId(id)).amount);
        let undos = 0;
        while (figures.undo() !== undefined) undos += 1;
        await settle();
        expect([1, 2, 3, 4].map((id) => figures.get(accountId(id)).amount)).toEqual([null, null, null, null]);
        for (let redo = 0; redo < undos; redo += 1) figures.redo();
        await settle();
        expect([1, 2, 3, 4].map((id) => figures.get(accountId(id)).amount)).toEqual(after);
        for (const id of [1, 2, 3, 4].map(accountId))
          expect(there.stored.get(id)?.amount ?? null).toBe(figures.get(id).amount);
      }),
      { numRuns: 50 },
    );
  });

  it('keep what was typed when the server refuses or is silent, and send it again', async () => {
    for (const mood of ['refusing', 'silent'] as const) {
      const there = server();
      const figures = makeFigures([], there.save);
      there.be(mood);
      figures.put([{ account: a, amount: minor(5n) }]);
      await settle();
      expect(figures.get(a)).toMatchObject({ amount: 5n, state: 'failed' });
      expect(figures.standing().wrong).toBe(1);
      there.be('well');
      figures.retry();
      await settle();
      expect(figures.get(a).state).toBe('saved');
      expect(there.stored.get(a)?.amount).toBe(5n);
    }
  });

  it('show both values when somebody else was faster, saving the rest of the batch', async () => {
    const there = server();
    const figures = makeFigures([], there.save);
    there.stored.set(a, { amount: minor(70n), revision: 900 });
    figures.put([
      { account: a, amount: minor(5n) },
      { account: b, amount: minor(6n) },
    ]);
    await settle();
    expect(figures.get(a)).toMatchObject({ amount: 5n, state: 'clash', theirs: { amount: 70n, by: 'Ana' } });
    expect([figures.get(b).state, there.stored.get(b)?.amount]).toEqual(['saved', 6n]);
    figures.saveMine(a);
    await settle();
    expect([figures.get(a).state, there.stored.get(a)?.amount]).toEqual(['saved', 5n]);
    there.stored.set(a, { amount: minor(80n), revision: 901 });
    figures.put([{ account: a, amount: minor(1n) }]);
    await settle();
    figures.keepTheirs(a);
    expect(figures.get(a)).toMatchObject({ amount: 80n, revision: 901, state: 'saved' });
  });

  it('move the totals while typing without keeping anything', () => {
    const figures = makeFigures([{ id: a, amount: minor(10n), revision: 1, source: 'typed' }], server().save);
    figures.draft(a, minor(-4n));
    expect(figures.totals()).toEqual({ debits: 0n, credits: 4n });
    figures.draft(a, undefined);
    expect(figures.totals()).toEqual({ debits: 10n, credits: 0n });
    expect(figures.get(a).amount).toBe(10n);
  });

  it('keep an unreadable text beside the figure it did not replace', () => {
    const figures = makeFigures([{ id: a, amount: minor(10n), revision: 1, source: 'typed' }], server().save);
    figures.put([], [{ account: a, typed: { text: 'ten', column: 'debit' }, says: 'no amount' }]);
    expect(figures.get(a)).toMatchObject({ amount: 10n, state: 'unreadable', typed: { text: 'ten' } });
    figures.forget(a);
    expect(figures.get(a)).toMatchObject({ amount: 10n, revision: 1, source: 'typed', state: 'saved' });
  });

  it('lose the unreadable text of an edit that is undone, and have it again when it is done again', async () => {
    const there = server();
    const figures = makeFigures([{ id: a, amount: minor(10n), revision: 1, source: 'typed' }], there.save);
    figures.put(
      [{ account: b, amount: minor(3n) }],
      [{ account: a, typed: { text: 'ten', column: 'debit' }, says: 'no amount' }],
    );
    expect(figures.undo()).toBe(b);
    expect([figures.get(a).state, figures.get(b).amount]).toEqual(['saved', null]);
    expect(figures.redo()).toBe(b);
    expect([figures.get(a).state, figures.get(b).amount]).toEqual(['unreadable', 3n]);
    await settle();
  });

  it('accept newer figures from the server only where nobody is changing them here', async () => {
    const there = server();
    const figures = makeFigures([{ id: a, amount: minor(10n), revision: 1, source: 'typed' }], there.save);
    there.be('silent');
    figures.put([{ account: b, amount: minor(3n) }]);
    await settle();
    figures.accept([
      { id: a, amount: minor(11n), revision: 7, source: 'paper' },
      { id: b, amount: minor(99n), revision: 8, source: 'paper' },
    ]);
    expect(figures.get(a)).toMatchObject({ amount: 11n, revision: 7, source: 'paper' });
    expect(figures.get(b)).toMatchObject({ amount: 3n, state: 'failed' });
  });

  it('carry their amounts in currency: a typed worth moves them, and an undo brings them back', async () => {
    const sent: Entry[][] = [];
    const there = server();
    const parts = [{ currency: 'NOK' as const, amount: minor(100n), base: minor(10n) }];
    const figures = makeFigures(
      [{ id: a, amount: minor(10n), revision: 0, source: 'paper', parts, currency: 'NOK' }],
      (entries) => {
        sent.push([...entries]);
        return there.save(entries);
      },
    );
    figures.put([{ account: a, amount: minor(12n) }]);
    await settle();
    expect(sent.at(-1)).toEqual([
      { account: a, amount: 12n, parts: [{ currency: 'NOK', amount: 100n, base: 12n }], revision: 0, restores: false },
    ]);
    figures.put([{ account: a, amount: null }]);
    await settle();
    expect(figures.get(a).parts).toEqual([]);
    figures.undo();
    figures.undo();
    await settle();
    expect(figures.get(a)).toMatchObject({ amount: 10n, parts });
    expect(sent.at(-1)?.[0]).toMatchObject({ amount: 10n, parts, restores: true });
    // An amount in currency alone is a change too, and says nothing of where the figure came from.
    figures.put([
      { account: a, amount: minor(10n), parts: [{ currency: 'NOK', amount: minor(99n), base: minor(10n) }] },
    ]);
    await settle();
    expect(sent.at(-1)?.[0]?.parts?.[0]?.amount).toBe(99n);
  });
});
