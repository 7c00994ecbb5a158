import { type Account, type AccountId, chartIndex } from '@/core/chart/account';
import { sayAccountChange } from '@/core/chart/recorded';
import { comparativeColumns } from '@/core/openings/comparatives';
import { sameParts, writtenParts } from '@/core/openings/in-currency';
import { said } from '@/core/openings/say-changes';
import { yearsOf } from '@/store/calendar';
import { changesOf } from '@/store/changes';
import { comparativeChanges } from '@/store/comparatives';
import { figureChanges } from '@/store/openings';
import { standingChart } from '../frame/held-chart';
import { booksView } from '../kernel/action';
import { historyOf } from '../frame/history';

const MOST_TOLD = 100;

/** What one action changed about an account is one sentence. */
const told = (
  changes: Awaited<ReturnType<typeof changesOf>>,
  chart: ReadonlyMap<AccountId, Account>,
): readonly { readonly what: string; readonly by: string; readonly at: string }[] => {
  const batches = new Map<string, { what: string[]; readonly by: string; readonly at: string }>();
  for (const change of changes.toReversed()) {
    const what = sayAccountChange(change, chart);
    if (what === undefined) continue;
    const known = batches.get(change.batch);
    if (known === undefined) batches.set(change.batch, { what: [what], by: change.by, at: change.at });
    else known.what.push(what);
  }
  return [...batches.values()].reverse().map(({ what, by, at }) => ({ what: what.join('; '), by, at }));
};

/** The margin for one account: what happened to it, to its figure and its comparatives. */
export const accountStory = (id: number, account: number) =>
  booksView('books.see', id, async ({ tx, books }) => {
    const years = (await yearsOf(tx, [books.id])).get(books.id) ?? [];
    const columns = new Map(comparativeColumns(years, books.cutover, true).map(({ column, label }) => [column, label]));
    const chart = chartIndex(await standingChart({ tx, books })).byId;
    return {
      changes: (await figureChanges(tx, books.id, account)).map(({ from, to, ...change }) => ({
        ...change,
        from: from?.amount ?? null,
        to: to?.amount ?? null,
        source: to?.source ?? ('typed' as const),
        why: to?.why ?? null,
        /** What of the figure is in foreign currencies after it, where that changed. */
        inCurrency: sameParts(from?.parts ?? [], to?.parts ?? [])
          ? null
          : writtenParts({ amount: to?.amount ?? null, parts: to?.parts ?? [] }, books.style) ||
            'no longer in a foreign currency',
      })),
      events: [
        ...(await historyOf({ tx, books }, 'account', account)),
        ...told(await changesOf(tx, books.id, 'account', account, MOST_TOLD), chart),
        ...(await comparativeChanges(tx, books.id, account)).map(({ column, from, to, paper, by, at }) => ({
          what: `${columns.get(column) ?? `column ${String(column)}`}: ${said(from, books)} → ${said(to, books)}${paper === null ? '' : `, from ${paper}`}`,
          by,
          at,
        })),
      ].sort((one, other) => (one.at < other.at ? 1 : one.at > other.at ? -1 : 0)),
    };
  });
