import type { Account } from '../chart/account';
import { called } from '../chart/account';
import type { AccountRole } from '../chart/classes';
import { type Problem, problem } from '../result';

/**
 * Parts of the books that a company may or may not use. A part that is off is nowhere in the interface: neither its stage
 * or section, nor its roles where an account's role is chosen.
 */
export const PARTS = [
  {
    id: 'currencies',
    label: 'Foreign currencies',
    adds: 'the Currencies stage: currencies, rates, rounding, and where exchange differences go',
    roles: ['exchange-gains', 'exchange-losses', 'exchange-realised', 'exchange-unrealised', 'rounding'],
  },
  {
    id: 'sales-tax',
    label: 'Sales taxes',
    adds: 'the tax registration, its return periods, tax accounts',
    roles: ['tax'],
  },
  {
    id: 'trade',
    label: 'Customers and suppliers',
    adds: 'payment terms, numbers of invoices and credit notes, control accounts',
    roles: ['receivables-control', 'payables-control'],
  },
  { id: 'stock', label: 'Stock', adds: 'stock accounts and the names of price levels', roles: ['stock'] },
  {
    id: 'fixed-assets',
    label: 'Fixed assets',
    adds: 'accounts for cost and accumulated depreciation',
    roles: ['fixed-asset-cost', 'accumulated-depreciation'],
  },
  { id: 'loans', label: 'Loans', adds: 'loan accounts', roles: ['loan'] },
  {
    id: 'dimensions',
    label: 'Cost centres and projects',
    adds: 'a cost centre or project on later entries; nothing to fill in while opening',
    roles: [],
  },
  {
    id: 'budgets',
    label: 'Budgets',
    adds: 'a budget beside later figures; nothing to fill in while opening',
    roles: [],
  },
] as const satisfies readonly { id: string; label: string; adds: string; roles: readonly AccountRole[] }[];

export type Part = (typeof PARTS)[number]['id'];
export const PART_IDS = PARTS.map((part) => part.id) as unknown as readonly [Part, ...Part[]];
export const partLabel = (id: Part): string => PARTS.find((part) => part.id === id)?.label ?? id;

/** The part that a role belongs to, or undefined when every company has it. */
export const partOfRole = (role: AccountRole): Part | undefined =>
  PARTS.find((part) => (part.roles as readonly AccountRole[]).includes(role))?.id;

/** Roles that can be chosen while these parts are on. */
export const rolesWith = (parts: readonly Part[], roles: readonly AccountRole[]): readonly AccountRole[] =>
  roles.filter((role) => {
    const part = partOfRole(role);
    return part === undefined || parts.includes(part);
  });

/** The parts that a chart already makes use of, in the order of the list. */
export const partsUsedBy = (accounts: readonly Pick<Account, 'role' | 'currency'>[]): readonly Part[] =>
  PART_IDS.filter((id) =>
    accounts.some(
      (account) =>
        (account.role !== null && partOfRole(account.role) === id) ||
        (id === 'currencies' && account.currency !== null),
    ),
  );

export interface PartData {
  readonly accounts: readonly Account[];
  readonly taxRegistered: boolean;
  readonly currencies: readonly string[];
  readonly rates: number;
}

const listed = (names: readonly string[]): string =>
  names.length <= 3 ? names.join(', ') : `${names.slice(0, 3).join(', ')} and ${names.length - 3} more`;

/** Why a part cannot be turned off: the data that it holds, by name. Undefined when it holds nothing. */
export const partHolds = (part: Part, data: PartData): Problem | undefined => {
  const roles: readonly string[] = PARTS.find((one) => one.id === part)?.roles ?? [];
  const accounts = data.accounts.filter(
    (account) =>
      (account.role !== null && roles.includes(account.role)) || (part === 'currencies' && account.currency !== null),
  );
  const holds = [
    ...(part === 'currencies' && data.currencies.length > 0
      ? [`the currencies ${data.currencies.join(', ')}${data.rates > 0 ? ` with their rates` : ''}`]
      : []),
    ...(part === 'sales-tax' && data.taxRegistered ? ['the tax registration'] : []),
    ...(accounts.length > 0 ? [`the accounts ${listed(accounts.map(called))}`] : []),
  ];
  return holds.length === 0
    ? undefined
    : problem(
        'part.holds-data',
        `${partLabel(part)} cannot be turned off: it holds ${holds.join(' and ')}. Take ${accounts.length > 0 ? 'their roles away on the Chart page' : 'them away'} first, or leave it on.`,
        'parts',
      );
};
