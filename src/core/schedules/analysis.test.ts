import { type IsoDate } from '../base/iso-date';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_DATES } from '../base/date-style';
import { plainDate } from '../base/dates';
import { PLAIN_ACCOUNT, type Account, accountId } from '../chart/account';
import { type Minor, NIL, add, minor, sum } from '../money/minor';
import { analysisReport } from '../statements/analysis';
import { plainRows } from '../statements/document';
import {
  ANALYSIS_LISTS,
  type AnalysisCode,
  CODE_COLUMNS,
  blankCode,
  codeBook,
  codeDoubts,
  codeFrom,
  codeOfItem,
  codeProblems,
  codeText,
  fieldOfList,
  keptCode,
  listOfColumn,
  namedLists,
  typedCode,
  typedCodeOfItem,
} from './analysis';
import { blankItem } from './item';
import { type CellRules, cellText, columnsIn, contactBook, typedItem } from './item-cells';
import { detailProblems } from './things/detail';

const code = (id: number, more: Partial<AnalysisCode> = {}): AnalysisCode => ({
  ...blankCode(2),
  id,
  revision: 1,
  code: `P${String(id)}`,
  name: `Project ${String(id)}`,
  ...more,
});
const LISTS = namedLists(['Cost centre', 'Project']);
const BOOK = codeBook(LISTS, [
  code(1),
  code(2, { active: false }),
  code(3, { from: '2026-09-01' }),
  code(4, { to: '2026-03-31' }),
  code(5, { list: 1, code: 'HARBOUR', name: 'Harbour shed' }),
]);
const account = (id: number, more: Partial<Account> = {}): Account => ({
  ...PLAIN_ACCOUNT,
  id: accountId(id),
  code: String(4000 + id),
  name: `Account ${String(id)}`,
  classification: 'revenue',
  ...more,
});

describe('lists of analysis codes', () => {
  it('are as many as the company names, and each has a column of its own', () => {
    expect(LISTS.map(({ list, name }) => [list, name])).toEqual([
      [1, 'Cost centre'],
      [2, 'Project'],
    ]);
    for (const list of ANALYSIS_LISTS) expect(listOfColumn(fieldOfList(list))).toBe(list);
    expect(listOfColumn('open')).toBeUndefined();
    expect(columnsIn('customers', false, { lists: LISTS, levels: [] }).slice(-2)).toEqual(['analysis1', 'analysis2']);
    expect(columnsIn('division', false, { lists: LISTS, levels: [] }).slice(0, 2)).toEqual(['analysis1', 'analysis2']);
  });

  it('have codes once each, whatever the capitals, and dates in order', () => {
    const others = [code(1)];
    expect(codeProblems(code(9, { code: 'p1' }), others).map(({ code: id }) => id)).toEqual(['analysis.code']);
    expect(codeProblems(code(9, { code: 'p1', list: 1 }), others)).toEqual([]);
    expect(codeProblems(code(9, { code: '' }), others)).toHaveLength(1);
    expect(codeProblems(code(9, { from: '2026-02-01', to: '2026-01-31' }), others)).toHaveLength(1);
  });

  it('read in each cell what it shows, and are kept in the record as they are', () => {
    for (const one of BOOK.byId.values()) {
      for (const column of CODE_COLUMNS)
        expect(typedCode(one, column, codeText(one, column, PLAIN_DATES), PLAIN_DATES)).toEqual({
          ok: true,
          value: one,
        });
      const { id: _, revision: __, ...fields } = one;
      expect(codeFrom(keptCode(one))).toEqual(fields);
    }
    expect(typedCode(code(1), 'active', 'perhaps', PLAIN_DATES).ok).toBe(false);
    expect(typedCode(code(1), 'from', 'soon', PLAIN_DATES).ok).toBe(false);
  });
});

const RULES: CellRules = {
  schedule: 'division',
  account: account(1),
  base: 'EUR',
  style: '1,234.56',
  dates: PLAIN_DATES,
  contacts: contactBook([]),
  terms: { kind: 'days', days: 30 },
  openingDate: plainDate('2026-07-31'),
  spans: 'days',
  codes: BOOK,
};

