import type { PeriodView } from '@/actions/calendar/views';
import type { DateStyle } from '@/core/base/date-style';
import { daysInclusive, plainDate } from '@/core/base/dates';
import type { IsoDate } from '@/core/base/iso-date';
import type { PeriodState } from '@/core/calendar/states';
import { quarterOf } from '@/core/calendar/year';
import { day } from '../parts/names';

/** A period as it is drawn, also one that is not stored yet. */
export type BandPeriod = Omit<PeriodView, 'id'>;

interface BandProps {
  readonly label: string;
  readonly dates: DateStyle;
  readonly periods: readonly BandPeriod[];
  /** ISO date; drawn when it is the first day of one of the periods. */
  readonly cutover: IsoDate | undefined;
  readonly today?: IsoDate | undefined;
  /** Place (from 1) of the period that holds the 53rd week. */
  readonly extraWeek?: number | undefined;
  /** Places that are chosen, first and last. */
  readonly chosen?: readonly [number, number] | undefined;
  readonly onChoose?: (at: number, extend: boolean) => void;
}

const LOOK: Readonly<Record<PeriodState, string>> = {
  closed: 'bg-stone',
  locked: 'bg-stone',
  open: 'bg-vial',
  future: 'bg-paper',
};

/** The year as a band: each period as wide as it is long, its state in words, quarters below, flags for cutover and today. */
export const YearBand = ({ label, dates, periods, cutover, today, extraWeek, chosen, onChoose }: BandProps) => {
  const regular = periods.filter((one) => one.kind === 'regular');
  const [first] = regular;
  const last = regular.at(-1);
  if (first === undefined || last === undefined) return null;
  const length = daysInclusive(plainDate(first.start), plainDate(last.end));
  const inYear = today !== undefined && today >= first.start && today <= last.end;
  const quarters = regular.map((_, at) => quarterOf(at, regular.length));
  const short = regular.map((period) => period.name.split(' ')[0] ?? '');
  // Where first words do not tell the periods apart, or are too many for their room, the codes do.
  const byCode = regular.length > 16 || new Set(short).size < regular.length;
  return (
    <div className="overflow-x-auto pt-6 pb-1">
      <div className="relative flex" style={{ minWidth: `${String(regular.length * 2.6)}rem` }}>
        <ol className="relative flex min-w-0 flex-1" aria-label={label}>
          {regular.map((period, at) => {
            const takesOver = period.start === cutover;
            const inside = chosen !== undefined && at >= Math.min(...chosen) && at <= Math.max(...chosen);
            const quarter = quarters[at];
            const body = (
              <>
                <span className="block truncate text-xs font-medium">{byCode ? period.code : short[at]}</span>
                <span className="block truncate text-[0.68rem] text-ink-2">
                  {period.state}
                  {extraWeek === at + 1 ? ' · 53rd week' : ''}
                </span>
              </>
            );
            const look = `block w-full border border-l-0 px-1 py-1.5 text-left ${at === 0 ? 'border-l' : ''} ${LOOK[period.state]} ${inside ? 'border-madder shadow-[inset_0_0_0_2px_var(--color-madder)]' : 'border-rule'}`;
            return (
              <li
                key={`${period.start}${period.code}`}
                className="relative min-w-0"
                style={{ flexGrow: daysInclusive(plainDate(period.start), plainDate(period.end)), flexBasis: 0 }}
              >
                {takesOver && (
                  <span
                    className="absolute -top-5 left-0 z-10 border-l-2 border-madder pl-1 text-xs font-medium whitespace-nowrap text-madder"
                    style={{ height: 'calc(100% + 1.25rem)' }}
                  >
                    cutover {day(period.start, dates)}
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
                    title={`${period.name}: ${day(period.start, dates)} to ${day(period.end, dates)}, ${period.state}`}
                  >
                    {body}
                  </button>
                )}
                {quarter !== undefined && (
                  <span
                    className={`block h-4 truncate pl-1 text-[0.68rem] text-ink-2 ${quarters[at - 1] === quarter ? '' : 'border-l border-rule'}`}
                  >
                    {quarters[at - 1] === quarter ? '' : `Q${String(quarter)}`}
                  </span>
                )}
              </li>
            );
          })}
        </ol>
        {inYear && (
          <span
            className="pointer-events-none absolute -top-5 z-10 border-l border-ink pl-1 text-xs whitespace-nowrap"
            style={{
              left: `${String((100 * (daysInclusive(plainDate(first.start), plainDate(today)) - 1)) / length)}%`,
              height: '1.25rem',
            }}
          >
            today
          </span>
        )}
        {periods.length > regular.length && (
          <ol className="ml-1.5 flex shrink-0" aria-label="Adjustment periods">
            {periods
              .filter((one) => one.kind === 'adjustment')
              .map((period) => (
                <li
                  key={period.code}
                  className={`border border-dashed border-rule px-1.5 py-1.5 ${LOOK[period.state]}`}
                  title={`${period.name}, on ${day(period.start, dates)}`}
                >
                  <span className="block text-xs font-medium">{period.code}</span>
                  <span className="block text-[0.68rem] text-ink-2">{period.state}</span>
                </li>
              ))}
          </ol>
        )}
      </div>
    </div>
  );
};
