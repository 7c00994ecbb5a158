import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { toCsv, toXlsx } from '../files/write';
import { type Account, PLAIN_ACCOUNT, accountId, chartIndex } from './account';
import { readPaper } from '../files/read';
import { type BankDetails, NO_BANK_DETAILS } from './bank';
import { chartRows, readChartRows, recogniseChart } from './chart-file';
import { copied } from './copy';
import { applyEdits } from './edit';
import { type Incoming, type IncomingRules, type RowChoice, planIncoming } from './incoming';
import { rolesByName } from './infer';
import { lineByType, lineByWord, typeWordsIn, withTypes } from './type-words';
import { readLines } from './lines';
import { writeSaft } from './saft';
import { anyChart } from './testing';
import { inTreeOrder } from './tree';
import { UNUSED } from './use';

const RULES: IncomingRules = {
  codes: 'required',
  scheme: null,
  base: 'EUR',
  currencies: ['NOK', 'GBP'],
  taxCodes: [],
  uses: new Map(),
  banks: new Map(),
  update: true,
  clash: 'change',
};
const NONE: ReadonlyMap<number, RowChoice> = new Map();

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const rowsOf = (content: Uint8Array, name = 'chart.csv'): readonly Incoming[] => {
  const tables = readPaper(content, name);
  if (!tables.ok) throw new Error(tables.problems[0]?.message);
  const { mapping } = recogniseChart(tables.value);
  return readChartRows(tables.value[mapping.sheet] ?? { name: '', rows: [] }, mapping, 'EUR');
};
const taken = (chart: readonly Account[], rows: readonly Incoming[], rules = RULES): readonly Account[] => {
  const plan = planIncoming(chart, rows, NONE, rules);
  const done = applyEdits(chartIndex(chart), plan.edits, { codes: rules.codes, base: rules.base, uses: rules.uses });
  if (!done.ok) throw new Error(done.problems[0]?.message);
  return [...done.value.byId.values()];
};
/** A chart without ids, each account naming its heading by code. */
const shape = (chart: readonly Account[], without: readonly (keyof Account)[] = []) => {
  const byId = new Map(chart.map((account) => [account.id, account]));
  return inTreeOrder(chart).map(({ account, depth }) => {
    const { id: _, parent, ...rest } = account;
    for (const field of without) Reflect.deleteProperty(rest, field);
    return { ...rest, depth, under: parent === null ? null : byId.get(parent)?.code };
  });
};

