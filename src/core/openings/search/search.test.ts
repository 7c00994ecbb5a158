import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LARGEST, minor, sum } from '../../money/minor';
import { ERROR_KINDS, labelOf } from './kinds';
import { PLANTED_KINDS, plant, plantable, seeded } from './planting';
import { applied, netOf, search } from './search';
import { type Slip, undoSlips } from './slips';
import type { Hypothesis, SearchInput } from './types';

const slipsOf = (amount: bigint): readonly (readonly [Slip, bigint])[] => {
  const found: [Slip, bigint][] = [];
  undoSlips(amount, (slip, effect) => found.push([slip, effect]));
  return found;
};
const amounts = fc.bigInt({ min: -(10n ** 12n), max: 10n ** 12n }).filter((amount) => amount !== 0n);

describe('slips of the hand', () => {
  it('can each be made again: undoing the undone is a slip of the same kind', () => {
    fc.assert(
      fc.property(amounts, (amount) => {
        for (const [slip, effect] of slipsOf(amount)) expect(slipsOf(amount + effect)).toContainEqual([slip, -effect]);
      }),
    );
  });
  it('knows the usual ones, and never leaves the range of amounts', () => {
    const becomes = (amount: bigint) => slipsOf(amount).map(([slip, effect]) => `${slip} ${String(amount + effect)}`);
    expect(becomes(54_000n)).toEqual(
      expect.arrayContaining(['side -54000', 'transposed 45000', 'slipped 5400', 'slipped 540000', 'zero 504000']),
    );
    expect(becomes(-10_500n)).toEqual(expect.arrayContaining(['zero -1500', 'transposed -10050']));
    expect(slipsOf(0n)).toEqual([]);
    expect(slipsOf(LARGEST).every(([, effect]) => LARGEST + effect <= LARGEST)).toBe(true);
  });
});

/** A trial balance with one or two planted errors. */
const planted = fc
  .record({
    seed: fc.nat(),
    accounts: fc.integer({ min: 12, max: 60 }),
    kinds: fc.array(fc.constantFrom(...PLANTED_KINDS), { minLength: 1, maxLength: 2 }),
  })
  .map(({ seed, accounts, kinds }) => {
    const random = seeded(seed);
    return kinds.reduce<SearchInput>(
      (input, kind) => plant(input, kind, random)?.input ?? input,
      plantable(accounts, random),
    );
  });

const netAfter = (input: SearchInput, hypothesis: Hypothesis): bigint => sum(applied(input, hypothesis).values());

describe('the search', () => {
  it('changes the net by exactly what each hypothesis says', () => {
    fc.assert(
      fc.property(planted, (input) => {
        const net = netOf(input);
        for (const hypothesis of search(input, { pairs: true, most: 30 })) {
          expect(hypothesis.explains).toBe(net - hypothesis.after);
          for (const cause of hypothesis.causes)
            if (cause.kind !== 'rounding' && (cause.untaken === undefined || cause.changes.length > 0))
              expect(sum(cause.changes.map(({ from, to }) => minor(to - from)))).toBe(cause.effect);
          if (hypothesis.causes.every(({ changes }) => changes.length > 0))
            expect(netAfter(input, hypothesis)).toBe(hypothesis.after);
        }
      }),
      { numRuns: 60 },
    );
  });
  it.each(PLANTED_KINDS)('finds a planted error among the first: %s', (kind) => {
    let looked = 0;
    let three = 0;
    for (let seed = 1; looked < 6 && seed < 60; seed += 1) {
      const random = seeded(seed * 104_729);
      const made = plant(plantable(40, random), kind, random);
      if (made === undefined || netOf(made.input) === 0n) continue;
      const found = search(made.input, { pairs: false, most: 20 });
      const at = found.findIndex(({ causes }) =>
        made.mend.every(({ account, to }) =>
          causes[0]?.changes.some((one) => one.account === account && one.to === to),
        ),
      );
      expect(at, `${kind}, seed ${String(seed)}`).toBeGreaterThanOrEqual(0);
      // Rows that fit equally may stand in any order among themselves.
      if (at < 3 || (found[at]?.ties ?? 1) > 1) three += 1;
      looked += 1;
    }
    expect(looked).toBe(6);
    expect(three).toBeGreaterThanOrEqual(5);
  });
  it('is silent about what nets to zero', () => {
    fc.assert(
      fc.property(fc.nat(), (seed) => {
        expect(search(plantable(20, seeded(seed)), { pairs: true, most: 5 })).toEqual([]);
      }),
      { numRuns: 20 },
    );
  });
  it('does not depend on the order of the figures', () => {
    fc.assert(
      fc.property(planted, (input) => {
        const turned = { ...input, figures: [...input.figures].reverse() };
        const said = (given: SearchInput) =>
          search(given, { pairs: true, most: 12 }).map(({ causes, weight, ties }) => ({
            causes: causes
              .map(({ kind, changes }) => ({ kind, changes: [...changes].sort((a, b) => a.account - b.account) }))
              .sort((a, b) => (JSON.stringify(a, big) < JSON.stringify(b, big) ? -1 : 1)),
            weight: weight.toPrecision(6),
            ties,
          }));
        const big = (_: string, value: unknown) => (typeof value === 'bigint' ? String(value) : value);
        expect(said(turned)).toEqual(said(input));
      }),
      { numRuns: 40 },
    );
  });
  it('prefers what brings both columns to the totals that the paper states', () => {
    const input = plantable(40, seeded(7));
    const made = plant(input, 'transposed', seeded(9));
    if (made === undefined) throw new Error('nothing planted');
    const [debits, credits] = [1n, -1n].map((side) =>
      minor(input.figures.reduce((all, { amount }) => (amount > 0n === side > 0n ? all + amount * side : all), 0n)),
    );
    const [first] = search(
      { ...made.input, totals: { debits: debits ?? minor(0n), credits: credits ?? minor(0n) } },
      { pairs: false, most: 3 },
    );
    expect(first?.causes[0]?.changes).toEqual(made.mend);
  });
  it('takes a difference within the rows’ half units for the rounding of the paper', () => {
    const input = plantable(60, seeded(3));
    const rounded = {
      ...input,
      figures: input.figures.map((figure) => {
        const amount = minor(((figure.amount + (figure.amount > 0n ? 50n : -50n)) / 100n) * 100n);
        return {
          classification: figure.classification,
          account: figure.account,
          code: figure.code,
          normal: figure.normal,
          role: null,
          amount,
          rows: [amount],
        };
      }),
    };
    const found = search(rounded, { pairs: false, most: 20 });
    expect(netOf(rounded)).not.toBe(0n);
    expect(found.map(({ causes }) => causes[0]?.kind)).toContain('rounding');
  });
  it('has a name for every kind', () => {
    expect(ERROR_KINDS.map(({ id }) => labelOf(id))).toEqual(ERROR_KINDS.map(({ label }) => label));
  });
});
