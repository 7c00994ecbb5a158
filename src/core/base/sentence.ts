import type { IsoDate } from './iso-date';
import { PLAIN_DATES, writeStyled } from './date-style';

/** A value in a sentence: a calendar date (`YYYY-MM-DD`), or a number as decimal text with a point and no grouping. */
export type Told = { readonly date: IsoDate } | { readonly number: string };

/**
 * A sentence as data: text, and between it values that are written in the style of the books when somebody reads it. So a sentence
 * that is kept, in the history, follows a style that is chosen later.
 */
export type Sentence = readonly (string | Told)[];

/** How values in sentences are written for somebody. */
export interface Writing {
  readonly date: (iso: string) => string;
  readonly number: (decimal: string) => string;
}

/** Without books: dates that no country reads wrongly, numbers with a point. */
export const PLAIN_WRITING: Writing = { date: (iso) => writeStyled(iso, PLAIN_DATES), number: (decimal) => decimal };

/** A date in a sentence: `YYYY-MM-DD`, or what is written so. */
export const dated = (date: IsoDate | { readonly toString: () => IsoDate }): Told => ({
  date: typeof date === 'string' ? date : date.toString(),
});

/**
 * A sentence from a template; text in it stays text, dates and numbers stay data, sentences are taken in whole.
 *
 * @example tell(say`The books open on ${dated('2026-08-01')}.`, PLAIN_WRITING) // "The books open on 1 Aug 2026."
 */
export const say = (
  texts: TemplateStringsArray,
  ...values: readonly (string | number | Told | Sentence)[]
): Sentence => {
  const pieces = texts.flatMap((text, at): Sentence => {
    const value = values[at];
    if (value === undefined) return [text];
    if (typeof value === 'string' || typeof value === 'number') return [text, String(value)];
    return [text, ...('length' in value ? value : [value])];
  });
  return joined(pieces);
};

/** Text beside text is one text, and none is left out. */
const joined = (pieces: Sentence): Sentence => {
  const whole: (string | Told)[] = [];
  for (const piece of pieces) {
    const last = whole.at(-1);
    if (typeof piece === 'string' && typeof last === 'string') whole[whole.length - 1] = last + piece;
    else if (piece !== '') whole.push(piece);
  }
  return whole;
};

/** Sentences, or parts of one, one after the other with something between. */
export const listed = (sentences: readonly Sentence[], between: string): Sentence =>
  joined(sentences.flatMap((sentence, at) => (at === 0 ? sentence : [between, ...sentence])));

/** The sentence as somebody reads it. */
export const tell = (sentence: string | Sentence, writing: Writing): string =>
  (typeof sentence === 'string' ? [sentence] : sentence)
    .map((piece) => {
      if (typeof piece === 'string') return piece;
      return 'date' in piece ? writing.date(piece.date) : writing.number(piece.number);
    })
    .join('');
