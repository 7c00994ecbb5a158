import * as XLSX from '@e965/xlsx';
import iconv from 'iconv-lite';
import { describe, expect, it } from 'vitest';
import { readPaper } from '../files/read';
import { readAnyPaper } from '../files/read-any';
import { recognise } from './recognise';
import { paperSheet } from './sheet';
import { sheetAccounts } from './testing/sheet-accounts';

/** Papers as old systems make them, each with what is taken from it: code, name, amount with debit positive. */
describe('a paper', () => {
  const accounts = (text: string, encoding = 'utf-8') => {
    const read = readPaper(new Uint8Array(iconv.encode(text, encoding)), 'list.csv');
    if (!read.ok) throw new Error(read.problems[0]?.message);
    return sheetAccounts(read.value);
  };

  it('has its codes behind the names, in brackets', () => {
    expect(
      accounts(
        'Account,Balance\nBank (1000),500.00 Dr\nLoan 2024 (2300),-\nCapital (3000),300.00 Cr\nSales (4000),200.00 Cr',
      ),
    ).toEqual([
      ['1000', 'Bank', 50_000n],
      ['2300', 'Loan 2024', 0n],
      ['3000', 'Capital', -30_000n],
      ['4000', 'Sales', -20_000n],
    ]);
  });

  it('wraps its codes as the text of a formula', () => {
    expect(
      accounts('Code\tName\tBalance\n="0100"\tBoat\t90.00\n="0200"\tLoan\t-40.00\n="0300"\tCapital\t-50.00'),
    ).toEqual([
      ['0100', 'Boat', 9000n],
      ['0200', 'Loan', -4000n],
      ['0300', 'Capital', -5000n],
    ]);
  });

  it('has codes that look like amounts, in a column that is called so or rises', () => {
    const rows =
      '1000.00,Bank,90.00,\n1200.00,Stock,60.00,\n2000.00,Creditors,,40.00\n3000.00,Capital,,100.00\n4000.00,Sales,,10.00';
    const right = [
      ['1000.00', 'Bank', 9000n],
      ['1200.00', 'Stock', 6000n],
      ['2000.00', 'Creditors', -4000n],
      ['3000.00', 'Capital', -10_000n],
      ['4000.00', 'Sales', -1000n],
    ];
    expect(accounts(`Acct,Description,Debit,Credit\n${rows}`)).toEqual(right);
    expect(accounts(`,,Debit,Credit\n${rows}`)).toEqual(right);
  });

  it('has the sign of its amounts in a column of its own', () => {
    expect(
      accounts('Account,Sign,Amount\nBank,+,500.00\nVan,+,80.00\nVan depreciation,-,30.00\nCapital,-,550.00'),
    ).toEqual([
      ['', 'Bank', 50_000n],
      ['', 'Van', 8000n],
      ['', 'Van depreciation', -3000n],
      ['', 'Capital', -55_000n],
    ]);
  });

  it('names its years beside a mark for money, and a section that its total names as well', () => {
    expect(
      accounts(
        'Account\tNote\t2025 £\t2024 £\nShort-term stock due\t\t\t\nFeed\t1\t60.00\t50.00\nTotal short-term stock due\t\t60.00\t50.00\nEquity\t\t\t\nCapital\t2\t60.00\t50.00',
      ),
    ).toEqual([
      ['', 'Feed', 6000n],
      ['', 'Capital', -6000n],
    ]);
  });

  it('has months of short years as columns, and words alone among its amounts', () => {
    const text =
      'Nominal,Description,Jun-26,Jul-26\n10,Bank,90.00,100.00\n20,Loan,-40.00,-60.00\n,,,continued overleaf\n30,Capital,-50.00,-40.00';
    expect(accounts(text)).toEqual([
      ['10', 'Bank', 10_000n],
      ['20', 'Loan', -6000n],
      ['30', 'Capital', -4000n],
    ]);
    const read = readPaper(new Uint8Array(iconv.encode(text, 'utf-8')), 'list.csv');
    expect(read.ok && recognise(read.value, { digits: 2, date: '2026-07-31' }).doubts).toEqual([]);
  });

  it('spreads the word for its total over the column', () => {
    expect(
      accounts(
        '科目,借方残高,貸方残高\n現　金,"500.00",\n商　品,"1,200.00",\n買 掛 金,,"700.00"\n資 本 金,,"1,000.00"\n合　計,,',
      ),
    ).toEqual([
      ['', '現　金', 50_000n],
      ['', '商　品', 120_000n],
      ['', '買 掛 金', -70_000n],
      ['', '資 本 金', -100_000n],
    ]);
  });

  it('repeats an account under a heading of which it is the only one', () => {
    expect(
      accounts(
        'Code;Name;Balance\n1002;Banks;300.00\n100201;Harbour Bank;300.00\n2202;Suppliers;-120.00\n4001;Capital;-180.00',
      ).map(([code]) => code),
    ).toEqual(['100201', '2202', '4001']);
  });

  it('leads the eye with dots, and marks one side only', () => {
    const line = (name: string, amount: string, side = ''): string =>
      `${`${name} `.padEnd(34, '.')} ${amount.padStart(12)}${side}`;
    expect(
      accounts(
        [
          'TRIAL BALANCE',
          line('Cash (101)', '900.00'),
          line('Barn (150)', '2,000.00'),
          line('Barn, depreciation (151)', '400.00', ' CR'),
          line('Suppliers (201)', '100.00', ' CR'),
          line('Capital (301)', '2,400.00', ' CR'),
          line('TOTAL DEBITS', '2,900.00'),
          line('TOTAL CREDITS', '2,900.00', ' CR'),
        ].join('\n'),
      ),
    ).toEqual([
      ['101', 'Cash', 90_000n],
      ['150', 'Barn', 200_000n],
      ['151', 'Barn, depreciation', -40_000n],
      ['201', 'Suppliers', -10_000n],
      ['301', 'Capital', -240_000n],
    ]);
  });

  it('gives its headings and sums codes like accounts, the sums from the top on too', () => {
    expect(
      accounts(
        'Nr\tNavn\tUltimo\n1005\tSalg\t\n1010\tSalg af sild\t-70,00\n1020\tSalg af torsk\t-50,00\n1030\tEksport\t-20,00\n1099\tSalg i alt\t-140,00\n1310\tLønninger\t60,00\n1320\tHusleje\t30,00\n1330\tRenter\t5,00\n1999\tRESULTAT\t-45,00\n5005\tAktiver\t\n5110\tKasse\t25,00\n5120\tBank\t90,00\n5130\tDebitorer\t30,00\n5999\tAktiver i alt\t145,00\n6110\tKapital\t-100,00',
      ).map(([code]) => code),
    ).toEqual(['1010', '1020', '1030', '1310', '1320', '1330', '5110', '5120', '5130', '6110']);
  });

  it('has its own title beside the words that group its columns, or beside none', () => {
    const rows = '10;Bank;90,00;;100,00;\n20;Loan;;40,00;;60,00\n30;Capital;;50,00;;40,00';
    expect(
      accounts(`Seilerei GmbH;;Eröffnung;;Abschluss;\nKonto;Name;Soll;Haben;Soll;Haben\n${rows}`).map(
        ([, , amount]) => amount,
      ),
    ).toEqual([10_000n, -6000n, -4000n]);
    const read = readPaper(
      new Uint8Array(
        iconv.encode(
          'Seilerei GmbH;;;Stand 31.07.2026\nKonto;Name;Juli;kumuliert\n10;Bank;5,00;9,00\n30;Kapital;-5,00;-9,00',
          'utf-8',
        ),
      ),
      'list.csv',
    );
    expect(read.ok && recognise(read.value, { digits: 2 }).reading.height).toBeUndefined();
  });

  it('begins some of its groups with accounts that are nil, and others with ones that are not', () => {
    expect(
      accounts(
        'N1000;Kasse;;\nN1007;Festgeld;80,00;50,00\nN2000;Lieferanten;;\nN2007;Lohnsteuer;-20,00;-10,00\nN4000;Erlöse Inland;-90,00;-60,00\nN4007;Erlöse Ausland;-30,00;-30,00\nN5000;Wareneinkauf;50,00;40,00\nN5007;Löhne;10,00;10,00',
      ).map(([code]) => code),
    ).toEqual(['N1000', 'N1007', 'N2000', 'N2007', 'N4000', 'N4007', 'N5000', 'N5007']);
  });

  it('has codes that look like days', () => {
    expect(
      accounts(
        'Λογαριασμός;Περιγραφή;Υπόλοιπο\n11.00.00;Κτίρια;500,00\n11.99.00;Αποσβεσμένα κτίρια;-80,00\n30.01.02;Πελάτες;120,00\n40.00.00;Κεφάλαιο;-540,00',
      ).map(([code]) => code),
    ).toEqual(['11.00.00', '11.99.00', '30.01.02', '40.00.00']);
  });

  it('is framed by the lines of an old printer', () => {
    const row = (code: string, name: string, debit: string, credit: string): string =>
      `│ ${code.padEnd(6)}│ ${name.padEnd(20)}│${debit.padStart(12)} │${credit.padStart(12)} │`;
    expect(
      accounts(
        [
          'ARMATOR        ZESTAWIENIE OBROTÓW I SALD, okres: 01-2026 do 06-2026',
          '┌───────┬─────────────────────┬─────────────┬─────────────┐',
          row('Konto', 'Nazwa konta', 'Saldo Wn', 'Saldo Ma'),
          '├───────┼─────────────────────┼─────────────┼─────────────┤',
          row('101', 'Kasa główna', '1 250,00', ''),
          row('131', 'Rachunek bieżący', '4 300,00', ''),
          row('210', 'Sieci i Liny, środki', '', '550,00'),
          row('800', 'Kapitał', '', '5 000,00'),
          row('', 'RAZEM', '5 550,00', '5 550,00'),
          '└───────┴─────────────────────┴─────────────┴─────────────┘',
        ].join('\r\n'),
        'cp852',
      ),
    ).toEqual([
      ['101', 'Kasa główna', 125_000n],
      ['131', 'Rachunek bieżący', 430_000n],
      ['210', 'Sieci i Liny, środki', -55_000n],
      ['800', 'Kapitał', -500_000n],
    ]);
  });

  it('hides a column that nets as well, and is told of it', () => {
    const book = XLSX.utils.book_new();
    const sheet = XLSX.utils.aoa_to_sheet([
      ['Code', 'Name', 'Balance', 'Saldo'],
      ['10', 'Bank', 90, 100],
      ['20', 'Loan', -40, -60],
      ['30', 'Capital', -50, -40],
    ]);
    sheet['!cols'] = [{}, {}, {}, { hidden: true }];
    XLSX.utils.book_append_sheet(book, sheet, 'TB');
    const read = readPaper(new Uint8Array(XLSX.write(book, { type: 'buffer' }) as Buffer), 'tb.xlsx');
    if (!read.ok) throw new Error(read.problems[0]?.message);
    expect(sheetAccounts(read.value).map(([, , amount]) => amount)).toEqual([9000n, -4000n, -5000n]);
    expect(recognise(read.value, { digits: 2 }).doubts.map(({ message }) => message)).toEqual([
      'Column D of TB is hidden in the workbook: amounts there are read only where no other column has any.',
    ]);
  });

  it('is an OpenDocument workbook', () => {
    const book = XLSX.utils.book_new();
    const rows = [
      ['Balances', null, new Date(Date.UTC(2026, 6, 31))],
      ['Code', 'Name', 'Balance'],
      ['0100', 'Bank & <co>', 0.1],
      [200, 'Loan', 0.2],
      ['', '', ''],
      ['0300', 'Capital', -0.3],
    ];
    XLSX.utils.book_append_sheet(book, XLSX.utils.aoa_to_sheet(rows, { cellDates: true }), 'TB');
    const read = readPaper(new Uint8Array(XLSX.write(book, { type: 'buffer', bookType: 'ods' }) as Buffer), 'tb.ods');
    if (!read.ok) throw new Error(read.problems[0]?.message);
    expect(read.value[0]?.rows[0]).toEqual(['Balances', '', '2026-07-31']);
    expect(sheetAccounts(read.value)).toEqual([
      ['0100', 'Bank & <co>', 10n],
      ['200', 'Loan', 20n],
      ['0300', 'Capital', -30n],
    ]);
  });

  it('is a workbook with a remark beside some of its rows', () => {
    const rows = [
      ['Code', 'Name', 'Debit', 'Credit'],
      ['1010', 'Bank', 1200, null, 'agreed'],
      ['1100', 'Debtors', 300, null],
      ['2100', 'Creditors', null, 450, 900],
      ['3000', 'Capital', null, 1050],
    ];
    const book = XLSX.utils.book_new();
    XLSX.utils.book_append_sheet(book, XLSX.utils.aoa_to_sheet(rows), 'TB');
    const read = readPaper(new Uint8Array(XLSX.write(book, { type: 'buffer', bookType: 'xlsx' }) as Buffer), 'tb.xlsx');
    if (!read.ok) throw new Error(read.problems[0]?.message);
    expect(sheetAccounts(read.value)).toEqual([
      ['1010', 'Bank', 120_000n],
      ['1100', 'Debtors', 30_000n],
      ['2100', 'Creditors', -45_000n],
      ['3000', 'Capital', -105_000n],
    ]);
  });

  it.each([
    ['years', 'Assets;2025;2024', 'Liabilities;2025;2024'],
    ['days', 'Assets;31.12.2025;31.12.2024', 'Equity and liabilities;31.12.2025;31.12.2024'],
    ['words', 'What we own;Amount;Last year', 'What we owe;Amount;Last year'],
    ['a currency', 'Assets;EUR;Before', 'Liabilities;EUR;Before'],
  ])('has the titles of its columns again where its second part begins: %s', (_, first, second) => {
    expect(
      accounts(
        `${first}\nBank;1250,00;900,00\nVan;4000,00;4500,00\n${second}\nLoan;2250,00;2400,00\nCapital;3000,00;3000,00`,
      ),
    ).toEqual([
      ['', 'Bank', 125_000n],
      ['', 'Van', 400_000n],
      ['', 'Loan', -225_000n],
      ['', 'Capital', -300_000n],
    ]);
  });

  it('says the group of each account before its code', () => {
    expect(
      accounts(
        'Havn AS;;;;\nGruppe;Konto;Tekst;2026;2025\nEiendeler;1200;Maskiner;27 413;24 672\nEiendeler;1500;Kundefordringer;13 260;12 100\nEgenkapital og gjeld;2000;Aksjekapital;-30 673;-27 000\nEgenkapital og gjeld;2400;Leverandørgjeld;-10 000;-9 772',
      ).map(([code]) => code),
    ).toEqual(['1200', '1500', '2000', '2400']);
  });

  it('has headings whose codes end where those of their accounts do', () => {
    expect(
      accounts(
        'Account,Description,2026/02/28,2025/02/28\n1000/000,Sales,,\n1000/010,Sales - shop,(900.00),(800.00)\n2000/000,Purchases,300.00,200.00\n3000/000,Wages,,\n3000/010,Wages - shop,250.00,300.00\n3200/000,Rent paid,100.00,50.00\n5200/000,Share capital,(50.00),(50.00)\n8400/000,Bank,300.00,300.00',
      ),
    ).toEqual([
      ['1000/010', 'Sales - shop', -90_000n],
      ['2000/000', 'Purchases', 30_000n],
      ['3000/010', 'Wages - shop', 25_000n],
      ['3200/000', 'Rent paid', 10_000n],
      ['5200/000', 'Share capital', -5000n],
      ['8400/000', 'Bank', 30_000n],
    ]);
  });

  it('writes the side in front of the amount', () => {
    expect(accounts('Code;Name;Balance\n1;Bank;DR 1,250.00\n2;Loan;CR 250.00\n3;Capital;CR 1,000.00')).toEqual([
      ['1', 'Bank', 125_000n],
      ['2', 'Loan', -25_000n],
      ['3', 'Capital', -100_000n],
    ]);
  });

  it('calls its totals by words in the column of codes, of sections of one account too', () => {
    expect(
      accounts(
        'Compte;Intitulé;Solde débiteur;Solde créditeur\n101;Capital;;70,00\nTotal classe 1;;;70,00\n370;Stocks;30,00;\nTotal classe 3;;30,00;\n512;Banque;90,00;\n531;Caisse;;0,00\nTotal classe 5;;90,00;\n707;Ventes;;50,00\nTotal classe 7;;;50,00\nTotal général;;120,00;120,00',
      ),
    ).toEqual([
      ['101', 'Capital', -7000n],
      ['370', 'Stocks', 3000n],
      ['512', 'Banque', 9000n],
      ['531', 'Caisse', 0n],
      ['707', 'Ventes', -5000n],
    ]);
  });

  it('has a balance before and after its adjustments: the adjusted one counts, though few rows differ', () => {
    const rows = ['Bank', 'Debtors', 'Stock', 'Vans', 'Loan', 'Capital', 'Sales', 'Purchases'].map((name, at) => {
      const before = [500, 300, 220, 900, -600, -700, -1000, 380][at] ?? 0;
      const adjusting = name === 'Stock' ? 40 : name === 'Purchases' ? -40 : 0;
      return { name, before, adjusting, after: before + adjusting };
    });
    const pair = (amount: number): string => `${amount > 0 ? String(amount) : ''},${amount < 0 ? String(-amount) : ''}`;
    const text = rows
      .map(({ name, before, adjusting, after }) => `${name},${pair(before)},${pair(adjusting)},${pair(after)}`)
      .join('\n');
    expect(accounts(`,Unadjusted,,Adjustments,,Adjusted,\nAccount,Dr,Cr,Dr,Cr,Dr,Cr\n${text}`)).toEqual(
      rows.map(({ name, after }) => ['', name, BigInt(after * 100)]),
    );
  });

  it('shows the year’s result on both sides, which is no account', () => {
    expect(
      accounts(
        'ATTIVITÀ;Importo;PASSIVITÀ;Importo\nCassa;400,00;Debiti verso fornitori;150,00\nCrediti;90,00;Capitale sociale;300,00\nTotale attività;490,00;Totale passività;450,00\n;;Utile d’esercizio;40,00\n\nCOSTI;Importo;RICAVI;Importo\nAcquisti;160,00;Vendite;230,00\nSalari;30,00;;\nUtile d’esercizio;40,00;;',
        'windows-1252',
      ),
    ).toEqual([
      ['', 'Cassa', 40_000n],
      ['', 'Crediti', 9000n],
      ['', 'Debiti verso fornitori', -15_000n],
      ['', 'Capitale sociale', -30_000n],
      ['', 'Acquisti', 16_000n],
      ['', 'Salari', 3000n],
      ['', 'Vendite', -23_000n],
    ]);
  });

  it('is in Hebrew or Arabic, in one byte a letter', () => {
    for (const [encoding, bank, capital] of [
      ['windows-1255', 'חשבון בנק ראשי', 'הון מניות'],
      ['windows-1256', 'الحساب المصرفي', 'رأس المال'],
    ] as const)
      expect(accounts(`101;${bank};70.00;\n201;${capital};;70.00`, encoding)).toEqual([
        ['101', bank, 7000n],
        ['201', capital, -7000n],
      ]);
  });

  it('is printed with the figures a line below the names', () => {
    const line = (left: string, right: string): string => `${''.padEnd(26)}${left.padStart(14)}${right.padStart(15)}`;
    expect(
      accounts(
        [
          'FARLEIGH WALKS LTD                                       PAGE 1',
          'ACCOUNT                          DEBIT         CREDIT',
          '-----------------------------------------------------',
          '1001 Deposit account, Harbour Savings',
          line('1,590.30', ''),
          '1002 Petty cash',
          line('66.45', ''),
          '2100 Trade creditors',
          line('', '418.74'),
          '4000 Guided walks',
          line('', '1,238.01'),
          '-----------------------------------------------------',
          line('1,656.75', '1,656.75'),
        ].join('\n'),
      ),
    ).toEqual([
      ['1001', 'Deposit account, Harbour Savings', 159_030n],
      ['1002', 'Petty cash', 6645n],
      ['2100', 'Trade creditors', -41_874n],
      ['4000', 'Guided walks', -123_801n],
    ]);
  });

  it('is in the digits of another script', async () => {
    for (const [nought, point, comma] of [
      [0x0660, '٫', '٬'],
      [0x06f0, '٫', '٬'],
      [0xff10, '．', '，'],
    ] as const) {
      const own = (text: string): string =>
        text
          .replace(/\d/g, (digit) => String.fromCharCode(nought + Number(digit)))
          .replace(/\./g, point)
          .replace(/,/g, comma);
      const text = `Code;Name;Debit;Credit\n${own('101')};الصندوق ${own('2')};${own('1,070.50')};\n${own('201')};المورد;;${own('1,070.50')}`;
      const read = await readAnyPaper(new TextEncoder().encode(text), 'list.csv');
      if (!read.ok) throw new Error(read.problems[0]?.message);
      expect(sheetAccounts(read.value)).toEqual([
        ['101', `الصندوق ${own('2')}`, 107_050n],
        ['201', 'المورد', -107_050n],
      ]);
    }
  });

  it('has codes that tell its levels beside a number of each line, and a figure at every level', () => {
    const lines = [
      ['17', '1', 'Assets', '130.00 D'],
      ['21', '1.1', 'Current', '130.00 D'],
      ['22', '1.1.01', 'Till', '30.00 D'],
      ['25', '1.1.02', 'Bank', '100.00 D'],
      ['40', '2', 'Liabilities', '130.00 C'],
      ['44', '2.1', 'Current', '50.00 C'],
      ['45', '2.1.01', 'Suppliers', '50.00 C'],
      ['60', '2.2', 'Capital', '80.00 C'],
      ['61', '2.2.01', 'Share capital', '80.00 C'],
    ];
    expect(accounts(`Code;Classification;Account;Balance\n${lines.map((line) => line.join(';')).join('\n')}`)).toEqual([
      ['1.1.01', 'Till', 3000n],
      ['1.1.02', 'Bank', 10_000n],
      ['2.1.01', 'Suppliers', -5000n],
      ['2.2.01', 'Share capital', -8000n],
    ]);
  });

  it('has codes that look like days but for their length', () => {
    const lines = ['1-01-001,Till,"30.000",', '1-01-002,Bank,"100.000",', '3-01-001,Capital,,"130.000"'];
    expect(accounts(`No,Title,Debit,Credit\n${lines.join('\n')}`).map(([code]) => code)).toEqual([
      '1-01-001',
      '1-01-002',
      '3-01-001',
    ]);
  });

  it('has last year behind a column of this year that names no day', () => {
    const rows = ['Till', 'Bank', 'Debtors', 'Stock', 'Wages', 'Rent', 'Sales', 'Capital'].map((name, at) => {
      const [pier, quay] = [(at + 2) * 10 * (at < 6 ? 1 : -1), (at + 1) * 5 * (at < 6 ? 1 : -1)];
      return { name, pier, quay: at < 7 ? quay : -375 - 90 + 180 };
    });
    const bracketed = (amount: number): string => (amount < 0 ? `(${String(-amount)}.00)` : `${String(amount)}.00`);
    const lines = rows.map(
      ({ name, pier, quay }, at) =>
        `${String(at + 10)},${name},${[pier, quay, pier + quay, pier + quay - 1].map(bracketed).join(',')}`,
    );
    expect(
      accounts(`Balances by shop at 30 June 2026\nA/c,Account,Pier,Quay,All shops,30 June 2025\n${lines.join('\n')}`),
    ).toEqual(rows.map(({ name, pier, quay }, at) => [String(at + 10), name, BigInt((pier + quay) * 100)]));
  });

  it('has a day in its title that a comma of its own parts', () => {
    expect(accounts('Balance Sheet\nAs of June 30, 2026\n\nTill,30.00\nBank,100.00\nCapital,-130.00')).toEqual([
      ['', 'Till', 3000n],
      ['', 'Bank', 10_000n],
      ['', 'Capital', -13_000n],
    ]);
  });

  it('has two accounts a line right under its title, which still says its day', () => {
    const text =
      'Balance per 31.12.2025;;;;;\nNo;Assets;CHF;No;Liabilities;CHF\n1000;Till;30.00;2000;Suppliers;50.00\n1020;Bank;100.00;2800;Capital;80.00\n;Total;130.00;;Total;130.00';
    expect(accounts(text)).toEqual([
      ['1000', 'Till', 3000n],
      ['1020', 'Bank', 10_000n],
      ['2000', 'Suppliers', -5000n],
      ['2800', 'Capital', -8000n],
    ]);
    const read = readPaper(new TextEncoder().encode(text), 'list.csv');
    const sheet = paperSheet(read.ok ? read.value : [], { kind: 'proposed' }, { digits: 2 }, 'list.csv');
    expect([sheet.stated, sheet.recognition.doubts.map(({ code }) => code)]).toEqual(['2025-12-31', []]);
  });

  it('has accounts that carry what stands below them, of which their codes do not tell where it ends', () => {
    const text = (total: string): string =>
      `Code;Name;Debit;Credit\n1000;Banks;85.00;\n1010;Quay Bank;60.00;\n1020;Mercer Bank;25.00;\n1200;Stock;40.00;\n2000;Owed;;45.00\n2010;Suppliers;;30.00\n2020;Taxes;;15.00\n2500;Loan;;80.00\n${total}`;
    const own = [
      ['1010', 'Quay Bank', 6000n],
      ['1020', 'Mercer Bank', 2500n],
      ['1200', 'Stock', 4000n],
      ['2010', 'Suppliers', -3000n],
      ['2020', 'Taxes', -1500n],
      ['2500', 'Loan', -8000n],
    ];
    expect(accounts(text(''))).toEqual(own);
    expect(accounts(text(';Total;125.00;125.00'))).toEqual(own);
    const read = readPaper(new TextEncoder().encode(text(';Total;125.00;125.00')), 'list.csv');
    const sheet = paperSheet(read.ok ? read.value : [], { kind: 'proposed' }, { digits: 2 }, 'list.csv');
    expect(sheet.recognition.doubts.map(({ code }) => code)).toEqual(['reading.sum']);
    expect(sheet.recognition.doubts[0]?.message).toContain('what the rows below');
  });
});
