import { notFound } from 'next/navigation';
import { codesView } from '@/actions/chart/views';
import { idFrom } from '@/app/parameters';
import { CodesPage } from '@/ui/chart/codes-page';

export default async function Page({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await codesView(idFrom((await params).books));
  return view === undefined ? notFound() : <CodesPage {...view} />;
}
