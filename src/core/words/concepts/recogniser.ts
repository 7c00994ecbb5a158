import { addTo } from '../../base/lists';
import { distance } from 'fastest-levenshtein';
import type { Side } from '../../money/minor';
import { folded } from '../../base/folded';
import { once } from '../../base/once';
import { ASSETS } from './assets';
import type { Concept } from './concept';
import { EAST } from './east';
import { EVERYDAY } from './everyday';
import { LIABILITIES } from './liabilities';
import { MORE } from './more';
import { RESULTS } from './results';

const UNSPACED = /[\p{sc=Han}\p{sc=Hiragana}\p{sc=Katakana}\p{sc=Hangul}ー]/u;

/** Scripts that part no words: each two characters that stand together are one, and each that stands alone. */
const pairs = (word: string): readonly string[] => {
  const characters = Array.from(word);
  return characters.length < 2
    ? [word]
    : characters.slice(1).map((character, at) => `${characters[at] ?? ''}${character}`);
};

const words = (text: string): readonly string[] =>
  folded(text)
    .split(' ')
    .filter((word) => word !== '' && !SILENT.has(word))
    .flatMap((word) => (UNSPACED.test(word) ? pairs(word) : [word]));

/** Words that say nothing about which account is meant. */
const SILENT: ReadonlySet<string> = new Set(
  'of the and for to in on at with by an from de des du la le les et en el los las del y e da do dos das di dei delle della il lo gli van het een der die das den dem und fur aus mit og och ja i z w na ze po av af til till fra fran pa za s v k u ve ile account accounts acct accts konto konta cuenta conto compte cpte'.split(
    ' ',
  ),
);

/** The words of a name that say which account is meant. */
export const contentWords = (name: string): ReadonlySet<string> => new Set(words(name.slice(0, MOST_NAME)));

const MOST_NAME = 200;

/** The concepts with the words of their terms; made when the first name is looked at. */
export const concepts = once((): readonly Concept[] =>
  [...ASSETS, ...LIABILITIES, ...RESULTS].map(([id, line, side, role, terms]) => ({
    id,
    line,
    side,
    role: role === '' ? null : role,
    terms: [terms, MORE[id], EAST[id], EVERYDAY[id]]
      .join(';')
      .split(/[,;]/)
      .map((term) => [...new Set(words(term))])
      .filter((term) => term.length > 0),
  })),
);

/** Concepts that may as well stand on the other side. */
const EITHER: ReadonlySet<string> = new Set(
  'exchange-realised exchange-unrealised disposals rounding opening-suspense retained-earnings current-year-result tax-settlement stock-change directors-loan bank cash-in-transit deferred-tax capital-introduced'.split(
    ' ',
  ),
);

/** Words that only what loses its value has: an account that has one is not what the asset cost. */
const losesValue = once((): ReadonlySet<string> => {
  const wordsOf = (test: (id: string) => boolean): ReadonlySet<string> =>
    new Set(concepts().flatMap(({ id, terms }) => (test(id) ? terms.flat() : [])));
  const losing = wordsOf(
    (id) => id.endsWith('-depreciation') || id === 'depreciation-charge' || id === 'amortisation-charge',
  );
  const others = wordsOf((id) => id.endsWith('-cost') || id === 'fixed-assets-in-progress' || id === 'prepayments');
  // What assets are called has the same beginnings in other cases and numbers.
  const beginnings = new Set([...others].map((word) => word.slice(0, 4)));
  return new Set([...losing].filter((word) => word.length > 3 && !beginnings.has(word.slice(0, 4))));
});

interface Posting {
  readonly concept: number;
  readonly term: number;
}

/** Every word of the terms, with where it stands and how rare it is. */
const index = once(() => {
  const postings = new Map<string, Posting[]>();
  const seenIn = new Map<string, Set<number>>();
  concepts().forEach(({ terms }, concept) => {
    terms.forEach((term, at) => {
      for (const word of new Set(term)) {
        addTo(postings, word, { concept, term: at });
        const seen = seenIn.get(word) ?? new Set<number>();
        seen.add(concept);
        seenIn.set(word, seen);
      }
    });
  });
  const byStart = new Map<string, string[]>();
  for (const word of postings.keys()) {
    const start = word.slice(0, 1);
    byStart.set(start, [...(byStart.get(start) ?? []), word]);
  }
  return { postings, seenIn, byStart };
});

const UNKNOWN_WEIGHT = 1.2;

/** How much a word tells: the rarer among the concepts, the more. */
const weightOf = (word: string): number => {
  const seen = index().seenIn.get(word)?.size;
  const weight = seen === undefined ? UNKNOWN_WEIGHT : Math.log(1 + concepts().length / seen);
  return word.length === 1 ? weight * 0.5 : /^\d+$/.test(word) ? 0.3 : weight;
};

