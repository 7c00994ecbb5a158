'use client';

import { useState, useSyncExternalStore } from 'react';
import type { FrameView } from '@/actions/frame/views';
import type { OpeningRowView } from '@/actions/openings/views';
import { type AccountId, called } from '@/core/chart/account';
import { NIL } from '@/core/money/minor';
import { closeResults } from '@/core/openings/closing';
import { plural } from '@/core/base/result';
import { sided } from '../parts/figures';
import type { Figures } from './figures';

interface Props {
  readonly frame: FrameView;
  readonly rows: readonly OpeningRowView[];
  readonly figures: Figures;
}

/** At a year start: the offer to close results that were carried in to retained earnings, with the entry that does it. */
export const CloseResults = ({ frame, rows, figures }: Props) => {
  const [shown, setShown] = useState(false);
  // Any change of a figure may change the entry.
  useSyncExternalStore(figures.watch, figures.standing, figures.standing);
  const amounts = new Map(rows.map(({ id }): [AccountId, typeof NIL] => [id, figures.get(id).amount ?? NIL]));
  const entry = closeResults(rows, amounts);
  if (entry?.length === 0) return null;
  const byId = new Map(rows.map((row) => [row.id, row]));
  return (
    <section
      aria-label="Results carried in"
      className="mx-4 mb-2 border-l-4 border-ochre bg-paper-2 px-3 py-1.5 text-sm"
    >
      {entry === undefined ? (
        <p>
          Income and expense accounts hold figures, and at a year start they open at nil. No account has the role of
          retained earnings yet; give it to one on the Chart page, and the results can be closed to it here.
        </p>
      ) : (
        <>
          <p className="flex flex-wrap items-center gap-x-3 gap-y-1">
            <span>
              {plural(entry.length - 1, 'income and expense account')}{' '}
              {entry.length === 2 ? 'holds a figure' : 'hold figures'}; at a year start they open at nil.
            </span>
            <button type="button" className="btn btn-xs" aria-expanded={shown} onClick={() => setShown((was) => !was)}>
              {shown ? 'Hide the entry' : 'Show the closing entry'}
            </button>
          </p>
          {shown && (
            <div className="mt-1.5 max-h-56 overflow-y-auto">
              <table className="ledger">
                <thead>
                  <tr>
                    <th scope="col">Account</th>
                    <th scope="col" className="figure">
                      Now
                    </th>
                    <th scope="col" className="figure">
                      After
                    </th>
                  </tr>
                </thead>
                <tbody>
                  {entry.map(({ account, from, to }) => {
                    const row = byId.get(account);
                    return (
                      <tr key={account}>
                        <td>{row === undefined ? '' : called(row)}</td>
                        <td className="figure">{sided(from, frame)}</td>
                        <td className="figure">{sided(to, frame)}</td>
                      </tr>
                    );
                  })}
                </tbody>
              </table>
              <button
                type="button"
                className="btn btn-xs my-1.5"
                onClick={() => {
                  figures.put(
                    entry.map(({ account, to }) => ({
                      account,
                      amount: to === NIL ? null : to,
                      why: 'results closed to retained earnings',
                    })),
                  );
                  setShown(false);
                }}
              >
                Close to retained earnings
              </button>
            </div>
          )}
        </>
      )}
    </section>
  );
};
