import { counted } from './limits';

/** The lines of a text, whatever ends them. */
export const linesIn = (text: string): readonly string[] => text.split(/\r\n|\r|\n/);

export interface Split {
  readonly rows: string[][];
  /** Rows (from 1) in which a quote is opened and not closed before the cell ends. */
  readonly openQuotes: readonly number[];
  /** The limit that was passed, where one was; the rows up to it are there. */
  readonly past?: 'rows' | 'cells';
}

export interface Most {
  readonly rows: number;
  readonly cells: number;
}

/**
 * Delimited text taken apart (RFC 4180). Line ends are taken as they come, also several kinds in one file: CRLF, LF and CR
 * each end a row outside quotes and stay as they are inside. A quote opens a quoted cell only at its beginning; where its
 * closing quote is not followed by a delimiter or a line end, the cell is taken as it stands up to the next of these, and
 * the row is told: so one stray quote never swallows the rows after it. Reads every character at most twice.
 */
export const splitText = (text: string, delimiter: string, quote: string, most: Most): Split => {
  const rows: string[][] = [];
  const openQuotes: number[] = [];
  const [comma, mark] = [delimiter.charCodeAt(0), quote.charCodeAt(0)];
  const end = text.length;
  let row: string[] = [];
  let cells = 0;
  let at = 0;
  const isEnd = (code: number): boolean => code === 10 || code === 13;

  /** The cell in quotes that begins at `from`, with where it ends; undefined when its quote is not closed properly. */
  const quoted = (from: number): { readonly text: string; readonly to: number } | undefined => {
    let doubled = false;
    let close = text.indexOf(quote, from + 1);
    while (close >= 0 && text.charCodeAt(close + 1) === mark) {
      doubled = true;
      close = text.indexOf(quote, close + 2);
    }
    if (close < 0) return undefined;
    const after = text.charCodeAt(close + 1);
    if (close + 1 < end && after !== comma && !isEnd(after)) return undefined;
    const inner = text.slice(from + 1, close);
    return { text: doubled ? inner.replaceAll(quote + quote, quote) : inner, to: close + 1 };
  };

  while (at < end) {
    let taken = text.charCodeAt(at) === mark ? quoted(at) : undefined;
    if (taken === undefined) {
      if (text.charCodeAt(at) === mark && openQuotes.at(-1) !== rows.length + 1) openQuotes.push(rows.length + 1);
      let to = at;
      for (; to < end; to += 1) {
        const code = text.charCodeAt(to);
        if (code === comma || isEnd(code)) break;
      }
      taken = { text: text.slice(at, to), to };
    }
    row.push(taken.text);
    cells += 1;
    if (cells > most.cells) return { rows, openQuotes, past: 'cells' };
    const code = text.charCodeAt(taken.to);
    at = taken.to + 1;
    if (code === comma && taken.to < end) {
      // A delimiter at the very end has an empty cell after it.
      if (at >= end) row.push('');
      continue;
    }
    if (code === 13 && text.charCodeAt(at) === 10) at += 1;
    rows.push(row);
    row = [];
    if (rows.length > most.rows) return { rows, openQuotes, past: 'rows' };
  }
  if (row.length > 0) rows.push(row);
  return { rows, openQuotes };
};

/** "row 3", "rows 3, 7 and 9", "rows 3, 7, 9 and 12 more". */
export const saidRows = (rows: readonly number[]): string => {
  const named = rows.slice(0, 5).map(String);
  const more = rows.length - named.length;
  const last = more > 0 ? `${counted(more)} more` : (named.pop() ?? '');
  return `${rows.length === 1 ? 'row' : 'rows'} ${named.length === 0 ? last : `${named.join(', ')} and ${last}`}`;
};
