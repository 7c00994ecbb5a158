import { type IsoDate } from '../base/iso-date';
import { describe, expect, it } from 'vitest';
import { plainDecimal } from '../money/format';
import { readPaper } from '../files/read';
import { paperSheet } from './sheet';
import { AWKWARD_PAPERS } from './testing/awkward-papers';

describe('trial balances as strangers make them', () => {
  it.each(AWKWARD_PAPERS)('$what', ({ text, asAt, accounts, asked }) => {
    const read = readPaper(new TextEncoder().encode(text), 'balances.csv');
    if (!read.ok) throw new Error(read.problems[0]?.message);
    const { recognition, stated } = paperSheet(read.value, { kind: 'proposed' }, { digits: 2 }, 'balances.csv');
    const found = recognition.rows.filter(({ kind }) => kind === 'account');
    expect(found.map(({ code, name, amount }) => `${code || name} ${plainDecimal(amount, 2)}`)).toEqual(accounts);
    expect(stated).toBe(asAt);
    if (asked !== undefined) expect(recognition.doubts.map(({ code }) => code)).toEqual(asked);
  });
  it('in several sheets, each of a month, are read by the one that is wanted, or the latest, and the others are offered', () => {
    const sheetOf = (month: string, bank: number) => ({
      name: month,
      rows: [
        ['Code', 'Name', 'Debit', 'Credit'],
        ['1000', 'Bank', `${String(bank)}.00`, ''],
        ['2000', 'Creditors', '', '30.00'],
        ['3000', 'Capital', '', `${String(bank - 30)}.00`],
      ],
    });
    const months = [sheetOf('June 2026', 200), sheetOf('July 2026', 300), sheetOf('May 2026', 100)];
    const read = (date?: IsoDate) => {
      const { recognition } = paperSheet(
        months,
        { kind: 'proposed' },
        { digits: 2, ...(date === undefined ? {} : { date }) },
        'book.xlsx',
      );
      return [recognition.reading.sheet, recognition.alternatives.map(({ reading }) => reading.sheet)];
    };
    expect(read()).toEqual([1, [0, 2]]);
    expect(read('2026-06-30')).toEqual([0, []]);
    // Of no sheet's day: the latest, and the others are asked about.
    expect(read('2025-12-31')).toEqual([1, [0, 2]]);
  });
  it('in two sheets, neither of which is a balance by itself, are read as one', () => {
    const sheets = [
      {
        name: 'Balance sheet',
        rows: [
          ['Balance sheet at 31 July 2026'],
          ['Assets'],
          ['1000', 'Bank', '520.00'],
          ['1500', 'Boat', '900.00'],
          ['', 'Total assets', '1,420.00'],
          ['Liabilities and equity'],
          ['2000', 'Creditors', '300.00'],
          ['3000', 'Capital', '1,000.00'],
          ['', 'Profit for the year', '120.00'],
          ['', 'Total liabilities and equity', '1,420.00'],
        ],
      },
      {
        name: 'Income statement',
        rows: [
          ['Income'],
          ['4000', 'Sales', '620.00'],
          ['Expenses'],
          ['5000', 'Wages', '400.00'],
          ['6000', 'Rent', '100.00'],
          ['', 'Profit for the year', '120.00'],
        ],
      },
    ];
    const { recognition, stated } = paperSheet(sheets, { kind: 'proposed' }, { digits: 2 }, 'accounts.xlsx');
    const rows = recognition.rows.filter(({ kind }) => kind === 'account');
    expect(rows.map(({ code, amount }) => `${code} ${plainDecimal(amount, 2)}`)).toEqual([
      '1000 520.00',
      '1500 900.00',
      '2000 -300.00',
      '3000 -1000.00',
      '4000 -620.00',
      '5000 400.00',
      '6000 100.00',
    ]);
    expect([recognition.reading.arrangement, stated]).toEqual(['all-sheets', '2026-07-31']);
    // Read as it was stored, it is the same.
    const again = paperSheet(
      sheets,
      { kind: 'as', reading: recognition.reading, infer: false },
      { digits: 2 },
      'x.xlsx',
    );
    expect(again.recognition.rows).toEqual(recognition.rows);
    const alone = paperSheet(sheets, { kind: 'from', sheet: 0 }, { digits: 2 }, 'x.xlsx');
    expect(alone.recognition.rows.some(({ code }) => code === '4000')).toBe(false);
  });
});
