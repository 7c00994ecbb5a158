import { type Currency } from '../money/currency';
import type { Account, AccountId } from '../chart/account';
import type { OldRecords } from '../calendar/cutover';
import type { PlainDate } from '../base/dates';
import type { Sentence } from '../base/sentence';
import type { PeriodState } from '../calendar/states';
import { type Period, periodOf } from '../calendar/year';
import type { CompanyFacts } from '../company/facts';
import { formatMinor } from '../money/format';
import { type Minor, abs } from '../money/minor';
import type { NumberStyle } from '../money/number-style';
import type { RateBook } from '../money/rate-book';
import type { Asked } from '../schedules/item';
import type { Tie } from '../schedules/tie-out';
import type { StageId } from './stage-ids';

/** Everything the checks look at. They look at nothing else, so the same state always gives the same findings. */
export interface ProofState {
  readonly facts: CompanyFacts;
  readonly accounts: readonly Account[];
  readonly openings: ReadonlyMap<AccountId, Minor>;
  /** What accounts closed last year at, where it was given. */
  readonly lastYear: ReadonlyMap<AccountId, Minor>;
  readonly years: readonly {
    readonly name: string;
    readonly start: PlainDate;
    readonly end: PlainDate;
    readonly periods: readonly (Period & { readonly state: PeriodState })[];
  }[];
  readonly cutover: PlainDate;
  readonly old: OldRecords;
  readonly currency: { readonly code: Currency; readonly digits: number };
  readonly style: NumberStyle;
  /** Foreign currencies switched on. */
  readonly currencies: readonly Currency[];
  /** Currencies in which opening figures have amounts, with how many have. */
  readonly inCurrency: ReadonlyMap<Currency, number>;
  /** Of every pair at least the last two rates up to the opening date. */
  readonly rates: RateBook;
  readonly rateDays: number;
  /** The tie-outs of the accounts that can have a schedule, and how many of their items are of after the opening date. */
  readonly ties: ReadonlyMap<AccountId, Tie>;
  readonly itemsLater: ReadonlyMap<AccountId, number>;
  /** Items that are there twice, by account. */
  readonly itemsTwice: ReadonlyMap<AccountId, number>;
  /** The items of schedules of things, by account; null where there are too many to ask about each. */
  readonly things: ReadonlyMap<AccountId, readonly Asked[]> | null;
  /** Below which balance of an account, in its currency, somebody wants to be told. */
  readonly alerts: ReadonlyMap<AccountId, Minor>;
}

/** A blocker holds posting back; a warning wants to be looked at; advice is a question that may stay open. */
export type Severity = 'blocker' | 'warning' | 'advice';

/** Where a finding is put right: a stage and, on it, an account's row. */
export interface Place {
  readonly stage: Exclude<StageId, 'proof' | 'sign-off'>;
  readonly account?: AccountId;
}

export interface Finding {
  readonly what: string | Sentence;
  readonly place: Place;
}

/** A check that tells nothing: what it looks at is not there, or nobody has answered what it would be compared with. */
export interface Aside {
  readonly says: 'does not apply' | 'not asked';
  readonly why: string;
}

/** Aside where something is so. */
export const asideWhere = (is: boolean, says: Aside['says'], why: string): Aside | undefined =>
  is ? { says, why } : undefined;

export interface Check {
  readonly severity: Severity;
  readonly title: string;
  readonly why: string;
  /** Why it tells nothing of these books, where it does not: then it is not clear either. */
  readonly aside?: (state: ProofState) => Aside | undefined;
  readonly find: (state: ProofState) => readonly Finding[];
}

export const money = (state: Pick<ProofState, 'currency' | 'style'>, amount: Minor): string =>
  `${formatMinor(abs(amount), state.currency.digits, state.style)} ${state.currency.code}`;

/** The accounts with an opening figure other than nil, in the chart's order. */
export const filled = (state: Pick<ProofState, 'accounts' | 'openings'>): readonly (readonly [Account, Minor])[] =>
  state.accounts.flatMap((account) => {
    const amount = state.openings.get(account.id);
    return amount === undefined || amount === 0n ? [] : [[account, amount] as const];
  });

export const yearOfCutover = (state: Pick<ProofState, 'years' | 'cutover'>) => periodOf(state.years, state.cutover);
