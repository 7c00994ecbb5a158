import type { Clash, Saved } from '@/actions/openings/figures';
import type { OpeningRowView } from '@/actions/openings/views';
import type { AccountId } from '@/core/chart/account';
import { type Minor, NIL } from '@/core/money/minor';
import type { Part } from '@/core/openings/foreign';
import { type Value, partsUnder, sameParts } from '@/core/openings/in-currency';
import type { SheetColumn } from '@/core/openings/sheet';
import { type Totals, totalsOf, withChange } from '@/core/ledger/level';
import { type Result, isWithin } from '@/core/base/result';

/** One account's figure on the sheet and how it stands with the server. */
export interface Figure extends Value {
  readonly revision: number;
  readonly source: OpeningRowView['source'];
  readonly state: 'saved' | 'saving' | 'failed' | 'clash' | 'unreadable';
  /** For `failed`, `clash` and `unreadable`: the sentence. */
  readonly says?: string;
  /** For `unreadable`: what was typed, and where. */
  readonly typed?: { readonly text: string; readonly column: SheetColumn };
  readonly theirs?: Clash;
}

interface Edit {
  readonly account: AccountId;
  readonly from: Value;
  readonly to: Value;
}

/** One edit as it can be undone: figures that changed, and texts that could not be read. */
interface Done {
  readonly edit: readonly Edit[];
  readonly unread: readonly Rejected[];
}

/** A text that does not read as an amount, in its cell, with the reason. */
export interface Rejected {
  readonly account: AccountId;
  readonly typed: NonNullable<Figure['typed']>;
  readonly says: string;
}

/** A figure to be kept. Where its parts in currencies are not said, they follow the amount. */
export interface Change {
  readonly account: AccountId;
  readonly amount: Minor | null;
  readonly parts?: readonly Part[];
  /** By what it was calculated, where nobody typed it. */
  readonly why?: string;
}

/** A row of the sheet as the server has it; without parts where amounts in currencies are not looked at. */
export type Row = Pick<OpeningRowView, 'id' | 'amount' | 'revision' | 'source'> &
  Partial<Pick<OpeningRowView, 'parts' | 'currency'>>;

export interface Entry extends Change {
  readonly revision: number;
  readonly restores: boolean;
}

const NO_PARTS: readonly Part[] = [];

const fromRow = ({ amount, parts, revision, source }: Row): Figure => ({
  amount,
  parts: parts ?? NO_PARTS,
  revision,
  source,
  state: 'saved',
});

export type Save = (entries: readonly Entry[]) => Promise<Result<Saved>>;

export interface Standing {
  readonly waiting: number;
  readonly wrong: number;
  readonly edits: number;
}

/**
 * The figures of the sheet outside of React: a changed figure wakes its own row only. Edits are kept at once and saved one
 * batch after another; whatever the server says, what was typed stays on the sheet until a person decides otherwise.
 */
