import { type Currency } from '../money/currency';
import type { YearPlan } from '../calendar/year';
import type { CompanyFacts } from '../company/facts';
import type { Account } from './account';
import type { ChartSettings } from './settings';
import type { TaxCodeFields } from './tax-codes';

/** The facts of a company that are the same for many clients of a practice. */
export const DEFAULT_FACTS = [
  'customerTerms',
  'supplierTerms',
  'settlement',
  'ageLimits',
  'numbering',
  'documentNames',
  'salesPrices',
  'purchasePrices',
  'priceLevels',
  'analysisLists',
  'spans',
  'paperSize',
  'dates',
] as const satisfies readonly (keyof CompanyFacts)[];
export type DefaultFact = (typeof DEFAULT_FACTS)[number];

/** A chart with what goes with it, as other books or a template of the practice offer it for copying. Ids of accounts are of its own. */
export interface ChartSource {
  readonly name: string;
  readonly accounts: readonly Account[];
  readonly taxCodes: readonly TaxCodeFields[];
  readonly plan: YearPlan | null;
  readonly currencies: readonly Currency[];
  readonly defaults: Partial<Pick<CompanyFacts, DefaultFact>>;
  readonly settings: ChartSettings;
}
