import { fromWire, toWire } from './wire';

/**
 * Rows by column, as one text: what a page of thousands of rows is sent as. Names of fields stand once, a column of one value is that
 * value, exact amounts are text. `rowsIn(columnsOf(rows))` are the rows again.
 */
type Column =
  | { readonly all: unknown }
  /** Values of which many in a row are the same, each with how many. */
  | { readonly runs: readonly (readonly [value: unknown, count: number])[] }
  /** Texts, with a mark between them that is in none: each mark around a text would be marked again in every layer it is sent in. */
  | { readonly texts: string; readonly by: string }
  /** Texts, numbers, answers and gaps. */
  | { readonly each: readonly unknown[] }
  /** Anything else, as between browser and server. */
  | { readonly wire: string }
  /** Exact amounts, as text with commas between them; nothing where there is none. */
  | { readonly exact: string }
  /** Objects of the same fields. */
  | { readonly of: readonly (readonly [field: string, column: Column])[] };

type Row = Readonly<Record<string, unknown>>;

const isRow = (value: unknown): value is Row => typeof value === 'object' && value !== null && !Array.isArray(value);

const isPlain = (value: unknown): boolean =>
  value === null || typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean';

/** What texts are parted by, the first that none of them has. */
const MARKS = ['|', '~', '^', '¦', '¬', '§'] as const;

const textsOf = (values: readonly unknown[]): Column | undefined => {
  const texts = values.filter((value) => typeof value === 'string');
  const by = MARKS.find((mark) => texts.every((text) => !text.includes(mark)));
  return texts.length < values.length || by === undefined ? undefined : { texts: texts.join(by), by };
};

/** Of so many values in a row, on the whole, the same is worth saying once. */
const LONG = 4;

const runsOf = (values: readonly unknown[]): Column | undefined => {
  const runs: [value: unknown, count: number][] = [];
  for (const value of values) {
    const last = runs.at(-1);
    if (last !== undefined && last[0] === value) last[1] += 1;
    else runs.push([value, 1]);
    if (runs.length * LONG > values.length) return undefined;
  }
  return { runs };
};

const columnOf = (values: readonly unknown[]): Column => {
  const [first] = values;
  if (isPlain(first) && values.every((value) => value === first)) return { all: first };
  const runs = values.every(isPlain) ? runsOf(values) : undefined;
  if (runs !== undefined) return runs;
  const texts = typeof first === 'string' ? textsOf(values) : undefined;
  if (texts !== undefined) return texts;
  if (values.every(isPlain)) return { each: values };
  if (values.every((value) => Array.isArray(value) && value.length === 0)) return { all: [] };
  if (values.every((value) => typeof value === 'bigint' || value === null))
    return { exact: values.map((value) => (value === null ? '' : String(value))).join(',') };
  if (values.every(isRow)) {
    const fields = Object.keys(first as Row);
    if (values.every((value) => Object.keys(value).length === fields.length && fields.every((field) => field in value)))
      return { of: fields.map((field) => [field, columnOf(values.map((value) => value[field]))]) };
  }
  return { wire: toWire(values) };
};

const valuesIn = (column: Column, length: number): readonly unknown[] => {
  if ('all' in column) return new Array<unknown>(length).fill(column.all);
  if ('runs' in column) return column.runs.flatMap(([value, count]) => new Array<unknown>(count).fill(value));
  if ('texts' in column) return column.texts.split(column.by);
  if ('each' in column) return column.each;
  if ('wire' in column) return fromWire(column.wire) as readonly unknown[];
  if ('exact' in column) return column.exact.split(',').map((text) => (text === '' ? null : BigInt(text)));
  const columns = column.of.map(([field, own]) => [field, valuesIn(own, length)] as const);
  return Array.from({ length }, (_, at) => {
    const row: Record<string, unknown> = {};
    for (const [field, values] of columns) row[field] = values[at];
    return row;
  });
};

/** The text carries what its rows are, so that they are read as what was written. */
export type Columns<T> = string & { readonly rowsOf?: T };

export const columnsOf = <T extends object>(rows: readonly T[]): Columns<T> =>
  JSON.stringify({ length: rows.length, column: columnOf(rows) });

export const rowsIn = <T extends object>(columns: Columns<T>): readonly T[] => {
  const { length, column } = JSON.parse(columns) as { readonly length: number; readonly column: Column };
  return valuesIn(column, length) as readonly T[];
};
