import { notFound } from 'next/navigation';
import { chartView } from '@/actions/chart/views';
import { columnsOf } from '@/core/money/columns';
import { idFrom } from '@/app/parameters';
import { ChartPage } from '@/ui/chart/chart-page';

export default async function Page({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await chartView(idFrom((await params).books));
  return view === undefined ? notFound() : <ChartPage {...view} rows={columnsOf(view.rows)} />;
}
