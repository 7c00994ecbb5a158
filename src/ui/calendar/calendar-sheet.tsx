'use client';

import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { drawCalendar } from '@/actions/calendar';
import type { readCalendarFile } from '@/actions/calendar-file';
import type { calendarView } from '@/actions/stage-views';
import { plainDate, readDate } from '@/core/calendar/dates';
import { type Draft, type DraftYear, addAfter, addBefore, redrawYear, takeAway } from '@/core/calendar/draft';
import { describePattern, extraWeekOf } from '@/core/calendar/pattern';
import { redraw } from '@/core/calendar/redraw';
import type { PeriodState } from '@/core/calendar/states';
import { type YearPlan, isRegular, yearNotes } from '@/core/calendar/year';
import { type Problem, type Result, plural } from '@/core/result';
import { Frame, Happenings, MarginPart } from '../frame/frame';
import { DateInput } from '../parts/date-input';
import { FileButton } from '../parts/file-button';
import { Field } from '../parts/field';
import { day, moment } from '../parts/names';
import { Problems } from '../parts/problems';
import { send } from '../parts/send';
import { CutoverForm } from './cutover-form';
import { NamingFields, PatternFields } from './pattern-fields';
import { PeriodTable } from './period-table';
import { StateBar } from './state-bar';
import { YearBand } from './year-band';

type View = NonNullable<Awaited<ReturnType<typeof calendarView>>>;

const KEYS = [
  ['Enter', 'on a period: choose it'],
  ['Shift Enter', 'choose everything from the first chosen through here'],
  ['Enter, Esc', 'in a name or a last day: keep it, put it back'],
] as const;

/** A file's states, by year and place, while it is shown and not taken. */
type GivenStates = Readonly<Record<string, readonly (PeriodState | undefined)[]>>;

const standingDraft = (years: View['years']): Draft =>
  years.map((year): DraftYear => ({
    ...year,
    start: plainDate(year.start),
    end: plainDate(year.end),
    periods: year.periods.map(({ kind, code, name, start, end }) => ({
      kind,
      code,
      name,
      start: plainDate(start),
      end: plainDate(end),
    })),
  }));

