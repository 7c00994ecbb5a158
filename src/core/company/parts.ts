import type { AccountRole } from '../ledger/classes';

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
    adds: 'lists of analysis codes, which items bear and by which a figure is divided',
    roles: [],
  },
  {
    id: 'budgets',
    label: 'Budgets',
    adds: 'a budget for each period of the year, on the sheet of comparatives',
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
