import { type IsoDate } from '../base/iso-date';
import { type Currency } from '../money/currency';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_DATES } from '../base/date-style';
import { plainDate } from '../base/dates';
import { type Account, PLAIN_ACCOUNT, accountId } from '../chart/account';
import type { AccountRole, Classification } from '../ledger/classes';
import { type Conversion, convert } from '../money/convert';
import { type Minor, abs, minor, sum } from '../money/minor';
import { ageOf, agesIn, ageingOf, readLimits } from './ageing';
import { type Contact, beyondLimit, blankContact, contactId, contactProblems, copiedContacts } from './contact';
import { NO_CODES } from './analysis';
import { countedSum, denominations } from './cash-count';
import { type ContactRules, typedContact } from './contact-cells';
import { incomingContacts, incomingItems, incomingStatement } from './from-list';
import { type ItemFields, asKind, blankItem, itemDoubts, itemFrom, itemProblems, keptItem } from './item';
import { type CellRules, cellText, columnsIn, contactBook, typedItem } from './item-cells';
import { type ItemKind, type ScheduleKind, kindBySign, kindsIn, scheduleOf, signedAmount } from './kinds';
import type { OpenItem } from './list-items';
import { type TieInput, supportedBy, supportedFigure, tieOf, tiesUnderRate } from './tie-out';

const account = (
  role: AccountRole | null,
  classification: Classification,
  currency: Currency | null = null,
): Account => ({
  ...PLAIN_ACCOUNT,
  id: accountId(1),
  code: '1100',
  name: 'An account',
  classification,
  role,
  currency,
});
const RECEIVABLES = account('receivables-control', 'current-asset');
const PAYABLES = account('payables-control', 'current-liability');
const BANK = account('bank', 'current-asset');
const LOAN = account('loan', 'long-term-liability');
const WHOSE: readonly (readonly [ScheduleKind, Account])[] = [
  ['customers', RECEIVABLES],
  ['suppliers', PAYABLES],
  ['statement', BANK],
  ['plain', LOAN],
];

const contact = (id: number, name: string, more: Partial<Contact> = {}): Contact => ({
  ...blankContact('customer'),
  id: contactId(id),
  revision: 1,
  name,
  ...more,
});

const item = (more: Partial<ItemFields> = {}): ItemFields => ({
  ...blankItem('customers', 'EUR'),
  open: minor(100n),
  ...more,
});

const amounts = fc.bigInt({ min: -(10n ** 12n), max: 10n ** 12n }).map(minor);
const EUR_IN_NOK: Conversion = {
  ratio: { n: 87n, d: 1000n },
  fromDigits: 2,
  toDigits: 2,
  rounding: 'half-away-from-zero',
};
const JPY: Conversion = { ratio: { n: 61n, d: 10_000n }, fromDigits: 0, toDigits: 2, rounding: 'half-even' };
const rate = (currency: string): Conversion | undefined =>
  currency === 'NOK' ? EUR_IN_NOK : currency === 'JPY' ? JPY : undefined;

const CONTACT_RULES: ContactRules = { countries: [['NO', 'Norway']], base: 'EUR', style: '1.234,56', accounts: [] };

