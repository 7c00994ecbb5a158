import { createHash } from 'node:crypto';
import { openingDate } from '@/core/calendar/cutover';
import type { Account, AccountId } from '@/core/chart/account';
import type { TextFormat } from '@/core/files/cells';
import { minorDigits } from '@/core/money/currency';
import type { Minor } from '@/core/money/minor';
import { type Match, type OldAccount, matcher } from '@/core/openings/match';
import { withNeighbours } from '@/core/openings/neighbours';
import { type RowFilter, rowsUnder } from '@/core/openings/paper-list';
import {
  type Creation,
  type DecidedRow,
  type Decision,
  type Plan,
  planTakeOver,
  proposeCreations,
} from '@/core/openings/takeover';
import type { Arrangement } from '@/core/papers/arrange';
import { readingOf } from '@/core/papers/amount-columns';
import type { PaperRow } from '@/core/papers/paper-row';
import type { How, PaperSheet } from '@/core/papers/sheet';
import { type Result, fail, ok } from '@/core/result';
import { type OpenPaper, matchMemory, memoryStamp, paperContent, shapeReading } from '@/store/papers';
import { Aside, type BooksContext } from './action';
import { received } from '@/workers/reading/sent';
import { reading as pool } from './context';

/** Holds the last few values, and makes one anew when what it is made from (its key) is another. */
const slots = <T>(most: number) => {
  const held = new Map<string, T>();
  return {
    get: (key: string): T | undefined => held.get(key),
    set: (key: string, value: T): T => {
      held.delete(key);
      held.set(key, value);
      for (const [oldest] of held) {
        if (held.size <= most) break;
        held.delete(oldest);
      }
      return value;
    },
    make(key: string, make: () => T): T {
      return this.get(key) ?? this.set(key, make());
    },
  };
};

type Planned = Pick<ReadPaper, 'plan' | 'decided' | 'proposals' | 'listed'>;

/** A paper is at most held as its cells suggest and as somebody said. */
const READINGS = 2;

/**
 * What was made of a paper, each step under a key of all that it is made from. A page of a large paper asks for one window
 * of rows after the other, and the take-over for the plan that the page has shown.
 */
const emptyHold = () => ({
  weight: 0,
  match: slots<(row: OldAccount) => Match>(1),
  sheets: slots<Result<PaperSheet>>(READINGS),
  planned: slots<Planned>(1),
});

const papers = new Map<string, ReturnType<typeof emptyHold>>();
/** So many bytes of papers are held at most, the last ones looked at; the one at hand always is. */
const MOST_HELD = 32 * 1024 * 1024;
/** What is made of a row, read as, matched and decided: about so many bytes besides its text. */
const ROW_WEIGHT = 500;

const holdOf = (booksId: number, paper: number): ReturnType<typeof emptyHold> => {
  const key = `${String(booksId)}/${String(paper)}`;
  const hold = papers.get(key) ?? emptyHold();
  papers.delete(key);
  papers.set(key, hold);
  return hold;
};

const keep = (booksId: number, paper: number, key: string, sheet: Result<PaperSheet>): void => {
  const hold = holdOf(booksId, paper);
  hold.sheets.set(key, sheet);
  if (sheet.ok) hold.weight = sheet.value.recognition.rows.reduce((all, row) => all + ROW_WEIGHT + row.text.length, 0);
  let held = [...papers.values()].reduce((all, one) => all + one.weight, 0);
  for (const [oldest, one] of papers) {
    if (held <= MOST_HELD || one === hold) break;
    papers.delete(oldest);
    held -= one.weight;
  }
};

const keyed = (...parts: readonly unknown[]): string =>
  createHash('sha256')
    .update(JSON.stringify(parts, (_, value: unknown) => (typeof value === 'bigint' ? String(value) : value)))
    .digest('base64');

/** What a paper is read beside, with the key of all of it. */
interface Beside {
  readonly chart: readonly Account[];
  readonly key: string;
}

const besideOf = async ({ tx, books }: BooksContext, chart: readonly Account[]): Promise<Beside> => ({
  chart,
  key: keyed(chart, await memoryStamp(tx, books.id), books.currency, books.cutover.toString()),
});

const circumstancesOf = ({ books }: Pick<BooksContext, 'books'>) => ({
  digits: minorDigits(books.currency),
  currency: books.currency,
  date: openingDate(books.cutover).toString(),
});

