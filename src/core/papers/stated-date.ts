import { readDate } from '../calendar/dates';
import { folded, textOf, type Table } from '../files/cells';
import { monthOf } from '../words/months';
import { AS_AT, PRINTED } from '../words/paper-words';
import { AMOUNT_ROLES, titleRows } from './header';
import { dayOrderOf, readFileDate } from './dates';
import type { Reading } from './reading';

const NUMERIC = /(?<!\d)(\d{4}[-./]\s?\d{1,2}[-./]\s?\d{1,2}|\d{1,2}[./-]\s?\d{1,2}[./-]\s?\d{4})(?!\d)/g;
/** Years, months and days with their signs, as East Asia writes them. */
const SIGNED = /(\d{4})\s?[年년]\s?(\d{1,2})\s?[月월]\s?(\d{1,2})\s?[日일]/g;

/** A text longer than this names no day of its own. */
const MOST_TEXT = 400;

const iso = (year: string, month: number, day: string): readonly string[] => {
  const read = readDate(`${year}-${String(month).padStart(2, '0')}-${day.padStart(2, '0')}`);
  return read.ok ? [read.value.toString()] : [];
};

const DAY = /^(\d{1,2})(?:st|nd|rd|th|er|e|a|o|os|ga|an|as|je|en)?$/;
const YEAR = /^(?:19|20)\d\d$/;
const SMALL = /^(?:de|del|of|d|the|den|m|men|g|r|roku|goda|року|года)$/;

/** Days written with the month's name, in either order; the year before, behind, or only once in the text. */
const worded = (text: string): readonly string[] => {
  const tokens = folded(text)
    .split(' ')
    .filter((token) => !SMALL.test(token));
  const years = tokens.filter((token) => YEAR.test(token));
  // A day that belongs to one month is not the next one's.
  const used = new Set<number>();
  return tokens.flatMap((token, at): readonly string[] => {
    const month = monthOf(token);
    if (month === undefined) return [];
    const day = (where: number): string | undefined =>
      used.has(where) ? undefined : DAY.exec(tokens[where] ?? '')?.[1];
    const yearFirst = YEAR.test(tokens[at - 1] ?? '');
    const place = !yearFirst && day(at - 1) !== undefined ? at - 1 : at + 1;
    const own = day(place);
    if (own === undefined || Number(own) < 1) return [];
    used.add(place);
    const beside = [place < at ? at + 1 : at + 2, yearFirst ? at - 1 : -1, place - 1].map(
      (where) => tokens[where] ?? '',
    );
    const year = beside.find((one) => YEAR.test(one)) ?? years.at(-1);
    return year === undefined ? [] : iso(year, month, own);
  });
};

/** The days that a text names, ISO, in its order. */
export const datesIn = (text: string): readonly string[] => {
  if (text.length > MOST_TEXT) return [];
  const plain = text.replace(/\s+/g, ' ');
  const numeric = [...plain.matchAll(NUMERIC)].map(([found]) => found.replace(/\s/g, ''));
  const order = dayOrderOf(numeric);
  return [
    ...numeric.flatMap((one) => readFileDate(one, order) ?? []),
    ...[...plain.matchAll(SIGNED)].flatMap(([, year = '', month = '', day = '']) => iso(year, Number(month), day)),
    ...worded(plain),
  ];
};

/** Parts of a line between dashes; one without a year belongs to the one before: "1 January – 31 December 2025". */
const clauses = (text: string): readonly string[] => {
  const made: string[] = [];
  for (const part of text.split(/\s[-–—·]\s(?=\p{L})/u)) {
    const last = made.at(-1);
    if (last !== undefined && !/(?:19|20)\d\d/.test(part)) made[made.length - 1] = `${last} ${part}`;
    else made.push(part);
  }
  return made;
};

const CLOCK = /\b\d{1,2}[:.h]\d{2}(?::\d{2})?\s?(?:am|pm|uhr)?\b/i;

/** The last days of a span, or the only one; a line of a paper that holds several says its last. */
const lastOf = (line: string): string | undefined => [...datesIn(line)].sort().at(-1);

/**
 * The day that a paper says its balances are of, ISO: from its title block, its header, the sheet's name or the file's,
 * in this order; what says when it was printed is passed over, one that says "as at" comes first.
 */
export const statedDate = (
  tables: readonly Table[],
  { sheet, header, columns }: Pick<Reading, 'sheet' | 'header' | 'columns'>,
  fileName: string,
): string | undefined => {
  const table = tables[sheet];
  const top = [...titleRows(table?.rows ?? [], header), ...(header < 0 ? [] : [table?.rows[header] ?? []])];
  const titles =
    header < 0 ? [] : (top[header] ?? []).filter((_, column) => AMOUNT_ROLES.has(columns[column] ?? 'ignore'));
  // Cells of one row may tell of different days, the balances' and the printer's; a bare date is told of by the cell before it.
  const parts = top.flatMap((row, at) => {
    const texts = row
      // The title of a column that is not read may name another day: last year's close beside the balance.
      .map((cell, column) => (at === header && columns[column] === 'ignore' ? '' : textOf(cell)))
      .filter((text) => text !== '');
    return texts
      .map((text, place) => (/\p{L}/u.test(text) || place === 0 ? text : `${texts[place - 1] ?? ''} ${text}`))
      .flatMap((text) => text.split(/[|;]|\s{3,}/).flatMap(clauses));
  });
  const lines = [...titles.map(textOf), ...parts, table?.name ?? '', fileName.replace(/_/g, ' ')].filter(
    (line) => PRINTED.in(folded(line)) === undefined && !CLOCK.test(line.replace(/\d{1,2}\.\d{1,2}\.\d{4}/g, '')),
  );
  const ofColumn = titles.map(textOf).flatMap((title) => lastOf(title) ?? [])[0];
  if (ofColumn !== undefined) return ofColumn;
  const named = lines.filter((line) => AS_AT.in(folded(line)) !== undefined);
  for (const line of [...named, ...lines]) {
    const last = lastOf(line);
    if (last !== undefined) return last;
  }
  return undefined;
};