describe('kinds of items', () => {
  it('are those of the account’s role; headings have none; income and expense are divided', () => {
    expect([RECEIVABLES, PAYABLES, BANK, LOAN].map(scheduleOf)).toEqual([
      'customers',
      'suppliers',
      'statement',
      'loan',
    ]);
    expect(scheduleOf({ ...LOAN, heading: true })).toBeUndefined();
    expect(scheduleOf(account(null, 'revenue'))).toBe('division');
  });
  it('give the sign: nobody types one', () => {
    const signs = (schedule: ScheduleKind, own: Account): Readonly<Record<string, bigint | undefined>> =>
      Object.fromEntries(kindsIn(schedule).map(({ id }) => [id, signedAmount(schedule, own, id, minor(5n))]));
    expect(signs('customers', RECEIVABLES)).toMatchObject({
      invoice: 5n,
      'credit-note': -5n,
      payment: -5n,
      refund: 5n,
    });
    expect(signs('suppliers', PAYABLES)).toMatchObject({ invoice: -5n, 'credit-note': 5n, payment: 5n, refund: -5n });
    expect(signs('statement', BANK)).toEqual({
      'payment-under-way': -5n,
      'receipt-under-way': 5n,
      'payment-unbooked': 5n,
      'receipt-unbooked': -5n,
    });
    expect(signs('plain', LOAN)).toEqual({ line: -5n, 'line-against': 5n });
    expect(signedAmount('plain', LOAN, 'invoice', minor(1n))).toBeUndefined();
  });
  it('told by a sign alone lead back to the amount', () => {
    fc.assert(
      fc.property(fc.constantFrom(...WHOSE), amounts, ([schedule, own], amount) => {
        const { kind, magnitude } = kindBySign(schedule, own, amount);
        expect(magnitude).toBe(abs(amount));
        expect(signedAmount(schedule, own, kind, magnitude)).toBe(amount);
      }),
    );
  });
  it('of another kind keep their magnitudes, and lead back', () => {
    fc.assert(
      fc.property(fc.constantFrom(...WHOSE), amounts, ([schedule, own], amount) => {
        const first = {
          ...item(),
          kind: kindBySign(schedule, own, amount).kind,
          open: amount,
          original: amount,
          base: null,
        };
        for (const { id } of kindsIn(schedule)) {
          const other = asKind(schedule, own, first, id);
          expect(abs(other.open)).toBe(abs(amount));
          expect(asKind(schedule, own, other, first.kind).open).toBe(amount);
        }
      }),
    );
  });
});

describe('a tie-out', () => {
  const input = (more: Partial<TieInput>): TieInput => ({
    figure: minor(0n),
    parts: [],
    base: 'EUR',
    own: null,
    supported: [],
    closing: null,
    explained: null,
    rate,
    ...more,
  });
  const items = fc.array(
    fc.record({
      currency: fc.constantFrom('EUR', 'NOK', 'JPY'),
      open: amounts,
      base: fc.option(amounts, { nil: null }),
    }),
    { maxLength: 12 },
  );
  const worth = (list: readonly { currency: string; open: Minor; base: Minor | null }[]): Minor =>
    sum(
      ['EUR', 'NOK', 'JPY'].map((currency) => {
        const own = list.filter((one) => one.currency === currency);
        const given = sum(own.flatMap(({ base }) => (base === null ? [] : [base])));
        const left = sum(own.filter(({ base }) => base === null).map(({ open }) => open));
        if (currency === 'EUR') return sum(own.map(({ open }) => open));
        return minor(given + (left === 0n ? 0n : convert(left, rate(currency) ?? EUR_IN_NOK)));
      }),
    );
  it('says what the items come to, in every currency, whatever their order', () => {
    fc.assert(
      fc.property(items, amounts, fc.nat(), (list, figure, turn) => {
        if (list.length === 0) return;
        const turned = [...list.slice(turn % list.length), ...list.slice(0, turn % list.length)];
        const tie = tieOf(input({ figure, supported: supportedBy(list) }));
        expect(tie.support).toBe(worth(list));
        expect(tie.difference).toBe(figure - worth(list));
        expect(tieOf(input({ figure, supported: supportedBy(turned) }))).toEqual(tie);
        expect(tie.state).toBe(figure === worth(list) ? 'tied' : 'apart');
      }),
    );
  });
  it('of a statement is the statement with the items beside it', () => {
    fc.assert(
      fc.property(
        amounts,
        fc.array(
          amounts.filter((one) => one !== 0n),
          { maxLength: 8 },
        ),
        (closing, beside) => {
          const books = sum([closing, ...beside]);
          const supported = supportedBy(beside.map((open) => ({ currency: 'EUR', open, base: null })));
          const tie = tieOf(input({ figure: books, supported, closing: { date: '2026-07-31', amount: closing } }));
          expect(tie).toMatchObject({ state: 'tied', support: books, difference: 0n });
        },
      ),
    );
  });
  it('takes the figure’s own worth where the amounts in currency are the same, and says which currency is apart', () => {
    const part = { currency: 'NOK' as const, amount: minor(1000n), base: minor(91n) };
    const list = supportedBy([{ currency: 'NOK', open: minor(1000n), base: null }]);
    expect(tieOf(input({ figure: minor(91n), parts: [part], supported: list })).state).toBe('tied');
    const other = tieOf(
      input({ figure: minor(78n), parts: [{ ...part, amount: minor(900n), base: minor(78n) }], supported: list }),
    );
    expect(other).toMatchObject({ state: 'apart', currencies: [{ currency: 'NOK', difference: -100n }] });
    const closing = { date: '2026-07-31' as const, amount: minor(1000n) };
    expect(tieOf(input({ figure: minor(91n), parts: [part], own: 'NOK', closing })).state).toBe('tied');
  });
  it('taken as the figure ties, in every currency', () => {
    fc.assert(
      fc.property(items, amounts, (list, figure) => {
        const given = input({ figure, supported: supportedBy(list) });
        const taken = supportedFigure(given);
        if (list.length === 0) expect(taken).toBeUndefined();
        else {
          expect(taken?.amount).toBe(tieOf(given).support);
          const after = tieOf({ ...given, figure: taken?.amount ?? minor(0n), parts: taken?.parts ?? [] });
          expect([after.state, after.currencies.every(({ difference }) => difference === 0n)]).toEqual(['tied', true]);
        }
      }),
    );
  });
  it('knows nothing without a list, and no worth without a rate', () => {
    expect(tieOf(input({ figure: minor(5n) })).state).toBe('none');
    const list = supportedBy([{ currency: 'GBP', open: minor(5n), base: null }]);
    expect(tieOf(input({ figure: minor(5n), supported: list }))).toMatchObject({ state: 'unknown', support: null });
  });
  it('that is explained is so for that difference alone', () => {
    const supported = supportedBy([{ currency: 'EUR', open: minor(90n), base: null }]);
    const explained = { difference: minor(10n), reason: 'a cheque is in the post' };
    expect(tieOf(input({ figure: minor(100n), supported, explained }))).toMatchObject({
      state: 'explained',
      reason: explained.reason,
    });
    expect(tieOf(input({ figure: minor(101n), supported, explained }))).toMatchObject({ state: 'apart', reason: null });
    expect(tieOf(input({ figure: minor(90n), supported, explained }))).toMatchObject({ state: 'tied', reason: null });
  });
});

