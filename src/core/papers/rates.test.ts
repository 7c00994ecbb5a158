import { type Currency } from '../money/currency';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { plainDate } from '../base/dates';
import { type DatedRate, decimalOf, plainRate } from '../money/rate';
import { rateBook } from '../money/rate-book';
import { readCsv } from '../files/csv';
import { dayOrderOf, readFileDate } from './dates';
import { type Direction, previewRates, readRates } from './rates';
import { toCsv } from '../files/write';

const settings = {
  base: 'EUR' as Currency,
  style: '1,234.56' as const,
  direction: undefined,
  known: rateBook([]),
  source: 'file.csv',
};
const read = (text: string, more: Partial<Omit<typeof settings, 'direction'>> & { direction?: Direction } = {}) => {
  const tables = readCsv(new TextEncoder().encode(text), 'rates.csv');
  if (!tables.ok || tables.value[0] === undefined) throw new Error('unread');
  return readRates(tables.value[0], { ...settings, ...more });
};
const plain = (result: ReturnType<typeof read>): readonly string[] =>
  result.ok
    ? [
        ...result.value.rates.map((one) => `${one.date} 1 ${one.unit}=${plainRate(one.rate)} ${one.quote}`),
        ...result.value.problems.map((one) => `row ${one.row}: ${one.message}`),
      ]
    : result.problems.map((one) => one.code);

