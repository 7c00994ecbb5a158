import type { ColumnRole } from './header';
import type { Chosen } from './reading';

/** Roles that cannot stand beside a role in one table; each but `ignore` stands once. */
const AGAINST: Readonly<Record<ColumnRole, readonly ColumnRole[]>> = {
  code: ['code', 'code-name'],
  name: ['name', 'code-name'],
  'code-name': ['code-name', 'code', 'name'],
  debit: ['debit', 'balance', 'side'],
  credit: ['credit', 'balance', 'side'],
  balance: ['balance', 'debit', 'credit'],
  side: ['side', 'debit', 'credit'],
  currency: ['currency'],
  foreign: ['foreign'],
  ignore: [],
};

/**
 * Inferred roles of columns with the chosen ones in their place; what cannot stand beside a chosen role is not used.
 *
 * @example rolesWith(['code', 'name', 'debit', 'credit', 'ignore'], { 4: 'balance' })
 *   // ['code', 'name', 'ignore', 'ignore', 'balance']
 */
export const rolesWith = (
  roles: readonly ColumnRole[],
  chosen: Readonly<Record<string, ColumnRole>> = {},
): readonly ColumnRole[] => {
  const own = Object.values(chosen);
  const against = new Set(own.flatMap((role) => AGAINST[role]));
  const width = Math.max(roles.length, ...Object.keys(chosen).map((at) => Number(at) + 1));
  return Array.from({ length: width }, (_, at): ColumnRole => {
    const role = roles[at] ?? 'ignore';
    return chosen[String(at)] ?? (against.has(role) ? 'ignore' : role);
  });
};

/**
 * Earlier choices with a later one; earlier ones that cannot stand beside it are inferred again. The sides of amounts are
 * inferred anew with other columns unless they are chosen along.
 */
export const choose = (before: Chosen, change: Chosen): Chosen => {
  const { columns: earlier, convention, ...rest } = before;
  const { columns: later, ...others } = change;
  const against = new Set(Object.values(later ?? {}).flatMap((role) => AGAINST[role]));
  const kept = Object.entries(earlier ?? {}).filter(([, role]) => !against.has(role));
  const columns = { ...Object.fromEntries(kept), ...later };
  return {
    ...rest,
    ...(later !== undefined || convention === undefined ? {} : { convention }),
    ...others,
    ...(Object.keys(columns).length > 0 ? { columns } : {}),
  };
};
