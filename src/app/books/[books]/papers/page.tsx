import { notFound } from 'next/navigation';
import { papersView } from '@/actions/openings/views';
import { idFrom } from '@/app/parameters';
import { PapersSheet } from '@/ui/papers/papers-sheet';

export default async function PapersPage({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await papersView(idFrom((await params).books));
  return view === undefined ? notFound() : <PapersSheet {...view} />;
}
