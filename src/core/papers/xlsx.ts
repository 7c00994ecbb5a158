import * as XLSX from '@e965/xlsx';
import { type Result, fail, ok, problem } from '../result';
import { type Cell, MOST_COLUMNS, MOST_ROWS, MOST_UNPACKED_BYTES, type Row, type Table } from './cells';
import { sound, unpackedBytes } from './zip';

/**
 * The exact decimal text of a spreadsheet's number. Spreadsheets compute in binary and keep 15 significant digits, so
 * noise beyond the fifteenth (0.30000000000000004) is dropped; what remains is the decimal that the sheet displays.
 */
export const decimalOf = (value: number): string => {
  const [mantissa = '0', exponent = '0'] = value.toExponential(14).split('e');
  const negative = mantissa.startsWith('-');
  const digits = mantissa.replace(/[-.]/g, '').replace(/0+$/, '') || '0';
  const point = Number(exponent) + 1;
  const text =
    point <= 0
      ? `0.${'0'.repeat(-point)}${digits}`
      : digits.length <= point
        ? digits + '0'.repeat(point - digits.length)
        : `${digits.slice(0, point)}.${digits.slice(point)}`;
  return negative && digits !== '0' ? `-${text}` : digits === '0' ? '0' : text;
};

// The package types its number formats as any.
const { is_date: isDateFormat } = XLSX.SSF as { readonly is_date: (format: string) => boolean };

const cellOf = (cell: XLSX.CellObject | undefined): Cell => {
  if (cell?.v === undefined) return '';
  if (
    cell.t === 'n' &&
    typeof cell.v === 'number' &&
    Number.isFinite(cell.v) &&
    !isDateFormat(String(cell.z ?? 'General'))
  )
    return {
      decimal: decimalOf(cell.v),
      shown: (cell.z === undefined || cell.z === 'General' ? decimalOf(cell.v) : (cell.w ?? decimalOf(cell.v))).trim(),
    };
  return (cell.w ?? String(cell.v)).trim();
};

const tableOf = (name: string, sheet: XLSX.WorkSheet): Table => {
  const data = (sheet as { '!data'?: (XLSX.CellObject | undefined)[][] })['!data'] ?? [];
  const rows: Row[] = Array.from(data, (row) =>
    Array.from((row as (XLSX.CellObject | undefined)[] | undefined) ?? [], cellOf).slice(0, MOST_COLUMNS),
  );
  while (rows.length > 0 && rows.at(-1)?.every((cell) => cell === '')) rows.pop();
  return { name, rows };
};

/** Reads an Office Open XML workbook (ISO/IEC 29500): every visible worksheet with something in it. Formulas give their stored results. */
export const readXlsx = (bytes: Uint8Array, name: string): Result<readonly Table[]> => {
  if (bytes[0] === 0xd0 && bytes[1] === 0xcf)
    return fail(
      problem(
        'paper.old-workbook',
        `${name} is protected by a password, or is a workbook of the kind before XLSX. Save it as an unprotected XLSX or CSV file and bring that.`,
      ),
    );
  const unpacked = unpackedBytes(bytes, MOST_UNPACKED_BYTES);
  if (unpacked === undefined || !unpacked.names.includes('xl/workbook.xml'))
    return fail(
      problem(
        'paper.broken',
        `${name} is not a readable XLSX workbook: it is damaged or is something else with that ending.`,
      ),
    );
  if (unpacked.total > MOST_UNPACKED_BYTES)
    return fail(
      problem(
        'paper.bomb',
        `${name} unpacks to more than ${MOST_UNPACKED_BYTES / 1024 / 1024} MB, which no trial balance needs. It was not opened.`,
      ),
    );
  if (unpacked.names.some((part) => /vbaProject/i.test(part)))
    return fail(
      problem(
        'paper.macros',
        `${name} contains macros. Save it as a workbook without macros, or as CSV, and bring that.`,
      ),
    );
  const whole = sound(bytes);
  if (whole === undefined)
    return fail(
      problem(
        'paper.broken',
        `${name} is damaged: a part of it does not agree with its checksum. Open it in a spreadsheet, save it again, and bring that.`,
      ),
    );
  let tables: readonly Table[];
  try {
    const book = XLSX.read(whole, {
      type: 'array',
      dense: true,
      cellFormula: false,
      cellHTML: false,
      cellNF: true,
      sheetRows: MOST_ROWS + 1,
    });
    const visible = book.SheetNames.filter((_, at) => (book.Workbook?.Sheets?.[at]?.Hidden ?? 0) === 0);
    tables = visible.flatMap((sheet) => {
      const found = book.Sheets[sheet];
      return found === undefined ? [] : [tableOf(sheet, found)];
    });
  } catch {
    return fail(
      problem(
        'paper.broken',
        `${name} could not be read as a workbook: it is damaged. Open it in a spreadsheet, save it again, and bring that.`,
      ),
    );
  }
  const filled = tables.filter((table) => table.rows.length > 0);
  if (filled.length === 0) return fail(problem('paper.empty', `${name} has no filled sheet.`));
  if (filled.some((table) => table.rows.length > MOST_ROWS))
    return fail(
      problem(
        'paper.rows',
        `${name} has a sheet of more than ${MOST_ROWS} rows, which is the most that is read at once. Split it and bring the parts.`,
      ),
    );
  return ok(filled);
};
