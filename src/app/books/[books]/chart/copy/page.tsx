import { notFound } from 'next/navigation';
import { copyView } from '@/actions/chart/views';
import { idFrom } from '@/app/parameters';
import { CopyPage } from '@/ui/chart/copy-page';

interface Given {
  readonly params: Promise<{ books: string }>;
  readonly searchParams: Promise<Record<string, string | string[] | undefined>>;
}

/** `?books=2` or `?template=1` names what to copy from. */
export default async function Page({ params, searchParams }: Given) {
  const asked = await searchParams;
  const kind = asked.template === undefined ? 'books' : 'template';
  const chosen = asked[kind];
  const view = await copyView(
    idFrom((await params).books),
    typeof chosen === 'string' ? { kind, id: idFrom(chosen) } : undefined,
  );
  return view === undefined ? notFound() : <CopyPage key={`${kind} ${String(chosen)}`} {...view} />;
}
