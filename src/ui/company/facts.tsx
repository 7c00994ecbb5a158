'use client';

import { useRouter } from 'next/navigation';
import { type ReactNode, createContext, useContext, useState } from 'react';
import { changeFact } from '@/actions/company';
import type { CompanyFacts, FactName } from '@/core/company/facts';
import { send } from '../parts/send';

interface Change {
  readonly field: FactName;
  readonly was: unknown;
  readonly now: unknown;
}

interface FactsStore {
  readonly books: number;
  /** What stands. */
  readonly facts: CompanyFacts;
  /** What stands, with what is being typed on top: for previews. */
  readonly shown: CompanyFacts;
  readonly type: <F extends FactName>(field: F, value: CompanyFacts[F]) => void;
  /** Saves one fact; the value stays on screen, marked, when that fails. */
  readonly change: <F extends FactName>(field: F, now: CompanyFacts[F]) => Promise<boolean>;
  readonly problem: (field: FactName) => string | undefined;
  readonly status: string;
  readonly last: Change | undefined;
  readonly undo: () => void;
}

const Facts = createContext<FactsStore | undefined>(undefined);

export const useFacts = (): FactsStore => {
  const store = useContext(Facts);
  if (store === undefined) throw new Error('no company facts around this field');
  return store;
};

/** Holds the facts of a company while its sheet is open: each is saved by itself, and every change can be taken back. */
export const FactsProvider = ({
  books,
  facts,
  children,
}: {
  readonly books: number;
  readonly facts: CompanyFacts;
  readonly children: ReactNode;
}) => {
  const router = useRouter();
  const [seen, setSeen] = useState(facts);
  const [standing, setStanding] = useState(facts);
  const [typed, setTyped] = useState<Partial<CompanyFacts>>({});
  const [problems, setProblems] = useState<Partial<Record<FactName, string>>>({});
  const [changes, setChanges] = useState<readonly Change[]>([]);
  const [saving, setSaving] = useState(0);
  // The server said what stands now: by a refresh, or because somebody else changed something.
  if (facts !== seen) {
    setSeen(facts);
    setStanding(facts);
  }

  const put = async (field: FactName, was: unknown, now: unknown): Promise<boolean> => {
    setSaving((count) => count + 1);
    const done = await send(changeFact({ books, field, was, now }));
    setSaving((count) => count - 1);
    setProblems((before) => {
      const { [field]: _, ...others } = before;
      return done.ok ? others : { ...others, [field]: done.problems[0]?.message ?? 'This was not saved.' };
    });
    if (!done.ok) {
      // After a clash the other value is known: the next attempt replaces it knowingly.
      router.refresh();
      return false;
    }
    setStanding((before) => ({ ...before, [field]: done.value.value }));
    setTyped((before) => {
      const { [field]: _, ...others } = before;
      return others;
    });
    router.refresh();
    return true;
  };
  const last = changes.at(-1);
  const store: FactsStore = {
    books,
    facts: standing,
    shown: { ...standing, ...typed },
    type: (field, value) => setTyped((before) => ({ ...before, [field]: value })),
    change: async (field, now) => {
      const was = standing[field];
      if (JSON.stringify(was) === JSON.stringify(now)) {
        setProblems(({ [field]: _, ...others }) => others);
        return true;
      }
      const kept = await put(field, was, now);
      if (kept) setChanges((before) => [...before, { field, was, now }]);
      return kept;
    },
    problem: (field) => problems[field],
    status:
      saving > 0
        ? 'saving…'
        : Object.keys(problems).length > 0
          ? 'not all saved'
          : changes.length > 0
            ? 'all saved'
            : '',
    last,
    undo: () => {
      if (last === undefined) return;
      void put(last.field, standing[last.field], last.was).then((kept) => {
        if (kept) setChanges((before) => before.slice(0, -1));
      });
    },
  };
  return <Facts.Provider value={store}>{children}</Facts.Provider>;
};

/** Says quietly whether everything is saved, and takes the last change back. */
export const FactsStatus = () => {
  const { status, last, undo } = useFacts();
  return (
    <>
      <span role="status" className="note">
        {status}
      </span>
      {last !== undefined && (
        <button type="button" className="btn btn-xs" onClick={undo}>
          Undo last change
        </button>
      )}
    </>
  );
};
