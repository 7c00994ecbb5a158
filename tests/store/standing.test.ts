import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { boardView } from '@/actions/books/views';
import { changesView } from '@/actions/changes/views';
import { undo } from '@/actions/changes/commands';
import { addAccount, changeAccount, editChart, removeAccount } from '@/actions/chart/commands';
import { saveTaxCodes } from '@/actions/chart/tax-codes';
import { chartView } from '@/actions/chart/views';
import { changeFact } from '@/actions/company/commands';
import { useDatabase } from '@/actions/kernel/context';
import { saveFigures } from '@/actions/openings/figures';
import { standingChart, standingIndex } from '@/actions/frame/held-chart';
import { type AccountId, type ChartIndex, chartIndex } from '@/core/chart/account';
import { statesOf } from '@/actions/frame/state';
import { openingsView, proofView } from '@/actions/openings/views';
import { difference, totalsOf } from '@/core/ledger/level';
import { standingOf } from '@/core/proof/standing';
import { findBooks } from '@/store/books';
import { chartOf, chartsOf } from '@/store/chart';
import { newBooks, valueOf, withDatabase } from './support';

const database = withDatabase();

/** The standing of books worked out from what is stored, past everything that is held or kept. */
const fresh = async (books: number) => {
  const found = await findBooks(database.current, 1, books);
  if (found === undefined) throw new Error('no such books');
  const [state] = await statesOf(database.current, [found], (tx) => chartsOf(tx, [books]));
  if (state === undefined) throw new Error('no state');
  return {
    revision: found.revision,
    proof: state.proof,
    standing: standingOf(state.stages, state.proof, state.atYearStart, difference(totalsOf(state.amounts.values()))),
  };
};
/** What an index says, in one order. */
const listed = ({ byId, byCode, byRole, children }: ChartIndex) => [
  [...byId.values()].sort((one, other) => one.id - other.id),
  ...[byCode, byRole, children].map((lists: ReadonlyMap<unknown, readonly AccountId[]>) =>
    [...lists]
      .map(([key, ids]) => [String(key), [...ids].sort((one, other) => one - other)] as const)
      .sort(([one], [other]) => (one < other ? -1 : 1)),
  ),
];
const onBoard = async (books: number) => (await boardView()).books.find(({ id }) => id === books);
const rowsOf = async (books: number) => (await openingsView(books))?.rows ?? [];

const change = fc.oneof(
  fc.record({ kind: fc.constant('figure' as const), at: fc.nat(20), amount: fc.bigInt({ min: -900n, max: 900n }) }),
  fc.record({ kind: fc.constant('rename' as const), at: fc.nat(20), name: fc.string({ minLength: 1, maxLength: 9 }) }),
  fc.record({ kind: fc.constant('active' as const), at: fc.nat(20), active: fc.boolean() }),
  fc.record({ kind: fc.constant('add' as const), name: fc.string({ minLength: 1, maxLength: 9 }) }),
  fc.record({ kind: fc.constant('remove' as const), at: fc.nat(20) }),
  fc.record({ kind: fc.constant('remark' as const), text: fc.string({ maxLength: 12 }) }),
);
type Change = typeof change extends fc.Arbitrary<infer T> ? T : never;

const carryOut = async (books: number, one: Change, step: number): Promise<boolean> => {
  const rows = await rowsOf(books);
  const row = 'at' in one ? rows[one.at % Math.max(1, rows.length)] : undefined;
  switch (one.kind) {
    case 'figure':
      return (
        row !== undefined &&
        (
          await saveFigures({
            books,
            set: (await openingsView(books))?.set?.id ?? 0,
            entries: [{ account: row.id, amount: one.amount, revision: row.revision, restores: false }],
          })
        ).ok
      );
    case 'rename':
      return row !== undefined && (await changeAccount({ books, id: row.id, change: { name: one.name } })).ok;
    case 'active':
      return row !== undefined && (await changeAccount({ books, id: row.id, change: { active: one.active } })).ok;
    case 'remove':
      return row !== undefined && (await removeAccount({ books, id: row.id })).ok;
    case 'add':
      return (
        await addAccount({
          books,
          code: `Z${String(step)}`,
          name: one.name,
          classification: 'current-asset',
          parent: null,
          role: null,
          heading: false,
        })
      ).ok;
    case 'remark':
      return (await changeFact({ books, field: 'remark', was: '', now: one.text })).ok;
  }
};

