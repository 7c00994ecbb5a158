'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { type CSSProperties, type KeyboardEvent, useEffect, useMemo, useRef } from 'react';
import type { FrameView } from '@/actions/frame/views';
import type { RowView } from '@/actions/papers/views';
import { type Account, called } from '@/core/chart/account';
import type { Match } from '@/core/openings/match';
import { ROW_FILTERS } from '@/core/openings/paper-list';
import type { Decision } from '@/core/openings/takeover';
import { counted, figure } from '../parts/figures';
import type { Rows } from './use-rows';

const ROW = 30;
const COLUMNS =
  'grid grid-cols-[var(--numbers)_minmax(7rem,1fr)_6rem_6rem] md:grid-cols-[var(--numbers)_5rem_minmax(9rem,1fr)_7.5rem_7.5rem_minmax(11rem,1fr)]';
/** The width of the row numbers, whose digits are as many as the last row's. */
const numbersWidth = (last: number): CSSProperties =>
  ({ '--numbers': `${String(Math.max(3.1, 1.6 + 0.55 * String(last).length))}rem` }) as CSSProperties;

interface RowsProps {
  readonly frame: FrameView;
  readonly rows: Rows;
  /** How many rows wait for a decision. */
  readonly waiting: number;
  readonly accounts: readonly Account[];
  /** The number of the paper's last row. */
  readonly lastRow: number;
  /** A decision taken by one key. */
  readonly onDecide: (row: number, decision: Decision) => void;
}

