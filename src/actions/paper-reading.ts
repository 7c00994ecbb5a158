import { openingDate } from '@/core/calendar/cutover';
import type { Account, AccountId } from '@/core/chart/account';
import { normalSide } from '@/core/chart/classes';
import { minorDigits } from '@/core/money/currency';
import type { Minor } from '@/core/money/minor';
import { matcher } from '@/core/openings/match';
import { type Decision, type Plan, planTakeOver } from '@/core/openings/takeover';
import type { Table, TextFormat } from '@/core/papers/cells';
import type { PaperRow } from '@/core/papers/paper-row';
import { readPaper } from '@/core/papers/read';
import type { Reading } from '@/core/papers/reading';
import {
  type Circumstances,
  type Recognition,
  explained,
  recognise,
  recogniseFrom,
  shapeOf,
} from '@/core/papers/recognise';
import { type OpenPaper, matchMemory, shapeReading } from '@/store/papers';
import type { BooksContext } from './action';

/** Papers never change, so the last few read are kept; each change of a reading then costs no second parse. */
const cache = new Map<string, readonly Table[]>();
const KEPT = 4;

const keyOf = (booksId: number, paper: number, format: Partial<TextFormat> = {}): string =>
  `${String(booksId)}/${String(paper)}/${JSON.stringify(format)}`;

/** Keeps the tables of a paper that was just read, since it is looked at next. */
export const keepTables = (booksId: number, paper: number, tables: readonly Table[]): void =>
  keep(keyOf(booksId, paper), tables);

const keep = (key: string, tables: readonly Table[]): void => {
  cache.set(key, tables);
  for (const oldest of cache.keys()) {
    if (cache.size <= KEPT) break;
    cache.delete(oldest);
  }
};

/** The tables of a stored paper, taken apart as a person said or as its bytes suggest; it was readable when it was brought. */
const tablesOf = (
  booksId: number,
  paper: Pick<OpenPaper, 'id' | 'content' | 'name'>,
  format: Partial<TextFormat> = {},
): readonly Table[] => {
  const key = keyOf(booksId, paper.id, format);
  const known = cache.get(key);
  if (known !== undefined) return known;
  const read = readPaper(paper.content, paper.name, format);
  if (!read.ok) throw new Error(`paper ${key} was stored but does not read: ${read.problems[0]?.code ?? ''}`);
  keep(key, read.value);
  return read.value;
};

export interface ReadPaper {
  readonly tables: readonly Table[];
  readonly recognition: Recognition;
  readonly rows: readonly PaperRow[];
  readonly plan: Plan;
  /** The paper whose reading is used again, while nobody changed it for this one. */
  readonly likePaper: string | null;
}

const circumstancesOf = ({ books }: BooksContext, hint?: Circumstances['hint']): Circumstances => ({
  digits: minorDigits(books.currency),
  date: openingDate(books.cutover).toString(),
  ...(hint === undefined ? {} : { hint }),
});

/** A stored paper under its reading, its rows matched and decided: what the page shows and the take-over carries out. */
export const readStored = async (
  context: BooksContext,
  paper: OpenPaper,
  chart: readonly Account[],
  stands: ReadonlyMap<AccountId, Minor>,
): Promise<ReadPaper> => {
  const { tx, books, actor } = context;
  const match = matcher(chart, await matchMemory(tx, books.id));
  const byId = new Map(chart.map((account) => [account.id, account]));
  const circumstances = circumstancesOf(context, ({ code, name }) => {
    const found = match({ code, name });
    const account = found.kind === 'matched' && found.sure ? byId.get(found.account) : undefined;
    return account === undefined ? undefined : normalSide(account);
  });
  const own = paper.reading;
  const tables = tablesOf(books.id, paper, own?.format);
  let recognition: Recognition;
  let likePaper: string | null = null;
  if (own === null) {
    recognition = recognise(tables, circumstances);
    const like = await shapeReading(tx, actor.practice, shapeOf(tables, recognition.reading));
    if (like !== undefined) {
      likePaper = like.from;
      const reading = {
        ...recognition.reading,
        ...like.reading,
        sheet: recognition.reading.sheet,
        header: recognition.reading.header,
        asAccount: {},
      };
      recognition = explained(tables, reading, circumstances);
    }
  } else recognition = explained(tables, own, circumstances);
  const { rows } = recognition;
  const decisions = new Map(
    Object.entries(paper.decisions).map(([row, decision]): [number, Decision] => [Number(row), decision]),
  );
  return { tables, recognition, rows, likePaper, plan: planTakeOver(rows, match, decisions, chart, stands) };
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
