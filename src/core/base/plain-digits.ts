/** The noughts of scripts that have digits of their own: Arabic, Persian, Devanagari, Bengali, Thai, and the wide ones of East Asia. */
const NOUGHTS = [0x0660, 0x06f0, 0x0966, 0x09e6, 0x0e50, 0xff10];

const OTHER =
  /[\u0660-\u0669\u06f0-\u06f9\u0966-\u096f\u09e6-\u09ef\u0e50-\u0e59\uff08-\uff0f\uff10-\uff19\u066b\u066c]/g;

/** Marks that are written between and around such digits. */
const MARKS: Readonly<Record<string, string>> = {
  '\u066b': '.',
  '\u066c': ',',
  '（': '(',
  '）': ')',
  '＋': '+',
  '，': ',',
  '－': '-',
  '．': '.',
  '／': '/',
};

/**
 * A text with the digits of any script, and the marks written between them, as those that numbers and dates are read by.
 *
 * @example plainDigits('１，２３４．５０ ٣٠') // '1,234.50 30'
 */
export const plainDigits = (text: string): string =>
  text.replace(OTHER, (character) => {
    const code = character.charCodeAt(0);
    const nought = NOUGHTS.find((one) => code >= one && code <= one + 9);
    return nought === undefined ? (MARKS[character] ?? character) : String(code - nought);
  });

/** Whether a text has digits of another script; most are asked only this. */
export const hasOtherDigits = (text: string): boolean => {
  for (let at = 0; at < text.length; at += 1) {
    const code = text.charCodeAt(at);
    if (code >= 0x660 && NOUGHTS.some((nought) => code >= nought && code <= nought + 9)) return true;
  }
  return false;
};
