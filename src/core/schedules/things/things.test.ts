import { type IsoDate } from '../../base/iso-date';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_DATES } from '../../base/date-style';
import { plainDate } from '../../base/dates';
import { type Account, PLAIN_ACCOUNT, accountId } from '../../chart/account';
import type { AccountRole, Classification } from '../../ledger/classes';
import { NIL, minor, sum } from '../../money/minor';
import { decimalOf } from '../../money/rate';
import { readCsv } from '../../files/csv';
import { plainRows } from '../../statements/document';
import { toCsv } from '../../files/write';
import { thingsReport } from '../../statements/schedules';
import { NO_CODES } from '../analysis';
import type { ItemColumn } from '../item-columns';
import { type Item, type ItemFields, blankItem, itemFrom, itemProblems, keptItem } from '../item';
import { THING_KINDS, type ThingKind, kindsIn, scheduleOf } from '../kinds';
import { readList } from '../read-list';
import { readRegister } from '../registers/read-register';
import { supportedBy, tieOf, together } from '../tie-out';
import { type ThingRules, afterOf, articleValue, movedBeside, thingText, typedThing } from './cells';
import { thingColumns } from './columns';
import { isNear, methodOf, writtenOff } from './depreciation';
import { detailProblems } from './detail';
import { thingDoubts } from './doubts';
import { monthsBetween, shareAfter } from './elapsed';
import { incomingThings } from './from-register';
import { type ReturnFacts, returnsToList } from './returns';
import { type Loan, nextPayment, planOf, splitAt } from './loan-plan';
import { accountOfGroup, besideAccounts, partnerOf } from './partners';

const OPENING = plainDate('2026-07-31');
const LEVELS = ['Shop', 'Kitchen', 'Export shop'];
const account = (
  id: number,
  name: string,
  role: AccountRole | null,
  classification: Classification,
  more: Partial<Account> = {},
): Account => ({
  ...PLAIN_ACCOUNT,
  id: accountId(id),
  code: String(id),
  name,
  role,
  classification,
  contra: role === 'accumulated-depreciation',
  ...more,
});
const BOATS = account(1500, 'Boats, cost', 'fixed-asset-cost', 'fixed-asset');
const BOATS_OFF = account(1509, 'Boats, accumulated depreciation', 'accumulated-depreciation', 'fixed-asset');
const RACKS = account(1510, 'Drying racks', 'fixed-asset-cost', 'fixed-asset');
const RACKS_OFF = account(1519, 'Drying racks, written off', 'accumulated-depreciation', 'fixed-asset');
const LOAN = account(2510, 'Bank loan', 'loan', 'long-term-liability');
const SHORT = account(2410, 'Loan due within a year', 'loan', 'current-liability');
const STOCK = account(1240, 'Kelp in store', 'stock', 'current-asset');
const PREPAID = account(1300, 'Prepayments', 'prepayments', 'current-asset');
const GRANTS = account(2160, 'Grants', 'deferred-income', 'current-liability');
const SHARES = account(3010, 'Share capital', 'capital', 'equity');
const VAT = account(2210, 'VAT', 'tax', 'current-liability');
const OF: Readonly<Record<ThingKind, Account>> = {
  stock: STOCK,
  assets: BOATS,
  loan: LOAN,
  span: PREPAID,
  tax: VAT,
  holders: SHARES,
};
const rulesOf = (schedule: ThingKind, more: Partial<ThingRules> = {}): ThingRules => ({
  schedule,
  account: OF[schedule],
  style: '1,234.56',
  dates: { ...PLAIN_DATES, order: 'dmy', separator: '/', month: 'number' },
  openingDate: OPENING,
  spans: 'days',
  ...more,
});

/** An item after cells were typed one after the other. */
const typed = (
  schedule: ThingKind,
  cells: Readonly<Partial<Record<ItemColumn, string>>>,
  { rules = rulesOf(schedule), from = blankItem(schedule, 'EUR') }: { rules?: ThingRules; from?: ItemFields } = {},
): ItemFields =>
  Object.entries(cells).reduce<ItemFields>((item, [column, text]) => {
    const read = typedThing(item, column as ItemColumn, text, rules);
    if (read !== undefined && !read.ok) throw new Error(read.problems[0]?.message);
    return read === undefined ? { ...item, [column]: text } : read.value;
  }, from);
const asked = (items: readonly ItemFields[], schedule: ThingKind, rules = rulesOf(schedule)): readonly string[] =>
  [
    ...thingDoubts(
      items.map((item, id) => ({ ...item, id })),
      rules,
    ).values(),
  ].flatMap((own) => own.map(({ code }) => code.replace('thing.', '')));

const days = fc.integer({ min: 0, max: 20_000 }).map((days) => plainDate('1990-01-01').add({ days }));
const magnitude = fc.bigInt({ min: 1n, max: 10n ** 11n }).map(minor);

