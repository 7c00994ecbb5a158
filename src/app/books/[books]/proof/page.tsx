import { notFound } from 'next/navigation';
import { proofView } from '@/actions/openings/views';
import { idFrom } from '@/app/parameters';
import { ProofSheet } from '@/ui/proof/proof-sheet';

export default async function ProofPage({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await proofView(idFrom((await params).books));
  return view === undefined ? notFound() : <ProofSheet {...view} />;
}
