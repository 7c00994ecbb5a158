import type { PlainDate } from '@/core/base/dates';
import type { Problem } from '@/core/base/result';
import { moveProblems } from '@/core/calendar/cutover';
import { isRegular } from '@/core/calendar/year';
import { hasPosted } from '@/store/journals';
import { currentSet } from '@/store/openings';
import type { BooksContext } from '../kernel/action';
import { standing } from './draw';

/** Why the cutover date cannot become another one. */
export const whyCutoverStays = async (context: BooksContext, next: PlainDate): Promise<readonly Problem[]> => {
  const { tx, books } = context;
  if (next.equals(books.cutover)) return [];
  const posted = await hasPosted(tx, books.id);
  const open = (await currentSet(tx, books.id))?.state === 'draft';
  return moveProblems(
    (await standing(context)).map((year) => ({ ...year, periods: year.periods.filter(isRegular) })),
    books.cutover,
    next,
    !posted ? 'draft' : open ? 'correction' : 'posted',
  );
};
