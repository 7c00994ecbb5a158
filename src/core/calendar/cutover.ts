import { type Currency } from '../money/currency';
import { type Problem, problem } from '../base/result';
import { type PlainDate, before, dayBefore } from '../base/dates';
import { type Sentence, dated, say } from '../base/sentence';
import { type FiscalYear, type Period, periodOf } from './year';

type Year = Pick<FiscalYear, 'start' | 'end'> & { readonly periods: readonly Pick<Period, 'name' | 'start' | 'end'>[] };

/**
 * The date at whose close the opening balances stand.
 *
 * @example openingDate(plainDate('2026-08-01')).toString() // '2026-07-31'
 */
export const openingDate = (cutover: PlainDate): PlainDate => dayBefore(cutover);

/** At a year start income and expense open at nil; in mid-year they open at their year-to-date figures. */
export const opensAtYearStart = (year: Pick<FiscalYear, 'start'>, cutover: PlainDate): boolean =>
  cutover.equals(year.start);

/** What is wrong with taking the books over on this date within the year, or nothing. */
export const cutoverProblems = (year: Year, cutover: PlainDate, field = 'cutover'): readonly Problem[] => {
  if (before(cutover, year.start) || before(year.end, cutover))
    return [
      problem(
        'cutover.outside-year',
        say`${dated(cutover)} is outside the fiscal year, which runs from ${dated(year.start)} to ${dated(year.end)}. Choose the first day of one of its periods.`,
        field,
      ),
    ];
  const period = periodOf(year.periods, cutover);
  if (period !== undefined && !period.start.equals(cutover)) {
    const next = year.periods[year.periods.indexOf(period) + 1];
    return [
      problem(
        'cutover.inside-period',
        say`${dated(cutover)} falls inside ${period.name}. A set of books takes over on a period’s first day: ${dated(period.start)}${next === undefined ? '' : say` or ${dated(next.start)}`}.`,
        field,
      ),
    ];
  }
  return [];
};

/** How far the opening balances of books have come: nothing posted, posted, or posted with a correction open. */
export type OpeningsState = 'draft' | 'posted' | 'correction';

/**
 * Why the cutover date cannot move in a calendar: it would lie in no fiscal year or inside a period, or opening balances stand posted
 * for the one that is. With a correction open it may move on, but not back behind what is posted.
 */
export const moveProblems = (
  years: readonly Year[],
  from: PlainDate,
  to: PlainDate,
  openings: OpeningsState,
): readonly Problem[] => {
  const year = periodOf(years, to);
  const wrong =
    year === undefined
      ? [
          problem(
            'cutover.outside-year',
            say`${dated(to)} lies in no fiscal year of these books. Add that year first.`,
            'cutover',
          ),
        ]
      : cutoverProblems(year, to);
  return wrong.length > 0 ? wrong : postedProblems(from, to, openings);
};

/** Why the opening balances that are posted keep the cutover date where it is. */
export const postedProblems = (from: PlainDate, to: PlainDate, openings: OpeningsState): readonly Problem[] => {
  if (from.equals(to)) return [];
  if (openings === 'posted')
    return [
      problem(
        'cutover.posted',
        'The opening balances are posted, so their date stays. Open a correction on the Sign-off page first; what moves is then posted as a difference.',
        'cutover',
      ),
    ];
  return openings === 'correction' && before(to, from)
    ? [
        problem(
          'cutover.behind-posted',
          say`Opening balances were posted for ${dated(from)}; the books cannot take over earlier than what is posted.`,
          'cutover',
        ),
      ]
    : [];
};

/** What the old system has to offer beside the cutover date: up to when its records are whole, and its trial balance's date. */
export interface OldRecords {
  readonly completeUntil: PlainDate | undefined;
  readonly trialBalance: PlainDate | undefined;
}

/** What in the old system does not meet the opening date; unanswered questions are no problem here. */
export const oldRecordProblems = (cutover: PlainDate, old: OldRecords): readonly Problem[] => {
  const opening = openingDate(cutover);
  return [
    ...(old.completeUntil !== undefined && before(old.completeUntil, opening)
      ? [
          problem(
            'calendar.records-end-early',
            say`The old system is complete only until ${dated(old.completeUntil)}, but the books open at close of ${dated(opening)}: what happened between is in neither. Have the old records completed, or take over earlier.`,
            'completeUntil',
          ),
        ]
      : []),
    ...(old.trialBalance !== undefined && !old.trialBalance.equals(opening)
      ? [
          problem(
            'calendar.trial-balance-date',
            say`The trial balance is of ${dated(old.trialBalance)}, the opening date is ${dated(opening)}. Ask for one as at ${dated(opening)}, or move the cutover date to ${dated(old.trialBalance.add({ days: 1 }))}.`,
            'trialBalance',
          ),
        ]
      : []),
  ];
};

export interface CutoverFacts {
  readonly years: readonly Year[];
  /** Foreign currencies in use, for the rates that the new opening date needs. */
  readonly currencies: readonly Currency[];
  /** Whether opening figures stand already, and on income and expense accounts. */
  readonly figures: boolean;
  readonly results: boolean;
  /** Whether something stands behind figures already: items, statements. */
  readonly schedules: boolean;
  /** Accounts of whose things something is worked out by the opening date: depreciation, what lies ahead, what falls due. */
  readonly things: readonly string[];
}

/** What moving the cutover date changes, in sentences, before it is taken. Both dates are first days of periods. */
export const cutoverEffects = (from: PlainDate, to: PlainDate, facts: CutoverFacts): readonly Sentence[] => {
  if (from.equals(to)) return [];
  const nilBefore = facts.years.some((year) => opensAtYearStart(year, from));
  const nilAfter = facts.years.some((year) => opensAtYearStart(year, to));
  const opening = dated(openingDate(to));
  return [
    say`Opening balances stand at close of ${opening} instead of ${dated(openingDate(from))}.`,
    ...(nilBefore === nilAfter
      ? [say`Income and expense still open ${nilAfter ? 'at nil' : 'at their year-to-date figures'}.`]
      : nilAfter
        ? [
            say`Income and expense open at nil: the year’s result before ${dated(to)} belongs in retained earnings.${facts.results ? ' Figures that stand on such accounts have to be cleared.' : ''}`,
          ]
        : [
            say`Income and expense open at their year-to-date figures; bring them from the trial balance of the new date.`,
          ]),
    ...(facts.figures
      ? [say`The figures entered so far are of ${dated(openingDate(from))} and have to be replaced.`]
      : []),
    ...(facts.schedules
      ? [
          say`Schedules and statements are of ${dated(openingDate(from))} too; they stay, and no longer tie where the figures change.`,
        ]
      : []),
    ...(facts.things.length > 0
      ? [
          say`What should be written off, what lies ahead and what falls due within a year is worked out for ${opening}, and asked about where the lists say otherwise: ${facts.things.join(', ')}.`,
        ]
      : []),
    ...(facts.currencies.length > 0 ? [say`Rates of ${opening} are needed for ${facts.currencies.join(', ')}.`] : []),
    before(from, to)
      ? say`Periods before ${dated(to)} are closed: the old system holds their entries.`
      : say`Periods from ${dated(to)} on can be opened: these books record them.`,
  ];
};

/** The periods of a year that have ended before the cutover date, in their order: those a mid-year opening can bring month by month. */
export const elapsedPeriods = <P extends Pick<Period, 'end'>>(
  year: { readonly periods: readonly P[] } | undefined,
  cutover: PlainDate,
): readonly P[] => (year?.periods ?? []).filter((period) => before(period.end, cutover));
