import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PLAIN_ACCOUNT, accountId } from '../chart/account';
import { type Minor, minor } from '../money/minor';
import { entryOrigin, entryProblem } from './entries';
import { type Figure, figureFrom, keptFigure, sameFigure } from './figure';

const account = accountId(7);
const amount = fc.bigInt({ min: -500n, max: 500n }).map(minor);
const part = fc.record({ currency: fc.constantFrom('NOK', 'GBP'), amount, base: amount });
const figure: fc.Arbitrary<Figure> = fc.oneof(
  fc.record({
    amount,
    source: fc.constantFrom('typed' as const, 'carried' as const),
    paper: fc.constant(null),
    why: fc.constant(null),
    parts: fc.array(part, { maxLength: 1 }),
  }),
  fc.record({
    amount,
    source: fc.constant('paper' as const),
    paper: fc.integer({ min: 1, max: 9 }),
    why: fc.constant(null),
    parts: fc.array(part, { maxLength: 1 }),
  }),
);

describe('a figure in the record', () => {
  it('is read as it was written', () => {
    fc.assert(
      fc.property(fc.option(figure), (one) => {
        expect(figureFrom(JSON.parse(JSON.stringify(keptFigure(one))) as ReturnType<typeof keptFigure>)).toEqual(one);
        expect(sameFigure(one, figureFrom(keptFigure(one)))).toBe(true);
      }),
    );
  });
});

describe('an entry', () => {
  const entry = (given: Minor | null, more: { restores?: boolean; why?: string } = {}) => ({
    account,
    amount: given,
    restores: false,
    ...more,
  });

  it('changes nothing exactly where it states what stands', () => {
    fc.assert(
      fc.property(fc.option(figure), fc.option(amount), fc.boolean(), (stands, given, restores) => {
        const changes = entryOrigin(entry(given, { restores }), { stands, once: [] }) !== undefined;
        expect(changes).toBe((stands?.amount ?? null) !== given);
      }),
    );
  });

  it('that is given back comes from where it last came from at this amount, and a typed one from the keyboard', () => {
    fc.assert(
      fc.property(figure, fc.array(figure, { maxLength: 4 }), (stands, once) => {
        for (const { amount: given } of once) {
          if (given === stands.amount) continue;
          const first = once.find((one) => one.amount === given);
          const origin = entryOrigin(entry(given, { restores: true }), { stands, once });
          expect(origin).toEqual({ source: first?.source, paper: first?.paper, why: first?.why });
          expect(entryOrigin(entry(given), { stands, once })?.source).toBe('typed');
          expect(entryOrigin(entry(given, { why: 'by rate' }), { stands, once })).toMatchObject({
            source: 'calculated',
            why: 'by rate',
          });
        }
      }),
    );
  });

  it('is refused on a heading, on an account that is gone, and in a currency that is off unless it had it', () => {
    const real = {
      ...PLAIN_ACCOUNT,
      id: account,
      code: '1100',
      name: 'Owed',
      classification: 'current-asset' as const,
    };
    const control = { ...real, role: 'receivables-control' as const };
    const rules = { base: 'EUR', on: ['GBP'] } as const;
    const none = { stands: null, once: [] };
    expect(entryProblem(entry(minor(1n)), undefined, none, rules)?.code).toBe('account.unknown');
    expect(entryProblem(entry(minor(1n)), { ...real, heading: true }, none, rules)?.code).toBe('account.heading');
    expect(entryProblem(entry(null), { ...real, heading: true }, none, rules)).toBeUndefined();
    const parts = [{ currency: 'NOK' as const, amount: minor(9n), base: minor(1n) }];
    const inNok = { ...entry(minor(1n)), parts };
    expect(entryProblem(inNok, control, none, rules)).toMatchObject({
      code: 'foreign.off',
      path: [account, 'currency'],
    });
    const had: Figure = { amount: minor(1n), source: 'paper', paper: 3, why: null, parts };
    expect(entryProblem({ ...inNok, restores: true }, control, { stands: null, once: [had] }, rules)).toBeUndefined();
    expect(entryProblem(inNok, control, { stands: had, once: [] }, rules)).toBeUndefined();
  });
});
