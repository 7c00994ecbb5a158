import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCsv } from '../files/csv';
import { readAnyPaper } from '../files/read-any';
import { plainDecimal } from '../money/format';
import { minor } from '../money/minor';
import { readCamt } from './camt';
import { entriesSum } from './statement';
import { bankStatements } from './read-list';
import { readStatementTable } from './statement-table';
import { makeStatements } from './testing/statement-maker';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

const entry = (amount: string, side: string, day: string, status = '<Sts>BOOK</Sts>', more = ''): string =>
  `<Ntry><Amt Ccy="EUR">${amount}</Amt><CdtDbtInd>${side}</CdtDbtInd>${status}<BookgDt><Dt>${day}</Dt></BookgDt><ValDt><Dt>${day}</Dt></ValDt>${more}</Ntry>`;
const balance = (code: string, amount: string, side: string, day: string): string =>
  `<Bal><Tp><CdOrPrtry><Cd>${code}</Cd></CdOrPrtry></Tp><Amt Ccy="EUR">${amount}</Amt><CdtDbtInd>${side}</CdtDbtInd><Dt><Dt>${day}</Dt></Dt></Bal>`;
const statement = (inside: string, iban = 'IE29AIBK93115212345678', id = '1'): string =>
  `<Stmt><Id>${id}</Id><Acct><Id><IBAN>${iban}</IBAN></Id><Ccy>EUR</Ccy></Acct>${inside}</Stmt>`;
const file = (...statements: readonly string[]): Uint8Array =>
  bytes(
    `<?xml version="1.0"?><d:Document xmlns:d="urn:iso:std:iso:20022:tech:xsd:camt.053.001.02"><BkToCstmrStmt>${statements.join('')}</BkToCstmrStmt></d:Document>`,
  );
const OPEN = balance('OPBD', '100.00', 'CRDT', '2026-07-01');
const codes = (read: ReturnType<typeof readCamt>): readonly string[] =>
  (read.ok ? read.value.doubts : read.problems).map(({ code }) => code);

describe('a statement as ISO 20022 has it', () => {
  it('is read with its balances and booked entries, money in the bank positive', () => {
    const read = readCamt(
      file(
        statement(
          OPEN +
            entry(
              '20.50',
              'DBIT',
              '2026-07-03',
              '<Sts><Cd>BOOK</Cd></Sts>',
              '<NtryDtls><TxDtls><RmtInf><Ustrd>Rope</Ustrd><Ustrd>July</Ustrd></RmtInf></TxDtls></NtryDtls>',
            ) +
            entry('5', 'CRDT', '2026-07-09', '<Sts>BOOK</Sts>', '<AddtlNtryInf>Refund</AddtlNtryInf>') +
            entry('7.00', 'DBIT', '2026-07-31', '<Sts>PDNG</Sts>') +
            balance('CLBD', '84.50', 'CRDT', '2026-07-31'),
        ),
      ),
      's.xml',
    );
    expect(read).toMatchObject({
      ok: true,
      value: {
        doubts: [],
        statements: [
          {
            account: 'IE29AIBK93115212345678',
            currency: 'EUR',
            from: '2026-07-01',
            to: '2026-07-31',
            opening: { date: '2026-07-01', amount: 10_000n },
            closing: { date: '2026-07-31', amount: 8450n },
            entries: [
              { amount: -2050n, text: 'Rope July' },
              { amount: 500n, text: 'Refund' },
            ],
          },
        ],
      },
    });
  });
  it('says when it does not come to its closing balance, or has none', () => {
    const wrong = statement(
      OPEN + entry('20.50', 'DBIT', '2026-07-03') + balance('CLBD', '80.00', 'CRDT', '2026-07-31'),
    );
    expect(codes(readCamt(file(wrong), 's.xml'))).toEqual(['statement.sum']);
    expect(codes(readCamt(file(statement(entry('1.00', 'CRDT', '2026-07-03'))), 's.xml'))).toEqual([
      'statement.no-opening',
      'statement.no-closing',
    ]);
    expect(codes(readCamt(file(statement(OPEN + entry('1.2.3', 'CRDT', '2026-07-03'))), 's.xml'))).toContain(
      'statement.entry',
    );
  });
  it('may be several, of several accounts', () => {
    const two = file(statement(OPEN), statement(OPEN, 'DE89370400440532013000', '2'));
    const read = readCamt(two, 's.xml');
    expect(read.ok && read.value.statements.map(({ account }) => account)).toEqual([
      'IE29AIBK93115212345678',
      'DE89370400440532013000',
    ]);
  });
  it.each([
    ['<!DOCTYPE x [<!ENTITY a "b">]><Document/>', 'statement.entities'],
    ['<Document><BkToCstmrStmt>', 'statement.broken'],
    ['<a>'.repeat(80), 'statement.deep'],
    ['<Document><Other/></Document>', 'statement.none'],
    [
      `<Document><BkToCstmrStmt><Stmt><Id>${'x'.repeat(40_000)}</Id></Stmt></BkToCstmrStmt></Document>`,
      'statement.long',
    ],
  ])('is refused with a sentence: %.40s', (text, code) => {
    const read = readCamt(bytes(text), 's.xml');
    expect(codes(read)).toEqual([code]);
    expect(read.ok ? '' : read.problems[0]?.message).toMatch(/^s\.xml .{20,}\.$/);
  });
  it('comes to its closing balance whatever its entries and their order', () => {
    fc.assert(
      fc.property(
        fc.array(fc.bigInt(-999_999n, 999_999n), { maxLength: 20 }),
        fc.bigInt(-99_999n, 99_999n),
        (amounts, start) => {
          const text = (units: bigint): string => {
            const size = units < 0n ? -units : units;
            return `${String(size / 100n)}.${String(size % 100n).padStart(2, '0')}`;
          };
          const side = (units: bigint): string => (units < 0n ? 'DBIT' : 'CRDT');
          const end = amounts.reduce((sum, units) => sum + units, start);
          const read = readCamt(
            file(
              statement(
                balance('CLBD', text(end), side(end), '2026-07-31') +
                  amounts.map((units) => entry(text(units), side(units), '2026-07-03')).join('') +
                  balance('PRCD', text(start), side(start), '2026-06-30'),
              ),
            ),
            's.xml',
          );
          expect(codes(read)).toEqual([]);
          if (read.ok) expect(entriesSum(read.value.statements[0] ?? { entries: [] })).toBe(minor(end - start));
        },
      ),
    );
  });
  it('has no day where what is written is none', () => {
    const read = readCamt(
      file(statement(balance('OPBD', '1', 'CRDT', '2026-02-30') + entry('2', 'DBIT', '9999-99-99'))),
      's.xml',
    );
    expect(read).toMatchObject({
      ok: true,
      value: { statements: [{ from: null, opening: { date: null }, entries: [{ date: null, valueDate: null }] }] },
    });
  });
  it('whose currency is none, or is not said, is left out with a sentence, and the others are read', () => {
    const whole = statement(OPEN + balance('CLBD', '100.00', 'CRDT', '2026-07-31'));
    const strange = statement(OPEN.replaceAll('EUR', 'EUX'), 'DE02120300000000202051').replace('>EUR<', '>EUX<');
    const silent = statement('', 'FI2112345600000785').replace('<Ccy>EUR</Ccy>', '');
    const read = readCamt(file(strange, whole, silent), 's.xml');
    if (!read.ok) throw new Error('not read');
    expect(read.value.statements.map(({ account }) => account)).toEqual(['IE29AIBK93115212345678']);
    expect(read.value.doubts.map(({ message }) => message)).toEqual([
      'The statement of DE02120300000000202051 is in “EUX”, which is no currency of ISO 4217, so its amounts do not read, and it was left out. Fetch it from the bank again.',
      'The statement of FI2112345600000785 does not say in which currency it is, so its amounts do not read, and it was left out. Fetch it from the bank again.',
    ]);
    expect(codes(readCamt(file(strange), 's.xml'))).toEqual(['statement.no-currency']);
  });
});