describe('a chart taken out and brought back', () => {
  it('is the same chart, as CSV and as XLSX', () => {
    fc.assert(
      fc.property(anyChart(25), fc.boolean(), (chart, sheet) => {
        const rows = chartRows(chart, new Map(), 'EUR');
        const file = sheet ? toXlsx('Chart', rows) : bytes(toCsv(rows));
        // Spaces at the ends of what is typed do not survive a spreadsheet; nor do control characters and ends of lines.
        fc.pre(
          chart.every(
            ({ name }) => /^[^\p{C}\p{Zl}\p{Zp}\uFFFD]+$/u.test(name) && name === name.trim() && !name.startsWith("'"),
          ),
        );
        expect(shape(taken([], rowsOf(file, sheet ? 'a.xlsx' : 'a.csv')), ['origin'])).toEqual(
          shape(chart, ['origin']),
        );
      }),
      { numRuns: 60 },
    );
  });

  it('brought back onto itself changes nothing', () => {
    fc.assert(
      fc.property(anyChart(25), (chart) => {
        fc.pre(chart.every(({ name }) => /^[\p{L}\p{N} ]+$/u.test(name)));
        const plan = planIncoming(chart, rowsOf(bytes(toCsv(chartRows(chart, new Map(), 'EUR')))), NONE, RULES);
        expect(plan.edits).toEqual([]);
        expect(plan.counts.same).toBe(chart.length);
      }),
      { numRuns: 40 },
    );
  });

  it('keeps what SAF-T has room for: code, name, statement line, kind and heading', () => {
    fc.assert(
      fc.property(anyChart(20), (chart) => {
        fc.pre(chart.every(({ name }) => /^[\p{L}\p{N} &<>"']+$/u.test(name)));
        const xml = writeSaft(chart, {
          company: 'A & B <Ltd>',
          registration: '',
          country: 'IE',
          currency: 'EUR',
          from: '2026-02-01',
          to: '2027-01-31',
          created: '2026-08-01',
        });
        const lost = ['origin', 'role', 'contra', 'currency', 'active', 'note', 'taxCode'] as const;
        expect(shape(taken([], rowsOf(bytes(xml), 'chart.xml')), lost)).toEqual(shape(chart, lost));
      }),
      { numRuns: 40 },
    );
  });

  it('keeps the details of banks', () => {
    const bank: Account = {
      ...PLAIN_ACCOUNT,
      id: accountId(1),
      code: '1010',
      name: 'Bank',
      classification: 'current-asset',
      role: 'bank',
      currency: 'NOK',
    };
    const details: BankDetails = {
      ...NO_BANK_DETAILS,
      iban: 'NO9386011117947',
      bic: 'SKERNOKK',
      alertBelow: 150_050n,
      statementDay: 31,
      reconciled: false,
    };
    const plan = planIncoming([], rowsOf(bytes(toCsv(chartRows([bank], new Map([[1, details]]), 'EUR')))), NONE, RULES);
    expect([...plan.banks.values()]).toEqual([details]);
    const wrong = rowsOf(bytes('Code,Name,Type,IBAN\n1,Bank,Asset,NO9386011117948\n'));
    expect(planIncoming([], wrong, NONE, RULES).rows[0]).toMatchObject({
      status: 'problem',
      problems: [{ code: 'bank.iban' }],
    });
  });
});

describe('a list of accounts', () => {
  it('gets its types from words, headings, names and neighbours, each with a reason', () => {
    const plan = planIncoming(
      [],
      rowsOf(
        bytes(
          'Konto;Bezeichnung;Kontoart;Gruppe\n10;Umlaufvermögen;Aktiva;\n1200;Bank;Aktiva;10\n4400;Erlöse 19%;Ertrag;\n4930;Bürobedarf;Aufwnd;\n4940;Gezeitentafeln;;\n',
        ),
      ),
      NONE,
      RULES,
    );
    expect(
      plan.rows.map(({ code, classification, status, heading }) => [code, classification, status, heading]),
    ).toEqual([
      ['10', 'current-asset', 'new', true],
      ['1200', 'current-asset', 'new', false],
      ['4400', 'revenue', 'new', false],
      ['4930', 'operating-expense', 'new', false],
      ['4940', 'operating-expense', 'new', false],
    ]);
    expect(plan.rows[3]?.why).toContain('Aufwnd');
    expect(plan.rows[4]?.why).toContain('49');
  });

  it('says per row what is wrong, takes the good ones, and takes a row that was put right', () => {
    const rows = rowsOf(
      bytes(
        'Code,Name,Type,Parent\n100,Bank,Asset,\n100,Bank again,Asset,\n,No code,Asset,\n200,,Asset,\n300,Strange thing,,\n400,Under nothing,Asset,999\n500,Under a posting,Asset,100\n' +
          `${'9'.repeat(30)},Long,Asset,\n`,
      ),
    );
    const plan = planIncoming([], rows, NONE, RULES);
    expect(plan.rows.map(({ status }) => status)).toEqual([
      'new',
      'problem',
      'new',
      'problem',
      'problem',
      'problem',
      'new',
      'problem',
    ]);
    expect(plan.rows.flatMap(({ problems }) => problems.map(({ code }) => code))).toEqual([
      'account.code-taken',
      'account.name-missing',
      'import.line-unknown',
      'import.parent-unknown',
      'account.code-shape',
    ]);
    const choices = new Map<number, RowChoice>([
      [3, { fix: { code: '101' } }],
      [5, { fix: { name: 'Float' } }],
      [6, { fix: { classification: 'revenue' } }],
      [7, { fix: { parent: '' } }],
      [9, { skip: true }],
    ]);
    const again = planIncoming([], rows, choices, RULES);
    expect(again.counts).toMatchObject({ new: 7, problem: 0, skipped: 1 });
    expect(applyEdits(chartIndex([]), again.edits, { codes: 'required', base: 'EUR', uses: new Map() }).ok).toBe(true);
  });

  it('settles a clash by rule or row by row', () => {
    const here: Account = {
      ...PLAIN_ACCOUNT,
      id: accountId(1),
      code: '100',
      name: 'Till',
      classification: 'current-asset',
    };
    const rows = rowsOf(bytes('Code,Name,Type\n100,Postage,Expense\n101,Bank,Asset\n'));
    const status = (clash: IncomingRules['clash'], choices = NONE) =>
      planIncoming([here], rows, choices, { ...RULES, clash }).rows.map((row) => `${row.status} ${row.code}`);
    expect(status('keep')).toEqual(['kept 100', 'new 101']);
    expect(status('change')).toEqual(['changes 100', 'new 101']);
    expect(status('new-code')).toEqual(['new 100-2', 'new 101']);
    expect(status('keep', new Map([[2, { clash: 'change' }]]))).toEqual(['changes 100', 'new 101']);
    const used = {
      ...RULES,
      uses: new Map([[here.id, { ...UNUSED, figures: 1 }]]),
    };
    expect(planIncoming([here], rows, NONE, used).rows[0]).toMatchObject({
      status: 'problem',
      problems: [{ code: 'account.type-used' }],
    });
    expect(planIncoming([here], rows, NONE, { ...RULES, update: false, clash: 'keep' }).edits).toHaveLength(1);
  });

  it('never throws on what people bring, and what it takes over is always a chart', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.array(
            fc.oneof(
              fc.string({ maxLength: 12 }),
              fc.constantFrom('100', '200', 'Asset', 'Expense', 'Bank', 'heading', 'EUR', 'Dr'),
            ),
            { minLength: 4, maxLength: 4 },
          ),
          { maxLength: 20 },
        ),
        anyChart(10),
        (cells, chart) => {
          const table = { name: 't', rows: [['Code', 'Name', 'Type', 'Parent'], ...cells] };
          const plan = planIncoming(chart, readChartRows(table, recogniseChart([table]).mapping, 'EUR'), NONE, RULES);
          const done = applyEdits(chartIndex(chart), plan.edits, { codes: 'required', base: 'EUR', uses: new Map() });
          expect(done.ok ? [] : done.problems).toEqual([]);
        },
      ),
      { numRuns: 300 },
    );
  });

  it('refuses a file with entities, a broken one, and one without accounts, with a sentence', () => {
    const code = (text: string) => {
      const read = readPaper(bytes(text), 'x.xml');
      return read.ok ? '' : read.problems[0]?.code;
    };
    expect(code('<?xml version="1.0"?><!DOCTYPE a [<!ENTITY b "c">]><a/>')).toBe('saft.entities');
    expect(code('<AuditFile><MasterFiles>')).toBe('saft.broken');
    expect(code('<AuditFile><MasterFiles/></AuditFile>')).toBe('saft.no-accounts');
    expect(readPaper(bytes(''), 'x.csv').ok).toBe(false);
    expect(lineByWord('Expnse')?.classification).toBe('operating-expense');
    expect(lineByWord('zzz')).toBeUndefined();
  });
});

