import type { Metadata } from 'next';
import { namesView } from '@/actions/books/names';
import { NewBooks } from '@/ui/books/new-books';
import { countryNames, currencyNames } from '@/ui/parts/names';

export const metadata: Metadata = { title: 'New books · Bathron' };

export const dynamic = 'force-dynamic';

export default async function NewBooksPage() {
  return (
    <NewBooks
      countries={countryNames()}
      currencies={currencyNames('base')}
      others={await namesView()}
      today={new Date().toISOString().slice(0, 10)}
    />
  );
}
