'use client';

import { Check } from 'lucide-react';
import { useState } from 'react';
import { lookAt } from '@/actions/schedules/ties';
import type { Problem } from '@/core/base/result';
import { type Looked, type Tie, stillLooked } from '@/core/schedules/tie-out';

import { useMay } from '../frame/may-context';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { useRefresh } from '../parts/use-refresh';
import { useMoment } from '../parts/when';

/** Who looked at a figure and at what stands behind it, and whether both are still so; and the way to say that one has. */
export const LookedAt = ({
  books,
  account,
  tie,
  looked,
  brief = false,
}: {
  readonly books: number;
  readonly account: number;
  readonly tie: Tie;
  readonly looked: Looked | null;
  /** In a row of a table there is room for few words. */
  readonly brief?: boolean;
}) => {
  const refresh = useRefresh();
  const moment = useMoment();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const may = useMay('schedules.look');
  const still = looked !== null && stillLooked(tie, looked);
  const put = async (yes: boolean): Promise<void> => {
    const done = await send(lookAt({ books, account, looked: yes }));
    setProblems(done.ok ? [] : done.problems);
    if (done.ok) refresh();
  };
  return (
    <div className={brief ? '' : 'mt-2'}>
      {still ? (
        <p className="flex flex-wrap items-center gap-x-1.5">
          <Check aria-hidden className="size-3.5 shrink-0" />
          <span title={moment(looked.at)}>{brief ? looked.by : `Looked at by ${looked.by}, ${moment(looked.at)}`}</span>
          {!brief && may && (
            <button type="button" className="link text-sm" onClick={() => void put(false)}>
              no longer
            </button>
          )}
        </p>
      ) : (
        <p className="flex flex-wrap items-center gap-x-2">
          {looked !== null && (
            <span className="text-ochre" title={`${looked.by}, ${moment(looked.at)}`}>
              {brief ? 'changed since' : `Changed since ${looked.by} looked at it`}
            </span>
          )}
          {may && (
            <button type="button" className="btn btn-xs" onClick={() => void put(true)}>
              {brief ? 'Mark' : 'Mark as looked at'}
            </button>
          )}
        </p>
      )}
      <Problems problems={problems} />
    </div>
  );
};
