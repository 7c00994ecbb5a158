import type { LegalForm } from '../../company/legal-form';
import type { AccountRole, Classification } from '../../ledger/classes';
import type { Premises, Question, Trade, Vocabulary } from './answers';

/**
 * The accounts that a chart is composed from, as data. To extend it, add an account to the group whose condition brings it,
 * or a group with a condition of its own; the laws in compose.test.ts say what must hold for every combination of answers:
 *
 * - A code belongs to one account, in whichever company it turns up, unless the conditions of two accounts exclude each
 *   other. So no combination can hold a code twice.
 * - The code says where the account stands: under the narrowest heading whose range it lies in.
 * - Sales and their costs are pairs: revenue 4nnn has its cost of sales at 5nnn.
 */
export interface Condition {
  readonly forms?: readonly LegalForm[];
  readonly trades?: readonly Trade[];
  /** Of these questions all are answered yes. */
  readonly yes?: readonly Question[];
  readonly premises?: readonly Premises[];
}

export type Entry = readonly [code: string, name: string, role?: AccountRole | 'contra' | null];

export interface Group {
  /** Empty: every company has these. */
  readonly when: Condition;
  readonly accounts: readonly Entry[];
}

export interface HeadingEntry {
  readonly code: string;
  readonly name: string;
  readonly classification: Classification;
  /** Codes of the accounts that stand under it, both included. */
  readonly from: string;
  readonly to: string;
  /** A narrower heading stands only when at least two accounts are in its range. */
  readonly within?: string;
}

export const HEADINGS: readonly HeadingEntry[] = [
  { code: '1000', name: 'Current assets', classification: 'current-asset', from: '1001', to: '1499' },
  { code: '1500', name: 'Fixed assets', classification: 'fixed-asset', from: '1501', to: '1799' },
  { code: '1800', name: 'Other assets', classification: 'other-asset', from: '1801', to: '1999' },
  { code: '2000', name: 'Current liabilities', classification: 'current-liability', from: '2001', to: '2499' },
  { code: '2500', name: 'Long-term liabilities', classification: 'long-term-liability', from: '2501', to: '2999' },
  { code: '3000', name: 'Equity', classification: 'equity', from: '3001', to: '3999' },
  { code: '4000', name: 'Revenue', classification: 'revenue', from: '4001', to: '4999' },
  { code: '5000', name: 'Cost of sales', classification: 'cost-of-sales', from: '5001', to: '5999' },
  { code: '6000', name: 'Operating expenses', classification: 'operating-expense', from: '6001', to: '6999' },
  { code: '6010', name: 'People', classification: 'operating-expense', from: '6100', to: '6199', within: '6000' },
  {
    code: '6020',
    name: 'Premises and equipment',
    classification: 'operating-expense',
    from: '6200',
    to: '6399',
    within: '6000',
  },
  {
    code: '6030',
    name: 'Vehicles and travel',
    classification: 'operating-expense',
    from: '6400',
    to: '6499',
    within: '6000',
  },
  { code: '6040', name: 'Office', classification: 'operating-expense', from: '6500', to: '6599', within: '6000' },
  { code: '6050', name: 'Selling', classification: 'operating-expense', from: '6600', to: '6649', within: '6000' },
  {
    code: '6060',
    name: 'Fees and charges',
    classification: 'operating-expense',
    from: '6650',
    to: '6749',
    within: '6000',
  },
  { code: '7000', name: 'Other income', classification: 'other-income', from: '7001', to: '7999' },
  { code: '8000', name: 'Other expenses', classification: 'other-expense', from: '8001', to: '8999' },
  { code: '9000', name: 'Tax on profit', classification: 'tax', from: '9001', to: '9999' },
];

/** The account that a foreign currency's bank account begins from: 1020 for the first one, 1025 for the next. */
export const FIRST_FOREIGN_BANK = 1020;
export const FOREIGN_BANK_STEP = 5;

