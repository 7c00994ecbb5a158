import { type CellObject, type ParsingOptions, type WorkBook, read } from '@e965/xlsx';
import { type Result, fail, problem } from '../base/result';
import type { Cell, Table } from '../base/table';
import { isCompound } from './formats';
import { budget, gather, hiding } from './gather';
import { MOST_COLUMNS } from './limits';
import { GENERAL, formatOf, numberCell } from './number-format';
import { filledOf, macros, refusalOf } from './refused';
import { decode } from './text';

const OPTIONS: ParsingOptions = {
  dense: true,
  cellFormula: false,
  cellHTML: false,
  cellText: false,
  cellNF: true,
  bookVBA: true,
};

const valueOf = ({ t, v, z }: CellObject, from1904: boolean): Cell => {
  if (t === 'n') return numberCell(String(v), typeof z === 'string' ? formatOf(z) : GENERAL, from1904);
  if (t === 'b') return v === true ? 'TRUE' : 'FALSE';
  return t === 's' && typeof v === 'string' ? v : '';
};

const tablesOf = (file: string, book: WorkBook): readonly Table[] => {
  const left = budget();
  const from1904 = book.Workbook?.WBProps?.date1904 === true;
  return book.SheetNames.flatMap((name, place) => {
    const sheet = book.Sheets[name];
    if (sheet === undefined || (book.Workbook?.Sheets?.[place]?.Hidden ?? 0) > 0) return [];
    const rows = gather(file, left);
    for (const cells of sheet['!data'] ?? []) {
      rows.row();
      // Rows and cells that the file leaves out are gaps in both.
      for (const cell of (cells as readonly (CellObject | undefined)[] | undefined) ?? [])
        rows.cell(cell === undefined ? '' : valueOf(cell, from1904));
    }
    const hidden = (sheet['!cols'] ?? []).flatMap((column, at) =>
      at < MOST_COLUMNS && (column as { readonly hidden?: boolean } | undefined)?.hidden === true ? [at] : [],
    );
    return [hiding(rows.table(name.slice(0, 100)), new Set(hidden))];
  });
};

/** Reads a workbook of the kind before XLSX; formulas give their stored results. */
export const readOldWorkbook = (bytes: Uint8Array, name: string): Result<readonly Table[]> => {
  let book: WorkBook;
  try {
    book = isCompound(bytes)
      ? read(bytes, { ...OPTIONS, type: 'array' })
      : read(decode(bytes).text, { ...OPTIONS, type: 'binary' });
  } catch (error) {
    return fail(
      error instanceof Error && /password|encrypt/i.test(error.message)
        ? problem('paper.locked', `${name} is protected by a password. Save it without one and bring that.`)
        : problem(
            'paper.broken',
            `${name} is not a readable workbook: it is damaged, or is something else than a workbook. Open it in a spreadsheet, save it as XLSX or CSV, and bring that.`,
          ),
    );
  }
  return book.vbaraw === undefined ? refusalOf(() => filledOf(name, tablesOf(name, book))) : fail(macros(name));
};
