'use server';

import { z } from 'zod';
import { id } from '../kernel/inputs';
import { papersToAttachView, shownPaperView } from './views';

const asked = z.object({ books: id, paper: id });

/** A paper for looking at beside a page; undefined when there is no such paper any more. */
export const shownPaper = async (input: z.input<typeof asked>): ReturnType<typeof shownPaperView> => {
  const parsed = asked.safeParse(input);
  return parsed.success ? shownPaperView(parsed.data.books, parsed.data.paper) : undefined;
};

const ofBooks = z.object({ books: id });

/** The papers of the books, fetched when somebody wants to attach one. */
export const papersToAttach = async (
  input: z.input<typeof ofBooks>,
): Promise<readonly { readonly id: number; readonly name: string }[]> => {
  const parsed = ofBooks.safeParse(input);
  return parsed.success ? ((await papersToAttachView(parsed.data.books)) ?? []) : [];
};
