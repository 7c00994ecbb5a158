import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readPdfPage } from '@/core/files/pdf';
import { readAnyPaper } from '@/core/files/read-any';
import { recognise } from '@/core/papers/recognise';
import { rowTotals } from '@/core/papers/rows';
import { statedDate } from '@/core/papers/stated-date';
import { type Text, pdfOf } from '../hostile/pdf';

/** A list as programs print it: codes and names to the left, figures to the right, letters of one width. */
const line = (y: number, code: string, name: string, debit: string, credit: string): readonly Text[] =>
  (
    [
      [40, y, code],
      [90, y, name],
      [360 - debit.length * 6, y, debit],
      [480 - credit.length * 6, y, credit],
    ] as const
  ).filter(([, , text]) => text !== '');

describe('a trial balance printed as PDF', () => {
  it('is read like every other paper, names of two lines among them', async () => {
    const bytes = pdfOf([
      [40, 800, 'Harbour Lane Stores'],
      [40, 785, 'Trial balance as at 31 March 2026'],
      ...line(760, 'Code', 'Account', 'Debit', 'Credit'),
      ...line(740, '1010', 'Bank', '12,500.00', ''),
      [90, 726, 'Machines, accumulated'],
      ...line(720, '1619', '', '', '700.00'),
      [90, 714, 'depreciation'],
      ...line(700, '2100', 'Suppliers', '', '4,200.00'),
      ...line(680, '3010', 'Capital', '', '7,600.00'),
      ...line(660, '', '', '12,500.00', '12,500.00'),
    ]);
    const read = await readAnyPaper(bytes, 'printed.pdf');
    if (!read.ok) throw new Error(read.problems[0]?.message);
    const { rows, reading, doubts } = recognise(read.value, { digits: 2 });
    expect(rows.flatMap(({ kind, code, name, amount }) => (kind === 'account' ? [[code, name, amount]] : []))).toEqual([
      ['1010', 'Bank', 1_250_000n],
      ['1619', 'Machines, accumulated depreciation', -70_000n],
      ['2100', 'Suppliers', -420_000n],
      ['3010', 'Capital', -760_000n],
    ]);
    expect(doubts).toEqual([]);
    expect(statedDate(read.value, reading, 'printed.pdf')).toBe('2026-03-31');
  });
  it.each([
    ['wattenhof-saldenliste-2025-12-31.pdf', 'Verbindlichkeiten aus Lieferungen und Leistungen'],
    ['harbour-bells-trial-balance-2026-03-31.pdf', 'Machines, accumulated depreciation'],
  ])('%s is read right without a correction', async (name, account) => {
    const read = await readAnyPaper(new Uint8Array(readFileSync(`demo/papers/${name}`)), name);
    if (!read.ok) throw new Error(read.problems[0]?.message);
    const { rows, doubts } = recognise(read.value, { digits: 2 });
    expect(rowTotals(rows)).toMatchObject({ accounts: 22, debits: 59_402_987n, net: 0n });
    expect(rows.map(({ name: own }) => own)).toContain(account);
    expect(doubts).toEqual([]);
  });
});

describe('where a row of a PDF stands', () => {
  const bytes = pdfOf([
    [40, 800, 'Harbour Lane Stores'],
    ...line(760, 'Code', 'Account', 'Debit', 'Credit'),
    ...line(740, '1010', 'Bank', '12,500.00', ''),
    ...line(720, '3010', 'Capital', '', '12,500.00'),
  ]);

  it('is told for each, by page and height', async () => {
    const read = await readAnyPaper(bytes, 'printed.pdf');
    const [table] = read.ok ? read.value : [];
    expect(table?.places).toEqual([800, 760, 740, 720].map((y) => ({ page: 1, y })));
    expect(table?.places?.length).toBe(table?.rows.length);
  });

  it('is shown on the page itself, whose texts stand where they are printed', async () => {
    const page = await readPdfPage(bytes, 'printed.pdf', 7);
    if (!page.ok) throw new Error(page.problems[0]?.message);
    const { pieces, ...rest } = page.value;
    expect(rest).toEqual({ width: 600, height: 850, across: [], number: 1, pages: 1 });
    expect(pieces.find(({ text }) => text === 'Bank')).toMatchObject({ from: 90, y: 740 });
  });
});