describe('elapsed time', () => {
  it('never runs backwards, and is a month for each month', () => {
    fc.assert(
      fc.property(days, fc.nat(9000), fc.nat(40), (from, to, more) => {
        const [one, other] = [from.add({ days: to }), from.add({ days: to + more })];
        const [a, b] = [monthsBetween(from, one), monthsBetween(from, other)];
        expect(b.n * a.d >= a.n * b.d).toBe(true);
        expect(monthsBetween(from, from.add({ months: 7 }).subtract({ days: 1 }))).toEqual({ n: 7n, d: 1n });
      }),
    );
  });
  it('before a day and after it are the whole', () => {
    fc.assert(
      fc.property(
        days,
        fc.integer({ min: 1, max: 3000 }),
        days,
        fc.constantFrom('days' as const, 'months' as const),
        magnitude,
        (from, length, day, spans, amount) => {
          const span = { from: from.toString(), to: from.add({ days: length }).toString() };
          const { n, d } = shareAfter(span, day, spans);
          expect(n >= 0n && n <= d).toBe(true);
          const next = shareAfter(span, day.add({ days: 1 }), spans);
          expect(next.n * d <= n * next.d).toBe(true);
          const rules = rulesOf('span', { openingDate: day, spans });
          const item = { ...blankItem('span', 'EUR'), date: span.from, due: span.to, original: amount };
          const after = afterOf(item, rules) ?? NIL;
          expect(after >= 0n && after <= amount).toBe(true);
        },
      ),
    );
  });
  it('is divided by days or by months', () => {
    const year = { from: '2026-02-01', to: '2027-01-31' } as const;
    expect(shareAfter(year, OPENING, 'months')).toEqual({ n: 6n, d: 12n });
    expect(shareAfter(year, OPENING, 'days')).toEqual({ n: 184n, d: 365n });
    expect(shareAfter(year, plainDate('2026-01-31'), 'days')).toEqual({ n: 1n, d: 1n });
    expect(shareAfter(year, plainDate('2027-01-31'), 'days').n).toBe(0n);
  });
});

describe('depreciation', () => {
  const thing = fc.record({
    cost: magnitude,
    residual: fc.bigInt({ min: 0n, max: 10n ** 10n }).map(minor),
    acquired: days.map((day) => day.toString()),
    method: fc.constantFrom('straight-line' as const, 'reducing' as const),
    life: fc.integer({ min: 1, max: 600 }),
    rate: fc.integer({ min: 1, max: 9900 }).map((units) => ({ coefficient: BigInt(units), scale: 2 })),
  });
  it('grows with time, and ends at the residual value', () => {
    fc.assert(
      fc.property(thing, fc.nat(20_000), fc.nat(400), (one, from, more) => {
        const start = plainDate(one.acquired);
        const most = one.cost > one.residual ? one.cost - one.residual : 0n;
        const [early, late] = [from, from + more].map(
          (elapsed) => writtenOff(one, start.add({ days: elapsed })) ?? NIL,
        );
        expect(early !== undefined && late !== undefined && early <= late && late <= most).toBe(true);
        expect(writtenOff(one, start.subtract({ days: 1 }))).toBe(0n);
        if (one.method === 'straight-line')
          expect(writtenOff(one, start.add({ months: one.life, days: 40 }))).toBe(most);
      }),
    );
  });
  it('counts the first and the last month by their days', () => {
    const boat = {
      cost: minor(12_000_00n),
      residual: NIL,
      acquired: '2026-01-16' as const,
      method: 'straight-line' as const,
      life: 60,
      rate: null,
    };
    // One month and thirteen of twenty-eight days, of sixty.
    expect(writtenOff(boat, plainDate('2026-02-28'))).toBe(BigInt(Math.round((1_200_000 * 41) / 28 / 60)));
    expect(writtenOff({ ...boat, residual: minor(2_000_00n) }, plainDate('2036-01-01'))).toBe(1_000_000n);
    expect(writtenOff({ ...boat, life: null, rate: decimalOf('20') }, plainDate('2031-02-01'))).toBe(1_200_000n);
    expect(writtenOff({ ...boat, life: null }, OPENING)).toBeUndefined();
  });
  it('by a reducing balance takes a share of what is left each year', () => {
    const van = {
      cost: minor(10_000_00n),
      residual: NIL,
      acquired: '2024-08-01' as const,
      method: 'reducing' as const,
      life: null,
      rate: decimalOf('25'),
    };
    expect(writtenOff(van, OPENING)).toBe(minor(4_375_00n));
    expect(isNear(van, minor(4_300_00n), OPENING)).toBe(true);
    expect(isNear(van, minor(3_000_00n), OPENING)).toBe(false);
  });
  it('knows methods by what old systems call them', () => {
    expect(['SL', 'linear', 'Degressiv', 'RB', 'Land', 'xyz'].map(methodOf)).toEqual([
      'straight-line',
      'straight-line',
      'reducing',
      'reducing',
      'none',
      undefined,
    ]);
  });
});

