'use server';

import { z } from 'zod';
import { PERIOD_STATES, changeStates } from '@/core/calendar/year';
import { fail, ok, problem } from '@/core/result';
import { setPeriodStates, yearsOf } from '@/store/books';
import { record } from '@/store/history';
import { booksAction } from './action';

/** Puts a range of periods into a state: all of those that may change, or none. */
export const setPeriods = booksAction(
  'setPeriods',
  { periods: z.array(z.int().positive()).min(1, 'Choose at least one period.').max(500), state: z.enum(PERIOD_STATES) },
  async ({ tx, books, actor, now }, input) => {
    const all = ((await yearsOf(tx, [books.id])).get(books.id) ?? []).flatMap((year) => year.periods);
    const chosen = all.filter((period) => input.periods.includes(period.id));
    if (chosen.length !== new Set(input.periods).size)
      return fail(
        problem('period.unknown', 'One of these periods is not in these books any more. Load the page again.'),
      );
    const changed = changeStates(chosen, input.state, books.cutover);
    if (!changed.ok) return changed;
    const ids = chosen.filter((period) => period.state !== input.state).map((period) => period.id);
    await setPeriodStates(tx, books.id, ids, input.state);
    await record(tx, books.id, 'period', ids, input.state, actor.person, now);
    return ok({ changed: ids.length });
  },
);
