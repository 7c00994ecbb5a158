import type { IsoDate } from '@/core/base/iso-date';
import type { AccountId } from '@/core/chart/account';
import type { Minor } from '@/core/money/minor';
import type { Match } from '@/core/openings/match';
import { type Creation, type Decision, nothingIn, waits } from '@/core/openings/takeover';
import { PAGE_ROWS, type RowFilter, pageWith } from '@/core/openings/paper-list';
import type { Totals } from '@/core/ledger/level';
import { type ComparativeColumn, columnNamed, comparativeColumns } from '@/core/openings/comparatives';
import type { Likeness } from '@/core/papers/alike';
import type { AmountColumn } from '@/core/papers/amount-columns';
import type { Place, TextFormat } from '@/core/base/table';
import type { PaperRow } from '@/core/papers/paper-row';
import type { Recognition } from '@/core/papers/recognise';
import { type RowTotals, rowTotals, statedTotals } from '@/core/papers/rows';
import { currentAmounts, currentSet } from '@/store/openings';
import { findPaper, paperContent, lastTakeOver } from '@/store/papers';
import { standingChart } from '../frame/held-chart';
import { booksView } from '../kernel/action';
import { reading as pool } from '../kernel/context';
import { page } from '../frame/views';
import { type ReadPaper, readStored } from './reading';

/** A row of a paper with what becomes of it. */
export interface RowView {
  readonly row: PaperRow;
  /** Whether it has an amount, and nothing is decided about it. */
  readonly waits: boolean;
  /** For a row read as an account: its match and what is decided, by a person or by the match. */
  readonly decided: { readonly match: Match; readonly decision: Decision | undefined } | null;
  /** The account that would be made for it. */
  readonly proposal: Creation | null;
  /** How many rows are like it, itself counted. */
  readonly alike: Readonly<Record<Likeness, number>>;
  /** Where it is printed, in a paper that has pages. */
  readonly place: Place | null;
}

/** A page of the rows under a filter. */
export interface RowPage {
  readonly filter: RowFilter;
  /** How many rows are under the filter. */
  readonly total: number;
  readonly page: number;
  readonly rows: readonly RowView[];
}

/** What taking the paper over would do. */
export interface PlanView {
  readonly accounts: number;
  readonly undecided: number;
  readonly create: number;
  readonly leftOut: number;
  readonly merged: number;
  readonly replaced: number;
  /** The first of the figures that are replaced: what stands, and what is put in its place. */
  readonly replacing: ReadPaper['plan']['replaced'];
  readonly setAside: number;
  readonly unreadable: number;
  /** The number of the last row. */
  readonly last: number;
  /** What all account rows come to, whether they are decided about or not. */
  readonly read: RowTotals;
  /** What taking it over would put on accounts. */
  readonly totals: Totals;
  /** The paper's own column totals, where it has them. */
  readonly stated: Totals | null;
  /** Nothing holds the take-over back. */
  readonly ready: boolean;
}

export interface PaperView extends Pick<ReadPaper, 'likePaper'> {
  readonly recognition: Omit<Recognition, 'rows'>;
  /** How the text was taken apart; null for a workbook or an audit file. */
  readonly format: TextFormat | null;
  /** The day that the paper says its balances are of, ISO; null when it says none. */
  readonly stated: IsoDate | null;
  readonly id: number;
  readonly name: string;
  readonly bytes: number;
  readonly by: string;
  readonly at: string;
  readonly taken: boolean;
  readonly draft: boolean;
  readonly sheets: readonly string[];
  /** The first rows as they stand, for choosing the header row and columns. */
  readonly head: readonly (readonly string[])[];
  readonly width: number;
  readonly plan: PlanView;
  /** The rows around the one that the page begins at, and that row itself. */
  readonly rows: RowPage;
  readonly start: RowView | null;
  /** The last take-over, while it can be undone. */
  readonly batch: string | null;
  /** What could be taken as comparatives, and as which. */
  readonly comparatives: {
    readonly columns: readonly ComparativeColumn[];
    readonly sources: readonly (AmountColumn & {
      /** The comparative that its title names, or null. */
      readonly proposed: number | null;
    })[];
  };
}

const viewOf = (paper: ReadPaper, row: PaperRow): RowView => {
  const decided = paper.decided(row.row);
  return {
    row,
    waits: decided !== undefined && waits(decided),
    decided: decided === undefined ? null : { match: decided.match, decision: decided.decision },
    proposal: decided === undefined ? null : (paper.proposals().get(row.row) ?? null),
    alike: paper.alike(row),
    place: paper.sheet.places?.[row.row - 1] ?? null,
  };
};

const pageOf = (paper: ReadPaper, filter: RowFilter, page: number): RowPage => {
  const rows = paper.listed(filter);
  return {
    filter,
    total: rows.length,
    page,
    rows: rows.slice(page * PAGE_ROWS, (page + 1) * PAGE_ROWS).map((row) => viewOf(paper, row)),
  };
};

const pageAround = (paper: ReadPaper, filter: RowFilter, row: number): RowPage =>
  pageOf(paper, filter, pageWith(paper.listed(filter), row));