describe('a loan', () => {
  const loans: fc.Arbitrary<Loan> = fc.record({
    owed: magnitude,
    rate: fc.integer({ min: 0, max: 2000 }).map((units) => ({ coefficient: BigInt(units), scale: 2 })),
    instalment: fc.constant(null),
    every: fc.constantFrom(1, 3, 6, 12),
    next: days.map((day) => day.toString()),
    last: fc.constant(null),
  });
  it('ends at nil, and what is due within a year and after is what is owed', () => {
    fc.assert(
      fc.property(loans, fc.integer({ min: 1, max: 120 }), fc.boolean(), fc.nat(4000), (loan, count, even, later) => {
        const end = plainDate(loan.next)
          .add({ months: loan.every * (count - 1) })
          .toString();
        const instalment = even ? null : minor(loan.owed / BigInt(count) + loan.owed / 5n + 2n);
        const plan = planOf({ ...loan, instalment, last: end });
        expect(plan.ok).toBe(true);
        if (!plan.ok) return;
        expect(plan.value.at(-1)?.left).toBe(0n);
        expect(sum(plan.value.map(({ principal }) => principal))).toBe(loan.owed);
        expect(plan.value.every(({ principal }) => principal >= 0n)).toBe(true);
        const { within, after } = splitAt(plan.value, plainDate(loan.next).add({ days: later }));
        expect(within + after).toBe(loan.owed);
      }),
    );
  });
  it('by equal parts on the last days of months has as many as there are', () => {
    const plan = planOf({
      owed: minor(95_000_00n),
      rate: decimalOf('5'),
      instalment: null,
      every: 3,
      next: '2026-08-31',
      last: '2035-11-30',
    });
    expect(plan.ok ? [plan.value.length, plan.value[0]?.principal, plan.value.at(-1)?.date] : []).toEqual([
      38,
      2_500_00n,
      '2035-11-30',
    ]);
    expect(plan.ok ? splitAt(plan.value, OPENING).within : NIL).toBe(10_000_00n);
  });
  it('says why it has no plan', () => {
    const loan: Loan = {
      owed: minor(100_000n),
      rate: decimalOf('12'),
      instalment: null,
      every: 1,
      next: '2026-08-31',
      last: null,
    };
    const says = (more: Partial<Loan>): string => {
      const plan = planOf({ ...loan, ...more });
      return plan.ok ? '' : (plan.problems[0]?.message ?? '');
    };
    expect(says({})).toContain('the day of the last payment');
    expect(says({ instalment: minor(900n) })).toContain('does not even pay the interest');
    expect(says({ owed: minor(10_000_000n), instalment: minor(100_001n) })).toContain('720 payments');
    expect(says({ every: 0, last: '2027-01-01' })).toContain('months lie between');
    expect(planOf({ ...loan, owed: NIL })).toEqual({ ok: true, value: [] });
  });
  it('has its next payment after the opening date', () => {
    expect(nextPayment('2024-01-31', 3, OPENING)).toBe('2026-10-31');
    expect(nextPayment('2026-12-15', 1, OPENING)).toBe('2026-12-15');
    // What is paid on the last day of a month is so in every month.
    expect([nextPayment('2023-11-30', 3, OPENING), nextPayment('2024-02-29', 1, OPENING)]).toEqual([
      '2026-08-31',
      '2026-08-31',
    ]);
    fc.assert(
      fc.property(days, fc.integer({ min: 1, max: 12 }), days, (first, every, day) => {
        const next = plainDate(nextPayment(first.toString(), every, day));
        expect(next.toString() > day.toString()).toBe(true);
        if (next.toString() > first.toString())
          expect(next.subtract({ months: every + 1 }).toString() <= day.toString()).toBe(true);
      }),
    );
  });
  it('divides over two accounts by its plan, and together again', () => {
    const item = typed('loan', {
      date: '31/01/2024',
      owed: '12,000',
      rate: '6',
      every: '1',
      instalment: '1,000',
      original: '30,000',
    });
    expect([item.open, item.beside]).toEqual([minor(-12_000_00n), null]);
    const moved = movedBeside(item, SHORT.id, rulesOf('loan'));
    expect(moved.open + (moved.beside ?? NIL)).toBe(-12_000_00n);
    expect(moved.beside !== null && moved.beside < moved.open).toBe(true);
    expect(movedBeside(moved, null, rulesOf('loan'))).toEqual(item);
    // What the lender says is due within a year stands, and the rest is later.
    expect(typed('loan', { beside: '5,000' }, { from: moved })).toMatchObject({ open: -7_000_00n, beside: -5_000_00n });
    expect(thingText(moved, 'owed', rulesOf('loan'))).toBe('12,000.00');
  });
});

