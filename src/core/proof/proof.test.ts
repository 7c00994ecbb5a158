import { type IsoDate } from '../base/iso-date';
import { type Currency } from '../money/currency';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { openingDate } from '../calendar/cutover';
import { plainDate } from '../base/dates';
import { firstStates } from '../calendar/states';
import { firstYear } from '../calendar/year';
import { type Account, PLAIN_ACCOUNT, accountId } from '../chart/account';
import { CLASSIFICATIONS } from '../ledger/classes';
import { type Minor, minor, sum } from '../money/minor';
import { nextStage, stageStates, whileTyping } from './stages';
import { balanceSheet, incomeStatement, resultOf, trialBalance } from '../statements/statements';
import { type CompanyFacts, PLAIN_FACTS } from '../company/facts';
import { type DatedRate, decimalOf } from '../money/rate';
import { rateBook } from '../money/rate-book';
import type { ProofState } from './check';
import { type CheckId, blockers, prove, verdict } from './checks';
import { missingExchangeRoles } from '../chart/exchange';

const chart: readonly Account[] = [
  ...CLASSIFICATIONS.map((one, at): Account => ({
    ...PLAIN_ACCOUNT,
    id: accountId(at + 1),
    code: `${at + 1}0`,
    name: one.one,
    classification: one.id,
  })),
  {
    ...PLAIN_ACCOUNT,
    id: accountId(50),
    code: '500',
    name: 'Retained earnings',
    classification: 'equity',
    role: 'retained-earnings',
  },
  {
    ...PLAIN_ACCOUNT,
    id: accountId(51),
    code: '501',
    name: 'Result',
    classification: 'equity',
    role: 'current-year-result',
  },
  {
    ...PLAIN_ACCOUNT,
    id: accountId(52),
    code: '502',
    name: 'Bank',
    classification: 'current-asset',
    role: 'bank',
  },
  {
    ...PLAIN_ACCOUNT,
    id: accountId(60),
    code: '600',
    name: 'Assets',
    classification: 'current-asset',
    heading: true,
  },
  {
    ...PLAIN_ACCOUNT,
    id: accountId(61),
    code: '610',
    name: 'Old till',
    classification: 'current-asset',
    heading: false,
    parent: accountId(60),
    role: null,
    currency: null,
    active: false,
  },
];

const FACTS: CompanyFacts = {
  ...PLAIN_FACTS,
  name: 'Saltmarsh Pottery Ltd',
  legalForm: 'limited-company',
  country: 'IE',
  style: '1,234.56',
  purpose: 'live',
};

const stateOf = (
  more: Partial<ProofState> & { start?: IsoDate; on?: IsoDate; amounts?: readonly (readonly [number, bigint])[] } = {},
): ProofState => {
  const year = firstYear(plainDate(more.start ?? '2026-02-01'));
  const cutover = plainDate(more.on ?? '2026-08-01');
  const states = firstStates(year.periods, cutover);
  const opening = openingDate(more.cutover ?? cutover);
  return {
    facts: FACTS,
    old: { completeUntil: opening, trialBalance: opening },
    currencies: [],
    inCurrency: new Map(),
    rates: rateBook([]),
    rateDays: 7,
    ties: new Map(),
    itemsLater: new Map(),
    itemsTwice: new Map(),
    things: new Map(),
    alerts: new Map(),
    lastYear: new Map(),
    accounts: chart,
    openings: new Map(
      (
        more.amounts ?? [
          [52, 100n],
          [50, -90n],
          [7, -10n],
        ]
      ).map(([id, amount]) => [accountId(id), minor(amount)]),
    ),
    years: [{ ...year, periods: year.periods.map((period, at) => ({ ...period, state: states[at] ?? 'future' })) }],
    cutover,
    currency: { code: 'EUR', digits: 2 },
    style: '1,234.56',
    ...more,
  };
};
const open = (state: ProofState): readonly CheckId[] =>
  prove(state)
    .filter((one) => one.findings.length > 0)
    .map((one) => one.id);
const without = (role: string): readonly Account[] =>
  chart.map((one) => (one.role === role ? { ...one, role: null } : one));

