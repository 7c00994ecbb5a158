import { type Problem, type Result, fail, ok, problem } from '../base/result';
import { type PlainDate, before } from '../base/dates';
import { type Sentence, dated, say } from '../base/sentence';
import { openingDate } from './cutover';
import type { Period } from './year';

export const PERIOD_STATES = ['future', 'open', 'closed', 'locked'] as const;
export type PeriodState = (typeof PERIOD_STATES)[number];

/** The states that a new year begins with: what the old system recorded is closed, the cutover period is open, the rest is to come. */
export const firstStates = (
  periods: readonly Pick<Period, 'kind' | 'start' | 'end'>[],
  cutover: PlainDate,
): readonly PeriodState[] =>
  periods.map((period) =>
    before(period.end, cutover)
      ? 'closed'
      : period.kind === 'regular' && period.start.equals(cutover)
        ? 'open'
        : 'future',
  );

/** The states after the cutover date moved: what lies before it is closed, its own period open; locked periods stay locked. */
export const statesAfterMove = (
  periods: readonly (Pick<Period, 'kind' | 'start' | 'end'> & { readonly state: PeriodState })[],
  from: PlainDate,
  to: PlainDate,
): readonly PeriodState[] =>
  periods.map((period) => {
    if (period.state === 'locked') return 'locked';
    if (before(period.end, to)) return 'closed';
    if (period.kind === 'regular' && period.start.equals(to)) return 'open';
    // What was closed only because the old system held it is these books' to open now.
    return before(period.end, from) ? 'future' : period.state;
  });

export interface StatedPeriod {
  readonly name: string;
  readonly state: PeriodState;
  readonly end: PlainDate;
}

/**
 * Whether each of the periods may go to `to`. Periods before the cutover belong to the old system and stay closed or
 * locked; a locked period is unlocked only when the reason is written down.
 */
export const changeStates = <P extends StatedPeriod>(
  periods: readonly P[],
  to: PeriodState,
  cutover: PlainDate,
  reason = '',
): Result<readonly P[]> => {
  const changed = periods.filter((period) => period.state !== to);
  const problems = changed.flatMap((period): Problem[] => {
    if (before(period.end, cutover) && to !== 'locked' && to !== 'closed')
      return [
        problem(
          'period.before-cutover',
          say`${period.name} lies before the cutover date (${dated(cutover)}): the old system holds its entries, so it stays closed.`,
        ),
      ];
    if (period.state === 'locked' && reason.trim() === '')
      return [
        problem(
          'period.locked',
          `${period.name} is locked. Write down why it is unlocked; the reason stays in its history.`,
          'why',
        ),
      ];
    return [];
  });
  return problems.length > 0 ? fail(...problems) : ok(changed);
};

/** What is unfinished in periods that somebody is about to close or lock; a warning, not a refusal. */
export const unfinishedIn = (
  periods: readonly (StatedPeriod & { readonly start: PlainDate })[],
  facts: { readonly cutover: PlainDate; readonly openingsPosted: boolean; readonly correctionOpen: boolean },
): readonly Sentence[] => {
  const opening = openingDate(facts.cutover);
  return periods.flatMap((period) => {
    const holds = (date: PlainDate): boolean => !before(date, period.start) && !before(period.end, date);
    return [
      ...(holds(opening) && !facts.openingsPosted
        ? [say`${period.name}: the opening balances at close of ${dated(opening)} are not posted yet.`]
        : []),
      ...(holds(opening) && facts.correctionOpen
        ? [say`${period.name}: a correction of the opening balances is open and not posted.`]
        : []),
      ...(holds(facts.cutover)
        ? [say`${period.name} is the period in which these books take over; the first entries go there.`]
        : []),
    ];
  });
};
