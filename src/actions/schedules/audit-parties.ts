import type { AuditParty } from '@/core/chart/saft';
import type { AccountId } from '@/core/chart/account';
import { addTo } from '@/core/base/lists';
import { convert } from '@/core/money/convert';
import { type Minor, sum } from '@/core/money/minor';
import type { Item } from '@/core/schedules/item';
import { scheduleOf } from '@/core/schedules/kinds';
import { contactsOf } from '@/store/contacts';
import { currentSet } from '@/store/openings';
import { itemsOf } from '@/store/schedules';
import { viewState } from '../frame/held-state';
import { conversionsOf } from '../frame/ties';
import { booksView } from '../kernel/action';

/** The customers and suppliers of the books with what is open of each, per control account, as an audit file has them. */
export const auditPartiesView = (id: number) =>
  booksView('books.see', id, async ({ tx, books }): Promise<readonly AuditParty[]> => {
    const state = await viewState(tx, books);
    const set = await currentSet(tx, books.id);
    const rate = conversionsOf(state);
    const accounts = new Map(state.accounts.map((account) => [account.id, account]));
    const worth = ({ currency, open, base }: Item): Minor | undefined => {
      if (currency === books.currency || base !== null) return base ?? open;
      const how = rate(currency);
      return how === undefined ? undefined : convert(open, how);
    };
    const byContact = new Map<number, Map<AccountId, Item[]>>();
    for (const item of set === undefined ? [] : await itemsOf(tx, books.id, set.id)) {
      if (item.contact === null) continue;
      const own = byContact.get(item.contact) ?? new Map<AccountId, Item[]>();
      byContact.set(item.contact, own);
      addTo(own, item.account, item);
    }
    return (await contactsOf(tx, books.id)).flatMap((contact) => {
      const { code, name, taxNumber, country } = contact;
      const party = (kind: AuditParty['kind'], account: AccountId | null, items: readonly Item[]): AuditParty => {
        const worths = items.map(worth);
        return {
          kind,
          code,
          name,
          taxNumber,
          country,
          account: account === null ? '' : (accounts.get(account)?.code ?? ''),
          opening: worths.some((one) => one === undefined) ? null : sum(worths.flatMap((one) => one ?? [])),
        };
      };
      const found = [...(byContact.get(contact.id) ?? [])].flatMap(([account, items]) => {
        const own = accounts.get(account);
        const kind = own === undefined ? undefined : scheduleOf(own);
        return kind === 'customers' || kind === 'suppliers'
          ? [party(kind === 'customers' ? 'customer' : 'supplier', account, items)]
          : [];
      });
      if (found.length > 0) return found;
      const roles: readonly AuditParty['kind'][] =
        contact.role === 'both' ? ['customer', 'supplier'] : contact.role === 'other' ? [] : [contact.role];
      return roles.map((role) => party(role, contact.account, []));
    });
  });