describe('the checks', () => {
  it('are clear for sound books', () => {
    expect(open(stateOf())).toEqual([]);
    expect(verdict(prove(stateOf()))).toBe('clear');
  });
  it.each<[CheckId, ProofState]>([
    [
      'openings.nets-to-zero',
      stateOf({
        amounts: [
          [52, 100n],
          [7, -10n],
        ],
      }),
    ],
    [
      'openings.results-in-mid-year',
      stateOf({
        amounts: [
          [52, 100n],
          [50, -100n],
        ],
      }),
    ],
    [
      'openings.bank-not-owed',
      stateOf({
        amounts: [
          [52, -100n],
          [50, 110n],
          [7, -10n],
        ],
      }),
    ],
    [
      'openings.equity-follows',
      // Last year closed at 85 with its result, and 90 stand: five were paid in, or are wrong.
      stateOf({
        lastYear: new Map([
          [accountId(50), minor(-75n)],
          [accountId(7), minor(-10n)],
        ]),
      }),
    ],
    [
      'openings.usual-side',
      stateOf({
        amounts: [
          [52, 100n],
          [50, -110n],
          [7, 10n],
        ],
      }),
    ],
    [
      'openings.suspense-nil',
      stateOf({
        accounts: chart.map((one) => (one.id === 1 ? { ...one, role: 'opening-suspense' } : one)),
        amounts: [
          [1, 100n],
          [50, -90n],
          [7, -10n],
        ],
      }),
    ],
    [
      'openings.on-active-posting-accounts',
      stateOf({
        amounts: [
          [61, 100n],
          [50, -90n],
          [7, -10n],
        ],
      }),
    ],
    [
      'openings.on-active-posting-accounts',
      stateOf({
        amounts: [
          [60, 100n],
          [50, -90n],
          [7, -10n],
        ],
      }),
    ],
    [
      'openings.results-nil-at-year-start',
      stateOf({
        start: '2026-08-01',
        amounts: [
          [52, 100n],
          [7, -100n],
        ],
      }),
    ],
    ['openings.something-stands', stateOf({ amounts: [] })],
    ['chart.retained-earnings', stateOf({ accounts: without('retained-earnings') })],
    ['chart.current-year-result', stateOf({ accounts: without('current-year-result') })],
    ['chart.bank-account', stateOf({ accounts: without('bank') })],
    ['calendar.cutover-on-period-start', stateOf({ cutover: plainDate('2026-08-15') })],
    ['calendar.cutover-on-period-start', stateOf({ years: [] })],
    ['calendar.cutover-period-open', stateOf({ cutover: plainDate('2026-09-01') })],
  ])('%s finds its fault and nothing else', (id, state) => {
    expect(open(state)).toEqual([id]);
  });
  it('names the account, the amount and where the net belongs', () => {
    const results = prove(
      stateOf({
        start: '2026-08-01',
        amounts: [
          [52, 100n],
          [7, -100n],
        ],
      }),
    );
    const finding = results.find((one) => one.id === 'openings.results-nil-at-year-start')?.findings[0];
    expect(finding?.what).toBe(
      '70 Revenue stands at 1.00 EUR. Clear them and put their net, a profit of 1.00 EUR, on 500 Retained earnings.',
    );
    expect(finding?.place).toEqual({ stage: 'openings', account: 7 });
    expect(blockers(results)).toHaveLength(1);
  });
  it('allows results in mid-year', () => {
    expect(
      open(
        stateOf({
          amounts: [
            [52, 100n],
            [7, -100n],
          ],
        }),
      ),
    ).toEqual([]);
  });
});

const balances = fc
  .array(fc.bigInt({ min: -(10n ** 12n), max: 10n ** 12n }), { minLength: 12, maxLength: 12 })
  .map((list) => {
    const map = new Map(list.map((amount, at) => [accountId(at + 1), minor(amount)] as const));
    map.set(accountId(52), minor(-sum(map.values())));
    return map;
  });

describe('the statements', () => {
  it('balance whenever the ledger nets to zero, and are out by exactly its net otherwise', () => {
    fc.assert(
      fc.property(balances, fc.bigInt({ min: -999n, max: 999n }), (map, error) => {
        const sheet = balanceSheet(chart, map);
        expect(sheet.totalAssets).toBe(sheet.totalLiabilitiesAndEquity);
        const wrong = new Map(map).set(accountId(50), minor(error));
        expect(balanceSheet(chart, wrong).outBy).toBe(error);
      }),
    );
  });
  it('lose no account: groups hold every balance once', () => {
    fc.assert(
      fc.property(balances, (map) => {
        const sheet = balanceSheet(chart, map);
        const income = incomeStatement(chart, map);
        const own = [...sheet.assets, ...sheet.liabilities, sheet.equity, ...income.income, ...income.expense].flatMap(
          (group) => group.lines,
        );
        const seen = own.flatMap((line) =>
          line.account === undefined || line.account.role === 'current-year-result' ? [] : [line.account.id],
        );
        const filled: readonly (readonly [number, Minor])[] = [...map].filter(([, amount]) => amount !== 0n);
        expect([...seen].sort()).toEqual(filled.map(([id]) => id).sort());
        expect(income.result).toBe(resultOf(chart, map));
        expect(income.totalIncome - income.totalExpense).toBe(income.result);
      }),
    );
  });
  it('shows headings only over something', () => {
    const shown = trialBalance(chart, new Map([[accountId(61), minor(5n)]])).rows.map((row) => row.account.code);
    expect(shown).toEqual(['600', '610']);
    expect(trialBalance(chart, new Map([[accountId(52), minor(5n)]])).rows.map((row) => row.account.code)).toEqual([
      '502',
    ]);
  });
});