/** The row with this number, whatever it is read as. */
const rowAt = (paper: ReadPaper, row: number): RowView | null => {
  const found = paper.sheet.recognition.rows[row - 1];
  return found === undefined ? null : viewOf(paper, found);
};

/** Of more figures than these nobody looks at each. */
const MOST_REPLACING = 200;

const planView = ({ plan, sheet: { recognition } }: ReadPaper): PlanView => {
  const counts = new Map<PaperRow['kind'], number>();
  for (const { kind } of recognition.rows) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return {
    accounts: plan.rows.length,
    undecided: plan.undecided.length,
    create: plan.create.length,
    leftOut: plan.leftOut.length,
    merged: plan.merged,
    replaced: plan.replaced.length,
    replacing: plan.replaced.slice(0, MOST_REPLACING),
    setAside: (counts.get('heading') ?? 0) + (counts.get('total') ?? 0),
    unreadable: counts.get('unreadable') ?? 0,
    last: recognition.rows.length,
    read: rowTotals(recognition.rows),
    totals: plan.totals,
    stated: statedTotals(recognition.rows) ?? null,
    ready: [...plan.problems, ...nothingIn(plan.rows)].length === 0,
  };
};

/** A paper as its page shows it, beginning at a row: the one asked for, else the first that waits for a decision. */
export const paperView = (id: number, paperId: number, row?: number) =>
  page('books.see', id, async (context, state) => {
    const { tx, books } = context;
    const paper = await findPaper(tx, books.id, paperId);
    if (paper === undefined) return { paper: null, accounts: [] };
    const read = await readStored(context, paper, state.accounts, state.amounts);
    const { sheet, plan, likePaper } = read;
    const { recognition } = sheet;
    const columns = comparativeColumns(state.years, books.cutover, books.facts.parts.includes('budgets'));
    const start = row ?? plan.undecided[0]?.row.row ?? plan.rows[0]?.row.row ?? 1;
    return {
      accounts: state.accounts,
      paper: {
        id: paper.id,
        name: paper.name,
        bytes: paper.bytes,
        by: paper.by,
        at: paper.at,
        taken: paper.takenAt !== null,
        draft: (await currentSet(tx, books.id))?.state === 'draft',
        sheets: sheet.sheets,
        head: sheet.head,
        width: sheet.width,
        recognition: {
          reading: recognition.reading,
          reasons: recognition.reasons,
          doubts: recognition.doubts,
          alternatives: recognition.alternatives,
          nets: recognition.nets,
        },
        likePaper,
        format: sheet.format,
        stated: sheet.stated,
        comparatives: {
          columns,
          sources: sheet.amounts.map((source) => ({
            ...source,
            proposed: columnNamed(source.title, columns) ?? null,
          })),
        },
        batch: (await lastTakeOver(tx, books.id, paper.id))?.batch ?? null,
        plan: planView(read),
        rows: pageAround(read, 'accounts', start),
        start: rowAt(read, start),
      } satisfies PaperView,
    };
  });

/** A page of rows under a filter, or the one with a row in it, and that row itself. */
export const paperRowsView = (
  id: number,
  paperId: number,
  filter: RowFilter,
  at: { readonly page: number } | { readonly row: number },
) =>
  booksView(
    'books.see',
    id,
    async (context): Promise<{ readonly rows: RowPage; readonly row: RowView | null } | undefined> => {
      const { tx, books } = context;
      const paper = await findPaper(tx, books.id, paperId);
      if (paper === undefined) return undefined;
      const stands = (await currentAmounts(tx, [books.id])).get(books.id)?.amounts ?? new Map<AccountId, Minor>();
      const read = await readStored(context, paper, await standingChart({ tx, books }), stands);
      return 'page' in at
        ? { rows: pageOf(read, filter, at.page), row: null }
        : { rows: pageAround(read, filter, at.row), row: rowAt(read, at.row) };
    },
  );

/** The whole of a paper with what becomes of each row, for files. */
export const wholePaper = (id: number, paperId: number) =>
  page('books.see', id, async (context, state) => {
    const paper = await findPaper(context.tx, context.books.id, paperId);
    if (paper === undefined) return { paper: null, accounts: [] };
    const { plan } = await readStored(context, paper, state.accounts, state.amounts);
    return { accounts: state.accounts, paper: { name: paper.name, rows: plan.rows } };
  });

/** A page of a paper as it is printed; undefined when there is no such paper. */
export const paperPageView = async (id: number, paperId: number, number: number) => {
  const file = await paperFile(id, paperId);
  return file === undefined ? undefined : pool().read('page', { bytes: file.content, name: file.name, page: number });
};

/** The stored bytes of a paper, for bringing it back out unchanged. */
export const paperFile = (id: number, paperId: number) =>
  booksView('books.see', id, async ({ tx, books }) => {
    const paper = await findPaper(tx, books.id, paperId);
    return paper === undefined ? undefined : { name: paper.name, content: await paperContent(tx, books.id, paper.id) };
  });
