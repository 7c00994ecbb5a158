'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { type KeyboardEvent, useEffect, useMemo, useRef, useState } from 'react';
import type { FrameView } from '@/actions/frame-view';
import type { PaperView } from '@/actions/views';
import { type Account, called } from '@/core/chart/account';
import type { DecidedRow, Decision } from '@/core/openings/takeover';
import type { Match } from '@/core/openings/match';
import { figure } from '../parts/figures';

const ROW = 30;
const COLUMNS =
  'grid grid-cols-[2.6rem_minmax(7rem,1fr)_6rem_6rem] md:grid-cols-[3rem_5rem_minmax(9rem,1fr)_7.5rem_7.5rem_minmax(11rem,1fr)]';
const FILTERS = ['accounts', 'to decide', 'set aside', 'all rows'] as const;
type Filter = (typeof FILTERS)[number];

interface RowsProps {
  readonly frame: FrameView;
  readonly rows: PaperView['rows'];
  readonly plan: PaperView['plan'];
  readonly accounts: readonly Account[];
  readonly undecided: ReadonlySet<number>;
  readonly selected: number | undefined;
  readonly onSelect: (row: number) => void;
  /** A decision taken by one key. */
  readonly onDecide: (row: number, decision: Decision) => void;
}

/** Every row of the paper with what becomes of it. */
export const PaperRows = ({ frame, rows, plan, accounts, undecided, selected, onSelect, onDecide }: RowsProps) => {
  const [filter, setFilter] = useState<Filter>('accounts');
  const scroller = useRef<HTMLDivElement>(null);
  const decided = useMemo(() => new Map(plan.rows.map((one) => [one.row.row, one])), [plan]);
  const byId = useMemo(() => new Map(accounts.map((account) => [account.id, account])), [accounts]);
  const shown = useMemo(() => {
    const test: Readonly<Record<Filter, (row: PaperView['rows'][number]) => boolean>> = {
      accounts: (row) => row.kind === 'account' || row.kind === 'unreadable',
      'to decide': (row) => undecided.has(row.row) || row.kind === 'unreadable' || row.row === selected,
      'set aside': (row) =>
        ['heading', 'total', 'title', 'header'].includes(row.kind) ||
        decided.get(row.row)?.decision?.kind === 'leave-out',
      'all rows': (row) => row.kind !== 'blank',
    };
    return rows.filter(test[filter]);
  }, [rows, filter, undecided, decided, selected]);
  const at = shown.findIndex((row) => row.row === selected);
  const virtual = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 10,
    initialRect: { width: 900, height: 400 },
  });
  useEffect(() => {
    if (at >= 0) virtual.scrollToIndex(at);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- follow the selection only
  }, [at]);

  /** What a key decides about the selected row: a digit takes that candidate, n creates the account as proposed. */
  const byKey = (key: string): Decision | undefined => {
    const one = selected === undefined ? undefined : decided.get(selected);
    if (one === undefined) return undefined;
    const candidate = /^[1-5]$/.test(key) ? one.match.candidates[Number(key) - 1] : undefined;
    if (candidate?.active === true) return { kind: 'account', account: candidate.account };
    return key === 'n' ? plan.proposals[one.row.row] : undefined;
  };

  const press = (event: KeyboardEvent): void => {
    const move = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: shown.length - 1 }[event.key];
    if (move !== undefined) {
      const row = shown[Math.max(0, Math.min(shown.length - 1, move))];
      if (row === undefined) return;
      onSelect(row.row);
      requestAnimationFrame(() =>
        scroller.current?.querySelector<HTMLElement>(`[data-row="${String(row.row)}"]`)?.focus(),
      );
    } else if (
      !event.ctrlKey &&
      !event.metaKey &&
      !event.altKey &&
      selected !== undefined &&
      byKey(event.key) !== undefined
    ) {
      const decision = byKey(event.key);
      if (decision !== undefined) onDecide(selected, decision);
    } else if (event.key === 'Enter') document.querySelector<HTMLElement>('[data-decide]')?.focus();
    else return;
    event.preventDefault();
  };

  const becomes = (row: PaperView['rows'][number], one: DecidedRow | undefined) => {
    if (one === undefined)
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
        {FILTERS.map((one) => (
          <button
            key={one}
            type="button"
            aria-pressed={filter === one}
            onClick={() => setFilter(one)}
            className={`min-h-6 text-sm ${filter === one ? 'border-b-2 border-ink font-semibold' : 'text-ink-2'}`}
          >
            {one[0]?.toUpperCase()}
            {one.slice(1)} {one === 'to decide' ? undecided.size : ''}
          </button>
        ))}
      </div>
      <div
        ref={scroller}
        role="grid"
        aria-label="Rows of the paper"
        aria-rowcount={shown.length + 1}
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
          {virtual.getVirtualItems().map((item) => {
            const row = shown[item.index];
            if (row === undefined) return null;
            const here = row.row === selected;
            return (
              <div
                key={row.row}
                role="row"
                aria-rowindex={item.index + 2}
                aria-selected={here}
                data-row={row.row}
                tabIndex={here || (at < 0 && item.index === 0) ? 0 : -1}
                onClick={() => onSelect(row.row)}
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
                  {undecided.has(row.row) && (
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
                  {becomes(row, decided.get(row.row))}
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
