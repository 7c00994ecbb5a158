import { type Result, fail, problem } from '../base/result';
import type { Cell, Table } from '../base/table';
import { cleaned } from './clean';
import { hiding } from './gather';
import { CONTENT, readOpenDocument } from './open-document';
import { type Format, GENERAL, builtInFormats, formatOf, numberCell } from './number-format';
import { filledOf, macros, refusalOf, tooLong, tooMany } from './refused';
import { saidRows } from './split';
import {
  MOST_BLANK_ROWS,
  MOST_CELLS,
  MOST_CELL_CHARACTERS,
  MOST_CHARACTERS,
  MOST_COLUMNS,
  MOST_ROWS,
  counted,
} from './limits';
import { type Element, anyPrefix } from './xml';
import { readPart } from './xml-part';
import { type ZipPart, zipParts } from './zip';

interface Sheet {
  readonly name: string;
  readonly id: string;
}

const sheetsOf = (file: string, part: ZipPart): { readonly sheets: readonly Sheet[]; readonly from1904: boolean } => {
  const sheets: Sheet[] = [];
  let from1904 = false;
  readPart(file, part, {
    open: (element) => {
      const { name, attributes } = element;
      if (name === 'workbookPr') from1904 = /^(?:1|true)$/.test(attributes.date1904 ?? '');
      if (name === 'sheet' && (attributes.state ?? 'visible') === 'visible')
        sheets.push({ name: cleaned(attributes.name ?? '').slice(0, 100), id: anyPrefix(element, 'id') ?? '' });
    },
  });
  return { sheets, from1904 };
};

/** Where the parts are that the workbook refers to, by the id of the reference. */
const targetsOf = (file: string, part: ZipPart | undefined): ReadonlyMap<string, string> => {
  const targets = new Map<string, string>();
  if (part !== undefined)
    readPart(file, part, {
      open: ({ name, attributes }) => {
        const target = attributes.Target ?? '';
        if (name === 'Relationship')
          targets.set(attributes.Id ?? '', target.startsWith('/') ? target.slice(1) : `xl/${target}`);
      },
    });
  return targets;
};

/** Texts that cells refer to by number. Phonetic readings beside a text are no part of it. */
const textsOf = (file: string, part: ZipPart | undefined): readonly string[] => {
  const texts: string[] = [];
  let [text, reading, phonetic, length] = ['', false, false, 0];
  if (part !== undefined)
    readPart(file, part, {
      open: ({ name }) => {
        if (name === 'si') [text, length] = ['', 0];
        if (name === 'rPh') phonetic = true;
        reading = name === 't' && !phonetic;
      },
      text: (piece) => {
        if (!reading) return;
        length += piece.length;
        if (length > MOST_CELL_CHARACTERS) throw tooLong(file);
        text += piece;
      },
      close: (name) => {
        if (name === 't') reading = false;
        if (name === 'rPh') phonetic = false;
        if (name !== 'si') return;
        texts.push(unescaped(text));
        if (texts.length > MOST_CELLS) throw tooMany(file, 'cells', MOST_CELLS);
      },
    });
  return texts;
};

/** Characters that XML cannot hold are written _x000D_ in a workbook (ISO/IEC 29500, ST_Xstring). */
const unescaped = (text: string): string =>
  text.includes('_x')
    ? text.replace(/_x([\dA-Fa-f]{4})_/g, (_, code: string) => String.fromCharCode(Number.parseInt(code, 16)))
    : text;

/** The number format of each cell style. */
const stylesOf = (file: string, part: ZipPart | undefined): readonly Format[] => {
  const own = new Map<number, string>();
  const styles: Format[] = [];
  let inCells = false;
  const builtIn = builtInFormats();
  if (part !== undefined)
    readPart(file, part, {
      open: ({ name, attributes }) => {
        if (name === 'numFmt') own.set(Number(attributes.numFmtId), attributes.formatCode ?? 'General');
        if (name === 'cellXfs') inCells = true;
        if (name !== 'xf' || !inCells) return;
        const id = Number(attributes.numFmtId ?? 0);
        const code = own.get(id) ?? builtIn[id] ?? 'General';
        styles.push(formatOf(code));
      },
      close: (name) => {
        if (name === 'cellXfs') inCells = false;
      },
    });
  return styles;
};

/** The column (from 0) of a reference such as "BC12", or undefined when it is none. */
const columnOf = (reference: string): number | undefined => {
  let column = 0;
  for (let at = 0; at < reference.length && at < 4; at += 1) {
    const letter = reference.charCodeAt(at) - 64;
    if (letter < 1 || letter > 26) break;
    column = column * 26 + letter;
  }
  return column === 0 ? undefined : column - 1;
};

interface Facts {
  readonly file: string;
  readonly texts: readonly string[];
  readonly styles: readonly Format[];
  readonly from1904: boolean;
  /** Cells and characters that may still be read, all sheets together. A text that many cells refer to counts for each. */
  cells: number;
  characters: number;
}

const NO_CELLS: Cell[] = [];

