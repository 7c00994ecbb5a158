import { notFound } from 'next/navigation';
import { signOffView } from '@/actions/openings/views';
import { idFrom } from '@/app/parameters';
import { SignOffPage } from '@/ui/sign-off/sign-off-page';

export default async function Page({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await signOffView(idFrom((await params).books));
  return view === undefined ? notFound() : <SignOffPage {...view} />;
}
