'use client';

import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { undo as takeBack } from '@/actions/changes/commands';
import { plural } from '@/core/base/result';
import { folded } from '@/core/base/table';
import type { AccountId } from '@/core/chart/account';
import { comparativeFaults } from '@/core/openings/comparatives';
import { Frame } from '../frame/frame';
import { FindField } from '../parts/find-field';
import { Go } from '../parts/go';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { ComparativesGrid } from './comparatives-grid';
import { BudgetRule } from './budget-rule';
import { ComparativeMargin } from './comparative-margin';
import { type ComparativesView, useComparatives } from './use-comparatives';
import { useRefresh } from '../parts/use-refresh';

const KEYS = [
  ['type, Enter, F2', 'write an amount; Enter keeps it and goes down'],
  ['Tab', 'keep and go right; after Esc, Tab leaves the sheet'],
  ['Shift with arrows', 'choose a range; Ctrl C, X, V copy, cut and paste it'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo'],
] as const;

/** Last year's closing balances and the months of this year, beside the opening figures that they lead to. */
export const ComparativesPage = ({ frame, columns, rows, last, papers, budgets }: ComparativesView) => {
  const refresh = useRefresh();
  const comparatives = useComparatives(frame.id, rows);
  const { entered } = comparatives;
  const [chosen, setChosen] = useState<AccountId | undefined>();
  const [wanted, setWanted] = useState('');
  const [onlyApart, setOnlyApart] = useState(false);
  const figures = useMemo(() => new Map(rows.map((row) => [row.id, row.figure])), [rows]);
  const { nets, apart } = useMemo(() => comparativeFaults(rows, figures, entered), [rows, figures, entered]);
  const found = folded(wanted);
  const shown = rows.filter(
    (row) => (found === '' || folded(`${row.code} ${row.name}`).includes(found)) && (!onlyApart || apart.has(row.id)),
  );
  return (
    <Frame
      frame={frame}
      stage="openings"
      title="Comparatives"
      keys={KEYS}
      fixed
      about={
        apart.size === 0
          ? 'last year’s closing balances and the months of this year; optional'
          : `${plural(apart.size, 'account')} ${apart.size === 1 ? 'does' : 'do'} not come to the opening figure`
      }
      margin={
        <>
          <ComparativeMargin
            frame={frame}
            columns={columns}
            row={rows.find(({ id }) => id === chosen)}
            entered={chosen === undefined ? undefined : entered.get(chosen)}
            version={comparatives.version}
            papers={papers}
          />
          {budgets && (
            <BudgetRule
              books={frame.id}
              onFilled={() => {
                comparatives.forgetPast();
                refresh();
              }}
            />
          )}
        </>
      }
      actions={
        <>
          {last !== null && (
            <button
              type="button"
              className="btn btn-sm"
              title={`What was taken from ${last.paper} goes back to what it was, where nobody changed it since`}
              onClick={() =>
                void send(takeBack({ books: frame.id, batch: last.batch, leaveNewer: true })).then((done) => {
                  comparatives.say(done.ok ? [] : done.problems);
                  if (!done.ok) return;
                  toast(
                    `${plural(done.value.undone, 'amount')} put back${done.value.kept > 0 ? `; ${plural(done.value.kept, 'amount')} changed since and stayed` : ''}`,
                  );
                  comparatives.forgetPast();
                  refresh();
                })
              }
            >
              Undo taking from {last.paper.length > 24 ? `${last.paper.slice(0, 22)}…` : last.paper}
            </button>
          )}
          <Go href={`/books/${String(frame.id)}/openings`} className="btn btn-sm">
            Opening balances
          </Go>
        </>
      }
    >
      <div className="px-4">
        <Problems problems={comparatives.problems} />
        <div className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 pb-1.5">
          <FindField value={wanted} onChange={setWanted} />
          <label className="flex items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={onlyApart}
              onChange={() => setOnlyApart(!onlyApart)}
            />
            only accounts that do not come to their figure
          </label>
          <span role="status" className="note ml-auto">
            {comparatives.saving ? (
              'saving…'
            ) : comparatives.unsaved > 0 ? (
              <span className="text-brick">
                {plural(comparatives.unsaved, 'amount')} not saved{' '}
                <button type="button" className="btn btn-xs ml-1" onClick={comparatives.retry}>
                  Try again
                </button>
              </span>
            ) : comparatives.edits > 0 ? (
              'all saved'
            ) : (
              ''
            )}
          </span>
        </div>
      </div>
      <ComparativesGrid
        frame={frame}
        columns={columns}
        rows={shown}
        comparatives={comparatives}
        nets={nets}
        apart={apart}
        selected={chosen}
        onSelect={setChosen}
      />
    </Frame>
  );
};
