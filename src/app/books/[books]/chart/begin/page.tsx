import { notFound } from 'next/navigation';
import { beginView } from '@/actions/chart/views';
import { idFrom } from '@/app/parameters';
import { BeginPage } from '@/ui/chart/begin-page';

export default async function Page({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await beginView(idFrom((await params).books));
  return view === undefined ? notFound() : <BeginPage {...view} />;
}
