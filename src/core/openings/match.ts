import { byTwo } from '../base/by-two';
import { addTo } from '../base/lists';
import { distance } from 'fastest-levenshtein';
import { type Account, type AccountId, called } from '../chart/account';
import { type Classification, normalSide, typeOf } from '../ledger/classes';
import { type Minor, type Side, sideOf } from '../money/minor';
import { type Meant, areRelated, contentWords, meantBy, relatedConcepts } from '../words/concepts/recogniser';
import { folded } from '../base/folded';
import { once } from '../base/once';

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
const WORTH = 0.15;
/** From here on the best candidate is proposed. */
const PROPOSED = 0.5;
/** A word that so many accounts share tells none of them apart. */
const COMMON = 400;

const similarity = (a: string, b: string): number => {
  const longest = Math.max(a.length, b.length);
  return longest === 0 ? 0 : 1 - distance(a, b) / longest;
};

/** How much two names have in common, by the weight of their words: rare ones tell more than those that many accounts have. */
const overlap = (a: ReadonlySet<string>, b: ReadonlySet<string>, weight: (word: string) => number): number => {
  let [common, all] = [0, 0];
  for (const word of a) {
    all += weight(word);
    if (b.has(word)) common += weight(word);
  }
  for (const word of b) if (!a.has(word)) all += weight(word);
  return all === 0 ? 0 : common / all;
};

/** What an account of the chart is about: what its name says, as far as its statement line and role agree. */
const aboutOf = (account: Account): readonly Meant[] => {
  const meant = meantBy(account.name).map((one) => ({
    ...one,
    score:
      one.score *
      (typeOf(one.concept.line) === typeOf(account.classification) ? 1 : 0.3) *
      (account.role !== null && one.concept.role === account.role ? 1.15 : 1),
  }));
  return meant.sort((a, b) => b.score - a.score).slice(0, 4);
};

/** Names that share so much of the weight of their words are like each other. */
const SHARED = 0.25;
/** What a concept tells of an account that is about a related one. */
const RELATED = 0.42;
/** Of related ones, that which is there for all that has no account of its own is the likeliest. */
const RELATED_TO_ALL = 0.46;
const COLLECTS = /^(?:other|sundry)-/;
/** Matches an old account; `sure` only says which one it is without a doubt, which takes a small part of the time. */
export interface Matcher {
  (row: OldAccount): Match;
  readonly sure: (row: OldAccount) => AccountId | undefined;
}

/** A concept that so much speaks for is what an account is about. */
const ABOUT = 0.6;
/** A name that is clearly about one thing is not about another that less, by so much, speaks for. */
const CLEAR = 0.85;
const APART = 0.2;

/**
 * Prepares a chart and what is remembered for matching; the returned function matches one old account. The result does not
 * depend on the order of accounts or rows.
 */
