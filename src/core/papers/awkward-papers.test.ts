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
    const read = (date?: string) => {
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
});
