import { notFound } from 'next/navigation';
import { schedulesView } from '@/actions/schedules/views';
import { idFrom } from '@/app/parameters';
import { Overview } from '@/ui/schedules/overview';

export default async function SchedulesPage({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await schedulesView(idFrom((await params).books));
  return view === undefined ? notFound() : <Overview {...view} />;
}
