'use server';

import { isoDay } from '@/actions/kernel/inputs';
import { z } from 'zod';
import { type AccountId } from '@/core/chart/account';
import {
  type TaxCode,
  type TaxCodeFields,
  type TaxRate,
  removalProblems,
  sayRates,
  starterTaxCodes,
  taxCodeProblems,
} from '@/core/chart/tax-codes';
import { type Problem, fail, ok, plural, problem, under } from '@/core/base/result';
import { record } from '@/store/history';
import { deleteTaxCode, insertTaxCode, sameTaxCode, taxCodesOf, updateTaxCode } from '@/store/tax-codes';
import { standingIndex, taxCodeRenamed } from '../frame/held-chart';
import { type BooksContext, type WritingContext, booksAction } from '../kernel/action';
import { taxCode } from './schemas';
import { distinctRows, id } from '../kernel/inputs';

const note = ({ tx, books, actor, now }: BooksContext, what: string): Promise<void> =>
  record(tx, books.id, 'books', [books.id], what, actor.person, now);

const off = ({ books }: BooksContext): readonly Problem[] =>
  books.facts.parts.includes('sales-tax')
    ? []
    : [problem('tax.off', 'Sales taxes are not among the parts in use. Turn them on on the Company page.')];

/** Saves tax codes that were typed, pasted or deleted: all of them or none. One that is an account's default is not deleted. */
export const saveTaxCodes = booksAction(
  'saveTaxCodes',
  'chart.change',
  {
    entries: z
      .array(
        z.object({
          id: id.nullable(),
          /** Null deletes it. */
          code: taxCode.nullable(),
          /** As it stood when it was changed; left out where nobody looked. */
          seen: taxCode.optional(),
        }),
      )
      .min(1)
      .max(500, 'Five hundred tax codes at once are the most.')
      .superRefine(distinctRows('A tax code')),
  },
  async (context, input) => {
    const { tx, books } = context;
    const wrongPart = off(context);
    if (wrongPart.length > 0) return fail(...wrongPart);
    const stands = new Map((await taxCodesOf(tx, books.id)).map((code) => [code.id, code]));
    const { byId } = await standingIndex({ tx, books });
    // One after the other: a code that an earlier row gives up is free for a later one.
    const then = new Map(stands);
    const made = input.entries.map(({ code }) => (code === null ? null : { ...code, rates: inOrder(code.rates) }));
    const wrong = input.entries.flatMap(({ id: own, seen }, place): readonly Problem[] => {
      const was = own === null ? undefined : stands.get(own);
      const code = made[place] ?? null;
      if (own !== null && was === undefined)
        return [problem('tax.gone', 'This tax code was deleted meanwhile. Load the page again.', place)];
      if (was !== undefined && seen !== undefined && !sameTaxCode(was, { ...seen, rates: inOrder(seen.rates) }))
        return [
          problem('tax.changed', `${was.code} was changed meanwhile by somebody else. Load the page again.`, place),
        ];
      const problems =
        code !== null
          ? taxCodeProblems(code, [...then.values()], byId, own ?? undefined)
          : was === undefined
            ? []
            : removalProblems(was, byId.values());
      if (code !== null) then.set(own ?? -1 - place, { ...code, id: own ?? -1 - place });
      else if (own !== null) then.delete(own);
      return problems.map((one) => under(one, place));
    });
    if (wrong.length > 0) return fail(...wrong);
    const rows: ({ readonly id: number; readonly revision: number } | null)[] = [];
    const said: string[] = [];
    for (const [place, entry] of input.entries.entries()) {
      const was = entry.id === null ? undefined : stands.get(entry.id);
      const code = made[place] ?? null;
      const stored = await written(context, was, code);
      rows.push(stored === null ? null : { id: stored, revision: 0 });
      if (code !== null || was !== undefined)
        said.push(
          code === null
            ? `tax code ${was?.code ?? ''} deleted`
            : `tax code ${code.code} ${was === undefined ? 'added' : 'changed'}: ${code.name}, ${sayRates(code.rates)}`,
        );
    }
    const [only] = said;
    if (only !== undefined)
      await note(context, said.length === 1 ? only : `${plural(said.length, 'tax code')} changed`);
    return ok({ rows });
  },
);

const inOrder = (rates: readonly TaxRate[]): readonly TaxRate[] =>
  [...rates].sort((a, b) => (a.from < b.from ? -1 : 1));

/** Stores what was made of one code, and gives its number; accounts whose default it is follow its name. */
const written = async (
  context: WritingContext,
  was: TaxCode | undefined,
  made: TaxCodeFields | null,
): Promise<number | null> => {
  const { tx, books } = context;
  if (made === null) {
    if (was !== undefined) context.changes.add([await deleteTaxCode(tx, books.id, was)]);
    return null;
  }
  const stored =
    was === undefined
      ? await insertTaxCode(tx, books.id, made)
      : { id: was.id, change: await updateTaxCode(tx, books.id, was, made) };
  if (was !== undefined) await taxCodeRenamed(context, was.code, made.code);
  context.changes.add([stored.change]);
  return stored.id;
};

/** The starter set for the country, as far as its codes are free; the rates begin on the first day of the first year. */
export const addStarterTaxCodes = booksAction(
  'addStarterTaxCodes',
  'chart.change',
  { from: isoDay(), charged: id, recoverable: id },
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
