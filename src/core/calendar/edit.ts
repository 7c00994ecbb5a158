import { type Result, fail, ok, problem } from '../base/result';
import { type PlainDate, before } from '../base/dates';
import { type Sentence, dated, say } from '../base/sentence';
import { type FiscalYear, type Period, isRegular } from './year';

export interface MovedEnd {
  readonly year: FiscalYear;
  /** What has to move along so that no gap or overlap is left; undefined when the year's own end moves. */
  readonly neighbour: { readonly name: string; readonly from: PlainDate; readonly to: PlainDate } | undefined;
  /** The offer, in a sentence. */
  readonly says: Sentence;
}

/**
 * The year after the last day of its regular period at `place` (from 0) moves: the next period's first day moves along. The
 * last period's last day moves the year's end. Refused when either of the two would have no day left.
 */
export const moveEnd = (year: FiscalYear, place: number, to: PlainDate): Result<MovedEnd> => {
  const regular = year.periods.filter(isRegular);
  const period = regular[place];
  if (period === undefined) return fail(problem('period.unknown', 'There is no such period in this year any more.'));
  if (before(to, period.start))
    return fail(
      problem(
        'period.backwards',
        say`${period.name} begins on ${dated(period.start)} and cannot end on ${dated(to)}. Choose that day or a later one.`,
        'end',
      ),
    );
  const next = regular[place + 1];
  if (next !== undefined && !before(to, next.end))
    return fail(
      problem(
        'period.swallows',
        say`If ${period.name} ended on ${dated(to)}, nothing would be left of ${next.name}, which ends on ${dated(next.end)}. Choose an earlier day, or give the year another pattern.`,
        'end',
      ),
    );
  const starts = to.add({ days: 1 });
  const end = next === undefined ? to : year.end;
  const periods = year.periods.map((one): Period => {
    if (one === period) return { ...one, end: to };
    if (one === next) return { ...one, start: starts };
    return isRegular(one) ? one : { ...one, start: end, end };
  });
  const wider = before(period.end, to);
  return ok({
    year: { ...year, end, periods },
    neighbour: next === undefined ? undefined : { name: next.name, from: next.start, to: starts },
    says:
      next === undefined
        ? say`The year then ends on ${dated(to)} instead of ${dated(year.end)}; a year after it begins the day after.`
        : say`${wider ? 'It would overlap' : 'It would leave a gap before'} ${next.name}: let ${next.name} begin on ${dated(starts)} instead of ${dated(next.start)}?`,
  });
};
