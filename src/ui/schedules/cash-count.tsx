'use client';

import { type Currency } from '@/core/money/currency';
import { useState } from 'react';
import { formatMinor } from '@/core/money/format';
import type { NumberStyle } from '@/core/money/number-style';
import { type Counted, countedSum, denominations } from '@/core/schedules/cash-count';

/** How many there are of each note and coin in a cash box; what they come to becomes its balance. */
export const CashCount = ({
  money: { currency, digits, style },
  counted,
  open,
  onCounted,
}: {
  readonly money: { readonly currency: Currency; readonly digits: number; readonly style: NumberStyle };
  readonly counted: Counted | null;
  readonly open: boolean;
  readonly onCounted: (counted: Counted) => void;
}) => {
  const [texts, setTexts] = useState<Readonly<Record<string, string>>>(() =>
    Object.fromEntries(Object.entries(counted ?? {}).map(([value, count]) => [value, String(count)])),
  );
  const values = denominations(currency);
  const wrong = Object.entries(texts).filter(([, text]) => text.trim() !== '' && !/^\d{1,6}$/.test(text.trim()));
  const own: Counted = Object.fromEntries(
    Object.entries(texts).flatMap(([value, text]) =>
      /^\d{1,6}$/.test(text.trim()) && Number(text) > 0 ? [[value, Number(text)]] : [],
    ),
  );
  const total = countedSum(own);
  return (
    <details className="w-full text-sm" open={counted !== null}>
      <summary>Count by note and coin</summary>
      <form
        className="mt-2 flex flex-col gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (wrong.length === 0) onCounted(own);
        }}
      >
        <div className="grid grid-cols-[repeat(auto-fill,minmax(9.5rem,1fr))] gap-x-4 gap-y-1">
          {values.map((value) => {
            const key = String(value);
            const says = formatMinor(value, digits, style);
            return (
              <label key={key} className="flex items-center gap-2">
                <span className="w-20 text-right tabular-nums">{says} ×</span>
                <input
                  value={texts[key] ?? ''}
                  inputMode="numeric"
                  disabled={!open}
                  autoComplete="off"
                  aria-label={`How many of ${says} ${currency}`}
                  aria-invalid={wrong.some(([one]) => one === key)}
                  className="input input-xs w-14 text-right"
                  onChange={(event) => setTexts({ ...texts, [key]: event.target.value })}
                />
              </label>
            );
          })}
        </div>
        <p className="flex flex-wrap items-center gap-3">
          <output className="font-semibold tabular-nums">
            {formatMinor(total, digits, style)} {currency}
          </output>
          {wrong.length > 0 && <span className="text-brick">A count is a whole number.</span>}
          {open && (
            <button className="btn btn-xs" disabled={wrong.length > 0 || total === 0n}>
              Save the count
            </button>
          )}
        </p>
      </form>
    </details>
  );
};
