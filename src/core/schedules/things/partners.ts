import { folded } from '../../base/folded';
import type { Account, AccountId } from '../../chart/account';
import { type ThingKind, scheduleOf } from '../kinds';

type Known = Pick<Account, 'id' | 'code' | 'name' | 'parent' | 'role' | 'heading' | 'classification' | 'active'>;

/** Words are alike by so many first letters: "boat" and "boats". */
const STEM = 4;

const stemsOf = (text: string): ReadonlySet<string> =>
  new Set(
    folded(text)
      .split(' ')
      .filter((word) => word.length >= 3 && !/^\d+$/.test(word))
      .map((word) => word.slice(0, STEM)),
  );

const shared = (one: ReadonlySet<string>, other: ReadonlySet<string>): number =>
  [...one].filter((stem) => other.has(stem)).length;

/**
 * The account that a category or class of a list most likely means, by the words that their names share; undefined where none shares
 * any, or two share as many.
 */
export const accountOfGroup = (group: string, accounts: readonly Known[]): AccountId | undefined => {
  const stems = stemsOf(group);
  const ranked = accounts
    .map((account) => ({
      id: account.id,
      score: account.code !== '' && account.code === group ? 99 : shared(stems, stemsOf(account.name)),
    })) // prettier-ignore
    .filter(({ score }) => score > 0)
    .sort((one, other) => other.score - one.score);
  const [first, second] = ranked;
  return first === undefined || first.score === second?.score ? undefined : first.id;
};

/**
 * The account on which what is written off of a class of assets most likely stands: of accumulated depreciation, the one whose name
 * shares most words with the class, then the one beside it under the same heading, then the only one there is.
 */
export const partnerOf = (account: Known, accounts: readonly Known[]): AccountId | null => {
  const written = accounts.filter(({ role, heading, active }) => role === 'accumulated-depreciation' && !heading && active); // prettier-ignore
  const named = accountOfGroup(account.name, written);
  if (named !== undefined) return named;
  const beside = written.filter(({ parent }) => parent !== null && parent === account.parent);
  const [only] = beside.length === 1 ? beside : written;
  return beside.length === 1 || written.length === 1 ? (only?.id ?? null) : null;
};

/** The accounts that the second amounts of a schedule may stand on. */
export const besideAccounts = <A extends Known>(
  schedule: ThingKind,
  own: AccountId,
  accounts: readonly A[],
): readonly A[] =>
  accounts.filter((account) => {
    if (account.id === own || account.heading || !account.active) return false;
    const kind = scheduleOf(account);
    return schedule === 'assets' ? kind === 'written-off' : schedule === 'loan' ? kind === 'loan' : kind === 'stock';
  });

/** The accounts of one kind of things, over which one list may be divided. */
export const accountsOfKind = <A extends Known>(schedule: ThingKind, accounts: readonly A[]): readonly A[] =>
  accounts.filter((account) => account.active && !account.heading && scheduleOf(account) === schedule);
