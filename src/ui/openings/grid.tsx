'use client';

import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual';
import {
  type CSSProperties,
  type ClipboardEvent,
  type KeyboardEvent,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
} from 'react';
import { toast } from 'sonner';
import type { FrameView } from '@/actions/frame/views';
import type { OpeningRowView } from '@/actions/openings/views';
import type { AccountId } from '@/core/chart/account';
import { normalSide } from '@/core/ledger/classes';
import type { Minor } from '@/core/money/minor';
import { takesForeign, writtenParts } from '@/core/openings/in-currency';
import {
  type SheetColumn,
  type SheetMoney,
  type SheetRow,
  columnOf,
  copiedRow,
  pastedCells,
  takesAmounts,
  typedCell,
} from '@/core/openings/sheet';
import { readClipboard } from '@/core/files/clipboard';
import { plural } from '@/core/base/result';
import { type Cell, cellAfter, clampedTo, rangeOf } from '../parts/cell-moves';
import { figure as write } from '../parts/figures';
import { CellEditor } from './cell-editor';
import type { Change, Figure, Figures } from './figures';
import { GridRow, HeaderRow, type Landing, NOBODY, ROW, TotalsRow, widthsOf } from './grid-row';

interface Selection {
  readonly active: Cell;
  readonly anchor: Cell;
}

interface GridProps {
  readonly frame: FrameView;
  readonly columns: readonly SheetColumn[];
  readonly rows: readonly OpeningRowView[];
  /** All rows, also those that a filter hides: a heading's subtotal is that of the chart. */
  readonly tree: readonly OpeningRowView[];
  readonly figures: Figures;
  readonly money: SheetMoney;
  readonly editable: boolean;
  readonly where: (row: OpeningRowView) => string;
  readonly before: (row: OpeningRowView) => Minor;
  readonly doubt: (row: OpeningRowView, figure: Figure) => string | undefined;
  readonly selected: AccountId | undefined;
  readonly onSelect: (account: AccountId | undefined) => void;
  readonly landing: Landing | undefined;
}

