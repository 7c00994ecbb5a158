import type { IsoDate } from '../base/iso-date';
import { folded, textOf, type Table } from '../base/table';
import { AS_AT, A_DATE, PRINTED } from '../words/paper-words';
import { datesIn, monthsIn } from './dates-in';
import type { DayOrder } from './dates';
import { AMOUNT_ROLES, titleRows } from './header';
import type { Reading } from './reading';
import { isCodeLike, lookOf } from './survey';

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

const CLOCK_TIME = /\b\d{1,2}[:.h]\d{2}(?::\d{2})?\s?(?:am|pm|uhr)?\b/i;

const hasClock = (text: string): boolean =>
  CLOCK_TIME.test(
    text.replace(
      /\d{1,2}\.\d{1,2}\.(?!\d)|\d{1,2}\.\d{1,2}\.\d{4}|\d{4}\.\d{1,2}\.\d{1,2}|\d{1,2}\.\d{1,2}\.\d{2}(?![\d:])/g,
      '',
    ),
  );

/** The last days of a span, or the only one; a line of a paper that holds several says its last. */
const lastOf = (line: string, order: DayOrder): IsoDate | undefined => [...datesIn(line, order)].sort().at(-1);

/** Rows at the end of a table in which remarks may stand. */
const FOOT = 8;

/**
 * The day that a paper says its balances are of, ISO: from its title block, its header, the sheet's name or the file's,
 * in this order; what says when it was printed is passed over, one that says "as at" comes first.
 */
export const statedDate = (
  tables: readonly Table[],
  { sheet, header, columns }: Pick<Reading, 'sheet' | 'header' | 'columns'>,
  fileName: string,
  /** How its rows write their days, where that is known. */
  order: DayOrder = 'dmy',
): IsoDate | undefined => {
  const table = tables[sheet];
  const above = table === undefined ? [] : titleRows(table, header);
  const top = [...above, ...(header < 0 ? [] : [table?.rows[header] ?? []])];
  const titles =
    header < 0 ? [] : (top[header] ?? []).filter((_, column) => AMOUNT_ROLES.has(columns[column] ?? 'ignore'));
  // A date beside a time of day is the printer's, unless it says more than that it is one.
  const clocks = new Set(top.flatMap((row, at) => (row.some((cell) => hasClock(textOf(cell))) ? [at] : [])));
  const isPrinters = (text: string, at: number): boolean =>
    [at - 1, at, at + 1].some((one) => clocks.has(one)) &&
    A_DATE.is(folded(text.replace(/[\d./:-]+/g, ' '))) &&
    datesIn(text).length === 1;
  // Cells of one row may tell of different days, the balances' and the printer's; a bare date is told of by the cell before it.
  const parts = top.flatMap((row, at) => {
    const texts = row
      // The title of a column that is not read may name another day: last year's close beside the balance.
      .map((cell, column) => (at === header && columns[column] === 'ignore' ? '' : textOf(cell)))
      .filter((text) => text !== '');
    return texts
      .map((text, place) => {
        const before = texts[place - 1];
        const labelled = before !== undefined && (before.endsWith(':') || [AS_AT, PRINTED, A_DATE].some((one) => one.is(folded(before)))); // prettier-ignore
        return before === undefined || (/\p{L}/u.test(text) && !labelled) ? text : `${before} ${text}`;
      })
      .flatMap((text) => text.split(/[|;]|\s{3,}/).flatMap(clauses))
      .filter((text) => !isPrinters(text, at));
  });
  const lines = [...titles.map(textOf), ...parts, table?.name ?? '', fileName.replace(/_/g, ' ')].filter(
    (line) => PRINTED.in(folded(line)) === undefined && !hasClock(line),
  );
  const ofColumn = titles.map(textOf).flatMap((title) => lastOf(title, order) ?? [])[0];
  if (ofColumn !== undefined) return ofColumn;
  const named = lines.filter((line) => AS_AT.in(folded(line)) !== undefined);
  for (const line of [...named, ...lines]) {
    const last = lastOf(line, order);
    if (last !== undefined) return last;
  }
  // A text that was parted by the columns of its table may have a day cut in two.
  for (const row of above) {
    const last = row.length > 1 ? lastOf(row.map(textOf).join(''), order) : undefined;
    if (last !== undefined && PRINTED.in(folded(row.map(textOf).join(' '))) === undefined) return last;
  }
  // What stands right below the header, or below the list, tells a day only where it says that the balances are of it.
  const below = table?.rows.slice(header + 1) ?? [];
  const first = below.findIndex((row) => row.some((cell) => lookOf(cell) === 'amount'));
  for (const row of [...below.slice(0, Math.min(FOOT, Math.max(0, first))), ...below.slice(-FOOT)]) {
    const text = row.map(textOf).join(' ');
    const words = folded(text);
    const isRemark =
      !row.some((cell) => lookOf(cell) === 'amount') && !isCodeLike(textOf(row[0])) && !above.includes(row);
    if (!isRemark || AS_AT.in(words) === undefined || PRINTED.in(words) !== undefined || hasClock(text)) continue;
    const last = lastOf(text, order);
    if (last !== undefined) return last;
  }
  // A month without a day is its last one; what is called after a company or a file may hold a month too, and a sheet that is called
  // by a month and nothing else is of it.
  const ofSheet = table !== undefined && folded(table.name).split(' ').length === 2 ? [table.name] : [];
  return [...named, ...lines.filter((line) => parts.includes(line)), ...ofSheet].flatMap(
    (line) => [...monthsIn(line)].sort().at(-1) ?? [],
  )[0];
};
