import { describe, expect, it } from 'vitest';
import { amountColumns, readingOf } from './amount-columns';
import type { Reading } from './reading';

const READING: Reading = {
  sheet: 0,
  header: 0,
  columns: ['code', 'name', 'debit', 'credit', 'ignore', 'ignore', 'currency', 'foreign'],
  style: '1.234,56',
  convention: 'written',
  asAccount: {},
};
const rows = [
  ['Code', 'Name', 'Debit', 'Credit', 'Last year', 'Remark', 'Ccy', 'Amount'],
  ['1010', 'Bank', '1.000,00', '', '900,00', 'checked', 'NOK', '5,00'],
  ['3010', 'Capital', '', '1.000,00', '(900,00)', '', '', ''],
  ['4010', 'Sales', '', '', '-', 'n/a', '', ''],
];

describe('the columns of a paper that hold amounts', () => {
  it('are those read and those beside them, called by their titles; words, codes and amounts in currency are none', () => {
    expect(amountColumns({ name: '', rows }, READING)).toEqual([
      { column: 2, title: 'Debit' },
      { column: 3, title: 'Credit' },
      { column: 4, title: 'Last year' },
    ]);
    expect(
      amountColumns({ name: '', rows: rows.slice(1) }, { ...READING, header: -1 }).map(({ title }) => title),
    ).toEqual(['column 3', 'column 4', 'column 5']);
  });
  it('can each be read alone, as a balance', () => {
    expect(readingOf(READING, 4)).toMatchObject({
      convention: 'debit-positive',
      columns: ['code', 'name', 'ignore', 'ignore', 'balance', 'ignore', 'currency', 'ignore'],
    });
  });
});
