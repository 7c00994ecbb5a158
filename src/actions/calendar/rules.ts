import type { PlainDate } from '@/core/base/dates';
import type { Problem } from '@/core/base/result';
import { type OpeningsState, moveProblems } from '@/core/calendar/cutover';
import { isRegular } from '@/core/calendar/year';
import { hasPosted } from '@/store/journals';
import { currentSet } from '@/store/openings';
import type { BooksContext } from '../kernel/action';
import { standing } from './standing';

export const openingsStateOf = async ({ tx, books }: BooksContext): Promise<OpeningsState> => {
  if (!(await hasPosted(tx, books.id))) return 'draft';
  return (await currentSet(tx, books.id))?.state === 'draft' ? 'correction' : 'posted';
};

/** Why the cutover date cannot become another one. */
export const whyCutoverStays = async (context: BooksContext, next: PlainDate): Promise<readonly Problem[]> => {
  const { books } = context;
  if (next.equals(books.cutover)) return [];
  return moveProblems(
    (await standing(context)).map((year) => ({ ...year, periods: year.periods.filter(isRegular) })),
    books.cutover,
    next,
    await openingsStateOf(context),
  );
};
