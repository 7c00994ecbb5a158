'use client';

import { useState } from 'react';
import { type DateStyle, writeStyled } from '@/core/base/date-style';
import { readStyled } from '@/core/base/dates';
import type { IsoDate } from '@/core/base/iso-date';
import { DayChooser } from './day-chooser';

interface Props {
  /** `YYYY-MM-DD`, or empty. */
  readonly value: string;
  readonly dates: DateStyle;
  /** Called with `YYYY-MM-DD` or empty when the field is left with another date. */
  readonly onDate: (iso: IsoDate | '') => void;
  readonly className?: string;
  readonly disabled?: boolean;
  /** In a table: its calendar opens by the keys alone, without a button in each row. */
  readonly bare?: boolean;
  readonly id?: string;
  readonly 'aria-label'?: string;
  readonly 'aria-describedby'?: string;
  readonly 'aria-invalid'?: boolean;
}

const shown = (iso: string, dates: DateStyle): string =>
  /^\d{4}-\d{2}-\d{2}$/.test(iso) ? writeStyled(iso, dates) : iso;

/**
 * A date as these books write it, typed, or picked from a calendar (Alt and arrow down); year-month-day is taken too. What does not read as a date stays
 * as it was typed, with the sentence that says why; Esc puts the date back.
 */
export const DateInput = ({
  value,
  dates,
  onDate,
  className = 'input input-sm w-full',
  bare = false,
  ...rest
}: Props) => {
  const [problem, setProblem] = useState<string | undefined>();
  const [picking, setPicking] = useState(false);
  const [seen, setSeen] = useState(value);
  // Another value came from outside: what was wrong with the old text does not count any more.
  if (seen !== value) {
    setSeen(value);
    setProblem(undefined);
  }
  const keep = (field: HTMLInputElement): void => {
    const text = field.value.trim();
    const read = text === '' ? undefined : readStyled(text, dates);
    setProblem(read?.ok === false ? read.problems[0]?.message : undefined);
    if (read?.ok === false) return;
    const iso = read === undefined ? '' : read.value.toString();
    field.value = shown(iso, dates);
    if (iso !== value) onDate(iso);
  };
  return (
    <>
      <span className={`flex items-stretch ${className.includes('w-full') ? 'w-full' : ''}`}>
        <input
          {...rest}
          key={value}
          type="text"
          inputMode={dates.month === 'name' ? 'text' : 'numeric'}
          autoComplete="off"
          defaultValue={shown(value, dates)}
          placeholder={shown('2026-07-31', dates)}
          aria-invalid={problem !== undefined || rest['aria-invalid'] === true}
          className={className}
          onBlur={(event) => keep(event.target)}
          onKeyDown={(event) => {
            if (event.key === 'Escape') {
              event.currentTarget.value = shown(value, dates);
              setProblem(undefined);
            } else if (event.key === 'Enter') {
              // Kept where it stands: leaving the field on a key would let the same key press whatever gets the focus.
              event.preventDefault();
              keep(event.currentTarget);
            } else if (event.key === 'ArrowDown' && event.altKey) {
              event.preventDefault();
              setPicking(true);
            }
          }}
        />
        <DayChooser
          value={value}
          dates={dates}
          open={picking}
          button={!bare}
          disabled={rest.disabled === true}
          onOpen={setPicking}
          onDay={(iso) => {
            setProblem(undefined);
            if (iso !== value) onDate(iso);
          }}
        />
      </span>
      {problem !== undefined && (
        <span role="alert" className="block text-sm text-brick">
          {problem}
        </span>
      )}
    </>
  );
};
