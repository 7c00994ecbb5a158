'use server';

import { z } from 'zod';
import { elapsedPeriods } from '@/core/calendar/cutover';
import { periodOf } from '@/core/calendar/year';
import { accountId, called } from '@/core/chart/account';
import { LARGEST, minor } from '@/core/money/minor';
import { fail, ok, plural, problem } from '@/core/result';
import { yearsOf } from '@/store/calendar';
import { accountsOf } from '@/store/chart';
import { writeComparatives } from '@/store/comparatives';
import { record } from '@/store/history';
import { currentSet } from '@/store/openings';
import { booksAction } from './action';

/** Saves comparatives: last year's closing balances, and the movements of the elapsed periods of a mid-year cutover. */
export const saveComparatives = booksAction(
  'saveComparatives',
  {
    entries: z
      .array(
        z.object({
          account: z.int().positive().transform(accountId),
          column: z.int().min(0).max(60),
          amount: z
            .bigint()
            .refine((units) => (units < 0n ? -units : units) <= LARGEST, 'The amount is larger than Bathron keeps.')
            .transform(minor)
            .nullable(),
        }),
      )
      .min(1)
      .max(50_000),
  },
  async ({ tx, books, actor, now }, { entries }) => {
    const named = new Map(
      (
        await accountsOf(
          tx,
          books.id,
          entries.map(({ account }) => account),
        )
      ).map((one) => [one.id, one]),
    );
    const year = periodOf((await yearsOf(tx, [books.id])).get(books.id) ?? [], books.cutover);
    const elapsed = elapsedPeriods(year, books.cutover).length;
    for (const { account, column } of entries) {
      const found = named.get(account);
      if (found === undefined)
        return fail(problem('account.unknown', 'This account is not in the chart any more. Load the page again.'));
      if (found.heading) return fail(problem('account.heading', `${called(found)} is a heading and takes no amounts.`));
      if (column > elapsed)
        return fail(
          problem('comparatives.no-period', 'This period has not elapsed at the cutover date. Load the page again.'),
        );
    }
    await writeComparatives(tx, books.id, entries, actor.person, now);
    const set = await currentSet(tx, books.id);
    if (entries.length > 1 && set !== undefined)
      await record(
        tx,
        books.id,
        'openings',
        [set.id],
        `${plural(entries.length, 'comparative')} entered`,
        actor.person,
        now,
      );
    return ok({ saved: entries.length });
  },
);