describe('words for types', () => {
  const listed = (csv: string) => rowsOf(bytes(csv));
  const rows = listed(
    [
      'Code,Name,Type',
      '10,Bank,Aufwandskonten',
      '20,Hire of boats,Zork',
      '21,Wages,Zork',
      '30,Sales,Verbindlichkeit',
      '40,Till,Debtors',
    ].join('\n'),
  );

  it('are listed once with their rows, those not understood first', () => {
    expect(typeWordsIn(rows, {}).map(({ word, rows: count, line }) => [word, count, line])).toEqual([
      ['Zork', 2, null],
      ['Aufwandskonten', 1, 'operating-expense'],
      ['Debtors', 1, 'current-asset'],
      ['Verbindlichkeit', 1, 'current-liability'],
    ]);
  });

  it('read in the plural, in another case and with the word for account', () => {
    for (const [word, line] of [
      ['Aufwandskonto', 'operating-expense'],
      ['Expense accounts', 'operating-expense'],
      ['závazků', 'current-liability'],
      ['Verbindlichkeiten', 'current-liability'],
    ] as const)
      expect(lineByType(word)?.classification, word).toBe(line);
    expect(lineByType('zork')).toBeUndefined();
  });

  it('are never overridden in silence: what is guessed beside an unread one says so and quotes it', () => {
    const plan = planIncoming([], rows, NONE, RULES);
    const why = plan.rows.find(({ code }) => code === '21')?.why ?? '';
    expect(why).toContain('a guess');
    expect(why).toContain('“Zork”');
  });

  it('stand for the line that a person chose, in every row that has the word and no line of its own', () => {
    const chosen = withTypes(rows, { zork: 'cost-of-sales' });
    const plan = planIncoming([], chosen, NONE, RULES);
    expect(plan.rows.map(({ code, classification }) => [code, classification])).toEqual([
      ['10', 'operating-expense'],
      ['20', 'cost-of-sales'],
      ['21', 'cost-of-sales'],
      ['30', 'current-liability'],
      ['40', 'current-asset'],
    ]);
    expect(typeWordsIn(rows, { zork: 'cost-of-sales' }).find(({ key }) => key === 'zork')?.byHand).toBe(true);
  });
});

