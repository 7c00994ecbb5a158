import { notFound } from 'next/navigation';
import { openingsView } from '@/actions/openings/views';
import { columnsOf } from '@/core/money/columns';
import { idFrom } from '@/app/parameters';
import { OpeningsPage } from '@/ui/openings/openings-page';

interface Props {
  readonly params: Promise<{ books: string }>;
  readonly searchParams: Promise<{ account?: string | string[] }>;
}

export default async function Page({ params, searchParams }: Props) {
  const view = await openingsView(idFrom((await params).books));
  const { account } = await searchParams;
  return view === undefined ? (
    notFound()
  ) : (
    <OpeningsPage
      {...view}
      rows={columnsOf(view.rows)}
      account={typeof account === 'string' ? idFrom(account) : undefined}
    />
  );
}
