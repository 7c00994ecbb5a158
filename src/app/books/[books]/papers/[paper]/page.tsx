import { notFound } from 'next/navigation';
import { paperView } from '@/actions/papers/views';
import { idFrom } from '@/app/parameters';
import { PaperPage } from '@/ui/papers/paper-page';

interface Props {
  readonly params: Promise<{ books: string; paper: string }>;
  readonly searchParams: Promise<{ row?: string | string[] }>;
}

export default async function Page({ params, searchParams }: Props) {
  const { books, paper } = await params;
  const { row } = await searchParams;
  const asked = typeof row === 'string' ? idFrom(row) : NaN;
  const view = await paperView(idFrom(books), idFrom(paper), Number.isNaN(asked) ? undefined : asked);
  if (view === undefined || view.paper === null) return notFound();
  return <PaperPage frame={view.frame} paper={view.paper} accounts={view.accounts} />;
}
