'use client';

import { DndContext, type DragEndEvent, PointerSensor, pointerWithin, useSensor, useSensors } from '@dnd-kit/core';
import { defaultRangeExtractor, useVirtualizer } from '@tanstack/react-virtual';
import { type ClipboardEvent, type KeyboardEvent, useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { toast } from 'sonner';
import type { FrameView } from '@/actions/frame/views';
import { type Account, type AccountFields, type AccountId, called, chartIndex } from '@/core/chart/account';
import { ACCOUNT_TYPES, type AccountType, typeOf } from '@/core/ledger/classes';
import { type ChartEdit, change } from '@/core/chart/edit';
import { indent, moveUnder, outdent, topmost } from '@/core/chart/regroup';
import { codeQuestions } from '@/core/chart/scheme';
import type { ChartSettings } from '@/core/chart/settings';
import {
  CHART_SHEET_COLUMNS,
  CHART_SHEET_LABELS,
  type ChartSheetColumn,
  cellText,
  pasteEdits,
  readCell,
  searchText,
  unfolded,
} from '@/core/chart/sheet';
import { inTreeOrder } from '@/core/chart/tree';
import type { Minor } from '@/core/money/minor';
import { readClipboard } from '@/core/files/clipboard';
import { folded } from '@/core/base/table';
import { type Result, plural } from '@/core/base/result';
import { type Cell, cellAfter, clampedTo, rangeOf } from '../parts/cell-moves';
import { sided } from '../parts/figures';
import { useUndoKeys } from '../parts/undo-keys';
import { ChartCellEditor } from './chart-cell-editor';
import { ChartRow, ROW } from './chart-row';
import type { ChartStore } from './chart-store';

const EDITABLE: ReadonlySet<ChartSheetColumn> = new Set(['code', 'name', 'line', 'side', 'currency', 'role', 'state']);

interface Props {
  readonly frame: FrameView;
  readonly store: ChartStore;
  readonly accounts: readonly Account[];
  readonly amounts: ReadonlyMap<AccountId, Minor | null>;
  readonly currencies: readonly string[];
  readonly settings: ChartSettings;
  readonly selected: AccountId | undefined;
  readonly onSelect: (id: AccountId | undefined) => void;
  readonly onAdd: () => void;
}

/** The keyboard tree grid (W3C treegrid pattern) of the chart, with only the rows in sight in the page. */
export const ChartGrid = ({
  frame,
  store,
  accounts,
  amounts,
  currencies,
  settings,
  selected,
  onSelect,
  onAdd,
}: Props) => {
  const scroller = useRef<HTMLDivElement>(null);
  const [wanted, setWanted] = useState('');
  const [type, setType] = useState<AccountType | ''>('');
  const [show, setShow] = useState<'all' | 'active' | 'inactive' | 'questions' | 'notes'>('all');
  const [sort, setSort] = useState<'tree' | 'name' | 'balance'>('tree');
  const [closed, setClosed] = useState<ReadonlySet<AccountId>>(new Set());
  const [cut, setCut] = useState<readonly AccountId[]>([]);
  const [editing, setEditing] = useState<{ readonly id: AccountId; readonly text: string | undefined } | undefined>();
  const [focused, setFocused] = useState(false);
  const [selection, setSelection] = useState<{ readonly active: Cell; readonly anchor: Cell }>({
    active: { row: 0, column: 1 },
    anchor: { row: 0, column: 1 },
  });
  const columns = useMemo(
    () => CHART_SHEET_COLUMNS.filter((column) => column !== 'code' || settings.codesShown),
    [settings.codesShown],
  );
  const index = useMemo(() => chartIndex(accounts), [accounts]);
  const tree = useMemo(() => inTreeOrder(accounts), [accounts]);
  const sought = folded(wanted);
  const sifted = sought !== '' || type !== '' || show !== 'all' || sort !== 'tree';
  const rows = useMemo(() => {
    if (!sifted) return unfolded(tree, closed);
    const found = tree.filter(
      ({ account }) =>
        (sought === '' || searchText(account).includes(sought)) &&
        (type === '' || typeOf(account.classification) === type) &&
        (show === 'all' ||
          (show === 'active' && account.active) ||
          (show === 'inactive' && !account.active) ||
          (show === 'notes' && account.note !== '') ||
          (show === 'questions' && codeQuestions(settings.scheme, account, index).length > 0)),
    );
    if (sort === 'name') return [...found].sort((a, b) => a.account.name.localeCompare(b.account.name, 'en'));
    const size = (id: AccountId): bigint => {
      const amount = amounts.get(id) ?? 0n;
      return amount < 0n ? -amount : amount;
    };
    if (sort === 'balance')
      return [...found].sort((a, b) => {
        const [one, two] = [size(a.account.id), size(b.account.id)];
        return one === two ? 0 : one > two ? -1 : 1;
      });
    return found;
  }, [sifted, tree, closed, sought, type, show, sort, settings.scheme, index, amounts]);

  const last: Cell = { row: rows.length - 1, column: columns.length - 1 };
  // The chosen account stays chosen when the rows around it move; a position counts only where its account is gone.
  const [kept, setKept] = useState<AccountId | undefined>(selected);
  const place = kept === undefined ? -1 : rows.findIndex(({ account }) => account.id === kept);
  const spread = selection.anchor.row - selection.active.row;
  const active = clampedTo(last, place >= 0 ? { row: place, column: selection.active.column } : selection.active);
  const anchor = clampedTo(
    last,
    spread === 0 ? { ...selection.anchor, row: active.row } : { ...selection.anchor, row: active.row + spread },
  );
  const { top, bottom, left, right } = rangeOf(active, anchor);
  const column = columns[active.column] ?? 'name';

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

  const go = (to: Cell, extend = false): void => {
    const cell = clampedTo(last, to);
    setEditing(undefined);
    setFocused(true);
    setSelection({ active: cell, anchor: extend ? anchor : cell });
    virtual.scrollToIndex(cell.row);
    const id = rows[cell.row]?.account.id;
    setKept(id);
    onSelect(id);
  };
  const point = useCallback(
    (row: number, at: number, id: AccountId, extend: boolean): void => {
      setFocused(true);
      setEditing(undefined);
      setSelection((was) => ({ active: { row, column: at }, anchor: extend ? was.anchor : { row, column: at } }));
      setKept(id);
      onSelect(id);
    },
    [onSelect],
  );
  const toggle = useCallback((id: AccountId): void => {
    setClosed((was) => {
      const next = new Set(was);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  }, []);

  const chosen = (): readonly Account[] => rows.slice(top, bottom + 1).map(({ account }) => account);
  const currentRow = rows[active.row]?.account;

  const regroup = (made: Result<readonly ChartEdit[]>): void => {
    if (!made.ok) {
      store.say(made.problems);
      return;
    }
    store.edit(made.value);
  };
  const begin = (text: string | undefined): void => {
    if (currentRow === undefined || !EDITABLE.has(column)) return;
    if (currentRow.heading && (column === 'side' || column === 'currency' || column === 'role')) return;
    setEditing({ id: currentRow.id, text });
  };
  const commit = (text: string, then: Cell | undefined): void => {
    const read = currentRow === undefined ? undefined : readCell(currentRow, column, text, frame.currency);
    if (read?.ok === false) store.say(read.problems);
    if (read?.ok === true && currentRow !== undefined) {
      // A chosen range of rows takes a choice together; a code or a name is one account's own.
      const targets =
        column === 'code' || column === 'name'
          ? [currentRow]
          : chosen().filter((one) => !one.heading || column === 'line');
      store.edit(
        targets.flatMap((one) => {
          const own = readCell(one, column, text, frame.currency);
          const is: Partial<AccountFields> = own?.ok === true ? own.value : {};
          const real = (Object.keys(is) as (keyof AccountFields)[]).filter((field) => is[field] !== one[field]);
          return real.length === 0 ? [] : [change(one, is)];
        }),
      );
    }
    if (then === undefined) setEditing(undefined);
    else go(then);
  };

  const cutRows = (): void => {
    const ids = topmost(
      accounts,
      chosen().map(({ id }) => id),
    );
    setCut(ids);
    toast(
      `${plural(ids.length, 'row')} cut; Ctrl+V puts ${ids.length === 1 ? 'it' : 'them'} under the heading of the cell`,
    );
  };
  const putCut = (): void => {
    const target = currentRow === undefined ? null : currentRow.heading ? currentRow.id : currentRow.parent;
    regroup(moveUnder(accounts, cut, target));
    setCut([]);
  };
  const remove = (): void => {
    store.edit(chosen().map(({ id }): ChartEdit => ({ kind: 'remove', id })));
  };

  const copy = (event: ClipboardEvent): void => {
    if (editing !== undefined) return;
    const clean = (text: string): string => text.replace(/[\t\r\n]+/g, ' ');
    const shown = columns.slice(left, right + 1);
    event.clipboardData.setData(
      'text/plain',
      chosen()
        .map((account) =>
          shown
            .map((one) =>
              clean(
                one === 'balance'
                  ? sided(amounts.get(account.id) ?? (0n as Minor), frame)
                  : cellText(account, one, frame.currency),
              ),
            )
            .join('\t'),
        )
        .join('\n'),
    );
    event.preventDefault();
  };
  const paste = (event: ClipboardEvent): void => {
    if (editing !== undefined) return;
    event.preventDefault();
    if (cut.length > 0) {
      putCut();
      return;
    }
    const block = readClipboard(event.clipboardData.getData('text/plain'));
    const { edits, problems } = pasteEdits(
      rows.slice(top).map(({ account }) => account),
      bottom - top + 1,
      columns[left] ?? 'name',
      block,
      frame.currency,
      columns,
    );
    if (!store.edit(edits)) return;
    if (problems.length > 0) store.say(problems);
    toast(`${plural(edits.length, 'account')} changed by pasting`);
  };

  useUndoKeys({
    undo: () => void store.undo(),
    redo: () => void store.redo(),
    typing: () => editing !== undefined || /^(INPUT|TEXTAREA|SELECT)$/.test(document.activeElement?.tagName ?? ''),
  });

  const press = (event: KeyboardEvent): void => {
    if (editing !== undefined) return;
    const control = event.ctrlKey || event.metaKey;
    const sheet = Math.max(1, Math.floor((scroller.current?.clientHeight ?? 400) / ROW) - 2);
    const ids = chosen().map(({ id }) => id);
    if (event.altKey && event.key === 'ArrowRight') regroup(indent(accounts, ids));
    else if (event.altKey && event.key === 'ArrowLeft') regroup(outdent(accounts, ids));
    else if (event.altKey && event.key.toLowerCase() === 'n') onAdd();
    else if (event.altKey) return;
    else {
      const to = cellAfter(event, active, last, sheet);
      if (to !== undefined) go(to, event.shiftKey);
      else if (control && event.key.toLowerCase() === 'x') {
        cutRows();
        return; // The browser's own cut event copies the cells.
      } else if (control && event.key.toLowerCase() === 'a')
        setSelection({ active: last, anchor: { row: 0, column: 0 } });
      else if (control) return;
      else if (event.key === 'Enter' || event.key === 'F2') begin(undefined);
      else if (event.key === ' ') {
        if (currentRow?.heading === true) toggle(currentRow.id);
      } else if (event.key === 'Delete' || event.key === 'Backspace') remove();
      else if (event.key === 'Escape') {
        setCut([]);
        setSelection({ active, anchor: active });
      } else if (event.key.length === 1 && event.key !== '?' && (column === 'code' || column === 'name'))
        begin(event.key);
      else return;
    }
    event.preventDefault();
  };

  // A link from elsewhere, or a new account, is shown where it stands.
  useEffect(() => {
    if (selected === undefined || selected === kept) return;
    const at = rows.findIndex(({ account }) => account.id === selected);
    if (at >= 0) virtual.scrollToIndex(at);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once per wish, not whenever rows change
  }, [selected]);

  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 8 } }));
  const drop = ({ active: dragged, over }: DragEndEvent): void => {
    if (over === null) return;
    const id = Number(dragged.id) as AccountId;
    const onto = index.byId.get(Number(over.id) as AccountId);
    if (onto === undefined || onto.id === id) return;
    const ids = chosen().some((one) => one.id === id) ? chosen().map((one) => one.id) : [id];
    regroup(moveUnder(accounts, ids, onto.heading ? onto.id : onto.parent));
  };

  const cutSet = useMemo(() => new Set(cut), [cut]);
  return (
    <>
      <div className="no-print flex flex-wrap items-center gap-x-3 gap-y-1.5 px-4 py-2 text-sm">
        <input
          type="search"
          aria-label="Find in the chart"
          placeholder="Find a code, name, role or note"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
          className="input input-sm w-56"
        />
        <select
          aria-label="Type"
          value={type}
          onChange={(event) => setType(event.target.value as AccountType | '')}
          className="select select-sm w-auto"
        >
          <option value="">every type</option>
          {ACCOUNT_TYPES.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
        <select
          aria-label="Which accounts"
          value={show}
          onChange={(event) => setShow(event.target.value as typeof show)}
          className="select select-sm w-auto"
        >
          <option value="all">all accounts</option>
          <option value="active">active</option>
          <option value="inactive">inactive</option>
          <option value="notes">with a note</option>
          <option value="questions">with a questionable code</option>
        </select>
        <select
          aria-label="Order"
          value={sort}
          onChange={(event) => setSort(event.target.value as typeof sort)}
          className="select select-sm w-auto"
        >
          <option value="tree">as a tree</option>
          <option value="name">by name</option>
          <option value="balance">by balance</option>
        </select>
        <span className="note" role="status">
          {sifted ? `${String(rows.length)} found` : bottom > top ? `${String(bottom - top + 1)} rows chosen` : ''}
          {cut.length > 0 ? ` ${plural(cut.length, 'row')} cut` : ''}
        </span>
      </div>
      <DndContext
        sensors={sensors}
        collisionDetection={pointerWithin}
        onDragEnd={drop}
        accessibility={{
          screenReaderInstructions: { draggable: 'Move rows with Alt and the arrow keys, or cut and paste them.' },
        }}
      >
        <div
          ref={scroller}
          role="treegrid"
          aria-label="Chart of accounts"
          aria-rowcount={rows.length + 1}
          aria-colcount={columns.length}
          aria-multiselectable
          className="min-h-0 flex-1 overflow-auto"
          onKeyDown={press}
          onDoubleClick={() => begin(undefined)}
          onCopy={copy}
          onCut={copy}
          onPaste={paste}
        >
          <div
            role="row"
            aria-rowindex={1}
            className={`chart-row ${settings.codesShown ? '' : 'chart-row-bare'} sticky top-0 z-20 border-b border-ink bg-paper px-4 text-[0.78rem] font-semibold text-ink-2`}
          >
            {columns.map((one) => (
              <span
                key={one}
                role="columnheader"
                className={`py-1.5 ${one === 'balance' ? 'text-right' : ''} ${one === 'code' || one === 'name' ? '' : 'pl-2'} ${one === 'code' || one === 'name' || one === 'balance' ? '' : 'max-md:hidden'}`}
              >
                {CHART_SHEET_LABELS[one]}
                {one === 'balance' ? ` ${frame.currency}` : ''}
              </span>
            ))}
          </div>
          <div role="rowgroup" className="relative" style={{ height: virtual.getTotalSize() }}>
            {virtual.getVirtualItems().map((item) => {
              const row = rows[item.index];
              if (row === undefined) return null;
              const here = item.index === active.row;
              const inside = item.index >= top && item.index <= bottom;
              return (
                <ChartRow
                  key={row.account.id}
                  account={row.account}
                  depth={sort === 'tree' ? row.depth : 0}
                  at={item.index}
                  start={item.start}
                  columns={columns}
                  amount={amounts.get(row.account.id) ?? null}
                  frame={frame}
                  bare={!settings.codesShown}
                  question={
                    row.account.heading ? '' : (codeQuestions(settings.scheme, row.account, index)[0]?.message ?? '')
                  }
                  expanded={row.account.heading ? !closed.has(row.account.id) : undefined}
                  cut={cutSet.has(row.account.id)}
                  column={here ? active.column : -1}
                  from={inside ? left : -1}
                  to={inside ? right : -1}
                  focused={focused && here}
                  onPoint={point}
                  onToggle={toggle}
                  editor={
                    editing?.id === row.account.id && here ? (
                      <ChartCellEditor
                        column={column}
                        account={row.account}
                        text={editing.text}
                        base={frame.currency}
                        currencies={currencies}
                        parts={frame.parts}
                        parentType={row.account.parent === null ? undefined : typeOf(row.account.classification)}
                        label={`${called(row.account)}, ${CHART_SHEET_LABELS[column]}`}
                        onCancel={() => setEditing(undefined)}
                        onKeep={(text, leave) =>
                          commit(
                            text,
                            {
                              down: { row: active.row + 1, column: active.column },
                              up: { row: active.row - 1, column: active.column },
                              right: { row: active.row, column: active.column + 1 },
                              left: { row: active.row, column: active.column - 1 },
                              stay: undefined,
                            }[leave],
                          )
                        }
                      />
                    ) : undefined
                  }
                />
              );
            })}
          </div>
        </div>
      </DndContext>
    </>
  );
};
