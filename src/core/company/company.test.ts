import { type IsoDate } from '../base/iso-date';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type DateStyle, writeStyled } from '../base/date-style';
import { before, plainDate } from '../base/dates';
import { type Account, PLAIN_ACCOUNT, accountId } from '../chart/account';
import { ROLE_IDS } from '../ledger/classes';
import {
  type CompanyFacts,
  type FactName,
  PLAIN_FACTS,
  companyChecklist,
  letterhead,
  returnsOf,
  sayFact,
} from './facts';
import { similarNames } from './names';
import { partHolds, partsUsedBy } from '../chart/parts-in-use';
import { PART_IDS, partOfRole, rolesWith } from './parts';
import { TAX_INTERVALS, returnPeriods, taxNumberProblems } from './tax';
import { describeTerms, documentNumber, dueDate } from './terms';

const facts = (more: Partial<CompanyFacts> = {}): CompanyFacts => ({
  ...PLAIN_FACTS,
  name: 'Saltmarsh Pottery Ltd',
  legalForm: 'limited-company',
  country: 'IE',
  style: '1,234.56',
  purpose: 'live',
  ...more,
});
const dates = fc.integer({ min: 0, max: 30_000 }).map((days) => plainDate('1990-01-01').add({ days }));

describe('payment terms', () => {
  it('never fall due before the document', () => {
    const terms = fc.oneof(
      fc.record({ kind: fc.constant('days' as const), days: fc.nat({ max: 365 }) }),
      fc.record({ kind: fc.constant('month-end' as const), days: fc.nat({ max: 365 }) }),
      fc.record({
        kind: fc.constant('day-of-month' as const),
        day: fc.integer({ min: 1, max: 31 }),
        months: fc.integer({ min: 1, max: 12 }),
      }),
    );
    fc.assert(
      fc.property(dates, terms, (date, one) => {
        const due = dueDate(date, one);
        expect(before(due, date)).toBe(false);
        if (one.kind === 'day-of-month')
          expect(due.day === one.day || (due.day === due.daysInMonth && due.day < one.day)).toBe(true);
      }),
    );
  });
  it('count as the trade counts', () => {
    const due = (date: IsoDate, terms: Parameters<typeof dueDate>[1]): string =>
      dueDate(plainDate(date), terms).toString();
    expect(due('2026-01-31', { kind: 'days', days: 30 })).toBe('2026-03-02');
    expect(due('2026-01-10', { kind: 'month-end', days: 10 })).toBe('2026-02-10');
    expect(due('2026-01-10', { kind: 'day-of-month', day: 31, months: 1 })).toBe('2026-02-28');
    expect(describeTerms({ kind: 'day-of-month', day: 15, months: 2 })).toBe('on day 15 of the month 2 months later');
    expect(documentNumber({ prefix: 'SI-', next: 42, width: 5 })).toBe('SI-00042');
  });
});

