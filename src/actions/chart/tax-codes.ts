'use server';

import { z } from 'zod';
import { type AccountId } from '@/core/chart/account';
import { removalProblems, sayRates, starterTaxCodes, taxCodeProblems } from '@/core/chart/tax-codes';
import { type Problem, fail, ok, plural, problem } from '@/core/base/result';
import { record } from '@/store/history';
import { deleteTaxCode, insertTaxCode, taxCodesOf, updateTaxCode } from '@/store/tax-codes';
import { standingChart, standingIndex, taxCodeRenamed } from '../frame/held-chart';
import { type BooksContext, booksAction } from '../kernel/action';
import { taxCode } from './schemas';
import { id } from '../kernel/inputs';

const note = ({ tx, books, actor, now }: BooksContext, what: string): Promise<void> =>
  record(tx, books.id, 'books', [books.id], what, actor.person, now);

const off = ({ books }: BooksContext): readonly Problem[] =>
  books.facts.parts.includes('sales-tax')
    ? []
    : [problem('tax.off', 'Sales taxes are not among the parts in use. Turn them on on the Company page.')];

/** Adds a tax code, or changes the one with the id. */
export const saveTaxCode = booksAction(
  'saveTaxCode',
  'chart.change',
  { id: id.nullable(), code: taxCode },
  async (context, input) => {
    const { tx, books } = context;
    const wrongPart = off(context);
    if (wrongPart.length > 0) return fail(...wrongPart);
    const all = await taxCodesOf(tx, books.id);
    const { byId } = await standingIndex({ tx, books });
    if (input.id !== null && !all.some(({ id }) => id === input.id))
      return fail(problem('tax.gone', 'This tax code is not here any more. Load the page again.'));
    const rates = [...input.code.rates].sort((a, b) => (a.from < b.from ? -1 : 1));
    const made = { ...input.code, rates };
    const wrong = taxCodeProblems(made, all, byId, input.id ?? undefined);
    if (wrong.length > 0) return fail(...wrong);
    const was = all.find(({ id }) => id === input.id);
    const stored =
      was === undefined
        ? await insertTaxCode(tx, books.id, made)
        : { id: was.id, change: await updateTaxCode(tx, books.id, was, made) };
    if (was !== undefined) await taxCodeRenamed(context, was.code, made.code);
    context.changes.add([stored.change]);
    await note(
      context,
      `tax code ${made.code} ${input.id === null ? 'added' : 'changed'}: ${made.name}, ${sayRates(rates)}`,
    );
    return ok({ id: stored.id });
  },
);

/** Deletes a tax code that is no account's default; otherwise says whose. */
export const removeTaxCode = booksAction('removeTaxCode', 'chart.change', { id }, async (context, input) => {
  const { tx, books } = context;
  const code = (await taxCodesOf(tx, books.id)).find(({ id }) => id === input.id);
  if (code === undefined) return fail(problem('tax.gone', 'This tax code is not here any more. Load the page again.'));
  const wrong = removalProblems(code, await standingChart({ tx, books }));
  if (wrong.length > 0) return fail(...wrong);
  context.changes.add([await deleteTaxCode(tx, books.id, code)]);
  await note(context, `tax code ${code.code} deleted`);
  return ok({});
});

/** The starter set for the country, as far as its codes are free; the rates begin on the first day of the first year. */
export const addStarterTaxCodes = booksAction(
  'addStarterTaxCodes',
  'chart.change',
  { from: z.iso.date(), charged: id, recoverable: id },
  async (context, input) => {
    const { tx, books } = context;
    const wrongPart = off(context);
    if (wrongPart.length > 0) return fail(...wrongPart);
    const all = await taxCodesOf(tx, books.id);
    const taken = new Set(all.map(({ code }) => code.toLowerCase()));
    const { byId } = await standingIndex({ tx, books });
    const accounts = { charged: input.charged as AccountId, recoverable: input.recoverable as AccountId };
    const fresh = starterTaxCodes(books.country, input.from, accounts).filter(
      ({ code }) => !taken.has(code.toLowerCase()),
    );
    const wrong = fresh.flatMap((code) => taxCodeProblems(code, all, byId)).slice(0, 1);
    if (wrong.length > 0) return fail(...wrong);
    for (const code of fresh) context.changes.add([(await insertTaxCode(tx, books.id, code)).change]);
    await note(context, `${plural(fresh.length, 'tax code')} of the starter set added`);
    return ok({ added: fresh.length });
  },
);