export const makeFigures = (rows: readonly Row[], save: Save) => {
  const figures = new Map<AccountId, Figure>();
  const listeners = new Map<AccountId, Set<() => void>>();
  const watchers = new Set<() => void>();
  const queued = new Map<AccountId, { readonly restores: boolean; readonly why?: string }>();
  let totals: Totals = totalsOf([]);
  let shownTotals = totals;
  let drafted: { readonly account: AccountId; readonly amount: Minor | null } | undefined;
  let done: readonly Done[] = [];
  let undone: readonly Done[] = [];
  let running = false;
  let edits = 0;
  let version = 0;
  let standing: Standing = { waiting: 0, wrong: 0, edits: 0 };

  const empty: Figure = { amount: null, parts: NO_PARTS, revision: 0, source: null, state: 'saved' };
  /** Whether amounts in currencies are looked at here, and the foreign currency of each account kept in one. */
  const parted = rows.some(({ parts }) => parts !== undefined);
  const own = new Map(rows.map(({ id, currency }) => [id, currency ?? null]));
  const get = (account: AccountId): Figure => figures.get(account) ?? empty;

  const addUp = (): void => {
    shownTotals =
      drafted === undefined ? totals : withChange(totals, get(drafted.account).amount ?? NIL, drafted.amount ?? NIL);
  };
  const announce = (): void => {
    addUp();
    let waiting = 0;
    let wrong = 0;
    for (const figure of figures.values()) {
      if (figure.state === 'saving') waiting += 1;
      else if (figure.state !== 'saved') wrong += 1;
    }
    standing = { waiting, wrong, edits };
    for (const listener of watchers) listener();
  };
  const set = (account: AccountId, figure: Figure): void => {
    totals = withChange(totals, get(account).amount ?? NIL, figure.amount ?? NIL);
    figures.set(account, figure);
    version += 1;
    for (const listener of listeners.get(account) ?? []) listener();
  };
  const plain = ({ amount, parts, revision, source }: Figure) => ({ amount, parts, revision, source });

  const run = async (): Promise<void> => {
    if (running) return;
    running = true;
    while (queued.size > 0) {
      const sent = [...queued].map(([account, how]): Entry => ({
        account,
        ...how,
        amount: get(account).amount,
        ...(parted ? { parts: get(account).parts } : {}),
        revision: get(account).revision,
      }));
      queued.clear();
      const answer: Result<Saved> = await save(sent).catch(() => ({
        ok: false,
        problems: [{ code: 'offline', message: 'Bathron did not answer. The figure is kept here; try again.' }],
      }));
      if (answer.ok && answer.value.saved) {
        const revisions = new Map(answer.value.revisions.map((one) => [one.account, one.revision]));
        for (const entry of sent) {
          const now = get(entry.account);
          const revision = revisions.get(entry.account) ?? now.revision;
          // Typed again while the save was on its way: the newer value waits for its own turn with the new revision.
          set(
            entry.account,
            now.amount === entry.amount && (!parted || now.parts === entry.parts)
              ? { ...plain(now), revision, state: 'saved' }
              : { ...now, revision },
          );
        }
      } else if (answer.ok) {
        const clashes = new Map(answer.value.saved ? [] : answer.value.clashes.map((clash) => [clash.account, clash]));
        for (const entry of sent) {
          const theirs = clashes.get(entry.account);
          // Nothing of the batch was stored; what does not clash goes again without the rest.
          if (theirs === undefined)
            queued.set(entry.account, {
              restores: entry.restores,
              ...(entry.why === undefined ? {} : { why: entry.why }),
            });
          else
            set(entry.account, {
              ...plain(get(entry.account)),
              state: 'clash',
              theirs,
              says: `${theirs.by} changed this figure meanwhile.`,
            });
        }
      } else {
        for (const entry of sent) {
          const own = answer.problems.find((one) => isWithin(one, entry.account)) ?? answer.problems[0];
          set(entry.account, { ...plain(get(entry.account)), state: 'failed', says: own?.message ?? 'Not saved.' });
        }
      }
      announce();
    }
    running = false;
  };

  const write = (
    changes: readonly Edit[],
    how: (account: AccountId) => { readonly restores: boolean; readonly why?: string },
  ): void => {
    drafted = undefined;
    for (const { account, from, to } of changes) {
      const { why } = how(account);
      const now = get(account);
      // A base amount that stays where it was still comes from where it came from.
      const source = from.amount === to.amount ? now.source : why === undefined ? 'typed' : 'calculated';
      set(account, { ...plain(now), ...to, source: to.amount === null ? null : source, state: 'saving' });
      queued.set(account, how(account));
    }
    edits += 1;
    announce();
    void run();
  };

  const mark = (unread: readonly Rejected[]): void => {
    for (const { account, typed, says } of unread)
      set(account, { ...plain(get(account)), state: 'unreadable', typed, says });
  };
  const unmark = (account: AccountId): void => {
    if (get(account).state === 'unreadable') set(account, { ...plain(get(account)), state: 'saved' });
  };

  for (const row of rows) {
    if (row.amount !== null || row.revision !== 0) figures.set(row.id, fromRow(row));
  }
  totals = totalsOf([...figures.values()].map((figure) => figure.amount ?? NIL));
  addUp();

  return {
    get,
    standing: (): Standing => standing,
    /** Another number after every change of a kept figure, whoever made it. */
    version: (): number => version,
    /** Column totals, with what is being typed in place of its figure. */
    totals: (): Totals => shownTotals,
    subscribe: (account: AccountId, listener: () => void): (() => void) => {
      const own = listeners.get(account) ?? new Set();
      listeners.set(account, own.add(listener));
      return () => own.delete(listener);
    },
    watch: (listener: () => void): (() => void) => {
      watchers.add(listener);
      return () => watchers.delete(listener);
    },
    /** Shows in the totals what is being typed, without keeping it; `undefined` ends it. */
    draft: (account: AccountId, amount: Minor | null | undefined): void => {
      drafted = amount === undefined ? undefined : { account, amount };
      addUp();
      for (const listener of watchers) listener();
    },
    /**
     * One edit, of one or many figures, undone as one. Figures that stay the same are left out; texts that do not read as amounts stay
     * in their cells, over the figures that stand.
     */
    put: (changes: readonly Change[], unread: readonly Rejected[] = []): void => {
      const edit = changes.flatMap(({ account, amount, parts }): Edit[] => {
        const { amount: stands, parts: now, state } = get(account);
        const to: Value = { amount, parts: parts ?? partsUnder(now, amount, own.get(account) ?? null) };
        return stands === amount && sameParts(now, to.parts) && state !== 'unreadable' && state !== 'failed'
          ? []
          : [{ account, from: { amount: stands, parts: now }, to }];
      });
      drafted = undefined;
      mark(unread);
      if (edit.length === 0 && unread.length === 0) {
        announce();
        return;
      }
      done = [...done, { edit, unread }];
      undone = [];
      if (edit.length === 0) {
        announce();
        return;
      }
      const why = new Map(changes.flatMap((one) => (one.why === undefined ? [] : [[one.account, one.why] as const])));
      write(edit, (account) => ({ restores: false, ...(why.has(account) ? { why: why.get(account) ?? '' } : {}) }));
    },
    /** Drops an unreadable text. */
    forget: (account: AccountId): void => {
      unmark(account);
      announce();
    },
    retry: (): void => {
      const failed = [...figures].filter(([, figure]) => figure.state === 'failed');
      for (const [account, figure] of failed) {
        set(account, { ...plain(figure), state: 'saving' });
        queued.set(account, { restores: false });
      }
      announce();
      void run();
    },
    keepTheirs: (account: AccountId): void => {
      const { theirs } = get(account);
      if (theirs === undefined) return;
      set(account, {
        amount: theirs.amount,
        parts: parted ? theirs.parts : NO_PARTS,
        revision: theirs.revision,
        source: 'typed',
        state: 'saved',
      });
      announce();
    },
    saveMine: (account: AccountId): void => {
      const now = get(account);
      if (now.theirs === undefined) return;
      set(account, { ...plain(now), revision: now.theirs.revision, state: 'saving' });
      queued.set(account, { restores: false });
      announce();
      void run();
    },
    /** Takes the last edit back; the account that it is shown at, or undefined where nothing is left to undo. */
    undo: (): AccountId | undefined => {
      const last = done.at(-1);
      if (last === undefined) return undefined;
      done = done.slice(0, -1);
      undone = [...undone, last];
      for (const { account } of last.unread) unmark(account);
      write(
        last.edit.map(({ account, from, to }) => ({ account, from: to, to: from })),
        () => ({ restores: true }),
      );
      return shownAt(last);
    },
    redo: (): AccountId | undefined => {
      const next = undone.at(-1);
      if (next === undefined) return undefined;
      undone = undone.slice(0, -1);
      done = [...done, next];
      mark(next.unread);
      write(next.edit, () => ({ restores: true }));
      return shownAt(next);
    },
    /** The server's newer state, for figures that nobody is changing here. */
    accept: (fresh: readonly Row[]): void => {
      for (const row of fresh) {
        const now = get(row.id);
        if (
          now.state === 'saved' &&
          !queued.has(row.id) &&
          row.revision >= now.revision &&
          row.revision !== now.revision
        )
          set(row.id, fromRow(row));
      }
      announce();
    },
  };
};

const shownAt = ({ edit, unread }: Done): AccountId | undefined => (edit[0] ?? unread[0])?.account;

export type Figures = ReturnType<typeof makeFigures>;
