import type { Side } from '../money/minor';

export const ACCOUNT_TYPES = ['asset', 'liability', 'equity', 'income', 'expense'] as const;
export type AccountType = (typeof ACCOUNT_TYPES)[number];

/**
 * Where an account's balance appears in the statements. Each classification is one line group of the balance sheet or the income
 * statement; an account always has one, so that none can fall out of a report.
 */
export const CLASSIFICATIONS = [
  {
    id: 'current-asset',
    type: 'asset',
    label: 'Current assets',
    one: 'Current asset',
    means: 'Cash, and what turns into cash or is used up within a year: bank, customers, stock, prepayments.',
    examples: 'Skerry Bank current account; trade receivables; stock of goods; prepaid insurance',
  },
  {
    id: 'fixed-asset',
    type: 'asset',
    label: 'Fixed assets',
    one: 'Fixed asset',
    means: 'Kept and used for more than a year: premises, boats, machines, with their accumulated depreciation.',
    examples: 'boats, cost; boats, accumulated depreciation (contra); premises, cost',
  },
  {
    id: 'other-asset',
    type: 'asset',
    label: 'Other assets',
    one: 'Other asset',
    means: 'Long-lived but not used in the work: deposits paid, long-term loans given.',
    examples: 'deposit paid for the workshop; a loan to another company',
  },
  {
    id: 'current-liability',
    type: 'liability',
    label: 'Current liabilities',
    one: 'Current liability',
    means: 'Due within a year: suppliers, taxes, wages owed, a card.',
    examples: 'trade payables; sales tax payable; wages owed; card account',
  },
  {
    id: 'long-term-liability',
    type: 'liability',
    label: 'Long-term liabilities',
    one: 'Long-term liability',
    means: 'Due after more than a year: bank and owner loans.',
    examples: 'bank loan; mortgage',
  },
  {
    id: 'equity',
    type: 'equity',
    label: 'Equity',
    one: 'Equity',
    means: 'What belongs to the owners, members or funds: capital, reserves, retained earnings.',
    examples: 'share capital; owner’s drawings (contra); retained earnings',
  },
  {
    id: 'revenue',
    type: 'income',
    label: 'Revenue',
    one: 'Revenue',
    means: 'What the company is there to earn: sales, fees, donations.',
    examples: 'sales of goods; fees; donations; sales returns (contra)',
  },
  {
    id: 'other-income',
    type: 'income',
    label: 'Other income',
    one: 'Other income',
    means: 'Earned on the side: interest, rent of a spare room.',
    examples: 'interest received; a one-off grant',
  },
  {
    id: 'cost-of-sales',
    type: 'expense',
    label: 'Cost of sales',
    one: 'Cost of sales',
    means: 'Caused by each sale: goods, materials, carriage.',
    examples: 'cost of goods sold; materials used; subcontractors',
  },
  {
    id: 'operating-expense',
    type: 'expense',
    label: 'Operating expenses',
    one: 'Operating expense',
    means: 'Running the company: wages, rent, insurance, depreciation.',
    examples: 'wages; rent; insurance; depreciation',
  },
  {
    id: 'other-expense',
    type: 'expense',
    label: 'Other expenses',
    one: 'Other expense',
    means: 'Outside the day’s work: interest, exchange losses.',
    examples: 'interest paid; exchange differences',
  },
  {
    id: 'tax',
    type: 'expense',
    label: 'Tax on profit',
    one: 'Tax on profit',
    means: 'Tax on the year’s result.',
    examples: 'corporation tax',
  },
] as const satisfies readonly {
  id: string;
  type: AccountType;
  label: string;
  one: string;
  means: string;
  examples: string;
}[];

export type Classification = (typeof CLASSIFICATIONS)[number]['id'];
type ClassFacts = (typeof CLASSIFICATIONS)[number];

export const CLASS_IDS = CLASSIFICATIONS.map((one) => one.id) as unknown as readonly [
  Classification,
  ...Classification[],
];

const BY_ID: ReadonlyMap<Classification, ClassFacts> = new Map(CLASSIFICATIONS.map((one) => [one.id, one]));

export const classFacts = (id: Classification): ClassFacts => {
  const facts = BY_ID.get(id);
  if (facts === undefined) throw new RangeError(`no classification ${id}`);
  return facts;
};

