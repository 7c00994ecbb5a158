import { PLAIN_WRITING, type Sentence, type Told, type Writing, say, tell } from './sentence';

/**
 * Where in what was given a problem is: names of fields, places in lists, numbers of accounts and rows, from the outside in, as the
 * paths of zod's issues are.
 */
export type Path = readonly (string | number)[];

/**
 * Something a person has to know or decide, as data: bad input is a result, never an exception.
 * `code` is stable (tests and callers branch on it); `message` is the sentence shown at what `path` leads to, or at the
 * top of the sheet when there is no path. A message names the thing, the reason and the way out.
 */
export interface Problem {
  readonly code: string;
  readonly message: string;
  /** The sentence as data, where there are dates or numbers in it; the message is then the same for somebody without books. */
  readonly sentence?: Sentence;
  readonly path?: Path;
}

export type Result<T> =
  | {
      readonly ok: true;
      readonly value: T;
      /** The books that were changed for it, and as which revision of theirs. */
      readonly left?: Revised;
    }
  | { readonly ok: false; readonly problems: readonly Problem[] };

/** A set of books at one of its revisions: every change makes the next. */
export interface Revised {
  readonly id: number;
  readonly revision: number;
}

export const ok = <T>(value: T): Result<T> => ({ ok: true, value });

export const fail = (...problems: readonly Problem[]): Result<never> => ({ ok: false, problems });

/** An undefined step of the path is none. */
export const problem = (
  code: string,
  says: string | Sentence,
  ...path: readonly (Path[number] | undefined)[]
): Problem =>
  under(
    typeof says === 'string' ? { code, message: says } : { code, message: tell(says, PLAIN_WRITING), sentence: says },
    ...path,
  );

/** A problem as it is told to somebody who writes dates and numbers so. */
export const toldIn = ({ sentence, ...rest }: Problem, writing: Writing): Problem =>
  sentence === undefined ? rest : { ...rest, message: tell(sentence, writing) };

/** A problem of a part, told of the whole: its path goes on from the given one. */
export const under = ({ path = [], ...rest }: Problem, ...outer: readonly (Path[number] | undefined)[]): Problem => {
  const whole = [...outer.filter((step) => step !== undefined), ...path];
  return whole.length === 0 ? rest : { ...rest, path: whole };
};

/** A problem of the whole, told of the part that its path begins with. */
export const inside = ({ path = [], ...rest }: Problem): Problem =>
  path.length < 2 ? rest : { ...rest, path: path.slice(1) };

/** Whether a problem is at exactly this path. */
export const isAt = ({ path = [] }: Problem, ...steps: Path): boolean =>
  path.length === steps.length && isWithin({ path }, ...steps);

/** Whether a problem's path begins with these steps. */
export const isWithin = ({ path = [] }: Pick<Problem, 'path'>, ...steps: Path): boolean =>
  path.length >= steps.length && steps.every((step, at) => String(path[at]) === String(step));

/**
 * Two people in one value: what stands by now and what was to be put there, in one sentence everywhere.
 *
 * @example clash('account.clash', 'The name of 1010 Bank', '“Main bank”', '“House bank”', 1010, 'name').path // [1010, 'name']
 */
export const clash = (
  code: string,
  what: string,
  stands: string | Told,
  yours: string | Told,
  ...path: Path
): Problem =>
  problem(
    code,
    say`${what} was changed by somebody else meanwhile: it is now ${stands}, and yours is ${yours}. Nothing was overwritten; look at it, then change it again to put yours in its place.`,
    ...path,
  );

/** Quotes what somebody typed inside a sentence, cut so that a pasted novel does not become the message. */
export const quoted = (text: string): string => {
  const one = text.replace(/\s+/g, ' ').trim();
  return `“${one.length > 60 ? `${one.slice(0, 57)}…` : one}”`;
};

/**
 * A word with its article.
 *
 * @example [withArticle('expense'), withArticle('liability')] // ['an expense', 'a liability']
 */
export const withArticle = (word: string): string => `${/^[aeiou]/i.test(word) ? 'an' : 'a'} ${word}`;

/** `plural(1, 'row')` is "1 row", `plural(2, 'row')` is "2 rows". */
export const plural = (count: number, one: string, many = `${one}s`): string => `${count} ${count === 1 ? one : many}`;
