import { byTwo } from '../base/by-two';
import type { Account, AccountId } from '../chart/account';
import { type Candidate, MOST_CANDIDATES, type Match, type OldAccount, proposed } from './match';

/** How much it speaks for a candidate that it stands between the accounts of the old one's neighbours. */
const NUDGE = 0.08;
/** What speaks for the only account between them, of which nothing else is known. */
const ALONE = 0.3;
/** Where more accounts than these stand between the neighbours, that says nothing of any of them. */
const MOST_BETWEEN = 4;
/** A nudge makes nothing certain. */
const SHORT_OF_CERTAIN = 0.95;

const inCodeOrder = (a: { readonly code: string }, b: { readonly code: string }): number =>
  a.code < b.code ? -1 : a.code > b.code ? 1 : 0;

/**
 * Matching that also looks at neighbours in the order of the codes: where the old accounts before and after one are certainly
 * two accounts here, the one between those is likelier. The order of rows does not matter, and a match that is certain, or
 * remembered, stays what it is. `old` are the old accounts, `match` matches one without its neighbours.
 */
export const withNeighbours = (
  old: readonly OldAccount[],
  chart: readonly Account[],
  match: (row: OldAccount) => Match,
): ((row: OldAccount) => Match) => {
  const posting = chart.filter(({ heading, code }) => !heading && code !== '').sort(inCodeOrder);
  const place = new Map(posting.map(({ id }, at) => [id, at]));
  const byId = new Map(posting.map((account) => [account.id, account]));
  /** Old accounts that are certainly one here, by their codes, each with its place in the chart. */
  const anchors: { readonly code: string; readonly at: number }[] = [];
  const seen = new Set<string>();
  // Rows of one old account are many in a large paper.
  const known = byTwo<true>();
  const apart: { readonly code: string; readonly name: string }[] = [];
  for (const { code, name } of old) {
    if (known.get(code, name) === true) continue;
    known.set(code, name, true);
    apart.push({ code, name });
  }
  for (const { code, name } of apart.sort((a, b) => inCodeOrder(a, b) || (a.name < b.name ? -1 : 1))) {
    if (code === '' || seen.has(code)) continue;
    const found = match({ code, name });
    const at = found.kind === 'matched' && found.sure ? place.get(found.account) : undefined;
    if (at === undefined) continue;
    seen.add(code);
    anchors.push({ code, at });
  }
  /** The accounts between those of the nearest old neighbours; none where these do not follow each other here too. */
  const between = (code: string): readonly Account[] => {
    let [low, high] = [0, anchors.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((anchors[middle]?.code ?? '') < code) low = middle + 1;
      else high = middle;
    }
    const [before, after] = [anchors[low - 1], anchors[low]];
    if (before === undefined || after === undefined || after.code === code) return [];
    const gap = after.at - before.at - 1;
    return gap < 1 || gap > MOST_BETWEEN ? [] : posting.slice(before.at + 1, after.at);
  };
  const said = (account: Account): string => {
    const at = place.get(account.id) ?? 0;
    return `between ${posting[at - 1]?.code ?? ''} and ${posting[at + 1]?.code ?? ''}, as its neighbours are`;
  };

  // The matcher gives one answer per old account, so what is made of it is kept by it.
  const made = new Map<Match, Match>();
  return (row) => {
    const plain = match(row);
    if (plain.kind === 'left-out' || (plain.kind === 'matched' && plain.sure) || row.code === '') return plain;
    const known = made.get(plain);
    if (known !== undefined) return known;
    const close = new Set<AccountId>(between(row.code).map(({ id }) => id));
    const nudged = plain.candidates.map((one): Candidate => {
      const account = byId.get(one.account);
      return close.has(one.account) && account !== undefined
        ? {
            ...one,
            confidence: Math.min(SHORT_OF_CERTAIN, one.confidence + NUDGE),
            why: `${one.why}, ${said(account)}`,
          }
        : one;
    });
    const [only] = close;
    const account = only === undefined || close.size > 1 ? undefined : byId.get(only);
    const alone: readonly Candidate[] =
      account === undefined || plain.candidates.some((one) => one.account === account.id)
        ? []
        : [{ account: account.id, confidence: ALONE, why: said(account), active: account.active }];
    const candidates = [...nudged, ...alone]
      .sort((a, b) => b.confidence - a.confidence || a.account - b.account)
      .slice(0, MOST_CANDIDATES);
    const found = close.size === 0 ? plain : proposed(candidates, plain.why);
    made.set(plain, found);
    return found;
  };
};
