'use server';

import { z } from 'zod';
import { type CompanyFacts, type FactName, sayFact } from '@/core/company/facts';
import { partHolds } from '@/core/chart/parts-in-use';
import type { Part } from '@/core/company/parts';
import { firstReturnProblems, taxNumberProblems } from '@/core/company/tax';
import { type Problem, fail, ok, problem } from '@/core/base/result';
import { putLogo, setArchived, updateFact } from '@/store/books';
import { chartOf } from '@/store/chart';
import { currenciesOf, pairsOf } from '@/store/currencies';
import { record } from '@/store/history';
import { type BooksContext, booksAction, fileAction } from './action';
import { reading } from './context';
import { fileContent } from './inputs';
import { FACT_LABELS, FACT_NAMES, FACT_SCHEMAS } from './company-schemas';

/** Whether two facts are the same, whatever the order of their keys. */
const same = (a: unknown, b: unknown): boolean => canonical(a) === canonical(b);
const canonical = (value: unknown): string =>
  JSON.stringify(value, (_key, inner: unknown) =>
    inner !== null && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).sort(([one], [other]) => (one < other ? -1 : 1)))
      : inner,
  );

/** Rules that look at several facts at once, for the one that is about to change. */
const together = (field: FactName, next: CompanyFacts): readonly Problem[] => {
  switch (field) {
    case 'taxNumber':
      return next.taxNumber === '' ? [] : taxNumberProblems(next.taxNumber, next.country, field);
    case 'taxFrom':
    case 'taxFirstEnd':
      return firstReturnProblems(next.taxFrom, next.taxFirstEnd, field);
    default:
      return [];
  }
};

/** Why parts that are about to be turned off have to stay on. */
const heldParts = async ({ tx, books }: BooksContext, next: readonly Part[]): Promise<readonly Problem[]> => {
  const off = books.facts.parts.filter((part) => !next.includes(part));
  if (off.length === 0) return [];
  const data = {
    accounts: await chartOf(tx, books.id),
    taxRegistered: books.facts.taxRegistered === 'yes',
    currencies: (await currenciesOf(tx, [books.id])).get(books.id) ?? [],
    rates: (await pairsOf(tx, books.id)).reduce((all, pair) => all + pair.count, 0),
  };
  return off.flatMap((part) => partHolds(part, data) ?? []);
};

/**
 * Changes one fact of a company. `was` is what the sheet showed: if somebody changed it meanwhile, both values are said and
 * nothing is overwritten.
 */
export const changeFact = booksAction(
  'changeFact',
  'company.change',
  { field: z.enum(FACT_NAMES), was: z.unknown(), now: z.unknown() },
  async (context, input) => {
    const { tx, books, actor, now } = context;
    const { field } = input;
    const standing = books.facts[field];
    const parsed = FACT_SCHEMAS[field].safeParse(input.now);
    if (!parsed.success)
      return fail(
        ...parsed.error.issues.map((issue) => problem(`input.${issue.code}`, issue.message, field)).slice(0, 1),
      );
    const value = parsed.data;
    if (same(value, standing)) return ok({ value });
    if (!same(input.was, standing))
      return fail(
        problem(
          'company.clash',
          `Somebody changed ${FACT_LABELS[field].toLowerCase()} meanwhile. It is now: ${sayFact(field, standing)}. Yours is still here; change it again to put it in its place.`,
          field,
        ),
      );
    const next = { ...books.facts, [field]: value };
    const wrong = [...together(field, next), ...(field === 'parts' ? await heldParts(context, next.parts) : [])];
    if (wrong.length > 0) return fail(...wrong);
    await updateFact(tx, books.id, field, next[field]);
    await record(
      tx,
      books.id,
      'books',
      [books.id],
      `${FACT_LABELS[field]}: ${sayFact(field, standing)} → ${sayFact(field, value)}`,
      actor.person,
      now,
    );
    return ok({ value });
  },
);

/** Sets the logo: what was drawn of the file, and never the file itself, which may hold more than a picture. */
export const setLogo = fileAction(
  'setLogo',
  'company.change',
  { content: fileContent },
  (_, { content }) =>
    () =>
      reading().read('logo', { bytes: content, name: 'The logo' }),
  async ({ tx, books, actor, now }, _, png) => {
    await putLogo(tx, books.id, { type: 'image/png', content: png }, now);
    await record(tx, books.id, 'books', [books.id], 'Logo set', actor.person, now);
    return ok({});
  },
);

export const removeLogo = booksAction('removeLogo', 'company.change', {}, async ({ tx, books, actor, now }) => {
  await putLogo(tx, books.id, undefined, now);
  await record(tx, books.id, 'books', [books.id], 'Logo taken away', actor.person, now);
  return ok({});
});

/** Hides books from the board or brings them back; nothing in them changes. */
export const archiveBooks = booksAction(
  'archiveBooks',
  'books.archive',
  { archived: z.boolean() },
  async ({ tx, books, actor, now }, { archived }) => {
    if (archived !== books.archived) {
      await setArchived(tx, books.id, archived ? now : null);
      await record(tx, books.id, 'books', [books.id], archived ? 'Archived' : 'Brought back', actor.person, now);
    }
    return ok({});
  },
);
