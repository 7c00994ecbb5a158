import { notFound } from 'next/navigation';
import { analysisView } from '@/actions/schedules/views';
import { idFrom } from '@/app/parameters';
import { AnalysisPage } from '@/ui/schedules/analysis-page';

export default async function AnalysisOfBooks({
  params,
  searchParams,
}: {
  readonly params: Promise<{ books: string }>;
  readonly searchParams: Promise<{ list?: string }>;
}) {
  const view = await analysisView(idFrom((await params).books), Number((await searchParams).list ?? 1));
  return view?.found == null ? (
    notFound()
  ) : (
    <AnalysisPage key={view.found.list.list} frame={view.frame} {...view.found} />
  );
}