describe('the checks of company, calendar and currencies', () => {
  const on: CompanyFacts = { ...FACTS, parts: ['currencies', 'sales-tax', 'stock'] };
  const registered: CompanyFacts = {
    ...on,
    taxRegistered: 'yes',
    taxNumber: 'IE1234567WA',
    taxFrom: '2020-01-01',
    taxFirstEnd: '2020-01-31',
    taxInterval: 2,
  };
  const rate = (date: IsoDate, text: string, unit: Currency = 'NOK'): DatedRate => ({
    date,
    unit,
    quote: 'EUR',
    rate: decimalOf(text),
    source: 'typed',
  });
  const exchange: readonly Account[] = [
    ...chart,
    ...(['exchange-realised', 'exchange-unrealised', 'rounding'] as const).map((role, at): Account => ({
      ...PLAIN_ACCOUNT,
      id: accountId(90 + at),
      code: `90${at}`,
      name: role,
      classification: 'other-expense',
      parent: null,
      role,
    })),
  ];
  const sound = {
    facts: registered,
    currencies: ['NOK' as const],
    accounts: exchange,
    rates: rateBook([rate('2026-07-30', '0.0868'), rate('2026-07-31', '0.0870')]),
  };
  const year = stateOf().years[0];
  if (year === undefined) throw new Error('year');

  it('are clear for sound books with every part on', () => {
    expect(open(stateOf(sound))).toEqual([]);
  });
  it.each<[CheckId, Parameters<typeof stateOf>[0]]>([
    ['company.required', { facts: on }],
    ['company.tax-number', { facts: { ...registered, taxNumber: 'IE12' } }],
    [
      'company.tax-figures-unregistered',
      {
        facts: { ...on, taxRegistered: 'no' },
        accounts: exchange.map((one) =>
          one.id === 50
            ? { ...one, role: 'tax' as const }
            : one.id === 51
              ? { ...one, role: 'retained-earnings' as const }
              : one,
        ),
      },
    ],
    [
      'company.parts-in-use',
      {
        facts: { ...on, taxRegistered: 'no' },
        accounts: exchange.map((one) => (one.id === 1 ? { ...one, role: 'loan' as const } : one)),
      },
    ],
    [
      'calendar.records-complete',
      { old: { completeUntil: plainDate('2026-07-30'), trialBalance: plainDate('2026-07-31') } },
    ],
    [
      'calendar.trial-balance-date',
      { old: { completeUntil: plainDate('2026-07-31'), trialBalance: plainDate('2026-06-30') } },
    ],
    ['calendar.old-records-asked', { old: { completeUntil: undefined, trialBalance: plainDate('2026-07-31') } }],
    ['calendar.cutover-between-returns', { facts: { ...registered, taxFirstEnd: '2020-02-29' } }],
    ['calendar.periods-divide-years', { years: [{ ...year, periods: year.periods.filter((_, at) => at !== 2) }] }],
    [
      'currencies.switched-on',
      { currencies: [], accounts: exchange.map((one) => (one.id === 52 ? { ...one, currency: 'NOK' } : one)) },
    ],
    ['currencies.rate-on-opening-date', { rates: rateBook([rate('2026-07-20', '0.087')]) }],
    [
      'currencies.used-rates-plausible',
      { rates: rateBook([rate('2026-07-30', '0.0868'), rate('2026-07-31', '11.5')]) },
    ],
    ['currencies.exchange-accounts', { accounts: chart }],
  ])('%s tells what is wrong, with the place where it is put right', (id, more) => {
    const state = stateOf({ ...sound, ...more });
    const found = prove(state).find((one) => one.id === id);
    expect(found?.findings[0]?.what).toMatch(/\.$|\?$/);
    expect(found?.findings[0]?.place.stage).toBeDefined();
  });
  it('are set aside, and not called clear, where they tell nothing of these books', () => {
    const asideOf = (id: string, more: Parameters<typeof stateOf>[0] = {}) =>
      prove(stateOf(more)).find((one) => one.id === id)?.aside;
    expect(asideOf('currencies.rate-on-opening-date')).toEqual({
      says: 'does not apply',
      why: 'Foreign currencies are not in use.',
    });
    expect(asideOf('company.tax-number')?.why).toBe('Sales taxes are not in use.');
    expect(
      asideOf('calendar.trial-balance-date', { old: { completeUntil: undefined, trialBalance: undefined } })?.says,
    ).toBe('not asked');
    expect(asideOf('openings.nets-to-zero')).toBeUndefined();
    // What tells nothing finds nothing either, so that it neither blocks nor counts.
    for (const one of prove(stateOf())) if (one.aside !== undefined) expect(one.findings).toEqual([]);
  });
  it('count realised differences in one account or in two', () => {
    const holding = (...roles: readonly Account['role'][]) => roles.map((role) => ({ role, active: true }));
    expect(missingExchangeRoles(holding('exchange-realised', 'exchange-unrealised', 'rounding'))).toEqual([]);
    expect(missingExchangeRoles(holding('exchange-gains', 'rounding'))).toEqual([
      'exchange-losses',
      'exchange-unrealised',
    ]);
    expect(missingExchangeRoles([])).toEqual(['exchange-realised', 'exchange-unrealised', 'rounding']);
  });
});