describe('cells of things', () => {
  it('work out what follows from what is typed', () => {
    const kelp = typed('stock', { quantity: '1,250.5', cost: '1.8425' });
    expect([kelp.open, thingText(kelp, 'open', rulesOf('stock'))]).toEqual([2_304_05n, '2,304.05']);
    expect(typed('stock', { beside: '100' }, { from: kelp }).beside).toBe(-100_00n);
    const fees = typed('span', { date: '1/2/2026', due: '31/1/2027', original: '3,650' });
    expect([fees.open, thingText(fees, 'gone', rulesOf('span'))]).toEqual([1_840_00n, '1,810.00']);
    // What somebody gave stays when the span changes.
    expect(typed('span', { due: '28/2/2027' }, { from: typed('span', { open: '1,500' }, { from: fees }) }).open).toBe(
      1_500_00n,
    );
    const grant = typed(
      'span',
      { date: '1/8/2026', due: '31/7/2027', original: '1,000' },
      { rules: rulesOf('span', { account: GRANTS }) },
    );
    expect(grant.open).toBe(-1_000_00n);
    const shares = typed('holders', { shares: '100', nominal: '1.25' });
    expect(shares.open).toBe(-125_00n);
    const boat = typed('assets', { date: '1/8/2021', life: '10 years', open: '60,000', beside: '30,000' });
    expect([
      boat.detail.life,
      thingText(boat, 'should', rulesOf('assets')),
      thingText(boat, 'net', rulesOf('assets')),
    ]).toEqual(['120', '30,000.00', '30,000.00']);
  });
  it('say of what does not read how it is typed', () => {
    const says = (schedule: ThingKind, column: ItemColumn, text: string): string => {
      const read = typedThing(blankItem(schedule, 'EUR'), column, text, rulesOf(schedule));
      return read === undefined || read.ok ? '' : (read.problems[0]?.message ?? '');
    };
    expect(says('assets', 'life', 'soon')).toContain('Type 60, or 5 years');
    expect(says('assets', 'method', 'guess')).toContain('straight line');
    expect(says('stock', 'quantity', '1,2,3')).toContain('no number');
    expect(says('stock', 'quantity', '0.123456789')).toContain('more digits');
    expect(says('stock', 'beside', 'x')).toContain('amount');
    expect(says('assets', 'disposed', '31/2/2026')).not.toBe('');
  });
  it('show what was typed, in every column that takes something', () => {
    const texts: Readonly<Partial<Record<ItemColumn, string>>> = {
      method: 'Reducing balance', life: '60', rate: '12.5', residual: '100.00', disposed: '1/5/2026', category: 'A', unit: 'kg', quantity: '-2.5', cost: '3.1234', price: '4.00', price2: '3.50', price3: '3.125', place: 'B', instalment: '250.00', every: '3', shares: '100', nominal: '1.25', date: '3/4/2026', due: '4/5/2026', original: '900.00', open: '800.00', beside: '50.00',
    }; // prettier-ignore
    for (const schedule of THING_KINDS)
      for (const { id } of thingColumns(schedule, LEVELS)) {
        const text = texts[id];
        if (text === undefined || id === 'date' || id === 'due') continue;
        const rules = rulesOf(schedule);
        const item = typed(schedule, { [id]: text });
        expect(`${schedule} ${id} ${thingText(item, id, rules) ?? ''}`).toBe(
          `${schedule} ${id} ${text.replace(/^(\d)\/(\d)\//, '0$1/0$2/')}`,
        );
        expect(typed(schedule, { [id]: '' }, { from: item }).detail).toEqual({});
      }
  });
  it('are worth quantity times cost, rounded once', () => {
    fc.assert(
      fc.property(
        fc.bigInt(-(10n ** 9n), 10n ** 9n),
        fc.bigInt(0n, 10n ** 9n),
        fc.nat(4),
        fc.nat(4),
        (quantity, cost, a, b) => {
          const value = articleValue({ coefficient: quantity, scale: a }, { coefficient: cost, scale: b }, 'EUR');
          const unit = 10n ** BigInt(a + b);
          const off = value * unit - quantity * cost * 100n;
          expect((off < 0n ? -off : off) * 2n <= unit).toBe(true);
        },
      ),
    );
  });
});

