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
});
