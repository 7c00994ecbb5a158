import { openingDate } from '@/core/calendar/cutover';
import type { Account, AccountId } from '@/core/chart/account';
import { sameKept } from '@/core/base/kept';
import type { TextFormat } from '@/core/base/table';
import { minorDigits } from '@/core/money/currency';
import type { Minor } from '@/core/money/minor';
import type { Match } from '@/core/openings/match';
import { type RowFilter, rowsUnder } from '@/core/openings/paper-list';
import { type Creation, type DecidedRow, planTakeOver, proposeCreations } from '@/core/openings/takeover';
import { likenesses } from '@/core/papers/alike';
import type { Arrangement } from '@/core/papers/arrange';
import { readingOf } from '@/core/papers/amount-columns';
import type { PaperRow } from '@/core/papers/paper-row';
import type { Reading } from '@/core/papers/reading';
import type { How } from '@/core/papers/sheet';
import { type Result, fail, ok } from '@/core/base/result';
import { type OpenPaper, matchMemory, memoryStamp, paperContent, shapeReading } from '@/store/papers';
import { standingChart } from '../frame/held-chart';
import { Aside, type BooksContext } from '../kernel/action';
import { type MatchedSheet, received } from '@/workers/reading/sent';
import { reading as pool } from '../kernel/context';
import { type Planned, holdOf, keep, keyed } from './hold';

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

/** How a file is taken apart, and which reading of it is asked for. */
interface Asked {
  readonly format: Partial<TextFormat>;
  readonly how: How;
}
const PROPOSED: Asked = { format: {}, how: { kind: 'proposed' } };

/**
 * A stored paper as asked. Where it is not held, the transaction is left for the time in which a thread of the pool takes it
 * apart and reads it; the server's own thread never does.
 */
const sheetOf = async (
  { tx, books }: BooksContext,
  { id, name }: Pick<OpenPaper, 'id' | 'name'>,
  { chart, key }: Beside,
  asked: Asked = PROPOSED,
): Promise<Result<MatchedSheet>> => {
  const own = keyed(key, asked);
  const known = holdOf(books.id, id).sheets.get(own);
  if (known !== undefined) return known;
  const [bytes, memory] = [await paperContent(tx, books.id, id), await matchMemory(tx, books.id)];
  throw new Aside(async () => {
    const circumstances = circumstancesOf({ books });
    const sent = await pool().read('paper', { bytes, name, ...asked, circumstances, chart, memory });
    keep(books.id, id, own, sent.ok ? ok(received(sent.value)) : sent);
  });
};

/** A file's proposal, read before it is a paper. */
interface FirstReading {
  readonly key: string;
  readonly sheet: MatchedSheet;
}

/**
 * Gathers what the first reading of a file needs; the reading itself, in the pool, is done outside the transaction. A file that takes
 * apart but is not understood in time is a paper all the same, without a first reading.
 */
export const firstReading = async (
  context: BooksContext,
  name: string,
  bytes: Uint8Array,
): Promise<() => Promise<Result<FirstReading | undefined>>> => {
  const chart = await standingChart(context);
  const memory = await matchMemory(context.tx, context.books.id);
  const { key } = await besideOf(context, chart);
  const circumstances = circumstancesOf(context);
  return async () => {
    const sent = await pool().read('paper', { bytes, name, ...PROPOSED, circumstances, chart, memory });
    if (sent.ok) return ok({ key: keyed(key, PROPOSED), sheet: received(sent.value) });
    if (!sent.problems.some(({ code }) => code === 'file.time')) return sent;
    const taken = await pool().read('check', { bytes, name });
    return taken.ok ? ok(undefined) : taken;
  };
};

/** The paper that a file became is not read a second time. */
export const keepFirst = (booksId: number, paper: number, { key, sheet }: FirstReading): void =>
  keep(booksId, paper, key, ok(sheet));

export interface ReadPaper extends Planned {
  readonly sheet: MatchedSheet;
  /** The paper whose reading is used again, while nobody changed it for this one. */
  readonly likePaper: string | null;
}

/** A paper that was stored and does not read any more, since limits have changed: it has no rows, and says why. */
const unreadable = ({ problems }: { readonly problems: readonly { readonly message: string }[] }): MatchedSheet => ({
  match: () => ({ kind: 'unmatched', why: '', candidates: [] }),
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
  places: null,
});

/** A stored paper under its reading, its rows matched and decided: what the page shows and the take-over carries out. */
export const readStored = async (
  context: BooksContext,
  paper: OpenPaper,
  chart: readonly Account[],
  stands: ReadonlyMap<AccountId, Minor>,
): Promise<ReadPaper> => {
  const { books } = context;
  const beside = await besideOf(context, chart);
  const { read, likePaper } = await asDecided(context, paper, beside);
  const sheet = read.ok ? read.value : unreadable(read);
  const { rows, reading } = sheet.recognition;
  return {
    sheet,
    likePaper,
    ...holdOf(books.id, paper.id).planned.make(keyed(beside.key, reading, [...paper.decisions], [...stands]), () =>
      planned(rows, sheet.match, paper.decisions, chart, stands),
    ),
  };
};

