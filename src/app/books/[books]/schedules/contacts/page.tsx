import { notFound } from 'next/navigation';
import { contactsView } from '@/actions/schedules/views';
import { idFrom } from '@/app/parameters';
import { countryNames } from '@/ui/parts/names';
import { ContactsPage } from '@/ui/schedules/contacts-page';

export default async function ContactsOfBooks({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await contactsView(idFrom((await params).books));
  return view === undefined ? notFound() : <ContactsPage {...view} countries={countryNames()} />;
}
