import { type Account, type AccountId, called } from '../chart/account';
import { folded } from '../papers/cells';
import type { PaperRow } from '../papers/rows';

/** What an old account was matched to, and why; `sure` ones need no second look. */
export type Match =
  | { readonly kind: 'matched'; readonly account: AccountId; readonly sure: boolean; readonly why: string }
  | { readonly kind: 'unmatched'; readonly why: string };

/** Words that many accounts share and that therefore say nothing about two accounts being one. */
const COMMON = new Set(
  'account accounts current cost costs other accumulated depreciation expense expenses income year from with goods'.split(
    ' ',
  ),
);

const significant = (name: string): readonly string[] =>
  folded(name)
    .split(' ')
    .filter((word) => word.length > 3 && !COMMON.has(word));

/** Whether two account names plausibly mean one thing: equal when folded, or sharing a word that says something. */
const alike = (a: string, b: string): boolean => {
  if (folded(a) === folded(b) || folded(a) === '') return true;
  const words = new Set(significant(b));
  return significant(a).some((word) => words.has(word));
};

/** Prepares a chart for matching; the returned function matches one row. The result does not depend on the order of accounts or rows. */
export const matcher = (chart: readonly Account[]): ((row: Pick<PaperRow, 'code' | 'name'>) => Match) => {
  const byCode = new Map(chart.map((account) => [account.code.toLowerCase(), account]));
  const byName = new Map<string, Account[]>();
  for (const account of chart) {
    if (account.heading) continue;
    const name = folded(account.name);
    byName.set(name, [...(byName.get(name) ?? []), account]);
  }
  const usable = (account: Account): Match | undefined =>
    account.heading
      ? { kind: 'unmatched', why: `${called(account)} is a heading here; headings take no amounts` }
      : account.active
        ? undefined
        : { kind: 'unmatched', why: `${called(account)} is inactive; reactivate it or choose another` };

  return ({ code, name }) => {
    const coded = code === '' ? undefined : byCode.get(code.trim().toLowerCase());
    const named = name === '' ? [] : (byName.get(folded(name)) ?? []);
    if (coded !== undefined && !coded.heading && alike(name, coded.name))
      return (
        usable(coded) ?? {
          kind: 'matched',
          account: coded.id,
          sure: true,
          why: folded(name) === folded(coded.name) ? 'same code and name' : 'same code, a like name',
        }
      );
    const only = named.length === 1 ? named[0] : undefined;
    if (only !== undefined) return usable(only) ?? { kind: 'matched', account: only.id, sure: true, why: 'same name' };
    if (named.length > 1) return { kind: 'unmatched', why: `${named.length} accounts here have this name` };
    if (coded !== undefined)
      return (
        usable(coded) ?? {
          kind: 'matched',
          account: coded.id,
          sure: false,
          why: `same code, but here it is “${coded.name}”`,
        }
      );
    return {
      kind: 'unmatched',
      why: code === '' ? 'no account here has this name' : 'no account here has this code or name',
    };
  };
};
