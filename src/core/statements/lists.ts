import { dayOf } from '../base/dates';
import type { IsoDate } from '../base/iso-date';
import { type Currency } from '../money/currency';
import { type Sentence, dated, say } from '../base/sentence';
import type { Account } from '../chart/account';
import { inTreeOrder } from '../chart/tree';
import { classFacts, roleFacts } from '../ledger/classes';
import type { Minor } from '../money/minor';
import type { DatedRate } from '../money/rate';
import type { ComparedRow } from '../openings/compare';
import { type Column, type Document, type Line, type Value, heading, sides } from './document';

/** Lists of what the books are built on, as documents. They may change at any time, and are no drafts. */
const list = (
  title: string,
  about: Sentence,
  columns: readonly Column[],
  lines: readonly Line[],
  notes: readonly Sentence[] = [],
): Document => ({ title, about, standing: null, columns, sections: [{ title: null, lines }], notes });

const line = (values: readonly Value[], depth = 0): Line => ({ kind: 'line', depth, values });

const CHART_COLUMNS: readonly Column[] = [
  { label: 'Code', kind: 'code' },
  { label: 'Account', kind: 'text' },
  { label: 'Statement line', kind: 'text' },
  { label: 'Role', kind: 'text' },
  { label: 'Currency', kind: 'code' },
];

/** The chart of accounts under its headings. */
export const chartReport = (accounts: readonly Account[]): Document => {
  const active = accounts.filter((account) => account.active);
  const posting = active.filter((account) => !account.heading).length;
  return list(
    'Chart of accounts',
    say`${posting} accounts under ${active.length - posting} headings`,
    CHART_COLUMNS,
    inTreeOrder(accounts).map(({ account, depth }) =>
      account.heading
        ? heading(CHART_COLUMNS, account.name, depth, account.code)
        : line(
            [
              account.code,
              account.active ? account.name : `${account.name} (inactive)`,
              `${classFacts(account.classification).label}${account.contra ? ', contra' : ''}`,
              account.role === null ? '' : roleFacts(account.role).label,
              account.currency ?? '',
            ],
            depth,
          ),
    ),
  );
};

const CALENDAR_COLUMNS: readonly Column[] = [
  { label: 'Code', kind: 'code' },
  { label: 'Period', kind: 'text' },
  { label: 'First day', kind: 'date' },
  { label: 'Last day', kind: 'date' },
  { label: 'State', kind: 'code' },
];

/** The fiscal years, period by period. */
export const calendarReport = (
  years: readonly {
    readonly name: string;
    readonly periods: readonly {
      readonly code: string;
      readonly name: string;
      readonly start: IsoDate;
      readonly end: IsoDate;
      readonly state: string;
    }[];
  }[],
  cutover: IsoDate,
): Document => ({
  title: 'Fiscal years and periods',
  about: say`The books take over on ${dated(cutover)}`,
  standing: null,
  columns: CALENDAR_COLUMNS,
  sections: years.map(({ name, periods }) => ({
    title: name,
    lines: periods.map(({ code, name: called, start, end, state }) =>
      line([code, called, { date: start }, { date: end }, state]),
    ),
  })),
  notes: [],
});

/** The rates by which foreign amounts are brought into the base currency on the opening date. */
export const ratesReport = (
  used: readonly {
    readonly currency: Currency;
    readonly legs: readonly { readonly rate: Omit<DatedRate, 'rate'> & { readonly rate: string } }[];
  }[],
  openingDate: IsoDate,
  base: Currency,
): Document =>
  list(
    'Rates used',
    say`On the opening date, ${dated(openingDate)}, into ${base}`,
    [
      { label: 'Currency', kind: 'code' },
      { label: 'Unit', kind: 'code' },
      { label: 'Rate', kind: 'figure' },
      { label: 'Against', kind: 'code' },
      { label: 'Rate of', kind: 'date' },
      { label: 'Source', kind: 'text' },
    ],
    used.flatMap(({ currency, legs }) =>
      legs.length === 0
        ? [line([currency, '', null, '', null, 'no rate near enough'])]
        : legs.map(({ rate }) =>
            line([currency, `1 ${rate.unit}`, { number: rate.rate }, rate.quote, { date: rate.date }, rate.source]),
          ),
    ),
  );

/** Where a row of a paper goes. */
export interface MatchedRow {
  readonly row: number;
  readonly code: string;
  readonly name: string;
  readonly amount: Minor;
  readonly to: { readonly code: string; readonly name: string } | null;
  readonly what: string;
  readonly why: string;
}

/** Where each row of a paper goes: what the matching remembers, for whoever has to check it. */
export const matchingReport = (paper: string, rows: readonly MatchedRow[], digits: number): Document =>
  list(
    `Matching of ${paper.replace(/\.[^.]*$/, '')}`,
    say`Where the rows of ${paper} go`,
    [
      { label: 'Row', kind: 'code' },
      { label: 'Old code', kind: 'code' },
      { label: 'Old name', kind: 'text' },
      { label: 'Debit', kind: 'figure' },
      { label: 'Credit', kind: 'figure' },
      { label: 'Code', kind: 'code' },
      { label: 'Account', kind: 'text' },
      { label: 'What', kind: 'code' },
      { label: 'Why', kind: 'text' },
    ],
    rows.map(({ row, code, name, amount, to, what, why }) =>
      line([String(row), code, name, ...sides(amount, digits), to?.code ?? '', to?.name ?? '', what, why]),
    ),
  );

/** Two versions of the opening position beside each other: debit and credit of both and of the difference, and why. */
export const comparisonReport = (
  rows: readonly (ComparedRow & { readonly why: string })[],
  versions: { readonly from: number; readonly to: number; readonly reason: string | null },
  head: { readonly openingDate: IsoDate; readonly currency: Currency; readonly digits: number },
): Document => {
  const { digits } = head;
  const [old, now] = [`Version ${String(versions.from)}`, `Version ${String(versions.to)}`];
  const pair = (label: string): readonly Column[] => [
    { label: `${label} debit`, kind: 'figure' },
    { label: `${label} credit`, kind: 'figure' },
  ];
  return list(
    `Opening balances, ${old.toLowerCase()} and ${now.toLowerCase()}`,
    say`At close of ${dated(head.openingDate)}, in ${head.currency}${versions.reason === null ? '' : `: ${versions.reason}`}`,
    [
      { label: 'Code', kind: 'code' },
      { label: 'Account', kind: 'text' },
      ...pair(old),
      ...pair(now),
      ...pair('Difference'),
      { label: 'Why', kind: 'text' },
    ],
    rows.map(({ account, from, to, difference, why }) =>
      line([
        account.code,
        account.name,
        ...sides(from, digits),
        ...sides(to, digits),
        ...sides(difference, digits),
        why,
      ]),
    ),
  );
};

/** What was changed, newest first, by whom and when. */
export const historyReport = (
  batches: readonly {
    readonly at: string;
    readonly by: string;
    readonly what: string;
    readonly changes: readonly string[];
  }[],
  first: boolean,
): Document =>
  list(
    'Record of changes',
    first ? say`Newest first` : say`Newest first, what came before`,
    [
      { label: 'When', kind: 'date' },
      { label: 'Time (UTC)', kind: 'code' },
      { label: 'By', kind: 'code' },
      { label: 'What', kind: 'text' },
    ],
    batches.flatMap(({ at, by, what, changes }) => [
      line([{ date: dayOf(at) }, at.slice(11, 16), by, what]),
      ...changes.filter((one) => one !== what).map((one) => line([null, '', '', one], 1)),
    ]),
  );
