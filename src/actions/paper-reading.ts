import type { Account, AccountId } from '@/core/chart/account';
import { type Minor } from '@/core/money/minor';
import { matcher } from '@/core/openings/match';
import { type Decision, type Plan, planTakeOver } from '@/core/openings/takeover';
import type { Table } from '@/core/papers/cells';
import { readPaper } from '@/core/papers/read';
import { type Reading, type Recognition, recognise, recogniseFrom } from '@/core/papers/recognise';
import { type PaperRow, readRows } from '@/core/papers/rows';
import type { OpenPaper } from '@/store/papers';

/** Papers never change, so the last few read are kept; each change of a reading then costs no second parse. */
const cache = new Map<string, readonly Table[]>();
const KEPT = 4;

/** The tables of a stored paper; it was readable when it was brought. */
export const tablesOf = (booksId: number, paper: Pick<OpenPaper, 'id' | 'content' | 'name'>): readonly Table[] => {
  const key = `${booksId}/${paper.id}`;
  const known = cache.get(key);
  if (known !== undefined) return known;
  const read = readPaper(paper.content, paper.name);
  if (!read.ok) throw new Error(`paper ${key} was stored but does not read: ${read.problems[0]?.code ?? ''}`);
  cache.set(key, read.value);
  for (const oldest of cache.keys()) {
    if (cache.size <= KEPT) break;
    cache.delete(oldest);
  }
  return read.value;
};

export interface ReadPaper {
  readonly tables: readonly Table[];
  readonly recognition: Recognition;
  readonly rows: readonly PaperRow[];
  readonly plan: Plan;
}

/** A stored paper under its reading, its rows matched and decided: what the page shows and the take-over carries out. */
export const readStored = (
  booksId: number,
  paper: OpenPaper,
  chart: readonly Account[],
  stands: ReadonlyMap<AccountId, Minor>,
  digits: number,
): ReadPaper => {
  const tables = tablesOf(booksId, paper);
  const proposed = recognise(tables, digits);
  const own = paper.reading;
  const recognition: Recognition =
    own === null
      ? proposed
      : {
          reading: own,
          reasons:
            own.sheet === proposed.reading.sheet && own.header === proposed.reading.header
              ? proposed.reasons
              : recogniseFrom(tables, own.sheet, own.header, digits).reasons,
        };
  const table = tables[recognition.reading.sheet];
  const rows = table === undefined ? [] : readRows(table, recognition.reading, digits);
  const decisions = new Map(
    Object.entries(paper.decisions).map(([row, decision]): [number, Decision] => [Number(row), decision]),
  );
  return { tables, recognition, rows, plan: planTakeOver(rows, matcher(chart), decisions, chart, stands) };
};

export const proposalFor = (tables: readonly Table[], sheet: number, header: number, digits: number): Reading =>
  recogniseFrom(tables, sheet, header, digits).reading;