export const typeOf = (id: Classification): AccountType => classFacts(id).type;

/**
 * The side on which accounts of a type normally stand; a contra account stands on the other.
 *
 * @example normalSide({ classification: 'fixed-asset', contra: true }) // 'credit'
 */
export const normalSide = (account: { readonly classification: Classification; readonly contra: boolean }): Side => {
  const type = typeOf(account.classification);
  const debit = type === 'asset' || type === 'expense';
  return debit === account.contra ? 'credit' : 'debit';
};

/** Income and expense: the accounts whose balances make the year's result and start each year at nil. */
export const isResult = (type: AccountType): boolean => type === 'income' || type === 'expense';

/** What an account is for, where something else in the books has to find it. `single`: one account at most has the role. */
export const ACCOUNT_ROLES = [
  { id: 'bank', label: 'Bank', types: ['asset'], single: false },
  { id: 'cash', label: 'Cash', types: ['asset'], single: false },
  { id: 'receivables-control', label: 'Customers control', types: ['asset'], single: false },
  { id: 'stock', label: 'Stock', types: ['asset'], single: false },
  { id: 'prepayments', label: 'Prepayments', types: ['asset'], single: false },
  { id: 'fixed-asset-cost', label: 'Fixed asset, cost', types: ['asset'], single: false },
  { id: 'accumulated-depreciation', label: 'Accumulated depreciation', types: ['asset'], single: false },
  { id: 'payables-control', label: 'Suppliers control', types: ['liability'], single: false },
  { id: 'card', label: 'Card', types: ['liability'], single: false },
  { id: 'tax', label: 'Sales tax', types: ['asset', 'liability'], single: false },
  { id: 'loan', label: 'Loan', types: ['liability'], single: false },
  { id: 'accruals', label: 'Accruals', types: ['asset', 'liability'], single: false },
  { id: 'deferred-income', label: 'Deferred income and grants', types: ['liability'], single: false },
  { id: 'payroll', label: 'Wages and what is withheld', types: ['liability'], single: false },
  { id: 'capital', label: 'Share capital', types: ['equity'], single: false },
  { id: 'retained-earnings', label: 'Retained earnings', types: ['equity'], single: true },
  { id: 'current-year-result', label: 'Result of the current year', types: ['equity'], single: true },
  { id: 'exchange-realised', label: 'Realised exchange differences', types: ['income', 'expense'], single: true },
  { id: 'exchange-gains', label: 'Realised exchange gains', types: ['income', 'expense'], single: true },
  { id: 'exchange-losses', label: 'Realised exchange losses', types: ['income', 'expense'], single: true },
  {
    id: 'exchange-unrealised',
    label: 'Unrealised exchange differences',
    types: ['income', 'expense', 'equity'],
    single: true,
  },
  { id: 'rounding', label: 'Rounding differences', types: ['income', 'expense'], single: true },
  { id: 'opening-suspense', label: 'Opening suspense', types: ['asset', 'liability', 'equity'], single: true },
] as const satisfies readonly { id: string; label: string; types: readonly AccountType[]; single: boolean }[];

export type AccountRole = (typeof ACCOUNT_ROLES)[number]['id'];

export const ROLE_IDS = ACCOUNT_ROLES.map((one) => one.id) as unknown as readonly [AccountRole, ...AccountRole[]];

interface RoleFacts {
  readonly id: AccountRole;
  readonly label: string;
  /** The account types on which the role makes sense. */
  readonly types: readonly AccountType[];
  readonly single: boolean;
}

export const roleFacts = (id: AccountRole): RoleFacts => {
  const facts = ACCOUNT_ROLES.find((one) => one.id === id);
  if (facts === undefined) throw new RangeError(`no account role ${id}`);
  return facts;
};

/**
 * What an account becomes when it gets a role: accumulated depreciation stands against its line.
 *
 * @example roleFields('accumulated-depreciation') // { role: 'accumulated-depreciation', contra: true }
 */
export const roleFields = (role: AccountRole | null): { readonly role: AccountRole | null; readonly contra?: true } =>
  role === 'accumulated-depreciation' ? { role, contra: true } : { role };
