import { notFound } from 'next/navigation';
import { moneyView } from '@/actions/chart/views';
import { idFrom } from '@/app/parameters';
import { MoneyPage } from '@/ui/chart/money-page';

export default async function Page({ params }: { readonly params: Promise<{ books: string }> }) {
  const view = await moneyView(idFrom((await params).books));
  return view === undefined ? notFound() : <MoneyPage {...view} />;
}
