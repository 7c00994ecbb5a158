import { type Currency, isCurrency } from '../money/currency';
import { folded } from '../base/folded';
import { type Row, textOf } from '../base/table';
import { TOTAL } from '../words/paper-words';
import { type ColumnRole, type FoundHeader, headerTexts } from './header';
import { type Column, DATE, isCodeLike, sampleOf, survey } from './survey';
import { type Title, isAmountTitle, titleOf } from './titles';

const CODE_FIRST = /^[A-Z]{0,4}\d[\dA-Z./]*(?:-\d[\dA-Z./]*)*/i;
const BETWEEN = /^[-–—:·|\s]+/u;

/** A longer cell holds no code and name. */
const MOST_CELL_READ = 400;

/** A code and a name out of one cell: "1010 Bank", "1010 - Bank", "1010: Bank"; a cell without a code is a name. */
export const splitCodeName = (text: string): { readonly code: string; readonly name: string } => {
  const whole = text.trim();
  const code = (whole.length > MOST_CELL_READ ? null : CODE_FIRST.exec(whole))?.[0] ?? '';
  const between = code === '' ? '' : (BETWEEN.exec(whole.slice(code.length))?.[0] ?? '');
  const name = whole.slice(code.length + between.length);
  return between === '' || !/^\P{N}/u.test(name) || !/\p{L}/u.test(name) || DATE.test(code)
    ? { code: '', name: whole }
    : { code, name };
};

const CODE_LAST = /[([]([A-Z]{0,4}\d[\dA-Z./-]{0,30})[)\]]$|\s[-–—:|]\s?([A-Z]{0,4}\d[\dA-Z./]{2,30})$/iu;

type Split = ReturnType<typeof splitCodeName>;

const splitFromEnd = (text: string): Split => {
  const whole = text.trim();
  const found = whole.length > MOST_CELL_READ ? null : CODE_LAST.exec(whole);
  const name = whole.slice(0, found?.index ?? 0).trim();
  return found === null || !/\p{L}/u.test(name)
    ? { code: '', name: whole }
    : { code: found[1] ?? found[2] ?? '', name };
};

const FIRST_CELLS = 300;
/** Codes stand behind the names where so many of the cells have one there. */
const MOSTLY = 0.7;

/** Takes the cells of a column apart: codes stand before the names, or behind all of them: "Bank (1010)", "Bank - 1010". */
export const codeNameSplitter = (cells: readonly string[]): ((text: string) => Split) => {
  const some = cells.filter((text) => text !== '').slice(0, FIRST_CELLS);
  const codes = some.map((text) => splitFromEnd(text).code).filter((code) => code !== '');
  // A total has no code.
  const named = some.filter((text) => splitFromEnd(text).code !== '' || TOTAL.in(folded(text)) === undefined);
  const first = some.filter((text) => splitCodeName(text).code !== '').length;
  return codes.length >= 3 &&
    codes.length > first &&
    codes.length >= named.length * MOSTLY &&
    new Set(codes).size > codes.length * 0.8
    ? splitFromEnd
    : splitCodeName;
};

/** Whether many of the codes go on, after a mark, where another one ends. */
const isOfLevels = (codes: readonly string[]): boolean => {
  const known = new Set(codes);
  const below = codes.filter((code) => {
    for (let at = code.length - 1; at > 0; at -= 1)
      if (/[./-]/.test(code[at] ?? '') && known.has(code.slice(0, at))) return true;
    return false;
  });
  return below.length >= 3 && below.length * 2 > codes.filter((code) => code !== '').length;
};

/** A code in two parts that looks like an amount. */
const DOTTED = /^\d{2,6}\.\d{2,3}$/;
const FEWEST_RISING = 5;

/** Where a table has what, but for the amounts. */
export interface Layout {
  readonly header: FoundHeader;
  readonly sample: readonly Row[];
  readonly columns: readonly Column[];
  readonly titles: readonly Title[];
  /** Roles of the columns that are no amounts; the others are `ignore`. */
  readonly roles: readonly ColumnRole[];
  /** Columns that may hold the amounts, from left to right. */
  readonly numbers: readonly Column[];
  /** Columns that say debit or credit with a letter. */
  readonly sides: readonly Column[];
}

/** Dots that lead the eye from a name to its amount. */
export const withoutLeaders = (text: string): string => {
  if (!/(?:[.…_·]\s?){3}$/.test(text)) return text;
  let end = text.length;
  while (end > 0 && /[.…_·\s]/.test(text[end - 1] ?? '')) end -= 1;
  return text.slice(0, end);
};

