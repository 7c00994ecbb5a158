import { type Currency } from '../../money/currency';
import type { CompanyFacts } from '../../company/facts';
import type { LegalForm } from '../../company/legal-form';

/** What a company does. Several may hold for one company. */
export const TRADES = [
  { id: 'consulting', label: 'Advice and other work by the hour' },
  { id: 'shop', label: 'A shop' },
  { id: 'online-shop', label: 'Selling online' },
  { id: 'wholesale', label: 'Wholesale' },
  { id: 'making', label: 'Making things' },
  { id: 'building', label: 'Building and installation' },
  { id: 'food-drink', label: 'Food and drink' },
  { id: 'farming-fishing', label: 'Farming, fishing, growing' },
  { id: 'letting', label: 'Letting property' },
  { id: 'transport', label: 'Carrying goods or people' },
  { id: 'arts-events', label: 'Arts and events' },
  { id: 'software', label: 'Software' },
  { id: 'health', label: 'Health and care' },
  { id: 'teaching', label: 'Teaching and courses' },
  { id: 'personal-services', label: 'Hair, repairs and other services in person' },
  { id: 'charity', label: 'Charitable work' },
] as const;
export type Trade = (typeof TRADES)[number]['id'];
export const TRADE_IDS = TRADES.map((one) => one.id) as unknown as readonly [Trade, ...Trade[]];

/** More trades than these in one company are better kept as several sets of books; the limit also bounds the chart. */
export const MOST_TRADES = 3;
/** Foreign currencies that get a bank account of their own. */
export const MOST_BANK_CURRENCIES = 6;

export const PREMISES = [
  { id: 'none', label: 'none of its own' },
  { id: 'rented', label: 'rented' },
  { id: 'owned', label: 'owned' },
] as const;
export type Premises = (typeof PREMISES)[number]['id'];

/** How some accounts are worded in a part of the world; the accounts themselves are the same. */
export const VOCABULARIES = [
  { id: 'international', label: 'International', countries: '' },
  { id: 'british-irish', label: 'Britain and Ireland', countries: 'GB IE IM JE GG' },
  { id: 'north-american', label: 'North America', countries: 'US CA' },
  { id: 'australasian', label: 'Australia, New Zealand, India, Singapore', countries: 'AU NZ IN SG' },
  {
    id: 'continental',
    label: 'Continental Europe',
    countries: 'AT BE BG CH CY CZ DE DK EE ES FI FR GR HR HU IS IT LI LT LU LV MT NL NO PL PT RO SE SI SK',
  },
  { id: 'japanese', label: 'Japan', countries: 'JP' },
] as const;
export type Vocabulary = (typeof VOCABULARIES)[number]['id'];

export const vocabularyOf = (country: string): Vocabulary =>
  VOCABULARIES.find((one) => one.countries.split(' ').includes(country))?.id ?? 'international';

/** Yes-or-no questions, with how the answer yes is said behind an account. */
export const QUESTIONS = [
  { id: 'credit', label: 'Sells or buys on account', yes: 'It sells or buys on account' },
  { id: 'stock', label: 'Keeps stock', yes: 'It keeps stock' },
  { id: 'staff', label: 'Employs people', yes: 'It employs people' },
  { id: 'vehicles', label: 'Has vehicles', yes: 'It has vehicles' },
  { id: 'loans', label: 'Has loans', yes: 'It has loans' },
  { id: 'grants', label: 'Receives grants', yes: 'It receives grants' },
  { id: 'projects', label: 'Works in projects over many months', yes: 'It works in projects' },
  { id: 'salesTax', label: 'Registered for sales tax', yes: 'It is registered for sales tax' },
  { id: 'foreign', label: 'Works in foreign currencies', yes: 'It works in foreign currencies' },
] as const;
export type Question = (typeof QUESTIONS)[number]['id'];

/** The answers that a chart is composed from. */
export interface Answers extends Readonly<Record<Question, boolean>> {
  readonly legalForm: LegalForm;
  readonly vocabulary: Vocabulary;
  readonly trades: readonly Trade[];
  readonly premises: Premises;
  /** Foreign currencies that get a bank account each, ISO 4217; none unless it works in them. */
  readonly currencies: readonly Currency[];
}

/** What the company's facts already answer; the rest as most companies of its kind would. */
export const answersFrom = (
  facts: Pick<CompanyFacts, 'legalForm' | 'country' | 'parts' | 'taxRegistered' | 'industry'>,
  currencies: readonly Currency[],
): Answers => ({
  legalForm: facts.legalForm,
  vocabulary: vocabularyOf(facts.country),
  trades: [...(facts.legalForm === 'charity' ? (['charity'] as const) : []), ...tradesIn(facts.industry)].slice(
    0,
    MOST_TRADES,
  ),
  credit: facts.parts.length === 0 || facts.parts.includes('trade'),
  stock: facts.parts.includes('stock'),
  staff: facts.legalForm !== 'sole-trader',
  premises: facts.legalForm === 'sole-trader' ? 'none' : 'rented',
  vehicles: false,
  loans: facts.parts.includes('loans'),
  grants: facts.legalForm === 'charity',
  projects: false,
  salesTax: facts.taxRegistered === 'yes',
  foreign: facts.parts.includes('currencies'),
  currencies: facts.parts.includes('currencies') ? currencies : [],
});

/** Words that name a trade in what a company says it does. */
const TRADE_WORDS: readonly (readonly [RegExp, Trade])[] = [
  [/theat|music|event|festival|art\b|arts\b|galler|film|player|dance/i, 'arts-events'],
  [/farm|fish|kelp|seaweed|grow|harvest|garden|forest/i, 'farming-fishing'],
  [/courier|transport|haul|freight|taxi|ferry|deliver/i, 'transport'],
  [/tile|make|making|manufactur|pottery|kiln|factory|bakery|brew/i, 'making'],
  [/software|apps?\b|hosting|games/i, 'software'],
  [/caf|restaurant|kitchen|bar\b|pub\b|catering|food/i, 'food-drink'],
  [/build|construct|install|plumb|roof|joiner/i, 'building'],
  [/clinic|dent|doctor|physio|care\b|health|vet/i, 'health'],
  [/school|course|teach|tutor|training/i, 'teaching'],
  [/hair|salon|repair|clean/i, 'personal-services'],
  [/letting|landlord|property|rental/i, 'letting'],
  [/online|web ?shop/i, 'online-shop'],
  [/wholesale|import|export|distribut/i, 'wholesale'],
  [/shop|store|retail/i, 'shop'],
  [/consult|advice|adviser|design|engineer|account|law/i, 'consulting'],
];

/** The trades that a description of the company names, at most three, in the order of the list above. */
export const tradesIn = (industry: string): readonly Trade[] =>
  TRADE_WORDS.filter(([words]) => words.test(industry))
    .map(([, trade]) => trade)
    .slice(0, MOST_TRADES);
