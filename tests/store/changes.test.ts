import { dateOf } from '@/core/base/dates';
import { type BooksId, personId } from '@/core/base/ids';
import { randomUUID } from 'node:crypto';
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Sentence } from '@/core/base/sentence';
import { accountStory } from '@/actions/chart/account-story';
import { removeBooks } from '@/actions/books/commands';
import { changesView, lastChange } from '@/actions/changes/views';
import { drawCalendar, moveCutover, setPeriods } from '@/actions/calendar/commands';
import { calendarView } from '@/actions/calendar/views';
import { takeCopy } from '@/actions/chart/begin';
import { addAccount, changeAccount, mergeAccounts, removeAccount, saveBanks, setCodes } from '@/actions/chart/commands';
import { chartView } from '@/actions/chart/views';
import { changeFact } from '@/actions/company/commands';
import { saveComparatives } from '@/actions/openings/comparatives';
import { comparativesView } from '@/actions/openings/comparatives-view';
import { actAs } from '@/actions/kernel/context';
import { changeMoneyRules, saveRate, saveRates, switchOff, switchOn } from '@/actions/currencies/commands';
import { saveFigures } from '@/actions/openings/figures';
import { discardCorrection, openCorrection, postOpenings } from '@/actions/openings/posting';
import { createUndecided, decideRows } from '@/actions/papers/decisions';
import { bringPaper, readAs } from '@/actions/papers/commands';
import { takeOver } from '@/actions/papers/take-over';
import { saveTaxCodes } from '@/actions/chart/tax-codes';
import { undo } from '@/actions/changes/commands';
import { openingsView, signOffView } from '@/actions/openings/views';
import { redrawYear } from '@/core/calendar/draft';
import { keptCalendar } from '@/core/calendar/recorded';
import { minor } from '@/core/money/minor';
import { plainRate } from '@/core/money/rate';
import { findBooks } from '@/store/books';
import { bankDetailsOf } from '@/store/bank-details';
import { chartOf } from '@/store/chart';
import { comparativesOf } from '@/store/comparatives';
import { yearsOf } from '@/store/calendar';
import { allRates, currenciesOf, pairRates } from '@/store/currencies';
import { findPaper, papersOf } from '@/store/papers';
import { currentSet, linesOf, partsOfSet } from '@/store/openings';
import { taxCodesOf } from '@/store/tax-codes';
import { codesOf, newBooks, refused, valueOf, withDatabase } from './support';

const database = withDatabase();
afterEach(() => actAs(undefined));

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const idOf = async (books: number, code: string): Promise<number> =>
  (await chartView(books))?.rows.find(({ account }) => account.code === code)?.account.id ?? 0;
const setOf = async (books: number): Promise<number> => (await openingsView(books))?.set?.id ?? 0;
const rowsOf = async (books: number) => (await openingsView(books))?.rows ?? [];
const batchesOf = async (books: number) => (await changesView(books, undefined))?.batches ?? [];
const latest = async (books: number): Promise<string> => (await batchesOf(books))[0]?.id ?? '';
const type = async (books: number, code: string, amount: bigint | null): Promise<void> => {
  const row = (await rowsOf(books)).find((one) => one.code === code);
  valueOf(
    await saveFigures({
      books,
      set: await setOf(books),
      entries: [{ account: row?.id ?? 0, amount, revision: row?.revision ?? 0, restores: false }],
    }),
  );
};

