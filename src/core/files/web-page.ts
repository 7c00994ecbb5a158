import { Parser } from 'htmlparser2';
import { type Result, fail, ok, problem } from '../base/result';
import type { Table } from '../base/table';
import { budget, gather, repeats } from './gather';
import { MOST_CELL_CHARACTERS, MOST_COLUMNS, MOST_PAGE_DEPTH } from './limits';
import { Refused, refusalOf, tooLong } from './refused';
import { saidRows } from './split';
import { decode, decodeAs } from './text';
import { ENCODINGS } from './formats';

/** Bytes at the beginning that tell what a file is. */
const LOOKED_AT = 2000;

const startOf = (bytes: Uint8Array): string => new TextDecoder('latin1').decode(bytes.subarray(0, LOOKED_AT));

/** Whether a file is a web page, as old systems write one under the ending of a workbook. */
export const isWebPage = (bytes: Uint8Array): boolean => {
  const start = startOf(bytes).replaceAll('\0', '');
  const first = /^[\s\u00ef\u00bb\u00bf\u00fe\u00ff]*<(?:\?xml)?/.exec(start)?.[0];
  if (first === undefined) return false;
  return first.endsWith('?xml')
    ? /<html[\s>]/i.test(start)
    : /<(?:!doctype html|html|head|body|table|tr|meta|style|title|center|font|div|h[1-6])[\s>/]/i.test(start);
};

/** The encoding that the page says it is in; it is believed where it is known here and the bytes are no UTF-8. */
const textOf = (bytes: Uint8Array): string => {
  const read = decode(bytes);
  if (read.encoding.startsWith('utf-')) return read.text;
  const said = /charset\s{0,9}=\s{0,9}["']?\s{0,9}([\w.-]{1,40})/i.exec(startOf(bytes))?.[1]?.toLowerCase();
  const known = ENCODINGS.find((encoding) => encoding === said);
  return known === undefined || known.startsWith('utf-') ? read.text : decodeAs(bytes, known);
};

/** What nobody sees of a page. */
const UNSEEN = new Set(['script', 'style', 'title', 'head', 'template', 'noscript', 'select', 'svg', 'object']);
/** What begins a line of its own. */
const BLOCKS = new Set(['p', 'div', 'h1', 'h2', 'h3', 'h4', 'h5', 'h6', 'li', 'caption', 'center', 'address', 'pre', 'hr', 'br', 'table', 'body']); // prettier-ignore

const isHidden = (attributes: Readonly<Record<string, string>>): boolean =>
  attributes.hidden !== undefined || /display\s*:\s*none|visibility\s*:\s*hidden/i.test(attributes.style ?? '');

/**
 * Reads the tables of a web page as one sheet, in the page's order; a line between them is a row of one cell. Nothing of the page is
 * run or fetched. A cell over several columns stands in the first of them, one over several rows in the first of these.
 */
export const readWebPage = (bytes: Uint8Array, name: string): Result<readonly Table[]> =>
  refusalOf(() => {
    const rows = gather(name, budget());
    /** Columns of the rows to come that a cell above reaches into, by how many rows still. */
    let reached = new Map<number, number>();
    let [text, depth, unseen, hiddenAt, column] = ['', 0, 0, 0, 0];
    let [inTable, inRow, inCell, across, down] = [0, false, false, 1, 1];
    let [count, tables] = [0, 0];
    const hidden: number[] = [];
    const said = (): string => {
      const own = text.replace(/\s+/g, ' ').trim();
      text = '';
      return own;
    };
    const line = (): void => {
      if (inTable > 0) return;
      const own = said();
      if (own === '') return;
      rows.row();
      count += 1;
      rows.cell(own);
    };
    const pass = (): void => {
      while ((reached.get(column) ?? 0) > 0) {
        rows.skip(1);
        column += 1;
      }
    };
    const endCell = (): void => {
      if (!inCell) return;
      pass();
      rows.cell(said(), across);
      if (down > 1) for (let at = column; at < Math.min(column + across, MOST_COLUMNS); at += 1) reached.set(at, down);
      column += across;
      inCell = false;
    };
    const endRow = (): void => {
      endCell();
      inRow = false;
    };
    const beginRow = (): void => {
      endRow();
      rows.row();
      count += 1;
      column = 0;
      inRow = true;
      if (reached.size > 0)
        reached = new Map([...reached].flatMap(([at, still]) => (still > 1 ? [[at, still - 1] as const] : [])));
    };
    const parser = new Parser(
      {
        onopentag: (tag, attributes) => {
          depth += 1;
          if (depth > MOST_PAGE_DEPTH)
            throw new Refused(
              problem(
                'paper.deep',
                `${name} has parts within parts within parts; save it as XLSX or CSV and bring that.`,
              ),
            );
          if (hiddenAt > 0) return;
          if (UNSEEN.has(tag)) unseen += 1;
          else if (tag !== 'br' && isHidden(attributes)) {
            hiddenAt = depth;
            if (tag === 'tr') hidden.push(count + 1);
          } else if (tag === 'table') {
            line();
            inTable += 1;
            tables += 1;
            reached = new Map();
          } else if (tag === 'tr' && inTable > 0) beginRow();
          else if ((tag === 'td' || tag === 'th') && inTable > 0) {
            if (!inRow) beginRow();
            endCell();
            text = '';
            inCell = true;
            across = repeats(attributes.colspan, MOST_COLUMNS);
            down = repeats(attributes.rowspan, MOST_COLUMNS);
          } else if (BLOCKS.has(tag)) {
            if (inTable > 0) text += ' ';
            else line();
          }
        },
        ontext: (piece) => {
          if (unseen > 0 || hiddenAt > 0) return;
          if (text.length + piece.length > MOST_CELL_CHARACTERS) throw tooLong(name);
          text += piece;
        },
        onclosetag: (tag) => {
          const own = depth;
          depth -= 1;
          if (hiddenAt > 0) {
            if (own === hiddenAt) hiddenAt = 0;
            return;
          }
          if (UNSEEN.has(tag)) unseen = Math.max(0, unseen - 1);
          else if (tag === 'td' || tag === 'th') endCell();
          else if (tag === 'tr') endRow();
          else if (tag === 'table' && inTable > 0) {
            endRow();
            inTable -= 1;
            said();
          } else if (BLOCKS.has(tag)) line();
        },
      },
      { decodeEntities: true, lowerCaseTags: true, lowerCaseAttributeNames: true },
    );
    parser.end(textOf(bytes));
    line();
    if (tables === 0)
      return fail(
        problem(
          'paper.no-table',
          `${name} is a web page without a table: it may be a page that asks to sign in. Export the list again, as CSV or XLSX, and bring that.`,
        ),
      );
    const table = rows.table(
      name,
      hidden.length === 0 ? [] : [`What the page hides is not read: it begins at ${saidRows(hidden)}.`],
    );
    return table.rows.length > 0
      ? ok([table])
      : fail(
          problem('paper.empty', `${name} is empty: its tables have nothing in them. Export it again and bring that.`),
        );
  });
