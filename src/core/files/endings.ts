import { isCurrency } from '../money/currency';
import { type Most, type Split, linesIn } from './split';

/*
 * Notes as somebody types them: lines that each end with an amount, a blank or a colon behind what it is of, and perhaps with the side
 * that it is on ("Bank 1,250.00 DR"); or with several amounts, as many in each.
 */

/** A number, with its sign, brackets and the sign of a currency. */
const NUMBER = /^[-+(]{0,2}\p{Sc}?[-+(]{0,2}\d[\d.,'’]{0,30}\)?-?\p{Sc}?$/u;
/** The beginning of a number whose groups are parted by blanks, and what may follow it. */
const BEGUN = /^[-+(]{0,2}\p{Sc}?[-+(]{0,2}\d{1,3}$/u;
const GROUP = /^\d{3}(?:\D|$)/;
const SIDE = /^(?:dr|cr|db|d|c|s|h|debit|credit|soll|haben|debet|kredit)\.?$/i;
const isUnit = (word: string): boolean => /^\p{Sc}$/u.test(word) || isCurrency(word);
/** An amount that is whole by itself: only such ones stand behind each other. */
const WHOLE = /\d[.,]\d{2}\)?-?$/;
const SIGN = /^[-+(]{1,2}$/;
const BULLET = /^[-–*•·>]$/;
/** Behind what an amount is of. */
const LEADER = /[\s:=.…_]/u;

const LOOKED_AT = 3000;
const MOST_LINE = 200;
/** So many of the lines end so, of their names so many have a word, and of their amounts so many look like money. */
const [ENDING, WORDED, MONEY] = [0.6, 0.9, 0.5] as const;
/** Of so many of the names no comma is a part: it would part cells. */
const PLAIN = 0.8;
const FEWEST = 2;

const isMoney = (amount: string): boolean => /\d[.,]\d{2}(?!\d)|\p{Sc}|\d['’., ]\d{3}/u.test(amount);

/** What stands at the end of a line, and what it is of; undefined where no amount stands there. */
const endingOf = (line: string): { readonly name: string; readonly amounts: readonly string[] } | undefined => {
  if (line.length > MOST_LINE) return undefined;
  const said = line.trim().split(/\s+/);
  const words = said.length > 2 && BULLET.test(said[0] ?? '') ? said.slice(1) : said;
  let from = words.length;
  const word = (): string => (from > 1 ? (words[from - 1] ?? '') : '');
  if (SIDE.test(word())) from -= 1;
  if (isUnit(word())) from -= 1;
  if (!NUMBER.test(word())) return undefined;
  from -= 1;
  while (GROUP.test(words[from] ?? '') && BEGUN.test(word())) from -= 1;
  if (isUnit(word())) from -= 1;
  if (SIGN.test(word())) from -= 1;
  const amounts = [words.slice(from).join(' ')];
  while (WHOLE.test(amounts[0] ?? '') && NUMBER.test(word()) && WHOLE.test(word())) {
    from -= 1;
    amounts.unshift(words[from] ?? '');
  }
  let name = words.slice(0, from).join(' ');
  while (name !== '' && LEADER.test(name.at(-1) ?? '')) name = name.slice(0, -1);
  return name === '' ? undefined : { name, amounts };
};

/** Whether most lines end with an amount, behind a name, and nothing else parts the two. */
export const looksLikeEndings = (text: string): boolean => {
  const lines = linesIn(text)
    .slice(0, LOOKED_AT)
    .filter((line) => line.trim() !== '');
  if (lines.some((line) => /[;|\t]/.test(line))) return false;
  const found = lines.flatMap((line) => {
    const ending = endingOf(line);
    return ending === undefined ? [] : [ending];
  });
  const count = (is: (ending: (typeof found)[number]) => boolean): number => found.filter(is).length;
  return (
    found.length >= Math.max(FEWEST, lines.length * ENDING) &&
    new Set(found.map(({ amounts }) => amounts.length)).size === 1 &&
    count(({ name }) => /\p{L}{2}/u.test(name)) >= found.length * WORDED &&
    count(({ amounts }) => amounts.some(isMoney)) >= found.length * MONEY &&
    count(({ name }) => !name.includes(',')) >= found.length * PLAIN
  );
};

/** Each line with amounts at its end as cells of their own, the titles above them likewise; other lines as one cell. */
export const splitEndings = (text: string, most: Most): Split => {
  const lines = linesIn(text);
  if (lines.length > most.rows) return { rows: [], openQuotes: [], past: 'rows' };
  const found = lines.map(endingOf);
  const first = found.findIndex((ending) => ending !== undefined);
  const several = found[first]?.amounts.length ?? 1;
  if (lines.length * (several + 1) > most.cells) return { rows: [], openQuotes: [], past: 'cells' };
  const titles = (line: string): string[] => {
    const words = line.trim().split(/\s+/);
    return several > 1 && words.length > several && !/\d/.test(line)
      ? [words.slice(0, -several).join(' '), ...words.slice(-several)]
      : [line];
  };
  return {
    rows: lines.map((line, at) => {
      const ending = found[at];
      return ending === undefined ? (at === first - 1 ? titles(line) : [line]) : [ending.name, ...ending.amounts];
    }),
    openQuotes: [],
  };
};