describe('ageing', () => {
  const days = fc.integer({ min: -200, max: 200 }).map((by) => plainDate('2026-07-31').add({ days: by }).toString());
  it('divides what is open by age, per contact and currency, and loses nothing', () => {
    const list = fc.array(
      fc.record({
        contact: fc.constantFrom(null, contactId(1), contactId(2)),
        currency: fc.constantFrom('EUR', 'NOK'),
        date: fc.option(days, { nil: null }),
        due: fc.option(days, { nil: null }),
        open: amounts,
      }),
      { maxLength: 20 },
    );
    fc.assert(
      fc.property(list, (items) => {
        const rows = ageingOf(items, '2026-07-31');
        for (const row of rows) expect(sum(row.ages)).toBe(row.open);
        for (const currency of ['EUR', 'NOK'] as const) {
          const open = sum(items.filter((one) => one.currency === currency).map((one) => one.open));
          expect(sum(agesIn(rows, currency))).toBe(open);
        }
      }),
    );
  });
  it('counts days from the day it is due, else from the document; the day itself is not late', () => {
    const age = (due: IsoDate | null, date: IsoDate | null = null): number => ageOf({ due, date }, '2026-07-31');
    expect(
      (['2026-07-31', '2026-07-30', '2026-07-01', '2026-06-30', '2026-05-02', '2026-05-01', '2026-01-01'] as const).map(
        (due) => age(due),
      ),
    ).toEqual([0, 1, 1, 2, 3, 4, 4]);
    expect([age(null, '2026-07-01'), age(null), age('2026-09-01', '2026-01-01')]).toEqual([1, 0, 0]);
  });
});