const isWithin = (short: string, long: string): boolean => {
  let at = 0;
  for (const letter of long) if (letter === short[at]) at += 1;
  return at === short.length;
};

/** How well a word stands for another: itself, its plural, its beginning, its consonants, or with a letter wrong. */
const likeness = (word: string, known: string): number => {
  if (word === known) return 1;
  const [short, long] = word.length < known.length ? [word, known] : [known, word];
  if (short.length >= 4 && long.startsWith(short) && long.length - short.length <= 2) return 0.95;
  if (word.length >= 3 && known.startsWith(word)) return word.length >= 5 ? 0.85 : word.length === 4 ? 0.8 : 0.7;
  if (known.length >= 5 && word.length >= 8 && word.startsWith(known)) return 0.7;
  if (word.length >= 5 && known.length >= 5 && Math.abs(word.length - known.length) <= 2) {
    const away = distance(word, known);
    if (away <= (known.length >= 9 ? 2 : 1)) return 0.85;
  }
  // Letters are left out of long words, vowels first.
  const vowels = word.match(/[aeiouy]/g)?.length ?? 0;
  if (
    word.length >= 3 &&
    word.length <= known.length * 0.75 &&
    (vowels <= 1 || word.length >= 6) &&
    word.at(-1) === known.at(-1) &&
    isWithin(word, known)
  )
    return 0.65;
  if (word.length >= 4 && word.length <= known.length * 0.75 && !/[aeiou]/.test(word.slice(1)) && isWithin(word, known))
    return 0.6;
  return 0;
};

const MOST_HELD = 20_000;
const held = new Map<string, readonly (readonly [word: string, quality: number])[]>();

/** The known words that a word may be. */
const knownLike = (word: string): readonly (readonly [word: string, quality: number])[] => {
  const before = held.get(word);
  if (before !== undefined) return before;
  const found: (readonly [string, number])[] = [];
  for (const known of index().byStart.get(word.slice(0, 1)) ?? []) {
    const quality = likeness(word, known);
    // A long word that is known stands for itself and its plural only; a short one may be an abbreviation too.
    if (quality > (word.length >= 5 && index().postings.has(word) ? 0.9 : 0)) found.push([known, quality]);
  }
  // Languages that write words together end them with what is meant.
  if (word.length >= 8 && !found.some(([, quality]) => quality >= 0.9))
    for (let from = 3; from <= word.length - 4; from += 1) {
      const end = word.slice(from);
      if (index().postings.has(end)) {
        found.push([end, 0.75]);
        break;
      }
    }
  if (held.size > MOST_HELD) held.clear();
  held.set(word, found);
  return found;
};

export interface Meant {
  readonly concept: Concept;
  /** 0 to 1. */
  readonly score: number;
  /** The words of the concept that the name has. */
  readonly by: string;
}

const MOST_MEANT = 8;

/**
 * What an account of a name is about, the likeliest first. `side` is that of its balance, where known: it parts what is
 * accumulated from what is charged, and what is owed from what is spent.
 */
export const meantBy = (name: string, side?: Side): readonly Meant[] => {
  const own = words(name.slice(0, MOST_NAME));
  if (own.length === 0) return [];
  const total = own.reduce((sum, word) => sum + weightOf(knownLike(word)[0]?.[0] ?? word), 0);
  /** Per term, the best quality for each of its words, and which words of the name stand for them. */
  const hits = new Map<
    string,
    {
      readonly concept: number;
      readonly term: number;
      readonly words: Map<string, number>;
      readonly used: Map<number, number>;
    }
  >();
  own.forEach((word, at) => {
    for (const [known, quality] of knownLike(word))
      for (const { concept, term } of index().postings.get(known) ?? []) {
        const key = `${String(concept)}/${String(term)}`;
        const hit = hits.get(key) ?? {
          concept,
          term,
          words: new Map<string, number>(),
          used: new Map<number, number>(),
        };
        if ((hit.words.get(known) ?? 0) < quality) hit.words.set(known, quality);
        if ((hit.used.get(at) ?? 0) < quality) hit.used.set(at, quality);
        hits.set(key, hit);
      }
  });
  const loses = own.some((word) =>
    knownLike(word).some(([known, quality]) => quality >= 0.7 && losesValue().has(known)),
  );
  const best = new Map<number, { score: number; by: string }>();
  for (const { concept, term, words: found, used } of hits.values()) {
    const wanted = concepts()[concept]?.terms[term] ?? [];
    const all = wanted.reduce((sum, word) => sum + weightOf(word), 0);
    let matched = 0;
    for (const [word, quality] of found) matched += weightOf(word) * quality;
    let covered = 0;
    for (const [at, quality] of used) covered += weightOf(knownLike(own[at] ?? '')[0]?.[0] ?? own[at] ?? '') * quality;
    const recall = Math.min(1, matched / all);
    const precision = total === 0 ? 0 : Math.min(1, covered / total);
    const score = recall * (0.35 + 0.65 * precision);
    if (score > (best.get(concept)?.score ?? 0)) best.set(concept, { score, by: [...found.keys()].join(' ') });
  }
  return [...best]
    .flatMap(([at, { score, by }]): Meant[] => {
      const concept = concepts()[at];
      if (concept === undefined) return [];
      const against = side !== undefined && side !== concept.side && !EITHER.has(concept.id);
      const cost = loses && concept.id.endsWith('-cost');
      return [{ concept, score: score * (against ? 0.45 : 1) * (cost ? 0.5 : 1), by }];
    })
    .filter(({ score }) => score > 0.12)
    .sort((a, b) => b.score - a.score)
    .slice(0, MOST_MEANT);
};

