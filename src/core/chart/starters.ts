import { type Result, fail, ok, problem } from '../result';
import { type LegalForm, legalFormLabel } from '../company/legal-form';
import type { Classification, AccountRole } from './classes';

/** An account that a starter chart would make; `parent` is the code of its heading, which stands before it in the list. */
export interface StarterAccount {
  readonly code: string;
  readonly name: string;
  readonly class: Classification;
  readonly heading: boolean;
  readonly parent: string | null;
  readonly role: AccountRole | null;
}

export const STARTERS = [
  { id: 'trading', label: 'General trading', says: 'buys and sells goods, with stock' },
  { id: 'services', label: 'Services', says: 'sells work and time, no stock' },
  { id: 'charity', label: 'Charity', says: 'donations, grants and funds' },
  { id: 'empty', label: 'Empty', says: 'no accounts; add or bring your own' },
] as const;

export type StarterId = (typeof STARTERS)[number]['id'];
export const STARTER_IDS = STARTERS.map((one) => one.id) as unknown as readonly [StarterId, ...StarterId[]];

type Posting = readonly [code: string, name: string, role?: AccountRole];
interface Branch {
  readonly code: string;
  readonly name: string;
  readonly class: Classification;
  readonly accounts: readonly Posting[];
}

const branch = (
  code: string,
  name: string,
  classification: Classification,
  ...accounts: readonly Posting[]
): Branch => ({
  code,
  name,
  class: classification,
  accounts,
});

/** Equity by legal form: whose the company is, and where its results gather. No form gets another form's accounts. */
const EQUITY: Readonly<Record<LegalForm, readonly Posting[]>> = {
  'sole-trader': [
    ['3010', 'Owner’s capital'],
    ['3020', 'Owner’s drawings'],
    ['3200', 'Profits kept in the business', 'retained-earnings'],
    ['3300', 'Result for the year', 'current-year-result'],
  ],
  partnership: [
    ['3010', 'Partners’ capital'],
    ['3020', 'Partners’ drawings'],
    ['3200', 'Undivided profits', 'retained-earnings'],
    ['3300', 'Result for the year', 'current-year-result'],
  ],
  'limited-company': [
    ['3010', 'Share capital'],
    ['3050', 'Share premium'],
    ['3100', 'Dividends'],
    ['3200', 'Retained earnings', 'retained-earnings'],
    ['3300', 'Result for the year', 'current-year-result'],
  ],
  'co-operative': [
    ['3010', 'Members’ shares'],
    ['3060', 'Indivisible reserve'],
    ['3200', 'Retained earnings', 'retained-earnings'],
    ['3300', 'Result for the year', 'current-year-result'],
  ],
  charity: [
    ['3010', 'Restricted funds'],
    ['3060', 'Designated funds'],
    ['3200', 'Unrestricted funds', 'retained-earnings'],
    ['3300', 'Surplus or deficit for the year', 'current-year-result'],
  ],
  branch: [
    ['3010', 'Head office account'],
    ['3200', 'Retained earnings', 'retained-earnings'],
    ['3300', 'Result for the year', 'current-year-result'],
  ],
  other: [
    ['3010', 'Capital'],
    ['3200', 'Retained earnings', 'retained-earnings'],
    ['3300', 'Result for the year', 'current-year-result'],
  ],
};

const FIXED: Branch = branch(
  '1500',
  'Fixed assets',
  'fixed-asset',
  ['1510', 'Equipment, cost', 'fixed-asset-cost'],
  ['1519', 'Equipment, accumulated depreciation', 'accumulated-depreciation'],
  ['1520', 'Vehicles, cost', 'fixed-asset-cost'],
  ['1529', 'Vehicles, accumulated depreciation', 'accumulated-depreciation'],
);

const LIABILITIES: readonly Branch[] = [
  branch(
    '2000',
    'Current liabilities',
    'current-liability',
    ['2100', 'Trade payables', 'payables-control'],
    ['2150', 'Accruals'],
    ['2200', 'Sales tax payable', 'tax'],
    ['2300', 'Wages and payroll taxes'],
    ['2400', 'Card account'],
  ),
  branch('2500', 'Long-term liabilities', 'long-term-liability', ['2510', 'Bank loan', 'loan']),
];

const RUNNING: readonly Posting[] = [
  ['6100', 'Wages and salaries'],
  ['6150', 'Employer’s payroll taxes'],
  ['6200', 'Rent and rates'],
  ['6250', 'Light, heat and water'],
  ['6300', 'Repairs and maintenance'],
  ['6350', 'Insurance'],
  ['6400', 'Vehicle running costs'],
  ['6450', 'Travel'],
  ['6500', 'Phone, internet and software'],
  ['6550', 'Stationery and postage'],
  ['6600', 'Marketing'],
  ['6650', 'Accounting and legal fees'],
  ['6700', 'Bank charges'],
  ['6750', 'Bad debts'],
  ['6800', 'Depreciation'],
];

