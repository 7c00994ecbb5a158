import { type Problem, type Result } from '@/core/base/result';
import type { CellEdit } from './data-sheet';

/** A row of a sheet: what is typed, what the server has of it, and what does not read. */
export interface SheetRow<Fields> {
  /** Stays the same from the first character typed on, whatever number the row gets. */
  readonly key: string;
  /** Null until it is stored. */
  readonly id: number | null;
  readonly revision: number;
  readonly fields: Fields;
  /** As the server has it; null for a row that was never stored. */
  readonly stored: Fields | null;
  /** Cells whose text does not read, by column: what was typed stays. */
  readonly unread: Readonly<Record<string, { readonly text: string; readonly says: string }>>;
  /** What the server said of it. */
  readonly refused: readonly Problem[];
}

export interface Stored<Fields> {
  readonly id: number;
  readonly revision: number;
  readonly fields: Fields;
}

/** Rows as they come from the server; those that are there already keep their keys. */
export const adopted = <Fields>(
  stored: readonly Stored<Fields>[],
  before: readonly SheetRow<Fields>[] = [],
): readonly SheetRow<Fields>[] => {
  const keys = new Map(before.flatMap((row) => (row.id === null ? [] : [[row.id, row.key] as const])));
  return stored.map(({ id, revision, fields }) => ({
    key: keys.get(id) ?? `row-${String(id)}`,
    id,
    revision,
    fields,
    stored: fields,
    unread: {},
    refused: [],
  }));
};

/** Whether the server has all that stands here. */
export const allStored = (rows: readonly SheetRow<unknown>[]): boolean =>
  rows.every((row) => row.fields === row.stored && Object.keys(row.unread).length === 0);

export type Apply<Fields> = (fields: Fields, edit: Pick<CellEdit, 'column' | 'text'>) => Result<Fields>;

const typedInto = <Fields>(
  row: SheetRow<Fields>,
  { column, text }: CellEdit,
  apply: Apply<Fields>,
): SheetRow<Fields> => {
  const read = apply(row.fields, { column, text });
  const { [column]: _, ...unread } = row.unread;
  return read.ok
    ? { ...row, fields: read.value, unread, refused: [] }
    : { ...row, unread: { ...unread, [column]: { text, says: read.problems[0]?.message ?? '' } } };
};

/**
 * The rows after cells were typed or pasted into; an edit behind the last row makes new ones, whose keys follow `next`. What does not
 * read stays as it was typed. Empty texts behind the last row make none.
 */
export const edited = <Fields>(
  rows: readonly SheetRow<Fields>[],
  edits: readonly CellEdit[],
  blank: Fields,
  apply: Apply<Fields>,
  next: number,
): { readonly rows: readonly SheetRow<Fields>[]; readonly next: number } => {
  const into = [...rows];
  let key = next;
  for (const edit of edits) {
    while (into.length <= edit.at) {
      if (edit.text.trim() === '' && !edit.made) break;
      into.push({ key: keyOf(key), id: null, revision: 0, fields: blank, stored: null, unread: {}, refused: [] });
      key += 1;
    }
    const row = into[edit.at];
    // What is made anew is given to the row when it is there.
    if (row !== undefined && !edit.made) into[edit.at] = typedInto(row, edit, apply);
  }
  return { rows: into, next: key };
};

export const keyOf = (next: number): string => `new-${String(next)}`;

/** The rows whose fields are to be sent: changed, complete, and not refused as they stand. */
export const unsaved = <Fields>(
  rows: readonly SheetRow<Fields>[],
  complete: (fields: Fields) => boolean,
): readonly SheetRow<Fields>[] =>
  rows.filter((row) => row.fields !== row.stored && row.refused.length === 0 && complete(row.fields));

/** The rows after the server took some of them: each has its number and revision, and stands as it was sent. */
export const saved = <Fields>(
  rows: readonly SheetRow<Fields>[],
  sent: readonly SheetRow<Fields>[],
  written: readonly ({ readonly id: number; readonly revision: number } | null)[],
): readonly SheetRow<Fields>[] => {
  const bySent = new Map(sent.map((row, at) => [row.key, { row, now: written[at] ?? null }]));
  return rows.map((row) => {
    const found = bySent.get(row.key);
    return found === undefined || found.now === null
      ? row
      : { ...row, id: found.now.id, revision: found.now.revision, stored: found.row.fields };
  });
};

/** The rows after the server refused some: what it said stands at the row that it is about, or at all of them. */
export const refused = <Fields>(
  rows: readonly SheetRow<Fields>[],
  sent: readonly SheetRow<Fields>[],
  problems: readonly Problem[],
): readonly SheetRow<Fields>[] => {
  const places = new Map(sent.map((row, at) => [row.key, at]));
  const placed = problems.some((one) => typeof one.path?.[0] === 'number');
  return rows.map((row) => {
    const at = places.get(row.key);
    if (at === undefined) return row;
    const own = problems.filter((one) => !placed || one.path?.[0] === at);
    return own.length === 0 ? row : { ...row, refused: own };
  });
};

/** What is said at a cell: that it does not read, why it was refused, or what is asked about it. What names no cell stands at `whole`. */
export const noteAt = (
  row: Pick<SheetRow<unknown>, 'unread' | 'refused'>,
  column: string,
  whole: string,
  doubts: readonly Problem[],
): { readonly tone: 'wrong' | 'asked'; readonly says: string } | undefined => {
  const at = ({ path }: Problem): boolean => {
    const last = path?.at(-1);
    return last === column || (column === whole && typeof last !== 'string');
  };
  const wrong = row.unread[column]?.says ?? row.refused.find(at)?.message;
  if (wrong !== undefined) return { tone: 'wrong', says: wrong };
  const doubt = doubts.find(at);
  return doubt === undefined ? undefined : { tone: 'asked', says: doubt.message };
};