/** The paper as a person said it is read; else as the last one of its shape in the practice was; else as its cells suggest. */
const asDecided = async (
  context: BooksContext,
  paper: OpenPaper,
  beside: Beside,
): Promise<{ readonly read: Result<MatchedSheet>; readonly likePaper: string | null }> => {
  const own = paper.reading;
  // What stands as it was proposed is not read a second time for rows having been decided about.
  const held = holdOf(context.books.id, paper.id).sheets.get(keyed(beside.key, PROPOSED));
  if (held?.ok === true && sameKept(held.value.recognition.reading, own)) return { read: held, likePaper: null };
  if (own !== null)
    return {
      read: await sheetOf(context, paper, beside, {
        format: own.format ?? {},
        how: { kind: 'as', reading: own, infer: false },
      }),
      likePaper: null,
    };
  const proposed = await sheetOf(context, paper, beside);
  if (!proposed.ok) return { read: proposed, likePaper: null };
  const like = await shapeReading(context.tx, context.actor.practice, proposed.value.shape);
  if (like === undefined) return { read: proposed, likePaper: null };
  const { reading, doubts, alternatives } = proposed.value.recognition;
  // What is proposed without a doubt, and was chosen before, is not read a second time.
  const { columns, style, convention } = reading;
  if (doubts.length + alternatives.length === 0 && sameKept({ columns, style, convention }, like.reading))
    return { read: proposed, likePaper: like.from };
  const again = { ...reading, ...like.reading, sheet: reading.sheet, header: reading.header, asAccount: {} };
  return {
    read: await sheetOf(context, paper, beside, { format: {}, how: { kind: 'as', reading: again, infer: false } }),
    likePaper: like.from,
  };
};

const planned = (
  rows: readonly PaperRow[],
  match: (row: PaperRow) => Match,
  decisions: OpenPaper['decisions'],
  chart: readonly Account[],
  stands: ReadonlyMap<AccountId, Minor>,
): Planned => {
  const plan = planTakeOver(rows, match, decisions, chart, stands);
  const byRow: DecidedRow[] = [];
  for (const one of plan.rows) byRow[one.row.row] = one;
  let proposals: ReadonlyMap<number, Creation> | undefined;
  let alike: ReturnType<typeof likenesses> | undefined;
  const lists = new Map<RowFilter, readonly PaperRow[]>();
  return {
    plan,
    decided: (row) => byRow[row],
    proposals: () => (proposals ??= proposeCreations(plan, chart)),
    alike: (row) => (alike ??= likenesses(rows))(row),
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
): Promise<Result<MatchedSheet>> =>
  sheetOf(context, paper, await besideOf(context, chart), {
    format,
    how:
      header === undefined && arrangement === undefined
        ? { kind: 'proposed' }
        : { kind: 'from', sheet, header, arrangement: arrangement ?? undefined },
  });

/** The proposal around what was chosen about a reading. */
export const proposalAround = async (
  context: BooksContext,
  paper: OpenPaper,
  chart: readonly Account[],
  reading: Reading,
): Promise<Result<MatchedSheet>> =>
  sheetOf(context, paper, await besideOf(context, chart), {
    format: reading.format ?? {},
    how: { kind: 'around', reading },
  });

/** The rows of columns of a paper, each read as a balance column; `null` stands for the amounts as the paper is read. */
type ColumnRows = ReadonlyMap<number | null, MatchedSheet>;

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
  const { value } = own.read;
  const { recognition } = value;
  const given = {
    bytes: await paperContent(tx, books.id, paper.id),
    name: paper.name,
    format: paper.reading?.format ?? {},
    circumstances: circumstancesOf(context),
    chart,
    memory: await matchMemory(tx, books.id),
  };
  return async () => {
    const found = new Map<number | null, MatchedSheet>([[null, value]]);
    for (const column of columns) {
      if (column === null) continue;
      const reading = readingOf(recognition.reading, column);
      const sent = await pool().read('paper', { ...given, how: { kind: 'as', reading, infer: true } });
      if (!sent.ok) return sent;
      found.set(column, received(sent.value));
    }
    return ok(found);
  };
};

/**
 * What rows come to on each account, for comparatives. They go where the matching and decisions put them; those that are
 * divided go nowhere, because their parts are of other amounts.
 */
export const amountsOn = (
  { recognition: { rows }, match }: MatchedSheet,
  paper: OpenPaper,
  chart: readonly Account[],
): Result<{ readonly amounts: ReadonlyMap<AccountId, Minor>; readonly divided: number }> => {
  const decisions = [...paper.decisions];
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
