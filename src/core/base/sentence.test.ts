import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { writingOf } from '../money/writing';
import { NUMBER_STYLES, readUnsigned } from '../money/number-style';
import { problem, toldIn, under } from './result';
import { PLAIN_WRITING, type Sentence, dated, listed, say, tell } from './sentence';

const german = writingOf({
  style: '1.234,56',
  dates: { order: 'dmy', separator: '.', year: 4, month: 'number' },
});

describe('a sentence', () => {
  it('keeps dates and numbers as data, and is written as each reader writes them', () => {
    const says = say`On ${dated('2026-08-01')} ${2} of ${'Marram'} stood at ${{ number: '-12345.60' }}.`;
    expect(says).toEqual(['On ', { date: '2026-08-01' }, ' 2 of Marram stood at ', { number: '-12345.60' }, '.']);
    expect(tell(says, PLAIN_WRITING)).toBe('On 1 Aug 2026 2 of Marram stood at -12345.60.');
    expect(tell(says, german)).toBe('On 01.08.2026 2 of Marram stood at -12.345,60.');
    expect(tell('As it is.', german)).toBe('As it is.');
  });
  it('takes other sentences in whole, and lists them', () => {
    const part = say`until ${dated('2026-07-31')}`;
    expect(tell(say`Complete ${part}.`, german)).toBe('Complete until 31.07.2026.');
    expect(tell(listed([part, say`or later`], ', '), PLAIN_WRITING)).toBe('until 31 Jul 2026, or later');
    expect(listed([], ', ')).toEqual([]);
  });
  it('is a problem’s message in the books’ style, wherever the problem is told', () => {
    const one = under(problem('x', say`Not before ${dated('2026-08-01')}.`, 'cutover'), 3);
    expect(one).toMatchObject({ message: 'Not before 1 Aug 2026.', path: [3, 'cutover'] });
    expect(toldIn(one, german)).toEqual({ code: 'x', message: 'Not before 01.08.2026.', path: [3, 'cutover'] });
    expect(toldIn(problem('y', 'Plain.'), german)).toEqual({ code: 'y', message: 'Plain.' });
  });
  it('survives being kept as JSON, whatever text is in it', () => {
    const pieces = fc.array(
      fc.oneof(fc.string(), fc.constant({ date: '2026-02-28' }), fc.constant({ number: '0.921659' })),
    );
    fc.assert(
      fc.property(pieces, (given) => {
        const says = say`${given}`;
        expect(tell(JSON.parse(JSON.stringify(says)) as Sentence, german)).toBe(tell(given, german));
        expect(says.some((piece, at) => typeof piece === 'string' && typeof says[at + 1] === 'string')).toBe(false);
      }),
    );
  });
  it('writes a number so that it reads back as the same, in every style', () => {
    fc.assert(
      fc.property(fc.bigInt(0n, 10n ** 15n), fc.integer({ min: 0, max: 9 }), (whole, digit) => {
        for (const style of NUMBER_STYLES) {
          const written = writingOf({
            style,
            dates: { order: 'ymd', separator: '-', year: 4, month: 'number' },
          }).number(`${String(whole)}.${String(digit)}7`);
          const read = readUnsigned(written.replaceAll('\u00a0', ' '), style);
          expect(read).toEqual({ coefficient: whole * 100n + BigInt(digit) * 10n + 7n, scale: 2 });
        }
      }),
    );
  });
});
