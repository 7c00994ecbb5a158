import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { readChartRows, recogniseChart } from '../chart/chart-file';
import { readLines } from '../chart/lines';
import { readEntry } from '../money/entry';
import { readRate } from '../money/rate';
import { readClipboard } from './clipboard';
import { readPaperAmount } from '../money/paper-amount';
import { splitCodeName } from '../papers/layout';
import { titleOf } from '../papers/titles';
import { readRates } from '../papers/rates';
import { recognise } from '../papers/recognise';
import { datesIn } from '../papers/dates-in';
import { usualSide } from '../words/side-words';
import { rateBook } from '../money/rate-book';
import { folded } from '../base/table';
import { cleaned, isClean, oneLine } from './clean';
import { splitText } from './split';
import * as limits from './limits';
import { readPaper } from './read';
import { asText, fromText, toCsv } from './write';

const utf8 = (text: string): Uint8Array => new TextEncoder().encode(text);
const rowsOf = (text: string) => {
  const read = readPaper(utf8(text), 'file');
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value[0];
};
const MOST = { rows: 1000, cells: 10_000 };

describe('delimited text', () => {
  it('ends its rows at every kind of line end, also several in one file, and keeps those inside quotes', () => {
    const table = rowsOf('Code,Name,Debit\r\n1000,Bank,500.00\r1010,"Kelp\r\nstock",100.00\n3000,Capital,600.00\n\r');
    expect(table?.rows).toEqual([
      ['Code', 'Name', 'Debit'],
      ['1000', 'Bank', '500.00'],
      ['1010', 'Kelp\r\nstock', '100.00'],
      ['3000', 'Capital', '600.00'],
      [''],
    ]);
  });
  it('is not parted at commas that part thousands alone', () => {
    const lines = ['Name: Bank', 'Balance: 23,100.50', 'Name: Stock', 'Balance: 1,009,050.00'];
    expect(rowsOf(lines.join('\n'))?.rows).toEqual(lines.map((line) => [line]));
    expect(rowsOf('Bank,"23,100.50"\nStock,"1,009,050.00"')?.rows).toEqual([
      ['Bank', '23,100.50'],
      ['Stock', '1,009,050.00'],
    ]);
  });
  it('is read back as it was written, whatever the line ends and the cells', () => {
    const cell = fc.string({ unit: fc.constantFrom(...Array.from('a1 ",;\t|\r\n\'')), maxLength: 6 });
    fc.assert(
      fc.property(
        fc.array(fc.array(cell, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 5 }),
        fc.array(fc.constantFrom('\r\n', '\n', '\r'), { minLength: 5, maxLength: 5 }),
        fc.constantFrom(',', ';', '\t', '|'),
        (rows, ends, delimiter) => {
          const text = rows
            .map((row, at) => row.map((one) => `"${one.replaceAll('"', '""')}"`).join(delimiter) + (ends[at] ?? ''))
            .join('');
          expect(splitText(text, delimiter, '"', MOST)).toEqual({ rows, openQuotes: [] });
        },
      ),
    );
  });
  it('never loses a character but delimiters, line ends and quotes, whatever it is', () => {
    fc.assert(
      fc.property(fc.string({ unit: fc.constantFrom(...Array.from('ab",\r\n')), maxLength: 40 }), (text) => {
        const { rows } = splitText(text, ',', '"', MOST);
        const left = (given: string): string => given.replace(/[",\r\n]/g, '');
        expect(left(rows.flat().join(''))).toBe(left(text));
      }),
    );
  });
  it('does not let a quote that is not closed swallow the rows after it, and tells', () => {
    const table = rowsOf('Code,Name,Debit\n1000,"Bank,500.00\n1010,Kelp "dried",5.00\n3000,Capital,505.00\n');
    expect(table?.rows).toHaveLength(4);
    expect(table?.rows[1]).toEqual(['1000', '"Bank', '500.00']);
    expect(table?.remarks?.join(' ')).toContain('opened and not closed in row 2');
  });
  it('tells of columns that are not read and of invisible characters that were taken out', () => {
    const wide = rowsOf(`${'a,'.repeat(80)}z\n`);
    expect(wide?.rows[0]).toHaveLength(limits.MOST_COLUMNS);
    expect(wide?.remarks?.join(' ')).toContain('row 1 has something there');
    const dirty = rowsOf('Code,Name\n\ufeff1000,\u200bBank\u0007\n1010,Till\n');
    expect(dirty?.rows[1]).toEqual(['1000', 'Bank']);
    expect(dirty?.remarks).toEqual(['Invisible or control characters were taken out of row 2.']);
  });
});

describe('a paper tells of', () => {
  const reasons = (text: string): string => {
    const read = readPaper(utf8(text), 'file');
    return read.ok
      ? recognise(read.value, { digits: 2, currency: 'EUR' })
          .doubts.map(({ message }) => message)
          .join(' ')
      : '';
  };
  const rows = (text: string) => {
    const read = readPaper(utf8(text), 'file');
    return read.ok ? recognise(read.value, { digits: 2, currency: 'EUR' }).rows : [];
  };
  it('a second column of the same title', () => {
    expect(reasons('Code,Name,Debit,Credit,Debit\n1000,Bank,5.00,,9\n3000,Capital,,5.00,\n')).toContain(
      'Columns 3 and 5 have the same title, “Debit”; only column 3 is read.',
    );
  });
  it('a row with more cells than the header, which is not read', () => {
    const read = rows('Code,Name,Debit,Credit\n1000,Bank,1,500.00,\n1010,Till,5.00,\n3000,Capital,,5.00\n');
    expect(read.map(({ kind }) => kind)).toEqual(['header', 'account', 'account', 'account']);
    const shifted = rows('Code,Name,Debit,Credit\n1000,Bank,1,500.00,7\n1010,Till,5.00,\n3000,Capital,,5.00\n');
    expect(shifted[1]).toMatchObject({ kind: 'unreadable' });
    expect(shifted[1]?.note).toContain('5 cells where the header has 4');
  });
  it.each(['$5', '5 USD', '(-5)', '-5-', '.', '1E+308', '0.005', '99999999999999999999', '--5', '+-5', '5..5'])(
    'an amount that does not read, at its row: %s',
    (amount) => {
      const read = rows(`Code,Name,Debit,Credit\n1000,Bank,${amount},\n1010,Till,5.00,\n3000,Capital,,5.00\n`);
      expect(read[1]).toMatchObject({ kind: 'unreadable', amount: 0n });
      expect(read[1]?.note).toContain(amount);
      expect(read[2]).toMatchObject({ kind: 'account', amount: 500n });
    },
  );
  it.each(['€5', '5 EUR', '5.00 €', 'EUR 5', '(5)', '5-', '- 5', '(€5)', '€ -5', '٥', '５．００'])(
    'but reads %s',
    (amount) => {
      const read = rows(`Code,Name,Balance\n1000,Bank,${amount}\n3000,Capital,7.00\n3010,More,8.00\n`);
      expect(read[1]?.kind).toBe('account');
      expect([500n, -500n]).toContain(read[1]?.amount);
    },
  );
  it('a name that is none, and keeps accounts whose names hold a word of totals or a formula', () => {
    const read = rows(
      `Name,Debit,Credit\nSum insured,500.00,\n=SUM(A1:A9),2.00,\nTotal Energies supplies,1.00,\n${'x'.repeat(400)},3.00,\nCapital,,503.00\nTotal,503.00,503.00\n`,
    );
    expect(read.map(({ kind }) => kind)).toEqual([
      'header',
      'account',
      'account',
      'account',
      'unreadable',
      'account',
      'total',
    ]);
    expect(read[4]?.note).toContain('400 characters');
  });
});

describe('an audit file', () => {
  const file = (name: string): string =>
    `<?xml version="1.0"?><n:AuditFile xmlns:n="urn:x"><n:MasterFiles><n:GeneralLedgerAccounts><n:Account><n:AccountID>__proto__</n:AccountID><n:AccountDescription>${name}</n:AccountDescription></n:Account></n:GeneralLedgerAccounts></n:MasterFiles></n:AuditFile>`;
  it('has characters by number decoded, and any text for a code', () => {
    expect(rowsOf(file('&#75;elp &amp; &#x53;alt <![CDATA[<dried>]]>'))?.rows).toEqual([
      ['AccountID', 'AccountDescription', 'AccountType', 'GroupingCategory', 'GroupingCode'],
      ['__proto__', 'Kelp & Salt <dried>', '', '', ''],
    ]);
  });
});

describe('text that is cleaned', () => {
  it('is clean then, stays clean, and stays what it was where it was clean', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary', maxLength: 30 }), (text) => {
        const once = cleaned(text);
        expect(isClean(once)).toBe(true);
        expect(cleaned(once)).toBe(once);
        if (isClean(text)) expect(once).toBe(text);
        expect(oneLine(text)).not.toMatch(/[\n\r\t]|^\s|\s$/);
      }),
    );
  });
});