const RULES: CellRules = {
  schedule: 'customers',
  account: RECEIVABLES,
  base: 'EUR',
  style: '1.234,56',
  dates: { ...PLAIN_DATES, month: 'number', separator: '.' },
  contacts: contactBook([
    contact(1, 'Ærø Fisk', { code: 'A1', currency: 'NOK', terms: { kind: 'days', days: 10 } }),
    contact(2, 'Double'),
    contact(3, 'Double'),
    contact(4, 'Runs On', { settles: 'balance' }),
  ]),
  terms: { kind: 'days', days: 30 },
  openingDate: plainDate('2026-07-31'),
  codes: NO_CODES,
  spans: 'days',
};

describe('a rate that moves', () => {
  it('says which lists it makes worth another amount, and leaves those that are as their figure says', () => {
    const sums = [
      { currency: 'NOK' as const, items: 2, open: minor(100_000n), given: minor(0n), givenBase: minor(0n) },
    ];
    const input = {
      figure: minor(8_700n), parts: [], base: 'EUR' as const, own: null, supported: sums, closing: null, explained: null, rate,
    }; // prettier-ignore
    const part = { currency: 'NOK' as const, amount: minor(100_000n), base: minor(8_700n) };
    const found = tiesUnderRate(
      [
        { of: 'by the rate', input },
        { of: 'by the figure', input: { ...input, parts: [part] } },
        {
          of: 'given',
          input: { ...input, supported: sums.map((one) => ({ ...one, given: one.open, givenBase: minor(8_700n) })) },
        },
      ],
      'NOK',
      { ...EUR_IN_NOK, ratio: { n: 9n, d: 100n } },
    );
    expect(found.map(({ of, before, after }) => [of, before.state, after.support, after.state])).toEqual([
      ['by the rate', 'tied', 9_000n, 'apart'],
    ]);
  });
});

describe('a contact’s credit', () => {
  it('is told beyond its limit, in the contact’s own currency alone', () => {
    const items = [
      { currency: 'NOK' as const, open: minor(7000n) },
      { currency: 'NOK' as const, open: minor(-1000n) },
      { currency: 'EUR' as const, open: minor(90_000n) },
    ];
    const of = (creditLimit: bigint | null, currency: Currency | '' = 'NOK') =>
      beyondLimit({ creditLimit: creditLimit === null ? null : minor(creditLimit), currency }, items, 'EUR');
    expect([of(5000n), of(6000n), of(null), of(0n, '')]).toEqual([1000n, null, null, 90_000n]);
  });
});

describe('what a client’s contacts are for another', () => {
  it('is all but those that are there: by name or tax number, without a code that is taken', () => {
    const theirs = [
      contact(1, 'Carr', { code: 'c1', account: accountId(9) }),
      contact(2, 'DUNN'),
      contact(3, 'Eames', { taxNumber: 'IE 1234567 FA' }),
      contact(4, 'Gone', { active: false }),
    ];
    const here = [contact(7, 'Dunn'), contact(8, 'Other', { code: 'C1', taxNumber: 'IE1234567FA' })];
    expect(copiedContacts(theirs, here)).toMatchObject([{ name: 'Carr', code: '', account: null }]);
  });
});

