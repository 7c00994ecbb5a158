import { type Currency } from '../money/currency';
import type { Account, AccountId } from './account';
import { type BankDetails, printIban } from './bank';
import { type Routing, printRouting, routingOf } from './routing';
import { inTreeOrder } from './tree';

/** An account that documents name to pay into: its currency, its name, and how whoever pays finds it. */
export interface PaidInto {
  readonly currency: Currency;
  readonly name: string;
  readonly says: string;
}

/** By IBAN and BIC, else by bank code and number; empty where neither is known. */
const howFound = ({ iban, bic, number, routing }: BankDetails, kind: Routing): string =>
  iban !== ''
    ? `IBAN ${printIban(iban)}${bic === '' ? '' : `, BIC ${bic}`}`
    : number === ''
      ? ''
      : `${routing === '' ? '' : `${kind.label} ${printRouting(routing, kind)}, `}account ${number}`;

/** The active accounts of a chart that documents name, in its order; `country` and `currency` are those of the books. */
export const paidInto = (
  chart: readonly Account[],
  details: ReadonlyMap<AccountId, BankDetails>,
  { country, currency }: { readonly country: string; readonly currency: Currency },
): readonly PaidInto[] =>
  inTreeOrder(chart).flatMap(({ account }) => {
    const own = details.get(account.id);
    return own?.onDocuments === true && account.active
      ? [
          {
            currency: account.currency ?? currency,
            name: account.name,
            says: howFound(own, routingOf(country, account.currency)),
          },
        ]
      : [];
  });
