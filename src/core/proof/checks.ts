import { type Account, type AccountId, called } from '../chart/account';
import { isResult, typeOf } from '../chart/classes';
import { type PlainDate, writeDate } from '../calendar/dates';
import { type PeriodState, cutoverProblems, opensAtYearStart, periodOf } from '../calendar/year';
import { formatMinor } from '../money/format';
import { type Minor, abs } from '../money/minor';
import type { NumberStyle } from '../money/number-style';
import { difference, totalsOf } from '../openings/level';
import { resultOf } from '../statements/statements';
import { plural } from '../result';

/** Everything the checks look at. They look at nothing else, so the same state always gives the same findings. */
export interface ProofState {
  readonly accounts: readonly Account[];
  readonly openings: ReadonlyMap<AccountId, Minor>;
  readonly years: readonly {
    readonly start: PlainDate;
    readonly end: PlainDate;
    readonly periods: readonly {
      readonly name: string;
      readonly start: PlainDate;
      readonly end: PlainDate;
      readonly state: PeriodState;
    }[];
  }[];
  readonly cutover: PlainDate;
  readonly currency: { readonly code: string; readonly digits: number };
  readonly style: NumberStyle;
}

export type Severity = 'blocker' | 'warning';

/** Where a finding is put right: a stage and, on it, an account's row. */
export interface Place {
  readonly stage: 'calendar' | 'chart' | 'openings';
  readonly account?: AccountId;
}

export interface Finding {
  readonly what: string;
  readonly place: Place;
}

export const CHECK_IDS = [
  'openings.nets-to-zero',
  'openings.on-active-posting-accounts',
  'openings.results-nil-at-year-start',
  'openings.something-stands',
  'chart.retained-earnings',
  'chart.current-year-result',
  'chart.bank-account',
  'calendar.cutover-on-period-start',
  'calendar.cutover-period-open',
] as const;

export type CheckId = (typeof CHECK_IDS)[number];

export interface CheckResult {
  readonly id: CheckId;
  readonly severity: Severity;
  readonly title: string;
  readonly why: string;
  /** Empty when the check is satisfied. */
  readonly findings: readonly Finding[];
}

interface Check extends Omit<CheckResult, 'findings' | 'id'> {
  readonly find: (state: ProofState) => readonly Finding[];
}

const money = (state: ProofState, amount: Minor): string =>
  `${formatMinor(abs(amount), state.currency.digits, state.style)} ${state.currency.code}`;

const filled = (state: ProofState): readonly (readonly [Account, Minor])[] =>
  state.accounts.flatMap((account) => {
    const amount = state.openings.get(account.id);
    return amount === undefined || amount === 0n ? [] : [[account, amount] as const];
  });

const yearOfCutover = (state: ProofState) => periodOf(state.years, state.cutover);

const role =
  (wanted: 'retained-earnings' | 'current-year-result', says: string) =>
  (state: ProofState): readonly Finding[] =>
    state.accounts.some((account) => account.role === wanted && account.active && !account.heading)
      ? []
      : [{ what: says, place: { stage: 'chart' } }];

/**
 * What is wrong with an amount standing on this account, whoever looks: the sheet at the row while it is typed, and the
 * checks below. `atYearStart` tells whether the books open at a year start.
 */
export const accountFault = (
  account: Pick<Account, 'class' | 'heading' | 'active'>,
  amount: Minor,
  atYearStart: boolean,
): { readonly check: CheckId; readonly says: string } | undefined => {
  if (amount === 0n) return undefined;
  if (account.heading) return { check: 'openings.on-active-posting-accounts', says: 'an amount on a heading' };
  if (!account.active) return { check: 'openings.on-active-posting-accounts', says: 'the account is inactive' };
  if (atYearStart && isResult(typeOf(account.class)))
    return { check: 'openings.results-nil-at-year-start', says: 'opens at nil at a year start' };
  return undefined;
};

const faulty = (state: ProofState, check: CheckId): readonly (readonly [Account, Minor, string])[] => {
  const year = yearOfCutover(state);
  const atYearStart = year !== undefined && opensAtYearStart(year, state.cutover);
  return filled(state).flatMap(([account, amount]) => {
    const fault = accountFault(account, amount, atYearStart);
    return fault?.check === check ? [[account, amount, fault.says] as const] : [];
  });
};

const CHECKS: Readonly<Record<CheckId, Check>> = {
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
  'calendar.cutover-on-period-start': {
    severity: 'blocker',
    title: 'The cutover date is a period’s first day',
    why: 'Inside a period, part of its entries would be in the old system and part here, and no report of it would be whole.',
    find: (state) => {
      const year = yearOfCutover(state);
      if (year === undefined)
        return [
          { what: `${writeDate(state.cutover)} lies in no fiscal year of these books.`, place: { stage: 'calendar' } },
        ];
      return cutoverProblems(year, state.cutover).map((one) => ({ what: one.message, place: { stage: 'calendar' } }));
    },
  },
  'calendar.cutover-period-open': {
    severity: 'blocker',
    title: 'The cutover date’s period is open',
    why: 'The first entries go into that period on the first day of work.',
    find: (state) => {
      const period = periodOf(
        state.years.flatMap((year) => year.periods),
        state.cutover,
      );
      return period === undefined || period.state === 'open'
        ? []
        : [{ what: `${period.name} is ${period.state}. Open it.`, place: { stage: 'calendar' } }];
    },
  },
};

/** All checks over the state, in a fixed order; each with what it found. */
export const prove = (state: ProofState): readonly CheckResult[] =>
  CHECK_IDS.map((id) => {
    const { severity, title, why, find } = CHECKS[id];
    return { id, severity, title, why, findings: find(state) };
  });

export const blockers = (results: readonly CheckResult[]): readonly CheckResult[] =>
  results.filter((one) => one.severity === 'blocker' && one.findings.length > 0);

/** "2 blockers, 1 warning", or "clear". */
export const verdict = (results: readonly CheckResult[]): string => {
  const open = results.filter((one) => one.findings.length > 0);
  const blocking = blockers(open).length;
  const warning = open.length - blocking;
  const parts = [
    ...(blocking > 0 ? [plural(blocking, 'blocker')] : []),
    ...(warning > 0 ? [plural(warning, 'warning')] : []),
  ];
  return parts.length === 0 ? 'clear' : parts.join(', ');
};
