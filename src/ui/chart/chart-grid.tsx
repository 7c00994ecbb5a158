'use client';

import { type Currency } from '@/core/money/currency';
import { DndContext, type DragEndEvent, PointerSensor, pointerWithin, useSensor, useSensors } from '@dnd-kit/core';
import { type KeyboardEvent, useCallback, useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import type { FrameView } from '@/actions/frame/views';
import { type Account, type AccountFields, type AccountId, called, chartIndex } from '@/core/chart/account';
import { typeOf } from '@/core/ledger/classes';
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
  unfolded,
} from '@/core/chart/sheet';
import { inTreeOrder } from '@/core/chart/tree';
import { type Minor, NIL } from '@/core/money/minor';
import { readClipboard } from '@/core/files/clipboard';
import { type Result, plural } from '@/core/base/result';
import { sided } from '../parts/figures';
import { isTyping, useUndoKeys } from '../parts/undo-keys';
import { useLastChange } from '../parts/use-last-change';
import { useMatches } from '../parts/use-matches';
import type { Range } from '../sheet/cells';
import { PrintedSheet } from '../sheet/printed-sheet';
import { useSheet } from '../sheet/use-sheet';
import { ChartCellEditor } from './chart-cell-editor';
import { ChartFilters, EVERYTHING, type Sift, isSifted, siftedRows } from './chart-filters';
import { ChartRow, LEFT_OUT, LEFT_OUT_ON_PHONES, ROW, hiddenWhere } from './chart-row';
import type { ChartStore } from './chart-store';

const EDITABLE: ReadonlySet<ChartSheetColumn> = new Set(['code', 'name', 'line', 'side', 'currency', 'role', 'state']);

interface Props {
  readonly frame: FrameView;
  readonly store: ChartStore;
  readonly accounts: readonly Account[];
  readonly amounts: ReadonlyMap<AccountId, Minor | null>;
  readonly currencies: readonly Currency[];
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
  // Whoever may only look moves about, finds and copies.
  const open = frame.may.includes('chart.change');
  const [sift, setSift] = useState<Sift>(EVERYTHING);
  const [closed, setClosed] = useState<ReadonlySet<AccountId>>(new Set());
  const [cut, setCut] = useState<readonly AccountId[]>([]);
  const all = useMemo(
    () => CHART_SHEET_COLUMNS.filter((column) => column !== 'code' || settings.codesShown),
    [settings.codesShown],
  );
  // What has no room is no place to go to either.
  const [narrow, phone] = [useMatches('(width < 80rem)'), useMatches('(width < 48rem)')];
  const columns = useMemo(
    () => all.filter((column) => (phone ? !LEFT_OUT_ON_PHONES.has(column) : !narrow || !LEFT_OUT.has(column))),
    [all, narrow, phone],
  );
  const index = useMemo(() => chartIndex(accounts), [accounts]);
  const tree = useMemo(() => inTreeOrder(accounts), [accounts]);
  const sifted = isSifted(sift);
  const rows = useMemo(
    () =>
      sifted
        ? siftedRows(tree, sift, amounts, (account) => codeQuestions(settings.scheme, account, index).length > 0)
        : unfolded(tree, closed),
    [sifted, sift, tree, closed, settings.scheme, index, amounts],
  );

