import { type DateStyle, PLAIN_DATES, writeStyled } from '../base/date-style';
import { plainDate } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import type { NumberStyle } from '../money/number-style';
import type { LegalForm } from './legal-form';
import { type Part, partLabel } from './parts';
import { TAX_INTERVALS, type TaxBasis, type TaxInterval, returnPeriods } from './tax';
import {
  AGE_LIMITS,
  DOCUMENT_KINDS,
  type DocumentNames,
  type Numbering,
  PRICES_SHOWN,
  type PaymentTerms,
  type PricesShown,
  describeTerms,
  documentNumber,
} from './terms';

export const PURPOSES = [
  { id: 'live', label: 'the company’s live books' },
  { id: 'trial', label: 'a trial run' },
  { id: 'demo', label: 'a demonstration' },
] as const;
export type Purpose = (typeof PURPOSES)[number]['id'];
export const PURPOSE_IDS = PURPOSES.map((one) => one.id) as unknown as readonly [Purpose, ...Purpose[]];

/** Colours that tell clients apart; always shown with the client's name or remark. */
export const COLOURS = ['none', 'clay', 'straw', 'moss', 'lichen', 'heather', 'plum', 'ash'] as const;
export type Colour = (typeof COLOURS)[number];

export interface Contact {
  readonly name: string;
  readonly position: string;
  readonly email: string;
  readonly phone: string;
}

export const PAPER_SIZES = ['A4', 'A5', 'Letter', 'Legal'] as const;

/** Whether a customer's or supplier's payment settles certain items or reduces a running balance. */
export const SETTLEMENTS = [
  { id: 'items', label: 'are matched to the items they settle' },
  { id: 'balance', label: 'reduce a running balance' },
] as const;

/** How what is paid or received for a span of time is divided at a day. */
export const SPAN_RULES = [
  { id: 'days', label: 'divided by days' },
  { id: 'months', label: 'divided by months' },
] as const;
export type SpanRule = (typeof SPAN_RULES)[number]['id'];

/**
 * What is known about a company beyond what its ledger needs: plain data, every field always there, empty when unknown.
 * Dates are `YYYY-MM-DD` or empty.
 */
export interface CompanyFacts {
  readonly name: string;
  readonly tradingName: string;
  readonly legalForm: LegalForm;
  readonly country: string;
  readonly registrationNumber: string;
  readonly industry: string;
  readonly yearNote: string;
  readonly registeredAddress: string;
  readonly postalAddress: string;
  readonly phone: string;
  readonly email: string;
  readonly web: string;
  readonly contacts: readonly Contact[];

  readonly purpose: Purpose;
  readonly colour: Colour;
  readonly remark: string;
  readonly inCharge: string;

  /** `unknown` until somebody answered. */
  readonly taxRegistered: 'unknown' | 'no' | 'yes';
  readonly taxNumber: string;
  readonly taxFrom: IsoDate | '';
  readonly taxBasis: TaxBasis;
  readonly taxInterval: TaxInterval;
  readonly taxFirstEnd: IsoDate | '';

  readonly parts: readonly Part[];

  readonly customerTerms: PaymentTerms;
  readonly supplierTerms: PaymentTerms;
  readonly settlement: (typeof SETTLEMENTS)[number]['id'];
  /** Days overdue up to which open items belong to an age, rising. */
  readonly ageLimits: readonly number[];
  readonly numbering: readonly Numbering[];
  readonly documentNames: DocumentNames;
  readonly salesPrices: PricesShown;
  readonly purchasePrices: PricesShown;
  /** A few lines at the foot of what customers get: how to pay, beside the accounts that documents name. */
  readonly paymentNote: string;
  /** The first is the usual one. */
  readonly priceLevels: readonly string[];
  /** The names of the lists of analysis codes, at most three. */
  readonly analysisLists: readonly string[];
  readonly spans: SpanRule;
  readonly paperSize: (typeof PAPER_SIZES)[number];
  readonly preprinted: boolean;
  readonly style: NumberStyle;
  readonly dates: DateStyle;
}

export type FactName = keyof CompanyFacts;

