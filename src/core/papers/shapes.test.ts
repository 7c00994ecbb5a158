import iconv from 'iconv-lite';
import { describe, expect, it } from 'vitest';
import { readPaper } from '../files/read';
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
});
