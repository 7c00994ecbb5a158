import { describe, expect, it } from 'vitest';
import { readCsv } from '../files/csv';
import { readChartRows, recogniseChart } from './chart-file';
import { lineByType } from './type-words';

const read = (text: string) => {
  const tables = readCsv(new TextEncoder().encode(text), 'chart.csv');
  const table = tables.ok ? tables.value[0] : undefined;
  if (table === undefined) throw new Error('no table');
  const { mapping } = recogniseChart([table]);
  const rows = readChartRows(table, mapping, 'EUR');
  return {
    columns: mapping.columns.join(),
    accounts: rows.map(({ says: { code, name, heading, type } }) =>
      [code, name, heading === true ? 'heading' : '', lineByType(type ?? '')?.classification ?? type ?? ''].join('|'),
    ),
  };
};

describe('a list of accounts from elsewhere', () => {
  it.each([
    [
      'Polish, with a title and synthetic accounts among the types',
      'Plan kont;;;\nNumer konta;Nazwa konta;Rodzaj;Waluta\n010;Środki trwałe;Syntetyczne;PLN\n131-1;Rachunek;Aktywa;PLN\n401-1;Zużycie;Koszty;PLN\n',
      'code,name,type,currency',
      ['010|Środki trwałe|heading|', '131-1|Rachunek||current-asset', '401-1|Zużycie||operating-expense'],
    ],
    [
      'Danish, codes and names in one cell',
      'Kontoplan\n1000 Bygninger\n1510 - Varelager\n6000 Egenkapital\n',
      'code-name',
      ['1000|Bygninger||', '1510|Varelager||', '6000|Egenkapital||'],
    ],
    [
      'English, with more in the titles than the words',
      'Account Number (GL),Account Description,FS Category,Dr/Cr\n1000,Cash on hand,Current Assets,Debit\n2000,Accounts payable,Current Liabilities,Credit\n',
      'code,name,type,side',
      ['1000|Cash on hand||current-asset', '2000|Accounts payable||current-liability'],
    ],
    [
      'English, with the account in every title',
      'Account,Account Nature,Account Level,Account Label\n1000,Current Assets,3,Cash on hand\n2000,Current Liabilities,3,Accounts payable\n',
      'code,type,ignore,name',
      ['1000|Cash on hand||current-asset', '2000|Accounts payable||current-liability'],
    ],
    [
      'Japanese',
      '科目コード,科目名,区分\n100,現金,資産\n500,売上高,収益\n',
      'code,name,type',
      ['100|現金||current-asset', '500|売上高||revenue'],
    ],
    [
      'Brazilian, where the nature says which account sums up others',
      'Conta;Descrição;Natureza;Grau\n1;ATIVO;Sintética;1\n1.1.01;Caixa;Analítica;3\n2;PASSIVO;Sintética;1\n2.1.01;Fornecedores;Analítica;3\n',
      'code,name,kind,ignore',
      ['1|ATIVO|heading|', '1.1.01|Caixa||', '2|PASSIVO|heading|', '2.1.01|Fornecedores||'],
    ],
    [
      'in words that nobody knows, told by where its codes begin',
      'Zzkod;Zznafn\n100;Petty cash\n110;Bank\n300;Capital\n',
      'code,name',
      ['100|Petty cash||', '110|Bank||', '300|Capital||'],
    ],
    [
      'without a header, below a title',
      'Our accounts;\n1000;Cash\n1010;Bank\n3000;Capital\n',
      'code,name',
      ['1000|Cash||', '1010|Bank||', '3000|Capital||'],
    ],
  ])('is read: %s', (_, text, columns, accounts) => {
    expect(read(text)).toEqual({ columns, accounts });
  });

  it('of one column says once what that holds', () => {
    const tables = readCsv(new TextEncoder().encode('1000 Bygninger\n1510 - Varelager\n'), 'chart.csv');
    expect(tables.ok && recogniseChart(tables.value).reasons).toEqual(['Column 1 holds codes with names behind them.']);
  });
});

it('a currency that is none is told at its row, and not to be switched on first', () => {
  const tables = readCsv(
    new TextEncoder().encode('Code,Name,Currency\n1000,Bank,nok\n1010,Till,EUX\n1020,Box,\n'),
    'c.csv',
  );
  const table = tables.ok ? tables.value[0] : undefined;
  if (table === undefined) throw new Error('no table');
  const rows = readChartRows(table, recogniseChart([table]).mapping, 'EUR');
  expect(rows.map(({ says, problems }) => [says.currency, ...problems.map(({ message }) => message)])).toEqual([
    ['NOK'],
    [undefined, '“EUX” is no currency of ISO 4217.'],
    [null],
  ]);
});