/** What a company has before anybody said anything; the facts that books are made with come on top. */
export const PLAIN_FACTS: Omit<CompanyFacts, 'name' | 'legalForm' | 'country' | 'purpose' | 'style'> = {
  tradingName: '',
  registrationNumber: '',
  industry: '',
  yearNote: '',
  registeredAddress: '',
  postalAddress: '',
  phone: '',
  email: '',
  web: '',
  contacts: [],
  colour: 'none',
  remark: '',
  inCharge: '',
  taxRegistered: 'unknown',
  taxNumber: '',
  taxFrom: '',
  taxBasis: 'invoice',
  taxInterval: 3,
  taxFirstEnd: '',
  parts: [],
  customerTerms: { kind: 'days', days: 30 },
  supplierTerms: { kind: 'days', days: 30 },
  settlement: 'items',
  ageLimits: AGE_LIMITS,
  numbering: DOCUMENT_KINDS.map(({ id, prefix }) => ({ kind: id, prefix, next: 1, width: 5 })),
  documentNames: {},
  salesPrices: 'before',
  purchasePrices: 'before',
  paymentNote: '',
  priceLevels: [],
  analysisLists: ['Cost centre', 'Project'],
  spans: 'days',
  paperSize: 'A4',
  preprinted: false,
  dates: PLAIN_DATES,
};

const sayPrices = (shown: PricesShown): string => PRICES_SHOWN.find(({ id }) => id === shown)?.label ?? '';

/** How facts that are more than a text are said. */
const SAY: { readonly [F in FactName]?: (value: CompanyFacts[F]) => string } = {
  contacts: (contacts) => contacts.map((one) => one.name).join(', '),
  taxInterval: (months) => TAX_INTERVALS.find((one) => one.months === months)?.label ?? '',
  parts: (parts) => parts.map(partLabel).join(', '),
  customerTerms: describeTerms,
  supplierTerms: describeTerms,
  numbering: (kinds) => kinds.map(documentNumber).join(', '),
  ageLimits: (days) => days.join(', '),
  documentNames: (names) =>
    DOCUMENT_KINDS.flatMap(({ id, label }) => (names[id] === undefined ? [] : [`${label} as ${names[id]}`])).join(', '),
  salesPrices: sayPrices,
  purchasePrices: sayPrices,
  priceLevels: (names) => names.join(', '),
  analysisLists: (names) => names.join(', '),
  spans: (rule) => SPAN_RULES.find(({ id }) => id === rule)?.label ?? '',
  preprinted: (is) => (is ? 'yes' : 'no'),
  dates: (style) => writeStyled('2026-07-31', style),
};

/** How facts are called in history and in sentences. */
export const FACT_LABELS: Readonly<Record<FactName, string>> = {
  name: 'Company name',
  tradingName: 'Trading name',
  legalForm: 'Legal form',
  country: 'Country',
  registrationNumber: 'Registration number',
  industry: 'Industry',
  yearNote: 'Note on the financial year',
  registeredAddress: 'Registered address',
  postalAddress: 'Postal address',
  phone: 'Phone',
  email: 'E-mail',
  web: 'Web',
  contacts: 'Contacts',
  purpose: 'Purpose of the books',
  colour: 'Colour',
  remark: 'Remark',
  inCharge: 'In charge',
  taxRegistered: 'Registered for sales taxes',
  taxNumber: 'Tax number',
  taxFrom: 'Registered from',
  taxBasis: 'Tax basis',
  taxInterval: 'Tax returns',
  taxFirstEnd: 'First return’s end',
  parts: 'Parts in use',
  customerTerms: 'Customers’ payment terms',
  supplierTerms: 'Suppliers’ payment terms',
  settlement: 'Receipts and payments',
  ageLimits: 'Ages of open items',
  numbering: 'Document numbers',
  documentNames: 'Names of documents',
  salesPrices: 'Prices to customers',
  purchasePrices: 'Prices from suppliers',
  paymentNote: 'How one pays',
  priceLevels: 'Price levels',
  analysisLists: 'Lists of analysis codes',
  spans: 'What lies across the year end',
  paperSize: 'Paper size',
  preprinted: 'Pre-printed letterhead',
  style: 'Numbers written',
  dates: 'Dates written',
};

export const FACT_NAMES = Object.keys(FACT_LABELS) as [FactName, ...FactName[]];

/** A fact in words, short enough for a line of history. */
export const sayFact = <F extends FactName>(field: F, value: CompanyFacts[F]): string => {
  const said = (SAY[field]?.(value) ?? (typeof value === 'string' ? value : '')).replaceAll('\n', ', ');
  return said === '' ? 'empty' : said.length > 80 ? `${said.slice(0, 77)}…` : said;
};

