'use client';

import { useState } from 'react';
import type { RowChoice } from '@/core/chart/incoming';
import { isTyping, useUndoKeys } from '../parts/undo-keys';

export type RowChoices = ReadonlyMap<number, RowChoice>;

interface Steps {
  readonly before: readonly RowChoices[];
  readonly now: RowChoices;
  readonly after: readonly RowChoices[];
}

const NONE: Steps = { before: [], now: new Map(), after: [] };

export interface RowChoicesHeld {
  readonly choices: RowChoices;
  readonly choose: (decided: RowChoices) => void;
  /** For another source. */
  readonly forget: () => void;
}

/** What is decided about the rows of a source before it is taken; Ctrl+Z takes a step back. */
export const useRowChoices = (): RowChoicesHeld => {
  const [{ now }, setSteps] = useState(NONE);
  useUndoKeys({
    typing: isTyping,
    undo: () =>
      setSteps((was) => {
        const last = was.before.at(-1);
        return last === undefined
          ? was
          : { before: was.before.slice(0, -1), now: last, after: [was.now, ...was.after] };
      }),
    redo: () =>
      setSteps((was) => {
        const [next, ...after] = was.after;
        return next === undefined ? was : { before: [...was.before, was.now], now: next, after };
      }),
  });
  return {
    choices: now,
    choose: (decided) =>
      setSteps((was) => ({ before: [...was.before, was.now], now: new Map([...was.now, ...decided]), after: [] })),
    forget: () => setSteps(NONE),
  };
};