describe('rates from files', () => {
  it('reads back what was exported', () => {
    const codes = fc.constantFrom('EUR', 'GBP', 'NOK', 'JPY', 'TND');
    const rates = fc.uniqueArray(
      fc
        .record({
          day: fc.nat({ max: 900 }),
          unit: codes,
          quote: codes,
          coefficient: fc.bigInt({ min: 1n, max: 10n ** 12n }),
          scale: fc.nat({ max: 9 }),
          source: fc.constantFrom('typed', '=1+1.csv', 'a, "quoted" file'),
        })
        .filter((one) => one.unit !== one.quote)
        .map(({ day, coefficient, scale, ...one }): DatedRate => ({
          ...one,
          date: plainDate('2025-01-01').add({ days: day }).toString(),
          rate: { coefficient, scale },
        })),
      { maxLength: 30, selector: (one) => `${one.date}${[one.unit, one.quote].sort().join('')}` },
    );
    fc.assert(
      fc.property(rates, (list) => {
        const text = toCsv([
          ['date', 'unit', 'quote', 'rate', 'source'],
          ...list.map((one) => [one.date, one.unit, one.quote, plainRate(one.rate), one.source]),
        ]);
        const back = read(text);
        if (!back.ok) throw new Error(back.problems[0]?.message);
        expect(back.value.problems).toEqual([]);
        expect(back.value.rates.map(({ row: _, ...one }) => one)).toEqual(list);
        expect(previewRates(back.value.rates, rateBook(list)).every((one) => one.status === 'same')).toBe(true);
      }),
    );
  });
  it('reads a day per row with a column per currency, commas for decimals', () => {
    expect(
      plain(read('Rates of the harbour office\n\nDatum;GBP;NOK\n31.07.2026;0,8482;11,52\n01.08.2026;n/a;11,50\n')),
    ).toEqual(['2026-07-31 1 EUR=0.8482 GBP', '2026-07-31 1 EUR=11.52 NOK', '2026-08-01 1 EUR=11.50 NOK']);
  });
  it('reads a workbook’s own numbers by their exact decimals', () => {
    const number = (decimal: string, shown = decimal) => ({ decimal, shown });
    const table = {
      name: 'Sheet1',
      rows: [
        ['Date', 'Currency', 'Rate'],
        [number('46234', '31/07/2026'), 'GBP', number('0.8482', '0.85')],
        ['30/07/2026', 'GBP', number('1', '1')],
      ],
    };
    const back = readRates(table, { ...settings, style: '1.234,56' });
    expect(plain(back)).toEqual(['2026-07-31 1 GBP=0.8482 EUR', '2026-07-30 1 GBP=1 EUR']);
  });
  it('takes a rate per hundred units exactly', () => {
    expect(plain(read('date,currency,amount,rate\n2026-07-31,JPY,100,0.6150\n2026-07-31,NOK,7,1\n'))).toEqual([
      '2026-07-31 1 JPY=0.006150 EUR',
      'row 3: A rate per “7” units is not taken; only 1, 10, 100 and so on.',
    ]);
  });
  it('turns a file round when its rates would be upside down beside the known ones, unless a person says otherwise', () => {
    const known = rateBook([
      { date: '2026-07-30', unit: 'GBP', quote: 'EUR', rate: decimalOf('1.18'), source: 'typed' },
    ]);
    const text = 'date,GBP\n2026-07-31,1.1789\n';
    expect(plain(read(text))).toEqual(['2026-07-31 1 EUR=1.1789 GBP']);
    expect(plain(read(text, { known }))).toEqual(['2026-07-31 1 GBP=1.1789 EUR']);
    expect(plain(read(text, { known, direction: 'base-unit' }))).toEqual(['2026-07-31 1 EUR=1.1789 GBP']);
  });
  it('says what is wrong with each bad row and takes the others', () => {
    expect(
      plain(
        read(
          'date,currency,rate\n2026-07-31,GBP,1.1789\n2026-02-30,GBP,1.1\n2026-07-31,XXX,1\n2026-07-31,NOK,abc\n2026-07-31,EUR,1\n\n',
        ),
      ),
    ).toEqual([
      '2026-07-31 1 GBP=1.1789 EUR',
      'row 3: “2026-02-30” is not a date.',
      'row 4: “XXX” is not an ISO 4217 currency.',
      'row 5: “abc” does not read as a rate. These books write numbers like 1234.56; a rate has no sign and no currency beside it.',
      'row 6: A rate of EUR against itself says nothing.',
    ]);
    expect(plain(read('a,b\n1,2\n'))).toEqual(['rates.no-date-column']);
    expect(plain(read('date,b\n2026-01-01,2\n'))).toEqual(['rates.no-rate-column']);
  });
  it('shows what is new, changes, stays, and what to doubt', () => {
    const known = rateBook([
      { date: '2026-07-30', unit: 'GBP', quote: 'EUR', rate: decimalOf('1.18'), source: 'typed' },
      { date: '2026-07-29', unit: 'GBP', quote: 'EUR', rate: decimalOf('1.17'), source: 'typed' },
    ]);
    const rows = read(
      'date,unit,quote,rate\n2026-07-30,GBP,EUR,1.19\n2026-07-31,GBP,EUR,0.85\n2026-07-31,GBP,EUR,11.8\n',
      { known },
    );
    if (!rows.ok) throw new Error('unread');
    const preview = previewRates(rows.value.rates, known);
    expect(preview.map((one) => [one.status, one.was, one.doubt === undefined])).toEqual([
      ['changes', '1 GBP = 1.18 EUR', true],
      ['new', undefined, false],
    ]);
  });
  it('never throws on what people bring', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 200, unit: 'binary' }), (text) => {
        const tables = readCsv(new TextEncoder().encode(`date,unit,rate\n${text}`), 'x.csv');
        if (tables.ok && tables.value[0] !== undefined)
          expect(typeof readRates(tables.value[0], settings).ok).toBe('boolean');
      }),
    );
  });
});

describe('dates in files', () => {
  it('tell day from month by the first that is above twelve', () => {
    expect(dayOrderOf(['3/4/2026', '3/14/2026'])).toBe('mdy');
    expect(dayOrderOf(['3/4/2026', '14/3/2026'])).toBe('dmy');
    expect([
      readFileDate('31.7.26', 'dmy'),
      readFileDate('07/31/2026', 'mdy'),
      readFileDate('2026-07-31 00:00', 'dmy'),
    ]).toEqual(['2026-07-31', '2026-07-31', '2026-07-31']);
    expect([readFileDate('31/31/2026', 'dmy'), readFileDate('July', 'dmy'), readFileDate('', 'dmy')]).toEqual([
      undefined,
      undefined,
      undefined,
    ]);
  });
});
