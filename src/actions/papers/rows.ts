'use server';

import { z } from 'zod';
import { MOST_PAGES } from '@/core/files/limits';
import { ROW_FILTERS } from '@/core/openings/paper-list';
import { id } from '../kernel/inputs';
import { paperPageView, paperRowsView } from './views';

const place = z.int().min(0).max(1_000_000);
const asked = z.object({
  books: id,
  paper: id,
  filter: z.enum(ROW_FILTERS),
  at: z.union([z.object({ page: place }), z.object({ row: place })]),
});

/** A page of a paper's rows for the screen; undefined when there is no such paper any more. */
export const paperRows = async (input: z.input<typeof asked>): ReturnType<typeof paperRowsView> => {
  const parsed = asked.safeParse(input);
  if (!parsed.success) return undefined;
  const { books, paper, filter, at } = parsed.data;
  return paperRowsView(books, paper, filter, at);
};

const printed = z.object({ books: id, paper: id, page: z.int().positive().max(MOST_PAGES) });

/** A page of a paper as it is printed, for showing where a row stands; undefined when there is no such paper any more. */
export const printedPage = async (input: z.input<typeof printed>): ReturnType<typeof paperPageView> => {
  const parsed = printed.safeParse(input);
  if (!parsed.success) return undefined;
  const { books, paper, page } = parsed.data;
  return paperPageView(books, paper, page);
};