const table = (text: string) => {
  const read = readCsv(bytes(text), 'bank.csv');
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return readStatementTable(read.value, 'bank.csv');
};

describe('a bank’s table', () => {
  it('invented in eight languages and many shapes is read exactly, whatever its columns are called', () => {
    const wrong: string[] = [];
    for (let seed = 1; seed <= 150; seed += 1) {
      const made = makeStatements(seed);
      const read = table(made.text);
      const got = read.ok
        ? read.value.statements.map(({ account, opening, closing, entries }) => ({
            account,
            opening: opening === null ? '' : plainDecimal(opening.amount, 2),
            closing: closing === null ? '' : plainDecimal(closing.amount, 2),
            entries: entries.map((entry) => ({ ...entry, amount: plainDecimal(entry.amount, 2) })),
          }))
        : [];
      const inOrder = (list: readonly { readonly account: string }[]) =>
        JSON.stringify([...list].sort((one, other) => (one.account < other.account ? -1 : 1)));
      if (inOrder(got) !== inOrder(made.statements)) wrong.push(`${String(seed)} ${made.traits.join(' ')}`);
    }
    expect(wrong).toEqual([]);
  });
  it('and a list of items with a header in no known language say that their columns were told by what is in them', () => {
    const read = table(
      'Aqw;Bxe;Cry;Dtu\n2026-07-13;Zip;5,00;15,00\n2026-07-14;Zap;1,00;16,00\n2026-07-15;Zop;-2,00;14,00\n',
    );
    expect(read).toMatchObject({
      value: {
        statements: [{ opening: { amount: 1000n }, closing: { amount: 1400n } }],
        doubts: [{ code: 'statement.columns' }],
      },
    });
  });
  it('is read oldest first, its balances taken from the balance beside each entry', () => {
    const read = table(
      [
        'Skerry Bank;IBAN IE29 AIBK 9311 5212 3456 78;EUR',
        'Buchungstag;Wertstellung;Verwendungszweck;Betrag;Saldo',
        '31.07.2026;30.07.2026;Miete;-800,00;1.200,00',
        '14.07.2026;14.07.2026;Rechnung 17;500,00;2.000,00',
      ].join('\n'),
    );
    expect(read).toMatchObject({
      ok: true,
      value: {
        doubts: [],
        statements: [
          {
            account: 'IE29AIBK93115212345678',
            currency: 'EUR',
            opening: { date: '2026-07-14', amount: 150_000n },
            closing: { date: '2026-07-31', amount: 120_000n },
            entries: [
              { date: '2026-07-14', amount: 50_000n, text: 'Rechnung 17' },
              { date: '2026-07-31', valueDate: '2026-07-30', amount: -80_000n, text: 'Miete' },
            ],
          },
        ],
      },
    });
  });
  it('has money in and out in two columns, and lines of its own for the balances', () => {
    const read = table(
      [
        'Date,Description,Money out,Money in',
        '2026-07-01,Opening balance,,100.00',
        '2026-07-03,Rope,20.50,',
        '2026-07-20,Sale,,5.00',
        '2026-07-31,Closing balance,,84.50',
      ].join('\n'),
    );
    expect(read).toMatchObject({
      ok: true,
      value: {
        doubts: [],
        statements: [
          { opening: { amount: 10_000n }, closing: { amount: 8450n }, entries: [{ amount: -2050n }, { amount: 500n }] },
        ],
      },
    });
  });
  it('of two accounts is two statements', () => {
    const read = table(
      'Account,Date,Description,Amount,Balance\n111-1,2026-07-13,A,5.00,15.00\n222-2,2026-07-14,B,-5.00,10.00\n111-1,2026-07-15,C,1.00,16.00\n',
    );
    expect(read.ok && read.value.statements.map(({ account, entries }) => [account, entries.length])).toEqual([
      ['111-1', 2],
      ['222-2', 1],
    ]);
  });
  it('of two accounts has the balances of each, also where lines of their own say them', () => {
    const read = table(
      'Account,Date,Description,Debit,Credit\n1-1,2026-03-01,Opening balance,,100.00\n1-1,2026-03-05,Sale,,50.00\n2-2,2026-03-01,Opening balance,3.00,\n2-2,2026-03-09,Fee,4.00,\n2-2,2026-03-31,Closing balance,7.00,\n',
    );
    expect(read).toMatchObject({
      ok: true,
      value: {
        statements: [
          { account: '1-1', opening: { date: '2026-03-01', amount: 10_000n }, closing: null },
          { account: '2-2', opening: { amount: -300n }, closing: { date: '2026-03-31', amount: -700n } },
        ],
      },
    });
  });
  it('says its last balance with its day in words, and goes on with a day that it prints once', () => {
    const read = table(
      'Relevé du 01/12/2025 au 31/12/2025;;;\nDate;Libellé;Débit;Crédit\n;SOLDE PRECEDENT AU 30/11/2025;;410,00\n03/12/2025;PRLV;12,40;\n;FRAIS;2,60;\n;TOTAL DES MOUVEMENTS;15,00;\n;SOLDE AU 31/12/2025;;395,00\n',
    );
    expect(read).toMatchObject({
      ok: true,
      value: {
        doubts: [],
        statements: [
          {
            opening: { date: '2025-11-30', amount: 41_000n },
            closing: { date: '2025-12-31', amount: 39_500n },
            entries: [{ amount: -1240n }, { date: '2025-12-03', amount: -260n, text: 'FRAIS' }],
          },
        ],
      },
    });
  });
  it('carries its balance from page to page, and closes on the last', () => {
    const read = table(
      'Date,Text,Money out,Money in\n,Balance brought forward,,10.00\n2026-07-03,A,,5.00\n,Carried forward,,15.00\n,Brought forward,,15.00\n2026-07-09,B,1.00,\n,Closing balance,,14.00\n',
    );
    expect(read).toMatchObject({
      ok: true,
      value: {
        doubts: [],
        statements: [{ opening: { amount: 1000n }, closing: { amount: 1400n }, entries: [{}, {}] }],
      },
    });
  });
  it('takes back what came in where its column has amounts below nil among others, and takes them as sizes where all are', () => {
    const amounts = (...rows: readonly string[]) => {
      const read = table(['Date,Description,Debit,Credit,Balance', ...rows].join('\n'));
      return read.ok ? [read.value.statements[0]?.entries.map(({ amount }) => amount), read.value.doubts] : [];
    };
    expect(
      amounts('2026-07-01,Office,349.99,,9650.01', '2026-07-10,Deposit,,2500.00,12150.01', '2026-07-11,Reversal,,-2500.00,9650.01'), // prettier-ignore
    ).toEqual([[-34_999n, 250_000n, -250_000n], []]);
    expect(amounts('2026-07-01,Office,-349.99,,9650.01', '2026-07-10,Deposit,,2500.00,12150.01')).toEqual([
      [-34_999n, 250_000n],
      [],
    ]);
  });
  it('is of the account whose number stands in every row, whatever its column is called', () => {
    const read = table(
      [
        'Buchungstag;Buchungstext;Betrag;IBAN Auftraggeber;IBAN Empfänger',
        '31.07.2026;Strom;-84,20;DE02120300000000202051;DE89370400440532013000',
        '30.07.2026;Rechnung;1.190,00;DE02120300000000202051;IE29AIBK93115212345678',
      ].join('\n'),
    );
    expect(read.ok && read.value.statements.map(({ account }) => account)).toEqual(['DE02120300000000202051']);
  });
  it('has entries that begin with a day and end with an amount some lines below, and balances on the side that they say', async () => {
    const print = [
      'KONTOAUSZUG                                               Nr. 7/2026',
      'Tidebank eG                                   Kontonummer 100 2000 30',
      '                                              IBAN DE02 1203 0000 0000 2020 51',
      'Bu.Tag  Wert    Vorgang                                          Betrag EUR',
      '                                      alter Kontostand vom 30.06.2026    1.100,00 S',
      '02.07.  02.07.  Lastschrift',
      '                STADTWERKE TIDEHAFEN',
      '                KD 4471 ABSCHLAG                                    84,20 S',
      '06.07.  07.07.  Gutschrift',
      '                CAFE LEUCHTTURM',
      '                RE 2026-0412                                     1.190,00 H',
      '31.07.  31.07.  Abschluss                                            9,90 S',
      '                                      neuer Kontostand vom 31.07.2026        4,10 S',
      '',
    ].join('\n');
    const tables = await readAnyPaper(new TextEncoder().encode(print), 'auszug.txt');
    const read = tables.ok ? readStatementTable(tables.value, 'auszug.txt') : undefined;
    const statement = read?.ok === true ? read.value.statements[0] : undefined;
    expect([statement?.account, statement?.opening, statement?.closing]).toEqual([
      'DE02120300000000202051',
      { date: '2026-06-30', amount: -110_000n },
      { date: '2026-07-31', amount: -410n },
    ]);
    expect(statement?.entries.map(({ date, valueDate, amount, text }) => [date, valueDate, amount, text])).toEqual([
      ['2026-07-02', '2026-07-02', -8420n, 'Lastschrift STADTWERKE TIDEHAFEN KD 4471 ABSCHLAG'],
      ['2026-07-06', '2026-07-07', 119_000n, 'Gutschrift CAFE LEUCHTTURM RE 2026-0412'],
      ['2026-07-31', '2026-07-31', -990n, 'Abschluss'],
    ]);
    expect(read?.ok === true && read.value.doubts).toEqual([]);
  });
  it('is of an account whose number begins like a day', () => {
    const read = table(
      [
        'Account,Date,Narrative,Amount,Dr/Cr,Balance,Bal Dr/Cr',
        '20-11-88 44102291,01/07/26,Bal b/f,,,512.40,DR',
        '20-11-88 44102291,03/07/26,Receipt Bay Stores,1000.00,CR,487.60,CR',
        '20-11-88 44102291,18/07/26,Cheque 10231,250.00,DR,237.60,CR',
      ].join('\n'),
    );
    const [statement] = read.ok ? read.value.statements : [];
    expect([statement?.account, statement?.opening?.amount, statement?.entries.map(({ date }) => date)]).toEqual([
      '20-11-88 44102291',
      -51_240n,
      ['2026-07-03', '2026-07-18'],
    ]);
  });
  it('leaves out what is only announced, and says so', () => {
    const read = table(
      [
        'Date,Description,Money out,Money in,Balance',
        'Pending,CARD SKERRY FUELS,£200.00,,',
        '31 Jul 2026,HARBOUR LIGHT,,£520.00,"£4,310.12"',
        '30 Jul 2026,ANCHOR INS,£210.00,,"£3,790.12"',
      ].join('\n'),
    );
    expect(read.ok && read.value.statements[0]?.entries.map(({ text }) => text)).toEqual([
      'ANCHOR INS',
      'HARBOUR LIGHT',
    ]);
    expect(read.ok && read.value.doubts.map(({ code }) => code)).toEqual(['statement.pending']);
  });
  it('gives words behind a mark of their own to the entry below them, where that has no mark', () => {
    const read = table(
      [
        'Date,Type,Details,Paid out,Paid in,Balance',
        '01 JUL 2026,,BALANCE BROUGHT FORWARD,,,500.00',
        '02 JUL 2026,DD,COASTAL ENERGY,18.22,,',
        ',DD,ANCHOR INSURANCE,,,',
        ',,POLICY 88120,20.00,,461.78',
        '03 JUL 2026,BP,TO N THRIFT,1.00,,460.78',
        ',,THANK YOU,,,',
      ].join('\n'),
    );
    expect(read.ok && read.value.statements[0]?.entries.map(({ text }) => text)).toEqual([
      'DD COASTAL ENERGY',
      'DD ANCHOR INSURANCE POLICY 88120',
      'BP TO N THRIFT THANK YOU',
    ]);
  });
  it('leaves the year of its days to its title, across the turn of the year too, printed or not', async () => {
    const printed = [
      'NORWICK BANK                STATEMENT OF ACCOUNT          Sheet 12',
      'Account 44-20-11 70019922        6 Dec 2025 to 5 Jan 2026',
      '',
      'Date     Details                   Paid out     Paid in     Balance',
      ' 6 Dec   Balance brought forward                           1,204.55',
      ' 9 Dec   Chq 000441                   80.25',
      ' 9 Dec   BACS Abbey Cycles                       640.00    1,764.30',
      ' 3 Jan   Interest                                  0.12    1,764.42',
    ].join('\n');
    const tables = await readAnyPaper(bytes(printed), 'statement.txt');
    expect(tables.ok && readStatementTable(tables.value, 'statement.txt')).toMatchObject({
      ok: true,
      value: {
        doubts: [],
        statements: [
          {
            account: '44-20-11 70019922',
            opening: { date: '2025-12-06', amount: 120_455n },
            closing: { date: '2026-01-03', amount: 176_442n },
            entries: [
              { date: '2025-12-09', amount: -8025n },
              { date: '2025-12-09' },
              { date: '2026-01-03', amount: 12n },
            ],
          },
        ],
      },
    });
    expect(table('Statement to 5 January 2026,,\nDate,Text,Amount\n12/31,A,1.00\n01/02,B,2.00\n')).toMatchObject({
      ok: true,
      value: { statements: [{ entries: [{ date: '2025-12-31' }, { date: '2026-01-02' }] }] },
    });
  });
  it('has each account in the decimals of its own currency, and says which rows it leaves out', () => {
    const read = table(
      'Account,Date,Description,Currency,Amount,Balance\n111-1,2026-07-13,A,EUR,5.50,15.50\n222-2,2026-07-14,B,JPY,-500,1000\n222-2,2026-07-15,C,JPY,0.5,1000.5\n,,Total,,5.50,\n',
    );
    expect(read).toMatchObject({
      ok: true,
      value: {
        statements: [
          { currency: 'EUR', digits: 2, entries: [{ amount: 550n }] },
          { currency: 'JPY', digits: 0, opening: { amount: 1500n }, entries: [{ amount: -500n }] },
        ],
        doubts: [{ code: 'statement.entry', message: expect.stringContaining('Row 4') as unknown }],
      },
    });
  });
  it('has its account beside the word for one, balances among its rows, and words under any title', () => {
    const card = table(
      'Kortkonto 4571 **** **** 3321;;;\nPeriode;20.06.2026 - 19.07.2026;;\nSaldo ved periodens start;;;-4.120,00\nDato;Rentedato;Tekst;Beløb\n21.06.2026;20.06.2026;FÆRGE;-412,50\n02.07.2026;30.06.2026;INDBETALING;4.120,00\nSaldo ved periodens slut;;;-412,50\n',
    );
    expect(card).toMatchObject({
      ok: true,
      value: {
        doubts: [],
        statements: [
          {
            account: '4571 **** **** 3321',
            opening: { date: '2026-06-20', amount: -412_000n },
            closing: { date: '2026-07-19', amount: -41_250n },
            entries: [{ date: '2026-06-21', valueDate: '2026-06-20' }, { date: '2026-07-02' }],
          },
        ],
      },
    });
    const bought = table(
      'Date,Merchant,Category,Amount\n07/14/2026,HARBOR FUEL,Fuel,84.10\n07/19/2026,ROPE DEPOT,Supplies,215.99\nBalance,,,300.09\n',
    );
    expect(bought.ok ? bought.value.statements[0]?.entries.map(({ text }) => text) : []).toEqual([
      'HARBOR FUEL',
      'ROPE DEPOT',
    ]);
    const japanese = table(
      '取引日,摘要,お支払金額,お預り金額,残高\n2026/03/02,振込,,132000,1284000\n2026/03/10,電気料金,18240,,1265760\n2026/03/31,手数料,440,,1265320\n',
    );
    expect(japanese.ok ? japanese.value.statements[0]?.entries.map(({ amount }) => amount) : []).toEqual([
      132_000n,
      -18_240n,
      -440n,
    ]);
    const french = table(
      'Date;Libellé;Débit euros;Crédit euros\nCompte n° 00012345678;;;\nAncien solde au 31/05/2026;;;4 512,30\n03/06;VIR RECU;;706,40\n10/06;PRLV EDF;212,15;\n30/06;FRAIS;6,00;\nNouveau solde au 30/06/2026;;;5 000,55\n',
    );
    expect(french).toMatchObject({ value: { doubts: [], statements: [{ account: '00012345678' }] } });
    const still = table(
      'Savings account 88120044\nDate,Details,Paid out,Paid in,Balance\n01/06/2026,Balance brought forward,,,1000.00\n30/06/2026,Balance carried forward,,,1000.00\n',
    );
    expect(still).toMatchObject({
      value: {
        doubts: [],
        statements: [
          { account: '88120044', entries: [], closing: { date: '2026-06-30', amount: 100_000n }, from: '2026-06-01' },
        ],
      },
    });
    const swedish = table(
      'Kontonummer;9020 12 345 67\n\nBokföringsdag;Transaktionsdag;Beskrivning;Belopp;Bokfört saldo\n2026-04-30;2026-04-29;Swish;1 500,00;25 410,50\n2026-04-28;2026-04-28;Hyra;-8 000,00;23 910,50\n',
    );
    expect(swedish).toMatchObject({ value: { doubts: [], statements: [{ closing: { amount: 2_541_050n } }] } });
    const masked = table(readFileSync('demo/papers/skerry-card-2026-07-19.csv', 'utf8'));
    expect(masked).toMatchObject({
      value: {
        doubts: [{ code: 'statement.card' }],
        statements: [
          {
            account: '**** **** **** 4417',
            opening: { date: '2026-06-20', amount: -91_280n },
            closing: { date: '2026-07-19', amount: -104_135n },
            entries: [{ amount: 91_280n }, { amount: -31_045n }, { amount: -18_800n }, {}, {}],
          },
        ],
      },
    });
    const short = table(
      'Card ending 4417\nStatement date,19 Jul 2026\nPrevious balance,"1,000.00"\nNew balance,310.45\nTrans date,Post date,Merchant,Amount (EUR)\n22 Jun,23 Jun,PAYMENT - THANK YOU,"1,000.00 CR"\n26 Jun,27 Jun,HARBOUR DIESEL,310.45\n',
    );
    expect(short).toMatchObject({
      value: {
        doubts: [{ code: 'statement.card' }],
        statements: [
          {
            opening: { amount: -100_000n },
            // As the statement is dated, not as its last entry is.
            closing: { date: '2026-07-19', amount: -31_045n },
            entries: [
              { date: '2026-06-22', valueDate: '2026-06-23', amount: 100_000n },
              { date: '2026-06-26', amount: -31_045n },
            ],
          },
        ],
      },
    });
    const below = table(
      'Statement of account 00112233\nEUR account\nBooked;Text;Amount;Balance\n2026-03-05;Wrack;100,00;1.100,00\n2026-03-06;Fee;-2,50;1.097,50\nStatement of account 00112244\nUSD account\nBooked;Text;Amount;Balance\n2026-03-07;Tern;900,00;1.900,00\n2026-03-09;Fee;-15,00;1.885,00\n',
    );
    expect(below).toMatchObject({
      value: {
        doubts: [],
        statements: [
          { account: '00112233', currency: 'EUR', closing: { amount: 109_750n }, entries: [{}, {}] },
          { account: '00112244', currency: 'USD', closing: { amount: 188_500n }, entries: [{}, {}] },
        ],
      },
    });
    const merchant = table(
      'Account statement\nAccount number,12-34-56 00112233\nTransaction Date,Posting Date,Merchant,Debit,Credit\n2026-07-03,2026-07-04,ROPE SHOP,45.10,\n2026-07-10,2026-07-11,PAYMENT RECEIVED,,300.00\n',
    );
    expect(merchant).toMatchObject({
      value: {
        statements: [
          {
            account: '12-34-56 00112233',
            entries: [
              { amount: -4510n, text: 'ROPE SHOP' },
              { amount: 30_000n, text: 'PAYMENT RECEIVED' },
            ],
          },
        ],
      },
    });
  });
  it('says when it has no balance, does not come to it, or is none', () => {
    const doubts = (text: string): readonly string[] => {
      const read = table(text);
      return (read.ok ? read.value.doubts : read.problems).map(({ code }) => code);
    };
    expect(doubts('Date,Description,Amount\n2026-07-13,A,5.00\n')).toEqual([
      'statement.no-opening',
      'statement.no-closing',
    ]);
    expect(doubts('Date,Description,Amount,Balance\n2026-07-13,A,5.00,15.00\n2026-07-14,B,1.00,17.00\n')).toEqual([
      'statement.sum',
    ]);
    expect(doubts('Colour,Shape\nred,round\n')).toEqual(['statement.none']);
  });
});

