import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_WRITING, say, tell } from '../base/sentence';
import { PLAIN_ACCOUNT, type Account, accountId } from '../chart/account';
import { CLASS_IDS, type Classification, isResult, typeOf } from '../ledger/classes';
import { type Minor, NIL, add, minor, negate, sum } from '../money/minor';
import { DRAFT, type Document, type Line, plainRows, saidOfStanding } from './document';
import { calendarReport, historyReport } from './lists';
import { type Head, balanceSheetReport, incomeReport, journalReport, sheetForm, trialBalanceReport } from './reports';
import { balanceSheet, incomeStatement, trialBalance } from './statements';

const HEAD: Head = {
  currency: 'EUR',
  digits: 2,
  openingDate: '2026-07-31',
  yearStart: '2026-02-01',
  standing: { draft: true },
};

const account = (id: number, classification: Classification): Account => ({
  ...PLAIN_ACCOUNT,
  id: accountId(id),
  code: String(1000 + id),
  name: `Account ${String(id)}`,
  classification,
});

/** Some accounts of every class, with amounts that net to zero. */
const books = fc
  .array(fc.tuple(fc.constantFrom(...CLASS_IDS), fc.bigInt({ min: -(10n ** 9n), max: 10n ** 9n })), { maxLength: 30 })
  .map((given) => {
    const accounts = given.map(([classification], at) => account(at + 1, classification));
    const balances = new Map(accounts.map(({ id }, at) => [id, minor(given[at]?.[1] ?? 0n)]));
    const capital = account(999, 'equity');
    balances.set(capital.id, negate(sum(balances.values())));
    return { accounts: [...accounts, capital], balances };
  });

const amountOf = (line: Line | undefined, column: number): Minor => {
  const value = line?.values[column];
  return typeof value === 'object' && value !== null && 'amount' in value ? value.amount : NIL;
};
const lineNamed = ({ sections }: Document, name: string): Line | undefined =>
  sections.flatMap(({ lines }) => lines).find(({ values }) => values[1] === name);

