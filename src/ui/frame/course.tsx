'use client';

import { useEffect, useRef } from 'react';
import type { StageId } from '@/core/proof/stage-ids';
import { type StageState, whileTyping } from '@/core/proof/stages';
import type { Totals } from '@/core/ledger/level';
import { Go } from '../parts/go';
import { useTotals } from './level-context';
import { stageHref } from './stage-href';

/** The course: the stages as a row of stones, each filled as far as it is laid, each saying how it stands, also while somebody types. */
export const Course = ({
  books,
  stages,
  totals,
  current,
}: {
  readonly books: number;
  readonly stages: readonly StageState[];
  /** The totals that the states of the stages are of. */
  readonly totals: Totals;
  readonly current: StageId | undefined;
}) => {
  const shown = whileTyping(stages, totals, useTotals());
  const stones = useRef<HTMLElement>(null);
  // On a narrow screen the stones go on to the right: the one of this page is brought into sight.
  useEffect(() => {
    const row = stones.current;
    const here = row?.querySelector<HTMLElement>('[aria-current]');
    if (row && here) row.scrollLeft = here.offsetLeft - (row.clientWidth - here.offsetWidth) / 2;
  }, [current]);
  return (
    <nav ref={stones} aria-label="Stages" className="no-print relative min-w-0 overflow-x-auto">
      <ol className="flex h-full items-end gap-1 pt-2">
        {shown.map((stage) => {
          const here = stage.id === current;
          return (
            <li key={stage.id} className="min-w-24 flex-auto">
              <Go
                href={stageHref(books, stage.id)}
                aria-current={here ? 'page' : undefined}
                className={`relative block overflow-hidden border border-b-0 px-2.5 pt-1 pb-1 focus-visible:outline-offset-[-3px] ${here ? 'border-rule border-t-[3px] border-t-madder bg-paper' : 'border-rule border-t-[3px] border-t-rule bg-paper hover:bg-paper-2'}`}
              >
                <span
                  aria-hidden
                  className="absolute inset-x-0 bottom-0 bg-stone"
                  style={{ height: `${String(stage.fill)}%`, opacity: here ? 0.55 : 1 }}
                />
                <span className={`relative block truncate text-sm ${here ? 'font-semibold' : 'font-medium'}`}>
                  {stage.label}
                </span>
                <span className="relative block truncate text-xs text-ink-2">{stage.note}</span>
              </Go>
            </li>
          );
        })}
      </ol>
    </nav>
  );
};
