import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minor } from '../../money/minor';
import { type Account, PLAIN_ACCOUNT, accountId, chartIndex } from '../account';
import { type Answers, answersFrom } from '../composition/answers';
import { compose, neededRoles } from '../composition/compose';
import { fromComposed } from '../copy';
import { applyEdits } from '../edit';
import { planIncoming } from '../incoming';
import { COMPOSED_SCHEME } from '../scheme';
import { misfit } from '../suits';
import { anyChart } from '../testing';
import { mergeable, tidy } from './advise';
import type { AdviceKind, TidyState } from './types';

const make = (id: number, more: Partial<Account> = {}): Account => ({
  ...PLAIN_ACCOUNT,
  id: accountId(id),
  code: String(6000 + id),
  name: `Account ${id}`,
  classification: 'operating-expense',
  ...more,
});
const stateOf = (chart: readonly Account[], more: Partial<TidyState> = {}): Omit<TidyState, 'index'> => ({
  chart,
  amounts: new Map(),
  used: new Set(),
  legalForm: 'sole-trader',
  answers: null,
  needed: [],
  scheme: null,
  ...more,
});
const said = (chart: readonly Account[], kind: AdviceKind, more: Partial<TidyState> = {}) =>
  tidy(stateOf(chart, more)).filter((one) => one.kind === kind);

const answers: Answers = {
  ...answersFrom(
    {
      legalForm: 'limited-company',
      country: 'IE',
      parts: ['stock', 'trade', 'currencies', 'loans'],
      taxRegistered: 'yes',
      industry: 'growing and drying seaweed',
    },
    ['NOK'],
  ),
};
const composed = (given: Answers): readonly Account[] => {
  const plan = planIncoming([], fromComposed(compose(given)), new Map(), {
    codes: 'required',
    scheme: null,
    base: 'EUR',
    currencies: ['NOK'],
    taxCodes: [],
    uses: new Map(),
    banks: new Map(),
    update: false,
    clash: 'keep',
  });
  const done = applyEdits(chartIndex([]), plan.edits, { codes: 'required', base: 'EUR', uses: new Map() });
  if (!done.ok) throw new Error(done.problems[0]?.message);
  return [...done.value.byId.values()];
};

