import type { Change } from '@/core/base/change';
import { sameKept } from '@/core/base/kept';
import { dated, say } from '@/core/base/sentence';
import { type Problem, problem } from '@/core/base/result';
import { calendarFrom, cutoverFrom, keptCalendar, keptCutover, periodField } from '@/core/calendar/recorded';
import { PERIOD_STATES, changeStates } from '@/core/calendar/states';
import { updateCutover } from '@/store/books';
import { setPeriodStates } from '@/store/calendar';
import { record } from '@/store/history';
import { draw, standing } from '../calendar/draw';
import { whyCutoverStays } from '../calendar/rules';
import type { WritingContext } from '../kernel/action';

/** A calendar goes back as a whole, where it is the one that the change left; a period in which something is posted keeps its days. */
export const calendarBack = async (
  context: WritingContext,
  changes: readonly Change[],
): Promise<readonly Problem[]> => {
  for (const { from, to } of changes.toReversed()) {
    const stands = await standing(context);
    if (!sameKept(keptCalendar(stands), to))
      return [
        problem('undo.since', 'The calendar or the state of a period was changed since, so nothing was taken back.'),
      ];
    const drawn = await draw(context, calendarFrom(from, stands));
    if (!drawn.ok) return drawn.problems;
  }
  return [];
};

export const cutoverBack = async (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  const { tx, books } = context;
  for (const { from, to } of changes) {
    if (!sameKept(keptCutover(books), to))
      return [
        problem('undo.since', say`The cutover date is ${dated(books.cutover)} by now, so nothing was taken back.`),
      ];
    const was = cutoverFrom(from);
    const wrong = await whyCutoverStays(context, was.cutover);
    if (wrong.length > 0) return wrong;
    context.changes.add([await updateCutover(tx, books, was)]);
  }
  return [];
};

/** States of periods go back, those that are what the change left; a lock that is taken back says so in its period's history. */
export const periodsBack = async (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  const { tx, books, actor, now } = context;
  const periods = new Map(
    (await standing(context)).flatMap((year) => year.periods).map((period) => [periodField(period), period]),
  );
  const moves = changes.flatMap(({ field, from, to }) => {
    const period = periods.get(field);
    const state = PERIOD_STATES.find((one) => one === from);
    return period === undefined || state === undefined || period.state !== to ? [] : [{ period, to: state }];
  });
  if (moves.length < changes.length)
    return [problem('undo.since', 'The state of a period was changed since, so nothing was taken back.')];
  const wrong = moves.flatMap(({ period, to }) => {
    const may = changeStates([period], to, books.cutover, 'taken back');
    return may.ok ? [] : may.problems;
  });
  if (wrong.length > 0) return wrong;
  context.changes.add(await setPeriodStates(tx, books.id, moves));
  for (const state of PERIOD_STATES) {
    const own = moves.filter(({ to }) => to === state).map(({ period }) => period.id);
    if (own.length > 0) await record(tx, books.id, 'period', own, `${state}: taken back`, actor.person, now);
  }
  return [];
};
