'use server';

import { z } from 'zod';
import { cutoverProblems } from '@/core/calendar/cutover';
import { readDate } from '@/core/base/dates';
import { firstStates } from '@/core/calendar/states';
import { planFrom, planYear } from '@/core/calendar/year';
import { vocabularyOf } from '@/core/chart/composition/answers';
import { compose } from '@/core/chart/composition/compose';
import { STARTER_IDS, firstParts, starterAnswers } from '@/core/chart/starters';
import { PURPOSE_IDS } from '@/core/company/facts';
import { legalFormLabel } from '@/core/company/legal-form';
import { datesOf } from '@/core/company/country';
import { similarNames } from '@/core/company/names';
import { whyNotForNew } from '@/core/money/currency';
import { type Problem, fail, ok, problem } from '@/core/base/result';
import { audit } from '@/store/audit';
import { bookNames, deleteBooks, takeBooks, insertBooks, lockPractice } from '@/store/books';
import { insertYear } from '@/store/calendar';
import { record } from '@/store/history';
import { hasPosted } from '@/store/journals';
import { insertSet } from '@/store/openings';
import { action, booksAction, mayIn, recorded } from '../kernel/action';
import { beginFrom } from '../chart/beginnings';
import { yearPlan } from '../calendar/schemas';
import { companyName, country, legalForm, numberStyle } from '../company/schemas';
import { currencyCode, text } from '../kernel/inputs';

/** Makes a set of books with its first fiscal year, its chart from a starter, and an empty draft of the opening balances. */
export const createBooks = action(
  'createBooks',
  'books.make',
  z.object({
    name: companyName,
    legalForm,
    country,
    currency: currencyCode('Choose a base currency from the list.').superRefine((code, context) => {
      const why = whyNotForNew(code, 'base');
      if (why !== undefined) context.addIssue({ code: 'custom', message: why });
    }),
    style: numberStyle,
    purpose: z.enum(PURPOSE_IDS),
    yearStart: text(40),
    cutover: text(40),
    starter: z.enum(STARTER_IDS),
    /** How the first year is divided; without it into months that end where the year's end falls. */
    plan: yearPlan.optional(),
    /** Whether the company also works in foreign currencies. */
    foreign: z.boolean().default(false),
    /** Whether it charges sales tax. */
    salesTax: z.boolean().default(true),
    /** Set by a second press, after the same name was pointed out. */
    evenIfSameName: z.boolean(),
  }),
  async (context, input) => {
    const { tx, actor, now } = context;
    const yearStart = readDate(input.yearStart, 'yearStart');
    const cutover = readDate(input.cutover, 'cutover');
    const first = { vocabulary: vocabularyOf(input.country), foreign: input.foreign, salesTax: input.salesTax };
    const answers = starterAnswers(input.starter, input.legalForm, first);
    if (!yearStart.ok || !cutover.ok || !answers.ok)
      return fail(...[yearStart, cutover, answers].flatMap((one): readonly Problem[] => (one.ok ? [] : one.problems)));
    const plan = input.plan ?? planFrom(yearStart.value);
    const drawn = planYear(plan, yearStart.value);
    if (!drawn.ok) return drawn;
    const year = drawn.value;
    const wrong = cutoverProblems(year, cutover.value);
    if (wrong.length > 0) return fail(...wrong);
    // One after the other, so that of two that are made at once under one name the second hears of the first.
    await lockPractice(tx, actor.practice);
    const [twin] = similarNames(
      input.name,
      (await bookNames(tx, actor.practice)).filter((one) => mayIn(actor, 'books.see', one)),
    );
    if (twin !== undefined && !input.evenIfSameName)
      return fail(
        problem(
          'books.same-name',
          `The practice already has books for “${twin.other.name}” (${twin.why}). Press again to make a second set all the same.`,
          'name',
        ),
      );
    const chart = answers.value === undefined ? undefined : compose(answers.value);
    const id = await insertBooks(
      tx,
      actor.practice,
      {
        name: input.name,
        legalForm: input.legalForm,
        country: input.country,
        currency: input.currency,
        style: input.style,
        purpose: input.purpose,
        cutover: cutover.value,
        facts: { parts: firstParts(chart, first), dates: datesOf(input.country) },
      },
      actor.person,
      now,
    );
    const states = firstStates(year.periods, cutover.value);
    await insertYear(tx, id, {
      ...year,
      plan,
      periods: year.periods.map((period, at) => ({ ...period, state: states[at] ?? 'future' })),
    });
    await insertSet(tx, id, 1, now, null);
    await record(
      tx,
      id,
      'books',
      [id],
      `Books made: ${legalFormLabel(input.legalForm)}, ${input.currency}`,
      actor.person,
      now,
    );
    if (answers.value !== undefined) {
      const books = await takeBooks(tx, actor.practice, id);
      if (books === undefined) throw new Error('the books just made');
      const given = answers.value;
      const begun = await recorded('createBooks', { ...context, books }, (writing) => beginFrom(writing, given));
      if (!begun.ok) return begun;
    }
    return ok({ id });
  },
);

/** Deletes books that were never posted, after their name was typed. */
export const removeBooks = booksAction(
  'removeBooks',
  'books.remove',
  { typedName: text(1000) },
  async ({ tx, books, actor, now }, { typedName }) => {
    if (await hasPosted(tx, books.id))
      return fail(
        problem(
          'books.posted',
          `${books.name} has posted journals, so its books are kept. Archive them to hide them from the board.`,
        ),
      );
    if (typedName.trim() !== books.name)
      return fail(
        problem(
          'books.name-differs',
          `Type the name exactly as it stands, ${books.name}, to delete these books.`,
          'typedName',
        ),
      );
    await deleteBooks(tx, books.id);
    await audit(tx, actor.practice, actor.person, 'books', 'Deleted', now, books.name);
    return ok({});
  },
);
