import type { Table } from '../base/table';
import { folded, textOf } from '../base/table';
import { type OutRow, fromText } from '../files/write';
import { type Problem, type Result, fail, ok, problem, quoted } from '../base/result';
import { type PlainDate, readDate } from '../base/dates';
import { PERIOD_STATES, type PeriodState } from './states';
import { type Period, type PeriodKind, type YearPlan, partitionProblems } from './year';

export type StatedPeriod = Period & { readonly state: PeriodState };

export interface StatedYear {
  readonly name: string;
  readonly start: PlainDate;
  readonly end: PlainDate;
  readonly plan: YearPlan;
  readonly periods: readonly StatedPeriod[];
}

export const CALENDAR_COLUMNS = ['year', 'code', 'period', 'kind', 'start', 'end', 'state', 'plan'] as const;

/** A calendar as rows for a file: one per period; the plan of the year as JSON in the year's first row. */
export const calendarRows = (years: readonly StatedYear[]): readonly OutRow[] => [
  [...CALENDAR_COLUMNS],
  ...years.flatMap((year) =>
    year.periods.map((period, at): OutRow => [
      year.name,
      period.code,
      period.name,
      period.kind,
      period.start.toString(),
      period.end.toString(),
      period.state,
      at === 0 ? JSON.stringify(year.plan) : '',
    ]),
  ),
];

const isKind = (text: string): text is PeriodKind => text === 'regular' || text === 'adjustment';
const isState = (text: string): text is PeriodState => (PERIOD_STATES as readonly string[]).includes(text);

/**
 * Reads a calendar back from such rows: all of it, or the sentences that say what is wrong in which row. `readPlan` checks a
 * year's plan; a year without one has its last days listed. The law that periods divide years and years join is checked here.
 */
export const readCalendar = (
  table: Table,
  readPlan: (text: string) => YearPlan | undefined,
  fallback: (periods: readonly Period[]) => YearPlan,
): Result<readonly StatedYear[]> => {
  const header = table.rows.findIndex((row) => folded(textOf(row[0])) === 'year' && row.length >= 6);
  if (header < 0)
    return fail(
      problem(
        'calendar.no-header',
        `${table.name} has no row headed ${CALENDAR_COLUMNS.join(', ')}. Export a calendar to see the shape.`,
      ),
    );
  const heads = (table.rows[header] ?? []).map((cell) => folded(textOf(cell)));
  const cellOf = (row: Table['rows'][number], column: (typeof CALENDAR_COLUMNS)[number]): string => {
    const at = heads.indexOf(column);
    return at < 0 ? '' : fromText(textOf(row[at]).trim());
  };
  const problems: Problem[] = [];
  const years = new Map<string, { plan: string; periods: StatedPeriod[] }>();
  table.rows.slice(header + 1).forEach((row, index) => {
    const number = header + index + 2;
    if (row.every((cell) => textOf(cell).trim() === '')) return;
    const wrong = (message: string): void => {
      problems.push(problem('calendar.row', `Row ${number}: ${message}`));
    };
    const [kind, state] = [cellOf(row, 'kind') || 'regular', cellOf(row, 'state') || 'future'];
    const [start, end] = [readDate(cellOf(row, 'start')), readDate(cellOf(row, 'end'))];
    const name = cellOf(row, 'year');
    if (name === '' || name.length > 40) {
      wrong('a year’s name of at most 40 characters is needed.');
      return;
    }
    if (!isKind(kind)) {
      wrong(`${quoted(kind)} is neither regular nor adjustment.`);
      return;
    }
    if (!isState(state)) {
      wrong(`${quoted(state)} is no state of a period; they are ${PERIOD_STATES.join(', ')}.`);
      return;
    }
    if (!start.ok) {
      wrong(start.problems[0]?.message ?? '');
      return;
    }
    if (!end.ok) {
      wrong(end.problems[0]?.message ?? '');
      return;
    }
    const [code, label] = [cellOf(row, 'code'), cellOf(row, 'period')];
    if (code === '' || code.length > 20 || label === '' || label.length > 60) {
      wrong('a period needs a code (at most 20 characters) and a name (at most 60).');
      return;
    }
    const year = years.get(name) ?? { plan: '', periods: [] };
    years.set(name, year);
    if (year.plan === '') year.plan = cellOf(row, 'plan');
    year.periods.push({ kind, state, code, name: label, start: start.value, end: end.value });
  });
  if (problems.length > 0) return fail(...problems);
  const read = [...years].flatMap(([name, { plan, periods }]): StatedYear[] => {
    const ordered = [
      ...periods.filter((one) => one.kind === 'regular'),
      ...periods.filter((one) => one.kind !== 'regular'),
    ];
    const regular = ordered.filter((one) => one.kind === 'regular');
    const [first] = regular;
    const last = regular.at(-1);
    return first === undefined || last === undefined
      ? []
      : [{ name, start: first.start, end: last.end, plan: readPlan(plan) ?? fallback(ordered), periods: ordered }];
  });
  if (read.length === 0) return fail(problem('calendar.empty', `${table.name} has no periods.`));
  const broken = partitionProblems(read);
  return broken.length > 0 ? fail(...broken) : ok(read);
};
