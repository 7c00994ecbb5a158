import { notFound } from 'next/navigation';
import { currenciesView } from '@/actions/currencies/views';
import { idFrom } from '@/app/parameters';
import { CurrenciesSheet } from '@/ui/currencies/currencies-sheet';
import { currencyNames } from '@/ui/parts/names';

export default async function CurrenciesPage({
  params,
  searchParams,
}: {
  readonly params: Promise<{ books: string }>;
  readonly searchParams: Promise<{ currency?: string | string[] }>;
}) {
  const { currency } = await searchParams;
  const view = await currenciesView(idFrom((await params).books), typeof currency === 'string' ? currency : undefined);
  // While the part is off there is no such stage.
  return view?.frame.parts.includes('currencies') === true ? (
    <CurrenciesSheet {...view} names={currencyNames('foreign')} />
  ) : (
    notFound()
  );
}
