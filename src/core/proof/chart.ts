import { type Check, type Finding, type ProofState } from './check';

const role =
  (wanted: 'retained-earnings' | 'current-year-result', says: string) =>
  (state: ProofState): readonly Finding[] =>
    state.accounts.some((account) => account.role === wanted && account.active && !account.heading)
      ? []
      : [{ what: says, place: { stage: 'chart' } }];

export const CHART_CHECKS = {
  'chart.retained-earnings': {
    severity: 'blocker',
    title: 'A retained earnings account is chosen',
    why: 'Results of past years gather there; without it a year cannot be closed.',
    find: role('retained-earnings', 'No active account has the role Retained earnings.'),
  },
  'chart.current-year-result': {
    severity: 'blocker',
    title: 'An account for the current year’s result is chosen',
    why: 'The balance sheet shows the result to date there; without it the two halves do not meet.',
    find: role('current-year-result', 'No active account has the role Result of the current year.'),
  },
  'chart.bank-account': {
    severity: 'warning',
    title: 'There is a bank account',
    why: 'Nearly every company has one; if this one has none, its bank may have been entered as something else.',
    find: (state) =>
      state.accounts.some((account) => account.role === 'bank' && account.active && !account.heading)
        ? []
        : [{ what: 'No active account has the role Bank.', place: { stage: 'chart' } }],
  },
} as const satisfies Record<string, Check>;
