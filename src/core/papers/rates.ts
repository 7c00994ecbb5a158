import type { IsoDate } from '../base/iso-date';
import { type Currency, isCurrency } from '../money/currency';
import { NUMBER_STYLES, type NumberStyle } from '../money/number-style';
import { type DatedRate, type Decimal, plainRate, readRate } from '../money/rate';
import type { Sentence } from '../base/sentence';
import { type RateBook, doubtBeside, doubtOf, pairOf, rateBook } from '../money/rate-book';
import { type Result, fail, ok, problem, quoted } from '../base/result';
import { type Cell, type Table, folded, textOf } from '../base/table';
import { type DayOrder, dayOrderOf, readFileDate } from './dates';
import { fromText } from '../files/write';

/** How rows of one rate stand in a file: which is the unit when the file names only the foreign currency. */
export type Direction = 'foreign-unit' | 'base-unit';
export const DIRECTIONS = ['foreign-unit', 'base-unit'] as const;

const WORDS = {
  date: ['date', 'day', 'valid from', 'valid', 'datum', 'den', 'jour', 'fecha', 'data'],
  unit: ['unit', 'from', 'currency', 'ccy', 'code', 'wahrung', 'mena', 'devise', 'moneda', 'valuta', 'kod'],
  quote: ['quote', 'to', 'in', 'counter currency'],
  rate: ['rate', 'exchange rate', 'kurs', 'kurz', 'taux', 'cours', 'tipo', 'tasso', 'cambio', 'value'],
  source: ['source', 'quelle', 'zdroj'],
  amount: ['amount', 'units', 'per', 'mnozstvi', 'menge', 'quantity'],
} as const;

const isWord = (cell: string, words: readonly string[]): boolean => words.includes(folded(cell));

export interface ReadRates {
  readonly rates: readonly (DatedRate & { readonly row: number })[];
  readonly problems: readonly { readonly row: number; readonly message: string }[];
  /** Why it was read this way, one sentence per guess. */
  readonly reasons: readonly string[];
  readonly direction: Direction;
}

const styleOf = (texts: readonly string[], proposed: NumberStyle): NumberStyle => {
  const fits = (style: NumberStyle): number => texts.filter((text) => readRate(text, style).ok).length;
  const own = fits(proposed);
  // A comma or a point alone between digits of a rate is a decimal mark far more often than a thousand.
  const single = texts.filter((text) => /^\d+[.,]\d+$/.test(text));
  const plain: NumberStyle | undefined = single.some((text) => text.includes(','))
    ? '1234,56'
    : single.length > 0
      ? '1234.56'
      : undefined;
  const best = [...(plain === undefined ? [] : [plain]), proposed, ...NUMBER_STYLES].reduce((found, style) =>
    fits(style) > fits(found) ? style : found,
  );
  return fits(best) > own || plain !== undefined ? best : proposed;
};

/** Text of a cell that holds a number: a workbook's own exact decimal, or what a text file says. */
const numberText = (cell: Cell | undefined, style: NumberStyle): string =>
  cell === undefined
    ? ''
    : typeof cell === 'string'
      ? cell.trim()
      : cell.decimal.replace('.', style.endsWith(',56') ? ',' : '.');

interface Settings {
  readonly base: Currency;
  readonly style: NumberStyle;
  /** What a person chose; otherwise it is guessed. */
  readonly direction: Direction | undefined;
  readonly known: RateBook;
  /** Named as the source of rates whose file does not say. */
  readonly source: string;
}

/**
 * Reads rates out of a table: one rate a row (date, currency, rate, perhaps the other currency, an amount of units and the
 * source), or one day a row with a column per currency. Each bad row is a sentence and never blocks the others.
 */
