'use client';

import { type ReactNode } from 'react';
import { readClipboard } from '@/core/files/clipboard';
import type { Choice } from '../parts/picker';
import { CellEditor } from './cell-editor';
import type { Range } from './cells';
import { ChoiceEditor } from './choice-editor';
import { type PrintedRow, PrintedSheet } from './printed-sheet';
import { isDragged, press } from './drag';
import { useSheet } from './use-sheet';

/** A column of a sheet, as data: how it reads, what it takes, how wide it is, and how it prints. */
export interface DataColumn<Row> {
  readonly id: string;
  readonly label: string;
  /** As a track of a CSS grid. */
  readonly width: string;
  /** Figures stand to the right; a check is "yes", "no", or nothing where there is none to make. */
  readonly kind: 'text' | 'figure' | 'choice' | 'check';
  readonly text: (row: Row) => string;
  /** Whether it takes what is typed; a column that does not is read only. */
  readonly takes: boolean;
  readonly choices?: readonly Choice[];
  /** What is offered last in the list of choices: makes something new. */
  readonly makes?: (text: string) => string;
  /** Where it stays while the others go by: a class of its place from the left. On a phone it would leave no room. */
  readonly stays?: string;
  /** Classes of its cells. */
  readonly tone?: string;
}

/** A cell that was typed or pasted into; rows are counted from nought, and those behind the last are new. */
export interface CellEdit {
  readonly at: number;
  readonly column: string;
  readonly text: string;
  /** A choice that is to be made anew. */
  readonly made: boolean;
}

interface Props<Row> {
  readonly label: string;
  /** Stands above the sheet on paper. */
  readonly heading: string;
  readonly columns: readonly DataColumn<Row>[];
  readonly rows: readonly Row[];
  readonly idOf: (row: Row) => string;
  /** What a row is called where one of its cells is open; else it is called by its number. */
  readonly nameOf?: (row: Row) => string;
  /** The id that the next new row will have: whoever typed into the blank row stays on it. Without one the rows are all there are. */
  readonly blank?: string;
  readonly selected: string | undefined;
  readonly onSelect: (id: string | undefined, chosen: Range) => void;
  /** Whether rows can be typed, added and deleted. */
  readonly open: boolean;
  /** Rows that take nothing although the others do. */
  readonly closed?: (row: Row) => boolean;
  readonly onEdit: (edits: readonly CellEdit[]) => void;
  readonly onDelete?: (rows: readonly Row[]) => void;
  /** What is wrong with a cell (brick) or asked about it (ochre). */
  readonly noteOf?: (
    row: Row,
    column: string,
  ) => { readonly tone: 'wrong' | 'asked'; readonly says: string } | undefined;
  /** Per column, beneath the rows. */
  readonly totals?: Readonly<Record<string, string>>;
  /** Columns whose total is not as it should be. */
  readonly out?: ReadonlySet<string>;
  /** The name under which files may be dropped on a row, for rows that take them (`data-row`). */
  readonly takesFiles?: (row: Row) => string | undefined;
  /** Classes of a row's cells. */
  readonly toneOf?: (row: Row) => string;
  /** Stands small at the end of a row's first cell. */
  readonly mark?: (row: Row) => ReactNode;
  /** Shown where there are no rows. */
  readonly empty: ReactNode;
}

const ROW = 30;
/** Texts of more characters may be cut, and are told where the pointer rests. */
const LONG = 18;
const NONE: Readonly<Record<string, string>> = {};
const standing = (stays: string | undefined): string =>
  stays === undefined ? '' : `md:sticky md:z-[1] bg-paper ${stays}`;

/**
 * A sheet of rows whose columns are data. A row behind the last takes new ones; Ctrl and minus deletes the chosen rows. Keys, ranges
 * and the clipboard are those of every sheet.
 */
