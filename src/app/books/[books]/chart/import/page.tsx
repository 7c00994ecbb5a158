import { notFound } from 'next/navigation';
import { beginView } from '@/actions/chart/views';
import { idFrom } from '@/app/parameters';
import { ImportPage } from '@/ui/chart/import-page';

export default async function Page({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await beginView(idFrom((await params).books));
  return view === undefined ? notFound() : <ImportPage {...view} />;
}
