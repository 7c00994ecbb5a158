import { notFound } from 'next/navigation';
import { chartRolesView } from '@/actions/chart/views';
import { idFrom } from '@/app/parameters';
import { ByRole } from '@/ui/chart/by-role';

export default async function Page({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await chartRolesView(idFrom((await params).books));
  return view === undefined ? notFound() : <ByRole {...view} />;
}