const CORPORATE: readonly LegalForm[] = ['limited-company', 'co-operative', 'branch'];
const OWNERS: readonly LegalForm[] = [
  'limited-company',
  'members-company',
  'co-operative',
  'branch',
  'partnership',
  'sole-trader',
  'other',
];
const GOODS: readonly Trade[] = ['shop', 'wholesale'];

export const GROUPS: readonly Group[] = [
  {
    when: {},
    accounts: [
      ['1010', 'Current account at bank', 'bank'],
      ['1050', 'Petty cash', 'cash'],
      ['1300', 'Prepayments', 'prepayments'],
      ['1510', 'Equipment, cost', 'fixed-asset-cost'],
      ['1519', 'Equipment, accumulated depreciation', 'accumulated-depreciation'],
      ['2150', 'Accruals', 'accruals'],
      ['2400', 'Card account', 'card'],
      ['6320', 'Small tools and equipment'],
      ['6350', 'Insurance'],
      ['6450', 'Travel'],
      ['6500', 'Phone and internet'],
      ['6520', 'Software subscriptions'],
      ['6550', 'Stationery and postage'],
      ['6600', 'Marketing'],
      ['6650', 'Accounting and legal fees'],
      ['6700', 'Bank charges'],
      ['6800', 'Depreciation'],
      ['7010', 'Interest received'],
    ],
  },
  // Equity by legal form: whose the company is, and where its results gather. No form gets another form's accounts.
  {
    when: { forms: ['sole-trader'] },
    accounts: [
      ['3010', 'Owner’s capital'],
      ['3020', 'Owner’s drawings', 'contra'],
      ['3200', 'Profits kept in the business', 'retained-earnings'],
      ['3300', 'Result for the year', 'current-year-result'],
    ],
  },
  {
    when: { forms: ['partnership'] },
    accounts: [
      ['3010', 'Partners’ capital'],
      ['3020', 'Partners’ drawings', 'contra'],
      ['3030', 'Partners’ current accounts'],
      ['3200', 'Undivided profits', 'retained-earnings'],
      ['3300', 'Result for the year', 'current-year-result'],
    ],
  },
  {
    when: { forms: ['limited-company'] },
    accounts: [
      ['3010', 'Share capital', 'capital'],
      ['3050', 'Share premium'],
      ['3100', 'Dividends', 'contra'],
      ['3200', 'Retained earnings', 'retained-earnings'],
      ['3300', 'Result for the year', 'current-year-result'],
      ['2350', 'Directors’ loan account'],
    ],
  },
  {
    when: { forms: ['members-company'] },
    accounts: [
      ['3010', 'Members’ capital'],
      ['3020', 'Members’ distributions', 'contra'],
      ['3200', 'Members’ retained profits', 'retained-earnings'],
      ['3300', 'Result for the year', 'current-year-result'],
    ],
  },
  {
    when: { forms: ['association'] },
    accounts: [
      ['3060', 'Designated funds'],
      ['3200', 'Accumulated fund', 'retained-earnings'],
      ['3300', 'Surplus or deficit for the year', 'current-year-result'],
    ],
  },
  {
    when: { forms: ['foundation'] },
    accounts: [
      ['3010', 'Endowment capital'],
      ['3060', 'Designated funds'],
      ['3200', 'Accumulated fund', 'retained-earnings'],
      ['3300', 'Surplus or deficit for the year', 'current-year-result'],
    ],
  },
  {
    when: { forms: ['co-operative'] },
    accounts: [
      ['3010', 'Members’ shares'],
      ['3060', 'Indivisible reserve'],
      ['3110', 'Returns paid to members', 'contra'],
      ['3200', 'Retained earnings', 'retained-earnings'],
      ['3300', 'Result for the year', 'current-year-result'],
    ],
  },
  {
    when: { forms: ['charity'] },
    accounts: [
      ['3010', 'Restricted funds'],
      ['3060', 'Designated funds'],
      ['3200', 'Unrestricted funds', 'retained-earnings'],
      ['3300', 'Surplus or deficit for the year', 'current-year-result'],
      ['6680', 'Independent examination and audit'],
    ],
  },
  {
    when: { forms: ['branch'] },
    accounts: [
      ['3010', 'Head office account'],
      ['3200', 'Retained earnings', 'retained-earnings'],
      ['3300', 'Result for the year', 'current-year-result'],
    ],
  },
  {
    when: { forms: ['other'] },
    accounts: [
      ['3010', 'Capital'],
      ['3200', 'Retained earnings', 'retained-earnings'],
      ['3300', 'Result for the year', 'current-year-result'],
    ],
  },
  {
    when: { forms: CORPORATE },
    accounts: [
      ['2250', 'Corporation tax payable'],
      ['9010', 'Corporation tax'],
    ],
  },
  { when: { forms: OWNERS }, accounts: [['6620', 'Entertaining']] },
  {
    when: { yes: ['credit'] },
    accounts: [
      ['1100', 'Trade receivables', 'receivables-control'],
      ['2100', 'Trade payables', 'payables-control'],
      ['6750', 'Bad debts'],
    ],
  },
  {
    when: { yes: ['stock'] },
    accounts: [
      ['1200', 'Stock of goods', 'stock'],
      ['5100', 'Carriage inwards'],
      ['5800', 'Stock written off and counted short'],
    ],
  },
  {
    when: { yes: ['staff'] },
    accounts: [
      ['2300', 'Wages and payroll taxes', 'payroll'],
      ['2310', 'Pension contributions owed'],
      ['6100', 'Wages and salaries'],
      ['6150', 'Employer’s payroll taxes'],
      ['6160', 'Employer’s pension contributions'],
      ['6180', 'Training and hiring'],
    ],
  },
  {
    when: { premises: ['rented'] },
    accounts: [
      ['1810', 'Deposits paid on premises'],
      ['6200', 'Rent and rates'],
    ],
  },
  {
    when: { premises: ['owned'] },
    accounts: [
      ['1540', 'Premises, cost', 'fixed-asset-cost'],
      ['1549', 'Premises, accumulated depreciation', 'accumulated-depreciation'],
      ['6230', 'Property taxes and rates'],
    ],
  },
  {
    when: { premises: ['rented', 'owned'] },
    accounts: [
      ['6250', 'Light, heat and water'],
      ['6280', 'Cleaning and waste'],
      ['6300', 'Repairs and maintenance'],
    ],
  },
  {
    when: { yes: ['vehicles'] },
    accounts: [
      ['1520', 'Vehicles, cost', 'fixed-asset-cost'],
      ['1529', 'Vehicles, accumulated depreciation', 'accumulated-depreciation'],
      ['6400', 'Vehicle running costs'],
      ['6420', 'Vehicle insurance and tax'],
    ],
  },
  {
    when: { yes: ['loans'] },
    accounts: [
      ['2510', 'Bank loan', 'loan'],
      ['8010', 'Interest paid'],
    ],
  },
  { when: { yes: ['loans'], premises: ['owned'] }, accounts: [['2520', 'Mortgage', 'loan']] },
  {
    when: { yes: ['grants'] },
    accounts: [
      ['1155', 'Grants receivable'],
      ['2160', 'Grants received in advance', 'deferred-income'],
      ['4350', 'Grants'],
      ['5350', 'Costs met by grants'],
    ],
  },
  {
    when: { yes: ['projects'] },
    accounts: [
      ['1165', 'Project costs carried forward'],
      ['2165', 'Project income received in advance'],
      ['4360', 'Project income'],
      ['5360', 'Project costs'],
    ],
  },
  {
    when: { yes: ['salesTax'] },
    accounts: [
      ['2200', 'Sales tax payable', 'tax'],
      ['1400', 'Sales tax recoverable', 'tax'],
    ],
  },
  {
    when: { yes: ['foreign'] },
    accounts: [
      ['4020', 'Sales abroad'],
      ['5020', 'Cost of sales abroad'],
      ['8020', 'Exchange differences', 'exchange-realised'],
      ['8030', 'Unrealised exchange differences', 'exchange-unrealised'],
      ['8040', 'Rounding differences', 'rounding'],
    ],
  },
  // What the company does.
  {
    when: { trades: GOODS },
    accounts: [
      ['4010', 'Sales of goods'],
      ['5010', 'Cost of goods sold'],
      ['4900', 'Sales returns and discounts', 'contra'],
    ],
  },
  {
    when: { trades: ['shop'] },
    accounts: [
      ['1060', 'Till float', 'cash'],
      ['6710', 'Card processing fees'],
    ],
  },
  {
    when: { trades: ['online-shop'] },
    accounts: [
      ['1070', 'Payments on their way from payment services'],
      ['4030', 'Online sales'],
      ['5030', 'Cost of goods sold online'],
      ['4910', 'Online returns', 'contra'],
      ['5910', 'Delivery to customers'],
      ['6610', 'Marketplace and platform fees'],
    ],
  },
  { when: { trades: ['wholesale', 'online-shop', 'making'] }, accounts: [['5200', 'Packaging']] },
  {
    when: { trades: ['wholesale'] },
    accounts: [
      ['5920', 'Import duty and clearance'],
      ['6630', 'Sales commissions'],
    ],
  },
  {
    when: { trades: ['making'] },
    accounts: [
      ['1550', 'Machines, cost', 'fixed-asset-cost'],
      ['1559', 'Machines, accumulated depreciation', 'accumulated-depreciation'],
      ['4110', 'Sales of own products'],
      ['5110', 'Materials used'],
      ['5930', 'Energy for production'],
      ['6330', 'Machine repairs'],
    ],
  },
  {
    when: { trades: ['making'], yes: ['stock'] },
    accounts: [
      ['1210', 'Raw materials', 'stock'],
      ['1220', 'Work in progress', 'stock'],
      ['1230', 'Finished products', 'stock'],
    ],
  },
  { when: { trades: ['making', 'building'], yes: ['staff'] }, accounts: [['5940', 'Production and site wages']] },
  {
    when: { trades: ['building'] },
    accounts: [
      ['1160', 'Amounts due on contracts'],
      ['1170', 'Retentions receivable'],
      ['2120', 'Retentions owed to subcontractors'],
      ['4120', 'Contract income'],
      ['5120', 'Materials and subcontractors for contracts'],
      ['5950', 'Hire of plant'],
    ],
  },
  {
    when: { trades: ['food-drink'] },
    accounts: [
      ['2170', 'Tips owed to staff'],
      ['4130', 'Food sales'],
      ['5130', 'Cost of food'],
      ['4140', 'Drink sales'],
      ['5140', 'Cost of drink'],
      ['6290', 'Licences and inspections'],
    ],
  },
  {
    when: { trades: ['farming-fishing'] },
    accounts: [
      ['1570', 'Boats and farm machinery, cost', 'fixed-asset-cost'],
      ['1579', 'Boats and farm machinery, accumulated depreciation', 'accumulated-depreciation'],
      ['4150', 'Sales of produce and catch'],
      ['5150', 'Seed, feed and gear'],
      ['6340', 'Repairs of boats and machinery'],
      ['6410', 'Fuel for boats and machinery'],
    ],
  },
  { when: { trades: ['farming-fishing'], yes: ['stock'] }, accounts: [['1240', 'Produce in store', 'stock']] },
  {
    when: { trades: ['letting'] },
    accounts: [
      ['1580', 'Let property, cost', 'fixed-asset-cost'],
      ['1589', 'Let property, accumulated depreciation', 'accumulated-depreciation'],
      ['2180', 'Tenants’ deposits'],
      ['4170', 'Rent from lettings'],
      ['5170', 'Costs of let property'],
    ],
  },
  {
    when: { trades: ['transport'] },
    accounts: [
      ['4180', 'Carriage and delivery income'],
      ['5180', 'Subcontracted carriage'],
      ['5960', 'Fuel and tolls'],
      ['6430', 'Licences and permits for vehicles'],
    ],
  },
  {
    when: { trades: ['arts-events'] },
    accounts: [
      ['2190', 'Tickets sold in advance'],
      ['4040', 'Ticket and event income'],
      ['5040', 'Costs of events'],
      ['4045', 'Programmes and bar'],
      ['5045', 'Cost of programmes and bar'],
      ['5970', 'Performers and rights'],
    ],
  },
  {
    when: { trades: ['software'] },
    accounts: [
      ['1590', 'Development costs, cost', 'fixed-asset-cost'],
      ['1599', 'Development costs, accumulated amortisation', 'accumulated-depreciation'],
      ['2195', 'Subscriptions billed in advance'],
      ['4210', 'Subscriptions and licences'],
      ['5210', 'Hosting and licences used'],
      ['4220', 'Development work'],
      ['5220', 'Contract developers'],
    ],
  },
  {
    when: { trades: ['health'] },
    accounts: [
      ['4230', 'Patient and client fees'],
      ['5230', 'Practitioners and consumables'],
      ['6670', 'Professional registration and cover'],
    ],
  },
  {
    when: { trades: ['teaching'] },
    accounts: [
      ['2175', 'Course fees received in advance'],
      ['4240', 'Course and tuition fees'],
      ['5240', 'Tutors and teaching materials'],
    ],
  },
  {
    when: { trades: ['personal-services'] },
    accounts: [
      ['4250', 'Service and repair income'],
      ['5250', 'Products and parts used'],
    ],
  },
  {
    when: { trades: ['consulting'] },
    accounts: [
      ['1150', 'Work done, not yet billed'],
      ['4060', 'Fees'],
      ['5060', 'Subcontractors'],
      ['4050', 'Expenses recharged'],
      ['5050', 'Expenses to be recharged'],
    ],
  },
  {
    when: { trades: ['charity'] },
    accounts: [
      ['4310', 'Donations'],
      ['5310', 'Fundraising costs'],
      ['4320', 'Legacies'],
      ['5320', 'Costs of legacies'],
      ['4330', 'Income from charitable work'],
      ['5330', 'Direct costs of charitable work'],
      ['4340', 'Membership subscriptions'],
      ['5340', 'Costs of membership'],
    ],
  },
];

