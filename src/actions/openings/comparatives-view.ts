import { inTreeOrder } from '@/core/chart/tree';
import { NIL } from '@/core/money/minor';
import { comparativeColumns } from '@/core/openings/comparatives';
import { lastBatch, nameIn } from '@/store/changes';
import { comparativesOf } from '@/store/comparatives';
import { papersOf } from '@/store/papers';
import { page } from '../frame/views';

/** The comparatives of the opening position: its columns, and every posting account with its figure and what is entered. */
export const comparativesView = (id: number) =>
  page('books.see', id, async ({ tx, books }, state) => {
    const entered = await comparativesOf(tx, books.id);
    const last = await lastBatch(tx, books.id, 'takeComparatives');
    return {
      columns: comparativeColumns(state.years, books.cutover, books.facts.parts.includes('budgets')),
      budgets: books.facts.parts.includes('budgets'),
      /** The last taking over from a paper, which can be undone. */
      last: last === undefined ? null : { batch: last.id, paper: nameIn(last.about) },
      papers: (await papersOf(tx, books.id)).map(({ id: paper, name }) => ({ id: paper, name })),
      rows: inTreeOrder(state.accounts).flatMap(({ account }) => {
        if (account.heading || (!account.active && !entered.has(account.id))) return [];
        const { id: account_, code, name, classification } = account;
        return [
          {
            id: account_,
            code,
            name,
            classification,
            heading: false,
            figure: state.amounts.get(account.id) ?? NIL,
            entered: Object.fromEntries(entered.get(account.id) ?? []),
          },
        ];
      }),
    };
  });