export const DataSheet = <Row,>({
  label,
  heading,
  columns,
  rows,
  idOf,
  nameOf,
  blank,
  selected,
  onSelect,
  open,
  closed,
  onEdit,
  onDelete,
  noteOf,
  totals = NONE,
  out,
  takesFiles,
  toneOf,
  mark,
  empty,
}: Props<Row>) => {
  type Line = { readonly row: Row | undefined; readonly id: string };
  const lines: readonly Line[] = [
    ...rows.map((row): Line => ({ row, id: idOf(row) })),
    ...(open && blank !== undefined ? [{ row: undefined, id: blank }] : []),
  ];
  const textAt = ({ row }: Line, at: number): string => (row === undefined ? '' : (columns[at]?.text(row) ?? ''));
  const isOpen = (row: Row | undefined): boolean => open && (row === undefined || closed?.(row) !== true);
  const takes = ({ row }: Line, at: number): boolean => isOpen(row) && columns[at]?.takes === true;
  const first = Math.max(
    0,
    columns.findIndex((column) => column.takes),
  );
  const sheet = useSheet<Line, string>({
    rows: lines,
    idOf: ({ id }) => id,
    columns: columns.length,
    height: ROW,
    start: { row: 0, column: first },
    selected,
    onSelect: (id, chosen) => onSelect(id === blank ? undefined : id, chosen),
    takes,
    opens: (line, at, typed) => {
      if (columns[at]?.kind !== 'check') return takes(line, at);
      if (typed === undefined) turn(lines.indexOf(line), at);
      return false;
    },
    keys: (event) => {
      if (event.key === ' ' && columns[sheet.state.active.column]?.kind === 'check') {
        turn(sheet.state.active.row, sheet.state.active.column);
        return true;
      }
      if (!open || onDelete === undefined || event.key !== '-' || !(event.ctrlKey || event.metaKey)) return false;
      const { top, bottom } = sheet.range;
      const chosen = rows.slice(top, bottom + 1);
      if (chosen.length > 0) onDelete(chosen);
      return true;
    },
    empty: ({ top, bottom, left, right }) => {
      const edits = rows.slice(top, bottom + 1).flatMap((row, down) =>
        columns
          .slice(left, right + 1)
          .filter((column) => column.takes && isOpen(row))
          .map((column): CellEdit => ({ at: top + down, column: column.id, text: '', made: false })),
      );
      if (open && edits.length > 0) onEdit(edits);
    },
    copied: ({ top, bottom, left, right }) =>
      lines
        .slice(top, bottom + 1)
        .map((line) => Array.from({ length: right - left + 1 }, (_, at) => textAt(line, left + at)).join('\t'))
        .join('\n'),
    paste: (text, { top, bottom, left, right }) => {
      if (!open) return;
      const table = readClipboard(text);
      const [only] = table;
      const single = table.length === 1 && only?.length === 1;
      const edits = single
        ? Array.from({ length: bottom - top + 1 }, (_, down) =>
            columns.slice(left, right + 1).map((column) => ({ column, at: top + down, text: only[0] ?? '' })),
          ).flat()
        : table.flatMap((cells, down) =>
            cells.flatMap((cell, across) => {
              const column = columns[left + across];
              return column === undefined ? [] : [{ column, at: top + down, text: cell }];
            }),
          );
      onEdit(
        edits
          .filter(({ column, at }) => column.takes && (blank !== undefined || at < rows.length) && isOpen(rows[at]))
          .map(({ column, ...edit }) => ({ ...edit, column: column.id, made: false })),
      );
    },
  });
  /** Turns a check, and those that are chosen with it, to what it is not. */
  const turn = (row: number, column: number): void => {
    const [id, line] = [columns[column]?.id, lines[row]];
    const now = line === undefined ? '' : textAt(line, column);
    if (!open || id === undefined || now === '') return;
    const within = row >= sheet.range.top && row <= sheet.range.bottom;
    const places = within ? Array.from({ length: sheet.range.bottom - sheet.range.top + 1 }, (_, at) => sheet.range.top + at) : [row]; // prettier-ignore
    onEdit(
      places.flatMap((at) => {
        const one = lines[at];
        return one === undefined || textAt(one, column) === ''
          ? []
          : [{ at, column: id, text: now === 'yes' ? 'no' : 'yes', made: false }];
      }),
    );
  };
  const { active, typing } = sheet.state;
  const { top, bottom, left, right } = sheet.range;
  const template = columns.map(({ width }) => width).join(' ');
  const hasTotals = Object.keys(totals).length > 0;
  const printed = (): readonly PrintedRow[] => [
    ...rows.map((row) => ({ id: idOf(row), cells: columns.map((column) => column.text(row)) })),
    ...(hasTotals ? [{ id: 'total', kind: 'total' as const, cells: columns.map(({ id }) => totals[id] ?? '') }] : []),
  ];
  const keep = (at: number, column: string, text: string, made: boolean): void => {
    const line = lines[at];
    const place = columns.findIndex((one) => one.id === column);
    if (line === undefined || (!made && text === textAt(line, place))) return;
    onEdit([{ at, column, text, made }]);
  };
  return (
    <>
      {rows.length === 0 && <div className="no-print px-4 pb-2 text-sm">{empty}</div>}
      <div
        {...sheet.grid}
        role="grid"
        aria-label={label}
        aria-rowcount={lines.length + 1 + (hasTotals ? 1 : 0)}
        aria-colcount={columns.length}
        aria-multiselectable
        className="sheet no-print min-h-0 flex-1 overflow-auto"
      >
        <div className="min-w-max">
          <div
            role="row"
            aria-rowindex={1}
            className="sticky top-0 z-10 grid border-b border-ink bg-paper text-[0.78rem] font-semibold text-ink-2"
            style={{ gridTemplateColumns: template }}
          >
            {columns.map(({ id, label: name, kind, stays }, at) => (
              <span
                key={id}
                role="columnheader"
                className={`self-end px-2 py-1.5 ${at === 0 ? 'pl-4' : ''} ${kind === 'figure' ? 'text-right' : ''} ${standing(stays)}`}
              >
                {name}
              </span>
            ))}
          </div>
          <div role="rowgroup" className="relative" style={{ height: sheet.virtual.getTotalSize() }}>
            {sheet.virtual.getVirtualItems().map((item) => {
              const line = lines[item.index];
              if (line === undefined) return null;
              const inside = item.index >= top && item.index <= bottom;
              return (
                <div
                  key={line.id}
                  role="row"
                  data-row={line.row === undefined ? undefined : takesFiles?.(line.row)}
                  aria-rowindex={item.index + 2}
                  className={`absolute inset-x-0 grid border-b border-hairline text-[0.8125rem] ${item.index === active.row ? 'bg-madder-wash' : ''} ${line.row === undefined ? 'text-ink-2' : ''}`}
                  style={{
                    gridTemplateColumns: template,
                    height: ROW,
                    top: item.start,
                    // An open cell has its list over the rows below.
                    zIndex: item.index === active.row && typing !== undefined ? 5 : undefined,
                  }}
                >
                  {columns.map((column, at) => {
                    const here = item.index === active.row && at === active.column;
                    const chosen = inside && at >= left && at <= right;
                    const text = textAt(line, at);
                    const note = line.row === undefined ? undefined : noteOf?.(line.row, column.id);
                    return (
                      <span
                        key={column.id}
                        role="gridcell"
                        tabIndex={here ? 0 : -1}
                        aria-colindex={at + 1}
                        aria-selected={chosen}
                        aria-readonly={takes(line, at) ? undefined : true}
                        aria-invalid={note?.tone === 'wrong' ? true : undefined}
                        title={note?.says}
                        onMouseDown={(event) => {
                          if (here && typing !== undefined) return;
                          event.preventDefault();
                          press(event);
                          sheet.point({ row: item.index, column: at }, event.shiftKey);
                        }}
                        onMouseEnter={(event) =>
                          isDragged(event) && typing === undefined && sheet.point({ row: item.index, column: at }, true)
                        }
                        onDoubleClick={() => sheet.begin(undefined)}
                        className={`relative flex min-w-0 items-center px-2 ${at === 0 ? 'pl-4' : 'border-l border-hairline'} ${column.kind === 'figure' ? 'justify-end' : ''} ${standing(column.stays)} ${column.tone ?? ''} ${line.row === undefined ? '' : (toneOf?.(line.row) ?? '')} ${chosen && !(top === bottom && left === right) ? 'bg-madder-wash' : ''} ${note === undefined ? '' : note.tone === 'wrong' ? 'text-brick underline decoration-wavy underline-offset-4' : 'text-ochre'} ${here ? 'sheet-active' : ''}`}
                      >
                        {here && typing !== undefined ? (
                          column.kind === 'choice' && column.choices !== undefined ? (
                            <ChoiceEditor
                              choices={column.choices}
                              typed={typing.text}
                              standing={text}
                              label={`${column.label}, ${line.row === undefined || nameOf === undefined ? `row ${String(item.index + 1)}` : nameOf(line.row)}`}
                              makes={column.makes}
                              onCancel={sheet.close}
                              onKeep={(typed, leave, made) => {
                                keep(item.index, column.id, typed, made);
                                sheet.leave(leave);
                              }}
                            />
                          ) : (
                            <CellEditor
                              figures={column.kind === 'figure'}
                              initial={typing.text ?? text}
                              label={`${column.label}, ${line.row === undefined || nameOf === undefined ? `row ${String(item.index + 1)}` : nameOf(line.row)}`}
                              onDraft={nothing}
                              onCancel={sheet.close}
                              onKeep={(typed, leave) => {
                                keep(item.index, column.id, typed, false);
                                sheet.leave(leave);
                              }}
                            />
                          )
                        ) : (
                          <>
                            {column.kind === 'check' ? (
                              <input
                                type="checkbox"
                                className="checkbox checkbox-xs"
                                aria-label={`${column.label}, ${line.row === undefined || nameOf === undefined ? `row ${String(item.index + 1)}` : nameOf(line.row)}`}
                                // The sheet's keys turn it; the pointer presses it.
                                tabIndex={-1}
                                checked={text === 'yes'}
                                disabled={text === '' || !open}
                                onChange={() => turn(item.index, at)}
                              />
                            ) : (
                              <span
                                className="truncate"
                                title={note === undefined && text.length > LONG ? text : undefined}
                              >
                                {text}
                              </span>
                            )}
                            {at === 0 && line.row !== undefined && mark?.(line.row)}
                          </>
                        )}
                      </span>
                    );
                  })}
                </div>
              );
            })}
          </div>
          {hasTotals && (
            <div
              role="row"
              aria-rowindex={lines.length + 2}
              // Over the rows, and under the list of an open cell.
              className="sticky bottom-0 z-[4] grid border-t border-ink bg-paper text-[0.8125rem] font-semibold"
              style={{ gridTemplateColumns: template }}
            >
              {columns.map(({ id, kind, stays }, at) => (
                <span
                  key={id}
                  role="gridcell"
                  className={`px-2 py-1.5 whitespace-nowrap ${at === 0 ? 'pl-4' : ''} ${kind === 'figure' ? 'text-right' : ''} ${standing(stays)} ${out?.has(id) === true ? 'text-madder' : ''}`}
                >
                  {totals[id] ?? ''}
                </span>
              ))}
            </div>
          )}
        </div>
      </div>
      <PrintedSheet
        heading={heading}
        columns={columns.map(({ label: name, kind }) => ({ label: name, figures: kind === 'figure' }))}
        rows={printed}
      />
    </>
  );
};

const nothing = (): void => undefined;
