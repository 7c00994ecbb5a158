import type { Cell, Table } from '../base/table';
import { cleaned } from './clean';
import { MOST_CELLS, MOST_CELL_CHARACTERS, MOST_CHARACTERS, MOST_COLUMNS, MOST_ROWS } from './limits';
import { tooLong, tooMany } from './refused';
import { saidRows } from './split';

/** What a file may still hold, all its sheets together. */
export interface Budget {
  cells: number;
  characters: number;
}

export const budget = (): Budget => ({ cells: MOST_CELLS, characters: MOST_CHARACTERS });

/** A column's letters, from its number from nought: "A", "BC". */
const lettered = (column: number): string =>
  `${column < 26 ? '' : lettered(Math.floor(column / 26) - 1)}${String.fromCharCode(65 + (column % 26))}`;

/** A sheet with those of its columns that are hidden in the workbook, where something stands in them. */
export const hiding = (table: Table, hidden: ReadonlySet<number>): Table => {
  const unseen = [...hidden].filter((at) => table.rows.some((cells) => (cells[at] ?? '') !== '')).sort((a, b) => a - b);
  if (unseen.length === 0) return table;
  const [columns, are] = unseen.length === 1 ? ['Column', 'is'] : ['Columns', 'are'];
  const remark = `${columns} ${unseen.map(lettered).join(', ')} of ${table.name} ${are} hidden in the workbook: amounts there are read only where no other column has any.`;
  return { ...table, hidden: unseen, remarks: [remark, ...(table.remarks ?? [])] };
};

export interface Gathered {
  /** Begins a row; what follows belongs to it. */
  readonly row: () => void;
  /** The next cell of the row, as wide as so many columns; the value stands in the first of them. */
  readonly cell: (value: Cell, across?: number) => void;
  /** Columns that the next cells of the row leave out. */
  readonly skip: (columns: number) => void;
  readonly table: (name: string, remarks?: readonly string[]) => Table;
}

/** A number that a file says of itself, from one up; never more than what is read. */
export const repeats = (said: string | undefined, most: number): number => {
  const count = Number(said ?? 1);
  return Number.isInteger(count) && count > 1 ? Math.min(count, most) : 1;
};

/** Takes cells as a file tells them into rows, within what is read of a file; past that it throws what the file is refused with. */
export const gather = (file: string, left: Budget): Gathered => {
  const rows: Cell[][] = [];
  const wide: number[] = [];
  let own: Cell[] = [];
  let column = 0;
  return {
    row: () => {
      if (rows.length >= MOST_ROWS) throw tooMany(file, 'rows', MOST_ROWS);
      own = [];
      column = 0;
      rows.push(own);
    },
    cell: (value, across = 1) => {
      left.cells -= 1;
      if (left.cells < 0) throw tooMany(file, 'cells', MOST_CELLS);
      const text = typeof value === 'string' ? value : value.shown;
      if (text.length > MOST_CELL_CHARACTERS) throw tooLong(file);
      left.characters -= text.length;
      if (left.characters < 0) throw tooMany(file, 'characters', MOST_CHARACTERS);
      const tidy = typeof value === 'string' ? cleaned(value).trimEnd() : value;
      if (tidy !== '' && column < MOST_COLUMNS) {
        while (own.length < column) own.push('');
        own[column] = tidy;
      } else if (tidy !== '' && wide.at(-1) !== rows.length) wide.push(rows.length);
      column += across;
    },
    skip: (columns) => {
      column += columns;
    },
    table: (name, said = []) => {
      while (rows.at(-1)?.every((one) => one === '') === true) rows.pop();
      const remarks = [
        ...said,
        ...(wide.length === 0
          ? []
          : [
              `Columns after the first ${String(MOST_COLUMNS)} are not read; ${saidRows(wide)} ${wide.length === 1 ? 'has' : 'have'} something there.`,
            ]),
      ];
      return { name, rows, ...(remarks.length === 0 ? {} : { remarks }) };
    },
  };
};
