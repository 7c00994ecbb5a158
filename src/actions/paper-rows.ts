'use server';

import { z } from 'zod';
import { ROW_FILTERS } from '@/core/openings/paper-list';
import { id } from './inputs';
import { paperRowsView } from './paper-view';

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
