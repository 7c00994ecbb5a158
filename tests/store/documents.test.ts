import { describe, expect, it } from 'vitest';
import { drawCalendar } from '@/actions/calendar/commands';
import { calendarView } from '@/actions/calendar/views';
import { changeFact } from '@/actions/company/commands';
import { saveComparatives } from '@/actions/openings/comparatives';
import { saveFigures } from '@/actions/openings/figures';
import { postOpenings } from '@/actions/openings/posting';
import { openingsView } from '@/actions/openings/views';
import { exportList, exportStatement } from '@/actions/statements/export';
import { statementView, statementWish } from '@/actions/statements/views';
import { plainDate } from '@/core/base/dates';
import { redrawYear } from '@/core/calendar/draft';
import { PLAIN_PLAN } from '@/core/calendar/year';
import { readPdfPage } from '@/core/files/pdf';
import { readAnyPaper } from '@/core/files/read-any';
import { PLAIN_DATES } from '@/core/base/date-style';
import type { BooksId } from '@/core/base/ids';
import { type Minor, abs, minor } from '@/core/money/minor';
import { recognise } from '@/core/papers/recognise';
import { rowTotals } from '@/core/papers/rows';
import { newBooks, valueOf, withDatabase } from './support';

withDatabase();

/** Figures on every account that takes some, netting to zero. */
const fill = async (books: BooksId): Promise<ReadonlyMap<string, Minor>> => {
  const view = await openingsView(books);
  const rows = (view?.rows ?? []).filter((row) => !row.heading && row.role !== 'current-year-result');
  const amounts = rows.map((_, at) => BigInt((at % 2 === 0 ? 1 : -1) * (100_000 + at * 1237)));
  amounts[amounts.length - 1] = -amounts.slice(0, -1).reduce((sum, amount) => sum + amount, 0n);
  const entries = rows.map(({ id, revision }, at) => ({
    account: id,
    amount: minor(amounts[at] ?? 0n),
    parts: [],
    revision,
    restores: false,
  }));
  valueOf(await saveFigures({ books, set: view?.set?.id ?? 0, entries }));
  return new Map(rows.map(({ code }, at) => [code, minor(amounts[at] ?? 0n)]));
};

const textOf = async (content: string | Uint8Array): Promise<readonly string[]> => {
  const pages: string[] = [];
  for (let number = 1, of = 1; number <= of; number += 1) {
    const page = await readPdfPage(new Uint8Array(Buffer.from(content)), 'document.pdf', number);
    if (!page.ok) throw new Error(page.problems[0]?.message);
    of = page.value.pages;
    pages.push(page.value.pieces.map(({ text }) => text).join(' '));
  }
  return pages;
};

