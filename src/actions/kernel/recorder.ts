import type { Kept } from '@/core/base/kept';
import type { Change } from '@/core/base/change';
import { type Opened, openBatch, writeChanges } from '@/store/changes';
import type { BooksContext } from './action';

type About = Readonly<Record<string, Kept>>;

/** Gathers what an action changes; it is written to the record, as one batch, when the action is done. */
export interface Recorder {
  /** The batch of this action. */
  readonly batch: string;
  readonly add: (changes: readonly Change[]) => void;
  /** What a sentence about this action needs besides its changes. */
  readonly about: (facts: About) => void;
  /** That this action takes another batch back; from then on the changes of that one do not stand any more. */
  readonly reverts: (batch: string, facts?: About) => Promise<void>;
}

export const recorder = (
  { tx, books, actor, now, newId }: BooksContext,
  action: string,
): Recorder & { readonly write: () => Promise<void> } => {
  const batch = newId();
  const gathered: Change[] = [];
  let about: About = {};
  let opened = false;
  const begun = (reverts: string | null): Opened => ({
    id: batch,
    action,
    about,
    reverts,
    person: actor.person,
    at: now,
  });
  return {
    batch,
    add: (changes) => {
      for (const change of changes) gathered.push(change);
    },
    about: (facts) => {
      about = { ...about, ...facts };
    },
    reverts: async (other, facts = {}) => {
      about = { ...about, ...facts };
      await openBatch(tx, books.id, begun(other));
      opened = true;
    },
    write: () => writeChanges(tx, books.id, begun(null), opened, gathered),
  };
};
