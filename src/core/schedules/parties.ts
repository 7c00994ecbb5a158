import type { Account, AccountId } from '../chart/account';
import type { AuditParty } from '../chart/saft';
import { addTo } from '../base/lists';
import { NIL } from '../money/minor';
import type { Contact } from './contact';
import type { Item } from './item';
import { scheduleOf } from './kinds';
import { type TieInput, supportedBy, supportedFigure } from './tie-out';

/**
 * The customers and suppliers of books as an audit file has them, one for each control account that a contact has items on, with what
 * is open there in base currency: worth as the tie-out has it, null while a rate is missing. A contact without items is there once for
 * what they are, with nothing open; one that is neither customer nor supplier is not.
 */
export const auditParties = (
  contacts: readonly Contact[],
  items: readonly Item[],
  accounts: readonly Account[],
  { base, rate }: Pick<TieInput, 'base' | 'rate'>,
): readonly AuditParty[] => {
  const byId = new Map(accounts.map((account) => [account.id, account]));
  const own = new Map<number, Map<AccountId, Item[]>>();
  for (const item of items) {
    if (item.contact === null) continue;
    const of = own.get(item.contact) ?? new Map<AccountId, Item[]>();
    own.set(item.contact, of);
    addTo(of, item.account, item);
  }
  return contacts.flatMap((contact) => {
    const { code, name, taxNumber, country } = contact;
    const party = (kind: AuditParty['kind'], account: AccountId | null, of: readonly Item[]): AuditParty => {
      const figure = supportedFigure({
        figure: NIL,
        parts: [],
        base,
        own: null,
        supported: supportedBy(of),
        closing: null,
        explained: null,
        rate,
      });
      return {
        kind,
        code,
        name,
        taxNumber,
        country,
        account: account === null ? '' : (byId.get(account)?.code ?? ''),
        opening: of.length === 0 ? NIL : (figure?.amount ?? null),
      };
    };
    const found = [...(own.get(contact.id) ?? [])].flatMap(([account, of]) => {
      const control = byId.get(account);
      const kind = control === undefined ? undefined : scheduleOf(control);
      return kind === 'customers' || kind === 'suppliers'
        ? [party(kind === 'customers' ? 'customer' : 'supplier', account, of)]
        : [];
    });
    if (found.length > 0) return found;
    const roles: readonly AuditParty['kind'][] =
      contact.role === 'both' ? ['customer', 'supplier'] : contact.role === 'other' ? [] : [contact.role];
    return roles.map((role) => party(role, contact.account, []));
  });
};