describe('the role of an account made from a paper', () => {
  it.each([
    ['Girokonto Wattbank', 'bank'],
    ['Běžný účet u banky', 'bank'],
    ['普通預金', 'bank'],
    ['Τράπεζα όψεως', 'bank'],
    ['Bank charges', null],
    ['Riverbank land', null],
    ['Petty cash', null],
  ])('of “%s” is told by what it is about', (name, role) => {
    expect(rolesByName([{ name, classification: 'current-asset' }], [])).toEqual([role]);
    expect(rolesByName([{ name, classification: 'operating-expense' }], [])).toEqual([null]);
  });
  it('that one account has goes to the only one called so, unless the chart has it', () => {
    const equity = (name: string) => ({ name, classification: 'equity' as const });
    const retained = ['Retained earnings', 'Gewinnvortrag', 'Share capital'].map(equity);
    expect(rolesByName(retained.slice(1), [])).toEqual(['retained-earnings', null]);
    expect(rolesByName([equity('Old results')], [])).toEqual([null]);
    // Foreign currencies may be off.
    expect(rolesByName([{ name: 'Exchange differences', classification: 'other-expense' }], [])).toEqual([null]);
    expect(rolesByName(retained, [])).toEqual([null, null, null]);
    const chart = [
      { ...PLAIN_ACCOUNT, id: accountId(1), code: '3200', ...equity('Reserve'), role: 'retained-earnings' as const },
    ];
    expect(rolesByName(retained.slice(1), chart)).toEqual([null, null]);
  });
});

describe('typed lines', () => {
  const chart: readonly Account[] = [
    { ...PLAIN_ACCOUNT, id: accountId(1), code: '4000', name: 'Revenue', classification: 'revenue', heading: true },
    { ...PLAIN_ACCOUNT, id: accountId(2), code: '4010', name: 'Fees', classification: 'revenue', parent: accountId(1) },
  ];
  it('become accounts under the heading chosen, with codes proposed, and headings made on the spot', () => {
    const after = taken(
      chart,
      readLines('Workshops\n4050 Repairs\nCourses:\nEvening classes\n4000:\nPrints', '4000', 'EUR'),
      { ...RULES, update: false },
    );
    expect(shape(after).map(({ code, name, depth }) => `${'-'.repeat(depth)}${code} ${name}`)).toEqual([
      '4000 Revenue',
      '-4010 Fees',
      '-4020 Workshops',
      '-4030 Courses',
      '--4040 Evening classes',
      '-4050 Repairs',
      '-4060 Prints',
    ]);
  });
  it('are read by their columns when they come from a spreadsheet', () => {
    expect(
      readLines('4110\tTiles\tRevenue\n4120\tMosaics\tRevenue', '', 'EUR').map(({ says }) => [
        says.code,
        says.name,
        says.type,
      ]),
    ).toEqual([
      ['4110', 'Tiles', 'Revenue'],
      ['4120', 'Mosaics', 'Revenue'],
    ]);
    expect(readLines('Account code\tName\n1\tBank', '', 'EUR')).toHaveLength(1);
  });
});

describe('copying', () => {
  it('leaves out after whom banks, cards and loans are called, and keeps all other names', () => {
    fc.assert(
      fc.property(anyChart(30), (chart) => {
        const wish = { branches: null, inactive: true, notes: true, taxCodes: true };
        const own = copied(chart, { ...wish, ownNames: true }, 'x');
        const plain = copied(chart, { ...wish, ownNames: false }, 'x');
        const named = plain.filter((_, at) => {
          const { role, heading } = own[at]?.says ?? {};
          return heading === false && ['bank', 'card', 'loan'].includes(role ?? '');
        });
        for (const [at, { says }] of plain.entries())
          if (!named.some((one) => one.says === says)) expect(says).toEqual(own[at]?.says);
        for (const { says } of named) expect(says.name).toMatch(/^(Bank account|Credit card|Loan)( [A-Z]{3})?( \d+)?$/);
        expect(new Set(named.map(({ says }) => says.name)).size).toBe(named.length);
      }),
    );
  });
  it('of a whole chart into an empty one makes the same chart; of a branch, that branch and the headings above it', () => {
    fc.assert(
      fc.property(anyChart(30), fc.nat(), (chart, pick) => {
        const whole = copied(
          chart,
          { branches: null, inactive: true, notes: true, ownNames: true, taxCodes: true },
          'x',
        );
        expect(shape(taken([], whole), ['origin'])).toEqual(shape(chart, ['origin']));
        const root = chart[pick % chart.length];
        if (root === undefined) return;
        const branch = new Set(
          copied(chart, { branches: [root.id], inactive: true, notes: true, ownNames: true, taxCodes: true }, 'x').map(
            ({ says }) => says.code,
          ),
        );
        const byId = new Map(chart.map((account) => [account.id, account]));
        for (const account of chart) {
          const line: number[] = [];
          for (
            let at: Account | undefined = account;
            at !== undefined;
            at = at.parent === null ? undefined : byId.get(at.parent)
          )
            line.push(at.id);
          const above: number[] = [];
          for (
            let at: Account | undefined = root;
            at !== undefined;
            at = at.parent === null ? undefined : byId.get(at.parent)
          )
            above.push(at.id);
          expect(branch.has(account.code)).toBe(line.includes(root.id) || above.includes(account.id));
        }
      }),
      { numRuns: 60 },
    );
  });
});
