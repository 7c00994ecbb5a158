'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import type { FoundSchedule } from '@/actions/schedules/views';
import { takeSupport } from '@/actions/schedules/ties';
import type { FrameView } from '@/actions/frame/views';
import { type AccountId, accountId, called } from '@/core/chart/account';
import type { Problem } from '@/core/base/result';
import { type Minor, NIL, subtract, sum } from '@/core/money/minor';
import type { ItemFields } from '@/core/schedules/item';
import type { ThingKind } from '@/core/schedules/kinds';
import { BESIDE } from '@/core/schedules/things/columns';
import { MarginPart } from '../frame/frame';
import { sided } from '../parts/figures';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';

interface Props {
  readonly frame: FrameView;
  readonly account: FoundSchedule['account'];
  readonly set: number;
  readonly schedule: ThingKind;
  readonly besides: FoundSchedule['besides'];
  readonly chosen: AccountId | null;
  /** The account's own opening figure. */
  readonly figure: Minor;
  readonly items: readonly ItemFields[];
  /** Whether anything may be changed. */
  readonly open: boolean;
  readonly onChoose: (to: AccountId | null) => void;
}

/** Where the second amounts of a list stand, and what has to be moved so that both accounts tie. */
export const BesidePart = ({
  frame,
  account,
  set,
  schedule,
  besides,
  chosen,
  figure,
  items,
  open,
  onChoose,
}: Props) => {
  const refresh = useRefresh();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const facts = BESIDE[schedule];
  if (facts === undefined) return null;
  const there = besides.find(({ id }) => id === chosen);
  const base = items.every(({ currency }) => currency === frame.currency);
  const second = sum(items.filter(({ besideAccount }) => besideAccount === chosen).map(({ beside }) => beside ?? NIL));
  const own = sum(items.map(({ open: amount }) => amount));
  // Only what stands on the wrong one of the two is moved: together they are what the list comes to.
  const move = subtract(figure, own);
  const moves =
    schedule === 'loan' && there !== undefined && base && move !== NIL && subtract(second, there.figure) === move;
  const takeBoth = async (): Promise<void> => {
    if (there === undefined) return;
    const done = await send(takeSupport({ books: frame.id, set, accounts: [account.id, there.id] }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast('Both figures are what their loans come to; Ctrl+Z on Opening balances takes it back');
    refresh();
  };
  return (
    <MarginPart title="On two accounts">
      <label className="block text-sm">
        {facts.where}
        <select
          className="select select-sm mt-0.5 w-full"
          value={chosen ?? ''}
          disabled={!open}
          onChange={(event) => onChoose(event.target.value === '' ? null : accountId(Number(event.target.value)))}
        >
          <option value="">this account</option>
          {besides.map((one) => (
            <option key={one.id} value={one.id}>
              {called(one)}
            </option>
          ))}
        </select>
      </label>
      {there !== undefined && second !== NIL && base && (
        <p className="mt-1 flex justify-between gap-3 text-sm">
          <span>comes to</span>
          <span className="tabular-nums">{sided(second, frame)}</span>
        </p>
      )}
      {moves && (
        <>
          <p className="mt-2 text-sm">So that both tie, move:</p>
          <table className="w-full text-sm" aria-label="What to move">
            <tbody>
              <tr>
                <td>{called(account)}</td>
                <td className="text-right tabular-nums">{sided(subtract(NIL, move), frame)}</td>
              </tr>
              <tr>
                <td>{called(there)}</td>
                <td className="text-right tabular-nums">{sided(move, frame)}</td>
              </tr>
            </tbody>
          </table>
          {open && (
            <button type="button" className="btn btn-xs mt-1" onClick={() => void takeBoth()}>
              Move it
            </button>
          )}
        </>
      )}
      <Problems problems={problems} />
    </MarginPart>
  );
};
