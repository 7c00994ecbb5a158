import { CHECKS } from '@/core/proof/checks';
import type { EvidenceOf } from '@/core/schedules/evidence';
import { contactsAmong } from '@/store/contacts';
import { itemsAmong } from '@/store/schedules';
import { standingIndex } from '../frame/held-chart';
import type { WritingContext } from '../kernel/action';

/** Whether what a paper is to be attached to is in the books. */
export const isThere = async (context: WritingContext, to: EvidenceOf): Promise<boolean> => {
  const { tx, books } = context;
  switch (to.of) {
    case 'account':
      return (await standingIndex(context)).byId.has(to.id);
    case 'item':
      return (await itemsAmong(tx, books.id, [to.id])).has(to.id);
    case 'contact':
      return (await contactsAmong(tx, books.id, [to.id])).has(to.id);
    case 'check':
      return Object.hasOwn(CHECKS, to.id);
  }
};
