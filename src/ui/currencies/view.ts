import type { currenciesView } from '@/actions/currencies/views';

export type CurrenciesView = NonNullable<Awaited<ReturnType<typeof currenciesView>>>;
