import type { currenciesView } from '@/actions/stage-views';

export type CurrenciesView = NonNullable<Awaited<ReturnType<typeof currenciesView>>>;