export const matcher = (chart: readonly Account[], memory: readonly Remembered[] = []): Matcher => {
  const byId = new Map(chart.map((account) => [account.id, account]));
  const headings = new Map(
    chart.flatMap((one) => (one.heading && one.code !== '' ? [[one.code.toLowerCase(), one]] : [])),
  );
  const posting = chart.filter((account) => !account.heading).sort((a, b) => a.id - b.id);
  const byCode = new Map(posting.flatMap((one) => (one.code === '' ? [] : [[one.code.toLowerCase(), one] as const])));
  const byName = new Map<string, Account[]>();
  const plain = new Map<AccountId, string>();
  for (const account of posting) {
    const name = folded(account.name);
    plain.set(account.id, name);
    addTo(byName, name, account);
  }
  const aboutHeld = new Map<AccountId, readonly Meant[]>();
  const aboutEach = (account: Account): readonly Meant[] => {
    const known = aboutHeld.get(account.id);
    if (known !== undefined) return known;
    const made = aboutOf(account);
    aboutHeld.set(account.id, made);
    return made;
  };
  /** By words and by what they mean: only where a code and a name together do not settle it. */
  const looked = once(() => {
    const byWord = new Map<string, Account[]>();
    const byConcept = new Map<string, Account[]>();
    const meanings = new Map<AccountId, ReadonlySet<string>>();
    for (const account of posting) {
      const words = contentWords(account.name);
      meanings.set(account.id, words);
      for (const word of words) addTo(byWord, word, account);
      addTo(byWord, `^${(plain.get(account.id) ?? '').slice(0, 4)}`, account);
      for (const { concept } of aboutEach(account)) addTo(byConcept, concept.id, account);
    }
    return { byWord, byConcept, meanings };
  });
  const weight = (word: string): number => Math.log(1 + posting.length / (looked().byWord.get(word)?.length ?? 0.5));
  const remembered = new Map(memory.map((one) => [memoryKey(one), one]));

  /** How far an account is about what a name means: the best concept of both, as each has it. */
  const alike = (meant: readonly Meant[], account: Account): { readonly score: number; readonly by: string } => {
    let best = { score: 0, by: '' };
    for (const own of aboutEach(account))
      for (const { concept, score, by } of meant) {
        const same =
          concept === own.concept
            ? 1
            : areRelated(concept.id, own.concept.id)
              ? COLLECTS.test(own.concept.id)
                ? RELATED_TO_ALL
                : RELATED
              : 0;
        const value = same * score * Math.min(1, own.score);
        if (value > best.score) best = { score: value, by };
      }
    return best;
  };

  const weigh = (
    row: OldAccount,
    account: Account,
    words: ReadonlySet<string>,
    name: string,
    meant: readonly Meant[],
  ): Candidate | undefined => {
    const code = row.code.trim().toLowerCase();
    const sameCode = code !== '' && account.code.toLowerCase() === code;
    const own = plain.get(account.id) ?? '';
    const theirs = looked().meanings.get(account.id) ?? new Set<string>();
    const common = overlap(words, theirs, weight);
    const spelled = name === '' ? 0 : similarity(name, own);
    const { score, by } = alike(meant, account);
    const reasons: string[] = [];
    let confidence = 0;
    const say = (value: number, why: string): void => {
      if (value > confidence) confidence = value;
      reasons.push(why);
    };
    if (name !== '' && name === own) say(0.93, 'same name');
    else {
      if (score > 0.2)
        say(0.9 * score, score >= 0.9 ? 'the same in the trade’s words' : `alike in the trade’s words (${by})`);
      if (spelled >= 0.8) say(0.8 * spelled, 'spelled nearly the same');
      else if (common > 0)
        say(
          Math.min(0.9, Math.max(0.7 * common, confidence + 0.08 * common)),
          `shares “${[...words].filter((word) => theirs.has(word)).join(' ')}”`,
        );
    }
    if (sameCode)
      say(
        Math.max(0.55, Math.min(0.97, confidence + 0.35)),
        name === '' || confidence > 0.3 ? 'same code' : `same code, but here it is “${account.name}”`,
      );
    if (confidence === 0) return undefined;
    const [first] = meant;
    if (
      first !== undefined &&
      first.score >= ABOUT &&
      score < 0.3 &&
      typeOf(first.concept.line) !== typeOf(account.classification)
    ) {
      confidence *= 0.6;
      reasons.push('another kind of account');
    }
    const [about] = aboutEach(account);
    if (
      first !== undefined &&
      about !== undefined &&
      first.score >= CLEAR &&
      about.score >= ABOUT &&
      first.score - score >= APART &&
      first.concept !== about.concept &&
      !areRelated(first.concept.id, about.concept.id)
    ) {
      confidence *= 0.6;
      reasons.push('about another thing');
    }
    const side = row.amount === undefined ? undefined : sideOf(row.amount);
    if (side !== undefined && side !== normalSide(account)) {
      confidence *= 0.9;
      if (confidence < 0.9) reasons.push(`a ${side} is unusual there`);
    }
    return { account: account.id, confidence, why: reasons.join(', '), active: account.active };
  };

  const matched = { debit: byTwo<Match>(), credit: byTwo<Match>(), nil: byTwo<Match>(), unknown: byTwo<Match>() };
  const match = (row: OldAccount): Match => {
    // Rows of one old account are many in a large paper, and each is asked about more than once.
    const { code, name, amount } = row;
    const known = matched[amount === undefined ? 'unknown' : (sideOf(amount) ?? 'nil')];
    const before = known.get(code, name);
    if (before !== undefined) return before;
    const found = matchOf(row);
    known.set(code, name, found);
    return found;
  };

  /** What was decided the last time, where it still can be. */
  const decided = (row: OldAccount): Match | undefined => {
    const known = remembered.get(memoryKey(row));
    if (known === undefined) return undefined;
    if (known.account === null)
      return known.reason === null
        ? undefined
        : { kind: 'left-out', reason: known.reason, why: 'left out the last time', candidates: [] };
    const account = byId.get(known.account);
    return account === undefined || account.heading || !account.active
      ? undefined
      : { kind: 'matched', account: account.id, sure: true, why: 'as the last time', candidates: [] };
  };

  const surely = (row: OldAccount): ReturnType<typeof certain> => {
    const { code, name } = row;
    const key = code.trim().toLowerCase();
    const coded = key === '' ? undefined : byCode.get(key);
    const side = row.amount === undefined ? undefined : sideOf(row.amount);
    // Only an account of the same code is compared by what it is about.
    const like = (): boolean =>
      coded !== undefined &&
      (side === undefined || side === normalSide(coded)) &&
      (alike(meantBy(name, side), coded).score >= ABOUT ||
        overlap(contentWords(name), looked().meanings.get(coded.id) ?? new Set(), weight) >= SHARED);
    return certain(row, coded, byName.get(folded(name)) ?? [], like);
  };

  return Object.assign(match, {
    sure: (row: OldAccount): AccountId | undefined => {
      const before = decided(row);
      if (before !== undefined) return before.kind === 'matched' ? before.account : undefined;
      const found = surely(row);
      return found !== undefined && byId.get(found.account)?.active === true ? found.account : undefined;
    },
  });

  function matchOf(row: OldAccount): Match {
    const before = decided(row);
    if (before !== undefined) return before;
    const { code, name } = row;
    const key = code.trim().toLowerCase();
    const sure = surely(row);
    const account = sure === undefined ? undefined : byId.get(sure.account);
    if (sure !== undefined && account?.active === true)
      return { kind: 'matched', account: sure.account, sure: true, why: sure.why, candidates: [] };
    const words = contentWords(name);
    const plainName = folded(name);
    const coded = key === '' ? undefined : byCode.get(key);
    const meant = meantBy(name, row.amount === undefined ? undefined : sideOf(row.amount));
    const { byWord, byConcept } = looked();
    const pool = new Set<Account>();
    if (coded !== undefined) pool.add(coded);
    for (const account of byName.get(plainName) ?? []) pool.add(account);
    for (const word of [...words, `^${plainName.slice(0, 4)}`]) {
      const sharing = byWord.get(word) ?? [];
      if (sharing.length <= COMMON) for (const account of sharing) pool.add(account);
    }
    for (const { concept, score } of meant)
      for (const id of [concept.id, ...(score >= ABOUT ? relatedConcepts(concept.id) : [])]) {
        const about = byConcept.get(id) ?? [];
        if (about.length <= COMMON) for (const account of about) pool.add(account);
      }
    const candidates = [...pool]
      .flatMap((account) => weigh(row, account, words, plainName, meant) ?? [])
      .filter(({ confidence }) => confidence >= WORTH)
      .sort((a, b) => b.confidence - a.confidence || a.account - b.account)
      .slice(0, MOST_CANDIDATES);
    if (account !== undefined)
      return { kind: 'unmatched', why: `${called(account)} is inactive; reactivate it or choose another`, candidates };
    const heading = key === '' ? undefined : headings.get(key);
    if (
      heading !== undefined &&
      (folded(heading.name) === plainName || candidates.every(({ confidence }) => confidence < PROPOSED))
    )
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

/** The account that an old one is without a doubt: same code, and the same name or meaning and side; or the only one of its name. */
const certain = (
  { name }: OldAccount,
  coded: Account | undefined,
  named: readonly Account[],
  like: () => boolean,
): { readonly account: AccountId; readonly why: string } | undefined => {
  if (coded !== undefined) {
    if (folded(name) === folded(coded.name)) return { account: coded.id, why: 'same code and name' };
    if (name === '' || like())
      if (named.length !== 1 || named[0] === coded)
        return { account: coded.id, why: name === '' ? 'same code' : 'same code, a like name' };
  }
  const [only] = named;
  return only !== undefined && named.length === 1 ? { account: only.id, why: 'same name' } : undefined;
};

/** The statement line that an account of a name most likely stands on, where its words tell. */
export const lineMeant = (name: string, side: Side | undefined): Classification | undefined => {
  const [first] = meantBy(name, side);
  return first !== undefined && first.score >= 0.4 ? first.concept.line : undefined;
};

/** The normal side of an old account that is one of the chart without a doubt. Each old account is looked for once. */
export const hintOf = (
  match: Matcher,
  chart: readonly Account[],
): ((row: Pick<OldAccount, 'code' | 'name'>) => Side | undefined) => {
  const sides = new Map(chart.map((account) => [account.id, normalSide(account)]));
  const held = byTwo<{ readonly side: Side | undefined }>();
  return ({ code, name }) => {
    const known = held.get(code, name);
    if (known !== undefined) return known.side;
    const account = match.sure({ code, name });
    const side = account === undefined ? undefined : sides.get(account);
    held.set(code, name, { side });
    return side;
  };
};
