'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { takeComparatives } from '@/actions/openings/comparatives';
import type { PaperView } from '@/actions/papers/views';
import { type Problem, plural } from '@/core/base/result';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';

/** Columns of the paper that become comparatives: last year's close, or a period of this year. */
export const TakeComparatives = ({ books, paper }: { readonly books: number; readonly paper: PaperView }) => {
  const router = useRouter();
  const { columns, sources } = paper.comparatives;
  const [becomes, setBecomes] = useState<ReadonlyMap<number, number>>(
    () => new Map(sources.flatMap(({ column, proposed }) => (proposed === null ? [] : [[column, proposed] as const]))),
  );
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  if (sources.length === 0 || columns.length === 0) return null;
  const take = async (): Promise<void> => {
    setBusy(true);
    const takes = [...becomes].map(([from, column]) => ({ from: from < 0 ? null : from, column }));
    const done = await send(takeComparatives({ books, paper: paper.id, takes }));
    setBusy(false);
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(
      `${plural(done.value.amounts, 'comparative')} taken over${done.value.divided > 0 ? `; ${plural(done.value.divided, 'divided row')} left for typing` : ''}. It can be undone on the Comparatives page.`,
    );
    router.push(`/books/${String(books)}/openings/comparatives`);
  };
  return (
    <details className="text-sm">
      <summary className="cursor-pointer">Take columns over as comparatives</summary>
      <form
        className="mt-1.5 flex flex-col gap-1.5"
        onSubmit={(event) => {
          event.preventDefault();
          void take();
        }}
      >
        <Problems problems={problems} />
        <p className="note max-w-prose">
          Last year’s closing balances, or the movements of a period of this year. Rows go to the accounts that are
          chosen below; what a comparative column held before is replaced.
        </p>
        <div className="flex flex-wrap gap-x-6 gap-y-1.5">
          {[{ column: -1, title: 'the amounts as the paper is read' }, ...sources].map(({ column, title }) => (
            <label key={column} className="flex items-center gap-2">
              <span className="max-w-56 truncate">{column < 0 ? title : `“${title}”`}</span>
              <select
                className="select select-xs w-40"
                value={becomes.get(column) ?? ''}
                onChange={(event) =>
                  setBecomes((was) => {
                    const next = new Map(was);
                    if (event.target.value === '') next.delete(column);
                    else next.set(column, Number(event.target.value));
                    return next;
                  })
                }
              >
                <option value="">nothing</option>
                {columns.map((one) => (
                  <option key={one.column} value={one.column}>
                    {one.label}
                  </option>
                ))}
              </select>
            </label>
          ))}
        </div>
        <button className="btn btn-xs self-start" disabled={busy || becomes.size === 0}>
          Take over as comparatives
        </button>
      </form>
    </details>
  );
};
