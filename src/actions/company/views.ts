import { paidInto } from '@/core/chart/pay-into';
import { companyChecklist, letterhead } from '@/core/company/facts';
import { nextStage } from '@/core/proof/stages';
import { bankDetailsOf } from '@/store/bank-details';
import { type Books, logoSetAt, peopleOf } from '@/store/books';
import type { Queryable } from '@/store/database';
import { hasPosted } from '@/store/journals';
import { page } from '../frame/views';
import { mayIn } from '../kernel/action';
import { historyOf } from '../frame/history';

export const companyView = (id: number) =>
  page('books.see', id, async ({ tx, books, actor }, state) => {
    const logo = await logoSetAt(tx, books.id);
    return {
      facts: books.facts,
      // Whoever only looks need not know who else there is.
      people: mayIn(actor, 'company.change', books) ? await peopleOf(tx, actor.practice) : [],
      logo,
      checklist: companyChecklist(books.facts, logo !== null),
      posted: await hasPosted(tx, books.id),
      years: state.years.map((year) => ({ name: year.name, start: year.start.toString(), end: year.end.toString() })),
      next: nextStage(state.stages) ?? null,
      /** The accounts that documents name to pay into. */
      banks: paidInto(state.accounts, await bankDetailsOf(tx, books.id), books),
      history: await historyOf({ tx, books }, 'books'),
    };
  });

export interface LetterheadView {
  readonly lines: readonly string[];
  /** When the logo was set, or null. */
  readonly logo: string | null;
  readonly preprinted: boolean;
}

/** What reports are headed with. */
export const letterheadOf = async (tx: Queryable, books: Books): Promise<LetterheadView> => ({
  lines: letterhead(books.facts),
  logo: await logoSetAt(tx, books.id),
  preprinted: books.facts.preprinted,
});
