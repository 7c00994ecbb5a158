/** Characters of a text that are folded: no word is longer, and accents upon accents take their square to be put in order. */
const MOST_FOLDED = 600;

const BEYOND_ASCII = /[^\0-\x7f]/;

/** Letters that are not made of a letter and an accent. */
const LETTERS: Readonly<Record<string, string>> = {
  ł: 'l',
  ı: 'i',
  ø: 'o',
  œ: 'oe',
  đ: 'd',
  ð: 'd',
  ß: 'ss',
  æ: 'ae',
  þ: 'th', // prettier-ignore
};

const withoutAccents = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/[łıøœđðßæþ]/g, (letter) => LETTERS[letter] ?? letter);

/** Single characters that spaces spread over the width of a column, as in "合 計". */
const SPREAD = /(?<!\S)[\p{sc=Han}\p{sc=Hangul}](?:\s+[\p{sc=Han}\p{sc=Hangul}](?!\S))+/gu;

const BEYOND_LATIN = /[^\0-\u02ff]/;

/**
 * Accents, case, spaces and punctuation do not tell two words apart: "Má dáti" and "ma dati" are one.
 *
 * @example folded('Über-Łódź') // 'uber lodz'
 */
export const folded = (text: string): string => {
  const short = text.length > MOST_FOLDED ? text.slice(0, MOST_FOLDED) : text;
  const words = (BEYOND_ASCII.test(short) ? withoutAccents(short) : short.toLowerCase())
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
  return BEYOND_LATIN.test(words) ? words.replace(SPREAD, (spread) => spread.replaceAll(' ', '')) : words;
};
