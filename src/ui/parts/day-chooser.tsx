'use client';

import { type IsoDate } from '@/core/base/iso-date';
import { CalendarDays } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useEffect, useRef } from 'react';
import { type DateStyle, writeStyled } from '@/core/base/date-style';

// The calendar is fetched when somebody opens one.
const MonthSheet = dynamic(() => import('./month-sheet').then(({ MonthSheet: sheet }) => sheet), {
  ssr: false,
  loading: () => <p className="note p-2">Opening the calendar…</p>,
});

interface Props {
  /** `YYYY-MM-DD`, or empty. */
  readonly value: string;
  readonly dates: DateStyle;
  readonly open: boolean;
  /** Whether a button opens it, beside the keys. */
  readonly button: boolean;
  readonly disabled: boolean;
  readonly onOpen: (open: boolean) => void;
  readonly onDay: (iso: IsoDate) => void;
}

/** The calendar of a date field. It is not on the way of the Tab key: a date is typed quicker, and Alt with arrow down opens it. */
export const DayChooser = ({ value, dates, open, button, disabled, onOpen, onDay }: Props) => {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    if (open) dialog.current?.showModal();
  }, [open]);
  const close = (): void => {
    dialog.current?.close();
    onOpen(false);
  };
  return (
    <>
      {button && (
        <button
          type="button"
          tabIndex={-1}
          disabled={disabled}
          aria-label={`Choose from a calendar${value === '' ? '' : `, now ${writeStyled(value, dates)}`}`}
          className="px-1 text-ink-2 hover:text-ink print:hidden"
          onClick={() => onOpen(true)}
        >
          <CalendarDays size={14} aria-hidden />
        </button>
      )}
      {open && (
        <dialog
          ref={dialog}
          aria-label="Choose a day"
          className="m-auto border border-rule bg-paper p-3 text-ink shadow-md backdrop:bg-ink/20"
          onClose={() => onOpen(false)}
          onClick={(event) => {
            if (event.target === dialog.current) close();
          }}
        >
          <MonthSheet
            value={value}
            onDay={(iso) => {
              onDay(iso);
              close();
            }}
          />
          <p className="note mt-1">Esc leaves it as it is.</p>
        </dialog>
      )}
    </>
  );
};
