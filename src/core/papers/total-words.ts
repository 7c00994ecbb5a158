import { folded } from '../base/folded';
import { CARRIED, DIFFERENCE, RESULT, SMALL, TOTAL } from '../words/paper-words';
import { isSectionName } from '../words/side-words';

const MOST_NAME = 300;

/** What is left of a text without the words of totals and small words. */
const beyond = (words: string): string =>
  words
    .split(' ')
    .filter((word) => TOTAL.in(word) === undefined && !SMALL.is(word) && !/^\d+$/.test(word))
    .join(' ');

/** How much a text says that its row is a total: 2 where it says nothing else, 1 where other words stand beside it. */
export const totalWords = (text: string, headings: ReadonlySet<string>): 0 | 1 | 2 => {
  if (text === '' || text.length > MOST_NAME || /^['"]?[=+@]/.test(text)) return 0;
  const words = folded(text);
  if (CARRIED.is(words) || DIFFERENCE.is(words)) return 2;
  const first = words.split(' ', 1)[0] ?? '';
  const last = words.slice(words.lastIndexOf(' ') + 1);
  const total = TOTAL.in(words);
  if (total === undefined) return CARRIED.in(words) === undefined ? 0 : 1;
  const edge =
    words.startsWith(total) || words.endsWith(total) || TOTAL.in(first) !== undefined || TOTAL.in(last) !== undefined;
  if (!edge) return 0;
  const rest = beyond(` ${words} `.replace(` ${total} `, ' ').trim());
  return rest === '' || headings.has(rest) || isSectionName(rest) ? 2 : 1;
};

/** What the rows of a list are the totals of, by their words: "Total fixed assets" is that of the heading "Fixed assets". */
export const totalled = (names: readonly string[]): ReadonlySet<string> => {
  const found = new Set<string>();
  for (const name of names) {
    if (name.length > MOST_NAME) continue;
    const words = folded(name);
    const total = TOTAL.in(words);
    if (total === undefined || !(words.startsWith(`${total} `) || words.endsWith(` ${total}`))) continue;
    found.add(` ${words} `.replace(` ${total} `, ' ').trim());
  }
  return found;
};

/** Whether the words of a row are those of the year's result as the old system works it out. */
export const isResult = (name: string): boolean => name.length <= MOST_NAME && RESULT.in(folded(name)) !== undefined;
