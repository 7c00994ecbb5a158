'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { explainTie, takeSupport } from '@/actions/schedules/ties';
import type { FrameView } from '@/actions/frame/views';
import { isAt, type Problem } from '@/core/base/result';
import { NIL } from '@/core/money/minor';
import type { Looked, Supported, Tie } from '@/core/schedules/tie-out';
import { MarginPart } from '../frame/frame';
import { useMay } from '../frame/may-context';
import { Field } from '../parts/field';
import { moneyOf, sided } from '../parts/figures';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { LookedAt } from './looked-at';
import { TIE_STATES } from './tie-words';
import { useRefresh } from '../parts/use-refresh';

interface Props {
  readonly frame: FrameView;
  readonly account: number;
  readonly set: number;
  readonly tie: Tie;
  /** What the items come to, per currency. */
  readonly sums: readonly Supported[];
  /** Who looked at it; null where nobody did. */
  readonly looked: Looked | null;
  /** Whether the version may be changed, by whoever may. */
  readonly open: boolean;
}

/** The figure beside what stands behind it, in every currency; the ways out of a difference. */
export const TieBox = ({ frame, account, set, tie, sums, looked, open }: Props) => {
  const refresh = useRefresh();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [reason, setReason] = useState('');
  const apart = tie.state === 'apart';
  const [takes, explains] = [useMay('openings.change'), useMay('schedules.explain')];
  const take = async (): Promise<void> => {
    const done = await send(takeSupport({ books: frame.id, set, accounts: [account] }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`The figure is ${sided(done.value.amounts[0] ?? NIL, frame)} now; Ctrl+Z on Opening balances takes it back`);
    refresh();
  };
  const explain = async (why: string | null): Promise<void> => {
    const done = await send(explainTie({ books: frame.id, set, account, reason: why }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    setReason('');
    refresh();
  };
  return (
    <MarginPart title="Tie-out">
      <table className="w-full" aria-label="Tie-out">
        <tbody>
          <tr>
            <th scope="row" className="text-left font-normal">
              Opening figure
            </th>
            <td className="text-right tabular-nums">{sided(tie.figure, frame)}</td>
          </tr>
          <tr>
            <th scope="row" className="text-left font-normal">
              Its support
            </th>
            <td className="text-right tabular-nums">{tie.support === null ? '' : sided(tie.support, frame)}</td>
          </tr>
          <tr className="border-t border-ink font-semibold">
            <th scope="row" className="text-left">
              {apart && tie.difference !== NIL ? 'Difference' : 'State'}
            </th>
            <td className={`text-right tabular-nums ${apart || tie.state === 'unknown' ? 'text-madder' : ''}`}>
              <span role="status">
                {apart && tie.difference !== null && tie.difference !== NIL
                  ? sided(tie.difference, frame)
                  : TIE_STATES[tie.state]}
              </span>
            </td>
          </tr>
          {tie.currencies.length === 0 &&
            sums.length > 1 &&
            sums.map(({ currency, open: amount }) => (
              <tr key={currency} className="text-ink-2">
                <th scope="row" className="text-left font-normal">
                  items in {currency}
                </th>
                <td className="text-right tabular-nums">{sided(amount, moneyOf(currency, frame))}</td>
              </tr>
            ))}
          {tie.currencies.map((one) => {
            const money = moneyOf(one.currency, frame);
            return (
              <tr key={one.currency} className="text-ink-2">
                <th scope="row" className="text-left font-normal">
                  in {one.currency}
                </th>
                <td className={`text-right tabular-nums ${one.difference === NIL ? '' : 'text-madder'}`}>
                  {one.difference === NIL
                    ? `ties: ${sided(one.support, money)}`
                    : `${sided(one.figure, money)} and ${sided(one.support, money)}`}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Problems problems={problems.filter((one) => !isAt(one, 'reason'))} />
      {tie.reason !== null && (
        <p className="mt-1.5">
          “{tie.reason}”{' '}
          {open && explains && (
            <button type="button" className="link text-sm" onClick={() => void explain(null)}>
              no longer
            </button>
          )}
        </p>
      )}
      {open && apart && (
        <div className="mt-2 flex flex-col gap-2">
          {takes && tie.support !== null && (
            <button type="button" className="btn btn-xs self-start" onClick={() => void take()}>
              Take {sided(tie.support, frame)} as the figure
            </button>
          )}
          {explains && tie.difference !== null && tie.difference !== NIL && (
            <form
              onSubmit={(event) => {
                event.preventDefault();
                void explain(reason);
              }}
            >
              <Field
                label="Or say why the difference may stand"
                hint="it stays to be seen, as explained"
                problem={problems.find((one) => isAt(one, 'reason'))?.message}
              >
                {(ids) => (
                  <input
                    {...ids}
                    value={reason}
                    onChange={(event) => setReason(event.target.value)}
                    autoComplete="off"
                    className="input input-sm w-full"
                  />
                )}
              </Field>
              <button className="btn btn-xs mt-1" disabled={reason.trim() === ''}>
                Explain it
              </button>
            </form>
          )}
        </div>
      )}
      <LookedAt books={frame.id} account={account} tie={tie} looked={looked} />
    </MarginPart>
  );
};