describe('tax returns', () => {
  it('cover every day from the first return on, once, without a day between', () => {
    fc.assert(
      fc.property(
        dates,
        fc.nat({ max: 2000 }),
        fc.constantFrom(...TAX_INTERVALS.map((one) => one.months)),
        fc.nat({ max: 900 }),
        (from, until, interval, later) => {
          const firstEnd = from.add({ days: until });
          const start = from.add({ days: later });
          const span = { start, end: start.add({ days: 365 }) };
          const periods = returnPeriods({ from, firstEnd, interval }, span);
          // The first return begins with the registration, or as long before its end as the others do.
          const first = returnPeriods({ from, firstEnd, interval }, { start: from, end: firstEnd })[0];
          if (first === undefined) throw new Error('no first return');
          expect(before(first.start, from)).toBe(false);
          expect(before(first.start, firstEnd.subtract({ months: 2 * interval, days: 3 }))).toBe(false);
          const begins = before(start, first.start) ? first.start : start;
          expect(periods[0] !== undefined && !before(begins, periods[0].start) && !before(periods[0].end, begins)).toBe(
            !before(span.end, first.start),
          );
          periods.forEach((one, at) => {
            const next = periods[at + 1];
            if (next !== undefined) expect(next.start.toString()).toBe(one.end.add({ days: 1 }).toString());
            else expect(before(one.end, span.end)).toBe(false);
          });
        },
      ),
    );
  });
  it('keep to the ends of months, and end before nothing begins', () => {
    const periods = returnPeriods(
      { from: plainDate('2025-11-10'), firstEnd: plainDate('2025-12-31'), interval: 2 },
      { start: plainDate('2025-01-01'), end: plainDate('2026-06-30') },
    ).map((one) => `${one.start.toString()} ${one.end.toString()}`);
    expect(periods).toEqual([
      '2025-11-10 2025-12-31',
      '2026-01-01 2026-02-28',
      '2026-03-01 2026-04-30',
      '2026-05-01 2026-06-30',
    ]);
    const span = { start: plainDate('2026-01-01'), end: plainDate('2026-12-31') };
    const firstOf = (from: IsoDate): string =>
      String(
        returnPeriods(
          { from: plainDate(from), firstEnd: plainDate('2026-03-31'), interval: 3 },
          { start: plainDate('2000-01-01'), end: plainDate('2026-12-31') },
        )[0]?.start,
      );
    // Registered some weeks before: one long first return. Registered years ago: what was before was returned before.
    expect([firstOf('2026-02-10'), firstOf('2025-11-20'), firstOf('2019-05-01')]).toEqual([
      '2026-02-10',
      '2025-11-20',
      '2026-01-01',
    ]);
    expect(returnsOf(facts({ taxRegistered: 'yes', taxFrom: '2026-01-01' }), span)).toEqual([]);
    expect(
      returnsOf(facts({ taxRegistered: 'yes', taxFrom: '2026-01-01', taxFirstEnd: '2026-03-31' }), span),
    ).toHaveLength(4);
    expect(returnsOf(facts({ taxRegistered: 'no', taxFrom: '2026-01-01', taxFirstEnd: '2026-03-31' }), span)).toEqual(
      [],
    );
  });
  it.each([
    ['IE', 'IE 1234567 WA', true],
    ['IE', '1234567W', true],
    ['IE', 'IE12345', false],
    ['CZ', 'CZ12345678', true],
    ['CZ', 'SK12345678', false],
    ['GB', 'GB 123 4567 89', true],
    ['GB', 'GD123', true],
    ['GB', 'GD500', false],
    ['GB', 'HA599', true],
    ['GB', 'XI123456789', true],
    ['IE', 'XI123456789', false],
    ['ES', 'B12345678', true],
    ['ES', '12345678Z', true],
    ['ES', '123456789', false],
    ['GR', 'EL123456789', true],
    ['NL', 'NL123456789B01', true],
    ['CH', 'CHE-123.456.789 MWST', true],
    ['JP', 'T1234567890123', true],
    ['JP', '12', false],
    ['JP', '<script>', true],
    ['JP', '~~~~', false],
  ])('in %s take %s: %s', (country, number, fine) => {
    expect(taxNumberProblems(number, country).length === 0).toBe(fine);
  });
});

describe('names', () => {
  const others = [{ name: 'Marram Kelp Farms Ltd' }, { name: 'Nightjar Couriers' }, { name: 'Ox & Co' }];
  it.each([
    ['MARRAM  Kelp Farms Limited', 'the same but for spelling'],
    ['Marram Kelp Farm', 'one letter apart'],
    ['Mârram Kelb Farms', 'one letter apart'],
    ['Couriers Nightjar', 'the same words in another order'],
    ['Nightjar Bakery', undefined],
    ['Ax & Co', undefined],
    ['   ', undefined],
    ['Ltd', undefined],
  ])('%s: %s', (name, why) => {
    expect(similarNames(name, others)[0]?.why).toBe(why);
  });
  it('find themselves, whatever the case and accents', () => {
    fc.assert(
      fc.property(
        fc.string({ minLength: 1, maxLength: 30, unit: fc.constantFrom(...Array.from('abcdéž XY')) }),
        (name) => {
          if (name.trim() === '' || /^(the|co)$/i.test(name.trim())) return;
          expect(similarNames(name.toUpperCase(), [{ name }])).not.toEqual([]);
        },
      ),
    );
  });
});