export const readRates = (table: Table, settings: Settings): Result<ReadRates> => {
  const header = table.rows.findIndex((row) => row.some((cell) => isWord(textOf(cell), WORDS.date)));
  if (header < 0)
    return fail(
      problem(
        'rates.no-date-column',
        `${table.name} has no column headed “date”. Rates are read from rows with a date, a currency and a rate, or from a date with one column per currency.`,
      ),
    );
  const heads = (table.rows[header] ?? []).map((cell) => textOf(cell).trim());
  const at = (words: readonly string[]): number => heads.findIndex((head) => isWord(head, words));
  const columns = {
    date: at(WORDS.date),
    unit: at(WORDS.unit),
    quote: at(WORDS.quote),
    rate: at(WORDS.rate),
    source: at(WORDS.source),
    amount: at(WORDS.amount),
  };
  const wide = heads.flatMap((head, place) => {
    const code = /\b[A-Z]{3}\b/.exec(head.toUpperCase())?.[0];
    return place !== columns.date && code !== undefined && isCurrency(code) && code !== settings.base
      ? [{ place, code }]
      : [];
  });
  const long = columns.rate >= 0 && columns.unit >= 0;
  if (!long && wide.length === 0)
    return fail(
      problem(
        'rates.no-rate-column',
        `${table.name} has a date column, but neither a currency and a rate column nor columns headed by currency codes such as GBP.`,
      ),
    );
  const body = table.rows.slice(header + 1).map((row, index) => ({ row, number: header + index + 2 }));
  const order: DayOrder = dayOrderOf(body.map(({ row }) => textOf(row[columns.date])));
  const texts = body
    .flatMap(({ row }) => (long ? [row[columns.rate]] : wide.map(({ place }) => row[place])))
    .flatMap((cell) => (typeof cell === 'string' && cell.trim() !== '' ? [cell.trim()] : []));
  const style = styleOf(texts.slice(0, 500), settings.style);

  const problems: { row: number; message: string }[] = [];
  const found: {
    row: number;
    date: IsoDate;
    unit: Currency;
    quote: Currency | undefined;
    rate: Decimal;
    source: string;
  }[] = [];
  const take = (
    number: number,
    dateText: string,
    unit: string,
    quote: string | undefined,
    text: string,
    source: string,
    amount = '',
  ): void => {
    const date = readFileDate(dateText, order);
    if (date === undefined) {
      problems.push({ row: number, message: `${quoted(dateText)} is not a date.` });
      return;
    }
    if (!isCurrency(unit) || (quote !== undefined && !isCurrency(quote))) {
      problems.push({
        row: number,
        message: `${quoted(isCurrency(unit) ? (quote ?? '') : unit)} is not an ISO 4217 currency.`,
      });
      return;
    }
    const rate = readRate(text, style);
    if (!rate.ok) {
      problems.push({ row: number, message: rate.problems[0]?.message ?? 'The rate does not read.' });
      return;
    }
    const zeros = /^10*$/.test(amount) ? amount.length - 1 : amount === '' ? 0 : undefined;
    if (zeros === undefined) {
      problems.push({
        row: number,
        message: `A rate per ${quoted(amount)} units is not taken; only 1, 10, 100 and so on.`,
      });
      return;
    }
    if (unit === (quote ?? settings.base)) {
      problems.push({ row: number, message: `A rate of ${unit} against itself says nothing.` });
      return;
    }
    found.push({
      row: number,
      date,
      unit,
      quote,
      rate: { coefficient: rate.value.coefficient, scale: rate.value.scale + zeros },
      source,
    });
  };
  for (const { row, number } of body) {
    const dateText = textOf(row[columns.date]).trim();
    if (row.every((cell) => textOf(cell).trim() === '')) continue;
    if (long) {
      const quote = columns.quote < 0 ? '' : textOf(row[columns.quote]).trim().toUpperCase();
      take(
        number,
        dateText,
        textOf(row[columns.unit]).trim().toUpperCase(),
        quote === '' ? undefined : quote,
        numberText(row[columns.rate], style),
        columns.source < 0 ? '' : fromText(textOf(row[columns.source]).trim()),
        columns.amount < 0 ? '' : textOf(row[columns.amount]).trim(),
      );
    } else
      for (const { place, code } of wide) {
        const text = numberText(row[place], style);
        // A blank, a dash or "n/a" is a day without a rate for this currency, not a mistake.
        if (!/^(?:-|–|n\/?a)?$/i.test(text)) take(number, dateText, code, undefined, text, '');
      }
  }
  const directed = (direction: Direction): (DatedRate & { readonly row: number })[] =>
    found.map(({ unit, quote, source, ...one }) => ({
      ...one,
      source: source === '' ? settings.source : source,
      ...(quote !== undefined
        ? { unit, quote }
        : direction === 'foreign-unit'
          ? { unit, quote: settings.base }
          : { unit: settings.base, quote: unit }),
    }));
  const open = found.some((one) => one.quote === undefined);
  const doubts = (direction: Direction): number =>
    directed(direction).filter((rate) => doubtOf(settings.known, rate)?.code === 'rate.upside-down').length;
  const guess: Direction = long ? 'foreign-unit' : 'base-unit';
  const other: Direction = long ? 'base-unit' : 'foreign-unit';
  const guessed = open && doubts(guess) > doubts(other) ? other : guess;
  const direction = settings.direction ?? guessed;
  return ok({
    rates: directed(direction),
    problems,
    direction,
    reasons: [
      `Row ${header + 1} is the header: ${heads
        .filter((head) => head !== '')
        .slice(0, 8)
        .join(', ')}.`,
      long ? 'Each row is one rate.' : `Each row is a day; its columns are ${wide.map(({ code }) => code).join(', ')}.`,
      `Dates that are not year-month-day have the ${order === 'dmy' ? 'day' : 'month'} first; numbers are written like ${style}.`,
      ...(open
        ? [
            `Rates are read as ${direction === 'base-unit' ? `so much foreign currency for 1 ${settings.base}` : `so much ${settings.base} for 1 of the foreign currency`}${settings.direction !== undefined ? ', as chosen' : guessed !== guess ? ', because the other way round they would be upside down beside the rates that are here' : ''}.`,
          ]
        : []),
    ],
  });
};

export interface RatePreviewRow extends DatedRate {
  readonly row: number;
  readonly status: 'new' | 'changes' | 'same';
  /** What stands now, where it changes. */
  readonly was: string | undefined;
  readonly doubt: Sentence | undefined;
}

/** What taking the rates over would do, row by row; of two rates of a pair and day in the file the last one counts. */
export const previewRates = (
  rates: readonly (DatedRate & { readonly row: number })[],
  known: RateBook,
): readonly RatePreviewRow[] => {
  const last = new Map(rates.map((rate) => [`${pairOf(rate.unit, rate.quote)} ${rate.date}`, rate]));
  const standing = new Map(
    [...known.byPair.values()].flat().map((rate) => [`${pairOf(rate.unit, rate.quote)} ${rate.date}`, rate]),
  );
  // The new ones are looked at beside the old ones and beside each other.
  const all = rateBook([...standing.values(), ...last.values()]);
  return [...last].map(([key, rate]) => {
    const was = standing.get(key);
    const same =
      was !== undefined &&
      was.unit === rate.unit &&
      was.source === rate.source &&
      plainRate(was.rate) === plainRate(rate.rate);
    return {
      ...rate,
      status: was === undefined ? 'new' : same ? 'same' : 'changes',
      was: was === undefined || same ? undefined : `1 ${was.unit} = ${plainRate(was.rate)} ${was.quote}`,
      // Beside its neighbours, and beside the rate that it would replace.
      doubt: same ? undefined : (doubtOf(all, rate) ?? doubtBeside(rate, was === undefined ? [] : [was]))?.says,
    };
  });
};