  const toggle = useCallback((id: AccountId): void => {
    setClosed((was) => {
      const next = new Set(was);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  }, []);

  const accountsIn = ({ top, bottom }: Pick<Range, 'top' | 'bottom'>): readonly Account[] =>
    rows.slice(top, bottom + 1).map(({ account }) => account);
  const textOf = (account: Account, one: ChartSheetColumn): string =>
    one === 'balance' ? sided(amounts.get(account.id) ?? NIL, frame) : cellText(account, one, frame.currency);
  const opens = ({ account }: (typeof rows)[number], at: number, typed: string | undefined): boolean => {
    const column = columns[at];
    if (!open || column === undefined || !EDITABLE.has(column)) return false;
    if (account.heading && (column === 'side' || column === 'currency' || column === 'role')) return false;
    // What is chosen from a list is not typed.
    return typed === undefined || column === 'code' || column === 'name';
  };
  const sheet = useSheet({
    rows,
    idOf: ({ account }) => account.id,
    columns: columns.length,
    height: ROW,
    start: { row: 0, column: 1 },
    selected,
    onSelect,
    takes: (row, at) => opens(row, at, undefined),
    opens,
    keys: (event) => ownKeys(event),
    empty: (range) => {
      if (!open) return;
      const going = accountsIn(range);
      store.edit(
        going.map(({ id }): ChartEdit => ({ kind: 'remove', id })),
        () =>
          toast(`${plural(going.length, 'account')} deleted`, {
            action: { label: 'Undo', onClick: () => void store.undo() },
          }),
      );
    },
    copied: ({ left, right, ...range }) => {
      const clean = (text: string): string => text.replace(/[\t\r\n]+/g, ' ');
      // As they are pasted: with those between them that have no room.
      const [first, last] = [columns[left] ?? 'name', columns[right] ?? 'name'];
      const shown = all.slice(all.indexOf(first), all.indexOf(last) + 1);
      return accountsIn(range)
        .map((account) => shown.map((one) => clean(textOf(account, one))).join('\t'))
        .join('\n');
    },
    paste: (text, range) => open && paste(text, range),
    cut: (range) => open && cutRows(range),
  });
  const { active, typing } = sheet.state;
  const { top, bottom, left, right } = sheet.range;
  const column = columns[active.column] ?? 'name';
  const currentRow = rows[active.row]?.account;
  const chosen = (): readonly Account[] => accountsIn({ top, bottom });

  const regroup = (made: Result<readonly ChartEdit[]>): void => {
    if (!made.ok) {
      store.say(made.problems);
      return;
    }
    store.edit(made.value);
  };
  const keep = (text: string): void => {
    const read = currentRow === undefined ? undefined : readCell(currentRow, column, text, frame.currency);
    if (read?.ok === false) store.say(read.problems);
    if (read?.ok !== true || currentRow === undefined) return;
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
  };

  const cutRows = (range: Range): void => {
    const ids = topmost(
      accounts,
      accountsIn(range).map(({ id }) => id),
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
  const paste = (text: string, { top, bottom, left }: Range): void => {
    if (cut.length > 0) {
      putCut();
      return;
    }
    const block = readClipboard(text);
    const { edits, problems } = pasteEdits(
      rows.slice(top).map(({ account }) => account),
      bottom - top + 1,
      columns[left] ?? 'name',
      block,
      frame.currency,
      all,
    );
    if (!store.edit(edits)) return;
    if (problems.length > 0) store.say(problems);
    toast(`${plural(edits.length, 'account')} changed by pasting`);
  };

  const offerLast = useLastChange(frame.id, ['account']);
  useUndoKeys({
    undo: () => {
      if (!store.undo()) offerLast();
    },
    redo: () => void store.redo(),
    typing: () => typing !== undefined || isTyping(),
  });

  const ownKeys = (event: KeyboardEvent): boolean => {
    const ids = chosen().map(({ id }) => id);
    if (event.altKey && open) {
      if (event.key === 'ArrowRight') regroup(indent(accounts, ids));
      else if (event.key === 'ArrowLeft') regroup(outdent(accounts, ids));
      else if (event.key.toLowerCase() === 'n') onAdd();
      else return false;
      return true;
    }
    if (event.key === 'Escape') setCut([]);
    if (event.key !== ' ') return false;
    if (currentRow?.heading === true) toggle(currentRow.id);
    return true;
  };

  // A link from elsewhere, or a new account, is shown where it stands.
  useEffect(() => {
    if (selected === undefined || selected === currentRow?.id) return;
    const at = rows.findIndex(({ account }) => account.id === selected);
    if (at >= 0) sheet.virtual.scrollToIndex(at);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once per wish, not whenever rows change
  }, [selected]);

  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 8 } }));
  const drop = ({ active: dragged, over }: DragEndEvent): void => {
    if (over === null || !open) return;
    const id = Number(dragged.id) as AccountId;
    const onto = index.byId.get(Number(over.id) as AccountId);
    if (onto === undefined || onto.id === id) return;
    const ids = chosen().some((one) => one.id === id) ? chosen().map((one) => one.id) : [id];
    regroup(moveUnder(accounts, ids, onto.heading ? onto.id : onto.parent));
  };

