import { type StoredYear, yearsOf } from '@/store/calendar';
import type { BooksContext } from '../kernel/action';

/** The calendar that stands, oldest year first. */
export const standing = async ({ tx, books }: BooksContext): Promise<readonly StoredYear[]> =>
  (await yearsOf(tx, [books.id])).get(books.id) ?? [];
