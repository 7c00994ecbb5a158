'use client';

import { type ReactNode, createContext, useContext, useEffect, useRef, useState, useSyncExternalStore } from 'react';
import { changeFact } from '@/actions/company/commands';
import type { Revised } from '@/core/base/result';
import type { CompanyFacts, FactName } from '@/core/company/facts';
import { isBehind, send } from '../parts/send';
import { useUndoKeys } from '../parts/undo-keys';
import { useRefresh } from '../parts/use-refresh';

interface Change {
  readonly field: FactName;
  readonly was: unknown;
  readonly now: unknown;
}

interface FactsStore {
  readonly books: number;
  /** What stands, or is about to. */
  readonly facts: CompanyFacts;
  readonly type: <F extends FactName>(field: F, value: CompanyFacts[F]) => void;
  /** Saves one fact; the value stays on screen, marked, when that fails. */
  readonly change: <F extends FactName>(field: F, now: CompanyFacts[F]) => Promise<boolean>;
  /** Whether something is typed here that is not saved. */
  readonly pending: (field: FactName) => boolean;
  readonly problem: (field: FactName) => string | undefined;
  readonly status: string;
  readonly last: Change | undefined;
  readonly undo: () => void;
}

const Facts = createContext<FactsStore | undefined>(undefined);

/** What is being typed, apart from React's tree: a keystroke renders the preview and nothing else. */
const makeDrafts = () => {
  let typed: Partial<CompanyFacts> = {};
  const listeners = new Set<() => void>();
  return {
    get: (): Partial<CompanyFacts> => typed,
    set: (field: FactName, value: unknown): void => {
      const { [field]: _, ...others } = typed;
      typed = value === undefined ? others : { ...others, [field]: value };
      for (const tell of listeners) tell();
    },
    subscribe: (listener: () => void): (() => void) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
};
const Drafts = createContext<ReturnType<typeof makeDrafts> | undefined>(undefined);

/** What stands, with what is being typed on top: for previews. */
export const useShownFacts = (): CompanyFacts => {
  const { facts } = useFacts();
  const drafts = useContext(Drafts);
  if (drafts === undefined) throw new Error('no company facts around this preview');
  const typed = useSyncExternalStore(drafts.subscribe, drafts.get, drafts.get);
  return { ...facts, ...typed };
};

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
  /** As they were when the facts were read. */
  readonly books: Revised;
  readonly facts: CompanyFacts;
  readonly children: ReactNode;
}) => {
  const refresh = useRefresh();
  const [seen, setSeen] = useState(facts);
  const [standing, setStanding] = useState(facts);
  // Shown at once, and taken back when it cannot be saved.
  const [wished, setWished] = useState<Partial<CompanyFacts>>({});
  const [drafts] = useState(makeDrafts);
  const [problems, setProblems] = useState<Partial<Record<FactName, string>>>({});
  const [changes, setChanges] = useState<readonly Change[]>([]);
  const [undone, setUndone] = useState<readonly Change[]>([]);
  const [saving, setSaving] = useState(0);
  // The server said what stands now: by a refresh, or because somebody else changed something.
  if (facts !== seen && !isBehind(books)) {
    setSeen(facts);
    setStanding(facts);
  }

  // Changes are saved one after the other, each against what the one before it left.
  const queue = useRef(Promise.resolve());
  const left = useRef(facts);
  useEffect(() => {
    left.current = seen;
  }, [seen]);
  const put = async (field: FactName, now: unknown): Promise<boolean> => {
    setSaving((count) => count + 1);
    setWished((before) => ({ ...before, [field]: now }));
    const saved = queue.current.then(() => send(changeFact({ books: books.id, field, was: left.current[field], now })));
    queue.current = saved.then(() => undefined);
    const done = await saved;
    if (done.ok) left.current = { ...left.current, [field]: done.value.value };
    setSaving((count) => count - 1);
    // What was wished for since is still on its way.
    setWished((before) => {
      const { [field]: wish, ...others } = before;
      return wish === now ? others : before;
    });
    setProblems((before) => {
      const { [field]: _, ...others } = before;
      return done.ok ? others : { ...others, [field]: done.problems[0]?.message ?? 'This was not saved.' };
    });
    if (!done.ok) {
      // After a clash the other value is known: the next attempt replaces it knowingly.
      refresh();
      return false;
    }
    setStanding((before) => ({ ...before, [field]: done.value.value }));
    drafts.set(field, undefined);
    refresh();
    return true;
  };
  const last = changes.at(-1);
  const undo = (): void => {
    if (last === undefined) return;
    void put(last.field, last.was).then((kept) => {
      if (!kept) return;
      setChanges((before) => before.slice(0, -1));
      setUndone((before) => [...before, last]);
    });
  };
  const redo = (): void => {
    const next = undone.at(-1);
    if (next === undefined) return;
    void put(next.field, next.now).then((kept) => {
      if (!kept) return;
      setUndone((before) => before.slice(0, -1));
      setChanges((before) => [...before, next]);
    });
  };
  // While something is typed, the keys undo the typing, as everywhere.
  useUndoKeys({ undo, redo, typing: () => Object.keys(drafts.get()).length > 0 });
  const store: FactsStore = {
    books: books.id,
    facts: { ...standing, ...wished },
    type: (field, value) => drafts.set(field, value),
    change: async (field, now) => {
      const was = wished[field] ?? standing[field];
      if (JSON.stringify(was) === JSON.stringify(now)) {
        setProblems(({ [field]: _, ...others }) => others);
        drafts.set(field, undefined);
        return true;
      }
      const kept = await put(field, now);
      if (kept) {
        setChanges((before) => [...before, { field, was, now }]);
        setUndone([]);
      }
      return kept;
    },
    pending: (field) => field in drafts.get(),
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
    undo,
  };
  return (
    <Drafts.Provider value={drafts}>
      <Facts.Provider value={store}>{children}</Facts.Provider>
    </Drafts.Provider>
  );
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
