import { type IsoDate } from '../../base/iso-date';
import fc from 'fast-check';
import { expect, test } from 'vitest';
import { type Account, PLAIN_ACCOUNT, accountId } from '../../chart/account';
import { writeSaft } from '../../chart/saft';
import { readSaft } from '../../files/audit-file';
import { type Minor, minor } from '../../money/minor';
import { recognise } from '../../papers/recognise';
import { paperSheet } from '../../papers/sheet';
import { type Item, blankItem } from '../item';
import { readRegister } from '../registers/read-register';
import { auditThings } from './audit';

const STOCK: Account = { ...PLAIN_ACCOUNT, id: accountId(1), code: '1200', name: 'Stock of goods', role: 'stock', classification: 'current-asset' }; // prettier-ignore
const COST: Account = { ...PLAIN_ACCOUNT, id: accountId(2), code: '1610', name: 'Vehicles at cost', role: 'fixed-asset-cost', classification: 'fixed-asset' }; // prettier-ignore
const CAPITAL: Account = {
  ...PLAIN_ACCOUNT,
  id: accountId(3),
  code: '3000',
  name: 'Capital',
  classification: 'equity',
};
const OTHERS = ['Trade payables', 'Accrued expenses', 'Wages payable'].map((name, at): Account => ({ ...PLAIN_ACCOUNT, id: accountId(4 + at), code: String(2100 + at), name, classification: 'current-liability' })); // prettier-ignore
const CHART = [STOCK, COST, CAPITAL, ...OTHERS];
const FACTS = {
  company: 'Kelp <& Sons>',
  registration: '',
  country: 'IE',
  currency: 'EUR' as const,
  from: '2026-08-01',
  to: '2026-08-01',
  created: '2026-08-02',
} as const;

const item = (account: Account, fields: Partial<Item>): Item => ({
  ...blankItem(account === STOCK ? 'stock' : 'assets', 'EUR'),
  id: 1,
  account: account.id,
  revision: 0,
  paper: null,
  row: null,
  ...fields,
});
const written = (items: readonly Item[]): Uint8Array =>
  new TextEncoder().encode(
    writeSaft(CHART, FACTS, {
      amounts: new Map([
        [STOCK.id, minor(7000n)],
        [COST.id, minor(3000n)],
        [CAPITAL.id, minor(-9100n)],
        ...OTHERS.map(({ id }) => [id, minor(-300n)] as const),
      ]),
      digits: 2,
      parties: [],
      ...auditThings(items, CHART, 'EUR'),
    }),
  );
const tablesOf = (items: readonly Item[]) => {
  const read = readSaft(written(items), 'audit.xml');
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value;
};

const cents = (most: number) => fc.integer({ min: 1, max: most }).map((units): Minor => minor(BigInt(units)));
const names = fc.constantFrom('Dried kelp', 'Nori <sheets>', 'Salt & weed', '=SUM of weed', 'Étoile 2.5');
const articles = fc.array(fc.record({ name: names, units: fc.integer({ min: 1, max: 900 }), price: fc.integer({ min: 1, max: 900 }), place: fc.constantFrom('', 'Shed 2'), category: fc.constantFrom('', 'Weed') }), { minLength: 2, maxLength: 9 })
  // Of a class that stands once, nobody can tell whether it goes on below.
  .map((list) => [...list, ...['Weed', 'Weed'].map((category) => ({ name: 'Dried kelp', units: 3, price: 7, place: '', category }))]); // prettier-ignore
const boats = fc.array(fc.record({ name: names, cost: cents(9_000_000), off: fc.integer({ min: 0, max: 100 }), life: fc.option(fc.integer({ min: 6, max: 480 })) }), { minLength: 2, maxLength: 9 }); // prettier-ignore

test('stock that was written into an audit file is read from it as it was', () => {
  fc.assert(
    fc.property(articles, (list) => {
      const items = list.map(({ name, units, price, place, category }, at) =>
        item(STOCK, {
          number: `A${String(100 + at)}`,
          note: name,
          open: minor(BigInt(units * price)),
          detail: { quantity: String(units), cost: `${String(Math.floor(price / 100))}.${String(price % 100).padStart(2, '0')}`, unit: 'kg', ...(place === '' ? {} : { place }), ...(category === '' ? {} : { category }) }, // prettier-ignore
        }),
      );
      const read = readRegister(tablesOf(items), 'stock', { name: 'audit.xml', digits: 2 });
      expect(
        read?.items.map((one) => ('quantity' in one && 'unit' in one ? [one.code, one.name, one.unit, one.quantity, one.value, one.category] : [])), // prettier-ignore
      ).toEqual(items.map((one) => [one.number, one.note, 'kg', one.detail.quantity, one.open, one.detail.category ?? null])); // prettier-ignore
    }),
  );
});

