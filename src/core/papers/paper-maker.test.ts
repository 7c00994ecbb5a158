import { describe, expect, it } from 'vitest';
import { readPaper } from '../files/read';
import { recognise } from './recognise';
import { statedCurrency } from './stated-currency';
import { statedDate } from './stated-date';
import { makePaper } from './testing/paper-maker';

/** How a made paper is read: right, not right and told, or wrong without a word. */
const outcome = (
  seed: number,
  hard: boolean,
): { readonly read: 'exact' | 'told' | 'silent'; readonly dated: boolean; readonly traits: readonly string[] } => {
  const made = makePaper(seed, hard);
  const tables = readPaper(made.bytes, made.name);
  if (!tables.ok) return { read: 'told', dated: true, traits: made.traits };
  const { rows, doubts, reading } = recognise(tables.value, { digits: made.digits });
  const own = rows.flatMap(({ kind, code, name, amount }) =>
    kind === 'account' ? [`${code}|${name}|${String(amount)}`.replaceAll('’', "'")] : [],
  );
  const wanted = made.rows.map(({ code, name, amount }) => `${code}|${name}|${String(amount)}`.replaceAll('’', "'"));
  const exact = own.join('\n') === wanted.join('\n');
  return {
    read: exact ? 'exact' : doubts.length > 0 ? 'told' : 'silent',
    dated:
      !made.traits.includes('titles') ||
      (statedDate(tables.value, reading, made.name) === made.asAt &&
        statedCurrency(tables.value, reading) === made.currency),
    traits: made.traits,
  };
};

describe('papers that were never seen', () => {
  it.each([
    ['plain', false, 300],
    ['hard', true, 300],
  ] as const)(
    'of %s shapes are read exactly, nearly all of them, and none is wrong without a word',
    (_, hard, count) => {
      const all = Array.from({ length: count }, (__, at) => outcome(50_000 + at, hard));
      expect(all.filter(({ read }) => read === 'silent').map(({ traits }) => traits.join(', '))).toEqual([]);
      expect(all.filter(({ read }) => read === 'exact').length).toBeGreaterThanOrEqual(count * 0.95);
      expect(all.filter(({ dated }) => dated).length).toBeGreaterThanOrEqual(count * 0.98);
    },
  );
  it('are made the same from the same seed, and net to zero where nothing was planted', () => {
    for (let seed = 0; seed < 50; seed += 1) {
      const [first, again] = [makePaper(seed), makePaper(seed)];
      expect([...again.bytes]).toEqual([...first.bytes]);
      expect(first.rows.reduce((sum, { amount }) => sum + amount, 0n)).toBe(0n);
    }
  });
});
