'use client';

import { type ReactNode, createContext, useContext, useMemo, useSyncExternalStore } from 'react';
import type { Totals } from '@/core/ledger/level';

interface LevelStore {
  readonly get: () => Totals;
  readonly set: (totals: Totals) => void;
  readonly subscribe: (listener: () => void) => () => void;
}

const makeStore = (initial: Totals): LevelStore => {
  let totals = initial;
  const listeners = new Set<() => void>();
  return {
    get: () => totals,
    set: (next) => {
      totals = next;
      for (const listener of listeners) listener();
    },
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
};

const Context = createContext<LevelStore | undefined>(undefined);

/** Lets a sheet move the Level while somebody types, without rendering the page again. */
export const LevelProvider = ({ totals, children }: { readonly totals: Totals; readonly children: ReactNode }) => {
  const store = useMemo(() => makeStore(totals), [totals]);
  return <Context value={store}>{children}</Context>;
};

const useStore = (): LevelStore => {
  const store = useContext(Context);
  if (store === undefined) throw new Error('the Level is outside its provider');
  return store;
};

export const useTotals = (): Totals => {
  const store = useStore();
  return useSyncExternalStore(store.subscribe, store.get, store.get);
};

export const useSetTotals = (): ((totals: Totals) => void) => useStore().set;
