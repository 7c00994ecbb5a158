import { folded } from '../base/folded';

/**
 * Terms as somebody writes them, parted by commas. A plain term is met as a whole word or phrase; `term*` as the beginning of a
 * word; `*term` as its end, as languages that write words together need. Languages without spaces are met anywhere.
 */
export interface Lexicon {
  /** The longest term of the list that a text has in it, or undefined. The text is folded already. */
  readonly in: (folded: string) => string | undefined;
  /** Whether the whole text is one of the terms. */
  readonly is: (folded: string) => boolean;
}

/** Scripts whose words stand without spaces between them. */
const UNSPACED = /[\p{sc=Han}\p{sc=Hiragana}\p{sc=Katakana}\p{sc=Hangul}\p{sc=Thai}]/u;

/** Terms by a short key, so that few are compared with each word. */
class Index {
  readonly #terms = new Map<string, string[]>();

  constructor(readonly key: (text: string) => string) {}

  add(term: string): void {
    const key = this.key(term);
    this.#terms.set(key, [...(this.#terms.get(key) ?? []), term]);
  }

  under(text: string): readonly string[] {
    return this.#terms.size === 0 ? [] : (this.#terms.get(this.key(text)) ?? []);
  }
}

export const lexicon = (...lists: readonly string[]): Lexicon => {
  const whole = new Set<string>();
  // By their first word: a term of one word and a word of a text are their own first.
  const phrases = new Index((text) => text.split(' ', 1)[0] ?? '');
  const starts = new Index((text) => text.slice(0, 2));
  const ends = new Index((text) => text.slice(-2));
  const anywhere: string[] = [];
  const all = new Set<string>();
  for (const raw of lists.join(',').split(',')) {
    const term = folded(raw.replaceAll('*', ''));
    if (term === '') continue;
    if (!raw.trim().startsWith('*')) all.add(term);
    if (UNSPACED.test(term)) anywhere.push(term);
    else if (raw.trim().endsWith('*')) starts.add(term);
    else if (raw.trim().startsWith('*')) ends.add(term);
    else if (term.includes(' ')) phrases.add(term);
    else whole.add(term);
  }
  const longer = (found: string | undefined, term: string): string =>
    found === undefined || term.length > found.length ? term : found;
  const find = (text: string): string | undefined => {
    let found: string | undefined;
    for (let from = 0; from < text.length;) {
      const space = text.indexOf(' ', from);
      const to = space < 0 ? text.length : space;
      const word = text.slice(from, to);
      if (whole.has(word)) found = longer(found, word);
      for (const start of starts.under(word)) if (word.startsWith(start)) found = longer(found, start);
      for (const end of ends.under(word)) if (word.endsWith(end)) found = longer(found, end);
      if (space > 0)
        for (const phrase of phrases.under(word)) {
          const behind = from + phrase.length;
          if (text.startsWith(phrase, from) && (behind === text.length || text[behind] === ' '))
            found = longer(found, phrase);
        }
      from = to + 1;
    }
    if (anywhere.length > 0 && UNSPACED.test(text))
      for (const term of anywhere) if (text.includes(term)) found = longer(found, term);
    return found;
  };
  return { in: find, is: (text) => all.has(text) };
};
