'use client';

import { type IsoDate } from '@/core/base/iso-date';
import { useState } from 'react';
import type { FrameView } from '@/actions/frame/views';
import { rateText, typedRate } from '@/core/chart/tax-cells';
import type { TaxRate } from '@/core/chart/tax-codes';
import { DateInput } from '../parts/date-input';
import { day } from '../parts/names';

interface Props {
  readonly frame: FrameView;
  readonly rates: readonly TaxRate[];
  readonly open: boolean;
  readonly onRates: (rates: readonly TaxRate[]) => void;
}

/** The rates of one tax code by their first days; the sheet beside has the one that counts at the opening date. */
export const TaxRates = ({ frame, rates, open, onRates }: Props) => {
  const [typed, setTyped] = useState<{ readonly rate: string; readonly from: IsoDate | '' }>({ rate: '', from: '' });
  const [says, setSays] = useState<string | undefined>();
  const add = (): void => {
    const read = typedRate(typed.rate);
    const problem = !read.ok
      ? read.problems[0]?.message
      : typed.from === ''
        ? 'Type the day from which it counts.'
        : rates.some(({ from }) => from === typed.from)
          ? 'Another rate begins on that day. Take that one away first, or type it on the sheet.'
          : undefined;
    setSays(problem);
    if (!read.ok || problem !== undefined || typed.from === '') return;
    onRates([...rates, { from: typed.from, rate: read.value }].sort((a, b) => (a.from < b.from ? -1 : 1)));
    setTyped({ rate: '', from: '' });
  };
  return (
    <>
      <ul aria-label="Rates by their first days">
        {rates.map(({ from, rate }) => (
          <li key={from} className="flex items-baseline gap-2">
            <span className="figure w-14">{rateText(rate, frame.style)} %</span>
            <span className="flex-1">from {day(from, frame.dates)}</span>
            {open && (
              <button
                type="button"
                className="btn btn-ghost btn-xs"
                onClick={() => onRates(rates.filter((one) => one.from !== from))}
              >
                delete<span className="sr-only"> the rate from {day(from, frame.dates)}</span>
              </button>
            )}
          </li>
        ))}
      </ul>
      {open && (
        <form
          className="mt-2"
          onSubmit={(event) => {
            event.preventDefault();
            add();
          }}
        >
          <div className="flex items-center gap-1.5">
            <input
              aria-label="Another rate"
              inputMode="decimal"
              autoComplete="off"
              value={typed.rate}
              onChange={(event) => setTyped({ ...typed, rate: event.target.value })}
              className="input input-sm w-16 text-right"
            />
            <span className="whitespace-nowrap">% from</span>
            <DateInput
              aria-label="First day of the other rate"
              dates={frame.dates}
              value={typed.from}
              onDate={(from) => setTyped((was) => ({ ...was, from }))}
            />
          </div>
          {says !== undefined && (
            <p className="mt-1 text-brick" role="alert">
              {says}
            </p>
          )}
          <button type="submit" className="btn btn-xs mt-1.5">
            Add the rate
          </button>
        </form>
      )}
    </>
  );
};
