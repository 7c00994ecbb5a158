import { type Row, indentOf, textOf } from '../base/table';
import { LONGEST_CODE } from '../chart/account';
import { oneLine } from '../files/clean';
import { folded } from '../base/folded';
import { once } from '../base/once';
import { type SaidType, accountTypes } from './account-types';
import { datesIn } from './dates-in';
import { CARRIED, PAGE } from '../words/paper-words';
import { headerScore } from './header';
import { codeNameSplitter, withoutLeaders } from './layout';
import { lookOf } from './survey';
import type { Reading } from './reading';
import { placesOf } from './row-amount';
import { isUnitRow } from './units';
import { totalled } from './total-words';

/** What a row is before its amounts are looked at. */
export const ROW = { blank: 0, title: 1, header: 2, page: 3, body: 4 } as const;

/** The rows of a table without their amounts: what they are called, and which of them stand outside the list. */
export interface Skeleton {
  readonly size: number;
  readonly kind: Uint8Array;
  readonly code: readonly string[];
  readonly name: readonly string[];
  /** How far each name is indented, in characters. */
  readonly indent: Uint32Array;
  /** Whether rows have codes, so that one without is no account like the others. */
  readonly coded: boolean;
  /** Whether a figure, or a sign for nil, stands anywhere in a row but for its code: it is an account then, though the column that is read be empty. */
  readonly hasFigures: (at: number) => boolean;
  /** For each column of a few words that the rows have again and again, what it says of each row: "Posting", "Sum". */
  readonly kinds: readonly (readonly string[])[];
  /** See `accountTypes`. */
  readonly types: () => readonly (SaidType | undefined)[] | undefined;
  /** See `totalled`. */
  readonly totalled: () => ReadonlySet<string>;
}

const inOneLine = (text: string): string => (/[\n\r\t]/.test(text) ? oneLine(text) : text);

/** Whether the texts of a row are those of the header again, as at the top of each page. */
const key = (row: Row): string => {
  let text = '';
  for (const cell of row) {
    const own = textOf(cell);
    if (own !== '') text += `${own}|`;
  }
  return text;
};

/** The pattern of a code: which of its characters are digits and which are letters. */
export const shapeOf = (code = ''): string => code.replace(/\d/g, '0').replace(/\p{L}/gu, 'a');

/** No code: a word, and a blank. */
const isWords = (text: string): boolean => /\p{L}{3}/u.test(text) && /\s/.test(text);

const RULE = /^[-=_*\s.+|:–—]{3,}$/;

const POINT_NOUGHT = /^\d+\.0$/;
const YEAR = /^(?:19|20)\d\d$/;

/** "As of June 30, 2026", whose comma parted it: its only figure is the year of the day that it names. */
const isDay = (texts: readonly string[]): boolean =>
  texts.slice(1).every((text) => YEAR.test(text) || !/\d/.test(text)) && datesIn(texts.join(' ')).length > 0;

/** Rows that tell on which side of the names their codes stand. */
const LOOKED_AT = 400;

/** Cells of a row that are filled. */
const filledIn = (row: Row): readonly string[] => row.map(textOf).filter((text) => text !== '');