/**
 * A stored paper as asked. Where it is not held, the transaction is left for the time in which a thread of the pool takes it
 * apart and reads it; the server's own thread never does.
 */
const sheetOf = async (
  { tx, books }: BooksContext,
  { id, name }: Pick<OpenPaper, 'id' | 'name'>,
  { chart, key }: Beside,
  format: Partial<TextFormat> = {},
  how: How = { kind: 'proposed' },
): Promise<Result<PaperSheet>> => {
  const own = keyed(key, format, how);
  const known = holdOf(books.id, id).sheets.get(own);
  if (known !== undefined) return known;
  const [bytes, memory] = [await paperContent(tx, books.id, id), await matchMemory(tx, books.id)];
  throw new Aside(async () => {
    const circumstances = circumstancesOf({ books });
    const sent = await pool().read('paper', { bytes, name, format, how, circumstances, chart, memory });
    keep(books.id, id, own, sent.ok ? ok(received(sent.value)) : sent);
  });
};

export interface ReadPaper {
  readonly sheet: PaperSheet;
  readonly plan: Plan;
  /** What becomes of a row; undefined for one that is not read as an account. */
  readonly decided: (row: number) => DecidedRow | undefined;
  /** The account that each undecided row would get if one were made for it. */
  readonly proposals: () => ReadonlyMap<number, Creation>;
  /** The rows under a filter, in the order of the paper. */
  readonly listed: (filter: RowFilter) => readonly PaperRow[];
  /** The paper whose reading is used again, while nobody changed it for this one. */
  readonly likePaper: string | null;
}

/** A paper that was stored and does not read any more, since limits have changed: it has no rows, and says why. */
const unreadable = ({ problems }: { readonly problems: readonly { readonly message: string }[] }): PaperSheet => ({
  recognition: {
    reading: { sheet: 0, header: -1, columns: [], style: '1,234.56', convention: 'written', asAccount: {} },
    reasons: [],
    doubts: problems.map(({ message }) => ({ code: 'paper.unreadable', message, row: null })),
    alternatives: [],
    nets: [],
    rows: [],
  },
  sheets: [],
  head: [],
  width: 0,
  height: 0,
  format: null,
  stated: null,
  currency: null,
  shape: '',
  amounts: [],
});

/** A stored paper under its reading, its rows matched and decided: what the page shows and the take-over carries out. */
export const readStored = async (
  context: BooksContext,
  paper: OpenPaper,
  chart: readonly Account[],
  stands: ReadonlyMap<AccountId, Minor>,
): Promise<ReadPaper> => {
  const { tx, books } = context;
  const beside = await besideOf(context, chart);
  const { read, likePaper } = await asDecided(context, paper, beside);
  const sheet = read.ok ? read.value : unreadable(read);
  const hold = holdOf(books.id, paper.id);
  const match =
    hold.match.get(beside.key) ?? hold.match.set(beside.key, matcher(chart, await matchMemory(tx, books.id)));
  const { rows, reading } = sheet.recognition;
  return {
    sheet,
    likePaper,
    ...hold.planned.make(keyed(beside.key, reading, paper.decisions, [...stands]), () =>
      planned(
        rows,
        withNeighbours(
          rows.filter(({ kind }) => kind === 'account'),
          chart,
          match,
        ),
        paper.decisions,
        chart,
        stands,
      ),
    ),
  };
};

/** The paper as a person said it is read; else as the last one of its shape in the practice was; else as its cells suggest. */
const asDecided = async (
  context: BooksContext,
  paper: OpenPaper,
  beside: Beside,
): Promise<{ readonly read: Result<PaperSheet>; readonly likePaper: string | null }> => {
  const own = paper.reading;
  if (own !== null)
    return {
      read: await sheetOf(context, paper, beside, own.format, { kind: 'as', reading: own, infer: false }),
      likePaper: null,
    };
  const proposed = await sheetOf(context, paper, beside);
  if (!proposed.ok) return { read: proposed, likePaper: null };
  const like = await shapeReading(context.tx, context.actor.practice, proposed.value.shape);
  if (like === undefined) return { read: proposed, likePaper: null };
  const { reading } = proposed.value.recognition;
  const again = { ...reading, ...like.reading, sheet: reading.sheet, header: reading.header, asAccount: {} };
  return {
    read: await sheetOf(context, paper, beside, {}, { kind: 'as', reading: again, infer: false }),
    likePaper: like.from,
  };
};

