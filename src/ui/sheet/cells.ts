import type { KeyboardEvent } from 'react';

/** A cell of a sheet, both counted from nought. */
export interface Cell {
  readonly row: number;
  readonly column: number;
}

/** The cell to which a key goes, on a sheet that ends with the cell `last`; it may lie outside. Undefined for other keys. */
export const cellAfter = (
  { key, ctrlKey, metaKey }: Pick<KeyboardEvent, 'key' | 'ctrlKey' | 'metaKey'>,
  { row, column }: Cell,
  last: Cell,
  /** Rows in sight. */
  page: number,
): Cell | undefined => {
  const control = ctrlKey || metaKey;
  switch (key) {
    case 'ArrowDown':
      return { row: control ? last.row : row + 1, column };
    case 'ArrowUp':
      return { row: control ? 0 : row - 1, column };
    case 'ArrowRight':
      return { row, column: control ? last.column : column + 1 };
    case 'ArrowLeft':
      return { row, column: control ? 0 : column - 1 };
    case 'Home':
      return { row: control ? 0 : row, column: 0 };
    case 'End':
      return { row: control ? last.row : row, column: last.column };
    case 'PageDown':
      return { row: row + page, column };
    case 'PageUp':
      return { row: row - page, column };
    default:
      return undefined;
  }
};

export const clampedTo = (last: Cell, cell: Cell): Cell => ({
  row: Math.max(0, Math.min(last.row, cell.row)),
  column: Math.max(0, Math.min(last.column, cell.column)),
});

/** What is chosen of a sheet: its first and last row and column, all included. */
export interface Range {
  readonly top: number;
  readonly bottom: number;
  readonly left: number;
  readonly right: number;
}

/** The range between two corners. */
export const rangeOf = (a: Cell, b: Cell): Range => ({
  top: Math.min(a.row, b.row),
  bottom: Math.max(a.row, b.row),
  left: Math.min(a.column, b.column),
  right: Math.max(a.column, b.column),
});
