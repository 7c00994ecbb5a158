import { auditParties } from '@/core/schedules/parties';
import { auditThings } from '@/core/schedules/things/audit';
import { contactsOf } from '@/store/contacts';
import { currentSet } from '@/store/openings';
import { itemsOf } from '@/store/schedules';
import { viewState } from '../frame/held-state';
import { conversionsOf } from '../frame/ties';
import { booksView } from '../kernel/action';

/** The customers and suppliers, the stock and the fixed assets of the books, for an audit file. */
export const auditMastersView = (id: number) =>
  booksView('books.see', id, async ({ tx, books }) => {
    const state = await viewState(tx, books);
    const set = await currentSet(tx, books.id);
    const items = set === undefined ? [] : await itemsOf(tx, books.id, set.id);
    return {
      parties: auditParties(await contactsOf(tx, books.id), items, state.accounts, {
        base: books.currency,
        rate: conversionsOf(state),
      }),
      ...auditThings(items, state.accounts, books.currency),
    };
  });
