import ExcelJS from 'exceljs';
import { tell } from '@/core/base/sentence';
import { spreadsheetNumber } from '@/core/files/write';
import { plainDecimal } from '@/core/money/format';
import {
  type Column,
  type Document,
  type Line,
  type Value,
  saidOfStanding,
  textColumn,
} from '@/core/statements/document';
import type { Print } from './pdf';

const cellOf = (value: Value): ExcelJS.CellValue => {
  if (value === null || typeof value === 'string') return value;
  if ('date' in value) return new Date(`${value.date}T00:00:00Z`);
  return spreadsheetNumber('number' in value ? value.number : plainDecimal(value.amount, value.digits));
};

const formatOf = (value: Value): string | undefined => {
  if (value === null || typeof value === 'string') return undefined;
  if ('date' in value) return 'yyyy-mm-dd';
  if ('number' in value) return undefined;
  const plain = value.digits === 0 ? '#,##0' : `#,##0.${'0'.repeat(value.digits)}`;
  return `${plain}_);(${plain})`;
};

/** The number of A4 among the standard's paper sizes (ECMA-376, 18.3.1.63). */
// eslint-disable-next-line @typescript-eslint/no-unsafe-enum-assignment -- the library's names for sizes are types only
const A4: Pick<Partial<ExcelJS.PageSetup>, 'paperSize'> = { paperSize: 9 };

const THIN = { style: 'thin' } as const;

const WIDTHS = { code: 12, text: 44, date: 12, figure: 18 } as const satisfies Record<Column['kind'], number>;

/** A document as an Office Open XML workbook: real dates and numbers, its columns' names frozen and on every printed page. */
export const documentXlsx = async (document: Document, print: Print): Promise<Uint8Array> => {
  const { columns, sections, notes } = document;
  const book = new ExcelJS.Workbook();
  book.creator = 'Bathron';
  book.title = `${document.title}, ${print.books}`;
  const stands = saidOfStanding(document, print.writing);
  const top = [print.books, document.title, tell(document.about, print.writing), ...(stands === null ? [] : [stands])];
  const head = top.length + 2;
  const sheet = book.addWorksheet(document.title.replace(/[\\/?*[\]:]/g, ' ').slice(0, 31), {
    views: [{ state: 'frozen', ySplit: head }],
    pageSetup: {
      // Without one, the printer's own.
      ...(print.size === 'A4' ? A4 : {}),
      orientation: columns.length > 6 ? 'landscape' : 'portrait',
      fitToPage: true,
      fitToWidth: 1,
      fitToHeight: 0,
      printTitlesRow: `${String(head)}:${String(head)}`,
    },
    headerFooter: { oddFooter: '&R&P / &N' },
  });
  sheet.columns = columns.map(({ kind }) => ({ width: WIDTHS[kind] }));
  top.forEach((line, at) => {
    sheet.addRow([line]).font = { bold: at < 2, size: at === 1 ? 14 : 11 };
  });
  sheet.addRow([]);
  const names = sheet.addRow(columns.map(({ label }) => label));
  names.font = { bold: true };
  columns.forEach(({ kind }, at) => {
    const cell = names.getCell(at + 1);
    cell.border = { bottom: THIN };
    cell.alignment = { horizontal: kind === 'figure' ? 'right' : 'left', wrapText: true };
  });
  const named = textColumn(columns);
  const write = (line: Line): void => {
    const row = sheet.addRow(columns.map((_, at) => cellOf(line.values[at] ?? null)));
    if (line.kind !== 'line') row.font = { bold: true };
    if (line.depth > 0) row.getCell(named + 1).alignment = { indent: line.depth };
    columns.forEach(({ kind }, at) => {
      const cell = row.getCell(at + 1);
      const format = formatOf(line.values[at] ?? null);
      if (format !== undefined) cell.numFmt = format;
      if (kind === 'figure' && (line.kind === 'sum' || line.kind === 'total'))
        cell.border = { top: THIN, ...(line.kind === 'total' ? { bottom: { style: 'double' } as const } : {}) };
    });
  };
  for (const { title, about, lines } of sections) {
    if (title !== null)
      sheet.addRow([`${title}${about === undefined ? '' : ` (${tell(about, print.writing)})`}`]).font = {
        bold: true,
        size: 12,
      };
    lines.forEach(write);
  }
  for (const note of notes) sheet.addRow([tell(note, print.writing)]);
  const last = sheet.getColumn(columns.length).letter;
  sheet.pageSetup.printArea = `A1:${last}${String(sheet.rowCount)}`;
  return new Uint8Array(await book.xlsx.writeBuffer());
};
