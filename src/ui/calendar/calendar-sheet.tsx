'use client';

import { useState } from 'react';
import { describePattern, extraWeekOf } from '@/core/calendar/pattern';
import { plainDate } from '@/core/base/dates';
import { type PeriodState, firstStates } from '@/core/calendar/states';
import { yearNotes } from '@/core/calendar/year';
import { Frame, Happenings, MarginPart } from '../frame/frame';
import { DateInput } from '../parts/date-input';
import { Field } from '../parts/field';
import { FileButton, TABLES } from '../parts/file-button';
import { day } from '../parts/names';
import { Problems } from '../parts/problems';
import { CutoverForm } from './cutover-form';
import { DraftBar } from './draft-bar';
import { NamingFields, PatternFields } from './pattern-fields';
import { PeriodSheet } from './period-sheet';
import { StateBar } from './state-bar';
import { type CalendarView, useCalendarDraft } from './use-draft';
import { YearBand } from './year-band';
import { YearStrip } from './year-strip';

const KEYS = [
  ['type, Enter or F2', 'edit a name, a code or a last day'],
  ['Shift and arrows', 'choose several periods, for their state'],
  ['Ctrl V', 'paste names or last days from a spreadsheet'],
  ['Ctrl Z, Ctrl Shift Z', 'undo, redo a step that is not taken yet'],
] as const;

