import type { Kept } from '@/core/base/kept';
import type { Batch, Change } from '@/core/base/change';
import { openBatch, writeChanges } from '@/store/changes';
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
  const open = async (reverts: string | null): Promise<void> => {
    const made: Batch = { id: batch, action, about, reverts };
    await openBatch(tx, books.id, made, actor.person, now);
    opened = true;
  };
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
      await open(other);
    },
    write: () => writeChanges(tx, books.id, batch, gathered, opened ? undefined : () => open(null)),
  };
};
