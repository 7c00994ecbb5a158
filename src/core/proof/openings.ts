import { type Account, called } from '../chart/account';
import { isResult, typeOf } from '../chart/classes';
import { opensAtYearStart } from '../calendar/cutover';
import type { Minor } from '../money/minor';
import { difference, totalsOf } from '../openings/level';
import { resultOf } from '../statements/statements';
import { type Check, type ProofState, filled, money, yearOfCutover } from './check';

type AmountCheck = 'openings.on-active-posting-accounts' | 'openings.results-nil-at-year-start';

/**
 * What is wrong with an amount standing on this account, whoever looks: the sheet at the row while it is typed, and the
 * checks below. `atYearStart` tells whether the books open at a year start.
 */
export const accountFault = (
  account: Pick<Account, 'classification' | 'heading' | 'active'>,
  amount: Minor,
  atYearStart: boolean,
): { readonly check: AmountCheck; readonly says: string } | undefined => {
  if (amount === 0n) return undefined;
  if (account.heading) return { check: 'openings.on-active-posting-accounts', says: 'an amount on a heading' };
  if (!account.active) return { check: 'openings.on-active-posting-accounts', says: 'the account is inactive' };
  if (atYearStart && isResult(typeOf(account.classification)))
    return { check: 'openings.results-nil-at-year-start', says: 'opens at nil at a year start' };
  return undefined;
};

const faulty = (state: ProofState, check: AmountCheck): readonly (readonly [Account, Minor, string])[] => {
  const year = yearOfCutover(state);
  const atYearStart = year !== undefined && opensAtYearStart(year, state.cutover);
  return filled(state).flatMap(([account, amount]) => {
    const fault = accountFault(account, amount, atYearStart);
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
  'openings.something-stands': {
    severity: 'warning',
    title: 'There are opening balances',
    why: 'Only a company that has never traded and owns nothing opens at nil everywhere.',
    find: (state) =>
      filled(state).length > 0 ? [] : [{ what: 'No account has an opening balance.', place: { stage: 'openings' } }],
  },
} as const satisfies Record<string, Check>;
