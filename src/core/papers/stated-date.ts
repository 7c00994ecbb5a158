import { folded, textOf, type Table } from '../files/cells';
import { dayOrderOf, readFileDate } from './dates';
import type { Reading } from './reading';

const NUMERIC = /\b(\d{4}-\d{1,2}-\d{1,2}|\d{1,2}[./-]\s?\d{1,2}[./-]\s?\d{4})\b/g;
const MONTHS = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ');
const WORDED = /\b(\d{1,2})(?:st|nd|rd|th)? ([a-z]{3,9}) (\d{4})\b|\b([a-z]{3,9}) (\d{1,2})(?:st|nd|rd|th)? (\d{4})\b/g;
/** Words in front of the day that a trial balance is of; without one, "printed on" may be meant. */
const AS_AT = /\b(as at|as of|at|to|per|zum|ke dni|k datu|au|al|pr|balance|until|ended|ending)\b/;
const PRINTED = /\b(printed|created|exported|run|gedruckt|vytisteno|imprime|edite)\b/;

/** The days that a text names, ISO, in its order. */
export const datesIn = (text: string): readonly string[] => {
  const plain = text.replace(/\s+/g, ' ');
  const numeric = [...plain.matchAll(NUMERIC)].map(([found]) => found.replace(/\s/g, ''));
  const order = dayOrderOf(numeric);
  const worded = [...folded(plain).matchAll(WORDED)].flatMap(([, day, month, year, month2, day2, year2]) => {
    const at = MONTHS.indexOf((month ?? month2 ?? '').slice(0, 3));
    return at < 0
      ? []
      : [`${year ?? year2 ?? ''}-${String(at + 1).padStart(2, '0')}-${(day ?? day2 ?? '').padStart(2, '0')}`];
  });
  return [...numeric, ...worded].flatMap((one) => readFileDate(one, order) ?? []);
};

/**
 * The day that a paper says its balances are of, ISO: from its title block, its header, the sheet's name or the file's,
 * in this order; a line that says when it was printed is passed over, one that says "as at" comes first.
 */
export const statedDate = (
  tables: readonly Table[],
  { sheet, header, columns }: Pick<Reading, 'sheet' | 'header' | 'columns'>,
  fileName: string,
): string | undefined => {
  const table = tables[sheet];
  // The title of a column that is not read may name another day: last year's close beside the balance.
  const title = (table?.rows.slice(0, Math.max(0, header + 1)) ?? []).map((row, at) =>
    row
      .filter((_, column) => at < header || columns[column] !== 'ignore')
      .map(textOf)
      .join(' '),
  );
  const lines = [...title, table?.name ?? '', fileName.replace(/_/g, ' ')].filter(
    (line) => !PRINTED.test(folded(line)),
  );
  const named = lines.filter((line) => AS_AT.test(folded(line)));
  // A span is of its last day.
  for (const line of [...named, ...lines]) {
    const last = datesIn(line).at(-1);
    if (last !== undefined) return last;
  }
  return undefined;
};
