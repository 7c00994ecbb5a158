import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCsv } from './csv';
import { looksLikeFields, splitFields } from './fields';

const ALL = { rows: 1000, cells: 10_000 };

const text = [
  'Customer list, printed 1 Aug 2026',
  '',
  'Code ......: C001',
  'Name ......: Carrageen Kitchens',
  'Terms .....: 30 days',
  'E-mail ....: books@carrageen.example',
  '',
  'Code ......: C002',
  'Name ......: Dulse: fresh, dried',
  '',
  'Code ......: C003',
  'Name ......: Knockalla Hotel',
  'Terms .....: on receipt',
  'E-mail ....: accounts@knockalla.example',
  'Total .....: 3',
].join('\n');

describe('a list with each field on a line of its own', () => {
  it('has a row for each block, below the labels, and what stands around them', () => {
    expect(looksLikeFields(text)).toBe(true);
    expect(splitFields(text, ALL).rows).toEqual([
      ['Customer list, printed 1 Aug 2026'],
      ['Code', 'Name', 'Terms', 'E-mail'],
      ['C001', 'Carrageen Kitchens', '30 days', 'books@carrageen.example'],
      ['C002', 'Dulse: fresh, dried'],
      ['C003', 'Knockalla Hotel', 'on receipt', 'accounts@knockalla.example'],
      ['Total .....: 3'],
    ]);
    const read = readCsv(new TextEncoder().encode(text), 'customers.txt');
    expect(read.ok ? read.value[0]?.format?.delimiter : '').toBe('fields');
  });
  it('keeps a block whole around a line without a label', () => {
    const lines = ['A', 'B', 'C'].flatMap((name) => [
      `Name: ${name}`,
      'Street: 1 Quay',
      'Old Town',
      `Phone: 0${name}`,
      '',
    ]);
    expect(splitFields(lines.join('\n'), ALL).rows.filter(({ length }) => length > 1)).toEqual([
      ['Name', 'Street', 'Phone'],
      ...['A', 'B', 'C'].map((name) => [name, '1 Quay', `0${name}`]),
    ]);
  });
  it('is none where its lines are cells, or its labels never come again', () => {
    expect(looksLikeFields('Code;Name\n1010;Bank: current\n1020;Bank: savings\n1030;Bank: NOK\n')).toBe(false);
    expect(looksLikeFields('Company: Wrack\nDate: 31 July\nPage: 1\nCurrency: EUR\n')).toBe(false);
  });
  it('loses no value, whatever the blocks have', () => {
    const labels = ['Account', 'Name', 'Balance', 'Note'];
    const value = fc.string({ unit: fc.constantFrom(...Array.from('ab1.,: ')), minLength: 1, maxLength: 12 });
    const record = fc.record({ Account: value, Name: value, Balance: value, Note: fc.option(value) });
    fc.assert(
      fc.property(fc.array(record, { minLength: 3, maxLength: 9 }), fc.boolean(), (records, apart) => {
        const written = records
          .map((one) =>
            labels
              .flatMap((label) => (one[label as 'Note'] === null ? [] : [`${label}: ${one[label as 'Note'] ?? ''}`]))
              .join('\n'),
          ) // prettier-ignore
          .join(apart ? '\n\n' : '\n');
        const cells = splitFields(written, ALL).rows.flat().join('\n');
        for (const one of records)
          for (const label of labels) expect(cells).toContain((one[label as 'Note'] ?? '').trim());
        expect(splitFields(written, ALL).rows).toHaveLength(records.length + 1 + (records.filter(({ Note }) => Note !== null).length === 1 ? 1 : 0)); // prettier-ignore
      }),
    );
  });
  it('is bounded as any text is', () => {
    expect(splitFields(text, { rows: 5, cells: 100 }).past).toBe('rows');
    expect(splitFields(text, { rows: 100, cells: 5 }).past).toBe('cells');
  });
});