describe('what is asked about things', () => {
  it('of assets: depreciation that is far off, lives that are over, what is gone', () => {
    const boat = { date: '1/8/2021', life: '10 years', open: '60,000' };
    expect(asked([typed('assets', { ...boat, beside: '30,000' })], 'assets')).toEqual([]);
    expect(asked([typed('assets', { ...boat, beside: '30,500' })], 'assets')).toEqual([]);
    expect(asked([typed('assets', { ...boat, beside: '13,000' })], 'assets')).toEqual(['should']);
    expect(asked([typed('assets', { ...boat, beside: '61,000' })], 'assets')).toEqual(['over']);
    expect(asked([typed('assets', { ...boat, life: '2 years', beside: '100' })], 'assets')).toEqual(['life']);
    expect(asked([typed('assets', { ...boat, beside: '30,000', disposed: '1/5/2026' })], 'assets')).toEqual(['gone']);
    expect(asked([typed('assets', { ...boat, date: '1/9/2026', beside: '' })], 'assets')).toEqual(['later']);
    expect(asked([typed('assets', { method: 'none', open: '85,000' })], 'assets')).toEqual([]);
  });
  it('of stock: below nil, without cost, dearer than sold, counted later or never', () => {
    const rope = { quantity: '10', cost: '2', date: '31/7/2026' };
    expect(asked([typed('stock', rope)], 'stock')).toEqual([]);
    expect(asked([typed('stock', { ...rope, quantity: '-2' })], 'stock')).toEqual(['below']);
    expect(asked([typed('stock', { quantity: '3', open: '5', date: '31/7/2026' })], 'stock')).toEqual(['cost']);
    expect(asked([typed('stock', { ...rope, price: '1.50' })], 'stock')).toEqual(['dear']);
    expect(asked([typed('stock', { ...rope, price: '1.50', price2: '3' })], 'stock')).toEqual([]);
    expect(asked([typed('stock', { ...rope, price3: '101' })], 'stock')).toEqual(['cheap']);
    expect(asked([typed('stock', { ...rope, open: '25' })], 'stock')).toEqual(['worth']);
    expect(asked([typed('stock', { ...rope, date: '5/8/2026' })], 'stock')).toEqual(['counted']);
    expect(asked([typed('stock', rope), typed('stock', { ...rope, date: '' })], 'stock')).toEqual(['counted']);
    expect(asked([typed('stock', { ...rope, beside: '21' })], 'stock')).toEqual(['down']);
  });
  it('of loans, spans, taxes and shares', () => {
    const loan = { date: '31/1/2024', rate: '6', every: '1', instalment: '1,000', original: '30,000', owed: '12,000' };
    expect(asked([typed('loan', loan)], 'loan')).toEqual([]);
    expect(asked([typed('loan', { ...loan, original: '10,000' })], 'loan')).toEqual(['more']);
    expect(asked([typed('loan', { ...loan, instalment: '10' })], 'loan')).toEqual(['plan']);
    expect(asked([typed('loan', { owed: '100' })], 'loan')).toEqual(['plan']);
    const fees = { date: '1/2/2026', due: '31/1/2027', original: '3,650' };
    expect(asked([typed('span', fees)], 'span')).toEqual([]);
    expect(asked([typed('span', { ...fees, open: '2,000' })], 'span')).toEqual(['after']);
    expect(asked([typed('span', { ...fees, due: '30/6/2026', open: '10' })], 'span')).toEqual(['ended']);
    expect(asked([typed('span', { ...fees, date: '1/9/2026' })], 'span')).toEqual(['begun']);
    expect(asked([typed('span', { ...fees, due: '1/1/2026', open: '10' })], 'span')).toEqual(['span']);
    expect(asked([typed('tax', { open: '500', due: '19/7/2026' })], 'tax')).toEqual(['due']);
    expect(asked([typed('holders', { shares: '100', nominal: '1', open: '90' })], 'holders')).toEqual(['capital']);
  });
});

describe('items of things', () => {
  it('are kept with what only they have, and come back as they were', () => {
    fc.assert(
      fc.property(fc.constantFrom(...THING_KINDS), magnitude, fc.option(magnitude), (schedule, open, beside) => {
        const item = {
          ...blankItem(schedule, 'EUR'),
          open,
          beside,
          besideAccount: beside === null ? null : SHORT.id,
          detail: { unit: 'kg', quantity: '2' },
          account: STOCK.id,
          paper: null,
          row: null,
        };
        expect(itemFrom(keptItem(item, 3))).toEqual({ ...item, set: 3 });
      }),
    );
    // What was kept before there were things has none of it.
    expect(itemFrom({ open: '5', original: null, base: null, set: 1 })).toMatchObject({
      detail: {},
      beside: null,
      besideAccount: null,
    });
  });
  it('are refused with what cannot be kept, and taken with a second amount alone', () => {
    expect(detailProblems({ quantity: '1e5', life: '0', disposed: 'x', residual: '1.5', method: 'y' })).toHaveLength(5);
    const rules = { schedule: 'loan' as const, account: LOAN, base: 'EUR' as const, currencies: [] };
    expect(itemProblems({ ...blankItem('loan', 'EUR'), beside: minor(-5n) }, rules)).toEqual([]);
    expect(itemProblems(blankItem('loan', 'EUR'), rules)).toHaveLength(1);
    for (const schedule of THING_KINDS) expect(kindsIn(schedule)).toHaveLength(1);
  });
  it('tie on both accounts that they make up', () => {
    const items = [
      {
        ...blankItem('assets', 'EUR'),
        open: minor(60_000_00n),
        beside: minor(-30_000_00n),
        besideAccount: BOATS_OFF.id,
      },
      { ...blankItem('assets', 'EUR'), open: minor(10_00n), beside: minor(-1_00n), besideAccount: null },
    ];
    const own = supportedBy(items, BOATS.id);
    expect(own[0]?.open).toBe(60_009_00n);
    const tie = (figure: bigint, supported: ReturnType<typeof supportedBy>) =>
      tieOf({
        figure: minor(figure),
        parts: [],
        base: 'EUR',
        own: null,
        supported,
        closing: null,
        explained: null,
        rate: () => undefined,
      }).state;
    expect(tie(60_009_00n, own)).toBe('tied');
    expect(tie(-30_000_00n, supportedBy([{ currency: 'EUR', open: minor(-30_000_00n), base: null }]))).toBe('tied');
    expect(together(own, own)[0]).toMatchObject({ items: 4, open: 120_018_00n });
  });
});