/** What each column holds, by what its cells look like; titles decide where cells leave it open. */
export const layoutOf = (rows: readonly Row[], header: FoundHeader, hidden: readonly number[] = []): Layout => {
  const sample = sampleOf(rows, header.at + 1);
  const columns = survey(sample);
  const texts = headerTexts(rows, header.at, header.height, columns.length);
  const titles = texts.map(titleOf);
  const title = (at: number): Title => titles[at] ?? titleOf('');
  const roles: ColumnRole[] = columns.map(() => 'ignore');
  const give = (column: Column | undefined, role: ColumnRole): void => {
    if (column !== undefined) roles[column.at] = role;
  };
  const free = (column: Column): boolean => roles[column.at] === 'ignore' && column.filled > 0;

  const sides = columns.filter((column) => column.sides && column.numbers < 0.3 && column.currencies < 0.5);
  give(
    columns.find(
      (column) => free(column) && column.currencies > 0.9 && (column.filled > 2 || title(column.at).currency),
    ),
    'currency',
  );
  const wordy = columns.filter((column) => free(column) && column.words > 0.4 && !column.sides);
  const isName = (column: Column): boolean => title(column.at).name || title(column.at).code;
  // Headings and sums may stand where codes do, with nothing where the names are; what has a name beside it has a code.
  const isCodeBeside = ({ at }: Column): boolean =>
    wordy.some((names) => {
      const named =
        names.at <= at ? [] : sample.filter((row) => textOf(row[at]) !== '' && textOf(row[names.at]) !== '');
      const codes = named.filter((row) => isCodeLike(textOf(row[at]))).length;
      return codes >= 3 && codes > named.length * 0.85;
    });
  const words = wordy.filter((column) => !isCodeBeside(column));
  const firstWords = words.find((column) => column.words > 0.6) ?? words[0];
  // Codes stand before the amounts; numbers behind them are of something else.
  const amounts =
    columns.find((column) => column.at > (firstWords?.at ?? 0) && column.numbers > 0.7 && column.plain < 0.5)?.at ??
    Infinity;
  // Behind the amounts, those of one length, and another in each row: counts are neither.
  const isOfOneWidth = ({ at, distinct, length }: Column): boolean =>
    distinct > 0.9 && length >= 3 && sample.every((row) => textOf(row[at]) === '' || textOf(row[at]).length === length);
  // "1000.00" before the names, as long in every row: they are called codes, or they rise.
  const isDotted = ({ at }: Column): boolean => {
    const cells = sample.map((row) => textOf(row[at])).filter((text) => /\d/.test(text));
    const alike = cells.every((text) => DOTTED.test(text) && text.length === cells[0]?.length);
    const rise = cells.every((text, place) => place === 0 || text > (cells[place - 1] ?? ''));
    return (
      alike &&
      at < (firstWords?.at ?? 0) &&
      (title(at).code
        ? cells.length >= 3 && new Set(cells).size === cells.length
        : cells.length >= FEWEST_RISING && rise)
    );
  };
  const coded = columns.filter(
    (column) =>
      free(column) &&
      (column.at < amounts || (title(column.at).code && isOfOneWidth(column))) &&
      (column.codes > (title(column.at).code ? 0.4 : 0.6) || isCodeBeside(column) || isDotted(column)) &&
      (!column.sequence || title(column.at).code) &&
      (column.dates < 0.3 || title(column.at).code),
  );
  // Codes of which many go on where another ends ("1.1" and "1.1.02") tell the levels of the chart; a number beside them tells nothing.
  const levels = coded.find(({ at, distinct }) => distinct > 0.95 && isOfLevels(sample.map((row) => textOf(row[at]))));
  const titledCode = coded.find((column) => title(column.at).code && !title(column.at).noMoney);
  const code =
    levels ??
    titledCode ??
    coded.find((column) => firstWords !== undefined && column.at < firstWords.at && column.distinct > 0.2) ??
    (firstWords === undefined ? coded[0] : undefined);
  const both = wordy.find((column) => {
    const cells = sample.map((row) => withoutLeaders(textOf(row[column.at]))).filter((text) => text !== '');
    const split = codeNameSplitter(cells);
    const coded = cells.filter((text) => split(text).code !== '').length;
    return coded >= 3 && coded > cells.length * 0.25;
  });
  if (code === undefined && both !== undefined) give(both, 'code-name');
  else {
    give(code, 'code');
    const after = wordy.filter((column) => free(column));
    give(
      after.find((column) => title(column.at).name) ??
        after.find((column) => isName(column)) ??
        [...after].sort((a, b) => b.filled * b.length * b.distinct - a.filled * a.length * a.distinct)[0],
      'name',
    );
  }
  // Where nothing stands on one side, its title still says what the other one is.
  const isEmptySide = ({ at, filled }: Column): boolean => filled === 0 && title(at).debit !== title(at).credit;
  const numbers = columns.filter(
    (column) =>
      isEmptySide(column) ||
      (free(column) &&
        !column.sides &&
        // A title says what the column is for, however much of it does not read.
        column.numbers >= (isAmountTitle(title(column.at)) ? 0.3 : 0.7) &&
        column.percents < 0.3 &&
        column.dates < 0.3 &&
        !column.sequence),
  );
  // What nobody sees is read only where nothing else could be.
  const seen = numbers.filter(({ at }) => !hidden.includes(at));
  return {
    header,
    sample,
    columns,
    titles,
    roles,
    numbers: seen.some(({ amounts }) => amounts > 0) ? seen : numbers,
    sides,
  };
};

/** The currency that a currency column says most often. */
export const commonCurrency = (sample: readonly Row[], at: number): Currency | undefined => {
  const counts = new Map<Currency, number>();
  for (const row of sample) {
    const text = textOf(row[at]).toUpperCase();
    if (isCurrency(text)) counts.set(text, (counts.get(text) ?? 0) + 1);
  }
  return [...counts].sort(([, a], [, b]) => b - a)[0]?.[0];
};
