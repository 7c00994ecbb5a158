import { notFound } from 'next/navigation';
import { chartPrintView } from '@/actions/chart/views';
import { idFrom } from '@/app/parameters';
import { PrintedChart } from '@/ui/chart/printed-chart';

export default async function Page({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await chartPrintView(idFrom((await params).books));
  return view === undefined ? notFound() : <PrintedChart {...view} />;
}