describe('what is held or kept of books', () => {
  it('is what would be worked out, after any sequence of changes; every change that is stored raises the revision', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(change, { minLength: 1, maxLength: 8 }), async (changes) => {
        const books = await newBooks({ starter: 'services' });
        for (const [step, one] of changes.entries()) {
          const before = (await fresh(books)).revision;
          const stored = await carryOut(books, one, step);
          const now = await fresh(books);
          expect(now.revision - before).toBe(stored ? 1n : 0n);
          expect((await proofView(books))?.proof).toEqual(now.proof);
          await database.current.transaction(async (tx) => {
            const of = { tx, books: { id: books, revision: now.revision } };
            const stored = await chartOf(tx, books);
            expect(listed(await standingIndex(of))).toEqual(listed(chartIndex(stored)));
            expect(await standingChart(of)).toEqual(stored);
          });
          // Twice, since the second time nothing is worked out.
          for (let look = 0; look < 2; look += 1) {
            const entry = await onBoard(books);
            expect({ ...entry, net: String(entry?.net) }).toMatchObject(now.standing);
            expect(entry?.asOf).toBeNull();
          }
        }
      }),
      { numRuns: 8 },
    );
  });

  it('follows a tax code that is called otherwise, and taking that back', async () => {
    const books = await newBooks({ starter: 'services' });
    valueOf(await changeFact({ books, field: 'taxRegistered', was: 'unknown', now: 'yes' }));
    const rows = (await chartView(books))?.rows.map(({ account }) => account) ?? [];
    const owed = rows.find(({ role }) => role === 'tax');
    const [sale] = rows.filter(({ heading, classification }) => !heading && classification === 'revenue');
    if (owed === undefined || sale === undefined) throw new Error('no such accounts');
    const code = {
      code: 'A',
      name: 'Standard',
      direction: 'charged' as const,
      charged: owed.id,
      recoverable: null,
      active: true,
      rates: [{ from: '2026-01-01' as const, rate: '20' }],
    };
    const made = valueOf(await saveTaxCodes({ books, entries: [{ id: null, code }] }));
    valueOf(await changeAccount({ books, id: sale.id, change: { taxCode: 'A' } }));
    const taxOf = async () =>
      (await chartView(books))?.rows.find(({ account }) => account.id === sale.id)?.account.taxCode;
    valueOf(await saveTaxCodes({ books, entries: [{ id: made.rows[0]?.id ?? 0, code: { ...code, code: 'B' } }] }));
    expect(await taxOf()).toBe('B');
    const renamed = (await changesView(books, undefined))?.batches[0]?.id ?? '';
    valueOf(await undo({ books, batch: renamed }));
    expect(await taxOf()).toBe('A');
    // What is sent with the change is what was seen; it would be refused as a clash beside a chart that did not follow.
    valueOf(
      await editChart({
        books,
        edits: [{ kind: 'change', id: sale.id, is: { taxCode: null }, was: { taxCode: 'A' } }],
      }),
    );
  });

  it('is told of by what changed it: the revision that it left is that of the page that is asked for next', async () => {
    const books = await newBooks();
    const before = (await openingsView(books))?.frame.revision ?? Number.NaN;
    const done = await changeFact({ books, field: 'remark', was: '', now: 'begun' });
    expect(done.ok && done.left).toEqual({ id: books, revision: before + 1 });
    expect((await openingsView(books))?.frame.revision).toBe(before + 1);
    const refused = await changeFact({ books, field: 'remark', was: 'other', now: 'again' });
    expect(refused.ok).toBe(false);
    expect((await openingsView(books))?.frame.revision).toBe(before + 1);
  });
  it('of another process says so by its revision: what was kept before a change there is not shown as of now', async () => {
    const books = await newBooks({ starter: 'services' });
    await boardView();
    await database.current.query('update books set name = $2, revision = revision + 1 where id = $1', [
      books,
      'Elsewhere',
    ]);
    expect((await chartView(books))?.frame.name).toBe('Elsewhere');
    const behind = async () =>
      database.current.query(
        'select b.revision - s.revision as by from standing s join books b on b.id = s.books_id where b.id = $1',
        [books],
      );
    expect(await behind()).toEqual([{ by: 1n }]);
    await boardView();
    expect(await behind()).toEqual([{ by: 0n }]);
  });

  it('says as of when it is, where more have changed than are worked out at one look', async () => {
    const list: number[] = [];
    for (let at = 0; at < 45; at += 1) list.push(await newBooks({ name: `Many ${String(at)}`, starter: 'empty' }));
    await boardView();
    await database.current.query('update books set revision = revision + 1 where id = any ($1::int[])', [list]);
    // As another process would see it, which holds nothing.
    useDatabase(database.current);
    const first = (await boardView()).books.filter(({ asOf }) => asOf !== null);
    expect(first.length).toBeGreaterThan(0);
    expect((await boardView()).books.filter(({ asOf }) => asOf !== null)).toHaveLength(0);
  });
});
