import { notFound } from 'next/navigation';
import { chartStatementsView } from '@/actions/chart/views';
import { idFrom } from '@/app/parameters';
import { AsStatements } from '@/ui/chart/as-statements';

export default async function Page({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await chartStatementsView(idFrom((await params).books));
  return view === undefined ? notFound() : <AsStatements {...view} />;
}
