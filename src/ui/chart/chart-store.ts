import { type Currency } from '@/core/money/currency';
import type { editChart } from '@/actions/chart/commands';
import { type Account, type AccountId, type CodeRule, accountId, chartIndex } from '@/core/chart/account';
import { type ChartEdit, type Inverse, applyEdits, inverse, readdressed } from '@/core/chart/edit';
import type { Problem, Result } from '@/core/base/result';

type Save = (edits: readonly ChartEdit[]) => ReturnType<typeof editChart>;

export interface ChartState {
  readonly accounts: readonly Account[];
  readonly problems: readonly Problem[];
  readonly saving: boolean;
  /** Grows with every batch that was stored. */
  readonly version: number;
  /** A batch that waits until a person has seen what it does to opening figures. */
  readonly asked: { readonly edits: readonly ChartEdit[]; readonly effects: readonly string[] } | undefined;
}

interface Step {
  readonly forth: readonly ChartEdit[];
  readonly back: Inverse;
}

export interface ChartStore {
  readonly get: () => ChartState;
  readonly subscribe: (listener: () => void) => () => void;
  /** Carries a batch out on the sheet at once and stores it; false when the rules refuse it, or when it is asked first. `stored` is told once it is. */
  readonly edit: (edits: readonly ChartEdit[], stored?: () => void) => boolean;
  /** Takes the batch that was asked about, or leaves the chart as it is. */
  readonly answer: (take: boolean) => void;
  readonly say: (problems: readonly Problem[]) => void;
  readonly undo: () => boolean;
  readonly redo: () => boolean;
  /** Takes over what the server shows now, unless something is still on its way there. */
  readonly reset: (accounts: readonly Account[]) => void;
  /** An id for an account that is not stored yet. */
  readonly newId: () => AccountId;
}

/**
 * The chart on the sheet: what stands on the server with the edits that are on their way to it. Batches are stored one after
 * the other; one that the server refuses is taken back, and says why. The rules are the server's own.
 */
export const chartStore = (
  initial: readonly Account[],
  rules: { readonly codes: CodeRule; readonly base: Currency },
  save: Save,
  /** What a changed chart does to figures that stand; a batch with effects is taken only when they were seen. */
  effectsOf: (before: readonly Account[], after: readonly Account[]) => readonly string[] = () => [],
): ChartStore => {
  let state: ChartState = { accounts: initial, problems: [], saving: false, version: 0, asked: undefined };
  const listeners = new Set<() => void>();
  const put = (change: Partial<ChartState>): void => {
    state = { ...state, ...change };
    for (const listener of listeners) listener();
  };
  let done: Step[] = [];
  let undone: Step[] = [];
  let queue: Promise<unknown> = Promise.resolve();
  let waiting = 0;
  let next = -1;
  const ids = new Map<AccountId, AccountId>();
  /** The id under which an account stands now: that of the server, once it gave one. */
  const real = (id: AccountId): AccountId => ids.get(id) ?? id;
  /** New accounts keep the id they were made with until they are stored. */
  const renamed = (edits: readonly ChartEdit[]): readonly ChartEdit[] =>
    edits.map((edit) => ({ ...readdressed(edit, real), ...(edit.kind === 'add' ? { id: edit.id } : {}) }));
  const apply = (edits: readonly ChartEdit[]): Result<readonly Account[]> => {
    const applied = applyEdits(chartIndex(state.accounts), edits, { ...rules, uses: new Map() });
    return applied.ok ? { ok: true, value: [...applied.value.byId.values()] } : applied;
  };
  const settle = (fresh: readonly (readonly [AccountId, AccountId])[]): void => {
    if (fresh.length === 0) return;
    for (const [temporary, stored] of fresh) ids.set(temporary, stored);
    put({
      accounts: state.accounts.map((account) =>
        ids.has(account.id) || (account.parent !== null && ids.has(account.parent))
          ? { ...account, id: real(account.id), parent: account.parent === null ? null : real(account.parent) }
          : account,
      ),
    });
  };
  const send = (step: Step, refused: () => void, stands?: () => void): void => {
    waiting += 1;
    put({ saving: true, problems: [] });
    queue = queue.then(async () => {
      const stored = await save(renamed(step.forth)).catch(() => undefined);
      waiting -= 1;
      if (stored?.ok === true) {
        settle(stored.value.ids);
        put({ saving: waiting > 0, version: state.version + 1 });
        stands?.();
        return;
      }
      const back = apply(renamed(step.back.edits));
      refused();
      put({
        ...(back.ok ? { accounts: back.value } : {}),
        saving: waiting > 0,
        problems: stored?.problems ?? [
          {
            code: 'offline',
            message:
              'Bathron did not answer, so this was not saved and is taken back. Check that it is running, then try again.',
          },
        ],
      });
    });
  };
  const carry = (step: Step, onto: () => Step[], refused: (step: Step) => void, stands?: () => void): boolean => {
    const applied = apply(step.forth);
    if (!applied.ok) {
      put({ problems: applied.problems });
      return false;
    }
    put({ accounts: applied.value });
    onto().push(step);
    send(step, () => refused(step), stands);
    return true;
  };
  const without = (list: Step[], step: Step): Step[] => list.filter((one) => one !== step);
  const drop = (step: Step): void => {
    done = without(done, step);
    undone = without(undone, step);
  };
  /** The other way round. Steps that speak of accounts which come back speak of them by their new ids from now on. */
  const turned = (step: Step): Step => {
    const forth = renamed(step.back.edits);
    const renewed = new Map([...step.back.renewed].map(([old, fresh]) => [real(old), fresh]));
    const follow = (edits: readonly ChartEdit[]): readonly ChartEdit[] =>
      edits.map((edit) => readdressed(edit, (id) => renewed.get(real(id)) ?? id));
    const rewrite = ({ forth: steps, back }: Step): Step => ({
      forth: follow(steps),
      back: {
        edits: follow(back.edits),
        renewed: new Map([...back.renewed].map(([old, fresh]) => [renewed.get(real(old)) ?? old, fresh])),
      },
    });
    if (renewed.size > 0) {
      done = done.map(rewrite);
      undone = undone.map(rewrite);
    }
    return { forth, back: inverse(state.accounts, forth, newId) };
  };
  const newId = (): AccountId => {
    next -= 1;
    return accountId(next);
  };
  const take = (edits: readonly ChartEdit[], stands?: () => void): boolean => {
    undone = [];
    return carry({ forth: edits, back: inverse(state.accounts, edits, newId) }, () => done, drop, stands);
  };
  return {
    get: () => state,
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    edit: (edits, stored) => {
      if (edits.length === 0) return true;
      const applied = apply(edits);
      const effects = applied.ok ? effectsOf(state.accounts, applied.value) : [];
      put({ asked: effects.length === 0 ? undefined : { edits, effects } });
      return effects.length === 0 && take(edits, stored);
    },
    answer: (taken) => {
      const { asked } = state;
      put({ asked: undefined });
      if (taken && asked !== undefined) take(asked.edits);
    },
    say: (problems) => put({ problems }),
    undo: () => {
      const step = done.pop();
      return step !== undefined && carry(turned(step), () => undone, drop);
    },
    redo: () => {
      const step = undone.pop();
      return step !== undefined && carry(turned(step), () => done, drop);
    },
    reset: (accounts) => {
      if (waiting === 0 && accounts !== state.accounts) put({ accounts });
    },
    newId,
  };
};
