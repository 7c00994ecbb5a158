import { dayOf } from '@/core/base/dates';
import type { Metadata } from 'next';
import { namesView, templateNamesView } from '@/actions/books/names';
import { shown } from '@/app/denied';
import { NewBooks } from '@/ui/books/new-books';
import { countryNames, currencyNames } from '@/ui/parts/names';

export const metadata: Metadata = { title: 'New books · Bathron' };

export const dynamic = 'force-dynamic';

export default function NewBooksPage() {
  return shown(async () => (
    <NewBooks
      countries={countryNames()}
      currencies={currencyNames('base')}
      others={await namesView()}
      templates={await templateNamesView()}
      today={dayOf(new Date().toISOString())}
    />
  ));
}