/** All that a batch of the record can change, as it stands; revisions and instants apart. */
const everything = async (books: BooksId) => {
  const tx = database.current;
  const found = await findBooks(tx, 1, books);
  const set = await currentSet(tx, books);
  const lines = set === undefined ? [] : await linesOf(tx, books, set.id);
  return {
    chart: await chartOf(tx, books),
    figures: lines.map(({ account, amount, source, paper, why }) => ({ account, amount, source, paper, why })),
    parts: set === undefined ? [] : [...(await partsOfSet(tx, books, set.id))],
    comparatives: [...(await comparativesOf(tx, books))].map(([account, amounts]) => [account, [...amounts]]),
    banks: [...(await bankDetailsOf(tx, books))].sort(([one], [other]) => one - other),
    taxCodes: await taxCodesOf(tx, books),
    facts: found?.facts,
    rates: await allRates(tx, books),
    currencies: [...((await currenciesOf(tx, [books])).get(books) ?? [])].sort(),
    rules: [found?.currency, found?.rounding, found?.rateDays, found?.chart],
    cutover: [found?.cutover, found?.completeUntil, found?.trialBalance].map(String),
    calendar: keptCalendar((await yearsOf(tx, [books])).get(books) ?? []),
    papers: await Promise.all(
      (await papersOf(tx, books)).map(async ({ id }) => {
        const paper = await findPaper(tx, books, id);
        return [paper?.reading, [...(paper?.decisions ?? [])]];
      }),
    ),
  };
};

const MONTHS = { kind: 'months', size: 1, endDay: 31 } as const;
const QUARTERS = { ...MONTHS, size: 3 } as const;
const BANK = { number: '', iban: '', bic: '', alertBelow: 500n, reconciled: true, statementDay: null };

const step = fc.record({
  kind: fc.constantFrom(
    'figure',
    'clear',
    'comparative',
    'rename',
    'inactive',
    'add',
    'remove',
    'bank',
    'remark',
    'rate',
    'unrate',
    'tax',
    'untax',
    'default tax',
    'currency',
    'rules',
    'codes',
    'cutover',
    'periods',
    'calendar',
    'copy',
    'read',
    'decide',
    'undecide',
    'create all',
  ),
  at: fc.nat(40),
  amount: fc.bigInt({ min: -900n, max: 900n }),
});
type Step = typeof step extends fc.Arbitrary<infer T> ? T : never;