/** One sheet's rows, read as they are unpacked. Formulas give their stored results. */
const tableOf = (name: string, part: ZipPart, facts: Facts): Table => {
  const rows: Cell[][] = [];
  const [invisible, wide]: [number[], number[]] = [[], []];
  const hidden = new Set<number>();
  let row: Cell[] = [];
  let [at, column] = [-1, -1];
  let endedAfter: number | undefined;
  let cell: Element['attributes'] = {};
  let [text, reading, inCell, phonetic] = ['', false, false, false];

  const valueOf = (): Cell => {
    const type = cell.t ?? 'n';
    if (text === '') return '';
    if (type === 'n') return numberCell(text, facts.styles[Number(cell.s ?? 0)] ?? GENERAL, facts.from1904);
    if (type === 's') return facts.texts[Number(text)] ?? '';
    if (type === 'b') return text === '1' ? 'TRUE' : 'FALSE';
    if (type === 'd') return text.slice(0, 10);
    return unescaped(text);
  };
  const put = (): void => {
    const value = valueOf();
    if (value === '') return;
    facts.characters -= typeof value === 'string' ? value.length : value.shown.length;
    if (facts.characters < 0) throw tooMany(facts.file, 'characters', MOST_CHARACTERS);
    if (column >= MOST_COLUMNS) {
      if (wide.at(-1) !== at + 1) wide.push(at + 1);
      return;
    }
    const tidy = typeof value === 'string' ? cleaned(value).trimEnd() : value;
    if (typeof value === 'string' && tidy !== value.trimEnd() && invisible.at(-1) !== at + 1) invisible.push(at + 1);
    while (row.length < column) row.push('');
    row[column] = tidy;
  };
  readPart(facts.file, part, {
    open: ({ name: element, attributes }) => {
      if (endedAfter !== undefined) return;
      if (element === 'col' && /^(?:1|true)$/.test(attributes.hidden ?? ''))
        for (let one = Number(attributes.min); one <= Math.min(Number(attributes.max), MOST_COLUMNS); one += 1)
          hidden.add(one - 1);
      if (element === 'row') {
        const stated = Number(attributes.r ?? at + 2) - 1;
        // Rows stand in order; one that does not is taken as the next.
        const before = at;
        at = Number.isInteger(stated) && stated > at ? stated : at + 1;
        if (at - before > MOST_BLANK_ROWS) {
          endedAfter = before + 1;
          return;
        }
        if (at >= MOST_ROWS) throw tooMany(facts.file, 'rows', MOST_ROWS);
        column = -1;
        row = [];
        while (rows.length < at) rows.push(NO_CELLS);
        rows[at] = row;
      } else if (element === 'c' && at >= 0) {
        facts.cells -= 1;
        if (facts.cells < 0) throw tooMany(facts.file, 'cells', MOST_CELLS);
        const stated = columnOf(attributes.r ?? '');
        column = stated !== undefined && stated > column ? stated : column + 1;
        cell = attributes;
        [text, inCell] = ['', true];
      } else if (inCell && element === 'rPh') phonetic = true;
      else reading = inCell && !phonetic && (element === 'v' || element === 't');
    },
    text: (piece) => {
      if (!reading) return;
      if (text.length + piece.length > MOST_CELL_CHARACTERS) throw tooLong(facts.file);
      text += piece;
    },
    close: (element) => {
      reading = false;
      if (element === 'rPh') phonetic = false;
      if (element !== 'c' || !inCell) return;
      put();
      inCell = false;
    },
  });
  while (rows.length > 0 && rows.at(-1)?.every((one) => one === '')) rows.pop();
  const remarks = [
    ...(endedAfter === undefined
      ? []
      : [
          `After row ${counted(endedAfter)} more than ${counted(MOST_BLANK_ROWS)} rows are blank; what stands below them is not read.`,
        ]),
    ...(invisible.length === 0 ? [] : [`Invisible or control characters were taken out of ${saidRows(invisible)}.`]),
    ...(wide.length === 0
      ? []
      : [
          `Columns after the first ${String(MOST_COLUMNS)} are not read; ${saidRows(wide)} ${wide.length === 1 ? 'has' : 'have'} something there.`,
        ]),
  ];
  return hiding({ name, rows, ...(remarks.length === 0 ? {} : { remarks }) }, hidden);
};

const open = (file: string, parts: ReadonlyMap<string, ZipPart>, book: ZipPart): readonly Table[] => {
  const { sheets, from1904 } = sheetsOf(file, book);
  const targets = targetsOf(file, parts.get('xl/_rels/workbook.xml.rels'));
  const beside = (kind: string): ZipPart | undefined =>
    parts.get([...targets.values()].find((target) => target.toLowerCase().endsWith(kind.toLowerCase())) ?? '');
  const facts: Facts = {
    file,
    texts: textsOf(file, beside('sharedStrings.xml')),
    styles: stylesOf(file, beside('styles.xml')),
    from1904,
    cells: MOST_CELLS,
    characters: MOST_CHARACTERS,
  };
  return sheets.flatMap(({ name, id }) => {
    const part = parts.get(targets.get(id) ?? '');
    return part === undefined ? [] : [tableOf(name, part, facts)];
  });
};

/**
 * Reads a packed workbook, OpenDocument or Office Open XML (ISO/IEC 29500): every visible worksheet with something in it, as a stream, so that a
 * limit is met where it is passed and not after everything has been unpacked.
 */
export const readWorkbook = (bytes: Uint8Array, name: string): Result<readonly Table[]> => {
  const parts = zipParts(bytes, name);
  if (!parts.ok) return parts;
  const content = parts.value.get(CONTENT);
  if (content !== undefined && !parts.value.has('xl/workbook.xml')) return readOpenDocument(parts.value, content, name);
  const book = parts.value.get('xl/workbook.xml');
  if (book === undefined)
    return fail(
      problem(
        'paper.broken',
        `${name} is not a readable XLSX or ODS workbook: it is damaged or is something else with that ending. Open it in a spreadsheet, save it as XLSX or CSV, and bring that.`,
      ),
    );
  if ([...parts.value.keys()].some((part) => /vbaProject/i.test(part))) return fail(macros(name));
  return refusalOf(() => filledOf(name, open(name, parts.value, book)));
};
