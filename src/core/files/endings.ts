import type { Most, Split } from './split';

/*
 * Notes as somebody types them: lines that each end with an amount, a blank or a colon behind what it is of, and perhaps with the side
 * that it is on ("Bank 1,250.00 DR").
 */

/** A number, with its sign, brackets and the sign of a currency. */
const NUMBER = /^[-+(]{0,2}\p{Sc}?[-+(]{0,2}\d[\d.,'’]{0,30}\)?-?\p{Sc}?$/u;
/** The beginning of a number whose groups are parted by blanks, and what may follow it. */
const BEGUN = /^[-+(]{0,2}\p{Sc}?[-+(]{0,2}\d{1,3}$/u;
const GROUP = /^\d{3}(?:\D|$)/;
const SIDE = /^(?:dr|cr|db|d|c|s|h|debit|credit|soll|haben|debet|kredit)\.?$/i;
const CURRENCY = /^(?:\p{Sc}|[A-Z]{3})$/u;
const SIGN = /^[-+(]{1,2}$/;
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

const endingOf = (line: string): readonly [name: string, amount: string] | undefined => {
  if (line.length > MOST_LINE) return undefined;
  const words = line.trim().split(/\s+/);
  let from = words.length;
  const before = (is: RegExp): boolean => from > 1 && is.test(words[from - 1] ?? '');
  if (before(SIDE)) from -= 1;
  if (before(CURRENCY)) from -= 1;
  if (!before(NUMBER)) return undefined;
  from -= 1;
  while (GROUP.test(words[from] ?? '') && before(BEGUN)) from -= 1;
  if (before(CURRENCY)) from -= 1;
  if (before(SIGN)) from -= 1;
  let name = words.slice(0, from).join(' ');
  while (name !== '' && LEADER.test(name.at(-1) ?? '')) name = name.slice(0, -1);
  return name === '' ? undefined : [name, words.slice(from).join(' ')];
};

const linesIn = (text: string): readonly string[] => text.split(/\r\n|\r|\n/);

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
  const count = (is: (ending: readonly [string, string]) => boolean): number => found.filter(is).length;
  return (
    found.length >= Math.max(FEWEST, lines.length * ENDING) &&
    count(([name]) => /\p{L}{2}/u.test(name)) >= found.length * WORDED &&
    count(([, amount]) => isMoney(amount)) >= found.length * MONEY &&
    count(([name]) => !name.includes(',')) >= found.length * PLAIN
  );
};

/** Each line with an amount at its end as two cells; others as one. */
export const splitEndings = (text: string, most: Most): Split => {
  const lines = linesIn(text);
  if (lines.length > most.rows) return { rows: [], openQuotes: [], past: 'rows' };
  if (lines.length * 2 > most.cells) return { rows: [], openQuotes: [], past: 'cells' };
  return { rows: lines.map((line) => [...(endingOf(line) ?? [line])]), openQuotes: [] };
};
