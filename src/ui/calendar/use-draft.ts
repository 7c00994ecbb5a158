'use client';

import { useMemo, useState } from 'react';
import { toast } from 'sonner';
import { drawCalendar } from '@/actions/calendar/commands';
import type { readCalendarFile } from '@/actions/calendar/file';
import type { calendarView } from '@/actions/calendar/views';
import { plainDate, readDate } from '@/core/base/dates';
import type { IsoDate } from '@/core/base/iso-date';
import { type Draft, type DraftYear, redrawYear } from '@/core/calendar/draft';
import { redraw } from '@/core/calendar/redraw';
import type { PeriodState } from '@/core/calendar/states';
import { type YearPlan, isRegular } from '@/core/calendar/year';
import { type Problem, type Result, plural } from '@/core/base/result';
import { send } from '../parts/send';
import { useUndoKeys } from '../parts/undo-keys';
import { useRefresh } from '../parts/use-refresh';

export type CalendarView = NonNullable<Awaited<ReturnType<typeof calendarView>>>;

/** A file's states, by year and place, while it is shown and not taken. */
type GivenStates = Readonly<Record<string, readonly (PeriodState | undefined)[]>>;

const standingDraft = (years: CalendarView['years']): Draft =>
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

/** A calendar that is being changed: its steps, what taking it would do, and the taking. Nothing is stored before. */
export const useCalendarDraft = ({ frame, years, revision, postedPeriods }: CalendarView) => {
  const refresh = useRefresh();
  const standing = useMemo(() => standingDraft(years), [years]);
  const [draft, setDraft] = useState<Draft | undefined>();
  // The steps of the draft, for going back and forth; the standing calendar is the step before the first.
  const [past, setPast] = useState<readonly (Draft | undefined)[]>([]);
  const [future, setFuture] = useState<readonly Draft[]>([]);
  const [given, setGiven] = useState<GivenStates>({});
  const [chosenYear, setChosenYear] = useState(() =>
    Math.max(
      0,
      years.findIndex((year) => year.start <= frame.cutover && frame.cutover <= year.end),
    ),
  );
  const [problems, setProblems] = useState<readonly Problem[]>([]);
  const [onward, setOnward] = useState(false);
  // A calendar without a period that begins on the cutover date is taken together with another one.
  const [wish, setCutover] = useState<IsoDate | undefined>();
  const cutover = wish ?? frame.cutover;

  // Years come and go around the one that is looked at: it is found again by its first day.
  const [seen, setSeen] = useState(years);
  const [lookedAt, setLookedAt] = useState<string | undefined>();
  if (years !== seen) {
    setSeen(years);
    const first = lookedAt ?? seen[Math.min(chosenYear, seen.length - 1)]?.start;
    const place = draft === undefined ? years.findIndex(({ start }) => start === first) : -1;
    if (place >= 0) setChosenYear(place);
    setLookedAt(undefined);
  }

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
            { cutover: plainDate(cutover), from: plainDate(frame.cutover), posted: new Set(postedPeriods) },
          ),
    [draft, given, years, standing, cutover, frame.cutover, postedPeriods],
  );
  const undo = (): void => {
    if (draft === undefined) return;
    setFuture([...future, draft]);
    setDraft(past.at(-1));
    if (past.at(-1) === undefined) setGiven({});
    setPast(past.slice(0, -1));
    setProblems([]);
  };
  const redo = (): void => {
    const next = future.at(-1);
    if (next === undefined) return;
    setPast([...past, draft]);
    setDraft(next);
    setFuture(future.slice(0, -1));
    setProblems([]);
  };
  useUndoKeys({
    undo,
    redo,
    typing: () =>
      document.activeElement instanceof HTMLInputElement || document.activeElement instanceof HTMLTextAreaElement,
  });
  const take = (next: Result<Draft>, select?: number): void => {
    setProblems(next.ok ? [] : next.problems);
    if (!next.ok) return;
    setPast([...past, draft]);
    setFuture([]);
    setDraft(next.value);
    if (select !== undefined) setChosenYear(select);
  };
  const plan = (wanted: YearPlan, more: { readonly start?: IsoDate | ''; readonly end?: IsoDate | '' } = {}): void => {
    if (year === undefined) return;
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
    setPast([]);
    setFuture([]);
    setGiven({});
    setCutover(undefined);
    setProblems([]);
  };
  const keep = async (): Promise<void> => {
    const done = await send(
      drawCalendar({
        books: frame.id,
        revision,
        was: frame.cutover,
        cutover,
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
    setLookedAt(year?.start.toString());
    drop();
    toast(`Calendar of ${plural(done.value.years, 'year')} taken`);
    refresh();
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
    setPast([...past, draft]);
    setFuture([]);
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

  return {
    years: shown,
    standing,
    changed: draft !== undefined,
    at,
    select: (place: number): void => {
      setLookedAt(undefined);
      setChosenYear(place);
    },
    onward,
    setOnward,
    cutover,
    setCutover,
    preview,
    /** What is wrong with a step, or with the draft as a whole. */
    faults: [...problems, ...(preview?.ok === false ? preview.problems : [])],
    say: setProblems,
    take,
    plan,
    undo,
    drop,
    keep,
    bring,
  };
};
