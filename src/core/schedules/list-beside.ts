import { type Currency } from '../money/currency';
import { type Row, textOf } from '../base/table';
import type { Side } from '../money/minor';
import type { Content, Role } from './list-columns';
import { isDay } from './list-days';

/**
 * What columns of a list are by what stands in them beside each other, whatever they are called. Each step finds one thing and leaves
 * the rest; where nothing shows it, the columns stay what their names said.
 */

/** The columns of a list while they are being told. */
export interface Beside {
  /** What they are so far; the steps write into it. */
  readonly roles: (Role | undefined)[];
  readonly names: readonly string[];
  readonly contents: readonly Content[];
  /** The rows that are looked at. */
  readonly sample: readonly Row[];
  /** Columns that are called by a currency, each with what is open in it. */
  readonly inCurrency: ReadonlyMap<number, Currency>;
  /** An amount in units of one size, a credit negative where its cell says so; undefined where there is none. */
  readonly units: (row: Row, column: number) => bigint | undefined;
  /** On which side an amount stands, by the word in its column of sides. */
  readonly sideOf: (text: string) => Side | undefined;
  /** A day in a cell, ISO. */
  readonly day: (text: string) => string | undefined;
}

export const place = ({ roles }: Pick<Beside, 'roles'>, role: Role): number => roles.indexOf(role);

/** Of so many rows that could show something, whether enough do. */
export const mostly = (rows: number, of: number, tenths = 8): boolean => of > 0 && rows * 10 >= of * tenths;

/** Columns of amounts that nothing has told yet. */
export const spareIn = ({ roles, contents, inCurrency }: Beside): readonly number[] =>
  contents.flatMap(({ amounts, dates, filled }, column) =>
    roles[column] === undefined && !inCurrency.has(column) && filled > 0 && amounts >= 0.7 && dates < 0.3
      ? [column]
      : [],
  );

/** Rows of documents, without sums and what is printed on every page. */
export const datedIn = (beside: Beside): readonly Row[] => {
  const at = place(beside, 'date');
  return at < 0 ? beside.sample : beside.sample.filter((row) => isDay(textOf(row[at])));
};