/** Every row of the paper with what becomes of it. */
export const PaperRows = ({ frame, rows, waiting, accounts, lastRow, onDecide }: RowsProps) => {
  const { selected, place, total } = rows;
  const scroller = useRef<HTMLDivElement>(null);
  const byId = useMemo(() => new Map(accounts.map((account) => [account.id, account])), [accounts]);
  /** The row on which the focus is to be once it is there. */
  const focusing = useRef(false);
  const virtual = useVirtualizer({
    count: total,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 10,
    initialRect: { width: 900, height: 400 },
  });
  const items = virtual.getVirtualItems();
  const [first, last] = [items[0]?.index ?? 0, items.at(-1)?.index ?? 0];
  useEffect(() => {
    rows.need(first, last);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- whenever other rows come into view
  }, [first, last, rows.filter]);
  useEffect(() => {
    if (place < 0) return;
    virtual.scrollToIndex(place);
    if (!focusing.current) return;
    focusing.current = false;
    requestAnimationFrame(() => scroller.current?.querySelector<HTMLElement>('[aria-selected="true"]')?.focus());
    // eslint-disable-next-line react-hooks/exhaustive-deps -- follow the selection only
  }, [place, selected?.row.row]);

  /** What a key decides about the selected row: a digit takes that candidate, n creates the account as proposed. */
  const byKey = (key: string): Decision | undefined => {
    const candidate = /^[1-5]$/.test(key) ? selected?.decided?.match.candidates[Number(key) - 1] : undefined;
    if (candidate?.active === true) return { kind: 'account', account: candidate.account };
    return key === 'n' ? (selected?.proposal ?? undefined) : undefined;
  };

  const press = (event: KeyboardEvent): void => {
    const to = {
      ArrowDown: place + 1,
      ArrowUp: place - 1,
      PageDown: place + 15,
      PageUp: place - 15,
      Home: 0,
      End: total - 1,
    }[event.key];
    if (to !== undefined && total > 0) {
      focusing.current = true;
      rows.move(Math.max(0, Math.min(total - 1, to)));
    } else if (
      !event.ctrlKey &&
      !event.metaKey &&
      !event.altKey &&
      selected !== undefined &&
      byKey(event.key) !== undefined
    ) {
      const decision = byKey(event.key);
      if (decision !== undefined) {
        focusing.current = true;
        onDecide(selected.row.row, decision);
      }
    } else if (event.key === 'Enter') document.querySelector<HTMLElement>('[data-decide]')?.focus();
    else return;
    event.preventDefault();
  };

  const becomes = ({ row, decided: one }: RowView) => {
    if (one === null)
      return <span className={row.kind === 'unreadable' ? 'text-brick' : 'text-ink-2'}>{row.note ?? row.kind}</span>;
    const { decision, match } = one;
    if (decision === undefined)
      return row.amount === 0n ? (
        <span className="text-ink-2">nil, not taken</span>
      ) : (
        <Doubtful match={match} named={(id) => byId.get(id)} />
      );
    switch (decision.kind) {
      case 'account': {
        const account = byId.get(decision.account);
        const proposed = match.kind === 'matched' && match.account === decision.account;
        return (
          <>
            {account === undefined ? 'an account that is gone' : called(account)}{' '}
            <span className="text-ink-2">{proposed ? match.why : 'chosen'}</span>
          </>
        );
      }
      case 'create':
        return (
          <>
            create {decision.code} {decision.name}
          </>
        );
      case 'split':
        return (
          <>
            divided:{' '}
            {decision.parts
              .map(({ account, amount }) => `${figure(amount, frame)} to ${byId.get(account)?.code ?? '?'}`)
              .join(', ')}
          </>
        );
      case 'leave-out':
        return <span className="text-ink-2">left out: {decision.reason}</span>;
    }
  };

  return (
    <>
      <div role="group" aria-label="Show" className="flex flex-wrap gap-x-4 px-4 pb-1">
        {ROW_FILTERS.map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={rows.filter === one}
            onClick={() => rows.show(one)}
            className={`min-h-6 text-sm ${rows.filter === one ? 'border-b-2 border-ink font-semibold' : 'text-ink-2'}`}
          >
            {one[0]?.toUpperCase()}
            {one.slice(1)} {one === 'to decide' ? counted(waiting, frame) : ''}
          </button>
        ))}
      </div>
      <div
        ref={scroller}
        role="grid"
        aria-label="Rows of the paper"
        aria-rowcount={total + 1}
        style={numbersWidth(lastRow)}
        className="min-h-0 flex-1 overflow-auto"
        onKeyDown={press}
      >
        <div
          role="row"
          aria-rowindex={1}
          className={`${COLUMNS} sticky top-0 z-10 border-b border-ink bg-paper text-[0.78rem] font-semibold text-ink-2`}
        >
          <span role="columnheader" className="py-1.5 pl-4">
            Row
          </span>
          <span role="columnheader" className="py-1.5 max-md:hidden">
            Old code
          </span>
          <span role="columnheader" className="py-1.5">
            Old name
          </span>
          <span role="columnheader" className="px-2 py-1.5 text-right">
            Debit
          </span>
          <span role="columnheader" className="px-2 py-1.5 text-right">
            Credit
          </span>
          <span role="columnheader" className="px-2 py-1.5 max-md:hidden">
            Becomes
          </span>
        </div>
        <div role="rowgroup" className="relative" style={{ height: virtual.getTotalSize() }}>
          {items.map((item) => {
            const view = rows.at(item.index);
            if (view === undefined) return null;
            const { row } = view;
            const here = row.row === selected?.row.row;
            return (
              <div
                key={row.row}
                role="row"
                aria-rowindex={item.index + 2}
                aria-selected={here}
                data-row={row.row}
                tabIndex={here || (place < 0 && item.index === 0) ? 0 : -1}
                onClick={() => rows.select(view)}
                className={`${COLUMNS} absolute inset-x-0 items-center border-b border-hairline text-[0.8125rem] focus-visible:outline-offset-[-2px] ${here ? 'bg-madder-wash' : ''} ${row.kind === 'account' || row.kind === 'unreadable' ? '' : 'text-ink-2'}`}
                style={{ height: ROW, transform: `translateY(${String(item.start)}px)` }}
              >
                <span role="gridcell" className="pl-4 text-ink-2">
                  {row.row}
                </span>
                <span role="gridcell" className="truncate text-ink-2 max-md:hidden">
                  {row.code}
                </span>
                <span role="gridcell" className="truncate" title={row.text}>
                  {row.name === '' ? row.text : row.name}
                  {view.waits && (
                    <span aria-hidden className="ml-1 text-ochre md:hidden">
                      ▲
                    </span>
                  )}
                </span>
                <span role="gridcell" className="truncate px-2 text-right">
                  {row.amount > 0n ? figure(row.amount, frame) : ''}
                </span>
                <span role="gridcell" className="truncate px-2 text-right">
                  {row.amount < 0n ? figure(row.amount, frame) : ''}
                </span>
                <span role="gridcell" className="truncate px-2 text-xs max-md:hidden">
                  {becomes(view)}
                </span>
              </div>
            );
          })}
        </div>
      </div>
    </>
  );
};

/** A row that waits for a person: the likeliest account with how much speaks for it, or why there is none. */
const Doubtful = ({
  match,
  named,
}: {
  readonly match: Match;
  readonly named: (id: Account['id']) => Account | undefined;
}) => {
  const [best] = match.candidates;
  const account = best === undefined ? undefined : named(best.account);
  return (
    <>
      <span className="font-medium text-ochre">
        ▲ {account === undefined ? (match.kind === 'left-out' ? match.reason : match.why) : `${called(account)}?`}
      </span>
      {best !== undefined && (
        <span className="text-ink-2">
          {' '}
          {Math.round(best.confidence * 100)} %, {best.why}
        </span>
      )}
    </>
  );
};