/** Fiscal years: how they are divided, which periods are open, on which date these books take over. */
export const CalendarSheet = (view: CalendarView) => {
  const { frame, years, today } = view;
  const draft = useCalendarDraft(view);
  const { years: shown, at, preview, plan } = draft;
  const [range, setRange] = useState<readonly [number, number] | undefined>();
  const year = shown[at];
  if (year === undefined) return null;
  const stood = years.find((one) => one.id === year.id);
  const previewed =
    preview?.ok === true
      ? [...preview.value.insert, ...preview.value.rename.map((one) => one.year)].find((one) => one.name === year.name)
      : undefined;
  const states: readonly (PeriodState | undefined)[] =
    (draft.changed ? previewed : stood)?.periods.map((one) => one.state) ??
    // A draft that cannot be taken yet shows those of the rule.
    firstStates(year.periods, plainDate(draft.cutover));

  const periods = stood?.periods.filter((one) => one.kind === 'regular') ?? [];
  const chosen = draft.changed || range === undefined ? [] : periods.slice(Math.min(...range), Math.max(...range) + 1);
  const last = chosen.at(-1);
  const through =
    last === undefined
      ? []
      : years
          .flatMap((one) => one.periods)
          .filter(
            (one) =>
              one.kind === 'regular' && one.start >= frame.cutover && one.end <= last.end && one.state !== 'open',
          );
  const choose = (place: number, extend: boolean): void =>
    setRange((was) =>
      extend && was !== undefined
        ? [was[0], place]
        : was?.[0] === place && was[1] === place
          ? undefined
          : [place, place],
    );
  const names = new Map(
    years.flatMap((one) => one.periods.map((period) => [period.id, `${period.name} of ${one.name}`] as const)),
  );

  return (
    <Frame
      frame={frame}
      stage="calendar"
      title="Calendar"
      about={`fiscal year ${year.name}, ${day(year.start.toString(), frame.dates)} to ${day(year.end.toString(), frame.dates)} · ${describePattern(year.plan.pattern)}`}
      keys={KEYS}
      margin={
        <>
          <MarginPart title="Cutover date">
            <CutoverForm
              key={`${frame.cutover}${view.completeUntil}${view.trialBalance}`}
              books={frame.id}
              years={draft.standing}
              cutover={frame.cutover}
              completeUntil={view.completeUntil}
              trialBalance={view.trialBalance}
              dates={frame.dates}
              currencies={view.currencies}
              figures={view.figures}
              results={view.results}
              schedules={view.schedules}
              things={view.things}
              fixed={view.posted && !view.correcting}
            />
          </MarginPart>
          <MarginPart title="What the states mean">
            <p>
              <span className="font-medium">Future</span> takes no entries yet;{' '}
              <span className="font-medium">open</span> does; <span className="font-medium">closed</span> takes none and
              can be opened again; <span className="font-medium">locked</span> is unlocked only with a reason.
            </p>
          </MarginPart>
          <MarginPart title="What happened">
            <Happenings
              events={[
                ...view.history.map((one) => ({ what: one.what, by: one.by, at: one.at })),
                ...view.periodHistory.map((one) => ({
                  what: `${names.get(one.subjectId) ?? 'a former period'} ${one.what}`,
                  by: one.by,
                  at: one.at,
                })),
              ].sort((a, b) => (a.at < b.at ? 1 : -1))}
            />
          </MarginPart>
        </>
      }
    >
      <div className="px-4 pb-6">
        <YearStrip
          years={shown}
          at={at}
          onSelect={(place) => {
            draft.select(place);
            setRange(undefined);
          }}
          onDraw={(next, select) => {
            setRange(undefined);
            draft.take(next, select);
          }}
          onProblem={(problem) => draft.say([problem])}
        />
        <YearBand
          dates={frame.dates}
          label={`Periods of ${year.name}`}
          periods={year.periods.map((period, place) => ({
            ...period,
            start: period.start.toString(),
            end: period.end.toString(),
            state: states[place] ?? 'future',
          }))}
          cutover={draft.cutover}
          today={today}
          extraWeek={extraWeekOf(year.plan.pattern, year.start, year.end)}
          chosen={range}
          {...(draft.changed ? {} : { onChoose: choose })}
        />
        {!draft.changed ? (
          <StateBar key={range?.join()} books={frame.id} range={chosen} through={through} />
        ) : (
          <DraftBar view={view} draft={draft} />
        )}
        <Problems problems={draft.faults} />
        {yearNotes(year).map((note) => (
          <p key={note} className="mt-1 text-sm text-ochre">
            {note}
          </p>
        ))}
        <div className="mt-2 grid grid-cols-[minmax(0,1fr)] gap-x-6 gap-y-4 xl:grid-cols-[minmax(0,1fr)_18.5rem]">
          <div className="-ml-4 max-xl:-mr-4">
            <PeriodSheet
              key={at}
              heading={`${frame.name} · periods of ${year.name}`}
              years={shown}
              at={at}
              states={states}
              cutover={draft.cutover}
              dates={frame.dates}
              open={frame.may.includes('calendar.change')}
              chosen={range}
              onChoose={setRange}
              onChange={(next) => draft.take({ ok: true, value: next })}
            />
          </div>
          <div className="flex flex-col gap-4">
            <section aria-labelledby="divided">
              <h2 id="divided" className="title mb-1 text-base">
                How {year.name} is divided
              </h2>
              <PatternFields year={year} dates={frame.dates} onPlan={plan} />
              <div className="mt-1.5 grid grid-cols-2 gap-x-3">
                <Field
                  label="Year begins"
                  hint={at === 0 ? 'earlier or later for a first year' : 'the day after the year before'}
                >
                  {(ids) => (
                    <DateInput
                      {...ids}
                      value={year.start.toString()}
                      dates={frame.dates}
                      disabled={at > 0}
                      onDate={(iso) => plan(year.plan, { start: iso })}
                    />
                  )}
                </Field>
                <Field label="Year ends" hint="another day makes it short or long">
                  {(ids) => (
                    <DateInput
                      {...ids}
                      value={year.end.toString()}
                      dates={frame.dates}
                      onDate={(iso) => plan(year.plan, { end: iso })}
                    />
                  )}
                </Field>
              </div>
              {at < shown.length - 1 && (
                <label className="mt-1 flex items-center gap-2 text-sm">
                  <input
                    type="checkbox"
                    className="checkbox checkbox-xs"
                    checked={draft.onward}
                    onChange={(event) => draft.setOnward(event.target.checked)}
                  />
                  and every year after it alike
                </label>
              )}
            </section>
            <section aria-labelledby="named">
              <h2 id="named" className="title mb-1 text-base">
                Names and codes
              </h2>
              <NamingFields year={year} onPlan={plan} />
            </section>
            <section aria-labelledby="as-file">
              <h2 id="as-file" className="title mb-1 text-base">
                As a file
              </h2>
              <div className="flex flex-wrap gap-2">
                <a className="btn btn-xs" href={`/books/${String(frame.id)}/calendar/file`} download>
                  Export as CSV
                </a>
                <a className="btn btn-xs" href={`/books/${String(frame.id)}/lists/calendar?format=pdf`} download>
                  PDF
                </a>
                <FileButton
                  small
                  label="Bring a calendar"
                  accept={TABLES}
                  onFiles={([file]) => file !== undefined && void draft.bring(file)}
                />
              </div>
              <p className="note mt-1">It is shown here first and stored when you take it.</p>
            </section>
          </div>
        </div>
      </div>
    </Frame>
  );
};
