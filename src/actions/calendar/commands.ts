'use server';

import { z } from 'zod';
import { oldRecordProblems } from '@/core/calendar/cutover';
import { dated, listed, say } from '@/core/base/sentence';
import { PERIOD_STATES, changeStates, statesAfterMove, unfinishedIn } from '@/core/calendar/states';
import { clash, fail, ok, problem, toldIn } from '@/core/base/result';
import { updateCutover } from '@/store/books';
import { setPeriodStates } from '@/store/calendar';
import { record } from '@/store/history';
import { hasPosted } from '@/store/journals';
import { currentSet } from '@/store/openings';
import { booksAction } from '../kernel/action';
import { draw } from './draw';
import { whyCutoverStays } from './rules';
import { isoDate, maybeDate, yearSchema } from './schemas';
import { standing } from './standing';
import { id, int4, text } from '../kernel/inputs';
import { writingOfBooks } from '../kernel/writing';

/**
 * Puts a range of periods into a state: all of those that may change, or none. Closing says what is unfinished and wants a
 * second press; unlocking wants a reason.
 */
export const setPeriods = booksAction(
  'setPeriods',
  'calendar.change',
  {
    periods: z.array(id).min(1, 'Choose at least one period.').max(5000),
    state: z.enum(PERIOD_STATES),
    why: text(200).trim().default(''),
    evenIfUnfinished: z.boolean().default(false),
  },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    const all = (await standing(context)).flatMap((year) => year.periods);
    const wanted = new Set(input.periods);
    const chosen = all.filter((period) => wanted.has(period.id));
    if (chosen.length !== wanted.size)
      return fail(
        problem('period.unknown', 'One of these periods is not in these books any more. Load the page again.'),
      );
    const changed = changeStates(chosen, input.state, books.cutover, input.why);
    if (!changed.ok) return changed;
    if ((input.state === 'closed' || input.state === 'locked') && !input.evenIfUnfinished) {
      const set = await currentSet(tx, books.id);
      const openingsPosted = await hasPosted(tx, books.id);
      const unfinished = unfinishedIn(changed.value, {
        cutover: books.cutover,
        openingsPosted,
        correctionOpen: openingsPosted && set?.state === 'draft',
      });
      if (unfinished.length > 0) return fail(...unfinished.map((message) => problem('period.unfinished', message)));
    }
    context.changes.add(
      await setPeriodStates(
        tx,
        books.id,
        changed.value.map((period) => ({ period, to: input.state })),
      ),
    );
    await record(
      tx,
      books.id,
      'period',
      changed.value.map(({ id }) => id),
      `${input.state}${input.why === '' ? '' : `: ${input.why}`}`,
      actor.person,
      now,
    );
    return ok({ changed: changed.value.length });
  },
);

/**
 * Puts a whole calendar in the place of the one that stands, once it keeps every law of `redraw`. `revision` is the one that
 * was shown; if the calendar changed meanwhile, nothing is overwritten. With `cutover` the books take over on that day of it.
 */
export const drawCalendar = booksAction(
  'drawCalendar',
  'calendar.change',
  {
    revision: int4,
    years: z.array(yearSchema).min(1, 'The books need a fiscal year.').max(150, 'A calendar has at most 150 years.'),
    cutover: isoDate.optional(),
    /** The cutover date that was shown. */
    was: isoDate.optional(),
  },
  async (context, input) => {
    if (input.revision !== context.books.calendarRevision)
      return fail(
        problem(
          'calendar.changed',
          'Somebody changed the calendar meanwhile. Load the page again; nothing of yours was stored.',
        ),
      );
    const { cutover, was = context.books.cutover } = input;
    if (cutover !== undefined && !was.equals(context.books.cutover))
      return fail(
        clash('cutover.changed', 'The cutover date', dated(context.books.cutover), dated(cutover), 'cutover'),
      );
    return draw(context, input.years, cutover);
  },
);

/**
 * Moves the cutover date, where it may move, and keeps the old system's dates.
 */
export const moveCutover = booksAction(
  'moveCutover',
  'calendar.change',
  { cutover: isoDate, completeUntil: maybeDate, trialBalance: maybeDate, was: isoDate },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    if (!input.was.equals(books.cutover))
      return fail(clash('cutover.changed', 'The cutover date', dated(books.cutover), dated(input.cutover), 'cutover'));
    const years = await standing(context);
    const moves = !input.cutover.equals(books.cutover);
    const wrong = await whyCutoverStays(context, input.cutover);
    if (wrong.length > 0) return fail(...wrong);
    context.changes.add([await updateCutover(tx, books, input)]);
    if (moves) {
      const periods = years.flatMap((year) => year.periods);
      const states = statesAfterMove(periods, books.cutover, input.cutover);
      const moves = periods.flatMap((period, at) => {
        const to = states[at] ?? period.state;
        return to === period.state ? [] : [{ period, to }];
      });
      context.changes.add(await setPeriodStates(tx, books.id, moves));
      await record(
        tx,
        books.id,
        'calendar',
        [books.id],
        say`Cutover date ${dated(books.cutover)} → ${dated(input.cutover)}`,
        actor.person,
        now,
      );
    }
    const old = [
      ...(input.completeUntil === undefined ? [] : [say`old records complete until ${dated(input.completeUntil)}`]),
      ...(input.trialBalance === undefined ? [] : [say`trial balance of ${dated(input.trialBalance)}`]),
    ];
    if (old.length > 0 && !moves)
      await record(tx, books.id, 'calendar', [books.id], say`Old system: ${listed(old, ', ')}`, actor.person, now);
    return ok({
      notes: oldRecordProblems(input.cutover, input).map((one) => toldIn(one, writingOfBooks(books)).message),
    });
  },
);
