import { type Currency } from '../money/currency';
import { type Problem, plural, problem } from '../base/result';
import { PARTS, PART_IDS, type Part, partLabel, partOfRole } from '../company/parts';
import { type Account, called } from './account';

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
  readonly currencies: readonly Currency[];
  readonly rates: number;
  /** Analysis codes in the lists. */
  readonly codes: number;
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
    ...(part === 'dimensions' && data.codes > 0 ? [plural(data.codes, 'analysis code')] : []),
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