/** Names by vocabulary, where the international one would read oddly. */
export const WORDING: Readonly<Record<Exclude<Vocabulary, 'international'>, Readonly<Record<string, string>>>> = {
  'british-irish': { '2200': 'VAT payable', '1400': 'VAT recoverable', '6200': 'Rent and business rates' },
  'north-american': {
    '1100': 'Accounts receivable',
    '1200': 'Merchandise inventory',
    '1210': 'Raw materials inventory',
    '1220': 'Work in process',
    '1230': 'Finished goods inventory',
    '2100': 'Accounts payable',
    '2250': 'Income tax payable',
    '5800': 'Inventory written off and counted short',
    '6200': 'Rent',
    '6250': 'Utilities',
    '6550': 'Office supplies and postage',
    '9010': 'Income tax',
  },
  australasian: {
    '2200': 'GST payable',
    '1400': 'GST recoverable',
    '2310': 'Superannuation owed',
    '6160': 'Superannuation',
  },
  continental: {
    '2200': 'VAT payable',
    '1400': 'VAT recoverable',
    '2300': 'Wages and social insurance',
    '6150': 'Employer’s social insurance',
    '6200': 'Rent and service charges',
  },
  japanese: {
    '2200': 'Consumption tax payable',
    '1400': 'Consumption tax recoverable',
    '2300': 'Wages and social insurance',
    '6150': 'Employer’s social insurance',
  },
};
