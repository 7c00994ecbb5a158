import { folded } from '../base/folded';
import { type Most, type Split, linesIn } from './split';

/*
 * Lists with each field on a line of its own behind its label ("Account: 1010"), block below block. Each block is a row, and the
 * labels are the columns.
 */

/** A field: its label, with dots or blanks that lead to the mark, and what it is. */
const FIELD = /^\s{0,20}(\p{L}[^:：=\t;|]{0,29})[:：=](.*)$/u;

const fieldIn = (line: string): readonly [label: string, value: string] | undefined => {
  const [, label, value = ''] = FIELD.exec(line) ?? [];
  if (label === undefined) return undefined;
  let end = label.length;
  while (/[\s.·_]/u.test(label[end - 1] ?? '')) end -= 1;
  return [label.slice(0, end), value.trim()];
};

/** Lines that are looked at before a text is taken for such a list. */
const LOOKED_AT = 3000;
/** So many of the lines are fields, and so many of these have a label that comes again. */
const [FIELDS, AGAIN] = [0.7, 0.85] as const;
/** Some labels come again in so many blocks, and a block has so many of those; what not every block has comes twice at least. */
const [FEWEST_BLOCKS, FEWEST_FIELDS] = [3, 2] as const;
/** A longer line is no field. */
const MOST_LINE = 300;

/** Whether most lines are fields whose labels come again and again. */
export const looksLikeFields = (text: string): boolean => {
  const lines = linesIn(text)
    .slice(0, LOOKED_AT)
    .filter((line) => line.trim() !== '');
  const counts = new Map<string, number>();
  let fields = 0;
  for (const line of lines) {
    const found = line.length > MOST_LINE ? undefined : fieldIn(line);
    if (found === undefined) continue;
    fields += 1;
    counts.set(folded(found[0]), (counts.get(folded(found[0])) ?? 0) + 1);
  }
  const again = [...counts.values()].filter((count) => count > 1);
  return (
    fields >= lines.length * FIELDS &&
    again.filter((count) => count >= FEWEST_BLOCKS).length >= FEWEST_FIELDS &&
    again.reduce((sum, count) => sum + count, 0) >= fields * AGAIN
  );
};

/** Each block as a row below a row of the labels; what stands above, between and below the blocks stays a row of its own. */
export const splitFields = (text: string, most: Most): Split => {
  const lines = linesIn(text);
  if (lines.length > most.rows) return { rows: [], openQuotes: [], past: 'rows' };
  const counts = new Map<string, number>();
  const fields = lines.map((line) => (line.length > MOST_LINE ? undefined : fieldIn(line)));
  for (const field of fields)
    if (field !== undefined) counts.set(folded(field[0]), (counts.get(folded(field[0])) ?? 0) + 1);
  const columns = new Map<string, number>();
  const titles: string[] = [];
  const above: string[][] = [];
  const blocks: string[][] = [];
  let block: string[] | undefined;
  lines.forEach((line, at) => {
    const [label, value] = fields[at] ?? [];
    const key = label === undefined ? '' : folded(label);
    if (label === undefined || value === undefined || (counts.get(key) ?? 0) < 2) {
      // It does not end the block: that goes on until a label comes again.
      if (line.trim() !== '') (blocks.length === 0 ? above : blocks).push([line.trim()]);
      return;
    }
    const column = columns.get(key) ?? columns.size;
    if (!columns.has(key)) {
      columns.set(key, column);
      titles.push(label);
    }
    // A label that the block has already begins the next one.
    if (block?.[column] !== undefined) block = undefined;
    if (block === undefined) {
      block = [];
      blocks.push(block);
    }
    block[column] = value;
  });
  if (blocks.length * columns.size > most.cells) return { rows: [], openQuotes: [], past: 'cells' };
  return { rows: [...above, titles, ...blocks.map((own) => Array.from(own, (cell: string | undefined) => cell ?? ''))], openQuotes: [] }; // prettier-ignore
};
