import { notFound } from 'next/navigation';
import { taxView } from '@/actions/chart/views';
import { idFrom } from '@/app/parameters';
import { TaxPage } from '@/ui/chart/tax-page';

export default async function Page({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await taxView(idFrom((await params).books));
  return view === undefined ? notFound() : <TaxPage {...view} />;
}
