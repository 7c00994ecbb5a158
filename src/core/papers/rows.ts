import { isCurrency, minorDigits } from '../money/currency';
import { type Minor, NIL, type Side, add, minor, negate, onSide, subtract, sum } from '../money/minor';
import { divideRounded } from '../money/rounding';
import type { Totals } from '../openings/level';
import { quoted } from '../result';
import { readPaperAmount } from './amount';
import { type Cell, type Row, type Table, folded, indentOf, textOf } from './cells';
import { splitCodeName } from './columns';
import { AMOUNT_ROLES, type ColumnRole } from './header';
import type { Reading } from './reading';
import type { PaperRow } from './paper-row';
import { type Hint, sectionOf, sideByWords } from './sign';
import { markTotals } from './totals';

const TOTAL_WORD =
  '(?:(?:grand |sub ?|zwischen)?totals?|sum|sums|summen?|gesamt\\w*|celkem|(?:mezi)?soucet|totaal|totale|totaux|suma|sommes?|i alt|sumsaldo)';
const TOTAL = new RegExp(`^${TOTAL_WORD}\\b|\\b${TOTAL_WORD}$`);

/** Whether a text says that it is a total. Few do, so it is folded only when some letters of such a word are there. */
const isWorded = (text: string): boolean => /tot|sum|celk|sou|ges|alt|zwi|mez/i.test(text) && TOTAL.test(folded(text));

const pick = (row: Row, columns: readonly ColumnRole[], role: ColumnRole): Cell => row[columns.indexOf(role)] ?? '';

interface Read {
  readonly amount: Minor;
  readonly rounded: boolean;
  /** The cell itself says on which side it stands, so its column does not. */
  readonly sided: boolean;
  readonly bad?: string;
}

const NOTHING: Read = { amount: NIL, rounded: false, sided: false };

/** One cell as minor units. A spreadsheet's own number is rounded half away from zero (it was computed); a typed text with too many decimals is not read. */
const readCell = (cell: Cell, reading: Reading, digits: number): Read => {
  const found =
    typeof cell === 'string' ? readPaperAmount(cell, reading.style) : readPaperAmount(cell.decimal, '1234.56');
  if (found === undefined)
    return { ...NOTHING, bad: `${quoted(textOf(cell))} does not read as an amount like ${reading.style}` };
  const numerator = found.coefficient * 10n ** BigInt(digits);
  const denominator = 10n ** BigInt(found.scale);
  const exact = numerator % denominator === 0n;
  if (!exact && typeof cell === 'string')
    return {
      ...NOTHING,
      bad: `${quoted(textOf(cell))} has ${found.scale} decimals where the currency has ${digits}; is the number style right?`,
    };
  const amount = minor(divideRounded(numerator, denominator));
  return {
    amount: found.side === 'credit' ? negate(amount) : amount,
    rounded: !exact,
    sided: found.side !== undefined,
  };
};

/** The amount of a row before the sign convention: what its side, if any, and its columns say. */
const amountOf = (row: Row, reading: Reading, digits: number): Read => {
  const { columns, convention } = reading;
  if (columns.includes('debit') || columns.includes('credit')) {
    const debit = readCell(pick(row, columns, 'debit'), reading, digits);
    const credit = readCell(pick(row, columns, 'credit'), reading, digits);
    const bad = debit.bad ?? credit.bad;
    const credited = credit.sided || convention === 'columns-signed' ? credit.amount : negate(credit.amount);
    return {
      amount: add(debit.amount, credited),
      rounded: debit.rounded || credit.rounded,
      sided: true,
      ...(bad === undefined ? {} : { bad }),
    };
  }
  const balance = readCell(pick(row, columns, 'balance'), reading, digits);
  if (!columns.includes('side')) return balance;
  const side = folded(textOf(pick(row, columns, 'side')));
  if (balance.amount === 0n || balance.bad !== undefined) return { ...balance, sided: true };
  if (/^(d|dr|debit|s|soll|md|debet)$/.test(side)) return { ...balance, sided: true };
  if (/^(c|cr|credit|h|haben|dal|k|kredit)$/.test(side))
    return { ...balance, amount: negate(balance.amount), sided: true };
  return { ...balance, bad: `the side ${quoted(side)} is neither debit nor credit` };
};

const signed = (read: Read, reading: Reading, normal: () => Side | undefined): Minor => {
  if (read.sided) return read.amount;
  if (reading.convention === 'credit-positive') return negate(read.amount);
  if (reading.convention === 'normal-side' && normal() === 'credit') return negate(read.amount);
  return read.amount;
};

/** The balance in a foreign currency, where the row has both the currency and the amount. */
const foreignOf = (row: Row, reading: Reading): PaperRow['foreign'] => {
  const currency = textOf(pick(row, reading.columns, 'currency')).toUpperCase();
  const cell = pick(row, reading.columns, 'foreign');
  if (!isCurrency(currency) || textOf(cell) === '') return undefined;
  const read = readCell(cell, reading, minorDigits(currency));
  return read.bad === undefined ? { currency, amount: read.amount } : undefined;
};

