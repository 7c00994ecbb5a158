import { useRef, useState } from 'react';
import { saveComparatives } from '@/actions/openings/comparatives';
import type { comparativesView } from '@/actions/openings/comparatives-view';
import type { Problem } from '@/core/base/result';
import type { AccountId } from '@/core/chart/account';
import type { Minor } from '@/core/money/minor';
import { send } from '../parts/send';

export type ComparativesView = NonNullable<Awaited<ReturnType<typeof comparativesView>>>;
type Rows = ComparativesView['rows'];
/** Amounts by account and by the column of the year or month they are of. */
export type Entered = ReadonlyMap<AccountId, ReadonlyMap<number, Minor>>;

export interface Wish {
  readonly account: AccountId;
  readonly column: number;
  readonly to: Minor | null;
}
type Entry = Wish & { readonly from: Minor | null };
interface Past {
  readonly done: readonly (readonly Entry[])[];
  readonly undone: readonly (readonly Entry[])[];
}
const NOTHING: Past = { done: [], undone: [] };

const enteredIn = (rows: Rows): Entered =>
  new Map(
    rows.map((row) => [
      row.id,
      new Map(Object.entries(row.entered).map(([column, amount]) => [Number(column), amount])),
    ]),
  );

const written = (entered: Entered, entries: readonly Wish[]): Entered => {
  const next = new Map(entered);
  for (const { account, column, to } of entries) {
    const own = new Map(next.get(account));
    if (to === null) own.delete(column);
    else own.set(column, to);
    next.set(account, own);
  }
  return next;
};

const turned = (entries: readonly Entry[]): readonly Entry[] =>
  entries.map(({ account, column, from, to }) => ({ account, column, from: to, to: from }));

/** The comparatives of a sheet: what is entered, on its way to the server, not saved, and what can be undone. */
export const useComparatives = (books: number, rows: Rows) => {
  const [entered, setEntered] = useState<Entered>(() => enteredIn(rows));
  const [past, setPast] = useState<Past>(NOTHING);
  const [unsaved, setUnsaved] = useState<readonly Entry[]>([]);
  const [saving, setSaving] = useState(0);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  // One after the other: what is put again goes against what stands then.
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  // Taken back on the server: the sheet begins anew with what stands there.
  const [seen, setSeen] = useState(rows);
  if (seen !== rows) {
    setSeen(rows);
    if (unsaved.length === 0 && saving === 0) setEntered(enteredIn(rows));
  }

  const save = (entries: readonly Entry[]): void => {
    setSaving((was) => was + 1);
    queue.current = queue.current.then(async () => {
      const done = await send(saveComparatives({ books, entries: [...entries] }));
      setSaving((was) => was - 1);
      setProblems(done.ok ? [] : done.problems);
      // What was typed stays on the sheet until it is saved.
      setUnsaved((was) => (done.ok ? was.filter((one) => !entries.includes(one)) : [...new Set([...was, ...entries])]));
    });
  };
  const write = (entries: readonly Entry[]): void => {
    setEntered((was) => written(was, entries));
    save(entries);
  };
  return {
    entered,
    problems,
    say: setProblems,
    saving: saving > 0,
    unsaved: unsaved.length,
    edits: past.done.length + past.undone.length,
    /** Another number with every change and every answer. */
    version: saving + past.done.length + past.undone.length,
    put: (wishes: readonly Wish[]): void => {
      const entries = wishes.flatMap(({ account, column, to }): Entry[] => {
        const from = entered.get(account)?.get(column) ?? null;
        return from === to ? [] : [{ account, column, from, to }];
      });
      if (entries.length === 0) return;
      setPast(({ done }) => ({ done: [...done, entries], undone: [] }));
      write(entries);
    },
    /** False where nothing is left to undo. */
    undo: (): boolean => {
      const edit = past.done.at(-1);
      if (edit === undefined) return false;
      setPast(({ done, undone }) => ({ done: done.slice(0, -1), undone: [...undone, edit] }));
      write(turned(edit));
      return true;
    },
    redo: (): void => {
      const edit = past.undone.at(-1);
      if (edit === undefined) return;
      setPast(({ done, undone }) => ({ done: [...done, edit], undone: undone.slice(0, -1) }));
      write(edit);
    },
    retry: (): void => save(unsaved),
    forgetPast: (): void => setPast(NOTHING),
  };
};
