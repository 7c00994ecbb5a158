import { daysInclusive, plainDate } from '@/core/calendar/dates';
import type { PeriodState } from '@/core/calendar/year';
import { day } from '../parts/names';

export interface BandPeriod {
  readonly code: string;
  readonly name: string;
  readonly start: string;
  readonly end: string;
  readonly state: PeriodState;
}

interface BandProps {
  readonly periods: readonly BandPeriod[];
  /** ISO date, when it is the first day of one of the periods. */
  readonly cutover: string | undefined;
  readonly chosen?: readonly [number, number] | undefined;
  readonly onChoose?: (at: number, extend: boolean) => void;
}

const LOOK: Readonly<Record<PeriodState, string>> = {
  closed: 'bg-stone',
  locked: 'bg-stone',
  open: 'bg-vial',
  future: 'bg-paper',
};

/** The year as a band: each period as wide as it is long, its state in words, a flag where the books take over. */
export const YearBand = ({ periods, cutover, chosen, onChoose }: BandProps) => (
  <ol className="flex w-full overflow-x-auto pt-6 pb-1" aria-label="The year’s periods">
    {periods.map((period, at) => {
      const takesOver = period.start === cutover;
      const inside = chosen !== undefined && at >= Math.min(...chosen) && at <= Math.max(...chosen);
      const body = (
        <>
          <span className="block truncate text-xs font-medium">{period.name.split(' ')[0]}</span>
          <span className="block truncate text-[0.68rem] text-ink-2">{period.state}</span>
        </>
      );
      const look = `block w-full border border-l-0 px-1 py-1.5 text-left ${at === 0 ? 'border-l' : ''} ${LOOK[period.state]} ${inside ? 'border-madder shadow-[inset_0_0_0_2px_var(--color-madder)]' : 'border-rule'}`;
      return (
        <li
          key={period.code}
          className="relative min-w-12"
          style={{ flexGrow: daysInclusive(plainDate(period.start), plainDate(period.end)), flexBasis: 0 }}
        >
          {takesOver && (
            <span
              className="absolute -top-5 left-0 z-10 border-l-2 border-madder pl-1 text-xs font-medium whitespace-nowrap text-madder"
              style={{ height: 'calc(100% + 1.25rem)' }}
            >
              cutover {day(period.start)}
            </span>
          )}
          {onChoose === undefined ? (
            <div className={look}>{body}</div>
          ) : (
            <button
              type="button"
              aria-pressed={inside}
              className={look}
              onClick={(event) => onChoose(at, event.shiftKey)}
              title={`${period.name}: ${day(period.start)} to ${day(period.end)}`}
            >
              {body}
            </button>
          )}
        </li>
      );
    })}
  </ol>
);
