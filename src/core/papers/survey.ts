import { isCurrency } from '../money/currency';
import { plainSeparators } from '../money/number-style';
import { type Cell, type Row, textOf } from '../base/table';
import { folded } from '../base/folded';
import { isNil } from '../money/paper-amount';
import { monthOf } from '../words/months';
import { readFileDate } from './dates';
import { sideWord, sidesAmong } from './sides';

/**
 * What a cell looks like, whatever language and number style it is in. `plain` are digits alone, which may be an amount, a code
 * or a number of something.
 */
export type Look = 'empty' | 'nil' | 'amount' | 'plain' | 'percent' | 'date' | 'text';

const MOST_AMOUNT = 60;
/** A year has two digits or four: 1-01-001 is a code. */
export const DATE = /^(?:\d{1,2}[./-]\d{1,2}[./-](?:\d{2}|\d{4})|\d{4}[./-]\d{1,2}[./-]\d{1,2})\.?$/;
/** Of a day's three figures one is a month and another a day: 11.00.00 is a code. */
const isDay = (text: string): boolean =>
  DATE.test(text) && (readFileDate(text, 'dmy') ?? readFileDate(text, 'mdy')) !== undefined;

/** A side beside a currency: "DR EUR", "EUR CR". */
const SIDE_BESIDE =
  /^\s{0,3}(?:dr|cr|d|c|s|h)\.?(?=\s{1,3}\p{L}{3})|(?<=\p{L}{3}\s{1,3})(?:dr|cr|d|c|s|h)\.?\s{0,3}$/iu;

/** What stands around the digits of an amount: a sign, brackets, a currency's mark or code, a side. */
const isAround = (text: string): boolean => {
  const letters = text.replace(SIDE_BESIDE, '').replace(/[\s()+\-.\p{Sc}]/gu, '');
  return letters.length <= 3 && /^\p{L}*$/u.test(letters);
};
const SIDE_AFTER = /^\s*(?:debit|credit|debet|kredit|haben|soll)$/i;

