import { createHash } from 'node:crypto';
import { openingDate } from '@/core/calendar/cutover';
import type { Account, AccountId } from '@/core/chart/account';
import { normalSide } from '@/core/chart/classes';
import { minorDigits } from '@/core/money/currency';
import type { Minor } from '@/core/money/minor';
import { withNeighbours } from '@/core/openings/neighbours';
import { type RowFilter, rowsUnder } from '@/core/openings/paper-list';
import { type OldAccount, type Match, matcher } from '@/core/openings/match';
import {
  type Creation,
  type DecidedRow,
  type Decision,
  type Plan,
  planTakeOver,
  proposeCreations,
} from '@/core/openings/takeover';
import type { Table, TextFormat } from '@/core/files/cells';
import type { PaperRow } from '@/core/papers/paper-row';
import { readingOf } from '@/core/papers/amount-columns';
import { type Result, fail, ok } from '@/core/result';
import type { Reading } from '@/core/papers/reading';
import {
  type Circumstances,
  type Recognition,
  explained,
  recognise,
  recogniseFrom,
  shapeOf,
} from '@/core/papers/recognise';
import type { Queryable } from '@/store/database';
import { type OpenPaper, matchMemory, memoryStamp, paperContent, shapeReading } from '@/store/papers';
import { Aside, type BooksContext } from './action';
import { reading as pool } from './context';

/** Holds the last value, and makes it anew when what it is made from (its key) has changed. */
const slot = <T>() => {
  let held: { readonly key: string; readonly value: T } | undefined;
  return {
    get: (key: string): T | undefined => (held?.key === key ? held.value : undefined),
    set: (key: string, value: T): T => {
      held = { key, value };
      return value;
    },
    make(key: string, make: () => T): T {
      return this.get(key) ?? this.set(key, make());
    },
  };
};

type Planned = Pick<ReadPaper, 'plan' | 'decided' | 'proposals' | 'listed'>;

/**
 * What was made of a paper, each step under a key of all that it is made from. A page of a large paper asks for one window
 * of rows after the other, and the take-over for the plan that the page has shown.
 */
const emptyHold = () => ({
  weight: 0,
  tables: slot<Result<readonly Table[]>>(),
  match: slot<(row: OldAccount) => Match>(),
  proposed: slot<Recognition>(),
  read: slot<Recognition>(),
  planned: slot<Planned>(),
});

const papers = new Map<string, ReturnType<typeof emptyHold>>();
/** So many bytes of papers are held at most, the last ones looked at; the one at hand always is. */
const MOST_HELD = 192 * 1024 * 1024;
/** What is made of a row besides its cells: what it is read as, matched and decided, about so many bytes. */
const ROW_WEIGHT = 600;

const holdOf = (booksId: number, paper: number): ReturnType<typeof emptyHold> => {
  const key = `${String(booksId)}/${String(paper)}`;
  const hold = papers.get(key) ?? emptyHold();
  papers.delete(key);
  papers.set(key, hold);
  return hold;
};

const formatKey = ({ encoding, delimiter, quote }: Partial<TextFormat>): string =>
  JSON.stringify([encoding, delimiter, quote]);

const keep = (
  booksId: number,
  paper: number,
  format: Partial<TextFormat>,
  tables: Result<readonly Table[]>,
  weight: number,
): void => {
  const hold = holdOf(booksId, paper);
  hold.weight =
    weight + ROW_WEIGHT * (tables.ok ? tables.value.reduce((rows, table) => rows + table.rows.length, 0) : 0);
  hold.tables.set(formatKey(format), tables);
  let held = [...papers.values()].reduce((all, one) => all + one.weight, 0);
  for (const [key, one] of papers) {
    if (held <= MOST_HELD || one === hold) break;
    papers.delete(key);
    held -= one.weight;
  }
};

/**
 * The tables of a stored paper, taken apart as a person said or as its bytes suggest. Where they are not held, the
 * transaction is left for the time in which the paper is read.
 */
export const tablesOf = async (
  tx: Queryable,
  booksId: number,
  { id, name }: Pick<OpenPaper, 'id' | 'name'>,
  format: Partial<TextFormat> = {},
): Promise<Result<readonly Table[]>> => {
  const known = holdOf(booksId, id).tables.get(formatKey(format));
  if (known !== undefined) return known;
  const bytes = await paperContent(tx, booksId, id);
  throw new Aside(async () => {
    const read = await pool().read('tables', { bytes, name, format });
    keep(booksId, id, format, read.ok ? ok(read.value.tables) : read, read.ok ? read.value.weight : 0);
  });
};