/** Whether it was done. */
const carryOut = async (books: BooksId, { kind, at, amount }: Step): Promise<boolean> => {
  const rows = await rowsOf(books);
  const row = rows[at % Math.max(1, rows.length)];
  if (row === undefined) return false;
  const day = dateOf(2026, 7, 1 + (at % 28)).toString();
  switch (kind) {
    case 'figure':
    case 'clear': {
      const entry = { account: row.id, amount: kind === 'clear' ? null : amount, revision: row.revision };
      return (await saveFigures({ books, set: await setOf(books), entries: [{ ...entry, restores: false }] })).ok;
    }
    case 'comparative': {
      const shown = (await comparativesView(books))?.rows.find(({ id }) => id === row.id);
      const from = shown?.entered[0] ?? null;
      return (await saveComparatives({ books, entries: [{ account: row.id, column: 0, from, to: amount }] })).ok;
    }
    case 'rename':
      return (await changeAccount({ books, id: row.id, change: { name: `Named ${String(amount)}` } })).ok;
    case 'inactive':
      return (await changeAccount({ books, id: row.id, change: { active: amount > 0n } })).ok;
    case 'add':
      return (
        await addAccount({
          books,
          code: `N${String(amount)}`,
          name: 'New',
          classification: 'current-asset',
          parent: null,
          role: null,
          heading: false,
        })
      ).ok;
    case 'remove':
      return (await removeAccount({ books, id: row.id })).ok;
    case 'bank':
      return (
        await saveBanks({
          books,
          accounts: [{ account: row.id, bank: { ...BANK, number: String(amount), alertBelow: minor(amount) } }],
        })
      ).ok;
    case 'remark': {
      const was = (await findBooks(database.current, 1, books))?.facts.remark ?? '';
      return (await changeFact({ books, field: 'remark', was, now: String(amount) })).ok;
    }
    case 'rate': {
      const typed = `0.${String(80 + (at % 19))}0`;
      return (await saveRate({ books, date: day, unit: 'NOK', quote: 'EUR', typed, evenIfDoubtful: true })).ok;
    }
    case 'unrate': {
      const stand = await pairRates(database.current, books, ['NOK', 'EUR'], 1000, false);
      const gone = stand.filter(({ date }) => date === day).map((one) => ({ ...one, rate: plainRate(one.rate) }));
      if (gone.length === 0) return false;
      const entries = gone.map((was) => ({ was, rate: null }));
      return (await saveRates({ books, pair: ['NOK', 'EUR'], entries })).ok;
    }
    case 'tax': {
      const all = await taxCodesOf(database.current, books);
      const known = all[at % Math.max(1, all.length)];
      const code = {
        code: known !== undefined && amount > 0n ? known.code : `T${String(at)}`,
        name: `Tax ${String(amount)}`,
        direction: 'outside' as const,
        rates: [],
        charged: null,
        recoverable: null,
        active: true,
      };
      return (await saveTaxCodes({ books, entries: [{ id: code.code === known?.code ? known.id : null, code }] })).ok;
    }
    case 'default tax': {
      const all = await taxCodesOf(database.current, books);
      return (await changeAccount({ books, id: row.id, change: { taxCode: all[at % (all.length + 1)]?.code ?? null } }))
        .ok;
    }
    case 'currency': {
      const currency = at % 2 === 0 ? 'SEK' : 'CHF';
      return (await (amount > 0n ? switchOn : switchOff)({ books, currency })).ok;
    }
    case 'rules':
      return (
        await changeMoneyRules({ books, rounding: amount > 0n ? 'half-even' : 'half-away-from-zero', rateDays: at })
      ).ok;
    case 'codes':
      return (await setCodes({ books, codes: amount > 0n ? 'optional' : 'required', shown: at % 2 === 0 })).ok;
    case 'cutover': {
      const was = (await findBooks(database.current, 1, books))?.cutover.toString() ?? '2026-01-01';
      const cutover = dateOf(2026, 1 + (at % 12), 1).toString();
      return (await moveCutover({ books, was, cutover, completeUntil: '', trialBalance: amount > 0n ? day : '' })).ok;
    }
    case 'periods': {
      const periods = (await calendarView(books))?.years.flatMap((year) => year.periods) ?? [];
      const chosen = [0, 1].flatMap((next) => periods[(at + next) % periods.length]?.id ?? []);
      const state = (['open', 'closed', 'locked', 'future'] as const)[at % 4] ?? 'open';
      return (await setPeriods({ books, periods: chosen, state, why: 'to try', evenIfUnfinished: true })).ok;
    }
    case 'calendar': {
      const stands = (await yearsOf(database.current, [books])).get(books) ?? [];
      const plan = stands[0]?.plan;
      const revision = (await findBooks(database.current, 1, books))?.calendarRevision;
      if (revision === undefined || plan === undefined) return false;
      const drawn = redrawYear(stands, 0, {
        plan: { ...plan, adjustments: ([0, 1, 2, 3] as const)[at % 4] ?? 0, pattern: amount > 0n ? MONTHS : QUARTERS },
        onward: true,
      });
      if (!drawn.ok) return false;
      const years = drawn.value.map((year) => ({
        ...year,
        periods: year.periods.map((one) => ({ ...one, start: one.start.toString(), end: one.end.toString() })),
      }));
      return (await drawCalendar({ books, revision, years })).ok;
    }
    case 'copy':
      return (
        await takeCopy({
          books,
          from: { kind: 'books', id: source.books },
          branches: null,
          inactive: true,
          notes: true,
          taxCodes: true,
          pattern: amount > 0n,
          currencies: true,
          defaults: true,
        })
      ).ok;
    case 'read':
    case 'decide':
    case 'undecide':
    case 'create all': {
      const paper = (await papersOf(database.current, books))[0]?.id ?? 0;
      if (kind === 'read')
        return (
          await readAs({ books, paper, change: { convention: amount > 0n ? 'credit-positive' : 'debit-positive' } })
        ).ok;
      if (kind === 'create all') return (await createUndecided({ books, paper })).ok;
      const about = kind === 'undecide' ? null : { kind: 'leave-out' as const, reason: `not wanted ${String(amount)}` };
      const to = amount > 0n && about !== null && !row.heading ? { kind: 'account' as const, account: row.id } : about;
      return (await decideRows({ books, paper, rows: [2 + (at % 3)], decision: to })).ok;
    }
    case 'untax': {
      const all = await taxCodesOf(database.current, books);
      return (await saveTaxCodes({ books, entries: [{ id: all[at % Math.max(1, all.length)]?.id ?? 1, code: null }] }))
        .ok;
    }
  }
};

