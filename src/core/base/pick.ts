import { folded } from './folded';

/** Something that can be picked from a list, as it is looked for. */
export interface Pickable {
  /** Short and told apart: the code of an account or a contact. */
  readonly code: string;
  readonly name: string;
  /** Further words by which it may be looked for; they count least. */
  readonly more?: string;
}

/** What is looked for in, folded once. */
export interface Prepared<T extends Pickable> {
  readonly one: T;
  readonly code: string;
  readonly name: string;
  readonly words: string;
}

export const prepared = <T extends Pickable>(all: readonly T[]): readonly Prepared<T>[] =>
  all.map((one) => {
    const [code, name] = [folded(one.code), folded(one.name)];
    return { one, code, name, words: ` ${code} ${name} ${folded(one.more ?? '')}` };
  });

const rank = (
  { code, name, words }: Prepared<Pickable>,
  asked: string,
  parts: readonly string[],
): number | undefined => {
  if (code === asked || name === asked || `${code} ${name}` === asked) return 0;
  if (code.startsWith(asked)) return 1;
  if (name.startsWith(asked)) return 2;
  if (parts.every((part) => words.includes(` ${part}`))) return 3;
  return parts.every((part) => words.includes(part)) ? 4 : undefined;
};

/**
 * The best of what a text may mean, without regard to accents, capitals and punctuation: what is called exactly so, then what begins
 * with it, then what has a word that begins with each of its words, then what has them anywhere; alike in the order given. A text
 * without letters or digits means everything.
 *
 * @example pick(prepared([{ code: '1', name: 'Sale' }, { code: '2', name: 'Über Sales' }]), 'uber', 9).found.map(({ code }) => code) // ['2']
 */
export const pick = <T extends Pickable>(
  all: readonly Prepared<T>[],
  text: string,
  most: number,
): { readonly found: readonly T[]; readonly more: number } => {
  const asked = folded(text);
  if (asked === '') return { found: all.slice(0, most).map(({ one }) => one), more: Math.max(0, all.length - most) };
  const parts = asked.split(' ');
  const ranked: T[][] = [[], [], [], [], []];
  for (const one of all) {
    const at = rank(one, asked, parts);
    if (at !== undefined) ranked[at]?.push(one.one);
  }
  const found = ranked.flat();
  return { found: found.slice(0, most), more: Math.max(0, found.length - most) };
};

/** The only one that a text names exactly, by code, by name or by both; undefined where none or several are called so. */
export const named = <T extends Pickable>(all: readonly Prepared<T>[], text: string): T | undefined => {
  const asked = folded(text);
  const found = asked === '' ? [] : all.filter((one) => rank(one, asked, [asked]) === 0);
  const [only, ...others] = found.length > 1 ? found.filter(({ code }) => code === asked) : found;
  return others.length === 0 ? only?.one : undefined;
};
