import { notFound } from 'next/navigation';
import { changesView } from '@/actions/changes/views';
import { idFrom } from '@/app/parameters';
import { ChangesPage } from '@/ui/changes/changes-page';

export default async function Page({
  params,
  searchParams,
}: {
  readonly params: Promise<{ books: string }>;
  readonly searchParams: Promise<{ before?: string | string[] }>;
}) {
  const { before } = await searchParams;
  const view = await changesView(idFrom((await params).books), typeof before === 'string' ? before : undefined);
  return view === undefined ? notFound() : <ChangesPage {...view} />;
}