describe('a document for a client’s file', () => {
  it('printed, says what it is, that it is a draft, and has every figure; read again, it gives the same', async () => {
    const books = await newBooks();
    const amounts = await fill(books);
    const file = await exportStatement(books, 'trial-balance', statementWish({}), 'pdf');
    expect(file?.name).toBe('Saltmarsh Pottery Ltd trial balance 2026-07-31 draft.pdf');
    const content = new Uint8Array(Buffer.from(file?.content ?? ''));
    const pages = await textOf(content);
    expect(pages.length).toBeGreaterThan(1);
    expect(pages[0]).toContain('Draft, not posted');
    for (const [at, page] of pages.entries()) {
      expect(page).toContain(`page ${String(at + 1)} of ${String(pages.length)}`);
      expect(page).toMatch(/Printed by Bookkeeper on \d+ \w{3} \d{4}, \d\d:\d\d \w/);
      expect(page).toContain('Draft, not posted');
      expect(page).toMatch(/Code Account Debit Credit/);
    }
    const read = await readAnyPaper(content, 'trial balance.pdf');
    if (!read.ok) throw new Error(read.problems[0]?.message);
    const { rows } = recognise(read.value, { digits: 2 });
    const taken = rows.flatMap(({ kind, code, amount }) => (kind === 'account' ? [[code, amount] as const] : []));
    expect(taken.filter(([, amount]) => amount !== 0n)).toEqual([...amounts]);
  });
  it.each(['csv', 'xlsx'] as const)('as %s, is read again as the same trial balance', async (format) => {
    const books = await newBooks();
    const amounts = await fill(books);
    const file = await exportStatement(books, 'trial-balance', statementWish({}), format);
    const read = await readAnyPaper(new Uint8Array(Buffer.from(file?.content ?? '')), `tb.${format}`);
    if (!read.ok) throw new Error(read.problems[0]?.message);
    const { rows } = recognise(read.value, { digits: 2 });
    const debits = [...amounts.values()].reduce((sum, amount) => (amount > 0n ? sum + amount : sum), 0n);
    expect(rowTotals(rows)).toMatchObject({ debits, net: 0n });
    const filled = rows.filter(({ kind, amount }) => kind === 'account' && amount !== 0n);
    expect(filled.map(({ code, amount }) => [code, amount])).toEqual([...amounts]);
  });
  it('tells last year with its adjustment periods or without, and of accounts that stood only then', async () => {
    const books = await newBooks();
    const amounts = await fill(books);
    const calendar = await calendarView(books);
    const drawn = (calendar?.years ?? []).map((year) => ({ ...year, start: plainDate(year.start), end: plainDate(year.end), periods: year.periods.map((one) => ({ ...one, start: plainDate(one.start), end: plainDate(one.end) })) })); // prettier-ignore
    const redrawn = redrawYear(drawn, 0, { plan: { ...PLAIN_PLAN, adjustments: 1 }, onward: false });
    if (!redrawn.ok) throw new Error(redrawn.problems[0]?.message);
    valueOf(
      await drawCalendar({
        books,
        revision: calendar?.revision ?? 0,
        years: redrawn.value.map(({ id, name, plan, periods }) => ({ id, name, plan, periods: periods.map((one) => ({ ...one, start: one.start.toString(), end: one.end.toString() })) })), // prettier-ignore
      }),
    );
    const rows = (await openingsView(books))?.rows.filter(({ heading }) => !heading) ?? [];
    const [one, other] = rows;
    // Stood last year, and no more.
    const gone = rows.find(({ code }) => !amounts.has(code));
    if (one === undefined || other === undefined || gone === undefined) throw new Error('accounts');
    const entry = (account: number, column: number, to: bigint) => ({ account, column, from: null, to });
    expect((await statementView(books, 'trial-balance'))?.adjustments).toEqual({ periods: ['Adjustment'], some: false, out: false }); // prettier-ignore
    valueOf(
      await saveComparatives({
        books,
        entries: [entry(one.id, 0, 100n), entry(gone.id, 0, -100n), entry(one.id, 61, 30n), entry(gone.id, 61, -30n)],
      }),
    );
    const said = async (adjustments: string): Promise<readonly string[]> => {
      const file = await exportStatement(books, 'trial-balance', statementWish({ adjustments }), 'csv');
      return String(file?.content).split(/\r?\n/).filter((line) => /0\.70|1\.00/.test(line)); // prettier-ignore
    };
    expect((await said('in')).map((line) => line.replace(/^[^,]*,.*?,/, ''))).toHaveLength(3);
    expect((await said('in')).join()).not.toContain('0.70');
    expect((await said('out')).join()).not.toContain('1.00');
    expect((await said('out')).at(-1)).toMatch(/0\.70,0\.70$/);
    const view = await statementView(books, 'trial-balance', statementWish({ adjustments: 'out' }));
    expect(view?.adjustments).toEqual({ periods: ['Adjustment'], some: true, out: true });
    expect(JSON.stringify(view?.document.notes)).toContain('without Adjustment');
    // The others have nothing of last year in them.
    expect((await statementView(books, 'balance-sheet'))?.adjustments?.some).toBe(false);
  });
  it('posted, says by whom and when, in the books’ own style of numbers and dates', async () => {
    const books = await newBooks();
    valueOf(await changeFact({ books, field: 'style', was: '1,234.56', now: '1.234,56' }));
    const now = { order: 'dmy', separator: '.', year: 4, month: 'number' };
    valueOf(await changeFact({ books, field: 'dates', was: PLAIN_DATES, now }));
    const amounts = await fill(books);
    valueOf(await postOpenings({ books, set: (await openingsView(books))?.set?.id ?? 0 }));
    const file = await exportStatement(books, 'journal', statementWish({}), 'pdf');
    expect(file?.name).toBe('Saltmarsh Pottery Ltd journal 2026-07-31.pdf');
    const text = (await textOf(file?.content ?? '')).join(' ');
    expect(text).toMatch(/Version 1, posted on \d\d\.\d\d\.\d{4} by Bookkeeper/);
    expect(text).toContain('Opening balances at close of 31.07.2026');
    for (const amount of amounts.values()) {
      const digits = String(abs(amount)).padStart(3, '0');
      const whole = digits.slice(0, -2).replace(/\B(?=(\d{3})+$)/g, '.');
      expect(text).toContain(`${whole},${digits.slice(-2)}`);
    }
    const sheet = (
      await textOf(
        (await exportStatement(books, 'balance-sheet', statementWish({ form: 'account' }), 'pdf'))?.content ?? '',
      )
    ).join(' ');
    expect(sheet).toContain('Total liabilities and equity');
  });
  it.each(['chart', 'calendar', 'rates', 'changes'] as const)('is there for the %s, in each format', async (kind) => {
    const books = await newBooks({ name: 'Łódź & Ζήνων <b>Κο' });
    for (const format of ['csv', 'xlsx', 'pdf'] as const) {
      const file = await exportList(books, kind, format);
      expect(file?.name.endsWith(`2026-07-31.${format}`)).toBe(true);
      if (format === 'pdf') expect((await textOf(file?.content ?? ''))[0]).toContain('Łódź & Ζήνων <b>Κο');
    }
    expect(await exportList(999, kind, 'csv')).toBeUndefined();
  });
});