describe('a bank’s table with what entries were in another currency', () => {
  const currencies = (...lines: readonly string[]) => {
    const read = table(lines.join('\n'));
    return read.ok && read.value.statements.map(({ currency }) => currency);
  };
  it('is in the currency that its amounts are called by, else in the one in which both amounts are the same', () => {
    const rows = (between: string) => [
      `2026-07-01${between}Card Oslo,-85.20,-950.00,NOK,914.80`,
      `2026-07-05${between}Salary,-500.00,-500.00,EUR,414.80`,
      `2026-07-20${between}Customer,1450.00,1450.00,EUR,1864.80`,
    ];
    expect(currencies('Date,Text,Amount EUR,Amount original,Cur,Balance', ...rows(','))).toEqual(['EUR']);
    expect(currencies('Date,Text,Amount,Original amount,Currency,Balance', ...rows(','))).toEqual(['EUR']);
    expect(
      currencies('Date,Text,Amount,Currency,Balance', '2026-07-01,Card,-85.20,GBP,914.80', '2026-07-05,Fee,-5.00,GBP,909.80'),
    ).toEqual(['GBP']); // prettier-ignore
  });
});

describe('a bank’s table with its balances among the entries', () => {
  const read = (...lines: readonly string[]) => {
    const found = table(lines.join('\n'));
    if (!found.ok) throw new Error(found.problems[0]?.message);
    return found.value.statements.map(({ opening, closing, entries }) => [
      opening?.amount,
      closing?.amount,
      entries.length,
    ]);
  };
  it('knows them by their words, or by what all between come to', () => {
    const between = ['02.07.2026;Husleie;-1.190,00', '15.07.2026;Kunde;190,00', '20.07.2026;Kunde 2;250,00'];
    const end = ['31.07.2026;Gebyr;-9,90', '31.07.2026;Til neste side;4.240,10'];
    expect(read('Dag;Tekst;Beløp', '01.07.2026;Frå førre side;5.000,00', ...between, ...end)).toEqual([
      [500_000n, 424_010n, 4],
    ]);
    expect(read('Dag;Tekst;Beløp', '01.07.2026;Kunde 0;5.000,01', ...between, ...end)).toEqual([
      [undefined, undefined, 6],
    ]);
    expect(
      read('Datum;Text;Betrag', '30.06.2026;Kontostand alt;5.000,00', ...between, '31.07.2026;Kontostand neu;4.250,00'),
    ).toEqual([[500_000n, 425_000n, 3]]);
  });
  it('knows on which side a balance says that it stands', () => {
    const rows = ['Date;Libellé;Débit;Crédit', '03/07/2026;Loyer;500,00;', '09/07/2026;Client;;120,00'];
    const framed = (before: string, after: string) =>
      read(`Solde ${before} au 30/06/2026;;;400,00`, ...rows, `Solde ${after} au 31/07/2026;;;20,00`);
    expect(framed('créditeur', 'créditeur')).toEqual([[40_000n, 2000n, 2]]);
    expect(framed('débiteur', 'débiteur')).toEqual([[-40_000n, -2000n, 2]]);
    // It may have its sign besides.
    expect(read('Solde débiteur au 30/06/2026;;;-400,00', ...rows)).toEqual([[-40_000n, undefined, 2]]);
  });
  it('takes what a page carries over for no closing balance', () => {
    const pages = [
      'Date,Details,Paid out,Paid in,Balance',
      '30 Jun 26,Balance brought forward,,,"1,882.40"',
      '04 Jul 26,Electricity,121.18,,"1,761.22"',
      ',Balance carried forward,,,"1,761.22"',
      ',Balance brought forward,,,"1,761.22"',
      '28 Jul 26,Rent,900.00,,861.22',
    ];
    expect(read(...pages, ',Balance at 31 Jul 26,,,861.22')).toEqual([[188_240n, 86_122n, 2]]);
    expect(read(...pages)).toEqual([[188_240n, 86_122n, 2]]);
    expect(read(...pages, ',Balance carried forward,,,861.22')).toEqual([[188_240n, 86_122n, 2]]);
  });
  it('of several currencies, with columns for each, is one statement of each', () => {
    const found = table(
      [
        'Date,Details,EUR in,EUR out,EUR balance,GBP in,GBP out,GBP balance',
        '2026-07-01,Opening,,,1000.00,,,500.00',
        '2026-07-05,Dulse Bar,760.40,,1760.40,,,',
        '2026-07-09,Skye Foods,,,,425.00,,925.00',
        '2026-07-20,Rent,,300.00,1460.40,,,',
        '2026-07-31,Charges,,,,,5.00,920.00',
      ].join('\n'),
    );
    expect(found.ok && found.value.doubts).toEqual([]);
    expect(
      found.ok &&
        found.value.statements.map(({ currency, opening, closing, entries }) => [
          currency,
          opening?.amount,
          closing?.amount,
          entries.map(({ amount }) => amount),
        ]),
    ).toEqual([
      ['EUR', 100_000n, 146_040n, [76_040n, -30_000n]],
      ['GBP', 50_000n, 92_000n, [42_500n, -500n]],
    ]);
  });
  it('has an account that ends with its line, whatever the next one begins with', () => {
    const found = table(
      'IBAN DE02 1203 0000 0000 2020 51\n01.07.2026 - 31.07.2026\nDatum;Text;Betrag;Saldo\n02.07.2026;Stadtwerke;-120,50;879,50\n15.07.2026;Möwe;20,00;899,50\n',
    );
    expect(found.ok && found.value.statements.map(({ account }) => account)).toEqual(['DE02120300000000202051']);
  });
  it('printed without a header begins at the balance right above its entries', () => {
    const line = (booked: string, valued: string, text: string, amount: string): string =>
      `${booked.padEnd(7)}${valued.padEnd(7)}${text.padEnd(44)}${amount.padStart(16)}`;
    const found = table(
      [
        'KONTOAUSZUG 7/2026           Blatt 1',
        'IBAN DE02 1203 0000 0000 2020 51                Währung EUR',
        '',
        line('', '', 'Alter Kontostand vom 30.06.2026', '4.300,00 +'),
        line('02.07.', '02.07.', 'Lastschrift Stadtwerke', '120,50 -'),
        line('15.07.', '15.07.', 'Gutschrift Möwe & Sohn', '2.380,00 +'),
        line('', '', 'RE-2630 vom 02.06.2026', ''),
        line('31.07.', '31.07.', 'Entgelt Kontoführung', '9,90 -'),
        line('', '', 'Neuer Kontostand vom 31.07.2026', '6.549,60 +'),
      ].join('\n'),
    );
    expect(found.ok && found.value.statements).toMatchObject([
      {
        account: 'DE02120300000000202051',
        opening: { date: '2026-06-30', amount: 430_000n },
        closing: { date: '2026-07-31', amount: 654_960n },
        entries: [{ amount: -12_050n }, { amount: 238_000n }, { amount: -990n }],
      },
    ]);
  });
  it('takes off what was charged for each, where the balances follow each other with it', () => {
    const found = table(
      [
        'Date,Reference,Counterparty,Money In,Money Out,Fee,Balance After',
        '2026-07-31,TX9,Pier Trust,,300.00,0.20,4100.05',
        '2026-07-14,TX8,Dulse Bar,1520.80,,,4400.25',
        '2026-07-03,TX7,Harbour Fuel,,210.00,,2879.45',
      ].join('\n'),
    );
    expect(found.ok && found.value.doubts).toEqual([]);
    expect(found.ok && found.value.statements[0]?.entries.map(({ amount }) => amount)).toEqual([
      -21_000n,
      152_080n,
      -30_020n,
    ]);
  });
  it('has both balances below its entries, the newest first, told apart by their days', () => {
    const read = table(
      [
        'Kontonummer;1234 56 78901;;;',
        'Bokføringsdato;Rentedato;Forklaring;Ut fra konto;Inn på konto',
        '31.07.2026;31.07.2026;Omkostninger;25,00;',
        '28.07.2026;28.07.2026;Faktura 5517;;6 200,00',
        '15.07.2026;15.07.2026;Husleie;8 000,00;',
        ';;Saldo 31.07.2026;;14 175,00',
        ';;Saldo 30.06.2026;;16 000,00',
      ].join('\n'),
    );
    expect(read.ok && read.value.doubts).toEqual([]);
    expect(read.ok && read.value.statements.map(({ opening, closing }) => [opening, closing])).toEqual([
      [
        { date: '2026-06-30', amount: 1_600_000n },
        { date: '2026-07-31', amount: 1_417_500n },
      ],
    ]);
  });
  it('has the day of a balance in the order of its other days, and texts that tell entries apart', () => {
    const found = table(
      [
        'Date,Description,Category,Amount,Running Bal.',
        '07/01/2026,Beginning balance as of 07/01/2026,,,"2,500.00"',
        '07/03/2026,Check 123,,-130.00,"2,370.00"',
        '07/15/2026,"Deposit, batch 8812",,150.00,"2,520.00"',
        '07/31/2026,Ending balance as of 07/31/2026,,,"2,520.00"',
      ].join('\n'),
    );
    const [only] = found.ok ? found.value.statements : [];
    expect([only?.opening, only?.from]).toEqual([{ date: '2026-07-01', amount: 250_000n }, '2026-07-01']);
    const wallet = table(
      'Wallet;Date;Type;Net;Balance\nMain;01/07/2026;Payment received;116,50;616,50\nMain;03/07/2026;Refund;-19,40;597,10\nMain;20/07/2026;Withdrawal;-500,00;97,10',
    );
    expect(wallet.ok && wallet.value.statements[0]?.entries.map(({ text }) => text)).toEqual([
      'Payment received',
      'Refund',
      'Withdrawal',
    ]);
  });
  it('has debits and credits by whatever more their columns are called', () => {
    expect(
      read(
        'trans_date,description,debit_amount,credit_amount,running_balance',
        '20260701,PIER RENT,400.00,,2100.00',
        '20260715,CARD TERMINAL,,150.00,2250.00',
      ),
    ).toEqual([[250_000n, 225_000n, 2]]);
  });
});