export const lookOf = (cell: Cell | undefined): Look => {
  if (cell === undefined) return 'empty';
  if (typeof cell === 'object') return DATE.test(cell.shown) ? 'date' : cell.shown.endsWith('%') ? 'percent' : 'amount';
  const text = cell.trim();
  if (text === '') return 'empty';
  if (text.length > MOST_AMOUNT) return 'text';
  if (isNil(text)) return 'nil';
  const first = text.search(/\d/);
  if (first < 0) return 'text';
  let last = text.length - 1;
  while (last > first && !/\d/.test(text[last] ?? '')) last -= 1;
  const [before, core, after] = [
    text.slice(0, first),
    plainSeparators(text.slice(first, last + 1)),
    text.slice(last + 1),
  ];
  if (/[^\d.,' ]/.test(core)) return DATE.test(core) ? 'date' : 'text';
  if (DATE.test(core)) return 'date';
  if (after.trim() === '%' || before.trim() === '%') return 'percent';
  // "Feb-26" is a month of a year.
  if (/\p{L}{3}/u.test(before) && monthOf(folded(before)) !== undefined) return 'date';
  const [front, back] = [plainSeparators(before), plainSeparators(after)];
  if (!isAround(front) || !(isAround(back) || SIDE_AFTER.test(back))) return 'text';
  return before === '' && after === '' && /^\d+$/.test(core) ? 'plain' : 'amount';
};

/** What one column holds, in shares of the cells that are filled. */
export interface Column {
  readonly at: number;
  readonly filled: number;
  /** Amounts, plain digits and signs for nil. */
  readonly numbers: number;
  /** Plain digits only. */
  readonly plain: number;
  readonly codes: number;
  readonly words: number;
  readonly percents: number;
  readonly dates: number;
  readonly currencies: number;
  /** Average length of its texts. */
  readonly length: number;
  /** Share of its texts that are different ones. */
  readonly distinct: number;
  /** 1, 2, 3 …: a running number. */
  readonly sequence: boolean;
  /** Its texts are those of a side column. */
  readonly sides: boolean;
  /** Cells with an amount other than nil. */
  readonly amounts: number;
}

/** Whether a text looks like an account's code; "100.01" may be one or an amount, which its column tells. */
export const isCodeLike = (text: string): boolean => text.length <= 20 && (IN_GROUPS.test(text) || isUnbroken(text));

/** "10 10 00": groups of digits, and not of three, as those of an amount are. */
const IN_GROUPS = /^\d{1,4}(?: (?!\d{3}(?:\D|$))\d{1,4}){1,5}$/;
const isUnbroken = (text: string): boolean =>
  /^\p{L}{0,4}[.-]?\d[\dA-Z./-]*$/iu.test(text) && !/\d{4}\.\d{2}$/.test(text);

const surveyed = (cells: readonly Cell[], at: number): Column => {
  const texts = cells.map(textOf);
  const counts = { number: 0, plain: 0, code: 0, word: 0, percent: 0, date: 0, currency: 0, amount: 0 };
  let [filled, length] = [0, 0];
  const seen = new Set<string>();
  const short = new Map<string, number>();
  cells.forEach((cell, index) => {
    const look = lookOf(cell);
    if (look === 'empty') return;
    const text = texts[index] ?? '';
    filled += 1;
    length += text.length;
    seen.add(text);
    if (look === 'nil' || look === 'amount' || look === 'plain') counts.number += 1;
    if (look === 'plain' || (typeof cell === 'object' && /^\d+$/.test(cell.decimal))) counts.plain += 1;
    if ((look === 'amount' || look === 'plain') && /[1-9]/.test(text)) counts.amount += 1;
    if (look === 'percent') counts.percent += 1;
    if (look === 'date') counts.date += 1;
    if (isCodeLike(text)) counts.code += 1;
    if (/\p{L}{3}|(?:[\p{sc=Han}\p{sc=Hangul}\p{sc=Katakana}]\s?){2}/u.test(text)) counts.word += 1;
    if (isCurrency(text)) counts.currency += 1;
    if (text.length <= 12 && short.size < 40) {
      const word = look === 'nil' ? (/^[-\u2212\u2013]$/.test(text) ? '-' : '') : sideWord(text);
      short.set(word, (short.get(word) ?? 0) + 1);
    }
  });
  // "1.1.01" below "1.1" is a part of it, and no day.
  const dates = texts.filter((text) => isDay(text) && !seen.has(text.replace(/[./-][^./-]*$/, ''))).length;
  const share = (count: number): number => (filled === 0 ? 0 : count / filled);
  const sides = filled > 0 && sidesAmong(short, filled, 0.8) !== undefined;
  // Beside a plus, a dash is a minus and no nil.
  if (sides && short.has('+')) counts.number -= short.get('-') ?? 0;
  return {
    at,
    filled,
    numbers: share(counts.number),
    plain: share(counts.plain),
    codes: share(counts.code),
    words: share(counts.word),
    percents: share(counts.percent),
    dates: share(Math.min(counts.date, dates)),
    currencies: share(counts.currency),
    length: filled === 0 ? 0 : length / filled,
    distinct: share(seen.size),
    sequence: filled > 2 && texts.filter((text) => text !== '').every((text, index) => text === String(index + 1)),
    sides,
    amounts: counts.amount,
  };
};

const FIRST = 500;
const SPREAD = 300;
const MOST_COLUMNS_LOOKED_AT = 60;

/** The rows that are looked at: the first ones under the header, and some of all the others. */
export const sampleOf = (rows: readonly Row[], from: number): readonly Row[] => {
  const body = rows.slice(from, from + FIRST);
  const rest = rows.length - from - FIRST;
  const step = Math.max(1, Math.floor(rest / SPREAD));
  return rest <= 0
    ? body
    : [...body, ...Array.from({ length: Math.min(SPREAD, rest) }, (_, at) => rows[from + FIRST + at * step] ?? [])];
};

/** What each column of the sample holds. */
export const survey = (sample: readonly Row[]): readonly Column[] => {
  const width = Math.min(
    MOST_COLUMNS_LOOKED_AT,
    sample.reduce((widest, row) => Math.max(widest, row.length), 0),
  );
  return Array.from({ length: width }, (_, at) =>
    surveyed(
      sample.map((row) => row[at] ?? ''),
      at,
    ),
  );
};
