import type { BooksId } from '@/core/base/ids';
import { type Account, type AccountId, type EditedIndex, editedIndex, keptIndex } from '@/core/chart/account';
import type { Edited } from '@/core/chart/edit';
import { chartOf, chartsOf } from '@/store/chart';
import type { Queryable } from '@/store/database';
import { databaseNumber } from '../kernel/context';

/**
 * Charts as they were read, in an index that follows what actions make of them. A view sees one moment and an action holds the lock on
 * its books, so a chart of the revision that they found is the chart that stands; what an action makes of it counts once it is
 * committed, as the revision after.
 */
interface Held {
  readonly revision: bigint;
  readonly index: EditedIndex;
}

const held = new Map<string, Held>();

/** What a transaction under way has made of the chart that it found. */
interface Own {
  readonly is: EditedIndex;
  readonly writes: readonly Write[];
}
type Write = readonly [id: AccountId, is: Account | undefined];

const within = new WeakMap<Queryable, Own>();

/** So many accounts are held at most, of the books looked at last. */
const MOST_HELD = 150_000;

interface Within {
  readonly tx: Queryable;
  readonly books: { readonly id: BooksId; readonly revision: bigint };
}

const keyOf = (id: number): string => `${String(databaseNumber())}/${String(id)}`;

const hold = (id: number, one: Held): void => {
  const key = keyOf(id);
  held.delete(key);
  held.set(key, one);
  let all = [...held.values()].reduce((sum, { index }) => sum + index.byId.size, 0);
  for (const [oldest, { index }] of held) {
    if (all <= MOST_HELD || oldest === key) break;
    held.delete(oldest);
    all -= index.byId.size;
  }
};

/** What is held of books at the revision that an action found. */
const heldOf = ({ books }: Pick<Within, 'books'>): Held | undefined => {
  const known = held.get(keyOf(books.id));
  return known?.revision === books.revision ? known : undefined;
};

/**
 * The chart as it stands in an action, its own changes included; read only where none of this revision is held. (A view takes
 * `standingChart`: the index follows later changes.)
 */
export const standingIndex = async ({ tx, books }: Within): Promise<EditedIndex> => {
  const known = within.get(tx)?.is ?? heldOf({ books })?.index;
  if (known !== undefined) return known;
  const index = keptIndex(await chartOf(tx, books.id));
  hold(books.id, { revision: books.revision, index });
  return index;
};

/** The charts of many books as they stand, those that are not held from one query. */
export const standingCharts = async (
  tx: Queryable,
  list: readonly Within['books'][],
): Promise<ReadonlyMap<number, readonly Account[]>> => {
  const known = new Map(
    list.flatMap((books) => {
      const index = heldOf({ books })?.index;
      return index === undefined ? [] : [[books.id, [...index.byId.values()]] as const];
    }),
  );
  const missing = list.filter(({ id }) => !known.has(id));
  if (missing.length === 0) return known;
  return new Map([
    ...known,
    ...(await chartsOf(
      tx,
      missing.map(({ id }) => id),
    )),
  ]);
};

export const standingChart = async (context: Within): Promise<readonly Account[]> => [
  ...(await standingIndex(context)).byId.values(),
];

/** Says what an action made of the chart; `ids` are those that new accounts got, by those they had in the edits. */
export const chartChanged = async (
  context: Within,
  { added, changed, removed }: Pick<Edited, 'added' | 'changed' | 'removed'>,
  ids: ReadonlyMap<AccountId, AccountId>,
): Promise<void> => {
  const stands = await standingIndex(context);
  const own = within.get(context.tx);
  // As they are stored.
  const written = [...added, ...changed.map(({ is }) => is)].map((account) => ({
    ...account,
    id: ids.get(account.id) ?? account.id,
    parent: account.parent === null ? null : (ids.get(account.parent) ?? account.parent),
    code: account.code.trim(),
    name: account.name.trim(),
  }));
  const writes = [
    ...removed.map(({ id }): Write => [id, undefined]),
    ...written.map((account): Write => [account.id, account]),
  ];
  // What is held stays as it is until this is committed.
  const is = own?.is ?? editedIndex(stands);
  for (const [id, account] of writes) is.put(id, account);
  within.set(context.tx, { is, writes: [...(own?.writes ?? []), ...writes] });
};

/** Accounts follow a tax code that is called otherwise, as they do in the database. */
export const taxCodeRenamed = async (context: Within, from: string, to: string): Promise<void> => {
  if (from === to) return;
  const changed = [...(await standingIndex(context)).byId.values()].flatMap((was) =>
    was.taxCode === from ? [{ was, is: { ...was, taxCode: to } }] : [],
  );
  await chartChanged(context, { added: [], changed, removed: [] }, new Map());
};

/** The chart that an action found, with what it made of it, is that of the next revision once the action is committed. */
export const chartAfter = ({ tx, books }: Within): (() => void) => {
  const writes = within.get(tx)?.writes ?? [];
  return () => {
    const found = heldOf({ books })?.index;
    held.delete(keyOf(books.id));
    if (found === undefined) return;
    for (const [id, is] of writes) found.put(id, is);
    hold(books.id, { revision: books.revision + 1n, index: found });
  };
};
