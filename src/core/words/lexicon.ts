import { folded } from './folded';

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

export const lexicon = (...lists: readonly string[]): Lexicon => {
  const whole = new Map<string, string>();
  const phrases: string[] = [];
  const starts: string[] = [];
  const ends: string[] = [];
  const anywhere: string[] = [];
  for (const raw of lists.join(',').split(',')) {
    const term = folded(raw.replaceAll('*', ''));
    if (term === '') continue;
    if (UNSPACED.test(term)) anywhere.push(term);
    else if (raw.trim().endsWith('*')) starts.push(term);
    else if (raw.trim().startsWith('*')) ends.push(term);
    else if (term.includes(' ')) phrases.push(term);
    else whole.set(term, term);
  }
  const find = (text: string): string | undefined => {
    let found: string | undefined;
    const offer = (term: string): void => {
      if (found === undefined || term.length > found.length) found = term;
    };
    for (const word of text.split(' ')) {
      if (whole.has(word)) offer(word);
      for (const start of starts) if (word.startsWith(start)) offer(start);
      for (const end of ends) if (word.endsWith(end)) offer(end);
    }
    if (phrases.length > 0) {
      const padded = ` ${text} `;
      for (const phrase of phrases) if (padded.includes(` ${phrase} `)) offer(phrase);
    }
    for (const term of anywhere) if (text.includes(term)) offer(term);
    return found;
  };
  const all = new Set([...whole.keys(), ...phrases, ...anywhere, ...starts]);
  return { in: find, is: (text) => all.has(text) };
};
