'use client';

import { type IsoDate } from '@/core/base/iso-date';
import { useState } from 'react';
import type { DateStyle } from '@/core/base/date-style';
import { toldIn } from '@/core/base/result';
import { longMonthName, weekdayName } from '@/core/base/dates';
import type { Naming } from '@/core/calendar/naming';
import { CALENDAR_MONTHS, type Pattern, WEEK_GROUPS, type WeekPattern, weeksOf } from '@/core/calendar/pattern';
import { type YearPlan, isRegular, readEnds } from '@/core/calendar/year';
import type { DraftYear } from '@/core/calendar/draft';
import { Field } from '../parts/field';
import { day, writingWith } from '../parts/names';

interface Props {
  readonly year: DraftYear;
  readonly onPlan: (plan: YearPlan) => void;
}

const KINDS: readonly (readonly [string, string])[] = [
  ['months', 'calendar months'],
  ['months-ending', 'months that end on a fixed day'],
  ['quarters', 'quarters'],
  ['half-years', 'half-years'],
  ['thirteen-fours', 'thirteen periods of four weeks'],
  ['4-4-5', '4-4-5 weeks'],
  ['4-5-4', '4-5-4 weeks'],
  ['5-4-4', '5-4-4 weeks'],
  ['list', 'last days written by hand'],
];

const kindOf = (pattern: Pattern): string => {
  switch (pattern.kind) {
    case 'months':
      return pattern.size === 3
        ? 'quarters'
        : pattern.size === 6
          ? 'half-years'
          : pattern.endDay === 31
            ? 'months'
            : 'months-ending';
    case 'weeks':
      return pattern.groups;
    case 'list':
      return 'list';
  }
};

/** The pattern that a choice of kind begins with, keeping what the year's end and the old pattern tell. */
const startOf = (kind: string, year: DraftYear): Pattern => {
  const { pattern } = year.plan;
  const endDay = pattern.kind === 'months' ? pattern.endDay : 31;
  switch (kind) {
    case 'months':
      return CALENDAR_MONTHS;
    case 'months-ending':
      return { kind: 'months', size: 1, endDay: endDay === 31 ? Math.min(year.end.day, 28) : endDay };
    case 'quarters':
      return { kind: 'months', size: 3, endDay };
    case 'half-years':
      return { kind: 'months', size: 6, endDay };
    case 'list':
      return { kind: 'list', ends: year.periods.filter(isRegular).map((period) => period.end.toString()) };
    default: {
      const groups = WEEK_GROUPS.find((one) => one === kind) ?? '4-4-5';
      const base: WeekPattern =
        pattern.kind === 'weeks'
          ? pattern
          : {
              kind: 'weeks',
              groups,
              // A year that begins on the day after such a weekday is whole from the start.
              weekday: year.start.subtract({ days: 1 }).dayOfWeek,
              rule: 'last',
              month: year.end.month,
              extraIn: 12,
            };
      return { ...base, groups, extraIn: weeksOf(groups).length };
    }
  }
};

