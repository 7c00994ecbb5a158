import { distance } from 'fastest-levenshtein';
import { type Account, type AccountId, called } from '../chart/account';
import { isResult, normalSide, typeOf } from '../chart/classes';
import { lineByName } from '../chart/infer';
import { type Minor, type Side, sideOf } from '../money/minor';
import { folded } from '../files/cells';
import { meaning } from './synonyms';

/** An account that an old one may be, with how much speaks for it (0 to 1) and what. */
export interface Candidate {
  readonly account: AccountId;
  readonly confidence: number;
  readonly why: string;
  /** False for an inactive account, which has to be reactivated first. */
  readonly active: boolean;
}

/**
 * What an old account was matched to, and why. Only a `sure` match is taken without a person; any other waits, with the
 * candidates in the order of their confidence; a certain match has no need of any.
 */
export type Match = { readonly candidates: readonly Candidate[] } & (
  | { readonly kind: 'matched'; readonly account: AccountId; readonly sure: boolean; readonly why: string }
  | { readonly kind: 'left-out'; readonly reason: string; readonly why: string }
  | { readonly kind: 'unmatched'; readonly why: string }
);

/** What was decided about an old account before: the account here, or why it was left out. */
export interface Remembered {
  readonly code: string;
  readonly name: string;
  readonly account: AccountId | null;
  readonly reason: string | null;
}

export interface OldAccount {
  readonly code: string;
  readonly name: string;
  readonly amount?: Minor;
}

/** The address under which a decision about an old account is remembered. */
export const memoryKey = ({ code, name }: Pick<OldAccount, 'code' | 'name'>): string =>
  `${code.trim().toLowerCase()}\u0000${folded(name)}`;

export const MOST_CANDIDATES = 5;
/** From here on a candidate is worth showing. */
const WORTH = 0.3;
/** From here on the best candidate is proposed. */
const PROPOSED = 0.5;
/** A word that so many accounts share tells none of them apart. */
const COMMON = 400;

const similarity = (a: string, b: string): number => {
  const longest = Math.max(a.length, b.length);
  return longest === 0 ? 0 : 1 - distance(a, b) / longest;
};

/** The share of words that two meanings have in common, of all their words; nil without any. */
const overlap = (a: ReadonlySet<string>, b: ReadonlySet<string>): number => {
  let common = 0;
  for (const word of a) if (b.has(word)) common += 1;
  return common === 0 ? 0 : common / (a.size + b.size - common);
};

/**
 * Prepares a chart and what is remembered for matching; the returned function matches one old account. The result does not
 * depend on the order of accounts or rows.
 */
