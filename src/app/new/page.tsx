import type { Metadata } from 'next';
import { NewBooks } from '@/ui/books/new-books';
import { countryNames, currencyNames } from '@/ui/parts/names';

export const metadata: Metadata = { title: 'New books' };

export default function NewBooksPage() {
  return <NewBooks countries={countryNames()} currencies={currencyNames()} />;
}