const fullBooks = async (): Promise<BooksId> => {
  const books = await newBooks({ foreign: true, starter: 'services' });
  valueOf(await switchOn({ books, currency: 'NOK' }));
  const parts = (await findBooks(database.current, 1, books))?.facts.parts ?? [];
  if (!parts.includes('sales-tax'))
    valueOf(await changeFact({ books, field: 'parts', was: parts, now: [...parts, 'sales-tax'] }));
  const content = bytes('Code;Account;Balance\n1010;Bank;50.00\nQ1;Driftwood lamps;-30.00\nQ2;Net twine;-20.00\n');
  valueOf(await bringPaper({ books, name: 'tb.csv', content }));
  return books;
};

/** Books with everything that a copy takes: tax codes on accounts, an account in a currency, quarters. */
const source = { books: 0 };
const makeSource = async (): Promise<void> => {
  const books = await newBooks({ foreign: true, starter: 'trading', yearStart: '2026-01-01' });
  source.books = books;
  const accounts = (await chartView(books))?.rows.map(({ account }) => account) ?? [];
  const owed = accounts.find(({ role }) => role === 'tax');
  const sale = accounts.find(({ heading, classification }) => !heading && classification === 'revenue');
  const bank = accounts.find(({ role }) => role === 'bank');
  valueOf(await switchOn({ books, currency: 'DKK' }));
  valueOf(
    await addAccount({
      books,
      code: 'DK1',
      name: 'Danish bank',
      classification: 'current-asset',
      parent: null,
      role: 'bank',
      heading: false,
      currency: 'DKK',
    }),
  );
  const rates = [{ from: '2026-01-01' as const, rate: '20' }];
  const code = {
    code: 'STD',
    name: 'Standard',
    direction: 'charged' as const,
    charged: owed?.id ?? 0,
    recoverable: null,
    active: true,
    rates,
  };
  valueOf(await saveTaxCodes({ books, entries: [{ id: null, code }] }));
  valueOf(await changeAccount({ books, id: sale?.id ?? 0, change: { taxCode: 'STD' } }));
  valueOf(await saveBanks({ books, accounts: [{ account: bank?.id ?? 0, bank: { ...BANK, number: '123' } }] }));
};

