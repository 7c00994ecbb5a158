import { findLogo } from '@/store/books';
import { booksView } from './action';

export const logoFile = (id: number) => booksView(id, ({ tx, books }) => findLogo(tx, books.id));