test('fixed assets that were written into an audit file are read from it as they were; what is gone is not in it', () => {
  fc.assert(
    fc.property(boats, (list) => {
      const items = list.map(({ name, cost, off, life }, at) =>
        item(COST, {
          number: `B${String(10 + at)}`,
          note: name,
          date: '2021-05-06',
          open: cost,
          beside: minor(-(cost * BigInt(off)) / 100n),
          detail: life === null ? {} : { life: String(life) },
        }),
      );
      const gone = item(COST, { number: 'GONE', note: 'Sold', open: minor(500n), detail: { disposed: '2026-05-01' } });
      const read = readRegister(tablesOf([...items, gone]), 'assets', { name: 'audit.xml', digits: 2 });
      expect(
        read?.items.map((one) => ('depreciation' in one ? [one.code, one.name, one.acquired, one.cost, one.depreciation, one.lifeMonths] : [])), // prettier-ignore
      ).toEqual(
        items.map((one, at) => [one.number, one.note, '2021-05-06', one.open, minor(-(one.beside ?? 0n)), list[at]?.life ?? null]), // prettier-ignore
      );
    }),
  );
});

test('lists beside the accounts of an audit file are none of its balance', () => {
  const items = [
    item(STOCK, { number: 'A1', note: 'Kelp', open: minor(7000n), detail: { quantity: '7', cost: '10' } }),
    item(COST, { number: 'B1', note: 'Boat', open: minor(3000n), beside: minor(-1000n) }),
  ];
  const { rows, alternatives, doubts } = recognise(tablesOf(items), { digits: 2 });
  expect(rows.flatMap(({ kind, code, amount }) => (kind === 'account' ? [[code, amount]] : []))).toEqual([
    ['1200', 7000n],
    ['1610', 3000n],
    ['2100', -300n],
    ['2101', -300n],
    ['2102', -300n],
    ['3000', -9100n],
  ]);
  expect([alternatives, doubts]).toEqual([[], []]);
});

test('stock written down on its own account is off its value, and what another currency is worth is said only where it is known', () => {
  const { stock, assets } = auditThings(
    [
      item(STOCK, { number: 'A1', open: minor(700n), beside: minor(-200n) }),
      item(STOCK, { number: 'A2', open: minor(700n), beside: minor(-200n), besideAccount: accountId(9) }),
      item(STOCK, { number: 'A3', open: minor(700n), currency: 'NOK' }),
      item(STOCK, { number: 'A4', open: minor(700n), currency: 'NOK', base: minor(60n) }),
      item(COST, { number: 'B1', open: minor(700n), currency: 'NOK' }),
      item(CAPITAL, { number: 'X' }),
    ],
    CHART,
    'EUR',
  );
  expect(stock.map(({ value }) => value)).toEqual([500n, 700n, null, 60n]);
  expect(assets.map(({ cost, depreciation }) => [cost, depreciation])).toEqual([[null, null]]);
});

test('of an audit file, what opens or what closes is read by the day that is wanted; the other is offered', () => {
  const account = (code: string, name: string, opening: number, closing: number): string => {
    const balance = (of: string, amount: number): string => {
      const tag = `${of}${amount < 0 ? 'Credit' : 'Debit'}Balance`;
      return `<${tag}>${String(Math.abs(amount))}.00</${tag}>`;
    };
    return `<Account><AccountID>${code}</AccountID><AccountDescription>${name}</AccountDescription>${balance('Opening', opening)}${balance('Closing', closing)}</Account>`;
  };
  const xml = `<AuditFile><Header><SelectionCriteria><SelectionStartDate>2025-01-01</SelectionStartDate><SelectionEndDate>2025-12-31</SelectionEndDate></SelectionCriteria></Header><MasterFiles><GeneralLedgerAccounts>${account('1200', 'Stock of goods', 70, 75)}${account('1610', 'Vehicles at cost', 30, 30)}${account('2100', 'Trade payables', -10, -15)}${account('3000', 'Share capital', -90, -90)}</GeneralLedgerAccounts></MasterFiles></AuditFile>`;
  const read = readSaft(new TextEncoder().encode(xml), 'audit.xml');
  if (!read.ok) throw new Error(read.problems[0]?.message);
  const amounts = (date: IsoDate | undefined) => {
    const how = date === undefined ? { digits: 2 } : { digits: 2, date };
    const { recognition, stated } = paperSheet(read.value, { kind: 'proposed' }, how, 'audit.xml');
    return [stated, recognition.rows.flatMap(({ kind, amount }) => (kind === 'account' ? [Number(amount)] : []))];
  };
  const closing = ['2025-12-31', [7500, 3000, -1500, -9000]];
  expect(amounts('2024-12-31')).toEqual(['2024-12-31', [7000, 3000, -1000, -9000]]);
  expect(amounts('2025-12-31')).toEqual(closing);
  // Of neither day, it says of which it is.
  expect(amounts('2025-06-30')).toEqual(closing);
  expect(amounts(undefined)).toEqual(closing);
});
