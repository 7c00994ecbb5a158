import { notFound } from 'next/navigation';
import { tidyView } from '@/actions/chart/views';
import { idFrom } from '@/app/parameters';
import { TidyPage } from '@/ui/chart/tidy-page';

export default async function Page({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await tidyView(idFrom((await params).books));
  return view === undefined ? notFound() : <TidyPage {...view} />;
}
