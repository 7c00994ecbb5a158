import { type Account, type AccountId, type ChartIndex, type EditedIndex, keptIndex } from '@/core/chart/account';
import type { Edited } from '@/core/chart/edit';
import { chartOf } from '@/store/chart';
import type { Queryable } from '@/store/database';
import { databaseNumber } from '../kernel/context';

/**
 * Charts as actions have read and changed them, with an index that follows. An action holds the lock on its books, so a chart of the
 * revision that it found is the chart that stands; what it makes of it counts once it is committed, as the revision after.
 */
const held = new Map<
  string,
  { readonly revision: bigint; readonly chart: readonly Account[]; index: EditedIndex | undefined }
>();

type Write = readonly [id: AccountId, is: Account | undefined];

/** The chart as transactions under way have read it, or what they have made of it, and how. */
const within = new WeakMap<Queryable, { readonly chart: readonly Account[]; readonly writes: readonly Write[] }>();

/** So many accounts are held at most, of the books changed last. */
const MOST_HELD = 200_000;

interface Within {
  readonly tx: Queryable;
  readonly books: { readonly id: number; readonly revision: bigint };
}

const keyOf = (id: number): string => `${String(databaseNumber())}/${String(id)}`;

const hold = (id: number, revision: bigint, chart: readonly Account[], index: EditedIndex | undefined): void => {
  const key = keyOf(id);
  held.delete(key);
  held.set(key, { revision, chart, index });
  let all = [...held.values()].reduce((sum, one) => sum + one.chart.length, 0);
  for (const [oldest, one] of held) {
    if (all <= MOST_HELD || oldest === key) break;
    held.delete(oldest);
    all -= one.chart.length;
  }
};

/** What is held of books at the revision that an action found. */
const heldOf = ({ books }: Pick<Within, 'books'>) => {
  const known = held.get(keyOf(books.id));
  return known?.revision === books.revision ? known : undefined;
};

/** The chart as it stands in an action, its own changes included; read only where no chart of this revision is held. */
export const standingChart = async ({ tx, books }: Within): Promise<readonly Account[]> => {
  const own = within.get(tx)?.chart ?? heldOf({ books })?.chart;
  if (own !== undefined) return own;
  const chart = await chartOf(tx, books.id);
  within.set(tx, { chart, writes: [] });
  return chart;
};

/** The index of the chart as it stands, where it is held; an action that has changed the chart already has none. */
export const standingIndex = ({ tx, books }: Within): ChartIndex | undefined => {
  const known = heldOf({ books });
  if (known === undefined || within.has(tx)) return undefined;
  known.index ??= keptIndex(known.chart);
  return known.index;
};

/** Says what an action made of the chart; `ids` are those that new accounts got, by those they had in the edits. */
export const chartChanged = (
  { tx }: Within,
  { chart, added, changed, removed }: Edited,
  ids: ReadonlyMap<AccountId, AccountId>,
): void => {
  // As they are stored; the others are as they were.
  const written = new Map(
    [...added, ...changed.map(({ is }) => is)].map((account) => [
      account,
      {
        ...account,
        id: ids.get(account.id) ?? account.id,
        parent: account.parent === null ? null : (ids.get(account.parent) ?? account.parent),
        code: account.code.trim(),
        name: account.name.trim(),
      },
    ]),
  );
  within.set(tx, {
    chart: chart.map((account) => written.get(account) ?? account),
    writes: [
      ...(within.get(tx)?.writes ?? []),
      ...removed.map(({ id }): Write => [id, undefined]),
      ...[...written.values()].map((account): Write => [account.id, account]),
    ],
  });
};

/** What an action made of the chart, or left of it, is that of the next revision once the action is committed. */
export const chartAfter = ({ tx, books }: Within): (() => void) => {
  const own = within.get(tx);
  return () => {
    const known = heldOf({ books });
    const chart = own?.chart ?? known?.chart;
    if (chart === undefined) {
      held.delete(keyOf(books.id));
      return;
    }
    for (const [id, is] of own?.writes ?? []) known?.index?.put(id, is);
    hold(books.id, books.revision + 1n, chart, known?.index);
  };
};