describe('CSV that is written', () => {
  it('is read back as it was, formulas too, and quotes what any locale splits at', () => {
    const text = fc
      .string({ unit: fc.constantFrom(...Array.from('=+-@＝＋－＠\'";,|\t a1')), maxLength: 8 })
      .filter((one) => one.trimEnd() === one);
    fc.assert(
      fc.property(fc.array(text, { minLength: 1, maxLength: 6 }), (texts) => {
        const written = toCsv([['first', 'x'], ...texts.map((one) => [one, 'x'])]);
        const read = readPaper(utf8(written), 'file', { delimiter: ',', quote: '"' });
        expect(
          read.ok && read.value[0]?.rows.slice(1).map((row) => fromText(typeof row[0] === 'string' ? row[0] : '')),
        ).toEqual(texts);
        for (const one of texts) expect(fromText(asText(one))).toBe(one);
      }),
    );
    expect(toCsv([['a;b', 'c|d']])).toContain('"a;b","c|d"');
    for (const mark of '=+-@＝＋－＠') expect(asText(`${mark}1`)).toBe(`'${mark}1`);
  });
});

describe('every public reader takes a quarter of a megabyte of anything', () => {
  const MB = 1024 * 1024;
  const marks = Array.from(' \t\n\r"\',;|.-+()[]<>&=:/\\0a1€\u0301\u200b\u00a0');
  const awkward = Array.from(' \n"\',;|.-(<1€\u0301');
  const style = '1,234.56';
  const readers: Readonly<Record<string, (text: string) => unknown>> = {
    paper: (text) => {
      const read = readPaper(utf8(text), 'file');
      return read.ok ? recognise(read.value, { digits: 2, currency: 'EUR' }) : read;
    },
    amount: (text) => readPaperAmount(text, style, 'EUR'),
    entry: (text) => readEntry(text, 'debit', { code: 'EUR', digits: 2 }, style),
    rate: (text) => readRate(text, style),
    clipboard: readClipboard,
    'code and name': splitCodeName,
    title: titleOf,
    dates: datesIn,
    side: (text) => usualSide(text),
    folded,
    cleaned,
    'chart lines': (text) => readLines(text, '', 'EUR'),
    chart: (text) => {
      const table = {
        name: 'x',
        rows: [
          ['Code', 'Name'],
          [text, text],
        ],
      };
      return readChartRows(table, recogniseChart([table]).mapping, 'EUR');
    },
    rates: (text) =>
      readRates(
        {
          name: 'x',
          rows: [
            ['date', 'currency', 'rate'],
            [text, text, text],
          ],
        },
        { base: 'EUR', style, direction: undefined, known: rateBook([]), source: 'x' },
      ),
  };
  it.each(Object.entries(readers))('%s', (_, read) => {
    // One character, and each pair of awkward ones; a reader that takes the square of its text would not come back.
    for (const one of marks) read(one.repeat(MB / 4));
    for (const [at, one] of awkward.entries())
      for (const other of awkward.slice(at + 1)) read((one + other).repeat(MB / 32));
  });
});

