import { addTo } from '../base/lists';
import { folded } from '../base/folded';
import { once } from '../base/once';
import type { Account, AccountId } from '../chart/account';
import { typeOf } from '../ledger/classes';
import { type Meant, areRelated, contentWords, meantBy } from '../words/concepts/recogniser';

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

/** A chart as old accounts are looked for in it: by code, by name, by words, and by what names mean. */
export interface SearchedChart {
  readonly byId: ReadonlyMap<AccountId, Account>;
  /** Headings and accounts by their codes in small letters. */
  readonly headings: ReadonlyMap<string, Account>;
  readonly byCode: ReadonlyMap<string, Account>;
  /** By their names folded. */
  readonly byName: ReadonlyMap<string, readonly Account[]>;
  readonly nameOf: (account: Account) => string;
  readonly wordsOf: (account: Account) => ReadonlySet<string>;
  /** What an account is about, the likeliest first. */
  readonly aboutOf: (account: Account) => readonly Meant[];
  /** The accounts that have a word in their names, or begin with its letters behind "^". */
  readonly sharing: (word: string) => readonly Account[];
  readonly ofConcept: (concept: string) => readonly Account[];
  /** Rare words tell more than those that many accounts have. */
  readonly weight: (word: string) => number;
}

const NO_WORDS: ReadonlySet<string> = new Set();
/** So many letters at the beginning of a name find those that are spelled nearly the same. */
const BEGINNING = 4;

/** How the beginning of a folded name is looked for among words. */
export const beginningOf = (name: string): string => `^${name.slice(0, BEGINNING)}`;

export const searchedChart = (chart: readonly Account[]): SearchedChart => {
  const posting = chart.filter((account) => !account.heading).sort((a, b) => a.id - b.id);
  const coded = (accounts: readonly Account[]): ReadonlyMap<string, Account> =>
    new Map(accounts.flatMap((one) => (one.code === '' ? [] : [[one.code.toLowerCase(), one] as const])));
  const byName = new Map<string, Account[]>();
  const plain = new Map<AccountId, string>();
  for (const account of posting) {
    const name = folded(account.name);
    plain.set(account.id, name);
    addTo(byName, name, account);
  }
  const held = new Map<AccountId, readonly Meant[]>();
  const about = (account: Account): readonly Meant[] => {
    const known = held.get(account.id);
    if (known !== undefined) return known;
    const made = aboutOf(account);
    held.set(account.id, made);
    return made;
  };
  const nameOf = ({ id }: Account): string => plain.get(id) ?? '';
  // Only where a code and a name together do not settle it.
  const looked = once(() => {
    const byWord = new Map<string, Account[]>();
    const byConcept = new Map<string, Account[]>();
    const words = new Map<AccountId, ReadonlySet<string>>();
    for (const account of posting) {
      const own = contentWords(account.name);
      words.set(account.id, own);
      for (const word of own) addTo(byWord, word, account);
      addTo(byWord, beginningOf(nameOf(account)), account);
      for (const { concept } of about(account)) addTo(byConcept, concept.id, account);
    }
    return { byWord, byConcept, words };
  });
  return {
    byId: new Map(chart.map((account) => [account.id, account])),
    headings: coded(chart.filter(({ heading }) => heading)),
    byCode: coded(posting),
    byName,
    nameOf,
    wordsOf: ({ id }) => looked().words.get(id) ?? NO_WORDS,
    aboutOf: about,
    sharing: (word) => looked().byWord.get(word) ?? [],
    ofConcept: (concept) => looked().byConcept.get(concept) ?? [],
    weight: (word) => Math.log(1 + posting.length / (looked().byWord.get(word)?.length ?? 0.5)),
  };
};

/** How much two names have in common, by the weight of their words: rare ones tell more than those that many accounts have. */
export const overlap = (
  { weight }: Pick<SearchedChart, 'weight'>,
  a: ReadonlySet<string>,
  b: ReadonlySet<string>,
): number => {
  let [common, all] = [0, 0];
  for (const word of a) {
    all += weight(word);
    if (b.has(word)) common += weight(word);
  }
  for (const word of b) if (!a.has(word)) all += weight(word);
  return all === 0 ? 0 : common / all;
};

/** What a concept tells of an account that is about a related one. */
const RELATED = 0.42;
/** Of related ones, that which is there for all that has no account of its own is the likeliest. */
const RELATED_TO_ALL = 0.46;
const COLLECTS = /^(?:other|sundry)-/;
/** How far an account is about what a name means: the best concept of both, as each has it. */
export const alike = (
  { aboutOf: about }: Pick<SearchedChart, 'aboutOf'>,
  meant: readonly Meant[],
  account: Account,
): { readonly score: number; readonly by: string } => {
  let best = { score: 0, by: '' };
  for (const own of about(account))
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
