import type { AuditParty } from '@/core/chart/saft';
import { auditParties } from '@/core/schedules/parties';
import { contactsOf } from '@/store/contacts';
import { currentSet } from '@/store/openings';
import { itemsOf } from '@/store/schedules';
import { viewState } from '../frame/held-state';
import { conversionsOf } from '../frame/ties';
import { booksView } from '../kernel/action';

/** The customers and suppliers of the books, for an audit file. */
export const auditPartiesView = (id: number) =>
  booksView('books.see', id, async ({ tx, books }): Promise<readonly AuditParty[]> => {
    const state = await viewState(tx, books);
    const set = await currentSet(tx, books.id);
    const items = set === undefined ? [] : await itemsOf(tx, books.id, set.id);
    return auditParties(await contactsOf(tx, books.id), items, state.accounts, {
      base: books.currency,
      rate: conversionsOf(state),
    });
  });
