'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { setPeriods } from '@/actions/calendar';
import type { calendarView } from '@/actions/views';
import { PERIOD_STATES, type PeriodState } from '@/core/calendar/year';
import { daysInclusive, plainDate } from '@/core/calendar/dates';
import { type Problem, plural } from '@/core/result';
import { Frame, Happenings, MarginPart } from '../frame/frame';
import { day, moment } from '../parts/names';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { YearBand } from './year-band';

type View = NonNullable<Awaited<ReturnType<typeof calendarView>>>;

const KEYS = [
  ['Enter', 'on a period: choose it'],
  ['Shift Enter', 'choose everything from the first chosen through here'],
] as const;

/** The fiscal year as a band and a table; a chosen range of periods goes into a state. */
export const CalendarSheet = ({ frame, years, history }: View) => {
  const router = useRouter();
  const periods = years.flatMap((year) => year.periods);
  const [chosen, setChosen] = useState<readonly [number, number] | undefined>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [busy, setBusy] = useState(false);
  const range = chosen === undefined ? [] : periods.slice(Math.min(...chosen), Math.max(...chosen) + 1);
  const choose = (at: number, extend: boolean): void => {
    setProblems([]);
    setChosen((was) =>
      extend && was !== undefined ? [was[0], at] : was?.[0] === at && was[1] === at ? undefined : [at, at],
    );
  };
  const put = async (state: PeriodState): Promise<void> => {
    setBusy(true);
    const done = await send(setPeriods({ books: frame.id, periods: range.map((period) => period.id), state }));
    setBusy(false);
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    toast(`${plural(done.value.changed, 'period')} now ${state}`);
    router.refresh();
  };
  const names = new Map(periods.map((period) => [period.id, period.name]));
  return (
    <Frame
      frame={frame}
      stage="calendar"
      title="Calendar"
      about={years.map((year) => `fiscal year ${year.name}, ${day(year.start)} to ${day(year.end)}`).join(' · ')}
      keys={KEYS}
      margin={
        <>
          <MarginPart title="Cutover date">
            <p>{day(frame.cutover)} is the first day that these books record.</p>
            <p className="mt-1">
              Opening balances stand at close of {day(frame.openingDate)}. Income and expense open{' '}
              {frame.atYearStart
                ? 'at nil, since it is a year start.'
                : 'at their year-to-date figures, since it is mid-year.'}
            </p>
          </MarginPart>
          <MarginPart title="What the states mean">
            <dl className="space-y-1">
              <div>
                <dt className="inline font-medium">Future</dt>
                <dd className="inline"> takes no entries yet.</dd>
              </div>
              <div>
                <dt className="inline font-medium">Open</dt>
                <dd className="inline"> takes entries.</dd>
              </div>
              <div>
                <dt className="inline font-medium">Closed</dt>
                <dd className="inline"> takes none, can be opened again.</dd>
              </div>
              <div>
                <dt className="inline font-medium">Locked</dt>
                <dd className="inline"> stays as it is for good.</dd>
              </div>
            </dl>
          </MarginPart>
          <MarginPart title="What happened">
            <Happenings
              events={history.map((one) => ({
                what: `${names.get(one.subjectId) ?? 'a period'} ${one.what}`,
                when: `${one.by}, ${moment(one.at)}`,
              }))}
            />
          </MarginPart>
        </>
      }
    >
      <div className="px-4 pb-6">
        <YearBand periods={periods} cutover={frame.cutover} chosen={chosen} onChoose={choose} />
        <div className="flex min-h-11 flex-wrap items-center gap-2 py-2">
          {range.length === 0 ? (
            <p className="note">Choose a period; Shift and a second one choose the range between.</p>
          ) : (
            <>
              <p className="text-sm">
                <span className="font-medium">
                  {range.length === 1 ? range[0]?.name : `${range[0]?.name ?? ''} through ${range.at(-1)?.name ?? ''}`}
                </span>
                : make {range.length === 1 ? 'it' : 'them'}
              </p>
              {PERIOD_STATES.map((state) => (
                <button
                  key={state}
                  type="button"
                  disabled={busy || range.every((period) => period.state === state)}
                  className="btn btn-xs"
                  onClick={() => void put(state)}
                >
                  {state}
                </button>
              ))}
            </>
          )}
        </div>
        <Problems problems={problems} />
        <table className="ledger mt-1">
          <thead>
            <tr>
              <th scope="col">Code</th>
              <th scope="col">Period</th>
              <th scope="col">First day</th>
              <th scope="col">Last day</th>
              <th scope="col" className="figure">
                Days
              </th>
              <th scope="col">State</th>
            </tr>
          </thead>
          <tbody>
            {periods.map((period, at) => (
              <tr key={period.id} className={range.includes(period) ? 'bg-madder-wash' : ''}>
                <td className="text-ink-2">{period.code}</td>
                <td>
                  <button
                    type="button"
                    className="min-h-6 hover:underline"
                    onClick={(event) => choose(at, event.shiftKey)}
                  >
                    {period.name}
                  </button>
                  {period.start === frame.cutover && (
                    <span className="ml-2 text-xs font-medium text-madder">cutover</span>
                  )}
                </td>
                <td>{day(period.start)}</td>
                <td>{day(period.end)}</td>
                <td className="figure">{daysInclusive(plainDate(period.start), plainDate(period.end))}</td>
                <td className={period.state === 'open' ? 'font-medium' : 'text-ink-2'}>{period.state}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Frame>
  );
};