/** The company's tax return periods that touch a span, or none while the registration is not complete. */
export const returnsOf = (
  facts: Pick<CompanyFacts, 'taxRegistered' | 'taxFrom' | 'taxFirstEnd' | 'taxInterval'>,
  span: Parameters<typeof returnPeriods>[1],
): ReturnType<typeof returnPeriods> =>
  facts.taxRegistered !== 'yes' || facts.taxFrom === '' || facts.taxFirstEnd === ''
    ? []
    : returnPeriods(
        { from: plainDate(facts.taxFrom), firstEnd: plainDate(facts.taxFirstEnd), interval: facts.taxInterval },
        span,
      );

/** The heading that every report carries, line by line; the first line is the largest. */
export const letterhead = (facts: CompanyFacts): readonly string[] => {
  const trades = facts.tradingName !== '' && facts.tradingName !== facts.name;
  return [
    trades ? facts.tradingName : facts.name,
    ...(trades ? [facts.name] : []),
    facts.registeredAddress
      .split('\n')
      .map((line) => line.trim())
      .filter((line) => line !== '')
      .join(', '),
    [facts.phone, facts.email, facts.web].filter((one) => one !== '').join(' · '),
    [
      ...(facts.registrationNumber === '' ? [] : [`Registered no. ${facts.registrationNumber}`]),
      ...(facts.taxRegistered === 'yes' && facts.taxNumber !== '' ? [`Tax no. ${facts.taxNumber}`] : []),
    ].join(' · '),
  ].filter((line) => line !== '');
};

export interface ChecklistItem {
  readonly id: string;
  readonly label: string;
  readonly kind: 'required' | 'optional';
  readonly done: boolean;
  /** The section in which it is answered. */
  readonly section: 'who' | 'practice' | 'tax' | 'parts' | 'defaults';
  /** What it is for, where it is not done. */
  readonly neededFor: string;
}

/** What the company stage asks for: what is needed to go on, what is optional, and what each is for. */
export const companyChecklist = (facts: CompanyFacts, hasLogo: boolean): readonly ChecklistItem[] => {
  const registered = facts.taxRegistered === 'yes';
  return [
    {
      id: 'name',
      label: 'Name, legal form, country',
      kind: 'required',
      done: facts.name !== '',
      section: 'who',
      neededFor: 'everything',
    },
    ...(facts.parts.includes('sales-tax')
      ? [
          {
            id: 'tax',
            label: 'Registered for sales taxes or not',
            kind: 'required',
            done: facts.taxRegistered !== 'unknown',
            section: 'tax',
            neededFor: 'tax accounts and return periods',
          } as const,
        ]
      : []),
    ...(registered
      ? [
          {
            id: 'tax-details',
            label: 'Tax number, start and first return',
            kind: 'required',
            done: facts.taxNumber !== '' && facts.taxFrom !== '' && facts.taxFirstEnd !== '',
            section: 'tax',
            neededFor: 'return periods',
          } as const,
        ]
      : []),
    {
      id: 'address',
      label: 'Registered address',
      kind: 'optional',
      done: facts.registeredAddress !== '',
      section: 'who',
      neededFor: 'the heading of reports',
    },
    {
      id: 'registration',
      label: 'Registration number',
      kind: 'optional',
      done: facts.registrationNumber !== '' || facts.legalForm === 'sole-trader' || facts.legalForm === 'partnership',
      section: 'who',
      neededFor: 'the heading of reports',
    },
    { id: 'logo', label: 'Logo', kind: 'optional', done: hasLogo, section: 'who', neededFor: 'the heading of reports' },
    {
      id: 'contact',
      label: 'A person to ask',
      kind: 'optional',
      done: facts.contacts.length > 0,
      section: 'who',
      neededFor: 'nothing',
    },
    {
      id: 'in-charge',
      label: 'Who in the practice is in charge',
      kind: 'optional',
      done: facts.inCharge !== '',
      section: 'practice',
      neededFor: 'the board’s filter by person',
    },
    ...(facts.parts.includes('stock')
      ? [
          {
            id: 'prices',
            label: 'Names of price levels',
            kind: 'optional',
            done: facts.priceLevels.length > 0,
            section: 'defaults',
            neededFor: 'price lists',
          } as const,
        ]
      : []),
  ];
};
