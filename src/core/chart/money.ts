import type { Classification } from '../ledger/classes';
import { type Account, type AccountFields, PLAIN_ACCOUNT } from './account';

/** What accounts that hold money are: their roles. */
export const MONEY_KINDS = ['bank', 'cash', 'card'] as const;
export type MoneyKind = (typeof MONEY_KINDS)[number];

/** Money in a bank or a till is an asset; a card that is paid later is owed. */
const LINES: Readonly<Record<MoneyKind, Classification>> = {
  bank: 'current-asset',
  cash: 'current-asset',
  card: 'current-liability',
};

/** Whether an account holds money. */
export const holdsMoney = ({ role }: Pick<Account, 'role'>): boolean => MONEY_KINDS.some((kind) => kind === role);

/** A new account that holds money, on the statement line of its heading where it has one. */
export const moneyAccount = (
  {
    kind,
    code,
    name,
    parent,
    currency,
  }: Pick<AccountFields, 'code' | 'name' | 'parent' | 'currency'> & { readonly kind: MoneyKind },
  heading: Pick<Account, 'classification'> | undefined,
): AccountFields => ({
  ...PLAIN_ACCOUNT,
  code,
  name,
  parent,
  currency,
  role: kind,
  classification: heading?.classification ?? LINES[kind],
});
