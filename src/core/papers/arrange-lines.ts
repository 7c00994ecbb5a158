import { folded } from '../base/folded';
import { type Cell, type Row, textOf } from '../base/table';
import { isAmountTitle, titleOf } from './titles';
import { lookOf, survey } from './survey';

/** Rows that are looked at before a table is taken for one of these. */
const LOOKED_AT = 600;
/** A shape that so many of the lines have is the table's. */
const MOSTLY = 0.6;
/** Accounts that have to lie so before a table is taken to. */
const FEWEST = 3;
/** Lines below an account at most. */
const MOST_LINES = 6;

const isFilled = (cell: Cell | undefined): boolean => textOf(cell) !== '';
const isFigure = (cell: Cell | undefined): boolean => ['amount', 'nil'].includes(lookOf(cell)) || textOf(cell) === '0';
const isText = (cell: Cell | undefined): boolean => lookOf(cell) === 'text';
/** What a line is called, without its days and figures. */
const labelOf = (row: Row): string => folded(row.filter(isText).map(textOf).join(' '));
const withFigures = (row: Row): boolean => row.some(isFigure);

/** What all of the texts begin with, up to a blank or a colon: "Account: ". */
const sharedStart = (texts: readonly string[]): string => {
  const [first = ''] = texts;
  const start = /^\p{L}+\s?[:：]?\s+/u.exec(first)?.[0] ?? '';
  return texts.every((text) => text.startsWith(start) && /\d/.test(text.slice(start.length))) ? start : '';
};

/**
 * Each account on a line of its own, and below it lines that are called alike in every account ("Opening balance", "Turnover", "Closing
 * balance"), put into one row; undefined where a table does not lie so.
 */
export const accountsWithLines = (rows: readonly Row[]): readonly Row[] | undefined => {
  const some = rows.slice(0, LOOKED_AT);
  const counts = new Map<string, number>();
  let figures = 0;
  for (const row of some)
    if (withFigures(row)) {
      figures += 1;
      const label = labelOf(row);
      if (label !== '') counts.set(label, (counts.get(label) ?? 0) + 1);
    }
  const isHead = (at: number): boolean => {
    const row = rows[at] ?? [];
    return row.some(isFilled) && !withFigures(row) && withFigures(rows[at + 1] ?? []);
  };
  const heads = some.flatMap((_, at) => (isHead(at) && counts.has(labelOf(rows[at + 1] ?? [])) ? [at] : []));
  const labels = [...counts].filter(([, count]) => count >= FEWEST && count * 2 > heads.length).map(([label]) => label);
  const lines = labels.reduce((sum, label) => sum + (counts.get(label) ?? 0), 0);
  const isLine = (row: Row): boolean => withFigures(row) && labels.includes(labelOf(row));
  const first = heads.find((at) => isLine(rows[at + 1] ?? []));
  if (
    first === undefined ||
    labels.length < 2 ||
    labels.length > MOST_LINES ||
    heads.length < FEWEST ||
    lines < figures * MOSTLY
  )
    return undefined;
  const columns = labels.map((label) => {
    const own = some.filter((row) => withFigures(row) && labelOf(row) === label);
    const width = own.reduce((widest, row) => Math.max(widest, row.length), 0);
    return Array.from({ length: width }, (_, at) => at).filter((at) => own.some((row) => isFigure(row[at])));
  });
  const words = heads.reduce((widest, at) => Math.max(widest, (rows[at] ?? []).findLastIndex(isFilled) + 1), 1);
  const titles = rows.slice(0, first).findLast((row) => row.filter(isFilled).length > 1) ?? [];
  const named = labels.flatMap((label, place) => (columns[place] ?? []).map((at) => `${label} ${textOf(titles[at])}`.trim())); // prettier-ignore
  const start = sharedStart(heads.map((at) => textOf((rows[at] ?? []).find(isFilled))));
  const out: Row[] = [
    ...rows.slice(0, first).filter((row) => row !== titles),
    [...Array<Cell>(words).fill(''), ...named],
  ];
  let own: Cell[] | undefined;
  const close = (): void => {
    if (own !== undefined) out.push(own);
    own = undefined;
  };
  const blank = (head: Row): Cell[] => [
    ...Array.from({ length: words }, (_, at): Cell => head[at] ?? ''),
    ...Array<Cell>(named.length).fill(''),
    ...head.slice(words),
  ];
  for (const row of rows.slice(first)) {
    const place = withFigures(row) ? labels.indexOf(labelOf(row)) : -1;
    if (place >= 0 && own !== undefined) {
      const from = words + columns.slice(0, place).reduce((sum, list) => sum + list.length, 0);
      const into = columns[place] ?? [];
      // The same line again is of nothing that has a name.
      if (into.some((_, step) => isFilled(own?.[from + step]))) {
        close();
        own = blank([]);
      }
      for (const [step, at] of into.entries()) own[from + step] = row[at] ?? '';
      // Whatever else stands in it: a day, a number.
      own.push(...row.filter((cell, at) => !into.includes(at) && isFilled(cell) && !isText(cell)));
    } else if (row.some(isFilled)) {
      close();
      const cells = [...row];
      const at = cells.findIndex(isFilled);
      const text = textOf(cells[at]);
      if (start !== '' && text.startsWith(start)) cells[at] = text.slice(start.length);
      own = blank(cells);
    }
  }
  close();
  return out;
};

const CODE_PART = /^\d{1,6}$/;

/**
 * An account's code that stands in two columns beside each other (the account, and what it is divided into), put into one; undefined where
 * a table does not lie so. Neither tells the accounts apart alone, and both together do.
 */
export const codesOfTwo = (rows: readonly Row[]): readonly Row[] | undefined => {
  const body = rows
    .slice(0, 5 * LOOKED_AT)
    .filter(withFigures)
    .slice(0, LOOKED_AT);
  const columns = survey(body);
  const words = columns.find((column) => column.words > 0.6);
  if (words === undefined) return undefined;
  const found = columns.find(({ at, filled, plain, distinct }, place) => {
    const next = columns[place + 1];
    if (next === undefined || next.at >= words.at || filled < FEWEST || plain < 0.9 || next.plain < 0.9) return false;
    const pairs = body
      .map((row) => [textOf(row[at]), textOf(row[next.at])] as const)
      .filter(([code, part]) => CODE_PART.test(code) && CODE_PART.test(part));
    const together = new Set(pairs.map(([code, part]) => `${code} ${part}`)).size;
    const widths = new Set(pairs.map(([, part]) => part.length)).size;
    return (
      pairs.length >= FEWEST &&
      pairs.length >= body.length * MOSTLY &&
      widths === 1 &&
      !next.sequence &&
      distinct < 0.95 &&
      next.distinct < 0.95 &&
      together >= pairs.length * 0.98
    );
  })?.at;
  if (found === undefined) return undefined;
  const header = rows.slice(0, rows.indexOf(body[0] ?? []));
  const titled = header.some((row) =>
    [row[found], row[found + 1]].some((cell) => isAmountTitle(titleOf(textOf(cell)))),
  );
  if (titled) return undefined;
  return rows.map((row) => {
    const [code, part] = [textOf(row[found]), textOf(row[found + 1])];
    if (!CODE_PART.test(code) || !CODE_PART.test(part)) return row;
    return row.map((cell, at) => (at === found ? code + part : at === found + 1 ? '' : cell));
  });
};
