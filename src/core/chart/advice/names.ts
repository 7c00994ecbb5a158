import { addTo } from '../../base/lists';
import { distance } from 'fastest-levenshtein';
import { folded } from '../../base/table';
import { type Account, called } from '../account';
import { isCatchAll, misfit } from '../suits';
import { typeOf } from '../../ledger/classes';
import { drop, keeper, keyOf, merge } from './fixes';
import type { Advice, Advise } from './types';

const posting = (chart: readonly Account[]): readonly Account[] =>
  chart.filter((account) => !account.heading && account.active);

export const misfitForm: Advise = (state) =>
  posting(state.chart).flatMap((account): readonly Advice[] => {
    const why = misfit(account.name, state.legalForm);
    return why === undefined
      ? []
      : [
          {
            kind: 'misfit-form',
            key: keyOf('misfit-form', [account.id]),
            says: `${called(account)} does not fit: ${why}.`,
            accounts: [account.id],
            fix: drop(state, [account]),
          },
        ];
  });

export const catchAll: Advise = (state) =>
  posting(state.chart)
    .filter((account) => isCatchAll(account.name))
    .map((account) => ({
      kind: 'catch-all',
      key: keyOf('catch-all', [account.id]),
      says: `${called(account)} takes whatever nobody wanted to think about; what lands there is in no report where it belongs.`,
      accounts: [account.id],
      fix: drop(state, [account]),
    }));

const FILLER = new Set('account accounts a ac the of and for to on in other sundry general'.split(' '));

/** The words of a name that say something, in one order, singular: "Bank charges" and "charge bank" are one. */
const bag = (name: string): string =>
  [
    ...new Set(
      folded(name)
        .split(' ')
        .filter((word) => word !== '' && !FILLER.has(word))
        .map((word) => word.replace(/(?<=\w{3})s$/, '')),
    ),
  ]
    .sort()
    .join(' ');

/** Accounts that are compared letter by letter share their first or their last letters; a crowd larger than this is not compared. */
const CROWD = 60;
const digits = (text: string): string => text.replace(/\D/g, '');

/** Two active accounts of one type and currency that seem to be one: the same words, or names a letter or two apart. */
export const nearDuplicates: Advise = (state) => {
  const groups = new Map<string, Account[]>();
  const blocks = new Map<string, Account[]>();
  const plain = new Map<Account, string>();
  for (const account of posting(state.chart)) {
    const kind = `${typeOf(account.classification)}|${account.currency ?? ''}|${String(account.contra)}`;
    const name = folded(account.name);
    plain.set(account, name);
    addTo(groups, `${kind}|${bag(account.name)}`, account);
    if (name.length >= 7) {
      addTo(blocks, `${kind}|<${name.slice(0, 4)}`, account);
      addTo(blocks, `${kind}|>${name.slice(-4)}`, account);
    }
  }
  const found = new Map<string, Advice>();
  const say = (accounts: readonly Account[], why: string): void => {
    const into = keeper(state, accounts);
    if (into === undefined) return;
    const others = accounts.filter(
      (account) => account !== into && (account.role === null || account.role === into.role),
    );
    if (others.length === 0) return;
    const key = keyOf(
      'near-duplicate',
      accounts.map(({ id }) => id),
    );
    if (!found.has(key))
      found.set(key, {
        kind: 'near-duplicate',
        key,
        says: `${accounts.map(called).join(' and ')} seem to be one: ${why}. Two accounts for one thing split its history.`,
        accounts: accounts.map(({ id }) => id),
        fix: merge(others, into),
      });
  };
  const grouped = new Set<Account>();
  for (const [key, accounts] of groups)
    if (accounts.length > 1 && !key.endsWith('|')) {
      say(accounts, 'the same words');
      for (const account of accounts) grouped.add(account);
    }
  for (const block of blocks.values()) {
    if (block.length > CROWD) continue;
    for (const [at, one] of block.entries())
      for (const two of block.slice(at + 1)) {
        if (grouped.has(one) || grouped.has(two)) continue;
        const [a, b] = [plain.get(one) ?? '', plain.get(two) ?? ''];
        if (Math.abs(a.length - b.length) > 2 || digits(a) !== digits(b)) continue;
        const far = distance(a, b);
        if (far > 0 && far <= (Math.min(a.length, b.length) >= 10 ? 2 : 1))
          say([one, two], `the names are ${far === 1 ? 'one letter' : 'two letters'} apart`);
      }
  }
  return [...found.values()];
};

/** A name without the mark of a single thing: a number, a registration, a size. */
const withoutMark = (name: string): string =>
  folded(name.replace(/,? ?(cost|accumulated depreciation)$/i, ''))
    .split(' ')
    .filter((word) => !/\d/.test(word) && word.length > 1)
    .join(' ');

/** Fixed-asset accounts that stand for one thing each: three or more that differ only by a number or a mark. */
export const singleAssets: Advise = (state) => {
  const groups = new Map<string, Account[]>();
  for (const account of posting(state.chart)) {
    if (account.classification !== 'fixed-asset' || !/\d/.test(account.name)) continue;
    const what = withoutMark(account.name);
    if (what === '') continue;
    const key = `${what}|${String(account.contra)}|${account.role ?? ''}|${account.currency ?? ''}`;
    groups.set(key, [...(groups.get(key) ?? []), account]);
  }
  return [...groups.values()]
    .filter((accounts) => accounts.length >= 3)
    .flatMap((accounts): readonly Advice[] => {
      const into = keeper(state, accounts);
      if (into === undefined) return [];
      return [
        {
          kind: 'single-assets',
          key: keyOf(
            'single-assets',
            accounts.map(({ id }) => id),
          ),
          says: `${accounts.map(called).join(', ')} are one account per thing; single things belong in the list behind the account.`,
          accounts: accounts.map(({ id }) => id),
          fix: merge(
            accounts.filter((account) => account !== into),
            into,
          ),
        },
      ];
    });
};