describe('typing into a sheet of items', () => {
  it('begins a balance for who runs against one, and only where nothing else was said', () => {
    const typed = (item: ItemFields) => {
      const read = typedItem(item, 'contact', 'Runs On', RULES);
      return read.ok ? read.value.kind : read.problems;
    };
    const blank = blankItem('customers', 'EUR');
    expect([typed(blank), typed({ ...blank, number: '7' }), typed({ ...blank, kind: 'credit-note' })]).toEqual([
      'balance',
      'invoice',
      'credit-note',
    ]);
  });
  const type = (
    fields: ItemFields,
    ...cells: readonly (readonly [Parameters<typeof typedItem>[1], string])[]
  ): ItemFields =>
    cells.reduce((was, [column, text]) => {
      const read = typedItem(was, column, text, RULES);
      if (!read.ok) throw new Error(read.problems[0]?.message);
      return read.value;
    }, fields);
  it('fills what follows: currency and due date from the contact, signs from the kind', () => {
    const typed = type(
      blankItem('customers', 'EUR'),
      ['contact', 'aero fisk'],
      ['kind', 'credit note'],
      ['date', '1.6.26'],
      ['open', '1.250,50'],
    );
    expect(typed).toMatchObject({
      contact: 1,
      currency: 'NOK',
      kind: 'credit-note',
      date: '2026-06-01',
      due: '2026-06-11',
      open: -125_050n,
    });
    expect(cellText(typed, 'open', RULES)).toBe('(1.250,50)');
    expect(cellText(typed, 'contact', RULES)).toBe('A1 Ærø Fisk');
    // A due date that was given stays when the date moves; one that followed moves along.
    expect(type(typed, ['date', '2.6.26']).due).toBe('2026-06-12');
    expect(type(typed, ['due', '30.6.26'], ['date', '2.6.26']).due).toBe('2026-06-30');
  });
  it('turns an invoice below nil into a credit note, and leaves a credit note that lists print below nil', () => {
    expect(type(item(), ['open', '-50'])).toMatchObject({ kind: 'credit-note', open: -5000n });
    expect(type(item({ kind: 'credit-note', open: minor(-1n) }), ['open', '-50'])).toMatchObject({
      kind: 'credit-note',
      open: -5000n,
    });
    expect(type(item({ kind: 'credit-note', open: minor(-1n) }), ['open', '(50,00)'])).toMatchObject({ open: -5000n });
  });
  it('refuses what it does not know, with a sentence at the cell', () => {
    const code = (column: Parameters<typeof typedItem>[1], text: string, on: ItemFields = item()): unknown => {
      const read = typedItem(on, column, text, RULES);
      return read.ok ? read.value : read.problems.map((one) => [one.code, one.path?.at(-1)]);
    };
    expect(code('contact', 'Nobody')).toEqual([['item.contact', 'contact']]);
    expect(code('contact', 'Double')).toEqual([['item.contact', 'contact']]);
    expect(code('kind', 'Cheque')).toEqual([['item.kind', 'kind']]);
    expect(code('date', '31.2.26')).toEqual([[expect.stringMatching('date'), 'date']]);
    expect(code('currency', 'XXQ')).toEqual([['item.currency', 'currency']]);
    expect(code('currency', 'JPY')).toEqual([['item.currency', 'currency']]);
    expect(code('base', '9', item())).toEqual([['item.base', 'base']]);
    expect(code('open', '12,345')).toEqual([[expect.stringMatching('amount'), 'open']]);
  });
  it('reads back what every cell shows', () => {
    const kinds = fc.constantFrom(...kindsIn('customers').map(({ id }) => id));
    fc.assert(
      fc.property(
        kinds,
        fc.bigInt({ min: 1n, max: 10n ** 11n }),
        fc.constantFrom('EUR', 'NOK'),
        (kind: ItemKind, size, currency) => {
          const open = signedAmount('customers', RECEIVABLES, kind, minor(size)) ?? minor(size);
          const base = currency === 'EUR' ? null : open;
          const whole = item({
            kind,
            open,
            original: open,
            currency,
            base,
            contact: contactId(1),
            date: '2026-05-04',
            due: '2026-06-30',
            number: 'a',
            reference: 'b',
            order: 'c',
            note: 'd',
          });
          for (const column of columnsIn('customers', true)) {
            const read = typedItem(whole, column, cellText(whole, column, RULES), RULES);
            expect(read.ok ? read.value : read.problems).toEqual(whole);
          }
        },
      ),
    );
  });
});

