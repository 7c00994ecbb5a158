'use client';

import { useState } from 'react';
import { type Draft, addAfter, addBefore, takeAway } from '@/core/calendar/draft';
import type { Problem, Result } from '@/core/base/result';

interface Props {
  readonly years: Draft;
  readonly at: number;
  readonly onSelect: (at: number) => void;
  readonly onDraw: (next: Result<Draft>, select?: number) => void;
  readonly onProblem: (problem: Problem) => void;
}

/** The fiscal years in a row, and more of them before and after. */
export const YearStrip = ({ years: shown, at, onSelect, onDraw, onProblem }: Props) => {
  const [count, setCount] = useState('1');
  const year = shown[at];
  return (
    <div className="flex flex-wrap items-center gap-1" role="group" aria-label="Fiscal years">
      <button type="button" className="btn btn-xs" onClick={() => onDraw(addBefore(shown), 0)}>
        + year before
      </button>
      {shown.map((one, place) => (
        <button
          key={`${one.name}${one.start.toString()}`}
          type="button"
          aria-pressed={place === at}
          className={`min-h-6 border px-2 text-sm ${place === at ? 'border-ink bg-stone font-semibold' : 'border-rule hover:bg-paper-2'}`}
          onClick={() => onSelect(place)}
        >
          {one.name}
        </button>
      ))}
      <form
        className="flex items-center gap-1"
        onSubmit={(event) => {
          event.preventDefault();
          const wanted = /^\d{1,3}$/.test(count) ? Number(count) : 0;
          if (wanted < 1 || shown.length + wanted > 150)
            onProblem({
              code: 'years.count',
              message: `A calendar has at most 150 years; ${count === '' ? 'nothing' : count} more cannot be added to ${String(shown.length)}.`,
            });
          else onDraw(addAfter(shown, wanted), shown.length);
        }}
      >
        <button className="btn btn-xs">+ years after</button>
        <input
          aria-label="How many years after"
          value={count}
          inputMode="numeric"
          onChange={(event) => setCount(event.target.value.trim())}
          className="input input-xs w-10 text-right"
        />
      </form>
      {year !== undefined && shown.length > 1 && (at === 0 || at === shown.length - 1) && (
        <button type="button" className="btn btn-xs" onClick={() => onDraw(takeAway(shown, at), at === 0 ? 0 : at - 1)}>
          take {year.name} away
        </button>
      )}
    </div>
  );
};
