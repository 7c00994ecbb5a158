'use client';

import { useState } from 'react';
import { type DateStyle, writeStyled } from '@/core/base/date-style';
import { daysInclusive, readDate } from '@/core/base/dates';
import { type Draft, offerEnd, rename } from '@/core/calendar/draft';
import { toldIn } from '@/core/base/result';
import { tell } from '@/core/base/sentence';
import type { PeriodState } from '@/core/calendar/states';
import { DateInput } from '../parts/date-input';
import { writingWith } from '../parts/names';

interface Props {
  readonly years: Draft;
  readonly at: number;
  readonly states: readonly (PeriodState | undefined)[];
  readonly cutover: string;
  readonly dates: DateStyle;
  readonly chosen: readonly [number, number] | undefined;
  readonly onChoose: (at: number, extend: boolean) => void;
  readonly onChange: (years: Draft) => void;
}

/** The periods of a year: names and last days can be changed in place; a moved last day offers to move its neighbour along. */
export const PeriodTable = ({ years, at, states, cutover, dates, chosen, onChoose, onChange }: Props) => {
  const [offer, setOffer] = useState<
    { readonly place: number; readonly says: string; readonly years?: Draft } | undefined
  >();
  const [turn, setTurn] = useState(0);
  const year = years[at];
  const writing = writingWith(dates);
  if (year === undefined) return null;
  const ask = (place: number, text: string): void => {
    const date = readDate(text);
    const offered = date.ok ? offerEnd(years, at, place, date.value) : date;
    setOffer(
      offered.ok
        ? { place, says: tell(offered.value.says, writing), years: offered.value.years }
        : { place, says: offered.problems.map((one) => toldIn(one, writing).message)[0] ?? '' },
    );
  };
  const leave = (): void => {
    setOffer(undefined);
    // The field shows again what stands.
    setTurn((was) => was + 1);
  };
  const inside = (place: number): boolean =>
    chosen !== undefined && place >= Math.min(...chosen) && place <= Math.max(...chosen);
  return (
    <table className="ledger tight">
      <caption className="sr-only">Periods of {year.name}</caption>
      <thead>
        <tr>
          <th scope="col">Code</th>
          <th scope="col">Period</th>
          <th scope="col">First day</th>
          <th scope="col">Last day</th>
          <th scope="col" className="figure">
            Days
          </th>
          <th scope="col" className="figure">
            Weeks
          </th>
          <th scope="col">State</th>
        </tr>
      </thead>
      <tbody>
        {year.periods.flatMap((period, place) => {
          const days = daysInclusive(period.start, period.end);
          const state = states[place];
          const regular = period.kind === 'regular';
          const row = (
            <tr
              key={`${String(place)}${period.start.toString()}${String(turn)}`}
              className={inside(place) ? 'bg-madder-wash' : ''}
            >
              <td className="text-ink-2">
                {regular ? (
                  <button
                    type="button"
                    className="min-h-6 hover:underline"
                    aria-label={`${period.code}, choose ${period.name}`}
                    aria-pressed={inside(place)}
                    onClick={(event) => onChoose(place, event.shiftKey)}
                  >
                    {period.code}
                  </button>
                ) : (
                  period.code
                )}
              </td>
              <td className="whitespace-nowrap">
                <input
                  key={period.name}
                  aria-label={`Name of ${period.code}`}
                  defaultValue={period.name}
                  maxLength={60}
                  autoComplete="off"
                  className="w-24 rounded-xs bg-transparent px-1 py-0.5 hover:bg-paper-2 focus:bg-paper-2"
                  onBlur={(event) => {
                    const name = event.target.value.trim();
                    if (name !== '' && name !== period.name) onChange(rename(years, at, { place, name }));
                    else event.target.value = period.name;
                  }}
                  onKeyDown={(event) => {
                    if (event.key === 'Escape') event.currentTarget.value = period.name;
                    if (event.key === 'Enter' || event.key === 'Escape') event.currentTarget.blur();
                  }}
                />
                {regular && period.start.toString() === cutover && (
                  <span className="text-xs font-medium text-madder">cutover</span>
                )}
              </td>
              <td className="whitespace-nowrap">{writeStyled(period.start.toString(), dates)}</td>
              <td>
                {regular ? (
                  <DateInput
                    bare
                    aria-label={`Last day of ${period.name}`}
                    value={period.end.toString()}
                    dates={dates}
                    onDate={(iso) => ask(place, iso)}
                    className="w-24 rounded-xs bg-transparent px-1 py-0.5 hover:bg-paper-2 focus:bg-paper-2"
                  />
                ) : (
                  writeStyled(period.end.toString(), dates)
                )}
              </td>
              <td className="figure">{regular ? days : ''}</td>
              <td className="figure">
                {regular ? (days % 7 === 0 ? days / 7 : `${String(Math.floor(days / 7))} + ${String(days % 7)} d`) : ''}
              </td>
              <td className={state === 'open' ? 'font-medium' : 'text-ink-2'}>{state ?? '—'}</td>
            </tr>
          );
          return offer?.place === place
            ? [
                row,
                <tr key="offer">
                  <td colSpan={7}>
                    <div role="alert" className="flex flex-wrap items-center gap-2 py-1">
                      <span className={offer.years === undefined ? 'text-brick' : ''}>{offer.says}</span>
                      {offer.years !== undefined && (
                        <button
                          type="button"
                          className="btn btn-xs"
                          onClick={() => {
                            if (offer.years !== undefined) onChange(offer.years);
                            setOffer(undefined);
                          }}
                        >
                          Move it along
                        </button>
                      )}
                      <button type="button" className="btn btn-xs" onClick={leave}>
                        Leave it as it was
                      </button>
                    </div>
                  </td>
                </tr>,
              ]
            : [row];
        })}
      </tbody>
    </table>
  );
};
