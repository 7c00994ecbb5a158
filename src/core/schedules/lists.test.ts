import { describe, expect, it } from 'vitest';
import { readCsv } from '../files/csv';
import { readContacts } from './list-contacts';
import { type ItemsRead, type ListAsked, readItems } from './list-items';
import { contactIn } from './list-whose';
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
    expect(wrong).toEqual([]);
  });
  it('have what a spreadsheet meant by its binary numbers', () => {
    const cell = (decimal: string) => ({ decimal, shown: decimal.slice(0, 6) });
    const rows = [
      ['Customers'],
      ['Code', 'Name', 'No', 'Date', 'Open'],
      ['K1', 'Ard', 'A1', '2026-07-02', cell('0.29999999999999998')],
      ['K1', 'Ard', 'A2', '2026-07-02', cell('-1.1500000000000001')],
      ['', 'Total', '', '', cell('-0.85')],
    ];
    const found = readItems([{ name: 'x', rows }], { name: 'x' });
    expect(found?.items.map(({ open }) => open)).toEqual([30n, -115n]);
    expect(found?.doubts).toEqual([]);
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
  it('say so where nobody is named', () => {
    const list = (above: string) =>
      `${above}\nInvoice no,Date,Due date,Open\nA1,01/07/2026,31/07/2026,60.00\nA2,13/07/2026,31/07/2026,40.00\n`;
    expect(codes(read(list('Customers 31.07.2026')))).toEqual(['list.nobody']);
    expect(codes(read(list('Customer:,Ardmore')))).toEqual([]);
  });
  it('have a due day by the terms where they print no other', () => {
    const { items } = read(
      'Customers\nCode,Name,No,Date,Terms days,Open\nK1,Ard,A1,2026-07-31,30,5.00\nK1,Ard,A2,2026-07-31,,5.00\n',
    );
    expect(items.map(({ due }) => due)).toEqual(['2026-08-30', null]);
    const endless = read('Customers\nCode,Name,No,Date,Terms days,Open\nK1,Ard,A1,2026-07-31,99999999999,5.00\n');
    expect(endless.items[0]?.due).toBeNull();
  });
  it('say what a person should look at', () => {
    const odd = read(
      [
        'Customers, as at 31 July 2026, EUR',
        'Code,Name,Invoice no,Date,Due date,Amount,Open',
        'K1,Ard,A1,2026-07-02,2026-06-01,10.00,5.00',
        'K1,Ard,A1,2026-07-02,2026-06-01,10.00,5.00',
        'K1,Ard,A3,2026-08-02,2026-08-30,10.00,15.00',
        'K1,Ard,A4,2026-07-02,2026-07-30,10.00,1.2.3',
        ',Total,,,,40.00,26.00',
      ].join('\n'),
    );
    expect(codes(odd)).toEqual([
      'list.amount',
      'list.total',
      'list.due',
      'list.due',
      'list.twice',
      'list.later',
      'list.more',
    ]);
    expect(odd.printed).toEqual({ original: 4000n, open: 2600n });
    const left = read(
      'Customers\nCode,Name,No,Date,Amount,Open\nK1,Ard,A1,2026-07-02,10.00,\nK1,Ard,A2,2026-07-02,10.00,4.00\n,,,,,7.00\nK1,Ard,A3,2026-07-02,10.00,2.005\nK1,Ard,A4,2026-07-02,9.00,1.00\n',
    );
    expect(codes(left)).toEqual(['list.amount', 'list.nothing-open', 'list.row', 'list.total']);
    expect(left.items.map(({ open }) => open)).toEqual([400n, 100n]);
    expect(codes(read('Customers\nCode,Name,No,Date,Open\nK1,Ard,A1,02/03/2026,5.00\n'))).toEqual(['list.dates']);
    // Parts with a day of their own are items of their own; of others each column is told.
    const parts =
      'Customers\nName,No,Date,Due 1,Amount 1,Due 2,Amount 2\nArd,A1,2026-05-15,2026-06-15,10.00,2026-07-15,10.00\nBray,A2,2026-05-20,2026-06-20,4.00,,\n';
    expect(read(parts).items.map(({ due, open }) => [due, open])).toEqual([
      ['2026-06-15', 1000n],
      ['2026-07-15', 1000n],
      ['2026-06-20', 400n],
    ]);
    expect(codes(read(parts))).toEqual([]);
    const without =
      'Customers\nName,No,Date,Amount 1,Amount 2\nArd,A1,2026-05-15,10.00,10.00\nBray,A2,2026-05-20,4.00,\n';
    expect(codes(read(without))).toContain('list.parts');
  });

  it('of balances have no documents of the days on which somebody was last invoiced or paid', () => {
    const found = read(
      'Supplier balances 31.3.2026\nNo;Supplier;Last invoice;Last payment;Balance\nS1;Rope & Rove;12.3.2026;1.3.2026;412,00\nS2;Saltwick;2.2.2026;;-30,00\n;Total;;;382,00\n',
      { kind: 'suppliers' },
    );
    expect(
      found.items.map(({ contactCode, documentKind, date, due, open }) => [contactCode, documentKind, date, due, open]),
    ).toEqual([
      ['S1', 'balance', null, null, -41_200n],
      ['S2', 'balance', null, null, 3000n],
    ]);
    expect(found.doubts).toEqual([]);
  });

  it('with amounts in a column that nothing reads are told, and not where they follow from others or are beside the matter', () => {
    const beside = (head: string, ...rows: string[]): readonly string[] =>
      codes(read(`Customers\nName,No,Date,Amount,Open,${head}\n${rows.join('\n')}\n`));
    expect(beside('Kept back', 'Ard,A1,2026-05-15,10.00,8.00,1.23', 'Bray,A2,2026-05-20,4.00,4.00,0.77')).toEqual([
      'list.parts',
    ]);
    expect(beside('Paid to date', 'Ard,A1,2026-05-15,10.00,8.00,2.00', 'Bray,A2,2026-05-20,4.00,3.00,1.00')).toEqual(
      [],
    );
    expect(beside('So far', 'Ard,A1,2026-05-15,10.00,8.00,8.00', 'Bray,A2,2026-05-20,4.00,3.00,11.00')).toEqual([]);
    expect(
      beside('Credit limit', 'Ard,A1,2026-05-15,10.00,8.00,500.00', 'Bray,A2,2026-05-20,4.00,3.00,900.00'),
    ).toEqual([]);
  });

  it('in thousands are read with their noughts, by a title, a column’s name or a unit below it, and say so', () => {
    for (const [title, open, unit] of [
      ['Customers, in thousands', 'Open', undefined],
      ['Customers', 'Open (TEUR)', undefined],
      ['Customers', 'EUR ’000', undefined],
      ['Customers', 'Open', ',,,€000'],
    ] as const) {
      const lines = [title, `Name,No,Date,${open}`, ...(unit === undefined ? [] : [unit]), 'Ard,A1,2026-05-15,320.5', 'Bray,A2,2026-05-20,75', ',Total,,395.5']; // prettier-ignore
      const found = read(lines.join('\n'));
      expect(found.items.map((item) => item.open)).toEqual([320_500n, 75_000n].map((amount) => amount * 10n ** BigInt(found.digits))); // prettier-ignore
      expect(codes(found)).toEqual(['list.scale']);
    }
  });

  it('in several currencies come to what is printed of each', () => {
    const apart = (nok: string): readonly string[] =>
      codes(read(`Customers;;;;\nName;No;Date;EUR;NOK\nArd;A1;2026-05-15;10,00;\nBray;A2;2026-05-20;;4,00\nBray;A3;2026-05-21;;2,00\nTotal;;;10,00;${nok}`)); // prettier-ignore
    const parted = (nok: string): readonly string[] =>
      codes(read(`Customers\nName;No;Date;Open\nEUR\nArd;A1;2026-05-15;10,00\nTotal EUR;;;10,00\nNOK\nBray;A2;2026-05-20;4,00\nBray;A3;2026-05-21;2,00\nTotal NOK;;;${nok}`)); // prettier-ignore
    const named = (nok: string): readonly string[] =>
      codes(read(`Customers\nName;No;Date;Currency;Open\nBray;A2;2026-05-20;NOK;4,00\nArd;A1;2026-05-15;EUR;10,00\nBray;A3;2026-05-21;NOK;2,00\nTotal EUR;;;EUR;10,00\nTotal NOK;;;NOK;${nok}`)); // prettier-ignore
    for (const list of [apart, parted, named]) {
      expect(list('6,00')).toEqual([]);
      expect(list('7,00')).toEqual(['list.sum']);
    }
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
  it('are what debits less credits come to, where a balance runs on beside them', () => {
    const ledger = read(
      [
        'Sales ledger at 30 June 2026;Printed 02/07/2026 14:33',
        'A/C;Name;Tran;Date;Ref;Details;Debit;Credit;Balance',
        'A1;Ardmore;SI;03/04/2026;10021;Rope;1,200.00;;1,200.00',
        'A1;Ardmore;SC;15/05/2026;C0012;Return;;200.00;1,000.00',
        'A1;Ardmore;SA;16/05/2026;;On account;;300.00;700.00',
        'B2;Ballin;SI;13/05/2026;10044;Flour;450.00;;450.00',
        ';;;;;Ledger total;1,650.00;500.00;1,150.00',
      ].join('\n'),
    );
    expect(ledger.asAt).toBe('2026-06-30');
    expect(
      ledger.items.map(({ documentKind, number, reference, open }) => [documentKind, number, reference, open]),
    ).toEqual([
      ['invoice', '10021', 'Rope', 120_000n],
      ['credit-note', 'C0012', 'Return', -20_000n],
      ['payment', null, 'On account', -30_000n],
      ['invoice', '10044', 'Flour', 45_000n],
    ]);
    expect(ledger.doubts).toEqual([]);
  });
  it('are balances where nothing numbers or dates them, on the side that a letter says or that most stand on', () => {
    const balances = (text: string) => read(text).items.map(({ documentKind, open }) => [documentKind, open]);
    expect(
      balances('Kreditoren\nKonto;Name;Saldo;S/H\n70001;Holz;1.234,56;H\n70002;Druck;200,00;S\n70003;Stahl;5,00;H\n'),
    ).toEqual([
      ['balance', -123_456n],
      ['balance', 20_000n],
      ['balance', -500n],
    ]);
    expect(balances('Debtors\nName,Balance\nArdmore,1200.00\nBallin,-35.50\nCairn,0.00\n')).toEqual([
      ['balance', 120_000n],
      ['balance', -3550n],
      ['balance', 0n],
    ]);
  });
  it('are the total beside ages that come to it', () => {
    const aged = read(
      'Aged Debtors\nCustomer,Total,Current,1 Month,2 Months,Older\nArdmore,1500.00,1000.00,500.00,0.00,0.00\nCairn,-20.00,-20.00,0.00,0.00,0.00\nTotal,1480.00,980.00,500.00,0.00,0.00\n',
    );
    expect(aged.items.map(({ open }) => open)).toEqual([150_000n, -2000n]);
    expect(aged.printed).toEqual({ open: 148_000n, ageing: [98_000n, 50_000n, 0n, 0n] });
  });
  it('have the first contact above the header, and are added up in base where currencies differ', () => {
    const list = read(
      [
        'Client: 4001 Forge Works',
        'Invoice;Issued;Due;Cur;Original;Open;EUR',
        '118;2026-06-01;2026-07-01;USD;1,000.00;1,000.00;920.00',
        'Client: 4002 Delta Sails',
        'Invoice;Issued;Due;Cur;Original;Open;EUR',
        '119;2026-06-03;2026-07-03;EUR;90.00;90.00;90.00',
        ';;;Total;;;1,010.00',
      ].join('\n'),
    );
    expect(list.items.map(({ contactCode, currency, open, base }) => [contactCode, currency, open, base])).toEqual([
      ['4001', 'USD', 100_000n, 92_000n],
      ['4002', 'EUR', 9000n, 9000n],
    ]);
    expect(list.printed).toEqual({ base: 101_000n });
  });
  it('say so where nothing tells what a document is that counts against invoices', () => {
    const odd = read(
      'Customers\nName;No;Date;Due date;Open\nArd;1;2026-01-05;2026-02-04;9,00\nArd;X2;2026-01-15;;-1,00\n',
    );
    expect(codes(odd)).toEqual(['list.kind']);
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
    // A count of stock has codes, names and amounts as well.
    const stock = 'Customers\nCode,Description,Qty on hand,Unit cost,Value\n418,Hemp,"1,250.5",1.8425,"2,304.05"\n';
    expect(readItems(tablesOf(stock), { name: 'x' })).toBeUndefined();
    expect(readContacts(tablesOf('1,2\n3,4\n'), 'x')).toBeUndefined();
  });
});

describe('lists of contacts', () => {
  it('tell by what is in them which column is an address, a tax number or a currency, and whom one asks from what it is called', () => {
    const list =
      'First Name,Contact Name,AccountNumber,Write to,Registered as,Paid in\nAnn,Rope & Rove,SUP-01,ann@rope.example,IE1234567FA,EUR\nKari,Fjordtau AS,SUP-02,kari@tau.example,NO987654325MVA,NOK\n';
    expect(readContacts(tablesOf(list), 'suppliers.csv')?.items[1]).toEqual({
      row: 3,
      code: 'SUP-02',
      name: 'Fjordtau AS',
      role: 'supplier',
      country: 'NO',
      taxNumber: 'NO987654325MVA',
      termDays: null,
      monthEnd: false,
      currency: 'NOK',
      email: 'kari@tau.example',
    });
  });
  it('are called by their organisation, or by names of their own, never by where they are', () => {
    const people =
      'ID,First name,Last name,Organisation,Street,Town,Country,Type\nC1,Ann,Brown,Harbour Café,1 Quay St,Westport,IE,Customer\nC2,Peter,Sand,,Old Shed,Achill,IE,Customer\nS2,,,Rope & Co,Dock 4,Hull,GB,Supplier\n';
    expect(readContacts(tablesOf(people), 'contacts.csv')?.items.map(({ name }) => name)).toEqual([
      'Harbour Café',
      'Peter Sand',
      'Rope & Co',
    ]);
  });
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
  it('are told by columns of yes and no, in words of other languages', () => {
    const roles = (text: string) => readContacts(tablesOf(text), 'x.csv')?.items.map(({ role }) => role);
    expect(
      roles('Ref,Company name,Customer?,Supplier?,Country\n7,Ardmore,Y,N,IE\n8,Cairn,N,Y,GB\n9,Drumlin,Y,Y,IE\n'),
    ).toEqual(['customer', 'supplier', 'both']);
    expect(roles('namn;typ;land\nÅkeri Norr;kund;SE\nBageriet;leverantör;SE\nVäveriet;både;SE\n')).toEqual([
      'customer',
      'supplier',
      'both',
    ]);
  });
  it('are told by a column of such words, whatever it is called', () => {
    const read = readContacts(
      tablesOf('Konto;Kontenart;Firma;Land\n10001;Debitor;Möwe Feinkost;DE\n70005;Kreditor;Eis-Kontor;DE\n'),
      'stamm.csv',
    );
    expect(read?.items.map(({ role }) => role)).toEqual(['customer', 'supplier']);
  });
  it('are due after the end of the month where their terms say so, in words of other languages too', () => {
    const list = `Kunde;Zahlungsziel\nWatt GmbH;30 Tage\nMeer AG;30 Tage Monatsende\nFjord ApS;Lb. md. + 15\nMarée SARL;45 jours fin de mois\nBay Ltd;EOM\n`;
    expect(
      readContacts(tablesOf(list), 'contacts.csv')?.items.map(({ termDays, monthEnd }) => [termDays, monthEnd]),
    ).toEqual([
      [30, false],
      [30, true],
      [15, true],
      [45, true],
      [0, true],
    ]);
  });
  it('have terms in a column that of documents says when they are due', () => {
    const list = `Kód;Megnevezés;Fizetési határidő\nV1;Tölgyfa Kft.;8 nap\nS2;Vas Bt.;30 nap\nB3;Nagy Péter;azonnal\n`;
    expect(readContacts(tablesOf(list), 'contacts.csv')?.items.map(({ termDays }) => termDays)).toEqual([8, 30, 0]);
  });
  it('are called by their short names, not by the codes of their towns', () => {
    const list =
      'Nazwa;Skrót;NIP;Ulica;Kod;Miasto\nWodorosty Bałtyk;BALTYK;5252248481;ul. Portowa 7;81-340;Gdynia\nZakład Suszenia Alg;MROZ;7251801126;Leśna 3;84-120;Hel\n';
    expect(readContacts(tablesOf(list), 'contacts.csv')?.items.map(({ code, name }) => [code, name])).toEqual([
      ['BALTYK', 'Wodorosty Bałtyk'],
      ['MROZ', 'Zakład Suszenia Alg'],
    ]);
  });
  it('point out who looks like one entered twice, and not two branches', () => {
    expect(readContacts(tablesOf(list), 'contacts.csv')?.nearDuplicates).toEqual([[2, 4]]);
  });
});