const BANK: Posting = ['1010', 'Current account at bank', 'bank'];
const CASH: Posting = ['1050', 'Petty cash', 'cash'];
const RECEIVABLES: Posting = ['1100', 'Trade receivables', 'receivables-control'];
const PREPAID: Posting = ['1300', 'Prepayments', 'prepayments'];

const otherSides = (form: LegalForm): readonly Branch[] => [
  branch('7000', 'Other income', 'other-income', ['7010', 'Interest received']),
  branch('8000', 'Other expenses', 'other-expense', ['8010', 'Interest paid'], ['8020', 'Exchange differences']),
  ...(form === 'limited-company' || form === 'co-operative' || form === 'branch'
    ? [branch('9000', 'Tax on profit', 'tax', ['9010', 'Corporation tax'])]
    : []),
];

const branches = (starter: Exclude<StarterId, 'empty'>, form: LegalForm): readonly Branch[] => {
  const equity = branch('3000', form === 'charity' ? 'Funds' : 'Equity', 'equity', ...EQUITY[form]);
  const taxOnProfit: readonly Posting[] =
    form === 'limited-company' || form === 'co-operative' || form === 'branch'
      ? [['2250', 'Corporation tax payable']]
      : [];
  const liabilities = LIABILITIES.map((one) =>
    one.code === '2000'
      ? { ...one, accounts: [...one.accounts, ...taxOnProfit].sort(([a], [b]) => (a < b ? -1 : 1)) }
      : one,
  );
  const common = (current: readonly Posting[], ...trade: readonly Branch[]): readonly Branch[] => [
    branch('1000', 'Current assets', 'current-asset', ...current),
    FIXED,
    ...liabilities,
    equity,
    ...trade,
    branch('6000', 'Operating expenses', 'operating-expense', ...RUNNING),
    ...otherSides(form),
  ];
  switch (starter) {
    case 'trading':
      return common(
        [BANK, CASH, RECEIVABLES, ['1200', 'Stock of goods', 'stock'], PREPAID],
        branch(
          '4000',
          'Revenue',
          'revenue',
          ['4010', 'Sales of goods'],
          ['4020', 'Sales abroad'],
          ['4900', 'Sales returns and discounts'],
        ),
        branch(
          '5000',
          'Cost of sales',
          'cost-of-sales',
          ['5010', 'Cost of goods sold'],
          ['5020', 'Cost of goods sold abroad'],
          ['5100', 'Carriage inwards'],
          ['5200', 'Packaging'],
        ),
      );
    case 'services':
      return common(
        [BANK, CASH, RECEIVABLES, ['1150', 'Work done, not yet billed'], PREPAID],
        branch('4000', 'Revenue', 'revenue', ['4010', 'Fees'], ['4050', 'Expenses recharged']),
        branch(
          '5000',
          'Cost of sales',
          'cost-of-sales',
          ['5010', 'Subcontractors'],
          ['5050', 'Expenses to be recharged'],
        ),
      );
    case 'charity':
      return common(
        [BANK, CASH, ['1100', 'Debtors and pledges', 'receivables-control'], ['1150', 'Grants receivable'], PREPAID],
        branch(
          '4000',
          'Income',
          'revenue',
          ['4010', 'Donations'],
          ['4020', 'Legacies'],
          ['4030', 'Grants'],
          ['4040', 'Ticket and event income'],
          ['4050', 'Membership subscriptions'],
        ),
        branch(
          '5000',
          'Cost of charitable activities',
          'cost-of-sales',
          ['5010', 'Direct costs of activities'],
          ['5040', 'Costs of events'],
          ['5060', 'Fundraising costs'],
        ),
      );
  }
};

/** The starters that suit a legal form: the charity's goes with charities only, and charities get no other. */
export const startersFor = (form: LegalForm): readonly StarterId[] =>
  form === 'charity' ? ['charity', 'empty'] : ['trading', 'services', 'empty'];

/** The accounts of a starter for a legal form, headings before what stands under them; or why the two do not go together. */
export const starterChart = (starter: StarterId, form: LegalForm): Result<readonly StarterAccount[]> => {
  if (!startersFor(form).includes(starter))
    return fail(
      problem(
        'starter.form',
        starter === 'charity'
          ? `The charity chart has funds instead of owners’ equity, which does not suit the legal form ${legalFormLabel(form)}. Choose another starter or another legal form.`
          : `This starter has owners’ equity, which a charity does not have. Choose the charity chart, or begin empty.`,
        'starter',
      ),
    );
  if (starter === 'empty') return ok([]);
  return ok(
    branches(starter, form).flatMap((one): StarterAccount[] => [
      { code: one.code, name: one.name, class: one.class, heading: true, parent: null, role: null },
      ...one.accounts.map(([code, name, role]): StarterAccount => ({
        code,
        name,
        class: one.class,
        heading: false,
        parent: one.code,
        role: role ?? null,
      })),
    ]),
  );
};
