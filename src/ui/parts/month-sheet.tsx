'use client';

import { dateOf } from '@/core/base/dates';
import { type IsoDate } from '@/core/base/iso-date';
import { DayPicker } from 'react-day-picker';

/** A date of the calendar, in whatever zone the browser stands, and back; the picker knows only such dates. */
const local = (iso: string): Date | undefined => {
  const [year, month, day] = iso.split('-').map(Number);
  return year === undefined || month === undefined || day === undefined ? undefined : new Date(year, month - 1, day);
};
const isoOf = (date: Date): IsoDate => dateOf(date.getFullYear(), date.getMonth() + 1, date.getDate()).toString();

/** A month to pick a day from; weeks begin on Monday, as in ISO 8601. */
export const MonthSheet = ({ value, onDay }: { readonly value: string; readonly onDay: (iso: IsoDate) => void }) => {
  const chosen = /^\d{4}-\d{2}-\d{2}$/.test(value) ? local(value) : undefined;
  return (
    <DayPicker
      mode="single"
      autoFocus
      required={false}
      weekStartsOn={1}
      captionLayout="dropdown"
      startMonth={new Date(1950, 0)}
      endMonth={new Date(2149, 11)}
      {...(chosen === undefined ? {} : { selected: chosen, defaultMonth: chosen })}
      onDayClick={(date) => onDay(isoOf(date))}
      classNames={{
        root: 'month-sheet',
        months: 'relative',
        nav: 'absolute inset-x-0 top-0 flex justify-between',
        button_previous: 'btn btn-xs',
        button_next: 'btn btn-xs',
        chevron: 'size-3 fill-current',
        month_caption: 'flex justify-center pb-2',
        dropdowns: 'flex gap-1',
        dropdown_root: 'relative',
        dropdown: 'select select-xs w-auto',
        caption_label: 'hidden',
        month_grid: 'border-collapse',
        weekday: 'w-9 py-1 text-center text-xs font-medium text-ink-2',
        day: 'p-0 text-center',
        day_button: 'size-9 hover:bg-paper-2',
        selected: 'bg-madder text-paper font-semibold',
        today: 'underline decoration-2 underline-offset-4',
        outside: 'text-ink-2',
      }}
    />
  );
};