export const skeletonOf = (
  rows: readonly Row[],
  reading: Pick<Reading, 'header' | 'height' | 'columns' | 'asAccount'>,
): Skeleton => {
  const places = placesOf(reading.columns);
  const top = reading.header - (reading.height ?? 1) + 1;
  const titles = new Set<string>();
  // Most rows do not even begin as a title does.
  const firsts = new Set<string | undefined>();
  const size = rows.length;
  const kind = new Uint8Array(size);
  const code: string[] = [];
  const name: string[] = [];
  const indent = new Uint32Array(size);
  let [coded, named, begun] = [0, 0, false];
  const joined = places['code-name'];
  const splitter =
    joined < 0
      ? undefined
      : codeNameSplitter(
          rows
            .slice(reading.header + 1, reading.header + 1 + LOOKED_AT)
            .map((row) => withoutLeaders(textOf(row[joined]))),
        );
  rows.forEach((row, at) => {
    const split = splitter?.(withoutLeaders(textOf(row[joined])));
    code[at] = inOneLine(split === undefined ? textOf(row[places.code]) : split.code);
    name[at] = inOneLine(split === undefined ? withoutLeaders(textOf(row[places.name])) : split.name);
    // Words in the column of codes, and none in that of names: "Total class 3" is what a row is called. A line of text is no code at all.
    const own = code[at] ?? '';
    if (isWords(own) && (name[at] === '' || own.length > LONGEST_CODE))
      [code[at], name[at]] = ['', [own, name[at]].join(' ').trim()];
    indent[at] = indentOf(row[joined < 0 ? places.name : joined] ?? '');
    const texts = filledIn(row);
    if (texts.length === 0 || texts.every((text) => RULE.test(text))) kind[at] = ROW.blank;
    else if (at >= top && at <= reading.header) kind[at] = ROW.header;
    else if (at < reading.header) kind[at] = ROW.title;
    else kind[at] = ROW.body;
    // Without a header, the list begins with the first row of figures.
    if (reading.header < 0 && !begun && kind[at] === ROW.body && reading.asAccount[String(at)] === undefined) {
      begun =
        row.some((cell, column) => column > 0 && ['amount', 'plain', 'nil'].includes(lookOf(cell))) && !isDay(texts);
      if (!begun) kind[at] = ROW.title;
      // So do the rows above it that have codes like its own: accounts that are nil.
      else
        for (
          let above = at - 1;
          above >= 0 && code[above] !== '' && shapeOf(code[above]) === shapeOf(code[at]);
          above -= 1
        )
          kind[above] = ROW.body;
    }
    if (at <= reading.header) {
      const text = key(row);
      if (text !== '') titles.add(text);
      firsts.add(texts[0]);
      return;
    }
    if (kind[at] !== ROW.body || reading.asAccount[String(at)] === true) return;
    if ((firsts.has(texts[0]) && titles.has(key(row))) || (!/\d/.test(code[at] ?? '') && headerScore(row) >= 4))
      kind[at] = ROW.header;
    else if (at === reading.header + 1 && isUnitRow(row)) kind[at] = ROW.header;
    else if (!/\d/.test(code[at] ?? '') && isPageLine(row, texts)) kind[at] = ROW.page;
    if (kind[at] !== ROW.body) return;
    if (code[at] !== '') coded += 1;
    else if (name[at] !== '') named += 1;
  });
  // A spreadsheet's numbers that another program wrote out: "1000.0".
  if (code.every((one) => one === '' || POINT_NOUGHT.test(one) || /\p{L}{3}/u.test(one)))
    code.forEach((one, at) => (code[at] = POINT_NOUGHT.test(one) ? one.slice(0, -2) : one));
  const hasFigures = (at: number): boolean =>
    (rows[at] ?? []).some((cell, column) => {
      const role = reading.columns[column];
      return (
        role !== 'code' &&
        role !== 'name' &&
        role !== 'code-name' &&
        (['amount', 'nil'].includes(lookOf(cell)) || textOf(cell) === '0')
      );
    });
  return {
    size,
    kind,
    code,
    name,
    indent,
    coded: coded > 0 && coded >= (coded + named) * 0.15,
    hasFigures,
    kinds: kindsAmong(rows, reading),
    types: once(() => accountTypes(rows, reading)),
    totalled: once(() => totalled(name)),
  };
};

/** A column with more different words says something of each row, and no kind. */
const MOST_KINDS = 12;
/** Rows that are looked at for columns of kinds. */
const KINDS_LOOKED_AT = 400;

const kindsAmong = (
  rows: readonly Row[],
  { header, columns }: Pick<Reading, 'header' | 'columns'>,
): readonly (readonly string[])[] => {
  const body = rows.slice(header + 1, header + 1 + KINDS_LOOKED_AT);
  return columns.flatMap((role, column) => {
    if (role !== 'ignore') return [];
    const texts = body.map((row) => textOf(row[column])).filter((text) => text !== '');
    const words = new Set(texts);
    return words.size > 1 &&
      words.size <= MOST_KINDS &&
      words.size * 3 <= texts.length &&
      texts.length * 2 > body.length &&
      [...words].every((text) => /^\P{N}+$/u.test(text))
      ? [rows.map((row) => textOf(row[column]))]
      : [];
  });
};

/** "Page 2 of 3", alone or beside a title: it has a page's word with a number, and no more than that to say. */
const isPageLine = (row: Row, texts: readonly string[]): boolean =>
  texts.length <= 3 &&
  row.every((cell) => lookOf(cell) === 'empty' || lookOf(cell) === 'text' || lookOf(cell) === 'date') &&
  texts.some((text) => {
    if (text.length > 60 || !/\d/.test(text)) return false;
    const words = folded(text);
    return (
      PAGE.in(words) !== undefined &&
      CARRIED.in(words) === undefined &&
      /^\D{0,40}\d{1,4}(?: ?\D{0,6} ?\d{1,4})?\D{0,12}$/.test(words)
    );
  });
