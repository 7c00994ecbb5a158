import type { Result } from '../base/result';
import { problem } from '../base/result';
import type { Cell, Table } from '../base/table';
import { decimalOf } from './decimal-of';
import { type Gathered, budget, gather, hiding, repeats } from './gather';
import { MOST_BLANK_ROWS, MOST_CELL_CHARACTERS, MOST_COLUMNS } from './limits';
import { Refused, filledOf, refusalOf, tooLong } from './refused';
import { decode } from './text';
import { type Element, anyPrefix, xmlReader } from './xml';

/** Bytes at the beginning that tell what a file is. */
const LOOKED_AT = 4000;

/** Whether an XML file is a workbook as spreadsheets and old systems write it as one text. */
export const isXmlWorkbook = (bytes: Uint8Array): boolean =>
  /<(?:\w{1,20}:)?Workbook[\s>]/.test(
    new TextDecoder('latin1').decode(bytes.subarray(0, LOOKED_AT)).replaceAll('\0', ''),
  );

/** A sheet while it is read. `at` is its last row, from 0. */
interface Sheet {
  readonly name: string;
  readonly rows: Gathered;
  readonly hidden: Set<number>;
  at: number;
  column: number;
  ended: boolean;
  visible: boolean;
}

const valueOf = (kind: string, text: string): Cell => {
  if (kind === 'DateTime') return text.slice(0, 10);
  if (kind === 'Boolean') return text === '1' ? 'TRUE' : 'FALSE';
  const value = Number(text);
  if (kind !== 'Number' || text.trim() === '' || !Number.isFinite(value)) return text;
  const decimal = decimalOf(value);
  return { decimal, shown: decimal };
};

/** A place that the file names, from 0, or the next one. */
const placeOf = (element: Element, next: number): number => {
  const said = Number(anyPrefix(element, 'Index'));
  return Number.isInteger(said) && said > next ? said - 1 : next;
};

const isHidden = (element: Element): boolean => anyPrefix(element, 'Hidden') === '1';

/** Reads a workbook that is one XML text: its visible sheets, with what formulas gave. */
export const readXmlWorkbook = (bytes: Uint8Array, file: string): Result<readonly Table[]> =>
  refusalOf(() => {
    const left = budget();
    const tables: Table[] = [];
    let sheet: Sheet | undefined;
    let columns = 0;
    let across = 1;
    let [kind, text, reading, beside] = ['', '', false, false];
    const reader = xmlReader({
      open: (element) => {
        const { name } = element;
        if (name === 'Worksheet') {
          const called = (anyPrefix(element, 'Name') ?? '').slice(0, 100);
          sheet = {
            name: called,
            rows: gather(file, left),
            hidden: new Set(),
            at: -1,
            column: 0,
            ended: false,
            visible: true,
          };
          columns = 0;
        }
        if (sheet === undefined || sheet.ended) return;
        if (name === 'Column') {
          const from = placeOf(element, columns);
          columns = from + repeats(String(Number(anyPrefix(element, 'Span') ?? 0) + 1), MOST_COLUMNS);
          if (isHidden(element))
            for (let at = from; at < Math.min(columns, MOST_COLUMNS); at += 1) sheet.hidden.add(at);
        } else if (name === 'Row') {
          const at = placeOf(element, sheet.at + 1);
          sheet.ended = at - sheet.at > MOST_BLANK_ROWS;
          if (sheet.ended) return;
          for (let blank = sheet.at; blank < at; blank += 1) sheet.rows.row();
          [sheet.at, sheet.column] = [at, 0];
        } else if (name === 'Cell') {
          const at = placeOf(element, sheet.column);
          sheet.rows.skip(at - sheet.column);
          across = repeats(String(Number(anyPrefix(element, 'MergeAcross') ?? 0) + 1), MOST_COLUMNS);
          [sheet.column, kind, text] = [at + across, '', ''];
        } else if (name === 'Comment') beside = true;
        else if (name === 'Data' && !beside) [kind, reading] = [anyPrefix(element, 'Type') ?? 'String', true];
      },
      text: (piece) => {
        if (reading) {
          if (text.length + piece.length > MOST_CELL_CHARACTERS) throw tooLong(file);
          text += piece;
        } else if (sheet !== undefined && /^Sheet(?:Very)?Hidden$/.test(piece)) sheet.visible = false;
      },
      close: (name) => {
        if (name === 'Data') reading = false;
        if (name === 'Comment') beside = false;
        if (sheet === undefined) return;
        if (name === 'Cell' && !sheet.ended) sheet.rows.cell(valueOf(kind, text), across);
        if (name !== 'Worksheet') return;
        if (sheet.visible) tables.push(hiding(sheet.rows.table(sheet.name), sheet.hidden));
        sheet = undefined;
      },
    });
    const fault = reader.push(decode(bytes).text) ?? reader.end();
    if (fault !== undefined)
      throw new Refused(
        fault === 'entities'
          ? problem(
              'paper.entities',
              `${file} declares a document type or entities, which no workbook needs, so it was not read. Save it as XLSX or CSV and bring that.`,
            )
          : problem(
              'paper.broken',
              `${file} is damaged: it ends, or goes wrong, in the middle of its XML. Open it in a spreadsheet, save it again, and bring that.`,
            ),
      );
    return filledOf(file, tables);
  });
