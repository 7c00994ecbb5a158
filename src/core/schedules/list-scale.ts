import type { Problem } from '../base/result';
import { problem } from '../base/result';
import { type Table, textOf } from '../base/table';
import type { PaperAmount } from '../money/paper-amount';
import { titleRows } from '../papers/header';
import { type Noughts, isUnitRow, scaleIn } from '../papers/units';

/**
 * How many noughts the columns of a list are short of: each by its own name or the unit below it, else all by a title. `names` are those
 * of its columns, `isAmount` tells the columns that a title speaks of.
 *
 * @example scalesOf({ rows: [['in thousands', ''], ['Name', 'Open'], ['Ard', '12']] }, 1, ['Name', 'Open'], (at) => at === 1) // new Map([[1, 3]])
 */
export const scalesOf = (
  table: Pick<Table, 'rows' | 'format'>,
  header: number,
  names: readonly string[],
  isAmount: (column: number) => boolean,
): ReadonlyMap<number, Noughts> => {
  const below = table.rows[header + 1] ?? [];
  const own = names.map((name, at) => scaleIn(name) ?? (isUnitRow(below) ? scaleIn(textOf(below[at])) : undefined));
  const whole = own.some((scale) => scale !== undefined)
    ? undefined
    : titleRows(table, header)
        .flatMap((row) => row.map((cell) => scaleIn(textOf(cell))))
        .find((scale) => scale !== undefined);
  return new Map(
    names.flatMap((_, at) => {
      const scale = isAmount(at) ? (own[at] ?? whole) : undefined;
      return scale === undefined ? [] : [[at, scale] as const];
    }),
  );
};

/** An amount as it is with all its noughts. */
export const withNoughts = (amount: PaperAmount, scale: Noughts | undefined): PaperAmount =>
  scale === undefined ? amount : { ...amount, coefficient: amount.coefficient * 10n ** BigInt(scale) };

/** What a person is to know of a list that leaves noughts out. */
export const scaleDoubts = (scales: ReadonlyMap<number, Noughts>, row: number): readonly Problem[] => {
  const [scale] = scales.values();
  return scale === undefined
    ? []
    : [
        problem(
          'list.scale',
          `The list says that its amounts are in ${scale === 6 ? 'millions' : 'thousands'}, and so they are read; what it leaves out of each nobody can tell from it.`,
          row,
        ),
      ];
};