/** The keyboard grid (W3C grid pattern) of accounts by their amounts, with only the rows in sight in the page. */
export const OpeningsGrid = ({
  frame,
  columns,
  rows,
  tree,
  figures,
  money,
  editable,
  where,
  before,
  doubt,
  selected,
  onSelect,
  landing,
}: GridProps) => {
  const [debitAt, creditAt] = [columns.indexOf('debit'), columns.indexOf('credit')];
  const last: Cell = { row: rows.length - 1, column: columns.length - 1 };
  const scroller = useRef<HTMLDivElement>(null);
  const [focused, setFocused] = useState(false);
  const [editing, setEditing] = useState<{ readonly cell: Cell; readonly text: string } | undefined>();
  const [selection, setSelection] = useState<Selection>(() => {
    const at = rows.findIndex((row) => row.id === selected);
    const fallback = rows.findIndex((row) => !row.heading);
    const first = { row: at >= 0 ? at : Math.max(0, fallback), column: debitAt };
    return { active: first, anchor: first };
  });
  // A search may leave fewer rows than the selection was made on.
  const active = clampedTo(last, selection.active);
  const anchor = clampedTo(last, selection.anchor);
  const { top, bottom, left, right } = rangeOf(active, anchor);

  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 10,
    initialRect: { width: 900, height: 560 },
    rangeExtractor: (range) =>
      [...new Set([...defaultRangeExtractor(range), active.row])]
        .filter((at) => at < rows.length)
        .sort((a, b) => a - b),
  });

  const under = useMemo(() => accountsUnder(tree), [tree]);

  const go = (to: Cell, extend = false): void => {
    const cell = clampedTo(last, to);
    setEditing(undefined);
    setFocused(true);
    setSelection({ active: cell, anchor: extend ? anchor : cell });
    virtual.scrollToIndex(cell.row);
    onSelect(rows[cell.row]?.id);
  };

  // A link from elsewhere lands on the account's amount cell.
  useEffect(() => {
    const at = landing === undefined ? -1 : rows.findIndex((row) => row.id === landing.account);
    const amount = at < 0 ? null : (rows[at]?.amount ?? null);
    if (at >= 0) go({ row: at, column: amount !== null && columnOf(amount) === 'credit' ? creditAt : debitAt });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once per wish, not whenever rows change
  }, [landing]);

  const kindOf = useCallback(
    (row: OpeningRowView): SheetRow => ({
      currency: row.currency,
      foreign: takesForeign(row, frame.currency),
      normal: normalSide(row),
    }),
    [frame.currency],
  );

  const begin = (text: string | undefined): void => {
    const row = rows[active.row];
    const column = columns[active.column];
    if (!editable || row === undefined || row.heading || column === undefined || !takesAmounts(column)) return;
    if (column === 'foreign' && !kindOf(row).foreign) return;
    const standing = figures.get(row.id);
    const kept = standing.state === 'unreadable' && standing.typed?.column === column ? standing.typed.text : undefined;
    setEditing({ cell: active, text: text ?? kept ?? editedText(standing, column, frame) });
  };

  const commit = (text: string, then: Cell | undefined): void => {
    const row = rows[active.row];
    const column = columns[active.column];
    if (row !== undefined && column !== undefined && takesAmounts(column)) {
      const standing = figures.get(row.id);
      const read = typedCell(standing, kindOf(row), column, text, money);
      if (read.ok) {
        if (standing.state === 'unreadable') figures.forget(row.id);
        figures.put([{ account: row.id, ...read.value }]);
      } else figures.reject(row.id, { text, column }, read.problems[0]?.message ?? '');
    }
    if (then === undefined) {
      setEditing(undefined);
      figures.draft(row?.id ?? (0 as AccountId), undefined);
    } else go(then);
  };

  const draft = useCallback(
    (row: OpeningRowView, column: SheetColumn | undefined, text: string): void => {
      const read =
        column !== undefined && takesAmounts(column)
          ? typedCell(figures.get(row.id), kindOf(row), column, text, money)
          : undefined;
      figures.draft(row.id, read?.ok === true ? read.value.amount : undefined);
    },
    [figures, kindOf, money],
  );

  const chosenRows = (): readonly OpeningRowView[] => rows.slice(top, bottom + 1);
  const empty = (): void => {
    if (!editable) return;
    const chosen = new Set(columns.slice(left, right + 1));
    const changes = chosenRows().flatMap((row): Change[] => {
      const figure = figures.get(row.id);
      if (row.heading || figure.amount === null) return [];
      if (chosen.has(columnOf(figure.amount))) return [{ account: row.id, amount: null }];
      return chosen.has('foreign') && figure.parts.length > 0
        ? [{ account: row.id, amount: figure.amount, parts: [] }]
        : [];
    });
    for (const row of chosenRows()) if (figures.get(row.id).state === 'unreadable') figures.forget(row.id);
    figures.put(changes);
  };

  const copy = (event: ClipboardEvent): void => {
    if (editing !== undefined) return;
    event.clipboardData.setData(
      'text/plain',
      chosenRows()
        .map((row) =>
          copiedRow(
            { ...row, ...figures.get(row.id), before: before(row), where: where(row) },
            columns.slice(left, right + 1),
            frame.digits,
            frame.style,
          ),
        )
        .join('\n'),
    );
    event.preventDefault();
  };
  const paste = (event: ClipboardEvent): void => {
    if (editing !== undefined || !editable) return;
    event.preventDefault();
    const table = readClipboard(event.clipboardData.getData('text/plain'));
    // One copied row fills a chosen range; otherwise rows go one under another, headings being passed over.
    const targets = (table.length === 1 ? chosenRows() : rows.slice(top)).filter((row) => !row.heading);
    const sources =
      table.length === 1
        ? targets.map(() => table[0] ?? [])
        : table.filter((cells) => !(cells.length > 2 && cells.slice(2).every((cell) => cell === '') && left < debitAt));
    const from = columns[left] ?? 'debit';
    const changes: Change[] = [];
    let unread = 0;
    sources.forEach((cells, at) => {
      const row = targets[at];
      if (row === undefined) return;
      const read = pastedCells(figures.get(row.id), kindOf(row), cells, from, columns, money);
      if (read?.ok === true) changes.push({ account: row.id, ...read.value });
      else if (read !== undefined) {
        unread += 1;
        figures.reject(
          row.id,
          { text: cells.join(' ').trim(), column: takesAmounts(from) ? from : 'debit' },
          read.problems[0]?.message ?? '',
        );
      }
    });
    const over = Math.max(0, sources.length - targets.length);
    figures.put(changes);
    const said = [
      `${plural(changes.length, 'figure')} pasted`,
      ...(unread > 0 ? [`${plural(unread, 'cell')} did not read as amounts and are marked`] : []),
      ...(over > 0 ? [`${plural(over, 'row')} went beyond the last account and were left`] : []),
    ];
    toast(said.join('; '));
  };

  const press = (event: KeyboardEvent): void => {
    if (editing !== undefined) return;
    const control = event.ctrlKey || event.metaKey;
    const page = Math.max(1, Math.floor((scroller.current?.clientHeight ?? 400) / ROW) - 2);
    const to = cellAfter(event, active, last, page);
    if (to !== undefined) go(to, event.shiftKey);
    else if (control && event.key.toLowerCase() === 'z') {
      const changed = event.shiftKey ? figures.redo() : figures.undo();
      const at = rows.findIndex((one) => one.id === changed[0]?.account);
      if (at >= 0) go({ row: at, column: active.column });
    } else if (control && event.key.toLowerCase() === 'a')
      setSelection({ active: last, anchor: { row: 0, column: 0 } });
    else if (control) return;
    else if (event.key === 'Enter' || event.key === 'F2') begin(undefined);
    else if (event.key === 'Delete' || event.key === 'Backspace') empty();
    else if (event.key === 'Escape') setSelection({ active, anchor: active });
    else if (event.key.length === 1 && event.key !== '?' && event.key !== ' ' && !event.altKey) begin(event.key);
    else return;
    event.preventDefault();
  };

  const point = useCallback((cell: Cell, extend: boolean): void => {
    setFocused(true);
    setEditing(undefined);
    setSelection((was) => ({ active: cell, anchor: extend ? was.anchor : cell }));
  }, []);
  const pointed = rows[active.row]?.id;
  useEffect(() => {
    if (focused) onSelect(pointed);
  }, [focused, pointed, onSelect]);

  return (
    <div
      ref={scroller}
      role="grid"
      aria-label="Opening balances"
      aria-rowcount={rows.length + 2}
      aria-colcount={columns.length}
      aria-multiselectable
      className="min-h-0 flex-1 overflow-auto"
      style={{ '--columns': widthsOf(columns) } as CSSProperties}
      onKeyDown={press}
      onCopy={copy}
      onCut={(event) => {
        copy(event);
        empty();
      }}
      onPaste={paste}
    >
      <HeaderRow columns={columns} currency={frame.currency} />
      <div role="rowgroup" className="relative" style={{ height: virtual.getTotalSize() }}>
        {virtual.getVirtualItems().map((item) => {
          const row = rows[item.index];
          if (row === undefined) return null;
          const chosen = item.index >= top && item.index <= bottom;
          const here = item.index === active.row;
          return (
            <GridRow
              key={row.id}
              row={row}
              columns={columns}
              under={under.get(row.id) ?? NOBODY}
              at={item.index}
              start={item.start}
              figures={figures}
              frame={frame}
              where={where}
              before={before(row)}
              doubt={row.heading ? undefined : doubt(row, figures.get(row.id))}
              column={here ? active.column : -1}
              from={chosen ? left : -1}
              to={chosen ? right : -1}
              focused={focused && here}
              landing={here ? landing : undefined}
              onPoint={point}
              editor={
                editing?.cell.row === item.index && here ? (
                  <CellEditor
                    initial={editing.text}
                    label={`${row.code} ${row.name}, ${columns[active.column] === 'foreign' ? 'in currency' : (columns[active.column] ?? '')}`}
                    onDraft={(text) => draft(row, columns[active.column], text)}
                    onCancel={() => {
                      figures.draft(row.id, undefined);
                      setEditing(undefined);
                    }}
                    onKeep={(text, leave) => {
                      const { row: r, column: c } = active;
                      const first = columns.findIndex(takesAmounts);
                      commit(
                        text,
                        {
                          down: { row: r + 1, column: c },
                          up: { row: r - 1, column: c },
                          right: c === creditAt ? { row: r + 1, column: first } : { row: r, column: c + 1 },
                          left: { row: r, column: c - 1 },
                          stay: undefined,
                        }[leave],
                      );
                    }}
                  />
                ) : undefined
              }
              onEdit={() => begin(undefined)}
            />
          );
        })}
      </div>
      <TotalsRow columns={columns} figures={figures} frame={frame} rowIndex={rows.length + 2} />
    </div>
  );
};

/** What an opened cell shows to be changed. */
const editedText = (figure: Figure, column: SheetColumn, frame: FrameView): string => {
  if (column === 'foreign') return figure.parts.length === 1 ? writtenParts(figure, frame.style) : '';
  const shows = figure.amount !== null && columnOf(figure.amount) === column ? write(figure.amount, frame) : '';
  return shows === '·' ? '0' : shows;
};

/** The posting accounts under each heading, at any depth, of rows in the order of the chart. */
const accountsUnder = (rows: readonly OpeningRowView[]): ReadonlyMap<AccountId, readonly AccountId[]> => {
  const found = new Map<AccountId, AccountId[]>();
  const above: OpeningRowView[] = [];
  for (const row of rows) {
    while ((above.at(-1)?.depth ?? -1) >= row.depth) above.pop();
    if (row.heading) {
      above.push(row);
      found.set(row.id, []);
    } else for (const heading of above) found.get(heading.id)?.push(row.id);
  }
  return found;
};
