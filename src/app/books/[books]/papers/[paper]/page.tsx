import { notFound } from 'next/navigation';
import { documentView } from '@/actions/evidence/views';
import { paperView } from '@/actions/papers/views';
import { mayBeTable } from '@/core/files/media';
import { idFrom } from '@/app/parameters';
import { DocumentPage } from '@/ui/evidence/document-page';
import { PaperPage } from '@/ui/papers/paper-page';

interface Props {
  readonly params: Promise<{ books: string; paper: string }>;
  readonly searchParams: Promise<{ row?: string | string[]; as?: string | string[] }>;
}

/** A paper as a table to take over; one that was brought to be kept, as it is. `?as=` asks for the other. */
export default async function Page({ params, searchParams }: Props) {
  const [books, paper] = [(await params).books, (await params).paper].map(idFrom) as [number, number];
  const { row, as } = await searchParams;
  const document = await documentView(books, paper);
  if (document === undefined || document.found === null) return notFound();
  const { media, kept } = document.found.paper;
  const readable = mayBeTable(media);
  if (!readable || as === 'document' || (kept && as !== 'table'))
    return <DocumentPage frame={document.frame} readable={readable} {...document.found} />;
  const asked = typeof row === 'string' ? idFrom(row) : NaN;
  const view = await paperView(books, paper, Number.isNaN(asked) ? undefined : asked);
  if (view === undefined || view.paper === null) return notFound();
  return <PaperPage frame={view.frame} paper={view.paper} accounts={view.accounts} />;
}
