'use client';

import { useDraggable, useDroppable } from '@dnd-kit/core';
import { type ReactNode, memo } from 'react';
import type { FrameView } from '@/actions/frame/views';
import type { Account, AccountId } from '@/core/chart/account';
import { type ChartSheetColumn, cellText } from '@/core/chart/sheet';
import type { Minor } from '@/core/money/minor';
import { figure } from '../parts/figures';
import type { Cell } from '../sheet/cells';

/** Height of a row in px. */
export const ROW = 30;

/** Columns that have no room on a small screen: what they say, the statement line and the row's look say too. */
export const LEFT_OUT: ReadonlySet<ChartSheetColumn> = new Set(['type', 'state']);
/** Those that have none on a phone. */
export const LEFT_OUT_ON_PHONES: ReadonlySet<ChartSheetColumn> = new Set([
  ...LEFT_OUT,
  'line',
  'side',
  'currency',
  'role',
]);
/** The same before the page knows how wide it is. */
export const hiddenWhere = (column: ChartSheetColumn): string =>
  LEFT_OUT.has(column) ? 'max-xl:hidden' : LEFT_OUT_ON_PHONES.has(column) ? 'max-md:hidden' : '';

interface Props {
  readonly account: Account;
  readonly depth: number;
  readonly at: number;
  readonly start: number;
  readonly columns: readonly ChartSheetColumn[];
  readonly amount: Minor | null;
  readonly frame: FrameView;
  /** Without the column of codes. */
  readonly bare: boolean;
  /** What is questionable about its code; empty when nothing is. */
  readonly question: string;
  readonly expanded: boolean | undefined;
  readonly cut: boolean;
  /** The column in which the focus is, or -1; and the chosen range of columns. */
  readonly column: number;
  readonly from: number;
  readonly to: number;
  readonly editor: ReactNode | undefined;
  readonly onPoint: (cell: Cell, extend: boolean) => void;
  readonly onToggle: (id: AccountId) => void;
}

const Row = ({
  account,
  depth,
  at,
  start,
  columns,
  amount,
  frame,
  bare,
  question,
  expanded,
  cut,
  column,
  from,
  to,
  editor,
  onPoint,
  onToggle,
}: Props) => {
  const { setNodeRef: dragRef, listeners, transform, isDragging } = useDraggable({ id: account.id });
  const { setNodeRef: dropRef, isOver } = useDroppable({ id: account.id });
  const editing = editor !== undefined;
  const content = (one: ChartSheetColumn): ReactNode => {
    if (one === 'balance')
      return amount === null || amount === 0n ? '' : `${figure(amount, frame)} ${amount > 0n ? 'Dr' : 'Cr'}`;
    const text = cellText(account, one, frame.currency);
    if (one === 'code')
      return (
        <>
          {text}
          {question !== '' && (
            <span className="ml-1 text-ochre" title={question}>
              <span aria-hidden>?</span>
              <span className="sr-only">{question}</span>
            </span>
          )}
        </>
      );
    // Said only where it is not so, to keep the sheet calm.
    if (one === 'state' && account.active) return <span className="sr-only">active</span>;
    if (one !== 'name') return text;
    return (
      <>
        <span style={{ width: `${String(depth * 1.1)}rem` }} className="inline-block shrink-0" />
        {expanded !== undefined && (
          <span
            aria-hidden
            className="mr-1 inline-block w-3 cursor-pointer text-center text-ink-2"
            onClick={(event) => {
              event.stopPropagation();
              onToggle(account.id);
            }}
          >
            {expanded ? '▾' : '▸'}
          </span>
        )}
        <span className="truncate">{text}</span>
        {!account.active && <span className="ml-2 shrink-0 text-xs font-normal italic">inactive</span>}
        {account.note !== '' && (
          <span className="ml-2 shrink-0 text-xs font-normal text-ink-2" title={account.note}>
            note
          </span>
        )}
      </>
    );
  };
  return (
    <div
      ref={(node) => {
        dragRef(node);
        dropRef(node);
      }}
      role="row"
      aria-rowindex={at + 2}
      aria-level={depth + 1}
      {...(expanded === undefined ? {} : { 'aria-expanded': expanded })}
      aria-selected={from >= 0}
      data-account={account.id}
      {...(editing ? {} : listeners)}
      className={`chart-row ${bare ? 'chart-row-bare' : ''} absolute inset-x-0 items-stretch border-b border-hairline px-4 text-[0.8125rem] ${account.heading ? 'bg-paper-2 font-semibold' : ''} ${account.active ? '' : 'text-ink-2'} ${cut || isDragging ? 'opacity-60' : ''} ${isOver && !isDragging ? 'outline-2 outline-offset-[-2px] outline-madder outline-dashed' : ''} ${isDragging ? 'z-10' : ''}`}
      style={{
        height: ROW,
        // Not by a transform: what is dragged and dropped on is measured without them.
        top: start,
        ...(isDragging ? { transform: `translateY(${String(transform?.y ?? 0)}px)` } : {}),
      }}
    >
      {columns.map((one, index) => (
        <span
          key={one}
          role="gridcell"
          aria-colindex={index + 1}
          tabIndex={column === index ? 0 : -1}
          onClick={(event) => onPoint({ row: at, column: index }, event.shiftKey)}
          className={`flex min-w-0 items-center overflow-hidden outline-offset-[-2px] ${column === index ? 'sheet-active' : ''} ${one === 'balance' ? 'justify-end tabular-nums' : ''} ${one === 'name' ? '' : 'font-normal'} ${one === 'code' || one === 'name' || one === 'balance' ? '' : 'text-ink-2'} ${hiddenWhere(one)} ${one === 'name' || one === 'code' ? '' : 'pl-2'} ${index >= from && index <= to && from >= 0 ? 'bg-madder-wash' : ''}`}
        >
          {column === index && editing ? (
            editor
          ) : one === 'name' ? (
            content(one)
          ) : (
            <span className="truncate">{content(one)}</span>
          )}
        </span>
      ))}
    </div>
  );
};

export const ChartRow = memo(Row);