const planned = (
  rows: readonly PaperRow[],
  match: (row: PaperRow) => Match,
  decided: OpenPaper['decisions'],
  chart: readonly Account[],
  stands: ReadonlyMap<AccountId, Minor>,
): Planned => {
  const decisions = new Map(Object.entries(decided).map(([row, one]): [number, Decision] => [Number(row), one]));
  const plan = planTakeOver(rows, match, decisions, chart, stands);
  const byRow = new Map(plan.rows.map((one) => [one.row.row, one]));
  let proposals: ReadonlyMap<number, Creation> | undefined;
  const lists = new Map<RowFilter, readonly PaperRow[]>();
  return {
    plan,
    decided: (row) => byRow.get(row),
    proposals: () => (proposals ??= proposeCreations(plan, chart)),
    listed: (filter) => {
      const known = lists.get(filter) ?? rowsUnder(filter, rows, plan);
      lists.set(filter, known);
      return known;
    },
  };
};

/** The proposal from another sheet or header row on, with the table lying or the text taken apart in another way. */
export const proposalFor = async (
  context: BooksContext,
  paper: OpenPaper,
  chart: readonly Account[],
  format: Partial<TextFormat>,
  sheet: number,
  header: number | undefined,
  arrangement: Arrangement | null | undefined,
): Promise<Result<PaperSheet>> =>
  sheetOf(
    context,
    paper,
    await besideOf(context, chart),
    format,
    header === undefined && arrangement === undefined
      ? { kind: 'proposed' }
      : { kind: 'from', sheet, header, arrangement: arrangement ?? undefined },
  );

/** The rows of columns of a paper, each read as a balance column; `null` stands for the amounts as the paper is read. */
type ColumnRows = ReadonlyMap<number | null, readonly PaperRow[]>;

/** Gathers what the reading of columns needs; the reading itself, one column after the other, is done outside the transaction. */
export const columnReader = async (
  context: BooksContext,
  paper: OpenPaper,
  chart: readonly Account[],
  columns: readonly (number | null)[],
): Promise<() => Promise<Result<ColumnRows>>> => {
  const { tx, books } = context;
  const own = await asDecided(context, paper, await besideOf(context, chart));
  if (!own.read.ok) return () => Promise.resolve(own.read.ok ? ok(new Map()) : own.read);
  const { recognition } = own.read.value;
  const given = {
    bytes: await paperContent(tx, books.id, paper.id),
    name: paper.name,
    format: paper.reading?.format ?? {},
    circumstances: circumstancesOf(context),
    chart,
    memory: await matchMemory(tx, books.id),
  };
  return async () => {
    const found = new Map<number | null, readonly PaperRow[]>([[null, recognition.rows]]);
    for (const column of columns) {
      if (column === null) continue;
      const reading = readingOf(recognition.reading, column);
      const sent = await pool().read('paper', { ...given, how: { kind: 'as', reading, infer: true } });
      if (!sent.ok) return sent;
      found.set(column, received(sent.value).recognition.rows);
    }
    return ok(found);
  };
};

/**
 * What rows come to on each account, for comparatives. They go where the matching and decisions put them; those that are
 * divided go nowhere, because their parts are of other amounts.
 */
export const amountsOn = (
  rows: readonly PaperRow[],
  paper: OpenPaper,
  chart: readonly Account[],
  match: (row: OldAccount) => Match,
): Result<{ readonly amounts: ReadonlyMap<AccountId, Minor>; readonly divided: number }> => {
  const decisions = Object.entries(paper.decisions).map(([row, one]): [number, Decision] => [Number(row), one]);
  const divided = new Set(decisions.flatMap(([row, { kind }]) => (kind === 'split' ? [row] : [])));
  const plan = planTakeOver(
    rows.filter(({ row }) => !divided.has(row)),
    match,
    new Map(decisions.filter(([, { kind }]) => kind === 'account' || kind === 'leave-out')),
    chart,
    new Map(),
  );
  return plan.problems.length > 0 ? fail(...plan.problems) : ok({ amounts: plan.amounts, divided: divided.size });
};
