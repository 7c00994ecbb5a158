import { describe, expect, it } from 'vitest';
import { readCsv } from '../files/csv';
import { readContacts } from './list-contacts';
import { type ItemsRead, type ListAsked, contactIn, readItems } from './list-items';
import { makeList } from './testing/list-maker';

const tablesOf = (text: string) => {
  const read = readCsv(new TextEncoder().encode(text), 'list.csv');
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value;
};
const read = (text: string, asked: Partial<ListAsked> = {}): ItemsRead => {
  const found = readItems(tablesOf(text), { name: 'list.csv', ...asked });
  if (found === undefined) throw new Error('no list');
  return found;
};
const codes = ({ doubts }: Pick<ItemsRead, 'doubts'>): readonly string[] => doubts.map(({ code }) => code);

describe('lists of open items', () => {
  it('invented in eight languages and many shapes are read exactly, and none is wrong without a word', () => {
    const wrong: string[] = [];
    let silent = 0;
    for (let seed = 1; seed <= 200; seed += 1) {
      const made = makeList(seed);
      const got = read(made.text, { name: made.name });
      const items = got.items.map(
        ({ row, contactCode, contactName, documentKind, number, date, due, currency, open }) => {
          const size = open < 0n ? -open : open;
          const text = `${open < 0n ? '-' : ''}${String(size / 100n)}.${String(size % 100n).padStart(2, '0')}`;
          return { row, contactCode, contactName, documentKind, number, date, due, currency, open: text };
        },
      );
      const right =
        got.kind === made.kind && got.asAt === made.asAt && JSON.stringify(items) === JSON.stringify(made.items);
      if (!right) wrong.push(`${String(seed)} ${made.traits.join(' ')}`);
      if (!right && got.doubts.length === 0) silent += 1;
    }
    expect(silent).toBe(0);
    expect(wrong.length, wrong.join('\n')).toBeLessThanOrEqual(10);
  });
  it('are as the books see them, whatever signs they print', () => {
    const list = (who: string, open: string) =>
      `${who} 31.07.2026\nName,Invoice no,Date,Due date,Open\nArdmore,A1,01/07/2026,31/07/2026,${open}\n`;
    expect(read(list('Customers', '100.00')).items[0]?.open).toBe(10_000n);
    expect(read(list('Customers', '-100.00')).items[0]?.open).toBe(10_000n);
    expect(read(list('Suppliers', '100.00')).items[0]?.open).toBe(-10_000n);
    expect(read(list('Suppliers', '-100.00')).items[0]?.open).toBe(-10_000n);
    expect(read(list('Items', '100.00'), { kind: 'suppliers' }).items[0]?.open).toBe(-10_000n);
    expect(codes(read(list('Items', '100.00')))).toContain('list.whose');
  });
  it('have a due day by the terms where they print no other', () => {
    const { items } = read(
      'Customers\nCode,Name,No,Date,Terms days,Open\nK1,Ard,A1,2026-07-31,30,5.00\nK1,Ard,A2,2026-07-31,,5.00\n',
    );
    expect(items.map(({ due }) => due)).toEqual(['2026-08-30', null]);
  });
  it('say what a person should look at', () => {
    const odd = read(
      [
        'Customers, as at 31 July 2026, EUR',
        'Code,Name,Invoice no,Date,Due date,Amount,Open',
        'K1,Ard,A1,2026-07-02,2026-06-01,10.00,5.00',
        'K1,Ard,A1,2026-07-02,2026-07-30,10.00,5.00',
        'K1,Ard,A3,2026-08-02,2026-08-30,10.00,15.00',
        'K1,Ard,A4,2026-07-02,2026-07-30,10.00,1.2.3',
        ',Total,,,,40.00,26.00',
      ].join('\n'),
    );
    expect(codes(odd)).toEqual(['list.amount', 'list.total', 'list.due', 'list.twice', 'list.later', 'list.more']);
    expect(odd.printed).toEqual({ original: 4000n, open: 2600n });
    expect(codes(read('Customers\nCode,Name,No,Date,Open\nK1,Ard,A1,02/03/2026,5.00\n'))).toEqual(['list.dates']);
  });
  it('have days whose order the due days settle', () => {
    const { items, doubts } = read(
      'Customers\nCode,Name,No,Date,Due date,Open\nK1,Ard,A1,03/02/2026,04/01/2026,5.00\nK1,Ard,A2,05/04/2026,06/03/2026,5.00\n',
    );
    expect(items.map(({ date, due }) => [date, due])).toEqual([
      ['2026-03-02', '2026-04-01'],
      ['2026-05-04', '2026-06-03'],
    ]);
    expect(doubts).toEqual([]);
  });
  it.each([
    [['Proveedor: 400003 - Corchos Alcornera, S.L.'], '400003', 'Corchos Alcornera, S.L.'],
    [['K-0003 Siodlarnia'], 'K-0003', 'Siodlarnia'],
    [['10001', 'Ardmore Boats'], '10001', 'Ardmore Boats'],
    [['Ardmore Boats (10001)'], '10001', 'Ardmore Boats'],
    [['Customer:', '10001 Ardmore Boats'], '10001', 'Ardmore Boats'],
    [['Ardmore Boats'], null, 'Ardmore Boats'],
  ])('know whose items stand below %s', (texts, code, name) => {
    expect(contactIn(texts)).toEqual({ code, name });
  });
  it('are none where no row names columns', () => {
    expect(readItems(tablesOf('1,2\n3,4\n'), { name: 'x' })).toBeUndefined();
    expect(readContacts(tablesOf('1,2\n3,4\n'), 'x')).toBeUndefined();
  });
});

describe('lists of contacts', () => {
  const list = [
    'Code,Name,Type,Country,VAT no,Terms,Currency,Email',
    'K1,Ardmore Boats Ltd,Customer,IE,IE1234567WA,30 days,EUR,a@ardmore.example',
    'K2,Cairn & Sons,Supplier,,GB123456789,14,GBP,',
    'K3,Ardmore Boats Limited,Customer,IE,,30,EUR,',
    'K4,Lagerhaus 1,Both,DE,,,,',
    'K5,Lagerhaus 2,other,DE,,,,',
    'K6,,Customer,IE,,,,',
  ].join('\n');
  it('are read with their roles, countries, terms and tax numbers', () => {
    const found = readContacts(tablesOf(list), 'contacts.csv');
    expect(found?.items.map(({ role, country, termDays, currency }) => [role, country, termDays, currency])).toEqual([
      ['customer', 'IE', 30, 'EUR'],
      ['supplier', 'GB', 14, 'GBP'],
      ['customer', 'IE', 30, 'EUR'],
      ['both', 'DE', null, null],
      ['other', 'DE', null, null],
    ]);
    expect(found?.doubts.map(({ code }) => code)).toEqual(['list.no-name']);
  });
  it('point out who looks like one entered twice, and not two branches', () => {
    expect(readContacts(tablesOf(list), 'contacts.csv')?.nearDuplicates).toEqual([[2, 4]]);
  });
});
