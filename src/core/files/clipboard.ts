import { MOST_CELLS, MOST_ROWS } from './limits';
import { splitText } from './split';

/**
 * The rows and cells of text copied from a spreadsheet: tab-separated, a cell with tabs, quotes or breaks in it quoted.
 *
 * @example readClipboard('1010\t"two\nlines"\n1020\t5') // [['1010', 'two\nlines'], ['1020', '5']]
 */
export const readClipboard = (text: string): readonly (readonly string[])[] => {
  const { rows } = splitText(text, '\t', '"', { rows: MOST_ROWS, cells: MOST_CELLS });
  return rows.length === 0 ? [['']] : rows;
};