describe('a message of SWIFT', () => {
  const message = (...lines: readonly string[]): Uint8Array => bytes(`${lines.join('\r\n')}\r\n`);
  const swift = (...lines: readonly string[]) => {
    const read = bankStatements(message(...lines), 'bank.sta');
    if (read?.ok !== true) throw new Error('it is no message');
    return read.value;
  };
  const OPENED = [':20:STMT', ':25:DE02120300000000202051', ':28C:7/1', ':60F:C251230EUR1204,55'];

  it('has balances, entries with both their days, what is taken back, and words with and without the marks of a bank', () => {
    const read = swift(
      '{1:F01BANKDEFFXXXX0000000000}{2:I940BANKDEFFXXXXN}{4:',
      ...OPENED,
      ':61:2512310102D80,25NCHK000441//ABC',
      ':86:106?00SCHECK?20Nets and?21 ropes?32SEILER GMBH',
      ':61:2601030103C640,00NTRFNONREF',
      ':86:Invoice 17',
      ' Abbey Cycles',
      ':61:260105RC10,NTRFNONREF',
      ':62F:C260105EUR1754,30',
      '-}',
    );
    expect(read.doubts).toEqual([]);
    expect(read.statements).toEqual([
      {
        account: 'DE02120300000000202051',
        currency: 'EUR',
        digits: 2,
        from: '2025-12-30',
        to: '2026-01-05',
        opening: { date: '2025-12-30', amount: 120_455n },
        closing: { date: '2026-01-05', amount: 175_430n },
        entries: [
          { date: '2026-01-02', valueDate: '2025-12-31', amount: -8025n, text: 'Nets and ropes SEILER GMBH' },
          { date: '2026-01-03', valueDate: '2026-01-03', amount: 64_000n, text: 'Invoice 17 Abbey Cycles' },
          { date: '2026-01-05', valueDate: '2026-01-05', amount: -1000n, text: '' },
        ],
      },
    ]);
  });
  it('goes on in a second one, and holds those of other accounts', () => {
    const { statements, doubts } = swift(
      ...OPENED,
      ':61:260102C5,00NTRF',
      ':62M:C260102EUR1209,55',
      '-}{4:',
      ':20:STMT',
      ':25:DE02120300000000202051',
      ':60M:C260102EUR1209,55',
      ':61:260103D9,55NTRF',
      ':62F:C260103EUR1200,00',
      ':20:OTHER',
      ':25:40404040/123',
      ':60F:D260101JPY500,',
      ':62F:D260103JPY500,',
    );
    expect(doubts).toEqual([]);
    expect(
      statements.map(({ account, opening, closing, entries }) => [
        account,
        opening?.amount,
        closing?.amount,
        entries.length,
      ]),
    ).toEqual([
      ['DE02120300000000202051', 120_455n, 120_000n, 2],
      ['40404040/123', -500n, -500n, 0],
    ]);
  });
  it('whose currency is none, or is not said, is left out with a sentence', () => {
    const strange = message(':20:STMT', ':25:40404040/123', ':60F:C251230EUX1204,55', ':62F:C251230EUX1204,55');
    const wrong = bankStatements(strange, 'bank.sta');
    expect(wrong?.ok === false && wrong.problems[0]?.message).toContain('is in “EUX”, which is no currency');
    const { statements, doubts } = swift(...OPENED, ':62F:C251230EUR1204,55', ':20:STMT', ':25:40404040/123');
    expect(statements.map(({ account }) => account)).toEqual(['DE02120300000000202051']);
    expect(doubts.map(({ message: told }) => told)).toEqual([
      expect.stringContaining('The statement of 40404040/123 does not say in which currency it is'),
    ]);
  });
  it.each<[string, readonly string[], readonly string[]]>([
    ['sums that are wrong', [...OPENED, ':61:260102C5,00NTRF', ':62F:C260102EUR1,00'], ['statement.sum']],
    ['no closing balance', [...OPENED, ':61:260102C5,00NTRF'], ['statement.no-closing']],
    [
      'entries without an amount, or with more decimals than the currency',
      [...OPENED, ':61:260102CNTRF', ':61:260102C5,001NTRF', ':62F:C260102EUR1204,55'],
      ['statement.entry', 'statement.entry'],
    ],
  ])('with %s is told of', (_, lines, told) => {
    expect(swift(...lines).doubts.map(({ code }) => code)).toEqual(told);
  });
  it('comes to its closing balance whatever its entries are, and is out where one is lost', () => {
    const cents = fc.integer({ min: -99_999_999, max: 99_999_999 });
    const signed = (amount: number): string =>
      `${amount < 0 ? 'D' : 'C'}${String(Math.floor(Math.abs(amount) / 100))},${String(Math.abs(amount) % 100).padStart(2, '0')}`;
    const balance = (amount: number): string => signed(amount).replace(/^([CD])/, '$1260131EUR');
    fc.assert(
      fc.property(cents, fc.array(cents, { minLength: 1, maxLength: 12 }), (opening, entries) => {
        const closing = entries.reduce((sum, entry) => sum + entry, opening);
        const lines = entries.map((entry) => `:61:260115${signed(entry)}NTRF`);
        const of = (own: readonly string[]) =>
          swift(':20:A', ':25:1/2', `:60F:${balance(opening)}`, ...own, `:62F:${balance(closing)}`);
        expect(of(lines).doubts).toEqual([]);
        expect(of(lines).statements[0]?.entries.map(({ amount }) => Number(amount))).toEqual(entries);
        expect(of(lines.slice(1)).doubts.map(({ code }) => code)).toEqual(entries[0] === 0 ? [] : ['statement.sum']);
      }),
    );
  });
});