describe('taking back', () => {
  beforeEach(makeSource);
  it('leads back to what was, step by step, whatever was done; and taking that back leads to what came of it', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 10 }), async (steps) => {
        const books = await fullBooks();
        const stood = [await everything(books)];
        const batches: string[] = [];
        for (const one of steps) {
          const before = await latest(books);
          await carryOut(books, one);
          const batch = await latest(books);
          // What is refused, or changes nothing, leaves no trace in the record.
          const now = await everything(books);
          if (batch === before) expect(now).toEqual(stood.at(-1));
          else {
            batches.push(batch);
            stood.push(now);
            const [told] = await batchesOf(books);
            expect(told?.what).toMatch(/\S/);
            expect(`${told?.what ?? ''} ${told?.changes.join(' ') ?? ''}`).not.toMatch(/undefined|\[object|NaN|null/);
          }
        }
        for (const [at, batch] of [...batches.entries()].reverse()) {
          valueOf(await undo({ books, batch }));
          expect(await everything(books)).toEqual(stood[at]);
        }
        const [first] = batches;
        if (first === undefined) return;
        // The last taking back is that of the first change.
        valueOf(await undo({ books, batch: await latest(books) }));
        expect(await everything(books)).toEqual(stood[1]);
      }),
      { numRuns: 14 },
    );
  });

  it('is refused where something newer stands in the way, and says what; the others can go back all the same', async () => {
    const books = await newBooks();
    const [first, second] = [await idOf(books, '1010'), await idOf(books, '3010')];
    valueOf(
      await saveFigures({
        books,
        set: await setOf(books),
        entries: [
          { account: first, amount: 100n, revision: 0, restores: false },
          { account: second, amount: -100n, revision: 0, restores: false },
        ],
      }),
    );
    const both = await latest(books);
    await type(books, '3010', -250n);
    const tried = await undo({ books, batch: both });
    expect(codesOf(tried)).toEqual(['undo.newer']);
    expect(tried.ok ? '' : tried.problems[0]?.message).toContain('3010');
    expect(await batchesOf(books)).toHaveLength(3);
    expect(valueOf(await undo({ books, batch: both, leaveNewer: true }))).toEqual({ undone: 1, kept: 1 });
    const amounts = new Map((await rowsOf(books)).map(({ code, amount }) => [code, amount]));
    expect([amounts.get('1010'), amounts.get('3010')]).toEqual([null, -250n]);
    expect(codesOf(await undo({ books, batch: both }))).toEqual(['undo.already']);
    expect(codesOf(await undo({ books, batch: randomUUID() }))).toEqual(['undo.unknown']);
    const elsewhere = await newBooks();
    expect(codesOf(await undo({ books: elsewhere, batch: both }))).toEqual(['undo.unknown']);
  });

  it('takes nothing back where everything is newer, also when the newer is to stay', async () => {
    const books = await newBooks();
    await type(books, '1010', 100n);
    const first = await latest(books);
    await type(books, '1010', 200n);
    expect(codesOf(await undo({ books, batch: first, leaveNewer: true }))).toEqual(['undo.newer']);
    expect((await batchesOf(books)).map(({ state }) => state)).toEqual(['stands', 'stands', 'stands']);
    valueOf(await undo({ books, batch: await latest(books) }));
    expect((await signOffView(books))?.history[0]?.what).toBe('taken back: 1 opening figure changed');
  });

  it('of a take-over takes its accounts back too, whatever it had made', async () => {
    const books = await newBooks();
    const content = bytes('Code;Account;Balance\n1010;Bank;50.00\n9911;Driftwood lamps;-50.00\n');
    const { paper } = valueOf(await bringPaper({ books, name: 'tb.csv', content }));
    valueOf(await createUndecided({ books, paper }));
    const before = await everything(books);
    const taken = valueOf(await takeOver({ books, paper, key: randomUUID() }));
    const [batch] = await batchesOf(books);
    expect(batch).toMatchObject({ id: taken.batch, state: 'stands', stays: null });
    expect(batch?.what).toContain('tb.csv taken over: 2 opening figures, ');
    valueOf(await undo({ books, batch: taken.batch }));
    expect(await everything(books)).toEqual(before);
    expect((await batchesOf(books)).map(({ state }) => state).slice(0, 2)).toEqual(['stands', 'taken back']);
    expect(codesOf(await undo({ books, batch: await latest(books) }))).toEqual(['undo.stays']);
  });

  it('is not for what is posted, nor for a merge, and says so', async () => {
    const books = await newBooks();
    await type(books, '1010', 100n);
    const typed = await latest(books);
    await type(books, '3010', -100n);
    valueOf(await postOpenings({ books, set: await setOf(books) }));
    expect(codesOf(await undo({ books, batch: typed }))).toEqual(['undo.other-version']);
    valueOf(await openCorrection({ books, reason: 'to try' }));
    expect(codesOf(await undo({ books, batch: typed }))).toEqual(['undo.other-version']);
    valueOf(await mergeAccounts({ books, from: await idOf(books, '6520'), into: await idOf(books, '6500') }));
    expect(codesOf(await undo({ books, batch: await latest(books) }))).toEqual(['undo.stays']);
  });

  it('tells a lock that is taken back in the history of its period, and rules in those of their pages', async () => {
    const books = await newBooks();
    const period = (await calendarView(books))?.years[0]?.periods.at(-1)?.id ?? 0;
    valueOf(await setPeriods({ books, periods: [period], state: 'locked', why: '', evenIfUnfinished: true }));
    valueOf(await undo({ books, batch: await latest(books) }));
    const told = (subject: string) =>
      database.current.query<{ what: Sentence }>(
        'select what from history where books_id = $1 and subject = $2 order by id desc limit 1',
        [books, subject],
      );
    expect(await told('period')).toEqual([{ what: ['future: taken back'] }]);
    valueOf(await changeMoneyRules({ books, rateDays: 3 }));
    valueOf(await undo({ books, batch: await latest(books) }));
    expect((await told('currencies'))[0]?.what).toEqual([expect.stringMatching(/^taken back: /)]);
  });

  it('needs one who may change what is taken back', async () => {
    const books = await newBooks();
    await type(books, '1010', 100n);
    actAs({ person: personId(1), name: '', practice: 1, role: 'reviewer' });
    expect(codesOf(await undo({ books, batch: await latest(books) }))).toEqual(['access.denied']);
    actAs({ person: personId(1), name: '', practice: 1, role: 'preparer' });
    expect(valueOf(await undo({ books, batch: await latest(books) }))).toEqual({ undone: 1, kept: 0 });
  });
});

