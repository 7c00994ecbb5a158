import type { Change } from '@/core/base/change';
import { sameKept } from '@/core/base/kept';
import { dated, say } from '@/core/base/sentence';
import { type Problem, problem } from '@/core/base/result';
import { calendarFrom, cutoverFrom, keptCalendar, keptCutover, periodField } from '@/core/calendar/recorded';
import { PERIOD_STATES, changeStates } from '@/core/calendar/states';
import { updateCutover } from '@/store/books';
import { setPeriodStates } from '@/store/calendar';
import { record } from '@/store/history';
import { draw } from '../calendar/draw';
import { whyCutoverStays } from '../calendar/rules';
import { standing } from '../calendar/standing';
import type { WritingContext } from '../kernel/action';

/**
 * A calendar goes back as a whole, where it is the one that the change left, and the cutover date that moved with it; a period in which
 * something is posted keeps its days.
 */
export const calendarBack = async (
  context: WritingContext,
  changes: readonly Change[],
): Promise<readonly Problem[]> => {
  const moves = changes.filter(({ subject }) => subject === 'cutover');
  const moved = moves.find(({ to }) => !sameKept(keptCutover(context.books), to));
  if (moved !== undefined)
    return [
      problem(
        'undo.since',
        say`The cutover date is ${dated(context.books.cutover)} by now, so nothing was taken back.`,
      ),
    ];
  const drawings = changes.filter(({ subject }) => subject === 'calendar');
  if (drawings.length === 0) return cutoverBack(context, moves);
  for (const { from, to } of drawings.toReversed()) {
    const stands = await standing(context);
    if (!sameKept(keptCalendar(stands), to))
      return [
        problem('undo.since', 'The calendar or the state of a period was changed since, so nothing was taken back.'),
      ];
    const [move] = moves;
    const drawn = await draw(
      context,
      calendarFrom(from, stands),
      move === undefined ? undefined : cutoverFrom(move.from).cutover,
    );
    if (!drawn.ok) return drawn.problems;
  }
  return [];
};

const cutoverBack = async (context: WritingContext, changes: readonly Change[]): Promise<readonly Problem[]> => {
  const { tx, books } = context;
  for (const { from } of changes) {
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
