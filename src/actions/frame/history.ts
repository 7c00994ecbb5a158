import { tell } from '@/core/base/sentence';
import { type Happening, type Subject, happenings } from '@/store/history';
import type { BooksContext } from '../kernel/action';
import { writingOfBooks } from '../kernel/writing';

/** What happened, as it is read in these books. */
export interface ToldHappening extends Omit<Happening, 'what'> {
  readonly what: string;
}

/** What happened to things of a kind, newest first; of one thing when `subjectId` is given. */
export const historyOf = async (
  { tx, books }: Pick<BooksContext, 'tx' | 'books'>,
  subject: Subject,
  subjectId?: number,
  most?: number,
): Promise<readonly ToldHappening[]> => {
  const writing = writingOfBooks(books);
  const found = await happenings(tx, books.id, subject, subjectId, most);
  return found.map((one) => ({ ...one, what: tell(one.what, writing) }));
};
