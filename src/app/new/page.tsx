import type { Metadata } from 'next';
import { NewBooks } from '@/ui/books/new-books';

export const metadata: Metadata = { title: 'New books' };

export default function NewBooksPage() {
  return <NewBooks />;
}
