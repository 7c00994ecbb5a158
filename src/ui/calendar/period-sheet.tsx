'use client';

import type { IsoDate } from '@/core/base/iso-date';
import { useEffect, useRef, useState } from 'react';
import type { DateStyle } from '@/core/base/date-style';
import { type Draft } from '@/core/calendar/draft';
import {
  PERIOD_COLUMNS,
  type PeriodColumn,
  type TypedPeriods,
  periodText,
  typedPeriods,
} from '@/core/calendar/period-cells';
import { toldIn } from '@/core/base/result';
import { tell } from '@/core/base/sentence';
import type { PeriodState } from '@/core/calendar/states';
import { type Period, isRegular } from '@/core/calendar/year';
import { writingWith } from '../parts/names';
import { type DataColumn, DataSheet } from '../sheet/data-sheet';

interface Props {
  /** Stands above the periods on paper. */
  readonly heading: string;
  readonly years: Draft;
  readonly at: number;
  readonly states: readonly (PeriodState | undefined)[];
  readonly cutover: IsoDate;
  readonly dates: DateStyle;
  readonly open: boolean;
  /** Places of the chosen regular periods. */
  readonly chosen: readonly [number, number] | undefined;
  readonly onChoose: (range: readonly [number, number] | undefined) => void;
  readonly onChange: (years: Draft) => void;
}

interface Row {
  readonly place: number;
  readonly period: Period;
}

const COLUMNS: Readonly<Record<PeriodColumn, { readonly label: string; readonly width: string }>> = {
  code: { label: 'Code', width: '6.4rem' },
  name: { label: 'Period', width: 'minmax(7rem, clamp(7rem, 26%, 20rem))' },
  start: { label: 'First day', width: '6.4rem' },
  end: { label: 'Last day', width: '6.4rem' },
  days: { label: 'Days', width: '3.2rem' },
  weeks: { label: 'Weeks', width: '4.6rem' },
  state: { label: 'State', width: 'minmax(4.6rem, 1fr)' },
};
const TAKES: ReadonlySet<PeriodColumn> = new Set(['code', 'name', 'end']);

/** The periods of a year on a sheet: names, codes and last days are typed or pasted; one moved day offers to take its neighbour along. */
export const PeriodSheet = ({
  heading,
  years,
  at,
  states,
  cutover,
  dates,
  open,
  chosen,
  onChoose,
  onChange,
}: Props) => {
  const area = useRef<HTMLDivElement>(null);
  const [selected, setSelected] = useState<string | undefined>();
  const [said, setSaid] = useState<{ readonly says: string; readonly offer: TypedPeriods['offer'] } | undefined>();
  // What is asked has the keys, once the sheet has moved on.
  const asked = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (said !== undefined) asked.current?.querySelector('button')?.focus();
  }, [said]);
  const year = years[at];
  if (year === undefined) return null;
  const writing = writingWith(dates);
  const rows = year.periods.map((period, place): Row => ({ place, period }));
  const regular = year.periods.filter(isRegular).length;
  const inside = (place: number): boolean =>
    chosen !== undefined && place >= Math.min(...chosen) && place <= Math.max(...chosen);
  /** Whoever answered goes on in the sheet. */
  const answered = (taken: Draft | undefined): void => {
    setSaid(undefined);
    if (taken !== undefined) onChange(taken);
    area.current?.querySelector<HTMLElement>('[role=gridcell][tabindex="0"]')?.focus();
  };
  return (
    <div ref={area} className="flex min-h-0 flex-col">
      {said !== undefined && (
        <div ref={asked} role="alert" className="flex flex-wrap items-center gap-2 py-1 pl-4 text-sm">
          <span className={said.offer === undefined ? 'text-brick' : ''}>{said.says}</span>
          {said.offer !== undefined && (
            <button type="button" className="btn btn-xs" onClick={() => answered(said.offer?.years)}>
              Move it along
            </button>
          )}
          <button type="button" className="btn btn-xs" onClick={() => answered(undefined)}>
            Leave it as it was
          </button>
        </div>
      )}
      <DataSheet<Row>
        label={`Periods of ${year.name}`}
        heading={heading}
        columns={PERIOD_COLUMNS.map((id): DataColumn<Row> => ({
          id,
          ...COLUMNS[id],
          kind: id === 'days' || id === 'weeks' ? 'figure' : 'text',
          text: ({ period, place }) => periodText(period, id, states[place], dates),
          takes: TAKES.has(id),
          ...(id === 'code' ? { stays: 'md:left-0' } : {}),
        }))}
        rows={rows}
        idOf={({ place }) => String(place)}
        nameOf={({ period }) => period.name}
        selected={selected}
        onSelect={(id, { top, bottom }) => {
          setSelected(id);
          onChoose(top < regular ? [top, Math.min(bottom, regular - 1)] : undefined);
        }}
        open={open}
        toneOf={({ place, period }) =>
          `${inside(place) ? 'bg-madder-wash' : ''} ${states[place] === 'open' ? 'font-medium' : isRegular(period) ? '' : 'text-ink-2'}`
        }
        mark={({ period }) =>
          isRegular(period) && period.start.toString() === cutover ? (
            <span className="ml-1.5 text-xs font-medium text-madder">cutover</span>
          ) : null
        }
        onEdit={(edits) => {
          const done = typedPeriods(years, at, edits, dates);
          if (!done.ok) {
            setSaid({ says: done.problems.map((one) => toldIn(one, writing).message).join(' '), offer: undefined });
            return;
          }
          const { offer, years: typed } = done.value;
          setSaid(offer === undefined ? undefined : { says: tell(offer.says, writing), offer });
          if (typed !== years) onChange(typed);
        }}
        empty=""
      />
    </div>
  );
};
