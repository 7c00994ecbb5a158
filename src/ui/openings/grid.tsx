'use client';

import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual';
import {
  type ClipboardEvent,
  type KeyboardEvent,
  memo,
  useCallback,
  useEffect,
  useMemo,
  useRef,
  useState,
  useSyncExternalStore,
} from 'react';
import { toast } from 'sonner';
import type { FrameView } from '@/actions/frame-view';
import type { OpeningRowView } from '@/actions/views';
import type { AccountId } from '@/core/chart/account';
import { readEntry } from '@/core/money/entry';
import { type Minor, NIL, type Side } from '@/core/money/minor';
import { type Totals, totalsOf } from '@/core/openings/level';
import { SHEET_COLUMNS, applyEntry, columnOf, copiedRow, readClipboard, readPastedRow } from '@/core/openings/sheet';
import { accountFault } from '@/core/proof/openings';
import { plural } from '@/core/result';
import { figure as write } from '../parts/figures';
import { CellEditor } from './cell-editor';
import type { Figures } from './figures';

const ROW = 30;
const LAST = SHEET_COLUMNS.length - 1;
const DEBIT = SHEET_COLUMNS.indexOf('debit');
const CREDIT = SHEET_COLUMNS.indexOf('credit');
const COLUMNS =
  'grid grid-cols-[3.6rem_minmax(7rem,1fr)_6.5rem_6.5rem] md:grid-cols-[5rem_minmax(10rem,1fr)_8.5rem_8.5rem_minmax(8rem,14rem)]';

interface Cell {
  readonly row: number;
  readonly column: number;
}

interface Selection {
  readonly active: Cell;
  readonly anchor: Cell;
}

interface GridProps {
  readonly frame: FrameView;
  readonly rows: readonly OpeningRowView[];
  /** All rows, also those that a filter hides: a heading's subtotal is that of the chart. */
  readonly tree: readonly OpeningRowView[];
  readonly figures: Figures;
  readonly editable: boolean;
  readonly where: (row: OpeningRowView) => string;
  /** Amounts in currency, written, by account. */
  readonly inCurrency: ReadonlyMap<number, string>;
  readonly selected: AccountId | undefined;
  readonly onSelect: (account: AccountId | undefined) => void;
  readonly landing: Landing | undefined;
}

/** A wish to stand on an account's amount; a new object each time, so that the same account can be asked for again. */
export interface Landing {
  readonly account: AccountId;
}

const sideAt = (column: number): Side | undefined =>
  column === DEBIT ? 'debit' : column === CREDIT ? 'credit' : undefined;