export const matcher = (
  chart: readonly Account[],
  memory: readonly Remembered[] = [],
): ((row: OldAccount) => Match) => {
  const byId = new Map(chart.map((account) => [account.id, account]));
  const headings = new Map(
    chart.flatMap((one) => (one.heading && one.code !== '' ? [[one.code.toLowerCase(), one]] : [])),
  );
  const posting = chart.filter((account) => !account.heading).sort((a, b) => a.id - b.id);
  const byCode = new Map(posting.flatMap((one) => (one.code === '' ? [] : [[one.code.toLowerCase(), one] as const])));
  const byName = new Map<string, Account[]>();
  const byWord = new Map<string, Account[]>();
  const meanings = new Map<AccountId, ReadonlySet<string>>();
  const plain = new Map<AccountId, string>();
  const put = (map: Map<string, Account[]>, key: string, account: Account): void => {
    const known = map.get(key);
    if (known === undefined) map.set(key, [account]);
    else known.push(account);
  };
  for (const account of posting) {
    const name = folded(account.name);
    plain.set(account.id, name);
    put(byName, name, account);
    const words = meaning(account.name);
    meanings.set(account.id, words);
    for (const word of words) put(byWord, word, account);
    put(byWord, `^${name.slice(0, 4)}`, account);
  }
  const remembered = new Map(memory.map((one) => [memoryKey(one), one]));

  const weigh = (
    row: OldAccount,
    account: Account,
    words: ReadonlySet<string>,
    name: string,
  ): Candidate | undefined => {
    const code = row.code.trim().toLowerCase();
    const sameCode = code !== '' && account.code.toLowerCase() === code;
    const own = plain.get(account.id) ?? '';
    const common = overlap(words, meanings.get(account.id) ?? new Set());
    const spelled = name === '' ? 0 : similarity(name, own);
    const reasons: string[] = [];
    let confidence = 0;
    const say = (value: number, why: string): void => {
      if (value > confidence) confidence = value;
      reasons.push(why);
    };
    if (name !== '' && name === own) say(0.93, 'same name');
    else if (common >= 0.99) say(0.85, 'the same in the trade’s words');
    else if (spelled >= 0.8) say(0.8 * spelled, 'spelled nearly the same');
    else if (common > 0)
      say(0.75 * common, `shares “${[...words].filter((word) => meanings.get(account.id)?.has(word)).join(' ')}”`);
    if (sameCode)
      say(
        Math.max(0.55, Math.min(0.97, confidence + 0.35)),
        name === '' || confidence > 0.3 ? 'same code' : `same code, but here it is “${account.name}”`,
      );
    if (confidence === 0) return undefined;
    const line = lineByName(row.name);
    if (line !== undefined && isResult(typeOf(line.classification)) !== isResult(typeOf(account.classification))) {
      confidence *= 0.6;
      reasons.push('another kind of account');
    }
    const side = row.amount === undefined ? undefined : sideOf(row.amount);
    if (side !== undefined && side !== normalSide(account)) {
      confidence *= 0.9;
      if (confidence < 0.9) reasons.push(`a ${side} is unusual there`);
    }
    return { account: account.id, confidence, why: reasons.join(', '), active: account.active };
  };

  const matched = new Map<string, Match>();
  return (row) => {
    // Rows of one old account are many in a large paper, and each is asked about more than once.
    const address = `${row.code}\u0000${row.name}\u0000${row.amount === undefined ? '' : (sideOf(row.amount) ?? '')}`;
    const before = matched.get(address);
    if (before !== undefined) return before;
    const found = matchOf(row);
    matched.set(address, found);
    return found;
  };

  function matchOf(row: OldAccount): Match {
    const { code, name } = row;
    const key = code.trim().toLowerCase();
    const known = remembered.get(memoryKey(row));
    if (known !== undefined) {
      const account = known.account === null ? undefined : byId.get(known.account);
      if (known.account === null && known.reason !== null)
        return { kind: 'left-out', reason: known.reason, why: 'left out the last time', candidates: [] };
      if (account !== undefined && !account.heading && account.active)
        return { kind: 'matched', account: account.id, sure: true, why: 'as the last time', candidates: [] };
    }
    const words = meaning(name);
    const plainName = folded(name);
    const coded = key === '' ? undefined : byCode.get(key);
    const sure = certain(row, coded, byName.get(plainName) ?? [], words, meanings);
    const account = sure === undefined ? undefined : byId.get(sure.account);
    if (sure !== undefined && account?.active === true)
      return { kind: 'matched', account: sure.account, sure: true, why: sure.why, candidates: [] };
    const pool = new Set<Account>();
    if (coded !== undefined) pool.add(coded);
    for (const account of byName.get(plainName) ?? []) pool.add(account);
    for (const word of [...words, `^${plainName.slice(0, 4)}`]) {
      const sharing = byWord.get(word) ?? [];
      if (sharing.length <= COMMON) for (const account of sharing) pool.add(account);
    }
    const candidates = [...pool]
      .flatMap((account) => weigh(row, account, words, plainName) ?? [])
      .filter(({ confidence }) => confidence >= WORTH)
      .sort((a, b) => b.confidence - a.confidence || a.account - b.account)
      .slice(0, MOST_CANDIDATES);
    if (account !== undefined)
      return { kind: 'unmatched', why: `${called(account)} is inactive; reactivate it or choose another`, candidates };
    const heading = key === '' ? undefined : headings.get(key);
    if (heading !== undefined && candidates.every(({ confidence }) => confidence < PROPOSED))
      return { kind: 'unmatched', why: `${called(heading)} is a heading here; headings take no amounts`, candidates };
    return proposed(
      candidates,
      (byName.get(plainName)?.length ?? 0) > 1
        ? `${String(byName.get(plainName)?.length)} accounts here have this name`
        : candidates.length > 0
          ? `${candidates.length === 1 ? 'one account is' : `${String(candidates.length)} accounts are`} something like it`
          : code === ''
            ? 'no account here has this name'
            : 'no account here has this code or name',
    );
  }
};

/** The best candidate as a proposal, where enough speaks for it and it stands out; else the candidates with why none is proposed. */
export const proposed = (candidates: readonly Candidate[], why: string): Match => {
  const [best, second] = candidates;
  return best !== undefined &&
    best.active &&
    best.confidence >= PROPOSED &&
    best.confidence - (second?.confidence ?? 0) > 0.02
    ? { kind: 'matched', account: best.account, sure: false, why: best.why, candidates }
    : { kind: 'unmatched', why, candidates };
};

/** The account that an old one is without a doubt: same code with a like name, or the only one of its name. */
const certain = (
  { name }: OldAccount,
  coded: Account | undefined,
  named: readonly Account[],
  words: ReadonlySet<string>,
  meanings: ReadonlyMap<AccountId, ReadonlySet<string>>,
): { readonly account: AccountId; readonly why: string } | undefined => {
  if (coded !== undefined) {
    if (folded(name) === folded(coded.name)) return { account: coded.id, why: 'same code and name' };
    const own = meanings.get(coded.id) ?? new Set<string>();
    const shared = [...words].filter((word) => word.length > 3 && !SAYS_LITTLE.has(word) && own.has(word));
    if (name === '' || shared.length > 0)
      if (named.length !== 1 || named[0] === coded)
        return { account: coded.id, why: name === '' ? 'same code' : 'same code, a like name' };
  }
  const [only] = named;
  return only !== undefined && named.length === 1 ? { account: only.id, why: 'same name' } : undefined;
};

/** Words that many accounts share and that therefore say nothing about two accounts being one. */
const SAYS_LITTLE: ReadonlySet<string> = new Set(
  'cost costs accumulated depreciation expense expenses income year goods'.split(' '),
);

/** The normal side of an old account that is one of the chart without a doubt. Each old account is looked for once. */
export const hintOf = (
  match: (row: OldAccount) => Match,
  chart: readonly Account[],
): ((row: Pick<OldAccount, 'code' | 'name'>) => Side | undefined) => {
  const byId = new Map(chart.map((account) => [account.id, account]));
  const known = new Map<string, Side | undefined>();
  return ({ code, name }) => {
    const key = `${code}\u0000${name}`;
    if (known.has(key)) return known.get(key);
    const found = match({ code, name });
    const account = found.kind === 'matched' && found.sure ? byId.get(found.account) : undefined;
    const side = account === undefined ? undefined : normalSide(account);
    known.set(key, side);
    return side;
  };
};