describe('the accounts of things', () => {
  const chart = [BOATS, BOATS_OFF, RACKS, RACKS_OFF, LOAN, SHORT, STOCK];
  it('are those of their role', () => {
    expect([BOATS, BOATS_OFF, LOAN, STOCK, PREPAID, GRANTS, VAT, SHARES].map(scheduleOf)).toEqual([
      'assets', 'written-off', 'loan', 'stock', 'span', 'span', 'tax', 'holders',
    ]); // prettier-ignore
  });
  it('have the account of what is written off beside them', () => {
    expect([BOATS, RACKS].map((one) => partnerOf(one, chart))).toEqual([BOATS_OFF.id, RACKS_OFF.id]);
    expect(partnerOf(account(1, 'Vans', 'fixed-asset-cost', 'fixed-asset'), chart)).toBeNull();
    expect(partnerOf(account(1, 'Vans', 'fixed-asset-cost', 'fixed-asset'), [BOATS_OFF])).toBe(BOATS_OFF.id);
    expect(besideAccounts('loan', LOAN.id, chart)).toEqual([SHORT]);
    expect(accountOfGroup('BOATS', [BOATS, RACKS])).toBe(BOATS.id);
    expect(accountOfGroup('Hüte', [BOATS, RACKS])).toBeUndefined();
  });
});

describe('a register that is brought', () => {
  const rules = (schedule: ThingKind, places: Readonly<Record<string, number>> = {}) => ({
    schedule,
    account: OF[schedule],
    accounts: [BOATS, RACKS, STOCK, LOAN, PREPAID],
    places: new Map(Object.entries(places).map(([name, id]) => [name, accountId(id)])),
    besideOf: (one: Account) => (one.id === RACKS.id ? RACKS_OFF.id : one.id === BOATS.id ? BOATS_OFF.id : null),
    base: 'EUR' as const,
    openingDate: OPENING,
    spans: 'days' as const,
    contacts: [],
    levels: LEVELS,
  });
  const brought = (text: string, schedule: ThingKind, kind: Parameters<typeof readRegister>[1], places = {}) => {
    const tables = readCsv(new TextEncoder().encode(text), 'list.csv');
    const read = tables.ok ? readRegister(tables.value, kind, { name: 'list.csv' }) : undefined;
    if (read === undefined) throw new Error('not read');
    return incomingThings(read, rules(schedule, places), 'Loan 44.csv').items;
  };
  it('goes to the account of each class; what has gone stays out', () => {
    const text = [
      'Asset,Class,Acquired,Life (years),Cost,Depreciation,Net book value,Sold on',
      'Skiff,Boats,2021-08-01,10,"6,000.00","3,000.00","3,000.00",',
      'Old punt,Boats,2015-08-01,10,900.00,900.00,0.00,2026-03-01',
      'Rack,Racks,2025-08-01,5,"1,000.00",200.00,800.00,',
    ].join('\n');
    const things = brought(text, 'assets', 'assets', { Racks: RACKS.id });
    expect(
      things.map(({ account: to, item, problems }) => [
        to,
        item.note,
        item.open,
        item.beside,
        item.besideAccount,
        problems.length,
      ]),
    ).toEqual([
      [BOATS.id, 'Skiff', 6_000_00n, -3_000_00n, BOATS_OFF.id, 0],
      [BOATS.id, 'Old punt', 900_00n, -900_00n, BOATS_OFF.id, 1],
      [RACKS.id, 'Rack', 1_000_00n, -200_00n, RACKS_OFF.id, 0],
    ]);
  });
  it('has prices of each level, by what its columns are called; what no level is called stays out, told', () => {
    const pricesOf = (header: string) => {
      const text = `Code,Article,Unit,Quantity,Unit cost,Value,${header}\n1,Dulse,kg,10,2.00,20.00,4.00,3.50,3.25\n2,Nori,kg,4,5.50,22.00,9.00,8.50,8.10\n3,Kombu,kg,3,1.25,3.75,2.50,2.00,\n`;
      const tables = readCsv(new TextEncoder().encode(text), 'list.csv');
      const read = tables.ok
        ? readList(tables.value, 'stock', { name: 'list.csv', levels: rules('stock').levels })
        : undefined;
      if (read?.ok !== true || read.value.kind !== 'things') throw new Error('not read');
      const { items, doubts } = incomingThings(read.value.read, rules('stock'), 'list.csv');
      const { price, price2, price3 } = items[0]?.item.detail ?? {};
      return [price, price2, price3, doubts.length];
    };
    expect(pricesOf('Kitchen,Shop,Export shop')).toEqual(['3.5', '4', '3.25', 0]);
    expect(pricesOf('Selling price kitchen,Selling price export shop,Selling price')).toEqual(['3.25', '4', '3.5', 0]);
    expect(pricesOf('VK,VK Export shop,VK Kitchen')).toEqual(['4', '3.25', '3.5', 0]);
    expect(pricesOf('VK 1,VK 2,VK Shop')).toEqual(['3.25', undefined, undefined, 2]);
  });
  it('of a loan’s payments is the loan: what is owed on the opening date, and what of it within a year', () => {
    const rows = Array.from({ length: 24 }, (_, place) => {
      const date = plainDate('2026-01-31').add({ months: place }).toString();
      return `${date},${String(100 + 24 - place)}.00,${String(24 - place)}.00,100.00,${String(2300 - place * 100)}.00`;
    });
    const [loan] = brought(['Date,Payment,Interest,Principal,Balance', ...rows].join('\n'), 'loan', 'loans');
    expect(loan?.item).toMatchObject({ note: 'Loan 44', open: -1_700_00n, date: '2025-12-31', due: '2027-12-31' });
    expect(loan?.item.detail).toMatchObject({ every: '1', rate: '12.00' });
  });
  it('of loans finds who lent, and works out what falls due within a year where the list does not say it', () => {
    const text =
      'Lender,Contract,Begun,Lent,Rate,Instalment,Payments,End,Balance\nSkerry Bank,K1,2024-01-31,"2,400.00",12,,monthly,2027-12-31,"1,700.00"\nSkerry Bank,K2,2025-01-31,900.00,0,100.00,quarterly,,800.00\n';
    const tables = readCsv(new TextEncoder().encode(text), 'list.csv');
    const read = tables.ok ? readList(tables.value, 'loan', { name: 'list.csv' }) : undefined;
    if (read?.ok !== true || read.value.kind !== 'things') throw new Error('not read');
    const owing = { ...rules('loan'), besideOf: () => PREPAID.id };
    const { items, contacts } = incomingThings(read.value.read, owing, 'list.csv');
    expect(contacts.map(({ name, role }) => [name, role])).toEqual([['Skerry Bank', 'other']]);
    expect(items.map(({ makes }) => makes)).toEqual([0, 0]);
    expect(items[0]?.item).toMatchObject({ number: 'K1', date: '2024-01-31', due: '2027-12-31', original: -2_400_00n });
    expect(items[1]?.item).toMatchObject({ open: -400_00n, beside: -400_00n, detail: { every: '3' } });
    const [first] = items;
    expect((first?.item.open ?? 0n) + (first?.item.beside ?? 0n)).toBe(-1_700_00n);
    expect(first?.item.beside).not.toBe(0n);
  });
  it('works out what a list of spans leaves open', () => {
    const [fees] = brought(
      'What,From,To,Amount\nMooring,01/02/2026,31/01/2027,"3,650.00"\nBerth,15/02/2026,14/02/2027,100.00',
      'span',
      'prepayments',
    );
    expect(fees?.item).toMatchObject({ note: 'Mooring', original: 3_650_00n, open: 1_840_00n });
  });
});

