import { elapsedPeriods } from '@/core/calendar/cutover';
import { periodOf } from '@/core/calendar/year';
import { inTreeOrder } from '@/core/chart/tree';
import { NIL } from '@/core/money/minor';
import { LAST_YEAR } from '@/core/openings/comparatives';
import { comparativesOf } from '@/store/comparatives';
import { page } from './frame-view';

/** The comparatives of the opening position: its columns, and every posting account with its figure and what is entered. */
export const comparativesView = (id: number) =>
  page(id, async ({ tx, books }, state) => {
    const year = periodOf(state.years, books.cutover);
    const elapsed = elapsedPeriods(year, books.cutover);
    const entered = await comparativesOf(tx, books.id);
    return {
      columns: [
        { column: LAST_YEAR, label: 'Last year’s close' },
        ...elapsed.map((period, at) => ({ column: at + 1, label: period.name })),
      ],
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
