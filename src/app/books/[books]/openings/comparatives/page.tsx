import { notFound } from 'next/navigation';
import { comparativesView } from '@/actions/openings/comparatives-view';
import { idFrom } from '@/app/parameters';
import { ComparativesPage } from '@/ui/openings/comparatives-page';

export default async function Page({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await comparativesView(idFrom((await params).books));
  return view === undefined ? notFound() : <ComparativesPage {...view} />;
}