describe('what is asked about items', () => {
  const beside = { schedule: 'customers', openingDate: plainDate('2026-07-31') } as const;
  it('names the cell that it is about', () => {
    const list = [
      item({ contact: contactId(1), number: 'A', date: '2026-08-01', due: '2026-07-01', original: minor(50n) }),
      item({ contact: contactId(1), number: 'a' }),
      item({ contact: contactId(2), number: 'A', date: '2026-07-31' }),
      item(),
    ].map((fields, id) => ({ ...fields, id }));
    const found = itemDoubts(list, beside);
    expect([...found].map(([id, own]) => [id, own.map(({ code }) => code)])).toEqual([
      [0, ['item.later', 'item.due', 'item.more']],
      [1, ['item.twice']],
      [3, ['item.contact']],
    ]);
    expect(
      itemDoubts([{ ...item({ kind: 'payment-under-way', date: '2026-08-05' }), id: 1 }], {
        ...beside,
        schedule: 'statement',
      }).size,
    ).toBe(0);
  });
  it('refuses what cannot be kept', () => {
    const codes = (more: Partial<ItemFields>, on = RECEIVABLES): readonly string[] =>
      itemProblems(item(more), { schedule: 'customers', account: on, base: 'EUR', currencies: ['NOK'] }).map(
        ({ code }) => code,
      );
    expect(codes({})).toEqual([]);
    expect(codes({ currency: 'NOK', base: minor(9n) })).toEqual([]);
    expect(codes({ open: minor(0n) })).toEqual(['item.nothing']);
    expect(codes({ currency: 'GBP' })).toEqual(['item.currency']);
    expect(codes({ kind: 'line' })).toEqual(['item.kind']);
    expect(codes({ base: minor(7n) })).toEqual(['item.base']);
    expect(codes({}, { ...RECEIVABLES, currency: 'NOK' })).toEqual(['item.currency']);
  });
  it('is kept in the record as it is', () => {
    const whole = {
      ...item({ original: minor(3n), base: minor(-4n), currency: 'NOK' }),
      account: accountId(7),
      paper: 3,
      row: 12,
    };
    expect(itemFrom(keptItem(whole, 5))).toEqual({ ...whole, set: 5 });
    expect(itemFrom(null)).toBeUndefined();
  });
});

const listed = (more: Partial<OpenItem> = {}): OpenItem => ({
  row: 5,
  contactCode: 'C1',
  contactName: 'Carr',
  documentKind: 'invoice',
  number: 'A',
  reference: null,
  order: null,
  date: '2026-07-01',
  due: null,
  currency: 'EUR',
  original: null,
  open: minor(1000n),
  base: null,
  ...more,
});