export interface ReadPaper {
  readonly tables: readonly Table[];
  readonly recognition: Recognition;
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

const circumstancesOf = ({ books }: BooksContext, hint?: Circumstances['hint']): Circumstances => ({
  digits: minorDigits(books.currency),
  currency: books.currency,
  date: openingDate(books.cutover).toString(),
  ...(hint === undefined ? {} : { hint }),
});

/** The normal side of an old account that is one of the chart without a doubt. */
const hintOf = (match: (row: OldAccount) => Match, chart: readonly Account[]): NonNullable<Circumstances['hint']> => {
  const byId = new Map(chart.map((account) => [account.id, account]));
  return ({ code, name }) => {
    const found = match({ code, name });
    const account = found.kind === 'matched' && found.sure ? byId.get(found.account) : undefined;
    return account === undefined ? undefined : normalSide(account);
  };
};

const keyed = (...parts: readonly unknown[]): string =>
  createHash('sha256')
    .update(JSON.stringify(parts, (_, value: unknown) => (typeof value === 'bigint' ? String(value) : value)))
    .digest('base64');

/** A stored paper under its reading, its rows matched and decided: what the page shows and the take-over carries out. */
export const readStored = async (
  context: BooksContext,
  paper: OpenPaper,
  chart: readonly Account[],
  stands: ReadonlyMap<AccountId, Minor>,
): Promise<ReadPaper> => {
  const { tx, books } = context;
  const own = paper.reading;
  const read = await tablesOf(tx, books.id, paper, own?.format);
  // A paper that was stored and does not read any more, since limits have changed, shows why instead of its rows.
  const tables: readonly Table[] = read.ok
    ? read.value
    : [{ name: paper.name, rows: [], remarks: read.problems.map(({ message }) => message) }];
  const hold = holdOf(books.id, paper.id);
  const known = keyed(chart, await memoryStamp(tx, books.id), books.currency, books.cutover.toString());
  const match = hold.match.get(known) ?? hold.match.set(known, matcher(chart, await matchMemory(tx, books.id)));
  const circumstances = circumstancesOf(context, hintOf(match, chart));
  const { reading, likePaper, proposed } =
    own === null
      ? await proposedReading(
          context,
          tables,
          hold.proposed.make(known, () => recognise(tables, circumstances)),
        )
      : { reading: own, likePaper: null, proposed: undefined };
  const readKey = keyed(known, reading);
  const recognition = proposed ?? hold.read.make(readKey, () => explained(tables, reading, circumstances));
  return {
    tables,
    recognition,
    likePaper,
    ...hold.planned.make(keyed(readKey, paper.decisions, [...stands]), () =>
      planned(
        recognition.rows,
        withNeighbours(
          recognition.rows.filter(({ kind }) => kind === 'account'),
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

/** The reading of the last paper of this shape in the practice, where there was one; else as its cells suggest. */
const proposedReading = async (
  { tx, actor }: BooksContext,
  tables: readonly Table[],
  proposed: Recognition,
): Promise<{ reading: Reading; likePaper: string | null; proposed?: Recognition }> => {
  const like = await shapeReading(tx, actor.practice, shapeOf(tables, proposed.reading));
  if (like === undefined) return { reading: proposed.reading, likePaper: null, proposed };
  const { sheet, header } = proposed.reading;
  return {
    reading: { ...proposed.reading, ...like.reading, sheet, header, asAccount: {} },
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

/** The proposal from another sheet or header row on, or with the text taken apart in another way. */
export const proposalFor = (
  context: BooksContext,
  tables: readonly Table[],
  sheet: number,
  header: number | undefined,
): Reading =>
  (header === undefined
    ? recognise(tables, circumstancesOf(context))
    : recogniseFrom(tables, sheet, header, circumstancesOf(context))
  ).reading;

/**
 * What a column of a paper comes to on each account, for comparatives: `null` for the amounts as the paper is read. Rows go
 * where the matching and decisions put them; those that are divided go nowhere, because their parts are of other amounts.
 */
export const readColumn = async (
  context: BooksContext,
  paper: OpenPaper,
  chart: readonly Account[],
  column: number | null,
): Promise<Result<{ readonly amounts: ReadonlyMap<AccountId, Minor>; readonly divided: number }>> => {
  const { tx, books } = context;
  const { tables, recognition } = await readStored(context, paper, chart, new Map());
  const match = matcher(chart, await matchMemory(tx, books.id));
  const rows =
    column === null
      ? recognition.rows
      : explained(
          tables,
          readingOf(recognition.reading, column),
          circumstancesOf(context, hintOf(match, chart)),
          [],
          true,
        ).rows;
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
