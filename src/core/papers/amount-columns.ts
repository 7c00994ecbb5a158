import { isNil, readPaperAmount } from '../money/paper-amount';
import { type Table, textOf } from '../base/table';
import { AMOUNT_ROLES, headerTexts } from './header';
import type { Reading } from './reading';

/** A column of a paper that holds amounts. */
export interface AmountColumn {
  /** Counted from nought. */
  readonly column: number;
  readonly title: string;
}

const SAMPLE = 400;

/** The columns that hold amounts, whether they are read now or not: last year's or a month's may stand beside the balance. */
export const amountColumns = (table: Table, reading: Reading): readonly AmountColumn[] => {
  const titles = headerTexts(table.rows, reading.header, reading.height ?? 1, reading.columns.length);
  const rows = table.rows.slice(reading.header + 1, reading.header + 1 + SAMPLE);
  return reading.columns.flatMap((role, column): AmountColumn[] => {
    if (role !== 'ignore' && !AMOUNT_ROLES.has(role)) return [];
    const cells = rows.map((row) => row[column] ?? '').filter((cell) => textOf(cell) !== '');
    const amounts = cells.filter(
      (cell) => typeof cell !== 'string' || isNil(cell) || readPaperAmount(cell, reading.style) !== undefined,
    );
    return cells.length > 0 && amounts.length > cells.length * 0.8
      ? [
          {
            column,
            title:
              titles[column] === '' || titles[column] === undefined ? `column ${String(column + 1)}` : titles[column],
          },
        ]
      : [];
  });
};

/** The reading that takes one column, instead of those read now, as a balance column. */
export const readingOf = (reading: Reading, column: number): Reading => ({
  ...reading,
  convention: 'debit-positive',
  columns: reading.columns.map((role, at) =>
    at === column ? 'balance' : AMOUNT_ROLES.has(role) || role === 'side' || role === 'foreign' ? 'ignore' : role,
  ),
});
