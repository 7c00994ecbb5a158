'use client';

import { type Currency } from '@/core/money/currency';
import { Plus } from 'lucide-react';
import type { AttachedPaper } from '@/core/schedules/evidence';
import { useEvidence } from '../evidence/use-evidence';
import { useCallback, useEffect, useMemo, useState, useSyncExternalStore, useTransition } from 'react';
import { editChart } from '@/actions/chart/commands';
import type { ChartRowView } from '@/actions/chart/views';
import { type Columns, rowsIn } from '@/core/money/columns';
import type { FrameView } from '@/actions/frame/views';
import { type AccountId, chartIndex } from '@/core/chart/account';
import type { ChartSettings } from '@/core/chart/settings';
import { chartEffects } from '@/core/openings/chart-effects';
import { plural } from '@/core/base/result';
import { sided } from '../parts/figures';
import { Go } from '../parts/go';
import { Problems } from '../parts/problems';
import { isBehind, noted } from '../parts/send';
import { AccountMargin } from './account-margin';
import { AddLines } from './add-lines';
import { ChartFrame } from './chart-frame';
import { ChartGrid } from './chart-grid';
import { chartStore } from './chart-store';
import { useRefresh } from '../parts/use-refresh';

const KEYS = [
  ['↑ ↓ ← →', 'go from cell to cell; with Shift choose rows'],
  ['Enter, typing', 'edit the cell; Esc puts it back'],
  ['Tab', 'keep and go to the next cell; after Esc, Tab leaves the sheet'],
  ['Space', 'fold or unfold a heading'],
  ['Alt+→ Alt+←', 'one level down under the heading before, one level up'],
  ['Ctrl+X, Ctrl+V', 'cut rows, put them under the heading here'],
  ['Ctrl+C, Ctrl+V', 'copy cells, paste cells'],
  ['Delete', 'delete unused accounts'],
  ['Ctrl+Z, Ctrl+Shift+Z', 'undo, redo'],
  ['Alt+N', 'add accounts'],
] as const;

