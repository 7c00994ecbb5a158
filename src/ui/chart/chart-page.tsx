'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { Plus } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { type KeyboardEvent, useRef, useState } from 'react';
import type { FrameView } from '@/actions/frame-view';
import type { ChartRowView } from '@/actions/chart-views';
import { classFacts, roleFacts, typeOf } from '@/core/chart/classes';
import { folded } from '@/core/papers/cells';
import { plural } from '@/core/result';
import { Frame } from '../frame/frame';
import { figure } from '../parts/figures';
import { AccountMargin } from './account-margin';
import { AddAccount } from './add-account';

const KEYS = [
  ['↑ ↓', 'go from account to account'],
  ['Home End', 'first and last account'],
  ['Enter', 'edit the account in the margin'],
  ['N', 'add an account under this heading'],
] as const;

const ROW = 30;
const COLUMNS =
  'grid grid-cols-[5.5rem_minmax(10rem,1fr)_8rem] md:grid-cols-[5.5rem_minmax(12rem,1fr)_9.5rem_10.5rem_9rem]';

/** The chart as a tree; the selected account is edited in the margin, where each field is saved when it is left. */
export const ChartPage = ({
  frame,
  rows,
  currencies,
}: {
  readonly frame: FrameView;
  readonly rows: readonly ChartRowView[];
  readonly currencies: readonly string[];
}) => {
  const router = useRouter();
  const [wanted, setWanted] = useState('');
  const [selected, setSelected] = useState<number | undefined>(rows[0]?.account.id);
  const [adding, setAdding] = useState(rows.length === 0);
  const scroller = useRef<HTMLDivElement>(null);
  const shown =
    wanted.trim() === ''
      ? rows
      : rows.filter(({ account }) =>
          folded(`${account.code} ${account.name} ${account.role ?? ''}`).includes(folded(wanted)),
        );
  const at = shown.findIndex((row) => row.account.id === selected);
  const virtual = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW,
    overscan: 12,
    initialRect: { width: 900, height: 700 },
  });
  const current = rows.find((row) => row.account.id === selected)?.account;
  const accounts = rows.map((row) => row.account);

  const select = (index: number): void => {
    const row = shown[Math.max(0, Math.min(shown.length - 1, index))];
    if (row === undefined) return;
    setSelected(row.account.id);
    virtual.scrollToIndex(shown.indexOf(row));
    requestAnimationFrame(() =>
      scroller.current?.querySelector<HTMLElement>(`[data-account="${String(row.account.id)}"]`)?.focus(),
    );
  };
  const press = (event: KeyboardEvent): void => {
    const move = {
      ArrowDown: at + 1,
      ArrowUp: at - 1,
      Home: 0,
      End: shown.length - 1,
      PageDown: at + 15,
      PageUp: at - 15,
    }[event.key];
    if (move !== undefined) select(move);
    else if (event.key === 'Enter' || event.key === 'F2') {
      setAdding(false);
      requestAnimationFrame(() => document.querySelector<HTMLElement>('[data-margin-name]')?.focus());
    } else if (event.key === 'n') setAdding(true);
    else return;
    event.preventDefault();
  };

  const posting = rows.filter((row) => !row.account.heading).length;
  return (
    <Frame
      frame={frame}
      stage="chart"
      title="Chart of accounts"
      about={
        rows.length === 0 ? 'empty' : `${plural(posting, 'account')} under ${plural(rows.length - posting, 'heading')}`
      }
      keys={KEYS}
      fixed
      actions={
        <button type="button" className="btn btn-sm" onClick={() => setAdding(true)}>
          <Plus aria-hidden className="size-4" /> Add account
        </button>
      }
      margin={
        adding ? (
          <AddAccount
            key={selected ?? 0}
            frame={frame}
            currencies={currencies}
            chart={accounts}
            beside={current}
            onDone={(id) => {
              setAdding(id !== undefined);
              if (id !== undefined) setSelected(id);
              router.refresh();
            }}
          />
        ) : current === undefined ? (
          <p className="note">Choose an account to see and change it.</p>
        ) : (
          <AccountMargin
            key={current.id}
            frame={frame}
            currencies={currencies}
            account={current}
            chart={accounts}
            onChanged={() => router.refresh()}
          />
        )
      }
    >
      {rows.length === 0 ? (
        <div className="max-w-prose px-4">
          <p>
            There are no accounts yet. Add the first one in the margin, a heading first and accounts under it; or bring
            the old trial balance under Opening balances and create the accounts from its rows.
          </p>
        </div>
      ) : (
        <>
          <div className="px-4 pb-2">
            <input
              type="search"
              aria-label="Find in the chart"
              placeholder="Find a code, name or role"
              value={wanted}
              onChange={(event) => setWanted(event.target.value)}
              className="input input-sm w-64"
            />
            <span className="note ml-3" role="status">
              {wanted.trim() === '' ? '' : `${String(shown.length)} found`}
            </span>
          </div>
          <div
            ref={scroller}
            role="treegrid"
            aria-label="Chart of accounts"
            aria-rowcount={shown.length + 1}
            className="min-h-0 flex-1 overflow-auto"
            onKeyDown={press}
          >
            <div
              role="row"
              aria-rowindex={1}
              className={`${COLUMNS} sticky top-0 z-10 border-b border-ink bg-paper px-4 text-[0.78rem] font-semibold text-ink-2`}
            >
              <span role="columnheader" className="py-1.5">
                Code
              </span>
              <span role="columnheader" className="py-1.5">
                Account
              </span>
              <span role="columnheader" className="py-1.5 max-md:hidden">
                Statement line
              </span>
              <span role="columnheader" className="py-1.5 max-md:hidden">
                Role
              </span>
              <span role="columnheader" className="py-1.5 text-right">
                Opens at {frame.currency}
              </span>
            </div>
            <div role="rowgroup" className="relative" style={{ height: virtual.getTotalSize() }}>
              {virtual.getVirtualItems().map((item) => {
                const row = shown[item.index];
                if (row === undefined) return null;
                const { account, depth, amount } = row;
                const chosen = account.id === selected;
                return (
                  <div
                    key={account.id}
                    role="row"
                    aria-rowindex={item.index + 2}
                    aria-level={depth + 1}
                    aria-selected={chosen}
                    data-account={account.id}
                    tabIndex={chosen || (at < 0 && item.index === 0) ? 0 : -1}
                    onClick={() => {
                      setSelected(account.id);
                      setAdding(false);
                    }}
                    className={`${COLUMNS} absolute inset-x-0 items-center border-b border-hairline px-4 text-[0.8125rem] focus-visible:outline-offset-[-2px] ${account.heading ? 'bg-paper-2 font-semibold' : ''} ${chosen ? 'bg-madder-wash' : ''} ${account.active ? '' : 'text-ink-2'}`}
                    style={{ height: ROW, transform: `translateY(${String(item.start)}px)` }}
                  >
                    <span role="gridcell" className="truncate font-normal text-ink-2">
                      {account.code}
                    </span>
                    <span
                      role="gridcell"
                      className="truncate"
                      style={{ paddingLeft: `${String(depth * 1.1)}rem` }}
                      title={account.name}
                    >
                      {account.name}
                      {account.currency !== null && (
                        <span className="ml-2 border border-rule px-1 text-xs font-normal">{account.currency}</span>
                      )}
                      {!account.active && ' '}
                      {!account.active && <span className="ml-2 text-xs font-normal">inactive</span>}
                    </span>
                    <span role="gridcell" className="truncate font-normal text-ink-2 max-md:hidden">
                      {account.heading ? typeOf(account.classification) : classFacts(account.classification).one}
                    </span>
                    <span role="gridcell" className="truncate text-ink-2 max-md:hidden">
                      {account.role === null ? '' : roleFacts(account.role).label}
                    </span>
                    <span role="gridcell" className="truncate text-right">
                      {amount === null || amount === 0n ? '' : `${figure(amount, frame)} ${amount > 0n ? 'Dr' : 'Cr'}`}
                    </span>
                  </div>
                );
              })}
            </div>
          </div>
        </>
      )}
    </Frame>
  );
};