describe('tidying advice', () => {
  it('finds nothing to say about a chart composed from the answers it is held against', () => {
    const chart = composed(answers);
    const state = stateOf(chart, {
      answers,
      legalForm: 'limited-company',
      needed: neededRoles(answers),
      scheme: COMPOSED_SCHEME,
    });
    expect(tidy(state).map(({ says }) => says)).toEqual([]);
  });

  it('names what an answer taken back leaves behind', () => {
    const chart = composed(answers);
    const state = {
      answers: { ...answers, stock: false },
      legalForm: 'limited-company' as const,
      needed: neededRoles(answers),
      scheme: COMPOSED_SCHEME,
    };
    const codes = said(chart, 'misfit-answers', state).flatMap(({ accounts }) =>
      chart.filter(({ id }) => accounts.includes(id)).map(({ code }) => code),
    );
    expect(codes).toEqual(['1200', '1240', '5100', '5800']);
  });

  it('finds what does not fit the legal form', () => {
    const chart = [
      make(1, { name: 'Share capital', classification: 'equity' }),
      make(2, { name: 'Owner’s drawings', classification: 'equity' }),
      make(3, { name: 'Corporation tax', classification: 'tax' }),
    ];
    expect(said(chart, 'misfit-form').map(({ accounts }) => accounts[0])).toEqual([1, 3]);
    expect(misfit('Dividends paid', 'partnership')).toContain('share capital');
    expect(misfit('Partners’ current accounts', 'partnership')).toBeUndefined();
    expect(misfit('Members’ shares', 'co-operative')).toBeUndefined();
    // Used ones are deactivated, unused ones deleted.
    expect(said(chart, 'misfit-form', { used: new Set([accountId(1)]) }).map(({ fix }) => fix.label)).toEqual([
      'Deactivate',
      'Delete',
    ]);
  });

  it('finds two accounts for one thing by words and by spelling, and not what differs by a number', () => {
    const names = [
      'Bank charges',
      'Charges, bank',
      'Stationery and postage',
      'Stationary and postage',
      'Van 1',
      'Van 2',
      'Rent',
      'Rates',
    ];
    const found = said(
      names.map((name, at) => make(at + 1, { name })),
      'near-duplicate',
    );
    expect(found.map(({ accounts }) => accounts)).toEqual([
      [1, 2],
      [3, 4],
    ]);
    expect(found[0]?.says).toContain('the same words');
    expect(found[1]?.says).toContain('one letter apart');
    expect(found[0]?.fix.merges).toEqual([{ from: 2, into: 1 }]);
    // Of two kinds or currencies they are two things.
    expect(said([make(1, { name: 'Bank', currency: 'NOK' }), make(2, { name: 'Bank' })], 'near-duplicate')).toEqual([]);
  });

  it('finds catch-alls, one account per thing, sales without costs, lone children and inactive balances', () => {
    expect(
      said(
        [make(1, { name: 'Sundry expenses' }), make(2, { name: 'Miscellaneous' }), make(3, { name: 'Small tools' })],
        'catch-all',
      ).map(({ accounts }) => accounts[0]),
    ).toEqual([1, 2]);
    const vans = [1, 2, 3].map((at) =>
      make(at, { name: `Van 0${at}-D-4471, cost`, classification: 'fixed-asset', role: 'fixed-asset-cost' }),
    );
    expect(said(vans, 'single-assets')[0]?.fix.merges).toHaveLength(2);
    expect(said(vans.slice(1), 'single-assets')).toEqual([]);
    const trade = [
      make(1, { code: '4110', name: 'Sales of tiles', classification: 'revenue' }),
      make(2, { code: '4120', name: 'Sales of mosaics', classification: 'revenue' }),
      make(3, { code: '5900', name: 'Clay for tiles', classification: 'cost-of-sales' }),
    ];
    expect(said(trade, 'no-pair').map(({ fix }) => fix.label)).toEqual(['Add 5120 Cost of mosaics']);
    const lone = [
      make(1, { heading: true }),
      make(2, { heading: true, parent: accountId(1) }),
      make(3, { parent: accountId(2) }),
      make(4, { heading: true, parent: accountId(1) }),
    ];
    expect(said(lone, 'lone-child').map(({ accounts }) => accounts)).toEqual([[2, 3], [4]]);
    expect(
      said([make(1, { active: false })], 'inactive-balance', { amounts: new Map([[accountId(1), minor(5n)]]) }),
    ).toHaveLength(1);
    expect(said([make(1, { code: '1234' })], 'code', { scheme: COMPOSED_SCHEME })[0]?.says).toContain(
      'reads as current assets',
    );
  });

  it('gives a missing role to the account that is it by name, else makes one', () => {
    const chart = [make(1, { code: '1010', name: 'Skerry Bank', classification: 'current-asset' })];
    expect(said(chart, 'missing', { needed: ['bank', 'retained-earnings'] }).map(({ fix }) => fix.label)).toEqual([
      'Give the role to 1010 Skerry Bank',
      'Add 1020 Retained earnings',
    ]);
  });

  it('can always be done: each piece is accepted by the rules, and then is not given again', () => {
    fc.assert(
      fc.property(anyChart(25), (chart) => {
        const state = stateOf(chart, { needed: ['bank', 'retained-earnings'], scheme: COMPOSED_SCHEME });
        for (const piece of tidy(state)) {
          if (piece.fix.merges.length > 0 || piece.fix.edits.length === 0) continue;
          const done = applyEdits(chartIndex(chart), piece.fix.edits, {
            codes: 'required',
            base: 'EUR',
            uses: new Map(),
          });
          if (!done.ok) {
            // A heading with active accounts under it cannot be dropped or deactivated; nothing else may stand in the way.
            expect(done.problems.map(({ code }) => code)).toEqual([]);
            continue;
          }
          expect(tidy({ ...state, chart: [...done.value.byId.values()] }).map(({ key }) => key)).not.toContain(
            piece.key,
          );
        }
      }),
      { numRuns: 100 },
    );
  });

  it('merges only what is alike', () => {
    const code = (from: Account, into: Account, children = 0) => {
      const done = mergeable(from, into, children);
      return done.ok ? 'ok' : (done.problems[0]?.message.split(': ')[1] ?? '');
    };
    expect(code(make(1), make(2))).toBe('ok');
    expect(code(make(1), make(1))).toContain('the same account');
    expect(code(make(1), make(2, { classification: 'equity' }))).toContain('of type');
    expect(code(make(1, { currency: 'NOK' }), make(2))).toContain('different currencies');
    expect(code(make(1), make(2, { active: false }))).toContain('inactive');
    expect(code(make(1, { heading: true }), make(2))).toContain('headings');
  });
});