describe('the record of changes', () => {
  it('is only ever added to, and goes with its books alone', async () => {
    const books = await newBooks({ name: 'Recorded Ltd' });
    await type(books, '1010', 100n);
    const { current } = database;
    for (const table of ['batch', 'change', 'history']) {
      await refused(current.query(`delete from ${table} where books_id = $1`, [books]), /only ever added to/);
      await refused(current.query(`update ${table} set books_id = books_id where books_id = $1`, [books]), /only ever/);
      await refused(current.query(`truncate ${table} cascade`), /only ever/);
    }
    valueOf(await removeBooks({ books, typedName: 'Recorded Ltd' }));
    for (const table of ['batch', 'change', 'history'])
      expect(await current.query(`select 1 from ${table} where books_id = $1`, [books])).toEqual([]);
  });

  it('stays when a correction is discarded or an account goes, and leaves no paper half taken', async () => {
    const books = await newBooks();
    await type(books, '1010', 100n);
    await type(books, '3010', -100n);
    valueOf(await postOpenings({ books, set: await setOf(books) }));
    valueOf(await openCorrection({ books, reason: 'a second paper' }));
    const content = bytes('Code;Account;Balance\n1010;Bank;70.00\n3010;Capital;-70.00\n');
    const { paper } = valueOf(await bringPaper({ books, name: 'second.csv', content }));
    const { batch } = valueOf(await takeOver({ books, paper, key: randomUUID() }));
    valueOf(await discardCorrection({ books, set: await setOf(books) }));
    const told = (await accountStory(books, await idOf(books, '1010')))?.changes;
    expect(told?.map(({ to, paper: from, version }) => [to, from, version])).toEqual([
      [7000n, 'second.csv', null],
      [100n, null, 1],
    ]);
    expect(codesOf(await undo({ books, batch }))).toEqual(['openings.posted']);
    valueOf(await openCorrection({ books, reason: 'once more' }));
    valueOf(await takeOver({ books, paper, key: randomUUID() }));

    const gone = valueOf(
      await addAccount({
        books,
        code: '7777',
        name: 'Passing <script>',
        classification: 'operating-expense',
        parent: null,
        role: null,
        heading: false,
      }),
    ).id;
    valueOf(await removeAccount({ books, id: gone }));
    const changes = (await batchesOf(books)).flatMap((one) => one.changes);
    expect(changes.filter((what) => what.includes('Passing <script>'))).toHaveLength(2);
  });

  it('says what a person changed last of a subject and can take back, past what was taken back already', async () => {
    const books = await newBooks();
    expect(await lastChange(books, ['figure'])).toBeNull();
    await type(books, '1010', 100n);
    await type(books, '3010', -100n);
    valueOf(await changeAccount({ books, id: await idOf(books, '1010'), change: { name: 'Till' } }));
    const last = await lastChange(books, ['figure']);
    expect(last?.what).toMatch(/^3010 .*: empty → 1\.00 Cr$/);
    valueOf(await undo({ books, batch: last?.batch ?? '' }));
    // The taking back is no change that is offered itself, and what it took back is gone.
    expect((await lastChange(books, ['figure']))?.what).toMatch(/^1010 .*: empty → 1\.00 Dr$/);
    expect((await lastChange(books, ['account']))?.what).toContain('→ “Till”');
    actAs({ person: personId(2), name: '', practice: 1, role: 'owner' });
    expect(await lastChange(books, ['figure'])).toBeNull();
  });

  it('is looked through by stage, person, account and day, and what does not read is not asked for', async () => {
    const books = await newBooks();
    const all = (await batchesOf(books)).length;
    await type(books, '1010', 100n);
    valueOf(await changeAccount({ books, id: await idOf(books, '3010'), change: { name: 'Owner' } }));
    const found = async (query: Parameters<typeof changesView>[1]): Promise<readonly string[] | undefined> =>
      (await changesView(books, query))?.batches.flatMap(({ changes }) => changes);
    expect(await found({ stage: 'openings' })).toEqual(['1010 Current account at bank: empty → 1.00 Dr']);
    // What renamed it, and what made it.
    const ofOwner = (await changesView(books, { account: String(await idOf(books, '3010')) }))?.batches ?? [];
    expect([ofOwner.length, ofOwner[0]?.changes]).toEqual([2, [expect.stringContaining('→ “Owner”')]]);
    expect(await found({ stage: 'chart', account: await idOf(books, '1010') })).not.toContainEqual(
      expect.stringContaining('Dr'),
    );
    expect(await found({ person: 2 })).toEqual([]);
    expect((await changesView(books))?.people.map(({ name }) => name)).toHaveLength(1);
    const today = new Date().toISOString().slice(0, 10);
    const [before, after] = [-3, 3].map((days) => new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10));
    expect(await found({ from: before, to: after, zone: 'Pacific/Auckland' })).toContainEqual(
      '1010 Current account at bank: empty → 1.00 Dr',
    );
    expect([await found({ from: after }), await found({ to: before, zone: 'Europe/Dublin' })]).toEqual([[], []]);
    expect((await changesView(books, { from: today, to: today, zone: 'UTC' }))?.batches.length).toBe(all + 2);
    const nonsense = {
      stage: ['chart', 'x'],
      person: '-1',
      account: '1e9999',
      from: '2026-02-30',
      to: '9999-12-31',
      zone: 'Nowhere/At all',
    };
    expect((await changesView(books, nonsense))?.batches.length).toBe(all + 2);
  });

  it('is read page by page', async () => {
    const books = await newBooks();
    for (let at = 1; at <= 53; at += 1) await type(books, '1010', BigInt(at));
    const first = await changesView(books, undefined);
    expect(first?.batches).toHaveLength(50);
    expect(first?.batches[0]?.changes).toEqual(['1010 Current account at bank: 0.52 Dr → 0.53 Dr']);
    const second = await changesView(books, { before: first?.before ?? '' });
    expect(second?.batches).toHaveLength(4);
    expect(second?.before).toBeNull();
    expect((await changesView(books, { before: "1' or true" }))?.batches).toHaveLength(50);
  });
});