/** How the year is divided; every choice redraws the year at once. */
export const PatternFields = ({ year, dates, onPlan }: Props & { readonly dates: DateStyle }) => {
  const { pattern } = year.plan;
  const put = (next: Pattern): void => onPlan({ ...year.plan, pattern: next });
  return (
    <div className="grid grid-cols-2 gap-x-3 gap-y-1.5">
      <Field label="Periods">
        {(ids) => (
          <select
            {...ids}
            value={kindOf(pattern)}
            onChange={(event) => put(startOf(event.target.value, year))}
            className="select select-sm w-full"
          >
            {KINDS.map(([id, label]) => (
              <option key={id} value={id}>
                {label}
              </option>
            ))}
          </select>
        )}
      </Field>
      <Field label="Adjustment periods" hint="on the year’s last day">
        {(ids) => (
          <select
            {...ids}
            value={year.plan.adjustments}
            onChange={(event) =>
              onPlan({ ...year.plan, adjustments: Number(event.target.value) as YearPlan['adjustments'] })
            }
            className="select select-sm w-full"
          >
            {['none', 'one', 'two', 'three'].map((label, count) => (
              <option key={label} value={count}>
                {label}
              </option>
            ))}
          </select>
        )}
      </Field>
      {pattern.kind === 'months' && kindOf(pattern) !== 'months' && (
        <Field label="They end on day" hint="or on the last day of a shorter month">
          {(ids) => (
            <select
              {...ids}
              value={pattern.endDay}
              onChange={(event) => put({ ...pattern, endDay: Number(event.target.value) })}
              className="select select-sm w-full"
            >
              {Array.from({ length: 31 }, (_, at) => (
                <option key={at} value={at + 1}>
                  {at === 30 ? 'the month’s last' : at + 1}
                </option>
              ))}
            </select>
          )}
        </Field>
      )}
      {pattern.kind === 'weeks' && <WeekFields pattern={pattern} put={put} />}
      {pattern.kind === 'list' && (
        <ListField key={pattern.ends.join()} year={year} dates={dates} ends={pattern.ends} put={put} />
      )}
    </div>
  );
};

const WeekFields = ({ pattern, put }: { readonly pattern: WeekPattern; readonly put: (next: Pattern) => void }) => (
  <>
    <Field label="The year ends on a">
      {(ids) => (
        <select
          {...ids}
          value={pattern.weekday}
          onChange={(event) => put({ ...pattern, weekday: Number(event.target.value) })}
          className="select select-sm w-full"
        >
          {Array.from({ length: 7 }, (_, at) => (
            <option key={at} value={at + 1}>
              {weekdayName(at + 1)}
            </option>
          ))}
        </select>
      )}
    </Field>
    <Field label="which one">
      {(ids) => (
        <select
          {...ids}
          value={pattern.rule}
          onChange={(event) => put({ ...pattern, rule: event.target.value === 'last' ? 'last' : 'nearest' })}
          className="select select-sm w-full"
        >
          <option value="last">the last one</option>
          <option value="nearest">nearest its end</option>
        </select>
      )}
    </Field>
    <Field label="of the month">
      {(ids) => (
        <select
          {...ids}
          value={pattern.month}
          onChange={(event) => put({ ...pattern, month: Number(event.target.value) })}
          className="select select-sm w-full"
        >
          {Array.from({ length: 12 }, (_, at) => (
            <option key={at} value={at + 1}>
              {longMonthName(at + 1)}
            </option>
          ))}
        </select>
      )}
    </Field>
    <Field label="A 53rd week goes to">
      {(ids) => (
        <select
          {...ids}
          value={pattern.extraIn}
          onChange={(event) => put({ ...pattern, extraIn: Number(event.target.value) })}
          className="select select-sm w-full"
        >
          {weeksOf(pattern.groups).map((_, at) => (
            <option key={at} value={at + 1}>
              period {at + 1}
            </option>
          ))}
        </select>
      )}
    </Field>
  </>
);

const ListField = ({
  year,
  dates,
  ends,
  put,
}: {
  readonly year: DraftYear;
  readonly dates: DateStyle;
  readonly ends: readonly IsoDate[];
  readonly put: (next: Pattern) => void;
}) => {
  const [problem, setProblem] = useState<string | undefined>();
  return (
    <div className="col-span-2">
      <Field
        label="Last days, one on a line"
        hint={`from ${day(year.start.toString(), dates)} on; the last one ends the year`}
        problem={problem}
      >
        {(ids) => (
          <textarea
            {...ids}
            rows={5}
            defaultValue={ends.join('\n')}
            className="textarea textarea-sm w-full leading-snug"
            onBlur={(event) => {
              const read = readEnds(event.target.value, year.start);
              setProblem(read.ok ? undefined : read.problems.map((one) => toldIn(one, writingWith(dates)).message)[0]);
              if (read.ok && read.value.join() !== ends.join()) put({ kind: 'list', ends: read.value });
            }}
          />
        )}
      </Field>
    </div>
  );
};