/** The keyboard grid (W3C grid pattern) of accounts by debit and credit, with only the rows in sight in the page. */
export const OpeningsGrid = ({
  frame,
  rows,
  tree,
  figures,
  editable,
  where,
  inCurrency,
  selected,
  onSelect,
  landing,
}: GridProps) => {
  const scroller = useRef<HTMLDivElement>(null);
  const [focused, setFocused] = useState(false);
  const [editing, setEditing] = useState<{ readonly cell: Cell; readonly text: string } | undefined>();
  const [selection, setSelection] = useState<Selection>(() => {
    const at = rows.findIndex((row) => row.id === selected);
    const first = {
      row:
        at >= 0
          ? at
          : Math.max(
              0,
              rows.findIndex((row) => !row.heading),
            ),
      column: DEBIT,
    };
    return { active: first, anchor: first };
  });
  // A search may leave fewer rows than the selection was made on.
  const clamp = (cell: Cell): Cell => ({
    row: Math.max(0, Math.min(rows.length - 1, cell.row)),
    column: Math.max(0, Math.min(LAST, cell.column)),
  });
  const active = clamp(selection.active);
  const anchor = clamp(selection.anchor);
  const [top, bottom] = [Math.min(active.row, anchor.row), Math.max(active.row, anchor.row)];
  const [left, right] = [Math.min(active.column, anchor.column), Math.max(active.column, anchor.column)];

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
  const currency = { code: frame.currency, digits: frame.digits };

  const go = (to: Cell, extend = false): void => {
    const cell = clamp(to);
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
    if (at >= 0) go({ row: at, column: amount !== null && columnOf(amount) === 'credit' ? CREDIT : DEBIT });
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once per wish, not whenever rows change
  }, [landing]);

  const begin = (text: string | undefined): void => {
    const row = rows[active.row];
    const side = sideAt(active.column);
    if (!editable || row === undefined || row.heading || side === undefined) return;
    const standing = figures.get(row.id);
    const kept = standing.state === 'unreadable' && standing.typed?.column === side ? standing.typed.text : undefined;
    const shows = standing.amount !== null && columnOf(standing.amount) === side ? write(standing.amount, frame) : '';
    setEditing({ cell: active, text: text ?? kept ?? (shows === '·' ? '0' : shows) });
  };

  const commit = (text: string, then: Cell | undefined): void => {
    const row = rows[active.row];
    const side = sideAt(active.column);
    if (row !== undefined && side !== undefined) {
      const read = readEntry(text, side, currency, frame.style);
      if (read.ok) {
        const standing = figures.get(row.id);
        if (standing.state === 'unreadable') figures.forget(row.id);
        figures.put([{ account: row.id, amount: applyEntry(standing.amount, side, read.value) }]);
      } else figures.reject(row.id, { text, column: side }, read.problems[0]?.message ?? '');
    }
    if (then === undefined) {
      setEditing(undefined);
      figures.draft(row?.id ?? (0 as AccountId), undefined);
    } else go(then);
  };

  const draft = useCallback(
    (account: AccountId, side: Side, text: string): void => {
      const read = readEntry(text, side, { code: frame.currency, digits: frame.digits }, frame.style);
      figures.draft(account, read.ok ? applyEntry(figures.get(account).amount, side, read.value) : undefined);
    },
    [figures, frame.currency, frame.digits, frame.style],
  );

  const chosenRows = (): readonly OpeningRowView[] => rows.slice(top, bottom + 1);
  const empty = (): void => {
    if (!editable) return;
    const columns = new Set([DEBIT, CREDIT].filter((column) => column >= left && column <= right));
    const changes = chosenRows().flatMap((row) => {
      const { amount } = figures.get(row.id);
      return row.heading || amount === null || !columns.has(columnOf(amount) === 'debit' ? DEBIT : CREDIT)
        ? []
        : [{ account: row.id, amount: null }];
    });
    for (const row of chosenRows()) if (figures.get(row.id).state === 'unreadable') figures.forget(row.id);
    figures.put(changes);
  };

  const copy = (event: ClipboardEvent): void => {
    if (editing !== undefined) return;
    const columns = SHEET_COLUMNS.slice(left, right + 1);
    event.clipboardData.setData(
      'text/plain',
      chosenRows()
        .map((row) =>
          copiedRow(
            { ...row, where: where(row), amount: figures.get(row.id).amount },
            columns,
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
        : table.filter((cells) => !(cells.length > 2 && cells.slice(2).every((cell) => cell === '') && left < DEBIT));
    const from = SHEET_COLUMNS[left] ?? 'debit';
    const changes: { account: AccountId; amount: Minor | null }[] = [];
    let unread = 0;
    sources.forEach((cells, at) => {
      const row = targets[at];
      const read = row === undefined ? undefined : readPastedRow(cells, from, currency, frame.style);
      if (row === undefined || read === undefined) return;
      if (read.ok) changes.push({ account: row.id, amount: read.value });
      else {
        unread += 1;
        figures.reject(
          row.id,
          { text: cells.join(' ').trim(), column: sideAt(left) ?? 'debit' },
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
    const { row, column } = active;
    const page = Math.max(1, Math.floor((scroller.current?.clientHeight ?? 400) / ROW) - 2);
    const to = ((): Cell | undefined => {
      switch (event.key) {
        case 'ArrowDown':
          return { row: control ? rows.length - 1 : row + 1, column };
        case 'ArrowUp':
          return { row: control ? 0 : row - 1, column };
        case 'ArrowRight':
          return { row, column: control ? LAST : column + 1 };
        case 'ArrowLeft':
          return { row, column: control ? 0 : column - 1 };
        case 'Home':
          return { row: control ? 0 : row, column: 0 };
        case 'End':
          return { row: control ? rows.length - 1 : row, column: LAST };
        case 'PageDown':
          return { row: row + page, column };
        case 'PageUp':
          return { row: row - page, column };
        default:
          return undefined;
      }
    })();
    if (to !== undefined) go(to, event.shiftKey);
    else if (control && event.key.toLowerCase() === 'z') {
      const changed = event.shiftKey ? figures.redo() : figures.undo();
      const at = rows.findIndex((one) => one.id === changed[0]?.account);
      if (at >= 0) go({ row: at, column });
    } else if (control && event.key.toLowerCase() === 'a')
      setSelection({ active: { row: rows.length - 1, column: LAST }, anchor: { row: 0, column: 0 } });
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
      aria-colcount={LAST + 1}
      aria-multiselectable
      className="min-h-0 flex-1 overflow-auto"
      onKeyDown={press}
      onCopy={copy}
      onCut={(event) => {
        copy(event);
        empty();
      }}
      onPaste={paste}
    >
      <div
        role="row"
        aria-rowindex={1}
        className={`${COLUMNS} sticky top-0 z-20 border-b border-ink bg-paper text-[0.78rem] font-semibold text-ink-2`}
      >
        <span role="columnheader" className="py-1.5 pl-4">
          Code
        </span>
        <span role="columnheader" className="py-1.5">
          Account
        </span>
        <span role="columnheader" className="px-2 py-1.5 text-right">
          Debit {frame.currency}
        </span>
        <span role="columnheader" className="px-2 py-1.5 text-right">
          Credit {frame.currency}
        </span>
        <span role="columnheader" className="px-3 py-1.5 max-md:hidden">
          Where from
        </span>
      </div>
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
              under={under.get(row.id) ?? NOBODY}
              at={item.index}
              start={item.start}
              figures={figures}
              frame={frame}
              where={where}
              inCurrency={inCurrency.get(row.id)}
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
                    label={`${row.code} ${row.name}, ${SHEET_COLUMNS[active.column] ?? ''}`}
                    onDraft={(text) => draft(row.id, sideAt(active.column) ?? 'debit', text)}
                    onCancel={() => {
                      figures.draft(row.id, undefined);
                      setEditing(undefined);
                    }}
                    onKeep={(text, leave) => {
                      const { row: r, column: c } = active;
                      commit(
                        text,
                        {
                          down: { row: r + 1, column: c },
                          up: { row: r - 1, column: c },
                          right: c === CREDIT ? { row: r + 1, column: DEBIT } : { row: r, column: c + 1 },
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
      <TotalsRow figures={figures} frame={frame} rowIndex={rows.length + 2} />
    </div>
  );
};

interface RowProps {
  readonly row: OpeningRowView;
  /** The posting accounts under a heading, at any depth. */
  readonly under: readonly AccountId[];
  readonly at: number;
  readonly start: number;
  readonly figures: Figures;
  readonly frame: FrameView;
  readonly where: (row: OpeningRowView) => string;
  readonly inCurrency: string | undefined;
  readonly column: number;
  readonly from: number;
  readonly to: number;
  readonly focused: boolean;
  readonly landing: Landing | undefined;
  readonly editor: React.ReactNode;
  readonly onPoint: (cell: Cell, extend: boolean) => void;
  readonly onEdit: () => void;
}

const NOBODY: readonly AccountId[] = [];

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

/** What the accounts come to on each side; anew after each kept change, not while somebody types. */
const useSubtotal = (figures: Figures, accounts: readonly AccountId[]): Totals | undefined => {
  const version = useSyncExternalStore(figures.watch, figures.version, figures.version);
  return useMemo(
    () => (accounts.length === 0 ? undefined : totalsOf(accounts.map((id) => figures.get(id).amount ?? NIL))),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the version tells of changed figures
    [figures, accounts, version],
  );
};

/** Rows are equal while nothing of theirs changed; the callbacks that differ each time matter only to the active row. */
const sameRow = (a: RowProps, b: RowProps): boolean =>
  a.column < 0 &&
  b.column < 0 &&
  a.row === b.row &&
  a.under === b.under &&
  a.at === b.at &&
  a.start === b.start &&
  a.from === b.from &&
  a.to === b.to &&
  a.inCurrency === b.inCurrency &&
  a.frame === b.frame &&
  a.figures === b.figures;

const GridRow = memo(
  ({
    row,
    under,
    at,
    start,
    figures,
    frame,
    where,
    inCurrency,
    column,
    from,
    to,
    focused,
    landing,
    editor,
    onPoint,
    onEdit,
  }: RowProps) => {
    const figure = useSyncExternalStore(
      (listener) => figures.subscribe(row.id, listener),
      () => figures.get(row.id),
      () => figures.get(row.id),
    );
    const activeCell = useRef<HTMLDivElement>(null);
    useEffect(() => {
      if (focused && editor === undefined) activeCell.current?.focus({ preventScroll: true });
    }, [focused, editor, column, landing]);
    const fault = figure.amount === null ? undefined : accountFault(row, figure.amount, frame.atYearStart);
    const shows = (side: Side): string => {
      if (figure.state === 'unreadable' && figure.typed?.column === side) return figure.typed.text;
      return figure.amount !== null && columnOf(figure.amount) === side ? write(figure.amount, frame) : '';
    };
    const cells = [row.code, row.name, row.heading ? '' : shows('debit'), row.heading ? '' : shows('credit'), ''];
    const subtotal = useSubtotal(figures, row.heading ? under : NOBODY);
    const wrong = figure.state === 'failed' || figure.state === 'clash' || figure.state === 'unreadable';
    return (
      <div
        role="row"
        aria-rowindex={at + 2}
        className={`${COLUMNS} absolute inset-x-0 border-b border-hairline text-[0.8125rem] ${row.heading ? 'bg-paper-2 font-semibold' : ''} ${column >= 0 ? 'bg-madder-wash' : ''}`}
        style={{ height: ROW, transform: `translateY(${String(start)}px)` }}
      >
        {cells.map((text, index) => {
          const here = index === column;
          const chosen = index >= from && index <= to;
          const amount = index === DEBIT || index === CREDIT;
          return (
            <div
              key={index}
              role="gridcell"
              ref={here ? activeCell : undefined}
              tabIndex={here ? 0 : -1}
              aria-colindex={index + 1}
              aria-selected={chosen}
              aria-invalid={wrong && amount && text !== '' ? true : undefined}
              aria-readonly={!amount || row.heading ? true : undefined}
              onMouseDown={(event) => {
                if (here && editor !== undefined) return;
                event.preventDefault();
                onPoint({ row: at, column: index }, event.shiftKey);
              }}
              onMouseEnter={(event) =>
                event.buttons === 1 && editor === undefined && onPoint({ row: at, column: index }, true)
              }
              onDoubleClick={onEdit}
              className={`relative flex min-w-0 items-center outline-offset-[-2px] ${index === 0 ? 'pl-4 text-ink-2 font-normal' : ''} ${amount ? 'justify-end border-l border-hairline px-2' : ''} ${index === LAST ? 'border-l border-hairline px-3 max-md:hidden' : ''} ${chosen && from !== to ? 'bg-madder-wash' : ''} ${here ? 'outline-2 outline-madder' : ''} ${amount && wrong ? 'text-brick' : ''}`}
            >
              {here && editor !== undefined ? (
                editor
              ) : index === LAST ? (
                <span className="truncate text-xs text-ink-2">
                  {wrong ? (
                    <span className="font-medium text-brick">
                      ▲{' '}
                      {figure.state === 'clash'
                        ? 'changed by somebody else'
                        : figure.state === 'failed'
                          ? 'not saved'
                          : 'not an amount'}{' '}
                    </span>
                  ) : fault !== undefined ? (
                    <span className="font-medium text-ochre">▲ {fault.says} </span>
                  ) : null}
                  {where(row)}
                </span>
              ) : (
                <span
                  className="truncate"
                  title={index === 1 ? text : undefined}
                  style={index === 1 ? { paddingLeft: `${String(row.depth * 0.9)}rem` } : undefined}
                >
                  {row.heading && amount && subtotal !== undefined ? (
                    <span className="font-normal text-ink-2">
                      {index === DEBIT && subtotal.debits !== 0n ? write(subtotal.debits, frame) : ''}
                      {index === CREDIT && subtotal.credits !== 0n ? write(subtotal.credits, frame) : ''}
                    </span>
                  ) : (
                    text
                  )}
                  {index === 1 && inCurrency !== undefined && (
                    <span className="ml-2 text-xs font-normal text-ink-2">{inCurrency}</span>
                  )}
                  {index === 1 && !row.active && <span className="ml-2 text-xs font-normal text-ink-2">inactive</span>}
                  {index === 1 && (wrong || fault !== undefined) && (
                    <span className="ml-1.5 text-ochre md:hidden" aria-hidden>
                      ▲
                    </span>
                  )}
                </span>
              )}
            </div>
          );
        })}
      </div>
    );
  },
  sameRow,
);
GridRow.displayName = 'GridRow';

const TotalsRow = ({
  figures,
  frame,
  rowIndex,
}: {
  readonly figures: Figures;
  readonly frame: FrameView;
  readonly rowIndex: number;
}) => {
  const { debits, credits } = useSyncExternalStore(figures.watch, figures.totals, figures.totals);
  return (
    <div
      role="row"
      aria-rowindex={rowIndex}
      className={`${COLUMNS} sticky bottom-0 z-10 border-t border-ink bg-paper pb-1 text-[0.8125rem] font-semibold`}
    >
      <span role="gridcell" className="py-1.5 pl-4" />
      <span role="gridcell" className="py-1.5">
        Totals
      </span>
      <span role="gridcell" className="border-b-[3px] border-double border-ink px-2 py-1.5 text-right">
        {write(debits, frame)}
      </span>
      <span role="gridcell" className="border-b-[3px] border-double border-ink px-2 py-1.5 text-right">
        {write(credits, frame)}
      </span>
      <span role="gridcell" className="max-md:hidden" />
    </div>
  );
};