  const cutSet = useMemo(() => new Set(cut), [cut]);
  return (
    <>
      <ChartFilters sift={sift} onSift={setSift}>
        {sifted ? `${String(rows.length)} found` : bottom > top ? `${String(bottom - top + 1)} rows chosen` : ''}
        {cut.length > 0 ? ` ${plural(cut.length, 'row')} cut` : ''}
      </ChartFilters>
      <DndContext
        sensors={sensors}
        collisionDetection={pointerWithin}
        onDragEnd={drop}
        accessibility={{
          screenReaderInstructions: { draggable: 'Move rows with Alt and the arrow keys, or cut and paste them.' },
        }}
      >
        <div
          {...sheet.grid}
          role="treegrid"
          aria-label="Chart of accounts"
          aria-rowcount={rows.length + 1}
          aria-colcount={columns.length}
          aria-multiselectable
          className="sheet no-print min-h-0 flex-1 overflow-auto"
          onDoubleClick={() => sheet.begin(undefined)}
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
                className={`py-1.5 ${one === 'balance' ? 'text-right' : ''} ${one === 'code' || one === 'name' ? '' : 'pl-2'} ${hiddenWhere(one)}`}
              >
                {CHART_SHEET_LABELS[one]}
                {one === 'balance' ? ` ${frame.currency}` : ''}
              </span>
            ))}
          </div>
          <div role="rowgroup" className="relative" style={{ height: sheet.virtual.getTotalSize() }}>
            {sheet.virtual.getVirtualItems().map((item) => {
              const row = rows[item.index];
              if (row === undefined) return null;
              const here = item.index === active.row;
              const inside = item.index >= top && item.index <= bottom;
              return (
                <ChartRow
                  key={row.account.id}
                  account={row.account}
                  depth={sift.sort === 'tree' ? row.depth : 0}
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
                  onPoint={sheet.point}
                  onToggle={toggle}
                  editor={
                    typing !== undefined && here ? (
                      <ChartCellEditor
                        column={column}
                        account={row.account}
                        text={typing.text}
                        base={frame.currency}
                        currencies={currencies}
                        parts={frame.parts}
                        parentType={row.account.parent === null ? undefined : typeOf(row.account.classification)}
                        label={`${called(row.account)}, ${CHART_SHEET_LABELS[column]}`}
                        onCancel={sheet.close}
                        onKeep={(text, leave) => {
                          keep(text);
                          sheet.leave(leave);
                        }}
                      />
                    ) : undefined
                  }
                />
              );
            })}
          </div>
        </div>
      </DndContext>
      <PrintedSheet
        heading={`${frame.name} · chart of accounts`}
        columns={all.map((one) => ({
          label: `${CHART_SHEET_LABELS[one]}${one === 'balance' ? ` ${frame.currency}` : ''}`,
          figures: one === 'balance',
          names: one === 'name',
        }))}
        rows={() =>
          rows.map(({ account, depth }) => ({
            id: account.id,
            // What goes without saying is not printed, as it is not shown.
            cells: all.map((one) =>
              (one === 'balance' && (amounts.get(account.id) ?? NIL) === NIL) || (one === 'state' && account.active)
                ? ''
                : textOf(account, one),
            ),
            depth: sift.sort === 'tree' ? depth : 0,
            ...(account.heading ? { kind: 'heading' as const } : {}),
          }))
        }
      />
    </>
  );
};
