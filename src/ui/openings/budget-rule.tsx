'use client';

import { useState } from 'react';
import { toast } from 'sonner';
import { budgetByRule } from '@/actions/openings/comparatives';
import { type Problem, plural } from '@/core/base/result';
import { MarginPart } from '../frame/frame';
import { Field } from '../parts/field';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';

/** Fills the budget of the year's periods from last year's closing balances. */
export const BudgetRule = ({ books, onFilled }: { readonly books: number; readonly onFilled: () => void }) => {
  const [percent, setPercent] = useState('0');
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const fill = async (): Promise<void> => {
    const done = await send(budgetByRule({ books, percent }));
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`The budget of ${plural(done.value.accounts, 'account')} is filled; Ctrl+Z takes it back`);
    onFilled();
  };
  return (
    <MarginPart title="Budget">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void fill();
        }}
      >
        <Field
          label="From last year, more or less %"
          hint="divided evenly over the year’s periods; what stands in them is replaced"
        >
          {(ids) => (
            <input
              {...ids}
              value={percent}
              onChange={(event) => setPercent(event.target.value)}
              inputMode="decimal"
              autoComplete="off"
              className="input input-sm w-24 text-right"
            />
          )}
        </Field>
        <button className="btn btn-xs mt-1" disabled={percent.trim() === ''}>
          Fill the budget
        </button>
      </form>
      <Problems problems={problems} />
    </MarginPart>
  );
};