describe('a list of things that is exported', () => {
  const HEAD = { openingDate: OPENING.toString(), currency: 'EUR' as const, digits: 2, draft: true };
  const exported = (schedule: ThingKind, items: readonly ItemFields[], levels: readonly string[] = []): string => {
    const rows = items.map((item, id): Item => ({
      ...item,
      id: id + 1,
      account: OF[schedule].id,
      revision: 1,
      paper: null,
      row: null,
    }));
    const tie = tieOf({
      figure: NIL,
      parts: [],
      base: 'EUR',
      own: null,
      supported: supportedBy(items),
      closing: null,
      explained: null,
      rate: () => undefined,
    });
    return toCsv(
      plainRows(thingsReport(OF[schedule], rows, [], tie, rulesOf(schedule), { codes: NO_CODES, levels }, HEAD)),
    );
  };
  const again = (
    schedule: ThingKind,
    kind: Parameters<typeof readRegister>[1],
    items: readonly ItemFields[],
    levels: readonly string[] = [],
  ) => {
    const tables = readCsv(new TextEncoder().encode(exported(schedule, items, levels)), 'list.csv');
    const read = tables.ok ? readRegister(tables.value, kind, { name: 'list.csv', levels }) : undefined;
    return (
      read === undefined
        ? []
        : incomingThings(
            read,
            {
              schedule,
              account: OF[schedule],
              accounts: [],
              places: new Map(),
              besideOf: () => null,
              base: 'EUR',
              openingDate: OPENING,
              spans: 'days',
              contacts: [],
              levels,
            },
            'list.csv',
          ).items
    ).map(({ item }) => item);
  };
  it('reads again as it was', () => {
    const boats = [1, 2, 3].map((n) =>
      typed('assets', {
        number: `B${String(n)}`,
        note: `Boat ${String(n)}`,
        date: `1/${String(n)}/2022`,
        life: '120',
        open: `${String(n)}0,000.50`,
        beside: `${String(n)},250.25`,
      }),
    );
    expect(again('assets', 'assets', boats)).toEqual(boats);
    const loans = [1, 2, 3].map((n) =>
      typed('loan', {
        number: `L-${String(n)}`,
        note: `Shed ${String(n)}`,
        date: `31/1/202${String(n)}`,
        due: '31/1/2031',
        original: `${String(n)}0,000.00`,
        rate: '4.5',
        instalment: '250.00',
        every: '3',
        owed: `${String(n)},500.25`,
      }),
    );
    expect(again('loan', 'borrowings', loans)).toEqual(loans);
    const holders = [1, 2, 3].map((n) =>
      typed('holders', {
        note: `Class ${String(n)}`,
        shares: `${String(n)}00`,
        nominal: '1.5',
        date: `1/${String(n)}/2020`,
      }),
    );
    expect(again('holders', 'holdings', holders)).toEqual(holders);
    const returns = [1, 2, 3].map((n) =>
      typed('tax', {
        note: `Sales tax ${String(n)}`,
        reference: `2026-0${String(n)}`,
        number: `R${String(n)}`,
        date: `28/${String(n)}/2026`,
        due: `7/${String(n + 1)}/2026`,
        open: n === 2 ? '-45.10' : `${String(n)}20.30`,
      }),
    );
    expect(again('tax', 'returns', returns)).toEqual(returns);
    const stock = [1, 2, 3].map((n) =>
      typed('stock', {
        number: `K${String(n)}`,
        note: `Kelp ${String(n)}`,
        unit: 'kg',
        quantity: `${String(n)}.5`,
        cost: '3.125',
        price: '4.5',
        date: '30/7/2026',
        place: 'Shed',
        category: 'Kelp',
      }),
    );
    expect(again('stock', 'stock', stock)).toEqual(stock);
    const priced = stock.map((item) => typed('stock', { price2: '4.25', price3: '3.9' }, { from: item }));
    expect(again('stock', 'stock', priced, LEVELS)).toEqual(priced);
    const spans = [1, 2, 3].map((n) =>
      typed('span', {
        note: `Fees ${String(n)}`,
        date: `1/${String(n)}/2026`,
        due: '31/1/2027',
        original: `${String(n)},000`,
      }),
    );
    expect(again('span', 'prepayments', spans)).toEqual(spans);
  });
  it('has a total, and says whether it ties', () => {
    const text = exported('assets', [typed('assets', { note: 'Boat', open: '100', beside: '40' })]);
    expect(text).toContain('Total');
    expect(text).toMatch(/100\.00.*40\.00.*60\.00/);
  });
});

