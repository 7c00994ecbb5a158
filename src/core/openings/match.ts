import { byTwo } from '../base/by-two';
import { distance } from 'fastest-levenshtein';
import { type Account, type AccountId, called } from '../chart/account';
import { type Classification, normalSide, typeOf } from '../ledger/classes';
import { type Minor, type Side, sideOf } from '../money/minor';
import { type Meant, areRelated, contentWords, meantBy, relatedConcepts } from '../words/concepts/recogniser';
import { folded } from '../base/folded';
import { type SearchedChart, alike, beginningOf, overlap, searchedChart } from './searched-chart';

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

/** Names that share so much of the weight of their words are like each other. */
const SHARED = 0.25;
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

/** An old account that is asked about, with what its name says. */
interface Asked {
  readonly row: OldAccount;
  /** In small letters. */
  readonly code: string;
  /** Folded. */
  readonly name: string;
  readonly side: Side | undefined;
  readonly words: ReadonlySet<string>;
  readonly meant: readonly Meant[];
}

const codeOf = ({ code }: OldAccount): string => code.trim().toLowerCase();
const sideIn = ({ amount }: OldAccount): Side | undefined => (amount === undefined ? undefined : sideOf(amount));

const askedOf = (row: OldAccount): Asked => ({
  row,
  code: codeOf(row),
  name: folded(row.name),
  side: sideIn(row),
  words: contentWords(row.name),
  meant: meantBy(row.name, sideIn(row)),
});

/** The accounts that have anything in common with an old one: code, name, a word, its beginning, or what it is about. */
const poolOf = (chart: SearchedChart, { code, name, words, meant }: Asked): ReadonlySet<Account> => {
  const pool = new Set<Account>();
  const coded = chart.byCode.get(code);
  if (code !== '' && coded !== undefined) pool.add(coded);
  for (const account of chart.byName.get(name) ?? []) pool.add(account);
  const addFew = (accounts: readonly Account[]): void => {
    if (accounts.length <= COMMON) for (const account of accounts) pool.add(account);
  };
  for (const word of [...words, beginningOf(name)]) addFew(chart.sharing(word));
  for (const { concept, score } of meant)
    for (const id of [concept.id, ...(score >= ABOUT ? relatedConcepts(concept.id) : [])]) addFew(chart.ofConcept(id));
  return pool;
};

/** What speaks for an account being the old one; undefined where nothing does. */
const weighed = (chart: SearchedChart, asked: Asked, account: Account): Candidate | undefined => {
  const { code, name, words, meant, side } = asked;
  const own = chart.nameOf(account);
  const theirs = chart.wordsOf(account);
  const common = overlap(chart, words, theirs);
  const spelled = name === '' ? 0 : similarity(name, own);
  const { score, by } = alike(chart, meant, account);
  const reasons: string[] = [];
  let confidence = 0;
  const say = (value: number, why: string): void => {
    if (value > confidence) confidence = value;
    reasons.push(why);
  };
  const lessen = (by: number, why: string): void => {
    confidence *= by;
    // Where as much speaks for it all the same, nobody has to be told.
    if (confidence < 0.9) reasons.push(why);
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
  if (code !== '' && account.code.toLowerCase() === code)
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
  )
    lessen(0.6, 'another kind of account');
  const [about] = chart.aboutOf(account);
  if (
    first !== undefined &&
    about !== undefined &&
    first.score >= CLEAR &&
    about.score >= ABOUT &&
    first.score - score >= APART &&
    first.concept !== about.concept &&
    !areRelated(first.concept.id, about.concept.id)
  )
    lessen(0.6, 'about another thing');
  if (side !== undefined && side !== normalSide(account)) lessen(0.9, `a ${side} is unusual there`);
  return { account: account.id, confidence, why: reasons.join(', '), active: account.active };
};

/** What was decided the last time, where it still can be. */
const decidedOf = (
  { byId }: SearchedChart,
  memory: readonly Remembered[],
): ((row: OldAccount) => Match | undefined) => {
  const remembered = new Map(memory.map((one) => [memoryKey(one), one]));
  return (row) => {
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
};

/** The account that an old one is without a doubt. */
const surely = (chart: SearchedChart, row: OldAccount): ReturnType<typeof certain> => {
  const code = codeOf(row);
  const coded = code === '' ? undefined : chart.byCode.get(code);
  const side = sideIn(row);
  // Only an account of the same code is compared by what it is about.
  const like = (): boolean =>
    coded !== undefined &&
    (side === undefined || side === normalSide(coded)) &&
    (alike(chart, meantBy(row.name, side), coded).score >= ABOUT ||
      overlap(chart, contentWords(row.name), chart.wordsOf(coded)) >= SHARED);
  return certain(row, coded, chart.byName.get(folded(row.name)) ?? [], like);
};

/** The match of an old account that nothing was decided about before. */
const matchIn = (chart: SearchedChart, row: OldAccount): Match => {
  const sure = surely(chart, row);
  const account = sure === undefined ? undefined : chart.byId.get(sure.account);
  if (sure !== undefined && account?.active === true)
    return { kind: 'matched', account: sure.account, sure: true, why: sure.why, candidates: [] };
  const asked = askedOf(row);
  const candidates = [...poolOf(chart, asked)]
    .flatMap((one) => weighed(chart, asked, one) ?? [])
    .filter(({ confidence }) => confidence >= WORTH)
    .sort((a, b) => b.confidence - a.confidence || a.account - b.account)
    .slice(0, MOST_CANDIDATES);
  if (account !== undefined)
    return { kind: 'unmatched', why: `${called(account)} is inactive; reactivate it or choose another`, candidates };
  const heading = asked.code === '' ? undefined : chart.headings.get(asked.code);
  if (
    heading !== undefined &&
    (folded(heading.name) === asked.name || candidates.every(({ confidence }) => confidence < PROPOSED))
  )
    return { kind: 'unmatched', why: `${called(heading)} is a heading here; headings take no amounts`, candidates };
  const alikeNamed = chart.byName.get(asked.name)?.length ?? 0;
  return proposed(
    candidates,
    alikeNamed > 1
      ? `${String(alikeNamed)} accounts here have this name`
      : candidates.length > 0
        ? `${candidates.length === 1 ? 'one account is' : `${String(candidates.length)} accounts are`} something like it`
        : row.code === ''
          ? 'no account here has this name'
          : 'no account here has this code or name',
  );
};

/**
 * Prepares a chart and what is remembered for matching; the returned function matches one old account. The result does not
 * depend on the order of accounts or rows.
 */
export const matcher = (accounts: readonly Account[], memory: readonly Remembered[] = []): Matcher => {
  const chart = searchedChart(accounts);
  const decided = decidedOf(chart, memory);
  // Rows of one old account are many in a large paper, and each is asked about more than once.
  const matched = { debit: byTwo<Match>(), credit: byTwo<Match>(), nil: byTwo<Match>(), unknown: byTwo<Match>() };
  const match = (row: OldAccount): Match => {
    const known = matched[row.amount === undefined ? 'unknown' : (sideOf(row.amount) ?? 'nil')];
    const before = known.get(row.code, row.name);
    if (before !== undefined) return before;
    const found = decided(row) ?? matchIn(chart, row);
    known.set(row.code, row.name, found);
    return found;
  };
  return Object.assign(match, {
    sure: (row: OldAccount): AccountId | undefined => {
      const before = decided(row);
      if (before !== undefined) return before.kind === 'matched' ? before.account : undefined;
      const found = surely(chart, row);
      return found !== undefined && chart.byId.get(found.account)?.active === true ? found.account : undefined;
    },
  });
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
