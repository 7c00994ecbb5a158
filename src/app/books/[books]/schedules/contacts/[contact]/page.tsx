import { notFound } from 'next/navigation';
import { contactView } from '@/actions/schedules/views';
import { idFrom } from '@/app/parameters';
import { ContactPage } from '@/ui/schedules/contact-page';

export default async function ContactOfBooks({
  params,
}: {
  readonly params: Promise<{ books: string; contact: string }>;
}) {
  const { books, contact } = await params;
  const view = await contactView(idFrom(books), idFrom(contact));
  return view?.found == null ? notFound() : <ContactPage frame={view.frame} {...view.found} />;
}
