import type { AccountRole } from '../ledger/classes';

/** Where exchange and rounding differences go: realised ones in one account, or gains and losses apart. */
export const REALISED_TOGETHER = ['exchange-realised', 'exchange-unrealised', 'rounding'] as const;
export const REALISED_APART = ['exchange-gains', 'exchange-losses', 'exchange-unrealised', 'rounding'] as const;
export type ExchangeRole = (typeof REALISED_TOGETHER)[number] | (typeof REALISED_APART)[number];
export const EXCHANGE_ROLES = [
  'exchange-realised',
  'exchange-gains',
  'exchange-losses',
  'exchange-unrealised',
  'rounding',
] as const satisfies readonly ExchangeRole[];

/** The roles that choosing an account for this one ends: realised differences go to one account or to two, never to both. */
export const replacedBy = (role: ExchangeRole): readonly ExchangeRole[] =>
  role === 'exchange-realised'
    ? ['exchange-gains', 'exchange-losses']
    : role === 'exchange-gains' || role === 'exchange-losses'
      ? ['exchange-realised']
      : [];

/** The roles for exchange differences that no active account has. */
export const missingExchangeRoles = (
  accounts: readonly { readonly role: AccountRole | null; readonly active: boolean }[],
): readonly ExchangeRole[] => {
  const has = (role: AccountRole): boolean => accounts.some((account) => account.active && account.role === role);
  const apart = !has('exchange-realised') && (has('exchange-gains') || has('exchange-losses'));
  return (apart ? REALISED_APART : REALISED_TOGETHER).filter((role) => !has(role));
};
