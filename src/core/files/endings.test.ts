import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { textOf } from '../base/table';
import { readCsv } from './csv';

const rowsOf = (text: string) => {
  const read = readCsv(new TextEncoder().encode(text), 'notes.txt');
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value[0]?.rows.map((row) => row.map(textOf));
};

describe('notes with an amount at the end of each line', () => {
  it('are parted before the amount, with its sign, currency, brackets, groups and side', () => {
    expect(
      rowsOf(
        'Balances\nBank: £1,250.00\nOwner’s loan £(550.00)\n1000 Kasse 1 100,50 S\nVan .... 4,000.00 DR\nSales -1,000.00\nStock EUR 30.00',
      ),
    ).toEqual([
      ['Balances'],
      ['Bank', '£1,250.00'],
      ['Owner’s loan', '£(550.00)'],
      ['1000 Kasse', '1 100,50 S'],
      ['Van', '4,000.00 DR'],
      ['Sales', '-1,000.00'],
      ['Stock', 'EUR 30.00'],
    ]);
  });
  it('may have several amounts, as many in each line, under titles of their own', () => {
    expect(
      rowsOf('Acct Description Debit Credit\n1010 Bank 500.00 0.00\n3000 Capital 0.00 500.00\nVAT due 0.00 0.00'),
    ).toEqual([
      ['Acct Description', 'Debit', 'Credit'],
      ['1010 Bank', '500.00', '0.00'],
      ['3000 Capital', '0.00', '500.00'],
      ['VAT due', '0.00', '0.00'],
    ]);
    // Three capitals are a currency only where they are one.
    expect(rowsOf('- VAT 410.00\n- Bank EUR 85.20')).toEqual([
      ['VAT', '410.00'],
      ['Bank', 'EUR 85.20'],
    ]);
  });
  it('are none where a comma, a semicolon or a wide gap parts cells, or where the numbers are no money', () => {
    expect(rowsOf('1000, Bank, 100.00\n3000, Capital, -100.00')?.[0]).toHaveLength(3);
    expect(rowsOf('Bank;100.00\nCapital;-100.00')?.[0]).toHaveLength(2);
    expect(rowsOf('Tern Lane 12\nGull Road 7\nQuay 3')?.[0]).toHaveLength(1);
    expect(rowsOf('Dear all,\nthe balance is below.\nBank 100.00\nRegards')?.[0]).toHaveLength(2);
  });
  it('lose nothing: name and amount are those of the line, whatever they are', () => {
    const name = fc.constantFrom('Bank', 'Trade debtors', '1010 Bank', 'Owner’s loan', 'Löhne und Gehälter');
    const amount = fc.constantFrom('1,250.00', '-30.00', '(1,000.00)', '12.345,67', '€ 5.00', '70.10 CR');
    fc.assert(
      fc.property(fc.array(fc.tuple(name, amount), { minLength: 2, maxLength: 12 }), (lines) => {
        expect(rowsOf(lines.map((line) => line.join(' ')).join('\n'))).toEqual(lines.map((line) => [...line]));
      }),
    );
  });
});
