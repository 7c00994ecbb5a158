import type { Books } from '@/store/books';
import type { Queryable } from '@/store/database';
import { databaseNumber } from '../kernel/context';
import { type BooksState, statesOf } from './state';

/**
 * The states of books as views have computed them, by the revision they are of. A state of an older revision is no use, whichever
 * process changed the books; one of the present revision is what would be computed.
 */
const held = new Map<string, { readonly revision: bigint; readonly state: BooksState }>();

/** So many accounts and figures are held at most, of the books looked at last. */
const MOST_HELD = 300_000;

const weightOf = ({ accounts, amounts }: BooksState): number => accounts.length + amounts.size + 50;

let weight = 0;

const drop = (key: string): void => {
  const known = held.get(key);
  if (known === undefined) return;
  weight -= weightOf(known.state);
  held.delete(key);
};

const hold = (key: string, revision: bigint, state: BooksState): void => {
  drop(key);
  held.set(key, { revision, state });
  weight += weightOf(state);
  for (const oldest of held.keys()) {
    if (weight <= MOST_HELD || oldest === key) break;
    drop(oldest);
  }
};

const keyOf = (books: Books): string => `${String(databaseNumber())}/${String(books.id)}`;

/** The state of books for a view, which sees one moment: held where it is of the revision at hand, else computed. */
export const heldState = (books: Books): BooksState | undefined => {
  const known = held.get(keyOf(books));
  // A person's name is not of the books and may have changed by itself.
  return known?.revision === books.revision ? { ...known.state, books } : undefined;
};

export const viewStates = async (tx: Queryable, list: readonly Books[]): Promise<readonly BooksState[]> => {
  const known = new Map(
    list.flatMap((books) => {
      const state = heldState(books);
      return state === undefined ? [] : [[books.id, state] as const];
    }),
  );
  const missing = list.filter(({ id }) => !known.has(id));
  if (missing.length > 0) for (const state of await statesOf(tx, missing)) known.set(state.books.id, state);
  return list.map((books) => {
    const state = known.get(books.id);
    if (state === undefined) throw new Error('a state for each of the books');
    hold(keyOf(books), books.revision, state);
    return state;
  });
};

export const viewState = async (tx: Queryable, books: Books): Promise<BooksState> => {
  const [state] = await viewStates(tx, [books]);
  if (state === undefined) throw new Error('a state for the books');
  return state;
};