describe('a list that is brought', () => {
  const rules = {
    schedule: 'customers',
    account: RECEIVABLES,
    base: 'EUR',
    currencies: ['NOK'],
    contacts: [contact(4, 'Carr', { code: 'C1' }), contact(5, 'Other', { code: 'X' })],
    booked: true,
  } as const;
  const take = (items: readonly OpenItem[], more: Partial<Parameters<typeof incomingItems>[1]> = {}) =>
    incomingItems({ items, digits: 2 }, { ...rules, ...more });
  it('names contacts that are there, and makes each of the others once; a code of somebody else stays theirs', () => {
    const found = take([
      listed(),
      listed({ contactCode: null, contactName: 'New One' }),
      listed({ contactCode: null, contactName: 'new one' }),
      listed({ contactCode: 'X', contactName: 'Not the other' }),
      listed({ contactCode: null, contactName: null }),
    ]);
    expect(found.items.map(({ item: own, makes }) => [own.contact, makes])).toEqual([
      [4, null],
      [null, 0],
      [null, 0],
      [null, 1],
      [null, null],
    ]);
    expect(found.contacts.map(({ code, name }) => [code, name])).toEqual([
      ['', 'New One'],
      ['', 'Not the other'],
    ]);
  });
  it('takes the kind by what the list says and by the side on which it stands', () => {
    const kinds = take([
      listed(),
      listed({ open: minor(-5n) }),
      listed({ documentKind: 'credit-note', open: minor(-5n) }),
      listed({ documentKind: 'payment', open: minor(5n) }),
      listed({ documentKind: 'balance', open: minor(-5n) }),
    ]).items.map(({ item: own }) => own.kind);
    expect(kinds).toEqual(['invoice', 'credit-note', 'credit-note', 'refund', 'balance-against']);
    const bill = take([listed({ open: minor(-700n) })], { schedule: 'suppliers', account: PAYABLES }).items[0]?.item;
    expect(bill).toMatchObject({ kind: 'invoice', open: -700n });
  });
  it('turns amounts into the units of their own currencies, and keeps out what would lose a digit or is in a currency that is off', () => {
    const found = incomingItems(
      {
        items: [
          listed({ open: minor(1_000_500n), currency: 'NOK', base: minor(87_000n) }),
          listed({ open: minor(1_001n) }),
          listed({ currency: 'GBP', open: minor(5000n) }),
        ],
        digits: 3,
      },
      rules,
    );
    expect(
      found.items.map(({ item: own, problems }) => [own.open, own.base, problems.map(({ code }) => code)]),
    ).toEqual([
      [100_050n, 8700n, []],
      [0n, null, ['item.decimals']],
      [500n, null, ['item.currency']],
    ]);
    const elsewhere = incomingItems(
      { items: [listed({ currency: 'NOK', base: minor(90n) })], digits: 2, currency: 'GBP' },
      rules,
    );
    expect(elsewhere.items[0]?.item.base).toBeNull();
    expect(take([listed({ currency: 'NOK', base: minor(90n) })], { booked: false }).items[0]?.item.base).toBeNull();
  });
  it('sums to the list, every row taken or said to stay out', () => {
    const rows = fc.array(
      fc.record({
        open: amounts.filter((one) => one !== 0n),
        kind: fc.constantFrom('invoice', 'credit-note', 'payment', 'refund', 'balance'),
      }),
      { maxLength: 20 },
    );
    fc.assert(
      fc.property(rows, (list) => {
        const found = take(list.map(({ open, kind }, at) => listed({ row: at + 2, open, documentKind: kind })));
        expect(found.items).toHaveLength(list.length);
        expect(sum(found.items.map(({ item: own }) => own.open))).toBe(sum(list.map(({ open }) => open)));
        for (const { item: own } of found.items)
          expect(signedAmount('customers', RECEIVABLES, own.kind, abs(own.open))).toBe(own.open);
      }),
    );
  });
  it('of contacts adds those that are not there', () => {
    const one = {
      row: 2,
      code: 'C1',
      name: 'Carr',
      role: 'customer',
      country: null,
      taxNumber: null,
      termDays: 14,
      monthEnd: false,
      currency: null,
      email: null,
    } as const;
    const found = incomingContacts(
      [one, { ...one, code: 'C9', name: 'Nine' }, { ...one, code: 'c9', name: 'Ten' }],
      rules.contacts,
    );
    expect(found.known).toBe(1);
    expect(found.add.map(({ code, name, terms }) => [code, name, terms])).toEqual([
      ['C9', 'Nine', { kind: 'days', days: 14 }],
      ['', 'Ten', { kind: 'days', days: 14 }],
    ]);
  });
});

describe('a statement that is brought', () => {
  const statement = (to: IsoDate, entries: readonly (readonly [IsoDate, bigint])[], closing = 5000n) => ({
    account: 'X',
    currency: 'EUR' as const,
    digits: 2,
    from: null,
    to,
    opening: null,
    closing: { date: to, amount: minor(closing) },
    entries: entries.map(([date, amount]) => ({ date, valueDate: null, amount: minor(amount), text: 'e' })),
  });
  it('that ends after the opening date lists what lies between, so that it leads back to that day', () => {
    const entries = fc.array(
      fc.tuple(
        fc.constantFrom('2026-07-30', '2026-08-01', '2026-08-19'),
        fc.bigInt({ min: -999n, max: 999n }).filter((one) => one !== 0n),
      ),
      { maxLength: 9 },
    );
    fc.assert(
      fc.property(entries, fc.bigInt({ min: -9999n, max: 9999n }), (list, opening) => {
        const at = (day: string): bigint =>
          opening + list.filter(([date]) => date <= day).reduce((all, [, amount]) => all + amount, 0n);
        const read = incomingStatement(statement('2026-08-19', list, at('2026-08-19')), BANK, 'EUR', '2026-07-31');
        expect(sum([read.closing?.amount ?? minor(0n), ...read.between.map(({ open }) => open)])).toBe(
          at('2026-07-31'),
        );
        for (const { kind, open } of read.between) expect(signedAmount('statement', BANK, kind, abs(open))).toBe(open);
      }),
    );
  });
  it('in another currency or without a balance is none', () => {
    const codes = (more: object): readonly string[] =>
      incomingStatement({ ...statement('2026-07-31', []), ...more }, BANK, 'EUR', '2026-07-31').problems.map(
        ({ code }) => code,
      );
    expect(codes({})).toEqual([]);
    expect(codes({ currency: 'NOK' })).toEqual(['statement.currency']);
    expect(codes({ closing: null })).toEqual(['statement.no-closing']);
    expect(codes({ closing: { date: '2026-07-19', amount: minor(1n) } })).toEqual(['statement.early']);
  });
});

