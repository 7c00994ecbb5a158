import { type Minor, NIL, add, minor, negate, onSide, subtract, sum } from '../money/minor';
import { divideRounded } from '../money/rounding';
import type { Totals } from '../openings/level';
import { quoted } from '../result';
import { readPaperAmount } from './amount';
import { type Cell, type Row, type Table, folded, textOf } from './cells';
import { AMOUNT_ROLES, type ColumnRole, type Reading } from './recognise';

/** A row of a paper under a reading. `row` counts from 1 as spreadsheets do. Amounts are debit-positive minor units. */
export interface PaperRow {
  readonly row: number;
  readonly kind: 'account' | 'title' | 'header' | 'heading' | 'total' | 'blank' | 'unreadable';
  readonly code: string;
  readonly name: string;
  readonly amount: Minor;
  /** The row as it stands in the paper, cells joined, for provenance. */
  readonly text: string;
  /** Why it is not read as an account, or what to know about the amount. */
  readonly note?: string;
  /** For a total with an amount in both columns: what each comes to, as positive magnitudes. */
  readonly columns?: Totals;
}

const TOTAL_WORD =
  '(?:(?:grand |sub ?|zwischen)?totals?|sum|sums|summen?|gesamt\\w*|celkem|(?:mezi)?soucet|totaal|totale|totaux|suma|sommes?|i alt|sumsaldo)';
const TOTAL = new RegExp(`^${TOTAL_WORD}\\b|\\b${TOTAL_WORD}$`);

const pick = (row: Row, columns: readonly ColumnRole[], role: ColumnRole): Cell => row[columns.indexOf(role)] ?? '';

interface Read {
  readonly amount: Minor;
  readonly rounded: boolean;
  /** The cell itself says on which side it stands, so its column does not. */
  readonly sided: boolean;
  readonly bad?: string;
}

/** One cell as minor units. A spreadsheet's own number is rounded half away from zero (it was computed); a typed text with too many decimals is not read. */
const readCell = (cell: Cell, reading: Reading, digits: number): Read => {
  const found =
    typeof cell === 'string' ? readPaperAmount(cell, reading.style) : readPaperAmount(cell.decimal, '1234.56');
  if (found === undefined)
    return {
      amount: NIL,
      rounded: false,
      sided: false,
      bad: `${quoted(textOf(cell))} does not read as an amount like ${reading.style}`,
    };
  const numerator = found.coefficient * 10n ** BigInt(digits);
  const denominator = 10n ** BigInt(found.scale);
  const exact = numerator % denominator === 0n;
  if (!exact && typeof cell === 'string')
    return {
      amount: NIL,
      rounded: false,
      sided: false,
      bad: `${quoted(cell)} has ${found.scale} decimals where the currency has ${digits}; is the number style right?`,
    };
  const amount = minor(divideRounded(numerator, denominator));
  return {
    amount: found.side === 'credit' ? negate(amount) : amount,
    rounded: !exact,
    sided: found.side !== undefined,
  };
};

const amountOf = (row: Row, reading: Reading, digits: number): Read => {
  const { columns } = reading;
  if (columns.includes('debit') || columns.includes('credit')) {
    const debit = readCell(pick(row, columns, 'debit'), reading, digits);
    const credit = readCell(pick(row, columns, 'credit'), reading, digits);
    const bad = debit.bad ?? credit.bad;
    const amount = add(debit.amount, credit.sided ? credit.amount : negate(credit.amount));
    return { amount, rounded: debit.rounded || credit.rounded, sided: true, ...(bad === undefined ? {} : { bad }) };
  }
  const balance = readCell(pick(row, columns, 'balance'), reading, digits);
  if (columns.includes('side')) {
    const side = folded(textOf(pick(row, columns, 'side')));
    if (balance.amount === 0n || balance.bad !== undefined) return balance;
    if (/^(d|dr|debit|s|soll|md|debet)$/.test(side)) return balance;
    if (/^(c|cr|credit|h|haben|dal|k|kredit)$/.test(side)) return { ...balance, amount: negate(balance.amount) };
    return { ...balance, bad: `the side ${quoted(side)} is neither debit nor credit` };
  }
  return reading.convention === 'credit-positive' ? { ...balance, amount: negate(balance.amount) } : balance;
};

/**
 * Every row of the table, told apart: accounts, headings, totals, the title block. Nothing is dropped; what is not an
 * account says why. A total is told by its words, or by having no code (where other rows have one) and being exactly the
 * sum of the account rows above it since the last total or from the top.
 */