describe('returns of sales taxes', () => {
  const facts: ReturnFacts = {
    taxRegistered: 'yes',
    taxFrom: '2019-03-01',
    taxFirstEnd: '2019-04-30',
    taxInterval: 2,
  };
  const of = (date: IsoDate | null, open = -100n) => ({ date, open: minor(open) });
  const listed = (
    items: readonly ReturnType<typeof of>[],
    more: Partial<ReturnFacts> = {},
    day: IsoDate = '2026-07-31',
  ) =>
    returnsToList({ ...facts, ...more }, items, plainDate(day)).map(({ start, end, items: count, goesOn }) => [
      start,
      end,
      count,
      goesOn,
    ]);

  it('are asked for from the first that is listed to the one of the opening date', () => {
    expect(listed([of('2026-06-30')])).toEqual([
      ['2026-05-01', '2026-06-30', 1, false],
      ['2026-07-01', '2026-08-31', 0, true],
    ]);
    // One that was forgotten between two others.
    expect(listed([of('2026-04-30'), of('2026-07-31')]).map(([, , count]) => count)).toEqual([1, 0, 1]);
    // Of a list without days the last two are asked about; what is older than a year was filed long ago.
    expect(listed([of(null), of('2024-01-31')]).map(([start]) => start)).toEqual(['2026-05-01', '2026-07-01']);
  });

  it('are none without a registration, and end with the opening date where that ends one', () => {
    expect(listed([], { taxRegistered: 'no' })).toEqual([]);
    expect(listed([], { taxFirstEnd: '' })).toEqual([]);
    expect(listed([], {}, '2026-06-30').at(-1)).toEqual(['2026-05-01', '2026-06-30', 0, false]);
  });

  it('join without a day between, and each item counts once', () => {
    const days = fc.array(fc.integer({ min: 0, max: 364 }), { maxLength: 12 });
    fc.assert(
      fc.property(days, fc.constantFrom(1, 2, 3, 6, 12), (back, taxInterval) => {
        const day = plainDate('2026-07-31');
        const items = back.map((count) => of(day.subtract({ days: count }).toString()));
        const found = returnsToList({ ...facts, taxInterval: taxInterval }, items, day);
        for (const [at, one] of found.entries())
          expect(found[at + 1]?.start ?? plainDate(one.end).add({ days: 1 }).toString()).toBe(
            plainDate(one.end).add({ days: 1 }).toString(),
          );
        expect(found.reduce((count, one) => count + one.items, 0)).toBe(items.length);
      }),
    );
  });
});