describe('an item', () => {
  it('bears a code by its code, its name or both; what is not in the list is said', () => {
    const item = blankItem('division', 'EUR');
    for (const text of ['p1', 'Project 1', 'P1 Project 1']) {
      const read = typedItem(item, 'analysis2', text, RULES);
      expect(read).toMatchObject({ ok: true, value: { detail: { analysis2: '1' } } });
      if (read.ok) {
        expect(cellText(read.value, 'analysis2', RULES)).toBe('P1 Project 1');
        expect(detailProblems(read.value.detail)).toEqual([]);
        expect(typedItem(read.value, 'analysis2', '', RULES)).toEqual({ ok: true, value: item });
      }
    }
    // A code of another list is none of this one.
    expect(typedCodeOfItem('HARBOUR', 2, BOOK).ok).toBe(false);
    expect(typedCodeOfItem('P9', 2, BOOK)).toMatchObject({ ok: false, problems: [{ path: ['analysis2'] }] });
    expect(detailProblems({ analysis1: '-1' })).toHaveLength(1);
    expect(detailProblems({ analysis1: '99999999999' })).toHaveLength(1);
  });

  it('shows in every schedule the code that it bears', () => {
    for (const schedule of ['customers', 'stock', 'assets', 'plain'] as const) {
      const item = { ...blankItem(schedule, 'EUR'), detail: { analysis1: '5' } };
      expect(cellText(item, 'analysis1', { ...RULES, schedule })).toBe('HARBOUR Harbour shed');
    }
    expect(codeOfItem({}, 1, BOOK)).toBe('');
  });

  it('is asked about where its code is out of use, over, or not begun on its day', () => {
    const asked = (id: string, date: IsoDate | null) =>
      codeDoubts({ detail: { analysis2: id }, date }, BOOK, plainDate('2026-07-31')).length;
    expect([asked('1', null), asked('2', null), asked('3', null), asked('4', null)]).toEqual([0, 1, 1, 1]);
    // What was of its day then is not asked about.
    expect([asked('4', '2026-03-31'), asked('4', '2026-04-01'), asked('3', '2026-09-01')]).toEqual([0, 1, 0]);
  });
});

describe('what stands on codes', () => {
  it('comes, with what bears none, to the figure of each account, whatever the parts', () => {
    const amounts = fc.array(
      fc.record({
        code: fc.integer({ min: 1, max: 4 }),
        account: fc.integer({ min: 1, max: 5 }).map(accountId),
        amount: fc.bigInt({ min: -(10n ** 9n), max: 10n ** 9n }).map(minor),
      }),
      { maxLength: 12 },
    );
    const figures = fc.array(fc.bigInt({ min: -(10n ** 9n), max: 10n ** 9n }).map(minor), {
      minLength: 5,
      maxLength: 5,
    });
    fc.assert(
      fc.property(amounts, figures, (given, stands) => {
        const once = [...new Map(given.map((one) => [`${String(one.code)} ${String(one.account)}`, one])).values()];
        const report = analysisReport(
          LISTS[1] ?? { list: 2, name: '' },
          [...BOOK.byId.values()],
          once,
          [1, 2, 3, 4, 5].map((id) => account(id)),
          new Map(stands.map((amount, at) => [accountId(at + 1), amount])),
          { openingDate: '2026-07-31', currency: 'EUR', digits: 2, draft: true },
        );
        const found = new Map<number, Minor>();
        for (const { kind, account: of, values } of report.sections.flatMap(({ lines }) => lines)) {
          if (kind !== 'line' || of === undefined) continue;
          const side = (at: number): Minor => {
            const value = values[at];
            return value !== null && typeof value === 'object' && 'amount' in value ? value.amount : NIL;
          };
          found.set(of, add(found.get(of) ?? NIL, minor(side(2) - side(3))));
        }
        const divided = new Set(once.map((one) => one.account));
        for (const [at, figure] of stands.entries())
          expect(found.get(at + 1) ?? NIL).toBe(divided.has(accountId(at + 1)) ? figure : NIL);
        expect(sum([...found.values()])).toBe(sum(stands.filter((_, at) => divided.has(accountId(at + 1)))));
      }),
    );
  });

  it('says so where nothing does, and where a rate is missing', () => {
    const report = (amount: Minor | null | undefined) =>
      analysisReport(
        { list: 2, name: 'Project' },
        [code(1)],
        amount === undefined ? [] : [{ code: 1, account: accountId(1), amount }],
        [account(1)],
        new Map([[accountId(1), minor(100n)]]),
        { openingDate: '2026-07-31', currency: 'EUR', digits: 2, draft: false },
      );
    expect(report(undefined)).toMatchObject({ sections: [], notes: [{}] });
    expect(report(null).notes).toHaveLength(1);
    expect(plainRows(report(minor(60n))).map((row) => row[0])).toEqual([
      'Part',
      'P1 Project 1',
      'P1 Project 1',
      'Without a code',
      'Without a code',
    ]);
  });
});