/** Fiscal years: how they are divided, which periods are open, on which date these books take over. */
export const CalendarSheet = (view: View) => {
  const { frame, years, revision, today } = view;
  const router = useRouter();
  const standing = useMemo(() => standingDraft(years), [years]);
  const [draft, setDraft] = useState<Draft | undefined>();
  const [given, setGiven] = useState<GivenStates>({});
  const [chosenYear, setChosenYear] = useState(() =>
    Math.max(
      0,
      years.findIndex((year) => year.start <= frame.cutover && frame.cutover <= year.end),
    ),
  );
  const [range, setRange] = useState<readonly [number, number] | undefined>();
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [onward, setOnward] = useState(false);
  const [count, setCount] = useState('1');

  const shown = draft ?? standing;
  const at = Math.min(chosenYear, shown.length - 1);
  const year = shown[at];
  // What taking the draft would do, by the rules that the server applies.
  const preview = useMemo(
    () =>
      draft === undefined
        ? undefined
        : redraw(
            years.map((one, place) => ({
              ...one,
              ...(standing[place] ?? { start: plainDate(one.start), end: plainDate(one.end) }),
              id: one.id,
              periods: one.periods.map((period) => ({
                ...period,
                start: plainDate(period.start),
                end: plainDate(period.end),
              })),
            })),
            draft.map((one) => ({
              ...one,
              periods: one.periods.map((period, place) => ({ ...period, state: given[one.name]?.[place] })),
            })),
            { cutover: plainDate(frame.cutover), posted: new Set(view.postedPeriods) },
          ),
    [draft, given, years, standing, frame.cutover, view.postedPeriods],
  );
  if (year === undefined) return null;
  const stood = years.find((one) => one.id === year.id);
  const previewed =
    preview?.ok === true
      ? [...preview.value.insert, ...preview.value.rename.map((one) => one.year)].find((one) => one.name === year.name)
      : undefined;
  const states: readonly (PeriodState | undefined)[] =
    draft === undefined
      ? (stood?.periods.map((one) => one.state) ?? [])
      : (previewed?.periods.map((one) => one.state) ?? []);

  const take = (next: Result<Draft>, select?: number): void => {
    setProblems(next.ok ? [] : next.problems);
    setRange(undefined);
    if (!next.ok) return;
    setDraft(next.value);
    if (select !== undefined) setChosenYear(select);
  };
  const plan = (wanted: YearPlan, more: { readonly start?: string; readonly end?: string } = {}): void => {
    const start = more.start === undefined ? undefined : readDate(more.start, 'start');
    const end = more.end === undefined ? undefined : readDate(more.end, 'end');
    if (start?.ok === false || end?.ok === false) {
      setProblems([...(start?.ok === false ? start.problems : []), ...(end?.ok === false ? end.problems : [])]);
      return;
    }
    // A short or long year stays so while its names change, and gets its pattern's end when it is divided otherwise.
    const keeps =
      JSON.stringify(wanted.pattern) === JSON.stringify(year.plan.pattern) && start === undefined
        ? year.end
        : undefined;
    take(
      redrawYear(shown, at, {
        plan: wanted,
        ...(start?.ok === true ? { start: start.value } : {}),
        end: end?.ok === true ? end.value : keeps,
        onward,
      }),
    );
  };
  const drop = (): void => {
    setDraft(undefined);
    setGiven({});
    setProblems([]);
    setRange(undefined);
  };
  const keep = async (): Promise<void> => {
    const done = await send(
      drawCalendar({
        books: frame.id,
        revision,
        years: shown.map((one) => ({
          id: one.id,
          name: one.name,
          plan: one.plan,
          periods: one.periods.map((period, place) => ({
            kind: period.kind,
            code: period.code,
            name: period.name,
            start: period.start.toString(),
            end: period.end.toString(),
            ...(given[one.name]?.[place] === undefined ? {} : { state: given[one.name]?.[place] }),
          })),
        })),
      }),
    );
    setProblems(done.ok ? [] : done.problems);
    if (!done.ok) return;
    drop();
    toast(`Calendar of ${plural(done.value.years, 'year')} taken`);
    router.refresh();
  };
  const bring = async (file: File): Promise<void> => {
    const read = await send(
      fetch(`/books/${String(frame.id)}/calendar/file`, {
        method: 'POST',
        headers: { 'x-paper-name': encodeURIComponent(file.name), 'content-type': 'application/octet-stream' },
        body: file,
      }).then((response) => response.json() as ReturnType<typeof readCalendarFile>),
    );
    setProblems(read.ok ? [] : read.problems);
    if (!read.ok) return;
    setGiven(Object.fromEntries(read.value.map((one) => [one.name, one.periods.map((period) => period.state)])));
    setDraft(
      read.value.map((one): DraftYear => {
        const periods = one.periods.map(({ state: _, ...period }) => ({
          ...period,
          start: plainDate(period.start),
          end: plainDate(period.end),
        }));
        const regular = periods.filter(isRegular);
        const first = regular[0]?.start ?? plainDate(frame.cutover);
        return { id: one.id, name: one.name, plan: one.plan, start: first, end: regular.at(-1)?.end ?? first, periods };
      }),
    );
    setChosenYear(0);
  };

  const periods = stood?.periods.filter((one) => one.kind === 'regular') ?? [];
  const chosen =
    draft !== undefined || range === undefined ? [] : periods.slice(Math.min(...range), Math.max(...range) + 1);
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
  const faults = [...problems, ...(preview?.ok === false ? preview.problems : [])];

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
              years={standing}
              cutover={frame.cutover}
              completeUntil={view.completeUntil}
              trialBalance={view.trialBalance}
              dates={frame.dates}
              currencies={view.currencies}
              figures={view.figures}
              results={view.results}
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
                ...view.history.map((one) => ({ what: one.what, when: `${one.by}, ${moment(one.at)}`, at: one.at })),
                ...view.periodHistory.map((one) => ({
                  what: `${names.get(one.subjectId) ?? 'a former period'} ${one.what}`,
                  when: `${one.by}, ${moment(one.at)}`,
                  at: one.at,
                })),
              ].sort((a, b) => (a.at < b.at ? 1 : -1))}
            />
          </MarginPart>
        </>
      }
    >
      <div className="px-4 pb-6">
        <div className="flex flex-wrap items-center gap-1" role="group" aria-label="Fiscal years">
          <button type="button" className="btn btn-xs" onClick={() => take(addBefore(shown), 0)}>
            + year before
          </button>
          {shown.map((one, place) => (
            <button
              key={`${one.name}${one.start.toString()}`}
              type="button"
              aria-pressed={place === at}
              className={`min-h-6 border px-2 text-sm ${place === at ? 'border-ink bg-stone font-semibold' : 'border-rule hover:bg-paper-2'}`}
              onClick={() => {
                setChosenYear(place);
                setRange(undefined);
              }}
            >
              {one.name}
            </button>
          ))}
          <form
            className="flex items-center gap-1"
            onSubmit={(event) => {
              event.preventDefault();
              const wanted = /^\d{1,3}$/.test(count) ? Number(count) : 0;
              if (wanted < 1 || shown.length + wanted > 150)
                setProblems([
                  {
                    code: 'years.count',
                    message: `A calendar has at most 150 years; ${count === '' ? 'nothing' : count} more cannot be added to ${String(shown.length)}.`,
                  },
                ]);
              else take(addAfter(shown, wanted), shown.length);
            }}
          >
            <button className="btn btn-xs">+ years after</button>
            <input
              aria-label="How many years after"
              value={count}
              inputMode="numeric"
              onChange={(event) => setCount(event.target.value.trim())}
              className="input input-xs w-10 text-right"
            />
          </form>
          {shown.length > 1 && (at === 0 || at === shown.length - 1) && (
            <button
              type="button"
              className="btn btn-xs"
              onClick={() => take(takeAway(shown, at), at === 0 ? 0 : at - 1)}
            >
              take {year.name} away
            </button>
          )}
        </div>
        <YearBand
          label={`Periods of ${year.name}`}
          periods={year.periods.map((period, place) => ({
            ...period,
            start: period.start.toString(),
            end: period.end.toString(),
            state: states[place] ?? 'future',
          }))}
          cutover={frame.cutover}
          today={today}
          extraWeek={extraWeekOf(year.plan.pattern, year.start, year.end)}
          chosen={range}
          {...(draft === undefined ? { onChoose: choose } : {})}
        />
        {draft === undefined ? (
          <StateBar key={range?.join()} books={frame.id} range={chosen} through={through} />
        ) : (
          <div
            className="my-1.5 flex flex-wrap items-center gap-2 border-l-4 border-ochre bg-paper-2 px-3 py-1.5"
            role="status"
          >
            <span className="text-sm">
              <strong className="font-medium">Not taken yet.</strong>{' '}
              {preview?.ok === true
                ? [
                    ...(preview.value.insert.length > 0
                      ? [`${plural(preview.value.insert.length, 'year')} drawn`]
                      : []),
                    ...(preview.value.rename.length > 0
                      ? [`${plural(preview.value.rename.length, 'year')} with the same days`]
                      : []),
                    ...(years.some((one) => !draft.some((other) => other.id === one.id)) ? ['some taken away'] : []),
                  ].join(', ')
                : 'It cannot be taken as it stands.'}
            </span>
            <button
              type="button"
              className="btn btn-primary btn-xs"
              disabled={preview?.ok !== true}
              onClick={() => void keep()}
            >
              Take this calendar
            </button>
            <button type="button" className="btn btn-xs" onClick={drop}>
              Put back
            </button>
          </div>
        )}
        <Problems problems={faults} />
        {yearNotes(year).map((note) => (
          <p key={note} className="mt-1 text-sm text-ochre">
            {note}
          </p>
        ))}
        <div className="mt-2 grid gap-x-6 gap-y-4 xl:grid-cols-[minmax(0,1fr)_18.5rem]">
          <div className="overflow-x-auto">
            <PeriodTable
              years={shown}
              at={at}
              states={states}
              cutover={frame.cutover}
              dates={frame.dates}
              chosen={range}
              onChoose={choose}
              onChange={(next) => take({ ok: true, value: next })}
            />
          </div>
          <div className="flex flex-col gap-4">
            <section aria-labelledby="divided">
              <h2 id="divided" className="title mb-1 text-base">
                How {year.name} is divided
              </h2>
              <PatternFields year={year} onPlan={plan} />
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
                    checked={onward}
                    onChange={(event) => setOnward(event.target.checked)}
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
                <FileButton
                  small
                  label="Bring a calendar"
                  accept=".csv,.xlsx"
                  onFiles={([file]) => file !== undefined && void bring(file)}
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