describe('statements as documents', () => {
  it('lead over net current assets to net assets, which equity equals, and the two sides of the other form are equal', () => {
    fc.assert(
      fc.property(books, ({ accounts, balances }) => {
        const sheet = balanceSheet(accounts, balances);
        const list = balanceSheetReport(sheet, HEAD, 'list');
        expect(amountOf(lineNamed(list, 'Net assets'), 2)).toBe(amountOf(lineNamed(list, 'Total equity'), 2));
        expect(
          add(
            amountOf(lineNamed(list, 'Total current assets'), 2),
            amountOf(lineNamed(list, 'Total current liabilities'), 2),
          ),
        ).toBe(amountOf(lineNamed(list, 'Net current assets'), 2));
        const two = balanceSheetReport(sheet, HEAD, 'account');
        expect(amountOf(lineNamed(two, 'Total assets'), 2)).toBe(
          amountOf(lineNamed(two, 'Total liabilities and equity'), 2),
        );
        expect([list.notes, two.notes]).toEqual([
          [['Net assets and equity are equal.']],
          [['The two sides are equal.']],
        ]);
      }),
    );
  });
  it('have in every sum what stands above it since the last one', () => {
    fc.assert(
      fc.property(books, ({ accounts, balances }) => {
        const report = incomeReport(incomeStatement(accounts, balances), HEAD);
        let lines = NIL;
        let groups = NIL;
        for (const line of report.sections[0]?.lines ?? []) {
          if (line.kind === 'line') lines = add(lines, amountOf(line, 2));
          if (line.kind === 'sum' && line.depth === 1) {
            expect(amountOf(line, 2)).toBe(lines);
            groups = add(groups, lines);
            lines = NIL;
          }
          // A result, and the profit at the end, is all groups above it.
          if ((line.kind === 'sum' && line.depth === 0) || line.kind === 'total')
            expect(amountOf(line, 2)).toBe(groups);
        }
        const own = accounts.filter(({ classification }) => isResult(typeOf(classification)));
        expect(groups).toBe(negate(sum(own.map(({ id }) => balances.get(id) ?? NIL))));
      }),
    );
  });
  it('have a trial balance with equal sides, and last year’s beside it where it is known', () => {
    fc.assert(
      fc.property(books, ({ accounts, balances }) => {
        const trial = trialBalance(accounts, balances);
        const before = { date: '2026-01-31' as const, amounts: balances, without: [] };
        const report = trialBalanceReport(trial, HEAD, before);
        const total = report.sections[0]?.lines.at(-1);
        expect(amountOf(total, 2)).toBe(amountOf(total, 3));
        expect(total?.values.slice(4)).toEqual(total?.values.slice(2, 4));
        expect(trialBalanceReport(trial, HEAD, null).columns).toHaveLength(4);
      }),
    );
  });
  it('say when two sides differ, and why there is nothing', () => {
    const bank = account(1, 'current-asset');
    const out = balanceSheetReport(balanceSheet([bank], new Map([[bank.id, minor(36000n)]])), HEAD, 'list');
    expect(out.notes.map((note) => tell(note, PLAIN_WRITING))).toEqual([
      'The two sides differ by 360.00 EUR: the opening balances do not net to zero.',
    ]);
    const none = incomeStatement([bank], new Map());
    expect(tell(incomeReport(none, { ...HEAD, yearStart: null }).notes[0] ?? '', PLAIN_WRITING)).toContain(
      'open at nil',
    );
    expect(tell(incomeReport(none, HEAD).notes[0] ?? '', PLAIN_WRITING)).toContain('No income or expense account');
    expect(tell(journalReport([], HEAD).notes[0] ?? '', PLAIN_WRITING)).toBe('Nothing is posted yet.');
    expect([sheetForm('account'), sheetForm('pie'), sheetForm(undefined)]).toEqual(['account', 'list', 'list']);
  });
  it('have one head for each journal, with its totals', () => {
    const report = journalReport(
      [
        {
          number: 1,
          date: '2026-07-31',
          period: 'Jul 2026',
          description: 'Opening balances',
          by: 'Nuala',
          at: '2026-08-03T09:00:00Z',
          lines: [
            { account: accountId(1), code: '1010', name: 'Bank', source: 'tb.csv', amount: minor(900n) },
            { account: accountId(2), code: '3010', name: 'Capital', source: 'typed', amount: minor(-900n) },
          ],
        },
      ],
      { ...HEAD, standing: { draft: false, says: say`Posted.` } },
    );
    expect(report.sections).toMatchObject([{ title: 'Journal 1: Opening balances' }]);
    expect(tell(report.sections[0]?.about ?? '', PLAIN_WRITING)).toBe(
      '31 Jul 2026, Jul 2026; posted on 3 Aug 2026 by Nuala',
    );
    expect(report.sections[0]?.lines.map(({ values }) => values[2])).toEqual(['tb.csv', 'typed', '']);
    expect(report.sections[0]?.lines.at(-1)?.values.slice(3)).toEqual([
      { amount: 900n, digits: 2 },
      { amount: 900n, digits: 2 },
    ]);
  });
});

describe('a document as a plain file', () => {
  it('begins with its columns’ names, and a draft says so in its last row', () => {
    const bank = account(1, 'current-asset');
    const rows = plainRows(trialBalanceReport(trialBalance([bank], new Map([[bank.id, minor(5n)]])), HEAD, null));
    expect(rows[0]).toEqual(['Code', 'Account', 'Debit', 'Credit']);
    expect(rows.at(-1)).toEqual([null, DRAFT, null, null]);
    expect(saidOfStanding({ standing: null }, PLAIN_WRITING)).toBeNull();
  });
  it('names the part that each row is in, and writes dates so that every program reads them', () => {
    const year = {
      name: '2026',
      periods: [{ code: 'P1', name: 'January', start: '2026-01-01', end: '2026-01-31', state: 'open' }],
    } as const;
    expect(plainRows(calendarReport([year], '2026-01-01'))).toEqual([
      ['Part', 'Code', 'Period', 'First day', 'Last day', 'State'],
      ['2026', 'P1', 'January', '2026-01-01', '2026-01-31', 'open'],
    ]);
  });
  it('tells a batch with one change once', () => {
    const batch = { at: '2026-08-01T10:05:00Z', by: 'Nuala', what: 'Name: A → B', changes: ['Name: A → B'] };
    expect(plainRows(historyReport([batch], true)).slice(1)).toEqual([['2026-08-01', '10:05', 'Nuala', 'Name: A → B']]);
  });
});
