import { cutoverProblems, oldRecordProblems, openingDate } from '../calendar/cutover';
import { before } from '../base/dates';
import { dated, say } from '../base/sentence';
import { partitionProblems, periodOf } from '../calendar/year';
import { returnsOf } from '../company/facts';
import { type Check, asideWhere, yearOfCutover } from './check';

const oldRecords =
  (code: string): Check['find'] =>
  (state) =>
    oldRecordProblems(state.cutover, state.old)
      .filter((one) => one.code === code)
      .map((one) => ({ what: one.sentence ?? one.message, place: { stage: 'calendar' } }));

export const CALENDAR_CHECKS = {
  'calendar.periods-divide-years': {
    severity: 'blocker',
    title: 'Periods divide the years, and years join',
    why: 'A day in two periods or in none would be reported twice or never.',
    find: (state) =>
      partitionProblems(state.years).map((one) => ({
        what: one.sentence ?? one.message,
        place: { stage: 'calendar' },
      })),
  },
  'calendar.cutover-on-period-start': {
    severity: 'blocker',
    title: 'The cutover date is a period’s first day',
    why: 'Inside a period, part of its entries would be in the old system and part here, and no report of it would be whole.',
    find: (state) => {
      const year = yearOfCutover(state);
      if (year === undefined)
        return [
          { what: say`${dated(state.cutover)} lies in no fiscal year of these books.`, place: { stage: 'calendar' } },
        ];
      return cutoverProblems(year, state.cutover).map((one) => ({
        what: one.sentence ?? one.message,
        place: { stage: 'calendar' },
      }));
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
  'calendar.records-complete': {
    severity: 'warning',
    title: 'The old system’s records reach the opening date',
    why: 'What happened between the last complete day there and the cutover date here would be in neither.',
    aside: (state) =>
      asideWhere(
        state.old.completeUntil === undefined,
        'not asked',
        'Nobody has said until when the old records are complete.',
      ),
    find: oldRecords('calendar.records-end-early'),
  },
  'calendar.trial-balance-date': {
    severity: 'warning',
    title: 'The trial balance is of the opening date',
    why: 'A trial balance of another day nets to zero just as well, and every figure in it is wrong.',
    aside: (state) =>
      asideWhere(
        state.old.trialBalance === undefined,
        'not asked',
        'Nobody has said of which day the trial balance is.',
      ),
    find: oldRecords('calendar.trial-balance-date'),
  },
  'calendar.old-records-asked': {
    severity: 'advice',
    title: 'The old system’s dates are known',
    why: 'The two checks on the old records can tell nothing until somebody has asked.',
    find: (state) => [
      ...(state.old.completeUntil === undefined
        ? [{ what: 'Until when are the old records complete?', place: { stage: 'calendar' } } as const]
        : []),
      ...(state.old.trialBalance === undefined
        ? [{ what: 'Of which date is the trial balance?', place: { stage: 'calendar' } } as const]
        : []),
    ],
  },
  'calendar.cutover-between-returns': {
    severity: 'advice',
    title: 'The cutover date lies between two tax returns',
    why: 'A return that covers days before and after the cutover date is put together from two systems.',
    aside: (state) =>
      asideWhere(!state.facts.parts.includes('sales-tax'), 'does not apply', 'Sales taxes are not in use.') ??
      asideWhere(state.facts.taxRegistered === 'no', 'does not apply', 'The company is not registered for sales tax.'),
    find: (state) => {
      const opening = openingDate(state.cutover);
      return returnsOf(state.facts, { start: state.cutover, end: state.cutover })
        .filter((one) => before(one.start, state.cutover))
        .map((one) => ({
          what: say`The return for ${dated(one.start)} to ${dated(one.end)} has its first part, until ${dated(opening)}, in the old system. Keep that part’s tax report with the papers.`,
          place: { stage: 'calendar' },
        }));
    },
  },
} as const satisfies Record<string, Check>;
