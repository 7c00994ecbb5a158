import { isOldWorkbook, isPdf } from '@/core/files/formats';
import { MOST_BYTES } from '@/core/files/limits';
import { readPaper } from '@/core/files/read';
import { type ChartMapping, type RecognisedChart, readChartRows, recogniseChart } from '@/core/chart/chart-file';
import type { Account } from '@/core/chart/account';
import { type IncomingPlan, type IncomingRules, type RowChoice, planIncoming } from '@/core/chart/incoming';
import { type TypeWord, typeWordsIn } from '@/core/chart/type-words';
import { type Table, textOf } from '@/core/base/table';
import { type Problem, type Result, fail, problem } from '@/core/base/result';

/**
 * Reads a list of accounts and plans what taking it over would do, away from the page, so that typing never waits for it.
 * One file at a time: it is sent once, then every change of how it is read or of what was decided.
 */
export type ToWorker =
  | { readonly kind: 'file'; readonly bytes: ArrayBuffer; readonly name: string }
  | {
      readonly kind: 'plan';
      readonly turn: number;
      readonly mapping: ChartMapping;
      readonly accounts: readonly Account[];
      readonly choices: ReadonlyMap<number, RowChoice>;
      readonly rules: IncomingRules;
    };

export type FromWorker =
  | {
      readonly kind: 'read';
      readonly recognised: RecognisedChart;
      readonly sheets: readonly string[];
      /** The first rows of each sheet, for choosing the header and the columns. */
      readonly heads: readonly (readonly (readonly string[])[])[];
    }
  | {
      readonly kind: 'planned';
      readonly turn: number;
      readonly plan: IncomingPlan;
      readonly types: readonly TypeWord[];
    }
  | { readonly kind: 'refused'; readonly problems: readonly Problem[] };

const HEAD = 12;

let tables: readonly Table[] = [];
let read: { readonly mapping: string; readonly rows: ReturnType<typeof readChartRows> } | undefined;

const answer = (message: FromWorker): void => postMessage(message);

/** What reads a PDF is a worker itself and would answer the page in our place, so here a list is none. */
const tablesOf = async (bytes: Uint8Array, name: string): Promise<Result<readonly Table[]>> => {
  if (isPdf(bytes))
    return fail(
      problem(
        'import.pdf',
        `${name} is a PDF, from which a list of accounts is not read. Save it as XLSX or CSV and choose that; or bring it as a paper under Opening balances, which makes the accounts that are missing.`,
      ),
    );
  return isOldWorkbook(bytes) && bytes.length <= MOST_BYTES
    ? (await import('@/core/files/old-workbook')).readOldWorkbook(bytes, name)
    : readPaper(bytes, name);
};

const take = (found: Result<readonly Table[]>): void => {
  if (!found.ok) {
    answer({ kind: 'refused', problems: found.problems });
    return;
  }
  tables = found.value;
  read = undefined;
  answer({
    kind: 'read',
    recognised: recogniseChart(tables),
    sheets: tables.map(({ name }) => name),
    heads: tables.map(({ rows }) => rows.slice(0, HEAD).map((row) => row.map(textOf))),
  });
};

addEventListener('message', ({ data }: MessageEvent<ToWorker>) => {
  if (data.kind === 'file') {
    // What nobody foresaw goes to the page as an error of the worker, as it does from anywhere else in it.
    tablesOf(new Uint8Array(data.bytes), data.name).then(take, reportError);
    return;
  }
  const table = tables[data.mapping.sheet] ?? { name: '', rows: [] };
  const mapping = JSON.stringify(data.mapping);
  if (read?.mapping !== mapping) read = { mapping, rows: readChartRows(table, data.mapping, data.rules.base) };
  answer({
    kind: 'planned',
    turn: data.turn,
    plan: planIncoming(data.accounts, read.rows, data.choices, data.rules),
    types: typeWordsIn(read.rows, data.mapping.types ?? {}),
  });
});
