'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { toast } from 'sonner';
import { type Problem, type Result, type Revised, plural } from '@/core/base/result';
import { fromWire, toWire } from '@/core/money/wire';
import type { CellEdit } from './data-sheet';
import {
  type Apply,
  type SheetRow,
  type Stored,
  adopted,
  allStored,
  edited,
  keyOf,
  refused,
  saved,
  unsaved,
} from './saved-rows';
import { isBehind, noted } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';

type Written = Result<{ readonly rows: readonly ({ readonly id: number; readonly revision: number } | null)[] }>;

export interface SentRow<Fields> {
  readonly id: number | null;
  readonly revision: number;
  readonly fields: Fields | null;
  /** As the server had it when it was last seen. */
  readonly stored: Fields | null;
}

interface Wanted<Fields> {
  /** The books that the stored rows are of, as they were when they were read. */
  readonly of: Revised;
  readonly stored: readonly Stored<Fields>[];
  readonly blank: Fields;
  readonly apply: Apply<Fields>;
  /** Whether a row says enough to be kept. */
  readonly complete: (fields: Fields) => boolean;
  /** Stores rows; one without fields is deleted. */
  readonly store: (rows: readonly SentRow<Fields>[]) => Promise<Written>;
  /** What a row is called: "item", "contact". */
  readonly one: string;
}

/** Rows up to which the page around a sheet is fetched anew after every save. */
const MOST_REFRESHED = 5000;

interface Held<Fields> {
  rows: readonly SheetRow<Fields>[];
  next: number;
  busy: boolean;
}

export interface SavedRows<Fields> {
  readonly rows: readonly SheetRow<Fields>[];
  readonly next: string;
  readonly edit: (edits: readonly CellEdit[]) => void;
  /** Changes the row of a key, as it stands by then. */
  readonly change: (key: string, change: (fields: Fields) => Fields) => void;
  /** Changes every row; those that stay as they are are not sent. */
  readonly changeAll: (change: (fields: Fields) => Fields) => void;
  readonly remove: (rows: readonly SheetRow<Fields>[]) => void;
  /** "all saved", "saving…", "1 item not complete yet". */
  readonly said: string;
  readonly problems: readonly Problem[];
}

/** Sends rows to an address of their own: a form's action would make the page anew for each batch. */
export const posted = async (address: string, body: object): Promise<Written> => {
  try {
    const response = await fetch(address, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: toWire(body),
    });
    return noted(fromWire(await response.text()) as Written);
  } catch {
    return {
      ok: false,
      problems: [
        { code: 'offline', message: 'Bathron did not answer, so nothing was saved. What was typed is still here.' },
      ],
    };
  }
};

/**
 * The rows of a sheet with the queue of their saves: one batch after another, each row with the revision it was seen at. What was typed
 * stays until it is stored; a row that says too little waits.
 */
export const useSavedRows = <Fields>(wanted: Wanted<Fields>): SavedRows<Fields> => {
  const refresh = useRefresh();
  const { stored, complete } = wanted;
  const [view, setView] = useState<Held<Fields>>(() => ({ rows: adopted(stored), next: 1, busy: false }));
  // What is on its way is known at once, not only when it is drawn.
  const held = useRef(view);
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const now = useRef(wanted);
  useEffect(() => {
    now.current = wanted;
  });
  const show = useCallback((): void => setView({ ...held.current }), []);

  const flush = useCallback(async (): Promise<void> => {
    if (held.current.busy) return;
    for (let turns = 0; turns < 1000; turns += 1) {
      const rows = unsaved(held.current.rows, now.current.complete);
      if (rows.length === 0) break;
      held.current.busy = true;
      show();
      const done = await now.current.store(
        rows.map(({ id, revision, fields, stored: was }) => ({ id, revision, fields, stored: was })),
      );
      held.current.busy = false;
      held.current.rows = done.ok
        ? saved(held.current.rows, rows, done.value.rows)
        : refused(held.current.rows, rows, done.problems);
      setProblems(done.ok ? [] : done.problems.filter((one) => typeof one.path?.[0] !== 'number'));
      show();
      if (!done.ok) return;
    }
    // What stands around the sheet is of the server; of a very long one it waits for the next page.
    if (held.current.rows.length <= MOST_REFRESHED) refresh();
  }, [refresh, show]);

  // What the server has now takes the place of what stands here, unless something here is not stored yet, or was not when it was read.
  useEffect(() => {
    const { rows, busy } = held.current;
    if (busy || !allStored(rows) || isBehind(now.current.of)) return;
    held.current.rows = adopted(stored, rows);
    show();
  }, [stored, show]);

  const waits = view.rows.filter((row) => row.fields !== row.stored);
  useEffect(() => {
    if (waits.length === 0) return;
    const ask = (event: BeforeUnloadEvent): void => event.preventDefault();
    addEventListener('beforeunload', ask);
    return () => removeEventListener('beforeunload', ask);
  }, [waits.length]);

  return {
    rows: view.rows,
    next: keyOf(view.next),
    edit: (edits) => {
      const done = edited(held.current.rows, edits, wanted.blank, wanted.apply, held.current.next);
      held.current = { ...held.current, ...done };
      show();
      void flush();
    },
    change: (key, change) => {
      held.current.rows = held.current.rows.map((row) =>
        row.key === key ? { ...row, fields: change(row.fields), refused: [] } : row,
      );
      show();
      void flush();
    },
    changeAll: (change) => {
      held.current.rows = held.current.rows.map((row) => ({ ...row, fields: change(row.fields), refused: [] }));
      show();
      void flush();
    },
    remove: (rows) => {
      const gone = new Set(rows.map(({ key }) => key));
      const there = rows.filter((row) => row.id !== null);
      const leave = (): void => {
        held.current.rows = held.current.rows.filter(({ key }) => !gone.has(key));
        show();
      };
      if (there.length === 0) {
        leave();
        return;
      }
      void wanted
        .store(there.map(({ id, revision, stored: was }) => ({ id, revision, fields: null, stored: was })))
        .then((done) => {
          setProblems(done.ok ? [] : done.problems);
          if (!done.ok) return;
          leave();
          toast(
            `${plural(there.length, wanted.one)} deleted; Ctrl+Z brings ${there.length === 1 ? 'it' : 'them'} back`,
          );
          refresh();
        });
    },
    said: view.busy
      ? 'saving…'
      : waits.some((row) => row.refused.length > 0)
        ? `${plural(waits.filter((row) => row.refused.length > 0).length, wanted.one)} not saved`
        : waits.some((row) => !complete(row.fields))
          ? `${plural(waits.length, wanted.one)} not complete yet`
          : view.rows.some((row) => Object.keys(row.unread).length > 0)
            ? 'a cell does not read'
            : 'all saved',
    problems,
  };
};
