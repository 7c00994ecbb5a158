import { dayOf } from '@/core/base/dates';
import type { IsoDate } from '@/core/base/iso-date';
import type { PeriodState } from '@/core/calendar/states';
import type { PeriodKind, YearPlan } from '@/core/calendar/year';
import { called } from '@/core/chart/account';
import { scheduleOf } from '@/core/schedules/kinds';
import { isResult, typeOf } from '@/core/ledger/classes';
import { postedPeriods } from '@/store/calendar';
import { page } from '../frame/views';
import { historyOf } from '../frame/history';

export interface PeriodView {
  readonly id: number;
  readonly kind: PeriodKind;
  readonly code: string;
  readonly name: string;
  readonly start: IsoDate;
  readonly end: IsoDate;
  readonly state: PeriodState;
}

export interface YearView {
  readonly id: number;
  readonly name: string;
  readonly start: IsoDate;
  readonly end: IsoDate;
  readonly plan: YearPlan;
  readonly periods: readonly PeriodView[];
}

export const calendarView = (id: number) =>
  page('books.see', id, async ({ tx, books, now }, state) => ({
    years: state.years.map((year): YearView => ({
      ...year,
      start: year.start.toString(),
      end: year.end.toString(),
      periods: year.periods.map((period): PeriodView => ({
        ...period,
        start: period.start.toString(),
        end: period.end.toString(),
      })),
    })),
    revision: books.calendarRevision,
    postedPeriods: [...(await postedPeriods(tx, books.id))],
    today: dayOf(now),
    completeUntil: books.completeUntil?.toString() ?? ('' as const),
    trialBalance: books.trialBalance?.toString() ?? ('' as const),
    posted: state.posted,
    correcting: state.posted && state.drafting,
    currencies: state.currencies,
    figures: state.amounts.size > 0,
    schedules: state.behind.supported.size > 0 || state.behind.closings.size > 0,
    things: state.accounts.flatMap((account) => {
      const kind = scheduleOf(account);
      const worked = kind === 'assets' || kind === 'loan' || kind === 'span';
      return worked && state.behind.supported.has(account.id) ? [called(account)] : [];
    }),
    results: state.accounts.some(
      (account) => isResult(typeOf(account.classification)) && (state.amounts.get(account.id) ?? 0n) !== 0n,
    ),
    history: await historyOf({ tx, books }, 'calendar'),
    periodHistory: await historyOf({ tx, books }, 'period', undefined, 200),
  }));
