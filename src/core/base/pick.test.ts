import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Pickable, named, pick, prepared } from './pick';

const codes = (all: readonly Pickable[], text: string, most = 50): readonly string[] =>
  pick(prepared(all), text, most).found.map(({ code }) => code);

describe('picking from a list', () => {
  const chart: readonly Pickable[] = [
    { code: '1010', name: 'Current account at bank' },
    { code: '1020', name: 'Bank in NOK', more: 'Bank and cash' },
    { code: '2100', name: 'Löhne und Gehälter' },
    { code: '2101', name: 'Bank charges' },
    { code: '10', name: 'Cash' },
  ];
  it('puts what is called so first, then what begins so, then words, then pieces of words', () => {
    expect(codes(chart, '10')).toEqual(['10', '1010', '1020', '2100', '2101']);
    expect(codes(chart, 'bank')).toEqual(['1020', '2101', '1010']);
    expect(codes(chart, 'cash')).toEqual(['10', '1020']);
    expect(codes(chart, 'gehalter lohne')).toEqual(['2100']);
    expect(codes(chart, 'arges')).toEqual(['2101']);
    expect(codes(chart, 'nothing of it')).toEqual([]);
    expect(pick(prepared(chart), '', 2)).toMatchObject({ more: 3 });
  });
  it('knows the one that is meant, and none where several are called so', () => {
    const known = prepared([...chart, { code: '9', name: 'Cash' }]);
    expect(named(known, '2101 bank charges')?.code).toBe('2101');
    expect(named(known, 'LOHNE und Gehälter')?.code).toBe('2100');
    expect(named(known, 'Cash')).toBeUndefined();
    expect(named(known, '10')?.name).toBe('Cash');
    expect(named(known, ' ')).toBeUndefined();
  });
  it('finds everything by each of its own words, and nothing that lacks one', () => {
    const words = fc.stringMatching(/^[a-zäöüéł]{1,6}( [a-zäöüéł]{1,6}){0,2}$/);
    fc.assert(
      fc.property(
        fc.array(fc.record({ code: fc.stringMatching(/^\d{1,4}$/), name: words }), { maxLength: 20 }),
        words,
        (all, text) => {
          const known = prepared(all);
          const found = new Set(pick(known, text, 100).found);
          for (const { one, words: has } of known)
            expect(found.has(one)).toBe(
              prepared([{ code: '', name: text }])[0]
                ?.name.split(' ')
                .every((part) => has.includes(part)),
            );
          for (const one of all)
            for (const part of one.name.split(' ')) expect(pick(known, part, 100).found).toContain(one);
        },
      ),
    );
  });
});
