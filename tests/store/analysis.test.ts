import { describe, expect, it } from 'vitest';
import { undo } from '@/actions/changes/commands';
import { changesView } from '@/actions/changes/views';
import { changeFact } from '@/actions/company/commands';
import { saveFigures } from '@/actions/openings/figures';
import { openCorrection, postOpenings } from '@/actions/openings/posting';
import { openingsView } from '@/actions/openings/views';
import { saveCodes } from '@/actions/schedules/analysis';
import { saveItems } from '@/actions/schedules/items';
import { analysisView, scheduleView, schedulesView } from '@/actions/schedules/views';
import { exportList } from '@/actions/statements/export';
import { minor } from '@/core/money/minor';
import { type AnalysisCode, blankCode } from '@/core/schedules/analysis';
import { type ItemFields, blankItem } from '@/core/schedules/item';
import { codesOf as problemCodes, newBooks, refused, valueOf, withDatabase } from './support';

const database = withDatabase();
const sql = (text: string, parameters: readonly unknown[] = []) =>
  database.current.query<{ id: number }>(text, parameters);

const accountOf = async (books: number, code: string): Promise<number> =>
  (await openingsView(books))?.rows.find((one) => one.code === code)?.id ?? 0;
const setOf = async (books: number): Promise<number> => (await openingsView(books))?.set?.id ?? 0;
const lastBatch = async (books: number): Promise<string> => (await changesView(books, undefined))?.batches[0]?.id ?? '';

/** Books with cost centres and projects, sales of 1,000.00 against the bank. */
const divided = async (): Promise<number> => {
  const books = await newBooks();
  const parts = (await openingsView(books))?.frame.parts ?? [];
  valueOf(await changeFact({ books, field: 'parts', was: parts, now: [...parts, 'dimensions'] }));
  const view = await openingsView(books);
  const entries = [
    ['4010', -100_000n],
    ['1010', 100_000n],
  ].map(([code, amount]) => {
    const row = view?.rows.find((one) => one.code === code);
    return { account: row?.id ?? 0, amount: amount as bigint, revision: row?.revision ?? 0, restores: false };
  });
  valueOf(await saveFigures({ books, set: view?.set?.id ?? 0, entries }));
  return books;
};
const makeCodes = async (books: number, ...codes: readonly Partial<AnalysisCode>[]): Promise<readonly number[]> =>
  valueOf(
    await saveCodes({
      books,
      entries: codes.map((one) => ({ id: null, revision: 0, code: { ...blankCode(2), name: '', ...one } })),
    }),
  ).rows.map((row) => row?.id ?? 0);
const part = (amount: bigint, project: number): ItemFields => ({
  ...blankItem('division', 'EUR'),
  open: minor(amount),
  detail: { analysis2: String(project) },
});
const divide = async (books: number, code: string, items: readonly ItemFields[]) =>
  saveItems({
    books,
    set: await setOf(books),
    account: await accountOf(books, code),
    entries: items.map((item) => ({ id: null, revision: 0, item })),
  });
const tieOf = async (books: number, code: string) => (await scheduleView(books, await accountOf(books, code)))?.found;

describe('an income account', () => {
  it('is divided over two projects, whose parts come to its figure; undone, posted and corrected', async () => {
    const books = await divided();
    const [reef = 0, shore = 0] = await makeCodes(books, { code: 'REEF', name: 'Reef farm' }, { code: 'SHORE' });
    expect((await schedulesView(books))?.accounts.map(({ account }) => account.code)).not.toContain('4010');
    valueOf(await divide(books, '4010', [part(-60_000n, reef)]));
    // What bears no code yet stands apart, on the overview too.
    expect((await tieOf(books, '4010'))?.tie).toMatchObject({ state: 'apart', difference: -40_000n });
    valueOf(await divide(books, '4010', [part(-40_000n, shore)]));
    expect((await tieOf(books, '4010'))?.tie.state).toBe('tied');
    // What is called nothing is told by what it comes to.
    expect((await changesView(books))?.batches[0]?.changes).toEqual([
      expect.stringMatching(/^Item of 400\.00 Cr on 4010 .* added$/),
    ]);
    expect((await schedulesView(books))?.accounts.map(({ account }) => account.code)).toContain('4010');
    const by = await analysisView(books, 2);
    expect(by?.found?.document.sections.map(({ title }) => title)).toEqual(['REEF Reef farm', 'SHORE']);
    const file = await exportList(books, 'analysis', 'csv', { list: 2 });
    expect(file?.content).toContain('REEF Reef farm');
    expect(
      (await exportList(books, 'schedule', 'csv', { account: await accountOf(books, '4010') }))?.content,
    ).toContain('REEF');
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect((await tieOf(books, '4010'))?.tie.state).toBe('apart');
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect((await tieOf(books, '4010'))?.tie.state).toBe('tied');
    valueOf(await postOpenings({ books, set: await setOf(books) }));
    valueOf(await openCorrection({ books, reason: 'another project' }));
    expect((await tieOf(books, '4010'))?.items.map(({ detail }) => detail)).toEqual([
      { analysis2: String(reef) },
      { analysis2: String(shore) },
    ]);
  });

  it('has no such list while the part is off, and the part stays on while there are codes', async () => {
    const books = await newBooks();
    expect(problemCodes(await divide(books, '4010', [part(-1n, 1)]))).toEqual(['schedule.none']);
    expect((await tieOf(books, '4010')) ?? null).toBeNull();
    expect(
      problemCodes(
        await saveCodes({ books, entries: [{ id: null, revision: 0, code: { ...blankCode(1), code: 'A' } }] }),
      ),
    ).toEqual(['analysis.off']);
    const on = await divided();
    await makeCodes(on, { code: 'REEF' });
    const parts = (await openingsView(on))?.frame.parts ?? [];
    const off = parts.filter((one) => one !== 'dimensions');
    expect(problemCodes(await changeFact({ books: on, field: 'parts', was: parts, now: off }))).toEqual([
      'part.holds-data',
    ]);
  });
});

