import type { IsoDate } from '@/core/base/iso-date';
import { type Currency } from '@/core/money/currency';
import { type ChartMapping, readChartRows } from '@/core/chart/chart-file';
import type { Account } from '@/core/chart/account';
import type { Incoming } from '@/core/chart/incoming';
import { type Drawing, readLogo } from '@/core/company/logo';
import type { Table, TextFormat } from '@/core/base/table';
import type { EmailAttachment, ShownEmail } from '@/core/files/email';
import { isPdf } from '@/core/files/formats';
import { MOST_SHOWN_CHARACTERS } from '@/core/files/limits';
import type { PrintedPage } from '@/core/files/pdf-page';
import { readAnyPaper } from '@/core/files/read-any';
import { decode } from '@/core/files/text';
import type { NumberStyle } from '@/core/money/number-style';
import type { DatedRate } from '@/core/money/rate';
import { rateBook } from '@/core/money/rate-book';
import { type Direction, type ReadRates, readRates } from '@/core/papers/rates';
import { packRows } from '@/core/papers/packed-rows';
import type { Circumstances } from '@/core/papers/recognise';
import { type How, paperSheet } from '@/core/papers/sheet';
import { type Remembered, hintOf, matcher } from '@/core/openings/match';
import { withNeighbours } from '@/core/openings/neighbours';
import { type ListRead, type ListWanted, bankStatements, readList } from '@/core/schedules/read-list';
import { type Result, fail, ok, problem } from '@/core/base/result';
import { type SentSheet, packMatches } from './sent';

/** A file to be read. */
export interface Given {
  readonly bytes: Uint8Array;
  readonly name: string;
}

/** What the reading of a file may be asked for. All of it is plain data, since it crosses between threads. */
export interface Tasks {
  /** Whether a paper reads, and how many rows it has. */
  readonly check: { readonly input: Given; readonly output: { readonly rows: number } };
  /** A page of a PDF as it is printed. */
  readonly page: {
    readonly input: Given & { readonly page: number };
    readonly output: PrintedPage & { readonly number: number; readonly pages: number };
  };
  /** The first table of a file. */
  readonly table: { readonly input: Given; readonly output: Table };
  /** A paper under a reading, its old accounts seen beside a chart and what is remembered of earlier ones. */
  readonly paper: {
    readonly input: Given & {
      readonly format: Partial<TextFormat>;
      readonly how: How;
      readonly circumstances: Omit<Circumstances, 'hint'>;
      readonly chart: readonly Account[];
      readonly memory: readonly Remembered[];
    };
    readonly output: SentSheet;
  };
  /** The rows of a list of accounts under a mapping. */
  readonly accounts: {
    readonly input: Given & { readonly mapping: ChartMapping; readonly base: Currency };
    readonly output: readonly Incoming[];
  };
  readonly rates: {
    readonly input: Given & {
      readonly base: Currency;
      readonly style: NumberStyle;
      readonly direction: Direction | undefined;
      readonly known: readonly DatedRate[];
    };
    readonly output: ReadRates;
  };
  /** The list or statement that a file holds, for the page that it was brought to. */
  readonly list: {
    readonly input: Given & { readonly wanted: ListWanted; readonly date: IsoDate; readonly credit: boolean };
    readonly output: ListRead;
  };
  /** A message for showing it. */
  readonly email: { readonly input: Given; readonly output: ShownEmail };
  /** What hangs on a message. */
  readonly attachment: { readonly input: Given & { readonly at: number }; readonly output: EmailAttachment };
  /** The beginning of a text, for showing it. */
  readonly text: { readonly input: Given; readonly output: { readonly text: string; readonly cut: boolean } };
  readonly logo: { readonly input: Given; readonly output: Uint8Array };
}

export type Task = keyof Tasks;

/** Draws a logo; undefined when nothing of it can be seen. Given to the tasks, because only a server has what draws. */
export type Draw = (drawing: Drawing) => Uint8Array | undefined;

export const tasks = (
  draw: Draw,
): {
  readonly [K in Task]: (input: Tasks[K]['input']) => Result<Tasks[K]['output']> | Promise<Result<Tasks[K]['output']>>;
} => ({
  check: async ({ bytes, name }) => {
    const read = await readAnyPaper(bytes, name);
    return read.ok ? ok({ rows: read.value.reduce((rows, table) => rows + table.rows.length, 0) }) : read;
  },
  page: async ({ bytes, name, page }) =>
    isPdf(bytes)
      ? (await import('@/core/files/pdf')).readPdfPage(bytes, name, page)
      : fail(problem('paper.no-pages', `${name} has no pages to show.`)),
  table: async ({ bytes, name }) => {
    const read = await readAnyPaper(bytes, name);
    return read.ok ? ok(read.value[0] ?? { name, rows: [] }) : read;
  },
  paper: async ({ bytes, name, format, how, circumstances, chart, memory }) => {
    const read = await readAnyPaper(bytes, name, format);
    if (!read.ok) return read;
    const match = matcher(chart, memory);
    const hint = hintOf(match, chart);
    const { recognition, ...sheet } = paperSheet(read.value, how, { ...circumstances, hint }, name);
    const { rows, ...reading } = recognition;
    const accounts = rows.filter(({ kind }) => kind === 'account');
    const matches = packMatches(rows, withNeighbours(accounts, chart, match));
    return ok({ ...sheet, reading, rows: packRows(rows), matches });
  },
  accounts: async ({ bytes, name, mapping, base }) => {
    const read = await readAnyPaper(bytes, name);
    if (!read.ok) return read;
    const table = read.value[mapping.sheet];
    return table === undefined
      ? fail(problem('import.sheet', `${name} has no sheet number ${mapping.sheet + 1}.`))
      : ok(readChartRows(table, mapping, base));
  },
  rates: async ({ bytes, name, known, ...settings }) => {
    const read = await readAnyPaper(bytes, name);
    if (!read.ok) return read;
    const table = read.value.find((one) => one.rows.length > 0);
    return table === undefined
      ? fail(problem('rates.empty', `${name} has no rows.`))
      : readRates(table, { ...settings, known: rateBook(known), source: name });
  },
  list: async ({ bytes, name, wanted, ...asked }) => {
    const statements = wanted === 'statement' ? bankStatements(bytes, name) : undefined;
    if (statements !== undefined)
      return statements.ok ? ok({ kind: 'statements', read: statements.value }) : statements;
    const read = await readAnyPaper(bytes, name);
    return read.ok ? readList(read.value, wanted, { name, ...asked }) : read;
  },
  email: async ({ bytes, name }) => (await import('@/core/files/email')).readEmail(bytes, name),
  attachment: async ({ bytes, name, at }) => (await import('@/core/files/email')).emailAttachment(bytes, name, at),
  text: ({ bytes }) => {
    const { text } = decode(bytes);
    return ok({ text: text.slice(0, MOST_SHOWN_CHARACTERS), cut: text.length > MOST_SHOWN_CHARACTERS });
  },
  logo: ({ bytes }) => {
    const drawing = readLogo(bytes);
    if (!drawing.ok) return drawing;
    const drawn = draw(drawing.value);
    return drawn === undefined
      ? fail(
          problem(
            'logo.nothing',
            'Nothing of the picture could be drawn: it is damaged or empty. Save it again, as PNG.',
            'logo',
          ),
        )
      : ok(drawn);
  },
});
