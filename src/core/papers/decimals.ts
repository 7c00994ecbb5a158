import { folded } from '../base/folded';
import { type Table, textOf } from '../base/table';
import { HUNDREDTHS } from '../words/paper-words';
import { lookOf, sampleOf } from './survey';

const DECIMALS = /[.,](\d{1,3})\)?-?\s?\p{L}{0,4}\p{Sc}?$/u;

/**
 * The decimals of a paper's amounts, where nobody says its currency: two where any amount has one or two or a title speaks of hundredths, three where most that
 * have a mark have three digits behind it and others have none in front, else none.
 */
export const decimalsOf = (tables: readonly Table[]): number => {
  const counts = new Map<number, number>();
  for (const { rows } of tables)
    for (const row of sampleOf(rows, 0))
      for (const cell of row) {
        const look = lookOf(cell);
        if (look !== 'amount') continue;
        const [, digits] = DECIMALS.exec(typeof cell === 'object' ? cell.decimal : textOf(cell)) ?? [];
        const length = digits === undefined ? 0 : typeof cell === 'object' ? Math.min(2, digits.length) : digits.length;
        counts.set(length, (counts.get(length) ?? 0) + 1);
      }
  const [none = 0, one = 0, two = 0, three = 0] = [0, 1, 2, 3].map((length) => counts.get(length));
  // Three digits behind a mark are thousands, but where another mark stands in front of them.
  const mills = tables.some(({ rows }) =>
    sampleOf(rows, 0).some((row) =>
      row.some((cell) => /\d[.,' ]\d{3}[.,]\d{3}(?!\d)/.test(textOf(cell)) && mixed(textOf(cell))),
    ),
  );
  if (mills && two * 4 < three) return 3;
  return (one + two) * 10 > none + three + one + two || inHundredths(tables) ? 2 : 0;
};

/** Rows in which titles stand. */
const MOST_TITLED = 20;
const MOST_TITLE = 60;

/** Whether a title says that amounts are in hundredths, as a currency of two decimals has them. */
const inHundredths = (tables: readonly Table[]): boolean =>
  tables.some(({ rows }) =>
    rows
      .slice(0, MOST_TITLED)
      .some((row) =>
        row.some((cell) => textOf(cell).length <= MOST_TITLE && HUNDREDTHS.in(folded(textOf(cell))) !== undefined),
      ),
  );

/** Two different marks in one figure: the last one is of decimals. */
const mixed = (text: string): boolean => new Set(text.replace(/[^.,' ]/g, '')).size > 1;
