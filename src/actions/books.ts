'use server';

import { z } from 'zod';
import { readDate } from '@/core/calendar/dates';
import { cutoverProblems, firstStates, monthlyYear } from '@/core/calendar/year';
import { STARTER_IDS, starterChart } from '@/core/chart/starters';
import { LEGAL_FORM_IDS, legalFormLabel, sameNames } from '@/core/company';
import { isCountry } from '@/core/country';
import { isCurrency } from '@/core/money/currency';
import { NUMBER_STYLES } from '@/core/money/number-style';
import { type Problem, fail, ok, problem } from '@/core/result';
import { allBooks, deleteBooks, insertBooks, insertYear, updateBooks } from '@/store/books';
import { insertAccounts } from '@/store/chart';
import { record } from '@/store/history';
import { hasPosted } from '@/store/journals';
import { insertSet } from '@/store/openings';
import { action, booksAction } from './action';

const name = z
  .string()
  .trim()
  .min(1, 'The company needs a name.')
  .max(120, 'The name has more than 120 characters; shorten it.')
  .regex(/^\P{Cc}*$/u, 'The name contains a control character, such as a line break. Type it on one line.');
const legalForm = z.enum(LEGAL_FORM_IDS, 'Choose a legal form.');
const country = z.string().refine(isCountry, 'Choose a country from the list.');
const style = z.enum(NUMBER_STYLES, 'Choose how numbers are written.');

/** Makes a set of books with its first fiscal year, its chart from a starter, and an empty draft of the opening balances. */
export const createBooks = action(
  'createBooks',
  z.object({
    name,
    legalForm,
    country,
    currency: z.string().refine(isCurrency, 'Choose a base currency from the list.'),
    style,
    purpose: z.enum(['live', 'trial', 'demo']),
    yearStart: z.string(),
    cutover: z.string(),
    starter: z.enum(STARTER_IDS),
    /** Set by a second press, after the same name was pointed out. */
    evenIfSameName: z.boolean(),
  }),
  async ({ tx, actor, now }, input) => {
    const yearStart = readDate(input.yearStart, 'yearStart');
    const cutover = readDate(input.cutover, 'cutover');
    const chart = starterChart(input.starter, input.legalForm);
    if (!yearStart.ok || !cutover.ok || !chart.ok)
      return fail(...[yearStart, cutover, chart].flatMap((one): readonly Problem[] => (one.ok ? [] : one.problems)));
    const year = monthlyYear(yearStart.value);
    const wrong = cutoverProblems(year, cutover.value);
    if (wrong.length > 0) return fail(...wrong);
    const twins = sameNames(input.name, await allBooks(tx, actor.practice));
    if (twins.length > 0 && !input.evenIfSameName)
      return fail(
        problem(
          'books.same-name',
          `The practice already has books for “${twins[0]?.name ?? ''}”. Press again to make a second set all the same.`,
          'name',
        ),
      );
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
      },
      actor.person,
      now,
    );
    await insertYear(tx, id, year, firstStates(year.periods, cutover.value));
    await insertAccounts(
      tx,
      id,
      chart.value.map((one) => ({ ...one, parentCode: one.parent, currency: null })),
    );
    await insertSet(tx, id, 1, now, null);
    await record(
      tx,
      id,
      'books',
      [id],
      `Books made: ${legalFormLabel(input.legalForm)}, ${input.currency}, ${chart.value.length} accounts from the starter`,
      actor.person,
      now,
    );
    return ok({ id });
  },
);

/** Changes what may still change about a company. The base currency is not among it: every amount is stated in it. */
export const changeCompany = booksAction(
  'changeCompany',
  { name, legalForm, country, style },
  async ({ tx, books, actor, now }, input) => {
    await updateBooks(tx, books.id, input.name, input.legalForm, input.country, input.style);
    await record(
      tx,
      books.id,
      'books',
      [books.id],
      `Company changed: ${input.name}, ${legalFormLabel(input.legalForm)}, ${input.country}`,
      actor.person,
      now,
    );
    return ok({});
  },
);

/** Deletes books that were never posted, after their name was typed. */
export const removeBooks = booksAction(
  'removeBooks',
  { typedName: z.string() },
  async ({ tx, books }, { typedName }) => {
    if (await hasPosted(tx, books.id))
      return fail(problem('books.posted', `${books.name} has posted journals, so its books are kept.`));
    if (typedName.trim() !== books.name)
      return fail(
        problem(
          'books.name-differs',
          `Type the name exactly as it stands, ${books.name}, to delete these books.`,
          'typedName',
        ),
      );
    await deleteBooks(tx, books.id);
    return ok({});
  },
);
