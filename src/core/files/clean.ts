/**
 * Characters that nobody sees and that software trips over: control characters but for tab and line ends, marks of byte
 * order and of direction, invisible spaces and soft hyphens. (Joiners stay where they join letters.)
 */
const INVISIBLE =
  // eslint-disable-next-line no-control-regex -- control characters are what is looked for
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f-\u009f\u00ad\u061c\u180e\u200b\u200e\u200f\u2028-\u202e\u2060-\u2064\u2066-\u206f\ufeff\ufff9-\ufffb]|(?<![\p{L}\p{M}])[\u200c\u200d]|[\u200c\u200d](?![\p{L}\p{M}])/gu;

/** Half of a character (a surrogate without its other half), which no encoding can write. */
const HALF = /\p{Cs}/gu;

/** Whether `cleaned` would change a text. */
export const isClean = (text: string): boolean => text.search(INVISIBLE) < 0 && text.search(HALF) < 0;

/** The text without what nobody sees; a half character becomes the replacement mark. The same again when cleaned again. */
export const cleaned = (text: string): string =>
  isClean(text) ? text : text.replace(INVISIBLE, '').replace(HALF, '\ufffd');

/** One line of text as names are: cleaned, with every run of space a single one. */
export const oneLine = (text: string): string => cleaned(text).replace(/\s+/g, ' ').trim();