describe('contacts', () => {
  it('have a name and a code of their own', () => {
    const codes = (more: Partial<Contact>): readonly string[] =>
      contactProblems(contact(9, 'N', more), [{ code: 'A1', name: 'A' }]).map(({ code }) => code);
    expect(codes({})).toEqual([]);
    expect(codes({ name: ' ' })).toEqual(['contact.name']);
    expect(codes({ code: 'a1' })).toEqual(['contact.code']);
  });
  it('are typed in the words of the trade', () => {
    const terms = (text: string): unknown => {
      const read = typedContact(blankContact('customer'), 'terms', text, CONTACT_RULES);
      return read.ok ? read.value.terms : read.problems[0]?.code;
    };
    expect([terms('30'), terms('14 days'), terms('30 eom'), terms('15 next'), terms('5 +2'), terms('')]).toEqual([
      { kind: 'days', days: 30 },
      { kind: 'days', days: 14 },
      { kind: 'month-end', days: 30 },
      { kind: 'day-of-month', day: 15, months: 1 },
      { kind: 'day-of-month', day: 5, months: 2 },
      null,
    ]);
    expect([terms('soon'), terms('40 next'), terms('999')]).toEqual([
      'contact.terms',
      'contact.terms',
      'contact.terms',
    ]);
    const typed = (column: 'country' | 'role' | 'active', text: string): unknown => {
      const read = typedContact(blankContact('customer'), column, text, CONTACT_RULES);
      return read.ok ? read.value[column] : read.problems[0]?.code;
    };
    expect([typed('country', 'norway'), typed('country', 'no'), typed('country', 'Atlantis')]).toEqual([
      'NO',
      'NO',
      'contact.country',
    ]);
    expect([typed('role', 'Supplier'), typed('active', 'no')]).toEqual(['supplier', false]);
  });
});

describe('counted cash', () => {
  it('comes to the sum of its notes and coins, each of which the currency can say', () => {
    expect(denominations('EUR').slice(-2)).toEqual([2n, 1n]);
    expect(denominations('JPY')[0]).toBe(10_000n);
    expect(denominations('KWD').at(-1)).toBe(10n);
    fc.assert(
      fc.property(
        fc.constantFrom('EUR', 'JPY', 'HUF', 'KWD', 'XAF', 'CHF'),
        fc.array(fc.nat(1000), { maxLength: 20 }),
        (currency, counts) => {
          const values = denominations(currency);
          const counted = Object.fromEntries(
            counts.flatMap((count, at) => (values[at] === undefined ? [] : [[String(values[at]), count]])),
          );
          let by = 0n;
          for (const [value, count] of Object.entries(counted))
            for (let one = 0; one < count; one += 1) by += BigInt(value);
          expect(countedSum(counted)).toBe(by);
          expect([...values].sort((a, b) => (a < b ? 1 : -1))).toEqual(values);
        },
      ),
      { numRuns: 30 },
    );
  });
});

describe('limits of ages', () => {
  it('are rising days, or a sentence', () => {
    expect(readLimits('30;60 / 120')).toEqual({ ok: true, value: [30, 60, 120] });
    for (const text of ['', '60, 30', '0', '1.5', 'x', '30, 30', '1,2,3,4,5,6,7,8,9'])
      expect(readLimits(text)).toMatchObject({ ok: false, problems: [{ code: 'ageing.limits' }] });
  });
});
