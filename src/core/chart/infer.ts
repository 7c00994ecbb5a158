import { folded } from '../base/folded';
import { standsAgainst } from '../words/side-words';
import { meantBy } from '../words/concepts/recogniser';
import { quoted } from '../base/result';
import { type AccountRole, type Classification, classFacts, roleFacts, typeOf } from '../ledger/classes';
import type { Account } from './account';
import { type CodeScheme, lineByRange } from './scheme';
import { type Inferred, WORD_LINE, isBroad, lineByType } from './type-words';

export type { Inferred } from './type-words';

/** From here on what a name is about says its statement line. */
const SAYS_LINE = 0.45;
/** From here on it says a role that nobody else can have any more: "Old results" may be many things. */
const SAYS_ROLE = 0.85;
/** What every company's books need, and one account has. Others belong to parts that may be off. */
const ONE_OF_EACH: ReadonlySet<AccountRole> = new Set(['retained-earnings', 'current-year-result']);

/** A statement line by what an account's name is about, in the languages of the trade. */
export const lineByName = (name: string): Inferred | undefined => {
  const whole = WORD_LINE.get(folded(name));
  if (whole !== undefined) return { classification: whole, why: `its name says “${name.trim()}”` };
  const [first] = meantBy(name);
  if (first !== undefined && first.score >= SAYS_LINE)
    return { classification: first.concept.line, why: `its name says “${first.by}”` };
  // "Tours income": what it is of nobody knows, but not what it is.
  const words = folded(name).split(' ');
  const type = [words.at(-1), words[0]].find((word) => word !== undefined && word.length > 3 && WORD_LINE.has(word));
  const line = type === undefined ? undefined : WORD_LINE.get(type);
  return line === undefined ? undefined : { classification: line, why: `its name says “${type ?? ''}”` };
};

/** Whether an account of this name stands against the others of its statement line. */
export const contraByName = (name: string, classification: Classification): boolean => {
  const type = typeOf(classification);
  return standsAgainst(name, type === 'asset' ? 'assets' : type === 'expense' ? 'costs' : 'credits');
};

/**
 * The roles of accounts that are made from a paper or a list, by what they are called in whatever language: banks have theirs, and
 * retained earnings and the year's result, without which nothing is posted, go to the only one that is called so, where none of the
 * chart has the role. Others are given on the page of roles, where a person sees what else would have them.
 *
 * @example rolesByName([{ name: 'Girokonto Wattbank', classification: 'current-asset' }, { name: 'Gewinnvortrag', classification: 'equity' }], []) // ['bank', 'retained-earnings']
 */
export const rolesByName = (
  made: readonly Pick<Account, 'name' | 'classification'>[],
  chart: readonly Account[],
): readonly (AccountRole | null)[] => {
  const held = new Set(chart.flatMap(({ role }) => role ?? []));
  const meant = made.map(({ name, classification }): AccountRole | null => {
    const [first] = meantBy(name);
    const role = first?.concept.role;
    if (first === undefined || role == null) return null;
    if (!roleFacts(role).types.includes(typeOf(classification))) return null;
    if (role === 'bank') return first.score >= SAYS_LINE ? role : null;
    return ONE_OF_EACH.has(role) && first.score >= SAYS_ROLE && !held.has(role) ? role : null;
  });
  const count = new Map<AccountRole, number>();
  for (const role of meant) if (role !== null) count.set(role, (count.get(role) ?? 0) + 1);
  return meant.map((role) => (role === 'bank' || role === null || count.get(role) === 1 ? role : null));
};

/**
 * The statement line of an account out of what is known about it, best evidence first: the word for its type, its heading,
 * the range of its code, its name, and accounts with codes like its own.
 */
export const inferLine = (
  account: {
    readonly code: string;
    readonly name: string;
    readonly type: string;
    readonly heading?: Classification | undefined;
  },
  scheme: CodeScheme | null,
  neighbours: ReadonlyMap<string, Classification>,
): Inferred | undefined => {
  const word = lineByType(account.type);
  const unread = word === undefined && account.type.trim() !== '';
  // "Asset" says the type only; the heading or the name may know which assets.
  const broad = word !== undefined && isBroad(account.type);
  if (word !== undefined && !broad) return word;
  const narrower = [
    account.heading === undefined
      ? undefined
      : {
          classification: account.heading,
          why: `its heading is of ${classFacts(account.heading).label.toLowerCase()}`,
        },
    byRange(account.code, scheme),
    lineByName(account.name),
  ].find(
    (one) =>
      one !== undefined &&
      (word === undefined || classFacts(one.classification).type === classFacts(word.classification).type),
  );
  if (narrower !== undefined)
    return word === undefined
      ? guessed(narrower, unread, account.type)
      : { classification: narrower.classification, why: `${word.why} and ${narrower.why}` };
  if (word !== undefined) return word;
  const near = neighbours.get(account.code.slice(0, 2));
  return near === undefined || account.code.length < 3
    ? undefined
    : guessed(
        {
          classification: near,
          why: `accounts with codes like ${account.code.slice(0, 2)}… are ${classFacts(near).label.toLowerCase()}`,
        },
        unread,
        account.type,
      );
};

/** What is inferred beside a type that was not understood is a guess, and says so. */
const guessed = (found: Inferred, unread: boolean, type: string): Inferred =>
  unread
    ? { ...found, why: `a guess: its type says ${quoted(type.trim())}, which was not understood, but ${found.why}` }
    : found;

const byRange = (code: string, scheme: CodeScheme | null): Inferred | undefined => {
  const line = lineByRange(scheme, code);
  return line === undefined
    ? undefined
    : { classification: line, why: `its code ${code} lies in the range of ${classFacts(line).label.toLowerCase()}` };
};
