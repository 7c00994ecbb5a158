import { notFound } from 'next/navigation';
import { compareView } from '@/actions/openings/views';
import { idFrom } from '@/app/parameters';
import { ComparePage } from '@/ui/openings/compare-page';

interface Props {
  readonly params: Promise<{ books: string }>;
  readonly searchParams: Promise<{ from?: string | string[]; to?: string | string[] }>;
}

const version = (text: string | string[] | undefined): number | undefined =>
  typeof text === 'string' ? idFrom(text) : undefined;

export default async function Page({ params, searchParams }: Props) {
  const { from, to } = await searchParams;
  const view = await compareView(idFrom((await params).books), version(from), version(to));
  return view === undefined ? notFound() : <ComparePage {...view} />;
}