/** Names and codes out of parts; the table beside shows the result. */
export const NamingFields = ({ year, onPlan }: Props) => {
  const { naming } = year.plan;
  const put = (next: Partial<Naming>): void => onPlan({ ...year.plan, naming: { ...naming, ...next } });
  const text = (key: 'yearPrefix' | 'codePrefix' | 'periodPrefix', label: string, most: number) => (
    <Field label={label}>
      {(ids) => (
        <input
          {...ids}
          value={naming[key]}
          maxLength={most}
          autoComplete="off"
          onChange={(event) => put({ [key]: event.target.value })}
          className="input input-sm w-full"
        />
      )}
    </Field>
  );
  return (
    <div className="grid grid-cols-2 gap-x-3 gap-y-1.5">
      <Field label="A year is named after">
        {(ids) => (
          <select
            {...ids}
            value={naming.yearBy}
            onChange={(event) => put({ yearBy: event.target.value as Naming['yearBy'] })}
            className="select select-sm w-full"
          >
            <option value="both">both its years</option>
            <option value="start">the one it begins in</option>
            <option value="end">the one it ends in</option>
          </select>
        )}
      </Field>
      {text('yearPrefix', 'Prefix of years', 10)}
      {naming.yearBy === 'both' && (
        <Field label="Between the two">
          {(ids) => (
            <select
              {...ids}
              value={naming.yearSeparator}
              onChange={(event) => put({ yearSeparator: event.target.value as Naming['yearSeparator'] })}
              className="select select-sm w-full"
            >
              <option value="/">slash</option>
              <option value="-">dash</option>
              <option value=" ">space</option>
            </select>
          )}
        </Field>
      )}
      <Field label="Digits of the year">
        {(ids) => (
          <select
            {...ids}
            value={naming.yearDigits}
            onChange={(event) => put({ yearDigits: event.target.value === '2' ? 2 : 4 })}
            className="select select-sm w-full"
          >
            <option value={2}>two</option>
            <option value={4}>four</option>
          </select>
        )}
      </Field>
      <Field label="Periods are named by">
        {(ids) => (
          <select
            {...ids}
            value={naming.periodBy}
            onChange={(event) => put({ periodBy: event.target.value === 'month' ? 'month' : 'number' })}
            className="select select-sm w-full"
          >
            <option value="month">their months</option>
            <option value="number">their number</option>
          </select>
        )}
      </Field>
      {naming.periodBy === 'number' ? (
        text('periodPrefix', 'Prefix of names', 20)
      ) : (
        <Field label="Months written">
          {(ids) => (
            <select
              {...ids}
              value={naming.monthNames}
              onChange={(event) => put({ monthNames: event.target.value as Naming['monthNames'] })}
              className="select select-sm w-full"
            >
              <option value="short">short: Aug</option>
              <option value="long">long: August</option>
              <option value="number">as numbers: 08</option>
            </select>
          )}
        </Field>
      )}
      {text('codePrefix', 'Prefix of codes', 6)}
      <Field label="Digits of codes">
        {(ids) => (
          <select
            {...ids}
            value={naming.codeWidth}
            onChange={(event) => put({ codeWidth: Number(event.target.value) as Naming['codeWidth'] })}
            className="select select-sm w-full"
          >
            <option value={1}>one</option>
            <option value={2}>two</option>
            <option value={3}>three</option>
          </select>
        )}
      </Field>
      <label className="flex items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="checkbox checkbox-xs"
          checked={naming.codeYear}
          onChange={(event) => put({ codeYear: event.target.checked })}
        />
        year in the codes
      </label>
      {naming.periodBy === 'month' && (
        <label className="flex items-center gap-2 text-sm">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={naming.monthYear}
            onChange={(event) => put({ monthYear: event.target.checked })}
          />
          year in the names
        </label>
      )}
    </div>
  );
};