/** Concepts that are kept on one account where a chart does not part them. */
const RELATED: readonly (readonly string[])[] = [
  ['drawings', 'dividends', 'capital-introduced', 'directors-loan'],
  ['wages-payable', 'payroll-tax', 'social-security', 'pension-payable', 'accruals'],
  ['accruals', 'provisions', 'other-creditors', 'grni', 'payables'],
  ['other-creditors', 'payables', 'other-taxes'],
  ['deferred-income', 'customer-deposits', 'deferred-grants'],
  ['discounts-allowed', 'sales-returns'],
  ['discounts-received', 'purchases-goods'],
  ['carriage-inwards', 'carriage-outwards', 'purchases-goods'],
  ['purchases-goods', 'purchases-materials', 'subcontractors', 'stock-change'],
  ['raw-materials', 'work-in-progress', 'finished-goods', 'crops'],
  ['motor-fuel', 'vehicle-costs', 'travel', 'equipment-hire'],
  ['equipment-repairs', 'premises-repairs', 'small-tools', 'vehicle-costs'],
  ['employer-social', 'employer-pension', 'wages', 'directors-pay', 'staff-training'],
  ['bank', 'bank-deposit', 'bank-foreign', 'cash', 'cash-in-transit', 'overdraft'],
  ['output-tax', 'tax-settlement', 'other-taxes', 'input-tax'],
  ['payroll-tax', 'corporation-tax-payable', 'other-taxes'],
  ['long-loan', 'short-loan', 'other-loan', 'hire-purchase', 'overdraft', 'directors-loan'],
  ['share-capital', 'share-premium', 'capital-introduced', 'treasury-shares'],
  ['other-reserves', 'revaluation-reserve', 'retained-earnings', 'current-year-result'],
  ['sales-home', 'sales-export', 'sales-services'],
  ['sundry-income', 'rent-received', 'grants', 'interest-received'],
  ['plant-cost', 'fixtures-cost', 'computers-cost', 'leasehold-improvements', 'vehicles-cost'],
  ['plant-depreciation', 'fixtures-depreciation', 'computers-depreciation', 'vehicles-depreciation'],
  ['land-cost', 'leasehold-improvements', 'fixed-assets-in-progress'],
  ['depreciation-charge', 'amortisation-charge', 'disposals'],
  ['bank-charges', 'card-charges', 'interest-paid', 'exchange-realised', 'rounding'],
  ['exchange-realised', 'exchange-unrealised'],
  ['accountancy', 'legal'],
  ['telephone', 'stationery', 'software-subscriptions'],
  ['rent', 'rates-water', 'energy', 'cleaning', 'premises-repairs'],
  ['other-debtors', 'receivables', 'rent-deposit', 'supplier-advances', 'staff-loans', 'accrued-income', 'prepayments'],
  ['advertising', 'entertaining', 'travel'],
  ['sundry-expense', 'fines', 'bad-debts', 'insurance'],
];

const relatedTo: ReadonlyMap<string, ReadonlySet<string>> = (() => {
  const found = new Map<string, Set<string>>();
  for (const group of RELATED)
    for (const id of group) {
      const own = found.get(id) ?? new Set<string>();
      for (const other of group) if (other !== id) own.add(other);
      found.set(id, own);
    }
  return found;
})();

/** Whether two concepts may be one account where a chart has only one for both. */
export const areRelated = (a: string, b: string): boolean => relatedTo.get(a)?.has(b) === true;

export const relatedConcepts = (id: string): ReadonlySet<string> => relatedTo.get(id) ?? new Set();
