import { type Result, fail } from '../base/result';
import type { Cell, Table } from '../base/table';
import { type Gathered, budget, gather, hiding, repeats } from './gather';
import { MOST_BLANK_ROWS, MOST_COLUMNS, MOST_ROWS } from './limits';
import { decimalOf } from './decimal-of';
import { filledOf, macros, refusalOf } from './refused';
import { type Element, anyPrefix } from './xml';
import { readPart } from './xml-part';
import type { ZipPart } from './zip';

/** The part of an OpenDocument file in which its sheets are. */
export const CONTENT = 'content.xml';

const CELLS = new Set(['table-cell', 'covered-table-cell']);

/** The exact decimal of a number; a day as it is; any other value as it is shown. */
const valueOf = (cell: Element, text: string): Cell => {
  const kind = anyPrefix(cell, 'value-type');
  if (kind === 'date') return (anyPrefix(cell, 'date-value') ?? text).slice(0, 10);
  const said = anyPrefix(cell, 'value') ?? '';
  const value = Number(said);
  if ((kind !== 'float' && kind !== 'currency') || said === '' || !Number.isFinite(value)) return text;
  const decimal = decimalOf(value);
  return { decimal, shown: decimal };
};

/** The sheets of an OpenDocument workbook (ISO/IEC 26300), as a stream; formulas give their stored results. */
const open = (file: string, part: ZipPart): readonly Table[] => {
  const tables: Table[] = [];
  const left = budget();
  const unseen = new Set<string>();
  let style = '';
  let sheet:
    | {
        readonly name: string;
        readonly rows: Gathered;
        readonly hidden: Set<number>;
        readonly visible: boolean;
        blank: number;
        columns: number;
      }
    | undefined;
  let row: { readonly times: number; readonly cells: Cell[] } | undefined;
  let cell: Element | undefined;
  let [text, within, deep] = ['', 0, 0];
  const endRow = (): void => {
    if (sheet === undefined || row === undefined) return;
    const { times, cells } = row;
    row = undefined;
    // A sheet is formatted to its last row: blank ones count where something stands below them, not far away.
    if (cells.every((value) => value === '')) {
      sheet.blank += times;
      return;
    }
    for (let at = 0; at < (sheet.blank > MOST_BLANK_ROWS ? 0 : sheet.blank); at += 1) sheet.rows.row();
    sheet.blank = 0;
    for (let at = 0; at < times; at += 1) {
      sheet.rows.row();
      for (const value of cells) sheet.rows.cell(value);
    }
  };
  readPart(file, part, {
    open: (element) => {
      const { name } = element;
      // A table within a cell, and notes beside one, are no part of the sheet.
      if (name === 'table') deep += 1;
      if (name === 'annotation') deep += 100;
      if (deep > 1) return;
      if (name === 'style') style = anyPrefix(element, 'name') ?? '';
      else if (name === 'table-properties' && anyPrefix(element, 'display') === 'false') unseen.add(style);
      else if (name === 'table')
        sheet = {
          name: (anyPrefix(element, 'name') ?? '').slice(0, 100),
          rows: gather(file, left),
          hidden: new Set(),
          visible: !unseen.has(anyPrefix(element, 'style-name') ?? ''),
          blank: 0,
          columns: 0,
        };
      else if (name === 'table-column' && sheet !== undefined) {
        const from = sheet.columns;
        sheet.columns += repeats(anyPrefix(element, 'number-columns-repeated'), MOST_COLUMNS);
        if (/^(?:collapse|filter)$/.test(anyPrefix(element, 'visibility') ?? ''))
          for (let at = from; at < Math.min(sheet.columns, MOST_COLUMNS); at += 1) sheet.hidden.add(at);
      } else if (name === 'table-row')
        row = { times: repeats(anyPrefix(element, 'number-rows-repeated'), MOST_ROWS), cells: [] };
      else if (row !== undefined && CELLS.has(name)) [cell, text] = [element, ''];
      else if (cell !== undefined && name === 'p') {
        within += 1;
        if (text !== '') text += ' ';
      } else if (within > 0 && (name === 's' || name === 'tab' || name === 'line-break')) text += ' ';
    },
    text: (piece) => {
      if (within > 0 && deep === 1) text += piece;
    },
    close: (name) => {
      if (name === 'annotation') deep -= 100;
      if (name === 'table') deep -= 1;
      if (name === 'table' && deep === 0 && sheet !== undefined) {
        if (sheet.visible) tables.push(hiding(sheet.rows.table(sheet.name), sheet.hidden));
        sheet = undefined;
      } else if (deep !== 1) return;
      else if (name === 'table-row') endRow();
      else if (name === 'p' && within > 0) within -= 1;
      else if (cell !== undefined && row !== undefined && CELLS.has(name)) {
        const value = valueOf(cell, text);
        const times = repeats(anyPrefix(cell, 'number-columns-repeated'), MOST_COLUMNS);
        for (let at = 0; at < times && row.cells.length <= MOST_COLUMNS; at += 1) row.cells.push(value);
        cell = undefined;
      }
    },
  });
  return tables;
};

export const readOpenDocument = (
  parts: ReadonlyMap<string, ZipPart>,
  part: ZipPart,
  name: string,
): Result<readonly Table[]> =>
  [...parts.keys()].some((own) => /^(?:Basic|Scripts)\//.test(own))
    ? fail(macros(name))
    : refusalOf(() => filledOf(name, open(name, part)));
