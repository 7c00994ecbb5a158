import { notFound } from 'next/navigation';
import { changesView } from '@/actions/changes/views';
import { idFrom } from '@/app/parameters';
import { ChangesPage } from '@/ui/changes/changes-page';

export default async function Page({
  params,
  searchParams,
}: {
  readonly params: Promise<{ books: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}) {
  const view = await changesView(idFrom((await params).books), await searchParams);
  return view === undefined ? notFound() : <ChangesPage {...view} />;
}
