import { notFound } from 'next/navigation';
import { whyView } from '@/actions/openings/why-view';
import { idFrom } from '@/app/parameters';
import { WhyPage } from '@/ui/openings/why-page';

export default async function Page({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await whyView(idFrom((await params).books));
  return view === undefined ? notFound() : <WhyPage {...view} />;
}