/** The chart as a sheet: a tree that is edited in place, with the margin of the account that is chosen. */
export const ChartPage = ({
  frame,
  rows: columns,
  currencies,
  settings,
  taxCodes,
  evidence,
}: {
  readonly frame: FrameView;
  readonly rows: Columns<ChartRowView>;
  readonly currencies: readonly Currency[];
  readonly settings: ChartSettings;
  readonly taxCodes: readonly { readonly code: string; readonly name: string }[];
  readonly evidence: readonly AttachedPaper[];
}) => {
  const refresh = useRefresh();
  const papers = useEvidence(frame.id, evidence);
  const [, transit] = useTransition();
  const rows = useMemo(() => rowsIn(columns), [columns]);
  const accounts = useMemo(() => rows.map(({ account }) => account), [rows]);
  const amounts = useMemo(() => new Map(rows.map(({ account, amount }) => [account.id, amount])), [rows]);
  // Opening figures do not change on this page, so those it began with serve for what a change does to them.
  const [store] = useState(() =>
    chartStore(
      accounts,
      { codes: settings.codes, base: frame.currency },
      (edits) => editChart({ books: frame.id, edits: [...edits] }).then(noted),
      (before, after) =>
        chartEffects(before, after, amounts, { base: frame.currency, atYearStart: frame.atYearStart }, (amount) =>
          sided(amount, frame),
        ),
    ),
  );
  const state = useSyncExternalStore(store.subscribe, store.get, store.get);
  useEffect(() => {
    if (!isBehind(frame)) store.reset(accounts);
  }, [store, accounts, frame]);
  const [selected, setSelected] = useState<AccountId | undefined>(accounts[0]?.id);
  const [adding, setAdding] = useState(false);
  const { version } = state;
  // The course above says how much of the chart stands; it is fetched again once the sheet rests.
  useEffect(() => {
    if (version === 0) return;
    const rest = setTimeout(() => transit(refresh), 900);
    return () => clearTimeout(rest);
  }, [version, refresh]);
  const index = useMemo(() => chartIndex(state.accounts), [state.accounts]);
  const current = selected === undefined ? undefined : index.byId.get(selected);
  const posting = state.accounts.filter(({ heading }) => !heading).length;
  const add = useCallback(() => setAdding(true), []);
  const choose = useCallback((id: AccountId | undefined) => {
    setSelected(id);
    setAdding(false);
  }, []);
  const empty = state.accounts.length === 0;
  const open = frame.may.includes('chart.change');
  return (
    <ChartFrame
      frame={frame}
      place=""
      title="Chart of accounts"
      about={
        empty ? 'empty' : `${plural(posting, 'account')} under ${plural(state.accounts.length - posting, 'heading')}`
      }
      keys={KEYS}
      fixed
      actions={
        <>
          <span className="note" role="status">
            {state.saving ? 'Saving …' : version > 0 ? 'Saved' : ''}
          </span>
          {!empty && <Downloads books={frame.id} />}
          {open && (
            <button type="button" className="btn btn-sm" onClick={add}>
              <Plus aria-hidden className="size-4" /> Add accounts
            </button>
          )}
        </>
      }
      margin={
        open && (adding || empty) ? (
          <AddLines
            key={selected ?? 0}
            frame={frame}
            accounts={state.accounts}
            currencies={currencies}
            settings={settings}
            beside={current}
            onDone={() => {
              setAdding(false);
              refresh();
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
            store={store}
            index={index}
            settings={settings}
            taxCodes={taxCodes}
            papers={papers}
          />
        )
      }
    >
      {state.problems.length > 0 && (
        <div className="px-4 pt-2">
          <Problems problems={state.problems.slice(0, 4)} />
        </div>
      )}
      {state.asked !== undefined && <Effects effects={state.asked.effects} onAnswer={store.answer} />}
      {empty && !open ? (
        <p className="note px-4">There is no chart yet.</p>
      ) : empty ? (
        <Beginnings books={frame.id} />
      ) : (
        <ChartGrid
          frame={frame}
          store={store}
          accounts={state.accounts}
          amounts={amounts}
          currencies={currencies}
          settings={settings}
          selected={selected}
          onSelect={choose}
          onAdd={add}
        />
      )}
    </ChartFrame>
  );
};

/** What a change would do to opening figures that stand, before it is taken. */
const Effects = ({
  effects,
  onAnswer,
}: {
  readonly effects: readonly string[];
  readonly onAnswer: (take: boolean) => void;
}) => (
  <section
    role="alertdialog"
    aria-label="What this change does to opening figures"
    className="mx-4 mt-2 border-l-4 border-ochre bg-paper-2 px-3 py-1.5 text-sm"
    onKeyDown={(event) => {
      if (event.key === 'Escape') onAnswer(false);
    }}
  >
    <p className="font-medium">Opening figures stand already. The change is not taken yet; with it:</p>
    <ul className="my-1 list-disc pl-5">
      {effects.map((effect) => (
        <li key={effect}>{effect}</li>
      ))}
    </ul>
    <p className="flex gap-2">
      <button type="button" className="btn btn-xs" autoFocus onClick={() => onAnswer(true)}>
        Take the change
      </button>
      <button type="button" className="btn btn-xs" onClick={() => onAnswer(false)}>
        Leave it as it is
      </button>
    </p>
  </section>
);

const Downloads = ({ books }: { readonly books: number }) => (
  <details className="dropdown dropdown-end">
    <summary className="btn btn-sm">Export</summary>
    <ul className="dropdown-content z-30 mt-1 w-56 border border-rule bg-paper p-1 text-sm shadow-sm">
      {(
        [
          ['chart/export?format=csv', 'CSV, to be brought again'],
          ['chart/export?format=xlsx', 'XLSX, to be brought again'],
          ['chart/export?format=xml', 'SAF-T, its accounts'],
          ['lists/chart?format=pdf', 'PDF, for the file'],
        ] as const
      ).map(([address, label]) => (
        <li key={address}>
          <a className="block px-2 py-1 hover:bg-paper-2" href={`/books/${String(books)}/${address}`} download>
            {label}
          </a>
        </li>
      ))}
      <li>
        <Go className="block px-2 py-1 hover:bg-paper-2" href={`/books/${String(books)}/chart/print`}>
          A page to print
        </Go>
      </li>
    </ul>
  </details>
);

const Beginnings = ({ books }: { readonly books: number }) => {
  const ways = [
    [
      'begin',
      'From answers',
      'A few questions about the company give a chart in which every account says why it is there.',
    ],
    ['copy', 'Copied', 'All of another client’s chart, or of a template of the practice, or only branches of it.'],
    ['import', 'Imported', 'A list of accounts as CSV or XLSX, or the accounts of an audit file (SAF-T).'],
  ] as const;
  return (
    <div className="max-w-prose px-4 pt-4">
      <p>There are no accounts yet. There are four ways to begin:</p>
      <ul className="mt-3 space-y-3">
        {ways.map(([at, label, says]) => (
          <li key={at}>
            <Go href={`/books/${String(books)}/chart/${at}`} className="font-semibold text-madder underline">
              {label}
            </Go>
            <span className="block text-sm text-ink-2">{says}</span>
          </li>
        ))}
        <li>
          <span className="font-semibold">Typed or pasted</span>
          <span className="block text-sm text-ink-2">
            Write accounts in the margin, one per line; or create them from the rows of the old trial balance under
            Opening balances.
          </span>
        </li>
      </ul>
    </div>
  );
};