describe('codes', () => {
  it('are told apart, exchange their codes in one step, and stay while an item bears them', async () => {
    const books = await divided();
    const [one = 0, two = 0] = await makeCodes(books, { code: 'A' }, { code: 'B' });
    const clash = { id: null, revision: 0, code: { ...blankCode(2), code: 'a' } };
    expect(problemCodes(await saveCodes({ books, entries: [clash] }))).toEqual(['analysis.code']);
    const stands = new Map((await analysisView(books, 2))?.found?.codes.map((code) => [code.id, code]));
    const revision = (id: number): number => stands.get(id)?.revision ?? 0;
    const exchange = [
      { id: one, revision: revision(one), code: { ...blankCode(2), code: 'B' } },
      { id: two, revision: revision(two), code: { ...blankCode(2), code: 'A' } },
    ];
    valueOf(await saveCodes({ books, entries: exchange }));
    expect(problemCodes(await saveCodes({ books, entries: exchange }))).toEqual([
      'analysis.changed',
      'analysis.changed',
    ]);
    valueOf(await divide(books, '4010', [part(-100n, one)]));
    const now = (await analysisView(books, 2))?.found?.codes ?? [];
    expect(now.map(({ id, code, used }) => [id, code, used])).toEqual([
      [two, 'A', false],
      [one, 'B', true],
    ]);
    const gone = (id: number) => ({ id, revision: now.find((code) => code.id === id)?.revision ?? 0, code: null });
    expect(problemCodes(await saveCodes({ books, entries: [gone(one), gone(two)] }))).toEqual(['analysis.used']);
    valueOf(await saveCodes({ books, entries: [gone(two)] }));
    valueOf(await undo({ books, batch: await lastBatch(books) }));
    expect((await analysisView(books, 2))?.found?.codes).toHaveLength(2);
  });

  it('that were made cannot be taken back once an item bears them', async () => {
    const books = await divided();
    const [one = 0] = await makeCodes(books, { code: 'A' });
    const made = await lastBatch(books);
    valueOf(await divide(books, '4010', [part(-100n, one)]));
    expect(problemCodes(await undo({ books, batch: made }))).toEqual(['undo.code-used']);
  });

  it('of other books and other lists are none of these, through an action or past it', async () => {
    const [mine, theirs] = [await divided(), await divided()];
    const [strange = 0] = await makeCodes(theirs, { code: 'A' });
    const [first = 0] = await makeCodes(mine, { code: 'A', list: 1 });
    expect(problemCodes(await divide(mine, '4010', [part(-100n, strange)]))).toEqual(['item.analysis']);
    expect(problemCodes(await divide(mine, '4010', [part(-100n, first)]))).toEqual(['item.analysis']);
    expect(
      problemCodes(
        await saveCodes({ books: mine, entries: [{ id: strange, revision: 1, code: { ...blankCode(2), code: 'X' } }] }),
      ),
    ).toEqual(['analysis.gone']);
    const [own = 0] = await makeCodes(mine, { code: 'P' });
    valueOf(await divide(mine, '4010', [part(-100n, own)]));
    for (const [list, id] of [
      [2, strange],
      [2, first],
      [1, own],
    ] as const)
      await refused(
        sql(
          `update schedule_item set detail = jsonb_build_object('analysis${String(list)}', $2::text) where books_id = $1`,
          [mine, String(id)],
        ),
        /schedule_item_analysis/,
      );
    await refused(sql('delete from analysis_code where id = $1', [own]), /schedule_item_analysis/);
    await refused(
      sql(`update schedule_item set detail = '{"analysis1":"x"}' where books_id = $1`, [mine]),
      /invalid input syntax/,
    );
    await refused(
      sql(`update analysis_code set from_day = '2026-02-01', to_day = '2026-01-01' where id = $1`, [own]),
      /check/,
    );
    await refused(sql('update analysis_code set list_no = 1 where id = $1', [own]), /schedule_item_analysis/);
  });
});