describe('the course', () => {
  const facts = {
    required: { all: 2, done: 2 },
    currencies: undefined,
    periods: 12,
    accounts: 40,
    filled: 10,
    schedules: { wanted: 0, tied: 0, apart: 0 },
    posted: false,
    drafting: true,
  };
  it('says what each stage waits for', () => {
    const off = stageStates({ ...facts, proof: prove(stateOf({ amounts: [[7, -100n]] })) });
    expect(off.map((stage) => stage.note)).toEqual([
      'done',
      'done',
      'done',
      '10 of 40 filled',
      'none needed',
      '1 blocker',
      'waits: Proof',
    ]);
    expect(nextStage(off)?.id).toBe('openings');
    const clear = stageStates({ ...facts, proof: prove(stateOf()) });
    expect(nextStage(clear)?.note).toBe('ready to post');
    const posted = stageStates({ ...facts, posted: true, drafting: false, proof: prove(stateOf()) });
    expect(nextStage(posted)).toBeUndefined();
    expect(posted.every((stage) => stage.fill === 100)).toBe(true);
  });
  it('counts the schedules that are wanted, tied and apart', () => {
    const note = (wanted: number, tied: number, apart: number): readonly unknown[] => {
      const stages = stageStates({ ...facts, schedules: { wanted, tied, apart }, proof: prove(stateOf()) });
      const found = stages.find(({ id }) => id === 'schedules');
      return [found?.state, found?.note];
    };
    expect([note(3, 0, 0), note(3, 1, 0), note(3, 2, 1), note(3, 3, 0)]).toEqual([
      ['to do', '0 of 3 tied'],
      ['in progress', '1 of 3 tied'],
      ['in progress', '2 of 3 tied'],
      ['laid', 'all tied'],
    ]);
  });
  it('has the currencies among the stages where the part is on, and asks for answers', () => {
    const proof = prove(stateOf());
    const stages = stageStates({ ...facts, currencies: 0, required: { all: 2, done: 1 }, proof });
    expect(stages.map((stage) => stage.id)[2]).toBe('currencies');
    expect(stages.slice(0, 3).map((stage) => stage.note)).toEqual(['1 to answer', 'done', 'none switched on']);
    expect(stageStates({ ...facts, currencies: 2, proof })[2]?.note).toBe('2 with rates');
  });
  it('is right while figures are typed, before the checks are run anew', () => {
    const clear = stageStates({ ...facts, proof: prove(stateOf()) });
    const off = stageStates({ ...facts, proof: prove(stateOf({ amounts: [[7, -100n]] })) });
    const sides = fc.record({ debits: fc.bigInt(0n, 9n).map(minor), credits: fc.bigInt(0n, 9n).map(minor) });
    fc.assert(
      fc.property(fc.constantFrom(clear, off), sides, sides, (stages, then, now) => {
        const shown = whileTyping(stages, then, now);
        const note = (id: string) => shown.find((stage) => stage.id === id)?.note;
        const [was, is] = [then.debits - then.credits, now.debits - now.credits];
        // What does not move the difference says nothing new.
        if (was === is) expect(shown).toEqual(stages);
        else if (is === 0n) expect(note('proof')).toBe('to be checked anew');
        else expect([note('proof'), note('sign-off')]).toEqual(['out of balance', 'waits: Proof']);
        expect(shown.filter(({ id }) => id !== 'proof' && id !== 'sign-off')).toEqual(
          stages.filter(({ id }) => id !== 'proof' && id !== 'sign-off'),
        );
      }),
    );
  });
  it('begins with the chart when there is none', () => {
    const empty = stageStates({
      ...facts,
      accounts: 0,
      filled: 0,
      proof: prove(stateOf({ accounts: [], amounts: [] })),
    });
    expect(nextStage(empty)?.id).toBe('chart');
    expect(empty.map((stage) => stage.state)).toEqual(['laid', 'laid', 'to do', 'waits', 'waits', 'waits', 'waits']);
  });
});