export const readRows = (table: Table, reading: Reading, digits: number): readonly PaperRow[] => {
  const { columns } = reading;
  const coded = columns.includes('code');
  let sinceTotal: Minor[] = [];
  const all: Minor[] = [];
  return table.rows.map((cells, at): PaperRow => {
    const code = textOf(pick(cells, columns, 'code')).trim();
    const name = textOf(pick(cells, columns, 'name')).trim();
    const text = cells
      .map(textOf)
      .filter((cell) => cell !== '')
      .join(' · ')
      .slice(0, 300);
    const base = { row: at + 1, code, name, amount: NIL, text };
    if (text === '') return { ...base, kind: 'blank' };
    if (at === reading.header) return { ...base, kind: 'header' };
    if (at < reading.header) return { ...base, kind: 'title', note: 'above the header' };
    const filled = cells.some((cell, column) => AMOUNT_ROLES.has(columns[column] ?? 'ignore') && textOf(cell) !== '');
    const read = amountOf(cells, reading, digits);
    const decided = reading.asAccount[String(at)];
    const kind =
      decided === undefined ? guess() : decided ? (read.bad === undefined ? 'account' : 'unreadable') : 'heading';
    if (kind === 'account') {
      sinceTotal.push(read.amount);
      all.push(read.amount);
      return {
        ...base,
        kind,
        amount: read.amount,
        ...(read.rounded ? { note: 'rounded to the currency’s decimals' } : {}),
      };
    }
    if (kind === 'total') {
      sinceTotal = [];
      return {
        ...base,
        kind,
        amount: read.amount,
        ...columnsOf(cells),
        note: TOTAL.test(folded(`${code} ${name}`)) ? 'a total, by its words' : 'the sum of the rows above',
      };
    }
    if (kind === 'unreadable') return { ...base, kind, note: read.bad ?? 'unreadable' };
    return { ...base, kind, note: decided === false ? 'set aside by hand' : 'no amount: a heading or a remark' };

    function columnsOf(row: Row): Pick<PaperRow, 'columns'> {
      if (!columns.includes('debit') || !columns.includes('credit')) return {};
      const debit = readCell(pick(row, columns, 'debit'), reading, digits);
      const credit = readCell(pick(row, columns, 'credit'), reading, digits);
      return debit.bad !== undefined || credit.bad !== undefined || debit.amount === 0n || credit.amount === 0n
        ? {}
        : { columns: { debits: onSide(debit.amount, 'debit'), credits: onSide(credit.amount, 'debit') } };
    }
    function guess(): 'account' | 'total' | 'heading' | 'unreadable' {
      const sums = all.length > 0 && (read.amount === sum(sinceTotal) || read.amount === sum(all));
      const worded =
        TOTAL.test(folded(code)) ||
        TOTAL.test(folded(name)) ||
        (code === '' && name === '' && TOTAL.test(folded(text)));
      // An account may be called "Total ...": with a code of its own it is a total only if it is also the sum.
      if (worded && (!coded || !/\d/.test(code) || sums)) return 'total';
      if (!filled)
        return coded && code !== '' && name !== '' && /\d/.test(code) && !isHeadingLike(table.rows, at, columns)
          ? 'account'
          : 'heading';
      if (read.bad !== undefined) return 'unreadable';
      if (coded && code === '' && all.length > 1 && read.amount !== 0n && sums) return 'total';
      if (code === '' && name === '') return 'total';
      return 'account';
    }
  });
};

/** A coded row without an amount is a heading when rows with longer codes that begin with it follow ("10" before "1010"). */
const isHeadingLike = (rows: readonly Row[], at: number, columns: readonly ColumnRole[]): boolean => {
  const code = textOf(pick(rows[at] ?? [], columns, 'code')).trim();
  const next = textOf(pick(rows[at + 1] ?? [], columns, 'code')).trim();
  const stem = code.replace(/0+$/, '');
  return next !== '' && next !== code && next.startsWith(stem === '' ? code : stem);
};

/** The old system's own column totals: those of the last total that has both, which is the grand total where there is one. */
export const statedTotals = (rows: readonly Pick<PaperRow, 'columns'>[]): Totals | undefined =>
  rows.filter(({ columns }) => columns !== undefined).at(-1)?.columns;

export interface RowTotals {
  readonly accounts: number;
  readonly debits: Minor;
  readonly credits: Minor;
  readonly net: Minor;
}

/** What the account rows come to. `credits` is a positive magnitude. */
export const rowTotals = (rows: readonly Pick<PaperRow, 'kind' | 'amount'>[]): RowTotals => {
  const accounts = rows.filter((row) => row.kind === 'account');
  const debits = sum(accounts.map((row) => (row.amount > 0n ? row.amount : NIL)));
  const credits = onSide(sum(accounts.map((row) => (row.amount < 0n ? row.amount : NIL))), 'debit');
  return { accounts: accounts.length, debits, credits, net: subtract(debits, credits) };
};