describe('the limits', () => {
  it('are those that the document says', () => {
    const document = readFileSync(new URL('../../../docs/security.md', import.meta.url), 'utf8');
    for (const [name, value] of Object.entries(limits))
      if (typeof value === 'number')
        expect(document.replace(/ +/g, ' '), name).toContain(`\`${name}\` | ${limits.counted(value)} |`);
  });
});

describe('a web page', () => {
  const page = (html: string) => readPaper(utf8(html), 'list.xls');
  const rows = (html: string) => {
    const read = page(html);
    return read.ok ? read.value[0]?.rows : read.problems[0]?.code;
  };
  it('under the ending of a workbook is read as its tables stand, with what is said between them', () => {
    expect(
      rows(
        '<html><head><title>no row</title><style>td{}</style></head><body><h2>Saldobalance pr. <b>30-06-2026</b></h2><table><tr><th>Konto<th>Navn<th>Saldo</tr><tr><td>1000<td>Kasse&nbsp;&amp; bank<td align=right>1.250,00</table><p>Balance</p><table><tr><td>2000</td><td>Gæld<br>i alt</td><td>-1.250,00</td></tr></table></body></html>',
      ),
    ).toEqual([
      ['Saldobalance pr. 30-06-2026'],
      ['Konto', 'Navn', 'Saldo'],
      ['1000', 'Kasse & bank', '1.250,00'],
      ['Balance'],
      ['2000', 'Gæld i alt', '-1.250,00'],
    ]);
  });
  it('has cells over several columns and rows, and rows that nobody sees', () => {
    const read = page(
      '<table><tr><td rowspan=2>1<td colspan=2>a<td>b<tr><td>c<td>d<td>e<tr style="display: none"><td>secret</table>',
    );
    expect(read.ok && read.value[0]).toMatchObject({
      rows: [
        ['1', 'a', '', 'b'],
        ['', 'c', 'd', 'e'],
      ],
      remarks: ['What the page hides is not read: it begins at row 3.'],
    });
  });
  it.each([
    ['<!doctype html><html><body><form>Sign in</form></body></html>', 'paper.no-table'],
    ['<table></table>', 'paper.empty'],
    [`${'<div>'.repeat(300)}<table><tr><td>1</table>`, 'paper.deep'],
    [`<table><tr><td>${'x'.repeat(limits.MOST_CELL_CHARACTERS + 1)}</table>`, 'paper.cell'],
    [`<table>${'<tr><td colspan=999999 rowspan=999999>x'.repeat(3)}</table>`, 1],
    ['<table><tr><td>1<td><script>alert(1)</script><td>2</table>', 1],
    ['<?xml version="1.0"?><AuditFile><title>none</title></AuditFile>', 'saft.none'],
  ])('%j is told of, or read', (html, wanted) => {
    const found = rows(html);
    if (wanted === 'saft.none') expect(found).toMatch(/^saft/);
    else expect(typeof wanted === 'number' ? found?.length : found).toBe(wanted);
  });
});
