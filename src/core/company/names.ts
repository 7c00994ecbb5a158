import { distance } from 'fastest-levenshtein';

/** Names as people compare them: case, accents, punctuation and legal endings do not tell two companies apart. */
export const comparableName = (name: string): string =>
  name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/&/g, ' and ')
    .replace(/\b(the|ltd|limited|plc|llp|llc|inc|gmbh|ag|sro|s r o|co|company|co operative|cooperative)\b/g, ' ')
    .replace(/[^\p{L}\p{N}]+/gu, '');

export interface NameTwin<B> {
  readonly other: B;
  /** Why the two read alike, as the end of a sentence. */
  readonly why: string;
}

/**
 * The other books whose name reads the same or nearly so, the closest first, so that a client is not set up twice by
 * mistake: equal apart from case, accents, punctuation and legal ending; or one letter apart in every six, at most three;
 * or the same words in another order.
 */
export const similarNames = <B extends { readonly name: string }>(
  name: string,
  others: readonly B[],
): readonly NameTwin<B>[] => {
  const wanted = comparableName(name);
  if (wanted === '') return [];
  const words = (text: string): string =>
    text
      .toLowerCase()
      .split(/[^\p{L}\p{N}]+/u)
      .filter((word) => comparableName(word) !== '' && word !== 'and')
      .sort()
      .join(' ');
  const own = words(name);
  return others
    .flatMap((other): (NameTwin<B> & { readonly far: number })[] => {
      const theirs = comparableName(other.name);
      if (theirs === '') return [];
      if (theirs === wanted) return [{ other, why: 'the same but for spelling', far: 0 }];
      if (own.includes(' ') && words(other.name) === own)
        return [{ other, why: 'the same words in another order', far: 1 }];
      const most = Math.min(3, Math.floor(Math.min(wanted.length, theirs.length) / 6));
      if (Math.abs(theirs.length - wanted.length) > most) return [];
      const far = distance(wanted, theirs);
      return far <= most ? [{ other, why: far === 1 ? 'one letter apart' : `${far} letters apart`, far }] : [];
    })
    .sort((a, b) => a.far - b.far)
    .map(({ other, why }) => ({ other, why }));
};
