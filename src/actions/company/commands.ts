'use server';

import { z } from 'zod';
import { sameKept } from '@/core/base/kept';
import { FACT_LABELS, FACT_NAMES, sayFact } from '@/core/company/facts';
import { clash, fail, ok, problem } from '@/core/base/result';
import { audit } from '@/store/audit';
import { putLogo, setArchived } from '@/store/books';
import { record } from '@/store/history';
import { booksAction, fileAction } from '../kernel/action';
import { reading } from '../kernel/context';
import { fileContent } from '../kernel/inputs';
import { FACT_SCHEMAS } from './schemas';
import { putFact } from './facts';

/**
 * Changes one fact of a company. `was` is what the sheet showed: if somebody changed it meanwhile, both values are said and
 * nothing is overwritten.
 */
export const changeFact = booksAction(
  'changeFact',
  'company.change',
  { field: z.enum(FACT_NAMES), was: z.unknown(), now: z.unknown() },
  async (context, input) => {
    const { books } = context;
    const { field } = input;
    const standing = books.facts[field];
    const parsed = FACT_SCHEMAS[field].safeParse(input.now);
    if (!parsed.success)
      return fail(
        ...parsed.error.issues.map((issue) => problem(`input.${issue.code}`, issue.message, field)).slice(0, 1),
      );
    const value = parsed.data;
    if (sameKept(value, standing)) return ok({ value });
    if (!sameKept(input.was, standing))
      return fail(clash('company.clash', FACT_LABELS[field], sayFact(field, standing), sayFact(field, value), field));
    const wrong = await putFact(context, field, value);
    if (wrong.length > 0) return fail(...wrong);
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
  await record(tx, books.id, 'books', [books.id], 'Logo removed', actor.person, now);
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
      await audit(tx, actor.practice, actor.person, 'books', archived ? 'Archived' : 'Brought back', now, books.name);
      await record(tx, books.id, 'books', [books.id], archived ? 'Archived' : 'Brought back', actor.person, now);
    }
    return ok({});
  },
);
