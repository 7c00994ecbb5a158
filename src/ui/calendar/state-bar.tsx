'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { setPeriods } from '@/actions/calendar/commands';
import type { PeriodView } from '@/actions/calendar/views';
import { PERIOD_STATES, type PeriodState } from '@/core/calendar/states';
import { type Problem, plural } from '@/core/base/result';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';

interface Props {
  readonly books: number;
  /** The chosen range. */
  readonly range: readonly PeriodView[];
  /** Everything from the cutover through the last chosen period that is not open yet. */
  readonly through: readonly PeriodView[];
}

/** Puts the chosen periods into a state; says what is unfinished in them before they are closed. */
export const StateBar = ({ books, range, through }: Props) => {
  const refresh = useRefresh();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [asked, setAsked] = useState<
    { readonly periods: readonly PeriodView[]; readonly state: PeriodState } | undefined
  >();
  const [why, setWhy] = useState('');
  const [busy, setBusy] = useState(false);
  const put = async (periods: readonly PeriodView[], state: PeriodState, evenIfUnfinished = false): Promise<void> => {
    setBusy(true);
    const done = await send(
      setPeriods({ books, periods: periods.map((period) => period.id), state, why, evenIfUnfinished }),
    );
    setBusy(false);
    setProblems(done.ok ? [] : done.problems);
    setAsked(
      !done.ok && done.problems.every((one) => one.code === 'period.unfinished') ? { periods, state } : undefined,
    );
    if (!done.ok) return;
    setWhy('');
    toast(`${plural(done.value.changed, 'period')} now ${state}`);
    refresh();
  };
  if (range.length === 0)
    return (
      <p className="note py-2">
        Choose a period in the band or in its row; Shift and a second one choose the range between.
      </p>
    );
  return (
    <div className="py-1.5">
      <div className="flex flex-wrap items-center gap-1.5">
        <p className="text-sm">
          <span className="font-medium">
            {range.length === 1 ? range[0]?.name : `${range[0]?.name ?? ''} through ${range.at(-1)?.name ?? ''}`}
          </span>
          : make {range.length === 1 ? 'it' : 'them'}
        </p>
        {PERIOD_STATES.map((state) => (
          <button
            key={state}
            type="button"
            disabled={busy || range.every((period) => period.state === state)}
            className="btn btn-xs"
            onClick={() => void put(range, state)}
          >
            {state}
          </button>
        ))}
        {through.length > 1 && (
          <button type="button" disabled={busy} className="btn btn-xs" onClick={() => void put(through, 'open')}>
            open everything through {range.at(-1)?.name}
          </button>
        )}
        <input
          aria-label="Reason"
          placeholder="reason, kept in the history"
          value={why}
          maxLength={200}
          onChange={(event) => setWhy(event.target.value)}
          className="input input-xs h-7 w-52"
        />
      </div>
      <Problems problems={problems} />
      {asked !== undefined && (
        <button type="button" className="btn btn-xs mt-1.5" onClick={() => void put(asked.periods, asked.state, true)}>
          Make {asked.periods.length === 1 ? 'it' : 'them'} {asked.state} all the same
        </button>
      )}
    </div>
  );
};