/**
 * Every row of the table, told apart: accounts, headings, totals, the title block. Nothing is dropped; what is not an
 * account says why. Totals are told by their words, by being the sum of the rows above them or under them; see `markTotals`.
 * `hint` knows the normal side of accounts that the chart has; without it the sections and names of the paper are asked.
 */
export const readRows = (table: Table, reading: Reading, digits: number, hint?: Hint): readonly PaperRow[] => {
  const { columns } = reading;
  const coded = columns.includes('code') || columns.includes('code-name');
  const joined = columns.indexOf('code-name');
  const amountColumns = columns.flatMap((role, at) => (AMOUNT_ROLES.has(role) ? [at] : []));
  const top = reading.header - (reading.height ?? 1) + 1;
  let section: ReturnType<typeof sectionOf>;
  // After its total a section is over: a heading that says nothing then begins another one.
  let over = false;

  const rows = table.rows.map((cells, at): PaperRow => {
    const split =
      joined < 0
        ? { code: textOf(pick(cells, columns, 'code')), name: textOf(pick(cells, columns, 'name')) }
        : splitCodeName(textOf(cells[joined]));
    const { code, name } = split;
    const text = cells
      .map(textOf)
      .filter((cell) => cell !== '')
      .join(' · ')
      .slice(0, 300);
    const indent = indentOf(joined < 0 ? pick(cells, columns, 'name') : cells[joined]);
    const base = { row: at + 1, code, name, amount: NIL, text, indent };
    if (text === '') return { ...base, kind: 'blank' };
    if (at >= top && at <= reading.header) return { ...base, kind: 'header' };
    if (at < reading.header) return { ...base, kind: 'title', note: 'above the header' };
    const filled = amountColumns.some((column) => textOf(cells[column]) !== '');
    const read = amountOf(cells, reading, digits);
    const amount = signed(read, reading, () => hint?.({ code, name }) ?? sideByWords(name, section));
    const decided = reading.asAccount[String(at)];
    if (decided === false) return { ...base, kind: 'heading', note: 'set aside by hand' };
    if (decided === true) return read.bad === undefined ? account() : { ...base, kind: 'unreadable', note: read.bad };
    const worded = isWorded(code) || isWorded(name) || (code === '' && name === '' && isWorded(text));
    // An account may be called "Total ...": with a code of its own it is a total only if it is also the sum.
    if (worded && (!coded || !/\d/.test(code))) {
      over = true;
      return { ...base, kind: 'total', amount, ...both(), note: 'a total, by its words' };
    }
    if (!filled) {
      section = sectionOf(name === '' ? text : name) ?? (over ? undefined : section);
      over = false;
      return coded && code !== '' && name !== '' && /\d/.test(code) && !isHeadingLike(table.rows, at, reading)
        ? account()
        : { ...base, kind: 'heading', note: 'no amount: a heading or a remark' };
    }
    if (read.bad !== undefined) return { ...base, kind: 'unreadable', note: read.bad };
    if (code === '' && name === '')
      return { ...base, kind: 'total', amount, ...both(), note: 'an amount without an account' };
    return account();

    function account(): PaperRow {
      const foreign = foreignOf(cells, reading);
      return {
        ...base,
        kind: 'account',
        amount,
        ...both(),
        ...(foreign === undefined ? {} : { foreign }),
        ...(section === undefined ? {} : { section }),
        ...(read.rounded ? { note: 'rounded to the currency’s decimals' } : {}),
      };
    }
    function both(): Pick<PaperRow, 'columns'> {
      if (!columns.includes('debit') || !columns.includes('credit')) return {};
      const debit = readCell(pick(cells, columns, 'debit'), reading, digits);
      const credit = readCell(pick(cells, columns, 'credit'), reading, digits);
      return debit.bad !== undefined || credit.bad !== undefined || debit.amount === 0n || credit.amount === 0n
        ? {}
        : { columns: { debits: onSide(debit.amount, 'debit'), credits: onSide(credit.amount, 'debit') } };
    }
  });
  return markTotals(rows, {
    coded,
    decided: reading.asAccount,
    worded: (row) => isWorded(row.name) || isWorded(row.code),
  });
};

/** A coded row without an amount is a heading when rows with longer codes that begin with it follow ("10" before "1010"). */
const isHeadingLike = (rows: readonly Row[], at: number, { columns }: Reading): boolean => {
  const joined = columns.indexOf('code-name');
  const codeAt = (index: number): string => {
    const cells = rows[index] ?? [];
    return joined < 0 ? textOf(pick(cells, columns, 'code')) : splitCodeName(textOf(cells[joined])).code;
  };
  const code = codeAt(at);
  const next = codeAt(at + 1);
  const stem = code.replace(/0+$/, '');
  return next !== '' && next !== code && next.startsWith(stem === '' ? code : stem);
};

/** The old system's own column totals: those of the last total that has both, which is the grand total where there is one. */
export const statedTotals = (rows: readonly Pick<PaperRow, 'columns' | 'kind'>[]): Totals | undefined =>
  rows.filter(({ kind, columns }) => kind === 'total' && columns !== undefined).at(-1)?.columns;

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
