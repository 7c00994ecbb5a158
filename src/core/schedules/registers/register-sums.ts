import { divideRounded, magnitude } from '../../money/rounding';
import type { RegisterKind, RegisterRole } from './register-words';

/** Decimals in which the figures of a list are compared before anything is known of it. */
export const FINEST = 6;

/** The figures of a row by its columns, in units of `FINEST` decimals; undefined where a cell holds none. */
export type Figures = readonly (bigint | undefined)[];

/** Where columns of figures stand that belong together. */
export type Places = Readonly<Partial<Record<RegisterRole, number>>>;

const at = (row: Figures, column: number | undefined): bigint | undefined =>
  column === undefined ? undefined : row[column];

/** How many pieces a price is for, where a column says ten, a hundred, a thousand or so; in whole pieces. */
const pieces = (figure: bigint | undefined): bigint | undefined => {
  const whole = figure === undefined ? 0n : figure / 10n ** BigInt(FINEST);
  return [10n, 100n, 1000n, 10_000n].includes(whole) ? whole : undefined;
};

/** A share of the rows in which something can be told and holds. */
export const share = (tests: readonly (boolean | undefined)[]): number => {
  const told = tests.filter((one) => one !== undefined);
  return told.length < 1 ? 0 : told.filter(Boolean).length / told.length;
};

/** Row by row, whether what is owed goes down by what is repaid: its column is of what is owed after each payment, or before it. */
export const fallsIn = (
  rows: readonly Figures[],
  places: Places,
  when: 'before' | 'after',
): readonly (boolean | undefined)[] =>
  rows.map((row, place) => {
    const above = rows[place - 1] ?? [];
    const [stood, stands, repaid] = [
      at(above, places.outstanding),
      at(row, places.outstanding),
      at(when === 'after' ? row : above, places.principal),
    ];
    if (stood === undefined || stands === undefined || repaid === undefined) return undefined;
    return stood - repaid === stands || stood + repaid === stands;
  });

/**
 * How well the columns of a list bear each other out, from 0 to 1: cost less depreciation is the book value, quantity times cost the
 * value, interest and principal the instalment and the balance goes down by the principal, amount less what is used what remains.
 */
export const bearsOut = (kind: RegisterKind, places: Places, rows: readonly Figures[], unit: bigint): number => {
  switch (kind) {
    case 'assets':
      return share(
        rows.map((row) => {
          const [stood, net] = [at(row, places.cost), at(row, places.net)];
          const moved = (at(row, places.additions) ?? 0n) - magnitude(at(row, places.disposals) ?? 0n);
          const parts =
            places.depreciation === undefined
              ? [at(row, places.brought), at(row, places.charge)]
              : [at(row, places.depreciation)];
          const written = parts.filter((one) => one !== undefined);
          const cost = stood === undefined ? undefined : stood + moved;
          if (cost === undefined || net === undefined || (written.length === 0 && cost === net)) return undefined;
          const sum = written.reduce((all, one) => all + one, 0n);
          // What was disposed of may stand with its cost and nothing left.
          return net === 0n && magnitude(cost) !== magnitude(sum)
            ? undefined
            : cost - sum === net || (cost * sum < 0n && cost + sum === net);
        }),
      );
    case 'stock':
    case 'holdings':
      return share(
        rows.map((row) => {
          const [quantity, cost, value] = [at(row, places.quantity), at(row, places.unitCost), at(row, places.value)];
          if (quantity === undefined || cost === undefined || value === undefined || value === 0n) return undefined;
          const worth = divideRounded(quantity * cost, 10n ** BigInt(FINEST));
          if (magnitude(worth - value) <= unit) return true;
          // Prices may be for so many pieces.
          const per = pieces(at(row, places.unit));
          return (
            per !== undefined && magnitude(divideRounded(quantity * cost, 10n ** BigInt(FINEST) * per) - value) <= unit
          );
        }),
      );
    case 'loans': {
      const parts = rows.map((row) => {
        const [whole, interest, principal] = [
          at(row, places.instalment),
          at(row, places.interest),
          at(row, places.principal),
        ];
        if (whole === undefined || interest === undefined || principal === undefined) return undefined;
        return whole !== 0n && interest + principal + (at(row, places.fee) ?? 0n) === whole;
      });
      const falls = (['after', 'before'] as const).map((when) => fallsIn(rows, places, when));
      const told = [parts, falls.find((tests) => share(tests) >= 0.8) ?? falls[0] ?? []].filter((tests) =>
        tests.some((one) => one !== undefined),
      );
      return told.length === 0 ? 0 : told.reduce((all, tests) => all + share(tests), 0) / told.length;
    }
    case 'borrowings':
    case 'returns':
      return 0;
    case 'prepayments':
      return share(
        rows.map((row) => {
          const [whole, used, left] = [at(row, places.amount), at(row, places.used), at(row, places.remaining)];
          if (whole === undefined || left === undefined) return undefined;
          // What remains is a part of the whole, and never more.
          if (used === undefined)
            return places.used === undefined && magnitude(left) <= magnitude(whole) && left > 0n === whole > 0n;
          return whole - used === left;
        }),
      );
  }
};

/** The columns whose figures bear each other out, in the order in which lists usually have them. */
export const EQUATION: Readonly<Record<RegisterKind, readonly (readonly RegisterRole[])[]>> = {
  assets: [
    ['cost', 'depreciation', 'net'],
    ['cost', 'brought', 'charge', 'net'],
  ],
  stock: [['quantity', 'unitCost', 'value']],
  loans: [['instalment', 'interest', 'principal', 'outstanding']],
  prepayments: [
    ['amount', 'used', 'remaining'],
    ['amount', 'remaining'],
  ],
  holdings: [['quantity', 'unitCost', 'value']],
  // Of a loan, and of a return, nothing follows from another figure of its row.
  borrowings: [],
  returns: [],
};

/** Every way to put `roles` into `columns`, each in one. */
export const waysOf = (roles: readonly RegisterRole[], columns: readonly number[]): readonly Places[] => {
  const [role, ...rest] = roles;
  if (role === undefined) return [{}];
  return columns.flatMap((column) =>
    waysOf(
      rest,
      columns.filter((other) => other !== column),
    ).map((places) => ({ ...places, [role]: column })),
  );
};
