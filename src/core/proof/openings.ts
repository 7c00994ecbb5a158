import { type Account, called } from '../chart/account';
import { isResult, typeOf } from '../ledger/classes';
import { opensAtYearStart } from '../calendar/cutover';
import { type Minor } from '../money/minor';
import { difference, totalsOf } from '../ledger/level';
import { type AmountCheck, accountFault } from '../openings/account-fault';
import { equityCarried } from '../openings/equity';
import { resultOf } from '../statements/statements';
import { type Check, type ProofState, asideWhere, filled, money, yearOfCutover } from './check';

const atYearStart = (state: ProofState): boolean => {
  const year = yearOfCutover(state);
  return year !== undefined && opensAtYearStart(year, state.cutover);
};

const faulty = (state: ProofState, check: AmountCheck): readonly (readonly [Account, Minor, string])[] => {
  const fresh = atYearStart(state);
  return filled(state).flatMap(([account, amount]) => {
    const fault = accountFault(account, amount, fresh);
    return fault?.check === check ? [[account, amount, fault.says] as const] : [];
  });
};

export const OPENING_CHECKS = {
  'openings.nets-to-zero': {
    severity: 'blocker',
    title: 'The opening balances net to zero',
    why: 'Every entry has two sides. If debits and credits differ, at least one figure is wrong or missing.',
    find: (state) => {
      const net = difference(totalsOf(filled(state).map(([, amount]) => amount)));
      return net === 0n
        ? []
        : [
            {
              what: `${net > 0n ? 'Debits' : 'Credits'} are heavier by ${money(state, net)}.`,
              place: { stage: 'openings' },
            },
          ];
    },
  },
  'openings.on-active-posting-accounts': {
    severity: 'blocker',
    title: 'Every amount stands on an active posting account',
    why: 'An amount on a heading is counted twice or not at all, and an inactive account is left out of daily work.',
    find: (state) =>
      faulty(state, 'openings.on-active-posting-accounts').map(([account, amount]) => ({
        what: `${called(account)} is ${account.heading ? 'a heading' : 'inactive'} and holds ${money(state, amount)}.`,
        place: { stage: 'openings', account: account.id },
      })),
  },
  'openings.results-nil-at-year-start': {
    severity: 'blocker',
    title: 'Income and expense open at nil at a year start',
    why: 'At a year start last year’s result already belongs to the owners; carried in again it would be counted in two years.',
    find: (state) => {
      const carried = faulty(state, 'openings.results-nil-at-year-start');
      if (carried.length === 0) return [];
      const result = resultOf(state.accounts, state.openings);
      const retained = state.accounts.find((account) => account.role === 'retained-earnings');
      const advice = `Clear them and put their net, a ${result >= 0n ? 'profit' : 'loss'} of ${money(state, result)}, on ${retained === undefined ? 'retained earnings' : called(retained)}.`;
      return carried.map(([account, amount], at) => ({
        what: `${called(account)} stands at ${money(state, amount)}.${at === 0 ? ` ${advice}` : ''}`,
        place: { stage: 'openings', account: account.id },
      }));
    },
  },
  'openings.suspense-nil': {
    severity: 'warning',
    title: 'The opening suspense account is at nil',
    why: 'What stands there is a difference that nobody has explained. It may stay for a while, not for good.',
    find: (state) =>
      faulty(state, 'openings.suspense-nil').map(([account, amount]) => ({
        what: `${called(account)} holds ${money(state, amount)}.`,
        place: { stage: 'openings', account: account.id },
      })),
  },
  'openings.bank-not-owed': {
    severity: 'advice',
    title: 'No bank account opens in credit',
    why: 'A credit on a bank account means that the bank is owed: an overdraft, or a sign the wrong way round.',
    find: (state) =>
      faulty(state, 'openings.bank-not-owed').map(([account, amount]) => ({
        what: `${called(account)} opens with a credit of ${money(state, amount)}.`,
        place: { stage: 'openings', account: account.id },
      })),
  },
  'openings.usual-side': {
    severity: 'advice',
    title: 'Figures stand on the usual side of their accounts',
    why: 'A debit on a liability or a credit on an asset may be right, and is often a sign the wrong way round.',
    find: (state) =>
      faulty(state, 'openings.usual-side').map(([account, amount, says]) => ({
        what: `${called(account)}, ${money(state, amount)}: ${says}.`,
        place: { stage: 'openings', account: account.id },
      })),
  },
  'openings.results-in-mid-year': {
    severity: 'warning',
    title: 'A mid-year opening brings its results',
    why: 'In the middle of a year income and expense open at their year-to-date figures; without them the year’s result is short.',
    aside: (state) =>
      asideWhere(
        atYearStart(state),
        'does not apply',
        'The books open with a year, and income and expense open at nil.',
      ),
    find: (state) =>
      filled(state).length === 0 || filled(state).some(([account]) => isResult(typeOf(account.classification)))
        ? []
        : [
            {
              what: 'The books take over in the middle of a year, and no income or expense account has a figure.',
              place: { stage: 'openings' },
            },
          ],
  },
  'openings.equity-follows': {
    severity: 'warning',
    title: 'Equity opens as last year closed it',
    why: 'What the owners had at last year’s close, with its result, is what they open with, but for what they paid in or drew since.',
    aside: (state) =>
      asideWhere(
        equityCarried(state.accounts, state.openings, state.lastYear) === undefined,
        'not asked',
        'No account of equity has an amount for last year’s close; the comparatives have room for it.',
      ),
    find: (state) => {
      const carried = equityCarried(state.accounts, state.openings, state.lastYear);
      if (carried === undefined || carried.apart === 0n) return [];
      const { closed, opens, apart } = carried;
      const since = atYearStart(state)
        ? 'The books open with the year, so that nothing lies between: one of the two is wrong.'
        : `Where that much was ${apart > 0n ? 'paid out to the owners' : 'paid in by the owners'} since, it is right; else one of the two is wrong.`;
      return [
        {
          what: `With its result last year closed at ${money(state, closed)}, and equity opens at ${money(state, opens)}, which is ${money(state, apart)} apart. ${since}`,
          place: { stage: 'openings' },
        },
      ];
    },
  },
  'openings.something-stands': {
    severity: 'warning',
    title: 'There are opening balances',
    why: 'Only a company that has never traded and owns nothing opens at nil everywhere.',
    find: (state) =>
      filled(state).length > 0 ? [] : [{ what: 'No account has an opening balance.', place: { stage: 'openings' } }],
  },
} as const satisfies Record<string, Check>;