describe('parts', () => {
  const account = (more: Partial<Account>): Account => ({
    ...PLAIN_ACCOUNT,
    id: accountId(1),
    code: '1200',
    name: 'Stock',
    classification: 'current-asset',
    ...more,
  });
  const data = {
    accounts: [account({ role: 'stock' }), account({ code: '1020', name: 'NOK bank', role: 'bank', currency: 'NOK' })],
    taxRegistered: true,
    currencies: ['NOK' as const],
    rates: 3,
    codes: 2,
  };
  it('hold what their roles and currencies say, and name it', () => {
    expect(partsUsedBy(data.accounts)).toEqual(['currencies', 'stock']);
    expect(partHolds('stock', data)?.message).toContain('1200 Stock');
    expect(partHolds('currencies', data)?.message).toContain(
      'the currencies NOK with their rates and the accounts 1020 NOK bank',
    );
    expect(partHolds('sales-tax', data)?.message).toContain('the tax registration');
    expect(partHolds('dimensions', data)?.message).toContain('2 analysis codes');
    for (const part of ['loans', 'budgets', 'fixed-assets'] as const) expect(partHolds(part, data)).toBeUndefined();
  });
  it('hide exactly their own roles while they are off', () => {
    fc.assert(
      fc.property(fc.subarray([...PART_IDS]), (on) => {
        const shown = rolesWith(on, ROLE_IDS);
        for (const role of ROLE_IDS) {
          const part = partOfRole(role);
          expect(shown.includes(role)).toBe(part === undefined || on.includes(part));
        }
      }),
    );
  });
});

describe('the heading of reports and the checklist', () => {
  it('carry what is known and nothing empty', () => {
    expect(letterhead(facts())).toEqual(['Saltmarsh Pottery Ltd']);
    expect(
      letterhead(
        facts({
          tradingName: 'Saltmarsh',
          registeredAddress: '1 Quay\n\nBallymarsh',
          web: 'saltmarsh.example',
          registrationNumber: '7',
          taxRegistered: 'yes',
          taxNumber: 'IE1234567W',
        }),
      ),
    ).toEqual([
      'Saltmarsh',
      'Saltmarsh Pottery Ltd',
      '1 Quay, Ballymarsh',
      'saltmarsh.example',
      'Registered no. 7 · Tax no. IE1234567W',
    ]);
  });
  it('say facts in words, never as data', () => {
    for (const [field, value] of Object.entries(
      facts({ contacts: [{ name: 'Nuala', position: '', email: '', phone: '' }] }),
    ))
      expect(sayFact(field as FactName, value as never)).not.toMatch(/[{}[\]"]|undefined|^$/);
    expect(sayFact('customerTerms', { kind: 'days', days: 1 })).toBe('1 day after the document’s date');
    expect(sayFact('remark', 'x'.repeat(200))).toHaveLength(78);
  });
  it('ask for tax only where the part is on', () => {
    const open = (more: Partial<CompanyFacts>) =>
      companyChecklist(facts(more), false)
        .filter((one) => one.kind === 'required' && !one.done)
        .map((one) => one.id);
    expect(open({})).toEqual([]);
    expect(open({ parts: ['sales-tax'] })).toEqual(['tax']);
    expect(open({ parts: ['sales-tax'], taxRegistered: 'yes' })).toEqual(['tax-details']);
    expect(open({ parts: ['sales-tax'], taxRegistered: 'no' })).toEqual([]);
    expect(
      companyChecklist(facts({ legalForm: 'sole-trader' }), true).find((one) => one.id === 'registration')?.done,
    ).toBe(true);
  });
  it('write dates as the books do', () => {
    const styled = (more: Partial<DateStyle>) =>
      writeStyled('2026-07-05', { order: 'dmy', separator: '.', year: 4, month: 'number', ...more });
    expect([
      styled({}),
      styled({ order: 'mdy', separator: '/', year: 2 }),
      styled({ order: 'ymd', separator: '-' }),
      styled({ month: 'name', separator: ' ' }),
    ]).toEqual(['05.07.2026', '07/05/26', '2026-07-05', '5 Jul 2026']);
  });
});
