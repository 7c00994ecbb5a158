import type { IsoDate } from '../base/iso-date';
import { type Currency } from '../money/currency';
import type { Place, Table, TextFormat } from '../base/table';
import { textOf } from '../base/table';
import { type AmountColumn, amountColumns } from './amount-columns';
import type { Reading } from './reading';
import { type Arrangement, tablesUnder } from './arrange';
import { type Circumstances, type Recognition, explained, recognise, recogniseFrom, shapeOf } from './recognise';
import { statedCurrency } from './stated-currency';
import { statedDate } from './stated-date';

/**
 * Which reading of a paper is asked for: what its cells suggest, from a sheet and a header row on, around what was chosen about
 * an earlier reading, or as somebody said.
 */
export type How =
  | { readonly kind: 'proposed' }
  | {
      readonly kind: 'from';
      readonly sheet: number;
      /** Where not said, the likeliest. */
      readonly header?: number | undefined;
      readonly arrangement?: Arrangement | undefined;
    }
  | { readonly kind: 'around'; readonly reading: Reading }
  | { readonly kind: 'as'; readonly reading: Reading; readonly infer: boolean };

/** A paper under a reading, with all that is known of it without its tables. */
export interface PaperSheet {
  readonly recognition: Recognition;
  readonly sheets: readonly string[];
  /** The first rows of the sheet as they stand, for choosing the header row and columns. */
  readonly head: readonly (readonly string[])[];
  readonly width: number;
  /** Rows of the sheet. */
  readonly height: number;
  readonly format: TextFormat | null;
  /** The day that the paper says its balances are of, ISO; null when it says none. */
  readonly stated: IsoDate | null;
  /** The currency that its amounts say they are in, ISO 4217; null when they say none. */
  readonly currency: Currency | null;
  /** What tells papers of one source from others. */
  readonly shape: string;
  readonly amounts: readonly AmountColumn[];
  /** Where each row stands, for a paper that has pages and is read as it lies. */
  readonly places: readonly Place[] | null;
}

const HEAD = 12;
const BELOW_HEADER = 6;
/** Characters of a cell that are shown while the columns are chosen. */
const SHOWN = 120;

/** Reads the tables of a paper as asked; a sheet that is not there has no rows. */
export const paperSheet = (
  paper: readonly Table[],
  how: How,
  circumstances: Circumstances,
  name: string,
): PaperSheet => {
  const recognition =
    how.kind === 'proposed'
      ? recognise(paper, circumstances)
      : how.kind === 'from'
        ? recogniseFrom(paper, how.sheet, how.header, circumstances, how.arrangement)
        : how.kind === 'around'
          ? recogniseFrom(
              paper,
              how.reading.sheet,
              how.reading.header,
              circumstances,
              how.reading.arrangement,
              how.reading,
            )
          : explained(paper, how.reading, circumstances, how.infer);
  const { reading } = recognition;
  const tables = tablesUnder(paper, reading);
  const table = tables[reading.sheet];
  return {
    recognition,
    sheets: tables.map((one) => one.name),
    head: (table?.rows.slice(0, Math.max(HEAD, reading.header + BELOW_HEADER)) ?? []).map((cells) =>
      cells.map((cell) => (typeof cell === 'string' ? cell : textOf(cell)).slice(0, SHOWN)),
    ),
    width: table?.rows.reduce((widest, cells) => Math.max(widest, cells.length), 0) ?? 0,
    height: table?.rows.length ?? 0,
    format: table?.format ?? null,
    stated: statedDate(tables, reading, name) ?? null,
    currency: statedCurrency(tables, reading) ?? null,
    shape: shapeOf(tables, reading),
    amounts: table === undefined ? [] : amountColumns(table, reading),
    places: table?.places ?? null,
  };
};
