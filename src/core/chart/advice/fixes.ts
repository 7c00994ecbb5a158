import { type Account, type AccountId, called } from '../account';
import { type ChartEdit, change } from '../edit';
import type { Fix, TidyState } from './types';

/** Deletes what nothing uses, deactivates the rest. */
export const drop = (state: TidyState, accounts: readonly Account[]): Fix => {
  const gone = accounts.filter(({ id }) => !state.used.has(id) && !state.index.children.has(id));
  const kept = accounts.filter((account) => !gone.includes(account) && account.active);
  const edits: ChartEdit[] = [
    ...kept.map((account) => change(account, { active: false })),
    ...gone.map(({ id }): ChartEdit => ({ kind: 'remove', id })),
  ];
  return { label: gone.length > 0 && kept.length === 0 ? 'Delete' : 'Deactivate', edits, merges: [] };
};

export const merge = (from: readonly Account[], into: Account): Fix => ({
  label: `Merge into ${called(into)}`,
  edits: [],
  merges: from.map(({ id }) => ({ from: id, into: into.id })),
});

/** The account of several that the others go into: the used one, else the one that stands first. */
export const keeper = (state: TidyState, accounts: readonly Account[]): Account | undefined =>
  accounts.find(({ id, active }) => active && state.used.has(id)) ??
  accounts.find(({ active }) => active) ??
  accounts[0];

export const keyOf = (kind: string, ids: readonly AccountId[], more = ''): string =>
  `${kind}:${[...ids].sort((a, b) => a - b).join(',')}${more === '' ? '' : `:${more}`}`;
